/** Who may do a step, and how many of them at once. */
interface Wanting {
  readonly capable: readonly number[]
  /** Who it is kept for; null: whoever can. */
  readonly wanted: number | null
  readonly crewMin: number
  readonly crewMax: number
}

/** Crews by people's places in their order. */
export type Crews = readonly (readonly number[])[]

/** Enough for six people in pairs; beyond it the first ones stand for the rest. */
const mostCrews = 24

/** Every crew a step may have, small ones first, people in their order; who it is kept for is in all. */
function crewsOf({ capable, wanted, crewMin, crewMax }: Wanting): Crews {
  // Who it is kept for cannot do it.
  if (wanted !== null && !capable.includes(wanted)) return []
  const crews: number[][] = []
  const others = capable.filter((person) => person !== wanted)
  const first = wanted === null ? [] : [wanted]
  const extend = (crew: number[], next: number, size: number) => {
    if (crews.length >= mostCrews) return
    if (crew.length === size) {
      crews.push(crew)
      return
    }
    for (let i = next; i < others.length; i++) extend([...crew, others[i] as number], i + 1, size)
  }
  const most = Math.min(crewMax, others.length + first.length)
  for (let size = crewMin; size <= most; size++) extend(first, 0, size)
  return crews
}

/** Crews by what is wanted: one and the same list for all that want the same. */
export function crewsByClass(): (wanting: Wanting) => Crews {
  const known = new Map<string, Crews>()
  return (wanting) => {
    const { capable, wanted, crewMin, crewMax } = wanting
    const key = `${wanted} ${crewMin} ${crewMax} ${capable.join()}`
    const crews = known.get(key) ?? crewsOf(wanting)
    known.set(key, crews)
    return crews
  }
}

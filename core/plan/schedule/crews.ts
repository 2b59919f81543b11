import type { OpenStep } from './openWork'

/** Enough for six people in pairs; beyond it the first ones stand for the rest. */
const mostCrews = 24

/** Every crew a step may have, small ones first, people in their order; who it is kept for is in all. */
export function crewsOf(activity: OpenStep): number[][] {
  const { crewMin, crewMax, wanted } = activity
  const crews: number[][] = []
  const capable = activity.capable.filter((person) => person !== wanted)
  const first = wanted === null ? [] : [wanted]
  const extend = (crew: number[], next: number, size: number) => {
    if (crews.length >= mostCrews) return
    if (crew.length === size) {
      crews.push(crew)
      return
    }
    for (let i = next; i < capable.length; i++) extend([...crew, capable[i] as number], i + 1, size)
  }
  const most = Math.min(crewMax, capable.length + first.length)
  for (let size = crewMin; size <= most; size++) extend(first, 0, size)
  return crews
}

import type { Person, Step } from '../../model/entities'
import { hasSkill } from '../skillGaps'

/**
 * Who has the skill of a step, and who may make up its least crew: where several are wanted at once, one who has it and
 * anybody beside. People by their places in their order.
 */
export function teamOf(
  { skill, crewMin }: Pick<Step, 'skill' | 'crewMin'>,
  people: readonly Pick<Person, 'skills'>[],
): { readonly capable: readonly number[]; readonly hands: readonly number[] } {
  const all = people.map((_, index) => index)
  const capable = people.flatMap((person, at) => (hasSkill(person, skill) ? [at] : []))
  return { capable, hands: crewMin > 1 && capable.length > 0 ? all : capable }
}

/** Who may do a step, and how many of them at once. */
interface Wanting {
  readonly capable: readonly number[]
  readonly hands: readonly number[]
  /** Who it is kept for; null: whoever can. */
  readonly wanted: number | null
  readonly crewMin: number
  readonly crewMax: number
}

/** Crews by people's places in their order. */
export type Crews = readonly (readonly number[])[]

/** Enough for six people in pairs; beyond it the first ones stand for the rest. */
const mostCrews = 24

/**
 * Every crew a step may have, small ones first, people in their order; who it is kept for is in all. The least crew may
 * be made up by people without the skill, after those who all have it; more than the least are only those who have it.
 */
function crewsOf({ capable, hands, wanted, crewMin, crewMax }: Wanting): Crews {
  // Who it is kept for cannot do it.
  if (wanted !== null && !capable.includes(wanted)) return []
  const crews: number[][] = []
  const first = wanted === null ? [] : [wanted]
  const able = new Set(capable)
  function extend(
    of: readonly number[],
    crew: readonly number[],
    next: number,
    size: number,
    suits: (crew: readonly number[]) => boolean,
  ): void {
    if (crews.length >= mostCrews) return
    if (crew.length < size)
      for (let at = next; at < of.length; at++)
        extend(of, [...crew, of[at] as number], at + 1, size, suits)
    else if (suits(crew)) crews.push([...crew])
  }
  const others = (of: readonly number[]) => of.filter((person) => person !== wanted)
  const isMixed = (crew: readonly number[]) =>
    crew.some((person) => able.has(person)) && crew.some((person) => !able.has(person))
  for (let size = crewMin; size <= Math.min(crewMax, Math.max(crewMin, capable.length)); size++) {
    extend(others(capable), first, 0, size, () => true)
    if (size === crewMin) extend(others(hands), first, 0, size, isMixed)
  }
  return crews
}

/** Crews by what is wanted: one and the same list for all that want the same. */
export function crewsByClass(): (wanting: Wanting) => Crews {
  const known = new Map<string, Crews>()
  return (wanting) => {
    const { capable, hands, wanted, crewMin, crewMax } = wanting
    const key = `${wanted} ${crewMin} ${crewMax} ${capable.join()} ${hands.join()}`
    const crews = known.get(key) ?? crewsOf(wanting)
    known.set(key, crews)
    return crews
  }
}

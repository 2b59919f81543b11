import { createRandom } from '../../../random'
import { compileProblem } from './compiled'
import { energyBound } from './energy'
import { Search } from './exact/search'
import type { Member, Problem } from './problem'
import type { Effort } from './solve'

/** Conflicts spent on one question of whether a part is needed. */
const conflictsEach = 4000

const keyOf = (member: Member): string => Object.values(member).join(' ')

/** Every part of a problem that can be relaxed, the ones people like to read about last. */
function membersOf(problem: Problem): Member[] {
  return [
    ...problem.activities.flatMap((one, activity): Member[] =>
      one.windows === null ? [] : [{ kind: 'windows', activity }],
    ),
    ...problem.resources.map((_, resource): Member => ({ kind: 'resource', resource })),
    ...problem.arcs.flatMap((one, arc): Member[] => [
      ...(one.minLag === null && one.earliestAfter === null
        ? []
        : [{ kind: 'minLag' as const, arc }]),
      ...(one.maxLag === null ? [] : [{ kind: 'maxLag' as const, arc }]),
    ]),
    ...(problem.horizon === null ? [] : [{ kind: 'horizon' as const }]),
  ]
}

/**
 * A smallest set of parts of an impossible problem that are impossible together: with any one of
 * them relaxed the rest can be done. Found by taking parts out in halves and then one by one, each
 * time asking the complete search. `irreducible` is false when the effort ran out on the way.
 */
export function irreducible(
  problem: Problem,
  effort: Pick<Effort, 'seed' | 'stop' | 'stopReasons'>,
): { members: Member[]; irreducible: boolean } {
  let kept = membersOf(problem)
  let sure = true
  /** Whether these parts alone are impossible; undecided counts as possible, and is remembered. */
  const impossible = (parts: readonly Member[]): boolean => {
    const keys = new Set(parts.map(keyOf))
    const compiled = compileProblem(problem, (member) => !keys.has(keyOf(member)))
    const search = new Search(compiled, createRandom(effort.seed))
    if (search.refuted || energyBound(compiled, search.heads) > compiled.horizon) return true
    const { outcome } = search.find(
      { lateness: Infinity, makespan: Infinity },
      { stop: effort.stopReasons ?? effort.stop, conflicts: conflictsEach },
    )
    if (outcome === 'spent') sure = false
    return outcome === 'refuted'
  }
  for (let size = kept.length >> 1; size >= 1; size >>= 1)
    for (let at = 0; at < kept.length;) {
      const rest = [...kept.slice(0, at), ...kept.slice(at + size)]
      if (size > 1 && rest.length === 0) break
      const before: boolean = sure
      if (impossible(rest)) kept = rest
      else at += size
      // Only the last round, one by one, has to be sure.
      if (size > 1) sure = before
    }
  return { members: kept, irreducible: sure }
}

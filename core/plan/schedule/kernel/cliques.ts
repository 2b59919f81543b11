import type { Compiled, CompiledActivity } from './compiled'

/** Activities looked at, at most: every one seeds a set, and every set is weighed. */
const mostSeeds = 150

/**
 * A makespan that no plan can beat: among activities of which no two can run at once, because they
 * follow each other or never fit side by side, one comes after the other. Sets are grown from every
 * activity, longest first; each is weighed by the one-machine schedule with pauses, with heads and
 * tails (Jackson), which is exact for what it leaves in.
 */
export function cliqueBound(
  compiled: Compiled,
  heads: readonly number[],
  tails: readonly number[],
  shortest: readonly number[],
): number {
  const count = compiled.activities.length
  if (count > mostSeeds) return 0
  const apart = pairsApart(compiled)
  const byLength = shortest
    .map((_, index) => index)
    .filter((index) => (shortest[index] as number) > 0)
    .sort((a, b) => (shortest[b] as number) - (shortest[a] as number))
  let bound = 0
  for (const seed of byLength) {
    const set = [seed]
    for (const other of byLength)
      if (other !== seed && set.every((one) => apart[one * count + other] === 1)) set.push(other)
    bound = Math.max(bound, oneMachine(set, heads, tails, shortest))
  }
  return bound
}

/** 1 where two activities can never run at the same time. */
function pairsApart(compiled: Compiled): Uint8Array {
  const { activities, resources, arcs } = compiled
  const count = activities.length
  const apart = new Uint8Array(count * count)
  // Followers, through arcs that really say "after".
  for (const arc of arcs)
    if ((arc.minLag !== null && arc.minLag >= 0) || arc.after) apart[arc.from * count + arc.to] = 1
  for (let k = 0; k < count; k++)
    for (let i = 0; i < count; i++)
      if (apart[i * count + k] === 1)
        for (let j = 0; j < count; j++) if (apart[k * count + j] === 1) apart[i * count + j] = 1
  for (let i = 0; i < count; i++)
    for (let j = i + 1; j < count; j++)
      if (
        apart[i * count + j] === 1 ||
        apart[j * count + i] === 1 ||
        clash(activities[i] as CompiledActivity, activities[j] as CompiledActivity)
      ) {
        apart[i * count + j] = 1
        apart[j * count + i] = 1
      }
  return apart

  /** In whatever modes, some resource is too small for both. */
  function clash(a: CompiledActivity, b: CompiledActivity): boolean {
    return a.modes.every(
      (one) =>
        one.calendar.closed ||
        b.modes.every(
          (other) =>
            other.calendar.closed ||
            one.demands.some(([which, units]) => {
              const more = other.demands.find(([resource]) => resource === which)?.[1] ?? 0
              return more > 0 && units + more > (resources[which]?.most ?? Infinity)
            }),
        ),
    )
  }
}

/** Least finish with tails when a machine does one at a time and may pause: always the longest tail first. */
function oneMachine(
  set: readonly number[],
  heads: readonly number[],
  tails: readonly number[],
  lengths: readonly number[],
): number {
  const waiting = [...set].sort((a, b) => (heads[a] as number) - (heads[b] as number))
  const left = new Map(set.map((index) => [index, lengths[index] as number]))
  const ready: number[] = []
  let [t, next, bound] = [0, 0, 0]
  while (ready.length > 0 || next < waiting.length) {
    if (ready.length === 0) t = Math.max(t, heads[waiting[next] as number] as number)
    while (next < waiting.length && (heads[waiting[next] as number] as number) <= t)
      ready.push(waiting[next++] as number)
    let best = 0
    for (let at = 1; at < ready.length; at++)
      if ((tails[ready[at] as number] as number) > (tails[ready[best] as number] as number))
        best = at
    const index = ready[best] as number
    const until = next < waiting.length ? (heads[waiting[next] as number] as number) : Infinity
    const work = Math.min(left.get(index) as number, until - t)
    t += work
    left.set(index, (left.get(index) as number) - work)
    if (left.get(index) === 0) {
      ready.splice(best, 1)
      bound = Math.max(bound, t + (tails[index] as number))
    }
  }
  return bound
}

/** Which steps held a gate in a run: walked back from the last of what it waits for. */
import type { Gate } from '../model/entities'
import type { OpenStep, OpenWork } from '../plan/schedule/openWork'
import type { Pass } from '../plan/schedule/pass'
import { hourMs } from '../time/civil'

/** Open steps that a gate waits for itself: those of its jobs, or what her launch is held by. */
export function heldSteps({ activities }: OpenWork, gate: Gate): OpenStep[] {
  return [...activities.values()].filter((one) =>
    one.step.afterGate
      ? false
      : gate.kind === 'launch'
        ? one.holds !== null && one.holds.haulOut.id === gate.haulOutId
        : one.job.gateId === gate.id,
  )
}

/** Steps of a pass by the people who do them, in the order in which they end. */
function byPeople(pass: Pass): (personIds: readonly string[], until: number) => string | null {
  const work = new Map<string, { readonly end: number; readonly stepId: string }[]>()
  for (const { stepId, personIds, segments } of pass.placements.values())
    for (const person of personIds) {
      const list = work.get(person) ?? []
      list.push({ end: segments.at(-1)?.[1] ?? 0, stepId })
      work.set(person, list)
    }
  for (const list of work.values()) list.sort((a, b) => a.end - b.end)
  return (personIds, until) => {
    let last: { end: number; stepId: string } | null = null
    for (const person of personIds) {
      const list = work.get(person) ?? []
      let [low, high] = [0, list.length]
      while (low < high) {
        const middle = (low + high) >> 1
        if ((list[middle]?.end ?? 0) <= until) low = middle + 1
        else high = middle
      }
      const found = list[low - 1]
      if (found && (last === null || found.end > last.end)) last = found
    }
    return last?.stepId ?? null
  }
}

/**
 * Adds to `count` (by step index) every step on the chain to a gate: the last it waits for, then before each what let
 * it begin last, be it the step before or what the same people did.
 */
export function chainCounter(compiled: OpenWork, pass: Pass) {
  const before = byPeople(pass)
  const endOf = (stepId: string) => pass.placements.get(stepId)?.segments.at(-1)?.[1] ?? 0
  return (held: readonly OpenStep[], count: (index: number) => void): void => {
    let at: string | null = null
    let latest = -Infinity
    for (const { step } of held) {
      const ready = pass.placements.get(step.id)?.readyAt ?? -Infinity
      if (ready > latest) [at, latest] = [step.id, ready]
    }
    const seen = new Set<string>()
    while (at !== null && !seen.has(at)) {
      seen.add(at)
      const activity = compiled.activities.get(at)
      const placed = pass.placements.get(at)
      if (!activity || !placed) return
      count(activity.index)
      let next: string | null = null
      let nextAt = -Infinity
      for (const arc of activity.before) {
        const ready = compiled.readyBy(arc, pass.placements.get(arc.from))
        const from = ready === undefined ? -Infinity : ready + arc.minWaitHours * hourMs
        if (from > nextAt) [next, nextAt] = [arc.from, from]
      }
      const same = before(placed.personIds, placed.segments[0]?.[0] ?? 0)
      if (same !== null && endOf(same) > nextAt) next = same
      at = next
    }
  }
}

/** The work of a day in another order, by hand. */
import { reachable } from '../graph'
import { groupBy } from '../model/refit'
import type { StepArc } from '../plan/network'
import type { DayLine } from './dayLine'

/** Where a line goes: in front of another step, or after the last. */
export interface PutBefore {
  /** Step; null: after all others. */
  readonly beforeId: string | null
}

type Work = Pick<DayLine, 'kind' | 'step' | 'from' | 'personIds'>

/** What may stand in an order: work that has not begun, each step once, by time. */
function waiting(lines: readonly Work[]): Work[] {
  const known = new Set<string>()
  return [...lines]
    .sort((a, b) => a.from - b.from)
    .filter(({ kind, step }) => {
      if (kind !== 'work' || step?.state !== 'open' || known.has(step.id)) return false
      known.add(step.id)
      return true
    })
}

/** True for two lines of which one person can only be at one: what comes first is a question. */
const meet = (a: Work, b: Work): boolean =>
  a.personIds.length === 0 ||
  b.personIds.length === 0 ||
  a.personIds.some((id) => b.personIds.includes(id))

/** Steps of the day that a step may go before, by time: those its people are at as well. None: it cannot be moved. */
export function besides(lines: readonly Work[], stepId: string): readonly string[] {
  const all = waiting(lines)
  const own = all.find((one) => one.step?.id === stepId)
  if (!own) return []
  return all.flatMap((one) => (one !== own && meet(one, own) && one.step ? [one.step.id] : []))
}

/** One place earlier or later among what its people do that day; null: there is none. */
export function onePlace(
  lines: readonly Work[],
  stepId: string,
  way: 'earlier' | 'later',
): PutBefore | null {
  const others = besides(lines, stepId)
  const from = (id: string) => waiting(lines).find((one) => one.step?.id === id)?.from ?? 0
  const at = others.filter((id) => from(id) < from(stepId)).length
  if (way === 'earlier') return at === 0 ? null : { beforeId: others[at - 1] ?? null }
  return at === others.length ? null : { beforeId: others[at + 1] ?? null }
}

/** All steps of the day that wait, in the order by hand: one of them where it was put, the others as they were. */
export function inHandOrder(
  lines: readonly Work[],
  stepId: string,
  { beforeId }: PutBefore,
): string[] {
  const rest = waiting(lines).flatMap(({ step }) => (step && step.id !== stepId ? [step.id] : []))
  const at = beforeId === null ? rest.length : rest.indexOf(beforeId)
  return [...rest.slice(0, at), stepId, ...rest.slice(at)]
}

/** The arcs that an order is held against. */
type Arc = Pick<StepArc, 'from' | 'to'>

/** A pair of an order that cannot be: the first waits for the second to be done. */
export interface AgainstWaits {
  readonly stepId: string
  readonly waitsForId: string
}

/** Where an order has a step on the wrong side of what it waits for, or of what waits for it; null: nowhere. */
export function againstWaits(
  arcs: readonly Arc[],
  order: readonly string[],
  stepId: string,
): AgainstWaits | null {
  const next = groupBy(arcs, (arc) => arc.from)
  const after = (id: string) => reachable([id], (one) => (next.get(one) ?? []).map(({ to }) => to))
  const at = order.indexOf(stepId)
  const own = after(stepId)
  const wrongBefore = order.slice(0, at).find((id) => own.has(id))
  if (wrongBefore !== undefined) return { stepId: wrongBefore, waitsForId: stepId }
  const wrongAfter = order.slice(at + 1).find((id) => after(id).has(stepId))
  return wrongAfter === undefined ? null : { stepId, waitsForId: wrongAfter }
}

/**
 * The first step of its people that a plan has on the other side of the moved one than the order asks; null: it came
 * about. Begun at the same time they are done beside each other, and neither waits. `today`: what that plan would do
 * today.
 */
export function notAsAsked(
  today: readonly { readonly stepId: string; readonly from: number }[],
  order: readonly string[],
  others: readonly string[],
  stepId: string,
): string | null {
  const from = new Map(today.map((one) => [one.stepId, one.from]))
  const own = from.get(stepId) ?? Infinity
  const at = order.indexOf(stepId)
  const wrong = others.find((id) => {
    const other = from.get(id) ?? Infinity
    return order.indexOf(id) < at ? other > own : other < own
  })
  return wrong ?? null
}

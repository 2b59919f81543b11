/** A job in one sentence: what is left of it, when it is ready, how that lies to its gate. */
import { daysBetween } from '../time/civil'
import { shortDate } from '../time/say'
import type { ZoneClock } from '../time/zone'
import { counted, inWords } from '../units/counted'
import type { Layer } from './layers'

/** The gate a job is done before, as planned; null: it has none, or that has no date. */
export type StairGate = { readonly name: string; readonly at: number } | null

/** "five steps left, ready 10 May, 12 days before Launch." Steps that come after the gate are left out of its date. */
export function sayStair(layers: readonly Layer[], gate: StairGate, clock: ZoneClock): string {
  const steps = layers.flatMap((one) => one.steps)
  const left = steps.filter((step) => step.state !== 'done')
  if (steps.length === 0) return 'no steps yet, so the plan cannot see it.'
  if (left.length === 0)
    return steps.length === 1 ? 'its step is done.' : `all ${inWords(steps.length)} steps are done.`
  const many = `${counted(left.length, 'step')} left`
  const open = layers.filter((one) => one.state !== 'done')
  const lost = open.filter((one) => one.readyAt === null).flatMap((one) => one.steps).length
  if (lost === left.length) return `${many}, none with a place in the plan.`
  if (lost > 0) return `${many}, ${inWords(lost)} without a place in the plan.`
  const before = open.filter((one) => one.steps.some((step) => !step.afterGate))
  const ready = Math.max(...(before.length > 0 ? before : open).map((one) => one.readyAt ?? 0))
  const said = `${many}, ready ${shortDate(ready, clock)}`
  if (gate === null || before.length === 0) return `${said}.`
  const days = daysBetween(clock.dateOf(ready), clock.dateOf(gate.at))
  const lies =
    days === 0
      ? `on the day of ${gate.name}`
      : `${Math.abs(days)} ${Math.abs(days) === 1 ? 'day' : 'days'} ${days > 0 ? 'before' : 'after'} ${gate.name}`
  return `${said}, ${lies}.`
}

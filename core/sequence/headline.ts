/** The sentence over a drawing. */
import type { GateSaid } from '../progress/gateWords'
import type { StoredPlan } from '../model/stored'
import { sayDate } from '../time/say'
import type { ZoneClock } from '../time/zone'
import type { WeekFigures } from './weeks'

/** Of a launch: when the work is ready and when the yard lifts, where these differ; else what is said of the gate everywhere. */
export function gateHeadline(
  gateId: string,
  said: GateSaid,
  plan: Pick<StoredPlan, 'gates'> | null,
  clock: ZoneClock,
  year: string,
): string {
  const gate = plan?.gates.find((one) => one.gateId === gateId)
  if (!gate || said.standing !== 'dated') return said.title
  const [ready, at] = [clock.dateOf(gate.readyAt), clock.dateOf(gate.at)]
  if (gate.binding.kind !== 'liftDay' || ready >= at) return said.title
  const lift = gate.binding.people ? 'the first lift that suits the people is' : 'the yard lifts'
  return `Work is ready on ${sayDate(ready, year)}; ${lift} on ${sayDate(at, year)}`
}

/** A week whose hours are planned to nine tenths is called full. */
const full = 0.9

/** Of the seasons: how full the weeks up to the gate are. `until` is a local day number; null: the gate has no date. */
export function seasonsHeadline(
  weeks: readonly WeekFigures[],
  gate: { readonly said: string; readonly until: number } | null,
): string {
  const open = weeks.filter((one) => one.there > 0)
  const before = gate === null ? open : open.filter((one) => one.monday <= gate.until)
  if (before.length === 0) return 'Nobody is there in the weeks to come'
  const filled = before.filter((one) => one.planned >= one.there * full).length
  const to = gate === null ? '' : ` to ${gate.said}`
  if (before.length === 1)
    return filled === 1 ? `The one week${to} is full` : `One week is left${to}`
  if (filled === before.length) return `All ${filled} weeks${to} are full`
  if (filled === 0) return `None of the ${before.length} weeks${to} is full`
  return `${filled} of ${before.length} weeks${to} ${filled === 1 ? 'is' : 'are'} full`
}

/** Of two days: what of them is not for the gate asked about; null: none is. */
export function daysHeadline(
  names: readonly string[],
  counts: readonly { readonly steps: number; readonly others: number }[],
  gate: string | null,
): string {
  const days = counts.map((one, index) => ({ ...one, name: names[index] ?? '' }))
  const worked = days.filter((one) => one.steps > 0)
  if (worked.length === 0) return 'Nothing is planned for these days'
  const steps = (count: number) => `${count} ${count === 1 ? 'step' : 'steps'}`
  if (gate === null) return worked.map((one) => `${one.name}: ${steps(one.steps)}`).join(', ')
  if (worked.every((one) => one.others === 0))
    return worked.length === 2
      ? `Both days work for ${gate}`
      : `${worked[0]?.name} works for ${gate}`
  return `Not for ${gate}: ${worked.map((one) => `${one.others} of ${steps(one.steps)} on ${one.name}`).join(', ')}`
}

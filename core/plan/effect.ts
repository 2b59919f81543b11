/** What a change would do to the gates: two plans laid side by side. */
import type { Gate } from '../model/entities'
import type { StoredPlan } from '../model/stored'
import { daysBetween } from '../time/civil'
import { sayFullDate } from '../time/say'
import type { ZoneClock } from '../time/zone'

/** The gates of a plan, and why some have no date. */
export type GatesOf = Pick<StoredPlan, 'gates' | 'reasons'>

export interface GateEffect {
  readonly gate: Gate
  /** Civil dates; null: not in that plan. */
  readonly before: string | null
  readonly after: string | null
  /** Positive: later. Null when one of them is missing. */
  readonly days: number | null
}

/** Every gate's date before and after. */
export function gateEffects(
  gates: readonly Gate[],
  before: Pick<StoredPlan, 'gates'>,
  after: Pick<StoredPlan, 'gates'>,
  clock: ZoneClock,
): GateEffect[] {
  const dates = (plan: Pick<StoredPlan, 'gates'>) =>
    new Map(plan.gates.map((one) => [one.gateId, clock.dateOf(one.at)]))
  const [was, is] = [dates(before), dates(after)]
  return gates.flatMap((gate) => {
    const [from, to] = [was.get(gate.id) ?? null, is.get(gate.id) ?? null]
    if (from === null && to === null) return []
    return [{ gate, before: from, after: to, days: from && to ? daysBetween(from, to) : null }]
  })
}

/** True for a dated gate that is in time both ways: by how many days is the search's chance, and nobody's loss. */
const isInTime = ({ gate, before, after }: GateEffect): boolean =>
  gate.kind === 'dated' &&
  gate.on !== null &&
  before !== null &&
  after !== null &&
  before <= gate.on &&
  after <= gate.on

/**
 * "Launch 4 days later" for each gate that moves or gets or loses its date; dated gates that are in time both ways are
 * not said to move. "No gate moves." when none does.
 */
export function effectSentence(effects: readonly GateEffect[]): string {
  const changed = effects.filter((one) => one.days !== 0)
  const moved = changed.filter((one) => !isInTime(one))
  if (moved.length === 0)
    return changed.length === 0 ? 'No gate moves.' : 'No gate moves but those that stay in time.'
  const say = ({ gate, days, after }: GateEffect): string => {
    if (after === null) return `${gate.name} can no longer be dated`
    if (days === null) return `${gate.name} gets its first date, ${sayFullDate(after)}`
    const many = Math.abs(days)
    return `${gate.name} ${many} ${many === 1 ? 'day' : 'days'} ${days > 0 ? 'later' : 'earlier'}`
  }
  return `${moved.map(say).join(', ')}.`
}

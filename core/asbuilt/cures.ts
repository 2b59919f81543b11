/** Cures of a job as they ran: how warm it was, how long it took. */
import { clockState } from '../cure/clockState'
import type { TemperatureAt } from '../cure/dose'
import type { Clock, Row } from '../model/entities'
import { hourMs } from '../time/civil'
import { sayDate } from '../time/say'
import type { ZoneClock } from '../time/zone'
import { formatHours } from '../units/hours'
import type { UnitSystem } from '../units/length'
import { formatTemp } from '../units/quantity'

export interface CureRun {
  readonly what: string
  readonly value: string
}

/** What is needed to say how a clock ran. */
export interface CureFacts {
  readonly clock: ZoneClock
  readonly units: UnitSystem
  /** Warmth expected where nobody read it. */
  readonly expectedBy: (clock: Clock) => TemperatureAt
  readonly now: number
}

/**
 * A clock that has opened: "13 °C, read once: 26 h for 16 h at 20 °C"; one that was ended before says so. Days to the
 * water run by the calendar and say no warmth. Null for a pot, and for one that still runs.
 */
export function cureRun(
  clock: Clock,
  readings: readonly Row<'clockReading'>[],
  facts: CureFacts,
): CureRun | null {
  if (clock.kind === 'pot' || clock.opensH === null) return null
  const expected = facts.expectedBy(clock)
  const { opensAt } = clockState(clock, readings, expected, facts.now)
  const what = `${clock.title}, ${sayDate(facts.clock.dateOf(clock.startedAt))}`
  const hoursTo = (at: number) => formatHours((at - clock.startedAt) / hourMs)
  const { endedAt } = clock
  if (endedAt !== null && (opensAt === null || endedAt < opensAt))
    return {
      what,
      value: `ended after ${hoursTo(endedAt)}${opensAt === null ? '' : `, before its ${hoursTo(opensAt)} were over`}`,
    }
  if (opensAt === null || opensAt > facts.now) return null
  const took = hoursTo(opensAt)
  if (clock.kind === 'immersion') return { what, value: took }
  const own = readings.filter((one) => one.at >= clock.startedAt && one.at <= opensAt)
  const mean = own.reduce((sum, one) => sum + one.tempC, 0) / own.length
  const warmth =
    own.length === 0
      ? 'reckoned, nobody read the warmth'
      : own.length === 1
        ? `${formatTemp(mean, facts.units)}, read once`
        : `${formatTemp(mean, facts.units)}, mean of ${own.length} readings`
  return {
    what,
    value: `${warmth}: ${took} for ${formatHours(clock.opensH)} at ${formatTemp(clock.refC, facts.units)}`,
  }
}

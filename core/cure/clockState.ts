import type { Row } from '../model/entities'
import { hourMs } from '../time/civil'
import { closingRate, cureRate, doseHours, doseReachedAt, potLifeForMass } from './dose'
import type { TemperatureAt } from './dose'

/** What a running clock shows. Nothing of it is stored: it follows from start, sheet and readings. */
export interface ClockState {
  /** When it opens (cured, coatable, immersible), UTC ms; null: a pot, or never at these temperatures. */
  readonly opensAt: number | null
  /** When it closes (pot gone, bond window shut); null: it does not. */
  readonly closesAt: number | null
  readonly phase: 'waiting' | 'open' | 'closed'
  /** Next instant at which the phase changes; null: none to come. */
  readonly nextAt: number | null
  /** Hours so far in which it was too cold to earn anything. */
  readonly coldHours: number
  /** Temperature now, °C. */
  readonly tempC: number
}

/** Straight lines between readings; `otherwise` before the first and after the last. */
export function temperatureFrom(
  readings: readonly { readonly at: number; readonly tempC: number }[],
  otherwise: TemperatureAt,
): TemperatureAt {
  const sorted = [...readings].sort((a, b) => a.at - b.at)
  const first = sorted[0]
  const last = sorted.at(-1)
  if (!first || !last) return otherwise
  return (instant) => {
    if (instant < first.at || instant > last.at) return otherwise(instant)
    const index = sorted.findIndex((reading) => reading.at >= instant)
    const after = sorted[index] as (typeof sorted)[number]
    const before = sorted[index - 1]
    if (!before || after.at === before.at) return after.tempC
    const share = (instant - before.at) / (after.at - before.at)
    return before.tempC + share * (after.tempC - before.tempC)
  }
}

const openRate = (clock: Row<'clock'>) => (tempC: number) => cureRate(tempC, clock)

/** When a clock opens, given the temperatures; null when it never does. */
const clockOpensAt = (clock: Row<'clock'>, temperatureAt: TemperatureAt): number | null =>
  clock.opensH === null
    ? null
    : doseReachedAt(clock.startedAt, clock.opensH, temperatureAt, openRate(clock))

function clockClosesAt(clock: Row<'clock'>, temperatureAt: TemperatureAt): number | null {
  if (clock.closesH === null) return null
  const hours =
    clock.massG !== null && clock.refMassG !== null
      ? potLifeForMass(clock.closesH, clock.refMassG, clock.massG)
      : clock.closesH
  return doseReachedAt(clock.startedAt, hours, temperatureAt, (tempC) => closingRate(tempC, clock))
}

function phaseAt(
  now: number,
  opensAt: number | null,
  closesAt: number | null,
  isPot: boolean,
): ClockState['phase'] {
  if (closesAt !== null && now >= closesAt) return 'closed'
  return isPot || (opensAt !== null && now >= opensAt) ? 'open' : 'waiting'
}

/**
 * State of a clock at `now`. `expectedAt` is the forecast used where no reading covers the time.
 * Immersion windows count calendar hours: the sheet gives them as days, whatever the weather.
 */
export function clockState(
  clock: Row<'clock'>,
  readings: readonly Row<'clockReading'>[],
  expectedAt: TemperatureAt,
  now: number,
): ClockState {
  const temperatureAt = temperatureFrom(readings, expectedAt)
  const calendar = clock.kind === 'immersion'
  const isPot = clock.kind === 'pot'
  const after = (hours: number | null) => (hours === null ? null : clock.startedAt + hours * hourMs)
  const opensAt = calendar ? after(clock.opensH) : isPot ? null : clockOpensAt(clock, temperatureAt)
  const closesAt = calendar ? after(clock.closesH) : clockClosesAt(clock, temperatureAt)
  const until = Math.min(now, opensAt ?? now)
  const cold = (tempC: number) => (clock.minC !== null && tempC < clock.minC ? 1 : 0)
  const coming = [opensAt, closesAt].filter((at): at is number => at !== null && at > now)
  return {
    opensAt,
    closesAt,
    phase: phaseAt(now, opensAt, closesAt, isPot),
    nextAt: coming.length > 0 ? Math.min(...coming) : null,
    coldHours: calendar || isPot ? 0 : doseHours(clock.startedAt, until, temperatureAt, cold),
    tempC: temperatureAt(now),
  }
}

/** Nothing more is to come of it: a pot gone off, a bond window shut, a cure done, or one that never will be. */
const hasRunOut = (state: Pick<ClockState, 'nextAt'>, now: number): boolean =>
  state.nextAt === null || now >= state.nextAt

/** Order in which clocks want to be looked at: those run out first, then the next to change. */
export const byUrgency =
  (now: number) =>
  (a: Pick<ClockState, 'nextAt'>, b: Pick<ClockState, 'nextAt'>): number =>
    Number(hasRunOut(b, now)) - Number(hasRunOut(a, now)) || (a.nextAt ?? 0) - (b.nextAt ?? 0)

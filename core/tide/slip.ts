/** The water at a yard's slip against what she needs. */
import type { Place, RefitRow, Row } from '../model/entities'
import type { RefitRows } from '../model/refit'
import { intersect } from '../time/intervals'
import type { Interval } from '../time/intervals'
import { minuteMs, minutesOf } from '../time/civil'
import { dayMemo } from '../time/dayMemo'
import type { ZoneClock } from '../time/zone'
import { daylight } from './daylight'
import { beforeWaterMin } from './liftTimes'
import { offsetTide, tideOf, waterOver } from './tide'
import type { Tide } from './tide'

/** A lift in the water of a day, UTC ms. */
interface SlipLift {
  readonly window: Interval
  /** When the slings go on: she is swung out while the water comes. */
  readonly liftAt: number
  /** When she is lowered into it. */
  readonly inAt: number
}

export interface Slip {
  readonly tide: Tide
  /** Metres over chart datum at which she floats with what is wanted under the keel. */
  readonly needM: number
  /** Stretches of a local day with the water, in daylight and lift hours. */
  windows(day: number): readonly Interval[]
  /** The first of them in which she gets from the slings to away; null: none is long enough. */
  lift(day: number): SlipLift | null
  /** False: nothing is known of the water in the lift hours of that day. */
  isKnown(day: number): boolean
}

/** Draught + clearance − charted depth, which is negative where it dries. Source: handbook 6. */
export const needM = (draughtM: number, yard: Pick<Place, 'underKeelM' | 'slipDepthM'>): number =>
  draughtM + yard.underKeelM - yard.slipDepthM

/** The yard's lift hours on a local day, inside daylight where it is known where she lies. */
export function liftHours(
  yard: Pick<Place, 'liftFrom' | 'liftUntil'>,
  day: number,
  where: Pick<RefitRow, 'latitudeDeg' | 'longitudeDeg'>,
  clock: ZoneClock,
): Interval | null {
  const hours: Interval = [
    clock.at(day, minutesOf(yard.liftFrom)),
    clock.at(day, minutesOf(yard.liftUntil)),
  ]
  const { latitudeDeg, longitudeDeg } = where
  if (latitudeDeg === null || longitudeDeg === null) return hours
  const light = daylight(day, latitudeDeg, longitudeDeg, clock)
  return light ? (intersect([hours], [light])[0] ?? null) : null
}

/** Lifts are booked, and the plan counts, by so much. */
const bookedToMs = 5 * minuteMs

type Station = Row<'tideStation'>

function makeSlip(
  yard: Place,
  station: Station,
  refit: RefitRow & { readonly draughtM: number },
  clock: ZoneClock,
): Slip {
  const tide = offsetTide(tideOf(station), yard.tideMinutes, yard.tideHigherM)
  const need = needM(refit.draughtM, yard)
  const hoursOf = dayMemo((day) => ({ hours: liftHours(yard, day, refit, clock) }))
  const windows = dayMemo((day): Interval[] => {
    const { hours } = hoursOf(day)
    return hours === null ? [] : waterOver(tide, need, hours[0], hours[1])
  })
  const before = beforeWaterMin * minuteMs
  const lift = dayMemo((day): { readonly lift: SlipLift | null } => {
    const { hours } = hoursOf(day)
    for (const window of windows(day)) {
      const soonest = Math.max(hours?.[0] ?? window[0], window[0] - before)
      const liftAt = Math.ceil(soonest / bookedToMs) * bookedToMs
      const inAt = Math.max(liftAt + before, window[0])
      if (window[1] - inAt >= yard.launchMin * minuteMs) return { lift: { window, liftAt, inAt } }
    }
    return { lift: null }
  })
  return {
    tide,
    needM: need,
    windows,
    lift: (day) => lift(day).lift,
    isKnown(day) {
      const { hours } = hoursOf(day)
      return (
        hours === null || (tide.heightAt(hours[0]) !== null && tide.heightAt(hours[1]) !== null)
      )
    },
  }
}

/** Slips by the station they are reckoned from and all else they rest on: a plan is laid again and again on the same water. */
const known = new WeakMap<Station, Map<string, Slip>>()

/** True for a station of which anything is known. */
const tells = (station: Station): boolean =>
  station.basis === 'table' ? station.turns.length > 1 : station.constituents.length > 0

/** The slip of a yard; null: no tide is named for it, or her draught is not known. */
export function slipOf(
  rows: Pick<RefitRows, 'refit' | 'tideStation'>,
  yard: Place | null,
  clock: ZoneClock,
): Slip | null {
  const refit = rows.refit[0]
  const station = rows.tideStation.find((one) => one.id === yard?.tideStationId)
  if (!yard || !station || !tells(station) || !refit || refit.draughtM === null) return null
  const { liftFrom, liftUntil, tideMinutes, tideHigherM, slipDepthM, underKeelM, launchMin } = yard
  const { draughtM, latitudeDeg, longitudeDeg } = refit
  const key = [
    ...[liftFrom, liftUntil, tideMinutes, tideHigherM, slipDepthM, underKeelM, launchMin],
    ...[draughtM, latitudeDeg, longitudeDeg, clock.zone],
  ].join(' ')
  const slips = known.get(station) ?? new Map<string, Slip>()
  known.set(station, slips)
  const slip = slips.get(key) ?? makeSlip(yard, station, { ...refit, draughtM }, clock)
  slips.set(key, slip)
  return slip
}

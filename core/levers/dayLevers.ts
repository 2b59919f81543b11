/** What could be done otherwise about days: nights away, two places in a day, cover. Each as the change it would take. */
import type { ChangeItem } from '../model/changes'
import type { Place } from '../model/entities'
import { deletion, patchOf } from '../model/removal'
import type { RefitRows } from '../model/refit'
import type { StoredPlan } from '../model/stored'
import { hourMs } from '../time/civil'
import { lengthOf } from '../time/intervals'
import type { ZoneClock } from '../time/zone'
import { isOpen } from '../plan/planned'
import { haulOutsAsPlanned } from '../plan/schedule/haulOuts'
import { makeSites, widest } from '../plan/schedule/sites'

export interface DayLever {
  readonly key: string
  readonly what: string
  /** As the refit is now. */
  readonly isOn: boolean
  /** The other way. */
  readonly items: readonly ChangeItem[]
}

/** Everything about days that can be switched in this refit. */
export function dayLevers(rows: RefitRows): DayLever[] {
  const [refit] = rows.refit
  if (!refit) return []
  const nights = rows.place
    .filter((place) => place.kind === 'yard' || place.kind === 'berth')
    .map((place): DayLever => {
      const isOn = place.nights !== 'none'
      return {
        key: `nights ${place.id}`,
        what: `Nights away: ${place.name}`,
        isOn,
        items: [patchOf('place', place, { nights: isOn ? 'none' : 'aboard' })],
      }
    })
  const hasShed =
    rows.place.some((place) => place.kind === 'shed') &&
    rows.step.some((step) => isOpen(step) && step.placeNeed === 'shed')
  const twoPlaces: DayLever = {
    key: 'twoPlaces',
    what: 'Boat and shed on one day',
    isOn: refit.twoPlaces,
    items: [patchOf('refit', refit, { twoPlaces: !refit.twoPlaces })],
  }
  const covers = rows.cover.map((cover): DayLever => ({
    key: `cover ${cover.id}`,
    what: cover.title,
    isOn: true,
    items: [deletion('cover', cover)],
  }))
  return [...nights, ...(hasShed || refit.twoPlaces ? [twoPlaces] : []), ...covers]
}

/** Weeks over which hours are compared. */
const weeksAhead = 4

/** Person-hours a week at the boat won by a change, over the next four weeks; pauses left out. */
export function hoursWon(
  before: RefitRows,
  after: RefitRows,
  plan: Pick<StoredPlan, 'launches' | 'now'>,
  clock: ZoneClock,
): number {
  const there = (rows: RefitRows): number => {
    const sites = makeSites(rows, clock, haulOutsAsPlanned(rows, plan, clock))
    const today = clock.dayOf(plan.now)
    let ms = 0
    for (let day = today; day < today + weeksAhead * 7; day++)
      for (let person = 0; person < sites.people.length; person++)
        ms += lengthOf(widest(sites, person, 'boat', day), sites.pauseOn(person, day))
    return ms
  }
  return (there(after) - there(before)) / hourMs / weeksAhead
}

/** A night that the plan counts on: who sleeps where, from one local day to the next. */
export interface PlannedNight {
  readonly personId: string
  readonly day: number
  readonly place: Place
}

/**
 * Nights away that a plan counts on: between two days with work at the boat, or where a day's work runs into what would
 * be the way home.
 */
export function nightsOf(
  rows: RefitRows,
  plan: Pick<StoredPlan, 'placements' | 'launches'>,
  clock: ZoneClock,
): PlannedNight[] {
  if (rows.place.every((place) => place.nights === 'none')) return []
  const sites = makeSites(rows, clock, haulOutsAsPlanned(rows, plan, clock))
  const steps = new Map(rows.step.map((step) => [step.id, step]))
  return sites.people.flatMap((person, index) => {
    const spans = new Map<number, { from: number; to: number }>()
    for (const one of plan.placements) {
      if (!one.personIds.includes(person.id) || steps.get(one.stepId)?.placeNeed !== 'boat')
        continue
      for (const [from, to] of one.segments) {
        const day = clock.dayOf(from)
        const known = spans.get(day)
        spans.set(day, {
          from: Math.min(from, known?.from ?? from),
          to: Math.max(to, known?.to ?? to),
        })
      }
    }
    const byDay = (day: number) => sites.presence(index, 'boat', day)
    const nights = [...spans.keys()].flatMap((day) => [day - 1, day])
    return [...new Set(nights)]
      .sort((a, b) => a - b)
      .flatMap((day): PlannedNight[] => {
        const place = sites.sleepsAt(index, day)
        const [today, next] = [spans.get(day), spans.get(day + 1)]
        if (!place) return []
        const runsOn = today !== undefined && today.to > (byDay(day).at(-1)?.[1] ?? Infinity)
        const begins = next !== undefined && next.from < (byDay(day + 1)[0]?.[0] ?? -Infinity)
        return (today && next) || runsOn || begins ? [{ personId: person.id, day, place }] : []
      })
  })
}

/** What those nights cost, minor units; null: some have no price. */
export const priceOfNights = (nights: readonly PlannedNight[]): number | null =>
  nights.some((one) => one.place.nightMinor === null)
    ? null
    : nights.reduce((sum, one) => sum + (one.place.nightMinor ?? 0), 0)

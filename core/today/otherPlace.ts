/** Whether a pause at one place is worth the way to the other. */
import type { Place } from '../model/entities'
import type { RefitRows } from '../model/refit'
import type { StoredPlan } from '../model/stored'
import type { PlaceNeed } from '../model/words'
import type { Waits } from '../plan/waits'
import { wayBetween } from '../stores/shops'
import { dayNumber, minuteMs } from '../time/civil'
import { openOn } from '../time/openAt'
import type { ZoneClock } from '../time/zone'
import { formatHours } from '../units/hours'
import type { Curing } from './curing'
import type { DayFrame } from './dayLine'
import { offeredWhile } from './offered'
import type { Offered } from './offered'
import { placeOn } from './placeOn'

/** What could be done at the other place that day, and what going there takes. */
export interface OtherPlace {
  readonly place: Place
  /** One way, minutes. */
  readonly wayMin: number
  /** Unpacking and packing up there, minutes. */
  readonly setUpMin: number
  /** It is open from and to, UTC ms. */
  readonly open: readonly [number, number]
  readonly work: Offered
}

/** Less than this is not gone for, minutes. */
const leastWonMin = 30

/** The other place of a day, where there is short work to be done; null: there is none, or it is shut. */
export function otherPlace(
  rows: RefitRows,
  plan: StoredPlan,
  frame: DayFrame,
  curing: readonly Curing[],
  onSheet: ReadonlySet<string | undefined>,
  waits: Waits,
  clock: ZoneClock,
): OtherPlace | null {
  if (frame.placeNeed === 'away') return null
  const need = frame.placeNeed === 'boat' ? 'shed' : 'boat'
  const placeFor = (one: PlaceNeed) => placeOn(rows, plan, frame.on, one, clock)
  const [here, place] = [placeFor(frame.placeNeed), placeFor(need)]
  const day = dayNumber(frame.on)
  const open = openOn(place, day)
  if (!here || !place || !open || here.id === place.id) return null
  const start = clock.at(day, 0)
  const there = { ...frame, placeNeed: need } as const
  const [work] = offeredWhile(rows, plan, there, curing, onSheet, waits, clock, start)
  if (!work) return null
  return {
    place,
    wayMin: wayBetween(rows, here, place),
    setUpMin: place.setUpMin + place.packUpMin,
    open: [clock.at(day, open[0]), clock.at(day, open[1])],
    work,
  }
}

/** "The shed leaves 45 min of it for “Coat 2”", or by how much it is not worth it. `from` and `to`: the pause, UTC ms. */
export function sayOtherPlace(other: OtherPlace, from: number, to: number): string {
  const { place, wayMin, setUpMin, open, work } = other
  const way = wayMin * minuteMs
  const there = Math.min(to - way, open[1]) - Math.max(from + way, open[0])
  const wonMin = Math.floor(there / minuteMs) - setUpMin
  const why = `${wayMin} min each way${setUpMin > 0 ? `, ${setUpMin} to set up and pack up` : ''}`
  if (wonMin < leastWonMin)
    return `${place.name} is not worth it: ${why}, ${wonMin <= 0 ? 'nothing' : `${wonMin} min`} left`
  return `${place.name} for it? ${why}, ${formatHours(wonMin / 60)} left for “${work.step.title}”`
}

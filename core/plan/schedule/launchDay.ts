import { dayNumber, minutesOf, weekdayOf } from '../../time/civil'
import type { ZoneClock } from '../../time/zone'
import { nextLift } from './hullWindows'
import type { Ashore } from './sites'
import type { Binding } from './binding'

/** A launch placed: when, and what holds it. */
export interface LaunchDay {
  readonly at: number
  readonly binding: Binding
}

/** UTC ms of the yard's first lift on a civil date. */
export const liftOn = (one: Ashore, date: string, clock: ZoneClock): number =>
  clock.at(dayNumber(date), minutesOf(one.yard?.liftFrom ?? '09:00'))

/** Lift days looked through for one on which the people for the slings can come. */
const mostTriedDays = 120

/**
 * The first lift at or after all is ready on which those who watch her in the slings can come. Unless the
 * haul-out says as soon as ready, it is not before the booked (else aimed) date. `readyBinding` names the
 * last thing to be ready.
 */
export function launchDay(
  one: Ashore,
  readyAt: number,
  readyBinding: Binding,
  clock: ZoneClock,
  canCome: (day: number) => boolean = () => true,
): LaunchDay {
  const { haulOut, yard } = one
  const aim = liftOn(one, haulOut.launchBooked ?? haulOut.launchAimed, clock)
  const held = haulOut.launchWhen !== 'asReady' && aim > readyAt
  const liftAt = (day: number) => clock.at(day, minutesOf(yard?.liftFrom ?? '09:00'))
  const liftFrom = (from: number) =>
    nextLift(from, yard?.liftWeekdays ?? [], liftAt, clock.dayOf, weekdayOf)
  const first = liftFrom(held ? aim : readyAt)
  let at = first
  for (let tried = 0; !canCome(clock.dayOf(at)); tried++) {
    // Nobody ever can: the day stands, and the step says why it cannot be done.
    if (tried === mostTriedDays) {
      at = first
      break
    }
    at = liftFrom(at + 1)
  }
  if (at > first) return { at, binding: { kind: 'calendar', until: at } }
  // Aimed for a day on which the yard does not lift: the first lift after it, and that is what holds.
  const later = clock.dayOf(at) > clock.dayOf(aim)
  if (held && later) return { at, binding: { kind: 'liftDay', haulOutId: haulOut.id, aimed: true } }
  if (held) return { at, binding: { kind: 'aim', haulOutId: haulOut.id } }
  const waits = clock.dayOf(at) > clock.dayOf(readyAt)
  return { at, binding: waits ? { kind: 'liftDay', haulOutId: haulOut.id } : readyBinding }
}

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

/**
 * The first lift at or after all is ready. Unless the haul-out says as soon as ready, it is not before
 * the booked (else aimed) date. `readyBinding` names the last thing to be ready.
 */
export function launchDay(
  one: Ashore,
  readyAt: number,
  readyBinding: Binding,
  clock: ZoneClock,
): LaunchDay {
  const { haulOut, yard } = one
  const aim = liftOn(one, haulOut.launchBooked ?? haulOut.launchAimed, clock)
  const held = haulOut.launchWhen !== 'asReady' && aim > readyAt
  const liftAt = (day: number) => clock.at(day, minutesOf(yard?.liftFrom ?? '09:00'))
  const at = nextLift(
    held ? aim : readyAt,
    yard?.liftWeekdays ?? [],
    liftAt,
    clock.dayOf,
    weekdayOf,
  )
  if (held) return { at, binding: { kind: 'aim', haulOutId: haulOut.id } }
  const waits = clock.dayOf(at) > clock.dayOf(readyAt)
  return { at, binding: waits ? { kind: 'liftDay', haulOutId: haulOut.id } : readyBinding }
}

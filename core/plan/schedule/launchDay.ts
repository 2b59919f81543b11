import { dayMs } from '../../time/civil'
import type { ZoneClock } from '../../time/zone'
import { liftOn } from './haulOuts'
import type { Ashore } from './haulOuts'
import type { Binding } from './binding'

/** A launch placed: when, and what holds it. */
export interface LaunchDay {
  readonly at: number
  readonly binding: Binding
}

/** Lift days looked through for one on which the people for the slings can come. */
const mostTriedDays = 120
/** A launch waits so long for a lift day on which its people are there anyway; else they come for it. */
const waitForPeopleMs = 14 * dayMs

/** Asked of a local day: whether those who are wanted at the launch are there in their usual hours, or can come. */
export interface WhoLaunches {
  areThere(day: number): boolean
  canCome(day: number): boolean
}

const anybody: WhoLaunches = { areThere: () => true, canCome: () => true }

/**
 * The first lift at or after all is ready on which the people for it are there; where none comes within two weeks, the
 * first on which they can come. Unless the
 * haul-out says as soon as ready, it is not before the booked (else aimed) date. `readyBinding` names the
 * last thing to be ready.
 */
export function launchDay(
  one: Ashore,
  readyAt: number,
  readyBinding: Binding,
  clock: ZoneClock,
  who: WhoLaunches = anybody,
): LaunchDay {
  const { haulOut, lifts } = one
  const aim = liftOn(one, haulOut.launchBooked ?? haulOut.launchAimed)
  const held = haulOut.launchWhen !== 'asReady' && aim > readyAt
  const first = lifts.next(held ? aim : readyAt)
  const firstOn = (suits: (day: number) => boolean, until: number): number | null => {
    let lift = first
    for (let tried = 0; tried < mostTriedDays && lift <= until; tried++) {
      if (suits(clock.dayOf(lift))) return lift
      lift = lifts.next(lift + 1)
    }
    return null
  }
  // Nobody ever can: the day stands, and the step says why it cannot be done.
  const at =
    firstOn((day) => who.areThere(day), first + waitForPeopleMs) ??
    firstOn((day) => who.canCome(day), Infinity) ??
    first
  if (at > first) return { at, binding: { kind: 'liftDay', haulOutId: haulOut.id, people: true } }
  // Aimed for a day on which the yard does not lift: the first lift after it, and that is what holds.
  const later = clock.dayOf(at) > clock.dayOf(aim)
  if (held && later) return { at, binding: { kind: 'liftDay', haulOutId: haulOut.id, aimed: true } }
  if (held) return { at, binding: { kind: 'aim', haulOutId: haulOut.id } }
  const waits = clock.dayOf(at) > clock.dayOf(readyAt)
  return { at, binding: waits ? { kind: 'liftDay', haulOutId: haulOut.id } : readyBinding }
}

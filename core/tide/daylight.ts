import { getTimes } from 'suncalc'
import { dayMs } from '../time/civil'
import type { Interval } from '../time/intervals'
import type { ZoneClock } from '../time/zone'

/** From sunrise to sunset on a local day; the whole day where the sun never sets, null where it never rises. */
export function daylight(
  day: number,
  latitudeDeg: number,
  longitudeDeg: number,
  clock: ZoneClock,
): Interval | null {
  const times = getTimes(new Date(clock.at(day, 12 * 60)), latitudeDeg, longitudeDeg)
  if (times.sunrise && times.sunset) return [times.sunrise.getTime(), times.sunset.getTime()]
  const from = clock.at(day, 0)
  return times.alwaysUp ? [from, from + dayMs] : null
}

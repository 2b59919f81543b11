import type { StoredPlan } from '../model/stored'
import { hourMs } from '../time/civil'
import type { ZoneClock } from '../time/zone'
import type { HandsDay } from './handsOn'

/**
 * Person-hours that people can give on the days from one local day to before another and that the plan leaves free. A day's
 * hours are no use on another: where the plan has more than is there, nothing is taken off the next.
 */
export function freeHours(
  plan: Pick<StoredPlan, 'placements'> | null,
  clock: ZoneClock,
  hands: (day: number) => Pick<HandsDay, 'hours'>,
  first: number,
  end: number,
): number {
  const planned = new Map<number, number>()
  for (const { segments, personIds } of plan?.placements ?? [])
    for (const [from, to] of segments) {
      const day = clock.dayOf(from)
      planned.set(day, (planned.get(day) ?? 0) + ((to - from) / hourMs) * personIds.length)
    }
  let free = 0
  for (let day = first; day < end; day++)
    free += Math.max(0, hands(day).hours - (planned.get(day) ?? 0))
  return free
}

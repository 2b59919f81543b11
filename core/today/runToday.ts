/** When the round of the shops fits into a day: who is idle long enough, while what cures. Source: handbook-2 B2. */
import type { Person, Place } from '../model/entities'
import { inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import type { RunShop } from '../stores/run'
import { routeWithin } from '../stores/runRoute'
import type { Route, RunStop } from '../stores/runRoute'
import { wayBetween } from '../stores/shops'
import { dayMs, dayNumber } from '../time/civil'
import type { Interval } from '../time/intervals'
import { openOn } from '../time/openAt'
import type { ZoneClock } from '../time/zone'
import type { Curing } from './curing'
import type { DayLine } from './dayLine'
import { idle } from './errands'
import type { ErrandFrame } from './errands'

/** A shop with its hours of the day, UTC ms; null: shut. */
interface ShopHours {
  readonly shop: RunShop
  readonly open: Interval | null
}

interface RunPlan {
  /** Who is idle for it; null: nobody is, it goes as soon as it can. */
  readonly person: Person | null
  readonly route: Route
  readonly leaveBy: number
  /** What cures all the while; null: nothing does. */
  readonly whileIt: Curing | null
}

export interface RunDay {
  readonly hours: readonly ShopHours[]
  readonly plan: RunPlan | null
  /** Shops that cannot be seen that day any more, or not with the others. */
  readonly left: readonly RunShop[]
}

/** Shops in the order of what blocks; the last are left first when they do not all fit. `now`: UTC ms. */
export function runToday(
  rows: RefitRows,
  shops: readonly RunShop[],
  lines: readonly DayLine[],
  curing: readonly Curing[],
  frame: ErrandFrame,
  clock: ZoneClock,
  now: number,
): RunDay {
  const day = dayNumber(frame.on)
  const hours = shops.map((shop): ShopHours => {
    const open = openOn(shop.place, day)
    return { shop, open: open && [clock.at(day, open[0]), clock.at(day, open[1])] }
  })
  const places = new Map(shops.map(({ place }) => [place.id, place]))
  const placeAt = (id: string | null): Place | null =>
    id === null ? frame.place : (places.get(id) ?? null)
  const wayMin = (from: string | null, to: string | null) =>
    wayBetween(rows, placeAt(from), placeAt(to))
  let going = hours.flatMap(({ shop, open }): RunStop[] =>
    open ? [{ shopId: shop.place.id, open }] : [],
  )
  const people = inOrder(rows.person).filter((one) => frame.personIds.includes(one.id))
  const start = Math.max(frame.from, now)
  let plan: RunPlan | null = null
  while (going.length > 0 && plan === null) {
    plan =
      whoIsIdle(people, lines, going, [start, frame.to], wayMin) ?? anyway(going, start, wayMin)
    if (plan === null) going = going.slice(0, -1)
  }
  const reached = new Set(plan?.route.visits.map((one) => one.shopId))
  const cures = plan
    ? (curing.find((one) => one.from <= plan.route.leaveAt && one.until >= plan.route.backAt) ??
      null)
    : null
  return {
    hours,
    plan: plan && { ...plan, whileIt: cures },
    left: shops.filter(({ place }) => !reached.has(place.id)),
  }
}

type WayMin = (from: string | null, to: string | null) => number

/** The first stretch in which somebody has nothing to do that is long enough. */
function whoIsIdle(
  people: readonly Person[],
  lines: readonly DayLine[],
  stops: readonly RunStop[],
  [from, to]: Interval,
  wayMin: WayMin,
): RunPlan | null {
  const found = people.flatMap((person) =>
    idle(person, lines, from, to).flatMap((free): RunPlan[] => {
      const fit = routeWithin(stops, free, wayMin)
      return fit ? [{ person, ...fit, whileIt: null }] : []
    }),
  )
  return found.reduce<RunPlan | null>(
    (best, one) => (best === null || one.route.leaveAt < best.route.leaveAt ? one : best),
    null,
  )
}

/** Nobody is idle: the way there and back all the same, on the same day. */
function anyway(stops: readonly RunStop[], from: number, wayMin: WayMin): RunPlan | null {
  const fit = routeWithin(stops, [from, from + dayMs], wayMin)
  return fit && { person: null, ...fit, whileIt: null }
}

/** Who goes and when, or why nobody can. `from`: where they leave from. Words are in the day's own time. */
export function sayRunPlan(
  { hours, plan, left }: RunDay,
  from: string,
  timeOf: (at: number) => string,
): string {
  const shut = left.filter((shop) => hours.some((one) => one.shop === shop && one.open === null))
  const late = left.filter((shop) => !shut.includes(shop))
  const shutWords = shut.length === 0 ? '' : `${names(shut)} ${are(shut)} shut that day.`
  if (!plan)
    return late.length === 0
      ? 'Every shop is shut that day.'
      : [`It is too late for ${names(late)} that day.`, shutWords].filter(Boolean).join(' ')
  const missed = [late.length === 0 ? '' : `${names(late)} cannot be seen in time.`, shutWords]
    .filter(Boolean)
    .map((words) => ` ${words}`)
    .join('')
  const { person, route, leaveBy, whileIt } = plan
  const back = `be back${from === '' ? '' : ` at ${from}`} by ${timeOf(route.backAt)}`
  const last =
    leaveBy - route.leaveAt < closeTogetherMs ? '' : `; at the latest leave at ${timeOf(leaveBy)}`
  const way = `leave at ${timeOf(route.leaveAt)} and ${back}${last}.${missed}`
  if (!person) return `Nobody is idle for so long. If you go all the same, ${way}`
  return `${person.name} has time${whileIt ? ` while “${whileIt.title}” cures` : ''}: ${way}`
}
const closeTogetherMs = 5 * 60_000
const names = (shops: readonly RunShop[]): string =>
  shops.map(({ place }) => place.name).join(' and ')
const are = (shops: readonly RunShop[]): string => (shops.length === 1 ? 'is' : 'are')

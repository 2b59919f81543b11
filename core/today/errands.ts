/** What is still to be bought for the day, and when somebody can go for it without anybody waiting. Source: handbook-2 B2. */
import type { Person, Place, Step } from '../model/entities'
import { inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { maySplit } from '../plan/facts'
import { toMeasure } from '../recipes/known'
import { inShopMin } from '../stores/runRoute'
import { shopOf, wayBetween } from '../stores/shops'
import { dayNumber, minuteMs } from '../time/civil'
import { openOn } from '../time/openAt'
import type { ZoneClock } from '../time/zone'
import type { DayLine } from './dayLine'
import type { TakeLine } from './takeWith'

/** One way to a shop and back. */
interface Trip {
  readonly personId: string
  /** The first and the last moment to leave, UTC ms. */
  readonly leaveFrom: number
  readonly leaveBy: number
  /** Back by then, whenever they left. */
  readonly backBy: number
}

/** Things of a day that one shop has. */
export interface Errand {
  readonly shop: Place
  /** Minutes after midnight; null: shut that day. */
  readonly open: readonly [number, number] | null
  readonly things: readonly TakeLine[]
  /** When the first step that wants one of them begins, UTC ms, and its name. */
  readonly neededAt: number
  readonly forStep: string
  /** Minutes one way, from where the work is. */
  readonly wayMin: number
  readonly trip: Trip | null
  /** The shop is open before the day begins, with time for the way on. */
  readonly onTheWay: boolean
  /** Work one person could leave for it, where nobody is idle; null: none. */
  readonly instead: (Trip & { readonly step: Step }) | null
  /** What to measure of the same jobs before going. */
  readonly measureFirst: readonly string[]
}

/** What the day has. */
export interface ErrandFrame {
  readonly on: string
  /** Who is there, from when to when, UTC ms. */
  readonly personIds: readonly string[]
  readonly from: number
  readonly to: number
  /** Where the work is; null: not said. */
  readonly place: Place | null
}

/** Trips for what is to buy, shop by shop; what is wanted first stands first. `now`: nobody leaves earlier. */
export function errandsOf(
  rows: RefitRows,
  take: readonly TakeLine[],
  lines: readonly DayLine[],
  frame: ErrandFrame,
  clock: ZoneClock,
  now: number,
): Errand[] {
  const shopFor = shopOf(rows)
  const wanted = new Map<Place, TakeLine[]>()
  for (const line of take) {
    if (line.at !== 'to buy') continue
    const shop = shopFor(line)
    if (shop) wanted.set(shop, [...(wanted.get(shop) ?? []), line])
  }
  const guesses = toMeasure(rows)
  return [...wanted]
    .map(([shop, things]): Errand => {
      const first = things
        .map((one) => lines.find((line) => line.step?.id === one.stepId))
        .filter((line): line is DayLine => line !== undefined)
        .sort((a, b) => a.from - b.from)[0]
      const neededAt = first?.from ?? frame.to
      const open = openOn(shop, dayNumber(frame.on))
      const wayMin = wayBetween(rows, frame.place, shop)
      // What is bought to measure rests on guesses; what is used up does not.
      const jobIds = new Set(
        things
          .filter((one) => one.entity === 'part')
          .map((one) => lines.find((line) => line.step?.id === one.stepId)?.job?.id),
      )
      return {
        shop,
        open,
        things,
        neededAt,
        forStep: first?.step?.title ?? '',
        wayMin,
        onTheWay:
          open !== null &&
          clock.at(dayNumber(frame.on), open[0] + inShopMin + wayMin) <= frame.from &&
          frame.from > now,
        ...goingTo(rows, lines, { ...frame, to: neededAt }, clock, now, open, wayMin),
        measureFirst: guesses.filter((one) => jobIds.has(one.job.id)).map((one) => one.input.label),
      }
    })
    .sort((a, b) => a.neededAt - b.neededAt || (a.shop.id < b.shop.id ? -1 : 1))
}

/** Who goes: whoever is idle first, else whoever is alone at work that may be left. */
function goingTo(
  rows: Pick<RefitRows, 'person'>,
  lines: readonly DayLine[],
  frame: ErrandFrame,
  clock: ZoneClock,
  now: number,
  open: readonly [number, number] | null,
  wayMin: number,
): Pick<Errand, 'trip' | 'instead'> {
  if (!open) return { trip: null, instead: null }
  const trip = tripTo(rows, lines, frame, clock, now, open, wayMin)
  if (trip) return { trip, instead: null }
  for (const line of [...lines].sort((a, b) => a.from - b.from)) {
    const { step } = line
    if (!step || line.personIds.length !== 1 || !maySplit(step)) continue
    const others = lines.filter((one) => one !== line)
    const found = tripTo(rows, others, frame, clock, now, open, wayMin)
    if (found) return { trip: null, instead: { ...found, step } }
  }
  return { trip: null, instead: null }
}

/** The earliest stretch in which somebody has nothing to do that is long enough to go, buy and come back. */
function tripTo(
  rows: Pick<RefitRows, 'person'>,
  lines: readonly DayLine[],
  frame: ErrandFrame,
  clock: ZoneClock,
  now: number,
  open: readonly [number, number],
  wayMin: number,
): Trip | null {
  const day = dayNumber(frame.on)
  const way = wayMin * minuteMs
  const length = 2 * way + inShopMin * minuteMs
  const trips = inOrder(rows.person)
    .filter((person) => frame.personIds.includes(person.id))
    .flatMap((person) =>
      idle(person, lines, Math.max(frame.from, now), frame.to).flatMap(([from, to]): Trip[] => {
        const leaveFrom = Math.max(from, clock.at(day, open[0]) - way)
        const leaveBy = Math.min(to - length, clock.at(day, open[1]) - inShopMin * minuteMs - way)
        return leaveBy < leaveFrom
          ? []
          : [{ personId: person.id, leaveFrom, leaveBy, backBy: leaveBy + length }]
      }),
    )
  return trips.reduce<Trip | null>(
    (best, one) => (best === null || one.leaveFrom < best.leaveFrom ? one : best),
    null,
  )
}

/** Stretches of a day in which a person stands on no line. */
export function idle(
  person: Pick<Person, 'id'>,
  lines: readonly DayLine[],
  from: number,
  to: number,
): [number, number][] {
  const busy = lines
    .filter((line) => line.personIds.includes(person.id))
    .sort((a, b) => a.from - b.from)
  const free: [number, number][] = []
  let at = from
  for (const line of busy) {
    if (line.from > at) free.push([at, Math.min(line.from, to)])
    at = Math.max(at, line.to)
  }
  if (at < to) free.push([at, to])
  return free.filter(([a, b]) => b > a)
}

/** "Piet can go between 10:20 and 10:45 and is back by 11:40", or why nobody can. */
export function sayErrand(
  errand: Errand,
  nameOf: (personId: string) => string,
  timeOf: (at: number) => string,
): string {
  const { shop, open, trip, instead, onTheWay, wayMin, neededAt, forStep } = errand
  const wants = forStep === '' ? '' : ` “${forStep}” wants it at ${timeOf(neededAt)}.`
  if (!open) return `${shop.name} is shut that day.${wants}`
  const both = 2 * wayMin + inShopMin
  if (instead)
    return `Nobody is idle for the ${both} minutes: ${nameOf(instead.personId)} could leave “${instead.step.title}” for it, at the latest at ${timeOf(instead.leaveBy)}.${wants}`
  if (!trip)
    return `Nobody has the ${both} minutes for it before it is wanted${onTheWay ? ': fetch it on the way there' : ''}.${wants}`
  const who = nameOf(trip.personId)
  const when =
    trip.leaveBy - trip.leaveFrom < 5 * minuteMs
      ? `at ${timeOf(trip.leaveFrom)}`
      : `from ${timeOf(trip.leaveFrom)}, at the latest at ${timeOf(trip.leaveBy)}`
  return `${who} has time: leave ${when}, back by ${timeOf(trip.backBy)}.${wants}`
}

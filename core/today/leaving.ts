/** Can we leave her like this? What has to be done before everybody goes, and what stops it. Source: handbook-2 B5. */
import type { Zone } from '../model/entities'
import { byId } from '../model/refit'
import type { RefitRows } from '../model/refit'
import type { Operation } from '../model/words'
import { openings } from '../plan/openings'
import type { Opening } from '../plan/openings'
import { hourMs } from '../time/civil'
import { clockTimeOf, shortDateTime } from '../time/say'
import type { ZoneClock } from '../time/zone'
import type { Weather } from '../weather/weather'
import type { Curing } from './curing'
import type { Visit } from './nextVisit'

/** `stop`: she cannot be left like that; `last`: the last things; `runs`: goes on by itself; `todo`: all else. */
type LeaveKind = 'stop' | 'todo' | 'last' | 'runs'

/** A line of the list. */
export interface LeaveLine {
  /** The same line from one look to the next. */
  readonly key: string
  readonly kind: LeaveKind
  readonly what: string
  readonly why: string
  readonly zoneId: string | null
  /** When it was ticked, UTC ms; null: it was not. */
  readonly doneAt: number | null
}

export interface Leaving {
  readonly lines: readonly LeaveLine[]
  /** Rain between leaving and the next visit, by the forecast. */
  readonly rain: { readonly from: number; readonly to: number } | null
  /** The forecast does not reach the next visit. */
  readonly forecastEnds: boolean
}

/** What is asked of the day. */
export interface LeaveFrame {
  readonly on: string
  /** UTC ms. */
  readonly leaveAt: number
  readonly next: Visit | null
  readonly isAshore: boolean
  readonly curing: readonly Curing[]
}

const hotWork: readonly Operation[] = ['weld']
const mixed: readonly Operation[] = ['laminate', 'fill', 'barrier']

/** The list before leaving, stops first. */
export function leavingList(
  rows: RefitRows,
  weather: Weather,
  frame: LeaveFrame,
  clock: ZoneClock,
): Leaving {
  const zones = byId(rows.zone)
  const ticks = new Map(
    rows.leaving
      .filter((one) => one.on === frame.on && one.line !== '')
      .map((one) => [one.line, one.at]),
  )
  const until = frame.next?.at ?? Infinity
  const rain = rainBetween(weather, frame.leaveAt, until)
  const forecastEnds = weather.until < Math.min(until, frame.leaveAt + 7 * 24 * hourMs)
  const lines: LeaveLine[] = []
  const put = (
    key: string,
    kind: LeaveKind,
    what: string,
    why: string,
    zoneId: string | null = null,
  ) => {
    const doneAt = ticks.get(key) ?? null
    lines.push({
      key,
      kind: kind === 'stop' && doneAt !== null ? 'todo' : kind,
      what,
      why,
      zoneId,
      doneAt,
    })
  }
  const next = frame.next ? shortDateTime(frame.next.at, clock, frame.on.slice(0, 4)) : ''
  for (const { job, step } of openNow(rows)) {
    const zone = zones.get(job.zoneId ?? '')
    if (!isOutside(zone)) continue
    const covered =
      weather.hasRoof(step, frame.leaveAt) &&
      weather.hasRoof(step, Math.min(until, frame.leaveAt + 24 * hourMs))
    const name = zone?.name ?? job.title
    if (covered)
      put(
        `cover ${zone?.id ?? job.id}`,
        'todo',
        `${name}: cover shut and lashed`,
        `opened by “${step.title}”`,
        zone?.id,
      )
    else if (rain)
      put(
        `open ${job.id}`,
        'stop',
        `${name}: close or cover it`,
        `opened by “${step.title}”, rain from ${shortDateTime(rain.from, clock, frame.on.slice(0, 4))}`,
        zone?.id,
      )
    else
      put(
        `open ${job.id}`,
        forecastEnds ? 'stop' : 'todo',
        `${name}: close or cover it`,
        forecastEnds
          ? `opened by “${step.title}”, and no forecast reaches the next visit`
          : `opened by “${step.title}”`,
        zone?.id,
      )
  }
  for (const cover of rows.cover) {
    if (cover.upOn > frame.on || (cover.downOn !== null && cover.downOn < frame.on)) continue
    const zoneId = cover.zoneIds[0] ?? null
    if (cover.kind === 'heat')
      put(
        `runs ${cover.id}`,
        'runs',
        `${cover.title}: may it run with nobody here?`,
        next ? `look at it ${next}` : 'nobody comes: off',
        zoneId,
      )
    else put(`shut ${cover.id}`, 'todo', `${cover.title}: shut, low side lashed`, '', zoneId)
  }
  const today = rows.step.filter(
    (step) =>
      step.state === 'done' && step.doneAt !== null && clock.dateOf(step.doneAt) === frame.on,
  )
  if (today.some((step) => mixed.includes(step.operation)))
    put(
      'cups',
      'todo',
      'Cups of resin outdoors on concrete, cold',
      'a cup can catch fire hours later',
    )
  const hot = today
    .filter((step) => hotWork.includes(step.operation))
    .map((step) => step.doneAt ?? 0)
  const watchUntil = Math.max(0, ...hot) + hourMs
  if (hot.length > 0 && watchUntil > frame.leaveAt)
    put(
      'watch',
      'stop',
      `Hot work watched until ${clockTimeOf(watchUntil, clock)}`,
      'sixty minutes after the last spark',
    )
  put('hatches', 'todo', 'Hatches, windows and vents shut', '')
  put('drains', 'todo', 'Cockpit drains clear', 'a blocked drain fills her with rain')
  for (const one of frame.curing)
    if (one.step && one.until > frame.leaveAt && one.step.operation === 'bed')
      put(
        `seal ${one.key}`,
        'runs',
        `${one.title}: the sealant cures`,
        `until ${shortDateTime(one.until, clock, frame.on.slice(0, 4))}, nothing against it`,
        one.job?.zoneId ?? null,
      )
  if (frame.isAshore)
    put('stands', 'todo', 'Stands and chains looked at', 'the yard moves them, never you')
  else put('lines', 'todo', 'Lines, fenders and bilge looked at', '')
  put('power', 'last', 'Shore lead: only what must run', '')
  if (frame.isAshore) put('ladder', 'last', 'Ladder down and locked', '')
  const rank = { stop: 0, todo: 1, runs: 2, last: 3 }
  return { lines: lines.sort((a, b) => rank[a.kind] - rank[b.kind]), rain, forecastEnds }
}

/** True for places that rain reaches when they are open. */
const isOutside = (zone: Zone | undefined): boolean =>
  zone === undefined || zone.strake === 'deck' || zone.strake === 'rig'

/** Jobs that stand open: an opening step is done, or under way, and the next that closes is not. */
export const openNow = (rows: Pick<RefitRows, 'job' | 'step'>): Opening[] =>
  openings(rows, new Map()).filter((one) => one.isBegun)

/** The first rain between two instants by the hours known; null: none is known. */
function rainBetween(
  weather: Pick<Weather, 'hours'>,
  from: number,
  to: number,
): { from: number; to: number } | null {
  const first = weather.hours.findIndex(
    (hour) => hour.rain && hour.at + hourMs > from && hour.at < to,
  )
  if (first < 0) return null
  let last = first
  while (
    weather.hours[last + 1]?.rain &&
    weather.hours[last + 1]?.at === (weather.hours[last]?.at ?? 0) + hourMs
  )
    last++
  return {
    from: Math.max(from, weather.hours[first]?.at ?? from),
    to: (weather.hours[last]?.at ?? from) + hourMs,
  }
}

/** "Not yet: close the foredeck, watch the weld, and she can be left." */
export function sayLeaving({ lines }: Leaving): {
  readonly canBeLeft: boolean
  readonly said: string
} {
  const open = lines.filter((line) => line.doneAt === null)
  const stops = open.filter((line) => line.kind === 'stop')
  const rest = open.filter((line) => line.kind === 'todo' || line.kind === 'last').length
  if (stops.length > 0) {
    const named = stops.slice(0, 2).map((line) => line.what.replace(/^./, (c) => c.toLowerCase()))
    const more = stops.length > 2 ? ` and ${stops.length - 2} more` : ''
    return { canBeLeft: false, said: `${named.join(', ')}${more}.` }
  }
  return {
    canBeLeft: true,
    said:
      rest === 0
        ? 'She can be left: all of the list is ticked.'
        : `Nothing stops it; ${rest} of the list to do first.`,
  }
}

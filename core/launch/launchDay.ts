/** The day she goes in, hour by hour, from the water that is there. Source: handbook 6, 16. */
import type { Person } from '../model/entities'
import { beforeWaterMin, slingsOnMin, swingMin } from '../tide/liftTimes'
import { minuteMs } from '../time/civil'
import type { Interval } from '../time/intervals'
import { accepted, refused } from '../result'
import type { Result } from '../result'

/** Minutes of each part, assumed; each can be longer with the crane driver's say. */
const partMin = { away: 15, slingsOff: 5, lower: 5, ready: 120 } as const
/** So many minutes at the least for the look, and so many for each opening. */
const [leastLookMin, openingLookMin] = [15, 1.6]
/** What the water may lose to the air: read again so high. */
const highHPa = 1030

export type Lane = 'lead' | 'second' | 'quay' | 'driver'

export interface DayPart {
  readonly from: number
  readonly to: number
  /** Which lanes it lies over. */
  readonly lanes: readonly Lane[]
  readonly what: string
  readonly how: string
  /** She hangs: stand clear. */
  readonly hangs: boolean
  /** The look, slings slack. */
  readonly looks: boolean
}

export interface LaunchDaySheet {
  readonly leaveAt: number
  /** The slings go on. */
  readonly liftAt: number
  readonly inAt: number
  readonly awayAt: number
  /** End of the water, or of the lift hours. */
  readonly tooLateAt: number
  readonly spareMin: number
  /** The same at a high of 1030 hPa; null: no tide is known, or it is not the tide that ends it. */
  readonly spareHighMin: number | null
  /** Who takes each lane; null: nobody. */
  readonly people: Readonly<Record<Exclude<Lane, 'driver'>, Person | null>>
  readonly parts: readonly DayPart[]
}

export interface LaunchDayFacts {
  /** When she can be afloat at the slip, and until when. */
  readonly water: Interval
  /** The same with the water of a high. */
  readonly waterHigh: Interval | null
  /** The yard's first lift. */
  readonly liftsFrom: number
  /** When the slings go on as booked; null: as soon as there is water. */
  readonly bookedAt: number | null
  readonly openings: number
  readonly travelMin: number
  /** In the order in which they take the lanes. */
  readonly people: readonly Person[]
  readonly hasEngine: boolean
}

/** Minutes for the look: some for each opening, and never in a hurry. */
const lookMinutes = (openings: number): number =>
  Math.max(leastLookMin, Math.ceil((openings * openingLookMin) / 5) * 5)

/**
 * When the slings can go on, UTC ms: not before the yard lifts or so soon that she hangs and waits for water, nor so late
 * that it is gone before she is away. Null: the water is too short for what has to be done in it.
 */
export function liftSpan(facts: LaunchDayFacts): Interval | null {
  const [water, until] = facts.water
  const earliest = Math.max(facts.liftsFrom, water - beforeWaterMin * minuteMs)
  const minutes =
    slingsOnMin +
    swingMin +
    partMin.lower +
    lookMinutes(facts.openings) +
    partMin.slingsOff +
    partMin.away
  const latest = until - minutes * minuteMs
  return latest < earliest ? null : [earliest, latest]
}

/**
 * The sheet of a launch day. Refused with nobody there: somebody looks at the openings before the slings go; and where
 * the water is too short for what has to be done in it.
 */
export function launchDaySheet(facts: LaunchDayFacts): Result<LaunchDaySheet> {
  const [lead, second, quay] = facts.people
  if (!lead)
    return refused(
      'Nobody of the boat is there that day: its hours are counted once somebody comes.',
    )
  const lookMin = lookMinutes(facts.openings)
  const before = beforeWaterMin * minuteMs
  const [water, until] = facts.water
  // She is swung out while the water comes, and not lowered before it is there.
  const liftAt = facts.bookedAt ?? Math.max(facts.liftsFrom, water - before)
  const swingAt = liftAt + slingsOnMin * minuteMs
  const lowerAt = Math.max(swingAt + swingMin * minuteMs, water)
  const inAt = lowerAt
  const lookAt = lowerAt + partMin.lower * minuteMs
  const sayAt = lookAt + lookMin * minuteMs
  const offAt = sayAt + partMin.slingsOff * minuteMs
  const awayAt = offAt + partMin.away * minuteMs
  if (awayAt > until)
    return refused(
      `From afloat to away takes ${Math.round((awayAt - inAt) / minuteMs)} minutes, and the water is there for ${Math.round((until - Math.max(water, inAt)) / minuteMs)}. Pick a longer window.`,
    )
  const readyAt = liftAt - partMin.ready * minuteMs
  const leaveAt = readyAt - facts.travelMin * minuteMs
  const own: Lane[] = [
    'lead',
    ...(second ? ['second' as const] : []),
    ...(quay ? ['quay' as const] : []),
  ]
  const all: Lane[] = [...own, 'driver']
  const part = (
    from: number,
    to: number,
    lanes: readonly Lane[],
    what: string,
    how: string,
    more: Partial<DayPart> = {},
  ): DayPart[] =>
    lanes.length > 0 && to > from
      ? [{ from, to, lanes, what, how, hangs: false, looks: false, ...more }]
      : []
  const only = (lane: Lane) => (own.includes(lane) ? [lane] : [])
  const half = readyAt + (partMin.ready / 2) * minuteMs
  const hangs = { hangs: true }
  const looks = { looks: true }
  const parts = [
    ...part(leaveAt, readyAt, own, 'Drive', 'plugs, hammer, torch with you'),
    ...part(
      readyAt,
      half,
      own,
      'Bungs in, valves shut, hatches shut',
      'every plug laid beside its opening; ladder off last',
    ),
    ...part(
      half,
      liftAt,
      own,
      'Lines and fenders on',
      facts.hasEngine
        ? 'engine: cooling water open only once she floats'
        : 'bow and stern line long enough for the quay',
    ),
    ...part(
      readyAt,
      liftAt,
      ['driver'],
      'Rigs the crane',
      'told weight, sling points and wind; the driver decides',
    ),
    ...part(liftAt, swingAt, ['lead'], 'Tapes the slings', 'clear of openings, shaft and log'),
    ...part(liftAt, swingAt, only('second'), 'Bow line', ''),
    ...part(liftAt, swingAt, only('quay'), 'Stern line', ''),
    ...part(liftAt, swingAt, ['driver'], 'Slings on', ''),
    ...part(
      swingAt,
      lowerAt,
      ['lead'],
      'Stands clear',
      'sees her keel lift; looks at the bare patches',
      hangs,
    ),
    ...part(swingAt, lowerAt, only('second'), 'Quay, forward', 'holds her bow off the wall', hangs),
    ...part(
      swingAt,
      lowerAt,
      only('quay'),
      'Quay, aft',
      'holds her stern, keeps others back',
      hangs,
    ),
    ...part(swingAt, lowerAt, ['driver'], 'Lifts and swings', 'nobody under or aboard', hangs),
    ...part(lowerAt, lookAt, ['lead'], 'Waits', 'boards when the driver says'),
    ...part(lowerAt, lookAt, only('second'), 'Makes fast', 'bow'),
    ...part(lowerAt, lookAt, only('quay'), 'Makes fast', 'stern'),
    ...part(lowerAt, lookAt, ['driver'], 'Lowers, slack', 'slings stay on'),
    ...part(
      lookAt,
      sayAt,
      ['lead'],
      `Looks: ${facts.openings || 'all'} places`,
      'torch, bow to stern, says each one',
      looks,
    ),
    ...part(
      lookAt,
      sayAt,
      only('second'),
      'Writes, plugs out',
      'by the hatch, with the hammer',
      looks,
    ),
    ...part(
      lookAt,
      sayAt,
      only('quay'),
      'On the quay',
      'phone in hand, between her and the driver',
      looks,
    ),
    ...part(lookAt, sayAt, ['driver'], 'Waits, hooked on', 'lifts again if one runs', looks),
    ...part(
      sayAt,
      offAt,
      all,
      'Any one running: up again.',
      `All dry: “let go” from ${lead.name} to the driver`,
    ),
    ...part(
      offAt,
      awayAt,
      own,
      facts.hasEngine ? 'Engine on, cooling water seen' : 'Off the slip',
      facts.hasEngine ? 'vent the shaft seal; then away' : 'away',
    ),
    ...part(offAt, awayAt, ['driver'], 'Slings off', ''),
  ]
  const spareMin = Math.floor((until - awayAt) / minuteMs)
  return accepted({
    leaveAt,
    liftAt,
    inAt,
    awayAt,
    tooLateAt: until,
    spareMin,
    spareHighMin: facts.waterHigh
      ? Math.floor((Math.min(facts.waterHigh[1], until) - awayAt) / minuteMs)
      : null,
    people: { lead, second: second ?? null, quay: quay ?? null },
    parts,
  })
}

export { highHPa }

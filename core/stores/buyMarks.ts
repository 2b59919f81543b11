/** The marks of one row of buying along the ruler: windows, leads, spare days, needs, what comes and what slips. */
import type { ZoneClock } from '../time/zone'
import { xOf } from '../sequence/ruler'
import type { Ruler } from '../sequence/ruler'
import { dayNumber } from '../time/civil'
import type { BuyRow } from './board'
import { closingDays } from './buyWindow'
import type { BuyWindow } from './buyWindow'
import type { TradeFacts } from './trades'

export type BuyMark =
  | {
      /** early: its size is not sure. lead and spare: on its way in time. way: it is ordered. lateRope: bought today it is late. */
      readonly kind: 'early' | 'lead' | 'spare' | 'way' | 'lateRope' | 'lateBy' | 'gap'
      readonly x0: number
      readonly x1: number
    }
  /** Looked for second-hand until its end. */
  | { readonly kind: 'look'; readonly x0: number; readonly x1: number }
  /** May be bought; from `taper` on it runs to a point. */
  | { readonly kind: 'open'; readonly x0: number; readonly x1: number; readonly taper: number }
  | {
      readonly kind: 'need' | 'crate' | 'crateLate' | 'slip' | 'washer' | 'shuts' | 'opens' | 'torn'
      readonly x: number
    }

/** Times of a day at which things happen in the drawing, minutes: shut in the evening, needed in the morning. */
const [morning, noon, evening] = [8 * 60, 12 * 60, 18 * 60]

/** Places of local days on the ruler; those beyond it stand at its ends. */
export interface DayPlaces {
  readonly morning: (day: number) => number
  readonly noon: (day: number) => number
  readonly evening: (day: number) => number
  readonly today: number
  readonly right: number
  readonly isBeyond: (day: number) => boolean
}

export function dayPlaces(ruler: Ruler, clock: ZoneClock, now: number): DayPlaces {
  const at = (minutes: number) => (day: number) =>
    Number.isFinite(day) ? xOf(ruler, clock.at(day, minutes)) : ruler.right
  return {
    morning: at(morning),
    noon: at(noon),
    evening: at(evening),
    today: xOf(ruler, now),
    right: ruler.right,
    isBeyond: (day) => !Number.isFinite(day) || clock.at(day, noon) >= ruler.to,
  }
}

const span = (
  kind: 'early' | 'lead' | 'spare' | 'way' | 'lateRope' | 'lateBy' | 'gap',
  x0: number,
  x1: number,
): BuyMark[] => (x1 - x0 > 0.5 ? [{ kind, x0, x1 }] : [])

/** The end at the need: a post, or torn where that lies beyond the drawing. */
const ending = (day: number, at: DayPlaces): BuyMark =>
  at.isBeyond(day) ? { kind: 'torn', x: at.right } : { kind: 'need', x: at.morning(day) }

/** A window that is still ahead or open. */
function windowMarks(window: BuyWindow, today: number, at: DayPlaces): BuyMark[] {
  const { opensOn, closesOn, neededOn, leadDays } = window
  if (closesOn === null || neededOn === null) return []
  const opens = opensOn === null ? at.today : at.evening(opensOn)
  const shuts = Math.max(opens, at.evening(closesOn))
  const taper = Math.max(opens, at.evening(closesOn - closingDays))
  const came = Math.max(shuts, at.noon(closesOn + leadDays))
  const open: BuyMark[] =
    shuts - opens > 0.5
      ? [{ kind: 'open', x0: opens, x1: shuts, taper: Math.min(taper, shuts) }]
      : []
  return [
    ...span('early', at.today, opens),
    ...open,
    ...span('lead', shuts, came),
    ...span('spare', came, at.morning(neededOn)),
    ending(neededOn, at),
  ]
}

/** Bought today: as a rule, and when it goes badly. */
function todayMarks({ window, chance, wants }: BuyRow, today: number, at: DayPlaces): BuyMark[] {
  const { neededOn, leadDays } = window
  if (neededOn === null) return []
  const comes = today + leadDays
  const need = at.morning(neededOn)
  const isLate = comes > neededOn
  const badly = today + Math.max(leadDays, ...wants.map((one) => one.lead.lateDays))
  const slips = (chance ?? 0) >= leastChance && badly > neededOn
  const arrives = leadDays === 0 ? at.today + 14 : at.noon(comes)
  const before: BuyMark[] =
    leadDays === 0 ? [{ kind: 'open', x0: at.today, x1: at.today + 14, taper: at.today }] : []
  return [
    ...before,
    ...span(isLate || slips ? 'lateRope' : 'lead', leadDays === 0 ? arrives : at.today, arrives),
    ...(isLate ? [] : span('spare', arrives, need)),
    ...span('lateBy', need, slips ? at.noon(badly) : isLate ? arrives : need),
    ending(neededOn, at),
    ...(isLate || slips ? [{ kind: 'crateLate' as const, x: arrives }] : []),
    ...(slips && !at.isBeyond(badly) ? [{ kind: 'slip' as const, x: at.noon(badly) }] : []),
  ]
}
/** Odds of a miss smaller than this are not drawn. */
const leastChance = 0.05

function onItsWayMarks(row: BuyRow, nameEnd: number, at: DayPlaces): BuyMark[] {
  const { dueOn, slippedDays, window, holds } = row
  if (dueOn === null) return []
  const due = at.noon(dueOn)
  const isLate = holds || slippedDays > 0
  const needed = window.neededOn
  return [
    ...span('way', nameEnd, due),
    ...(slippedDays > 0
      ? span('lateBy', Math.max(nameEnd, at.noon(dueOn - slippedDays)), due)
      : []),
    ...(needed === null || needed < dueOn
      ? []
      : [...span('spare', due + 9, at.morning(needed)), ending(needed, at)]),
    at.isBeyond(dueOn)
      ? { kind: 'torn', x: at.right }
      : { kind: isLate ? 'crateLate' : 'crate', x: due },
  ]
}

/** Until when it is looked for second-hand, the first of its days. */
function lookMarks({ wants }: BuyRow, at: DayPlaces): BuyMark[] {
  const days = wants.flatMap(({ part }) => (part.lookUntil ? dayNumber(part.lookUntil) : []))
  if (days.length === 0) return []
  const x1 = at.evening(Math.min(...days))
  return x1 > at.today ? [{ kind: 'look', x0: at.today, x1 }] : []
}

/** Marks of a row from the left to the right. `nameEnd`: its name reaches so far. */
export function rowMarks(row: BuyRow, today: number, nameEnd: number, at: DayPlaces): BuyMark[] {
  if (row.kind === 'buy') return [...toBuyMarks(row, today, at), ...lookMarks(row, at)]
  const { window, risk } = row
  if (row.kind === 'onItsWay') return onItsWayMarks(row, nameEnd, at)
  return [
    ...span('early', at.today, risk ? at.evening(risk.untilOn) : at.today),
    { kind: 'washer', x: at.today + 12 },
    ...(window.neededOn === null
      ? []
      : [
          ...span('way', at.evening(risk?.untilOn ?? today), at.morning(window.neededOn)),
          ending(window.neededOn, at),
        ]),
  ]
}

function toBuyMarks(row: BuyRow, today: number, at: DayPlaces): BuyMark[] {
  const { window } = row
  switch (window.state) {
    case 'undated':
      return []
    case 'late':
    case 'buyToday':
      return todayMarks(row, today, at)
    case 'shutsFirst': {
      const [closes, opens, needs] = [
        window.closesOn ?? today,
        window.opensOn ?? Infinity,
        window.neededOn,
      ]
      // Shut already, it shuts today.
      const shuts = Math.max(at.today, at.evening(closes))
      return [
        ...span('early', at.today, shuts),
        { kind: 'shuts', x: shuts },
        ...span('gap', shuts, at.evening(opens)),
        ...(at.isBeyond(opens) ? [] : [{ kind: 'opens' as const, x: at.evening(opens) }]),
        ...(needs === null ? [] : [ending(needs, at)]),
      ]
    }
    default:
      return windowMarks(window, today, at)
  }
}

/** Marks of a trade's row, or of what is sent out. */
export function tradeMarks(
  { window, booking }: TradeFacts,
  today: number,
  at: DayPlaces,
): BuyMark[] {
  if (window.neededOn === null) return []
  if (booking?.state === 'booked')
    return [...span('way', at.today, at.morning(window.neededOn)), ending(window.neededOn, at)]
  if (window.closesOn !== null && window.closesOn < today && window.opensOn === null)
    return [...span('lateRope', at.today, at.morning(window.neededOn)), ending(window.neededOn, at)]
  return windowMarks(window, today, at)
}

/** The right end of the last mark that words would stand over: until when something is looked for runs above them. */
export const marksEnd = (marks: readonly BuyMark[]): number =>
  marks.reduce(
    (end, one) => (one.kind === 'look' ? end : Math.max(end, 'x' in one ? one.x + 8 : one.x1)),
    0,
  )

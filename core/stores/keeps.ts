/** What will not last: goods off before they are wanted, warranty over before a thing was used for a month. Source: handbook 8. */
import type { Row } from '../model/entities'
import { dateOf, dayNumber } from '../time/civil'
import type { PartFacts, StoreFacts } from './storeFacts'

type Part = Row<'part'>

interface NotLasting {
  readonly part: Part
  readonly kind: 'shelf' | 'warranty'
  /** Local day on which it is off, or the warranty ends. */
  readonly endsOn: number
  /** When it is wanted: needed, or used for the first time. */
  readonly wantedOn: number
  /** The first day on which it may be bought to last; null: it is bought. */
  readonly buyFrom: number | null
  /** Shelf life reckoned from buying, as nobody wrote down when it was made. */
  readonly madeUnknown: boolean
}

const meanMonthDays = 365.25 / 12
/** So long after its first use a warranty should still hold. */
const useDays = 30

/** A local day so many months on: whole months by the calendar, to the last day of a shorter one; the rest by mean days. */
function afterMonths(day: number, months: number): number {
  const from = new Date(day * 86_400_000)
  const whole = Math.floor(months)
  const first = Date.UTC(from.getUTCFullYear(), from.getUTCMonth() + whole, 1)
  const last = Date.UTC(from.getUTCFullYear(), from.getUTCMonth() + whole + 1, 0)
  const on = Math.min(first / 86_400_000 + from.getUTCDate() - 1, last / 86_400_000)
  return on + Math.floor((months - whole) * meanMonthDays)
}

/** The launch after which something fitted on a day is first used; the day itself where none follows. */
function firstUse({ plan, clock }: StoreFacts, fitted: number): number {
  const launches = (plan?.launches ?? []).filter((one) => Number.isFinite(one.at))
  const around = launches.find(
    (one) => clock.dayOf(one.from) <= fitted && clock.dayOf(one.at) >= fitted,
  )
  return around ? clock.dayOf(around.at) : fitted
}

function shelfOf({ part, window }: PartFacts, today: number): NotLasting[] {
  if (part.shelfMonths === null || window.neededOn === null) return []
  const bought = part.orderedOn === null ? null : dayNumber(part.orderedOn)
  const made = part.madeOn === null ? null : dayNumber(part.madeOn)
  const endsOn = afterMonths(made ?? bought ?? today, part.shelfMonths)
  if (endsOn >= window.neededOn) return []
  const isBought = bought !== null
  const buyFrom = isBought || made !== null ? null : window.neededOn - (endsOn - today)
  return [
    { part, kind: 'shelf', endsOn, wantedOn: window.neededOn, buyFrom, madeUnknown: made === null },
  ]
}

function warrantyOf({ part, window }: PartFacts, facts: StoreFacts): NotLasting[] {
  if (part.warrantyMonths === null || window.neededOn === null) return []
  const bought = part.orderedOn === null ? null : dayNumber(part.orderedOn)
  const endsOn = afterMonths(bought ?? facts.today, part.warrantyMonths)
  const wantedOn = firstUse(facts, window.neededOn)
  if (endsOn >= wantedOn + useDays) return []
  const buyFrom = bought === null ? wantedOn + useDays - (endsOn - facts.today) : null
  return [{ part, kind: 'warranty', endsOn, wantedOn, buyFrom, madeUnknown: false }]
}

/** Parts that will not last, those wanted first first. What is still to buy is reckoned as bought today. */
export function notLasting(facts: StoreFacts): NotLasting[] {
  return facts.parts
    .flatMap((one) => [...shelfOf(one, facts.today), ...warrantyOf(one, facts)])
    .sort((a, b) => a.wantedOn - b.wantedOn || (a.part.id < b.part.id ? -1 : 1))
}

/** "bought today it is off 3 May, needed 8 May: buy it from 5 April on"; `on` says a civil date. */
export function sayNotLasting(one: NotLasting, on: (date: string) => string): string {
  const [ends, wanted] = [on(dateOf(one.endsOn)), on(dateOf(one.wantedOn))]
  const when = one.buyFrom === null ? '' : `: buy it from ${on(dateOf(one.buyFrom))} on`
  const begin = one.buyFrom === null ? '' : 'bought today '
  if (one.kind === 'warranty')
    return `${begin}its warranty ends ${ends}, first used ${wanted}${when}`
  const unsure = one.madeUnknown ? ', and sooner if it was made long before' : ''
  return `${begin}it is off ${ends}${unsure}, needed ${wanted}${when}`
}

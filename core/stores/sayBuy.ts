/** What a row of buying says, in the words of the trade. */
import { dateOf, dayNumber } from '../time/civil'
import { sayDate, sayDay } from '../time/say'
import { counted, inWords, unitFor } from '../units/counted'
import { formatMoney } from '../money/money'
import type { BuyRow } from './board'
import type { Pooled } from './pool'
import type { ToolUse } from './tools'
import type { TradeFacts } from './trades'

export interface SaidRow {
  /** What presses, in the colour of it. */
  readonly strong: string
  /** What follows, plain. */
  readonly rest: string
  readonly tone: 'red' | 'green' | 'ink'
}

/** Figures to at most two decimals, without ends of noughts. */
const figure = (amount: number): string => String(Math.round(amount * 100) / 100)

/** "5 rolls of 10 m", "11 pieces", "2.5 L"; '' for one piece. */
export function sayAmount({ toBuy, unit, packs, packSize }: Pooled): string {
  if (packs !== null && packSize !== null && packSize !== 1)
    return `${packs} × ${figure(packSize)}${unit === '' ? '' : ` ${unit}`}`
  if (unit === '') return toBuy === 1 ? '' : figure(toBuy)
  return `${figure(toBuy)} ${unitFor(toBuy, unit)}`
}

/** "Butyl tape, 5 rolls of 10 m": what, and how much of it. */
export function sayThing(pool: Pooled): string {
  const amount = sayAmount(pool)
  return amount === '' ? pool.name : `${pool.name}, ${amount}`
}

const on = (day: number, year: string): string => sayDate(dateOf(day), year)
const inDays = (days: number): string => (days === 0 ? 'today' : `${days} d`)

/** "bed the valve", or "bed bitt and 8 more". */
function forWhat({ wants, window }: BuyRow, year: string): string {
  const [first] = wants
  if (!first) return ''
  const title = first.needs?.title ?? first.job?.title ?? ''
  const more = wants.length > 1 ? ` and ${wants.length - 1} more` : ''
  const needed = window.neededOn === null || title === '' ? '' : ` ${on(window.neededOn, year)}`
  return title === '' ? '' : `${title.charAt(0).toLowerCase()}${title.slice(1)}${more}${needed}`
}

/** Nobody said how long it takes: no odds are given on that. */
export const isAssumed = ({ wants }: BuyRow): boolean =>
  wants.every(({ lead }) => lead.from === 'assumed')

/** What a row asks for. `today` is a local day number; dates of `year` go without it. */
export function sayRow(row: BuyRow, today: number, year: string, currency: string): SaidRow {
  const { window, guessed } = row
  const what = forWhat(row, year)
  const rest = what === '' ? '' : `, ${what}`
  if (row.kind === 'boughtEarly' && row.risk)
    return {
      strong: `bought early: ${formatMoney(row.risk.minor, currency)} at risk${Number.isFinite(row.risk.untilOn) ? ` to ${on(row.risk.untilOn, year)}` : ''}`,
      rest,
      tone: 'ink',
    }
  if (row.kind === 'onItsWay') {
    if (row.dueOn === null) return { strong: 'ordered, no date', rest, tone: 'red' }
    const passed = row.dueOn < today
    if (passed) return { strong: `was due ${on(row.dueOn, year)}: ask`, rest, tone: 'red' }
    const late = row.slippedDays > 0 ? `${row.slippedDays} d later than promised, ` : ''
    const holds = row.holds ? ', holds its step' : ''
    return {
      strong: `${late}due ${on(row.dueOn, year)}${holds}`,
      rest,
      tone: row.holds || row.slippedDays > 0 ? 'red' : 'green',
    }
  }
  const closes = window.closesOn
  switch (window.state) {
    case 'undated':
      return { strong: 'no day in the plan needs it', rest, tone: 'ink' }
    case 'late':
      return {
        strong: isAssumed(row)
          ? `${counted(window.lateDays, 'day')} late if it takes ${counted(window.leadDays, 'day')}`
          : `${counted(window.lateDays, 'day')} late if ordered today`,
        rest,
        tone: 'red',
      }
    case 'buyToday': {
      const odds =
        row.chance !== null && row.chance >= 0.05 && !isAssumed(row)
          ? `, ${Math.round(row.chance * 100)} % miss it`
          : ''
      return { strong: `buy today${odds}`, rest, tone: 'red' }
    }
    case 'shutsFirst':
      return {
        strong: Number.isFinite(window.opensOn)
          ? `shuts ${(window.opensOn ?? 0) - (closes ?? 0)} d before it opens`
          : 'nobody knows when its size is sure',
        rest,
        tone: 'red',
      }
    case 'early':
      return {
        strong: `opens ${on(window.opensOn ?? 0, year)}, buy by ${on(closes ?? 0, year)}`,
        rest,
        tone: 'ink',
      }
    default:
      return guessed.length > 0
        ? { strong: `measure first, buy by ${on(closes ?? 0, year)}`, rest, tone: 'ink' }
        : {
            strong: `buy by ${on(closes ?? 0, year)}, ${inDays((closes ?? today) - today)}`,
            rest,
            tone: 'green',
          }
  }
}

/** What a trade, or what is sent out, asks for. */
export function sayTrade(one: TradeFacts, today: number, year: string): SaidRow {
  const { window, booking, kind } = one
  const verb = kind === 'call' ? 'call' : 'send'
  const needed =
    one.on === null
      ? ''
      : kind === 'call'
        ? `, wanted ${sayDay(dateOf(one.on), year)}${one.isAssumed ? ', notice assumed' : ''}`
        : `, needed ${on(one.on, year)}`
  if (booking?.state === 'booked') return { strong: 'booked', rest: needed, tone: 'green' }
  if (window.closesOn === null)
    return { strong: `${verb} when it suits`, rest: needed, tone: 'ink' }
  const closes = on(window.closesOn, year)
  const opens = window.opensOn
  if (window.state === 'late' || window.closesOn < today)
    return { strong: `${verb} today: ${closes} is gone`, rest: needed, tone: 'red' }
  if (opens !== null && opens >= window.closesOn)
    return { strong: `${verb} on ${on(opens, year)}, nothing to spare`, rest: needed, tone: 'ink' }
  const from = opens === null ? '' : `from ${on(opens, year)}, `
  return {
    strong: `${from}${verb} by ${closes}${opens === null ? `, ${inDays(window.closesOn - today)}` : ''}`,
    rest: needed,
    tone: opens === null ? 'green' : 'ink',
  }
}

/** When a tool is wanted and what it costs, and what is wrong with that; '': nobody wants it. */
export function sayTool(
  use: ToolUse,
  year: string,
  currency: string,
): { readonly text: string; readonly wrong: string } {
  const { tool, wants, keptMinor, keptDays, apartMinor, stretches, backBefore } = use
  const days = [...new Set(wants.map((one) => one.from))]
  const shown = days.slice(0, 3).map((day) => on(day, year))
  const more = days.length > shown.length ? ` and ${days.length - shown.length} more days` : ''
  const wanted = wants.length === 0 ? '' : `wanted ${shown.join(', ')}${more}`
  const kept =
    keptMinor === null
      ? ''
      : `; kept ${counted(keptDays, 'day')} ${formatMoney(keptMinor, currency)}`
  const apart =
    apartMinor === null || stretches < 2
      ? ''
      : `, fetched ${inWords(stretches)} times ${formatMoney(apartMinor, currency)}`
  const short = wants.find((one) => one.isTooShort)
  const wrong = [
    short
      ? `reaches ${tool.reachMm ?? 0} mm, “${short.step.title}” needs ${short.needsMm ?? 0}`
      : '',
    backBefore
      ? `has to be back ${on(dayNumber(tool.backBy ?? ''), year)}, “${backBefore.step.title}” is ${on(backBefore.to, year)}`
      : '',
  ].filter((one) => one !== '')
  return { text: `${wanted}${kept}${apart}`, wrong: wrong.join('; ') }
}

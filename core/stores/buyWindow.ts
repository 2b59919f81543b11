/** When a part may be bought and until when. Source: handbook 8. */
import { spareDays } from './lead'

/** All days are local day numbers. */
export interface WindowAsk {
  readonly today: number
  /** From this day its size is sure; null: it is sure already. Infinity: nobody knows when it will be. */
  readonly opensOn: number | null
  /** The last trip on or before the step that needs it; null: no step with a place in the plan needs it. */
  readonly neededOn: number | null
  readonly leadDays: number
  /** Days kept to spare; absent: by the lead. What goes out and comes back has the plan's own. */
  readonly spare?: number
}

/**
 * undated: nothing needs it on a day. early: its size is not sure. open. closing: within a week. buyToday: the last day
 * is here or went by, and as a rule it still comes in time. late: as a rule it does not. shutsFirst: its last day
 * comes before its size is sure.
 */
type WindowState = 'undated' | 'early' | 'open' | 'closing' | 'buyToday' | 'late' | 'shutsFirst'

export interface BuyWindow {
  readonly state: WindowState
  /** Null: open already. */
  readonly opensOn: number | null
  /** The last day on which it is bought in comfort; null: undated. */
  readonly closesOn: number | null
  readonly neededOn: number | null
  readonly leadDays: number
  readonly spareDays: number
  /** Days that it comes after it is needed, bought today; 0: in time. */
  readonly lateDays: number
}

/** So many days before it closes a window is closing. */
export const closingDays = 7

/** The window of one part. Leads are whole days of 0 or more. */
export function buyWindow(ask: WindowAsk): BuyWindow {
  const { today, opensOn, neededOn, leadDays, spare = spareDays(leadDays) } = ask
  const opens = opensOn !== null && opensOn > today ? opensOn : null
  const common = { opensOn: opens, neededOn, leadDays, spareDays: spare }
  if (neededOn === null) return { ...common, state: 'undated', closesOn: null, lateDays: 0 }
  const closesOn = neededOn - leadDays - spare
  const boughtOn = opens ?? today
  const lateDays = Number.isFinite(boughtOn) ? Math.max(0, boughtOn + leadDays - neededOn) : 0
  const state = ((): WindowState => {
    if (opens !== null) return closesOn < opens ? 'shutsFirst' : 'early'
    if (today + leadDays > neededOn) return 'late'
    if (today >= closesOn) return 'buyToday'
    return closesOn - today <= closingDays ? 'closing' : 'open'
  })()
  return { ...common, state, closesOn, lateDays }
}

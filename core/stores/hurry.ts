/** What could be asked of a seller where a part is late: the days on which it would be here, as the changes they are. */
import type { ChangeItem } from '../model/changes'
import type { RefitRows } from '../model/refit'
import { patchOf } from '../model/removal'
import { dateOf } from '../time/civil'
import type { BuyRow } from './board'
import { comesOnItems } from './ordering'

export interface Hurry {
  /** rule: ordered today it takes what it takes. express: in half of what is left of that. Assumed; it is to be asked. */
  readonly how: 'rule' | 'express'
  /** Civil date. */
  readonly on: string
  readonly items: readonly ChangeItem[]
}

/** Bought today, a row's parts come on a day. */
export const boughtFor = ({ wants }: Pick<BuyRow, 'wants'>, on: string): ChangeItem[] =>
  wants.map(({ part }) => patchOf('part', part, { state: 'ordered', arrivesOn: on }))

/**
 * Ways to hurry a row that presses: one to be bought that is late or has to be bought today, and one on its way that
 * holds its step, comes later than promised, or comes after the day it is needed on. None of any other. `today`: local
 * day number.
 */
export function hurriesOf(rows: RefitRows, row: BuyRow, today: number): readonly Hurry[] {
  if (row.kind === 'buy') {
    const { state, leadDays } = row.window
    if (state !== 'late' && state !== 'buyToday') return []
    const inDays = (how: Hurry['how'], days: number): Hurry => {
      const on = dateOf(today + days)
      return { how, on, items: boughtFor(row, on) }
    }
    const half = Math.ceil(leadDays / 2)
    return half < leadDays
      ? [inDays('rule', leadDays), inDays('express', half)]
      : [inDays('rule', leadDays)]
  }
  const { dueOn, holds, slippedDays, window } = row
  if (row.kind !== 'onItsWay' || dueOn === null) return []
  const isLate = holds || slippedDays > 0 || (window.neededOn !== null && dueOn > window.neededOn)
  const on = today + Math.ceil((dueOn - today) / 2)
  if (!isLate || on <= today || on >= dueOn) return []
  return [{ how: 'express', on: dateOf(on), items: comesOnItems(rows, row.wants, dateOf(on)) }]
}

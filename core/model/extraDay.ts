import { minutesOf } from '../time/civil'
import type { ChangeItem } from './changes'
import type { RefitRows } from './refit'

/** Hours of a day on which somebody comes who otherwise does not. */
export const extraHours = { from: '08:30', to: '17:00' } as const
type Hours = { readonly from: string; readonly to: string }

/** Somebody coming on a day (civil date) on which they would not. */
export const extraDay = (
  personId: string,
  on: string,
  { from, to }: Hours,
  newId: () => string,
): ChangeItem => ({
  op: 'create',
  entity: 'personDay',
  id: newId(),
  patch: { personId, on, kind: 'extraDay', from, to },
})

/** From when to when somebody mostly comes: the longest of their weekly stretches; without one, a working day. */
export function usualHours(rows: Pick<RefitRows, 'weekSlot'>, personId: string): Hours {
  const [longest] = rows.weekSlot
    .filter((one) => one.personId === personId)
    .map(({ from, to }) => ({ from, to, long: minutesOf(to) - minutesOf(from) }))
    .sort((a, b) => b.long - a.long)
  return longest ? { from: longest.from, to: longest.to } : extraHours
}

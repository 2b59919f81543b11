import type { Person } from '../model/entities'
import { inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'

/**
 * Whom to ask for a launch day on which nobody of the boat is there: our own people who have not said that they cannot
 * come at all that day (civil date), the lead first. None: all have, or nobody is written down.
 */
export function whoMightCome(
  rows: Pick<RefitRows, 'person' | 'personDay'>,
  on: string,
): readonly Person[] {
  const cannot = new Set(
    rows.personDay
      .filter((one) => one.on === on && one.kind === 'cannotCome' && one.wholeDay)
      .map((one) => one.personId),
  )
  return inOrder(
    rows.person.filter(({ id, gone, role }) => !gone && role !== 'trade' && !cannot.has(id)),
  ).sort((a, b) => Number(b.role === 'lead') - Number(a.role === 'lead'))
}

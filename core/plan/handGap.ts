/** Steps that ask for more hands than there are. */
import type { Row } from '../model/entities'
import type { Remark } from '../model/stored'
import { byId, inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { extraHours } from '../model/extraDay'

export interface HandGap {
  readonly steps: number
  /** Most hands that any of them asks for, and how many are here. */
  readonly most: number
  readonly here: number
  /** A week as the lead has it, on which a helper could come: 1 Monday to 7 Sunday, clock times. */
  readonly visit: Pick<Row<'weekSlot'>, 'weekday' | 'from' | 'to'>
}

/** Null: none of a plan's troubles is a want of hands. */
export function handGap(
  rows: Pick<RefitRows, 'person' | 'step' | 'weekSlot'>,
  reasons: readonly Remark[],
): HandGap | null {
  const own = inOrder(rows.person.filter((one) => !one.gone && one.role !== 'trade'))
  const steps = byId(rows.step)
  const short = reasons
    .filter((one) => one.kind === 'noSkill')
    .flatMap((one) => one.stepIds.flatMap((id) => steps.get(id) ?? []))
    .filter((one) => one.crewMin > own.length)
  if (short.length === 0) return null
  const lead = own.find((one) => one.role === 'lead') ?? own[0]
  const [first] = rows.weekSlot
    .filter((one) => one.personId === lead?.id)
    .sort((a, b) => a.weekday - b.weekday)
  const { weekday, from, to } = first ?? { weekday: 6, ...extraHours }
  return {
    steps: short.length,
    most: Math.max(...short.map((one) => one.crewMin)),
    here: own.length,
    visit: { weekday, from, to },
  }
}

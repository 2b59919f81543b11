/** Steps that ask for more hands than there are. */
import type { Row } from '../model/entities'
import type { Remark } from '../model/stored'
import { byId, inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { extraHours } from '../model/extraDay'
import { addDays, dayNumber, weekdayOf } from '../time/civil'

export interface HandGap {
  readonly steps: number
  /** Fewest and most hands that any of them asks for. */
  readonly least: number
  readonly most: number
  /** When a helper could come: as the lead does, for the first time on a civil date from today on. */
  readonly visit: Pick<Row<'weekSlot'>, 'weekday' | 'from' | 'to'>
  readonly firstOn: string
}

/** Null: none of a plan's troubles is a want of hands. `today`: civil date. */
export function handGap(
  rows: Pick<RefitRows, 'person' | 'step' | 'weekSlot'>,
  reasons: readonly Remark[],
  today: string,
): HandGap | null {
  const here = inOrder(rows.person.filter((one) => !one.gone))
  const steps = byId(rows.step)
  const short = reasons
    .filter((one) => one.kind === 'noSkill')
    .flatMap((one) => one.stepIds.flatMap((id) => steps.get(id) ?? []))
    .filter((one) => one.crewMin > here.length)
  if (short.length === 0) return null
  const lead = here.find((one) => one.role === 'lead') ?? here[0]
  const [first] = rows.weekSlot
    .filter((one) => one.personId === lead?.id)
    .sort((a, b) => a.weekday - b.weekday)
  const { weekday, from, to } = first ?? { weekday: 6, ...extraHours }
  return {
    steps: short.length,
    least: Math.min(...short.map((one) => one.crewMin)),
    most: Math.max(...short.map((one) => one.crewMin)),
    visit: { weekday, from, to },
    firstOn: addDays(today, (weekday - weekdayOf(dayNumber(today)) + 7) % 7),
  }
}

/** What a rule of rows is: a row among the rows it lives with, and what is wrong with it. */
import { daysBetween, minutesOf } from '../../time/civil'
import { sayFullDate } from '../../time/say'
import type { FieldProblem } from '../changes'
import { fieldLabel } from '../changes'
import type { EntityName, Row } from '../entities'
import type { RefitRows } from '../refit'

/** `mendable`: a refit brought in whole may come with it and is told what wants mending; an edit is refused. */
export interface RuleProblem extends FieldProblem {
  readonly mendable: boolean
}

/** What a rule may look at. */
export interface RuleContext {
  readonly rows: RefitRows
  /** In the refit's zone. Null: what has happened cannot be judged. */
  readonly today: string | null
  /** Works something out once for all rows of a check, so that no check grows with the square of them. */
  readonly once: <Value>(key: string, make: () => Value) => Value
  /** The row as it was; null when it is new, or nothing is known of before. */
  readonly before: (entity: EntityName, id: string) => Readonly<Record<string, unknown>> | null
}

export type Rule<Name extends EntityName> = (row: Row<Name>, context: RuleContext) => RuleProblem[]
export type Rules = { readonly [Name in EntityName]?: Rule<Name> }

/** A context over rows; `before` gives rows as they were before a change. */
export function ruleContext(
  rows: RefitRows,
  today: string | null = null,
  before: RuleContext['before'] = () => null,
): RuleContext {
  const made = new Map<string, unknown>()
  return {
    rows,
    today,
    before,
    once: <Value>(key: string, make: () => Value): Value => {
      if (!made.has(key)) made.set(key, make())
      return made.get(key) as Value
    },
  }
}

/** A problem that may not stand anywhere. */
export const when = (bad: boolean, field: string, message: string): RuleProblem[] =>
  bad ? [{ field, message, mendable: false }] : []
/** A problem with which a refit may come in whole. */
export const mendWhen = (bad: boolean, field: string, message: string): RuleProblem[] =>
  bad ? [{ field, message, mendable: true }] : []

/** Dates that must not run backwards; null ones are left alone. */
export function inOrder<Name extends EntityName>(
  entity: Name,
  row: Row<Name>,
  first: string & keyof Row<Name>,
  then: string & keyof Row<Name>,
): RuleProblem[] {
  const [a, b] = [row[first] as string | null, row[then] as string | null]
  return when(
    a !== null && b !== null && b < a,
    then,
    `${fieldLabel(entity, then)} (${b && sayFullDate(b)}) is before ${fieldLabel(entity, first).toLowerCase()} (${a && sayFullDate(a)}). Change one of them.`,
  )
}

/** A stretch of hours that ends before it begins. */
export const laterTime = (row: { readonly from: string; readonly to: string }): RuleProblem[] =>
  when(
    minutesOf(row.to) <= minutesOf(row.from),
    'to',
    'The hours end before they begin. Put the later time last.',
  )

/** Years a plan may reach; see also the horizon of the schedule. */
const mostYears = 15

/** Dates that lie further off than a plan reaches. */
export function withinReach<Name extends EntityName>(
  entity: Name,
  row: Row<Name>,
  { rows }: RuleContext,
  fields: readonly (string & keyof Row<Name>)[],
): RuleProblem[] {
  const began = rows.refit[0]?.startedOn
  if (began === undefined) return []
  return fields.flatMap((field) => {
    const on = row[field] as string | null
    const years = on === null ? 0 : daysBetween(began, on) / 365.25
    return mendWhen(
      years > mostYears,
      field,
      `${fieldLabel(entity, field)} (${on === null ? '' : sayFullDate(on)}) is ${Math.round(years)} years after the refit began; a plan reaches ${mostYears}. Give an earlier date, or put right when the refit began.`,
    )
  })
}

/** Rules that rows must keep beyond each field by itself; read by the server. */
import type { EntityName, Row } from '../entities'
import type { Rule, RuleContext, RuleProblem, Rules } from './rule'
import { launchRules } from './launch'
import { moneyRules } from './money'
import { storesRules } from './stores'
import { sameName, thingRules } from './things'
import { undertakingRules } from './undertaking'
import { walkRules } from './walk'
import { weatherRules } from './weather'
import { workRules } from './work'

export { ruleContext } from './rule'
export type { RuleContext, RuleProblem } from './rule'
export { checkCounts, checkSize } from './size'

const rules: Rules = {
  ...undertakingRules,
  ...workRules,
  ...walkRules,
  ...weatherRules,
  ...thingRules,
  ...storesRules,
  ...moneyRules,
  ...launchRules,
}

/** Everything wrong with a row among the rows it lives with. */
export function checkRow<Name extends EntityName>(
  entity: Name,
  row: Row<Name>,
  context: RuleContext,
): RuleProblem[] {
  const rule = rules[entity] as Rule<Name> | undefined
  return [...(rule?.(row, context) ?? []), ...sameName(entity, row, context)]
}

/** Fields whose change can make rows of other kinds wrong. Kinds of one another are looked at through them. */
const watched: readonly {
  readonly entity: EntityName
  readonly fields: readonly string[]
  readonly kinds: readonly EntityName[]
}[] = [
  { entity: 'refit', fields: ['startedOn'], kinds: ['season', 'haulOut', 'gate'] },
  {
    entity: 'step',
    fields: ['unitCount', 'readLow', 'readHigh', 'readFailAt'],
    kinds: ['reading'],
  },
  { entity: 'haulOut', fields: ['liftOutAimed'], kinds: ['gate'] },
  { entity: 'refit', fields: ['currency'], kinds: ['purchase', 'spend'] },
  { entity: 'spendShare', fields: ['minor', 'spendId'], kinds: ['spend'] },
]

/** Kinds of rows to look at again when fields of a row change, though none of them was touched. */
export const kindsDependingOn = (entity: EntityName, fields: readonly string[]): EntityName[] =>
  watched
    .filter((one) => one.entity === entity && one.fields.some((field) => fields.includes(field)))
    .flatMap((one) => one.kinds)

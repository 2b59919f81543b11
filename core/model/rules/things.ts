/** Rules of things and their names: products, bags, addresses, and names that tell rows apart. */
import type { EntityName, Row } from '../entities'
import { groupBy } from '../refit'
import { outcomeBy } from '../../steps/sheetReading'
import { mendWhen, when } from './rule'
import type { RuleContext, RuleProblem, Rules } from './rule'

const plain = (name: string): string => name.trim().toLowerCase()

export const thingRules: Rules = {
  decision: (row, { rows }) => [
    ...when(
      (row.optionId === null) !== (row.decidedOn === null),
      'optionId',
      'Say what was chosen, and on which day.',
    ),
    ...when(
      row.optionId !== null &&
        rows.option.every((one) => one.id !== row.optionId || one.decisionId !== row.id),
      'optionId',
      'That is not one of its options.',
    ),
    ...when(
      row.optionId !== null && rows.option.filter((one) => one.decisionId === row.id).length < 2,
      'optionId',
      'With one option there is nothing to decide. Write down another, even to leave it as it is.',
    ),
    ...when(
      row.beforeStepId !== null &&
        rows.step.some((one) => one.id === row.beforeStepId && one.jobId !== row.jobId),
      'beforeStepId',
      'The step that waits belongs to another job.',
    ),
  ],
  webLink: (row) =>
    when(
      !/^https?:\/\/[^\s"<>]+$/i.test(row.url),
      'url',
      'An address begins with http:// or https:// and has no spaces.',
    ),
  bag: (row, { rows, once }) => {
    const codes = once('bagCodes', () => groupBy(rows.bag, (bag) => plain(bag.code)))
    return mendWhen(
      (codes.get(plain(row.code)) ?? []).some((other) => other.id !== row.id),
      'code',
      `There is a bag ${row.code} already. Give this one another code.`,
    )
  },
  asBuiltLine: (row) => limitsCrossed(row),
  asBuiltTest: (row) => [
    ...limitsCrossed(row),
    ...when(
      row.outcome === 'passed' && outcomeBy(row) === 'failed',
      'outcome',
      `The reading of ${row.reading} ${row.readUnit} fails its limit. It has not passed until it is read again.`,
    ),
  ],
  product: (row) => [
    ...when(
      isDecreasing([row.skinH, row.lightH, row.loadH]),
      'loadH',
      'A sealant has a skin first, then takes light parts, then load. Check the data sheet.',
    ),
    ...when(
      row.overcoatOpensH !== null &&
        row.overcoatClosesH !== null &&
        row.overcoatClosesH < row.overcoatOpensH,
      'overcoatClosesH',
      'The bond window closes before it opens. Check the data sheet.',
    ),
  ],
}

const limitsCrossed = (row: Pick<Row<'asBuiltLine'>, 'readLow' | 'readHigh'>): RuleProblem[] =>
  when(
    row.readLow !== null && row.readHigh !== null && row.readHigh < row.readLow,
    'readHigh',
    'The highest passing value is under the lowest.',
  )

/** True when of the values that are known a later one is smaller. */
const isDecreasing = (values: readonly (number | null)[]): boolean => {
  const known = values.filter((one): one is number => one !== null)
  return known.some((one, at) => at > 0 && one < (known[at - 1] as number))
}

/** Kinds of rows whose names tell them apart, with the field that holds the name. */
const named = [
  'zone',
  'system',
  'place',
  'person',
  'season',
  'haulOut',
  'gate',
  'product',
  'supplier',
] as const

/** Two rows of a kind that must be told apart by name, with one name. */
export function sameName(
  entity: EntityName,
  row: { readonly id: string },
  { rows, once }: RuleContext,
): RuleProblem[] {
  const kind = named.find((one) => one === entity)
  if (!kind) return []
  const { name } = row as unknown as Row<typeof kind>
  const names = once(`names ${kind}`, () =>
    groupBy(rows[kind] as readonly { readonly id: string; readonly name: string }[], (one) =>
      plain(one.name),
    ),
  )
  return mendWhen(
    (names.get(plain(name)) ?? []).some((other) => other.id !== row.id),
    'name',
    `There is a ${kind === 'haulOut' ? 'haul-out' : kind} called “${name}” already. Give this one another name.`,
  )
}

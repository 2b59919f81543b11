/** The one shape of an order rule and of what it finds. */
import type { ChangeItem } from '../model/changes'
import type { OrderFacts, OrderStep } from './facts'

export const severities = ['stop', 'warn', 'note'] as const
export type OrderSeverity = (typeof severities)[number]

/** A mend as the changes it takes. */
export interface OrderMend {
  /** Few words for a plate on the drawing: "Lay peel ply, 16 min". */
  readonly label: string
  readonly items: (newId: () => string) => readonly ChangeItem[]
}

/** What a rule found, with its evidence. */
export interface OutOfOrder {
  /** Number of the rule. */
  readonly rule: number
  readonly severity: OrderSeverity
  /** What breaks it, the step to be looked at first. */
  readonly stepIds: readonly string[]
  readonly jobIds: readonly string[]
  /** Names, dates and why. */
  readonly sentence: string
  /** Evidence as text: what was put aside comes back once it differs. Dates are no part of it. */
  readonly evidence: string
  readonly mend: OrderMend | null
}

export interface OrderRule {
  readonly number: number
  /** What it is about, for a list: "Hull opened after its coat". */
  readonly title: string
  readonly find: (facts: OrderFacts) => readonly OutOfOrder[]
}

/** What was found of steps, in the one shape. */
export function found(
  rule: number,
  severity: OrderSeverity,
  steps: readonly Pick<OrderStep, 'step' | 'job'>[],
  sentence: string,
  mend: OrderMend | null = null,
  evidence = '',
): OutOfOrder {
  return {
    rule,
    severity,
    stepIds: steps.map((one) => one.step.id),
    jobIds: [...new Set(steps.map((one) => one.job.id))],
    sentence,
    evidence: [`${rule}`, ...steps.map((one) => one.step.id), evidence]
      .filter((one) => one !== '')
      .join(' '),
    mend,
  }
}

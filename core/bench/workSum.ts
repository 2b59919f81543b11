import { refused } from '../result'
import type { Result } from '../result'
import type { Values } from './ask'
import { askedValues, problemsIn } from './check'
import type { Answer, Sum, Tools } from './sum'

/** A sum worked, or why it cannot be: field by field, or in a sentence where its figures do not go together. */
export function workSum(sum: Sum, given: Values, tools: Tools): Result<Answer> {
  const values = askedValues(sum.asks, given)
  const problems = problemsIn(sum.asks, values, tools.units)
  if (problems.length > 0)
    return refused(problems[0]?.message ?? 'Some of the figures cannot be used.', problems)
  try {
    return sum.work(values, tools)
  } catch (error) {
    // Core names its caller first, for developers; a person reads what follows.
    if (error instanceof RangeError)
      return refused(`${error.message.replace(/^\w+: /, 'Out of range: ')}.`)
    throw error
  }
}

/** A sum of the bench worked in a test, as a page works it. */
import { fittingValues, initialValues } from '../bench/check'
import type { Values } from '../bench/ask'
import { plainTools } from '../bench/sum'
import type { Answer, Sum } from '../bench/sum'
import { sumOf } from '../bench/sums'
import { workSum } from '../bench/workSum'
import { problemsOf } from '../result'

export function sumNamed(key: string): Sum {
  const sum = sumOf(key)
  if (!sum) throw new Error(`no sum ${key}`)
  return sum
}

/** The answer to what is given, the sum's own beginnings for the rest, in lists too. Throws where it cannot be worked. */
export function answerOf(key: string, given: Values = {}): Answer {
  const sum = sumNamed(key)
  const fitting = fittingValues(sum.asks, given)
  const worked = workSum(sum, { ...initialValues(sum.asks), ...fitting }, plainTools('metric'))
  if (!worked.ok) throw new Error(`${key}: ${worked.message}`)
  return worked.value
}

/** Why it cannot be worked: field and sentence. */
export function troubleOf(key: string, given: Values): readonly string[] {
  const sum = sumNamed(key)
  const fitting = fittingValues(sum.asks, given)
  const worked = workSum(sum, { ...initialValues(sum.asks), ...fitting }, plainTools('metric'))
  return worked.ok ? [] : problemsOf(worked).map((one) => `${one.field}: ${one.message}`)
}

/** Some figures of an answer by their labels, and what it says. */
export function shown(key: string, given: Values, labels: readonly string[]): readonly string[] {
  const answer = answerOf(key, given)
  return labels.map((label) => {
    if (label === 'says') return answer.says
    const found = answer.figures.find((one) => one.label === label)
    if (!found) throw new Error(`${key} has no figure ${label}`)
    return found.value
  })
}

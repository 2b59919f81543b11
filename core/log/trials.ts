/** One job done two or three ways: how far apart they are, and how sure that is. */
import type { Row } from '../model/entities'
import { groupBy, inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'

type Trial = Row<'trial'>
type Way = 'a' | 'b' | 'c'

interface TrialWay {
  readonly way: Way
  readonly name: string
  readonly where: string
  /** In time; share 0 to 1. */
  readonly readings: readonly { readonly on: string; readonly share: number }[]
}

export interface TrialState {
  readonly trial: Trial
  readonly ways: readonly TrialWay[]
  /** Of the last readings: the better way and the worse, how far apart and the half-width of 4 chances in 5; null: not both were read. */
  readonly difference: {
    readonly better: TrialWay
    readonly worse: TrialWay
    readonly points: number
    readonly giveOrTake: number
    /** It is larger than its doubt. */
    readonly isClear: boolean
  } | null
}

/** Standard normal value that four chances in five lie within. */
const fourInFive = 1.2816

/**
 * Difference of two shares with its 80 % half-width: z·√(p1q1/n1 + p2q2/n2). Source: the usual interval of two
 * proportions; rough under about five counted.
 * @returns shares, 0 to 1.
 */
export function shareDifference(
  count1: number,
  n1: number,
  count2: number,
  n2: number,
): { readonly difference: number; readonly halfWidth: number } {
  const [p1, p2] = [count1 / n1, count2 / n2]
  return {
    difference: p1 - p2,
    halfWidth: fourInFive * Math.sqrt((p1 * (1 - p1)) / n1 + (p2 * (1 - p2)) / n2),
  }
}

const namesOf = (trial: Trial): readonly (readonly [Way, string, string])[] => [
  ['a', trial.wayA, trial.whereA],
  ['b', trial.wayB, trial.whereB],
  ...(trial.wayC === '' ? [] : [['c', trial.wayC, trial.whereC] as const]),
]

/** Every trial with its ways as read so far. */
export function trialStates(rows: Pick<RefitRows, 'trial' | 'trialReading'>): TrialState[] {
  const readings = groupBy(rows.trialReading, (one) => one.trialId)
  return inOrder(rows.trial).map((trial): TrialState => {
    const own = [...(readings.get(trial.id) ?? [])].sort((a, b) => (a.on < b.on ? -1 : 1))
    const ways = namesOf(trial).map(([way, name, where]) => ({
      way,
      name,
      where,
      readings: own
        .filter((one) => one.way === way)
        .map((one) => ({ on: one.on, share: one.count / trial.outOf })),
    }))
    const read = ways
      .filter((one) => one.readings.length > 0)
      .sort((a, b) => {
        const [left, right] = [a.readings.at(-1)?.share ?? 0, b.readings.at(-1)?.share ?? 0]
        return trial.better === 'fewer' ? left - right : right - left
      })
    const [better, worse] = [read[0], read.at(-1)]
    if (!better || !worse || better === worse) return { trial, ways, difference: null }
    const countOf = (one: TrialWay) => (one.readings.at(-1)?.share ?? 0) * trial.outOf
    const { difference, halfWidth } = shareDifference(
      countOf(worse),
      trial.outOf,
      countOf(better),
      trial.outOf,
    )
    return {
      trial,
      ways,
      difference: {
        better,
        worse,
        points: Math.abs(difference) * 100,
        giveOrTake: halfWidth * 100,
        isClear: Math.abs(difference) > halfWidth,
      },
    }
  })
}

/** The name of a way that a verdict names; '': none. */
export const verdictName = (trial: Trial): string =>
  trial.verdict === 'a'
    ? trial.wayA
    : trial.verdict === 'b'
      ? trial.wayB
      : trial.verdict === 'c'
        ? trial.wayC
        : ''

/** Rules of steps as they are done: counts, rounds, limits, temperatures, what is good enough for now. */
import type { Reading, Step } from '../entities'
import { mendWhen, when } from './rule'
import type { RuleProblem } from './rule'

/** Readings so far beyond the limit that they were hardly read in its unit. */
const hardly = 50

export const stepRules = (row: Step): RuleProblem[] => [
  ...when(
    row.minTempC !== null && row.maxTempC !== null && row.maxTempC < row.minTempC,
    'maxTempC',
    'The warmest it may be is under the coldest: no day would ever suit it.',
  ),
  ...when(
    row.unitCount !== null && row.unitsDone > row.unitCount,
    'unitsDone',
    `${row.unitsDone} done is more than the ${row.unitCount} there are.`,
  ),
  ...when(
    row.unitCount === null && row.unitsDone > 0,
    'unitsDone',
    'Say how many there are before counting them off.',
  ),
  ...when(
    row.roundsLikely > row.roundsMost &&
      row.round <= row.roundsMost &&
      row.roundsLikely > row.round,
    'roundsMost',
    `${row.roundsLikely} rounds likely is more than ${row.roundsMost} at most.`,
  ),
  ...when(
    row.readLow !== null && row.readHigh !== null && row.readHigh < row.readLow,
    'readHigh',
    'The highest passing value is under the lowest.',
  ),
  ...when(
    row.shortBecause.trim() !== '' && row.unitsDone >= (row.unitCount ?? 0),
    'shortBecause',
    'All of them are done: nothing is left out that somebody would have to accept.',
  ),
  ...when(
    row.readDry !== null && row.readHigh !== null && row.readDry >= row.readHigh,
    'readDry',
    'What sound, dry stuff reads must be under the value that passes.',
  ),
  ...mendWhen(
    row.windowKind === 'bareMetal' && row.maxWaitHours === null,
    'maxWaitHours',
    'Bare metal goes off. Say after how many hours the first coat must be on.',
  ),
  ...mendWhen(
    row.readWhat.trim() !== '' && row.readLow === null && row.readHigh === null,
    'readHigh',
    'A reading needs a limit: from where or up to where does it pass?',
  ),
  ...mendWhen(
    row.provisionalFor.trim() !== '' && row.rightBeforeGateId === null,
    'rightBeforeGateId',
    'What is only for now is made right before some gate. Say which.',
  ),
]

/** A reading that was hardly taken in the unit of its limit. */
export function readingRules(row: Reading, step: Step | undefined): RuleProblem[] {
  const top = Math.max(
    ...[step?.readLow, step?.readHigh, step?.readFailAt].map((one) => Math.abs(one ?? 0)),
  )
  return when(
    top > 0 && Math.abs(row.value) > top * hardly,
    'value',
    `${row.value} is far over the limit of ${top}${step?.readUnit ? ` ${step.readUnit}` : ''}. Was it read in another unit?`,
  )
}

/** Rules of the weather that is planned by, of what is put up against it, and of what is read at steps. */
import { readingRules } from './steps'
import { hourMs } from '../../time/civil'
import { byId } from '../refit'
import { inOrder, mendWhen, when } from './rule'
import type { Rules } from './rule'

export const weatherRules: Rules = {
  forecast: (row) => {
    const gap = row.hours.findIndex(
      (hour, at) => at > 0 && hour.at !== (row.hours[at - 1]?.at ?? 0) + hourMs,
    )
    return when(
      gap > 0,
      'hours',
      `The forecast has a gap or an hour twice after its hour ${gap}: every hour comes once, one after the other.`,
    )
  },
  cover: (row, { rows }) => [
    ...inOrder('cover', row, 'upOn', 'downOn'),
    ...mendWhen(
      row.zoneIds.length === 0,
      'zoneIds',
      'Say which places it is over: else it keeps nothing dry.',
    ),
    ...mendWhen(
      row.downOn === null && row.strikeStepId === null,
      'downOn',
      'Say its last day, or the step that takes it down: else it would stand for ever in the plan.',
    ),
    ...mendWhen(
      row.kind === 'heat' && row.addsC <= 0,
      'addsC',
      'Heat makes it warmer by some degrees. Say by how many.',
    ),
    ...when(
      row.strikeStepId !== null && !byId(rows.step).has(row.strikeStepId),
      'strikeStepId',
      'That step is not there any more. Pick another.',
    ),
  ],
  reading: (row, { rows, once }) => {
    const steps = once('stepsById', () => byId(rows.step))
    const step = steps.get(row.stepId)
    return [
      ...when(
        step !== undefined && row.unitNo !== null && row.unitNo > (step.unitCount ?? 0),
        'unitNo',
        step?.unitCount
          ? `There are ${step.unitCount} ${step.unitName || 'units'}: number ${row.unitNo} is not one of them.`
          : 'That step is not counted: leave the number empty.',
      ),
      ...readingRules(row, step),
    ]
  },
}

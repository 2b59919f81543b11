import type { Step } from '../model/entities'
import { plannedHours } from '../plan/planned'
import type { Derived, GateFigures } from '../progress/derive'
import { formatHours } from '../units/hours'
import { formatInches } from '../units/length'
import type { How } from './how'

const source =
  'Our own rule for the Tape: what is left of the boat is shared out by the hours that are left.'
const inches = (value: number): string => `${formatInches(value)} in`
type Figures = Pick<Derived, 'loaIn' | 'earnedIn' | 'hoursOpen' | 'hoursDone' | 'earnedThisWeekIn'>

/** What the printed part of the Tape is made of. `stepsDone` are all that are finished. */
export function howEarned(all: Figures, stepsDone: readonly Pick<Step, 'earnedIn'>[]): How {
  const stored = stepsDone.reduce((sum, step) => sum + (step.earnedIn ?? 0), 0)
  const kept = all.earnedIn - stored
  return {
    title: 'Inches earned',
    result: `${inches(all.earnedIn)} of ${inches(all.loaIn)}`,
    inputs: [
      { name: 'Length overall', value: inches(all.loaIn) },
      { name: 'Steps finished', value: String(stepsDone.length) },
      { name: 'Hours still open, as planned', value: formatHours(all.hoursOpen) },
    ],
    working: [
      `Each step kept the inches it earned on the day it was closed: together ${inches(stored)}.`,
      ...(kept > 0.05 && all.hoursOpen > 0
        ? [`Steps that were removed since leave theirs: ${inches(kept)}.`]
        : []),
      ...(all.hoursOpen <= 0 && all.earnedIn > 0
        ? ['Nothing is open any more, so the whole boat is earned.']
        : [
            `An hour closed now earns (${inches(all.loaIn)} − ${inches(all.earnedIn)}) ÷ ${formatHours(all.hoursOpen)} = ${inches((all.loaIn - all.earnedIn) / Math.max(all.hoursOpen, 1e-9))}.`,
          ]),
    ],
    source,
    distrust:
      'It measures planned hours, not worth or safety. Found work makes every hour after it earn less; jobs without steps count for nothing until somebody writes their steps.',
  }
}

/** What one step earned, or would earn if it were closed next. */
export function howStepInches(step: Step, all: Figures): How {
  const hours = plannedHours(step)
  const left = Math.max(0, all.loaIn - all.earnedIn)
  const share = all.hoursOpen > 0 ? Math.min(1, hours / all.hoursOpen) : 0
  if (step.earnedIn !== null)
    return {
      title: `Inches of “${step.title}”`,
      result: inches(step.earnedIn),
      inputs: [{ name: 'Planned', value: formatHours(hours) }],
      working: [
        'Set on the day it was closed: what was left of the boat × its share of the hours open then.',
        'It stays as it is, whatever is found or dropped later.',
      ],
      source,
      distrust: 'Hours that were logged do not change it; only reopening the step does.',
    }
  return {
    title: `Inches of “${step.title}”`,
    result: inches(left * share),
    inputs: [
      { name: 'Planned for it', value: formatHours(hours) },
      { name: 'Open in all, it included', value: formatHours(all.hoursOpen) },
      { name: 'Left of the boat', value: inches(left) },
    ],
    working: [
      `${inches(left)} × ${formatHours(hours)} ÷ ${formatHours(all.hoursOpen)} = ${inches(left * share)}`,
    ],
    source,
    distrust: 'It is what closing it next would earn; work found before then makes it less.',
  }
}

/** Where the mark of a gate stands; `before` are the gates that come earlier. */
export function howGateMark(gate: GateFigures, before: readonly GateFigures[], all: Figures): How {
  const earlier = before.reduce((sum, one) => sum + one.hoursNeeded, 0)
  const needed = earlier + gate.hoursNeeded
  const left = all.loaIn - all.earnedIn
  return {
    title: `Mark of ${gate.gate.name}`,
    result: inches(gate.markIn),
    inputs: [
      { name: 'Hours it needs', value: formatHours(gate.hoursNeeded) },
      { name: 'Hours of gates before it', value: formatHours(earlier) },
      { name: 'Open in all', value: formatHours(all.hoursOpen) },
    ],
    working: [
      all.hoursOpen > 0
        ? `${inches(all.earnedIn)} + ${inches(left)} × ${formatHours(needed)} ÷ ${formatHours(all.hoursOpen)} = ${inches(gate.markIn)}`
        : 'Nothing is open: the mark stands where the Tape ends.',
    ],
    source,
    distrust: 'Work that nobody has placed at a gate, and jobs without steps, are not in it.',
  }
}

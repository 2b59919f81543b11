import { countOf } from '../steps/counted'
import { workLeftHours } from '../plan/workLeft'
import { plannedHours } from '../plan/planned'
import { hourMs } from '../time/civil'
import type { DayLine } from '../today/dayLine'
import { formatHours } from '../units/hours'
import type { How } from './how'
import { byTheClock, howHours } from './work'

const second = 1 / 3600

/** How long a line of the day is. `spent`: hours written down on its step so far. Null for a line without a step. */
export function howLine(line: DayLine, spent: number): How | null {
  const { step, personIds, mends } = line
  if (!step) return null
  const people = Math.max(1, personIds.length)
  const base = howHours(step, people)
  const left = workLeftHours(step, spent)
  const isOther = Math.abs(left - plannedHours(step)) > second
  const extra = mends.reduce((sum, one) => sum + one.hours, 0)
  const work = left + extra
  const whole = byTheClock(work, people)
  const length = (line.to - line.from) / hourMs
  return {
    ...base,
    title: `Time of “${step.title}”`,
    result: formatHours(length),
    inputs: [
      ...base.inputs,
      ...(isOther && step.round === 1 && spent > 0
        ? [{ name: 'Written down on it', value: formatHours(spent) }]
        : []),
    ],
    working: [
      base.working[0] as string,
      ...(isOther ? [`${whyLeft()}: ${formatHours(left)} of work is left`] : []),
      ...(extra > 0
        ? [`${formatHours(extra)} more, because a bond window shuts: ${formatHours(work)}`]
        : []),
      people > 1
        ? `${formatHours(work)} ÷ ${people} people = ${formatHours(whole)} by the clock, up to full five minutes`
        : `${formatHours(whole)} by the clock, up to full five minutes`,
      ...ofWhole(length, whole, line.wholeMs / hourMs),
    ],
  }

  function whyLeft(): string {
    const counted = step && step.unitsDone > 0 ? countOf(step, spent) : null
    if (counted) return `${counted.done} of ${counted.of} ${counted.unit} are done`
    return step && step.round > 1 ? `Round ${step.round} is reached` : 'It is under way'
  }
}

/** Where the line is not all of what is left, or the plan was made of something else. All in hours by the clock. */
function ofWhole(length: number, whole: number, planned: number): readonly string[] {
  if (Math.abs(planned - whole) > second)
    return [
      `The plan that stands gives it ${formatHours(planned)}: something was changed since, and the next plan follows`,
    ]
  return length < whole - second
    ? [`Of that, ${formatHours(length)} here; the rest stands before or after, as people come`]
    : []
}

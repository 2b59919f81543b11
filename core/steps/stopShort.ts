/** A counted step that stops before its last unit: the rest later, or accepted as it is. Source: handbook-2 D1. */
import type { ChangeItem } from '../model/changes'
import type { Step } from '../model/entities'
import { keysAfter } from '../model/order'
import { inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { patchOf } from '../model/removal'
import { accepted, refused } from '../result'
import type { Result } from '../result'
import { countOf } from './counted'

/** True for a step of which some units are done and some are left. */
export const maybeShort = (step: Step): boolean =>
  step.unitsDone > 0 && step.unitsDone < (step.unitCount ?? 0) && step.state !== 'done'

/**
 * What is done is a finished step of its own; the rest follows it with the pace so far. A window between the two that
 * shuts is the plan's to see: it keys first, or etches. `hoursLogged`: person-hours on it so far.
 */
export function restLater(
  rows: Pick<RefitRows, 'step'>,
  step: Step,
  hoursLogged: number,
  newId: () => string,
): Result<readonly ChangeItem[]> {
  const count = countOf(step, hoursLogged)
  if (!count || !maybeShort(step))
    return refused('Count off what is done first: then the rest can wait.')
  const share = count.done / count.of
  const hours = (value: number | null, part: number) =>
    value === null ? null : Number(Math.max(0.05, value * part).toFixed(2))
  const steps = inOrder(rows.step.filter((one) => one.jobId === step.jobId))
  const next = steps[steps.findIndex((one) => one.id === step.id) + 1] ?? null
  const [order] = keysAfter(step.order, 1, next?.order ?? null)
  const { id: _id, version: _version, earnedIn: _earned, ...alike } = step
  const each = step.hoursLikely / count.of
  return accepted([
    patchOf('step', step, {
      state: 'done',
      unitCount: count.done,
      hoursLikely: hours(step.hoursLikely, share),
      hoursLow: hours(step.hoursLow, share),
      hoursHigh: hours(step.hoursHigh, share),
    }),
    {
      op: 'create',
      entity: 'step',
      id: newId(),
      patch: {
        ...alike,
        title: `The rest: ${step.title.replace(/^The rest: /, '')}`.slice(0, 300),
        order,
        state: 'open',
        startedAt: null,
        doneAt: null,
        byIds: [],
        proveOnOne: false,
        unitsDone: 0,
        unitCount: count.left,
        hoursLikely: hours(each * count.left, 1),
        hoursLow: hours(step.hoursLow, 1 - share),
        hoursHigh: hours(step.hoursHigh, 1 - share),
        recipeStep: '',
        recipeMade: {},
      },
    },
  ])
}

/** The step is finished as it is. Refused without a reason, and without somebody who says so. */
export function acceptShort(
  step: Step,
  given: { readonly because: string; readonly byId: string | null },
): Result<readonly ChangeItem[]> {
  if (!maybeShort(step)) return refused('Nothing of it is short: tick it off.')
  const because = given.because.trim()
  if (because === '')
    return refused('Say why that is enough: whoever looks at it next will ask.', [
      { field: 'because', message: 'Why is that enough?' },
    ])
  if (given.byId === null)
    return refused('Say who accepts it.', [{ field: 'by', message: 'Who says so?' }])
  return accepted([
    patchOf('step', step, { state: 'done', shortBecause: because, shortById: given.byId }),
  ])
}

/** "34 of 40 bolts, 6 left out: the last six are under the tank. Oona says so." '': it stopped short of nothing. */
export function sayShort(
  step: Pick<Step, 'unitCount' | 'unitsDone' | 'unitName' | 'shortBecause' | 'shortById'>,
  nameOf: (id: string) => string,
): string {
  if (step.shortBecause.trim() === '') return ''
  const of = step.unitCount ?? 0
  const who = step.shortById === null ? '' : ` ${nameOf(step.shortById)} says so.`
  return `${step.unitsDone} of ${of} ${step.unitName.trim() || 'units'}, ${of - step.unitsDone} left out: ${step.shortBecause.trim().replace(/\.$/, '')}.${who}`
}

/** True when the hours on a step have reached its high estimate: accept it, do one more, or look for what is behind it. */
export const isAtStop = (highHours: number | null, spentHours: number): boolean =>
  highHours !== null && highHours > 0 && spentHours >= highHours

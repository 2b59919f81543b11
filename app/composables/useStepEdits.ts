import type { ChangeItem } from '#core/model/changes'
import type { Reading, Step } from '#core/model/entities'
import { deletion, patchOf } from '#core/model/removal'
import { afterRound } from '#core/steps/rounds'

/** Edits of a step as it is being done: units, readings, rounds, each with its words for undo. */
export function useStepEdits() {
  const store = useRefitStore()
  const time = useTimeStore()
  const personId = useMe()
  const now = () => Math.round(time.now)
  const me = () => personId.value || null
  /** Marks it as begun, by the first thing that is done on it. */
  const begun = (step: Step): Record<string, unknown> =>
    step.state === 'open'
      ? {
          state: 'doing',
          startedAt: now(),
          byIds: step.byIds.length > 0 || !personId.value ? step.byIds : [personId.value],
        }
      : {}

  const start = (step: Step) =>
    store.attempt(`Begin ${step.title}`, [patchOf('step', step, begun(step))])
  function count(step: Step, by: number): Promise<boolean> {
    const to = Math.min(step.unitCount ?? 0, Math.max(0, step.unitsDone + by))
    const words = by > 0 ? `${by} more` : `${-by} less`
    return store.attempt(`${words} of ${step.unitName || 'the units'}: ${step.title}`, [
      patchOf('step', step, {
        ...begun(step),
        unitsDone: to,
        // What goes on was not enough as it was.
        ...(step.shortBecause === '' ? {} : { shortBecause: '', shortById: null }),
      }),
    ])
  }
  /** A reading as it was typed, and the step begun by it. */
  const readingItems = (step: Step, values: Readonly<Record<string, unknown>>): ChangeItem[] => [
    { op: 'create', entity: 'reading', id: newId(), patch: { ...values, stepId: step.id } },
    ...(step.state === 'open' ? [patchOf('step', step, begun(step))] : []),
  ]
  const unread = (reading: Reading) =>
    store.attempt('Remove the reading', [deletion('reading', reading)])
  /** A round that was not good enough: the next one. */
  const anotherRound = (step: Step) =>
    store.attempt(`One more round: ${step.title}`, [
      patchOf('step', step, { ...begun(step), ...afterRound(step), unitsDone: 0 }),
    ])
  return { now, me, start, count, readingItems, unread, anotherRound }
}

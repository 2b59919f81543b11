/** What a change brings with it that nobody typed: dates and inches of finished steps. */
import type { Step } from '#core/model/entities'
import { settleStep } from '#core/model/settle'
import type { Applied } from './applyItem'
import { now } from './clock'
import type { OpenRefit } from './openRefit'
import type { Plain } from './rows'
import { settleInches } from './settleInches'

/**
 * Lets finished and reopened steps set what follows from it, one after the other, and moves inches with
 * what else changed. The refit in memory is left as it will be.
 */
export function settleApplied(applied: readonly Applied[], one: OpenRefit): readonly Applied[] {
  const moving = applied.filter(({ item, before, after }) => {
    const state = (row: Plain | null) => (row as Step | null)?.state
    if (item.entity !== 'step' || after === null) return false
    return before ? state(before) !== state(after) : state(after) === 'done'
  })
  const isMoving = new Set(moving)
  // Steps are looked at as they were before this change, with those settled so far.
  const settled = new Map<string, Step>()
  const original = new Map<string, Plain | null>(
    moving.map(({ item, before }) => [item.id, before]),
  )
  const steps = () =>
    one.rows.step.flatMap((step): readonly Step[] => {
      if (!original.has(step.id)) return [step]
      const row = settled.get(step.id) ?? (original.get(step.id) as unknown as Step | null)
      return row ? [row] : []
    })
  const list = applied.map((each) => {
    if (!isMoving.has(each)) return each
    const before = each.before as unknown as Step | null
    const after = each.after as unknown as Step
    // A step that comes finished with its inches (an import, an undo) keeps them.
    const keeps =
      each.item.op === 'create' && after.earnedIn !== null && after.earnedIn !== undefined
    const moved = keeps ? null : settleStep(before, after, { ...one.rows, step: steps() }, now())
    const row = { ...after, ...(moved ?? {}) }
    settled.set(row.id, row)
    one.set('step', row.id, row as unknown as Plain)
    const fields = moved ? [...new Set([...each.fields, 'doneAt', 'earnedIn'])] : each.fields
    return { ...each, after: row as unknown as Plain, fields }
  })
  return settleInches(list, one)
}

import type { Step } from '#core/model/entities'
import { keptAfter } from '#core/model/settle'
import type { Applied } from './applyItem'
import type { OpenRefit } from './openRefit'
import type { Plain } from './rows'

const inchesOf = (row: Plain | null): number => (row as unknown as Step | null)?.earnedIn ?? 0

/** Inches of finished steps that a change takes away, less those it puts back. */
function movedOut(applied: readonly Applied[]): number {
  let inches = 0
  for (const { item, before, after, restored } of applied) {
    if (item.entity !== 'step') continue
    if (item.op === 'delete') inches += inchesOf(before)
    else if (restored) inches -= inchesOf(after)
  }
  return inches
}

/** The new length by the old; 1 when it stays. */
function scaleOf(applied: readonly Applied[]): number {
  for (const { item, before, after } of applied) {
    if (item.entity !== 'refit' || !before || !after) continue
    const [was, is] = [before.loaM as number, after.loaM as number]
    if (was !== is && was > 0) return is / was
  }
  return 1
}

/**
 * Adds what a change does to inches already earned: those of a removed step are kept with the refit, and
 * a corrected length stretches all of them with the Tape, so that the share earned stays.
 */
export function settleInches(applied: readonly Applied[], one: OpenRefit): readonly Applied[] {
  const keptIn = movedOut(applied)
  const scale = scaleOf(applied)
  if (keptIn === 0 && scale === 1) return applied
  const list = [...applied]
  const patch = (entity: 'refit' | 'step', row: Plain, values: Plain) => {
    const at = list.findIndex((one) => one.item.entity === entity && one.item.id === row.id)
    const own = list[at]
    const fields = Object.keys(values)
    if (own?.after) {
      const after = { ...own.after, ...values }
      list[at] = { ...own, after, fields: [...new Set([...own.fields, ...fields])] }
      one.set(entity, row.id as string, after)
      return
    }
    const version = row.version as number
    const after = { ...row, ...values, version: version + 1 }
    list.push({
      item: { op: 'patch', entity, id: row.id as string, baseVersion: version, patch: values },
      before: row,
      after,
      fields,
    })
    one.set(entity, row.id as string, after)
  }
  for (const row of one.rows.refit) {
    const earnedKeptIn = keptAfter(row, { keptIn, scale })
    if (earnedKeptIn !== row.earnedKeptIn) patch('refit', row as unknown as Plain, { earnedKeptIn })
  }
  if (scale !== 1)
    for (const row of one.rows.step as unknown as readonly Plain[])
      if (inchesOf(row) > 0) patch('step', row, { earnedIn: inchesOf(row) * scale })
  return list
}

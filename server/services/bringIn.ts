/** A whole refit written in one go: as a new one, or in place of one that is here. */
import { randomUUID } from 'node:crypto'
import { documentChanges } from '#core/exchange/refitFile'
import type { RefitDocument } from '#core/exchange/refitFile'
import type { Change, ChangeItem, FieldProblem } from '#core/model/changes'
import { entityWord, isComputed } from '#core/model/references'
import { emptyRows } from '#core/model/refit'
import { checkCounts } from '#core/model/rules'
import { fieldProblems } from '#shared/problems'
import { idSchema } from '#shared/schemas/idSchema'
import { copyDatabase } from '../db/copyDatabase'
import { database } from '../db/store'
import { alone } from './alone'
import { applyItem } from './applyItem'
import type { Applied } from './applyItem'
import { brokenReferences, checkWhole, missingFiles } from './checkApplied'
import { commit } from './commit'
import { hold, OpenRefit, presentRefit } from './openRefit'
import { wipingRefit } from './removeRefit'
import type { Plain } from './rows'
import { refuse, staged } from './stage'

export interface BroughtIn {
  readonly refitId: string
  /** What stood in the file and wants mending, a sentence each. */
  readonly toMend: readonly string[]
}

/** How a row is called in a sentence: its kind and its name. */
const called = (item: ChangeItem, row: Plain | null): string => {
  const name = row?.title ?? row?.name ?? row?.code ?? row?.caption ?? row?.on ?? row?.week
  return `${entityWord[item.entity]}${name ? ` “${String(name)}”` : ''}`
}
const capital = (text: string): string => `${text[0]?.toUpperCase() ?? ''}${text.slice(1)}`

/** Rows as the file gives them, each checked by itself. Throws Trouble 422 naming those that cannot be read. */
async function readItems(items: readonly ChangeItem[], one: OpenRefit) {
  const applied: Applied[] = []
  const problems: FieldProblem[] = []
  const toMend: string[] = []
  for (const item of items) {
    const { error } = idSchema.required().validate(item.id)
    if (error) {
      const name = called(item, item.op === 'create' ? item.patch : null)
      problems.push({
        field: `${item.entity}.id`,
        message: `In the ${name}: ${fieldProblems(error)[0]?.message ?? ''}`,
      })
      continue
    }
    const outcome = await applyItem(item, one.get(item.entity, item.id), () =>
      Promise.resolve(new Set<string>()),
    )
    if ('applied' in outcome) {
      applied.push(outcome.applied)
      one.set(item.entity, item.id, outcome.applied.after)
      continue
    }
    const found = 'problems' in outcome ? outcome.problems : []
    const name = called(item, item.op === 'create' ? item.patch : null)
    // What was worked out can be worked out again: it does not keep the rest from coming back.
    if (item.entity === 'weekSnapshot')
      toMend.push(
        `The figures of the week ${String((item as { patch?: Plain }).patch?.week)} could not be read and were left out.`,
      )
    else if (!isComputed(item.entity))
      problems.push(
        ...found.map((each) => ({ ...each, message: `In the ${name}: ${each.message}` })),
      )
  }
  refuse(problems)
  return { applied, toMend }
}

/** The file's own refit id where it is not in use here. */
async function freeId(wanted: unknown): Promise<string> {
  const { error, value } = idSchema.validate(wanted)
  if (error || value === undefined) return randomUUID()
  const { models } = await database()
  const taken = await models.rows.refit.findOne({ where: { refitId: value as string } })
  return taken ? randomUUID() : (value as string)
}

/**
 * Brings a refit in, all in one transaction. In place of another the numbers of changes go on, and the refit
 * begins another life, so that every window reads it anew. The database is copied before.
 * Throws Trouble 404 and 422.
 */
export const bringIn = (document: RefitDocument, replace: string | null): Promise<BroughtIn> =>
  alone(async () => {
    // Before any row is read: what is too much of it takes seconds to be read.
    refuse(checkCounts(document.rows.job?.length ?? 0, document.rows.step?.length ?? 0))
    const before = replace === null ? null : await presentRefit(replace)
    const refitId = replace ?? (await freeId(document.refitId))
    const one = new OpenRefit(
      refitId,
      randomUUID(),
      before?.seq ?? 0,
      emptyRows(),
      new Map(),
      new Set(),
    )
    const mark = one.mark()
    const { applied, toMend } = await readItems(documentChanges(document, refitId), one)
    const whole = checkWhole(applied, one)
    refuse([...brokenReferences(applied, one), ...whole.refused])
    if (before) await copyDatabase((await database()).sequelize, 'before-replace')
    const change: Change = {
      changeId: randomUUID(),
      deviceId: 'import',
      personId: null,
      label: 'A refit file brought in',
      quiet: true,
      items: [],
    }
    await commit(
      [staged(one, change, applied, mark, null, true)],
      before ? wipingRefit(refitId) : [],
    )
    hold(one)
    const rows = new Map(
      applied.map(({ item, after }) => [`${item.entity}.${item.id}`, { item, after }]),
    )
    const named = whole.toMend.map(({ field, message }) => {
      const row = rows.get(field.split('.').slice(0, 2).join('.'))
      return row ? `${capital(called(row.item, row.after))}: ${message}` : message
    })
    const files = missingFiles(applied).map(({ message }) => message)
    return { refitId, toMend: [...toMend, ...named, ...files] }
  })

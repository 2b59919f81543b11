import { groupBy } from '#core/model/refit'
import type { RefitRows } from '#core/model/refit'
import type { RowChange } from '#core/model/changes'
import { database } from '../db/store'
import { alone } from './alone'
import { changedRowsSince } from './journal'
import type { JournalLine } from './journal'
import { presentRefit } from './openRefit'

export interface RefitSummary {
  readonly id: string
  readonly name: string
  readonly boatName: string
}

/** Every refit in the data folder, by name. */
export async function listRefits(): Promise<RefitSummary[]> {
  const { models } = await database()
  const found = await models.rows.refit.findAll({
    where: { deletedAt: null },
    attributes: ['id', 'name', 'boatName'],
    order: ['name', 'id'],
  })
  return found.map((row) => row.get({ plain: true }) as unknown as RefitSummary)
}

export interface WholeRefit {
  readonly epoch: string
  readonly seq: number
  readonly rows: RefitRows
}

/** A whole refit as it stood between two changes. Not to be called inside `alone`. Throws Trouble 404. */
export const wholeRefit = (refitId: string): Promise<WholeRefit> =>
  alone(async () => {
    const one = await presentRefit(refitId)
    return { epoch: one.epoch, seq: one.seq, rows: { ...one.rows } }
  })

/** Rows changed after a number; null when the caller has to read the refit anew. Throws Trouble 404. */
export const caughtUp = (
  refitId: string,
  since: number,
  epoch: string | null,
): Promise<{ epoch: string; seq: number; rows: RowChange[] | null }> =>
  alone(async () => {
    const one = await presentRefit(refitId)
    const { seq } = one
    if (since > seq || (epoch !== null && epoch !== one.epoch))
      return { epoch: one.epoch, seq, rows: null }
    const { models } = await database()
    const rows = since < seq ? await changedRowsSince(models, refitId, since) : []
    return { epoch: one.epoch, seq, rows }
  })

export interface HistoryLine {
  readonly seq: number
  readonly label: string
  readonly at: number
  readonly personId: string | null
  readonly undone: boolean
  /** The first rows it changed, with their fields before and after. */
  readonly rows: readonly JournalLine[]
  /** All rows it changed. */
  readonly rowCount: number
}

/** Rows of one change that the history lists. */
const mostRows = 12

/** The last changes that people made, newest first. */
export async function historyOf(refitId: string, most = 200): Promise<HistoryLine[]> {
  const { models } = await database()
  const found = await models.change.findAll({
    where: { refitId, quiet: false },
    attributes: ['seq', 'label', 'at', 'personId', 'undone'],
    order: [['seq', 'DESC']],
    limit: most,
  })
  const changes = found.map((row) => row.get({ plain: true }) as unknown as HistoryLine)
  const journal = await models.journal.findAll({
    where: { refitId, seq: changes.map((one) => one.seq) },
    order: ['seq', 'place'],
  })
  const lines = groupBy(
    journal.map((line) => line.get({ plain: true }) as unknown as JournalLine & { seq: number }),
    (line) => String(line.seq),
  )
  return changes.map((change) => {
    const own = lines.get(String(change.seq)) ?? []
    return { ...change, rows: own.slice(0, mostRows), rowCount: own.length }
  })
}

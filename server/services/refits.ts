import { groupBy } from '#core/model/refit'
import type { RefitRows } from '#core/model/refit'
import type { JournalLine } from './journal'
import { problem } from '#shared/problems'
import { database } from '../db/connect'
import { lastSeq, readRows } from './rows'
import { Trouble } from './trouble'

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

/** A whole refit with its change number. Throws Trouble 404. */
export async function wholeRefit(refitId: string): Promise<{ seq: number; rows: RefitRows }> {
  const { models } = await database()
  // The number first: a change in between is heard again, which does no harm.
  const seq = await lastSeq(models, refitId)
  const rows = await readRows(models, refitId)
  if (rows.refit.length === 0)
    throw new Trouble(
      404,
      problem('notFound', 'There is no such refit here. It may have been removed.'),
    )
  return { seq, rows }
}

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

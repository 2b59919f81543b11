/** What went into a job, with batch and expiry where somebody kept them. */
import type { Step } from '../model/entities'
import { groupBy } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { partsByJob } from '../money/jobCost'
import { sayFullDate } from '../time/say'
import { formatQuantity } from '../units/quantity'

export interface MaterialUsed {
  readonly what: string
  readonly value: string
  readonly batch: string
}

interface Lot {
  readonly batch: string
  readonly expiresOn: string | null
}

const sayLot = ({ batch, expiresOn }: Lot): string =>
  [batch, expiresOn === null ? '' : `good until ${sayFullDate(expiresOn)}`]
    .filter(Boolean)
    .join(', ')

const named = (what: string): string => what.trim().toLowerCase()

/** Lots that came for each part. */
function lotsOfParts(rows: RefitRows): (partId: string) => Lot[] {
  const wants = groupBy(rows.lineWant, (one) => one.partId)
  const came = groupBy(rows.delivery, (one) => one.lineId)
  return (partId) =>
    (wants.get(partId) ?? []).flatMap((want) =>
      (came.get(want.lineId) ?? []).filter(
        (one) => one.returned < one.quantity && (one.batch !== '' || one.expiresOn !== null),
      ),
    )
}

/**
 * What its steps bring and is no part of it, tools left out, then its parts that were not sent back. Of a line without an
 * order the lot on the shelf is taken, where there is only one of that name.
 */
export function materialsUsed(
  jobId: string,
  steps: readonly Step[],
  rows: RefitRows,
): MaterialUsed[] {
  const stepIds = new Set(steps.map((one) => one.id))
  const lotsOf = lotsOfParts(rows)
  const shelf = groupBy(
    rows.stock.filter((one) => one.batch !== '' || one.expiresOn !== null),
    (one) => named(one.name),
  )
  const onShelf = (what: string): string => {
    const lots = [...new Set((shelf.get(named(what)) ?? []).map(sayLot))]
    return lots.length === 1 ? (lots[0] as string) : ''
  }
  const parts = (partsByJob(rows).get(jobId) ?? [])
    .filter((one) => one.state !== 'returned')
    .map((one) => ({
      what: one.name,
      value: formatQuantity(one.quantity, one.unit, rows.refit[0]?.units ?? 'metric'),
      batch: [...new Set(lotsOf(one.id).map(sayLot))].join('; ').slice(0, 120) || onShelf(one.name),
    }))
  const said = new Set(parts.map((one) => named(one.what)))
  const lines = rows.bringLine
    .filter((one) => stepIds.has(one.stepId) && one.kind !== 'tool' && !said.has(named(one.what)))
    .map((one) => ({ what: one.what, value: one.amount, batch: onShelf(one.what) }))
  return [...lines, ...parts]
}

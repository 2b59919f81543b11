import { byId } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { hands, keptAt, partState } from '../model/said'
import { editableMoney } from '../money/money'

/** Parts as a table, first row headings: what, for which job and step, how it stands, from whom, what it costs. */
export function partTable(rows: RefitRows): (string | number)[][] {
  const [jobs, steps, suppliers] = [byId(rows.job), byId(rows.step), byId(rows.supplier)]
  const currency = rows.refit[0]?.currency ?? 'EUR'
  return [
    [
      'Part',
      'Quantity',
      'Unit',
      'Size',
      'Metal',
      'Hand',
      'Specification',
      'Job',
      'Needed by',
      'State',
      'Where',
      'Supplier',
      `Price of one, ${currency}`,
      'In a pack',
      'Ordered on',
      'Arrives on',
    ],
    ...rows.part.map((part) => {
      const step = steps.get(part.neededByStepId ?? '')
      return [
        part.name,
        part.quantity,
        part.unit,
        part.size,
        part.metal,
        part.hand === 'none' ? '' : hands[part.hand],
        part.specification,
        jobs.get(part.jobId ?? step?.jobId ?? '')?.title ?? '',
        step?.title ?? '',
        partState[part.state],
        part.at === null ? '' : keptAt[part.at],
        suppliers.get(part.supplierId ?? '')?.name ?? '',
        part.priceMinor === null ? '' : Number(editableMoney(part.priceMinor, currency)),
        part.packSize ?? '',
        part.orderedOn ?? '',
        part.arrivesOn ?? '',
      ]
    }),
  ]
}

/** Answers of the bench that Piet and Oona kept, each worked as the page works it. */
import { initialValues } from '#core/bench/check'
import type { Values } from '#core/bench/ask'
import { plainTools } from '#core/bench/sum'
import { sumOf } from '#core/bench/sums'
import { workSum } from '#core/bench/workSum'
import { wantedSums } from '#core/bench/wanted'
import type { RefitRows } from '#core/model/refit'
import type { Writer } from '../write'

export function writeBench(write: Writer): void {
  keep(write, 'loads-to-bank', 'panel', 'piet', '2027-03-28 20:10', {})
  keep(write, 'tabbing-and-fillet', 'beam', 'oona', '2027-03-06 17:40', {
    lengthM: 1.6,
    fillet: 20,
    plies: 3,
  })
  keep(write, 'plies-to-a-level', 'foredeck', 'oona', '2027-04-03 09:20', {
    areaM2: 2.1,
  })
  keep(write, 'antifoul-area', 'antifoul', 'oona', '2027-04-10 18:05', {
    lwl: 10.2,
    beam: 3.7,
    draught: 1.75,
  })
  keep(write, 'which-core-way', 'rail-core', 'oona', '2027-04-16 18:30', {
    area: 0.05,
    load: 'no',
  })
  // Looked at from both sides with the lining down: the loom lies near one of them.
  keep(write, 'before-you-drill', 'windlass-bolts', 'piet', '2027-04-10 16:20', {
    hole: 11,
    plate: 60,
    room: 44,
    oldHole: 38,
    outAlong: 1140,
    outAcross: 95,
    inAlong: 1138,
    inAcross: 96,
    thick: 20,
    behind: 60,
    beside: 31,
  })
  keep(write, 'load-and-plate', 'windlass-bolts', 'piet', '2027-04-10 16:35', {
    load: 12,
    lever: 110,
    bolt: '10',
    bolts: 4,
    spread: 150,
    footLong: 240,
    footWide: 180,
    boltsWide: 120,
    under: 'solid',
  })
  // Measured since: the bolts pass more than they thought.
  keep(write, 'sleeved-holes', 'windlass-bolts', 'piet', '2027-04-11 12:15', { core: 10 })
}

function keep(
  write: Writer,
  sumKey: string,
  jobId: string,
  byId: string,
  when: string,
  given: Values,
): void {
  const sum = sumOf(sumKey)
  if (!sum) throw new Error(`no sum ${sumKey}`)
  const want = wantedSums(write.rows as RefitRows).find(
    (one) => one.sum.key === sumKey && one.job.id === jobId,
  )
  const inputs = { ...(want?.values ?? initialValues(sum.asks)), ...given }
  const worked = workSum(sum, inputs, plainTools('metric'))
  if (!worked.ok) throw new Error(`${sumKey}: ${worked.message}`)
  const filled = Object.fromEntries(
    Object.entries(want?.filled ?? {}).map(([path, value]) => [
      path,
      (given[path] ?? value) as string | number | null,
    ]),
  )
  write.add('keptSum', `kept-${sumKey}`, {
    sumKey,
    jobId,
    stepId: want?.step.id ?? null,
    inputs,
    known: Object.fromEntries(Object.keys(given).map((key) => [key, true as const])),
    filled,
    says: worked.value.says,
    heading: worked.value.heading,
    keptAt: write.at(when),
    byId,
  })
}

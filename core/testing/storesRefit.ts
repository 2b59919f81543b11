/** A refit with one thing to buy, for tests of the stores. */
import { supposing } from '../model/applyChange'
import { handsOn } from '../plan/handsOn'
import { makePlan } from '../plan/makePlan'
import { storeFacts } from '../stores/storeFacts'
import { zoneClock } from '../time/zone'
import { add, emptyRefit, job, person, step } from './build'

export const clock = zoneClock('UTC')
/** Friday 30 April 2027. */
export const now = Date.UTC(2027, 3, 30, 12)

/** Ida comes on Saturdays and Sundays; two steps, each with a part. */
export function refit() {
  const rows = emptyRefit()
  add(rows, 'place', 'berth', {
    name: 'Berth',
    kind: 'berth',
    travelMin: 0,
    setUpMin: 0,
    packUpMin: 0,
  })
  add(rows, 'gate', 'aboard', { name: 'Move aboard', kind: 'asap' })
  add(rows, 'supplier', 'post', { name: 'By post', leadDays: 6, leadLateDays: 20 })
  person(rows, 'ida', [6, 7], '08:00', '18:00')
  job(rows, 'hatch', { gateId: 'aboard' })
  step(rows, 'hatch', 'measure', { operation: 'survey', hoursLikely: 2 })
  step(rows, 'hatch', 'bed', { operation: 'fit', hoursLikely: 2, notBefore: '2027-05-22' })
  add(rows, 'part', 'rubber', {
    name: 'Rubber',
    unit: 'm',
    quantity: 3,
    jobId: 'hatch',
    neededByStepId: 'bed',
    fixedByStepId: 'measure',
    supplierId: 'post',
    priceMinor: 2000,
  })
  return rows
}
export type Rows = ReturnType<typeof refit>
export const factsOf = (rows: Rows, at = now) => {
  const { plan } = makePlan(rows, at)
  return storeFacts(rows, plan, clock, handsOn(rows, plan, clock), at)
}
let ids = 0
export const newId = () => `n${ids++}`
export const after = (rows: Rows, items: Parameters<typeof supposing>[1]) =>
  supposing(rows, items) as Rows
export const draft = {
  number: '26',
  supplierId: 'post',
  orderedOn: '2027-04-30',
  dueOn: '2027-05-06',
  currency: '',
  rate: null,
  rateOn: null,
  freightMinor: 0,
  taxMinor: 0,
}
export const lineOf = (quantity: number, partIds: readonly string[]) => ({
  name: 'Rubber',
  quantity,
  unit: 'm',
  packSize: null,
  priceMinor: 6000,
  partIds,
})

/** Three came, all of them sound. */
export const whole = {
  cameOn: '2027-05-06',
  quantity: 3,
  checkedOn: '2027-05-06',
  checkedById: null,
  batch: '',
  expiresOn: null,
  faulty: 0,
  fault: '',
  returnBy: null,
  instead: '',
  at: 'boat' as const,
  restDueOn: null as string | null,
}

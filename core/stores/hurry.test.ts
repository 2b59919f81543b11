/** What could be asked of a seller, and another day for what is on its way; by hand. */
import { describe, expect, it } from 'vitest'
import { after, draft, factsOf, lineOf, newId, now, refit } from '../testing/storesRefit'
import type { Rows } from '../testing/storesRefit'
import { dayNumber } from '../time/civil'
import { buyBoard } from './board'
import { hurriesOf } from './hurry'
import { comesOnItems, orderItems } from './ordering'

const today = dayNumber('2027-04-30')
const rowOf = (rows: Rows, at = now) => {
  const [row] = buyBoard(factsOf(rows, at)).rows
  if (!row) throw new Error('nothing is to be bought')
  return row
}
const said = (rows: Rows, day = today, at = now) =>
  hurriesOf(rows, rowOf(rows, at), day).map(({ how, on }) => `${how} ${on}`)
/** Its size is known; six days by post for Saturday 22 May. */
function known(): Rows {
  const rows = refit()
  rows.part = rows.part.map((one) => ({ ...one, fixedByStepId: null }))
  return rows
}

describe('asked to hurry', () => {
  it('are what is late or bought on its last day, and nothing that has time', () => {
    const rows = known()
    // 22 May less six days less five: 11 May is the last day; after the 16th it is late.
    expect(said(rows)).toEqual([])
    const on = (date: string) => said(rows, dayNumber(date), Date.parse(`${date}T12:00Z`))
    expect(on('2027-05-10')).toEqual([])
    expect(on('2027-05-11')).toEqual(['rule 2027-05-17', 'express 2027-05-14'])
    expect(on('2027-05-18')).toEqual(['rule 2027-05-24', 'express 2027-05-21'])
    // Over the counter there is nothing to hurry.
    rows.supplier = rows.supplier.map((one) => ({ ...one, leadDays: 0, leadLateDays: 0 }))
    expect(on('2027-05-18')).toEqual(['rule 2027-05-18'])
    expect(
      hurriesOf(rows, rowOf(rows, Date.UTC(2027, 4, 18, 12)), dayNumber('2027-05-18'))[0]?.items,
    ).toMatchObject([{ id: 'rubber', patch: { state: 'ordered', arrivesOn: '2027-05-18' } }])
  })

  it('are parts on their way that hold their step or come after the day they were promised for', () => {
    const rows = known()
    const due = (dueOn: string) =>
      after(rows, orderItems(rows, { ...draft, dueOn }, [lineOf(3, ['rubber'])], newId))
    expect(said(due('2027-05-21'))).toEqual([])
    // Saturday 22 May or Sunday 23 May would do; due on the Monday it holds the step until Saturday the 29th. 24 days: 12 on.
    expect(said(due('2027-05-24'))).toEqual(['express 2027-05-12'])
    const ordered = due('2027-05-06')
    const later = after(ordered, comesOnItems(ordered, rowOf(ordered).wants, '2027-05-11'))
    // It is in time, but five days later than promised: eleven days, six on.
    expect(said(later)).toEqual(['express 2027-05-06'])
    // Nothing can come sooner than tomorrow.
    expect(said(due('2027-05-24'), dayNumber('2027-05-23'))).toEqual([])
  })
})

describe('another day', () => {
  it('is that of the line of an order, and of all its parts', () => {
    const rows = known()
    const ordered = after(rows, orderItems(rows, draft, [lineOf(3, ['rubber'])], newId))
    const moved = after(ordered, comesOnItems(ordered, rowOf(ordered).wants, '2027-05-19'))
    expect(moved.purchaseLine).toMatchObject([{ dueOn: '2027-05-19' }])
    expect(moved.part).toMatchObject([{ arrivesOn: '2027-05-19' }])
    expect(rowOf(moved)).toMatchObject({ slippedDays: 13, dueOn: dayNumber('2027-05-19') })
  })

  it('is that of a part which is on no order', () => {
    const rows = known()
    rows.part = rows.part.map((one) => ({ ...one, state: 'ordered' as const, arrivesOn: null }))
    const moved = after(rows, comesOnItems(rows, rowOf(rows).wants, '2027-05-19'))
    expect(moved.part).toMatchObject([{ arrivesOn: '2027-05-19' }])
    expect(moved.purchaseLine).toEqual([])
  })
})

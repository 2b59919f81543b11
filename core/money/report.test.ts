/** What a month brought, by hand, and the same money however it is cut into months. */
import { expect, it } from 'vitest'
import { moneyTable } from '../exchange/moneyTable'
import { derive } from '../progress/derive'
import { add, emptyRefit, job, step } from '../testing/build'
import { moneyOf } from './accounts'
import { moneyReport, spanOfMonth } from './report'

const now = Date.UTC(2027, 3, 17, 12)
const at = (text: string) => Date.parse(`${text}T12:00:00Z`)

function refit() {
  const rows = emptyRefit()
  add(rows, 'system', 'rig', { name: 'Rig', kind: 'rig', order: 'a' })
  add(rows, 'person', 'Ann', { name: 'Ann' })
  add(rows, 'person', 'Bea', { name: 'Bea' })
  job(rows, 'mast', { systemId: 'rig' })
  const done = (id: string, hoursLikely: number, on: string, earnedIn: number) =>
    step(rows, 'mast', id, { hoursLikely, state: 'done', doneAt: at(on), earnedIn })
  done('a', 4, '2027-02-28', 20)
  done('b', 5, '2027-03-01', 30)
  done('c', 3, '2027-03-31', 10)
  const worked = (
    id: string,
    stepId: string,
    personId: string,
    on: string,
    hours: number,
    more: object = {},
  ) => add(rows, 'hoursEntry', id, { stepId, personId, on, hours, ...more })
  worked('1', 'a', 'Ann', '2027-02-27', 6)
  worked('2', 'b', 'Ann', '2027-02-28', 2)
  worked('3', 'b', 'Bea', '2027-03-01', 6)
  worked('4', 'b', 'Bea', '2027-03-01', 1, { kind: 'travel' })
  const paid = (id: string, on: string, minor: number, jobId: string | null) => {
    add(rows, 'spend', id, { on, what: id, minor, kind: 'part' })
    if (jobId) add(rows, 'spendShare', id, { spendId: id, jobId, minor, order: 'a' })
  }
  paid('wire', '2027-02-28', 10_000, 'mast')
  paid('ends', '2027-03-01', 2000, 'mast')
  paid('rope', '2027-03-31', 500, null)
  paid('pins', '2027-04-01', 700, 'mast')
  return rows
}
const rows = refit()
const derived = derive(rows, null, now)
const money = moneyOf(rows, null, derived)
const of = (month: string) => moneyReport(rows, money, derived, spanOfMonth(month))

it('counts from the first to the last day: money, hours, inches, and what an hour planned took', () => {
  expect(spanOfMonth('2028-02')).toEqual({ from: '2028-02-01', to: '2028-02-29' })
  const march = of('2027-03')
  expect(march).toMatchObject({ spentMinor: 2500, hours: 7, stepsClosed: 2, inches: 40 })
  expect(march.hoursByPerson).toEqual([{ personId: 'Bea', hours: 7 }])
  // Only b has hours of work: 5 planned, 2 + 6 taken, whenever they were worked.
  expect(march).toMatchObject({ plannedHours: 5, tookHours: 8 })
  const rig = march.accounts.find((one) => one.name === 'Rig')
  expect(rig).toMatchObject({ beforeMinor: 10_000, spanMinor: 2000 })
})
it('adds up over the months to what was paid in all, none left out', () => {
  const { months } = of('2027-04')
  expect(months.map((one) => [one.month, one.minor, one.totalMinor, one.totalIn])).toEqual([
    ['2027-02', 10_000, 10_000, 20],
    ['2027-03', 2500, 12_500, 60],
    ['2027-04', 700, 13_200, 60],
  ])
  expect(months.at(-1)?.totalMinor).toBe(money.spentMinor)
  const sums = ['2027-02', '2027-03', '2027-04'].map((month) => of(month).spentMinor)
  expect(sums.reduce((sum, one) => sum + one, 0)).toBe(money.spentMinor)
})
it('goes out as a table of the span, or of every line with what is owed', () => {
  const table = moneyTable(rows, '2027-04-17', spanOfMonth('2027-03'))
  expect(table.slice(1).map((one) => [one[0], one[1], one[3], one[4], one[5]])).toEqual([
    ['2027-03-01', 'yes', 'Rig', 'mast', 20],
    ['2027-03-31', 'yes', 'other', '', 5],
  ])
  expect(moneyTable(rows, '2027-04-17', null)).toHaveLength(5)
})

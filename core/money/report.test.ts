/** What a month brought, by hand, and the same money however it is cut into months. */
import { expect, it } from 'vitest'
import { reportBlocks } from '../book/reportBlocks'
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

it('stands on paper as on its page: the same sums under each other, names for ids, months where there are several', () => {
  const names = {
    label: 'March 2027',
    currency: 'EUR',
    personOf: (id: string) => (id === 'Bea' ? 'Bea' : ''),
    forWhat: ({ jobId }: { readonly jobId: string | null }) => (jobId === 'mast' ? 'Mast' : ''),
    plannedMinor: 90_000,
    today: '2027-04-17',
  }
  const blocks = reportBlocks(of('2027-03'), names)
  const [head, list] = blocks
  expect(head).toMatchObject({ kind: 'heading', text: 'March 2027: €25 paid' })
  // 25 ÷ 40 in; 8 h for the 5 that were planned.
  expect(list).toMatchObject({
    items: [
      'Inches earned: 40, €0.63 an inch',
      'Steps closed: 2',
      'Hours written down: 7 h: Bea 7 h',
      'For an hour planned it took: 1 h 36',
      // Nothing was planned, so all of it is.
      'Taken from the contingency: €25',
      'Things found: 0',
    ],
  })
  const tables = blocks.flatMap((one) => (one.kind === 'table' ? [one] : []))
  expect(tables.map((one) => one.head[0])).toEqual(['Account', 'Day'])
  expect(tables[0]?.rows.find((one) => one[0] === 'Rig')).toEqual([
    'Rig',
    '€100.00',
    '€20.00',
    '€120.00',
    expect.any(String),
  ])
  expect(tables[0]?.rows.at(-1)?.slice(0, 4)).toEqual(['Together', '€100.00', '€25.00', '€125.00'])
  expect(tables[1]?.rows).toEqual([
    ['1 Mar', 'ends', 'Mast', '€20.00'],
    ['31 Mar', 'rope', '', '€5.00'],
    ['Together', '', '', '€25.00'],
  ])
  const whole = moneyReport(rows, money, derived, { from: '1970-01-01', to: '2027-04-17' })
  const months = reportBlocks(whole, names).find(
    (one) => one.kind === 'table' && one.head[0] === 'Month',
  )
  expect(months).toMatchObject({
    sums: [1, 2, 3, 4],
    rows: [
      ['February 2027', '€100.00', '€100.00', '20', '20'],
      ['March 2027', '€25.00', '€125.00', '40', '60'],
      ['April 2027', '€7.00', '€132.00', '0', '60'],
    ],
  })
  // A day of another year says which.
  const later = reportBlocks(of('2027-03'), { ...names, today: '2028-01-02' })
  expect(later.flatMap((one) => (one.kind === 'table' ? one.rows : []))).toContainEqual([
    '31 Mar 2027',
    'rope',
    '',
    '€5.00',
  ])
  const none = reportBlocks(of('2027-01'), names)
  expect(none.some((one) => one.kind === 'text' && one.text === 'Nothing with a day in it.')).toBe(
    true,
  )
})

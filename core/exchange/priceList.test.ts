/** Reading a supplier's list: columns, sums, and which part a row is about; by hand. */
import { describe, expect, it } from 'vitest'
import { supposing } from '../model/applyChange'
import { add, emptyRefit } from '../testing/build'
import {
  guessPriceColumns,
  isSame,
  matchPrices,
  priceChanges,
  readPrices,
  standInFeed,
} from './priceList'
import { partTable } from './partTable'

const columns = ['name', 'price', 'pack', 'days'] as const
const row = (line: number, ...cells: string[]) => ({ line, cells })

describe('the columns of a price list', () => {
  it.each([
    [
      ['Article', 'Net price', 'Pack', 'Unit', 'Delivery (days)', 'EAN'],
      ['name', 'price', 'pack', 'unit', 'days', 'skip'],
    ],
    [
      ['Code', 'Description', '€', 'Qty'],
      ['skip', 'name', 'price', 'pack'],
    ],
    // Nothing says what: the first that says nothing is taken for it.
    [
      ['', 'Price'],
      ['name', 'price'],
    ],
  ])('%j', (header, expected) => {
    expect(guessPriceColumns(header)).toEqual(expected)
  })
})

describe('a row of a price list', () => {
  it('is read in the currency of the refit, and says what is wrong with it', () => {
    const read = readPrices(
      [
        row(2, 'Tape', '€11.40', '10', '3'),
        row(3, 'Tape', '11,40', '', ''),
        row(4, '', '1', '0', '-3'),
        row(5, 'Tape', '£5', 'many', '1'),
        row(6, 'Tape', '12.345', '', ''),
      ],
      columns,
      'EUR',
    )
    expect(read[0]).toMatchObject({ priceMinor: 1140, packSize: 10, leadDays: 3, problems: [] })
    expect(read[1]).toMatchObject({ priceMinor: 1140, packSize: null, leadDays: null })
    expect(read[2]?.problems).toEqual([
      'It has no name.',
      'A pack of 0 cannot be: from 0.001 to 1000000.',
      'Days of -3 cannot be: from 0 to 1000.',
    ])
    expect(read[3]?.problems).toHaveLength(2)
    expect(read[4]?.problems).toHaveLength(1)
  })
})

describe('parts and a price list', () => {
  function refit() {
    const rows = emptyRefit()
    add(rows, 'part', 'tape', { name: 'Butyl tape', unit: 'm', quantity: 45 })
    add(rows, 'part', 'bolt', { name: 'Bolt M8 × 70 mm, A4' })
    add(rows, 'part', 'here', { name: 'Butyl tape', state: 'arrived' })
    return rows
  }
  const list = (rows: ReturnType<typeof refit>, ...lines: string[][]) =>
    matchPrices(
      readPrices(
        lines.map((cells, at) => row(at + 2, ...cells)),
        columns,
        'EUR',
      ),
      rows.part,
    )

  it('find each other by name, and never take another size for the same', () => {
    const found = list(
      refit(),
      ['Tape, butyl', '11.40', '10', '0'],
      ['Bolt M8 × 60 mm, A4', '9.80', '10', '2'],
      ['Galley pump', '50', '', ''],
    )
    expect(found.map((one) => [one.part.id, one.line.name, isSame(one), one.oneMinor])).toEqual([
      ['tape', 'Tape, butyl', true, 114],
      ['bolt', 'Bolt M8 × 60 mm, A4', false, 98],
    ])
    const right = list(
      refit(),
      ['Bolt M8 × 60 mm A4', '1', '', ''],
      ['Bolt, M8 × 70 mm A4', '2', '', ''],
    )
    expect(right.map((one) => [one.part.id, one.line.name, isSame(one)])).toEqual([
      ['bolt', 'Bolt, M8 × 70 mm A4', true],
    ])
  })

  it('leave to a part what the list does not say', () => {
    const rows = refit()
    rows.part = rows.part.map((one) => ({ ...one, priceMinor: 200, packSize: 5, leadDays: 9 }))
    const found = list(rows, ['Butyl tape', '11.40', '10', ''])
    const after = supposing(rows, priceChanges(found, 'fenn'))
    expect(after.part.find((one) => one.id === 'tape')).toMatchObject({
      priceMinor: 114,
      packSize: 10,
      leadDays: 9,
      supplierId: 'fenn',
    })
    expect(after.part.find((one) => one.id === 'bolt')).toMatchObject({ priceMinor: 200 })
  })

  it('may come from another door: the made-up list reads without a fault', () => {
    const [header, ...lines] = standInFeed.rows()
    const read = readPrices(
      lines.map((cells, at) => row(at + 2, ...cells)),
      guessPriceColumns(header ?? []),
      'EUR',
    )
    expect(read.flatMap((one) => one.problems)).toEqual([])
    expect(read.every((one) => one.priceMinor !== null && one.packSize !== null)).toBe(true)
  })
})

it('parts as a table have a price to the cent and the names of what they point to', () => {
  const rows = emptyRefit()
  add(rows, 'supplier', 's', { name: 'Fenn', leadDays: 0 })
  add(rows, 'part', 'p', { name: 'Valve', priceMinor: 9405, supplierId: 's', hand: 'port' })
  const [header = [], line = []] = partTable(rows)
  const of = (name: string) => line[header.findIndex((one) => String(one).startsWith(name))]
  expect([of('Part'), of('Price of one'), of('Supplier'), of('Hand'), of('Where')]).toEqual([
    'Valve',
    94.05,
    'Fenn',
    'port',
    '',
  ])
})

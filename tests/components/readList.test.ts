/** Lists as they come: with headings or without, parted by whatever, broken where they are. */
import { expect, it } from 'vitest'
import { readList, readSheet } from '../../app/utils/readList'

const zones = [{ id: 'bow', name: 'Bow' }]

it('is a table where its first row has headings, by the sign that parts its columns', () => {
  const list = readList('Job;Hours\n"Rebed;\nthe cleat";4\n\nSand;2,5\n', zones, 'UTF-8')
  expect(list.header).toEqual(['Job', 'Hours'])
  // Lines are those of the file: a cell of two lines and a blank one count.
  expect(list.table).toEqual([
    { line: 2, cells: ['Rebed;\nthe cleat', '4'] },
    { line: 5, cells: ['Sand', '2,5'] },
  ])
  expect(list.said).toBe('UTF-8, columns parted by semicolons')
  expect(readList('Job\tHours\nSand\t2', zones).said).toBe('columns parted by tabs')
  expect(readList('Job,Hours\nSand,2', zones).said).toBe('columns parted by commas')
  expect(readList('Job|Hours\nSand|2', zones).said).toBe('columns parted by bars')
})

it('is a line a job without headings', () => {
  const list = readList('Rebed the cleat, 4 h\nSand the deck', zones, 'UTF-8')
  expect(list.header).toEqual([])
  expect(list.table.map((one) => one.line)).toEqual([1, 2])
  expect(list.said).toBe('UTF-8')
  // One word is no row of headings, whatever it says.
  expect(readList('Job\nSand', zones).header).toEqual([])
})

it('of anything is read with its headings, and refused with the line where a quote stays open', () => {
  expect(readSheet('Name,Price\nEpoxy,12\n')).toEqual({
    header: ['Name', 'Price'],
    table: [{ line: 2, cells: ['Epoxy', '12'] }],
  })
  expect(readSheet('Name,Price\nEpoxy,12\n"Tape,3\nFoam,4\n')).toMatchObject({
    wrong: expect.stringContaining('begins on line 3'),
  })
  expect(readSheet('Name,Price\n')).toEqual({ wrong: 'There is no row under the headings.' })
  expect(readSheet('')).toEqual({ wrong: 'There is no row under the headings.' })
  expect(readSheet('PK\u0000\u0003')).toMatchObject({
    wrong: expect.stringContaining('not a text file'),
  })
})

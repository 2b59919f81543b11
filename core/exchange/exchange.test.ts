import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { keyBetween, keysAfter } from '../model/order'
import { add, emptyRefit, job } from '../testing/build'
import { draftChanges } from './draftChanges'
import { guessColumns, linesToTable, looksLikeHeader, readJobs } from './readJobs'

const rows = emptyRefit()
add(rows, 'zone', 'fore', { name: 'Foredeck, port', order: 'b' })
add(rows, 'zone', 'galley', { name: 'Galley', order: 'c' })
add(rows, 'gate', 'launch', { name: 'Launch', kind: 'launch', haulOutId: 'h' })
job(rows, 'Old job')

describe('a list of work', () => {
  it('is read from pasted lines, with hours and places at their end', () => {
    const { table, columns } = linesToTable(
      '- Re-bed the cleat, 2h, galley\n\n3. Mast, boom and rig, 90m\nPaint 2 coats, white\n',
      rows.zone,
    )
    const drafts = readJobs(table, columns, rows)
    expect(drafts.map(({ title, hours, zoneId }) => [title, hours, zoneId])).toEqual([
      ['Re-bed the cleat', 2, 'galley'],
      ['Mast, boom and rig', 1.5, null],
      ['Paint 2 coats, white', null, null],
    ])
  })
  it('guesses columns from headings', () => {
    const header = ['Task', 'Est. hrs', 'Location', 'Hours', 'Priority', 'Depends on', 'Colour']
    expect(looksLikeHeader(header)).toBe(true)
    expect(guessColumns(header)).toEqual([
      'title',
      'skip',
      'zone',
      'hours',
      'purpose',
      'after',
      'skip',
    ])
    expect(guessColumns(['Foo', 'Hours'])).toEqual(['title', 'hours'])
  })
  it('says what is wrong with a row and brings in the others', () => {
    const table = [
      ['Good', '1,5', 'Galley', 'Float', '4', 'Launch', ''],
      ['', '-2', 'Moon', 'Fun', '9', 'Never', 'Nothing'],
      ['Same', '1', '', '', '', '', 'Same'],
      ['Zero', '0', '', '', '', '', ''],
    ]
    const drafts = readJobs(
      table,
      ['title', 'hours', 'zone', 'purpose', 'severity', 'gate', 'after'],
      rows,
      2,
    )
    expect(drafts[0]).toMatchObject({
      row: 2,
      hours: 1.5,
      zoneId: 'galley',
      purpose: 'float',
      severity: 4,
      gateId: 'launch',
      problems: [],
    })
    expect([...(drafts[1]?.problems ?? [])].sort()).toEqual([
      '"Fun" is not a purpose. Use Float, Safe, Go, Live or Shine.',
      'Hours cannot be negative. Type what was worked, like 1h30.',
      'How bad is a number from 1 to 4, not "9".',
      'The job has no name.',
      'There is no gate called "Never".',
      'There is no job called "Nothing" to come after.',
      'There is no place on the boat called "Moon".',
    ])
    expect(drafts[2]?.problems).toEqual(['A job cannot come after itself.'])
    expect(drafts[3]?.problems[0]).toMatch(/No work takes 0 hours/)
    let id = 0
    const items = draftChanges(drafts, rows, () => `n${++id}`)
    expect(items.map((item) => item.entity)).toEqual(['job', 'step'])
  })
  it('links jobs by name, new ones and old ones', () => {
    const drafts = readJobs(
      [
        ['A', 'b'],
        ['B', 'old job'],
      ],
      ['title', 'after'],
      rows,
    )
    let id = 0
    const links = draftChanges(drafts, rows, () => `n${++id}`).filter(
      (item) => item.entity === 'link',
    )
    expect(links.map((item) => ('patch' in item ? item.patch : null))).toEqual([
      { fromJobId: 'n2', toJobId: 'n1' },
      { fromJobId: 'Old job', toJobId: 'n2' },
    ])
  })
})

describe('order keys', () => {
  it('always fit between two others', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(1000), { minLength: 1, maxLength: 200 }), (places) => {
        const keys: string[] = []
        for (const place of places) {
          const at = place % (keys.length + 1)
          keys.splice(at, 0, keyBetween(keys[at - 1] ?? null, keys[at] ?? null))
        }
        expect([...keys].sort()).toEqual(keys)
        expect(new Set(keys).size).toBe(keys.length)
      }),
    )
  })
  it('made in a row rise and stand after the last', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 700 }), (count) => {
        const keys = keysAfter('nb', count)
        expect([...keys].sort()).toEqual(keys)
        expect(new Set(keys).size).toBe(count)
        expect((keys[0] as string) > 'nb').toBe(true)
      }),
    )
    expect(() => keyBetween('b', 'b')).toThrow(RangeError)
  })
})

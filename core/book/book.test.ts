/** The boat's book: what stands in it, for whom, and as Markdown. */
import { describe, expect, it } from 'vitest'
import { add, emptyRefit, job, person } from '../testing/build'
import type { Block } from './blocks'
import { bookOf, sheetNumbers } from './bookOf'
import { markdownOf } from './markdown'

const hash = 'ab'.repeat(32)

function boat() {
  const rows = emptyRefit()
  person(rows, 'Ida', [6], '08:00', '17:00')
  add(rows, 'system', 'deck', { name: 'Deck', kind: 'deck', order: 'a' })
  add(rows, 'system', 'drive', { name: 'Drive', kind: 'propulsion', order: 'b' })
  const sheet = (id: string, systemId: string | null, doneOn: string, more: object = {}) =>
    add(rows, 'asBuiltSheet', id, {
      title: id,
      systemId,
      doneOn,
      who: 'Ida',
      costMinor: 41_200,
      ...more,
    })
  sheet('Hatch', 'deck', '2027-05-02', { takeApart: 'Ask Ida first. Idaho is no name.' })
  sheet('Base', 'deck', '2027-04-02')
  sheet('Shaft', 'drive', '2027-04-10')
  add(rows, 'asBuiltLine', 'l1', {
    sheetId: 'Hatch',
    kind: 'material',
    what: 'Butyl',
    value: '3 rolls',
    order: 'a',
  })
  add(rows, 'asBuiltLine', 'l2', {
    sheetId: 'Hatch',
    kind: 'material',
    what: 'Resin',
    batch: 'lot 4',
    order: 'b',
  })
  add(rows, 'asBuiltTest', 't', {
    sheetId: 'Hatch',
    what: 'Hose | 10 min',
    expected: 'dry',
    measured: 'dry',
    outcome: 'passed',
    order: 'a',
  })
  add(rows, 'picture', 'p', {
    sheetId: 'Hatch',
    hash,
    mime: 'image/png',
    widthPx: 10,
    heightPx: 10,
    moment: 'after',
    caption: 'Ida on it',
    takenAt: 1,
  })
  return rows
}
const book = (asked: { systemId?: string; isForOthers?: boolean } = {}, rows = boat()) =>
  bookOf(rows, { systemId: null, isForOthers: false, ...asked }, '2027-06-01', () => true)
const headings = (blocks: readonly Block[]) =>
  blocks.flatMap((one) =>
    one.kind === 'heading'
      ? [one.text]
      : one.kind === 'sheet'
        ? [`${one.number} ${one.title}`]
        : [],
  )

describe('the book', () => {
  it('numbers sheets by system and time, letters that are taken by two', () => {
    expect([...sheetNumbers(boat())].sort()).toEqual([
      ['Base', 'D-01'],
      ['Hatch', 'D-02'],
      ['Shaft', 'DR-01'],
    ])
  })
  it('goes system by system, and has one of them alone', () => {
    expect(headings(book()).filter((one) => /Deck|Drive|-0/.test(one))).toEqual([
      'Deck',
      'D-01 Base',
      'D-02 Hatch',
      'Drive',
      'DR-01 Shaft',
    ])
    const alone = headings(book({ systemId: 'drive' }))
    expect(alone).toContain('DR-01 Shaft')
    expect(alone.join()).not.toMatch(/Hatch|Deck/)
  })
  it('shows pictures as the work went, and what else was done at the place', () => {
    const rows = boat()
    add(rows, 'zone', 'fore', { name: 'Foredeck', order: 'a', side: 'port', along: 0.8 })
    for (const id of ['Hatch', 'Base']) {
      job(rows, `${id} job`, { zoneId: 'fore' })
      const sheet = rows.asBuiltSheet.find((one) => one.id === id)
      Object.assign(sheet as object, { jobId: `${id} job` })
    }
    add(rows, 'picture', 'first', {
      sheetId: 'Hatch',
      hash,
      mime: 'image/png',
      widthPx: 10,
      heightPx: 10,
      moment: 'before',
      caption: 'Old one',
      takenAt: 9,
    })
    const said = markdownOf(book({}, rows), () => true)
    const hatch = said.slice(said.indexOf('### D-02'), said.indexOf('## Drive'))
    expect(hatch.indexOf('Before: Old one')).toBeLessThan(hatch.indexOf('After: Ida on it'))
    expect(hatch).toContain('#### Belongs with\n\nD-01 Base.')
    expect(hatch).toMatch(/!\[Where\]\(drawings\/2\.svg\)/)
  })
  it('says what was not kept, and who did it at what cost', () => {
    const said = markdownOf(book(), () => true)
    expect(said).toContain('| Butyl | 3 rolls | not kept |')
    expect(said).toContain('| Resin |  | lot 4 |')
    expect(said).toMatch(/Finished Sun 2 May 2027 · Ida · €412/)
  })
  it('draws a section through one bolt at a scale it says, where the job of a sheet has dimensions', () => {
    const rows = boat()
    const inputs = { holes: 4, bolt: 8, overDrill: 8, undercut: 6, skin: 8, core: 12 }
    job(rows, 'bases', { recipeKey: 'sleeve-and-bed', recipeInputs: inputs })
    rows.asBuiltSheet = rows.asBuiltSheet.map((one) =>
      one.id === 'Base' ? { ...one, jobId: 'bases' } : one,
    )
    const sections = book({}, rows).flatMap((one) =>
      one.kind === 'sheet'
        ? one.sections.filter(({ title }) => title.startsWith('Through one bolt'))
        : [],
    )
    expect(sections).toMatchObject([
      {
        // Solid to 14 mm and 14 mm of deck beside it, both ways: 56 mm.
        title: 'Through one bolt, full size',
        blocks: [
          {
            wideMm: 56.8,
            caption:
              'Skins 8 mm together; core 12 mm, solid to 14 mm from the middle of the bolt; bolt M8.',
          },
        ],
      },
    ])
  })
  it('for others names nobody, wherever it was typed, and no sum', () => {
    const said = markdownOf(book({ isForOthers: true }), () => true)
    expect(said).not.toMatch(/\bIda\b|€/)
    expect(said).toContain('Ask one of us first. Idaho is no name.')
    expect(said).toContain('After: one of us on it')
  })
})

describe('as Markdown', () => {
  it('keeps marks as text, and names a picture whose file is missing', () => {
    const said = (isHere: boolean) => markdownOf(book(), () => isHere)
    expect(said(true)).toContain('| Hose \\| 10 min | dry | dry | passed |')
    expect(said(true)).toContain(`![After: Ida on it](pictures/${hash}.png)`)
    expect(said(false)).not.toContain('![')
    expect(said(false)).toContain('(The file of this picture is missing: After: Ida on it.)')
  })
})

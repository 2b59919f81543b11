/** The book on paper: which font has a sign, what stands where, what is left out. */
import { describe, expect, it } from 'vitest'
import type { Block, PictureBlock, Section } from '#core/book/blocks'
import { bookPages } from './bookPages'
import { textRuns } from './textRuns'

describe('fonts', () => {
  it('take each sign where it has a letter, and leave none out', () => {
    expect(textRuns('Łódź, 5 m² – €')).toEqual([
      { text: 'Ł', font: 'TextMore' },
      { text: 'ód', font: 'Text' },
      { text: 'ź', font: 'TextMore' },
      { text: ', 5 m² – €', font: 'Text' },
    ])
    expect(textRuns('Ω ≥ Я', true).map((one) => one.font)).toEqual([
      'Rest',
      'Narrow',
      'Rest',
      'Narrow',
      'Rest',
    ])
    expect(textRuns('🪝')).toEqual([{ text: '🪝', font: 'Rest' }])
  })
})

const text = (said: string) => ({ kind: 'text', text: said }) as const
const picture = (hash: string): PictureBlock => ({
  kind: 'picture',
  hash,
  mime: 'image/jpeg',
  widthPx: 30,
  heightPx: 20,
  caption: hash,
})
function pages(sections: readonly Section[], isForOthers = false) {
  const blocks: Block[] = [
    { kind: 'heading', level: 2, text: 'Deck', isChapter: true },
    {
      kind: 'sheet',
      number: 'D-01',
      title: 'Hatch',
      chapter: 'Deck',
      facts: '',
      path: 'log/h',
      sections,
    },
    { kind: 'heading', level: 2, text: 'Index' },
  ]
  const made = bookPages({
    boatName: 'Wren',
    title: 'Wren, the boat’s book',
    madeOn: '2027-04-17',
    isForOthers,
    blocks,
    missing: [],
    address: 'http://here/r/x',
    pictures: new Map([['kept', 'data:image/jpeg;base64,AA']]),
  })
  return JSON.stringify(made.content)
}

describe('pages', () => {
  it('name a chapter on the tab of its sheets alone, and begin anew after them', () => {
    const said = pages([])
    expect(said.match(/Deck/g)).toHaveLength(1)
    expect(said).toContain('"qr":"http://here/r/x/log/h"')
    const index = said.slice(said.indexOf('Index'))
    expect(index).toContain('"pageBreak":"before"')
  })
  it('have no code for others', () => {
    expect(pages([], true)).not.toMatch(/"qr"|Scan for/)
  })
  it('set a left half and the right half after it side by side, and a half alone across', () => {
    const section = (title: string, at: Section['at']): Section => ({
      title,
      at,
      blocks: [text(title)],
    })
    const columns = (sections: readonly Section[]) =>
      pages(sections).match(/"columns"/g)?.length ?? 0
    expect(columns([section('a', 'left'), section('b', 'right')])).toBe(1)
    expect(columns([section('a', 'left'), section('c', 'wide'), section('b', 'right')])).toBe(0)
  })
  it('keep the place of a picture whose file is missing, three to a row', () => {
    const shown = pages([
      { title: 'Pictures', at: 'wide', blocks: ['kept', 'gone', 'kept', 'kept'].map(picture) },
    ])
    expect(shown.match(/data:image/g)).toHaveLength(3)
    expect(shown.match(/The file of this picture is missing/g)).toHaveLength(1)
    expect(shown.match(/"columns"/g)).toHaveLength(2)
  })
})

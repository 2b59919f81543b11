import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { keyBetween, keysAfter } from '../model/order'
import { add, emptyRefit, job, person, step } from '../testing/build'
import { decodeText } from './decodeText'
import { draftChanges } from './draftChanges'
import { guessOperation } from './guessOperation'
import { guessColumns, looksLikeHeader } from './jobColumns'
import { jobTable } from './jobTable'
import { likeness, matchName } from './likeness'
import { linesToTable } from './linesToTable'
import { lostLinks, readJobs } from './readJobs'
import type { JobDraft } from './readJobs'

const rows = emptyRefit()
add(rows, 'zone', 'fore', { name: 'Foredeck, port', order: 'b' })
add(rows, 'zone', 'galley', { name: 'Galley', order: 'c' })
add(rows, 'zone', 'side', { name: 'Side deck, port', order: 'd' })
add(rows, 'zone', 'other', { name: 'Side deck, starboard', order: 'e' })
add(rows, 'zone', 'holes', { name: 'Through-hulls', order: 'f', belowWaterline: true })
add(rows, 'gate', 'launch', { name: 'Launch', kind: 'launch', haulOutId: 'h' })
person(rows, 'piet', [6], '08:00', '16:00', { name: 'Piet Brack' })
job(rows, 'Old job')

const listed = (cells: readonly string[][], first = 2) =>
  cells.map((row, index) => ({ line: first + index, cells: row }))
const made = (drafts: readonly JobDraft[], hoursOtherwise: number | null = null) => {
  let id = 0
  const bringing = { hoursOtherwise, doneAt: 1000, longestDayHours: 7.5 }
  return draftChanges(drafts, rows, bringing, () => `n${++id}`)
}
const stepsOf = (drafts: readonly JobDraft[], hoursOtherwise: number | null = null) =>
  made(drafts, hoursOtherwise).flatMap((item) =>
    item.op === 'create' && item.entity === 'step' ? [item.patch] : [],
  )

describe('pasted lines', () => {
  const read = (text: string) => {
    const { table, columns } = linesToTable(text, rows.zone)
    return readJobs(table, columns, rows).map(({ row, title, hours, zoneId }) => [
      row,
      title,
      hours,
      zoneId,
    ])
  }
  it('have hours and places at their end, and count as the file does', () => {
    expect(
      read('- Re-bed the cleat, 2h, galley\n\n3. Mast, boom and rig, 90m\nPaint 2 coats, white\n'),
    ).toEqual([
      [1, 'Re-bed the cleat', 2, 'galley'],
      [3, 'Mast, boom and rig, 90m', null, null],
      [4, 'Paint 2 coats, white', null, null],
    ])
  })
  it('longer than any day are taken as work that may be left, where it is usually done in one go', () => {
    const { table, columns } = linesToTable(
      'Antifoul, 8h\nAntifoul keel, 7.5h\nSand the hull, 9h',
      [],
    )
    const steps = stepsOf(readJobs(table, columns, rows))
    expect(steps.map((one) => [one.title, one.operation, one.splittable])).toEqual([
      ['Antifoul', 'antifoul', true],
      ['Antifoul keel', 'antifoul', null],
      ['Sand the hull', 'grind', null],
    ])
    // What is done was done, however long it took.
    const header = ['Job', 'Hours', 'Done']
    const done = readJobs(listed([['Antifoul', '8', 'x']]), guessColumns(header), rows)
    expect(stepsOf(done).map((one) => [one.state, one.splittable])).toEqual([['done', null]])
  })
  it('read as the page says they do: a place may have a comma in it', () => {
    expect(read('Re-bed the bow cleat, 2h, Foredeck, port')).toEqual([
      [1, 'Re-bed the bow cleat', 2, 'fore'],
    ])
  })
  it('keep a length a length', () => {
    expect(read('Replace galley hose, 3 m\nSand the sole, 30 mins\nShelf, 1 day')).toEqual([
      [1, 'Replace galley hose, 3 m', null, null],
      [2, 'Sand the sole', 0.5, null],
      [3, 'Shelf', 8, null],
    ])
  })
})

describe('columns', () => {
  it('are guessed from headings, plain ones first', () => {
    const header = ['Task', 'Est. hrs', 'Location', 'Hours', 'Priority', 'Depends on', 'Colour']
    expect(looksLikeHeader(header)).toBe(true)
    expect(guessColumns(header)).toEqual([
      'title',
      'skip',
      'zone',
      'hours',
      'priority',
      'after',
      'skip',
    ])
    expect(guessColumns(['Foo', 'Est. hrs'])).toEqual(['title', 'hours'])
    expect(guessColumns(['Job', 'By whom', 'Status', 'Price', 'Kind of work'])).toEqual([
      'title',
      'person',
      'status',
      'cost',
      'operation',
    ])
  })
})

describe('a list that is taken out', () => {
  /** The places, systems and gates of this list, without its jobs. */
  const bare = () => {
    const refit = emptyRefit()
    for (const key of ['zone', 'gate', 'person'] as const)
      Object.assign(refit, { [key]: rows[key] })
    add(refit, 'system', 'rig', { name: 'Rigging' })
    return refit
  }
  it('is read again as it was: hours with their access, places, what it comes after, how it stands', () => {
    const out = bare()
    job(out, 'wrap', {
      title: 'Wrap the mast',
      zoneId: 'fore',
      systemId: 'rig',
      purpose: 'shine',
      severity: 2,
      gateId: 'launch',
      detail: 'Two turns, then "tape"; ends down',
    })
    step(out, 'wrap', 'one', { hoursLikely: 2, access: 'open' })
    // Cramped work takes 1.7 times as long; what was dropped takes none.
    step(out, 'wrap', 'two', { hoursLikely: 1, access: 'cramped' })
    step(out, 'wrap', 'gone', { hoursLikely: 9, state: 'dropped' })
    job(out, 'sand', { title: 'Sand the sole', severity: 4, decision: 'later' })
    job(out, 'rot', { title: 'Cut out the rot', purpose: 'float' })
    step(out, 'rot', 'cut', { hoursLikely: 3, state: 'done' })
    job(out, 'half', { title: 'Half of it' })
    step(out, 'half', 'begun', { hoursLikely: 1, state: 'done' })
    step(out, 'half', 'left', { hoursLikely: 1 })
    add(out, 'link', 'after', { fromJobId: 'rot', toJobId: 'wrap' })
    const [header = [], ...lines] = jobTable(out).map((row) => row.map(String))
    expect(looksLikeHeader(header)).toBe(true)
    const drafts = readJobs(listed(lines), guessColumns(header), bare())
    expect(
      drafts.map(({ title, hours, zoneId, systemId, purpose, severity, gateId, after, detail }) => [
        title,
        hours,
        zoneId,
        systemId,
        purpose,
        severity,
        gateId,
        after,
        detail,
      ]),
    ).toEqual(
      expect.arrayContaining([
        [
          'Wrap the mast',
          3.7,
          'fore',
          'rig',
          'shine',
          2,
          'launch',
          'Cut out the rot',
          'Two turns, then "tape"; ends down',
        ],
        ['Sand the sole', null, null, null, expect.anything(), 4, null, null, ''],
      ]),
    )
    const standing = new Map(drafts.map((one) => [one.title, [one.state, one.decision]]))
    expect(standing.get('Cut out the rot')).toEqual(['done', 'plan'])
    expect(standing.get('Half of it')).toEqual(['doing', 'plan'])
    expect(standing.get('Sand the sole')?.[1]).toBe('later')
    expect(drafts.flatMap((one) => one.problems)).toEqual([])
  })
})

describe('names that are nearly right', () => {
  it('are the same with other marks, order and plural', () => {
    expect(matchName('Side deck port', rows.zone)).toMatchObject({ id: 'side' })
    expect(matchName('through hulls', rows.zone)).toMatchObject({ id: 'holes' })
    expect(matchName('Gall', rows.zone)).toMatchObject({ id: 'galley' })
  })
  it('are offered when they are only near, best first', () => {
    const { id, picks } = matchName('Side dek starbord', rows.zone)
    expect(id).toBeNull()
    expect(picks[0]?.id).toBe('other')
    expect(matchName('Moon', rows.zone)).toEqual({ id: null, picks: [] })
    // Two begin so: the person says which.
    expect(
      matchName('Side deck', rows.zone)
        .picks.slice(0, 2)
        .map((one) => one.id)
        .sort(),
    ).toEqual(['other', 'side'])
    expect(likeness('Galley', 'galley')).toBe(1)
    expect(likeness('The bilge', 'Bilge')).toBe(1)
    // aa twice against once: 2 × 1 of 3.
    expect(likeness('aaa', 'aa')).toBeCloseTo(2 / 3, 9)
  })
})

describe('files', () => {
  const text = 'Job;Hours\nPrüfe Ø 12 mm Öse, 3½"\n'
  const western = (said: string) =>
    Uint8Array.from([...said].map((letter) => letter.codePointAt(0) ?? 0))
  const wide = (said: string, mark: readonly number[], big: boolean) =>
    Uint8Array.from([
      ...mark,
      ...[...said].flatMap((letter) => {
        const code = letter.codePointAt(0) ?? 0
        return big ? [code >> 8, code & 255] : [code & 255, code >> 8]
      }),
    ])
  it.each([
    ['UTF-8', new TextEncoder().encode(text)],
    ['Windows-1252', western(text)],
    ['UTF-16', wide(text, [0xff, 0xfe], false)],
    ['UTF-16', wide(text, [0xfe, 0xff], true)],
    ['UTF-16', wide(text, [], false)],
  ] as const)('saved as %s read the same', (encoding, bytes) => {
    expect(decodeText(bytes)).toEqual({ text, encoding })
  })
})

describe('rows', () => {
  const columns = ['title', 'hours', 'zone', 'purpose', 'severity', 'gate', 'after'] as const
  it('say what is wrong with them', () => {
    const drafts = readJobs(
      listed([
        ['Good', '1,5', 'Galley', 'Float', '4', 'Launch', ''],
        ['', '-2', 'Moon', 'Fun', '9', 'Never', 'Nothing'],
        ['Same', '1', '', '', '', '', 'Same'],
        ['Zero', '0', '', '', '', '', ''],
      ]),
      columns,
      rows,
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
      'Hours cannot be negative. Type what was worked, like 1h30.',
      'How bad is a number from 1 to 4, not “9”.',
      'The job has no name.',
      'There is no gate called “Never”.',
      'There is no job called “Nothing” to come after.',
      'There is no place on the boat called “Moon”.',
      '“Fun” is not a purpose. Use Float, Safe, Go, Live or Shine.',
    ])
    expect(drafts[2]?.problems).toEqual(['A job cannot come after itself.'])
    expect(drafts[3]?.problems[0]).toMatch(/No work takes 0 hours/)
    expect(made(drafts).map((item) => item.entity)).toEqual(['job', 'step'])
  })
  it('offer what a place nearly is', () => {
    const [draft] = readJobs(listed([['Cleat', '1', 'Side dek port']]), columns, rows)
    expect(draft?.picks.zone?.[0]).toBe('Side deck, port')
  })
  it('put decimal commas together that a file of commas took apart', () => {
    const drafts = readJobs(
      listed([
        ['Cleat', '2', '5', 'Galley', '', '', '', ''],
        ['Track', '3', 'Galley', '', '', '', ''],
      ]),
      columns,
      rows,
    )
    expect(drafts.map(({ hours, zoneId }) => [hours, zoneId])).toEqual([
      [2.5, 'galley'],
      [3, 'galley'],
    ])
  })
  it('read priorities as how bad, or as places in the list where they are that', () => {
    const of = (...said: string[]) =>
      readJobs(
        listed(said.map((one, index) => [`Job ${index}`, one])),
        ['title', 'priority'],
        rows,
      ).map(({ severity, rank }) => [severity, rank])
    expect(of('High', 'medium', 'low', '1', 'nice to have', '')).toEqual([
      [4, null],
      [3, null],
      [2, null],
      [4, null],
      [1, null],
      [2, null],
    ])
    expect(of('2', '12', '1')).toEqual([
      [2, 2],
      [2, 12],
      [2, 1],
    ])
    const ranked = readJobs(
      listed([
        ['Second', '2'],
        ['Twelfth', '12'],
        ['First', '1'],
      ]),
      ['title', 'priority'],
      rows,
    )
    const titles = made(ranked).flatMap((item) =>
      item.op === 'create' && item.entity === 'job' ? [item.patch.title] : [],
    )
    expect(titles).toEqual(['First', 'Second', 'Twelfth'])
  })
  it('read state, people and cost', () => {
    const [done, later, mine, theirs] = readJobs(
      listed([
        ['A', '2', 'done', 'Piet', '120,50'],
        ['B', '2', 'next season', '', ''],
        ['C', '2', 'in progress', 'piet brack', ''],
        ['D', '2', 'open', 'Sam', '2 x 15'],
      ]),
      ['title', 'hours', 'status', 'person', 'cost'],
      rows,
    )
    expect([done?.state, later?.decision, mine?.state]).toEqual(['done', 'later', 'doing'])
    expect([done?.wantedPersonId, mine?.wantedPersonId]).toEqual(['piet', 'piet'])
    expect(theirs).toMatchObject({ wantedPersonId: null, detail: 'Who: Sam' })
    expect(theirs?.problems[0]).toContain('not a sum')
    const items = made([done!])
    expect(items.map((item) => item.entity)).toEqual(['job', 'step', 'part'])
    expect(items[1]).toMatchObject({
      patch: { state: 'done', doneAt: 1000, wantedPersonId: 'piet' },
    })
    expect(items[2]).toMatchObject({ patch: { priceMinor: 12_050, state: 'fitted' } })
  })
  it.each([
    ['', 'open', 'plan'],
    ['To do', 'open', 'plan'],
    ['n', 'open', 'plan'],
    ['0 %', 'open', 'plan'],
    ['completed', 'done', 'plan'],
    ['Y', 'done', 'plan'],
    ['100%', 'done', 'plan'],
    ['started', 'doing', 'plan'],
    ['40 %', 'doing', 'plan'],
    ['on hold', 'open', 'later'],
    ['next season', 'open', 'later'],
    ['cancelled', 'open', 'dropped'],
    ["won't do", 'open', 'dropped'],
  ])('reads the state "%s" as %s, %s', (said, state, decision) => {
    const [draft] = readJobs(listed([['A', said]]), ['title', 'status'], rows)
    expect(draft).toMatchObject({ state, decision, problems: [] })
  })
  it('asks about a state that nobody knows', () => {
    const [draft] = readJobs(listed([['A', 'mañana']]), ['title', 'status'], rows)
    expect(draft?.problems.join()).toContain('not a state that is known')
  })
  it('are not put together where the row has all its cells', () => {
    const read = (cells: string[]) =>
      readJobs(listed([cells]), ['title', 'hours', 'severity'], rows).map((one) => [
        one.hours,
        one.severity,
      ])
    expect(read(['Cleat', '3', '4'])).toEqual([[3, 4]])
    expect(read(['Cleat', '3', '5', '4'])).toEqual([[3.5, 4]])
  })
  it('propose to leave out totals, formulas and what is there already', () => {
    const drafts = readJobs(
      listed([
        ['Total', '40'],
        ['Sum of it', '1'],
        ['Deck', '=A1+2'],
        ['old JOB', '1'],
        ['Twice', '1'],
        ['twice', '1'],
      ]),
      ['title', 'hours'],
      rows,
    )
    expect(drafts.map((one) => one.leaveOut)).toEqual([
      'It looks like a total.',
      null,
      'It holds a formula.',
      'A job of this name is in the refit already.',
      null,
      'The same job as in row 6.',
    ])
  })
  it('link jobs by name, new and old, and say which links fall away', () => {
    const drafts = readJobs(
      listed([
        ['A', 'b'],
        ['B', 'old jobs'],
        ['C', 'A'],
      ]),
      ['title', 'after'],
      rows,
    )
    const links = made(drafts).filter((item) => item.entity === 'link')
    expect(links.map((item) => ('patch' in item ? item.patch : null))).toEqual([
      { fromJobId: 'n2', toJobId: 'n1' },
      { fromJobId: 'Old job', toJobId: 'n2' },
      { fromJobId: 'n1', toJobId: 'n3' },
    ])
    expect(lostLinks(drafts.slice(2), drafts, rows)).toEqual([
      '“C” comes after “A”, which is not brought in: it comes without that link.',
    ])
  })
})

describe('the step of a job of one line', () => {
  it('carries its name and the work its words speak of', () => {
    const [draft] = readJobs(listed([['Re-bed the bow cleat', '2h']]), ['title', 'hours'], rows)
    expect(stepsOf([draft!])).toMatchObject([
      { title: 'Re-bed the bow cleat', operation: 'bed', hoursLikely: 2 },
    ])
  })
  it('comes with a guess of hours or not at all where none are given', () => {
    const [draft] = readJobs(listed([['Rudder', '?']]), ['title', 'hours'], rows)
    expect(stepsOf([draft!])).toEqual([])
    expect(stepsOf([draft!], 3)).toMatchObject([{ hoursLikely: 3 }])
  })
  it.each([
    ['Antifoul, two coats', 'antifoul'],
    ['Check the keel bolts', 'survey'],
    ['Replace galley hose, 3 m', 'plumb'],
    ['Sand and fair the rudder', 'grind'],
    ['Nav lights do not work', 'wire'],
    ['Remove old headlining', 'strip'],
    ['Varnish the coaming', 'varnish'],
    ['New cushions', 'fit'],
    ['Order a new anchor', 'buy'],
  ] as const)('%s: %s', (title, operation) => expect(guessOperation(title)).toBe(operation))
  it('takes its purpose from its place where none is said', () => {
    const drafts = readJobs(
      listed([
        ['Valve', 'through hulls'],
        ['Shelf', ''],
      ]),
      ['title', 'zone'],
      rows,
    )
    expect(drafts.map((one) => one.purpose)).toEqual(['float', 'go'])
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
    expect(() => keyBetween('b', 'b')).toThrow()
  })
  it.each([
    ['after the last', (end: string | null) => keyBetween(end, null), 1],
    ['before the first', (end: string | null) => keyBetween(null, end), -1],
  ] as const)('stay short %s, however many rows are added there', (_, next, sign) => {
    let end: string | null = null
    const wrong: string[] = []
    for (let n = 0; n < 30_000; n++) {
      const key: string = next(end)
      const isBeyond = end === null || (key > end === sign > 0 && key !== end)
      if (!isBeyond || key.endsWith('a')) wrong.push(key)
      end = key
    }
    expect(wrong).toEqual([])
    expect(end?.length).toBeLessThanOrEqual(9)
  })
  it('follow a key in letters that are not ours', () => {
    for (const before of ['10', 'A', 'né', '~'])
      expect(keyBetween(before, null) > before).toBe(true)
  })
  it('fit between keys that a file made by hand brought, which end in the lowest letter', () => {
    for (const [before, after] of [
      ['ba', 'c'],
      ['ab', 'ba'],
      [null, 'ba'],
      [null, 'aaab'],
      [null, 'aabaaab'],
      ['za', null],
      ['zzzq', null],
    ] as const) {
      const key = keyBetween(before, after)
      expect(key > (before ?? '')).toBe(true)
      expect(after === null || key < after).toBe(true)
      expect(keyBetween(before, key) > (before ?? '')).toBe(true)
    }
  })
})

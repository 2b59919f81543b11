/** Undo, the journal, and what a change rests on. */
import { draws } from '../draws'
import { randomUUID } from 'node:crypto'
import fc from 'fast-check'
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { supposing } from '#core/model/applyChange'
import type { ChangeItem } from '#core/model/changes'
import type { Row } from '#core/model/entities'
import {
  beginRefit,
  create,
  database,
  beginFolder,
  endFolder,
  noPlan,
  pass,
  patch,
  refitId,
  remove,
  rowsOf,
  stepRow,
  undo,
} from './doorHarness'

const { listen } = await import('../../server/services/bus')
const { letAllGo } = await import('../../server/services/openRefit')
const { alone } = await import('../../server/services/alone')
const { trimming } = await import('../../server/services/journal')

beforeEach(beginRefit)
beforeAll(beginFolder)
afterAll(endFolder)

describe('undo', () => {
  it('takes back creating, changing, finishing and removing, newest first', async () => {
    await pass([patch('step', 'cut', 1, { state: 'done' })])
    await pass([{ op: 'delete', entity: 'step', id: 'fair', baseVersion: 1 }])
    await undo()
    expect(await stepRow('fair')).toMatchObject({ title: 'fair', hoursLikely: 18, version: 2 })
    await undo()
    expect(await stepRow('cut')).toMatchObject({ state: 'open', earnedIn: null })
    await expect(undo(false, 'other')).rejects.toMatchObject({ status: 404 })
  })

  it('asks when somebody touched the same thing since, and goes on when told to', async () => {
    await pass([patch('step', 'cut', 1, { title: 'Saw' })])
    await pass([patch('step', 'cut', 2, { title: 'Jigsaw' })], { deviceId: 'phone' })
    await expect(undo()).rejects.toMatchObject({ status: 409, problem: { code: 'touchedSince' } })
    await undo(true)
    expect((await stepRow('cut'))?.title).toBe('cut')
  })

  it('goes back where the table of states has no way, which an edit is refused', async () => {
    await pass([patch('step', 'cut', 1, { state: 'dropped' })])
    await expect(pass([patch('step', 'cut', 2, { state: 'done' })])).rejects.toMatchObject({
      status: 422,
      problem: {
        fields: [
          {
            field: 'step.state',
            message: 'A step that is dropped does not become done at once. It may become open.',
          },
        ],
      },
    })
    await pass([patch('step', 'cut', 2, { state: 'open' })])
    await pass([patch('step', 'cut', 3, { state: 'done' })])
    await pass([patch('step', 'cut', 4, { state: 'dropped' })])
    await undo()
    expect((await stepRow('cut'))?.state).toBe('done')
  })

  it('leaves alone what the program wrote by itself', async () => {
    await pass([patch('step', 'cut', 1, { title: 'Saw' })])
    await pass([create('plan', 'p', { inputsHash: 'x', at: 1, result: noPlan })], { quiet: true })
    await undo()
    expect((await stepRow('cut'))?.title).toBe('cut')
    expect((await rowsOf()).plan).toHaveLength(1)
  })

  it('takes back two edits of one field, one after the other', async () => {
    await pass([patch('step', 'cut', 1, { title: 'Saw' })])
    await pass([patch('step', 'cut', 2, { title: 'Jigsaw' })])
    await undo()
    expect((await stepRow('cut'))?.title).toBe('Saw')
    await undo()
    expect((await stepRow('cut'))?.title).toBe('cut')
  })

  it('sent again answers as the first, and takes back no more', async () => {
    await pass([patch('step', 'cut', 1, { title: 'Saw' })])
    await pass([patch('step', 'cut', 2, { hoursLikely: 7 })])
    const id = randomUUID()
    const first = await undo(false, 'laptop', id)
    expect(await undo(false, 'laptop', id)).toEqual(first)
    expect(await stepRow('cut')).toMatchObject({ title: 'Saw', hoursLikely: 6 })
  })

  it('picks what it takes back when its turn comes', async () => {
    const [, , undone] = await Promise.all([
      pass([patch('step', 'cut', 1, { title: 'Saw' })]),
      pass([patch('step', 'fair', 1, { title: 'Fair it' })], { label: 'The last' }),
      undo(),
    ])
    expect(undone.label).toBe('Undo: The last')
  })
})

describe('what a change rests on', () => {
  const rename = (base: number, title: string, more = {}) =>
    pass([patch('step', 'cut', base, { title })], more)

  it('is no clash with what its own window did before it, and is one with others', async () => {
    await rename(1, 'Mine', { changeId: 'mine' })
    await rename(1, 'Mine again', { basedOn: ['mine'] })
    expect((await stepRow('cut'))?.title).toBe('Mine again')
    await rename(3, 'Theirs', { deviceId: 'phone' })
    await expect(rename(1, 'Late', { basedOn: ['mine'] })).rejects.toMatchObject({ status: 409 })
    // Taking it away, too, rests on what was seen.
    await expect(pass([remove('step', 'fair', 1)])).resolves.toBeTruthy()
  })

  it('is looked up in the journal when the memory is gone, and asked about when the journal is', async () => {
    await rename(1, 'Saw')
    await pass([patch('step', 'cut', 2, { hoursLikely: 7 })])
    letAllGo()
    await pass([patch('step', 'cut', 2, { detail: undefined, needsDry: true })].map(clean))
    await expect(rename(1, 'Late')).rejects.toMatchObject({ status: 409 })
    for (let at = 4; at < 60; at++) await pass([patch('step', 'cut', at, { hoursLikely: at })])
    const { models, write } = await database()
    await write(trimming(refitId(), 50))
    letAllGo()
    // Which fields were touched back then is not known any more: it may be any.
    await expect(pass([patch('step', 'cut', 3, { needsDry: false })])).rejects.toMatchObject({
      status: 409,
    })
    expect(await models.journal.count({ where: { refitId: refitId() } })).toBeLessThanOrEqual(51)
  })

  it('is kept as long as the owner says, by lines, later by names, each refit by itself', async () => {
    const { models, write } = await database()
    const left = (where: { refitId: string }) =>
      Promise.all([models.journal.count({ where }), models.change.count({ where })])
    const long = refitId()
    const [one] = (await rowsOf()).refit
    await pass([patch('refit', long, one?.version ?? 0, { historyKept: 50 })])
    let { seq } = await rename(1, 'Title 1')
    for (let at = 2; seq < 99; at++) ({ seq } = await rename(at, `Title ${at}`))
    const { version } = (await stepRow('cut')) ?? {}
    await pass([patch('step', 'cut', Number(version), { title: 'By the program' })], {
      quiet: true,
    })
    // Trimming has a turn of its own, which nobody waits for.
    await alone(() => Promise.resolve())
    // Fifty by people and the quiet one after them; all names.
    expect(await left({ refitId: long })).toEqual([51, 100])
    await beginRefit()
    const short = { refitId: refitId() }
    await rename(1, 'Of the other')
    const whole = await left(short)
    expect(whole[0]).toBeGreaterThan(0)
    await write(trimming(short.refitId, 50, 50))
    await write(trimming(long, 5, 10))
    expect(await left({ refitId: long })).toEqual([6, 10])
    expect(await left(short)).toEqual(whole)
  })

  it('checks rows that hang on a changed one, and says which', async () => {
    const dates = { liftOutAimed: '2027-05-01', launchAimed: '2027-06-01' }
    await pass([
      create('haulOut', 'h', { name: 'One', ...dates }),
      create('gate', 'g', { name: 'Survey', kind: 'dated', on: '2027-05-10', haulOutId: 'h' }),
    ])
    await expect(pass([patch('haulOut', 'h', 1, { liftOutAimed: '2027-05-20' })])).rejects.toThrow(
      /“Survey” is before its haul-out begins/,
    )
    await pass([patch('haulOut', 'h', 1, { liftOutAimed: '2027-05-09' })])
    const began = (await rowsOf()).refit[0]?.version ?? 0
    await expect(
      pass([patch('refit', refitId(), began, { startedOn: '2001-01-01' })]),
    ).rejects.toThrow(/years after the refit began/)
  })

  it('refuses another kind of decimals while sums are down', async () => {
    const currency = (code: string, base: number) =>
      pass([patch('refit', refitId(), base, { currency: code })])
    await currency('JPY', 1)
    await currency('EUR', 2)
    await pass([create('part', 'bolt', { name: 'Bolt', priceMinor: 120 })])
    await expect(currency('JPY', 3)).rejects.toThrow(/Sums are down in EUR/)
    await currency('GBP', 3)
  })
})

/** Fields that are undefined are not sent. */
const clean = (item: ChangeItem): ChangeItem => JSON.parse(JSON.stringify(item)) as ChangeItem

describe('what is worked out', () => {
  const plan = (inputsHash: string) => ({ inputsHash, at: 1, result: noPlan })

  it('is kept, but neither journalled nor sent to everybody', async () => {
    const heard: { rows: unknown[]; numbers: unknown[] }[] = []
    const stop = listen(refitId(), ({ text }) => heard.push(JSON.parse(text) as (typeof heard)[0]))
    await pass([create('plan', 'plan', plan('x'))], { quiet: true })
    stop()
    expect(heard).toMatchObject([{ rows: [], numbers: [{ entity: 'plan', version: 1 }] }])
    expect(JSON.stringify(heard)).not.toContain('inputsHash')
    const { models } = await database()
    expect(await models.journal.count({ where: { refitId: refitId(), entity: 'plan' } })).toBe(0)
    // Two windows that work out the same: the later one stands, and nobody is asked.
    await pass([patch('plan', 'plan', 1, plan('y'))], { quiet: true })
    await pass([patch('plan', 'plan', 1, plan('z'))], { quiet: true })
    letAllGo()
    expect((await rowsOf()).plan).toMatchObject([{ inputsHash: 'z', version: 3 }])
  })

  it.each([
    ['a placement of nobody knows what', { ...noPlan, placements: [{ stepId: 1 }] }],
    ['a field of its own', { ...noPlan, script: 'x' }],
    ['a list', []],
  ])('is refused as %s', async (_, result) => {
    await expect(
      pass([create('plan', 'plan', { ...plan('x'), result })], { quiet: true }),
    ).rejects.toMatchObject({ status: 422 })
  })
})

describe('any run of changes', () => {
  const some = fc.oneof(
    fc.record({ do: fc.constant('edit' as const), hours: fc.integer({ min: 1, max: 40 }) }),
    fc.record({ do: fc.constant('add' as const), hours: fc.integer({ min: 1, max: 40 }) }),
    fc.record({ do: fc.constant('finish' as const), at: fc.nat(5) }),
    fc.record({ do: fc.constant('remove' as const), at: fc.nat(5) }),
    fc.record({ do: fc.constant('bad' as const), at: fc.nat(5) }),
  )
  const ordered = (rows: readonly Row<'step'>[]) =>
    [...rows].sort((a, b) => (a.id < b.id ? -1 : 1)).map(({ version: _, ...row }) => row)

  it('stands in memory as on the disk, as the client supposes it, and is undone to where it began', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(some, { minLength: 1, maxLength: 7 }), async (list) => {
        await beginRefit()
        const before = await rowsOf()
        let done = 0
        for (const [n, one] of list.entries()) {
          const { step } = await rowsOf()
          const target = step[('at' in one ? one.at : 0) % step.length]
          if (!target) continue
          const { id, version } = target
          const made = { jobId: 'deck', title: 'New', order: `z${n}`, hoursLikely: 1 }
          const items: ChangeItem[] =
            one.do === 'add'
              ? [create('step', `new-${n}`, { ...made, hoursLikely: one.hours })]
              : one.do === 'edit'
                ? [patch('step', id, version, { hoursLikely: one.hours, splittable: n % 2 === 0 })]
                : one.do === 'finish'
                  ? [patch('step', id, version, { state: 'done' })]
                  : one.do === 'remove'
                    ? [remove('step', id, version)]
                    : // The first of them may stand only with the second.
                      [
                        patch('step', id, version, { title: 'Half' }),
                        patch('step', id, version + 1, { hoursLikely: -1 }),
                      ]
          const supposed = supposing(await rowsOf(), items)
          const outcome = await pass(items).catch(() => null)
          if (!outcome) continue
          if (outcome.rows.some(({ row }) => row !== null) || one.do === 'remove') done++
          const now = await rowsOf()
          // What only the server settles is beside the point here.
          const bare = (rows: readonly Row<'step'>[]) =>
            ordered(rows).map((row) => ({ ...row, doneAt: 0, earnedIn: 0 }))
          expect(bare(now.step)).toEqual(bare(supposed.step))
          letAllGo()
          expect(ordered((await rowsOf()).step)).toEqual(ordered(now.step))
        }
        while (await undo().catch(() => null)) done--
        const after = await rowsOf()
        expect(ordered(after.step)).toEqual(ordered(before.step))
        expect(after.refit[0]?.earnedKeptIn).toBeCloseTo(0, 9)
        expect(done).toBeLessThanOrEqual(list.length)
      }),
      { numRuns: draws(20) },
    )
  }, 120_000)
})

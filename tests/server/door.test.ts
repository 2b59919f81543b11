/** The change door against a real SQLite file. */
import { readdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest'
import { jobsRemoval } from '#core/model/removal'
import type { ChangeItem } from '#core/model/changes'
import {
  beginRefit,
  create,
  database,
  beginFolder,
  endFolder,
  ownFolder,
  pass,
  patch,
  refitId,
  remove,
  rowsOf,
  stepRow,
  undo,
} from './doorHarness'

const { caughtUp, historyOf } = await import('../../server/services/refits')
const { removeRefit } = await import('../../server/services/removeRefit')
const { listen } = await import('../../server/services/bus')

let refit = ''
beforeEach(async () => {
  await beginRefit()
  refit = refitId()
})
beforeAll(beginFolder)
afterAll(endFolder)

describe('the change door', () => {
  it('stores and gives back every kind of value', async () => {
    const mean = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12.5]
    await pass([
      patch('refit', refit, 1, { monthMeanC: mean, calibrate: true }),
      create('person', 'ann', { name: '<b>Ann</b> & co', order: 'b', skills: ['electrics'] }),
    ])
    const rows = await rowsOf()
    expect(rows.refit[0]).toMatchObject({
      monthMeanC: mean,
      calibrate: true,
      version: 2,
      lwlM: null,
    })
    expect(rows.person[0]).toMatchObject({
      name: '<b>Ann</b> & co',
      skills: ['electrics'],
      gone: false,
    })
  })

  it('does a change sent twice once', async () => {
    const changeId = randomUUID()
    const items = [create('job', 'mast', { title: 'Mast', order: 'c' })]
    const first = await pass(items, { changeId })
    expect(await pass(items, { changeId })).toEqual(first)
    expect((await rowsOf()).job).toHaveLength(2)
  })

  it('takes a change that changes nothing for none', async () => {
    const { seq } = await pass([patch('step', 'cut', 1, { title: 'Saw' })])
    expect((await pass([patch('step', 'cut', 2, { title: 'Saw' })])).seq).toBe(seq)
    await undo()
    expect((await stepRow('cut'))?.title).toBe('cut')
  })

  it('keeps the shares of a spend at its sum, whichever of them is touched', async () => {
    await pass([
      create('spend', 's', { on: '2026-01-05', what: 'Hose', minor: 1000 }),
      create('spendShare', 'a', { spendId: 's', minor: 600, order: 'a' }),
      create('spendShare', 'b', { spendId: 's', minor: 400, order: 'b' }),
    ])
    for (const items of [
      [patch('spend', 's', 1, { minor: 900 })],
      [patch('spendShare', 'a', 1, { minor: 500 })],
      [remove('spendShare', 'a', 1)],
      [create('spendShare', 'c', { spendId: 's', minor: 1, order: 'c' })],
    ])
      await expect(pass(items)).rejects.toMatchObject({ status: 422 })
    await pass([
      patch('spend', 's', 1, { minor: 900 }),
      patch('spendShare', 'b', 1, { minor: 300 }),
    ])
    expect((await rowsOf()).spend[0]).toMatchObject({ minor: 900 })
  })

  it('does all of a list or nothing', async () => {
    const bad = [
      create('job', 'mast', { title: 'Mast', order: 'c' }),
      patch('step', 'cut', 1, { hoursLikely: -2 }),
    ]
    await expect(pass(bad)).rejects.toMatchObject({
      status: 422,
      problem: {
        fields: [
          { field: 'items.1.step.hoursLikely', message: 'Likely hours must be at least 0.' },
        ],
      },
    })
    expect((await rowsOf()).job).toHaveLength(1)
  })

  it('merges patches to different fields and asks about the same one, with both values', async () => {
    await pass([patch('step', 'cut', 1, { title: 'Cut the skin' })])
    await pass([patch('step', 'cut', 1, { hoursLikely: 7 })], { deviceId: 'phone' })
    expect(await stepRow('cut')).toMatchObject({
      title: 'Cut the skin',
      hoursLikely: 7,
      version: 3,
    })
    await expect(
      pass([patch('step', 'cut', 1, { title: 'Saw' })], { deviceId: 'phone' }),
    ).rejects.toMatchObject({
      status: 409,
      problem: {
        message: 'Somebody else changed “Step” meanwhile. Choose which to keep.',
        clashes: [{ field: 'title', yours: 'Saw', theirs: 'Cut the skin', theirVersion: 3 }],
      },
    })
    await expect(
      pass([{ op: 'delete', entity: 'step', id: 'cut', baseVersion: 1 }]),
    ).rejects.toMatchObject({
      status: 409,
      problem: { message: 'Somebody else changed the step meanwhile. Choose which to keep.' },
    })
  })

  it('never takes the whole refit away, nor makes a second one in it', async () => {
    const { id, version } = (await rowsOf()).refit[0]!
    await expect(pass([remove('refit', id, version)])).rejects.toMatchObject({
      status: 422,
      problem: { message: expect.stringContaining('under Settings') as string },
    })
    const twin = {
      name: 'T',
      boatName: 'T',
      loaM: 9,
      zone: 'UTC',
      currency: 'EUR',
      startedOn: '2027-01-01',
    }
    await expect(pass([create('refit', 'twin', twin)])).rejects.toMatchObject({ status: 422 })
    expect((await rowsOf()).refit).toHaveLength(1)
  })

  it('tells listeners and lets late ones catch up', async () => {
    const heard: unknown[] = []
    const stop = listen(refit, ({ text }) => heard.push(JSON.parse(text)))
    const { seq } = await pass([patch('step', 'cut', 1, { title: 'Cut' })])
    stop()
    expect(heard).toMatchObject([
      { seq, rows: [{ entity: 'step', id: 'cut', row: { title: 'Cut' } }] },
    ])
    expect(await caughtUp(refit, seq - 1, null)).toMatchObject({ seq, rows: [{ id: 'cut' }] })
  })

  it.each([
    [
      'a link onto itself',
      create('link', 'l', { fromJobId: 'deck', toJobId: 'deck' }),
      /cannot wait for itself/,
    ],
    [
      'a reference to nothing',
      create('link', 'l', { fromJobId: 'deck', toJobId: 'moon' }),
      /The job that it points to is not there/,
    ],
    [
      'a wait over its maximum',
      patch('step', 'cut', 1, { waitKind: 'chem', waitHours: 30, maxWaitHours: 24 }),
      /closes after 24 h, before the wait of 30 h/,
    ],
    [
      'low hours over likely',
      patch('step', 'cut', 1, { hoursLow: 9 }),
      /Low hours are over the likely ones/,
    ],
    ['absurd hours', patch('step', 'cut', 1, { hoursLikely: 99999 }), /at most 2000/],
    [
      'a launch before lift-out',
      create('haulOut', 'h', { name: 'H', liftOutAimed: '2027-05-01', launchAimed: '2027-04-01' }),
      /is before lift-out aimed/i,
    ],
    [
      'a date that is none',
      create('season', 's', { name: 'S', from: '2027-02-30', to: '2027-04-01' }),
      /is not a date/,
    ],
    [
      'a season backwards',
      create('season', 's', { name: 'S', from: '2027-05-01', to: '2027-04-01' }),
      /is before from/,
    ],
    [
      'a plan over 40 years',
      create('haulOut', 'h', {
        name: 'H',
        liftOutAimed: '2066-01-01',
        launchAimed: '2067-04-01',
      }),
      /Lift-out aimed \(Fri 1 Jan 2066\) is \d\d years after the refit began; a plan reaches 15/,
    ],
    ['a crew of nobody', patch('step', 'cut', 1, { crewMin: 0 }), /Least people.*at least 1/],
    ['a wait of -1', patch('step', 'cut', 1, { waitHours: -1 }), /Wait in hours.*at least 0/],
    ['an unknown field', patch('step', 'cut', 1, { colour: 'red' }), /no field/],
    ['inches by hand', patch('step', 'cut', 1, { earnedIn: 400 }), /no field/],
    ['an unknown zone', patch('refit', '', 1, { zone: 'Moon/Crater' }), /not a time zone/],
    [
      'a row in use',
      { op: 'delete', entity: 'job', id: 'deck', baseVersion: 1 } as ChangeItem,
      /still used by 2/,
    ],
  ])('refuses %s with a sentence', async (_, item, sentence) => {
    const about = item.entity === 'refit' ? { ...item, id: refit } : item
    await expect(pass([about])).rejects.toMatchObject({
      status: 422,
      problem: { message: expect.stringMatching(sentence) },
    })
  })

  it('refuses a recipe with an unknown formula, unit or loop, and keeps a whole one', async () => {
    const { recipeBook } = await import('#core/recipes/book')
    const whole = recipeBook[3] as (typeof recipeBook)[number]
    const [first, ...rest] = whole.values
    const asRow = (body: object) => create('recipe', randomUUID(), { name: 'R', body, order: 'b' })
    const cases: readonly (readonly [object, RegExp])[] = [
      [{ ...whole, values: [{ ...first, formula: 'conjure(3)' }, ...rest] }, /“conjure”/],
      [{ ...whole, values: [{ ...first, unit: 'furlong' }, ...rest] }, /“furlong” is not a unit/],
      [{ ...whole, values: [{ ...first, formula: 'skinNew / plies' }, ...rest] }, /loop/],
      [{ ...whole, format: 'else' }, /not a recipe/],
      [{ ...whole, steps: [] }, /steps/],
    ]
    for (const [body, sentence] of cases)
      await expect(pass([asRow(body)])).rejects.toMatchObject({
        status: 422,
        problem: { message: expect.stringMatching(sentence) },
      })
    expect((await rowsOf()).recipe).toHaveLength(0)
    await pass([asRow(whole)])
    expect((await rowsOf()).recipe[0]?.body).toEqual(whole)
  })

  it('refuses 400 steps in one job, and nothing of it stays', async () => {
    const many = Array.from({ length: 400 }, (_, at) =>
      create('step', `many-${at}`, { jobId: 'deck', title: 'x', hoursLikely: 1, order: `x${at}` }),
    )
    await expect(pass(many)).rejects.toThrow(/would have 40\d steps; a job holds up to 200/)
    expect((await rowsOf()).step).toHaveLength(2)
  })

  it('refuses a circle of links, naming its jobs, and a name used twice', async () => {
    await pass([
      create('job', 'mast', { title: 'Mast', order: 'c' }),
      create('link', 'a', { fromJobId: 'deck', toJobId: 'mast' }),
    ])
    await expect(
      pass([create('link', 'b', { fromJobId: 'mast', toJobId: 'deck' })]),
    ).rejects.toThrow(/circle: .*(Deck → Mast → Deck|Mast → Deck → Mast)/)
    await pass([create('zone', 'z', { name: 'Foredeck', order: 'b' })])
    await expect(pass([create('zone', 'y', { name: ' foredeck ', order: 'c' })])).rejects.toThrow(
      /another name/,
    )
  })
})

describe('what has happened and what is there already', () => {
  const person = () => create('person', 'ida', { name: 'Ida', order: 'b' })
  const day = (id: string, more: object) =>
    create('personDay', id, { personId: 'ida', on: '2027-05-01', kind: 'cannotCome', ...more })

  it('refuses the same absence twice and extra hours over extra hours, not hours beside them', async () => {
    await pass([person(), day('a', {}), day('x', { kind: 'extraDay', from: '08:00', to: '12:00' })])
    await expect(pass([day('b', {})])).rejects.toThrow(/Sat 1 May 2027 is down already: Ida/)
    await expect(
      pass([day('y', { kind: 'extraDay', from: '11:30', to: '15:00' })]),
    ).rejects.toThrow(/extra day from 08:00 to 12:00 on Sat 1 May 2027 already/)
    await pass([day('z', { kind: 'extraDay', from: '12:00', to: '15:00' })])
    expect((await rowsOf()).personDay.map((one) => one.id).sort()).toEqual(['a', 'x', 'z'])
  })

  it('refuses a lift-out and a launch that are still to come as happened, and takes today', async () => {
    const soon = new Date(Date.now() + 86_400_000).toISOString().slice(0, 10)
    const today = new Date().toISOString().slice(0, 10)
    const dates = { liftOutAimed: '2026-01-01', launchAimed: '2027-06-01' }
    const haul = (more: object) => create('haulOut', 'h', { name: 'One', ...dates, ...more })
    await expect(pass([haul({ liftOutActual: soon })])).rejects.toThrow(/still to come/)
    await pass([haul({ liftOutActual: today })])
    const [{ version = 0 } = {}] = (await rowsOf()).haulOut
    await expect(pass([patch('haulOut', 'h', version, { launchActual: soon })])).rejects.toThrow(
      /she was not launched then/,
    )
  })

  it('starts no clock without its time', async () => {
    const clock = (more: object) =>
      create('clock', randomUUID(), { title: 'Pot', startedAt: 1, assumedC: 15, ...more })
    await expect(pass([clock({ kind: 'pot' })])).rejects.toThrow(/pot life: it is on the data/)
    await expect(pass([clock({ kind: 'cure' })])).rejects.toThrow(/needs a time to run to/)
    await pass([clock({ kind: 'pot', closesH: 0.4 }), clock({ kind: 'cure', opensH: 16 })])
  })

  it('renames and removes a job whose title fills its field', async () => {
    const long = 'x'.repeat(300)
    const words = (verb: string) => ({ label: `${verb} ${long}` })
    await pass([patch('job', 'deck', 1, { title: long })], words('Change'))
    const history = await historyOf(refit)
    expect(history[0]?.rows).toEqual([
      expect.objectContaining({ before: { title: 'Deck' }, after: { title: long } }),
    ])
    const { items } = jobsRemoval(await rowsOf(), (await rowsOf()).job)
    await pass([...items], words('Remove'))
    expect((await rowsOf()).step).toEqual([])
  })

  it('is gone when the refit is removed, with a copy of the database from before', async () => {
    await removeRefit(refit)
    await expect(rowsOf()).rejects.toThrow(/no such refit/)
    expect(
      readdirSync(join(ownFolder(), 'copies')).some((one) => one.includes('before-remove')),
    ).toBe(true)
    await expect(removeRefit(refit)).rejects.toThrow(/no such refit/)
  })
})

describe('inches', () => {
  it('are stored on finishing by the formula and taken back exactly on reopening', async () => {
    // 480 in, 24 h open: 6 h earn 480 × 6/24 = 120; then 18 h of 18 h earn the other 360.
    await pass([patch('step', 'cut', 1, { state: 'done' })])
    expect((await stepRow('cut'))?.earnedIn).toBeCloseTo(120, 9)
    await pass([patch('step', 'fair', 1, { state: 'done' })])
    expect((await stepRow('fair'))?.earnedIn).toBeCloseTo(360, 9)
    await pass([patch('step', 'cut', 2, { state: 'open' })])
    expect(await stepRow('cut')).toMatchObject({ earnedIn: null, doneAt: null })
    expect((await stepRow('fair'))?.earnedIn).toBeCloseTo(360, 9)
  })

  it('of two steps finished in one change are worked out one after the other', async () => {
    await pass([
      patch('step', 'cut', 1, { state: 'done' }),
      patch('step', 'fair', 1, { state: 'done' }),
    ])
    const steps = (await rowsOf()).step
    expect(steps.reduce((sum, one) => sum + (one.earnedIn ?? 0), 0)).toBeCloseTo(480, 9)
  })

  it('stay with the boat when a finished step is removed, and go back to it when that is undone', async () => {
    await pass([patch('step', 'cut', 1, { state: 'done' })])
    await pass([{ op: 'delete', entity: 'step', id: 'cut', baseVersion: 2 }])
    expect((await rowsOf()).refit[0]?.earnedKeptIn).toBeCloseTo(120, 9)
    // The other 18 h earn the other 360 in.
    await pass([patch('step', 'fair', 1, { state: 'done' })])
    expect((await stepRow('fair'))?.earnedIn).toBeCloseTo(360, 9)
    await undo()
    await undo()
    expect((await rowsOf()).refit[0]?.earnedKeptIn).toBeCloseTo(0, 9)
    expect((await stepRow('cut'))?.earnedIn).toBeCloseTo(120, 9)
  })

  it('stay with a finished step that is dropped, and are taken back when it is opened', async () => {
    await pass([patch('step', 'cut', 1, { state: 'done' })])
    await pass([patch('step', 'cut', 2, { state: 'dropped' })])
    expect((await stepRow('cut'))?.earnedIn).toBeCloseTo(120, 9)
    await pass([patch('step', 'cut', 3, { state: 'open' })])
    expect(await stepRow('cut')).toMatchObject({ earnedIn: null, doneAt: null })
  })

  it('stretch with the length when that is put right, and back', async () => {
    await pass([patch('step', 'cut', 1, { state: 'done' })])
    await pass([patch('refit', refit, (await rowsOf()).refit[0]?.version ?? 1, { loaM: 3.048 })])
    // A quarter of the length: 30 of 120 in, where 120 of 480 were.
    expect((await stepRow('cut'))?.earnedIn).toBeCloseTo(30, 9)
    await undo()
    expect((await stepRow('cut'))?.earnedIn).toBeCloseTo(120, 9)
  })

  it('takes no inches by hand on the refit either', async () => {
    await expect(pass([patch('refit', refit, 1, { earnedKeptIn: 400 })])).rejects.toThrow(
      /no field/,
    )
  })
})

it('keeps the database whole with a copy on demand', async () => {
  const { copyDatabase } = await import('../../server/db/copyDatabase')
  const { sequelize } = await database()
  const { openDatabase } = await import('../../server/db/connect')
  const copy = await openDatabase(await copyDatabase(sequelize, 'start'))
  expect(await copy.models.rows.step.count()).toBeGreaterThan(0)
  await copy.close()

  // Once a day by itself; of nine days' copies the seven newest stay.
  const { dailyCopy } = await import('../../server/services/copies')
  const { folderIn } = await import('../../server/services/dataFolder')
  const day = (at: number) => `2020-01-0${at}T00-00-00-000Z-daily.sqlite`
  for (let at = 1; at <= 8; at++) writeFileSync(join(folderIn('copies'), day(at)), '')
  await dailyCopy()
  await dailyCopy()
  const dailies = readdirSync(folderIn('copies')).filter((name) => name.endsWith('-daily.sqlite'))
  expect(dailies).toHaveLength(7)
  expect(dailies).not.toContain(day(2))
  expect(dailies).toContain(day(3))
})

it('leaves nothing of a copy that breaks off, says so, keeps the older ones, and takes it when it can', async () => {
  const { missedCopy, startCopy, dailyCopy } = await import('../../server/services/copies')
  const { clearParts, folderIn } = await import('../../server/services/dataFolder')
  const inFolder = () => readdirSync(folderIn('copies')).sort()
  const { sequelize } = await database()
  await startCopy()
  const before = inFolder()
  const full = vi.spyOn(sequelize, 'query').mockImplementation((async (
    _: string,
    { bind }: { bind: { beside: string } },
  ) => {
    writeFileSync(bind.beside, 'half of it')
    await Promise.resolve()
    throw Object.assign(new Error('SQLITE_FULL: database or disk is full'), { code: 'SQLITE_FULL' })
  }) as never)
  for (let start = 0; start < 4; start++) await startCopy()
  expect(inFolder()).toEqual(before)
  expect(missedCopy()?.message).toMatch(/^The disk with .* is full\./)
  full.mockRestore()
  // What a program that was ended in the midst of one left there.
  writeFileSync(join(folderIn('copies'), 'x-start.sqlite.another-1.part'), 'half of it')
  clearParts()
  await dailyCopy()
  expect(missedCopy()).toBeNull()
  const starts = inFolder().filter((name) => name.endsWith('-start.sqlite'))
  expect(starts.length).toBe(before.filter((name) => name.endsWith('-start.sqlite')).length + 1)
  expect(inFolder().filter((name) => !name.endsWith('.sqlite'))).toEqual([])
})

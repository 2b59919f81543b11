/** Splitting, merging, copying and suggesting: nothing lost, nothing silently linked. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { supposing } from '../model/applyChange'
import type { Job } from '../model/entities'
import { inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { checkRow, ruleContext } from '../model/rules'
import { expand } from '../recipes/expand'
import { recipeProblems } from '../recipes/check'
import { add, emptyRefit, job, step } from '../testing/build'
import type { Building } from '../testing/build'
import { copyJob } from './copyJob'
import { jobAsRecipe } from './jobAsRecipe'
import { mergeJobs } from './mergeJobs'
import type { Outcome } from './outcome'
import { mergeSteps } from './mergeSteps'
import { splitJob, splitStep } from './split'
import { suggestedLinks } from './suggestLinks'

const ids = () => {
  let last = 0
  return () => `new${last++}`
}
const carriedOut = (rows: RefitRows, outcome: Outcome): RefitRows => {
  if (!outcome.ok) throw new Error(outcome.message)
  return supposing(rows, outcome.value.items)
}
const message = (outcome: Outcome): string => (outcome.ok ? '' : outcome.message)
const titles = (rows: RefitRows, jobId: string): string[] =>
  inOrder(rows.step.filter((one) => one.jobId === jobId)).map((one) => one.title)
const links = (rows: RefitRows): string[] =>
  rows.link.map((link) => `${link.fromJobId}>${link.toJobId}`).sort()
const link = (rows: Building, from: string, to: string) =>
  add(rows, 'link', `${from}-${to}`, { fromJobId: from, toJobId: to })

/** deck: a b c d, after "before", ahead of "after". */
function three(): { rows: Building; deck: Job } {
  const rows = emptyRefit()
  job(rows, 'before')
  const deck = job(rows, 'deck')
  job(rows, 'after')
  for (const id of ['a', 'b', 'c', 'd']) step(rows, 'deck', id, { hoursLikely: 2 })
  link(rows, 'before', 'deck')
  link(rows, 'deck', 'after')
  return { rows, deck }
}

describe('splitting a job', () => {
  it('puts the tail after, and what followed follows the tail', () => {
    const { rows, deck } = three()
    const after = carriedOut(rows, splitJob(rows, deck, ['c', 'd'], 'Rest', ids()))
    expect([titles(after, 'deck'), titles(after, 'new0')]).toEqual([
      ['a', 'b'],
      ['c', 'd'],
    ])
    expect(links(after)).toEqual(['before>deck', 'deck>new0', 'new0>after'])
  })
  it('puts the head before; among the others it links nothing and says so', () => {
    const { rows, deck } = three()
    const head = carriedOut(rows, splitJob(rows, deck, ['a'], 'First', ids()))
    expect(links(head)).toEqual(['before>new0', 'deck>after', 'new0>deck'])
    const middle = splitJob(rows, deck, ['b'], 'Middle', ids())
    expect(links(carriedOut(rows, middle))).toEqual(['before>deck', 'deck>after'])
    expect(middle.ok && middle.value.said).toContain('No link was made')
  })
  it('lets a link that names a step follow that step', () => {
    const { rows, deck } = three()
    rows.link = rows.link.map((one) =>
      one.fromJobId === 'deck' ? { ...one, fromStepId: 'b' } : one,
    )
    const stays = carriedOut(rows, splitJob(rows, deck, ['c', 'd'], 'Rest', ids()))
    expect(links(stays)).toEqual(['before>deck', 'deck>after', 'deck>new0'])
    rows.link = rows.link.map((one) =>
      one.fromJobId === 'deck' ? { ...one, fromStepId: 'c' } : one,
    )
    const goes = carriedOut(rows, splitJob(rows, deck, ['c', 'd'], 'Rest', ids()))
    expect(links(goes)).toEqual(['before>deck', 'deck>new0', 'new0>after'])
  })
  it('refuses a split of nothing', () => {
    const { rows, deck } = three()
    expect(message(splitJob(rows, deck, [], 'Rest', ids()))).toContain('Choose the steps')
    expect(message(splitJob(rows, deck, ['x'], 'Rest', ids()))).toContain('Choose the steps')
    expect(message(splitJob(rows, deck, ['a', 'b', 'c', 'd'], 'Rest', ids()))).toContain(
      'every step',
    )
    expect(message(splitJob(rows, deck, ['a'], '  ', ids()))).toContain('a name')
  })
})

describe('splitting and merging steps', () => {
  it('keeps the hours and leaves the wait at the end', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 400 }),
        fc.double({ min: 0.05, max: 0.95, noNaN: true }),
        (quarters, share) => {
          const rows = emptyRefit()
          job(rows, 'deck')
          const whole = step(rows, 'deck', 'a', {
            hoursLikely: quarters / 4,
            waitKind: 'chem',
            waitHours: 16,
          })
          step(rows, 'deck', 'z')
          const after = carriedOut(rows, splitStep(rows, whole, share, ids()))
          const [first, second] = inOrder(after.step)
          if (!first || !second) throw new Error('no steps')
          expect(first.hoursLikely + second.hoursLikely).toBeCloseTo(quarters / 4, 9)
          expect(Math.min(first.hoursLikely, second.hoursLikely)).toBeGreaterThan(0.04)
          expect([first.waitKind, second.waitKind]).toEqual(['none', 'chem'])
          const merged = carriedOut(after, mergeSteps(after, first, second))
          expect(merged.step).toHaveLength(2)
          expect(inOrder(merged.step)[0]).toMatchObject({ waitKind: 'chem', waitHours: 16 })
        },
      ),
      { numRuns: 50 },
    ))
  it('merges to the stricter of two: hull, licence, warmth, date, people, the longer wait, hours with access', () => {
    const rows = emptyRefit()
    add(rows, 'zone', 'skin', { name: 'Low', belowWaterline: true, order: 'b' })
    job(rows, 'deck')
    // 2 h cramped is 3.4 h, 1 h open is 1 h: 4.4 h. Low 0.8 × 1.7 × 2 = 2.72 with 0.5.
    const first = step(rows, 'deck', 'a', {
      operation: 'paint',
      hoursLikely: 2,
      access: 'cramped',
      minTempC: 12,
      maxTempC: 30,
      notBefore: '2027-04-20',
      waitKind: 'chem',
      waitHours: 10,
      waitRefC: 30,
      caution: 'Mask on.',
    })
    const second = step(rows, 'deck', 'b', {
      operation: 'paint',
      hoursLikely: 1,
      hoursLow: 0.5,
      hullNeed: 'ashore',
      licensedKind: 'welding',
      minTempC: 10,
      maxTempC: 25,
      notBefore: '2027-04-18',
      crewMin: 2,
      crewMax: 2,
      needsDry: true,
      waitKind: 'chem',
      waitHours: 16,
      waitRefC: 20,
    })
    const [one] = carriedOut(rows, mergeSteps(rows, first, second)).step
    expect(one).toMatchObject({
      hoursLikely: 4.4,
      access: 'open',
      hoursLow: 3.22,
      hullNeed: 'ashore',
      licensedKind: 'welding',
      minTempC: 12,
      maxTempC: 25,
      notBefore: '2027-04-20',
      crewMin: 2,
      needsDry: true,
      // 10 h at 30 °C are 20 h at 20 °C, longer than 16.
      waitHours: 10,
      waitRefC: 30,
      caution: 'Mask on.',
    })
  })
  it.each([
    ['different kinds of work', { operation: 'drill' }],
    ['different places', { operation: 'paint', placeNeed: 'shed' }],
    ['ashore, the other afloat', { operation: 'paint', hullNeed: 'afloat' }],
    ['after the gate', { operation: 'paint', afterGate: true }],
    ['shuts before the wait', { operation: 'paint', maxWaitHours: 5 }],
    ['different licences', { operation: 'paint', licensedKind: 'gas' }],
    ['different people', { operation: 'paint', wantedPersonId: 'tam' }],
    ['One takes woodwork, the other rigging', { operation: 'paint', skill: 'rigging' }],
    ['counted, read or repeated', { operation: 'paint', unitCount: 4 }],
    ['counted, read or repeated', { operation: 'paint', roundsLikely: 2 }],
    ['counted, read or repeated', { operation: 'paint', readWhat: 'Film' }],
  ] as const)('keeps apart what is unlike: %s', (reason, given) => {
    const rows = emptyRefit()
    job(rows, 'deck')
    const first = step(rows, 'deck', 'a', {
      operation: 'paint',
      hullNeed: 'ashore',
      waitKind: 'chem',
      waitHours: 8,
      licensedKind: 'welding',
      wantedPersonId: 'ida',
      skill: 'woodwork',
    })
    const second = step(rows, 'deck', 'b', given)
    expect(message(mergeSteps(rows, first, second))).toContain(reason)
  })
  it('splits what is counted by its units, and leaves what is begun or only for now with the first', () => {
    const rows = emptyRefit()
    job(rows, 'deck')
    add(rows, 'gate', 'g', { name: 'Launch', kind: 'asap' })
    const holes = step(rows, 'deck', 'a', {
      hoursLikely: 4,
      unitName: 'holes',
      unitCount: 22,
      maxTempC: 25,
      startedAt: 5,
      provisionalFor: 'A fuse',
      rightBeforeGateId: 'g',
    })
    const [first, second] = inOrder(carriedOut(rows, splitStep(rows, holes, 0.25, ids())).step)
    // A quarter of 22 is 5.5: six, and sixteen.
    expect([first?.unitCount, second?.unitCount]).toEqual([6, 16])
    expect(first).toMatchObject({ startedAt: 5, provisionalFor: 'A fuse' })
    expect(second).toMatchObject({
      startedAt: null,
      provisionalFor: '',
      maxTempC: 25,
      unitName: 'holes',
    })
    const one = carriedOut(rows, splitStep(rows, { ...holes, unitCount: 1 }, 0.5, ids()))
    expect(inOrder(one.step).map((part) => part.unitCount)).toEqual([1, null])
    expect(message(splitStep(rows, { ...holes, unitsDone: 3 }, 0.5, ids()))).toContain(
      'counted off',
    )
  })
  it('refuses to split what is done or empty', () => {
    const rows = emptyRefit()
    job(rows, 'deck')
    const done = step(rows, 'deck', 'a', { state: 'done' })
    const empty = step(rows, 'deck', 'b', { hoursLikely: 0 })
    expect(message(splitStep(rows, done, 0.5, ids()))).toContain('done')
    expect(message(splitStep(rows, empty, 0.5, ids()))).toContain('no hours')
    expect(message(mergeSteps(rows, done, empty))).toContain('done')
  })
})

describe('merging jobs', () => {
  it('moves steps, parts and links over, and no link doubles', () => {
    const { rows, deck } = three()
    const other = job(rows, 'other', { parentJobId: 'deck' })
    const child = job(rows, 'child', { parentJobId: 'other' })
    step(rows, 'other', 'e')
    add(rows, 'part', 'p', { name: 'Bolt', jobId: 'other' })
    link(rows, 'before', 'other')
    const after = carriedOut(rows, mergeJobs(rows, deck, [other]))
    expect(titles(after, 'deck')).toEqual(['a', 'b', 'c', 'd', 'e'])
    expect(links(after)).toEqual(['before>deck', 'deck>after'])
    expect(after.part[0]?.jobId).toBe('deck')
    expect(after.job.find((one) => one.id === child.id)?.parentJobId).toBe('deck')
  })
  it('refuses nothing to merge, and a circle by its names', () => {
    const { rows, deck } = three()
    const far = job(rows, 'far')
    link(rows, 'after', 'far')
    expect(message(mergeJobs(rows, deck, []))).toContain('at least two')
    expect(message(mergeJobs(rows, deck, [far]))).toContain('after → deck → after')
  })
})

describe('a job split and merged again', () => {
  it('has the same steps and hours, whichever were chosen', () =>
    fc.assert(
      fc.property(fc.subarray(['a', 'b', 'c', 'd'], { minLength: 1, maxLength: 3 }), (chosen) => {
        const { rows, deck } = three()
        const newId = ids()
        const apart = carriedOut(rows, splitJob(rows, deck, chosen, 'Rest', newId))
        const rest = apart.job.find((one) => one.title === 'Rest') as Job
        expect(titles(apart, rest.id)).toEqual([...chosen].sort())
        const again = carriedOut(apart, mergeJobs(apart, deck, [rest]))
        expect(titles(again, 'deck').sort()).toEqual(['a', 'b', 'c', 'd'])
        expect(links(again)).toEqual(links(rows))
        expect(again.job).toHaveLength(rows.job.length)
      }),
    ))
})

describe('a copy and a template', () => {
  it('copies steps as open and parts as wanted', () => {
    const { rows, deck } = three()
    rows.step[0] = { ...(rows.step[0] as (typeof rows.step)[0]), state: 'done', earnedIn: 3 }
    add(rows, 'part', 'p', { name: 'Bolt', jobId: 'deck', neededByStepId: 'b', state: 'fitted' })
    const { jobId, items } = copyJob(rows, deck, 'Deck, port', ids())
    const after = supposing(rows, items)
    expect(titles(after, jobId)).toEqual(['a', 'b', 'c', 'd'])
    expect(
      after.step.filter((one) => one.jobId === jobId).every((one) => one.state === 'open'),
    ).toBe(true)
    expect(after.part.map((part) => part.state)).toEqual(['fitted', 'wanted'])
    expect(links(after)).toEqual(links(rows))
  })
  it('makes a recipe that gives the job again, and half of it', () => {
    const { rows, deck } = three()
    add(rows, 'part', 'p', { name: 'Bolt {M8}', jobId: 'deck', neededByStepId: 'b', quantity: 6 })
    const recipe = jobAsRecipe(rows, deck)
    expect(recipeProblems(recipe)).toEqual([])
    const half = expand(recipe, { size: 0.5 })
    if (!half.ok) throw new Error('no draft')
    expect(half.value.steps.map((one) => one.fields.hoursLikely)).toEqual([1, 1, 1, 1])
    expect(half.value.steps[1]?.materials[0]).toMatchObject({ what: 'Bolt M8', quantity: 3 })
  })
})

describe('suggested links', () => {
  const meeting = () => {
    const rows = emptyRefit()
    add(rows, 'zone', 'port', { name: 'Hull port', belowWaterline: true, order: 'b' })
    add(rows, 'zone', 'cabin', { name: 'Cabin', order: 'c' })
    const valve = job(rows, 'valve', { zoneId: 'port' })
    step(rows, 'valve', 'bore', { operation: 'drill' })
    job(rows, 'paint', { zoneId: 'port' })
    step(rows, 'paint', 'coat', { operation: 'antifoul' })
    job(rows, 'trim', { zoneId: 'cabin' })
    step(rows, 'trim', 'sand', { operation: 'grind' })
    return { rows, valve }
  }
  it('offers the hole before the coat, with the reason, and nothing from elsewhere', () => {
    const { rows, valve } = meeting()
    const why = expect.stringContaining('below the waterline') as string
    const between = { fromJobId: 'valve', toJobId: 'paint', why }
    expect(suggestedLinks(rows, valve)).toEqual([{ ...between, fromStepId: null, toStepId: null }])
    // The coat waits until the fitting is bedded, not for its cable; and what is sanded before the coat is free.
    step(rows, 'valve', 'bed', { operation: 'bed' })
    step(rows, 'valve', 'cable', { operation: 'wire' })
    rows.step = rows.step.map((one) => (one.id === 'coat' ? { ...one, order: 'zz' } : one))
    step(rows, 'paint', 'wash', { operation: 'clean' })
    expect(suggestedLinks(rows, valve)).toEqual([
      { ...between, fromStepId: 'bed', toStepId: 'coat' },
    ])
    const painter = rows.job.find((one) => one.id === 'paint') as Job
    expect(suggestedLinks(rows, painter)).toHaveLength(1)
  })
  it('has dust wait for nothing where what is sanded throws none', () => {
    const { rows } = meeting()
    job(rows, 'gloss', { zoneId: 'cabin' })
    step(rows, 'gloss', 'varnish', { operation: 'varnish' })
    const offered = (dusty: boolean | null) => {
      rows.step = rows.step.map((one) => (one.id === 'sand' ? { ...one, dusty } : one))
      const trim = rows.job.find((one) => one.id === 'trim') as Job
      return suggestedLinks(rows, trim).map((one) => [one.fromJobId, one.toJobId])
    }
    expect(offered(null)).toEqual([['trim', 'gloss']])
    expect(offered(false)).toEqual([])
  })
  it('offers nothing that is linked already, by whatever way round', () => {
    const { rows, valve } = meeting()
    link(rows, 'valve', 'trim')
    link(rows, 'trim', 'paint')
    expect(suggestedLinks(rows, valve)).toEqual([])
    rows.link = []
    link(rows, 'paint', 'valve')
    expect(suggestedLinks(rows, valve)).toEqual([])
  })
})

describe('a job found during itself', () => {
  it('is refused', () => {
    const rows = emptyRefit()
    job(rows, 'a', { parentJobId: 'b' })
    const b = job(rows, 'b', { parentJobId: 'a' })
    expect(checkRow('job', b, ruleContext(rows))[0]?.message).toContain(
      'cannot be found during itself',
    )
  })
})

/** What was found: how it is marked, counted, joined and walked to. */
import { describe, expect, it } from 'vitest'
import { add, emptyRefit, job, step } from '../testing/build'
import type { Building } from '../testing/build'
import type { Finding, Entities } from '../model/entities'
import { supposing } from '../model/applyChange'
import type { PatchOf } from '../model/field'
import { jobsRemoval } from '../model/removal'
import { derive } from '../progress/derive'
import type { JobState } from '../progress/jobState'
import { causeLetter, causeOffers, countOf, failedTestChanges, joinChanges } from './causes'
import { guideOf } from './guide'
import { likelyWords } from './likelyWords'
import { bowToStern, findingMark, groupsOf, marksByZone, mergedGroups } from './marks'
import { findingRemoval } from './removeFinding'
import { currentWalk, nextStop, notLookedAt, routeOf } from './route'
import { sayEvidence } from './sayEvidence'
import { walkHeading, walkSentences } from './sayWalk'
import { toPutRight, walkFigures } from './walkFigures'
import { waysIn, wayThrough, backAndForth } from './waysIn'
import { costOfWhen, laterRisk } from './whenCost'

let made = 0
const newId = () => `new-${made++}`
const zone = (rows: Building, id: string, given: Partial<PatchOf<Entities['zone']>> = {}) =>
  add(rows, 'zone', id, { name: id, order: id, ...given })
const finding = (
  rows: Building,
  id: string,
  given: Partial<PatchOf<Entities['finding']>> = {},
): Finding => add(rows, 'finding', id, { title: id, foundAt: 1, ...given })
const stateOf = (rows: Building) => {
  const { jobs } = derive(rows, null, 0)
  return (id: string) => jobs.get(id)?.state
}
const now = Date.UTC(2027, 3, 17, 8)

describe('a mark', () => {
  const of = (state: Finding['state'], job: JobState | undefined, jobId: string | null = 'j') =>
    findingMark({ state, jobId }, () => job).fill
  it.each<[Finding['state'], JobState | undefined, string | null, string]>([
    ['new', undefined, null, 'none'],
    ['new', 'open', 'j', 'none'],
    ['jobMade', 'open', 'j', 'job'],
    ['jobMade', 'later', 'j', 'job'],
    ['jobMade', 'done', 'j', 'mended'],
    ['jobMade', 'accepted', 'j', 'accepted'],
    ['jobMade', 'dropped', 'j', 'none'],
    ['jobMade', undefined, 'j', 'none'],
    ['jobMade', undefined, null, 'job'],
    ['watch', 'done', 'j', 'watched'],
    ['accepted', undefined, null, 'accepted'],
    ['gone', 'open', 'j', 'mended'],
  ])('of %s with its job %s', (state, job, jobId, fill) => {
    expect(of(state, job, jobId)).toBe(fill)
  })
  it('stands open until it is mended or accepted, and asks for a word only where there is none', () => {
    const { open, toSettle } = findingMark({ state: 'watch', jobId: null }, () => undefined)
    expect([open, toSettle]).toEqual([true, false])
  })
})

describe('groups', () => {
  const rows = emptyRefit()
  zone(rows, 'deck')
  job(rows, 'mend')
  finding(rows, 'a', { severity: 3, zoneId: 'deck', howMany: 2 })
  finding(rows, 'b', { severity: 3, zoneId: 'deck' })
  finding(rows, 'c', { severity: 4, zoneId: 'deck', state: 'jobMade', jobId: 'mend' })
  finding(rows, 'd', { severity: 4, zoneId: 'deck', state: 'gone' })
  finding(rows, 'e', { severity: 1, zoneId: 'gone-place' })
  const groups = groupsOf(rows.finding.slice(0, 4), stateOf(rows))
  it('lie open first, worst first, and count those that are alike', () => {
    expect(groups.map((one) => [one.severity, one.fill, one.many])).toEqual([
      [4, 'job', 1],
      [3, 'none', 3],
      [4, 'mended', 1],
    ])
  })
  it('merge into the worst with their total when there is no room', () => {
    expect(mergedGroups(groups, 1).map((one) => [one.severity, one.many])).toEqual([[4, 5]])
    expect(mergedGroups(groups, 2).map((one) => one.many)).toEqual([2, 3])
    expect(mergedGroups(groups, 3)).toBe(groups)
  })
  it('stand by place, and those of no place last', () => {
    const marks = marksByZone(rows.zone, rows.finding, stateOf(rows))
    expect(marks.map((one) => [one.zone?.id, one.open, one.toSettle, one.dangers])).toEqual([
      ['deck', 3, 2, 1],
      [undefined, 1, 1, 0],
    ])
  })
})

describe('the whole walk', () => {
  const rows = emptyRefit()
  zone(rows, 'bow', { along: 0.9 })
  zone(rows, 'stern', { along: 0.1 })
  job(rows, 'one')
  step(rows, 'one', 's', { hoursLikely: 4 })
  add(rows, 'cause', 'why', { title: 'Why', order: 'a' })
  finding(rows, 'a', { zoneId: 'bow', severity: 4, state: 'jobMade', jobId: 'one', causeId: 'why' })
  finding(rows, 'b', { zoneId: 'bow', severity: 2, state: 'jobMade', jobId: 'one' })
  finding(rows, 'c', { zoneId: 'bow', severity: 4, hoursGuess: 1.5, causeId: 'why' })
  finding(rows, 'd', { zoneId: 'stern', severity: 1 })
  finding(rows, 'e', { zoneId: 'stern', severity: 1, state: 'gone', hoursGuess: 9, causeId: 'why' })
  const figures = () => walkFigures(rows, derive(rows, null, now).jobs)
  it('counts each job once, guesses where there is none, and says what nobody guessed', () => {
    expect(toPutRight(rows.finding, derive(rows, null, now).jobs)).toEqual({
      hours: 5.5,
      notGuessed: 1,
    })
    expect(figures()).toMatchObject({
      all: 5,
      open: 4,
      dangers: 2,
      dangersToSettle: 1,
      toSettle: 2,
      causes: 1,
      explained: 2,
    })
  })
  it('is said as it stands', () => {
    const said = walkHeading(figures())
    expect(said.before + said.danger + said.after).toBe(
      '4 of 5 stand open: two are a danger, 2 wait for your word',
    )
    expect(walkSentences(figures())).toEqual({
      hours: '5.5 h to put right, one not guessed yet.',
      rest: 'One danger has no answer yet. One cause explains two. Two places not looked at.',
    })
    // A watched one keeps its own guess: its old job's hours are not its.
    const watched = { ...(rows.finding[0] as Finding), state: 'watch' as const, hoursGuess: 2 }
    expect(toPutRight([watched], derive(rows, null, now).jobs)).toEqual({
      hours: 2,
      notGuessed: 0,
    })
    const none = { ...figures(), all: 0, open: 0, notLooked: [] }
    expect(walkHeading(none).before).toBe('Nothing found yet')
    expect(
      walkSentences({ ...figures(), open: 0, hours: 0, notGuessed: 0, dangers: 0, causes: 0 })
        .hours,
    ).toBe('')
    expect(walkSentences({ ...figures(), hours: 0, notGuessed: 3 }).hours).toBe(
      'Three without a guess of the hours.',
    )
  })
})

describe('ways in', () => {
  const rows = emptyRefit()
  add(rows, 'wayIn', 'sole', { title: 'Sole', hoursOut: 0.4, hoursBack: 0.7, order: 'a' })
  add(rows, 'wayIn', 'tank', {
    title: 'Tank',
    hoursOut: 2,
    hoursBack: 3,
    throughId: 'sole',
    order: 'b',
  })
  zone(rows, 'bilge', { wayInId: 'sole' })
  zone(rows, 'under', { wayInId: 'tank' })
  for (const id of ['a', 'b']) {
    job(rows, id, { zoneId: 'bilge' })
    step(rows, id, `${id}1`)
  }
  job(rows, 'deep', { zoneId: 'under' })
  step(rows, 'deep', 'd1')
  job(rows, 'done', { zoneId: 'bilge' })
  step(rows, 'done', 'x1', { state: 'done' })
  finding(rows, 'f', { zoneId: 'bilge' })
  finding(rows, 'g', { zoneId: 'bilge', state: 'jobMade', jobId: 'a' })
  it('gather what waits behind them, straight or through others, and save what is opened once', () => {
    const [sole, tank] = waysIn(rows, stateOf(rows))
    expect(sole?.jobs.map((one) => one.id)).toEqual(['a', 'b', 'deep'])
    expect(sole?.findings.map((one) => one.id)).toEqual(['f'])
    expect(sole?.savedHours).toBeCloseTo(3 * 1.1)
    expect([tank?.jobs.length, tank?.savedHours]).toEqual([1, 0])
    expect(tank?.hours).toBeCloseTo(6.1)
  })
  it('are kept open for a job while it is open', () => {
    rows.wayIn = rows.wayIn.map((one) => ({
      ...one,
      keepOpenForJobId: one.id === 'sole' ? 'a' : 'done',
    }))
    expect(waysIn(rows, stateOf(rows)).map((one) => one.keptOpenFor?.id)).toEqual(['a', undefined])
  })
  it('that lead in a circle end where it closes', () => {
    const ring = rows.wayIn.map((one) => ({
      ...one,
      throughId: one.id === 'sole' ? 'tank' : 'sole',
    }))
    const [first] = ring
    if (!first) throw new Error('two ways')
    expect(wayThrough(first, ring).map((one) => one.id)).toEqual(['sole', 'tank'])
    expect(backAndForth(first, ring)).toBeCloseTo(6.1)
  })
})

describe('one cause', () => {
  const rows = emptyRefit()
  add(rows, 'system', 'deck', { name: 'Deck', kind: 'deck', order: 'a' })
  zone(rows, 'side', { side: 'starboard', strake: 'deck' })
  zone(rows, 'other', { side: 'port', strake: 'deck' })
  zone(rows, 'hull', { side: 'port', strake: 'underwater', belowWaterline: true, along: 0.6 })
  for (const id of ['a', 'b', 'c'])
    finding(rows, id, {
      zoneId: 'side',
      systemId: 'deck',
      howMany: id === 'c' ? 3 : 1,
      severity: id === 'b' ? 4 : 2,
    })
  finding(rows, 'd', { zoneId: 'other', systemId: 'deck' })
  add(rows, 'support', 'pad', {
    title: 'Pad 4',
    along: 0.62,
    side: 'port',
    sharePct: 5,
    order: 'a',
  })
  finding(rows, 'e', { zoneId: 'hull' })
  finding(rows, 'f', { zoneId: 'hull', pointX: 0.65 })
  finding(rows, 'far', { zoneId: 'hull', pointX: 0.8 })
  it('is offered where side and system agree, and at a support', () => {
    const offers = causeOffers(rows, stateOf(rows))
    expect(offers.map((one) => one.findings.map((each) => each.id))).toEqual([
      ['e', 'f'],
      ['a', 'b', 'c'],
    ])
    expect(offers[1]?.because).toBe('3 of the same kind (deck) on starboard.')
  })
  it('makes one job with its count, closed by its test, open again when that fails', () => {
    const list = rows.finding.slice(0, 3)
    expect(countOf(list)).toBe(5)
    const { items, jobId, causeId } = joinChanges(
      rows,
      list,
      { title: 'Rail leaks', test: 'Hose it', hoursEach: 1.2, gateId: null },
      newId,
    )
    let after = supposing(rows, items) as Building
    const steps = () => after.step.filter((one) => one.jobId === jobId)
    expect(steps().map((one) => [one.title, one.hoursLikely, one.operation])).toEqual([
      ['Put right, 5 of them', 6, 'fit'],
      ['Hose it', 0.5, 'test'],
    ])
    expect(after.job.find((one) => one.id === jobId)).toMatchObject({
      severity: 4,
      zoneId: 'side',
      placed: true,
    })
    expect(
      after.finding.filter((one) => one.causeId === causeId && one.jobId === jobId),
    ).toHaveLength(3)
    after = { ...after, step: after.step.map((one) => ({ ...one, state: 'done', doneAt: 1 })) }
    const marks = () =>
      after.finding.slice(0, 3).map((one) => findingMark(one, stateOf(after)).fill)
    expect(marks()).toEqual(['mended', 'mended', 'mended'])
    // What another cause explains and is gone stays gone.
    add(after, 'finding', 'elsewhere', { title: 'x', foundAt: 1, state: 'gone', causeId: null })
    const cause = after.cause[0]
    if (!cause) throw new Error('a cause')
    after = supposing(after, failedTestChanges(after, cause, newId)) as Building
    expect(marks()).toEqual(['job', 'job', 'job'])
    expect(
      steps()
        .sort((x, y) => (x.order < y.order ? -1 : 1))
        .map((one) => [one.title, one.state]),
    ).toEqual([
      ['Put right, 5 of them', 'done'],
      ['Once more: Rail leaks', 'open'],
      ['Hose it', 'open'],
    ])
    expect(after.finding.find((one) => one.id === 'elsewhere')?.state).toBe('gone')
    expect(failedTestChanges(after, { ...cause, jobId: null }, newId)).toEqual([])
  })
  it('has a letter by its order', () => {
    const causes = Array.from({ length: 28 }, (_, at) => ({
      id: `c${at}`,
      version: 1,
      title: '',
      test: '',
      jobId: null,
      order: `a${String(at).padStart(2, '0')}`,
    }))
    expect(
      [0, 1, 25, 26, 27].map((at) => causeLetter(causes[at] as (typeof causes)[0], causes)),
    ).toEqual(['A', 'B', 'Z', 'AA', 'AB'])
  })
})

describe('what goes with what', () => {
  const rows = emptyRefit()
  job(rows, 'j')
  step(rows, 'j', 's')
  finding(rows, 'a', { state: 'jobMade', jobId: 'j' })
  finding(rows, 'b')
  add(rows, 'evidence', 'e', { findingId: 'a', kind: 'tap', at: 1 })
  const picture = (id: string, findingId: string, jobId: string | null = null) =>
    add(rows, 'picture', id, {
      hash: 'a'.repeat(64),
      mime: 'image/png',
      widthPx: 1,
      heightPx: 1,
      takenAt: 1,
      findingId,
      jobId,
    })
  picture('pa', 'a')
  picture('pb', 'b')
  it('a finding leaves its job, which takes its pictures; without a job they go', () => {
    const [a, b] = rows.finding
    if (!a || !b) throw new Error('two findings')
    const left = supposing(rows, findingRemoval(rows, a))
    expect([
      left.job.length,
      left.evidence.length,
      left.picture.map((one) => [one.id, one.jobId, one.findingId]),
    ]).toEqual([
      1,
      0,
      [
        ['pa', 'j', null],
        ['pb', null, 'b'],
      ],
    ])
    expect(supposing(rows, findingRemoval(rows, b)).picture.map((one) => one.id)).toEqual(['pa'])
  })
  it('a finding waits for a word again when its job is removed', () => {
    const { items } = jobsRemoval(rows, rows.job)
    expect(supposing(rows, items).finding.find((one) => one.id === 'a')).toMatchObject({
      state: 'new',
      jobId: null,
    })
  })
})

describe('the way round', () => {
  const rows = emptyRefit()
  zone(rows, 'aft deck', { along: 0.1, strake: 'deck' })
  zone(rows, 'fore deck', { along: 0.9, strake: 'deck' })
  zone(rows, 'keel', { along: 0.5, strake: 'underwater' })
  zone(rows, 'cabin', { along: 0.6, strake: 'below' })
  zone(rows, 'everywhere', { along: null })
  zone(rows, 'shed', { along: 0.5, strake: 'shed' })
  const ids = (material: Parameters<typeof routeOf>[1]) =>
    routeOf(rows.zone, material).map((one) => one.id)
  it('goes by what she is built of, bow to stern', () => {
    expect(ids('woodPlanked')).toEqual(['keel', 'cabin', 'fore deck', 'aft deck'])
    expect(ids('steel')[0]).toBe('cabin')
    expect(ids(null)).toEqual(['fore deck', 'aft deck', 'cabin', 'keel'])
    expect(bowToStern(rows.zone).at(-1)?.id).toBe('shed')
  })
  it('goes on where it stopped; what could not be got at was not looked at', () => {
    add(rows, 'walk', 'old', { title: 'Old', startedOn: '2026-01-01' })
    add(rows, 'walk', 'new', { title: 'New', startedOn: '2027-01-01' })
    const look = (walkId: string, zoneId: string, outcome: 'fine' | 'couldNot') =>
      add(rows, 'look', `${walkId} ${zoneId}`, { walkId, zoneId, outcome, at: 1 })
    look('old', 'keel', 'fine')
    look('new', 'fore deck', 'fine')
    look('new', 'aft deck', 'couldNot')
    const walk = currentWalk(rows.walk)
    expect(walk?.id).toBe('new')
    expect(notLookedAt(rows, walk).map((one) => one.id)).toEqual(['aft deck', 'cabin', 'keel'])
    expect(nextStop(rows, walk)?.id).toBe('cabin')
    expect(nextStop(rows, null)?.id).toBe('fore deck')
  })
  it('says what to look at by make-up, material and age, with the caution of the place', () => {
    const refit = { hullMaterial: 'steel', builtYear: 1990 } as const
    const at = (given: Partial<PatchOf<Entities['zone']>>) =>
      guideOf(zone(emptyRefit(), 'z', given), refit, 2027)
    expect(at({ strake: 'rig' }).caution).toMatch(/two lines/)
    expect(at({ strake: 'rig' }).lookAt.join()).toMatch(/over ten years/)
    expect(
      guideOf(
        zone(emptyRefit(), 'z', { strake: 'rig' }),
        { ...refit, builtYear: 2020 },
        2027,
      ).lookAt.join(),
    ).not.toMatch(/over ten years/)
    expect(at({ strake: 'underwater', belowWaterline: true }).how.join()).toMatch(
      /Thickness on a grid/,
    )
    expect(at({ strake: 'deck', coreKind: 'solid' }).bring).not.toContain('Moisture meter')
    expect(at({ strake: 'deck', coreKind: 'balsa' }).bring).toContain('Moisture meter')
    expect(at({ strake: 'below' }).bring).toContain('Thickness gauge')
  })
  it('offers six words for each kind of place', () => {
    for (const one of [
      null,
      zone(emptyRefit(), 'z', { strake: 'rig' }),
      zone(emptyRefit(), 'Engine space', { strake: 'below' }),
    ])
      expect(new Set(likelyWords(one)).size).toBe(6)
    expect(likelyWords(zone(emptyRefit(), 'Engine space', { strake: 'below' }))).toContain(
      'Oil leak',
    )
    expect(likelyWords(zone(emptyRefit(), 'Bow', { strake: 'deck' }))).toContain('Soft underfoot')
    expect(likelyWords(zone(emptyRefit(), 'Rack', { strake: 'shed' }))).toEqual(likelyWords(null))
  })
})

describe('when', () => {
  const rows = emptyRefit()
  zone(rows, 'keel', { belowWaterline: true })
  const seen = {
    title: 'Play',
    zoneId: 'keel',
    severity: 4,
    hoursGuess: 2.5,
    duringJobId: null,
    spreading: true,
  }
  it('now is a job before all others, before the launch is one among them', () => {
    const of = (when: 'now' | 'gate') =>
      supposing(rows, costOfWhen(rows, seen, when, { launch: null }, newId))
    expect(of('now').job[0]).toMatchObject({ pinnedRank: 1, severity: 4, purpose: 'float' })
    expect(of('gate').job[0]).toMatchObject({ pinnedRank: null })
    expect(of('gate').step[0]?.hoursLikely).toBe(2.5)
  })
  it('later is said with what speaks against it', () => {
    expect(laterRisk(rows, seen, 'Sat 9 Oct 2027')).toBe(
      'It is under water until Sat 9 Oct 2027. It gets worse meanwhile. You called it a danger.',
    )
    expect(laterRisk(rows, seen, '')).toMatch(/no lift-out is down/)
    expect(laterRisk(rows, { ...seen, zoneId: null, spreading: false, severity: 1 }, '')).toBe(
      'It stays as it is, out of every gate.',
    )
  })
})

it.each([
  [
    { kind: 'moisture', value: 23, scaleLow: 0, scaleHigh: 35, meter: 'Pin meter' },
    'Moisture 23 of 0 to 35, pin meter',
  ],
  [{ kind: 'crack', value: 120 }, 'Crack 120 mm'],
  [{ kind: 'moisture', value: 12, scaleLow: 0 }, 'Moisture 12'],
  [{ kind: 'tap', sounds: 'dull', words: 'A hand round it' }, 'Tap dull: A hand round it'],
  [{ kind: 'leak', value: null, words: 'Salt' }, 'Leak: Salt'],
] as const)('a reading %o reads "%s"', (given, said) => {
  const one = add(emptyRefit(), 'evidence', 'e', { findingId: 'f', at: 1, ...given })
  expect(sayEvidence(one)).toBe(said)
})

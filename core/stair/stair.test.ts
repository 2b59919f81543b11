/** Layers of one deck, by hand: laid on the 15th, plies on the 17th, faired on the 24th, painted on the 1st. */
import { describe, expect, it } from 'vitest'
import type { Placement } from '../model/stored'
import { add, emptyRefit, job, person, step } from '../testing/build'
import { folded, layersOf, waitingOn } from './layers'
import { zoneClock } from '../time/zone'
import { sayGap } from './sayGap'
import { sayStair } from './sayStair'
import { stairScale, stairUntil } from './stairScale'

const at = (day: number, hour = 0, month = 3) => Date.UTC(2027, month, day, hour)
const hour = 3_600_000
const day = 24 * hour
const sayDate = (when: number) => new Date(when).toISOString().slice(5, 10)

function deck() {
  const rows = emptyRefit()
  person(rows, 'Ann', [6], '08:00', '16:00')
  job(rows, 'Deck')
  step(rows, 'Deck', 'core', { state: 'done', doneAt: at(15, 12), maxWaitHours: 72 })
  step(rows, 'Deck', 'ply', { hoursLikely: 3, maxWaitHours: 96 })
  step(rows, 'Deck', 'fair', { hoursLikely: 2 })
  step(rows, 'Deck', 'paint', { hoursLikely: 1 })
  step(rows, 'Deck', 'later', { hoursLikely: 1 })
  step(rows, 'Deck', 'gone', { state: 'dropped' })
  job(rows, 'Posts')
  step(rows, 'Posts', 'bed')
  job(rows, 'Hatch')
  job(rows, 'Old', { decision: 'dropped' })
  for (const to of ['Hatch', 'Posts', 'Old'])
    add(rows, 'link', to, { fromJobId: 'Deck', toJobId: to })
  const one = (
    stepId: string,
    from: number,
    to: number,
    readyAt: number,
    more: Partial<Placement> = {},
  ): Placement => ({
    stepId,
    personIds: ['Ann'],
    segments: [[from, to]],
    readyAt,
    binding: { kind: 'now' },
    ...more,
  })
  const plan = {
    placements: [
      one('ply', at(17, 9), at(17, 12), at(18, 4)),
      one('fair', at(24, 9), at(24, 11), at(24, 11), {
        binding: { kind: 'calendar', until: at(24, 9) },
        mends: [{ kind: 'peelPly', fromStepId: 'ply', toStepId: 'fair', hours: 0.25 }],
      }),
      one('paint', at(24, 11), at(24, 12), at(25, 12)),
      one('bed', at(8, 9, 4), at(8, 10, 4), at(8, 10, 4)),
    ],
  }
  return { rows, plan }
}
const waits = { afterDone: (_: unknown, when: number) => when + 16 * hour }
const layers = () => {
  const { rows, plan } = deck()
  return layersOf(rows, plan, { id: 'Deck' }, waits, sayDate)
}

describe('layers', () => {
  it('begin on their day, cure, and say by when the next must be on', () => {
    const [core, ply, fair] = layers()
    expect([core?.from, core?.readyAt]).toEqual([at(15, 12), at(16, 4)])
    // The core may be covered until the 18th: 72 h after it was done.
    expect(core?.shutsAt).toBe(at(18, 12))
    expect([ply?.from, ply?.to, ply?.readyAt]).toEqual([at(17, 9), at(17, 12), at(18, 4)])
    expect([ply?.shutsAt, ply?.hasPeelPly]).toEqual([at(21, 12), true])
    expect([fair?.shutsAt, fair?.hasPeelPly, fair?.mends?.length]).toEqual([null, false, 1])
  })
  it('tell why nobody works before one, but only over a night', () => {
    // From the cured ply on the 18th at 04:00 to the 24th at 09:00 are 6.2 days.
    expect(layers().map((one) => one.gap)).toEqual(['', '', '6 days, nobody there', '', ''])
  })
  it('stand without a day where the plan has none for them, and leave out what was dropped', () => {
    const all = layers()
    expect(all.map((one) => one.key)).toEqual(['core', 'ply', 'fair', 'paint', 'later'])
    expect([all[4]?.from, all[4]?.readyAt]).toEqual([null, null])
  })
  it('show no window on what is covered already', () => {
    const { rows, plan } = deck()
    rows.step[1] = { ...rows.step[1]!, state: 'done', doneAt: at(16, 12) }
    const [core, ply] = layersOf(rows, plan, { id: 'Deck' }, waits, sayDate)
    expect([core?.shutsAt, ply?.shutsAt]).toEqual([null, at(20, 12)])
  })
  it('have on top what waits on them, soonest first, what has no day last', () => {
    const { rows, plan } = deck()
    expect(waitingOn(rows, plan, 'Deck').map((one) => [one.job.id, one.at])).toEqual([
      ['Posts', at(8, 9, 4)],
      ['Hatch', null],
    ])
  })
})

describe('folding', () => {
  const many = (done: number, operations: readonly ('fair' | 'paint' | 'fit')[]) => {
    const rows = emptyRefit()
    job(rows, 'J')
    for (let i = 0; i < done; i++) step(rows, 'J', `d${i}`, { state: 'done', doneAt: at(1 + i) })
    operations.forEach((operation, i) => step(rows, 'J', `o${i}`, { operation, title: `T${i}, x` }))
    return layersOf(rows, null, { id: 'J' }, waits, sayDate)
  }
  it('leaves nine rows as they are, and everything where it is asked for', () => {
    expect(folded(many(4, ['fair', 'fit', 'fair', 'fit', 'fair']), false)).toHaveLength(9)
    expect(folded(many(12, ['fair']), true)).toHaveLength(13)
  })
  it('takes what is done first, down to the last three, then runs of one kind, then the end', () => {
    const done = folded(many(12, ['fair', 'paint']), false)
    expect(done.map((one) => one.title)).toEqual([
      '9 steps done before',
      'd9',
      'd10',
      'd11',
      'T0, x',
      'T1, x',
    ])
    const kinds = folded(many(0, ['fit', 'fair', 'fair', 'fair', ...six]), false)
    expect(kinds.map((one) => one.title)).toContain('2 × T1')
    expect(kinds).toHaveLength(9)
    const end = folded(many(0, [...six, ...six]), false)
    expect(end.at(-1)?.title).toBe('4 steps at the end')
    expect(end.reduce((sum, one) => sum + one.steps.length, 0)).toBe(12)
  })
  const six = ['paint', 'fit', 'paint', 'fit', 'paint', 'fit'] as const
})

describe('the scale', () => {
  it('keeps what is done left of today, in order, and days as wide as each other after it', () => {
    const mondays = [at(19), at(26), at(3, 0, 4)]
    const scale = stairScale(1000, 3, at(17), at(17) + 20 * day, mondays)
    expect(scale.todayX).toBe(250)
    expect([0, 1, 2].map(scale.doneX).every((x) => x < 250)).toBe(true)
    // 650 px for 20 days.
    expect(scale.xOf(at(17) + 10 * day)).toBeCloseTo(250 + 325)
    expect(scale.xOf(at(1))).toBe(250)
    // Back from a place: past the last to be seen it goes on, before today it does not.
    expect(scale.atX(250 + 325)).toBeCloseTo(at(17) + 10 * day)
    expect(scale.atX(250 + 715)).toBeCloseTo(at(17) + 22 * day)
    expect(scale.atX(100)).toBe(at(17))
    expect(scale.mondays.map((one) => one.at)).toEqual(mondays)
  })
  it('reaches to the gate, but not to one that would press the layers together', () => {
    const last = at(17) + 20 * day
    expect(stairUntil(at(17), last, at(17) + 36 * day)).toBe(at(17) + 36 * day)
    expect(stairUntil(at(17), last, at(17) + 37 * day)).toBe(last)
    expect(stairUntil(at(17), last, at(18))).toBe(last)
    expect(stairUntil(at(17), at(18), at(17) + 21 * day)).toBe(at(17) + 21 * day)
    expect(stairUntil(at(17), at(17), null)).toBe(at(24))
  })
  it('leaves out marks that would touch', () => {
    const mondays = Array.from({ length: 40 }, (_, week) => at(19) + week * 7 * day)
    const xs = stairScale(400, 0, at(17), at(17) + 280 * day, mondays).mondays.map((one) => one.x)
    expect(xs.length).toBeGreaterThan(3)
    expect(xs.slice(1).every((x, i) => x - (xs[i] as number) >= 52)).toBe(true)
  })
})

describe('gaps', () => {
  it('are said short, by what holds', () => {
    const { rows } = deck()
    const say = (binding: Parameters<typeof sayGap>[0]) => sayGap(binding, 1, rows, sayDate)
    expect(say({ kind: 'people', stepId: 'x', personIds: ['Ann'] })).toBe('1 day, Ann busy')
    expect(say({ kind: 'weather', share: 0.64, ms: 1, after: null })).toBe(
      '1 day for the weather: 6 in 10 suit',
    )
    expect(say({ kind: 'forecast', from: 0, until: at(20), after: null })).toBe(
      'the forecast forbids it until 04-20',
    )
    expect(say({ kind: 'wait', stepId: 'x', until: 1 })).toBe('')
  })
})

describe('the sentence', () => {
  const clock = zoneClock('UTC')
  const say = (change: (rows: ReturnType<typeof deck>['rows']) => void, gate: number | null) => {
    const { rows, plan } = deck()
    change(rows)
    const all = layersOf(rows, plan, { id: 'Deck' }, waits, sayDate)
    return sayStair(all, gate === null ? null : { name: 'Launch', at: gate }, clock)
  }
  const without = (id: string) => (rows: ReturnType<typeof deck>['rows']) => {
    rows.step = rows.step.filter((one) => one.id !== id)
  }
  it('tells what has no place before any date', () => {
    expect(say(() => undefined, at(30))).toBe('four steps left, one without a place in the plan.')
  })
  it('tells when it is ready, cures included, and how that lies to the gate', () => {
    // Painted on the 24th, cured on Sunday the 25th at noon.
    expect(say(without('later'), at(30, 10))).toBe(
      'three steps left, ready 25 Apr, 5 days before Launch.',
    )
    expect(say(without('later'), at(25, 14))).toBe(
      'three steps left, ready 25 Apr, on the day of Launch.',
    )
    expect(say(without('later'), null)).toBe('three steps left, ready 25 Apr.')
  })
  it('leaves what comes after the gate out of its date', () => {
    const after = (rows: ReturnType<typeof deck>['rows']) => {
      without('later')(rows)
      rows.step[3] = { ...rows.step[3]!, afterGate: true }
    }
    expect(say(after, at(30))).toBe('three steps left, ready 24 Apr, 6 days before Launch.')
  })
  it('says when all is done, and when there is nothing', () => {
    const done = (rows: ReturnType<typeof deck>['rows']) => {
      rows.step = rows.step.map((one) => ({ ...one, state: 'done' as const, doneAt: at(16) }))
    }
    expect(say(done, at(30))).toBe('all six steps are done.')
    expect(say((rows) => (rows.step = []), at(30))).toBe('no steps yet, so the plan cannot see it.')
  })
})

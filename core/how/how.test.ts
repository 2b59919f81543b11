/** What a figure says of itself: its numbers are those of the hand, and agree with what the views show. */
import { describe, expect, it } from 'vitest'
import { knownDemo } from '../../demo/known'
import { demoNow } from '../../demo/sableWren'
import type { LiftOdds } from '../model/odds'
import { bindingChain } from '../plan/chain'
import { makePlan } from '../plan/makePlan'
import { recipeBook } from '../recipes/book'
import { expand } from '../recipes/expand'
import { initialInputs } from '../recipes/ofBoat'
import { add, emptyRefit, job, step } from '../testing/build'
import { derive } from '../progress/derive'
import { howEarned, howGateMark, howStepInches } from './inches'
import { howLift } from './launch'
import { howGateDate, howRank, howSlack } from './plan'
import { howRecipeValue } from './recipe'
import { Waits } from '../plan/waits'
import { zoneClock } from '../time/zone'
import { howLine } from './day'
import { howHours, howWait } from './work'
import { bareLine } from '../today/dayLine'
import type { DayLine } from '../today/dayLine'

/** 480 in; a step of 2 h in cramped reach done with 48 in; 6 h 36 open in reach and 3 h 24 cramped. */
function small() {
  const rows = emptyRefit()
  add(rows, 'gate', 'sail', { name: 'Sail', kind: 'dated', on: '2027-06-01' })
  job(rows, 'Deck', { gateId: 'sail' })
  const done = step(rows, 'Deck', 'cut', { state: 'done', doneAt: 1, earnedIn: 48, hoursLikely: 2 })
  const open = step(rows, 'Deck', 'lay', {
    hoursLikely: 2,
    access: 'cramped',
    waitKind: 'chem',
    waitHours: 20,
    waitRefC: 20,
  })
  job(rows, 'Later')
  step(rows, 'Later', 'fair', { hoursLikely: 6.6 })
  return { rows, done, open, all: derive(rows, null, Date.UTC(2027, 3, 16)) }
}

describe('inches', () => {
  it('of the Tape: what steps stored, and what an hour earns now', () => {
    const { all, done } = small()
    const how = howEarned(all, [done])
    expect(how.result).toBe('48 in of 480 in')
    // (480 − 48) ÷ 10 h.
    expect(how.working.join(' ')).toContain('(480 in − 48 in) ÷ 10 h = 43.2 in')
    expect(how.working.join(' ')).not.toContain('removed')
    expect(howEarned({ ...all, earnedIn: 50 }, [done]).working[1]).toContain('leave theirs: 2 in')
    const over = howEarned({ ...all, earnedIn: 480, hoursOpen: 0 }, [done])
    expect(over.working[1]).toContain('the whole boat is earned')
  })

  it('of a step: 432 × 3.4 ÷ 10, and what it stored when it is done', () => {
    const { all, open, done } = small()
    expect(howStepInches(open, all).working).toEqual(['432 in × 3 h 24 ÷ 10 h = 147 in'])
    expect(howStepInches(done, all).result).toBe('48 in')
    expect(howStepInches(done, all).working[1]).toContain('stays as it is')
  })

  it('of a gate: 48 + 432 × 3.4 ÷ 10', () => {
    const { all } = small()
    const [gate] = all.gates
    if (!gate) throw new Error('no gate')
    expect(howGateMark(gate, [], all).working).toEqual(['48 in + 432 in × 3 h 24 ÷ 10 h = 195 in'])
    expect(howGateMark(gate, [gate], all).inputs[1]?.value).toBe('3 h 24')
  })
})

describe('hours and waits', () => {
  it('say likely × access, and the clock for the people there', () => {
    const { open } = small()
    expect(howHours(open, 2).working).toEqual([
      '2 h × 1.7 = 3 h 24 of work',
      '3 h 24 ÷ 2 people = 1 h 45 by the clock, up to full five minutes',
    ])
    expect(howHours(open, 1).working).toHaveLength(1)
    expect(howHours(open, 0).inputs.map((one) => one.value)).toEqual(['2 h', '× 1.7'])
  })

  it('say rounds, and the time of a line of the day by what is left, shared, in this part of it', () => {
    const { open } = small()
    const rounds = { ...open, roundsLikely: 3 }
    expect(howHours(rounds, 1).working).toEqual(['2 h × 1.7 × 3 rounds = 10 h 12 of work'])
    const hour = 3_600_000
    const line = (of: Partial<DayLine>): DayLine => {
      const to = of.to ?? 1.75 * hour
      const personIds = ['ann', 'bo']
      return {
        ...bareLine,
        kind: 'work',
        what: '',
        from: 0,
        to,
        wholeMs: to,
        step: open,
        personIds,
        ...of,
      }
    }
    // 3 h 24 by two are 102 minutes: 105 in full fives.
    expect(howLine(line({}), 0)?.working).toEqual([
      '2 h × 1.7 = 3 h 24 of work',
      '3 h 24 ÷ 2 people = 1 h 45 by the clock, up to full five minutes',
    ])
    const doing = { ...open, state: 'doing' as const }
    const key = { kind: 'keying' as const, fromStepId: 'a', toStepId: 'lay', hours: 0.25 }
    const alone = { step: doing, personIds: ['ann'], to: hour, mends: [key] }
    const part = howLine(line({ ...alone, wholeMs: (8 / 3) * hour }), 1)
    expect(part?.working.slice(1)).toEqual([
      'It is under way: 2 h 24 of work is left',
      '15 min more, because a bond window shuts: 2 h 39',
      '2 h 40 by the clock, up to full five minutes',
      'Of that, 1 h here; the rest stands before or after, as people come',
    ])
    expect(part?.inputs.at(-1)).toEqual({ name: 'Written down on it', value: '1 h' })
    // The plan gave it one hour, and since then more was said: nothing stands elsewhere.
    expect(howLine(line(alone), 1)?.working.at(-1)).toBe(
      'The plan that stands gives it 1 h: something was changed since, and the next plan follows',
    )
    const third = howLine(line({ step: { ...rounds, round: 3 }, to: 6 * hour }), 2)
    expect(third?.working.slice(1)).toEqual([
      'Round 3 is reached: 3 h 24 of work is left',
      '3 h 24 ÷ 2 people = 1 h 45 by the clock, up to full five minutes',
      'The plan that stands gives it 6 h: something was changed since, and the next plan follows',
    ])
    // What was written down on earlier rounds is no part of this sum.
    expect(third?.inputs.map((one) => one.name)).not.toContain('Written down on it')
    expect(howLine(line({ step: null }), 0)).toBeNull()
  })

  it('say the ten-degree rule with the month’s air, or its floor', () => {
    const { open, rows } = small()
    const april = Date.UTC(2027, 3, 20)
    const monthMeanC = Array.from({ length: 12 }, (_, month) => (month === 3 ? 10 : 20))
    rows.refit = [{ ...rows.refit[0]!, monthMeanC }]
    const tens = new Waits(rows, zoneClock('UTC'))
    // Ten degrees colder: twice the wait.
    expect(howWait(open, april, tens, 'metric')?.result).toBe('40 h')
    expect(howWait(open, april, tens, 'metric')?.working[0]).toContain(
      '20 h × 2^((20 − 10) ÷ 10) = 20 h × 2.00 = 40 h',
    )
    const kept = howWait({ ...open, waitMinC: 15 }, april, tens, 'metric')
    expect(kept?.working[0]).toContain('2^((20 − 15) ÷ 10) = 20 h × 1.41')
    expect(kept?.distrust).toContain('cover or heat')
    // Warmer than its floor, the floor has no say.
    expect(howWait({ ...open, waitMinC: 5 }, april, tens, 'metric')?.result).toBe('40 h')
    expect(howWait(open, null, tens, 'metric')?.working[0]).toContain('not known')
    expect(howWait({ ...open, waitKind: 'dry' }, april, tens, 'metric')?.result).toBe('20 h')
    expect(howWait({ ...open, waitKind: 'none' }, april, tens, 'metric')).toBeNull()
  })
})

describe('a wait in the days of the forecast', () => {
  it('counts hour by hour, and the hours too cold for it nothing', () => {
    const { open, rows } = small()
    const from = Date.UTC(2027, 3, 20)
    const hours = Array.from({ length: 48 }, (_, hour) => ({
      at: from + hour * 3_600_000,
      // Ten hours at 20 °C, ten at 5 °C, then 20 °C again.
      tempC: hour >= 10 && hour < 20 ? 5 : 20,
      dewC: 0,
      rain: false,
    }))
    add(rows, 'forecast', 'f', { station: 'S', takenAt: from, hours })
    const waits = new Waits(rows, zoneClock('UTC'))
    // 20 h at 20 °C: ten earned, ten lost, ten more.
    const how = howWait({ ...open, waitMinC: 8 }, from, waits, 'metric')
    expect(how?.result).toBe('30 h')
    expect(how?.inputs.map((one) => one.value)).toEqual([
      '20 h',
      '5 °C to 20 °C',
      '10 h, which count nothing',
    ])
    // Without a floor the cold hours earn 2^-1.5 each: 3.54 h, so 6.46 more after them.
    const bare = howWait(open, from, waits, 'metric')
    expect(bare?.result).toBe('26 h 28')
    expect((waits.endsAt(open, from) - from) / 3_600_000).toBeCloseTo(20 + 10 - 10 * 2 ** -1.5, 6)
  })
})

describe('the list and the dates', () => {
  it('say a rank by its factors: 80 × 0.8 × 1.5 × (2 − 7 ÷ 28) + 10', () => {
    const basis = {
      purpose: 'safe',
      severity: 3,
      spreading: true,
      slackDays: 7,
      waitingJobs: 2,
    } as const
    const how = howRank(basis, 3, 40, 178)
    expect(how.working[0]).toBe('80 × 0.8 × 1.5 × 1.75 + 10 = 178')
    expect(how.inputs.map((one) => one.value)).toEqual(['80', '× 0.8', '× 1.5', '× 1.75', '+ 10'])
    const free = howRank({ ...basis, slackDays: null, spreading: false, waitingJobs: 0 }, 1, 1, 64)
    expect(free.working[0]).toBe('80 × 0.8 × 1 × 1 + 0 = 64')
    expect(howSlack(1).result).toBe('1 day')
    expect(howSlack(null).result).toBe('no gate waits for it')
  })

  it('say a date by what holds it, and none where there is none', () => {
    const rows = knownDemo()
    const { plan } = makePlan(rows, demoNow)
    const all = derive(rows, plan, demoNow)
    if (!all.launch) throw new Error('no launch')
    const chain = bindingChain(plan, rows, all.launch.gate.id, all.clock)
    const how = howGateDate(all.launch, chain, ['3 jobs are not placed yet.'])
    expect(how.distrust).toContain('3 jobs are not placed yet.')
    expect(howGateDate(all.launch, chain, []).distrust).not.toContain('jobs')
    const idle = { ...all.launch, hasWork: false }
    expect(howGateDate(idle, chain, []).inputs[1]?.value).toBe('nothing waits for it')
    expect(how.working[0]).toContain(how.result)
    expect(how.working.length).toBeLessThanOrEqual(6)
    expect(howGateDate({ ...all.launch, plannedOn: null }, chain, []).result).toBe('not dated')
  })
})

describe('a lift', () => {
  const odds: LiftOdds = {
    haulOutId: 'h',
    dates: [],
    bestDay: 112,
    all: [
      [98, 0, null],
      // Ready in 60 of 100: 685.00 in the yard, less 40.00 of berth, 38.00 for moving it.
      [105, 60, 500, [68_500, 4000, 3800, 109]],
      [112, 90, 0, [70_000, 2650, 450, 113]],
      [119, 100, 700, [68_500, 0, 0, 119]],
    ],
  }
  const words = {
    money: (minor: number) => (minor / 100).toFixed(2),
    day: (day: number) => `day ${day}`,
  }
  it('says what it comes to beside the cheapest, and the sums add up', () => {
    const how = howLift(odds, 105, words)
    expect(how?.result).toBe('5.00 more than day 112')
    expect(how?.working).toEqual([
      'day 105: 685.00 − 40.00 + 38.00 = 683.00',
      'day 112: 700.00 − 26.50 + 4.50 = 678.00',
      '683.00 − 678.00 = 5.00',
    ])
    expect(how?.inputs.map((one) => one.value)).toContain('day 109; day 113 for day 112')
  })
  it('is the cheapest, or has nothing but its days, or was not weighed', () => {
    expect(howLift(odds, 112, words)?.result).toBe('678.00, the least of those weighed')
    expect(howLift(odds, 112, words)?.working).toHaveLength(1)
    expect(howLift(odds, 119, words)?.working[0]).toBe('day 119: 685.00')
    expect(howLift(odds, 119, words)?.distrust).not.toContain('fee')
    expect(howLift(odds, 105, words)?.distrust).toContain('no fee')
    const alike = {
      ...odds,
      all: [...(odds.all ?? []), [126, 100, 0, [67_800, 0, 0, 126]] as const],
    }
    expect(howLift(alike, 126, words)?.result).toBe('as much as day 112')
    expect(howLift(odds, 98, words)).toBeNull()
    expect(howLift(odds, 99, words)).toBeNull()
  })
})

it('every worked value of every recipe says what went into it, and the value itself', () => {
  for (const recipe of recipeBook) {
    const worked = expand(recipe, initialInputs(recipe))
    if (!worked.ok) continue
    const given = [...recipe.inputs, ...recipe.choices].map(({ key, label }) => ({
      key,
      label,
      said: key,
    }))
    for (const value of worked.value.values) {
      const how = howRecipeValue(value, worked.value, given, 'metric')
      expect(how.working).toEqual([`${value.key} = ${value.formula}`, `= ${how.result}`])
      const named = [...given, ...worked.value.values].filter(
        (one) => one.key !== value.key && new RegExp(`\\b${one.key}\\b`).test(value.formula),
      )
      expect(how.inputs.map((one) => one.name).sort()).toEqual(named.map((one) => one.label).sort())
    }
  }
})

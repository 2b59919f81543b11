/** What is said of gates, against what a plain reading of the rows says is missing. */
import { draws } from '../../tests/draws'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { bigRefit } from '../../demo/bigRefit'
import type { RefitRows } from '../model/refit'
import { firstAim } from '../model/starter'
import type { StoredPlan } from '../model/stored'
import { derive } from '../progress/derive'
import { sayGate } from '../progress/gateWords'
import { add, emptyRefit, job, person, step } from '../testing/build'
import type { Building } from '../testing/build'
import { zoneClock } from '../time/zone'
import { bindingChain } from './chain'
import { judgePlan } from '../../tests/judge/judgePlan'
import { hullReader } from './hullNeed'
import { inputsHash } from './inputsHash'
import { makePlan } from './makePlan'

const friday = Date.UTC(2027, 3, 16, 12)
const at = (text: string) => Date.parse(`2027-${text}:00Z`)

/** Ann and Ben on Saturdays 08:00–16:00; lifts on weekdays only, at 09:00. Launch aimed Thursday 6 May. */
function yardRefit() {
  const rows = emptyRefit()
  person(rows, 'Ann', [6], '08:00', '16:00')
  person(rows, 'Ben', [6], '08:00', '16:00')
  const trip = { travelMin: 0, setUpMin: 0, packUpMin: 0 }
  add(rows, 'place', 'yard', { name: 'Yard', kind: 'yard', ...trip, liftWeekdays: [1, 2, 3, 4, 5] })
  add(rows, 'place', 'berth', { name: 'Berth', kind: 'berth', ...trip })
  add(rows, 'haulOut', 'haul', {
    name: 'Spring',
    placeId: 'yard',
    liftOutAimed: '2027-04-02',
    liftOutActual: '2027-04-02',
    launchAimed: '2027-05-06',
  })
  add(rows, 'gate', 'launch', { name: 'Launch', kind: 'launch', haulOutId: 'haul' })
  add(rows, 'gate', 'sail', { name: 'Sail away', kind: 'dated', on: '2027-06-30' })
  add(rows, 'zone', 'skin', { name: 'Outside, low', belowWaterline: true, order: 'b' })
  add(rows, 'zone', 'deck', { name: 'Deck', order: 'c' })
  job(rows, 'Valve', { gateId: 'launch', zoneId: 'skin' })
  step(rows, 'Valve', 'bed', { operation: 'bed', hoursLikely: 2 })
  job(rows, 'Sheets', { gateId: 'sail', zoneId: 'deck' })
  step(rows, 'Sheets', 'splice', { hoursLikely: 2 })
  return rows
}
const saidOf = (
  rows: RefitRows,
  gateId: string,
  plan: StoredPlan = makePlan(rows, friday).plan,
) => {
  const derived = derive(rows, plan, friday)
  const figures = derived.gates.find((one) => one.gate.id === gateId)
  if (!figures) throw new Error(`no gate ${gateId}`)
  const { sentences, ...said } = {
    ...sayGate(figures, derived),
    sentences: bindingChain(plan, rows, gateId, zoneClock('UTC')),
  }
  return { ...said, chain: sentences, figures }
}

describe('what is said of a gate', () => {
  it('keeps its date when all of its work has a place', () => {
    const said = saidOf(yardRefit(), 'launch')
    expect(said).toMatchObject({ standing: 'dated', title: 'Launch keeps 6 May', leavesOut: [] })
    expect(said.short).toBe('launch planned 6 May')
  })

  it('keeps no aimed date on which the yard does not lift, and says so', () => {
    const rows = yardRefit()
    const [haul] = rows.haulOut
    // A Saturday; the lifts go on on Monday 10 May.
    rows.haulOut = haul ? [{ ...haul, launchAimed: '2027-05-08' }] : []
    const said = saidOf(rows, 'launch')
    expect(said.title).toBe('Launch is planned for 10 May, not 8 May')
    expect(said.chain[0]).toMatchObject({
      title: 'Launch, Mon 10 May 2027',
      why: 'The yard lifts on set days, and not on the aimed one: this is the first after it.',
    })
    // Twelve weeks from a Saturday is a Saturday: the first aim is the Friday before.
    expect(firstAim('2027-04-17')).toBe('2027-07-09')
    expect(firstAim('2027-04-16')).toBe('2027-07-09')
  })

  it('has no date with work nobody can do, and names the work', () => {
    const rows = yardRefit()
    step(rows, 'Valve', 'wire it', { skill: 'electrics' })
    const { plan } = makePlan(rows, friday)
    expect(plan.gates.map((gate) => gate.gateId)).toEqual(['sail'])
    const said = saidOf(rows, 'launch', plan)
    expect(said.standing).toBe('undated')
    expect(said.title).toBe('She cannot be launched as it stands')
    expect(said.short).toBe('cannot be launched as it stands: 1 thing stands in the way')
    expect(said.because[0]).toContain('electrics')
    expect(said.chain).toEqual([])
    expect(judgePlan(rows, plan)).toEqual([])
  })

  it('keeps its date with work that is done and in no plan any more', () => {
    const rows = yardRefit()
    step(rows, 'Valve', 'cut', { state: 'done', hoursLikely: 2 })
    expect(saidOf(rows, 'launch')).toMatchObject({ standing: 'dated', title: 'Launch keeps 6 May' })
  })

  it('cannot be dated behind a launch without a date, by what is done afloat', () => {
    const rows = yardRefit()
    step(rows, 'Valve', 'wire it', { skill: 'electrics' })
    step(rows, 'Sheets', 'trial', { hullNeed: 'afloat' })
    const said = saidOf(rows, 'sail')
    expect(said.standing).toBe('undated')
    expect(said.because).toEqual(['Some of its work comes after Launch, which has no date.'])
    // Whichever gate was written down first.
    const turned = { ...rows, gate: [...rows.gate].reverse() }
    expect(saidOf(turned, 'sail').because).toEqual(said.because)
  })

  it('gives no bare date while a job before it has no steps, its own or one it waits for', () => {
    const rows = yardRefit()
    job(rows, 'Rudder', { gateId: 'launch' })
    job(rows, 'Order the seal')
    add(rows, 'link', 'l', { fromJobId: 'Order the seal', toJobId: 'Valve' })
    const said = saidOf(rows, 'launch')
    expect(said.title).toBe('Launch: not before 6 May')
    expect(said.leavesOut[0]).toBe('2 jobs before it have no steps: “Rudder” and “Order the seal”.')
    expect(said.leavesOut[1]).toBe('1 job is not placed yet and counts before no gate.')
  })

  it('says nothing is before it rather than that it is ready', () => {
    const rows = emptyRefit()
    add(rows, 'gate', 'show', { name: 'Show', kind: 'dated', on: '2027-06-30' })
    expect(saidOf(rows, 'show').title).toMatch(/no work stands before it/)
  })

  it('knows work that was added since the plan was made', () => {
    const rows = yardRefit()
    const { plan } = makePlan(rows, friday)
    step(rows, 'Valve', 'test it')
    const said = saidOf(rows, 'launch', plan)
    expect(said.standing).toBe('undated')
    expect(said.because).toEqual(['1 step is not in the plan yet.'])
  })
})

type Defect = 'noSkill' | 'tooLong' | 'noSteps' | 'dropSteps' | 'toPlace' | 'away' | 'afloatBefore'
const defects = fc.array(
  fc.record({
    kind: fc.constantFrom<Defect>(
      'noSkill',
      'tooLong',
      'noSteps',
      'dropSteps',
      'toPlace',
      'away',
      'afloatBefore',
    ),
    where: fc.nat(1_000_000),
  }),
  { maxLength: 5 },
)

function spoil(rows: Building, kind: Defect, where: number): void {
  const at = where % rows.step.length
  const one = rows.step[at]
  if (!one) return
  const change = (patch: object) => (rows.step[at] = { ...one, ...patch })
  if (kind === 'noSkill') change({ skill: 'rigging' })
  if (kind === 'tooLong') change({ operation: 'antifoul', hoursLikely: 60, splittable: null })
  if (kind === 'dropSteps')
    rows.step = rows.step.map((other) =>
      other.jobId === one.jobId ? { ...other, state: 'dropped' } : other,
    )
  if (kind === 'noSteps') rows.step = rows.step.filter((other) => other.jobId !== one.jobId)
  if (kind === 'toPlace')
    rows.job = rows.job.map((other) =>
      other.id === one.jobId ? { ...other, gateId: null } : other,
    )
  if (kind === 'away') rows.weekSlot = rows.weekSlot.filter((slot) => slot.personId !== 'mate')
  if (kind === 'afloatBefore') change({ hullNeed: 'afloat' })
}

/** Jobs a gate waits for, over links and its own, found by walking backwards one by one. */
function jobsBefore(rows: RefitRows, own: readonly string[]): Set<string> {
  const found = new Set(own)
  for (let size = -1; size !== found.size;) {
    size = found.size
    for (const link of rows.link) if (found.has(link.toJobId)) found.add(link.fromJobId)
  }
  return found
}

const aDate = /\b\d{1,2} (Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec)\b/
const praise = /ready|keeps|planned for|all is/i

describe('no sentence about a gate says more than is known', () => {
  it('whatever is missing, impossible or without steps', () => {
    fc.assert(
      fc.property(
        fc.nat(1_000_000),
        fc.integer({ min: 2, max: 14 }),
        defects,
        (seed, jobs, list) => {
          const rows = bigRefit(seed, jobs, 3, 2)
          for (const one of list) spoil(rows, one.kind, one.where)
          const { plan } = makePlan(rows, friday)
          expect(judgePlan(rows, plan)).toEqual([])
          const placed = new Set(plan.placements.map((one) => one.stepId))
          const derived = derive(rows, plan, friday)
          for (const figures of derived.gates) {
            const own = rows.job
              .filter((one) => one.gateId === figures.gate.id)
              .map((one) => one.id)
            const before = jobsBefore(rows, own)
            const live = rows.step.filter((one) => one.state !== 'dropped')
            const hollow = [...before].filter((id) => !live.some((one) => one.jobId === id))
            const lost = live.filter(
              (one) => own.includes(one.jobId) && one.hullNeed !== 'afloat' && !placed.has(one.id),
            )
            const said = sayGate(figures, derived)
            const chain = bindingChain(
              plan,
              rows,
              figures.gate.id,
              zoneClock('Europe/Dublin'),
              said.standing === 'notBefore',
            )
            const heads = [said.short, said.title, chain[0]?.title ?? '']
            if (lost.length > 0) {
              expect(heads.some((text) => aDate.test(text))).toBe(false)
              expect(said.because.length).toBeGreaterThan(0)
              expect(plan.gates.some((gate) => gate.gateId === figures.gate.id)).toBe(false)
            }
            if (lost.length > 0 || hollow.length > 0)
              for (const text of heads) {
                expect(text).not.toMatch(praise)
                if (aDate.test(text)) expect(text).toContain('not before')
              }
            if (hollow.length > 0) expect(said.leavesOut.join(' ')).toContain('no steps')
            const toPlace = rows.job.some((one) => one.gateId === null && !one.placed)
            if (toPlace) expect(said.leavesOut.join(' ')).toContain('not placed yet')
          }
        },
      ),
      { numRuns: draws(17) },
    )
  })
})

describe('what a step needs of the hull', () => {
  const rows = yardRefit()
  add(rows, 'system', 'stern', { name: 'Shaft', kind: 'stern gear', order: 'b' })
  job(rows, 'Gland', { systemId: 'stern' })
  job(rows, 'Anywhere')
  const needOf = hullReader(rows)
  it.each([
    ['Valve', { operation: 'drill' }, 'ashore'],
    ['Valve', { operation: 'test' }, 'ashore'],
    ['Valve', { operation: 'buy' }, 'either'],
    ['Valve', { operation: 'fit', placeNeed: 'shed' }, 'either'],
    ['Valve', { operation: 'test', hullNeed: 'slings' }, 'slings'],
    ['Valve', { operation: 'fit', hullNeed: 'either' }, 'either'],
    ['Valve', { operation: 'fit', afterGate: true }, 'either'],
    ['Sheets', { operation: 'drill' }, 'either'],
    ['Sheets', { operation: 'antifoul' }, 'ashore'],
    ['Gland', { operation: 'fit' }, 'ashore'],
    ['Anywhere', { operation: 'barrier' }, 'ashore'],
    ['Anywhere', { operation: 'drill' }, 'either'],
  ] as const)('in %s, %o: %s', (jobId, given, need) => {
    const { step: list, ...rest } = structuredClone(rows)
    const own = { ...rest, step: list }
    expect(needOf(step(own, jobId, 'x', given))).toBe(need)
  })

  it('is planned so: work low on the hull is over before the launch, though nobody said ashore', () => {
    const { plan } = makePlan(rows, friday)
    const bed = plan.placements.find((one) => one.stepId === 'bed')
    expect(bed?.segments[0]).toEqual([at('04-17T08:00'), at('04-17T10:00')])
    const afloat = structuredClone(rows)
    // Launched already: the same step has no time ashore left.
    afloat.haulOut[0] = { ...afloat.haulOut[0]!, launchActual: '2027-04-10' }
    expect(makePlan(afloat, friday).plan.reasons[0]?.message).toContain('needs her ashore')
  })
})

describe('the watch in the slings', () => {
  const watched = (away: readonly string[] = []) => {
    const rows = yardRefit()
    step(rows, 'Valve', 'watch', {
      operation: 'test',
      hullNeed: 'slings',
      hoursLikely: 0.5,
      crewMin: 2,
      crewMax: 2,
    })
    step(rows, 'Sheets', 'hoist', { hullNeed: 'afloat', hoursLikely: 1 })
    for (const on of away) add(rows, 'personDay', on, { personId: 'Ben', on, kind: 'cannotCome' })
    return rows
  }
  it('is for whoever is there that day anyway, from the minute of the lift, and then nobody is asked to come', () => {
    const rows = watched()
    rows.step = rows.step.map((one) => (one.id === 'watch' ? { ...one, crewMin: 1 } : one))
    person(rows, 'Cara', [4], '09:00', '12:00')
    const { plan } = makePlan(rows, friday)
    expect(plan.placements.find((one) => one.stepId === 'watch')?.personIds).toEqual(['Cara'])
    expect(plan.warnings.filter((one) => one.kind === 'comeFor')).toEqual([])
  })

  it('happens at the launch, by two, who come for it though Thursday is not their day', () => {
    const rows = watched()
    const { plan } = makePlan(rows, friday)
    const watch = plan.placements.find((one) => one.stepId === 'watch')
    expect(watch?.segments).toEqual([[at('05-06T09:00'), at('05-06T09:15')]])
    expect(watch?.personIds).toEqual(['Ann', 'Ben'])
    expect(plan.warnings.find((one) => one.kind === 'comeFor')?.message).toContain(
      'Ann and Ben have to be there on Thu 6 May',
    )
    expect(judgePlan(rows, plan)).toEqual([])
  })
  it('moves the launch to the next lift when one of them cannot come', () => {
    const rows = watched(['2027-05-06'])
    const { plan } = makePlan(rows, friday)
    expect(plan.gates.find((one) => one.gateId === 'launch')?.at).toBe(at('05-07T09:00'))
    expect(judgePlan(rows, plan)).toEqual([])
  })
  it('keeps everybody else off the boat while she hangs', () => {
    const rows = watched()
    rows.place[0] = { ...rows.place[0]!, liftWeekdays: [6] }
    job(rows, 'Paint', { zoneId: 'deck' })
    step(rows, 'Paint', 'sand', { hoursLikely: 60, notBefore: '2027-05-08' })
    const { plan } = makePlan(rows, friday)
    expect(plan.launches[0]?.at).toBe(at('05-08T09:00'))
    const hangs = plan.placements
      .filter((one) => one.stepId === 'sand')
      .flatMap((one) => one.segments)
      .filter(([from, to]) => from < at('05-08T12:00') && to > at('05-08T09:00'))
    expect(hangs).toEqual([])
    expect(judgePlan(rows, plan)).toEqual([])
  })
})

describe('after the gate', () => {
  it('never holds it, dates itself by its wait, and is said when its last day is missed', () => {
    const rows = yardRefit()
    // A look on the 8th, two days after the launch; the next step does not wait for it.
    step(rows, 'Valve', 'look', { afterGate: true, notBefore: '2027-05-08', dueBy: '2027-05-07' })
    step(rows, 'Valve', 'antifoul', { operation: 'antifoul', hoursLikely: 1 })
    const { plan } = makePlan(rows, friday)
    const placed = (id: string) => plan.placements.find((one) => one.stepId === id)
    expect(placed('look')?.segments[0]?.[0]).toBe(at('05-08T08:00'))
    expect(placed('antifoul')?.segments[0]).toEqual([at('04-17T10:00'), at('04-17T11:00')])
    expect(plan.gates.find((one) => one.gateId === 'launch')?.at).toBe(at('05-06T09:00'))
    expect(plan.warnings.map((one) => one.message)).toContain(
      '“look” (Valve) is to be done by Fri 7 May 2027 and is planned for Sat 8 May 2027.',
    )
    expect(judgePlan(rows, plan)).toEqual([])
  })
})

describe('a step kept for somebody', () => {
  it('waits for that person, and is refused when they lack the skill', () => {
    const rows = yardRefit()
    person(rows, 'Cas', [7], '08:00', '16:00')
    step(rows, 'Valve', 'tune', { hoursLikely: 1, wantedPersonId: 'Cas' })
    const tune = makePlan(rows, friday).plan.placements.find((one) => one.stepId === 'tune')
    expect(tune).toMatchObject({
      personIds: ['Cas'],
      segments: [[at('04-18T08:00'), at('04-18T09:00')]],
    })
    rows.person[0] = { ...rows.person[0]!, skills: ['electrics'] }
    step(rows, 'Valve', 'wire', { skill: 'electrics', wantedPersonId: 'Cas' })
    const { plan } = makePlan(rows, friday)
    expect(plan.reasons[0]?.message).toContain(
      'kept for somebody who is no longer here or does no electrics',
    )
  })
})

describe('cold months', () => {
  it('are said on the step that is planned into one', () => {
    const rows = yardRefit()
    rows.refit[0] = { ...rows.refit[0]!, monthMeanC: [4, 4, 6, 8, 11, 14, 16, 16, 13, 10, 7, 5] }
    // Wanted before May: it cannot wait for June.
    add(rows, 'gate', 'april', { name: 'April', kind: 'dated', on: '2027-04-30' })
    rows.job = rows.job.map((one) => (one.id === 'Sheets' ? { ...one, gateId: 'april' } : one))
    step(rows, 'Sheets', 'coat', { operation: 'paint', minTempC: 12, hoursLikely: 1 })
    const [cold] = makePlan(rows, friday).plan.warnings.filter((one) => one.kind === 'cold')
    expect(cold?.message).toBe(
      '“coat” (Sheets) wants 12 °C and is planned for Sat 17 Apr 2027, when the air is about 8 °C. Heat and cover it, or let it wait for warmer days.',
    )
    // The shed is heated; a step after the gate alone has a last day.
    rows.step = rows.step.map((one) =>
      one.id === 'coat' ? { ...one, placeNeed: 'shed', dueBy: '2027-04-01' } : one,
    )
    const kinds = makePlan(rows, friday).plan.warnings.map((one) => one.kind)
    expect(kinds.filter((kind) => kind === 'cold' || kind === 'deadline')).toEqual([])
  })
})

describe('the fingerprint of a plan', () => {
  it.each([
    ['yardTariff', { placeId: 'yard', perDayMinor: 100 }],
    ['zone', { name: 'More', belowWaterline: true, order: 'd' }],
    ['personDay', { personId: 'Ann', on: '2027-04-17', kind: 'cannotCome' }],
    ['part', { name: 'Seal', neededByStepId: 'bed' }],
  ] as const)('changes with a row of %s', (kind, given) => {
    const rows = yardRefit()
    const before = inputsHash(rows)
    add(rows, kind, 'new', given as never)
    expect(inputsHash(rows)).not.toBe(before)
  })
})

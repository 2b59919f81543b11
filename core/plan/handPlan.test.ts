/** The plan worked out in docs/hand-plan.md. */
import { describe, expect, it } from 'vitest'
import { add, emptyRefit, job, person, step } from '../testing/build'
import { bindingChain } from './chain'
import { judgePlan } from '../../tests/judge/judgePlan'
import { makePlan } from './makePlan'
import { zoneClock } from '../time/zone'

const now = Date.UTC(2027, 3, 16, 12)
const at = (text: string) => Date.parse(`2027-${text}:00Z`)

function handRefit() {
  const rows = emptyRefit()
  person(rows, 'Ann', [6, 7], '08:00', '18:00')
  add(rows, 'weekSlot', 'Ann-5', { personId: 'Ann', weekday: 5, from: '13:00', to: '18:00' })
  person(rows, 'Ben', [6, 7], '08:00', '18:00', { skills: ['electrics'] })
  const hour = { travelMin: 60, setUpMin: 30, packUpMin: 30 }
  add(rows, 'place', 'yard', {
    name: 'Yard',
    kind: 'yard',
    ...hour,
    liftWeekdays: [2, 3, 4, 5, 6],
    liftFrom: '10:00',
    launchesWithoutYou: true,
  })
  add(rows, 'place', 'berth', { name: 'Berth', kind: 'berth', ...hour })
  add(rows, 'place', 'shed', {
    name: 'Shed',
    kind: 'shed',
    travelMin: 15,
    setUpMin: 0,
    packUpMin: 0,
  })
  add(rows, 'haulOut', 'haul', {
    name: 'Spring',
    placeId: 'yard',
    liftOutAimed: '2027-04-02',
    liftOutActual: '2027-04-02',
    launchAimed: '2027-05-06',
  })
  add(rows, 'gate', 'launch', { name: 'Launch', kind: 'launch', haulOutId: 'haul' })
  const cure = (hours: number) => ({ waitKind: 'chem', waitHours: hours }) as const
  const two = { crewMin: 2, crewMax: 2 }
  job(rows, 'Deck', { purpose: 'float', severity: 4, gateId: 'launch' })
  step(rows, 'Deck', 'cut', { operation: 'cut', hoursLikely: 2, hullNeed: 'ashore' })
  step(rows, 'Deck', 'laminate', { operation: 'laminate', hoursLikely: 6, ...two, ...cure(16) })
  step(rows, 'Deck', 'sand', { operation: 'grind', hoursLikely: 3 })
  step(rows, 'Deck', 'paint', { operation: 'paint', hoursLikely: 4, ...two, ...cure(24) })
  job(rows, 'Valve', { purpose: 'float', severity: 3, gateId: 'launch' })
  step(rows, 'Valve', 'strip', { operation: 'strip', hoursLikely: 1, hullNeed: 'ashore' })
  step(rows, 'Valve', 'bed', {
    operation: 'bed',
    hoursLikely: 2,
    hullNeed: 'ashore',
    ...two,
    waitKind: 'moisture',
    waitHours: 72,
  })
  step(rows, 'Valve', 'work it', { operation: 'test', hoursLikely: 0.5, hullNeed: 'ashore' })
  job(rows, 'Wiring', { purpose: 'go' })
  step(rows, 'Wiring', 'drawing', { operation: 'wire', hoursLikely: 5, skill: 'electrics' })
  job(rows, 'Cables', { purpose: 'go' })
  step(rows, 'Cables', 'cables', { operation: 'wire', hoursLikely: 4, skill: 'electrics' })
  job(rows, 'Posts', { purpose: 'safe', gateId: 'launch' })
  step(rows, 'Posts', 'fabricate', {
    operation: 'contract',
    hoursLikely: 0,
    placeNeed: 'away',
    waitKind: 'calendar',
    waitHours: 15 * 24,
  })
  job(rows, 'Rail', { purpose: 'safe', gateId: 'launch' })
  step(rows, 'Rail', 'posts bed', { operation: 'bed', hoursLikely: 2, ...two })
  job(rows, 'Watch', { purpose: 'float', gateId: 'launch' })
  step(rows, 'Watch', 'leak watch', { operation: 'test', hoursLikely: 1, hullNeed: 'afloat' })
  for (const [from, to] of [
    ['Wiring', 'Cables'],
    ['Deck', 'Cables'],
    ['Posts', 'Rail'],
    ['Deck', 'Rail'],
  ] as const)
    add(rows, 'link', `${from} ${to}`, { fromJobId: from, toJobId: to })
  return rows
}

describe('the plan worked out by hand', () => {
  const rows = handRefit()
  const { plan, bounds } = makePlan(rows, now)
  const placed = (id: string) => plan.placements.find((one) => one.stepId === id)

  it.each([
    ['fabricate', [], ['04-16T12:00', '04-16T12:00'], '05-01T12:00', 'now'],
    ['cut', ['Ann'], ['04-16T14:30', '04-16T16:30'], '04-16T16:30', 'calendar'],
    ['laminate', ['Ann', 'Ben'], ['04-17T09:30', '04-17T12:30'], '04-18T04:30', 'after'],
    ['strip', ['Ann'], ['04-17T12:30', '04-17T13:30'], '04-17T13:30', 'people'],
    ['bed', ['Ann', 'Ben'], ['04-17T13:30', '04-17T14:30'], '04-20T14:30', 'after'],
    ['sand', ['Ann'], ['04-18T09:30', '04-18T12:30'], '04-18T12:30', 'wait'],
    ['paint', ['Ann', 'Ben'], ['04-18T12:30', '04-18T14:30'], '04-19T14:30', 'after'],
    ['work it', ['Ann'], ['04-23T14:30', '04-23T15:00'], '04-23T15:00', 'wait'],
    ['posts bed', ['Ann', 'Ben'], ['05-01T12:00', '05-01T13:00'], '05-01T13:00', 'wait'],
    ['leak watch', ['Ann'], ['05-07T14:30', '05-07T15:30'], '05-07T15:30', 'launch'],
    ['cables', ['Ben'], ['04-24T09:30', '04-24T13:30'], '04-24T13:30', 'wait'],
  ])('%s', (id, people, [from, to], ready, binding) => {
    const one = placed(id)
    expect(one?.personIds).toEqual(people)
    expect(one?.segments).toEqual([[at(from as string), at(to as string)]])
    expect(one?.readyAt).toBe(at(ready))
    expect(one?.binding.kind).toBe(binding)
  })

  it('fits the drawing in round what Ben is wanted for', () => {
    expect(placed('drawing')?.segments).toEqual([
      [at('04-17T12:30'), at('04-17T13:30')],
      [at('04-17T14:30'), at('04-17T16:30')],
      [at('04-18T09:30'), at('04-18T11:30')],
    ])
    expect(placed('drawing')?.binding).toMatchObject({ kind: 'people', stepId: 'laminate' })
  })

  it('launches on the aimed date, at the first lift', () => {
    expect(plan.status).toBe('feasible')
    expect(plan.gates).toEqual([
      {
        gateId: 'launch',
        at: at('05-06T10:00'),
        readyAt: at('05-01T13:00'),
        binding: { kind: 'aim', haulOutId: 'haul' },
      },
    ])
  })

  it.each([
    ['fabricate', '04-17T15:30'],
    ['cut', '04-25T11:30'],
    ['laminate', '04-25T13:30'],
    ['strip', '04-25T14:30'],
    ['bed', '04-25T15:30'],
    ['sand', '05-01T10:30'],
    ['paint', '05-01T13:30'],
    ['posts bed', '05-02T15:30'],
    ['work it', '05-02T16:00'],
  ])('%s may start as late as %s', (id, latest) => {
    expect(bounds.get(id)?.latestStart).toBe(at(latest))
  })

  it('passes the independent check', () => {
    expect(judgePlan(rows, plan)).toEqual([])
  })

  it('reads the chain aloud when the launch is as soon as ready', () => {
    const soon = handRefit()
    soon.haulOut[0] = {
      ...(soon.haulOut[0] as (typeof soon.haulOut)[number]),
      launchWhen: 'asReady',
    }
    const early = makePlan(soon, now).plan
    // Ready Saturday 1 May 13:00; Saturday's lift was at 10:00, the next is Tuesday 4 May.
    expect(early.gates[0]?.at).toBe(at('05-04T10:00'))
    const chain = bindingChain(early, soon, 'launch', zoneClock('UTC'))
    expect(chain.map((link) => [link.stepId, link.binding.kind])).toEqual([
      [null, 'liftDay'],
      ['posts bed', 'wait'],
      ['fabricate', 'now'],
    ])
    expect(chain[1]?.why).toContain('takes its time')
  })
})

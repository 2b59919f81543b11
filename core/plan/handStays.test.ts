/** The weekend worked out in docs/hand-plan.md: a night aboard, a shower, the shed in between, a tent, a hatch to be shut. */
import { describe, expect, it } from 'vitest'
import { add, emptyRefit, job, person, step } from '../testing/build'
import { judgePlan } from '../../tests/judge/judgePlan'
import { makePlan } from './makePlan'

const now = Date.UTC(2027, 3, 16, 12)
const at = (text: string) => Date.parse(`2027-${text}:00Z`)
const hour = 3_600_000

function weekend() {
  const rows = emptyRefit()
  Object.assign(rows.refit[0] as object, { twoPlaces: true })
  person(rows, 'Ann', [6, 7], '08:00', '18:00', { breakFrom: '12:30', breakMin: 30 })
  add(rows, 'place', 'berth', {
    name: 'Berth',
    kind: 'berth',
    travelMin: 90,
    setUpMin: 30,
    packUpMin: 30,
    nights: 'aboard',
  })
  add(rows, 'place', 'shed', {
    name: 'Shed',
    kind: 'shed',
    travelMin: 30,
    setUpMin: 0,
    packUpMin: 0,
  })
  add(rows, 'drive', 'way', { fromPlaceId: 'shed', toPlaceId: 'berth', minutes: 20 })
  for (const [id, strake] of [
    ['deck', 'deck'],
    ['side', 'deck'],
    ['cabin', 'below'],
  ] as const)
    add(rows, 'zone', id, { name: id, strake, order: id })
  // 5 °C throughout, one shower on Saturday from noon to one.
  add(rows, 'forecast', 'f', {
    station: 'S',
    takenAt: now,
    hours: Array.from({ length: 84 }, (_, hours) => ({
      at: now + hours * hour,
      tempC: 5,
      dewC: -5,
      rain: now + hours * hour === at('04-17T12:00'),
    })),
  })
  add(rows, 'cover', 'tent', {
    title: 'Tent with a heater',
    zoneIds: ['deck'],
    upOn: '2027-04-16',
    downOn: '2027-05-31',
    addsC: 10,
  })
  add(rows, 'wantedDays', 'cruise', { from: '2027-04-19', to: '2027-04-30', why: 'sails' })
  add(rows, 'gate', 'powered', { name: 'Powered', kind: 'asap' })
  job(rows, 'Deck', { purpose: 'float', severity: 4, zoneId: 'deck' })
  step(rows, 'Deck', 'ply', {
    operation: 'laminate',
    hoursLikely: 2,
    waitKind: 'chem',
    waitHours: 16,
  })
  step(rows, 'Deck', 'sand', { operation: 'grind', hoursLikely: 1.5 })
  job(rows, 'Cleats', { purpose: 'float', severity: 3, zoneId: 'side' })
  step(rows, 'Cleats', 'bed', { operation: 'bed', hoursLikely: 2.5, needsDry: true })
  job(rows, 'Wiring', { purpose: 'go', severity: 3, zoneId: 'cabin', gateId: 'powered' })
  step(rows, 'Wiring', 'wire', { operation: 'wire', hoursLikely: 3 })
  job(rows, 'Panel', { purpose: 'shine', severity: 1 })
  step(rows, 'Panel', 'panel', { operation: 'cut', hoursLikely: 1.5, placeNeed: 'shed' })
  job(rows, 'Hatch', { purpose: 'shine', severity: 1, zoneId: 'cabin' })
  step(rows, 'Hatch', 'off', { operation: 'strip', hoursLikely: 1 })
  step(rows, 'Hatch', 'on', { operation: 'bed', hoursLikely: 8 })
  add(rows, 'link', 'b', { fromJobId: 'Cleats', toJobId: 'Wiring' })
  add(rows, 'link', 'c', { fromJobId: 'Deck', toJobId: 'Panel' })
  return rows
}

const segmentsOf = (rows: ReturnType<typeof weekend>) => {
  const { plan } = makePlan(rows, now)
  expect(judgePlan(rows, plan)).toEqual([])
  return {
    plan,
    of: (id: string) => plan.placements.find((one) => one.stepId === id)?.segments,
  }
}
const span = (from: string, to: string) => [at(from), at(to)]

describe('the weekend worked out by hand', () => {
  it.each([
    ['ply', [span('04-17T10:00', '04-17T12:00')]],
    ['bed', [span('04-17T13:00', '04-17T15:30')]],
    ['wire', [span('04-17T15:30', '04-17T18:00'), span('04-18T08:00', '04-18T08:30')]],
    ['sand', [span('04-18T10:40', '04-18T12:10')]],
    ['panel', [span('04-18T13:00', '04-18T14:30')]],
    ['off', [span('05-01T10:00', '05-01T11:00')]],
    ['on', [span('05-02T08:00', '05-02T16:00')]],
  ])('%s', (id, expected) => {
    expect(segmentsOf(weekend()).of(id)).toEqual(expected)
  })

  it('opens the hatch after the cruise because nothing could shut it before', () => {
    const { plan } = segmentsOf(weekend())
    expect(plan.placements.find((one) => one.stepId === 'off')?.binding).toEqual({
      kind: 'wanted',
      until: at('05-01T00:00'),
    })
    const rows = weekend()
    rows.wantedDays = []
    expect(segmentsOf(rows).of('off')).toEqual([span('04-18T08:30', '04-18T09:30')])
  })

  it('is powered at 13:30 on Sunday without the night aboard, at 08:30 with it', () => {
    expect(segmentsOf(weekend()).plan.gates[0]?.at).toBe(at('04-18T08:30'))
    const rows = weekend()
    Object.assign(rows.place[0] as object, { nights: 'none' })
    const home = segmentsOf(rows)
    expect(home.plan.gates[0]?.at).toBe(at('04-18T13:30'))
    expect(home.of('wire')).toEqual([
      span('04-18T10:00', '04-18T12:30'),
      span('04-18T13:00', '04-18T13:30'),
    ])
  })

  it('cuts the panel a week later where a day has one place', () => {
    const rows = weekend()
    Object.assign(rows.refit[0] as object, { twoPlaces: false })
    expect(segmentsOf(rows).of('panel')).toEqual([span('04-24T08:30', '04-24T10:00')])
  })

  it('sleeps nowhere before its first night, and works nowhere while it is shut', () => {
    const rows = weekend()
    Object.assign(rows.place[0] as object, { nightsFrom: '2027-04-18' })
    expect(segmentsOf(rows).of('wire')?.[0]).toEqual(span('04-18T10:00', '04-18T12:30'))
    const shut = weekend()
    Object.assign(shut.place[0] as object, { shutWeekdays: [6], opensAt: '11:00' })
    // Alone on a Sunday there is no night: from the opening at 11:00 and unpacking to 16:00.
    const all = segmentsOf(shut).plan.placements.flatMap((one) => [...one.segments])
    const sunday = all.filter(([from]) => from < at('04-19T00:00'))
    expect(Math.min(...sunday.map(([from]) => from))).toBe(at('04-18T11:30'))
    expect(Math.max(...sunday.map(([, to]) => to))).toBe(at('04-18T16:00'))
  })
})

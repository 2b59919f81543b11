/** The weekend worked out in docs/hand-plan.md: a night aboard, a shower, the shed in between, a tent, a hatch to be shut. */
import { describe, expect, it } from 'vitest'
import { awayWeekend, awayWeekendNow as now } from '../testing/awayWeekend'
import { judgePlan } from '../../tests/judge/judgePlan'
import { supposing } from '../model/applyChange'
import { dayNumber } from '../time/civil'
import { zoneClock } from '../time/zone'
import { dayLevers, hoursWon, nightsOf, priceOfNights } from '../levers/dayLevers'
import { makePlan } from './makePlan'
import { atOnce } from '../inParts'
import { Asking } from './whatIf'

const at = (text: string) => Date.parse(`2027-${text}:00Z`)
const segmentsOf = (rows: ReturnType<typeof awayWeekend>) => {
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
    expect(segmentsOf(awayWeekend()).of(id)).toEqual(expected)
  })

  it('opens the hatch after the cruise because nothing could shut it before', () => {
    const { plan } = segmentsOf(awayWeekend())
    expect(plan.placements.find((one) => one.stepId === 'off')?.binding).toEqual({
      kind: 'wanted',
      until: at('05-01T00:00'),
    })
    const rows = awayWeekend()
    rows.wantedDays = []
    expect(segmentsOf(rows).of('off')).toEqual([span('04-18T08:30', '04-18T09:30')])
  })

  it('is powered at 13:30 on Sunday without the night aboard, at 08:30 with it', () => {
    expect(segmentsOf(awayWeekend()).plan.gates[0]?.at).toBe(at('04-18T08:30'))
    const rows = awayWeekend()
    Object.assign(rows.place[0] as object, { nights: 'none' })
    const home = segmentsOf(rows)
    expect(home.plan.gates[0]?.at).toBe(at('04-18T13:30'))
    expect(home.of('wire')).toEqual([
      span('04-18T10:00', '04-18T12:30'),
      span('04-18T13:00', '04-18T13:30'),
    ])
  })

  it('cuts the panel a week later where a day has one place', () => {
    const rows = awayWeekend()
    Object.assign(rows.refit[0] as object, { twoPlaces: false })
    expect(segmentsOf(rows).of('panel')).toEqual([span('04-24T08:30', '04-24T10:00')])
  })

  it('sleeps nowhere before its first night, and works nowhere while it is shut', () => {
    const rows = awayWeekend()
    Object.assign(rows.place[0] as object, { nightsFrom: '2027-04-18' })
    expect(segmentsOf(rows).of('wire')?.[0]).toEqual(span('04-18T10:00', '04-18T12:30'))
    const shut = awayWeekend()
    Object.assign(shut.place[0] as object, { shutWeekdays: [6], opensAt: '11:00' })
    // Alone on a Sunday there is no night: from the opening at 11:00 and unpacking to 16:00.
    const all = segmentsOf(shut).plan.placements.flatMap((one) => [...one.segments])
    const sunday = all.filter(([from]) => from < at('04-19T00:00'))
    expect(Math.min(...sunday.map(([from]) => from))).toBe(at('04-18T11:30'))
    expect(Math.max(...sunday.map(([, to]) => to))).toBe(at('04-18T16:00'))
  })

  it('says what each way about days would do, as the plan made anew has it', () => {
    const rows = awayWeekend()
    Object.assign(rows.place[0] as object, { nightMinor: 6000 })
    const { plan } = makePlan(rows, now)
    const clock = zoneClock('UTC')
    const nights = nightsOf(rows, plan, clock)
    expect(nights.map((one) => one.day)).toEqual([dayNumber('2027-04-17'), dayNumber('2027-05-01')])
    expect(priceOfNights(nights)).toBe(12_000)
    const levers = dayLevers(rows)
    expect(levers.map((one) => [one.what, one.isOn])).toEqual([
      ['Nights away: Berth', true],
      ['Boat and shed on one day', true],
      ['Tent with a heater', true],
    ])
    const home = supposing(rows, levers[0]!.items)
    // Two hours on Saturday and two on Sunday, on three of the next four weekends.
    expect(hoursWon(home, rows, plan, clock)).toBe(3)
    const { before, after } = atOnce(new Asking(rows, now, plan).whatIf(levers[0]!.items))
    expect([before.gates[0]?.at, after.gates[0]?.at]).toEqual([
      at('04-18T08:30'),
      at('04-18T13:30'),
    ])
    expect(after.gates).toEqual(makePlan(home, now).plan.gates)
    // Without the tent the ply finds no day warm enough in the forecast, and she sails after it.
    expect(segmentsOf(supposing(rows, levers[2]!.items) as never).of('ply')?.[0]?.[0]).toBe(
      at('05-01T10:00'),
    )
  })

  it('counts a night where the way home is worked into, though nothing is done the other day', () => {
    const rows = awayWeekend()
    const nights = (stepId: string, from: string, to: string) =>
      nightsOf(
        rows,
        {
          placements: [
            {
              stepId,
              personIds: ['Ann'],
              segments: [[at(from), at(to)]],
              readyAt: at(to),
              binding: { kind: 'now' },
            },
          ],
          launches: [],
        },
        zoneClock('UTC'),
      ).map((one) => one.day)
    const saturday = dayNumber('2027-05-08')
    expect(nights('wire', '05-08T10:00', '05-08T16:00')).toEqual([])
    expect(nights('wire', '05-08T10:00', '05-08T16:05')).toEqual([saturday])
    expect(nights('wire', '05-09T09:55', '05-09T16:00')).toEqual([saturday])
    expect(nights('panel', '05-09T08:30', '05-09T16:00')).toEqual([])
  })
})

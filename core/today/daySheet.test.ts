/** The day sheet and its weather, worked out by hand from one Saturday. */
import { describe, expect, it } from 'vitest'
import type { WeatherHour } from '../cure/dewPoint'
import { makePlan } from '../plan/makePlan'
import { awayWeekend, awayWeekendNow } from '../testing/awayWeekend'
import { add, emptyRefit, job, person, step } from '../testing/build'
import { Waits } from '../plan/waits'
import { zoneClock } from '../time/zone'
import { asSaid } from '../weather/known'
import { touchDryHours } from '../weather/need'
import { clockTimeOf } from '../time/say'
import { daySheet } from './daySheet'
import { sayDaySheet } from './sayDay'

const clock = zoneClock('UTC')
const friday = Date.UTC(2027, 3, 16, 12)
const saturday = '2027-04-17'
const at = (hours: number) => Date.UTC(2027, 3, 17) + hours * 3_600_000

/** Fit from 10:00 to 16:00: colder before, within 3 °C of dew after. */
const weather: WeatherHour[] = Array.from({ length: 24 }, (_, hour) => ({
  at: at(hour),
  tempC: hour < 10 ? 8 : 14,
  dewC: hour < 16 ? 5 : 12,
  rain: false,
}))

function saturdayRefit() {
  const rows = emptyRefit()
  person(rows, 'Ann', [6], '08:00', '16:00')
  add(rows, 'place', 'yard', {
    name: 'Yard',
    kind: 'yard',
    travelMin: 0,
    setUpMin: 30,
    packUpMin: 30,
  })
  add(rows, 'place', 'berth', {
    name: 'Berth',
    kind: 'berth',
    travelMin: 0,
    setUpMin: 30,
    packUpMin: 30,
  })
  add(rows, 'zone', 'deck', { name: 'Foredeck', order: 'b' })
  add(rows, 'zone', 'cabin', { name: 'Cabin', order: 'c' })
  job(rows, 'Deck', { zoneId: 'deck', purpose: 'float', severity: 4, pinnedRank: 1 })
  step(rows, 'Deck', 'plies', {
    operation: 'laminate',
    hoursLikely: 3,
    minTempC: 10,
    waitKind: 'moisture',
    waitHours: 20,
  })
  step(rows, 'Deck', 'sand it', { operation: 'grind', hoursLikely: 1 })
  job(rows, 'Grind', { zoneId: 'deck' })
  step(rows, 'Grind', 'dusty', { operation: 'grind', hoursLikely: 1, notBefore: '2027-04-24' })
  job(rows, 'Lids', { zoneId: 'cabin' })
  step(rows, 'Lids', 'hinges', { operation: 'fit', hoursLikely: 1, notBefore: '2027-04-24' })
  job(rows, 'Panels', { zoneId: 'cabin' })
  step(rows, 'Panels', 'carry', { operation: 'fit', hoursLikely: 2, crewMin: 2, crewMax: 2 })
  person(rows, 'Ben', [7], '08:00', '16:00')
  add(rows, 'bringLine', 'cloth', {
    stepId: 'plies',
    what: 'Cloth',
    amount: '2 m',
    at: 'shed',
    order: 'b',
  })
  add(rows, 'bringLine', 'resin', {
    stepId: 'plies',
    what: 'Resin',
    amount: '1 kg',
    at: 'boat',
    order: 'c',
  })
  return rows
}
/** The sheet of Saturday with the hours of a forecast, in the plan and on the sheet. */
const sheetOf = (
  rows: ReturnType<typeof saturdayRefit>,
  hours: readonly WeatherHour[],
  placeNeed: 'boat' | 'shed' = 'boat',
) => {
  rows.forecast = []
  add(rows, 'forecast', 'f', { station: 'S', takenAt: friday, hours: [...hours] })
  const { plan } = makePlan(rows, friday)
  const frame = { on: saturday, placeNeed, personIds: ['Ann'] }
  return daySheet(rows, plan, frame, new Waits(rows, clock), clock)
}

describe('the day sheet', () => {
  it('frames the work with set-up and pack-up, and says what cures overnight', () => {
    const sheet = sheetOf(saturdayRefit(), [])
    expect(sheet.lines.map((line) => [line.kind, line.from, line.to])).toEqual([
      ['setUp', at(8), at(8.5)],
      ['work', at(8.5), at(11.5)],
      ['packUp', at(11.5), at(12)],
    ])
    // 11:30 and 20 h of waiting: 07:30 on Sunday.
    expect(sheet.overnight.map((one) => [one.title, one.job?.title, one.until])).toEqual([
      ['plies', 'Deck', Date.UTC(2027, 3, 18, 7, 30)],
    ])
    expect(sheet.lines[1]?.caution).toMatch(/no bare skin/)
  })

  it('takes along the bags and parts the day wants, with where they are', () => {
    const rows = saturdayRefit()
    const bag = (code: string, storedAt: string, state: 'stored' | 'fitted' = 'stored') =>
      add(rows, 'bag', code, {
        code,
        what: 'Frame',
        storedAt,
        state,
        wantedByStepId: 'plies',
        order: code,
      })
    bag('b1', 'Shed, shelf 2')
    bag('b2', '')
    bag('b3', 'Aboard', 'fitted')
    const part = (id: string, state: 'wanted' | 'ordered' | 'fitted') =>
      add(rows, 'part', id, { name: id, quantity: 2.5, unit: 'kg', state, neededByStepId: 'plies' })
    part('Resin', 'wanted')
    part('Mat', 'ordered')
    part('Tape', 'fitted')
    // Written down twice, said once, by what knows whether it was bought.
    for (const what of ['resin ', 'Tape'])
      add(rows, 'bringLine', what, { stepId: 'plies', what, at: 'toBuy', order: what })
    const take = sheetOf(rows, []).take.map((line) => `${line.what} ${line.amount}: ${line.at}`)
    expect(take).toEqual([
      'Bag b1, Frame : Shed, shelf 2',
      'Bag b2, Frame : nobody knows where',
      'Cloth 2 m: in the shed',
      'Resin 2.5 kg: to buy',
      'Mat 2.5 kg: ordered, not here yet',
    ])
  })

  it('moves what the weather forbids to the hours that suit it, and says by when it must be done', () => {
    // Cold until 10:00, dew from 16:00. Three hours and three to touch-dry: 10:00 to 13:00, done by 13:00.
    const { lines, notToday } = sheetOf(saturdayRefit(), weather)
    expect(lines.map((line) => [line.kind, line.from, line.to])).toEqual([
      ['setUp', at(9.5), at(10)],
      ['work', at(10), at(13)],
      ['packUp', at(13), at(13.5)],
    ])
    expect(lines[1]?.limit).toEqual({
      at: at(13),
      beginBy: at(10),
      why: 'done by 13:00: dew at 16:00, touch-dry takes about 3 h',
    })
    expect(notToday).toEqual([])
    // Warm all morning the plan's own times stand.
    const warm = weather.map((hour) => ({ ...hour, tempC: 14 }))
    expect(sheetOf(saturdayRefit(), warm).lines[1]).toMatchObject({ from: at(8.5), against: '' })
  })

  it('goes by the stretch the work is in where the day has two', () => {
    // Fit before 09:00 and from 10:00 to 16:00: too short first, so 10:00 to 13:00, done by 13:00 as above.
    const twice = weather.map((hour) => ({ ...hour, tempC: hour.at === at(9) ? 8 : 14 }))
    const [, work] = sheetOf(saturdayRefit(), twice).lines
    expect([work?.from, work?.to, work?.limit?.at]).toEqual([at(10), at(13), at(13)])
  })

  it('fills the hours before with other work, and keeps the order of a job', () => {
    const rows = saturdayRefit()
    rows.step = rows.step.map((one) => (one.id === 'hinges' ? { ...one, notBefore: null } : one))
    const { lines } = sheetOf(rows, weather)
    expect(lines.map((line) => [line.step?.id ?? line.kind, line.from])).toEqual([
      ['setUp', at(8)],
      ['hinges', at(8.5)],
      ['plies', at(10)],
      ['packUp', at(13)],
    ])
  })

  it('says what there is no room for today, with the real reason', () => {
    const cold = sheetOf(
      saturdayRefit(),
      weather.map((hour) => ({ ...hour, tempC: 4, dewC: 0 })),
    )
    expect(cold.lines).toEqual([])
    expect(cold.notToday.map((one) => [one.step.id, one.why, one.at])).toEqual([
      // Ben comes on Sunday, of which the forecast says nothing.
      ['plies', 'no hour suits it: under 10 °C', at(24 + 8.5)],
    ])
    // Rain does not touch what needs no dry weather; the dew does, and is named.
    const damp = sheetOf(
      saturdayRefit(),
      weather.map((hour) => ({ ...hour, tempC: 14, dewC: 12, rain: true })),
    )
    expect(damp.notToday[0]?.why).toBe('no hour suits it: dew')
  })

  it('keeps rain off until it is touch-dry', () => {
    const rows = saturdayRefit()
    rows.step = rows.step.map((one) => (one.id === 'plies' ? { ...one, needsDry: true } : one))
    const fine = weather.map((hour) => ({ ...hour, tempC: 14, dewC: 5 }))
    // 08:30 + 3 h + 3 h is 14:30: rain at 14:00 comes too early, rain at 15:00 does not.
    const rainAt = (hour: number) =>
      sheetOf(
        rows,
        fine.map((one) => ({ ...one, rain: one.at === at(hour) })),
      )
    expect(rainAt(14).notToday[0]?.why).toContain('rain at 14:00')
    expect(rainAt(15).lines[1]?.limit?.why).toBe(
      'done by 12:00: rain at 15:00, touch-dry takes about 3 h',
    )
  })

  it('asks no weather of work in the shed, and no dew margin of work that is not wet', () => {
    const rows = saturdayRefit()
    const bad = weather.map((hour) => ({ ...hour, tempC: 14, dewC: 13, rain: false }))
    rows.step = rows.step.map((one) => (one.id === 'plies' ? { ...one, placeNeed: 'shed' } : one))
    const shed = sheetOf(rows, bad, 'shed')
    expect([shed.notToday, shed.lines.map((line) => line.limit)]).toEqual([[], [null]])
    const bedding = saturdayRefit()
    bedding.step = bedding.step.map((one) =>
      one.id === 'plies' ? { ...one, operation: 'bed' } : one,
    )
    expect(sheetOf(bedding, bad).notToday).toEqual([])
  })

  describe('while it cures', () => {
    const offered = (change: (rows: ReturnType<typeof saturdayRefit>) => void) => {
      const rows = saturdayRefit()
      rows.step = rows.step.map((one) => (one.id === 'hinges' ? { ...one, notBefore: null } : one))
      // Not on the sheet, for want of room: Ann's day is full.
      rows.step = rows.step.map((one) =>
        one.id === 'plies' ? { ...one, hoursLikely: 7, operation: 'fit' } : one,
      )
      change(rows)
      return sheetOf(rows, []).whileItCures.map((one) => [one.step.id, one.job?.title])
    }
    const patch =
      (id: string, given: object) =>
      (rows: ReturnType<typeof saturdayRefit>): void => {
        rows.step = rows.step.map((one) => (one.id === id ? { ...one, ...given } : one))
      }
    it('offers short work by its job', () => {
      expect(offered(() => {})).toEqual([['hinges', 'Lids']])
    })
    it('offers no dust beside what is wet, by what the step says of itself', () => {
      const offers = (given: object) =>
        offered((rows) => {
          patch('hinges', given)(rows)
          const lids = rows.job.findIndex((one) => one.id === 'Lids')
          const plies = rows.step.find((one) => one.id === 'plies')
          const zoneId = rows.job.find((one) => one.id === plies?.jobId)?.zoneId ?? null
          rows.job[lids] = { ...rows.job[lids]!, zoneId }
        }).length
      expect(offers({})).toBe(1)
      expect(offers({ dusty: true })).toBe(0)
      expect(offers({ operation: 'fair' })).toBe(0)
      expect(offers({ operation: 'fair', dusty: false })).toBe(1)
    })
    it('offers nothing when nothing cures', () => {
      expect(offered(patch('plies', { waitKind: 'none' }))).toEqual([])
    })
    it('counts what was laid on an earlier day, by steps and by clocks', () => {
      const laid = { state: 'done', doneAt: at(-3), waitKind: 'chem', waitHours: 40 }
      expect(
        offered((rows) => {
          patch('plies', { waitKind: 'none' })(rows)
          patch('dusty', laid)(rows)
        }),
      ).toEqual([['hinges', 'Lids']])
      expect(
        offered((rows) => {
          patch('plies', { waitKind: 'none' })(rows)
          const sheet = { title: 'Filler', kind: 'cure' as const, startedAt: at(2), opensH: 30 }
          add(rows, 'clock', 'c', sheet)
        }),
      ).toEqual([['hinges', 'Lids']])
    })
    it.each([
      ['its date is not reached', patch('hinges', { notBefore: '2027-04-18' })],
      [
        'it needs her afloat',
        (rows) => {
          add(rows, 'haulOut', 'h', {
            name: 'H',
            liftOutAimed: '2027-04-01',
            liftOutActual: '2027-04-01',
            launchAimed: '2027-06-01',
          })
          patch('hinges', { hullNeed: 'afloat' })(rows)
        },
      ],
      ['nobody here has the skill', patch('hinges', { skill: 'rigging' })],
      [
        'only one of two has the skill',
        (rows) => {
          rows.person[0] = { ...rows.person[0]!, skills: ['rigging'] }
          patch('hinges', { skill: 'rigging', crewMin: 2, crewMax: 2 })(rows)
        },
      ],
      ['it is kept for somebody else', patch('hinges', { wantedPersonId: 'Ben' })],
      [
        'what comes before still cures',
        (rows) => {
          step(rows, 'Lids', 'glue', {
            state: 'done',
            doneAt: at(2),
            waitKind: 'chem',
            waitHours: 24,
            order: 'a',
          })
        },
      ],
      [
        'its part has not come',
        (rows) => {
          add(rows, 'part', 'p', { name: 'Hinge', state: 'ordered', neededByStepId: 'hinges' })
        },
      ],
    ] as readonly (readonly [string, (rows: ReturnType<typeof saturdayRefit>) => void])[])(
      'not when %s',
      (_, change) => expect(offered(change)).toEqual([]),
    )
    it('waits out a link, and offers the shortest first, two at most', () => {
      const linked = (doneAt: number) =>
        offered((rows) => {
          job(rows, 'Order')
          step(rows, 'Order', 'bought', { state: 'done', doneAt, operation: 'buy' })
          add(rows, 'link', 'l', { fromJobId: 'Order', toJobId: 'Lids', minWaitHours: 48 })
        })
      // Two days after Thursday 10:00 is Saturday 10:00, and what is offered is ready as the day begins.
      expect(linked(at(-38))).toEqual([])
      expect(linked(at(-49))).toEqual([['hinges', 'Lids']])
      expect(
        offered((rows) => {
          for (const [name, hoursLikely] of [
            ['long', 2],
            ['short', 0.5],
          ] as const) {
            job(rows, name, { zoneId: 'cabin' })
            step(rows, name, `${name} one`, { operation: 'fit', hoursLikely })
          }
        }).map(([id]) => id),
      ).toEqual(['short one', 'hinges'])
    })
    it('makes no dust where anything is wet, whenever it was laid', () => {
      const dusty = (rows: ReturnType<typeof saturdayRefit>) => {
        patch('hinges', { operation: 'grind' })(rows)
        rows.job = rows.job.map((one) => (one.id === 'Lids' ? { ...one, zoneId: 'deck' } : one))
      }
      expect(offered(dusty)).toEqual([])
    })
  })

  it('keeps what was done today in sight, with the hours logged on it', () => {
    const rows = saturdayRefit()
    rows.step = rows.step.map((one) =>
      one.id === 'hinges' ? { ...one, state: 'done', doneAt: at(9) } : one,
    )
    expect(sheetOf(rows, []).done).toMatchObject([{ hoursLogged: 0, job: { title: 'Lids' } }])
    add(rows, 'hoursEntry', 'h', { stepId: 'hinges', personId: 'Ann', on: saturday, hours: 1.5 })
    expect(sheetOf(rows, []).done[0]?.hoursLogged).toBe(1.5)
  })

  it('packs and unpacks where she lies: an hour at the berth, half an hour in the yard', () => {
    const rows = saturdayRefit()
    rows.place[1] = { ...rows.place[1]!, setUpMin: 60, packUpMin: 15 }
    const afloat = sheetOf(rows, []).lines
    expect([afloat[0]?.to, (afloat[0]?.to ?? 0) - (afloat[0]?.from ?? 0)]).toEqual([
      at(9),
      3_600_000,
    ])
    add(rows, 'haulOut', 'h', {
      name: 'H',
      liftOutAimed: '2027-04-01',
      liftOutActual: '2027-04-01',
      launchAimed: '2027-06-01',
    })
    const ashore = sheetOf(rows, []).lines
    expect((ashore[0]?.to ?? 0) - (ashore[0]?.from ?? 0)).toBe(1_800_000)
  })

  it('leaves who cannot come at home, though the day was set up with them', () => {
    const rows = saturdayRefit()
    add(rows, 'dayPlan', 'd', {
      on: saturday,
      personIds: ['Ann'],
      from: '08:00',
      to: '16:00',
      rain: true,
    })
    expect(sheetOf(rows, []).lines.length).toBeGreaterThan(0)
    add(rows, 'personDay', 'x', { personId: 'Ann', on: saturday, kind: 'cannotCome' })
    expect(sheetOf(rows, []).lines).toEqual([])
  })

  it('lists what is elsewhere, and keeps for more hands what one cannot do', () => {
    const sheet = sheetOf(saturdayRefit(), [])
    expect(sheet.take.map((line) => [line.what, line.amount, line.at])).toEqual([
      ['Cloth', '2 m', 'in the shed'],
    ])
    expect(sheet.forHelpers.map(({ step: one, why }) => [one.id, why])).toEqual([
      ['carry', 'needs 2 at once'],
    ])
  })
})

describe('weather', () => {
  it('is bent to what a person says; the water in the air stays', () => {
    // 8 and 14 °C become 10 and 20; dew points of 5 and 12 stay.
    const said = asSaid(weather, { lowC: 10, highC: 20, rain: false }, at(0))
    expect(said[0]).toMatchObject({ tempC: 10, dewC: 5 })
    expect(said[12]).toMatchObject({ tempC: 20, dewC: 5 })
    expect(said[20]).toMatchObject({ tempC: 20, dewC: 12 })
    // Colder than its dew point air cannot be: the dew point follows it down.
    expect(asSaid(weather, { lowC: 1, highC: 9, rain: false }, at(0))[20]).toMatchObject({
      dewC: 9,
    })
    expect(
      asSaid(weather, { lowC: null, highC: null, rain: true }, at(0)).every((hour) => hour.rain),
    ).toBe(true)
  })

  it('is made of a typed low and high where no forecast comes, and of nothing less', () => {
    expect(asSaid([], { lowC: 6, highC: null, rain: false }, at(0))).toEqual([])
    const made = asSaid([], { lowC: 6, highC: 16, rain: false }, at(0))
    expect([made[5]?.tempC, made[15]?.tempC, made[10]?.tempC]).toEqual([
      expect.closeTo(6, 9),
      expect.closeTo(16, 9),
      expect.closeTo(11, 9),
    ])
    expect(made[12]?.dewC).toBe(5)
    expect(made.map((hour) => hour.at)).toEqual(Array.from({ length: 24 }, (_, hour) => at(hour)))
  })

  it('gives a third of the cure to touch-dry, one hour at least and six at most', () => {
    const [plies] = saturdayRefit().step
    const of = (given: object, airC: number) => touchDryHours({ ...plies!, ...given }, airC)
    // 12 h at 20 °C are 24 h at 10 °C: 8, held at 6.
    expect(of({ waitKind: 'chem', waitHours: 12 }, 20)).toBe(4)
    expect(of({ waitKind: 'chem', waitHours: 12 }, 10)).toBe(6)
    expect(of({ waitKind: 'chem', waitHours: 1 }, 20)).toBe(1)
    expect(of({ operation: 'cut' }, 20)).toBe(0)
  })
})

describe('a day in a chain of stays', () => {
  const rows = awayWeekend()
  const { plan } = makePlan(rows, awayWeekendNow)
  const utc = zoneClock('UTC')
  const of = (on: string) => {
    const frame = { on, placeNeed: 'boat' as const, personIds: ['Ann'] }
    return daySheet(rows, plan, frame, new Waits(rows, utc), utc)
  }
  const said = ({ lines }: ReturnType<typeof of>) =>
    lines.map((one) => `${clockTimeOf(one.from, utc)} ${one.step?.id ?? one.what}`)

  it('unpacks on the first day and packs nothing for the night', () => {
    const saturday = of('2027-04-17')
    expect(said(saturday)).toEqual(['09:30 Unpack, set up', '10:00 ply', '13:00 bed', '15:30 wire'])
    expect(saturday.nights).toEqual({ before: null, after: 'aboard' })
    expect(sayDaySheet(saturday.lines, 0, utc, saturday.nights.after)).toBe(
      'ply at 10:00. The night aboard.',
    )
  })
  it('begins the second day there, and goes on to the shed', () => {
    const sunday = of('2027-04-18')
    expect(said(sunday)).toEqual([
      '08:00 wire',
      '10:40 sand',
      '12:10 Pack up, and on to Shed',
      '13:00 panel',
    ])
    expect(sunday.nights).toEqual({ before: 'aboard', after: null })
    expect(sayDaySheet(sunday.lines, 0, utc, sunday.nights.after)).toContain('Away by 14:30.')
  })
})

it('knows of a step that goes on another day how long all of it is', () => {
  const rows = emptyRefit()
  person(rows, 'Ann', [6], '08:00', '16:00')
  job(rows, 'Trim')
  step(rows, 'Trim', 'scrape', { operation: 'strip', hoursLikely: 12 })
  const { plan } = makePlan(rows, friday)
  const frame = { on: saturday, placeNeed: 'boat' as const, personIds: ['Ann'] }
  const [line] = daySheet(rows, plan, frame, new Waits(rows, clock), clock).lines
  // Eight hours of twelve on this Saturday, the rest on the next.
  expect([line?.from, line?.to, line?.wholeMs]).toEqual([at(8), at(16), 12 * 3_600_000])
  expect(line?.continues).toBe(true)
})

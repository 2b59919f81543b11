/** A week looked back on, and the sheet of a finished job, by hand. */
import { describe, expect, it } from 'vitest'
import { draftSheet } from '../asbuilt/draft'
import { handsOn } from '../plan/handsOn'
import { makePlan } from '../plan/makePlan'
import { unfitHours } from '../plan/unfitHours'
import { derive } from '../progress/derive'
import { weekFigures } from '../sequence/weeks'
import { add, emptyRefit, job, person, step, draftFacts } from '../testing/build'
import { dayNumber } from '../time/civil'
import { zoneClock } from '../time/zone'
import { snapshotFigures, weekReview } from './review'

const clock = zoneClock('UTC')
const monday = '2027-04-12'
const friday = Date.UTC(2027, 3, 16, 12)

/** Two jobs; in the week from 12 April one step of 2 h was closed in 3 h, something found, Ann called off. */
function weekRefit(closed = true) {
  const rows = emptyRefit()
  person(rows, 'Ann', [6], '08:00', '16:00')
  add(rows, 'gate', 'show', { name: 'Show', kind: 'dated', on: '2027-05-30' })
  job(rows, 'Deck', { gateId: 'show' })
  step(rows, 'Deck', 'cut', {
    hoursLikely: 2,
    ...(closed ? { state: 'done', doneAt: Date.UTC(2027, 3, 14, 15), earnedIn: 12.5 } : {}),
  })
  step(rows, 'Deck', 'lay', { hoursLikely: 6 })
  return rows
}

describe('the week', () => {
  it('says what closed, in which hours, what was found, and what comes', () => {
    const rows = weekRefit()
    const entry = { personId: 'Ann', jobId: 'Deck', kind: 'work' as const }
    add(rows, 'hoursEntry', 'h1', { ...entry, stepId: 'cut', on: '2027-04-10', hours: 1 })
    add(rows, 'hoursEntry', 'h2', { ...entry, stepId: 'cut', on: '2027-04-14', hours: 2 })
    add(rows, 'finding', 'f1', { title: 'Soft beam', foundAt: Date.UTC(2027, 3, 14, 12) })
    add(rows, 'finding', 'f2', { title: 'Older', foundAt: Date.UTC(2027, 3, 11, 12) })
    const { plan } = makePlan(rows, friday)
    const review = weekReview(rows, plan, derive(rows, plan, friday), monday)
    expect(review.closed.map((one) => one.step.id)).toEqual(['cut'])
    expect(review.compared).toBe(false)
    // The week before closed nothing: what is done later belongs to its own week.
    const earlier = weekReview(rows, plan, derive(rows, plan, friday), '2027-04-05')
    expect([earlier.closed, earlier.earnedIn, earlier.hoursLogged]).toEqual([[], 0, 1])
    expect(review).toMatchObject({
      earnedIn: 12.5,
      hoursLogged: 2,
      hoursPlannedOfClosed: 2,
      hoursLoggedOnClosed: 3,
    })
    expect(review.found.map((one) => one.title)).toEqual(['Soft beam'])
    // The week ends on Sunday night: Saturday's step belongs to it, nothing is planned after.
    expect(review.next).toEqual([])
  })

  it('says which gate moved by how many days, and why', () => {
    const before = weekRefit(false)
    const was = Date.UTC(2027, 3, 9, 12)
    const first = makePlan(before, was).plan
    const rows = weekRefit()
    add(rows, 'weekSnapshot', 'w', {
      week: '2027-04-05',
      at: was,
      figures: snapshotFigures(before, first, derive(before, first, was)),
    })
    // Ann stays away on the 17th; a job of 4 h was found: "lay" goes from 10 April to the 24th.
    add(rows, 'personDay', 'away', { personId: 'Ann', on: '2027-04-17', kind: 'cannotCome' })
    // Monday belongs to the next week.
    add(rows, 'personDay', 'next', { personId: 'Ann', on: '2027-04-19', kind: 'cannotCome' })
    job(rows, 'Beam', { parentJobId: 'Deck' })
    step(rows, 'Beam', 'sister', { hoursLikely: 4 })
    const { plan } = makePlan(rows, friday)
    const review = weekReview(rows, plan, derive(rows, plan, friday), monday)
    expect(review.compared).toBe(true)
    expect(review.moved).toEqual([
      { gateId: 'show', name: 'Show', days: 14, from: '2027-04-10', to: '2027-04-24' },
    ])
    expect(review.why).toEqual([
      'Beam was found on the way: 4 h.',
      'Ann cannot come on Sat 17 Apr.',
    ])
  })

  it('compares a week gone by with its own end, not with today', () => {
    // The gate stood on 10 April at the start of the week, on 17 April at its end, and moved again since.
    const rows = weekRefit()
    const figures = (gateOn: number, hours: number) => ({
      earnedIn: 0,
      hoursOpen: hours,
      hoursDonePlanned: 0,
      hoursLogged: 0,
      gateAt: { show: gateOn },
      jobHoursOpen: { Deck: hours },
      jobTitles: {},
    })
    const was = Date.UTC(2027, 3, 10, 12)
    const then = Date.UTC(2027, 3, 17, 12)
    add(rows, 'weekSnapshot', 'w1', { week: '2027-03-29', at: was, figures: figures(was, 4) })
    add(rows, 'weekSnapshot', 'w2', { week: '2027-04-05', at: then, figures: figures(then, 6) })
    const { plan } = makePlan(rows, friday)
    const past = weekReview(rows, plan, derive(rows, plan, friday), '2027-04-05')
    expect(past.moved).toMatchObject([{ days: 7, from: '2027-04-10', to: '2027-04-17' }])
    expect(past.why).toEqual(['Deck grew by 2 h.'])
    expect(past.next).toEqual([])
    const older = weekReview(rows, plan, derive(rows, plan, friday), '2027-03-22')
    expect(older.compared).toBe(false)
  })

  it('sets hours planned against hours there, and names what does not fit', () => {
    const rows = weekRefit()
    // Saturday gives 8 h in each week; "lay" takes 6 in the first, 9 h in one go fit no day.
    job(rows, 'Huge')
    step(rows, 'Huge', 'cast', { operation: 'fill', hoursLikely: 9 })
    const { plan } = makePlan(rows, friday)
    expect(unfitHours(rows, plan)).toBe(9)
    const first = dayNumber(monday)
    const hands = handsOn(rows, plan, clock)
    const weeks = weekFigures(rows, plan, clock, hands, first, first + 14, dayNumber('2027-04-16'))
    expect(weeks.map((one) => [one.monday - first, one.planned, one.there])).toEqual([
      [0, 6, 8],
      [7, 0, 8],
    ])
  })
})

describe('an as-built sheet', () => {
  it('is drafted from what is known: people, hours, date, cost, materials without tools', () => {
    const rows = weekRefit()
    person(rows, 'Ben', [7], '08:00', '16:00')
    const work = { jobId: 'Deck', stepId: 'cut', kind: 'work' as const, on: '2027-04-14' }
    add(rows, 'hoursEntry', 'h1', { ...work, personId: 'Ann', hours: 1.5 })
    add(rows, 'hoursEntry', 'h2', { ...work, personId: 'Ben', hours: 2 })
    add(rows, 'part', 'p', {
      name: 'Core',
      jobId: 'Deck',
      priceMinor: 8_100,
      quantity: 2,
      unit: 'sheet',
    })
    add(rows, 'part', 'r', { name: 'Cloth', neededByStepId: 'cut', quantity: 3, unit: 'm²' })
    add(rows, 'part', 'gone', { name: 'Wrong one', jobId: 'Deck', state: 'returned' })
    add(rows, 'tradeBooking', 'tb', {
      stepId: 'cut',
      trade: 'Brannock',
      from: '2027-04-14',
      to: '2027-04-14',
      state: 'came',
      priceMinor: 5_000,
    })
    add(rows, 'bringLine', 'b', {
      stepId: 'cut',
      what: 'Resin',
      amount: '1 kg',
      kind: 'consumable',
      order: 'b',
    })
    add(rows, 'bringLine', 't', {
      stepId: 'cut',
      what: 'Saw',
      amount: '1',
      kind: 'tool',
      order: 'c',
    })
    let ids = 0
    const { items } = draftSheet(
      rows.job[0]!,
      rows,
      draftFacts(() => `id${ids++}`),
    )
    expect(items[0]).toMatchObject({
      op: 'create',
      entity: 'asBuiltSheet',
      patch: {
        title: 'Deck',
        doneOn: '2027-04-14',
        who: 'Ann, Ben, Brannock',
        hours: 3.5,
        // 2 × 81.00 and the trade's 50.00
        costMinor: 21_200,
      },
    })
    const lines = items.filter((item) => item.entity === 'asBuiltLine')
    expect(
      lines.map((item) => ('patch' in item ? [item.patch.what, item.patch.value] : [])),
    ).toEqual([
      ['Resin', '1 kg'],
      ['Core', '2 sheet'],
      ['Cloth', '3 m²'],
    ])
  })
})

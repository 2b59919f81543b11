/** One draw laid, hours by hand: Ann works Saturdays and Sundays from 08:00 to 16:00. */
import { describe, expect, it } from 'vitest'
import { add, job, step } from '../testing/build'
import { friday, weekends } from '../testing/weekends'
import { dayNumber } from '../time/civil'
import { latestStartFirst, layPass, prepare } from './prepare'
import { samplePasses } from './sample'
import type { Sample } from './sample'

const at = (text: string) => Date.parse(`2027-04-${text}:00Z`)

/** Sand 2 h, a day's wait, then a coat of 1 h; apart from it a wrap of 7 h in one go and its clamp. */
function laid(sample: Sample) {
  const rows = weekends()
  job(rows, 'Lid')
  step(rows, 'Lid', 'sand', { hoursLikely: 2, waitKind: 'calendar', waitHours: 24 })
  step(rows, 'Lid', 'coat', { hoursLikely: 1 })
  const prepared = prepare(rows, friday)
  const pass = samplePasses(prepared, latestStartFirst)(sample)
  return (id: string) => pass.placements.get(id)?.segments
}

describe('a draw', () => {
  it('with nothing drawn is the plan', () => {
    const of = laid({})
    expect(of('sand')).toEqual([[at('17T08:00'), at('17T10:00')]])
    expect(of('coat')).toEqual([[at('18T10:00'), at('18T11:00')]])
  })

  it.each<[string, Sample, string, string]>([
    ['longer work', { workHours: new Map([['sand', 3]]) }, '17T08:00', '18T11:00'],
    ['a shorter wait', { waitHours: new Map([['sand', 1]]) }, '17T08:00', '17T11:00'],
    [
      'a day away',
      { isAway: (who, day) => who === 'Ann' && day === dayNumber('2027-04-17') },
      '18T08:00',
      '24T08:00',
    ],
    ['a part later', { releases: new Map([['sand', at('18T12:00')]]) }, '18T12:00', '24T08:00'],
  ])('%s', (_, sample, sand, coat) => {
    const of = laid(sample)
    expect(of('sand')?.[0]?.[0]).toBe(at(sand))
    expect(of('coat')?.[0]?.[0]).toBe(at(coat))
  })

  it('takes the place of a date a part was to come, also where it comes sooner', () => {
    const rows = weekends()
    job(rows, 'Lid')
    step(rows, 'Lid', 'bed', { hoursLikely: 2, notBefore: '2027-04-24' })
    const lay = samplePasses(prepare(rows, friday), latestStartFirst)
    const pass = lay({ releases: new Map([['bed', at('17T12:00')]]) })
    expect(pass.placements.get('bed')?.segments[0]?.[0]).toBe(at('17T12:00'))
  })

  it('has a booked trade come on later days, and one that is called come later than it could begin', () => {
    const rows = weekends()
    job(rows, 'Rig', { doBy: 'trade' })
    step(rows, 'Rig', 'tune', { hoursLikely: 2 })
    job(rows, 'Weld', { doBy: 'trade' })
    step(rows, 'Weld', 'weld', { hoursLikely: 2 })
    add(rows, 'tradeBooking', 'b', {
      stepId: 'weld',
      trade: 'Welder',
      state: 'booked',
      from: '2027-04-20',
      to: '2027-04-21',
    })
    const lay = samplePasses(prepare(rows, friday), latestStartFirst)
    const from = (id: string, sample: Sample) => lay(sample).placements.get(id)?.segments[0]
    // Called on Friday at noon, they begin at once; two and a half days later it is Monday.
    expect(from('tune', {})?.[0]).toBe(at('16T12:00'))
    expect(from('tune', { tradesLate: new Map([['tune', 2.5]]) })?.[0]).toBe(at('19T08:00'))
    expect(from('weld', {})).toEqual([at('20T08:00'), at('21T17:00')])
    expect(from('weld', { tradesLate: new Map([['weld', 3]]) })).toEqual([
      at('23T08:00'),
      at('24T17:00'),
    ])
  })

  it('loses the days that are drawn before work in the open, where a month has others', () => {
    const rows = weekends()
    rows.refit = rows.refit.map((one) => ({ ...one, workableShare: Array(12).fill(0.5) }))
    job(rows, 'Deck')
    step(rows, 'Deck', 'paint', { hoursLikely: 2, needsDry: true, notBefore: '2027-05-01' })
    const lay = samplePasses(prepare(rows, friday), latestStartFirst)
    const from = (days: number | null) =>
      lay(days === null ? {} : { daysLost: () => days }).placements.get('paint')?.segments[0]?.[0]
    const on = (date: string) => Date.parse(`2027-05-${date}T08:00:00Z`)
    // One day is to be expected; Ann comes on the 1st, 2nd, 8th and 9th.
    expect([null, 0, 1, 2].map(from)).toEqual([on('02'), on('01'), on('02'), on('08')])
  })

  it('draws what a trade takes', () => {
    const rows = weekends()
    job(rows, 'Rig', { doBy: 'trade' })
    step(rows, 'Rig', 'tune', { hoursLikely: 2 })
    const lay = samplePasses(prepare(rows, friday), latestStartFirst)
    const hours = (sample: Sample) => {
      const [[from, to] = [0, 0]] = lay(sample).placements.get('tune')?.segments ?? []
      return (to - from) / 3_600_000
    }
    expect(hours({})).toBe(2)
    expect(hours({ workHours: new Map([['tune', 3]]) })).toBe(3)
  })
})

describe('work in one go that came out too long', () => {
  function wrapped(hours: number) {
    const rows = weekends()
    job(rows, 'Wrap')
    step(rows, 'Wrap', 'wrap', { hoursLikely: 7, splittable: false })
    step(rows, 'Wrap', 'clamp', { hoursLikely: 1 })
    const prepared = prepare(rows, friday)
    const sample = { workHours: new Map([['wrap', hours]]) }
    const pass = samplePasses(prepared, latestStartFirst)(sample)
    return { pass, prepared }
  }

  it('runs two hours over on its day', () => {
    const { pass } = wrapped(10)
    expect(pass.placements.get('wrap')?.segments).toEqual([[at('17T08:00'), at('17T18:00')]])
    expect(pass.placements.get('clamp')?.segments[0]?.[0]).toBe(at('18T08:00'))
  })

  it('goes on the next day where that would be three hours', () => {
    const { pass } = wrapped(11)
    expect(pass.placements.get('wrap')?.segments).toEqual([
      [at('17T08:00'), at('17T16:00')],
      [at('18T08:00'), at('18T11:00')],
    ])
    expect(pass.placements.get('clamp')?.segments[0]?.[0]).toBe(at('18T11:00'))
    expect(pass.remarks).toEqual([])
  })

  it('has no place in a plan, which must not promise it', () => {
    const rows = weekends()
    job(rows, 'Wrap')
    step(rows, 'Wrap', 'wrap', { hoursLikely: 12, splittable: false })
    const pass = layPass(prepare(rows, friday), latestStartFirst)
    expect(pass.remarks.map((one) => one.kind)).toEqual(['tooLong'])
  })
})

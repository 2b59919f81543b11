/** What readings say of a step that has to dry: from when the next may begin, and the sentence that says so. */
import { describe, expect, it } from 'vitest'
import type { Reading } from '../model/entities'
import { dayNumber, hourMs } from '../time/civil'
import { zoneClock } from '../time/zone'
import { add, emptyRefit, job, step } from '../testing/build'
import { dryFrom, sayDrying } from './drying'

const clock = zoneClock('UTC')
const noon = (on: string) => clock.at(dayNumber(on), 12 * 60)
const march = (day: number) => `2027-03-${String(day).padStart(2, '0')}`

/** A laminate that passes under 14; sound and dry it reads 10. */
function drying(read: readonly (readonly [on: string, value: number])[], given: object = {}) {
  const rows = emptyRefit()
  job(rows, 'core')
  const one = step(rows, 'core', 'dry', {
    waitKind: 'dry',
    waitHours: 100,
    readWhat: 'Moisture',
    readHigh: 14,
    readDry: 10,
    ...given,
  })
  const readings: Reading[] = read.map(([on, value], at) =>
    add(rows, 'reading', `r${at}`, { stepId: 'dry', what: 'Moisture', value, at: noon(on) }),
  )
  add(rows, 'reading', 'another', {
    stepId: 'core',
    what: 'Moisture',
    value: 3,
    at: noon(march(1)),
  })
  return {
    from: dryFrom(one, readings, clock),
    said: sayDrying(one, readings, clock, (on) => on),
  }
}
/** 20 over the reference that halve every 30 days: 4 are left after 69.7 days, on 10 May. */
const falling = [1, 11, 21, 31].map((at) => [march(at), 10 + 20 * 0.5 ** ((at - 1) / 30)] as const)

describe('a step that dries', () => {
  it('lets the next begin where its last reading passes', () => {
    const { from, said } = drying([...falling, ['2027-04-20', 13.5]])
    expect(from).toEqual({ at: noon('2027-04-20'), isGuess: false })
    expect(said).toBe('It passed on 2027-04-20.')
  })

  it('lets it begin on the day that the readings fall to', () => {
    const { from, said } = drying(falling)
    expect(from).toEqual({ at: clock.at(dayNumber('2027-05-10'), 0), isGuess: false })
    expect(said).toContain(
      'Likely dry on 2027-05-10; 2027-05-10 to 2027-05-10, four chances in five.',
    )
  })

  it('does not promise a day that is over: read wet after it, it is wet', () => {
    // Fast at first, then all but still: the line through all six passes 14 before the last of them.
    const slows = [
      [march(1), 40],
      [march(3), 26],
      [march(5), 19],
      [march(7), 16],
      [march(9), 14.6],
      [march(31), 14.1],
    ] as const
    const { from, said } = drying(slows)
    expect(said).toMatch(/dry by 2027-03-\d\d, and on 2027-03-31 it was not: read again\.$/)
    expect(said).not.toContain('Likely')
    expect(from).toEqual({ at: noon(march(31)) + 50 * hourMs, isGuess: true })
  })

  it('waits half the guess again after a wet reading that gives no day, and a day at least', () => {
    const [first] = falling
    if (!first) throw new Error('no reading')
    const one = drying([first])
    expect(one.from).toEqual({ at: noon(march(1)) + 50 * hourMs, isGuess: true })
    expect(one.said).toBe('No date yet: 2 readings more, each on another day.')
    expect(drying([first], { waitHours: 30 }).from?.at).toBe(noon(march(1)) + 24 * hourMs)
    expect(drying(falling.slice(0, 2)).said).toBe(
      'No date yet: one reading more, each on another day.',
    )
  })

  it('draws no line without a dry reference below the limit, and asks for it', () => {
    const without = drying(falling, { readDry: null })
    expect(without.from?.isGuess).toBe(true)
    expect(without.said).toMatch(/^Say what sound, dry stuff of the same make reads/)
    expect(drying(falling, { readDry: 14 }).from?.isGuess).toBe(true)
  })

  it('has nothing to say of a step that cures, has no limit, or was not read', () => {
    expect(drying([])).toEqual({ from: null, said: '' })
    expect(drying(falling, { waitKind: 'chem' })).toEqual({ from: null, said: '' })
    expect(drying(falling, { readHigh: null }).from).toBeNull()
  })
})

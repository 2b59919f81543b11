import { describe, expect, it } from 'vitest'
import { plainSites } from '../../testing/sites'
import { dayMs, hourMs } from '../../time/civil'
import { zoneClock } from '../../time/zone'
import { hoursByClass, workForward } from './openHours'

const clock = zoneClock('UTC')
/** Two hours from eight every day, and ten on one day alone. */
function hoursWith(longDay: number) {
  const asked = new Set<number>()
  const sites = plainSites((_, __, day) => {
    asked.add(day)
    const from = day * dayMs + 8 * hourMs
    return [[from, from + (day === longDay ? 10 : 2) * hourMs]]
  })
  return {
    asked,
    hours: hoursByClass(sites).of({ capable: [0], hands: [0], crewMin: 1, placeNeed: 'boat' }),
  }
}
const forward = (hours: ReturnType<typeof hoursWith>['hours'], day: number, h: number) =>
  workForward(hours, [[-Infinity, Infinity]], day * dayMs, h * hourMs, false, clock)

describe('work in one go', () => {
  it('goes on the one day that is long enough, whatever was asked before', () => {
    const { hours } = hoursWith(20_300)
    // From after that day nothing is long enough; what that look left out is looked at all the same.
    expect(forward(hours, 20_301, 9)).toBeNull()
    expect(forward(hours, 20_000, 9)).toEqual({
      start: 20_300 * dayMs + 8 * hourMs,
      finish: 20_300 * dayMs + 17 * hourMs,
    })
    expect(hours.longestFrom(20_000)).toBe(10 * hourMs)
  })

  it('that no stretch of two years is long enough for is not looked for over fifteen', () => {
    const { hours, asked } = hoursWith(20_000)
    expect(forward(hours, 20_000, 11)).toBeNull()
    expect(asked.size).toBe(740)
    // A stretch of two hours is there at once.
    expect(forward(hours, 20_500, 2)?.start).toBe(20_500 * dayMs + 8 * hourMs)
  })
})

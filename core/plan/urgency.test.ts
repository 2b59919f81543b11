/** Ann works Saturdays and Sundays from 08:00 to 16:00; a day's work each, one of them due on Sunday 25 April. */
import { describe, expect, it } from 'vitest'
import { add, job, step } from '../testing/build'
import type { Building } from '../testing/build'
import { friday, weekends } from '../testing/weekends'
import { dayMs } from '../time/civil'
import { layPass, prepare } from './prepare'

const at = (text: string) => Date.parse(`2027-04-${text}:00Z`)

function two(): Building {
  const rows = weekends()
  add(rows, 'gate', 'visit', { name: 'Visit', kind: 'dated', on: '2027-04-25' })
  job(rows, 'Trim', { purpose: 'shine', severity: 1, gateId: 'visit' })
  step(rows, 'Trim', 'trim', { hoursLikely: 8 })
  job(rows, 'Core', { purpose: 'float', severity: 4 })
  step(rows, 'Core', 'core', { hoursLikely: 8 })
  return rows
}
const trimAt = (rows: Building, marginMs: number) =>
  layPass(prepare(rows, friday), { marginMs }).placements.get('trim')?.segments[0]?.[0]

describe('how early the calendar goes before priority', () => {
  it.each([
    ['eight days of slack are more than seven: what keeps her afloat goes first', 7, '18T08:00'],
    ['and no more than eight', 8, '17T08:00'],
    ['what would be late first, whatever its slack', Infinity, '17T08:00'],
  ])('%s', (_, days, start) => {
    expect(trimAt(two(), days * dayMs)).toBe(at(start))
  })

  it('comes after what is under way, and that after a pin', () => {
    const rows = two()
    const core = rows.step.find((one) => one.id === 'core')
    rows.step = rows.step.map((one) => (one === core ? { ...one, state: 'doing' } : one))
    expect(trimAt(rows, Infinity)).not.toBe(at('17T08:00'))
    rows.job = rows.job.map((one) => (one.id === 'Trim' ? { ...one, pinnedRank: 1 } : one))
    expect(trimAt(rows, Infinity)).toBe(at('17T08:00'))
  })
})

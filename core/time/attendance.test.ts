import { describe, expect, it } from 'vitest'
import { add, emptyRefit } from '../testing/build'
import { attendanceOf } from './attendance'
import { dayNumber } from './civil'

const on = (date: string) => dayNumber(date)
type Slots = Parameters<typeof attendanceOf>[0]
const slots = (
  ...list: { weekday: number; from?: string; to?: string; everyWeeks?: number; anchor?: string }[]
): Slots => {
  const rows = emptyRefit()
  list.forEach((one, index) =>
    add(rows, 'weekSlot', `s${index}`, { personId: 'Ann', from: '08:00', to: '12:00', ...one }),
  )
  return rows.weekSlot
}

describe('attendance', () => {
  it('joins hours that touch, on their weekday alone', () => {
    const ann = attendanceOf(
      slots(
        { weekday: 6 },
        { weekday: 6, from: '12:00', to: '16:00' },
        { weekday: 6, from: '17:00', to: '18:00' },
      ),
      [],
    )
    // 17 April 2027 is a Saturday.
    expect(ann.on(on('2027-04-17'))).toEqual([
      [480, 960],
      [1020, 1080],
    ])
    expect(ann.on(on('2027-04-18'))).toEqual([])
    expect(ann.never).toBe(false)
  })

  it('comes every other week from the week of its anchor, before it as after it', () => {
    const ann = attendanceOf(slots({ weekday: 6, everyWeeks: 2, anchor: '2027-04-14' }), [])
    const dates = [
      '2027-03-20',
      '2027-03-27',
      '2027-04-03',
      '2027-04-10',
      '2027-04-17',
      '2027-04-24',
      '2027-05-01',
    ]
    expect(dates.filter((date) => ann.on(on(date)).length > 0)).toEqual([
      '2027-03-20',
      '2027-04-03',
      '2027-04-17',
      '2027-05-01',
    ])
  })

  it('without an anchor counts from the week of 1 January 1970', () => {
    const ann = attendanceOf(slots({ weekday: 4, everyWeeks: 3 }), [])
    expect([0, 7, 14, 21].map((day) => ann.on(day).length)).toEqual([1, 0, 0, 1])
  })

  it('is taken away for a whole day, and added to by an extra one', () => {
    const rows = emptyRefit()
    add(rows, 'personDay', 'a', { personId: 'Ann', on: '2027-04-17', kind: 'cannotCome' })
    add(rows, 'personDay', 'b', {
      personId: 'Ann',
      on: '2027-04-24',
      kind: 'extraDay',
      from: '11:00',
      to: '14:00',
    })
    const ann = attendanceOf(slots({ weekday: 6 }), rows.personDay)
    expect(ann.away(on('2027-04-17'))).toBe(true)
    expect(ann.away(on('2027-04-24'))).toBe(false)
    expect(ann.on(on('2027-04-17'))).toEqual([])
    expect(ann.on(on('2027-04-24'))).toEqual([[480, 840]])
    expect(attendanceOf([], rows.personDay).never).toBe(false)
    expect(attendanceOf([], []).never).toBe(true)
  })
})

/** The plan in a calendar of its own: what stands when, as another program reads it. */
import { expect, it } from 'vitest'
import { add, emptyRefit, job, person, step } from '../../core/testing/build'
import { keepPlan } from '../../core/testing/keptPlan'
import { calendarText } from '../../server/services/calendar'

const at = (day: number, hour: number) => Date.UTC(2027, 3, day, hour)

/** A launch with one step in two stretches and a wait without hours; `bare` has a job that nobody broke down. */
function boat(bare: boolean) {
  const rows = emptyRefit()
  person(rows, 'Ann', [6], '08:00', '16:00')
  add(rows, 'gate', 'ready', { name: 'Ready', kind: 'asap' })
  job(rows, 'Hull', { gateId: 'ready' })
  step(rows, 'Hull', 'fair', { title: 'Fair it' })
  step(rows, 'Hull', 'set', { title: 'Set', hoursLikely: 0 })
  if (bare) job(rows, 'Rig', { gateId: 'ready' })
  const fair: [number, number][] = [
    [at(17, 9), at(17, 12)],
    [at(24, 9), at(24, 10)],
  ]
  keepPlan(
    rows,
    at(17, 7),
    {
      fair: { personIds: ['Ann'], segments: fair },
      set: { segments: [[at(24, 10), at(24, 10)]] },
    },
    {
      gates: [{ gateId: 'ready', at: at(24, 10), readyAt: at(24, 10), binding: { kind: 'now' } }],
    },
  )
  return rows
}

/** Events by id, each its lines as name and value. */
function events(text: string) {
  // Long lines go on after a blank.
  const blocks = text.replaceAll('\r\n ', '').split('BEGIN:VEVENT').slice(1)
  return new Map(
    blocks.map((block) => {
      const lines = new Map(
        block
          .trim()
          .split('\r\n')
          .map((line): [string, string] => {
            const colon = line.indexOf(':')
            return [line.slice(0, colon), line.slice(colon + 1)]
          }),
      )
      return [lines.get('UID') ?? '', lines]
    }),
  )
}
const said = (lines: Map<string, string> | undefined) =>
  ['SUMMARY', 'DTSTART', 'DTEND', 'DESCRIPTION'].map((name) => lines?.get(name))

it('has every stretch of a step, with its job and who does it, and a minute for what takes none', () => {
  const found = events(calendarText(boat(false), at(17, 7)))
  expect(said(found.get('fair-0'))).toEqual([
    'Fair it',
    '20270417T090000Z',
    '20270417T120000Z',
    'Hull · Ann',
  ])
  expect(said(found.get('fair-1')).slice(1, 3)).toEqual(['20270424T090000Z', '20270424T100000Z'])
  expect(said(found.get('set-0'))).toEqual(['Set', '20270424T100000Z', '20270424T100100Z', 'Hull'])
})

it('says of a gate that leaves work out that it is not before its day', () => {
  const gate = (bare: boolean) =>
    said(events(calendarText(boat(bare), at(17, 7))).get('gate-ready')).slice(0, 3)
  expect(gate(false)).toEqual(['Ready', '20270424T100000Z', '20270424T110000Z'])
  expect(gate(true)).toEqual(['Ready\\, not before this', '20270424T100000Z', '20270424T110000Z'])
})

it('has a whole day for what is to be looked at again', () => {
  const rows = boat(false)
  add(rows, 'check', 'bottle', {
    title: 'Fire bottle weighed',
    dueOn: '2027-06-01',
  })
  const found = [...events(calendarText(rows, at(17, 7)))].find(([id]) => id.startsWith('check-'))
  expect(found?.[1].get('SUMMARY')).toBe('Fire bottle weighed')
  expect(found?.[1].get('DTSTART;VALUE=DATE')).toBe('20270601')
})

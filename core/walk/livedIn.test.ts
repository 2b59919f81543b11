import { describe, expect, it } from 'vitest'
import { add, emptyRefit, job, step } from '../testing/build'
import { sayTwoPrices, twoPrices } from './livedIn'

function saloon(more: object = {}) {
  const rows = emptyRefit()
  add(rows, 'gate', 'aboard', { name: 'Move aboard', kind: 'asap' })
  add(rows, 'zone', 'saloon', { name: 'Saloon', strake: 'below', livedInFromGateId: 'aboard' })
  job(rows, 'sole', { zoneId: 'saloon' })
  const sand = step(rows, 'sole', 'sand', { operation: 'fair', hoursLikely: 4, ...more })
  return { rows, sand }
}
const planOf = (start: number, gate: number) => ({
  placements: [
    {
      stepId: 'sand',
      segments: [[start, start + 1]],
      readyAt: 0,
      personIds: [],
      binding: { kind: 'now' },
    },
  ],
  gates: [{ gateId: 'aboard', at: gate, readyAt: gate, binding: { kind: 'now' } }],
})
const told = ({ rows, sand }: ReturnType<typeof saloon>, start = 10, gate = 20) =>
  twoPrices(sand, rows, planOf(start, gate) as never)

describe('dust where somebody lives', () => {
  it('costs a screen and cleaning after the gate: four hours, one, and one', () => {
    expect(told(saloon())).toMatchObject({ beforeHours: 4, afterHours: 6, isAfter: false })
    // A quarter of an hour of cleaning is none: half an hour at least.
    expect(told(saloon({ hoursLikely: 1 }))?.afterHours).toBe(2.5)
  })

  it('is said with where the plan has it', () => {
    const before = told(saloon())
    const after = told(saloon(), 20, 20)
    expect(before && sayTwoPrices(before)).toBe(
      'Dust where somebody lives from Move aboard on: 4 h before it, about 6 h after it, with a screen up and down and cleaning. It is planned before it.',
    )
    expect(after?.isAfter).toBe(true)
    const { rows, sand } = saloon()
    expect(twoPrices(sand, rows, null)?.isAfter).toBeNull()
  })

  it('is no matter of what throws none, is over, is done in the shed, or where nobody lives', () => {
    expect(told(saloon({ operation: 'wire' }))).toBeNull()
    expect(told(saloon({ operation: 'wire', dusty: true }))).not.toBeNull()
    expect(told(saloon({ state: 'done', doneAt: 1 }))).toBeNull()
    expect(told(saloon({ placeNeed: 'shed' }))).toBeNull()
    const free = saloon()
    free.rows.zone = free.rows.zone.map((one) => ({ ...one, livedInFromGateId: null }))
    expect(told(free)).toBeNull()
  })
})

/** Dust keeps away from what is wet, by hand from one Saturday of one or two people. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { add, emptyRefit, job, person, step } from '../../testing/build'
import type { Building } from '../../testing/build'
import { zoneClock } from '../../time/zone'
import { makePlan } from '../makePlan'
import { Waits } from '../waits'
import { SharedAir } from './sharedAir'

const saturday = Date.UTC(2027, 3, 17)
const at = (hour: number) => saturday + hour * 3_600_000

/** Ann lays plies from eight to ten, without a cure named: three hours to touch-dry. */
function deck(dusty: object, zoneId: string | null = 'deck'): Building {
  const rows = emptyRefit()
  person(rows, 'Ann', [6], '08:00', '18:00')
  person(rows, 'Ben', [6], '08:00', '18:00')
  add(rows, 'place', 'berth', { name: 'B', kind: 'berth', setUpMin: 0, packUpMin: 0 })
  for (const [id, strake] of [
    ['deck', 'deck'],
    ['hull', 'underwater'],
    ['cabin', 'below'],
  ] as const)
    add(rows, 'zone', id, { name: id, strake, order: id })
  job(rows, 'Plies', { zoneId: 'deck', pinnedRank: 1 })
  step(rows, 'Plies', 'plies', { operation: 'laminate', hoursLikely: 2 })
  job(rows, 'Dust', { zoneId })
  step(rows, 'Dust', 'dust', { operation: 'grind', hoursLikely: 1, ...dusty })
  return rows
}
const placed = (rows: Building, id: string) =>
  makePlan(rows, saturday).plan.placements.find((one) => one.stepId === id)

describe('dust and wet work', () => {
  it('keep apart until it is touch-dry, and the reason is said', () => {
    const dust = placed(deck({}), 'dust')
    expect(dust?.segments).toEqual([[at(13), at(14)]])
    expect(dust?.binding).toMatchObject({ kind: 'air', stepId: 'plies', until: at(13) })
  })
  it('share one air on deck and hull, another below', () => {
    expect(placed(deck({}, 'hull'), 'dust')?.segments[0]?.[0]).toBe(at(13))
    expect(placed(deck({}, 'cabin'), 'dust')?.segments[0]?.[0]).toBe(at(8))
    expect(placed(deck({ placeNeed: 'away' }), 'dust')?.segments[0]?.[0]).toBe(at(8))
  })
  it('of drilling only the place itself minds', () => {
    expect(placed(deck({ operation: 'drill' }), 'dust')?.segments[0]?.[0]).toBe(at(13))
    expect(placed(deck({ operation: 'drill' }, 'hull'), 'dust')?.segments[0]?.[0]).toBe(at(8))
    expect(placed(deck({ operation: 'fit' }), 'dust')?.segments[0]?.[0]).toBe(at(8))
  })
  it('go by what a step says of itself: sanded wet, glued, trimmed in the wet', () => {
    const starts = (dusty: object, zoneId = 'deck') =>
      placed(deck(dusty, zoneId), 'dust')?.segments[0]?.[0]
    expect(starts({ dusty: false })).toBe(at(8))
    expect(starts({ operation: 'fit', dusty: true })).toBe(at(13))
    // Other dust than that of sanding stays where it is.
    expect(starts({ operation: 'fit', dusty: true }, 'hull')).toBe(at(8))
    // What throws dust and is wet itself waits like any dust, and others' dust waits for it: three hours from two.
    const trimmed = deck({ wet: true })
    job(trimmed, 'More', { zoneId: 'hull' })
    step(trimmed, 'More', 'more', { operation: 'grind', hoursLikely: 1 })
    trimmed.job[1] = { ...trimmed.job[1]!, pinnedRank: 2 }
    expect(placed(trimmed, 'dust')?.segments).toEqual([[at(13), at(14)]])
    expect(placed(trimmed, 'more')?.segments[0]?.[0]).toBe(at(17))
    const glued = deck({})
    glued.step[0] = { ...glued.step[0]!, operation: 'fit', wet: true }
    expect(placed(glued, 'dust')?.segments[0]?.[0]).toBe(at(13))
    glued.step[0] = { ...glued.step[0], operation: 'laminate', wet: false }
    expect(placed(glued, 'dust')?.segments[0]?.[0]).toBe(at(8))
  })
  it('lies for half an hour before anything wet is laid', () => {
    const rows = deck({})
    rows.job[0] = { ...rows.job[0]!, pinnedRank: null }
    rows.job[1] = { ...rows.job[1]!, pinnedRank: 1 }
    expect(placed(rows, 'dust')?.segments).toEqual([[at(8), at(9)]])
    expect(placed(rows, 'plies')?.segments).toEqual([[at(9.5), at(11.5)]])
  })
  it('are looked at ahead: what would be wet when the dust comes waits until after it', () => {
    const rows = deck({})
    rows.job[0] = { ...rows.job[0]!, pinnedRank: null }
    rows.job[1] = { ...rows.job[1]!, pinnedRank: 1 }
    // Ben sands at noon. Plies of two hours from eight would be wet until one.
    rows.step[1] = { ...rows.step[1]!, wantedPersonId: 'Ben', order: 'zz' }
    step(rows, 'Dust', 'mask', { hoursLikely: 4, wantedPersonId: 'Ben', order: 'a' })
    expect(placed(rows, 'dust')?.segments).toEqual([[at(12), at(13)]])
    expect(placed(rows, 'plies')?.segments[0]?.[0]).toBe(at(13.5))
  })
  it('mind what was laid before and is wet still', () => {
    const rows = deck({})
    rows.step[0] = { ...rows.step[0]!, state: 'done', doneAt: at(7) }
    expect(placed(rows, 'dust')?.segments[0]?.[0]).toBe(at(10))
    rows.step[0] = { ...rows.step[0], doneAt: at(4) }
    expect(placed(rows, 'dust')?.segments[0]?.[0]).toBe(at(8))
  })
})

it('what is kept and forgotten leaves open just the instants that nobody else makes wet', () => {
  const rows = emptyRefit()
  for (const name of ['A', 'B', 'C', 'D']) job(rows, name)
  for (const [at, name] of ['A', 'A', 'B', 'B', 'C', 'C'].entries())
    step(rows, name, `wet ${at}`, { operation: 'laminate' })
  for (const name of ['A', 'D']) step(rows, name, `dust ${name}`, { operation: 'grind' })
  const byName = new Map(rows.step.map((one) => [one.id, one]))
  const named = (id: string) => byName.get(id) as Building['step'][number]
  const quarter = 900_000
  const span = fc.tuple(fc.nat(400), fc.integer({ min: 1, max: 60 }))
  const act = fc.record({
    step: fc.nat(5),
    spans: fc.option(fc.array(span, { minLength: 1, maxLength: 3 }), { freq: 5 }),
  })
  fc.assert(
    fc.property(
      fc.array(act, { maxLength: 25 }),
      fc.nat(500),
      fc.constantFrom('A', 'D'),
      (acts, from, own) => {
        const air = SharedAir.at(saturday, rows, new Waits(rows, zoneClock('UTC')))
        const kept = new Map<string, readonly (readonly [number, number])[]>()
        for (const { step: at, spans } of acts) {
          const id = `wet ${at}`
          const lies = (spans ?? []).map(
            ([a, long]) => [saturday + a * quarter, saturday + (a + long) * quarter] as const,
          )
          if (spans) air.keep(named(id), lies)
          else air.forget(named(id))
          kept.set(id, lies)
        }
        const start = saturday + from * quarter
        const open = air.within(named(`dust ${own}`), [[saturday, Infinity]], start)
        const wrong: number[] = []
        for (let instant = start; instant < saturday + 600 * quarter; instant += quarter / 3) {
          // Half an hour for dust to lie, three hours until what names no cure is touch-dry.
          const isShut = [...kept].some(
            ([id, lies]) =>
              named(id).jobId !== own &&
              lies.some(([a, b]) => instant >= a - 2 * quarter && instant < b + 12 * quarter),
          )
          if (open.some(([a, b]) => a <= instant && instant < b) === isShut) wrong.push(instant)
        }
        expect(wrong).toEqual([])
      },
    ),
  )
})

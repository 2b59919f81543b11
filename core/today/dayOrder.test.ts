/** The day in another order, by hand. */
import { describe, expect, it } from 'vitest'
import type { DayLine } from './dayLine'
import { againstWaits, besides, inHandOrder, notAsAsked, onePlace } from './dayOrder'

const line = (
  id: string,
  from: number,
  personIds: readonly string[],
  state = 'open',
  kind = 'work',
): Pick<DayLine, 'kind' | 'step' | 'from' | 'personIds'> =>
  ({ kind, from, personIds, step: id === '' ? null : { id, state } }) as never

/** Both set up and lay; then Ida drills, fills and drills on, while Tam wires. */
const day = [
  line('', 0, ['ida', 'tam'], 'open', 'setUp'),
  line('begun', 1, ['ida', 'tam'], 'doing'),
  line('lay', 2, ['ida', 'tam']),
  line('drill', 4, ['ida']),
  line('wire', 5, ['tam']),
  line('fill', 6, ['ida']),
  line('drill', 8, ['ida']),
]

describe('an order by hand', () => {
  it('is of what has not begun, among what the same people do', () => {
    expect(besides(day, 'drill')).toEqual(['lay', 'fill'])
    expect(besides(day, 'wire')).toEqual(['lay'])
    expect(besides(day, 'lay')).toEqual(['drill', 'wire', 'fill'])
    expect(besides(day, 'begun')).toEqual([])
    expect(besides(day, 'nothing')).toEqual([])
    // What nobody is at stands in everybody's way.
    expect(besides([...day, line('trade', 9, [])], 'wire')).toEqual(['lay', 'trade'])
  })

  it('goes one place at a time, as far as there are any', () => {
    expect(onePlace(day, 'fill', 'earlier')).toEqual({ beforeId: 'drill' })
    expect(onePlace(day, 'fill', 'later')).toBeNull()
    expect(onePlace(day, 'drill', 'later')).toEqual({ beforeId: null })
    expect(onePlace(day, 'lay', 'later')).toEqual({ beforeId: 'wire' })
    expect(onePlace(day, 'lay', 'earlier')).toBeNull()
    expect(onePlace(day, 'drill', 'earlier')).toEqual({ beforeId: 'lay' })
  })

  it('keeps the others as they were', () => {
    expect(inHandOrder(day, 'fill', { beforeId: 'lay' })).toEqual(['fill', 'lay', 'drill', 'wire'])
    expect(inHandOrder(day, 'lay', { beforeId: 'fill' })).toEqual(['drill', 'wire', 'lay', 'fill'])
    expect(inHandOrder(day, 'lay', { beforeId: null })).toEqual(['drill', 'wire', 'fill', 'lay'])
  })
})

describe('what waits for what', () => {
  const arcs = [
    { from: 'lay', to: 'cure' },
    { from: 'cure', to: 'fill' },
  ]
  it('is found through what is not of the day, on either side', () => {
    expect(againstWaits(arcs, ['fill', 'lay', 'drill'], 'fill')).toEqual({
      stepId: 'fill',
      waitsForId: 'lay',
    })
    expect(againstWaits(arcs, ['drill', 'fill', 'lay'], 'lay')).toEqual({
      stepId: 'fill',
      waitsForId: 'lay',
    })
    expect(againstWaits(arcs, ['lay', 'fill', 'drill'], 'fill')).toBeNull()
    // It is not about the moved one.
    expect(againstWaits(arcs, ['fill', 'lay', 'drill'], 'drill')).toBeNull()
  })
})

describe('a plan with an order by hand', () => {
  const today = (...ids: string[]) => ids.map((stepId, from) => ({ stepId, from }))
  const order = ['fill', 'lay', 'drill', 'wire']
  it('is as asked where the moved one has the same others on either side', () => {
    const others = ['lay', 'drill']
    expect(notAsAsked(today('fill', 'lay', 'drill'), order, others, 'fill')).toBeNull()
    expect(notAsAsked(today('lay', 'fill', 'drill'), order, others, 'fill')).toBe('lay')
    // Of the rest it is not asked how they stand.
    expect(notAsAsked(today('fill', 'drill', 'lay'), order, others, 'fill')).toBeNull()
    expect(notAsAsked(today('lay', 'drill', 'fill'), order, ['fill', 'lay'], 'drill')).toBe('fill')
  })
  it('has what is not done today after all that is', () => {
    expect(notAsAsked(today('lay', 'drill'), order, ['lay'], 'fill')).toBe('lay')
    expect(notAsAsked(today('fill'), order, ['lay', 'drill'], 'fill')).toBeNull()
    // At the same time, by somebody else.
    const beside = ['lay', 'fill'].map((stepId) => ({ stepId, from: 9 }))
    expect(notAsAsked(beside, order, ['lay'], 'fill')).toBeNull()
    expect(notAsAsked(beside, order, ['fill'], 'lay')).toBeNull()
  })
})

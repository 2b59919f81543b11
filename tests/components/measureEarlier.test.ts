/** A window that shuts before its size is sure: the step that fixes the size, pinned to the last trip before it shuts. */
import { expect, it } from 'vitest'
import { emptyRefit, job, step } from '#core/testing/build'
import type { BuyRow } from '#core/stores/board'
import type { StoreFacts } from '#core/stores/storeFacts'
import { dayNumber } from '#core/time/civil'
import { zoneClock } from '#core/time/zone'
import { useMeasureEarlier } from '../../app/composables/useMeasureEarlier'
import { openOn } from './fakeServer'

const today = dayNumber('2027-04-17')

it('is offered for the last trip before the window shuts, today where it is shut, and for nothing else', async () => {
  const rows = emptyRefit()
  job(rows, 'frame')
  const fixes = step(rows, 'frame', 'measure', { title: 'Measure the opening' })
  await openOn(rows)
  const measureEarlier = useMeasureEarlier()
  // Trips are on Sundays: 18 April, 25 April and so on.
  const tripBefore = (at: number) => {
    const day = Math.floor(at / 86_400_000)
    return day - ((((day - dayNumber('2027-04-18')) % 7) + 7) % 7)
  }
  const facts = { clock: zoneClock('UTC'), today, tripBefore } as unknown as StoreFacts
  const rowOf = (window: object, more: object = {}) =>
    ({
      kind: 'buy',
      window: { state: 'shutsFirst', closesOn: dayNumber('2027-04-28'), ...window },
      pool: { name: 'Window' },
      wants: [{ fixes, window: { opensOn: dayNumber('2027-05-09') } }],
      ...more,
    }) as unknown as BuyRow
  const onOf = (row: BuyRow) => {
    const [item] = measureEarlier(facts, row)?.items ?? []
    return item?.op === 'patch' ? [item.id, item.patch] : null
  }
  expect(onOf(rowOf({}))).toEqual(['measure', { pinnedOn: '2027-04-25' }])
  expect(measureEarlier(facts, rowOf({}))?.label).toBe('“Measure the opening” on Sun 25 Apr')
  expect(onOf(rowOf({ closesOn: dayNumber('2027-04-10') }))).toEqual([
    'measure',
    { pinnedOn: '2027-04-17' },
  ])
  expect(onOf(rowOf({ state: 'late' }))).toBeNull()
  expect(onOf(rowOf({}, { kind: 'onItsWay' }))).toBeNull()
  const done = { ...fixes, state: 'done' }
  expect(onOf(rowOf({}, { wants: [{ fixes: done, window: { opensOn: today } }] }))).toBeNull()
})

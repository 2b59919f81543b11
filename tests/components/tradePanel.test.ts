/** A trade's row opened: which day to ask for, what a day later does, what it comes to. */
import { flushPromises } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { add, emptyRefit, job, person, step } from '#core/testing/build'
import type { Building } from '#core/testing/build'
import { usePlannerStore } from '../../app/stores/planner'
import { words } from './byName'
import { onPage } from './page'
import { withWorkers } from './workers'

/**
 * Saturday 17 April 2027. Ida strips the tank on Saturdays and Sundays, two hours; a welder who comes on Mondays welds
 * it; then it is fitted.
 */
async function opened(fill: (rows: Building) => void = () => undefined) {
  const rows = emptyRefit()
  person(rows, 'ida', [6, 7], '09:00', '17:00')
  add(rows, 'gate', 'sail', { name: 'Sail away', kind: 'asap' })
  job(rows, 'tank', { title: 'Tank', gateId: 'sail' })
  step(rows, 'tank', 'strip', { title: 'Strip it', hoursLikely: 2 })
  step(rows, 'tank', 'weld', { title: 'Weld it', operation: 'contract', hoursLikely: 3 })
  step(rows, 'tank', 'fit', { title: 'Fit it', hoursLikely: 2 })
  add(rows, 'part', 'hose', { name: 'Hose', jobId: 'tank', neededByStepId: 'fit' })
  fill(rows)
  withWorkers()
  await onPage('stores', rows, { begin: usePlannerStore })
  const planner = usePlannerStore()
  await vi.waitFor(() => expect([planner.stale, planner.busy]).toEqual([false, false]), 5000)
  await flushPromises()
  const row = [...document.querySelectorAll('.hit')].find((one) =>
    one.getAttribute('aria-label')?.includes('Weld it'),
  )
  row?.dispatchEvent(new MouseEvent('click'))
  await flushPromises()
}

it('names the day, and says what a day gained and a day lost are worth', async () => {
  await opened((rows) =>
    add(rows, 'tradeBooking', 'b', {
      stepId: 'weld',
      trade: 'Welder',
      from: '2027-05-03',
      to: '2027-05-03',
      noticeDays: 14,
      comesOn: [1],
      priceMinor: 40_000,
    }),
  )
  expect(words()).toContain('14 days of notice. They come Mondays.')
  expect(words()).toContain('One day gained before it gains nothing; seven days bring them')
  // Stripped this Saturday in most runs; with 14 days of notice that is 1 May, and the Monday after it.
  await vi.waitFor(() => expect(words()).toContain('ask for Mon 3 May'), 8000)
  // It could be begun on Monday the 19th. A week later for them is a week later for the weekend on which it is fitted.
  await vi.waitFor(() => expect(words()).toContain('If they come Mon 26 Apr: Sail away 7 d later.'))
  // Nobody booked them: it is a price, and no agreement.
  expect(words()).toContain('€400 asked for, not booked.')
})

it('that is booked is moved with its booking', async () => {
  await opened((rows) =>
    add(rows, 'tradeBooking', 'b', {
      stepId: 'weld',
      trade: 'Welder',
      from: '2027-05-03',
      to: '2027-05-04',
      state: 'booked',
      comesOn: [1, 2],
      priceMinor: 30_000,
    }),
  )
  expect(words()).toContain('They come Mondays and Tuesdays.')
  // Stripped this Saturday, the third of May is late enough.
  await vi.waitFor(() => expect(words()).toContain('in 8 of 10: booked for Mon 3 May.'), 8000)
  expect(words()).toContain('€300 agreed.')
  // On Tuesday, and the Wednesday after it: still before the same weekend.
  await vi.waitFor(() => expect(words()).toContain('If they come Tue 4 May: no gate is later.'))
})

it('says what is assumed, and that extras wait for an answer', async () => {
  await opened((rows) => {
    add(rows, 'tradeBooking', 'b', {
      stepId: 'weld',
      trade: 'Welder',
      from: '2027-05-04',
      to: '2027-05-04',
    })
    const line = { bookingId: 'b', what: 'Seam' }
    add(rows, 'tradeItem', 'a', { ...line, order: 'a', proposal: 'Pin it', proposalMinor: 7000 })
    add(rows, 'tradeItem', 'c', {
      ...line,
      order: 'c',
      proposal: 'Test it',
      proposalMinor: 5000,
      answer: 'taken',
    })
  })
  expect(words()).toContain('14 days of notice, assumed: ask them.')
  expect(words()).not.toContain('They come')
  expect(words()).toContain('No price agreed, €50 of extras taken, €70 not answered.')
})

it('of what is sent out says how long it is away, and by when it is collected', async () => {
  await opened((rows) => {
    rows.step = rows.step.map((one) =>
      one.id === 'weld'
        ? { ...one, hoursLikely: 0, placeNeed: 'away', waitKind: 'calendar', waitHours: 10 * 24 }
        : one,
    )
  })
  // Out on Saturday the 17th, back ten days later, and fitted on Saturday 1 May: fetched that day at the latest.
  expect(words()).toMatch(/Away ten days\. Collect it by Sat 1 May, the last trip before it is/)
  await vi.waitFor(() => expect(words()).toMatch(/Sent Sun 18 Apr: no gate is later/))
})

it('that is booked before it is likely ready says so, and a price of the job is called that', async () => {
  await opened((rows) => {
    // Thirty hours at weekends: two of them.
    rows.step = rows.step.map((one) => (one.id === 'strip' ? { ...one, hoursLikely: 30 } : one))
    add(rows, 'tradeBooking', 'b', {
      stepId: 'weld',
      trade: 'Welder',
      from: '2027-04-19',
      to: '2027-04-19',
      state: 'booked',
    })
  })
  await vi.waitFor(
    () => expect(words()).toContain('booked for Mon 19 Apr, sooner than that.'),
    8000,
  )
  document.body.innerHTML = ''
  await opened((rows) => {
    rows.job = rows.job.map((one) => ({ ...one, tradePriceMinor: 18_000 }))
  })
  expect(words()).toContain('€180 as the job has it.')
})

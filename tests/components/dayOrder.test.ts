/** The day in an order by hand: by keys, dragged, in words; done, shown first, or said why not. */
import { flushPromises } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { add, emptyRefit, job, person, step } from '#core/testing/build'
import type { Building } from '#core/testing/build'
import { usePlannerStore } from '../../app/stores/planner'
import { useTimeStore } from '../../app/stores/time'
import { useToastStore } from '../../app/stores/toasts'
import { press, typeIn, words } from './byName'
import { onPage } from './page'
import { withWorkers } from './workers'

/** Saturday 17 April 2027, 07:30; Ida from nine to five, Tam too. Three jobs of Ida's, in the order of the alphabet. */
async function today(fill: (rows: Building) => void = () => undefined) {
  const rows = emptyRefit()
  person(rows, 'ida', [6, 7], '09:00', '17:00', { name: 'Ida', order: 'a' })
  person(rows, 'tam', [6, 7], '09:00', '17:00', { name: 'Tam', order: 'b' })
  add(rows, 'gate', 'sail', { name: 'Sail away', kind: 'dated', on: '2027-04-18' })
  for (const [title, severity] of [
    ['Alpha', 3],
    ['Bravo', 2],
    ['Cable', 1],
  ] as const) {
    job(rows, title, { gateId: 'sail', severity, order: title })
    step(rows, title, title, { title, hoursLikely: 2, wantedPersonId: 'ida', order: title })
  }
  fill(rows)
  withWorkers()
  const { server, store } = await onPage('today', rows, {
    begin: () => {
      useTimeStore().now = Date.UTC(2027, 3, 17, 7, 30)
      return usePlannerStore()
    },
  })
  const planner = usePlannerStore()
  const settled = async () => {
    await vi.waitFor(() => expect([planner.stale, planner.busy]).toEqual([false, false]), 5000)
    await flushPromises()
  }
  await settled()
  server.changes.splice(0)
  return { server, store, settled }
}
const lines = () =>
  [...document.querySelectorAll<HTMLElement>('[data-line]')].filter((one) => one.querySelector('a'))
const order = () => lines().map((one) => one.querySelector('a')?.textContent?.trim())
const lineOf = (title: string) =>
  lines().find((one) => one.querySelector('a')?.textContent?.trim() === title) as HTMLElement
const alt = (title: string, key: string) =>
  lineOf(title)
    .querySelector('a')
    ?.dispatchEvent(new KeyboardEvent('keydown', { key, altKey: true, bubbles: true }))
const said = () => useToastStore().toasts.at(-1)?.text
const goes = (
  kind: string,
  on: Element,
  [clientX, clientY]: readonly [number, number],
  pointerType = 'mouse',
) =>
  on.dispatchEvent(
    new PointerEvent(kind, {
      clientX,
      clientY,
      pointerType,
      button: 0,
      pointerId: 1,
      bubbles: true,
    }),
  )

it('goes one place by keys, is said with what it costs, and goes back to the order of the plan', async () => {
  const { server, settled } = await today()
  expect(order()).toEqual(['Alpha', 'Bravo', 'Cable'])
  alt('Bravo', 'ArrowUp')
  await vi.waitFor(() => expect(said()).toBe('“Bravo” before “Alpha”. No gate moves.'))
  expect(server.rows.dayPlan).toMatchObject([
    { on: '2027-04-17', stepOrder: ['Bravo', 'Alpha', 'Cable'] },
  ])
  await settled()
  expect(order()).toEqual(['Bravo', 'Alpha', 'Cable'])
  alt('Bravo', 'ArrowDown')
  await vi.waitFor(() => expect(order()).toEqual(['Alpha', 'Bravo', 'Cable']))
  alt('Alpha', 'ArrowDown')
  await vi.waitFor(() => expect(order()).toEqual(['Bravo', 'Alpha', 'Cable']))
  expect(words()).toContain('In an order by hand.')
  await press('The plan’s order instead')
  await vi.waitFor(() => expect(server.rows.dayPlan[0]?.stepOrder).toEqual([]))
  await settled()
  expect(words()).not.toContain('In an order by hand.')
})

it('has a step taken over by somebody else, to whose strand it goes', async () => {
  const { server } = await today()
  alt('Cable', 'ArrowRight')
  await vi.waitFor(() => expect(said()).toBe('“Cable” for Tam. No gate moves.'))
  expect(server.rows.step.find((one) => one.id === 'Cable')?.wantedPersonId).toBe('tam')
  // There is nobody to the left of Ida.
  const count = server.changes.length
  alt('Alpha', 'ArrowLeft')
  await flushPromises()
  expect(server.changes).toHaveLength(count)
})

it('is left as it was where a step waits for the other, or cannot be earlier', async () => {
  const { server } = await today((rows) => {
    add(rows, 'link', 'l', { fromJobId: 'Alpha', toJobId: 'Bravo' })
    rows.step = rows.step.map((one) =>
      one.id === 'Cable' ? { ...one, wantedPersonId: 'tam', skill: 'rigging' } : one,
    )
    rows.person = rows.person.map((one) =>
      one.id === 'tam' ? { ...one, skills: ['rigging'] } : one,
    )
  })
  alt('Bravo', 'ArrowUp')
  await vi.waitFor(() =>
    expect(said()).toBe('“Bravo” waits for “Alpha”: it cannot come before it.'),
  )
  alt('Cable', 'ArrowLeft')
  await vi.waitFor(() =>
    expect(said()).toBe(
      'Left as it was: Ida does not come to “Cable” today, by skill, hours or what else is theirs.',
    ),
  )
  expect(server.changes).toEqual([])
})

it('is shown first where a gate is later for it', async () => {
  // Five hours and four of a day of eight: what is second is finished on Sunday.
  const { server } = await today((rows) => {
    add(rows, 'gate', 'soon', { name: 'Trial', kind: 'asap' })
    rows.job = rows.job.map((one) => (one.id === 'Alpha' ? { ...one, gateId: 'soon' } : one))
    rows.step = rows.step
      .filter((one) => one.id !== 'Cable')
      .map((one) => ({ ...one, hoursLikely: one.id === 'Alpha' ? 5 : 4 }))
  })
  expect(order()).toEqual(['Alpha', 'Bravo'])
  alt('Alpha', 'ArrowDown')
  await vi.waitFor(() => expect(words()).toMatch(/Trial.{0,40}1 day later/))
  expect(words()).toContain('“Alpha” after “Bravo”')
  expect(server.changes).toEqual([])
  await press('Leave it')
  expect(server.changes).toEqual([])
  alt('Alpha', 'ArrowDown')
  await vi.waitFor(() => expect(words()).toMatch(/Trial.{0,40}1 day later/))
  await press('Do it')
  await vi.waitFor(() => expect(server.rows.dayPlan[0]?.stepOrder).toEqual(['Bravo', 'Alpha']))
})

it('is dragged to where it is dropped, and said on the way', async () => {
  Element.prototype.setPointerCapture = () => undefined
  const { server } = await today()
  const list = lineOf('Cable').parentElement as HTMLElement
  const top = (title: string) => Number.parseFloat(lineOf(title).style.top)
  // Its name alone is pressed, and opens it.
  goes('pointerdown', lineOf('Cable').querySelector('a') as Element, [400, top('Cable') + 10])
  goes('pointermove', list, [402, top('Cable') + 10])
  goes('pointerup', list, [402, top('Cable') + 10])
  goes('pointerdown', lineOf('Cable'), [400, top('Cable') + 10])
  goes('pointermove', list, [400, top('Cable') + 14])
  goes('pointermove', list, [400, top('Alpha') + 1])
  await flushPromises()
  expect(words()).toContain('before “Alpha”')
  goes('pointerup', list, [400, top('Alpha') + 1])
  await vi.waitFor(() =>
    expect(server.rows.dayPlan[0]?.stepOrder).toEqual(['Cable', 'Alpha', 'Bravo']),
  )
  // On its own place it stays, and so it does where it is let go of.
  const count = server.changes.length
  goes('pointerdown', lineOf('Bravo'), [400, top('Bravo') + 10])
  goes('pointermove', list, [400, top('Bravo') + 25])
  await flushPromises()
  expect(words()).toContain('stays')
  goes('pointerup', list, [400, top('Bravo') + 25])
  goes('pointerdown', lineOf('Bravo'), [400, top('Bravo') + 10])
  goes('pointermove', list, [400, top('Cable') + 1])
  goes('pointercancel', list, [400, top('Cable') + 1])
  await flushPromises()
  expect(server.changes).toHaveLength(count)
})

it('is asked for in words where a finger stays on it', async () => {
  const { server } = await today()
  goes('pointerdown', lineOf('Cable'), [400, 300], 'touch')
  await new Promise((after) => setTimeout(after, 600))
  await flushPromises()
  expect(words()).toContain('Move “Cable”')
  // Leaving it neither opens the step behind the question, nor asks what else a link can do.
  const left = (kind: string) => {
    const event = new MouseEvent(kind, { bubbles: true, cancelable: true })
    lineOf('Cable').querySelector('a')?.dispatchEvent(event)
    return event.defaultPrevented
  }
  expect([left('contextmenu'), left('click')]).toEqual([true, true])
  await typeIn('Today it comes', 'Alpha')
  await press('Move it')
  await vi.waitFor(() =>
    expect(server.rows.dayPlan[0]?.stepOrder).toEqual(['Cable', 'Alpha', 'Bravo']),
  )
  goes('pointerdown', lineOf('Bravo'), [400, 300], 'touch')
  await new Promise((after) => setTimeout(after, 600))
  await flushPromises()
  await typeIn('Kept for', 'tam')
  await press('Move it')
  await vi.waitFor(() => expect(said()).toMatch(/^“Bravo” for Tam/))
})

/** Fourteen short steps of Ida's in the cockpit. */
const crowded = () =>
  today((rows) => {
    rows.step.length = 0
    add(rows, 'zone', 'cockpit', { name: 'Cockpit', order: 'a' })
    job(rows, 'Bits', { gateId: 'sail', zoneId: 'cockpit', order: 'a' })
    for (let n = 10; n < 24; n++)
      step(rows, 'Bits', `bit${n}`, {
        title: `Bit ${n}`,
        hoursLikely: 0.25,
        operation: 'fit',
        wantedPersonId: 'ida',
        order: `${n}`,
      })
  })
const tie = () =>
  [...document.querySelectorAll('button')].find((one) =>
    one.getAttribute('aria-label')?.startsWith('13 short steps, Cockpit'),
  )

it('ties short steps of a crowded day to one pin, which opens them', async () => {
  await crowded()
  // The next one stands by itself.
  expect(order()).toEqual(['Bit 10'])
  expect(tie()?.getAttribute('aria-label')).toMatch(
    /, 3 h 15: Bit 11, Bit 12, .*Bit 23\. One by one\.$/,
  )
  // Down from the step leads to it.
  lineOf('Bit 10').querySelector('a')?.focus()
  document.activeElement?.dispatchEvent(
    new KeyboardEvent('keydown', { key: 'ArrowDown', bubbles: true }),
  )
  expect(document.activeElement).toBe(tie())
  tie()?.click()
  await vi.waitFor(() => expect(document.activeElement?.textContent?.trim()).toBe('Bit 11'))
  expect(order()).toHaveLength(14)
  expect(tie()).toBeUndefined()
})

it('has a line on paper for every step, drawn when the paper is taken, and is tied again after it', async () => {
  await crowded()
  let onPaper: unknown = null
  vi.stubGlobal('print', () => (onPaper = [order().length, tie()]))
  await press('Print the day')
  await vi.waitFor(() => expect(onPaper).toEqual([14, undefined]))
  window.dispatchEvent(new Event('afterprint'))
  await flushPromises()
  expect(tie()).toBeDefined()
  window.dispatchEvent(new Event('beforeprint'))
  await flushPromises()
  expect([order().length, tie()]).toEqual([14, undefined])
})

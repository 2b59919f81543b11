/** The last call of a day: said, left with a reason, and gone with it. */
import { flushPromises, mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import { add, emptyRefit, job, step } from '#core/testing/build'
import { keepPlan } from '#core/testing/keptPlan'
import { components } from './components'
import { openOn } from './fakeServer'

const at = (hour: number) => Date.UTC(2027, 3, 17, hour)

/** A bilge that is shut today over a soft frame. */
async function today() {
  const rows = emptyRefit()
  add(rows, 'zone', 'bilge', { name: 'Bilge', order: 'a' })
  add(rows, 'finding', 'soft', { title: 'Soft frame', zoneId: 'bilge', severity: 3 })
  job(rows, 'sole', { zoneId: 'bilge' })
  const down = step(rows, 'sole', 'down', { title: 'Sole down', operation: 'close' })
  keepPlan(rows, at(7), { down: { segments: [[at(9), at(12)]] } })
  const { server } = await openOn(rows)
  const page = mount(components.DayLastCalls, {
    props: { steps: [down] },
    attachTo: document.body,
  })
  const press = async (name: string) => {
    const buttons = [...document.querySelectorAll('button')]
    buttons.findLast((one) => one.textContent?.trim() === name)?.click()
    await flushPromises()
  }
  return { server, page, press }
}

it('is said, and left only with a reason', async () => {
  const { server, page, press } = await today()
  expect(page.text()).toContain(
    'Last call before “Sole down” (sole) on Sat 17 Apr, Bilge: found: Soft frame',
  )
  await press('Leave it')
  await press('Leave it')
  expect(document.body.textContent).toContain('Say why it may stay as it is.')
  expect(server.changes).toEqual([])
  const why = document.querySelector<HTMLInputElement>('[role=dialog] input')
  if (!why) throw new Error('nothing asks why')
  why.value = 'Surveyor looks in May'
  why.dispatchEvent(new Event('input'))
  why.dispatchEvent(new Event('change'))
  await flushPromises()
  await press('Leave it')
  expect(server.rows.orderKept).toMatchObject([
    { rule: 41, because: 'Surveyor looks in May', at: at(7) + 1_800_000 },
  ])
  expect(page.text()).not.toContain('Last call')
  page.unmount()
})

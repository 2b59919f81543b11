/** Ticks that come faster than the server answers: each builds on the one before, and none is lost. */
import { flushPromises, mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import { defineComponent, ref } from 'vue'
import { add, emptyRefit, person } from '#core/testing/build'
import { useDay } from '../../app/composables/useDay'
import RowField from '../../app/components/ui/RowField.vue'
import { useRows } from '../../app/composables/useRows'
import { openOn } from './fakeServer'

it('keeps every weekday of a row of quick ticks', async () => {
  const rows = emptyRefit()
  const yard = add(rows, 'place', 'yard', { name: 'Yard', kind: 'yard', shutWeekdays: [7] })
  const { server } = await openOn(rows)
  const { tick } = useRows('place')
  await Promise.all([3, 1, 7, 2, 3].map((day) => tick(yard, 'shutWeekdays', day)))
  // On three and off again, seven off.
  expect(server.rows.place[0]?.shutWeekdays).toEqual([1, 2])
})

it('builds on what stands once a tick was refused', async () => {
  const rows = emptyRefit()
  const yard = add(rows, 'place', 'yard', { name: 'Yard', kind: 'yard', shutWeekdays: [1] })
  const { server, store } = await openOn(rows)
  const { tick } = useRows('place')
  server.refusal = { status: 422, problem: { code: 'rule', message: 'Not on a Monday.' } as never }
  await tick(yard, 'shutWeekdays', 2)
  server.refusal = null
  await tick(store.rows.place[0] ?? yard, 'shutWeekdays', 3)
  expect(server.rows.place[0]?.shutWeekdays).toEqual([1, 3])
})

it('puts two people down for one day, as one plan of that day', async () => {
  const rows = emptyRefit()
  for (const id of ['ann', 'bo']) person(rows, id, [1], '08:00', '17:00')
  const { server } = await openOn(rows)
  let day: ReturnType<typeof useDay> | null = null
  const page = mount(
    defineComponent({
      setup() {
        // A Saturday: nobody comes by the week.
        day = useDay(ref('2027-04-17'))
        return () => null
      },
    }),
  )
  void day!.comes('ann')
  await day!.comes('bo')
  await flushPromises()
  expect(server.rows.dayPlan.map((one) => one.personIds)).toEqual([['ann', 'bo']])
  page.unmount()
})

it('keeps every tick of a field of choices, and shows each at once', async () => {
  const rows = emptyRefit()
  const ann = person(rows, 'ann', [1], '08:00', '17:00')
  const { server, store } = await openOn(rows)
  const page = mount(RowField, {
    props: { entity: 'person', row: ann, field: 'skills' },
    attachTo: document.body,
  })
  const box = (label: string) =>
    page
      .findAll('label')
      .find((one) => one.text().toLowerCase() === label)!
      .get<HTMLInputElement>('input')
  void box('rigging').setValue(true)
  await page.vm.$nextTick()
  expect(box('rigging').element.checked).toBe(true)
  void box('woodwork').setValue(true)
  await flushPromises()
  await store.settled()
  expect(server.rows.person[0]?.skills).toEqual(['rigging', 'woodwork'])
  page.unmount()
})

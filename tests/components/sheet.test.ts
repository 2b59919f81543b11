/** An as-built sheet: readings are judged by their limits, also when they are typed faster than the answers come. */
import { flushPromises } from '@vue/test-utils'
import { expect, it } from 'vitest'
import { ref } from 'vue'
import { add, emptyRefit, job } from '#core/testing/build'
import { useSheet } from '../../app/composables/useSheet'
import { openOn } from './fakeServer'
import { inSetup } from './inSetup'

async function opened() {
  const rows = emptyRefit()
  job(rows, 'deck')
  add(rows, 'asBuiltSheet', 'sheet', { title: 'Deck', jobId: 'deck', order: 'a' } as never)
  add(rows, 'asBuiltSheet', 'other', { title: 'Other', order: 'b' } as never)
  for (const [id, order] of [
    ['second', 'b'],
    ['first', 'a'],
  ] as const) {
    add(rows, 'asBuiltTest', id, { sheetId: 'sheet', what: id, order } as never)
    add(rows, 'asBuiltLine', `line-${id}`, { sheetId: 'sheet', what: id, order } as never)
  }
  add(rows, 'asBuiltTest', 'theirs', { sheetId: 'other', what: 'theirs', order: 'a' } as never)
  const { server, store } = await openOn(rows)
  const { made } = inSetup(() => useSheet(ref('sheet')))
  const test = (id: string) => store.rows.asBuiltTest.find((one) => one.id === id)!
  return { server, store, made, test }
}

it('has its own tests and lines in their order', async () => {
  const { made } = await opened()
  expect(made.sheet.value?.title).toBe('Deck')
  expect(made.tests.value.map((one) => one.id)).toEqual(['first', 'second'])
  expect(made.lines.value.map((one) => one.id)).toEqual(['line-first', 'line-second'])
})

it('judges a reading by limits typed a moment before, whose answer has not come', async () => {
  const { server, made, test } = await opened()
  const stale = test('first')
  let answer = () => {}
  const fetched = globalThis.fetch
  globalThis.fetch = (async (...asked: Parameters<typeof fetch>) => {
    const given = await fetched(...asked)
    await new Promise<void>((go) => (answer = go))
    return given
  }) as typeof fetch
  const high = made.editTest(stale, { readHigh: 20 })
  const read = made.editTest(stale, { reading: 25 })
  await flushPromises()
  answer()
  await high
  await flushPromises()
  answer()
  await read
  globalThis.fetch = fetched
  expect(test('first')).toMatchObject({ readHigh: 20, reading: 25, outcome: 'failed' })
  expect(server.changes.map((one) => one.items[0])).toMatchObject([
    { patch: { readHigh: 20 }, baseVersion: 1 },
    { patch: { reading: 25, outcome: 'failed' }, baseVersion: 2 },
  ])
  await made.editTest(test('first'), { reading: 15 })
  expect(test('first').outcome).toBe('passed')
  // What somebody says of it by hand is not judged over.
  await made.editTest(test('first'), { reading: 30, outcome: 'passed' })
  expect(test('first').outcome).toBe('passed')
})

it('without limits is what somebody says it is', async () => {
  const { made, test } = await opened()
  const before = test('second').outcome
  await made.editTest(test('second'), { reading: 25 })
  expect(test('second')).toMatchObject({ reading: 25, outcome: before })
  await made.remove('asBuiltTest', test('second'))
  expect(made.tests.value.map((one) => one.id)).toEqual(['first'])
})

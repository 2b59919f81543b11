/** A sum on its page: what it begins with, what is typed, what is kept in the address, and the search beside it. */
import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { add, emptyRefit, job } from '#core/testing/build'
import type { Building } from '#core/testing/build'
import { sumOf } from '#core/bench/sums'
import type { Sum } from '#core/bench/sum'
import { useSum } from '../../app/composables/useSum'
import { useTimeStore } from '../../app/stores/time'
import { openOn } from './fakeServer'
import { inSetup } from './inSetup'
import { goingTo, route, routerOf } from './setup'
import { HomeWorker, withWorkers } from './workers'

const replaced = vi.fn()
const leaves: (() => void)[] = []
beforeEach(() => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
  replaced.mockClear()
  route.query = {}
  vi.stubGlobal('useRouter', () => routerOf(replaced))
})
afterEach(() => {
  leaves.splice(0).forEach((leave) => leave())
  vi.useRealTimers()
})

async function page(key: string, query: object = {}, fill: (rows: Building) => void = () => {}) {
  const rows = emptyRefit()
  job(rows, 'lid', { title: 'Lid' })
  fill(rows)
  withWorkers()
  await openOn(rows)
  useTimeStore().now = Date.UTC(2027, 3, 17, 7, 30)
  route.query = query as never
  const { made, leave } = inSetup(() => useSum(sumOf(key) as Sum))
  leaves.push(leave)
  const rest = async (ms: number) => {
    await vi.advanceTimersByTimeAsync(ms)
    await flushPromises()
  }
  return { made, leave, rest }
}
const address = () => JSON.parse(replaced.mock.calls.at(-1)?.[0].query.v as string) as object

it('begins with the air of the hour, and works as it is typed', async () => {
  // The mean of every month is 20 °C: 1 + 1.5 × (28 − 20) ÷ 16 = 1.75 % of 500 g.
  const { made, rest } = await page('catalyst')
  expect(made.values.tempC).toBe(20)
  expect(made.answer.value?.heading).toMatch(/^1\.8 %: 8\.8 g/)
  expect(made.known).toEqual({})
  made.put('mass', 1000)
  await flushPromises()
  expect(made.answer.value?.heading).toMatch(/^1\.8 %: 17\.5 g/)
  expect([made.known, made.isDoubtOld.value]).toEqual([{ mass: true }, true])
  await rest(200)
  expect(made.isDoubtOld.value).toBe(false)
  await rest(200)
  expect(replaced).toHaveBeenCalledOnce()
  expect(address()).toEqual({ v: { mass: 1000 }, k: ['mass'] })
  // The same again is nothing new; back to a guess it is not said to be known.
  made.put('mass', 1000)
  await rest(400)
  expect(replaced).toHaveBeenCalledOnce()
  made.setKnown('mass', false)
  await rest(400)
  expect(address()).toEqual({ v: { mass: 1000 }, k: [] })
})

it('says at its field what cannot be worked, and leaves the answer before to be seen as of before', async () => {
  const { made } = await page('catalyst')
  const good = made.lastGood.value
  made.put('high', 0.5)
  await flushPromises()
  expect(made.wrong.value).toBe('The most is less than the least.')
  expect(made.problemAt('high')).toBe('More than the least, please.')
  expect(made.problemAt('low')).toBe('')
  expect([made.answer.value, made.lastGood.value]).toEqual([null, good])
  made.put('high', 2.5)
  made.setUnread('mass', '“lots” is not a weight.')
  await flushPromises()
  expect([made.wrong.value, made.answer.value]).toEqual(['“lots” is not a weight.', null])
  expect(made.unreadAt('mass')).toBe('“lots” is not a weight.')
  made.setUnread('mass', '')
  expect(made.answer.value).not.toBeNull()
})

it('begins with what its address says, and with nothing of one that cannot be read', async () => {
  const v = JSON.stringify({ v: { mass: 800, tempC: 'warm', other: 1 }, k: ['mass', 7] })
  const { made } = await page('catalyst', { v })
  expect([made.values.mass, made.values.tempC]).toEqual([800, 20])
  expect(made.known).toEqual({ mass: true })
  expect(Object.keys(made.values)).not.toContain('other')
  const broken = await page('catalyst', { v: '{"v":' })
  expect([broken.made.values.mass, broken.made.known]).toEqual([500, {}])
  const nothing = await page('catalyst', { v: 'null' })
  expect(nothing.made.values.mass).toBe(500)
})

it('writes nothing into the address of another page, nor while somebody is going there', async () => {
  const { made, rest } = await page('catalyst')
  made.put('mass', 700)
  goingTo.forEach((told) => told({ path: '/r/r/bench/metals-that-meet' }))
  await rest(400)
  expect(replaced).not.toHaveBeenCalled()
  const { made: next, rest: later } = await page('catalyst')
  next.put('mass', 700)
  const here = route.path
  route.path = '/r/r/bench/metals-that-meet'
  await later(400)
  route.path = here
  expect(replaced).not.toHaveBeenCalled()
  next.put('mass', 800)
  await later(400)
  expect(replaced).toHaveBeenCalledOnce()
})

it('begins with the answer that is kept for its job, and goes to another job’s', async () => {
  const kept = (rows: Building) => {
    job(rows, 'other', { title: 'Other' })
    for (const [id, jobId, mass] of [
      ['one', 'lid', 700],
      ['none', null, 300],
    ] as const)
      add(rows, 'keptSum', id, {
        sumKey: 'catalyst',
        jobId,
        inputs: { mass },
        known: { mass: true },
        keptAt: 0,
      } as never)
  }
  const of = await page('catalyst', { job: 'lid' }, kept)
  expect([of.made.values.mass, of.made.known, of.made.kept.value?.id]).toEqual([
    700,
    { mass: true },
    'one',
  ])
  of.made.setJob('other')
  expect([of.made.kept.value, of.made.jobId.value]).toEqual([null, 'other'])
  const none = await page('catalyst', { kept: 'none' }, kept)
  expect([none.made.values.mass, none.made.kept.value?.id, none.made.jobId.value]).toEqual([
    300,
    'none',
    '',
  ])
  const opened = await page('catalyst', { kept: 'one' }, kept)
  expect([opened.made.jobId.value, opened.made.values.mass]).toEqual(['lid', 700])
})

it('moves what is known of a line with it, and what could not be read', async () => {
  const { made, rest } = await page('from-a-sheet')
  made.put('pieces.0.long', 910)
  made.setUnread('pieces.2.long', '“?” is not a length.')
  const [first, second, third] = made.values.pieces as never[]
  made.setLines('pieces', [third, first, second] as never, [2, 0, 1])
  await flushPromises()
  expect(made.known).toEqual({ 'pieces.1.long': true })
  expect([made.unreadAt('pieces.0.long'), made.unreadAt('pieces.2.long')]).toEqual([
    '“?” is not a length.',
    '',
  ])
  made.setLines('pieces', [first] as never, [1])
  expect([made.known, made.wrong.value]).toEqual([{ 'pieces.0.long': true }, ''])
  await rest(400)
  expect(address()).toMatchObject({ k: ['pieces.0.long'] })
})

it('takes pieces of the shelf that share a word with what is cut, until its list was changed by hand', async () => {
  const { made } = await page('from-a-sheet', {}, (rows) => {
    const lot = { isOffcut: true, quantity: 1, unit: 'piece', placeId: null } as const
    for (const [id, name] of [
      ['ply', 'Marine ply 9 mm'],
      ['teak', 'Teak board'],
    ] as const)
      add(rows, 'stock', id, { name, longMm: 800, wideMm: 400, bin: 'A', ...lot } as never)
  })
  const names = () => (made.values.stock as { name: string }[]).map((one) => one.name)
  expect(names()).toEqual(['Marine ply 9 mm, A'])
  made.put('what', 'teak')
  await flushPromises()
  expect(names()).toEqual(['Teak board, A'])
  made.put('stock.0.long', 700)
  made.put('what', 'marine ply')
  await flushPromises()
  expect(names()).toEqual(['Teak board, A'])
})

it('searches beside the page as long as its figures stand, and ends with the page', async () => {
  const { made, rest, leave } = await page('from-a-sheet')
  const score = made.answer.value?.score ?? 0
  const found = (by: number) => ({
    ...made.answer.value,
    heading: `found ${by}`,
    score: score + by,
  })
  let tell: (progress: object) => unknown = () => undefined
  withWorkers({
    search: (...[, , , , told]) => {
      tell = told as never
      return new Promise(() => undefined)
    },
  })
  made.put('kerf', 4)
  await rest(300)
  await vi.waitFor(() => expect(HomeWorker.asked).toEqual(['search']))
  await vi.waitFor(async () => {
    await tell({ share: 0.25, answer: found(-1) })
    expect(made.search.share.value).toBe(0.25)
  })
  expect(made.answer.value?.heading).toBe('found -1')
  // What is no better takes no place.
  await tell({ share: 0.5, answer: found(-0.5) })
  expect([made.search.share.value, made.answer.value?.heading]).toEqual([0.5, 'found -1'])
  made.put('kerf', 5)
  await rest(300)
  expect(HomeWorker.made.map((one) => one.isEnded)).toEqual([true, false])
  expect([made.search.share.value, made.search.best.value]).toEqual([0, null])
  leave()
  expect(HomeWorker.made.every((one) => one.isEnded)).toBe(true)
})

it('searches for nothing where the sum is worked at once, and says why a search broke off', async () => {
  const plain = await page('catalyst')
  await plain.rest(400)
  expect([plain.made.search.running.value, HomeWorker.made]).toEqual([null, []])
  const { made, rest } = await page('from-a-sheet')
  withWorkers({ search: () => Promise.reject(new Error('No memory is left.')) })
  made.put('kerf', 4)
  await rest(300)
  await vi.waitFor(() => expect(made.search.wrong.value).toBe('No memory is left.'))
  expect(made.search.running.value).toBeNull()
})

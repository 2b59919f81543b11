/** Pictures of one spot: laid beside each other as they open, named by a press, and taken again at the next stage. */
import { flushPromises } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { add, emptyRefit, job, step } from '#core/testing/build'
import type { Building } from '#core/testing/build'
import { usePictureStore } from '../../app/stores/pictures'
import { press, words } from './byName'
import { onPage } from './page'

const day = (date: number) => Date.UTC(2027, 3, date, 12)
const kept = (hash: string) => ({
  hash: hash.repeat(64),
  mime: 'image/webp',
  widthPx: 40,
  heightPx: 30,
})
async function onJob(fill: (rows: Building) => void = () => undefined) {
  const rows = emptyRefit()
  job(rows, 'deck', { title: 'Deck' })
  step(rows, 'deck', 'open', { title: 'Open it', state: 'done', doneAt: day(10) })
  step(rows, 'deck', 'lay', { title: 'Lay plies' })
  add(rows, 'finding', 'soft', { title: 'Soft', jobId: 'deck', state: 'jobMade' })
  const spot = 'Base 3'
  add(rows, 'picture', 'a', {
    ...kept('a'),
    findingId: 'soft',
    takenAt: day(2),
    moment: 'found',
    spot,
  })
  add(rows, 'picture', 'b', { ...kept('b'), jobId: 'deck', takenAt: day(9), moment: 'after', spot })
  add(rows, 'picture', 'c', { ...kept('c'), jobId: 'deck', takenAt: day(5), moment: 'open' })
  add(rows, 'picture', 'd', { ...kept('d'), jobId: 'other', takenAt: day(5), moment: 'open' })
  fill(rows)
  return onPage('job/[job]', rows, { params: { job: 'deck' } })
}
const strip = () => document.querySelector('section[aria-label="Pictures"]') as HTMLElement
const shownIn = (name: string) =>
  [...strip().querySelectorAll(`ul[aria-label="${name}"] img`)].map((one) =>
    one.getAttribute('alt'),
  )
const large = () =>
  [...document.querySelectorAll<HTMLImageElement>('[role="dialog"] img')].map((one) => ({
    hash: one.getAttribute('src')?.at(-1),
    cut: one.style.clipPath,
  }))

it('stand under its name in time, those of the finding with them, and of no other job', async () => {
  await onJob()
  expect(shownIn('Base 3')).toEqual(['Deck, as found', 'Deck, after'])
  expect(strip().querySelectorAll('img')).toHaveLength(3)
})

it('open laid beside the one farthest from it, the earlier on the left', async () => {
  await onJob()
  await press('after, Fri 9 Apr')
  expect(words()).toContain('Fri 2 Apr on the left, Fri 9 Apr on the right')
  // The earlier lies over the newer one, cut away from the right.
  expect(large()).toEqual([
    { hash: 'b', cut: '' },
    { hash: 'a', cut: 'inset(0 50% 0 0)' },
  ])
})

it('of one without a name lie alone until it has one', async () => {
  const { server } = await onJob()
  await press('open, Mon 5 Apr')
  expect(large()).toHaveLength(1)
  await press('Base 3')
  await vi.waitFor(() => expect(large()).toHaveLength(2))
  expect(server.changes.at(-1)?.items).toMatchObject([
    { op: 'patch', entity: 'picture', id: 'c', patch: { spot: 'Base 3' } },
  ])
})

it('are taken again with the name and the next stage; without a name as the work stands', async () => {
  await onJob()
  const added: unknown[] = []
  usePictureStore().add = (_, fields) => {
    added.push(fields)
    return Promise.resolve('sent')
  }
  const send = async (label: string) => {
    const field = strip().querySelector<HTMLInputElement>(`input[aria-label="${label}"]`)
    if (!field) throw new Error(`no ${label}`)
    Object.defineProperty(field, 'files', { value: [new File(['x'], 'x.png')] })
    field.dispatchEvent(new Event('change', { bubbles: true }))
    await flushPromises()
  }
  await send('Base 3 again, after')
  await send('Picture')
  expect(added).toEqual([
    { jobId: 'deck', spot: 'Base 3', moment: 'after' },
    { jobId: 'deck', moment: 'open' },
  ])
})

it('go when they are removed, which undo brings back', async () => {
  const { server } = await onJob()
  await press('open, Mon 5 Apr')
  await press('Remove the picture')
  await vi.waitFor(() => expect(server.changes.at(-1)?.label).toBe('Remove a picture'))
  expect(server.changes.at(-1)?.items).toMatchObject([{ op: 'delete', entity: 'picture', id: 'c' }])
})

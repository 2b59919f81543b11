/** The answer of a sum put on jobs: each has its own, and what cannot be worked goes on none. */
import { flushPromises } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { emptyRefit, job, step } from '#core/testing/build'
import { tick, typeIn, words } from './byName'
import { onPage } from './page'
import { withWorkers } from './workers'

async function opened(sum: string) {
  const rows = emptyRefit()
  for (const id of ['beam', 'shelf']) {
    job(rows, id, { title: `The ${id}` })
    step(rows, id, `glue-${id}`, { title: 'Glue it' })
  }
  withWorkers()
  const { server } = await onPage('bench/[sum]', rows, { params: { sum } })
  const putOn = async (id: string) => {
    await typeIn('Job', id)
    const button = [...document.querySelectorAll('button')].find((one) =>
      /on the job$/.test(one.textContent?.trim() ?? ''),
    )
    button?.click()
    await flushPromises()
  }
  return { server, putOn }
}

it('puts its parts on the job, and the same for another job beside it', async () => {
  const { server, putOn } = await opened('glue-for-a-joint')
  await putOn('beam')
  await vi.waitFor(() => expect(server.rows.keptSum).toHaveLength(1))
  await putOn('shelf')
  await vi.waitFor(() => expect(server.rows.keptSum).toHaveLength(2))
  // 0.12 m² of two faces and a gap of half a millimetre are 137 g: resin, hardener and powder.
  const wanted = (id: string) => server.rows.part.filter((one) => one.jobId === id)
  for (const id of ['beam', 'shelf']) {
    expect(wanted(id).map((one) => one.neededByStepId)).toEqual(Array(3).fill(`glue-${id}`))
    expect(wanted(id).reduce((sum, one) => sum + one.quantity, 0)).toBeCloseTo(0.137, 3)
  }
  // Put there again with twice the width it is the same answer put right; each part is weighed to the gram.
  await typeIn('Joint, wide, mm', '160')
  await putOn('shelf')
  await vi.waitFor(() =>
    expect(wanted('shelf').reduce((sum, one) => sum + one.quantity, 0)).toBeCloseTo(0.274, 2),
  )
  expect(wanted('shelf')).toHaveLength(3)
  expect(wanted('beam').reduce((sum, one) => sum + one.quantity, 0)).toBeCloseTo(0.137, 3)
  expect(server.rows.keptSum).toHaveLength(2)
})

it('puts what is ticked only, and nothing of figures that do not read', async () => {
  const { server, putOn } = await opened('glue-for-a-joint')
  await typeIn('Job', 'beam')
  await tick('Part: Epoxy hardener, 32 g')
  await putOn('beam')
  await vi.waitFor(() => expect(server.rows.keptSum).toHaveLength(1))
  expect(server.rows.part.map((one) => one.name)).toEqual(['Epoxy resin', 'Thickening powder'])
  await typeIn('Joint, wide, mm', 'wide')
  expect(words()).toContain('Nothing can be put on a job until every figure reads.')
  await putOn('beam')
  expect(server.rows.part).toHaveLength(2)
})

/** The list of jobs, grouped as asked. */
import { expect, it } from 'vitest'
import { nextTick, ref } from 'vue'
import { add, emptyRefit, job, step } from '#core/testing/build'
import { useJobLists } from '../../app/composables/useJobLists'
import type { Grouping } from '../../app/composables/useJobLists'
import { usePlannerStore } from '../../app/stores/planner'
import { openOn } from './fakeServer'
import { inSetup } from './inSetup'

async function lists() {
  const rows = emptyRefit()
  add(rows, 'zone', 'stern', { name: 'Stern', order: 'a' })
  add(rows, 'zone', 'bow', { name: 'Bow', order: 'b' })
  add(rows, 'gate', 'sail', { name: 'Sail away', kind: 'asap' })
  job(rows, 'deck', { title: 'Deck', zoneId: 'bow', purpose: 'go', gateId: 'sail' })
  job(rows, 'rot', { title: 'Rot', zoneId: 'bow', purpose: 'float', parentJobId: 'deck' })
  job(rows, 'more', { title: 'More rot', zoneId: 'stern', parentJobId: 'rot', purpose: 'float' })
  job(rows, 'lost', { title: 'Lost', zoneId: 'nowhere', parentJobId: 'gone' })
  job(rows, 'idea', { title: 'Idea', decision: 'later', reason: 'No money.' })
  step(rows, 'deck', 'plies')
  await openOn(rows)
  const basis = (purpose: string, slackDays: number | null) =>
    ({ purpose, severity: 2, spreading: false, slackDays, waitingJobs: 1 }) as const
  usePlannerStore().ranking = [
    { jobId: 'more', score: 3, basis: basis('float', 1) },
    { jobId: 'deck', score: 2, basis: basis('go', null) },
    { jobId: 'rot', score: 1, basis: basis('float', 3) },
    { jobId: 'lost', score: 0, basis: basis('go', 9) },
  ] as never
  const grouping = ref<Grouping>('rank')
  const { made } = inSetup(() => useJobLists(grouping, () => true))
  const seen = async (by: Grouping) => {
    grouping.value = by
    await nextTick()
    return made.groups.value.map((group) => [group.title, group.jobs.map((one) => one.job.id)])
  }
  return { made, seen }
}

it('has those that are open by rank, each with its reason, and what is set aside below', async () => {
  const { made, seen } = await lists()
  expect(await seen('rank')).toEqual([
    ['', ['more', 'deck', 'rot', 'lost']],
    ['Done and set aside', ['idea']],
  ])
  const said = made.groups.value.flatMap((group) =>
    group.jobs.map((one) => [one.rank, one.sentence, one.foundDuring]),
  )
  expect(said[0]?.[1]).toMatch(/^Float, .*, 1 day’s slack, 1 job waits on it\.$/)
  expect(said.map(([rank]) => rank)).toEqual([1, 2, 3, 4, null])
  expect(said[2]?.[2]).toBe('Deck')
  expect(said[4]).toEqual([null, 'No money.', ''])
})

it('has them under their places in their order, those without one last', async () => {
  const { seen } = await lists()
  expect(await seen('zone')).toEqual([
    ['Stern', ['more']],
    ['Bow', ['deck', 'rot']],
    ['No place yet', ['lost', 'idea']],
  ])
  expect(await seen('system')).toEqual([['No system yet', ['more', 'deck', 'rot', 'lost', 'idea']]])
  expect(await seen('gate')).toEqual([
    ['Sail away', ['deck']],
    ['No gate', ['more', 'rot', 'lost', 'idea']],
  ])
  expect(await seen('purpose')).toEqual([
    ['Float', ['more', 'rot']],
    ['Go', ['deck', 'lost', 'idea']],
  ])
})

it('has them under the job that found them, as deep as it goes', async () => {
  const { made, seen } = await lists()
  expect(await seen('found')).toEqual([['', ['deck', 'rot', 'more', 'lost', 'idea']]])
  expect(made.groups.value[0]?.jobs.map((one) => one.depth)).toEqual([0, 1, 2, 0, 0])
})

import { computed } from 'vue'
import type { Ref } from 'vue'
import type { Job } from '#core/model/entities'
import { byId, inOrder } from '#core/model/refit'
import { purposes } from '#core/model/words'
import { prioritySentence, purposeName } from '#core/plan/priority'
import type { PriorityBasis } from '#core/plan/priority'

export const groupings = [
  { value: 'rank', label: 'By rank' },
  { value: 'zone', label: 'By place' },
  { value: 'system', label: 'By system' },
  { value: 'gate', label: 'By gate' },
  { value: 'purpose', label: 'By purpose' },
  { value: 'found', label: 'By what found it' },
] as const
export type Grouping = (typeof groupings)[number]['value']

/** A job as the list shows it. */
export interface ListedJob {
  readonly job: Job
  /** Place in the ranking from 1; null: not open. */
  readonly rank: number | null
  readonly sentence: string
  /** Steps down a tree of found work. */
  readonly depth: number
  /** Title of the job during which it was found; '' when it was planned. */
  readonly foundDuring: string
}
export interface JobGroup {
  readonly key: string
  readonly title: string
  readonly jobs: readonly ListedJob[]
}

/** Jobs grouped as asked; open ones first by rank, then the rest. */
export function useJobLists(grouping: Ref<Grouping>, only: (job: Job) => boolean) {
  const store = useRefitStore()
  const planner = usePlannerStore()

  const basis = computed(
    () => new Map(planner.ranking.map((one, index) => [one.jobId, { ...one, rank: index + 1 }])),
  )
  const titles = computed(() => new Map(store.rows.job.map((job) => [job.id, job.title])))
  const listed = (job: Job): ListedJob => {
    const ranked = basis.value.get(job.id)
    return {
      job,
      rank: ranked?.rank ?? null,
      sentence: sentenceFor(job, ranked?.basis),
      depth: 0,
      foundDuring: titles.value.get(job.parentJobId ?? '') ?? '',
    }
  }
  function sentenceFor(job: Job, found: PriorityBasis | undefined): string {
    if (job.decision !== 'plan') return job.reason || 'Set aside.'
    const state = store.derived.jobs.get(job.id)?.state
    if (state === 'done') return 'Done.'
    return found ? prioritySentence(found) : `${purposeName[job.purpose]}.`
  }
  const sorted = computed(() =>
    inOrder(store.rows.job)
      .filter(only)
      .map((job) => listed(job))
      .sort((a, b) => (a.rank ?? 1e6) - (b.rank ?? 1e6)),
  )

  const groups = computed<JobGroup[]>(() => {
    const { rows } = store
    switch (grouping.value) {
      case 'rank':
        return byRank(sorted.value)
      case 'zone':
        return under(sorted.value, inOrder(rows.zone), (job) => job.zoneId, 'No place yet')
      case 'system':
        return under(sorted.value, inOrder(rows.system), (job) => job.systemId, 'No system yet')
      case 'gate':
        return under(
          sorted.value,
          store.derived.gates.map((one) => one.gate),
          (job) => job.gateId,
          'No gate',
        )
      case 'purpose':
        return under(
          sorted.value,
          purposes.map((id) => ({ id, name: purposeName[id] })),
          (job) => job.purpose,
          '',
        )
      case 'found':
        return [{ key: 'tree', title: '', jobs: tree(sorted.value) }]
    }
  })
  const shown = computed(() => sorted.value.map((one) => one.job))
  return { groups, shown }
}

function byRank(jobs: readonly ListedJob[]): JobGroup[] {
  const open = jobs.filter((one) => one.rank !== null)
  const rest = jobs.filter((one) => one.rank === null)
  return [
    { key: 'open', title: '', jobs: open },
    { key: 'rest', title: 'Done and set aside', jobs: rest },
  ].filter((group) => group.jobs.length > 0)
}

function under(
  jobs: readonly ListedJob[],
  heads: readonly { readonly id: string; readonly name: string }[],
  keyOf: (job: Job) => string | null,
  none: string,
): JobGroup[] {
  const known = new Set(heads.map((head) => head.id))
  return [...heads.map((head) => ({ key: head.id, title: head.name })), { key: '', title: none }]
    .map((head) => ({
      ...head,
      jobs: jobs.filter(({ job }) => {
        const key = keyOf(job)
        return (key !== null && known.has(key) ? key : '') === head.key
      }),
    }))
    .filter((group) => group.jobs.length > 0)
}

/** Jobs under the job during which they were found, as deep as it goes. */
function tree(jobs: readonly ListedJob[]): ListedJob[] {
  const ids = byId(jobs.map((one) => ({ ...one, id: one.job.id })))
  const children = (parentId: string | null, depth: number): ListedJob[] =>
    jobs
      .filter(({ job }) =>
        parentId === null
          ? job.parentJobId === null || !ids.has(job.parentJobId)
          : job.parentJobId === parentId,
      )
      .flatMap((one) => [{ ...one, depth }, ...children(one.job.id, depth + 1)])
  return children(null, 0)
}

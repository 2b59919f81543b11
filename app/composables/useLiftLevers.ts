import { onScopeDispose, ref, shallowRef, watch } from 'vue'
import type { ChangeItem } from '#core/model/changes'
import type { AshoreJob } from '#core/launch/ashoreLeft'
import { workLevers } from '#core/levers/chainLevers'
import type { ChainLever } from '#core/levers/lever'

/** A lever with which some jobs are ready by a lift that are not without it. */
export interface LiftLever {
  readonly lever: ChainLever
  readonly items: readonly ChangeItem[]
  readonly jobIds: ReadonlySet<string>
}

/** So many are tried at a time. */
const mostTried = 20

/**
 * Levers at the work that is late for a lift, each planned with in the worker when somebody asks. What was found is of one
 * plan and one lift: with another it is gone.
 */
export function useLiftLevers(
  haulOutId: () => string,
  liftAt: () => number,
  late: () => readonly AshoreJob[],
) {
  const store = useRefitStore()
  const planner = usePlannerStore()
  const found = shallowRef<readonly LiftLever[]>([])
  /** Still to be tried; null: nobody asked. */
  const left = ref<number | null>(null)
  /** How many were tried, or are to be. */
  const tried = ref(0)
  const failed = ref('')
  let run = 0
  watch([() => `${planner.hash} ${store.plan?.at}`, haulOutId, liftAt], () => {
    run++
    found.value = []
    left.value = null
    failed.value = ''
  })
  async function ask(): Promise<void> {
    const { rows, accepted, zone } = store
    if (!accepted) return
    const mine = ++run
    const [jobs, by, id] = [late(), liftAt(), haulOutId()]
    const stepIds = jobs.flatMap((one) => one.steps.map((step) => step.id))
    const levers = workLevers(rows, accepted, zone, stepIds, zone.dateOf(by)).slice(0, mostTried)
    found.value = []
    failed.value = ''
    tried.value = levers.length
    left.value = levers.length
    try {
      for (const lever of levers) {
        const items = lever.items(newId)
        const ready = await planner.quietReady(items, id, () => mine === run)
        if (mine !== run) return
        left.value--
        const jobIds = new Set(
          jobs.map((one) => one.job.id).filter((job) => (ready?.get(job) ?? Infinity) <= by),
        )
        if (jobIds.size > 0) found.value = [...found.value, { lever, items, jobIds }]
      }
    } catch (error) {
      if (mine !== run) return
      left.value = null
      failed.value = sentenceOf(error)
    }
  }
  onScopeDispose(() => run++)
  return { found, left, tried, failed, ask }
}

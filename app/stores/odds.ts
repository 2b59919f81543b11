import { proxy } from 'comlink'
import { defineStore } from 'pinia'
import { computed, ref, toRaw, watch } from 'vue'
import type { Runs } from '#core/forecast/runs'
import type { ChangeItem } from '#core/model/changes'
import { storedOdds } from '#core/model/odds'
import { isOpen } from '#core/plan/planned'
import { PlannerLink, Superseded } from '~/workers/plannerLink'

/** The same for everybody, so that two windows come to the same odds. */
const seed = 1
/** So many runs are made by themselves once a plan stands, after so long a quiet; and as many where somebody looks closer. */
const [quietRuns, quietMs] = [200, 6000]
export const wholeRuns = 1000
/** Above so many open steps runs are only made when somebody asks. */
const mostQuietSteps = 700

/** When the gates are likely and safe: runs of the accepted plan, kept beside it. */
export const useOddsStore = defineStore('odds', () => {
  const store = useRefitStore()
  const planner = usePlannerStore()
  const time = useTimeStore()
  const toasts = useToastStore()
  /** Share of the runs made; null: none are being made. */
  const progress = ref<number | null>(null)
  const failed = ref('')
  let links: PlannerLink[] = []
  let mine = 0
  let timer: ReturnType<typeof setTimeout> | null = null

  const row = computed(() => store.rows.odds[0] ?? null)
  const stored = computed(() => storedOdds(store.rows))
  /** The plan that stands; '': none, or it is being made anew. */
  const wanted = computed(() =>
    store.plan && !planner.stale ? `${store.plan.inputsHash} ${store.plan.at}` : '',
  )
  /** True when what is stored is of the plan that stands. */
  const isFresh = computed(() => wanted.value !== '' && row.value?.inputsHash === wanted.value)

  /** Leaves the runs that are being made. */
  function cancel(): void {
    mine++
    progress.value = null
    const left = links
    links = []
    for (const one of left) one.close()
  }

  /** Makes so many runs over so many workers and keeps what they come to. Nothing is kept of runs that were left. */
  async function run(runs: number, workers: number): Promise<void> {
    cancel()
    const asked = ++mine
    const accepted = toRaw(store.accepted)
    const of = wanted.value
    if (!accepted || of === '') return
    failed.value = ''
    progress.value = 0
    const rows = plainRows(store.rows)
    const shares = Array.from({ length: workers }, () => 0)
    const tell = (at: number) =>
      proxy((share: number) => {
        shares[at] = share
        if (asked === mine) progress.value = shares.reduce((sum, one) => sum + one, 0) / workers
      })
    links = shares.map(() => new PlannerLink())
    const own = links
    const bound = (at: number) => Math.round((runs * at) / workers)
    try {
      const parts = await Promise.all(
        own.map((link, at) =>
          link.question(rows, (remote) =>
            remote.runs(accepted, { seed, from: bound(at), to: bound(at + 1) }, tell(at)),
          ),
        ),
      )
      const whole = parts.filter((one): one is Runs => one !== null)
      if (asked !== mine || whole.length < workers || !own[0]) return
      const result = await own[0].work(rows, (remote) => remote.odds(accepted, whole))
      if (asked !== mine || of !== wanted.value) return
      await keep(of, result)
    } catch (error) {
      if (error instanceof Superseded) return
      if (asked === mine) failed.value = sentenceOf(error)
    } finally {
      if (asked === mine) cancel()
    }
  }

  async function keep(of: string, result: NonNullable<typeof stored.value>): Promise<void> {
    const patch = { inputsHash: of, seed, at: Math.round(time.now), result }
    const current = row.value
    const item: ChangeItem = current
      ? { op: 'patch', entity: 'odds', id: current.id, baseVersion: current.version, patch }
      : { op: 'create', entity: 'odds', id: 'odds', patch }
    try {
      await store.submitQuietly('Forecast', [item])
    } catch (error) {
      toasts.complain(error)
    }
  }

  /** True where runs are only made when somebody asks for them. */
  const isLarge = computed(() => store.rows.step.filter(isOpen).length > mostQuietSteps)

  /** Runs made by themselves: in one worker, so that the rest of the machine is left to whoever uses it. */
  function runSoon(): void {
    if (timer) clearTimeout(timer)
    timer = null
    if (wanted.value === '' || isFresh.value || !store.connected) return
    if (isLarge.value || !store.rows.step.some(isOpen)) return
    timer = setTimeout(() => {
      // Somebody else's may have come in meanwhile, or a closer look is under way.
      if (!isFresh.value && progress.value === null && !planner.busy) void run(quietRuns, 1)
    }, quietMs)
  }
  watch(
    [wanted, () => store.connected, () => planner.busy],
    ([of], before) => {
      if (of !== before[0] && progress.value !== null) cancel()
      runSoon()
    },
    { immediate: true },
  )

  return { stored, isFresh, isLarge, wanted, progress, failed, run, cancel }
})

import { defineStore } from 'pinia'
import { computed, onScopeDispose, ref, toRaw, watch } from 'vue'
import type { ChangeItem } from '#core/model/changes'
import { storedOdds } from '#core/model/odds'
import type { StoredOdds } from '#core/model/odds'
import { isOpen } from '#core/plan/planned'
import { ForecastCrew, forecastSeed } from '~/workers/forecastCrew'
import type { ForecastAsked } from '~/workers/forecastCrew'
import { Superseded } from '~/workers/plannerLink'

/** So many runs are made by themselves once a plan stands, after so long a quiet; and as many where somebody looks closer. */
const [quietRuns, quietMs] = [200, 6000]
export const wholeRuns = 1000
/** Who looks at the odds is about to ask for a closer look: its first runs are made after so long a quiet. */
const readyMs = 1500
/** Above so many open steps runs are only made when somebody asks. */
const mostQuietSteps = 700

/** When the gates are likely and safe: runs of the accepted plan, kept beside it. */
export const useOddsStore = defineStore('odds', () => {
  const store = useRefitStore()
  const planner = usePlannerStore()
  const time = useTimeStore()
  const toasts = useToastStore()
  const { runsByItself } = useDevice()
  /** Share of the runs made; null: none are being made. */
  const progress = ref<number | null>(null)
  const failed = ref('')
  const crew = new ForecastCrew()
  const workers = Math.min(2, navigator.hardwareConcurrency || 1)
  /** So many views want a closer look to come soon. */
  const lookers = ref(0)
  let mine = 0
  let timer: ReturnType<typeof setTimeout> | null = null
  let readyTimer: ReturnType<typeof setTimeout> | null = null

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
    if (lookers.value > 0) crew.stop()
    else crew.close()
  }

  function asking(runs: number, workers: number): ForecastAsked | null {
    const plan = toRaw(store.accepted)
    const of = wanted.value
    return plan && of !== '' ? { rows: plainRows(store.rows), plan, of, runs, workers } : null
  }

  /** Has the runs that are asked for made, and keeps what they come to. Nothing is kept of runs that were left. */
  async function run(
    asked: ForecastAsked | null,
    make: (
      asked: ForecastAsked,
      onProgress: (share: number) => void,
      isWanted: () => boolean,
    ) => Promise<StoredOdds | null>,
  ): Promise<void> {
    cancel()
    if (!asked) return
    const mineNow = ++mine
    const isWanted = () => mineNow === mine && asked.of === wanted.value
    failed.value = ''
    progress.value = 0
    try {
      const result = await make(
        asked,
        (share) => {
          if (mineNow === mine) progress.value = share
        },
        isWanted,
      )
      if (result && isWanted()) await keep(asked.of, result)
    } catch (error) {
      if (error instanceof Superseded) return
      if (mineNow === mine) failed.value = sentenceOf(error)
    } finally {
      if (mineNow === mine) cancel()
    }
  }
  const runWhole = (): Promise<void> =>
    run(asking(wholeRuns, workers), (asked, onProgress) => crew.odds(asked, onProgress))
  const runQuietly = (): Promise<void> =>
    run(asking(quietRuns, 1), ({ plan, runs }, onProgress, isWanted) =>
      planner.odds(plan, { seed: forecastSeed, from: 0, to: runs }, isWanted, onProgress),
    )

  async function keep(of: string, result: StoredOdds): Promise<void> {
    const patch = { inputsHash: of, seed: forecastSeed, at: Math.round(time.now), result }
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

  /** Runs made by themselves: beside what somebody asks, so that the machine is left to whoever uses it. */
  function runSoon(): void {
    if (timer) clearTimeout(timer)
    timer = null
    if (wanted.value === '' || isFresh.value || !store.connected || !runsByItself.value) return
    if (isLarge.value || !store.rows.step.some(isOpen)) return
    timer = setTimeout(() => {
      // Somebody else's may have come in meanwhile, or a closer look is under way.
      if (!isFresh.value && progress.value === null && !planner.busy) void runQuietly()
    }, quietMs)
  }
  watch(
    [wanted, () => store.connected, () => planner.busy, runsByItself],
    ([of], before) => {
      if (of !== before[0]) {
        if (progress.value === null) crew.stop()
        else cancel()
      }
      runSoon()
    },
    { immediate: true },
  )

  /** Makes the first runs of a closer look, so that it takes little when it is asked for. */
  function getReady(): void {
    if (readyTimer) clearTimeout(readyTimer)
    readyTimer = null
    if (lookers.value === 0 || isLarge.value || progress.value !== null || planner.busy) return
    if (!runsByItself.value) return
    if (!isFresh.value || stored.value?.runs === wholeRuns) return
    readyTimer = setTimeout(() => void begin(), readyMs)
  }
  async function begin(): Promise<void> {
    const asked = asking(wholeRuns, workers)
    if (!asked || progress.value !== null) return
    try {
      await crew.begin(asked)
    } catch (error) {
      if (!(error instanceof Superseded)) failed.value = sentenceOf(error)
    }
  }
  watch([lookers, wanted, isFresh, progress, () => planner.busy], getReady)

  /** Keeps a closer look at hand until what is given back is called. */
  function lookCloser(): () => void {
    lookers.value++
    return () => {
      lookers.value--
      if (lookers.value === 0 && progress.value === null) crew.close()
    }
  }

  onScopeDispose(() => {
    mine++
    if (timer) clearTimeout(timer)
    if (readyTimer) clearTimeout(readyTimer)
    crew.close()
  })

  return {
    stored,
    isFresh,
    isLarge,
    runsByItself,
    wanted,
    progress,
    failed,
    runWhole,
    lookCloser,
    cancel,
  }
})

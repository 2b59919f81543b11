import { proxy } from 'comlink'
import { defineStore } from 'pinia'
import { computed, onScopeDispose, ref, shallowRef, toRaw, watch } from 'vue'
import { supposing } from '#core/model/applyChange'
import type { ChangeItem } from '#core/model/changes'
import type { DecideBy } from '#core/choices/decideBy'
import type { RefitRows } from '#core/model/refit'
import { inputsHash, sameInputs } from '#core/plan/inputsHash'
import { PlansKept } from '#core/plan/plansKept'
import { derive } from '#core/progress/derive'
import { mondayOf } from '#core/time/civil'
import { snapshotFigures } from '#core/week/review'
import type { PlanAnswer } from '~/workers/plannerWork'
import { PlannerLink, Superseded } from '~/workers/plannerLink'
import { plainItems, plannerQuestions } from '~/workers/plannerQuestions'
import type { Afresh } from '~/workers/plannerQuestions'

/** Edits that come in a bunch are planned once. */
const settleMs = 150
/** Whoever changes something plans for every window: one that does not hear of that plan for so long makes its own. */
const theirsMs = 6000
/** A plan of other rows stands for so long before it is made again. */
const rescueMs = 2000
/** It is made again so often, then the note on its age stays. */
const mostLosses = 5

/** How the plan that stands was found is in its own record. */
const unmade = { seed: 1, iterations: 0 } as const

/** Keeps the accepted plan fresh in a worker, and says how the ranking came out. */
export const usePlannerStore = defineStore('planner', () => {
  const store = useRefitStore()
  const time = useTimeStore()
  const toasts = useToastStore()
  const busy = ref(false)
  /** How much of the effort is spent, 0 to 1; null: it has only begun. */
  const progress = ref<number | null>(null)
  /** Why no plan could be made; '': nothing of the kind. */
  const failed = ref('')
  const ranking = shallowRef<PlanAnswer['ranking']>([])
  const planner = new PlannerLink()
  /** "What if" has a planner of its own, so that neither waits for the other. */
  const supposer = new PlannerLink()
  const questions = plannerQuestions(supposer)
  let timer: ReturnType<typeof setTimeout> | null = null
  /** It is the window of whoever changed something last that plans. */
  let isLeft = false
  let run = 0
  /** While a change is made together with its plan, none is made for it. */
  let taking = false
  const decideBy = shallowRef<readonly DecideBy[]>([])
  /** Views that show by when something has to be decided. */
  let lookers = 0
  const kept = new PlansKept<PlanAnswer>()
  /** How often in a row what stands was found to be of other rows, with nothing under way. */
  let losses = 0
  let rescue: ReturnType<typeof setTimeout> | null = null

  const hash = computed(() =>
    store.status === 'ready' ? `${inputsHash(store.rows)}-${store.derived.today}` : '',
  )
  const stale = computed(() => store.plan?.inputsHash !== hash.value)

  /**
   * Makes a change and accepts the very plan that was promised with it, so that what was promised happens. False: it
   * was not made. Where more came of the change than was supposed, the plan is made anew as after any change.
   */
  async function take(label: string, items: readonly ChangeItem[]): Promise<boolean> {
    const given = plainItems(items)
    const before = store.rows
    const promised = await questions.planWith(given)
    taking = promised !== null
    try {
      if (!(await store.attempt(label, given))) return false
      const isAsSupposed = sameInputs(supposing(before, given), store.rows)
      if (promised && isAsSupposed) {
        ranking.value = promised.ranking
        await accept(hash.value, promised, plainRows(store.rows))
        void askDecideBy()
      }
      return true
    } finally {
      taking = false
      if (stale.value || isLeft) planSoon()
    }
  }
  /** Accepts a plan made afresh. False: something changed since it was made. */
  async function takeAfresh({ answer }: Afresh, madeFor: string): Promise<boolean> {
    if (hash.value !== madeFor) return false
    ranking.value = answer.ranking
    await accept(hash.value, answer, plainRows(store.rows))
    return true
  }
  /** By when what is open has to be decided: asked once the plan stands, in the quiet, while somebody looks. */
  async function askDecideBy(): Promise<void> {
    if (lookers === 0) return
    if (store.rows.decision.every((one) => one.decidedOn !== null)) {
      decideBy.value = []
      return
    }
    try {
      const rows = plainRows(store.rows)
      const found = await planner.question(rows, (remote) => remote.decideBy(time.now))
      if (found) decideBy.value = found
    } catch (error) {
      if (!(error instanceof Superseded)) toasts.complain(error)
    }
  }

  /** Keeps the dates of what is to be decided fresh until what comes back is called. */
  function lookAtDecideBy(): () => void {
    // Beside others they are fresh already.
    if (lookers++ === 0 && store.status === 'ready' && !busy.value) void askDecideBy()
    return () => lookers--
  }

  async function replan(): Promise<void> {
    isLeft = false
    const mine = ++run
    const wanted = hash.value
    busy.value = true
    progress.value = null
    try {
      // A plan that still holds is not laid again: opening a view only asks for the order of the jobs.
      const accepted = store.plan?.inputsHash === wanted ? store.accepted : null
      const rows = plainRows(store.rows)
      const { today } = store.derived
      const known = accepted ? null : kept.of(rows, today)
      if (known) {
        failed.value = ''
        ranking.value = known.ranking
        await accept(wanted, known, rows)
        void askDecideBy()
        return
      }
      const told = proxy((share: number) => {
        if (mine === run) progress.value = share
      })
      const { made, standing } = await planner.question(rows, async (remote) => {
        const plan = accepted ? null : await remote.plan(time.now, toRaw(store.accepted), told)
        return {
          made: plan,
          standing: plan ?? (await remote.standing(time.now)),
        }
      })
      if (mine !== run) return
      failed.value = ''
      ranking.value = standing.ranking
      if (made) await accept(wanted, made, rows)
      else if (accepted) {
        kept.keep(rows, today, { ...unmade, plan: accepted, ...standing })
        await keepWeek(false)
      }
      void askDecideBy()
    } catch (error) {
      if (error instanceof Superseded) return
      if (error instanceof ProblemError) toasts.complain(error)
      else failed.value = sentenceOf(error)
    } finally {
      if (mine === run) busy.value = false
    }
  }

  async function accept(wanted: string, answer: PlanAnswer, rows: RefitRows): Promise<void> {
    const { plan, seed, iterations } = answer
    const values = {
      inputsHash: wanted,
      seed,
      iterations,
      at: Math.round(time.now),
      result: plan,
    }
    const current = store.plan
    const item: ChangeItem = current
      ? { op: 'patch', entity: 'plan', id: current.id, baseVersion: current.version, patch: values }
      : { op: 'create', entity: 'plan', id: 'plan', patch: values }
    kept.keep(rows, store.derived.today, answer)
    await store.submitQuietly('Plan', [item])
    await keepWeek(true)
  }

  /** A week keeps the figures of its last accepted plan, for the next to compare. */
  async function keepWeek(planned: boolean): Promise<void> {
    const plan = store.accepted
    const week = mondayOf(store.derived.today)
    const kept = store.rows.weekSnapshot.find((one) => one.week === week)
    if (!plan || (kept && !planned)) return
    const figures = snapshotFigures(store.rows, plan, derive(store.rows, plan, time.now))
    const patch = { week, at: Math.round(time.now), figures }
    const item: ChangeItem = kept
      ? { op: 'patch', entity: 'weekSnapshot', id: kept.id, baseVersion: kept.version, patch }
      : { op: 'create', entity: 'weekSnapshot', id: `week-${week}`, patch }
    await store.submitQuietly('Week', [item])
  }

  function planSoon(): void {
    if (timer) clearTimeout(timer)
    if (taking) return
    const isOpen = hash.value !== ''
    const wasLeft = isLeft
    isLeft = isOpen && store.isTheirs && stale.value && store.accepted !== null
    if (isLeft) {
      // What is under way is of rows that are none any more.
      run++
      planner.stop()
      progress.value = null
      busy.value = true
    } else if (wasLeft && !isOpen) busy.value = false
    if (isOpen) timer = setTimeout(() => void replan(), isLeft ? theirsMs : settleMs)
  }
  watch(hash, planSoon)
  // Their plan came, or this window changed something after all.
  watch([stale, () => store.isTheirs], () => isLeft && planSoon())
  // What is to be decided is no input of the plan: its dates are asked for again by themselves.
  watch([() => store.rows.decision, () => store.rows.option], () => {
    if (store.status === 'ready' && !busy.value) void askDecideBy()
  })
  // Another window's older plan may have come in over this one's: what stands is then of other rows, and nobody is at it.
  watch(
    () => stale.value && !busy.value && failed.value === '' && store.connected && hash.value !== '',
    (left) => {
      if (rescue) clearTimeout(rescue)
      rescue = null
      if (!left) losses = 0
      else if (losses < mostLosses) {
        losses++
        rescue = setTimeout(planSoon, rescueMs)
      }
    },
  )
  // A plan that was made while nobody answered could not be kept.
  watch(
    () => store.connected,
    (back) => back && stale.value && planSoon(),
  )
  onScopeDispose(() => {
    if (timer) clearTimeout(timer)
    if (rescue) clearTimeout(rescue)
    planner.close()
    supposer.close()
  })

  return {
    busy,
    progress,
    failed,
    ranking,
    stale,
    hash,
    decideBy,
    lookAtDecideBy,
    take,
    takeAfresh,
    replan,
    ...questions,
  }
})

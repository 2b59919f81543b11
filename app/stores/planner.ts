import { proxy } from 'comlink'
import type { Remote } from 'comlink'
import { defineStore } from 'pinia'
import { computed, onScopeDispose, ref, shallowRef, toRaw, watch } from 'vue'
import { supposing } from '#core/model/applyChange'
import type { ChanceBought, ChanceWith } from '#core/forecast/chances'
import type { KeepChance } from '#core/forecast/keeps'
import type { ReadyChance } from '#core/forecast/readyChance'
import type { RunsAsked } from '#core/forecast/runs'
import type { ChangeItem } from '#core/model/changes'
import type { DecideBy } from '#core/choices/decideBy'
import type { WaysAsked } from '#core/launchWays/ways'
import type { StoredOdds } from '#core/model/odds'
import type { RefitRows } from '#core/model/refit'
import type { StoredPlan } from '#core/model/stored'
import { inputsHash, sameInputs } from '#core/plan/inputsHash'
import { movedBetween } from '#core/plan/moved'
import type { Moved } from '#core/plan/moved'
import { PlansKept } from '#core/plan/plansKept'
import type { Drag } from '#core/plan/drag'
import { gateEffects } from '#core/plan/effect'
import type { GateEffect } from '#core/plan/effect'
import { sayLeftOut, sayWhatIf } from '#core/plan/whatIf'
import type { DoneToday, Pushed, WhatIf } from '#core/plan/whatIf'
import { sayLack } from '#core/today/lacks'
import { derive } from '#core/progress/derive'
import { mondayOf } from '#core/time/civil'
import { snapshotFigures } from '#core/week/review'
import type { PlanAnswer, Planner, WaysAnswer } from '~/workers/plannerWork'
import { PlannerLink, Superseded } from '~/workers/plannerLink'

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

/** What a change would do, as far as the plan says. */
export interface Consequence {
  readonly said: string
  /** What it leaves without a place; '': nothing. */
  readonly leftOut: string
  readonly effects: readonly GateEffect[]
  readonly pushed: readonly Pushed[]
  readonly today: readonly DoneToday[]
  readonly moved: Moved
}

/** A plan made afresh, and how it differs from the one that stands. */
export interface Afresh {
  readonly answer: PlanAnswer
  readonly consequence: Consequence
}

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

  /** Asks the second planner. A newer question ends this one: then null. */
  async function ask<Answer>(
    question: (remote: Remote<Planner>) => Promise<Answer | null>,
  ): Promise<Answer | null> {
    try {
      return await supposer.question(plainRows(store.rows), question)
    } catch (error) {
      if (error instanceof Superseded) return null
      throw error
    }
  }
  /**
   * What nobody waits for is asked after what somebody does, and once more where that comes in between.
   * Null: it is not wanted any more, or there is no answer.
   */
  async function quietly<Answer>(
    isWanted: () => boolean,
    question: (remote: Remote<Planner>) => Promise<Answer | null>,
  ): Promise<Answer | null> {
    while (isWanted()) {
      await supposer.idle()
      // Somebody else who waited may have been let on first.
      if (supposer.isBusy) continue
      if (!isWanted()) return null
      try {
        return await supposer.question(plainRows(store.rows), question)
      } catch (error) {
        if (!(error instanceof Superseded)) throw error
      }
    }
    return null
  }
  /** What a change would do to the gates and to today. Null: a newer question came. */
  async function consequence(
    items: readonly ChangeItem[],
    onProgress: ((share: number) => void) | null = null,
  ): Promise<Consequence | null> {
    const accepted = toRaw(store.accepted)
    const told = onProgress && proxy(onProgress)
    return said(await ask((remote) => remote.whatIf(time.now, accepted, plain(items), told)))
  }
  /** The same for what is worked out beside what somebody does, as long as it is wanted. */
  async function quietConsequence(
    items: readonly ChangeItem[],
    isWanted: () => boolean,
  ): Promise<Consequence | null> {
    const accepted = toRaw(store.accepted)
    return said(
      await quietly(isWanted, (remote) => remote.whatIf(time.now, accepted, plain(items))),
    )
  }
  /** When each job ashore would be ready for a launch with changes, UTC ms, as long as it is wanted. */
  async function quietReady(
    items: readonly ChangeItem[],
    haulOutId: string,
    isWanted: () => boolean,
  ): Promise<ReadonlyMap<string, number> | null> {
    const accepted = toRaw(store.accepted)
    return quietly(isWanted, (remote) =>
      remote.readyWith(time.now, accepted, plain(items), haulOutId),
    )
  }
  function said(answer: WhatIf | null): Consequence | null {
    if (!answer) return null
    const gates = store.derived.gates.map((one) => one.gate)
    const { clock } = store.derived
    return {
      said: sayWhatIf(answer, gates, clock),
      leftOut: sayLeftOut(answer),
      effects: gateEffects(gates, answer.before, answer.after, clock),
      pushed: answer.pushed,
      today: answer.today,
      moved: answer.moved,
    }
  }
  /**
   * Makes a change and accepts the very plan that was promised with it, so that what was promised happens. False: it
   * was not made. Where more came of the change than was supposed, the plan is made anew as after any change.
   */
  async function take(label: string, items: readonly ChangeItem[]): Promise<boolean> {
    const accepted = toRaw(store.accepted)
    const given = plain(items)
    const before = store.rows
    const promised = await ask((remote) => remote.planWith(time.now, accepted, given))
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
  /** The plan as it would be if nobody had known one before: beside the one that stands, to be taken or left. */
  async function afresh(onProgress: (share: number) => void): Promise<Afresh | null> {
    const known = toRaw(store.accepted)
    if (!known) return null
    const rows = plainRows(store.rows)
    try {
      const answer = await supposer.question(rows, (remote) =>
        remote.plan(time.now, null, proxy(onProgress)),
      )
      if (!answer) return null
      const gates = store.derived.gates.map((one) => one.gate)
      const { clock } = store.derived
      return {
        answer,
        consequence: {
          said: sayWhatIf({ before: known, after: answer.plan }, gates, clock),
          leftOut: sayLeftOut({ before: known, after: answer.plan }),
          effects: gateEffects(gates, known, answer.plan, clock),
          moved: movedBetween(known, answer.plan, clock),
          pushed: [],
          today: [],
        },
      }
    } catch (error) {
      if (error instanceof Superseded) return null
      throw error
    }
  }
  /** Accepts a plan made afresh. False: something changed since it was made. */
  async function takeAfresh({ answer }: Afresh, madeFor: string): Promise<boolean> {
    if (hash.value !== madeFor) return false
    ranking.value = answer.ranking
    await accept(hash.value, answer, plainRows(store.rows))
    return true
  }
  /** Ways to launch, each laid and costed. Null: a newer question came, or there is no launch to come. */
  async function ways(
    asked: WaysAsked,
    onProgress: (share: number) => void,
  ): Promise<WaysAnswer | null> {
    const accepted = toRaw(store.accepted)
    return accepted && ask((remote) => remote.ways(time.now, accepted, asked, proxy(onProgress)))
  }
  /** The same as one sentence about the gates. */
  const whatIf = async (items: readonly ChangeItem[]): Promise<string | null> =>
    (await consequence(items))?.said ?? null
  /** The chance of each gate with a change and without it. Null: a newer question came. */
  async function chances(
    items: readonly ChangeItem[],
    onProgress: (share: number) => void,
  ): Promise<ChanceBought[] | null> {
    const accepted = toRaw(store.accepted)
    return ask((remote) => remote.chances(time.now, accepted, plain(items), proxy(onProgress)))
  }
  /** The chance of each gate with each of several changes, a list a change. Null: a newer question came. */
  async function chancesWithEach(
    ways: readonly (readonly ChangeItem[])[],
    onProgress: (share: number) => void,
  ): Promise<ChanceWith[][] | null> {
    const accepted = toRaw(store.accepted)
    return ask((remote) =>
      remote.chancesWithEach(time.now, accepted, ways.map(plain), proxy(onProgress)),
    )
  }
  /** What a lack does to the gates, ''  for nothing. Null: somebody asks something himself, which comes first. */
  async function lack(items: readonly ChangeItem[]): Promise<string | null> {
    if (supposer.isBusy) return null
    const accepted = toRaw(store.accepted)
    const answer = await ask((remote) => remote.whatIf(time.now, accepted, plain(items)))
    const gates = store.derived.gates.map((one) => one.gate)
    return answer && sayLack(answer, gates, store.derived.clock)
  }
  /** What each step holds up of a gate, asked in the quiet; null: not wanted any more, or no plan stands. */
  async function drags(
    gateId: string,
    stepIds: readonly string[],
    isWanted: () => boolean,
  ): Promise<Drag[] | null> {
    const accepted = toRaw(store.accepted)
    if (!accepted || stepIds.length === 0) return null
    return quietly(isWanted, (remote) => remote.drags(accepted, gateId, [...stepIds]))
  }
  /** How likely steps are all finished by an instant, asked in the quiet; null: not wanted any more, or it cannot be said. */
  async function keeps(
    stepIds: readonly string[],
    until: number,
    isWanted: () => boolean,
  ): Promise<KeepChance | null> {
    const accepted = toRaw(store.accepted)
    return accepted && quietly(isWanted, (remote) => remote.keeps(accepted, [...stepIds], until))
  }
  /**
   * What runs of a plan come to, made in the quiet; null: not wanted any more. The second planner makes them: it is there,
   * and what it has compiled for other questions serves them too.
   */
  async function odds(
    plan: StoredPlan,
    asked: RunsAsked,
    isWanted: () => boolean,
    onProgress: (share: number) => void,
  ): Promise<StoredOdds | null> {
    return quietly(isWanted, async (remote) => {
      let isOver = false
      const told = proxy((share: number) => {
        if (isOver) return
        if (isWanted()) onProgress(share)
        else supposer.stop()
      })
      try {
        const made = await remote.runs(plan, asked, told)
        return made && (await remote.odds(plan, [made]))
      } finally {
        isOver = true
      }
    })
  }
  /** When a step could begin as far as what comes before it goes, asked in the quiet; null: not wanted any more, or not known. */
  async function ready(stepId: string, isWanted: () => boolean): Promise<ReadyChance | null> {
    const accepted = toRaw(store.accepted)
    return accepted && quietly(isWanted, (remote) => remote.ready(accepted, stepId))
  }
  /** Days for which a job can slip in the accepted plan; null: not known. */
  async function slip(gateId: string, jobId: string): Promise<number | null> {
    const accepted = toRaw(store.accepted)
    return accepted && ask((remote) => remote.slip(accepted, gateId, jobId))
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

  // What a form holds is watched, and a watched thing cannot cross to a worker.
  const plain = (items: readonly ChangeItem[]): ChangeItem[] =>
    JSON.parse(JSON.stringify(items)) as ChangeItem[]

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
    whatIf,
    consequence,
    quietConsequence,
    quietReady,
    take,
    afresh,
    takeAfresh,
    ways,
    hash,
    decideBy,
    lookAtDecideBy,
    lack,
    drags,
    keeps,
    ready,
    odds,
    chances,
    chancesWithEach,
    slip,
    replan,
  }
})

/** What the second planner is asked: what would be if something were otherwise. It is not the one that keeps the plan. */
import { proxy } from 'comlink'
import type { Remote } from 'comlink'
import { toRaw } from 'vue'
import type { ChanceBought, ChanceWith } from '#core/forecast/chances'
import type { KeepChance } from '#core/forecast/keeps'
import type { ReadyChance } from '#core/forecast/readyChance'
import type { RunsAsked } from '#core/forecast/runs'
import type { ChangeItem } from '#core/model/changes'
import type { StoredOdds } from '#core/model/odds'
import type { StoredPlan } from '#core/model/stored'
import { gateEffects } from '#core/plan/effect'
import type { GateEffect } from '#core/plan/effect'
import type { Drag } from '#core/plan/drag'
import type { WaysAsked } from '#core/launchWays/ways'
import { movedBetween } from '#core/plan/moved'
import type { Moved } from '#core/plan/moved'
import { sayLeftOut, sayWhatIf } from '#core/plan/whatIf'
import type { DoneToday, Pushed, WhatIf } from '#core/plan/whatIf'
import { sayLack } from '#core/today/lacks'
import { Superseded } from './plannerLink'
import type { PlannerLink } from './plannerLink'
import type { PlanAnswer, Planner, WaysAnswer } from './plannerWork'

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

// What a form holds is watched, and a watched thing cannot cross to a worker.
export const plainItems = (items: readonly ChangeItem[]): ChangeItem[] =>
  JSON.parse(JSON.stringify(items)) as ChangeItem[]

/** Questions to a planner about the refit that is open. Each throws what the worker throws. */
export function plannerQuestions(supposer: PlannerLink) {
  const store = useRefitStore()
  const time = useTimeStore()

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
  /** The very plan that a change was promised with. Null: a newer question came. */
  function planWith(items: readonly ChangeItem[]): Promise<PlanAnswer | null> {
    const accepted = toRaw(store.accepted)
    return ask((remote) => remote.planWith(time.now, accepted, plainItems(items)))
  }
  /** What a change would do to the gates and to today. Null: a newer question came. */
  async function consequence(
    items: readonly ChangeItem[],
    onProgress: ((share: number) => void) | null = null,
  ): Promise<Consequence | null> {
    const accepted = toRaw(store.accepted)
    const told = onProgress && proxy(onProgress)
    return said(await ask((remote) => remote.whatIf(time.now, accepted, plainItems(items), told)))
  }
  /** The same for what is worked out beside what somebody does, as long as it is wanted. */
  async function quietConsequence(
    items: readonly ChangeItem[],
    isWanted: () => boolean,
  ): Promise<Consequence | null> {
    const accepted = toRaw(store.accepted)
    return said(
      await quietly(isWanted, (remote) => remote.whatIf(time.now, accepted, plainItems(items))),
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
      remote.readyWith(time.now, accepted, plainItems(items), haulOutId),
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
    return ask((remote) => remote.chances(time.now, accepted, plainItems(items), proxy(onProgress)))
  }
  /** The chance of each gate with each of several changes, a list a change. Null: a newer question came. */
  async function chancesWithEach(
    ways: readonly (readonly ChangeItem[])[],
    onProgress: (share: number) => void,
  ): Promise<ChanceWith[][] | null> {
    const accepted = toRaw(store.accepted)
    return ask((remote) =>
      remote.chancesWithEach(time.now, accepted, ways.map(plainItems), proxy(onProgress)),
    )
  }
  /** What a lack does to the gates, ''  for nothing. Null: somebody asks something himself, which comes first. */
  async function lack(items: readonly ChangeItem[]): Promise<string | null> {
    if (supposer.isBusy) return null
    const accepted = toRaw(store.accepted)
    const answer = await ask((remote) => remote.whatIf(time.now, accepted, plainItems(items)))
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

  return {
    planWith,
    whatIf,
    consequence,
    quietConsequence,
    quietReady,
    afresh,
    ways,
    lack,
    drags,
    keeps,
    ready,
    odds,
    chances,
    chancesWithEach,
    slip,
  }
}

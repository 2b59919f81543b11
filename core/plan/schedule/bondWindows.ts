import type { Step } from '../../model/entities'
import { byId } from '../../model/refit'
import type { Mend, Placement } from '../../model/stored'
import { hourMs } from '../../time/civil'
import { keyingHours, mendKind, peelPlyHours, shutMend } from '../mends'
import type { StepArc } from '../network'
import type { OpenStep, OpenWork } from './openWork'
import { ceilTick } from './tick'

/** A step held back longer than this for its bond window is dearer than the mend. Assumed: three days. */
const mostHoldMs = 72 * hourMs
/** Steps of a chain looked at together, and times it is laid anew. */
const longestChain = 4
const mostTries = 5

/** How the schedule looks ahead, booking nothing. */
export interface Ahead {
  room(
    activity: OpenStep,
    from: number,
    extraMs: number,
    giveUpAt?: number,
  ): { room: { start: number; finish: number } } | null
  /** Earliest by everything already placed. */
  from(activity: OpenStep): number
}

export interface WindowsKept {
  /** Not before, UTC ms. */
  readonly at: number
  readonly mends: readonly Mend[]
  /** Work that the mends add, for one person, ms. */
  readonly extraMs: number
  /** Step it is held back for; null: not held back. */
  readonly heldFor: string | null
}

interface Link {
  readonly activity: OpenStep
  /** From the one before in the chain; null for the first. */
  readonly arc: StepArc | null
}

/**
 * Bond windows in the schedule. A chain of coats is laid where all its windows hold, if that costs at
 * most three days; where the crew's calendar makes it impossible or dearer, the mend is planned: peel
 * ply on a laminate, washing, keying and wiping before a coat.
 */
export class BondWindows {
  private readonly steps: ReadonlyMap<string, Step>

  constructor(
    private readonly compiled: OpenWork,
    private readonly placements: ReadonlyMap<string, Placement>,
  ) {
    this.steps = byId(compiled.rows.step)
  }

  /** When to place a step, and with which mends, so that the windows before and after it are kept. */
  settle(activity: OpenStep, earliest: number, ahead: Ahead): WindowsKept {
    const { at, peel, heldFor } = this.lookAhead(activity, earliest, ahead)
    const { from, keyed } = this.keyedFrom(activity, at, hoursMs(peel), ahead)
    const mends = [...this.keyingOf(activity, keyed), ...peel]
    return { at: from, mends, extraMs: hoursMs(mends), heldFor }
  }

  /** Keying before a step that takes none of our people, within whose hours it goes. */
  keyedAt(activity: OpenStep, start: number): Mend[] {
    return this.keyingOf(activity, this.shutBy(activity, start)).map((mend) => ({
      ...mend,
      hours: 0,
    }))
  }

  /**
   * Windows that are shut when the step starts, and when that is. Keying makes the work longer, which
   * may let it start earlier by other hands or days; a window that is keyed for stays so, and the step
   * does not start before it is shut.
   */
  private keyedFrom(
    activity: OpenStep,
    at: number,
    peelMs: number,
    ahead: Ahead,
  ): { from: number; keyed: readonly StepArc[] } {
    const keyed = new Set<StepArc>()
    if (activity.before.every((arc) => arc.maxWaitHours === null)) return { from: at, keyed: [] }
    let from = at
    for (;;) {
      const extraMs = peelMs + hoursMs(this.keyingOf(activity, [...keyed]))
      const start = ahead.room(activity, from, extraMs)?.room.start ?? from
      const shut = this.shutBy(activity, start).filter((arc) => !keyed.has(arc))
      const floor = Math.max(from, ...[...keyed].map((arc) => ceilTick((this.shuts(arc) ?? 0) + 1)))
      if (shut.length === 0 && start >= floor) return { from, keyed: [...keyed] }
      for (const arc of shut) keyed.add(arc)
      if (shut.length === 0) from = floor
    }
  }

  /** For the steps that follow through bond windows: hold back, or lay peel ply. */
  private lookAhead(
    activity: OpenStep,
    earliest: number,
    ahead: Ahead,
  ): { at: number; peel: readonly Mend[]; heldFor: string | null } {
    const plain = { at: earliest, peel: [], heldFor: null }
    const chain = this.chainFrom(activity)
    const next = chain[1]
    if (!next?.arc) return plain
    const free = this.lay(chain, [earliest], ahead, null)
    if (!free || free.missed < 0) return plain
    const held = this.holdBack(chain, earliest, free.starts, ahead)
    if (held !== null && this.shutBy(activity, held).length === 0)
      return { ...plain, at: held, heldFor: next.activity.step.id }
    // Only its own window can be mended here; later ones are settled when their turn comes.
    if (free.missed > 0 || mendKind(activity.step) !== 'peelPly') return plain
    const toStepId = next.activity.step.id
    const hours = peelPlyHours(activity.step)
    return {
      ...plain,
      peel: [{ kind: 'peelPly', fromStepId: activity.step.id, toStepId, hours }],
    }
  }

  /** Windows before a step that are shut by a start, and were not covered with peel ply. */
  private shutBy(activity: OpenStep, start: number): readonly StepArc[] {
    return activity.before.filter((arc) => {
      const shuts = this.shuts(arc)
      return shuts !== null && start > shuts
    })
  }

  private keyingOf(activity: OpenStep, arcs: readonly StepArc[]): Mend[] {
    const hours = keyingHours(activity.step)
    return arcs.map((arc) => ({
      kind: shutMend(this.steps.get(arc.from)),
      fromStepId: arc.from,
      toStepId: activity.step.id,
      hours,
    }))
  }

  /** When the window of an arc shuts, UTC ms; null: not known yet, or peel ply keeps it open. */
  private shuts(arc: StepArc): number | null {
    const placed = this.placements.get(arc.from)
    if (placed?.mends?.some((mend) => mend.kind === 'peelPly')) return null
    const finish = placed?.segments.at(-1)?.[1] ?? this.compiled.doneAt.get(arc.from)
    const step = this.steps.get(arc.from)
    return finish === undefined || arc.maxWaitHours === null || !step
      ? null
      : this.shutsAfter(step, finish, arc.maxWaitHours)
  }

  private shutsAfter(step: Step, finish: number, hours: number): number {
    return this.compiled.waits.shuts(step, finish, hours)
  }

  /** The step and those that follow it through bond windows, as far as nothing else is still to be placed. */
  private chainFrom(activity: OpenStep): Link[] {
    const chain: Link[] = [{ activity, arc: null }]
    for (let last = activity; chain.length < longestChain;) {
      const arc = last.after.find((one) => one.maxWaitHours !== null)
      const next = arc ? this.compiled.activities.get(arc.to) : undefined
      if (!arc || !next || next.workMs === 0 || next.booking) break
      const settled = next.before.every(
        (one) =>
          one.from === last.step.id ||
          this.placements.has(one.from) ||
          !this.compiled.activities.has(one.from),
      )
      if (!settled) break
      chain.push({ activity: next, arc })
      last = next
    }
    return chain
  }

  /** Lays a chain, each step not before its floor. `missed`: first link whose window shuts before; -1: none. */
  private lay(
    chain: readonly Link[],
    floors: readonly (number | undefined)[],
    ahead: Ahead,
    free: readonly number[] | null,
  ): { starts: number[]; finishes: number[]; missed: number } | null {
    const starts: number[] = []
    const finishes: number[] = []
    let missed = -1
    for (const [index, { activity, arc }] of chain.entries()) {
      let from = Math.max(floors[index] ?? 0, index === 0 ? 0 : ahead.from(activity))
      const before = finishes[index - 1]
      const previous = chain[index - 1]
      if (arc && before !== undefined && previous)
        from = Math.max(
          from,
          this.compiled.waits.over(previous.activity.step, before, arc.once) +
            arc.minWaitHours * hourMs,
        )
      // What starts more than the hold after its free start is dear, and need not be looked for.
      const latest = free && index > 0 ? (free[index] as number) + mostHoldMs : Infinity
      if (from > latest) return null
      const found = ahead.room(activity, from, 0, latest + activity.workMs)
      if (!found || found.room.start > latest) return null
      starts.push(found.room.start)
      finishes.push(found.room.finish)
      if (
        missed < 0 &&
        arc?.maxWaitHours &&
        previous &&
        before !== undefined &&
        found.room.start > this.shutsAfter(previous.activity.step, before, arc.maxWaitHours)
      )
        missed = index - 1
    }
    return { starts, finishes, missed }
  }

  /** Start of the first step with which all windows of the chain hold; null: none, or too dear. */
  private holdBack(
    chain: readonly Link[],
    earliest: number,
    free: readonly number[],
    ahead: Ahead,
  ): number | null {
    const floors: (number | undefined)[] = [earliest]
    for (let tries = 0; tries < mostTries; tries++) {
      const laid = this.lay(chain, floors, ahead, free)
      if (!laid) return null
      if (laid.missed < 0) return laid.starts[0] as number
      const { missed } = laid
      const limit = chain[missed + 1]?.arc?.maxWaitHours ?? 0
      // It must end so late that the next still falls into its window.
      const length = (laid.finishes[missed] as number) - (laid.starts[missed] as number)
      const wanted = (laid.starts[missed + 1] as number) - limit * hourMs - length
      if (wanted <= (laid.starts[missed] as number)) return null
      floors[missed] = wanted
    }
    return null
  }
}

const hoursMs = (mends: readonly Mend[]): number =>
  mends.reduce((sum, mend) => sum + mend.hours, 0) * hourMs

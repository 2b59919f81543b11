/** Work as planks: what of one job lies close together at one level. */
import type { Job } from '../model/entities'
import { groupBy } from '../model/refit'
import type { StepArc } from '../plan/network'
import { dayMs } from '../time/civil'
import type { Level, Piece, SeamPart } from './pieces'

/** A stretch of one job's work at one level, with its waits. */
export interface Plank {
  readonly key: string
  readonly job: Job
  readonly level: Level
  /** Its step's name when it is one step alone, else its job's. */
  readonly name: string
  /** A shorter name to fall back on; '': there is none. */
  readonly short: string
  readonly from: number
  readonly to: number
  readonly seam: readonly SeamPart[]
  readonly pieces: readonly Piece[]
  readonly byOthers: boolean
  readonly done: boolean
  /** Open person-hours. */
  readonly hours: number
  /** It is part of what holds the gate asked about. */
  readonly binding: boolean
  /** The gate asked about waits for it. */
  readonly ofGate: boolean
  /** The job goes on later at this level. */
  readonly goesOn: boolean
  /** Whole days it can end later before anything that follows it would; null: nothing follows it in the plan. */
  readonly slackDays: number | null
}

/** What the planks of a drawing are read with. */
export interface PlankFacts {
  /** Steps of the chain of the gate asked about. */
  readonly chain: ReadonlySet<string>
  /** Steps it waits for. */
  readonly needed: ReadonlySet<string>
  readonly arcs: readonly StepArc[]
  /** When all that a step's gate waits for is to be ready; null: not known. */
  readonly readyBy: (stepId: string) => number | null
}

/** Pieces of one job at one level, joined while nothing happens for `gapDays` at most. */
function groupsOf(pieces: readonly Piece[], gapDays: number): Piece[][] {
  const groups: Piece[][] = []
  let end = -Infinity
  for (const piece of [...pieces].sort(
    (a, b) => a.from - b.from || (a.step.id < b.step.id ? -1 : 1),
  )) {
    const last = groups.at(-1)
    if (last && piece.from - end <= gapDays * dayMs) last.push(piece)
    else groups.push([piece])
    end = Math.max(end, piece.to)
  }
  return groups
}

/** Days between the end of a plank and the first thing that follows it. */
function slackOf(
  group: readonly Piece[],
  facts: PlankFacts,
  after: ReadonlyMap<string, readonly StepArc[]>,
  starts: ReadonlyMap<string, number>,
): number | null {
  const own = new Set(group.map((piece) => piece.step.id))
  let least = Infinity
  for (const piece of group) {
    if (piece.done) continue
    for (const arc of after.get(piece.step.id) ?? []) {
      const next = starts.get(arc.to)
      if (!own.has(arc.to) && next !== undefined) least = Math.min(least, next - piece.to)
    }
    const ready = facts.readyBy(piece.step.id)
    if (ready !== null) least = Math.min(least, ready - piece.to)
  }
  return least === Infinity ? null : Math.max(0, Math.floor(least / dayMs))
}

/** Planks of a drawing in no order; `gapDays` is the longest gap within one. */
export function planksOf(pieces: readonly Piece[], facts: PlankFacts, gapDays: number): Plank[] {
  const after = groupBy(facts.arcs, (arc) => arc.from)
  const starts = new Map(pieces.filter((one) => !one.done).map((one) => [one.step.id, one.from]))
  const lists = groupBy(pieces, (one) => `${one.job.id} ${one.level} ${one.away}`)
  return [...lists].flatMap(([key, list]) => {
    const groups = groupsOf(list, gapDays)
    return groups.map((group, index): Plank => {
      const [first] = group as [Piece]
      const { job, level } = first
      const open = group.filter((one) => !one.done)
      const binding = group.some((one) => facts.chain.has(one.step.id))
      const alone = group.length === 1
      return {
        key: `${key} ${index}`,
        job,
        level,
        name: alone ? first.step.title : job.title,
        short: job.shortName,
        from: first.from,
        to: Math.max(...group.map((one) => one.to)),
        seam: group.flatMap((one) => one.seam),
        pieces: group,
        byOthers: open.length > 0 && open.every((one) => one.byOthers),
        done: open.length === 0,
        hours: open.reduce((sum, one) => sum + one.hours, 0),
        binding,
        ofGate: binding || group.some((one) => facts.needed.has(one.step.id)),
        goesOn: index < groups.length - 1,
        slackDays: open.length === 0 ? null : slackOf(group, facts, after, starts),
      }
    })
  })
}

/** Work as planks: what of a job lies close together in one strake, packed so that nothing lies on a name. */
import type { Job, Step } from '../model/entities'
import { byId, groupBy } from '../model/refit'
import type { RefitRows } from '../model/refit'
import type { StoredPlan } from '../model/stored'
import type { Strake } from '../model/words'
import { dayMs, hourMs } from '../time/civil'
import { xAt } from './scale'
import type { TimeScale } from './scale'

/** A stretch of one job's work in one strake, with the wait behind it. */
interface Plank {
  readonly key: string
  readonly job: Job
  readonly label: string
  readonly from: number
  readonly to: number
  /** End of the wait behind it; equals `to` without one. */
  readonly waitTo: number
  /** Share of its hours that is done. */
  readonly done: number
  readonly byOthers: boolean
  readonly binding: boolean
  readonly stepIds: readonly string[]
}
/** A plank with its place: lane and drawing units. */
export interface PackedPlank extends Plank {
  readonly lane: number
  readonly x: number
  readonly width: number
  readonly waitWidth: number
  readonly labelInside: boolean
}
export interface StrakeRow {
  readonly strake: Strake
  readonly lanes: number
  readonly planks: readonly PackedPlank[]
}

const topDown: readonly Strake[] = ['away', 'shed', 'rig', 'deck', 'below', 'underwater']
/** Work of one job closer than this is one plank. */
const sameGapMs = 4 * dayMs
/** Width of a letter of a name, and the least width of a plank, drawing units. */
export const letterWidth = 7.3
const leastWidth = 26
/** A longer name is cut; it is read in full on the job. */
export const mostLabelWidth = 140
/** Room of the purpose tile and the edges inside a plank. */
const tileWidth = 30

interface Piece {
  readonly step: Step
  readonly from: number
  readonly to: number
  readonly waitTo: number
  readonly isDone: boolean
}

/** Where and when each step is or was worked on; steps without a place in the plan are left out. */
function piecesOf(rows: Pick<RefitRows, 'step'>, plan: StoredPlan | null): Piece[] {
  const placed = new Map(plan?.placements.map((one) => [one.stepId, one]) ?? [])
  return rows.step.flatMap((step): Piece[] => {
    if (step.state === 'done' && step.doneAt !== null) {
      const length = Math.max(1, step.hoursLikely) * hourMs
      const { doneAt } = step
      return [{ step, from: doneAt - length, to: doneAt, waitTo: doneAt, isDone: true }]
    }
    const one = placed.get(step.id)
    const end = one?.segments.at(-1)?.[1]
    if (!one || end === undefined) return []
    return [
      { step, from: one.segments[0]?.[0] ?? end, to: end, waitTo: one.readyAt, isDone: false },
    ]
  })
}

/**
 * Planks of a stretch of time by strake, the highest first. `chain` are steps that hold the gate; `only`
 * leaves out all others, null leaves out none.
 */
export function strakeRows(
  rows: Pick<RefitRows, 'step' | 'job' | 'zone'>,
  plan: StoredPlan | null,
  scale: TimeScale,
  chain: ReadonlySet<string>,
  only: ReadonlySet<string> | null,
): StrakeRow[] {
  const jobs = byId(rows.job)
  const zones = byId(rows.zone)
  const strakeOf = (step: Step): Strake | null => {
    const job = jobs.get(step.jobId)
    if (!job) return null
    if (step.placeNeed !== 'boat') return step.placeNeed
    return zones.get(job.zoneId ?? '')?.strake ?? 'deck'
  }
  const shown = piecesOf(rows, plan).filter(
    (one) =>
      one.waitTo > scale.from && one.from < scale.to && (only === null || only.has(one.step.id)),
  )
  const byStrake = groupBy(shown, (one) => strakeOf(one.step))
  return topDown.flatMap((strake) => {
    const pieces = byStrake.get(strake)
    if (!pieces) return []
    const planks = [...groupBy(pieces, (one) => one.step.jobId)].flatMap(([jobId, list]) =>
      joined(jobs.get(jobId) as Job, list, chain),
    )
    return [{ strake, ...packed(planks, scale) }]
  })
}

function joined(job: Job, list: readonly Piece[], chain: ReadonlySet<string>): Plank[] {
  const groups: Piece[][] = []
  for (const piece of [...list].sort((a, b) => a.from - b.from)) {
    const last = groups.at(-1)
    const end = last ? Math.max(...last.map((one) => one.to)) : -Infinity
    if (last && piece.from - end <= sameGapMs) last.push(piece)
    else groups.push([piece])
  }
  const hours = (pieces: readonly Piece[]) =>
    pieces.reduce((sum, one) => sum + Math.max(0.1, one.step.hoursLikely), 0)
  return groups.map((group, index) => {
    const to = Math.max(...group.map((one) => one.to))
    return {
      key: `${job.id}-${index}`,
      job,
      label: group.length === 1 ? (group[0]?.step.title ?? job.title) : job.title,
      from: Math.min(...group.map((one) => one.from)),
      to,
      waitTo: Math.max(to, ...group.map((one) => one.waitTo)),
      done: hours(group.filter((one) => one.isDone)) / hours(group),
      byOthers: group.every((one) => one.step.hoursLikely === 0),
      binding: group.some((one) => chain.has(one.step.id)),
      stepIds: group.map((one) => one.step.id),
    }
  })
}

/** First lane in which a plank and its name fit. */
function packed(planks: readonly Plank[], scale: TimeScale): Pick<StrakeRow, 'planks' | 'lanes'> {
  const ends: number[] = []
  const list = [...planks]
    .sort((a, b) => a.from - b.from || (a.key < b.key ? -1 : 1))
    .map((plank): PackedPlank => {
      const x = Math.max(scale.left, xAt(scale, plank.from))
      const width = Math.max(leastWidth, Math.min(scale.right, xAt(scale, plank.to)) - x)
      const waitWidth = Math.max(0, Math.min(scale.right, xAt(scale, plank.waitTo)) - (x + width))
      const label = plank.label.length * letterWidth
      const labelInside = label + tileWidth <= width
      const name = labelInside ? 6 : Math.min(label, mostLabelWidth) + 10
      let lane = ends.findIndex((one) => one <= x)
      if (lane === -1) lane = ends.length
      ends[lane] = x + width + waitWidth + name
      return { ...plank, lane, x, width, waitWidth, labelInside }
    })
  return { planks: list, lanes: Math.max(1, ends.length) }
}

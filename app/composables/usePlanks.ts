import { computed } from 'vue'
import type { Ref } from 'vue'
import type { Job, Step } from '#core/model/entities'
import { byId, groupBy } from '#core/model/refit'
import type { Strake } from '#core/model/words'
import { strakes } from '#core/model/words'
import { dayMs, hourMs } from '#core/time/civil'

/** A stretch of one job's work in one strake, with the wait behind it. */
export interface Plank {
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
export interface PackedPlank extends Plank {
  readonly lane: number
  readonly x: number
  readonly width: number
  readonly waitWidth: number
  readonly labelInside: boolean
}
export interface StrakeRow {
  readonly strake: Strake
  readonly name: string
  readonly lanes: number
  readonly planks: readonly PackedPlank[]
}

const strakeName: Readonly<Record<Strake, string>> = {
  away: 'Away',
  shed: 'Shed',
  rig: 'Rig',
  deck: 'On deck',
  below: 'Below',
  underwater: 'Underwater',
}
const topDown: readonly Strake[] = ['away', 'shed', 'rig', 'deck', 'below', 'underwater']
/** Work of one job closer than this is one plank. */
const sameGapMs = 4 * dayMs
const letterPx = 7.3
const leastPx = 26
/** A longer name is cut; it is read in full on the job. */
export const mostLabelPx = 140

interface Piece {
  readonly step: Step
  readonly from: number
  readonly to: number
  readonly waitTo: number
  readonly isDone: boolean
}

/** The planks of a stretch of time, packed into lanes so that nothing lies on a name. */
export function usePlanks(
  from: Ref<number>,
  to: Ref<number>,
  xOf: (at: number) => number,
  chainSteps: Ref<ReadonlySet<string>>,
  /** Only these steps; null: all. */
  only: Ref<ReadonlySet<string> | null>,
) {
  const store = useRefitStore()
  const zones = computed(() => byId(store.rows.zone))
  const strakeOf = (step: Step, job: Job): Strake => {
    if (step.placeNeed !== 'boat') return step.placeNeed
    return zones.value.get(job.zoneId ?? '')?.strake ?? 'deck'
  }
  const pieces = computed(() => {
    const placed = new Map(store.accepted?.placements.map((one) => [one.stepId, one]) ?? [])
    return store.rows.step.flatMap((step): Piece[] => {
      if (step.state === 'done' && step.doneAt !== null) {
        const length = Math.max(1, step.hoursLikely) * hourMs
        return [
          { step, from: step.doneAt - length, to: step.doneAt, waitTo: step.doneAt, isDone: true },
        ]
      }
      const one = placed.get(step.id)
      const end = one?.segments.at(-1)?.[1]
      if (!one || end === undefined) return []
      return [
        { step, from: one.segments[0]?.[0] ?? end, to: end, waitTo: one.readyAt, isDone: false },
      ]
    })
  })
  const rows = computed<StrakeRow[]>(() => {
    const jobs = byId(store.rows.job)
    const shown = pieces.value.filter(
      (one) =>
        one.waitTo > from.value &&
        one.from < to.value &&
        (only.value === null || only.value.has(one.step.id)),
    )
    const byStrake = groupBy(shown, (one) => {
      const job = jobs.get(one.step.jobId)
      return job ? strakeOf(one.step, job) : null
    })
    return topDown
      .filter((strake) => byStrake.has(strake) && strakes.includes(strake))
      .map((strake) => {
        const planks = [...groupBy(byStrake.get(strake) ?? [], (one) => one.step.jobId)].flatMap(
          ([jobId, list]) => joinPieces(jobs.get(jobId) as Job, list, chainSteps.value),
        )
        const { packed, lanes } = pack(planks, xOf, xOf(from.value), xOf(to.value))
        return { strake, name: strakeName[strake], lanes, planks: packed }
      })
  })
  return { rows }
}

function joinPieces(job: Job, list: readonly Piece[], chain: ReadonlySet<string>): Plank[] {
  const sorted = [...list].sort((a, b) => a.from - b.from)
  const groups: Piece[][] = []
  for (const piece of sorted) {
    const last = groups.at(-1)
    const end = last ? Math.max(...last.map((one) => one.to)) : -Infinity
    if (last && piece.from - end <= sameGapMs) last.push(piece)
    else groups.push([piece])
  }
  return groups.map((group, index) => {
    const hours = (pieces: readonly Piece[]) =>
      pieces.reduce((sum, one) => sum + Math.max(0.1, one.step.hoursLikely), 0)
    const to = Math.max(...group.map((one) => one.to))
    const named = group.length === 1 ? group[0]?.step.title : undefined
    return {
      key: `${job.id}-${index}`,
      job,
      label: named ?? job.title,
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
function pack(
  planks: readonly Plank[],
  xOf: (at: number) => number,
  left: number,
  right: number,
): { packed: PackedPlank[]; lanes: number } {
  const ends: number[] = []
  const packed = [...planks]
    .sort((a, b) => a.from - b.from || (a.key < b.key ? -1 : 1))
    .map((plank) => {
      const x = Math.max(left, xOf(plank.from))
      const width = Math.max(leastPx, Math.min(right, xOf(plank.to)) - x)
      const waitWidth = Math.max(0, Math.min(right, xOf(plank.waitTo)) - (x + width))
      const label = plank.label.length * letterPx
      const labelInside = label + 30 <= width
      const end = x + width + waitWidth + (labelInside ? 6 : Math.min(label, mostLabelPx) + 10)
      let lane = ends.findIndex((one) => one <= x)
      if (lane === -1) lane = ends.length
      ends[lane] = end
      return { ...plank, lane, x, width, waitWidth, labelInside }
    })
  return { packed, lanes: Math.max(1, ends.length) }
}

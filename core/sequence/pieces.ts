/** Where on the boat and when each step is or was worked on. */
import type { Job, Step } from '../model/entities'
import { byId } from '../model/refit'
import type { RefitRows } from '../model/refit'
import type { StoredPlan } from '../model/stored'
import type { Waits } from '../plan/waits'
import { hourMs } from '../time/civil'

/** Levels of the drawing, the highest first. Sheds, trades and deliveries are one. */
export const levels = ['shed', 'rig', 'deck', 'below', 'underwater'] as const
export type Level = (typeof levels)[number]
/** Names of levels where there is little room. */
export const levelShort: Readonly<Record<Level, string>> = {
  shed: 'Shed',
  rig: 'Rig',
  deck: 'Deck',
  below: 'Below',
  underwater: 'Under',
}

/** What happens on a stretch of a seam. */
export type SeamKind = 'hands' | 'waits' | 'earned'
export interface SeamPart {
  readonly from: number
  readonly to: number
  readonly kind: SeamKind
}

/** One step in time. */
export interface Piece {
  readonly step: Step
  readonly job: Job
  readonly level: Level
  readonly away: boolean
  readonly from: number
  /** When it is ready for what follows: its wait over. */
  readonly to: number
  readonly seam: readonly SeamPart[]
  readonly done: boolean
  /** Nobody of the boat's own people works on it. */
  readonly byOthers: boolean
  /** Person-hours planned. */
  readonly hours: number
}

/** The level a step is done at; null: its job is gone. */
function levelOf(step: Step, job: Job, strakes: ReadonlyMap<string, string>): Level {
  if (step.placeNeed !== 'boat') return 'shed'
  // Nobody has said where: what can only be done while she is out of the water is under it.
  const isUnder = step.operation === 'antifoul' || step.hullNeed === 'ashore'
  const strake = strakes.get(job.zoneId ?? '') ?? (isUnder ? 'underwater' : 'deck')
  return levels.find((one) => one === strake) ?? 'shed'
}

/** Shortest stretch a finished step is shown with: what is done stays to be seen. */
const leastEarnedMs = hourMs / 4

/** Pieces of a refit: finished steps where they were finished, open ones where the plan has them. */
export function piecesOf(
  rows: Pick<RefitRows, 'step' | 'job' | 'zone'>,
  plan: Pick<StoredPlan, 'placements'> | null,
  waits: Pick<Waits, 'over'>,
): Piece[] {
  const jobs = byId(rows.job)
  const strakes = new Map(rows.zone.map((zone) => [zone.id, zone.strake as string]))
  const placed = new Map(plan?.placements.map((one) => [one.stepId, one]) ?? [])
  return rows.step.flatMap((step): Piece[] => {
    const job = jobs.get(step.jobId)
    if (!job) return []
    const place = { level: levelOf(step, job, strakes), away: step.placeNeed === 'away' }
    const base = { step, job, ...place, hours: step.hoursLikely }
    if (step.state === 'done') {
      if (step.doneAt === null) return []
      const from = step.doneAt - Math.max(leastEarnedMs, step.hoursLikely * hourMs)
      const to = step.waitKind === 'none' ? step.doneAt : waits.over(step, step.doneAt)
      const earned: SeamPart = { from, to: step.doneAt, kind: 'earned' }
      const wait: SeamPart = { from: step.doneAt, to, kind: 'waits' }
      const seam = to > step.doneAt ? [earned, wait] : [earned]
      return [{ ...base, from, to: Math.max(to, step.doneAt), seam, done: true, byOthers: false }]
    }
    const one = placed.get(step.id)
    const [first, last] = [one?.segments[0], one?.segments.at(-1)]
    if (!one || !first || !last) return []
    const byOthers = one.personIds.length === 0
    const kind: SeamKind = byOthers ? 'waits' : 'hands'
    const seam: SeamPart[] = one.segments.map(([from, to]) => ({ from, to, kind }))
    if (one.readyAt > last[1]) seam.push({ from: last[1], to: one.readyAt, kind: 'waits' })
    const to = Math.max(one.readyAt, last[1])
    return [{ ...base, from: first[0], to, seam, done: false, byOthers }]
  })
}

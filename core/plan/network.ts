import { circleFrom, reachable } from '../graph'
import type { Job, Link, Step } from '../model/entities'
import type { CureStage } from '../model/words'
import { byId, groupBy, inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'

/** From the finish of one step to the start of another, in hours round the clock. */
export interface StepArc {
  readonly from: string
  readonly to: string
  readonly minWaitHours: number
  /** Longest gap; null: none. */
  readonly maxWaitHours: number | null
  /** How far the first has to have cured for the second. */
  readonly once: CureStage
}

/** Steps in their order; steps marked parallel share a rank with the one before. */
export function ranksOf(steps: readonly Step[]): Step[][] {
  const ranks: Step[][] = []
  for (const step of inOrder(steps)) {
    const last = ranks.at(-1)
    if (step.parallel && last) last.push(step)
    else ranks.push([step])
  }
  return ranks
}

/** Jobs that the plan is asked to do: not put off, accepted or dropped. */
export const plannedJobs = (rows: Pick<RefitRows, 'job'>): Job[] =>
  rows.job.filter((job) => job.decision === 'plan')

/** Steps of a refit's planned jobs by job, dropped ones left out. */
export function stepsByJob(rows: Pick<RefitRows, 'job' | 'step'>): Map<string, Step[]> {
  const planned = new Set(plannedJobs(rows).map((job) => job.id))
  return groupBy(
    rows.step.filter((step) => step.state !== 'dropped' && planned.has(step.jobId)),
    (step) => step.jobId,
  )
}

/** Arcs of one job: each rank after the one before; what comes after the gate hangs beside the row. */
function arcsInside(steps: readonly Step[]): StepArc[] {
  const arcs: StepArc[] = []
  const join = (before: readonly Step[], to: Step) => {
    for (const from of before)
      arcs.push({
        from: from.id,
        to: to.id,
        minWaitHours: 0,
        maxWaitHours: from.maxWaitHours,
        once: to.beginsOnce,
      })
  }
  let [before, rank]: [Step[], Step[]] = [[], []]
  let [aside, asideRank]: [Step[], Step[]] = [[], []]
  /** Steps of the row that joined its last rank after something was hung beside it. */
  let joinedSince: Step[] = []
  for (const step of inOrder(steps)) {
    const [last, own] = step.afterGate ? [aside, asideRank] : [before, rank]
    if (step.parallel && own.length > 0) {
      join(last, step)
      own.push(step)
      if (!step.afterGate) joinedSince.push(step)
    } else if (step.afterGate) {
      aside = asideRank.length > 0 ? [...asideRank, ...joinedSince] : rank
      asideRank = [step]
      joinedSince = []
      join(aside, step)
    } else {
      before = rank
      rank = [step]
      ;[aside, asideRank] = [[], []]
      joinedSince = []
      join(before, step)
    }
  }
  return arcs
}

/**
 * Arcs between the live steps of planned jobs: list order inside a job; along links from the step they name, else the
 * last rank, to the step they name, else the first rank with something still to do. A link through a job without
 * steps reaches on to what follows that job; one to or from a job that is put off holds nothing. Steps after the gate follow what stands before them in the list, and
 * nothing waits for them but their like.
 */
export function arcsOf(rows: Pick<RefitRows, 'job' | 'step' | 'link'>): StepArc[] {
  const steps = stepsByJob(rows)
  const ranks = new Map(
    [...steps].map(([jobId, list]) => {
      const held = list.filter((step) => !step.afterGate)
      return [jobId, ranksOf(held.length > 0 ? held : list)]
    }),
  )
  const named = (jobId: string, stepId: string | null) =>
    (steps.get(jobId) ?? []).filter((step) => step.id === stepId)
  const endsOf = (jobId: string, link: Link): readonly Step[] => {
    const own = link.fromJobId === jobId ? named(jobId, link.fromStepId) : []
    return own.length > 0 ? own : (ranks.get(jobId)?.at(-1) ?? [])
  }
  const beginsOf = (link: Link): readonly Step[] => {
    const own = named(link.toJobId, link.toStepId)
    if (own.length > 0) return own
    const all = ranks.get(link.toJobId) ?? []
    return all.find((rank) => rank.some((step) => step.state !== 'done')) ?? all[0] ?? []
  }
  const arcs: StepArc[] = [...steps.values()].flatMap(arcsInside)
  const planned = new Set(plannedJobs(rows).map((job) => job.id))
  const live = rows.link.filter((one) => planned.has(one.fromJobId) && planned.has(one.toJobId))
  const linksFrom = groupBy(live, (link) => link.fromJobId)
  for (const jobId of ranks.keys())
    for (const link of reach(jobId, linksFrom, ranks))
      for (const from of endsOf(jobId, link))
        for (const to of beginsOf(link))
          arcs.push({
            from: from.id,
            to: to.id,
            minWaitHours: link.minWaitHours,
            maxWaitHours: link.maxWaitHours,
            once: link.once,
          })
  return arcs
}

/** Links from a job, those into step-less jobs followed on; each job looked at once. */
function reach(
  jobId: string,
  linksFrom: ReadonlyMap<string, readonly Link[]>,
  ranks: ReadonlyMap<string, unknown>,
): Link[] {
  const linksOf = (id: string) => linksFrom.get(id) ?? []
  const stepless = (id: string) =>
    linksOf(id).flatMap(({ toJobId }) => (ranks.has(toJobId) ? [] : [toJobId]))
  return [...reachable([jobId], stepless)]
    .flatMap(linksOf)
    .filter((link) => ranks.has(link.toJobId))
}

/** Ids of jobs that form a circle of links, in order round it; null when there is none. */
export function findCycle(links: readonly Pick<Link, 'fromJobId' | 'toJobId'>[]): string[] | null {
  const next = groupBy(links, (link) => link.fromJobId)
  return circleFrom([...next.keys()].sort(), (id) =>
    (next.get(id) ?? []).map((link) => link.toJobId),
  )
}

/** "Bed the posts → Paint the deck → Bed the posts" for a circle of job ids. */
export function cycleSentence(cycle: readonly string[], jobs: readonly Job[]): string {
  const names = byId(jobs)
  const round = [...cycle, cycle[0] as string].map((id) => names.get(id)?.title ?? id)
  return `These jobs wait for each other in a circle: ${round.join(' → ')}. Take one of the links away.`
}

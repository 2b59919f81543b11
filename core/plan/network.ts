import type { Job, Link, Step } from '../model/entities'
import { byId, groupBy, inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'

/** From the finish of one step to the start of another, in hours round the clock. */
export interface Arc {
  readonly from: string
  readonly to: string
  readonly minWaitHours: number
  /** Longest gap; null: none. */
  readonly maxWaitHours: number | null
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
function arcsInside(steps: readonly Step[]): Arc[] {
  const arcs: Arc[] = []
  const join = (before: readonly Step[], to: Step) => {
    for (const from of before)
      arcs.push({ from: from.id, to: to.id, minWaitHours: 0, maxWaitHours: from.maxWaitHours })
  }
  let [before, rank]: [Step[], Step[]] = [[], []]
  let [aside, asideRank]: [Step[], Step[]] = [[], []]
  for (const step of inOrder(steps)) {
    const [last, own] = step.afterGate ? [aside, asideRank] : [before, rank]
    if (step.parallel && own.length > 0) {
      join(last, step)
      own.push(step)
    } else if (step.afterGate) {
      aside = asideRank.length > 0 ? asideRank : rank
      asideRank = [step]
      join(aside, step)
    } else {
      before = rank
      rank = [step]
      ;[aside, asideRank] = [[], []]
      join(before, step)
    }
  }
  return arcs
}

/**
 * Arcs between the live steps of planned jobs: list order inside a job, last rank to first rank
 * along links. A link through a job without steps reaches on to what follows that job. Steps after the
 * gate follow what stands before them in the list, and nothing waits for them but their like.
 */
export function arcsOf(rows: Pick<RefitRows, 'job' | 'step' | 'link'>): Arc[] {
  const steps = stepsByJob(rows)
  const ranks = new Map(
    [...steps].map(([jobId, list]) => {
      const held = list.filter((step) => !step.afterGate)
      return [jobId, ranksOf(held.length > 0 ? held : list)]
    }),
  )
  const arcs: Arc[] = [...steps.values()].flatMap(arcsInside)
  const linksFrom = groupBy(rows.link, (link) => link.fromJobId)
  for (const [jobId, list] of ranks)
    for (const link of reach(jobId, linksFrom, ranks))
      for (const from of list.at(-1) ?? [])
        for (const to of ranks.get(link.toJobId)?.[0] ?? [])
          arcs.push({
            from: from.id,
            to: to.id,
            minWaitHours: link.minWaitHours,
            maxWaitHours: link.maxWaitHours,
          })
  return arcs
}

/** Links from a job, those into step-less jobs followed on; each job looked at once. */
function reach(
  jobId: string,
  linksFrom: ReadonlyMap<string, readonly Link[]>,
  ranks: ReadonlyMap<string, unknown>,
): Link[] {
  const found: Link[] = []
  const seen = new Set([jobId])
  const queue = [...(linksFrom.get(jobId) ?? [])]
  for (let link = queue.shift(); link; link = queue.shift()) {
    if (ranks.has(link.toJobId)) found.push(link)
    else if (!seen.has(link.toJobId)) {
      seen.add(link.toJobId)
      queue.push(...(linksFrom.get(link.toJobId) ?? []))
    }
  }
  return found
}

/** Ids of jobs that form a circle of links, in order round it; null when there is none. */
export function findCycle(links: readonly Pick<Link, 'fromJobId' | 'toJobId'>[]): string[] | null {
  const next = groupBy(links, (link) => link.fromJobId)
  const done = new Set<string>()
  for (const start of [...next.keys()].sort()) {
    const path: string[] = []
    const onPath = new Set<string>()
    const stack: { id: string; at: number }[] = [{ id: start, at: 0 }]
    while (stack.length > 0) {
      const top = stack.at(-1) as { id: string; at: number }
      if (top.at === 0) {
        if (done.has(top.id)) {
          stack.pop()
          continue
        }
        if (onPath.has(top.id)) return path.slice(path.indexOf(top.id))
        path.push(top.id)
        onPath.add(top.id)
      }
      const link = next.get(top.id)?.[top.at++]
      if (link) stack.push({ id: link.toJobId, at: 0 })
      else {
        stack.pop()
        path.pop()
        onPath.delete(top.id)
        done.add(top.id)
      }
    }
  }
  return null
}

/** "Bed the posts → Paint the deck → Bed the posts" for a circle of job ids. */
export function cycleSentence(cycle: readonly string[], jobs: readonly Job[]): string {
  const names = byId(jobs)
  const round = [...cycle, cycle[0] as string].map((id) => names.get(id)?.title ?? id)
  return `These jobs wait for each other in a circle: ${round.join(' → ')}. Take one of the links away.`
}

import { reachable } from '../graph'
import type { Gate, Job } from '../model/entities'
import { groupBy } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { zoneClock } from '../time/zone'
import { haulOutOf, launchHeldBy } from './haulOutOf'
import { withHullNeeds } from './hullNeed'
import { arcsOf, plannedJobs, stepsByJob } from './network'
import { haulOutsInTime } from './schedule/haulOuts'

/** What gates wait for, asked gate by gate. */
export interface GateNeeds {
  /** Ids of steps, done or open: those that hold the gate themselves and all that these wait for. */
  steps(gateId: string): ReadonlySet<string>
  /** Jobs of the plan that belong before the gate and that nobody has broken into steps. */
  jobsWithoutSteps(gateId: string): readonly Job[]
}

/**
 * What each gate waits for. A launch waits for all ashore work of its haul-out and for the rest of its own
 * jobs; another gate for its jobs. What comes after the gate, or afloat after a launch, is not waited for.
 */
export function gateNeeds(given: RefitRows): GateNeeds {
  const rows = withHullNeeds(given)
  const arcs = arcsOf(rows)
  const before = groupBy(arcs, (arc) => arc.to)
  const after = groupBy(rows.link, (link) => link.fromJobId)
  const steps = stepsByJob(rows)
  const stepJob = new Map(rows.step.map((step) => [step.id, step.jobId]))
  const gates = new Map(rows.gate.map((gate) => [gate.id, gate]))
  const coming = haulOutsInTime(rows, zoneClock(rows.refit[0]?.zone ?? 'UTC')).filter(
    (one) => one.launchAt === Infinity,
  )
  const known = new Map<string, ReadonlySet<string>>()
  const jobs = plannedJobs(rows)

  function holding(gate: Gate): string[] {
    if (gate.kind !== 'launch')
      return jobs
        .filter((job) => job.gateId === gate.id)
        .flatMap((job) => (steps.get(job.id) ?? []).filter((step) => !step.afterGate))
        .map((step) => step.id)
    return jobs.flatMap((job) => {
      const own = steps.get(job.id) ?? []
      const isHere = haulOutOf(job, rows, coming)?.haulOut.id === gate.haulOutId
      const watched = own.filter((step) => isHere && step.hullNeed === 'slings')
      return [
        ...own
          .filter((step) => launchHeldBy(job, step, rows, coming)?.haulOut.id === gate.haulOutId)
          .map((step) => step.id),
        ...watched.flatMap((step) => (before.get(step.id) ?? []).map((arc) => arc.from)),
      ]
    })
  }

  function stepsOf(gateId: string): ReadonlySet<string> {
    const already = known.get(gateId)
    if (already) return already
    const gate = gates.get(gateId)
    const needed = reachable(gate ? holding(gate) : [], (id) =>
      (before.get(id) ?? []).map((arc) => arc.from),
    )
    known.set(gateId, needed)
    return needed
  }

  /** True when a job that the gate waits for comes after this one, over links. */
  function leadsTo(jobId: string, wanted: ReadonlySet<string>): boolean {
    const next = (id: string) => (after.get(id) ?? []).map((link) => link.toJobId)
    return [...reachable(next(jobId), next)].some((id) => wanted.has(id))
  }

  return {
    steps: stepsOf,
    jobsWithoutSteps(gateId) {
      const gate = gates.get(gateId)
      const wanted = new Set([
        ...[...stepsOf(gateId)].map((id) => stepJob.get(id) ?? ''),
        ...jobs.filter((job) => job.gateId === gateId).map((job) => job.id),
      ])
      return jobs.filter((job) => {
        if (steps.has(job.id)) return false
        if (job.gateId === gateId) return true
        const ofLaunch = gate?.kind === 'launch' && job.haulOutId === gate.haulOutId
        return (ofLaunch && job.haulOutId !== null) || leadsTo(job.id, wanted)
      })
    },
  }
}

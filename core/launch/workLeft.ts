/** How the work on one thing stands before a launch: what is open, what only waits, what was tried. */
import type { Job, Step } from '../model/entities'
import { byId, groupBy, inOrder } from '../model/refit'
import { failedReadings, lastReadings, limitsOf } from '../steps/readings'
import { startOfDate } from '../time/zone'
import { formatQuantity } from '../units/quantity'
import { factsOf } from '../plan/facts'
import type { ReadyFacts, ReadyState } from './readyItem'

export interface WorkLeft {
  readonly state: Extract<ReadyState, 'stops' | 'runs' | 'look' | 'ready' | 'proven'>
  readonly until: number | null
  readonly evidence: string
  /** The steps it rests on. */
  readonly stepIds: readonly string[]
}

/** Reads steps of jobs as a launch sees them; made once for all lines. */
export class LaunchWork {
  private readonly steps: ReadonlyMap<string, readonly Step[]>
  private readonly placements
  readonly jobs: ReadonlyMap<string, Job>
  /** Work done before this belongs to an earlier time ashore, UTC ms. */
  private readonly since: number

  constructor(private readonly facts: ReadyFacts) {
    const { rows, plan, haulOut, clock } = facts
    this.steps = groupBy(
      rows.step.filter((one) => one.state !== 'dropped'),
      (one) => one.jobId,
    )
    this.jobs = byId(rows.job)
    this.placements = new Map(plan?.placements.map((one) => [one.stepId, one]) ?? [])
    this.since = startOfDate(
      clock,
      haulOut.liftOutActual ?? haulOut.liftOutBooked ?? haulOut.liftOutAimed,
    )
  }

  stepsOf(jobId: string): readonly Step[] {
    return inOrder([...(this.steps.get(jobId) ?? [])])
  }

  /** True for a job with work that is open, none of it before this launch. */
  isOpenLater(jobId: string): boolean {
    const job = this.jobs.get(jobId)
    return job !== undefined && !this.isOfLaunch(job) && this.stepsOf(jobId).some(this.isOpen)
  }

  /** True for a step that has to be done while she is ashore. */
  isAshoreWork(step: Step): boolean {
    return !step.afterGate && step.hullNeed !== 'slings' && step.hullNeed !== 'afloat'
  }

  private isOpen = (step: Step): boolean => step.state === 'open' || step.state === 'doing'

  /** Until when a step that is done keeps the water out: its cure, its sealant's time for water. */
  private readyAt(step: Step): number {
    if (step.state === 'done') return this.facts.waits.forWaterAfterDone(step, this.facts.now)
    const placed = this.placements.get(step.id)
    const finish = placed?.segments.at(-1)?.[1]
    if (!placed || finish === undefined) return Infinity
    return Math.max(placed.readyAt, this.facts.waits.forWater(step, finish))
  }

  /** Jobs in the plan before this launch, and finished ones. */
  private isOfLaunch(job: Job): boolean {
    const own = this.facts.rows.gate.find(
      (one) => one.kind === 'launch' && one.haulOutId === this.facts.haulOut.id,
    )
    if (job.decision !== 'plan') return false
    if (job.gateId !== null && job.gateId === own?.id) return true
    const steps = this.stepsOf(job.id)
    if (steps.some((one) => one.state === 'done' || one.state === 'doing')) return true
    // Nothing of it is begun: work that the plan has for later leaves her shut at this launch.
    const launchAt = this.facts.plan?.launches.find(
      (one) => one.haulOutId === this.facts.haulOut.id,
    )?.at
    const begins = Math.min(
      ...steps.map((one) => this.placements.get(one.id)?.segments[0]?.[0] ?? Infinity),
    )
    return launchAt === undefined ? false : begins < launchAt
  }

  /** How the work of some jobs stands; `chosen` narrows it to some of their steps. Null: there is none. */
  left(jobIds: readonly string[], chosen: (step: Step) => boolean = () => true): WorkLeft | null {
    const jobs = jobIds.flatMap((id) => this.jobs.get(id) ?? [])
    const all = jobs.flatMap((job) => this.stepsOf(job.id)).filter(chosen)
    const open = jobs
      .filter((job) => this.isOfLaunch(job))
      .flatMap((job) => this.stepsOf(job.id))
      .filter((one) => chosen(one) && this.isOpen(one) && this.isAshoreWork(one))
    if (open.length > 0) return this.stillOpen(open)
    const done = all.filter((one) => one.state === 'done')
    if (done.length === 0) return null
    return this.allDone(done)
  }

  private stillOpen(open: readonly Step[]): WorkLeft {
    const { date } = this.facts
    const until = Math.max(...open.map((one) => this.readyAt(one)))
    const first = open[0] as Step
    const begins = this.placements.get(first.id)?.segments[0]?.[0]
    const failed = open.find((one) => failedReadings(one, this.facts.rows.reading).length > 0)
    const last = open.length > 1 ? open.at(-1) : undefined
    const without = open.find((one) => !this.placements.has(one.id))
    const evidence = failed
      ? `${failed.title}: read, and outside its limits`
      : [
          `${first.title}${begins === undefined ? '' : ` ${date(begins)}`}`,
          without && without !== first
            ? `${without.title} has no day`
            : last
              ? `then ${last.title}`
              : '',
        ]
          .filter(Boolean)
          .join(', ')
    return { state: 'stops', until, evidence, stepIds: open.map((one) => one.id) }
  }

  private allDone(done: readonly Step[]): WorkLeft {
    const { date, now, rows } = this.facts
    const stepIds = done.map((one) => one.id)
    const waiting = done.reduce((last, one) =>
      this.readyAt(one) > this.readyAt(last) ? one : last,
    )
    const until = this.readyAt(waiting)
    const on = (step: Step) => (step.doneAt === null ? '' : date(step.doneAt))
    if (until > now)
      return {
        state: 'runs',
        until,
        evidence: `${waiting.title} ${on(waiting)}, until it takes water`,
        stepIds,
      }
    const tests = done.filter((one) => factsOf(one).tests || limitsOf(one) !== null)
    const failed = tests.find((one) => failedReadings(one, rows.reading).length > 0)
    if (failed)
      return {
        state: 'stops',
        until: Infinity,
        evidence: `${failed.title}: read, and outside its limits`,
        stepIds,
      }
    const latest = (steps: readonly Step[]) =>
      steps.reduce<Step | null>(
        (best, one) => ((one.doneAt ?? 0) > (best?.doneAt ?? -1) ? one : best),
        null,
      )
    const [test, work] = [latest(tests), latest(done.filter((one) => !tests.includes(one)))]
    if (!test)
      return {
        state: this.isNow(work) ? 'ready' : 'look',
        until: null,
        evidence: work ? `${work.title} ${on(work)}, not tried` : 'not tried',
        stepIds,
      }
    const reading = [...lastReadings(test, rows.reading).values()].at(-1)
    const limits = limitsOf(test)
    const read =
      reading && limits
        ? `, ${formatQuantity(reading.value, limits.unit, rows.refit[0]?.units ?? 'metric')}`
        : ''
    // Opened again after it was tried.
    const isBefore = work !== null && (work.doneAt ?? 0) > (test.doneAt ?? 0) && this.isNow(work)
    return {
      state: isBefore ? 'ready' : this.isNow(test) ? 'proven' : 'look',
      until: null,
      evidence: isBefore
        ? `${work.title} ${on(work)}, tried only before it`
        : `${test.title} ${on(test)}${read}`,
      stepIds,
    }
  }

  private isNow(step: Step | null): boolean {
    return step !== null && (step.doneAt ?? 0) >= this.since
  }
}

/** The list for the next time ashore, which grows by itself. Source: handbook 2, 6. */
import type { RefitRows } from '../model/refit'
import { byId } from '../model/refit'
import type { StoredPlan } from '../model/stored'
import { checksDue } from '../log/checks'
import type { IsAfloat } from '../log/daysAfloat'
import { anodeWear } from './anodes'

export interface NextTimeLine {
  readonly key: string
  readonly what: string
  /** Why it is on the list. */
  readonly why: string
  /** Path of its page within the refit. */
  readonly to: string
}

/** What is known besides the rows. */
export interface NextTimeFacts {
  readonly plan: StoredPlan | null
  /** How a civil date is said. */
  readonly date: (on: string) => string
  readonly today: string
  readonly isAfloat: IsAfloat
}

/**
 * Jobs of the launch after a given one, findings that are watched under water, checks that wait for it, sheets due
 * by then, skipped lines, anodes half gone by then, trials under water that are not settled.
 */
export function nextTimeAshore(
  rows: RefitRows,
  haulOutId: string,
  { plan, date, today, isAfloat }: NextTimeFacts,
): NextTimeLine[] {
  const zones = byId(rows.zone)
  const isUnder = (zoneId: string | null) => zones.get(zoneId ?? '')?.belowWaterline ?? false
  const jobIsUnder = (jobId: string | null) =>
    isUnder(rows.job.find((one) => one.id === jobId)?.zoneId ?? null)
  const own = rows.haulOut.find((one) => one.id === haulOutId)
  const next = rows.haulOut
    .filter((one) => own !== undefined && one.liftOutAimed > own.liftOutAimed)
    .sort((a, b) => (a.liftOutAimed < b.liftOutAimed ? -1 : 1))[0]
  const gate = rows.gate.find((one) => one.kind === 'launch' && one.haulOutId === next?.id)
  const until = next?.launchAimed ?? '9999-12-31'
  const open = new Set(plan?.placements.map((one) => one.stepId))
  const jobs = rows.job.filter(
    (job) =>
      job.decision !== 'accepted' &&
      ((gate !== undefined && job.gateId === gate.id) ||
        (job.decision === 'later' && isUnder(job.zoneId))) &&
      rows.step.some(
        (step) => step.jobId === job.id && (step.state === 'open' || open.has(step.id)),
      ),
  )
  return [
    ...jobs.map((job) => ({
      key: `job ${job.id}`,
      what: job.title,
      why: job.decision === 'later' ? 'put off' : 'of that launch',
      to: `job/${job.id}`,
    })),
    ...rows.readySign
      .filter((one) => one.haulOutId === haulOutId && one.as === 'skipped')
      .map((one) => ({
        key: `sign ${one.id}`,
        what: rows.hullOpening.find((each) => one.item === `opening ${each.id}`)?.title ?? one.item,
        why: `skipped at this launch: ${one.because}`,
        to: 'launch',
      })),
    ...rows.finding
      .filter((one) => one.state === 'watch' && isUnder(one.zoneId))
      .map((one) => ({
        key: `finding ${one.id}`,
        what: one.title,
        why: one.lookAgainOn ? `watched, look again ${date(one.lookAgainOn)}` : 'watched',
        to: `walk?finding=${one.id}`,
      })),
    ...rows.asBuiltSheet
      .filter(
        (one) =>
          one.nextCheckOn !== null &&
          one.nextCheckOn >= (own?.launchAimed ?? '') &&
          one.nextCheckOn <= until,
      )
      .map((one) => ({
        key: `check ${one.id}`,
        what: one.nextCheckWhat || one.title,
        why: `check due ${date(one.nextCheckOn ?? '')}`,
        to: `log/${one.id}`,
      })),
    ...checksDue(rows, today, isAfloat)
      .filter(({ check }) => check?.atHaulOut === true)
      .map((one) => ({
        key: `look ${one.check?.id ?? ''}`,
        what: one.title,
        why: 'check at the next haul-out',
        to: 'log',
      })),
    ...anodeWear(rows, isAfloat)
      .filter((one) => one.halfOn !== null && one.halfOn <= until)
      .map((one) => ({
        key: `anode ${one.anode.id}`,
        what: one.anode.title,
        why: `half gone ${date(one.halfOn ?? '')} at its pace`,
        to: 'launch',
      })),
    ...rows.trial
      .filter((one) => one.verdict === 'none' && jobIsUnder(one.jobId))
      .map((one) => ({
        key: `trial ${one.id}`,
        what: one.title,
        why: 'trial not settled: read it with her out',
        to: 'log',
      })),
  ]
}

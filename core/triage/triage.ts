/** What waits to be placed, and what placing it one way or another writes. */
import type { ChangeItem } from '../model/changes'
import type { Finding, Job } from '../model/entities'
import type { Purpose } from '../model/words'
import { keyBetween } from '../model/order'
import { groupBy, inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { patchOf } from '../model/removal'
import { plannedHours } from '../plan/planned'
import { jobStateOf } from '../progress/jobState'

export type TriageItem =
  | { readonly kind: 'finding'; readonly id: string; readonly finding: Finding }
  | { readonly kind: 'job'; readonly id: string; readonly job: Job }

/** Watched or accepted until a day that has come. */
const wantsAnotherLook = (finding: Finding, today: string): boolean =>
  (finding.state === 'watch' || finding.state === 'accepted') &&
  finding.lookAgainOn !== null &&
  finding.lookAgainOn <= today

/**
 * Findings nobody decided on or that want another look, worst first, then jobs accepted until today and open
 * jobs without a gate that nobody placed.
 * @param today in the refit's zone.
 */
export function triageQueue(rows: RefitRows, today: string): TriageItem[] {
  const findings = rows.finding
    .filter((one) => one.state === 'new' || wantsAnotherLook(one, today))
    .sort((a, b) => b.severity - a.severity || a.foundAt - b.foundAt || (a.id < b.id ? -1 : 1))
  const steps = groupBy(rows.step, (step) => step.jobId)
  const jobs = inOrder(rows.job).filter((job) => {
    if (job.decision === 'accepted' && job.lookAgainOn !== null) return job.lookAgainOn <= today
    if (job.decision !== 'plan' || job.gateId !== null || job.placed) return false
    return jobStateOf(job, steps.get(job.id) ?? []) !== 'done'
  })
  return [
    ...findings.map((finding) => ({ kind: 'finding' as const, id: finding.id, finding })),
    ...jobs.map((job) => ({ kind: 'job' as const, id: job.id, job })),
  ]
}

/** Hours guessed for a finding nobody has looked at, when no found job has been broken down yet. */
const usualFoundHours = 3

/** What found jobs usually came to here: the middle of their planned hours, to the half hour. */
export function usualHours(rows: Pick<RefitRows, 'job' | 'step'>): number {
  const sums = rows.job
    .filter((job) => job.parentJobId !== null)
    .map((job) =>
      rows.step
        .filter((step) => step.jobId === job.id && step.state !== 'dropped')
        .reduce((sum, step) => sum + plannedHours(step), 0),
    )
    .filter((hours) => hours > 0)
    .sort((a, b) => a - b)
  const middle = sums[Math.floor(sums.length / 2)]
  return middle === undefined ? usualFoundHours : Math.max(0.5, Math.round(middle * 2) / 2)
}

/**
 * What a finding is likely to be about, by where it was seen: below the waterline it keeps her up, aloft it
 * keeps people whole, inside it is comfort. A guess to begin from; the person decides.
 */
export function likelyPurpose(rows: Pick<RefitRows, 'zone'>, zoneId: string | null): Purpose {
  const zone = rows.zone.find((one) => one.id === zoneId)
  if (zone?.belowWaterline) return 'float'
  return zone?.strake === 'rig' ? 'safe' : zone?.strake === 'below' ? 'live' : 'go'
}

/** Where something is put. */
export type Placing =
  | { readonly to: 'gate'; readonly gateId: string }
  | { readonly to: 'whenTime' }
  | { readonly to: 'later' }
  | { readonly to: 'accept' | 'watch'; readonly reason: string; readonly lookAgainOn: string }

export interface Judged {
  readonly purpose: Purpose
  readonly severity: number
  /** Guess for a finding that becomes a job, person-hours. */
  readonly hours: number
}

const jobPatch = (judged: Judged, placing: Placing) => ({
  purpose: judged.purpose,
  severity: judged.severity,
  placed: true,
  gateId: placing.to === 'gate' ? placing.gateId : null,
  decision: placing.to === 'later' ? 'later' : placing.to === 'accept' ? 'accepted' : 'plan',
  ...(placing.to === 'accept' || placing.to === 'watch'
    ? { reason: placing.reason, lookAgainOn: placing.lookAgainOn }
    : { lookAgainOn: null }),
})

/** The operations of one decision. A finding that is to be done becomes a job with one guessed step. */
export function placingChanges(
  rows: RefitRows,
  item: TriageItem,
  judged: Judged,
  placing: Placing,
  newId: () => string,
): { readonly items: ChangeItem[]; readonly jobId: string | null } {
  if (item.kind === 'job')
    return { items: [patchOf('job', item.job, jobPatch(judged, placing))], jobId: item.job.id }
  const { finding } = item
  if (placing.to === 'accept' || placing.to === 'watch') {
    const { reason, lookAgainOn } = placing
    const state = placing.to === 'watch' ? 'watch' : 'accepted'
    const patch = { state, reason, lookAgainOn, severity: judged.severity }
    return { items: [patchOf('finding', finding, patch)], jobId: null }
  }
  const jobId = newId()
  const title = finding.title.slice(0, 300)
  const order = keyBetween(inOrder(rows.job).at(-1)?.order ?? null, null)
  const zone = rows.zone.find((one) => one.id === finding.zoneId)
  return {
    jobId,
    items: [
      {
        op: 'create',
        entity: 'job',
        id: jobId,
        patch: {
          ...jobPatch(judged, placing),
          title,
          zoneId: finding.zoneId,
          parentJobId: finding.duringJobId,
          order,
        },
      },
      {
        op: 'create',
        entity: 'step',
        id: newId(),
        patch: {
          jobId,
          title: 'Put it right',
          operation: 'fit',
          hoursLikely: judged.hours,
          hullNeed: zone?.belowWaterline ? 'ashore' : 'either',
          order: keyBetween(null, null),
        },
      },
      patchOf('finding', finding, { state: 'jobMade', jobId, severity: judged.severity }),
    ],
  }
}

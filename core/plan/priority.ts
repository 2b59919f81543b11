import type { Job } from '../model/entities'
import type { Purpose } from '../model/words'

/** Points of each purpose. Source: handbook 4. */
const purposeWeight: Readonly<Record<Purpose, number>> = {
  float: 100,
  safe: 80,
  go: 55,
  live: 30,
  shine: 10,
}
const severityFactor = [0.4, 0.6, 0.8, 1] as const
const spreadingFactor = 1.5
/** Slack of four weeks and more no longer raises the score. */
const farSlackDays = 28
const pointsPerWaitingJob = 5

/** What the score of a job rests on. */
export interface PriorityBasis {
  readonly purpose: Purpose
  readonly severity: number
  readonly spreading: boolean
  /** Whole days; null: no gate. */
  readonly slackDays: number | null
  /** Open jobs that wait directly on it. */
  readonly waitingJobs: number
}

/** What the score is made of: factors that multiply, and points that are added. */
export interface PriorityFactors {
  readonly purpose: number
  readonly severity: number
  readonly spreading: number
  readonly slack: number
  readonly waiting: number
}

/** Factors and points of a basis. Formula and weights: handbook 4. */
export function priorityFactors(basis: PriorityBasis): PriorityFactors {
  const slack = Math.min(farSlackDays, Math.max(0, basis.slackDays ?? farSlackDays))
  return {
    purpose: purposeWeight[basis.purpose],
    severity: severityFactor[basis.severity - 1] ?? 1,
    spreading: basis.spreading ? spreadingFactor : 1,
    slack: 2 - slack / farSlackDays,
    waiting: pointsPerWaitingJob * basis.waitingJobs,
  }
}

/** Priority score, 4 to about 350: the factors' product and the points. */
export function priorityScore(basis: PriorityBasis): number {
  const { purpose, severity, spreading, slack, waiting } = priorityFactors(basis)
  return purpose * severity * spreading * slack + waiting
}

export const purposeName: Readonly<Record<Purpose, string>> = {
  float: 'Float',
  safe: 'Safe',
  go: 'Go',
  live: 'Live',
  shine: 'Shine',
}
export const severityName = ['looks', 'wears', 'fails', 'danger'] as const

/** "Float, danger, spreading, 6 days’ slack, 3 jobs wait on it." */
export function prioritySentence(basis: PriorityBasis): string {
  const days = basis.slackDays
  const parts = [
    purposeName[basis.purpose],
    severityName[basis.severity - 1],
    basis.spreading ? 'spreading' : null,
    days === null ? 'no gate waits for it' : `${days} ${days === 1 ? 'day’s' : 'days’'} slack`,
    basis.waitingJobs === 0
      ? null
      : basis.waitingJobs === 1
        ? '1 job waits on it'
        : `${basis.waitingJobs} jobs wait on it`,
  ]
  return `${parts.filter((part) => part !== null).join(', ')}.`
}

/** A job with its place in the list. */
export interface Ranked {
  readonly job: Job
  readonly score: number
  readonly basis: PriorityBasis
}

/** Jobs by falling score, pinned ones at the rank they were pinned to; ties by hand-made order. */
export function rankJobs(scored: readonly Ranked[]): Ranked[] {
  const free = scored
    .filter((one) => one.job.pinnedRank === null)
    .sort((a, b) => b.score - a.score || (a.job.order < b.job.order ? -1 : 1))
  const pinned = scored
    .filter((one) => one.job.pinnedRank !== null)
    .sort((a, b) => (a.job.pinnedRank as number) - (b.job.pinnedRank as number))
  for (const one of pinned) free.splice((one.job.pinnedRank as number) - 1, 0, one)
  return free
}

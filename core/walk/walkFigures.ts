import type { Finding, Zone } from '../model/entities'
import type { RefitRows } from '../model/refit'
import type { JobState } from '../progress/jobState'
import { findingMark } from './marks'
import { currentWalk, notLookedAt } from './route'

interface JobHours {
  readonly state: JobState
  readonly hoursOpen: number
}
type Jobs = ReadonlyMap<string, JobHours>

/** What it takes to put findings right. */
export interface ToPutRight {
  /** Person-hours: open hours of their jobs, each job once, and own guesses where there is no job. */
  readonly hours: number
  /** Open findings with neither a job nor a guess: not in the hours. */
  readonly notGuessed: number
}

export function toPutRight(findings: readonly Finding[], jobs: Jobs): ToPutRight {
  const counted = new Set<string>()
  let [hours, notGuessed] = [0, 0]
  for (const finding of findings) {
    const { open, fill } = findingMark(finding, (id) => jobs.get(id)?.state)
    if (!open) continue
    const job = fill === 'job' && finding.jobId ? jobs.get(finding.jobId) : undefined
    if (job && finding.jobId) {
      if (!counted.has(finding.jobId)) hours += job.hoursOpen
      counted.add(finding.jobId)
    } else if (finding.hoursGuess === null) notGuessed += 1
    else hours += finding.hoursGuess
  }
  return { hours, notGuessed }
}

/** What the whole walk comes to. */
export interface WalkFigures extends ToPutRight {
  readonly all: number
  readonly open: number
  readonly dangers: number
  /** Open dangers that have neither a job nor a word. */
  readonly dangersToSettle: number
  readonly toSettle: number
  readonly causes: number
  /** Open findings that a cause explains. */
  readonly explained: number
  readonly notLooked: readonly Zone[]
}

export function walkFigures(
  rows: Pick<RefitRows, 'finding' | 'zone' | 'walk' | 'look' | 'refit'>,
  jobs: Jobs,
): WalkFigures {
  const stateOf = (id: string) => jobs.get(id)?.state
  const marked = rows.finding.map((one) => ({ one, ...findingMark(one, stateOf) }))
  const open = marked.filter((one) => one.open)
  const explained = open.filter(({ one }) => one.causeId !== null)
  const dangers = open.filter(({ one }) => one.severity === 4)
  return {
    ...toPutRight(rows.finding, jobs),
    all: rows.finding.length,
    open: open.length,
    dangers: dangers.length,
    dangersToSettle: dangers.filter((one) => one.toSettle).length,
    toSettle: open.filter((one) => one.toSettle).length,
    causes: new Set(explained.map(({ one }) => one.causeId)).size,
    explained: explained.length,
    notLooked: notLookedAt(rows, currentWalk(rows.walk)),
  }
}

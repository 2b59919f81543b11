/** How long ranking 500 jobs takes: order, sentences, and all that a changed priority asks for. */
import { openWork } from '#core/plan/schedule/openWork'
import { criticalPath } from '#core/plan/schedule/criticalPath'
import { phasesOf } from '#core/plan/schedule/phases'
import { prioritySentence } from '#core/plan/priority'
import { rankedJobs } from '#core/plan/ranking'
import { derive } from '#core/progress/derive'
import { triageQueue } from '#core/triage/triage'
import { zoneClock } from '#core/time/zone'
import { toDocument } from '#core/exchange/refitFile'
import { bigRefit } from '~~/demo/bigRefit'
import { medianMs } from './median'

const now = Date.UTC(2027, 3, 16, 12)

export function jobsBench() {
  const rows = bigRefit(1)
  const compiled = openWork(rows, zoneClock('Europe/Dublin'), now)
  const bounds = criticalPath(compiled, phasesOf(compiled))
  const sentences = () => rankedJobs(rows, bounds).map((one) => prioritySentence(one.basis))
  return [
    {
      jobs: rows.job.length,
      'ranks and sentences, ms': medianMs(sentences),
      'with slack worked out again, ms': medianMs(() => {
        const again = openWork(rows, zoneClock('Europe/Dublin'), now)
        return rankedJobs(rows, criticalPath(again, phasesOf(again)))
      }),
      'found-work tree and all figures, ms': medianMs(() => derive(rows, null, now)),
      'triage queue, ms': medianMs(() => triageQueue(rows, '2027-03-16')),
    },
  ]
}

/** The big refit as a file, for the page to be measured with. */
export const bigFile = (jobs = 500): string => JSON.stringify(toDocument('big', bigRefit(1, jobs)))

import { byId } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { liveHours } from '../plan/liveHours'

/** Hours written down as a table, first row headings, oldest first; corrected entries are left out. */
export function hoursTable(rows: RefitRows): (string | number)[][] {
  const people = byId(rows.person)
  const steps = byId(rows.step)
  const jobs = byId(rows.job)
  const entries = [...liveHours(rows)].sort((a, b) =>
    a.on === b.on ? (a.id < b.id ? -1 : 1) : a.on < b.on ? -1 : 1,
  )
  return [
    ['Date', 'Person', 'Hours', 'Kind', 'Job', 'Step', 'Note'],
    ...entries.map((entry) => {
      const step = steps.get(entry.stepId ?? '')
      return [
        entry.on,
        people.get(entry.personId)?.name ?? '',
        Math.round(entry.hours * 100) / 100,
        entry.kind,
        jobs.get(step?.jobId ?? entry.jobId ?? '')?.title ?? '',
        step?.title ?? '',
        entry.note,
      ]
    }),
  ]
}

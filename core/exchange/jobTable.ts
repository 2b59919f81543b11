import { byId, groupBy, inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { plannedHours } from '../plan/planned'
import { purposeName } from '../plan/priority'
import { jobStateName, jobStateOf } from '../progress/jobState'

/** The list of work as a table, first row headings; the headings are those that reading a list knows. */
export function jobTable(rows: RefitRows): (string | number)[][] {
  const zones = byId(rows.zone)
  const systems = byId(rows.system)
  const gates = byId(rows.gate)
  const jobs = byId(rows.job)
  const steps = groupBy(rows.step, (step) => step.jobId)
  const before = groupBy(rows.link, (link) => link.toJobId)
  return [
    ['Job', 'Hours', 'Place', 'System', 'Purpose', 'How bad', 'Gate', 'After', 'Notes', 'State'],
    ...inOrder(rows.job).map((job) => {
      const own = (steps.get(job.id) ?? []).filter((step) => step.state !== 'dropped')
      return [
        job.title,
        Math.round(own.reduce((sum, step) => sum + plannedHours(step), 0) * 100) / 100 || '',
        zones.get(job.zoneId ?? '')?.name ?? '',
        systems.get(job.systemId ?? '')?.name ?? '',
        purposeName[job.purpose],
        job.severity,
        gates.get(job.gateId ?? '')?.name ?? '',
        jobs.get(before.get(job.id)?.[0]?.fromJobId ?? '')?.title ?? '',
        job.detail,
        jobStateName[jobStateOf(job, own)],
      ]
    }),
  ]
}

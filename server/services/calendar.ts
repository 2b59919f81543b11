import ical from 'ical-generator'
import { byId } from '#core/model/refit'
import { wholeRefit } from './refits'

/** The accepted plan as a calendar: a line a stretch of work, and the gates. */
export async function calendarOf(refitId: string): Promise<string> {
  const { rows } = await wholeRefit(refitId)
  const plan = rows.plan[0]?.result
  const steps = byId(rows.step)
  const jobs = byId(rows.job)
  const people = byId(rows.person)
  const gates = byId(rows.gate)
  const calendar = ical({ name: rows.refit[0]?.name ?? 'Refit', prodId: '//inch-ahead//plan//EN' })
  for (const one of plan?.placements ?? []) {
    const step = steps.get(one.stepId)
    if (!step) continue
    const who = one.personIds.map((id) => people.get(id)?.name ?? '').join(', ')
    one.segments.forEach(([from, to], index) =>
      calendar.createEvent({
        id: `${one.stepId}-${index}`,
        start: new Date(from),
        end: new Date(Math.max(to, from + 60_000)),
        summary: step.title,
        description: [jobs.get(step.jobId)?.title, who].filter(Boolean).join(' · '),
      }),
    )
  }
  for (const gate of plan?.gates ?? [])
    calendar.createEvent({
      id: `gate-${gate.gateId}`,
      start: new Date(gate.at),
      end: new Date(gate.at + 3_600_000),
      summary: gates.get(gate.gateId)?.name ?? 'Gate',
    })
  return calendar.toString()
}

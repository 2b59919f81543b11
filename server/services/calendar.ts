import ical from 'ical-generator'
import { afloatBy } from '#core/log/afloat'
import { checksDue } from '#core/log/checks'
import { byId } from '#core/model/refit'
import type { RefitRows } from '#core/model/refit'
import { acceptedPlan } from '#core/model/stored'
import { derive } from '#core/progress/derive'
import { sayGate } from '#core/progress/gateWords'
import { now } from './clock'
import { wholeRefit } from './refits'

/** The accepted plan of a stored refit as a calendar. */
export async function calendarOf(refitId: string): Promise<string> {
  const { rows } = await wholeRefit(refitId)
  return calendarText(rows, now())
}

/**
 * The accepted plan as a calendar: a line a stretch of work, the gates, and what is to be looked at again.
 * @param at UTC ms, from which gates and checks are reckoned.
 */
export function calendarText(rows: RefitRows, at: number): string {
  const plan = acceptedPlan(rows)
  const derived = derive(rows, plan, at)
  const steps = byId(rows.step)
  const jobs = byId(rows.job)
  const people = byId(rows.person)
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
  for (const figures of derived.gates) {
    const opensAt = plan?.gates.find((gate) => gate.gateId === figures.gate.id)?.at
    if (opensAt === undefined || figures.plannedOn === null) continue
    const said = sayGate(figures, derived)
    const { name } = figures.gate
    calendar.createEvent({
      id: `gate-${figures.gate.id}`,
      start: new Date(opensAt),
      end: new Date(opensAt + 3_600_000),
      summary: said.standing === 'notBefore' ? `${name}, not before this` : name,
      description: [said.title, ...said.leavesOut].join(' '),
    })
  }
  const isAfloat = afloatBy(rows, plan, derived.clock)
  for (const one of checksDue(rows, derived.today, isAfloat)) {
    if (one.on === null) continue
    calendar.createEvent({
      id: `check-${one.key.replace(/\s/g, '-')}`,
      start: new Date(`${one.on}T00:00:00Z`),
      allDay: true,
      summary: one.title,
      description: [one.isLikely ? 'Likely then' : 'Look again', one.by].filter(Boolean).join(', '),
    })
  }
  return calendar.toString()
}

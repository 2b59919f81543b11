import type { Row, Step } from '../../model/entities'
import { groupBy } from '../../model/refit'
import { usualFacts } from '../../plan/facts'
import type { SaysFacts } from '../../plan/facts'
import { dayMs } from '../../time/civil'
import { formatHours } from '../../units/hours'
import { does, named } from '../facts'
import type { OrderFacts, OrderStep } from '../facts'
import { found } from '../rule'
import type { OrderRule } from '../rule'

const foam = /\bfoam(ed|ing)?\b/i
/** Said so many days ahead: sooner nobody acts on it. */
const daysAhead = 45
/** So many things are named, the rest counted. */
const mostNamed = 3
const badFinding = 3
/** Nearer than this it is no longer only worth a look. */
const nearDays = 14

/** What could still be done there before it is shut, in words. */
interface Waiting {
  readonly what: string
  readonly isPressing: boolean
}

/** Opened again later it costs this; '': nobody knows. */
function costLater(facts: OrderFacts, call: OrderStep): string {
  const { rows } = facts
  if (does(call, 'antifoul')) return ' Later it takes another lift.'
  const way = rows.wayIn.find((one) => one.id === call.zone?.wayInId)
  return way ? ` Opening it later takes ${formatHours(way.hoursOut + way.hoursBack)}.` : ''
}

/** True for work that shuts something away: antifoul, a panel, foam, and what says so of itself. Foam that comes off does not. */
export const isLastCall = (step: SaysFacts & Pick<Step, 'title'>): boolean => {
  if (step.operation === 'antifoul' || step.closes === true) return true
  if (step.operation === 'close') return step.closes === null
  return foam.test(step.title) && !usualFacts(step.operation).opens
}

const stillOpen = (finding: Row<'finding'>): boolean =>
  finding.state === 'new' || finding.state === 'watch'

/**
 * Last call before what is not easily undone: antifouling, closing, foam. Everything that belongs there and is not done,
 * decided or here. Left with a reason it is ticked; it comes back with whatever is new. Source: handbook-2 E2.
 */
export const lastCall: OrderRule = {
  number: 41,
  title: 'Last call',
  find: (facts) => {
    const { rows, now } = facts
    const findings = groupBy(rows.finding.filter(stillOpen), (one) => one.zoneId ?? '')
    const wishes = groupBy(
      rows.job.filter((one) => one.decision === 'later'),
      (one) => one.zoneId ?? '',
    )
    const zoneOfJob = new Map(rows.job.map((one) => [one.id, one.zoneId ?? '']))
    const choices = groupBy(
      rows.decision.filter((one) => one.decidedOn === null),
      (one) => zoneOfJob.get(one.jobId) ?? '',
    )
    const parts = groupBy(
      rows.part.filter((one) => one.state === 'ordered'),
      (one) => zoneOfJob.get(one.jobId ?? '') ?? '',
    )
    const planned = new Set(facts.jobs.map((one) => one.id))
    return facts.steps.flatMap((call) => {
      if (
        call.done ||
        !isLastCall(call.step) ||
        call.zone === null ||
        call.step.placeNeed !== 'boat'
      )
        return []
      if (call.from > now + daysAhead * dayMs) return []
      const zone = call.zone.id
      const waiting: Waiting[] = [
        ...(findings.get(zone) ?? [])
          // What a job of the plan puts right is seen to by its own order.
          .filter((one) => one.jobId === null || !planned.has(one.jobId))
          .map((one) => ({ what: `found: ${one.title}`, isPressing: one.severity >= badFinding })),
        ...(choices.get(zone) ?? []).map((one) => ({
          what: `to decide: ${one.title}`,
          isPressing: true,
        })),
        ...(parts.get(zone) ?? [])
          .filter((one) => {
            const needs = facts.stepOf(one.neededByStepId ?? '')
            return needs === null || needs.from >= call.from
          })
          .map((one) => ({ what: `on order: ${one.name}`, isPressing: false })),
        ...(wishes.get(zone) ?? []).map((one) => ({
          what: `put off: ${one.title}`,
          isPressing: false,
        })),
      ]
      if (waiting.length === 0) return []
      const isNear = call.from <= now + nearDays * dayMs
      const said = waiting.slice(0, mostNamed).map((one) => one.what)
      const more = waiting.length > mostNamed ? ` and ${waiting.length - mostNamed} more` : ''
      return [
        found(
          41,
          isNear && waiting.some((one) => one.isPressing) ? 'warn' : 'note',
          [call],
          `Last call before ${named(call)} on ${facts.date(call.from)}, ${call.zone.name}: ${said.join('; ')}${more}.${costLater(facts, call)}`,
          null,
          waiting
            .map((one) => one.what)
            .join(', ')
            .slice(0, 480),
        ),
      ]
    })
  },
}

/** Hands at a link: somebody comes on a day more, one more comes along, a trade does it instead. */
import { extraDay, extraHours } from '../model/extraDay'
import { byId } from '../model/refit'
import { patchOf } from '../model/removal'
import type { StoredPlan } from '../model/stored'
import type { handsOn } from '../plan/handsOn'
import { isOpen, plannedHours } from '../plan/planned'
import { hasSkill } from '../plan/skillGaps'
import { dateOf, hourMs } from '../time/civil'
import { sayDay } from '../time/say'
import { formatHours } from '../units/hours'
import { linkOf } from './lever'
import type { ChainLever, LeverFacts } from './lever'

export type Hands = ReturnType<typeof handsOn>

/** An extra day is offered for work that stands so long at least with nobody to do it. */
const leastIdleMs = 6 * hourMs
/** Another pair of hands is offered for work of so many hours at least. */
const leastShared = 2
/** A trade is offered for a job with so many open hours at least. */
const leastForTrade = 8
/** Somebody coming on a day on which they would not. */
const coming =
  (personIds: readonly string[], on: string): ChainLever['items'] =>
  (newId) =>
    personIds.map((personId) => extraDay(personId, on, extraHours, newId))

/** When a step could begin if somebody were there: what holds it besides people is over. */
function couldBegin(stepId: string, plan: StoredPlan): number | null {
  const placed = plan.placements.find((one) => one.stepId === stepId)
  const { binding } = placed ?? {}
  const readyOf = (id: string) => plan.placements.find((one) => one.stepId === id)?.readyAt ?? null
  switch (binding?.kind) {
    case 'wait':
      return binding.until
    case 'after':
    case 'people':
      return readyOf(binding.stepId)
    case 'calendar':
      return plan.now
    case 'bondWindow':
      return binding.after === null ? null : readyOf(binding.after)
    default:
      return null
  }
}

/** People of a step coming on the first day on which it could be done and nobody is there. */
export function extraDays(facts: LeverFacts, stepId: string, hands: Hands): ChainLever[] {
  const { rows, plan, clock } = facts
  const placed = linkOf(facts, stepId)?.placed
  const from = couldBegin(stepId, plan)
  const start = placed?.segments[0]?.[0]
  if (!placed || placed.personIds.length === 0 || from === null || start === undefined) return []
  if (start - from < leastIdleMs) return []
  const firstDay = Math.max(clock.dayOf(from), clock.dayOf(plan.now) + 1)
  const people = byId(rows.person)
  for (let day = firstDay; day < clock.dayOf(start); day++) {
    const { personIds, awayIds } = hands(day)
    // In the evening of a day nothing begins that was only ready then.
    if (clock.at(day, 12 * 60) < from || personIds.length > 0) continue
    const free = placed.personIds.filter((id) => !awayIds.includes(id))
    if (free.length < placed.personIds.length) continue
    const names = free.map((id) => people.get(id)?.name ?? '').join(' and ')
    const on = dateOf(day)
    return [
      {
        key: `day ${stepId} ${on}`,
        stepId,
        label: `${names} ${free.length > 1 ? 'come' : 'comes'} on ${sayDay(on)}`,
        does: `An extra day, ${extraHours.from} to ${extraHours.to}, is written down for ${names}.`,
        items: coming(free, on),
      },
    ]
  }
  return []
}

/** Somebody else at a step that more people can share, on its day. */
export function oneMore(facts: LeverFacts, stepId: string, hands: Hands): ChainLever[] {
  const { rows, clock } = facts
  const link = linkOf(facts, stepId)
  const start = link?.placed.segments[0]?.[0]
  if (!link || start === undefined || link.step.state !== 'open') return []
  const { step, placed } = link
  const at = placed.personIds.length
  if (at === 0 || at >= step.crewMax || step.hoursLikely < leastShared) return []
  const day = clock.dayOf(start)
  const { personIds, awayIds } = hands(day)
  const other = rows.person.find(
    (one) =>
      !one.gone &&
      one.role !== 'trade' &&
      !personIds.includes(one.id) &&
      !awayIds.includes(one.id) &&
      hasSkill(one, step.skill),
  )
  if (!other) return []
  const on = dateOf(day)
  return [
    {
      key: `more ${stepId} ${other.id}`,
      stepId,
      label: `${other.name} comes too on ${sayDay(on)}`,
      does: `An extra day, ${extraHours.from} to ${extraHours.to}, is written down for ${other.name}: up to ${step.crewMax} can be at “${step.title}”.`,
      items: coming([other.id], on),
    },
  ]
}

/** The whole job given to a trade, before anybody of ours began it. */
export function tradeInstead(facts: LeverFacts, stepId: string): ChainLever[] {
  const link = linkOf(facts, stepId)
  if (!link || link.placed.personIds.length === 0 || link.job.doBy !== 'undecided') return []
  const steps = facts.rows.step.filter((one) => one.jobId === link.job.id)
  if (steps.some((one) => one.state === 'done' || one.state === 'doing')) return []
  const hours = steps.filter(isOpen).reduce((sum, one) => sum + plannedHours(one), 0)
  if (hours < leastForTrade) return []
  const { job } = link
  return [
    {
      key: `trade ${job.id}`,
      stepId,
      label: `A trade does “${job.title}”`,
      does: `None of you is planned for its ${formatHours(hours)} any more, and the plan takes it that they can come when it is ready. Ask who can, when, and at what price first.`,
      items: () => [
        patchOf('job', job, { doBy: 'trade', doByReason: 'It held a gate, and hands were short.' }),
      ],
    },
  ]
}

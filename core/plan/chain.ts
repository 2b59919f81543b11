import type { StoredPlan } from '../model/stored'
import type { RefitRows } from '../model/refit'
import type { CureStage } from '../model/words'
import { byId, placeOfKind } from '../model/refit'
import { gateNeeds } from './gateNeeds'
import { sayMend } from './mends'
import { formatWait } from '../units/hours'
import { formatTemp } from '../units/quantity'
import { hourMs } from '../time/civil'
import type { ZoneClock } from '../time/zone'
import { sayFullDate, shortDateTime } from '../time/say'
import type { Binding } from './schedule/binding'

/** One link of what holds a gate: a heading, the reason below it, and the step it is about. */
export interface ChainLink {
  readonly title: string
  /** When it begins in the plan: "Sat 16 Jan 09:25"; '': the gate itself, or it is done. */
  readonly when: string
  readonly why: string
  /** Null: the gate itself, or the root. */
  readonly stepId: string | null
  readonly binding: Binding
}

/** Longest chain read out; a circle in a broken plan ends here too. */
const longestChain = 60

/** What holds a gate, link by link from the end: each waits for the next. */
export function bindingChain(
  plan: StoredPlan,
  rows: RefitRows,
  gateId: string,
  clock: ZoneClock,
  /** True when some of its work is not in its date. */
  notBefore = false,
): ChainLink[] {
  const gate = plan.gates.find((one) => one.gateId === gateId)
  const name = rows.gate.find((one) => one.id === gateId)?.name
  if (!gate || name === undefined) return []
  const year = clock.dateOf(gate.at).slice(0, 4)
  const say = sayer(rows, clock, year)
  const head: ChainLink[] = [
    {
      title: `${name}, ${notBefore ? 'not before ' : ''}${sayFullDate(clock.dateOf(gate.at))}`,
      when: '',
      why: say.why(gate.binding),
      stepId: null,
      binding: gate.binding,
    },
  ]
  // A lift day or an aimed date stands on what was ready last.
  const last = stepOf(gate.binding) ?? lastReady(plan, rows, gateId)
  return [...head, ...linksFrom(last, plan, say, clock, year)]
}

/** Why a step is not earlier, link by link from the step itself back. Empty: it has no place in the plan. */
export function stepChain(
  plan: StoredPlan,
  rows: RefitRows,
  stepId: string,
  clock: ZoneClock,
): ChainLink[] {
  const placed = plan.placements.find((one) => one.stepId === stepId)
  if (!placed) return []
  const year = clock.dateOf(placed.readyAt).slice(0, 4)
  return linksFrom(stepId, plan, sayer(rows, clock, year), clock, year)
}

/** Links from a step back to what nothing holds. */
function linksFrom(
  first: string | null,
  plan: StoredPlan,
  say: ReturnType<typeof sayer>,
  clock: ZoneClock,
  year: string,
): ChainLink[] {
  const placements = new Map(plan.placements.map((one) => [one.stepId, one]))
  const links: ChainLink[] = []
  let next = first
  const seen = new Set<string>()
  while (next !== null && !seen.has(next) && links.length < longestChain) {
    seen.add(next)
    const placed = placements.get(next)
    if (!placed) {
      links.push({
        title: say.step(next),
        when: '',
        why: 'It is done.',
        stepId: next,
        binding: { kind: 'now' },
      })
      break
    }
    links.push({
      title: say.step(next),
      when: shortDateTime(placed.segments[0]?.[0] ?? 0, clock, year),
      why: [say.why(placed.binding), ...(placed.mends ?? []).map(sayMend)].join(' '),
      stepId: next,
      binding: placed.binding,
    })
    next = stepOf(placed.binding)
  }
  return links
}

function stepOf(binding: Binding): string | null {
  switch (binding.kind) {
    case 'after':
    case 'wait':
    case 'people':
      return binding.stepId
    case 'bondWindow':
    case 'weather':
    case 'yardHours':
      return binding.after
    default:
      return null
  }
}

/** The step a launch waits for that is ready last before it. */
function lastReady(plan: StoredPlan, rows: RefitRows, gateId: string): string | null {
  const gate = plan.gates.find((one) => one.gateId === gateId)
  if (gate?.binding.kind !== 'liftDay') return null
  const needed = gateNeeds(rows).steps(gateId)
  let last: { stepId: string; readyAt: number } | null = null
  for (const one of plan.placements) {
    if (
      needed.has(one.stepId) &&
      one.readyAt <= gate.at &&
      (last === null || one.readyAt > last.readyAt)
    )
      last = one
  }
  return last?.stepId ?? null
}

const stageWords: Readonly<Record<CureStage, string>> = {
  cured: 'is cured',
  skin: 'has a skin',
  light: 'takes light parts',
  load: 'takes load',
  water: 'takes water',
}

/** Sentences for bindings, in the words of the trade. */
/** @param year of the gate: dates of another one are said with theirs. */
function sayer(rows: RefitRows, clock: ZoneClock, year: string) {
  const steps = byId(rows.step)
  const jobs = byId(rows.job)
  const people = byId(rows.person)
  const step = (id: string): string => {
    const one = steps.get(id)
    return one ? `${one.title} · ${jobs.get(one.jobId)?.title ?? ''}` : 'a step that was removed'
  }
  const asksForWater = (haulOutId: string): boolean => {
    const placeId = rows.haulOut.find((one) => one.id === haulOutId)?.placeId
    const yard = rows.place.find((one) => one.id === placeId) ?? placeOfKind(rows, 'yard')
    return yard !== null && yard.tideStationId !== null
  }
  const why = (binding: Binding): string => {
    switch (binding.kind) {
      case 'now':
        return 'Nothing holds it: it can be done now.'
      case 'after':
        return `It follows “${steps.get(binding.stepId)?.title ?? ''}”.`
      case 'wait':
        return waitSentence(binding.stepId, binding.until, binding.once)
      case 'people': {
        const names = binding.personIds.map((id) => people.get(id)?.name ?? '').join(' and ')
        const title = steps.get(binding.stepId)?.title ?? ''
        return binding.among
          ? `${names} is busy with other work until then, last with “${title}”.`
          : `${names} ${binding.personIds.length > 1 ? 'are' : 'is'} busy with “${title}” until then.`
      }
      case 'calendar':
        return `Nobody who can do it is there before ${shortDateTime(binding.until, clock, year)}.`
      case 'season':
        return `It waits for its months, or for days warm enough, from ${shortDateTime(binding.until, clock, year)}.`
      case 'liftOut':
        return 'She must be ashore first.'
      case 'launch':
        return 'She must be in the water first.'
      case 'aim':
        return 'What is planned before it is done by then; the aimed date is kept.'
      case 'liftDay':
        return `The yard lifts on set days${asksForWater(binding.haulOutId) ? ' and with her depth at the slip' : ''}${
          binding.people
            ? ': this is the first that suits the people for it.'
            : binding.aimed
              ? ', and not on the aimed one: this is the first after it.'
              : ': this is the first one after what is planned is done.'
        }`
      case 'bondWindow':
        return `Held back, so that “${steps.get(binding.stepId)?.title ?? ''}” follows within its bond window.`
      case 'weather':
        return `${formatWait(binding.ms / hourMs)} allowed for weather: about ${Math.round(binding.share * 100)} % of the days suit it then.`
      case 'forecast':
        return `The forecast leaves no hours for it before ${shortDateTime(binding.until, clock, year)}; without it, it would begin ${shortDateTime(binding.from, clock, year)}.`
      case 'air':
        return `Dust and wet work keep apart: “${steps.get(binding.stepId)?.title ?? ''}” until ${shortDateTime(binding.until, clock, year)}.`
      case 'yardHours':
        return 'The yard does it in its working hours.'
      case 'wanted':
        return `It opens her, and she is wanted whole until ${shortDateTime(binding.until, clock, year)}: it could not be shut and cured before.`
      case 'pin':
        return `It is pinned to ${sayFullDate(binding.on)}.`
      case 'notBefore':
        return `You set it to be not before ${sayFullDate(binding.on)}.`
      case 'trade': {
        const booking = rows.tradeBooking.find((one) => one.id === binding.bookingId)
        return `${booking?.trade ?? 'The trade'} is booked for then.`
      }
      case 'part': {
        const part = rows.part.find((one) => one.id === binding.partId)
        return `${part?.name ?? 'A part'} has not arrived.`
      }
    }
  }
  function waitSentence(stepId: string, until: number, once?: CureStage): string {
    const one = steps.get(stepId)
    const end = shortDateTime(until, clock, year)
    if (!one) return `A wait ends ${end}.`
    if (once) return `“${one.title}” ${stageWords[once]} from ${end}, by its sheet.`
    const length = formatWait(one.waitHours)
    switch (one.waitKind) {
      case 'chem':
        return `“${one.title}” cures ${length} at ${formatTemp(one.waitRefC, rows.refit[0]?.units ?? 'metric')}: until ${end} at the temperatures planned with.`
      case 'moisture':
        return `The sealant of “${one.title}” cures: until ${end}.`
      case 'dry':
        return `“${one.title}” dries, expected until ${end}; the reading decides.`
      case 'calendar':
        return `“${one.title}” takes its time: until ${end}.`
      case 'none':
        return `A wait after “${one.title}” ends ${end}.`
    }
  }
  return { step, why }
}

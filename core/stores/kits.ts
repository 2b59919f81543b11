/** Is the job kitted: for each step of the next days, what it wants and where that is. */
import type { Row } from '../model/entities'
import { byId, groupBy, inOrder } from '../model/refit'
import { isOpen } from '../plan/planned'
import { sayDate } from '../time/say'
import { isMissing, partAt } from './thingAt'
import type { ThingAt } from './thingAt'
import type { StoreFacts } from './storeFacts'

export interface KitThing {
  readonly key: string
  readonly name: string
  readonly at: ThingAt
  readonly partId: string | null
  /** It is there, and nobody has looked whether it is right. */
  readonly unchecked: boolean
  /** When it comes, civil date; null: it is here, or nobody knows. */
  readonly dueOn: string | null
}

type KitState = 'whole' | 'unchecked' | 'bring' | 'short' | 'nothing'
export interface Kit {
  readonly step: Row<'step'>
  readonly job: Row<'job'>
  /** Where the work is. */
  readonly place: 'boat' | 'shed'
  /** At the place first, then what is to be brought, then what is missing. */
  readonly things: readonly KitThing[]
  /** nothing: nobody listed anything for it. */
  readonly state: KitState
}
export interface KitDay {
  /** Local day number. */
  readonly day: number
  readonly kits: readonly Kit[]
}

function thingOfPart(facts: StoreFacts, part: Row<'part'>, lineIds: ReadonlySet<string>): KitThing {
  const at = partAt(part)
  const unchecked = facts.rows.delivery.some(
    (one) => lineIds.has(one.lineId) && one.checkedOn === null,
  )
  return {
    key: part.id,
    name: part.name,
    at,
    partId: part.id,
    unchecked: !isMissing(at) && unchecked,
    dueOn: at === 'order' ? part.arrivesOn : null,
  }
}

const rank = (thing: KitThing, place: 'boat' | 'shed'): number =>
  thing.at === place ? 0 : thing.at === 'nowhere' ? 3 : thing.at === 'order' ? 2 : 1

function stateOf(things: readonly KitThing[], place: 'boat' | 'shed'): Kit['state'] {
  if (things.length === 0) return 'nothing'
  if (things.some((one) => isMissing(one.at))) return 'short'
  if (things.some((one) => one.at !== place)) return 'bring'
  return things.some((one) => one.unchecked) ? 'unchecked' : 'whole'
}

/** Kits of the next days on which the plan has somebody at work, `most` of them. Steps by the hour they begin. */
export function kitDays(facts: StoreFacts, most: number): KitDay[] {
  const { rows, plan, clock, today } = facts
  const [steps, jobs] = [byId(rows.step), byId(rows.job)]
  const partsOf = groupBy(
    rows.part.filter((one) => one.state !== 'returned' && one.state !== 'fitted'),
    (one) => one.neededByStepId,
  )
  const bringOf = groupBy(inOrder(rows.bringLine), (one) => one.stepId)
  const linesOf = groupBy(rows.lineWant, (one) => one.partId)
  const days = new Map<number, { at: number; stepId: string }[]>()
  for (const one of plan?.placements ?? []) {
    if (one.personIds.length === 0) continue
    // A step is kitted once, for the day on which it is next at hand.
    const next = one.segments.find(([, to]) => clock.dayOf(to - 1) >= today)
    if (!next) continue
    const day = Math.max(today, clock.dayOf(next[0]))
    const list = days.get(day)
    if (list) list.push({ at: next[0], stepId: one.stepId })
    else days.set(day, [{ at: next[0], stepId: one.stepId }])
  }
  return [...days]
    .sort(([a], [b]) => a - b)
    .slice(0, most)
    .map(([day, list]) => ({
      day,
      kits: list
        .sort((a, b) => a.at - b.at)
        .flatMap(({ stepId }): Kit[] => {
          const step = steps.get(stepId)
          const job = jobs.get(step?.jobId ?? '')
          if (!step || !job || !isOpen(step)) return []
          const place = step.placeNeed === 'shed' ? 'shed' : 'boat'
          const parts = (partsOf.get(step.id) ?? []).map((part) =>
            thingOfPart(
              facts,
              part,
              new Set((linesOf.get(part.id) ?? []).map((want) => want.lineId)),
            ),
          )
          const brought = (bringOf.get(step.id) ?? []).map((line): KitThing => ({
            key: line.id,
            name: line.what,
            at: line.at === 'toBuy' ? 'nowhere' : line.at,
            partId: null,
            unchecked: false,
            dueOn: null,
          }))
          const things = [...parts, ...brought].sort((a, b) => rank(a, place) - rank(b, place))
          return [{ step, job, place, things, state: stateOf(things, place) }]
        }),
    }))
}

const mostNamed = 2
function named(things: readonly KitThing[]): string {
  const names = things.slice(0, mostNamed).map((one) => one.name)
  const more = things.length - names.length
  return `${names.join(', ')}${more > 0 ? ` and ${more} more` : ''}`
}

/** "2 to bring: sister, clamps", "short: powder, due 23 Apr". Dates of `year` go without it. */
export function sayKit({ things, state, place }: Kit, year: string): string {
  switch (state) {
    case 'nothing':
      return 'nothing is listed for it'
    case 'whole':
      return 'whole'
    case 'unchecked':
      return `here, not checked: ${named(things.filter((one) => one.unchecked))}`
    case 'bring': {
      const away = things.filter((one) => one.at !== place)
      return `${away.length} to bring: ${named(away)}`
    }
    case 'short': {
      const missing = things.filter((one) => isMissing(one.at))
      const due = missing
        .flatMap((one) => one.dueOn ?? [])
        .sort()
        .at(-1)
      return `short: ${named(missing)}${due ? `, due ${sayDate(due, year)}` : ''}`
    }
  }
}

export interface KitHeadline {
  readonly lead: string
  readonly worst: string
}
/** Whether the days are kitted: the nearest day first. */
export function kitHeadline(days: readonly KitDay[], sayDay: (day: number) => string): KitHeadline {
  const [first] = days
  if (!first) return { lead: 'Nobody is planned to work', worst: '' }
  const short = days.filter(({ kits }) => kits.some((kit) => kit.state === 'short'))
  const [worst] = short
  const missing = worst?.kits.flatMap(({ things }) => things.filter((one) => isMissing(one.at)))
  const said = worst && missing ? `${sayDay(worst.day)} is short of ${named(missing)}` : ''
  if (worst === first) return { lead: '', worst: said }
  const isWhole = first.kits.every((kit) => kit.state === 'whole' || kit.state === 'nothing')
  const isListed = first.kits.some((kit) => kit.state !== 'nothing')
  const lead = !isListed
    ? `Nobody listed anything for ${sayDay(first.day)}`
    : isWhole
      ? `All that is listed for ${sayDay(first.day)} is there`
      : `All that is listed for ${sayDay(first.day)} is there or within reach`
  return { lead: said === '' ? lead : `${lead}. `, worst: said }
}

/** What buying is worked out from: when each part is needed, when its size is sure, what it rests on, how it was ordered. */
import type { Row } from '../model/entities'
import { isStillToBuy } from '../model/partState'
import { byId, groupBy } from '../model/refit'
import type { RefitRows } from '../model/refit'
import type { StoredPlan } from '../model/stored'
import { isOpen } from '../plan/planned'
import { knownInputs } from '../recipes/known'
import type { Recipe } from '../recipes/recipe'
import { restsOn } from '../recipes/restsOn'
import { recipeFor } from '../recipes/shelf'
import { dayNumber } from '../time/civil'
import type { ZoneClock } from '../time/zone'
import { buyWindow } from './buyWindow'
import type { BuyWindow } from './buyWindow'
import { leadOf } from './lead'
import type { Lead } from './lead'
import { lineStates } from './lineState'
import type { LineState } from './lineState'
import { isToBuy } from './thingAt'

type Part = Row<'part'>
type Step = Row<'step'>

/** A part and all that follows for it from the plan. */
export interface PartFacts {
  readonly part: Part
  readonly job: Row<'job'> | null
  readonly needs: Step | null
  readonly fixes: Step | null
  readonly lead: Lead
  readonly window: BuyWindow
  /** Dimensions it rests on that nobody measured, by their labels. */
  readonly guessed: readonly string[]
  /** The line it was ordered with last; null: none. */
  readonly line: LineState | null
  /** It was bought before its size was sure; `until` is the day that is known, null when it is by now. */
  readonly early: { readonly until: number | null } | null
}

export interface StoreFacts {
  readonly rows: RefitRows
  readonly plan: StoredPlan | null
  readonly clock: ZoneClock
  /** Local day number. */
  readonly today: number
  readonly parts: readonly PartFacts[]
  /** Local day of the last trip on or before an instant. */
  readonly tripBefore: (at: number) => number
  readonly lines: ReadonlyMap<string, LineState>
}

/** Parts of dropped and finished work want nothing. */
const wantsNothing = (job: Row<'job'> | null, needs: Step | null): boolean =>
  (job !== null && job.decision !== 'plan') || (needs !== null && !isOpen(needs))

/** Parts that planned work still wants bought and that nobody gave a price. */
export function unpricedParts(rows: Pick<RefitRows, 'part' | 'job' | 'step'>): Row<'part'>[] {
  const [jobs, steps] = [byId(rows.job), byId(rows.step)]
  return rows.part.filter((part) => {
    const needs = steps.get(part.neededByStepId ?? '') ?? null
    const job = jobs.get(part.jobId ?? needs?.jobId ?? '') ?? null
    return part.priceMinor === null && isStillToBuy(part) && !wantsNothing(job, needs)
  })
}

/** Reader of the days on which anybody is there. */
type HandsOn = (day: number) => { readonly personIds: readonly string[] }
/** So far back a trip is looked for. */
const mostDaysBack = 60

function tripFinder(hands: HandsOn, today: number, clock: ZoneClock) {
  return (at: number): number => {
    const day = clock.dayOf(at)
    for (let one = day; one > Math.max(today, day - mostDaysBack); one--)
      if (hands(one).personIds.length > 0) return one
    return Math.min(day, Math.max(today, day - mostDaysBack))
  }
}

/** When a step that fixes a size is done and cured: local day; null: it is; Infinity: nobody knows. */
const sureFrom = (step: Step, readyAt: number | null, clock: ZoneClock): number | null => {
  if (!isOpen(step)) return null
  return readyAt === null ? Infinity : clock.dayOf(readyAt)
}

/** Guessed dimensions of a job's recipe that a part rests on. */
function guessesFinder(rows: RefitRows) {
  const recipes = new Map<string, Recipe | undefined>()
  const rests = new Map<string, ReadonlySet<string>>()
  return (part: Part, job: Row<'job'> | null): string[] => {
    if (part.recipePart === '' || !job?.recipeKey || !isToBuy(part)) return []
    const { recipeKey } = job
    if (!recipes.has(recipeKey)) recipes.set(recipeKey, recipeFor(rows, recipeKey))
    const recipe = recipes.get(recipeKey)
    if (!recipe) return []
    const key = `${recipeKey} ${part.recipePart}`
    const inputs = rests.get(key) ?? restsOn(recipe, part.recipePart)
    rests.set(key, inputs)
    return knownInputs(recipe, job)
      .filter(({ input, source }) => source === null && inputs.has(input.key))
      .map(({ input }) => input.label)
  }
}

/** Facts of every part that is not fitted or sent back, and of those bought early. */
export function storeFacts(
  rows: RefitRows,
  plan: StoredPlan | null,
  clock: ZoneClock,
  hands: HandsOn,
  now: number,
): StoreFacts {
  const today = clock.dayOf(now)
  const [jobs, steps, suppliers] = [byId(rows.job), byId(rows.step), byId(rows.supplier)]
  const placed = new Map(plan?.placements.map((one) => [one.stepId, one]) ?? [])
  const lines = lineStates(rows)
  const wants = groupBy(rows.lineWant, (one) => one.partId)
  const tripBefore = tripFinder(hands, today, clock)
  const guesses = guessesFinder(rows)
  const parts = rows.part.flatMap((part): PartFacts[] => {
    const needs = steps.get(part.neededByStepId ?? '') ?? null
    const job = jobs.get(part.jobId ?? needs?.jobId ?? '') ?? null
    if (part.state === 'fitted' || part.state === 'returned' || wantsNothing(job, needs)) return []
    const fixes = steps.get(part.fixedByStepId ?? '') ?? null
    const lead = leadOf(part, suppliers.get(part.supplierId ?? '') ?? null)
    const from = needs ? placed.get(needs.id)?.segments[0]?.[0] : undefined
    const opensOn = fixes ? sureFrom(fixes, placed.get(fixes.id)?.readyAt ?? null, clock) : null
    const ordered = part.orderedOn === null ? null : dayNumber(part.orderedOn)
    const until =
      ordered === null || !fixes ? undefined : boughtEarly(ordered, fixes, opensOn, clock)
    const own = (wants.get(part.id) ?? []).map((one) => lines.get(one.lineId))
    return [
      {
        part,
        job,
        needs,
        fixes,
        lead,
        window: buyWindow({
          today,
          opensOn,
          neededOn: from === undefined ? null : tripBefore(from),
          leadDays: lead.days,
        }),
        guessed: guesses(part, job),
        line: own.find((one) => one && one.toCome > 0) ?? own.at(-1) ?? null,
        early: until === undefined ? null : { until },
      },
    ]
  })
  return { rows, plan, clock, today, parts, tripBefore, lines }
}

/** Whether something was bought before its size was sure, and until when that is not known; undefined: it was not. */
function boughtEarly(
  ordered: number,
  fixes: Step,
  opensOn: number | null,
  clock: ZoneClock,
): number | null | undefined {
  if (opensOn !== null) return opensOn
  return fixes.doneAt !== null && ordered < clock.dayOf(fixes.doneAt) ? null : undefined
}

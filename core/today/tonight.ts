/** What goes home, and what is made ready the evening before: each line with the step that wants it. Source: handbook-2 B4. */
import type { Step } from '../model/entities'
import { byId } from '../model/refit'
import type { RefitRows } from '../model/refit'
import type { Placement, StoredPlan } from '../model/stored'
import type { Operation } from '../model/words'
import type { ZoneClock } from '../time/zone'
import type { Weather } from '../weather/weather'

/** A line of a list of the evening. */
export interface EveningLine {
  readonly key: string
  readonly what: string
  readonly forStep: string
}

/** Days ahead of which work away from the boat is prepared for. */
const daysAhead = 8
const dayMs = 86_400_000
const tooColdC = 12
const tooWarmC = 25
const mixed: readonly Operation[] = ['laminate', 'fill', 'bed']
const powered: readonly Operation[] = ['drill', 'cut', 'grind', 'fair', 'fit', 'wire']

const startsBetween = (
  plan: Pick<StoredPlan, 'placements'>,
  from: number,
  to: number,
): Placement[] =>
  plan.placements.filter((one) => {
    const start = one.segments[0]?.[0] ?? -1
    return start >= from && start < to
  })

/** Things at the boat that work in the shed or away wants before long, and what is measured for it. */
export function takeHome(
  rows: Pick<RefitRows, 'step' | 'bringLine'>,
  plan: Pick<StoredPlan, 'placements'>,
  from: number,
  next: number | null,
): EveningLine[] {
  const steps = byId(rows.step)
  const until = Math.min(next ?? Infinity, from + daysAhead * dayMs)
  return startsBetween(plan, from, until).flatMap((placement) => {
    const step = steps.get(placement.stepId)
    if (!step || step.placeNeed === 'boat') return []
    return rows.bringLine
      .filter((line) => line.stepId === step.id && line.at === 'boat')
      .map((line) => ({
        key: line.id,
        what: line.amount === '' ? line.what : `${line.what}, ${line.amount}`,
        forStep: step.title,
      }))
  })
}

/** What the next day with work at the boat wants made ready: things fetched, resin kept warm or cool, tools charged. */
export function readyTonight(
  rows: Pick<RefitRows, 'step' | 'bringLine'>,
  plan: Pick<StoredPlan, 'placements'>,
  nextDay: number,
  weather: Weather,
  clock: ZoneClock,
): EveningLine[] {
  const steps = byId(rows.step)
  const lines: EveningLine[] = []
  const put = (key: string, what: string, step: Step) => {
    if (!lines.some((line) => line.key === key)) lines.push({ key, what, forStep: step.title })
  }
  const day = startsBetween(plan, clock.at(nextDay, 0), clock.at(nextDay + 1, 0))
  for (const placement of day) {
    const step = steps.get(placement.stepId)
    if (!step || step.placeNeed !== 'boat' || placement.personIds.length === 0) continue
    for (const line of rows.bringLine)
      if (line.stepId === step.id && (line.at === 'shed' || line.at === 'home'))
        put(line.id, line.amount === '' ? line.what : `${line.what}, ${line.amount}`, step)
    const air = weather.airAt(weather.siteOf(step), placement.segments[0]?.[0] ?? 0)
    if (air !== null && mixed.includes(step.operation)) {
      const what = step.operation === 'bed' ? 'Cartridges' : 'Resin'
      if (air < tooColdC) put(`warm ${what}`, `${what} kept warm indoors`, step)
      else if (air > tooWarmC) put(`cool ${what}`, `${what} kept cool`, step)
    }
    if (powered.includes(step.operation)) put('charge', 'Tools on the charger', step)
    if (step.operation === 'laminate') put('plies', 'Plies cut and numbered', step)
  }
  return lines
}

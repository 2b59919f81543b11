import { clockState } from '../cure/clockState'
import { stageHours } from '../cure/stages'
import type { TemperatureAt } from '../cure/dose'
import type { WeatherHour } from '../cure/dewPoint'
import type { Product, Reading, Row, Step } from '../model/entities'
import type { RefitRows } from '../model/refit'
import type { CureStage } from '../model/words'
import { byId, groupBy } from '../model/refit'
import { hourMs } from '../time/civil'
import type { ZoneClock } from '../time/zone'
import type { Site } from '../weather/site'
import { heatOf, Weather } from '../weather/weather'
import type { WeatherRows } from '../weather/weather'
import { aboveDew } from '../cure/dewPoint'
import { dryFrom } from '../steps/drying'
import { roundsLeft } from '../steps/rounds'
import { ceilTick } from './schedule/tick'

/** Months looked at before a cure is taken as endless, at the speed of the last of them. */
const mostMonths = 240

/** First instant of the next month, UTC ms. */
const nextMonth = (at: number): number => {
  const date = new Date(at)
  return Date.UTC(date.getUTCFullYear(), date.getUTCMonth() + 1, 1)
}

/** Rows that waits rest on. */
export type WaitRows = WeatherRows &
  Pick<RefitRows, 'clock' | 'clockReading' | 'product' | 'reading'>

/**
 * When waits are over. A cure goes by the hours of the forecast as they are, and stands still where they are too cold
 * for it; after them month by month with each month's mean air, never under the lowest temperature it needs (cover or
 * heat is assumed). Ten-degree rule: handbook 9.
 */
export class Waits {
  private readonly running: ReadonlyMap<string, Row<'clock'>>
  private readonly readings: ReadonlyMap<string, readonly Row<'clockReading'>[]>
  private readonly steps: ReadonlyMap<string, Step>
  private readonly products: ReadonlyMap<string, Product>
  private readonly readAt: ReadonlyMap<string, readonly Reading[]>

  constructor(
    rows: WaitRows,
    private readonly clock: ZoneClock,
    readonly weather: Weather = new Weather(rows, clock),
  ) {
    const running = rows.clock.filter((one) => one.endedAt === null && one.kind !== 'pot')
    this.running = new Map(
      [...running].reverse().flatMap((one) => (one.stepId === null ? [] : [[one.stepId, one]])),
    )
    this.readings = groupBy(rows.clockReading, (one) => one.clockId)
    this.steps = byId(rows.step)
    this.products = byId(rows.product)
    this.readAt = groupBy(rows.reading, (one) => one.stepId)
  }

  /** When the wait after a step is over, or it is as far as `once`, UTC ms on the grid. */
  over(step: Step, finish: number, once: CureStage = 'cured'): number {
    const isNone = this.hoursOf(step, once) === 0 && waitsLeft(step) === 1
    return isNone ? finish : ceilTick(this.endsAt(step, finish, once))
  }

  /** When a step is ready for the water: what lies under water also has its sealant's time for that. */
  forWater(step: Step, finish: number): number {
    const cured = this.over(step, finish)
    return takesWater(step) ? Math.max(cured, this.over(step, finish, 'water')) : cured
  }

  /** Hours of a step's wait as its sheet has them, before air and rounds. */
  private hoursOf(step: Step, once: CureStage): number {
    const whole = step.waitKind === 'none' ? 0 : step.waitHours
    const sheet = this.products.get(step.productId ?? '') ?? null
    const stage = stageHours(once, sheet, step.bedDepthMm)
    if (stage === null) return whole
    return once === 'cured' ? Math.max(whole, stage) : stage
  }

  /** The same as `over`, to the millisecond. */
  endsAt(step: Step, finish: number, once: CureStage = 'cured'): number {
    const hours = this.hoursOf(step, 'cured') * (waitsLeft(step) - 1) + this.hoursOf(step, once)
    if (step.waitKind !== 'chem') return finish + hours * hourMs
    const site = this.weather.siteOf(step)
    const { at, left } = this.throughForecast(step, hours, site, finish)
    return left <= 0 ? at : this.byMonths(step, site, at, left)
  }

  /**
   * When a finished step lets the next begin, UTC ms: by its running clock with what was read on it, else by its wait.
   * `otherwise`: taken as finished then, where nobody said when.
   */
  afterDone(step: Step, otherwise: number, once: CureStage = 'cured'): number {
    const doneAt = step.doneAt ?? otherwise
    const dry = dryFrom(step, this.readAt.get(step.id) ?? [], this.clock)
    if (dry) return ceilTick(Math.max(doneAt, dry.at, dry.isGuess ? this.over(step, doneAt) : 0))
    const clock = this.running.get(step.id)
    if (!clock || once !== 'cured') return this.over(step, clock?.startedAt ?? doneAt, once)
    const readings = this.readings.get(clock.id) ?? []
    const { opensAt } = clockState(clock, readings, this.expectedBy(clock), doneAt)
    return opensAt === null ? this.over(step, clock.startedAt) : ceilTick(opensAt)
  }

  /** The same for the water. */
  forWaterAfterDone(step: Step, otherwise: number): number {
    const cured = this.afterDone(step, otherwise)
    return takesWater(step) ? Math.max(cured, this.afterDone(step, otherwise, 'water')) : cured
  }

  /**
   * When a window of so many hours shuts after a finish. Bare metal goes off twice as fast in an hour known to be damp:
   * rained on, or within 3 °C of the dew point. Assumed.
   */
  shuts(
    step: Pick<Step, 'windowKind' | 'jobId' | 'placeNeed'>,
    finish: number,
    hours: number,
  ): number {
    if (step.windowKind !== 'bareMetal' || this.weather.hours.length === 0)
      return finish + hours * hourMs
    const site = this.weather.siteOf(step)
    if (site.exposure === 'roof') return finish + hours * hourMs
    let at = finish
    let left = hours * hourMs
    for (const hour of this.weather.feltAt(site)) {
      const end = hour.at + hourMs
      if (end <= at) continue
      if (hour.at > at || left <= 0) break
      const speed = hour.rain || !aboveDew(hour.airC, hour.dewC) ? 2 : 1
      const used = Math.min(left, (end - at) * speed)
      at += used / speed
      left -= used
    }
    return at + left
  }

  /** Air that a clock reckons with where nothing was read: the forecast at its step, else what was assumed at its start. */
  expectedBy(clock: Pick<Row<'clock'>, 'stepId' | 'assumedC'>): TemperatureAt {
    const step = this.steps.get(clock.stepId ?? '')
    if (!step) return () => clock.assumedC
    const site = this.weather.siteOf(step)
    return (at) => this.weather.knownAirAt(site, at) ?? clock.assumedC
  }

  /** What a cure earns in the hours known; where they end or have a gap it goes on by the month. */
  private throughForecast(
    step: Step,
    waitHours: number,
    site: Site,
    finish: number,
  ): { at: number; left: number } {
    const { hours } = this.weather
    let at = finish
    let left = waitHours
    if (site.exposure === 'roof') return { at, left }
    for (let index = Math.max(0, this.weather.indexAt(at)); index < hours.length; index++) {
      const hour = hours[index] as WeatherHour
      const end = hour.at + hourMs
      if (end <= at) continue
      if (hour.at > at) return { at, left }
      const airC = hour.tempC + heatOf(site, hour.at)
      const isCold = step.waitMinC !== null && airC < step.waitMinC
      const speed = isCold ? 0 : 2 ** ((airC - step.waitRefC) / 10)
      const earned = ((end - at) / hourMs) * speed
      if (earned >= left) return { at: at + (left / speed) * hourMs, left: 0 }
      left -= earned
      at = end
    }
    return { at, left }
  }

  private byMonths(step: Step, site: Site, from: number, hours: number): number {
    let at = from
    let left = hours
    for (let month = 0; ; month++) {
      const air = this.weather.meanAt(site, at) ?? step.waitRefC
      const speed = 2 ** ((Math.max(air, step.waitMinC ?? air) - step.waitRefC) / 10)
      const end = nextChange(site, at)
      const earned = ((end - at) / hourMs) * speed
      if (earned >= left || month === mostMonths) return at + (left / speed) * hourMs
      left -= earned
      at = end
    }
  }
}

/** What is done with her ashore may lie under water when she floats. */
const takesWater = (step: Pick<Step, 'hullNeed'>): boolean => step.hullNeed === 'ashore'

/** Each round that is still to come has a wait of its own; of a finished step only the last is left. */
const waitsLeft = (step: Step): number =>
  step.state === 'done' || step.state === 'dropped' ? 1 : roundsLeft(step)

/** The next month, or the next time something is put up or taken down. */
function nextChange(site: Site, at: number): number {
  let next = nextMonth(at)
  for (const { from, to } of site.standing)
    for (const edge of [from, to]) if (edge > at && edge < next) next = edge
  return next
}

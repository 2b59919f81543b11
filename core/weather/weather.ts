/** The one weather of a refit: plan, day sheet and clocks all read it. */
import type { WeatherHour } from '../cure/dewPoint'
import type { Step } from '../model/entities'
import type { RefitRows } from '../model/refit'
import { hourMs } from '../time/civil'
import type { Interval } from '../time/intervals'
import type { ZoneClock } from '../time/zone'
import { feltAt } from './felt'
import type { FeltHour, Position } from './felt'
import { openAround, spellsAgainst, touchDryMs } from './fit'
import type { Spell } from './fit'
import { knownWeather } from './known'
import { isWet, weatherNeed } from './need'
import type { WeatherNeed } from './need'
import { isUnderRoof, siteReader, standingAt } from './site'
import type { Site } from './site'

/** Rows that weather rests on. */
export type WeatherRows = Pick<
  RefitRows,
  'refit' | 'forecast' | 'dayPlan' | 'job' | 'zone' | 'cover' | 'step' | 'place'
>

/** A spell with the last instant at which a step's work must be over before it. */
export interface Forbidden extends Spell {
  readonly doneBy: number
}

export class Weather {
  readonly hours: readonly WeatherHour[]
  /** End of the forecast, UTC ms; 0: none comes here. */
  readonly until: number
  readonly siteOf: (step: Pick<Step, 'jobId' | 'placeNeed'>) => Site
  private readonly position: Position | null
  private readonly means: readonly number[]
  private readonly spells = new Map<string, readonly Forbidden[]>()
  private readonly feltBy = new Map<string, readonly FeltHour[]>()

  constructor(rows: WeatherRows, clock: ZoneClock) {
    const known = knownWeather(rows, clock)
    const [refit] = rows.refit
    this.hours = known.hours
    this.until = known.until
    this.siteOf = siteReader(rows, clock)
    this.means = refit?.monthMeanC ?? []
    const { latitudeDeg = null, longitudeDeg = null } = refit ?? {}
    this.position =
      latitudeDeg === null || longitudeDeg === null ? null : { latitudeDeg, longitudeDeg }
  }

  /** What a step asks of the weather; null: nothing, or it has a roof. */
  needOf(step: Step): WeatherNeed | null {
    return weatherNeed(step, this.siteOf(step))
  }

  /** The hours known, as they are at a site, in order. */
  feltAt(site: Site): readonly FeltHour[] {
    let felt = this.feltBy.get(site.key)
    if (!felt) {
      felt = this.hours.map((hour) => feltAt(hour, site, this.position))
      this.feltBy.set(site.key, felt)
    }
    return felt
  }

  /** What the hours known forbid a step, in order; none: nothing is known against it. */
  forbidden(step: Step): readonly Forbidden[] {
    const site = this.siteOf(step)
    const need = weatherNeed(step, site)
    if (!need || this.hours.length === 0) return []
    const key = [site.key, ...Object.values(need), ...dryingOf(step)].join()
    let found = this.spells.get(key)
    if (!found) {
      const felt = this.feltAt(site)
      const spells = spellsAgainst(this.hours, need, site, this.position)
      found = spells.map((one, at) => {
        // Spells that join are one: what is laid must be dry before the first of them.
        const first = spells[at - 1]?.to === one.from ? 0 : touchDryMs(step, one, felt)
        return { ...one, doneBy: one.from - first }
      })
      this.spells.set(key, found)
    }
    return found
  }

  /** Time in which the hours known from an instant on let a step's work be; null: whenever. */
  openTo(step: Step, from: number): readonly Interval[] | null {
    const closed = this.forbidden(step).filter((one) => one.to > from)
    if (closed.length === 0) return null
    return openAround(closed.map((one) => [one.doneBy, one.to]))
  }

  /** The first spell after an instant that a step must be done before; null: none is known. */
  nextAgainst(step: Step, at: number): Forbidden | null {
    return this.forbidden(step).find((one) => one.to > at && one.from >= at) ?? null
  }

  /** The spell an instant lies in, touch-dry before it included; null: it suits, or nothing is known. */
  againstAt(step: Step, at: number): Forbidden | null {
    return this.forbidden(step).find((one) => one.doneBy <= at && at < one.to) ?? null
  }

  /** Air that is expected at a site, °C: the forecast where it reaches, else the month's mean; null: neither is known. */
  airAt(site: Site, at: number): number | null {
    return this.knownAirAt(site, at) ?? this.meanAt(site, at)
  }

  /** Mean air of the month at a site, with what is put up there, °C; null: not said. */
  meanAt(site: Site, at: number): number | null {
    const mean = (site.monthMeanC ?? this.means)[new Date(at).getUTCMonth()]
    return mean === undefined ? null : mean + heatOf(site, at)
  }

  /** Air by the hours known, °C, on straight lines between them; null: they do not reach, or it is under a roof. */
  knownAirAt(site: Site, at: number): number | null {
    if (site.exposure === 'roof') return null
    const index = this.indexAt(at)
    const hour = this.hours[index]
    if (!hour || at < hour.at || at >= hour.at + hourMs) return null
    const next = this.hours[index + 1]
    const slope = next && next.at === hour.at + hourMs ? next.tempC - hour.tempC : 0
    return hour.tempC + ((at - hour.at) / hourMs) * slope + heatOf(site, at)
  }

  /** Place of the last hour that begins at or before an instant; -1: all are later. */
  indexAt(at: number): number {
    let [low, high] = [0, this.hours.length]
    while (low < high) {
      const middle = (low + high) >> 1
      if ((this.hours[middle] as WeatherHour).at <= at) low = middle + 1
      else high = middle
    }
    return low - 1
  }

  /** True where rain and sky do not reach a step at an instant: below deck, in a shed, under a cover. */
  hasRoof(step: Pick<Step, 'jobId' | 'placeNeed'>, at: number): boolean {
    return isUnderRoof(this.siteOf(step), at)
  }
}

/** Degrees that heaters and covers add at an instant. */
export const heatOf = (site: Site, at: number): number =>
  site.standing.length === 0 ? 0 : standingAt(site, at).reduce((sum, one) => sum + one.addsC, 0)

/** What of a step decides how fast it is touch-dry. */
const dryingOf = (step: Step): readonly unknown[] =>
  isWet(step) ? [step.waitKind, step.waitHours, step.waitRefC, step.waitMinC] : []

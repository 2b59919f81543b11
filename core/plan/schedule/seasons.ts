/** When of the year a step may be done. */
import type { Step } from '../../model/entities'
import { months } from '../../model/words'
import type { RefitRows } from '../../model/refit'
import { dayNumber } from '../../time/civil'
import type { Site } from '../../weather/site'
import { intersect, joined } from '../../time/intervals'
import type { Interval } from '../../time/intervals'
import type { ZoneClock } from '../../time/zone'
import type { Weather } from '../../weather/weather'
import { forecastUntil } from '../weatherAllowance'

/** Years laid out: as far as a plan reaches. */
const yearsAhead = 16

/** Stretches from a year on that lie in months that suit; months count from 0. Null: every month does. */
function monthSpans(
  suits: (month: number) => boolean,
  fromYear: number,
  clock: ZoneClock,
): readonly Interval[] | null {
  if (months.every((_, month) => suits(month))) return null
  const spans: [number, number][] = []
  for (let at = 0; at < yearsAhead * 12; at++) {
    if (!suits(at % 12)) continue
    const first = (month: number) => {
      const year = fromYear + Math.floor(month / 12)
      return clock.at(dayNumber(`${year}-${String((month % 12) + 1).padStart(2, '0')}-01`), 0)
    }
    const last = spans.at(-1)
    if (last && last[1] === first(at)) last[1] = first(at + 1)
    else spans.push([first(at), first(at + 1)])
  }
  return spans
}

/** Spans by what they are made from: most steps share the few that there are. */
export class Seasons {
  private readonly known = new Map<string, readonly Interval[] | null>()
  private readonly year: number

  constructor(
    private readonly rows: Pick<RefitRows, 'refit'>,
    private readonly clock: ZoneClock,
    private readonly now: number,
    private readonly weather: Weather,
  ) {
    this.year = Number(clock.dateOf(now).slice(0, 4))
  }

  /** When a step may be done by its months and its last day; null: whenever. */
  of({ months: only, notAfter }: Pick<Step, 'months' | 'notAfter'>): readonly Interval[] | null {
    return this.remembered(`${only.join()} ${notAfter}`, () => {
      const some = only.length === 0 ? null : this.inMonths(only)
      if (notAfter === null) return some
      const until: Interval[] = [[-Infinity, this.clock.at(dayNumber(notAfter) + 1, 0)]]
      return some ? intersect(some, until) : until
    })
  }

  /** Months warm enough for a step out of doors, the days of the forecast among them; null: it needs no warmth. */
  warm(step: Step): readonly Interval[] | null {
    const { minTempC } = step
    const site = this.weather.siteOf(step)
    const [refit] = this.rows.refit
    if (minTempC === null || site.exposure === 'roof') return null
    if (!refit || refit.monthMeanC.length < 12) return null
    return this.remembered(`warm ${minTempC} ${site.key}`, () => {
      const spans = monthSpans(
        (month) => (refit.monthMeanC[month] ?? minTempC) >= minTempC,
        this.year,
        this.clock,
      )
      if (!spans) return null
      // Nearer than that the forecast says, hour by hour; and what is heated enough is warm whatever the month.
      const soon: Interval[] =
        this.weather.until > this.now ? [[this.now, forecastUntil(this.weather, this.now)]] : []
      return joined([...soon, ...spans, ...this.heated(site, minTempC)])
    })
  }

  /** Months in which a heater or cover that stands makes it warm enough. */
  private heated(site: Site, minTempC: number): Interval[] {
    const means = this.rows.refit[0]?.monthMeanC ?? []
    return site.standing.flatMap(({ from, to, addsC }) => {
      const months = monthSpans(
        (month) => (means[month] ?? minTempC) + addsC >= minTempC,
        this.year,
        this.clock,
      )
      return months ? intersect(months, [[from, to]]) : [[from, to] as const]
    })
  }

  private inMonths(only: Step['months']): readonly Interval[] | null {
    return monthSpans((month) => only.includes(months[month] as never), this.year, this.clock)
  }

  private remembered(
    key: string,
    make: () => readonly Interval[] | null,
  ): readonly Interval[] | null {
    let found = this.known.get(key)
    if (found === undefined) {
      found = make()
      this.known.set(key, found)
    }
    return found
  }
}

/** What the forecast says of a step, in words. */
import type { Step } from '../model/entities'
import { maySplit } from '../plan/facts'
import { dayMs, hourMs } from '../time/civil'
import { clockTimeOf, shortDateTime } from '../time/say'
import { intersect } from '../time/intervals'
import type { Interval } from '../time/intervals'
import type { ZoneClock } from '../time/zone'
import { formatHours } from '../units/hours'
import type { UnitSystem } from '../units/length'
import { formatTemp } from '../units/quantity'
import { openAround } from '../weather/fit'
import type { Against } from '../weather/need'
import type { Forbidden, Weather } from '../weather/weather'
import type { Limit } from './dayLine'

export interface WeatherSayer {
  /** By when work from an instant to another must be done, when the weather turns within a day. */
  limit(step: Step, from: number, to: number): Limit | null
  /** What forbids a step at an instant, and until when; '': nothing that is known. */
  against(step: Step, at: number): string
  /** Why a step is not done on the day of an instant. */
  notOn(step: Step, at: number): string
}

export function weatherSayer(weather: Weather, clock: ZoneClock, units: UnitSystem): WeatherSayer {
  const what = (why: Against, step: Step): string => {
    const need = weather.needOf(step)
    if (why === 'cold') return `under ${formatTemp(need?.minTempC ?? 0, units)}`
    return why === 'hot' ? `over ${formatTemp(need?.maxTempC ?? 0, units)}` : why
  }
  const year = (at: number) => clock.dateOf(at).slice(0, 4)
  /** End of the spells that join a spell, and what they are. */
  const through = (step: Step, spell: Forbidden) => {
    const all = weather.forbidden(step)
    const joined = [spell]
    for (let at = all.indexOf(spell) + 1; all[at]?.doneBy === joined.at(-1)?.to; at++)
      joined.push(all[at] as Forbidden)
    const reasons = [...new Set(joined.map((one) => what(one.why, step)))]
    return { to: (joined.at(-1) as Forbidden).to, reasons: reasons.join(', then ') }
  }
  return {
    limit(step, from, to) {
      const next = weather.nextAgainst(step, from)
      if (!next || next.from < to || next.from - to > dayMs) return null
      const dryMs = next.from - next.doneBy
      const dry = dryMs > 0 ? `, touch-dry takes about ${formatHours(dryMs / hourMs)}` : ''
      return {
        at: next.doneBy,
        beginBy: maySplit(step) ? next.doneBy : next.doneBy - (to - from),
        why: `done by ${clockTimeOf(next.doneBy, clock)}: ${what(next.why, step)} at ${clockTimeOf(next.from, clock)}${dry}`,
      }
    },
    against(step, at) {
      const spell = weather.againstAt(step, at)
      if (!spell) return ''
      const { to, reasons } = through(step, spell)
      return `Not before ${shortDateTime(to, clock, year(at))}: ${reasons}.`
    },
    notOn(step, at) {
      const day = clock.dayOf(at)
      const [dawn, night] = [clock.at(day, 0), clock.at(day + 1, 0)]
      const spells = weather.forbidden(step).filter((one) => one.from < night && one.to > dawn)
      const fit = intersect(openAround(spells.map((one) => [one.from, one.to])), [[dawn, night]])
      if (fit.length === 0)
        return `no hour suits it: ${[...new Set(spells.map((one) => what(one.why, step)))].join(', ')}`
      const turns = spells.find((one) => one.from >= (fit[0] as Interval)[1])
      const dryMs = turns ? turns.from - turns.doneBy : 0
      const spans = fit.map(([a, b]) => `${clockTimeOf(a, clock)}–${clockTimeOf(b, clock)}`)
      const why = turns ? `: ${what(turns.why, step)} at ${clockTimeOf(turns.from, clock)}` : ''
      return `only ${spans.join(', ')} suits it${why}${dryMs > 0 ? `, touch-dry takes about ${formatHours(dryMs / hourMs)}` : ''}`
    },
  }
}

import type { Step } from '../model/entities'
import type { RefitRows } from '../model/refit'
import { dayMs } from '../time/civil'
import type { Interval } from '../time/intervals'
import { forecastDays } from '../weather/known'
import type { Weather } from '../weather/weather'
import { openAround } from '../weather/fit'
import { ceilTick } from './schedule/tick'

/** Time to allow before a step that needs weather, and the share of days it comes from. */
export interface Allowance {
  readonly share: number
  readonly ms: number
}

/** Days that do not suit work in the open from the day of `at` (UTC ms) on, where a `share` of days suits it. */
export type DaysLost = (at: number, share: number) => number

/** As many as are to be expected: elapsed time ÷ the share, less the day itself. */
const daysExpected: DaysLost = (_, share) => 1 / share - 1

/** Up to here the hours of the forecast decide, UTC ms; after it the month's share of workable days. */
export const forecastUntil = (weather: Pick<Weather, 'until'>, now: number): number =>
  Math.min(now + forecastDays * dayMs, weather.until > now ? weather.until : Infinity)

/** True for work in the open that wants warmth or dryness. */
export const needsWeather = (step: Step, weather: Weather): boolean =>
  weather.siteOf(step).exposure === 'open' && (step.needsDry || step.minTempC !== null)

/**
 * What a day that suits a step is expected to cost in waiting, when it may start at `at`: elapsed time ÷
 * the month's workable share, less the day itself. Null: it needs no weather, a cover stands over it then, or the
 * forecast decides. `daysLost`: as drawn, else as expected.
 */
export function weatherAllowance(
  step: Step,
  at: number,
  rows: Pick<RefitRows, 'refit'>,
  now: number,
  weather: Weather,
  daysLost: DaysLost = daysExpected,
): Allowance | null {
  if (!needsWeather(step, weather) || at <= forecastUntil(weather, now)) return null
  return weather.hasRoof(step, at) ? null : allowanceOf(at, rows, daysLost)
}

/** Share of days that suit work in the open in the month of an instant. */
export const workableShare = ({ refit }: Pick<RefitRows, 'refit'>, at: number): number =>
  refit[0]?.workableShare[new Date(at).getUTCMonth()] ?? 1

function allowanceOf(
  at: number,
  rows: Pick<RefitRows, 'refit'>,
  daysLost: DaysLost,
): Allowance | null {
  const share = workableShare(rows, at)
  return share >= 1 ? null : { share, ms: ceilTick(daysLost(at, share) * dayMs) }
}

/**
 * When the forecast lets a step be done; null: whenever. What finds no room in it waits on as long after its end as
 * the month's days ask for, where it `startsSpell`.
 */
export function forecastWindows(
  step: Step,
  startsSpell: boolean,
  rows: Pick<RefitRows, 'refit'>,
  now: number,
  weather: Weather,
): readonly Interval[] | null {
  const until = forecastUntil(weather, now)
  const believed = now + forecastDays * dayMs
  const closed: Interval[] = weather
    .forbidden(step)
    .filter((one) => one.to > now && one.from < believed)
    .map((one) => [one.doneBy, Math.min(one.to, believed)])
  if (closed.length === 0) return null
  const beyond =
    startsSpell && weather.until > now && !weather.hasRoof(step, until)
      ? allowanceOf(until, rows, daysExpected)
      : null
  return openAround(beyond ? [...closed, [until, until + beyond.ms]] : closed)
}

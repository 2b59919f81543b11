/** The weather of a plan, worked out again: what each hour is at the work, and what of it forbids the work. */
import type { Step } from '../../core/model/entities'
import type { Placement } from '../../core/model/stored'
import type { RefitRows } from '../../core/model/refit'
import { isWet } from './does'
import { hour, minute, wallClock } from './wallClock'
import type { Wall } from './wallClock'

const ahead = 7 * 24 * hour

type Where = 'open' | 'below' | 'roof'

/** Rained on, below deck, or housed. */
export function whereIs(step: Step, rows: RefitRows): Where {
  if (step.placeNeed !== 'boat') return 'roof'
  const job = rows.job.find((one) => one.id === step.jobId)
  const zone = rows.zone.find((one) => one.id === job?.zoneId)
  if (zone?.strake === 'shed' || zone?.strake === 'away') return 'roof'
  return zone?.strake === 'below' ? 'below' : 'open'
}

/** Covers over a step at an instant; the dates of a cover are those of the yard. */
function over(step: Step, at: number, rows: RefitRows, wall: (at: number) => Wall) {
  const job = rows.job.find((one) => one.id === step.jobId)
  if (rows.cover.length === 0) return []
  const on = wall(at).date
  return rows.cover.filter((one) => {
    const strike = rows.step.find((row) => row.id === one.strikeStepId)
    const isStruck = strike?.state === 'done' && at >= (strike.doneAt ?? 0)
    return (
      job?.zoneId != null &&
      one.zoneIds.includes(job.zoneId) &&
      one.upOn <= on &&
      (one.downOn === null || on <= one.downOn) &&
      !isStruck
    )
  })
}

const aheadOf = new WeakMap<RefitRows['forecast'][number], RefitRows['forecast'][number]['hours']>()

/** The hours of the forecast that count. */
function hoursAhead(rows: RefitRows): RefitRows['forecast'][number]['hours'] {
  const [stored] = rows.forecast
  if (!stored) return []
  const hours = aheadOf.get(stored) ?? stored.hours.filter((one) => one.at < stored.takenAt + ahead)
  aheadOf.set(stored, hours)
  return hours
}

/** The forecast hour an instant lies in, bent to what was said of its day. */
function hourAt(at: number, rows: RefitRows, wall: (at: number) => Wall) {
  const all = hoursAhead(rows)
  const guess = all[Math.floor((at - (all[0]?.at ?? 0)) / hour)]
  const found =
    guess && guess.at <= at && at < guess.at + hour
      ? guess
      : all.find((one) => one.at <= at && at < one.at + hour)
  if (!found) return madeOf(at, rows, wall)
  if (rows.dayPlan.length === 0) return found
  const on = wall(found.at).date
  const said = rows.dayPlan.find((one) => one.on === on)
  if (!said || (said.lowC === null && said.highC === null && !said.rain)) return found
  const temps = all.filter((one) => wall(one.at).date === on).map((one) => one.tempC)
  const [low, high] = [Math.min(...temps), Math.max(...temps)]
  const toLow = said.lowC ?? Math.min(low, said.highC ?? low)
  const toHigh = Math.max(toLow, said.highC ?? high)
  const share = high === low ? 0 : (found.tempC - low) / (high - low)
  const tempC = toLow + share * (toHigh - toLow)
  return { ...found, tempC, dewC: Math.min(found.dewC, tempC), rain: said.rain || found.rain }
}

/** An hour of a day of which only low and high were said: coldest at 05:00, warmest at 15:00. */
function madeOf(at: number, rows: RefitRows, wall: (at: number) => Wall) {
  const { date, minutes } = wall(at)
  const said = rows.dayPlan.find((one) => one.on === date)
  if (!said || said.lowC === null || said.highC === null) return null
  const [stored] = rows.forecast
  const isKnown = (stored?.hours ?? []).some(
    (one) => one.at < (stored?.takenAt ?? 0) + ahead && wall(one.at).date === date,
  )
  if (isKnown) return null
  const clock = Math.floor(minutes / 60)
  const since = (clock + 19) % 24
  const share = since < 10 ? since / 10 : 1 - (since - 10) / 14
  const swing = Math.max(said.highC, said.lowC) - said.lowC
  const tempC = said.lowC + (swing * (1 - Math.cos(Math.PI * share))) / 2
  const from = at - (minutes % 60) * minute
  return { at: from, tempC, dewC: Math.min(said.lowC - 1, tempC), rain: said.rain }
}

/** What stands against work of a step in the hour of an instant; null: nothing known. */
function against(
  step: Step,
  at: number,
  rows: RefitRows,
  wall: (at: number) => Wall,
): string | null {
  const where = whereIs(step, rows)
  const air = hourAt(at, rows, wall)
  if (where === 'roof' || !air) return null
  const covers = over(step, air.at, rows, wall)
  const tempC = air.tempC + covers.reduce((sum, one) => sum + one.addsC, 0)
  const dry = where === 'below' || covers.some((one) => one.kind !== 'heat')
  const wet = isWet(step)
  const least = step.minTempC ?? (wet ? 10 : null)
  if (least !== null && tempC < least - 1e-6) return 'cold'
  if (step.maxTempC !== null && tempC > step.maxTempC + 1e-6) return 'hot'
  if (step.needsDry && air.rain && !dry) return 'rain'
  return wet && Math.round((tempC - air.dewC) * 10) < 30 ? 'dew' : null
}

/** Hours until rain, cold and dew do wet work no harm. */
function touchDry(step: Step, before: number, rows: RefitRows, wall: (at: number) => Wall): number {
  if (!isWet(step)) return 0
  if (step.waitKind !== 'chem') return 3
  const airs: number[] = []
  for (let at = before - 6 * hour; at < before; at += hour) {
    const air = hourAt(at, rows, wall)
    const heat = over(step, at, rows, wall).reduce((sum, one) => sum + one.addsC, 0)
    if (air) airs.push(air.tempC + heat)
  }
  const first = hourAt(before, rows, wall)
  if (airs.length === 0 && first)
    airs.push(first.tempC + over(step, before, rows, wall).reduce((sum, one) => sum + one.addsC, 0))
  const mean = airs.reduce((sum, one) => sum + one, 0) / airs.length
  const cure = step.waitHours * 2 ** ((step.waitRefC - Math.max(mean, step.waitMinC ?? mean)) / 10)
  return Math.min(6, Math.max(1, cure / 3))
}

/** True when the forecast forbids a step's work in the five minutes from an instant, touch-dry after it included. */
export function weatherForbids(
  step: Step,
  at: number,
  now: number,
  rows: RefitRows,
  wall: (at: number) => Wall,
): boolean {
  const tickEnd = at + 5 * minute
  const limit = now + ahead
  if (at < limit && against(step, at, rows, wall)) return true
  for (let next = Math.ceil(at / hour) * hour; next < at + 7 * hour && next < limit; next += hour) {
    const bad = against(step, next, rows, wall)
    if (!bad || bad === 'hot' || against(step, next - 1, rows, wall)) continue
    if (tickEnd > next - touchDry(step, next, rows, wall) * hour + 1) return true
  }
  return false
}

/** Work is in hours that suit it, and is touch-dry before they end. */
export function inTheWeather(
  step: Step,
  one: Placement,
  now: number,
  rows: RefitRows,
  wall: (at: number) => Wall,
): string[] {
  if (one.personIds.length === 0 || step.hullNeed === 'slings') return []
  for (const [from, to] of one.segments)
    for (let at = from; at < to; at += 5 * minute)
      if (weatherForbids(step, at, now, rows, wall))
        return [`stands in weather at ${wall(at).date} ${wall(at).minutes / 60}`]
  return []
}

/**
 * Air a cure has at an instant: the hour of the forecast as it is (null: too cold for it), else the month's mean, never
 * under its lowest. `heated`: what is put up counts beyond the forecast too.
 */
export function cureAir(
  step: Step,
  at: number,
  otherwise: (month: number) => number,
  minC: number | null,
  rows: RefitRows,
  wall: (at: number) => Wall,
  heated = true,
  /** On straight lines between the hours, as a running clock reads them. */
  between = false,
): number | null {
  const heatAt = (when: number) =>
    over(step, when, rows, wall).reduce((sum, one) => sum + one.addsC, 0)
  const air = whereIs(step, rows) === 'roof' ? null : hourAt(at, rows, wall)
  if (air) {
    const next = between ? hourAt(air.at + hour, rows, wall) : null
    const slope = next && next.at === air.at + hour ? next.tempC - air.tempC : 0
    const felt = air.tempC + ((at - air.at) / hour) * slope + heatAt(between ? at : air.at)
    return minC !== null && felt < minC ? null : felt
  }
  const mean = otherwise(new Date(at).getUTCMonth()) + (heated ? heatAt(at) : 0)
  return minC === null ? mean : Math.max(mean, minC)
}

/** When a window shuts: bare metal uses up two minutes in each that is known to be damp, rain or dew within 3 °C. */
export function goesOff(step: Step, finish: number, hours: number, rows: RefitRows): number {
  const end = finish + hours * hour
  if (step.windowKind !== 'bareMetal' || whereIs(step, rows) === 'roof') return end
  const wall = wallClock(rows.refit[0]?.zone ?? 'UTC')
  const dampAt = (at: number) => {
    const air = hourAt(at, rows, wall)
    if (!air) return false
    const covers = over(step, air.at, rows, wall)
    const dry = whereIs(step, rows) === 'below' || covers.some((one) => one.kind !== 'heat')
    const tempC = air.tempC + covers.reduce((sum, one) => sum + one.addsC, 0)
    return (air.rain && !dry) || Math.round((tempC - air.dewC) * 10) < 30
  }
  let [at, left] = [finish, hours * 60]
  for (; left > 0 && at < end; at += minute) left -= dampAt(at) ? 2 : 1
  return at
}

/** True in the days that the month's share asks for after the end of the forecast: nobody knows them yet. */
export function afterForecast(step: Step, at: number, now: number, rows: RefitRows): boolean {
  if (whereIs(step, rows) !== 'open' || (!step.needsDry && step.minTempC === null)) return false
  const [stored] = rows.forecast
  const hours = (stored?.hours ?? []).filter((one) => one.at < (stored?.takenAt ?? 0) + ahead)
  const until = Math.min(now + ahead, (hours.at(-1)?.at ?? -Infinity) + hour)
  const share = rows.refit[0]?.workableShare[new Date(until).getUTCMonth()] ?? 1
  return until > now && at >= until && at < until + (1 / share - 1) * 24 * hour + 5 * minute
}

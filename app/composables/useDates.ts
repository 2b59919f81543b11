import * as say from '#core/time/say'
import type { ZoneClock } from '#core/time/zone'

/** Dates as views say them: with their year where it is not this one. */
export function useDates() {
  const store = useRefitStore()
  const year = () => store.derived.today.slice(0, 4)
  return {
    sayDate: (date: string) => say.sayDate(date, year()),
    sayDay: (date: string) => say.sayDay(date, year()),
    shortDate: (instant: number, clock: ZoneClock) => say.shortDate(instant, clock, year()),
    shortDateTime: (instant: number, clock: ZoneClock) => say.shortDateTime(instant, clock, year()),
  }
}

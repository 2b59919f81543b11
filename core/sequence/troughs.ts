/** Vessels of hours, one a week: as high as the hours there, filled with what is planned. */
import { widthOf } from './measure'
import { xOf } from './ruler'
import type { Ruler } from './ruler'
import type { WeekFigures } from './weeks'
import type { ZoneClock } from '../time/zone'

export interface Trough {
  readonly week: WeekFigures
  readonly x0: number
  readonly x1: number
  /** Heights above its foot, px. */
  readonly there: number
  readonly planned: number
  readonly logged: number
  /** Planned above what is there. */
  readonly over: number
  /** "31 / 35 h", "31", or '' where it has no room. */
  readonly figures: string
}

const gap = 5
export const figureSize = 14
/** Less than this is not said. */
const leastHours = 0.5

const whole = (hours: number): string => String(Math.round(hours))

/** Troughs of the weeks on a ruler; the fullest or widest is `high` px tall. `brief`: figures are hours planned or logged alone. */
export function troughsOf(
  weeks: readonly WeekFigures[],
  ruler: Ruler,
  clock: ZoneClock,
  high: number,
  brief: boolean,
): Trough[] {
  const seen = weeks.filter(
    (one) => clock.at(one.monday + 7, 0) > ruler.from && clock.at(one.monday, 0) < ruler.to,
  )
  const most = Math.max(1, ...seen.flatMap((one) => [one.there, one.planned + one.logged]))
  const px = (hours: number) => (hours / most) * high
  const room = { end: -Infinity }
  return seen.map((week): Trough => {
    const [a, b] = [xOf(ruler, clock.at(week.monday, 0)), xOf(ruler, clock.at(week.monday + 7, 0))]
    const inset = Math.min(gap, (b - a) / 4)
    const said = week.planned >= leastHours ? week.planned : week.logged
    const long = `${whole(week.planned)} / ${whole(week.there)} h`
    const short = said >= leastHours ? whole(said) : ''
    const middle = (a + b) / 2
    const has = (text: string, own: number): boolean => {
      const half = widthOf(text, figureSize) / 2
      return half * 2 <= own && middle - half >= room.end + 4
    }
    const isOpen = week.there > 0 || week.planned >= leastHours
    const figures = !brief && isOpen && has(long, b - a) ? long : has(short, b - a + 6) ? short : ''
    if (figures !== '') room.end = middle + widthOf(figures, figureSize) / 2
    return {
      week,
      x0: a + inset,
      x1: b - inset,
      there: px(week.there),
      planned: px(Math.min(week.planned, Math.max(week.there, 0))),
      logged: px(week.logged),
      over: px(Math.max(0, week.planned - week.there)),
      figures,
    }
  })
}

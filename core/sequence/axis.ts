/** Dates along the top of a drawing, days with hands, and folded weeks. */
import { dateOf } from '../time/civil'
import type { SequenceFacts } from './facts'
import { widthOf } from './measure'
import { isPleat, mondayOn, xOf } from './ruler'
import type { Ruler } from './ruler'
import type { WeekFigures } from './weeks'

/** Words on the drawing. */
export interface Label {
  readonly text: string
  readonly left: number
  readonly right: number
}
/** A run of folded weeks. */
export interface Pleats {
  readonly x0: number
  readonly x1: number
  readonly weeks: number
}

const dateSize = 15

/** Centred words over a stretch, kept on the drawing. */
function over(text: string, x0: number, x1: number, ruler: Ruler): Label {
  const width = widthOf(text, dateSize, 600)
  const left = Math.max(ruler.left, Math.min(ruler.right - width, (x0 + x1) / 2 - width / 2))
  return { text, left, right: left + width }
}

const months = 'Jan Feb Mar Apr May Jun Jul Aug Sep Oct Nov Dec'.split(' ')

/** Weekends of a launch: "17–18 Apr", the month where it is another. */
export function weekendLabels(facts: SequenceFacts, ruler: Ruler): Label[] {
  const { clock } = facts
  const labels: Label[] = []
  let [end, month] = [-Infinity, '']
  for (let day = mondayOn(clock.dayOf(ruler.from)) + 5; ; day += 7) {
    const [x0, x1] = [xOf(ruler, clock.at(day, 0)), xOf(ruler, clock.at(day + 2, 0))]
    if (clock.at(day + 2, 0) > ruler.to) return labels
    const [a, b] = [dateOf(day), dateOf(day + 1)]
    const own = months[Number(b.slice(5, 7)) - 1] ?? ''
    const dates = `${Number(a.slice(8))}–${Number(b.slice(8))}`
    const label = over(own === month ? dates : `${dates} ${own}`, x0, x1, ruler)
    if (label.left < end + 10) continue
    labels.push(label)
    end = label.right
    month = own
  }
}

/** Months of the seasons at their first week that is not folded; the year with the first and with January. */
export function monthLabels(
  facts: SequenceFacts,
  ruler: Ruler,
  open: ReadonlySet<number>,
): Label[] {
  const { clock } = facts
  const labels: Label[] = []
  let [last, year] = ['', '']
  for (let day = clock.dayOf(ruler.from); clock.at(day, 0) < ruler.to; day++) {
    const date = dateOf(day)
    const own = date.slice(0, 7)
    if (own === last || !open.has(mondayOn(day))) continue
    last = own
    const name = months[Number(own.slice(5)) - 1] ?? ''
    const text = own.slice(0, 4) === year ? name : `${name} ${own.slice(0, 4)}`
    const left = xOf(ruler, clock.at(day, 0)) + (labels.length === 0 ? 0 : 2)
    const label = { text, left, right: left + widthOf(text, dateSize, 600) }
    const before = labels.at(-1)
    if (label.right > ruler.right || (before && label.left < before.right + 8)) continue
    labels.push(label)
    year = own.slice(0, 4)
  }
  return labels
}

const pleatsCounted = 6

/** Runs of folded weeks. */
export function pleatsOf(
  weeks: readonly WeekFigures[],
  ruler: Ruler,
  facts: SequenceFacts,
): Pleats[] {
  const runs: { from: number; weeks: number }[] = []
  let open = false
  for (const week of weeks) {
    if (!isPleat(week)) {
      open = false
      continue
    }
    const last = runs.at(-1)
    if (open && last) last.weeks++
    else runs.push({ from: week.monday, weeks: 1 })
    open = true
  }
  return runs.map(({ from, weeks: count }) => ({
    x0: xOf(ruler, facts.clock.at(from, 0)),
    x1: xOf(ruler, facts.clock.at(from + 7 * count, 0)),
    weeks: count,
  }))
}

/** Words of the long runs that meet no month. */
export function pleatWords(
  pleats: readonly Pleats[],
  taken: readonly Label[],
  ruler: Ruler,
): Label[] {
  return pleats
    .filter((one) => one.weeks >= pleatsCounted)
    .map((one) => over(`${one.weeks} wk`, one.x0, one.x1, ruler))
    .filter((one) => taken.every((own) => one.right + 6 <= own.left || one.left >= own.right + 6))
}

/** Stretches of days on which somebody is there. */
export function baysOf(facts: SequenceFacts, ruler: Ruler): (readonly [number, number])[] {
  const { clock } = facts
  const bays: [number, number][] = []
  for (let day = clock.dayOf(ruler.from); clock.at(day, 0) < ruler.to; day++) {
    if (facts.hands(day).hours <= 0) continue
    const [x0, x1] = [xOf(ruler, clock.at(day, 0)), xOf(ruler, clock.at(day + 1, 0))]
    const last = bays.at(-1)
    if (last && x0 - last[1] < 0.5) last[1] = x1
    else bays.push([x0, x1])
  }
  return bays
}

/** Who is there, over each day: a cell with initials, "away" where everybody who would come cannot. */
import { dateOf } from '../time/civil'
import type { SequenceFacts } from './facts'
import { widthOf } from './measure'
import { xOf } from './ruler'
import type { Ruler } from './ruler'

export interface HandCell {
  readonly x0: number
  readonly x1: number
  /** Initials, 'away', or '' where they have no room. */
  readonly text: string
  readonly away: boolean
  readonly date: string
}

export const handSize = 12.5

/** One letter a person, two where two begin alike. */
export function initialsOf(names: ReadonlyMap<string, string>): Map<string, string> {
  const letters = [...names].map(([id, name]) => [id, [...name.trim()]] as const)
  const first = letters.map(([, name]) => (name[0] ?? '?').toUpperCase())
  return new Map(
    letters.map(([id, name], index) => {
      const own = first[index] ?? '?'
      const shared = first.filter((one) => one === own).length > 1
      return [id, shared ? `${own}${name[1] ?? ''}` : own]
    }),
  )
}

/** Cells of the days on a ruler. */
export function handCells(facts: SequenceFacts, ruler: Ruler): HandCell[] {
  const { clock, rows } = facts
  const initials = initialsOf(
    new Map(rows.person.filter((one) => !one.gone).map((one) => [one.id, one.name])),
  )
  const cells: HandCell[] = []
  let freeFrom = ruler.left
  for (let day = clock.dayOf(ruler.from); clock.at(day, 0) < ruler.to; day++) {
    const [x0, x1] = [xOf(ruler, clock.at(day, 0)), xOf(ruler, clock.at(day + 1, 0))]
    const { personIds, awayIds, hours } = facts.hands(day)
    if (hours > 0) {
      const text = personIds.map((id) => initials.get(id) ?? '').join('')
      const has = widthOf(text, handSize) + 3 <= x1 - x0
      cells.push({ x0, x1, text: has ? text : '', away: false, date: dateOf(day) })
      freeFrom = x1
    } else if (awayIds.length > 0) {
      const width = widthOf('away', handSize)
      // It may lean over the days on which nobody comes anyway.
      const start = Math.max(freeFrom, (x0 + x1 - width) / 2)
      const room = roomAfter(facts, ruler, day)
      if (start + width + 1 <= room) {
        cells.push({ x0: start, x1: start + width, text: 'away', away: true, date: dateOf(day) })
        freeFrom = start + width
      }
    }
  }
  return cells
}

/** How far the days after one have nobody, drawing units. */
function roomAfter(facts: SequenceFacts, ruler: Ruler, day: number): number {
  const { clock } = facts
  let next = day + 1
  while (clock.at(next, 0) < ruler.to && facts.hands(next).hours <= 0) next++
  return xOf(ruler, clock.at(next, 0))
}

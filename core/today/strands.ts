/** Who is at what when, as strands of a rope: twisted where people work together, apart where each is alone. */
import type { DayLine } from './dayLine'

/** A stretch of a person's day. */
interface StrandPart {
  readonly from: number
  readonly to: number
  /** Column it runs in, 0 the main one. */
  readonly column: number
  /** Laid up with others in that column. */
  readonly together: boolean
  /** At nothing while others work. */
  readonly idle: boolean
}

export interface Strand {
  readonly personId: string
  readonly parts: readonly StrandPart[]
}

/** Columns that strands may stand in; further people share the last one. */
export const mostColumns = 3

/** The column of a person by their place in the order of the day. */
const columnOf = (place: number): number => Math.min(place, mostColumns - 1)

/** Column of a line: that of the first of its people. Lines for nobody stand in the main one. */
export function columnOfLine(line: Pick<DayLine, 'personIds'>, people: readonly string[]): number {
  const places = line.personIds.map((id) => people.indexOf(id)).filter((place) => place >= 0)
  return places.length === 0 ? 0 : columnOf(Math.min(...places))
}

/** True where somebody works alone up to a pause and alone again after it: their strand need not come over for it. */
function isAloneRound(own: readonly DayLine[], from: number, to: number): boolean {
  const before = own.findLast((line) => line.to <= from)
  const after = own.find((line) => line.from >= to)
  return before?.personIds.length === 1 && after?.personIds.length === 1
}

/**
 * Strands of the people of a day, over the whole of it. Where nobody is at anything they lie together, but for those who
 * are alone before and after it.
 */
export function strandsOf(lines: readonly DayLine[], people: readonly string[]): Strand[] {
  const edges = [...new Set(lines.flatMap((line) => [line.from, line.to]))].sort((a, b) => a - b)
  const inOrder = [...lines].sort((a, b) => a.from - b.from)
  return people.map((personId, place) => {
    const ownLines = inOrder.filter((line) => line.personIds.includes(personId))
    const parts: StrandPart[] = []
    for (let index = 1; index < edges.length; index++) {
      const [from, to] = [edges[index - 1] as number, edges[index] as number]
      const now = lines.filter((line) => line.from < to && from < line.to)
      const own = now.find((line) => line.personIds.includes(personId))
      const some = now.some((line) => line.personIds.length > 0)
      const apart = some || isAloneRound(ownLines, from, to)
      const column = own ? columnOfLine(own, people) : apart ? columnOf(place) : 0
      const together = own ? own.personIds.length > 1 : !apart && people.length > 1
      const idle = own === undefined && apart
      const last = parts.at(-1)
      if (last && last.column === column && last.together === together && last.idle === idle)
        parts[parts.length - 1] = { ...last, to }
      else parts.push({ from, to, column, together, idle })
    }
    return { personId, parts }
  })
}

/** A count sheet as it is laid out: which stations are drawn one by one, and which lie in a pleat. */
import type { Member } from '../model/entities'

type Counted = Pick<Member, 'id' | 'station' | 'side' | 'seen' | 'marks'>

/** A station, or sound ones in a row that are folded. */
export interface SheetColumn {
  readonly from: number
  readonly to: number
}

/** Up to so many stations each has its own column; fewer in a row than `leastPleat` are not worth a fold. */
const mostStations = 20
const leastPleat = 3

/**
 * Columns from the bow. Over twenty stations, runs in which all that is there was seen and is sound are folded.
 * @param opened first stations of pleats that somebody opened.
 */
export function sheetColumns(
  members: readonly Counted[],
  opened: ReadonlySet<number> = new Set(),
): SheetColumn[] {
  const stations = Math.max(1, ...members.map((one) => one.station))
  const troubled = new Set(
    members.filter((one) => !one.seen || one.marks.length > 0).map((one) => one.station),
  )
  const filled = new Set(members.map((one) => one.station))
  const folds = (station: number) => filled.has(station) && !troubled.has(station)
  const columns: SheetColumn[] = []
  for (let from = 1; from <= stations;) {
    let to = from
    if (stations > mostStations && folds(from)) while (to < stations && folds(to + 1)) to++
    if (to - from + 1 >= leastPleat && !opened.has(from)) columns.push({ from, to })
    else for (let at = from; at <= to; at++) columns.push({ from: at, to: at })
    from = to + 1
  }
  return columns
}

const laneOf = ({ side }: Pick<Member, 'side'>): number =>
  side === 'starboard' ? 0 : side === 'port' ? 2 : 1

/** The member that an arrow leads to: along its lane, or across at its station; itself where there is none. */
export function memberBeside<Of extends Counted>(
  drawn: readonly Of[],
  from: Of,
  towards: 'bow' | 'stern' | 'up' | 'down',
): Of {
  const isAlong = towards === 'bow' || towards === 'stern'
  const sign = towards === 'bow' || towards === 'up' ? -1 : 1
  const far = (one: Of): number =>
    sign * (isAlong ? one.station - from.station : laneOf(one) - laneOf(from))
  const inLine = drawn.filter(
    (one) =>
      far(one) > 0 && (isAlong ? laneOf(one) === laneOf(from) : one.station === from.station),
  )
  return inLine.sort((a, b) => far(a) - far(b))[0] ?? from
}

/** The next that nobody has seen, from the bow, after one and round again; null: all were seen. */
export function nextUnseen<Of extends Counted>(drawn: readonly Of[], after: Of | null): Of | null {
  const order = [...drawn].sort((a, b) => a.station - b.station || laneOf(a) - laneOf(b))
  const begin = after ? order.findIndex((one) => one.id === after.id) + 1 : 0
  return [...order.slice(begin), ...order.slice(0, begin)].find((one) => !one.seen) ?? null
}

/** A twentieth of a member is as fine as anybody draws. */
const parts = 20

/** The stretch between two points of a member, 0 at the centreline and 1 at its end; a twentieth of it at least. */
export function stretchBetween(
  a: number,
  b: number,
): { readonly from: number; readonly to: number } {
  const whole = (share: number) => Math.round(Math.min(1, Math.max(0, share)) * parts)
  const [low, high] = [Math.min(whole(a), whole(b)), Math.max(whole(a), whole(b))]
  const from = Math.min(low, parts - 1)
  return { from: from / parts, to: Math.max(high, from + 1) / parts }
}

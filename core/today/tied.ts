/** A crowded day: short things that one person does one after the other at one place are one line of it. */
import { minuteMs } from '../time/civil'
import { counted } from '../units/counted'
import { bareLine } from './dayLine'
import type { DayLine } from './dayLine'
import { wearMark } from './wear'

/** A day with more lines of work, or with more people, is crowded. */
const [mostLines, mostPeople] = [12, 3]
/** Longer ones stand by themselves. */
const shortMs = 30 * minuteMs
/** They follow each other with no longer pause, so that the strand has nothing else to say. */
const leastPauseMs = 5 * minuteMs

/** Lines of a day as they are drawn, and what each tied line stands for. */
export interface TiedDay {
  readonly lines: readonly DayLine[]
  readonly ties: ReadonlyMap<DayLine, readonly DayLine[]>
}

/** Short, by one person, and nothing binds it: what has a limit, a wait or a caution is never out of sight. */
const mayTie = (line: DayLine): boolean =>
  line.kind === 'work' &&
  line.step?.state === 'open' &&
  line.personIds.length === 1 &&
  line.to - line.from <= shortMs &&
  line.limit === null &&
  line.waitUntil === null &&
  line.mends.length === 0 &&
  line.against === '' &&
  line.caution === '' &&
  wearMark(line.step) === null &&
  !line.continues

/**
 * Ties short lines of a crowded day; another day stays as it is.
 * @param stands true for a line that is never tied: the next one, one that holds the gate, one that was opened
 * @param placeOf name of the place of a line; '' where nobody said, which ties to nothing
 */
export function tiedDay(
  lines: readonly DayLine[],
  people: number,
  stands: (line: DayLine) => boolean,
  placeOf: (line: DayLine) => string,
): TiedDay {
  const work = lines.filter((line) => line.kind === 'work')
  if (work.length <= mostLines && people <= mostPeople) return { lines, ties: new Map() }
  const groups: DayLine[][] = []
  const lastOf = new Map<string, DayLine[] | null>()
  for (const line of [...lines].sort((a, b) => a.from - b.from)) {
    const [who] = line.personIds
    const canTie = mayTie(line) && !stands(line) && placeOf(line) !== ''
    const group = who !== undefined && canTie ? lastOf.get(who) : null
    const last = group?.at(-1)
    if (group && last && line.from - last.to < leastPauseMs && placeOf(last) === placeOf(line)) {
      group.push(line)
      continue
    }
    const own = canTie ? [line] : null
    if (own) groups.push(own)
    for (const id of line.personIds) lastOf.set(id, own)
  }
  const ties = new Map<DayLine, readonly DayLine[]>()
  const tieOf = new Map<DayLine, DayLine>()
  for (const group of groups) {
    const [first, last] = [group[0] as DayLine, group.at(-1) as DayLine]
    if (group.length < 2) continue
    const tie: DayLine = {
      ...bareLine,
      kind: 'work',
      what: `${counted(group.length, 'short step')}, ${placeOf(first)}`,
      from: first.from,
      to: last.to,
      personIds: first.personIds,
    }
    ties.set(tie, group)
    for (const line of group) tieOf.set(line, tie)
  }
  return { lines: [...new Set(lines.map((line) => tieOf.get(line) ?? line))], ties }
}

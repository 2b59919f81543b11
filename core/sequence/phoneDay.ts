/** One day turned for a phone: time runs down, levels stand beside each other, everybody is a thread from step to step. */
import type { Placement } from '../model/stored'
import { hourMs } from '../time/civil'
import type { ZoneClock } from '../time/zone'
import { linesOf } from './phone'
import { levels } from './pieces'
import type { Level } from './pieces'

interface DayBoard {
  readonly key: string
  readonly stepId: string
  /** Its middle. */
  readonly x: number
  readonly y0: number
  readonly y1: number
}
interface DayThread {
  readonly personId: string
  /** From the first thing of the day to the last, along the boards and across between them. */
  readonly d: string
  /** Where each of them begins. */
  readonly starts: readonly { readonly x: number; readonly y: number }[]
}
/** A step in words, right of the boards, with the board that it leads from. */
interface DayWords {
  readonly key: string
  readonly stepId: string
  readonly from: number
  readonly to: number
  readonly x: number
  readonly y: number
  readonly top: number
  readonly tall: number
}
export interface PhoneDay {
  readonly hours: readonly { readonly y: number; readonly hour: number }[]
  readonly columns: readonly { readonly level: Level; readonly x: number }[]
  readonly boards: readonly DayBoard[]
  readonly threads: readonly DayThread[]
  readonly words: readonly DayWords[]
  readonly boardWide: number
  readonly wordsX: number
  readonly height: number
}

/** Heights of a line of words: the name, and what stands under it. */
export const dayTitle = 16
export const dayMore = 14
const [titleLine, moreLine, leastTall, wordsGap] = [19, 18, 44, 4]
const [firstX, mostLaneWide, leastLaneWide, columnGap, wordsAfter] = [48, 26, 6, 8, 16]
const [head, perHour] = [30, 62]
/** The boards take so much of the width at most: lanes are narrower where there are many. */
const mostShare = 0.5
/** A board, by the width of its lane. */
const boardShare = 0.76
/** How far threads of one board lie apart, by the width of a lane. */
const apartShare = 0.5

type SayOf = (stepId: string, to: number) => { readonly title: string; readonly more: string }

interface Visit {
  readonly key: string
  readonly stepId: string
  readonly level: Level
  readonly from: number
  readonly to: number
  readonly personIds: readonly string[]
}

/**
 * Lays one day out.
 * @param levelOf level a step is done at; null: it is not drawn
 * @param sayOf what a step is called, and what stands under that where its stretch ends at an instant
 * @param width of the phone, px
 */
export function phoneDayOf(
  placements: readonly Placement[],
  clock: ZoneClock,
  day: number,
  levelOf: (stepId: string) => Level | null,
  sayOf: SayOf,
  width: number,
): PhoneDay {
  const visits = visitsOf(placements, clock, day, levelOf)
  const from = Math.floor(clock.minutesOf(visits[0]?.from ?? clock.at(day, 8 * 60)) / 60)
  const begins = clock.at(day, from * 60)
  const yOf = (at: number): number => head + ((at - begins) / hourMs) * perHour
  const ends = Math.max(begins + hourMs, ...visits.map((one) => one.to))
  const { boards, columns, right, laneWide } = laidBoards(visits, yOf, width)
  const wordsX = right + wordsAfter
  const words = laidWords(visits, boards, yOf, sayOf, width - wordsX)
  const shown = Math.ceil((ends - begins) / hourMs)
  return {
    hours: Array.from({ length: shown + 1 }, (_, index) => ({
      y: yOf(begins + index * hourMs),
      hour: from + index,
    })),
    columns,
    boards,
    threads: threadsOf(visits, boards, laneWide * apartShare),
    words,
    boardWide: laneWide * boardShare,
    wordsX,
    height: Math.max(yOf(begins + shown * hourMs) + 12, ...words.map((one) => one.top + one.tall)),
  }
}

function visitsOf(
  placements: readonly Placement[],
  clock: ZoneClock,
  day: number,
  levelOf: (stepId: string) => Level | null,
): Visit[] {
  return placements
    .filter((one) => one.personIds.length > 0)
    .flatMap(({ stepId, segments, personIds }): Visit[] => {
      const level = levelOf(stepId)
      if (level === null) return []
      return segments
        .filter(([at]) => clock.dayOf(at) === day)
        .map(([from, to]) => ({ key: `${stepId} ${from}`, stepId, level, from, to, personIds }))
    })
    .sort((a, b) => a.from - b.from || a.to - b.to)
}

/** Boards by level, those at one time in lanes beside each other. */
function laidBoards(
  visits: readonly Visit[],
  yOf: (at: number) => number,
  width: number,
): {
  boards: DayBoard[]
  columns: { level: Level; x: number }[]
  right: number
  laneWide: number
} {
  const stands = levels.map((level) => inLanes(level, visits)).filter(({ own }) => own.length > 0)
  const lanes = stands.reduce((sum, one) => sum + one.lanes, 0)
  const room = width * mostShare - firstX - (stands.length - 1) * columnGap
  const laneWide = Math.max(leastLaneWide, Math.min(mostLaneWide, room / Math.max(1, lanes)))
  const boards: DayBoard[] = []
  const columns: { level: Level; x: number }[] = []
  let left = firstX
  for (const { level, own, lanes: many } of stands) {
    for (const { visit, lane } of own)
      boards.push({
        ...{ key: visit.key, stepId: visit.stepId, x: left + (lane + 0.5) * laneWide },
        ...{ y0: yOf(visit.from), y1: yOf(visit.to) },
      })
    columns.push({ level, x: left + (many * laneWide) / 2 })
    left += many * laneWide + columnGap
  }
  return { boards, columns, right: Math.max(firstX, left - columnGap), laneWide }
}

/** First fit: what is at one time lies in lanes of its own. */
function inLanes(level: Level, visits: readonly Visit[]) {
  const until: number[] = []
  const own = visits
    .filter((one) => one.level === level)
    .map((visit) => {
      let lane = until.findIndex((end) => end <= visit.from)
      if (lane < 0) lane = until.length
      until[lane] = visit.to
      return { visit, lane }
    })
  return { level, own, lanes: until.length }
}

function threadsOf(
  visits: readonly Visit[],
  boards: readonly DayBoard[],
  apart: number,
): DayThread[] {
  const byKey = new Map(boards.map((one) => [one.key, one]))
  const people = [...new Set(visits.flatMap((one) => one.personIds))]
  return people.map((personId): DayThread => {
    const starts: { x: number; y: number }[] = []
    let d = ''
    let last: { x: number; y: number } | null = null
    for (const visit of visits.filter((one) => one.personIds.includes(personId))) {
      const board = byKey.get(visit.key)
      if (!board) continue
      const at = visit.personIds.indexOf(personId) - (visit.personIds.length - 1) / 2
      const x = board.x + at * apart
      const middle = last ? (last.y + board.y0) / 2 : 0
      d += last ? `C${last.x} ${middle} ${x} ${middle} ${x} ${board.y0}` : `M${x} ${board.y0}`
      d += `L${x} ${board.y1}`
      starts.push({ x, y: board.y0 })
      last = { x, y: board.y1 }
    }
    return { personId, d, starts }
  })
}

/** Words at their boards, pushed down until they are apart; each tall enough for a finger. */
function laidWords(
  visits: readonly Visit[],
  boards: readonly DayBoard[],
  yOf: (at: number) => number,
  sayOf: SayOf,
  width: number,
): DayWords[] {
  const byKey = new Map(boards.map((one) => [one.key, one]))
  let free = head - titleLine / 2
  return visits.map(({ key, stepId, from, to }): DayWords => {
    const { title, more } = sayOf(stepId, to)
    const room = Math.max(80, width)
    const under = 1 + (more === '' ? 0 : linesOf(more, dayMore, 500, room))
    const tall = Math.max(
      leastTall,
      linesOf(title, dayTitle, 600, room) * titleLine + under * moreLine,
    )
    const y = yOf(from)
    const top = Math.max(free, y - titleLine / 2)
    free = top + tall + wordsGap
    return { key, stepId, from, to, x: byKey.get(key)?.x ?? 0, y, top, tall }
  })
}

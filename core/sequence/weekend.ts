/** Two days close up: every step as a board, everybody a thread through them, the weather over it. */
import type { WeatherHour } from '../cure/dewPoint'
import type { ChainLink } from '../plan/chain'
import { inOrder } from '../model/refit'
import { hourMs, weekdayOf } from '../time/civil'
import { clockTimeOf, shortDateTime } from '../time/say'
import { airLine } from './airLine'
import type { AirLine } from './airLine'
import type { SequenceFacts } from './facts'
import { fitted, laneSizes } from './fit'
import type { Layout } from './fit'
import { initialsOf } from './handCells'
import { seamMiddle } from './lanes'
import { flagFinder } from './mark'
import type { PlankFlag } from './mark'
import type { Piece } from './pieces'
import { planksOf } from './planks'
import { pairRuler, xOf } from './ruler'
import type { Ruler } from './ruler'
import { markWidth, threadsOf } from './threads'
import type { Thread } from './threads'

export interface WeekendAsk {
  /** Local day number of the first of the two days. */
  readonly day: number
  readonly width: number
  readonly height: number
  readonly now: number
  readonly gateId: string | null
  readonly links: readonly ChainLink[]
  readonly flags: readonly PlankFlag[]
  readonly hours: readonly WeatherHour[]
  /** The month's usual air, °C, at an instant; null: not known. */
  readonly meanC: (at: number) => number | null
}

/** One of the two days. */
interface WeekendDay {
  readonly day: number
  readonly x0: number
  readonly x1: number
  readonly times: readonly { readonly x: number; readonly text: string }[]
  readonly air: AirLine | null
  /** Hours planned of hours there, by person. */
  readonly hands: readonly {
    readonly personId: string
    readonly planned: number
    readonly there: number
  }[]
}
export interface Weekend {
  readonly ruler: Ruler
  readonly days: readonly WeekendDay[]
  readonly layout: Layout
  readonly threads: readonly Thread[]
  readonly top: number
  readonly bottom: number
  readonly ground: number
  readonly nowX: number | null
  readonly width: number
  readonly height: number
  readonly airTop: number
  /** Steps worked on, and those of them that the gate asked about does not wait for, by day. */
  readonly counts: readonly { readonly steps: number; readonly others: number }[]
}

const [usualOpen, usualShut] = [7 * 60 + 30, 18 * 60]
const [axis, nightWidth, edge] = [136, 52, 8]
const [headHeight, airHeight, groundBand, handsBand] = [46, 52, 14, 44]

/** First day of the two that a day is shown with: weekends whole, else the day and the next. */
export function pairOf(day: number): number {
  const weekday = weekdayOf(day)
  if (weekday >= 6) return day - (weekday - 6)
  return weekday === 5 ? day - 1 : day
}

/** First days of all pairs in which anything is planned, in order. */
export function plannedPairs(
  facts: Pick<SequenceFacts, 'plan' | 'clock'>,
  today: number,
): number[] {
  const days = new Set([pairOf(today)])
  for (const one of facts.plan?.placements ?? [])
    if (one.personIds.length > 0)
      for (const [from] of one.segments) days.add(pairOf(facts.clock.dayOf(from)))
  return [...days].filter((day) => day + 1 >= today).sort((a, b) => a - b)
}

/** What is worked on, or begun by others, in a stretch. */
const isWorkedOn = (piece: Piece, from: number, to: number): boolean =>
  piece.seam.some(
    (part) =>
      part.from < to &&
      part.to > from &&
      (part.kind === 'hands' || (piece.byOthers && part.from >= from)),
  )

/** Times of day between which everything of two days lies, minutes on whole hours. */
function openHours(facts: SequenceFacts, day: number): readonly [number, number] {
  const { clock, plan } = facts
  let [opens, shuts] = [usualOpen, usualShut]
  for (const one of plan?.placements ?? [])
    for (const [from, to] of one.segments) {
      if (one.personIds.length === 0) continue
      const on = clock.dayOf(from)
      if (on !== day && on !== day + 1) continue
      opens = Math.min(opens, Math.floor(clock.minutesOf(from) / 60) * 60)
      const end = clock.dayOf(to) > on ? 24 * 60 : Math.ceil(clock.minutesOf(to) / 60) * 60
      shuts = Math.max(shuts, Math.min(24 * 60 - 1, end))
    }
  return [opens, shuts]
}

/** Lays two days out. */
export function weekendOf(facts: SequenceFacts, ask: WeekendAsk): Weekend {
  const { clock } = facts
  const [opens, shuts] = openHours(facts, ask.day)
  const ruler = pairRuler(ask.day, [opens, shuts], clock, axis, ask.width - edge, nightWidth)
  const half = (ask.width - edge - axis - nightWidth) / 2
  const top = headHeight + airHeight
  const room = ask.height - groundBand - handsBand
  const needed = ask.gateId === null ? new Set<string>() : facts.neededBy(ask.gateId)
  const numbers = new Map(
    ask.links.flatMap((link, at) => (link.stepId ? [[link.stepId, at + 1]] : [])),
  )
  const spans = [0, 1].map(
    (index) => [clock.at(ask.day + index, opens), clock.at(ask.day + index, shuts)] as const,
  )
  const seen = facts.pieces.filter((piece) =>
    spans.some(([from, to]) => !piece.done && isWorkedOn(piece, from, to)),
  )
  const zones = new Map(facts.rows.zone.map((zone) => [zone.id, zone.name]))
  const year = clock.dateOf(ask.now).slice(0, 4)
  const people = new Map((facts.plan?.placements ?? []).map((one) => [one.stepId, one.personIds]))
  const subOf = (piece: Piece): string => {
    const last = piece.seam.filter((part) => part.kind === 'hands').at(-1)
    const cures =
      piece.to > (last?.to ?? piece.to) ? `cures to ${shortDateTime(piece.to, clock, year)}` : ''
    const others = piece.byOthers
      ? piece.away
        ? `away to ${shortDateTime(piece.to, clock, year)}`
        : 'others do it'
      : ''
    return [zones.get(piece.job.zoneId ?? '') ?? '', others || cures].filter(Boolean).join(', ')
  }
  const plankFacts = {
    chain: new Set(numbers.keys()) as ReadonlySet<string>,
    needed,
    arcs: facts.arcs,
    readyBy: facts.readyBy,
  }
  const planks = planksOf(seen, plankFacts, -Infinity)
  const layout = fitted({
    ruler,
    sizes: laneSizes.weekend,
    closer: null,
    top,
    height: room - top,
    planks: () => planks,
    flagOf: flagFinder(ask.flags),
    othersFolded: false,
    flagsKept: true,
    mends: true,
    slack: false,
    extrasOf: (plank) => {
      const [piece] = plank.pieces as [Piece]
      const number = numbers.get(piece.step.id)
      return {
        ropeTo: null,
        sub: subOf(piece),
        badge: number === undefined ? '' : String(number),
        lead: 4 + markWidth * (people.get(piece.step.id)?.length ?? 0),
      }
    },
  })
  const last = layout.levels.at(-1)
  // Higher than asked: then the drawing is, and the page is scrolled.
  const bottom = Math.max(room, last ? last.y + last.height : room)
  const seamOf = new Map<string, number>()
  for (const level of layout.levels)
    for (const { board, lane } of level.laid) {
      const track = level.lanes[lane]
      const [piece] = board.plank.pieces
      if (track && piece)
        seamOf.set(piece.step.id, level.y + track.y + seamMiddle(laneSizes.weekend.board, false))
    }
  const initials = initialsOf(
    new Map(inOrder(facts.rows.person.filter((one) => !one.gone)).map((one) => [one.id, one.name])),
  )
  const there = new Set(
    (facts.plan?.placements ?? []).flatMap((one) => (seamOf.has(one.stepId) ? one.personIds : [])),
  )
  const ground = bottom + groundBand
  const placements = facts.plan?.placements ?? []
  const days = [0, 1].map((index): WeekendDay => {
    const [from, to] = spans[index] as readonly [number, number]
    const x0 = axis + index * (half + nightWidth)
    const hands = facts.hands(ask.day + index)
    const planned = (personId: string) =>
      placements
        .filter((one) => one.personIds.includes(personId))
        .flatMap((one) => one.segments)
        .filter(([a]) => clock.dayOf(a) === ask.day + index)
        .reduce((sum, [a, b]) => sum + (b - a) / hourMs, 0)
    const times: { x: number; text: string }[] = []
    for (let minutes = Math.ceil(opens / 120) * 120; minutes <= shuts; minutes += 120) {
      const at = clock.at(ask.day + index, minutes)
      times.push({ x: xOf(ruler, at), text: clockTimeOf(at, clock) })
    }
    return {
      day: ask.day + index,
      x0,
      x1: x0 + half,
      times,
      air: airLine(ask.hours, [from, to], ask.meanC(from), ruler, [
        headHeight,
        headHeight + airHeight - 6,
      ]),
      hands: hands.personIds.map((personId, at) => ({
        personId,
        planned: planned(personId),
        there: hands.hoursEach[at] ?? 0,
      })),
    }
  })
  return {
    ruler,
    days,
    layout,
    threads: threadsOf(
      [...initials].flatMap(([id, letter]) => (there.has(id) ? [{ id, letter }] : [])),
      placements,
      (stepId) => seamOf.get(stepId) ?? null,
      ruler,
      clock,
      ground,
    ).filter((one) => one.marks.length > 0),
    top,
    bottom,
    ground,
    nowX: ask.now > ruler.from && ask.now < ruler.to ? xOf(ruler, ask.now) : null,
    width: ask.width,
    height: bottom + groundBand + handsBand,
    airTop: headHeight,
    counts: spans.map(([from, to]) => {
      const own = seen.filter((piece) => isWorkedOn(piece, from, to))
      return {
        steps: own.length,
        others: own.filter((piece) => !needed.has(piece.step.id)).length,
      }
    }),
  }
}

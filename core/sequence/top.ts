/** The top of every drawing along time: its scale, gates as posts, dates, and how high all that is. */
import type { GateFigures } from '../progress/derive'
import type { LikelyDates } from '../forecast/oddsWords'
import { dayMs, dayNumber } from '../time/civil'
import { sayDate } from '../time/say'
import { lastDayTo } from './facts'
import type { SequenceFacts } from './facts'
import { flagged, flagRows } from './posts'
import type { FlaggedPost, Post } from './posts'
import { dayRuler, mondayOn, xOf } from './ruler'
import type { Ruler } from './ruler'

/** What the top of a drawing is asked for. */
export interface TopAsk {
  readonly view: 'launch' | 'seasons'
  readonly width: number
  readonly now: number
  readonly gates: readonly GateFigures[]
  /** The gate asked about; null: there is none. */
  readonly gateId: string | null
  /** When the gate asked about is likely and safe; null: not known. */
  readonly likely?: LikelyDates | null
  /** Civil dates by which something is to be decided. */
  readonly decide?: readonly { readonly key: string; readonly on: string }[]
}

export const axisWidth = 124
/** The boat's own air to the right of the plot. */
export const rightEdge = 8
const [flagRow, datesRow, handsRow] = [24, 19, 18]
/** A gate is shown with so many days after it, and at least so many from today. */
const [daysAfter, leastDays] = [16, 28]
/** The days up to a gate and some after it, each as wide as its hands: one scale for all that is drawn to the launch. */
export function launchRuler(
  facts: SequenceFacts,
  ask: Pick<TopAsk, 'now' | 'gates' | 'gateId' | 'width'>,
): Ruler {
  const { clock } = facts
  const today = clock.dayOf(ask.now)
  const aimedOn = ask.gates.find((one) => one.gate.id === ask.gateId)?.aimedOn ?? null
  const last = lastDayTo(facts, ask.gateId, aimedOn, today)
  const end = Math.max(today + leastDays, last + daysAfter)
  const right = ask.width - rightEdge
  return dayRuler(mondayOn(today), end, (day) => facts.hands(day).hours, clock, axisWidth, right)
}

/** Odds of the gate asked about: two dates, or one where they are the same. */
function likelyPosts({ likely }: TopAsk): readonly (readonly [string, string | null, string])[] {
  if (!likely) return []
  const { likelyOn, safeOn } = likely
  return likelyOn === safeOn
    ? [['both', likelyOn, '50 to 80 %']]
    : [
        ['likely', likelyOn, '50 %'],
        ['safe', safeOn, '80 %'],
      ]
}

function postsOf(facts: SequenceFacts, ask: TopAsk, ruler: Ruler): Post[] {
  const { clock, plan } = facts
  const year = clock.dateOf(ask.now).slice(0, 4)
  const within = (at: number) => at >= ruler.from && at < ruler.to
  const posts: Post[] = []
  if (within(ask.now)) {
    const label = ask.view === 'launch' ? 'Today' : `Today ${sayDate(clock.dateOf(ask.now))}`
    posts.push({ key: 'today', kind: 'today', x: xOf(ruler, ask.now), label, gateId: null })
  }
  for (const { gate, aimedOn, daysLate, plannedOn } of ask.gates) {
    const planned = plan?.gates.find((one) => one.gateId === gate.id)
    const asked = gate.id === ask.gateId
    if (planned && plannedOn !== null && within(planned.at)) {
      const ready = clock.dateOf(planned.readyAt)
      const early = !asked && ready < plannedOn ? `, ready ${sayDate(ready, year)}` : ''
      posts.push({
        key: gate.id,
        kind: asked ? 'asked' : 'gate',
        x: xOf(ruler, planned.at),
        label: `${gate.name} ${sayDate(plannedOn, year)}${early}`,
        gateId: gate.id,
      })
    }
    if (!asked || aimedOn === null || (plannedOn !== null && daysLate === 0)) continue
    const at = clock.at(dayNumber(aimedOn), 720)
    const booked = facts.rows.haulOut.find((one) => one.id === gate.haulOutId)?.launchBooked
    const word = booked === aimedOn ? 'Booked' : 'Aimed'
    if (within(at))
      posts.push({
        key: `aim ${gate.id}`,
        kind: 'aimed',
        x: xOf(ruler, at),
        label: `${word} ${sayDate(aimedOn, year)}`,
        gateId: gate.id,
      })
  }
  const asked = posts.find((one) => one.kind === 'asked')
  for (const [key, on, odds] of likelyPosts(ask)) {
    if (on === null) continue
    const at = clock.at(dayNumber(on), 720)
    const x = xOf(ruler, at)
    // Where it is the planned day itself there is nothing to tell apart.
    const isAsked = asked && Math.abs(asked.x - x) <= x - xOf(ruler, at - dayMs / 2)
    if (!within(at) || isAsked) continue
    const label = `${odds} ${sayDate(on, year)}`
    posts.push({ key: `likely ${key}`, kind: 'likely', x, label, gateId: ask.gateId })
  }
  for (const { key, on } of ask.view === 'launch' ? (ask.decide ?? []) : []) {
    const at = clock.at(dayNumber(on), 720)
    if (within(at))
      posts.push({
        key: `decide ${key}`,
        kind: 'aimed',
        x: xOf(ruler, at),
        label: `Decide by ${sayDate(on, year)}`,
        gateId: null,
      })
  }
  return posts
}

/** Where the rows over the plot stand. */
export interface Top {
  readonly posts: readonly FlaggedPost[]
  /** Rows of flags. */
  readonly rows: number
  readonly datesY: number
  readonly handsY: number
  readonly plotY: number
}

/** Posts with their flags, and where dates, hands and the plot come under them. */
export function topOf(facts: SequenceFacts, ask: TopAsk, ruler: Ruler): Top {
  const posts = flagged(postsOf(facts, ask, ruler), 4, ask.width - 2)
  const rows = Math.max(1, flagRows(posts))
  const datesY = rows * flagRow + datesRow - 5
  const handsY = rows * flagRow + datesRow
  return { posts, rows, datesY, handsY, plotY: handsY + (ask.view === 'launch' ? handsRow : 4) }
}

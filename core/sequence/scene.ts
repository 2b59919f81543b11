/** The drawing of a launch or of all seasons: everything with its place, ready to be put on the screen. */
import type { ChainLink } from '../plan/chain'
import { baysOf, monthLabels, pleatsOf, pleatWords, weekendLabels } from './axis'
import type { Label, Pleats } from './axis'
import type { SequenceFacts } from './facts'
import { fitted, laneSizes } from './fit'
import type { Layout, LevelLayout } from './fit'
import { seamMiddle } from './lanes'
import { handCells } from './handCells'
import type { HandCell } from './handCells'
import { hardWords, profilesOf } from './hard'
import type { HardWords, Profile } from './hard'
import { flagFinder } from './mark'
import type { PlankFlag } from './mark'
import { planksOf } from './planks'
import type { Plank } from './planks'
import type { FlaggedPost } from './posts'
import { knotsOf, ropeAlong, ropePath } from './rope'
import type { Knot, RopePoint } from './rope'
import { isPleat, mondayOn, weekRuler, xOf } from './ruler'
import type { Ruler } from './ruler'
import { daySpans, spanRow, thinSpan, tideHigh, tideSpans } from './spans'
import type { DaySpan, TideSpan } from './spans'
import { standsOf } from './water'
import type { Stand } from './water'
import { troughsOf } from './troughs'
import type { Trough } from './troughs'
import { axisWidth, launchRuler, rightEdge, topOf } from './top'
import type { TopAsk } from './top'
import { weekFigures } from './weeks'

export type SceneView = 'launch' | 'seasons'

export interface SceneAsk extends TopAsk {
  readonly height: number
  readonly links: readonly ChainLink[]
  readonly flags: readonly PlankFlag[]
}

export interface Scene {
  readonly view: SceneView
  readonly ruler: Ruler
  readonly width: number
  readonly height: number
  readonly posts: readonly FlaggedPost[]
  readonly flagRows: number
  /** Baselines of the rows over the plot. */
  readonly datesY: number
  readonly handsY: number
  /** Days that are not about work, in rows from here down. */
  readonly spans: readonly DaySpan[]
  readonly spansY: number
  /** When the slip has her depth, from today on. */
  readonly tide: readonly TideSpan[]
  readonly tideY: number
  readonly spanHeight: number
  readonly top: number
  /** Foot of the lowest level, and the hard she stands on. */
  readonly bottom: number
  readonly ground: number
  readonly waterTop: number
  readonly dates: readonly Label[]
  readonly hands: readonly HandCell[]
  /** Days on which somebody is there, as stretches. */
  readonly bays: readonly (readonly [number, number])[]
  readonly pleats: readonly Pleats[]
  /** Counts of the long runs of folded weeks, between the months. */
  readonly pleatWords: readonly Label[]
  readonly levels: readonly LevelLayout[]
  readonly layout: Layout
  readonly stands: readonly Stand[]
  readonly profiles: readonly Profile[]
  readonly hard: readonly HardWords[]
  readonly rope: string
  /** Only where it lies on seams. */
  readonly ropeAlong: string
  readonly knots: readonly Knot[]
  /** Links of the chain where they lie. */
  readonly links: readonly RopePoint[]
  readonly troughs: readonly Trough[]
  readonly troughTop: number
  readonly troughHigh: number
}

const [groundBand, groundThick, troughBand] = [40, 12, 62]
const troughHigh = 34
const seasonWeeksAfter = 3
/** Names of jobs stay one plank over gaps of so many days. */
const gapDays = { launch: [20, 40], seasons: [60, 120] } as const

function rulerOf(facts: SequenceFacts, ask: SceneAsk): Ruler {
  if (ask.view === 'launch') return launchRuler(facts, ask)
  const { clock } = facts
  const today = clock.dayOf(ask.now)
  const right = ask.width - rightEdge
  const first = mondayOn(facts.firstDay)
  const end = mondayOn(facts.lastDay) + 7 * (1 + seasonWeeksAfter)
  const weeks = weekFigures(facts.rows, facts.plan, clock, facts.hands, first, end, today)
  return weekRuler(weeks, clock, axisWidth, right)
}

/** Where each link of the chain lies; links without a place in the picture are left out. */
function ropePoints(
  layout: Layout,
  facts: SequenceFacts,
  ask: SceneAsk,
  ruler: Ruler,
): RopePoint[] {
  const at = new Map<string, number>()
  for (const level of layout.levels)
    for (const { board, lane } of level.laid)
      for (const piece of board.plank.pieces) {
        const track = level.lanes[lane]
        if (track) at.set(piece.step.id, level.y + track.y + seamMiddle(layout.sizes.board, true))
      }
  const starts = new Map(facts.pieces.map((one) => [one.step.id, one.from]))
  return ask.links.flatMap((link, index): RopePoint[] => {
    const y = link.stepId === null ? undefined : at.get(link.stepId)
    const from = link.stepId === null ? undefined : starts.get(link.stepId)
    if (link.stepId === null || y === undefined || from === undefined) return []
    return [{ number: index + 1, stepId: link.stepId, x: xOf(ruler, from), y }]
  })
}

/** For each plank of the chain, how far the rope runs on along its lane before it goes to the next. */
function ropeEnds(facts: SequenceFacts, ask: SceneAsk, ruler: Ruler): Map<string, number> {
  const starts = new Map(facts.pieces.map((one) => [one.step.id, one.from]))
  const gate = facts.plan?.gates.find((one) => one.gateId === ask.gateId)
  const ends = new Map<string, number>()
  let next = gate ? xOf(ruler, gate.at) : ruler.right
  for (const link of ask.links) {
    if (link.stepId === null) continue
    ends.set(link.stepId, next)
    next = xOf(ruler, starts.get(link.stepId) ?? ask.now)
  }
  return ends
}

/** Lays a drawing out. Where days that are not about work would make it higher than asked, they get thin strips. */
export function sceneOf(facts: SequenceFacts, ask: SceneAsk): Scene {
  const scene = drawn(facts, ask, false)
  return scene.height > ask.height && scene.spans.length > 0 ? drawn(facts, ask, true) : scene
}

function drawn(facts: SequenceFacts, ask: SceneAsk, thin: boolean): Scene {
  const { clock } = facts
  const ruler = rulerOf(facts, ask)
  const isLaunch = ask.view === 'launch'
  const today = clock.dayOf(ask.now)
  const { posts, rows, datesY, handsY, plotY } = topOf(facts, ask, ruler)
  const spans = daySpans(facts.rows, clock, ruler, thin)
  const tide = isLaunch ? tideSpans(facts.rows, clock, ruler, today) : []
  const spansY = plotY + (tide.length > 0 ? tideHigh : 0)
  const rowsOfSpans = thin ? 0 : Math.max(0, ...spans.map((one) => one.row + 1))
  const top = spansY + spanRow * rowsOfSpans
  const needed = ask.gateId === null ? new Set<string>() : facts.neededBy(ask.gateId)
  const chain = new Set(ask.links.flatMap((link) => link.stepId ?? []))
  const ends = ropeEnds(facts, ask, ruler)
  const ropeTo = (plank: Plank): number | null => {
    const own = plank.pieces.flatMap((piece) => ends.get(piece.step.id) ?? [])
    return own.length === 0 ? null : Math.max(...own)
  }
  const gaps = gapDays[ask.view]
  const plankFacts = { chain, needed, arcs: facts.arcs, readyBy: facts.readyBy }
  const bottom = ask.height - troughBand - groundThick - groundBand
  const layout = fitted({
    ruler,
    sizes: laneSizes[ask.view],
    closer: laneSizes.tight,
    top,
    height: bottom - top,
    planks: (wide) => planksOf(facts.pieces, plankFacts, gaps[wide ? 1 : 0]),
    flagOf: flagFinder(ask.flags),
    othersFolded: isLaunch,
    flagsKept: true,
    mends: isLaunch,
    slack: true,
    extrasOf: (plank) => ({ ropeTo: ropeTo(plank), sub: '', badge: '', lead: 0 }),
  })
  const underwater = layout.levels.find((one) => one.level === 'underwater')
  const lastLevel = layout.levels.at(-1)
  const foot = lastLevel ? lastLevel.y + lastLevel.height : bottom
  // Higher than asked: then the drawing is, and the page is scrolled.
  const grown = layout.tooHigh ? foot - bottom : 0
  const height = ask.height + grown
  const points = ropePoints(layout, facts, ask, ruler)
  const gate = posts.find((one) => one.kind === 'asked')
  const inTime = [...points].sort((a, b) => b.number - a.number)
  const endY = inTime.at(-1)?.y
  const end: RopePoint[] =
    gate && endY !== undefined ? [{ number: 1, stepId: null, x: gate.x, y: endY }] : []
  const first = mondayOn(clock.dayOf(ruler.from))
  const weeks = weekFigures(
    facts.rows,
    facts.plan,
    clock,
    facts.hands,
    first,
    clock.dayOf(ruler.to),
    today,
  )
  const pleated = new Set(weeks.filter((one) => !isLaunch && isPleat(one)).map((one) => one.monday))
  const open = new Set(weeks.map((one) => one.monday).filter((one) => !pleated.has(one)))
  const stands = standsOf(facts.ashore, ruler)
  const pleats = isLaunch ? [] : pleatsOf(weeks, ruler, facts)
  const waterTop = underwater?.y ?? foot
  const profiles = profilesOf(
    stands,
    layout.levels,
    waterTop,
    posts.map((one) => one.x),
  )
  return {
    view: ask.view,
    ruler,
    width: ask.width,
    height,
    posts,
    flagRows: rows,
    datesY,
    handsY,
    spans,
    spansY: thin ? spansY - thinSpan : spansY,
    tide,
    tideY: plotY + tideHigh / 2 - 1,
    spanHeight: thin ? thinSpan : spanRow - 2,
    top,
    bottom: foot,
    ground: foot + groundBand,
    waterTop,
    dates: isLaunch ? weekendLabels(facts, ruler) : monthLabels(facts, ruler, open),
    pleatWords: isLaunch ? [] : pleatWords(pleats, monthLabels(facts, ruler, open), ruler),
    hands: isLaunch ? handCells(facts, ruler) : [],
    bays: isLaunch ? baysOf(facts, ruler) : [],
    pleats,
    levels: layout.levels,
    layout,
    stands,
    profiles,
    hard: hardWords(
      stands,
      profiles,
      posts.map((one) => one.x),
      clock,
      ask.now,
    ),
    rope: ropePath([...inTime, ...end]),
    ropeAlong: ropeAlong([...inTime, ...end]),
    knots: knotsOf([...points, ...end]),
    links: points,
    troughs: troughsOf(
      weeks.filter((one) => !pleated.has(one.monday)),
      ruler,
      clock,
      troughHigh,
      !isLaunch,
    ),
    troughTop: height - troughBand,
    troughHigh,
  }
}

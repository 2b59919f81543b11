/** Folds work until a drawing fits its height: what is dropped first is what is missed least. */
import { boardOf, fits, namesOf } from './board'
import type { Board, BoardExtras, BoardStyle } from './board'
import type { PlankFlag } from './mark'
import { Lanes } from './pack'
import type { LaidBoard } from './pack'
import { groupBy } from '../model/refit'
import { levels } from './pieces'
import type { Level } from './pieces'
import type { Plank } from './planks'
import { xOf } from './ruler'
import type { Ruler } from './ruler'

/** Heights of a view's lanes, px. */
export interface LaneSizes {
  readonly board: number
  readonly pitch: number
  /** Of a lane with the rope in it. */
  readonly ropePitch: number
  readonly nameSize: number
}
export const laneSizes = {
  launch: { board: 24, pitch: 29, ropePitch: 37, nameSize: 15 },
  seasons: { board: 20, pitch: 24, ropePitch: 33, nameSize: 14 },
  weekend: { board: 37, pitch: 40, ropePitch: 40, nameSize: 15 },
  /** Where a view is still too high with everything folded that may be. */
  tight: { board: 19, pitch: 21, ropePitch: 31, nameSize: 13.5 },
} as const satisfies Record<string, LaneSizes>

/** A folded plank as a thin line, in the first row or the second. */
interface Lath {
  readonly plank: Plank
  readonly x0: number
  readonly x1: number
  readonly row: number
}
export interface LevelLayout {
  readonly level: Level
  readonly lanes: readonly { readonly y: number; readonly height: number; readonly rope: boolean }[]
  readonly laid: readonly LaidBoard[]
  readonly laths: readonly Lath[]
  /** Rows of laths there is room for. */
  readonly lathRows: number
  /** Folded because they belong to another gate, and for want of room. */
  readonly ofOthers: readonly Plank[]
  readonly forRoom: readonly Plank[]
  /** Folded planks on which something is out of order. */
  readonly flagged: number
  readonly y: number
  readonly height: number
}
export interface Layout {
  readonly levels: readonly LevelLayout[]
  readonly style: BoardStyle
  readonly sizes: LaneSizes
  /** Everything that can be folded is, and it is still higher than asked. */
  readonly tooHigh: boolean
}

/** What is laid out. */
export interface FitAsk {
  readonly ruler: Ruler
  readonly sizes: LaneSizes
  /** Closer lanes for when these are too high; null: there are none. */
  readonly closer: LaneSizes | null
  readonly top: number
  readonly height: number
  /** Planks of a gap, in days, within them. */
  readonly planks: (wideGaps: boolean) => readonly Plank[]
  readonly flagOf: (plank: Plank) => PlankFlag | null
  /** Work of other gates is folded from the start. */
  readonly othersFolded: boolean
  /** What is out of order is never folded; false: that of other gates is, for want of room. */
  readonly flagsKept: boolean
  readonly mends: boolean
  /** Slack is drawn where there is room. */
  readonly slack: boolean
  readonly extrasOf: (plank: Plank) => Omit<BoardExtras, 'flag'>
}

interface Stage {
  readonly style: BoardStyle
  readonly lathRows: number
  readonly others: boolean
  readonly wideGaps: boolean
}

/** In the order in which things are dropped. */
function stagesOf(ask: FitAsk): Stage[] {
  const style: BoardStyle = {
    nameSize: ask.sizes.nameSize,
    tile: true,
    slackDays: ask.slack,
    slackLine: ask.slack,
    mends: ask.mends,
    shortNames: false,
  }
  const first: Stage = { style, lathRows: 2, others: ask.othersFolded, wideGaps: false }
  const stages = [first]
  const add = (change: Partial<BoardStyle>, rest: Partial<Stage> = {}): void => {
    const last = stages.at(-1) ?? first
    stages.push({ ...last, ...rest, style: { ...last.style, ...change } })
  }
  add({ slackDays: false })
  add({ slackLine: false, shortNames: true })
  add({}, { lathRows: 1 })
  add({ tile: false })
  return stages
}

const byTime = (a: Plank, b: Plank): number => a.from - b.from || (a.key < b.key ? -1 : 1)
const firstFirst = (a: Plank, b: Plank): number =>
  Number(b.binding) - Number(a.binding) || Number(b.ofGate) - Number(a.ofGate) || byTime(a, b)

const [rowPad, lathPitch, lathPad] = [8, 5, 4]
/** Lines of words at the axis: the name, what is folded, what is out of order. */
const [nameLine, countLine, flagLine] = [22, 15, 18]
const emptyRow = 28

const isSeen = (plank: Plank, ruler: Ruler): boolean =>
  plank.to > ruler.from && plank.from < ruler.to

/**
 * The boards a plank can be, the fullest first, as its names have room; none: it is folded. What is never folded drops the
 * plate of its mend, then its second line, and at last its words.
 */
function formsOf(plank: Plank, style: BoardStyle, ask: FitAsk): readonly Board[] {
  const extras = { flag: ask.flagOf(plank), ...ask.extrasOf(plank) }
  const fitting = (own: BoardStyle, more: BoardExtras = extras): Board[] =>
    namesOf(plank, own)
      .map((text) => boardOf(plank, text, own, ask.ruler, more))
      .filter((one) => fits(one, ask.ruler))
  const full = fitting(style)
  if (full.length > 0) return full
  const shorter = fitting({ ...style, shortNames: true })
  if (shorter.length > 0 || !keeperOf(ask)(plank)) return shorter
  const plain = { ...style, mends: false, shortNames: true }
  const bare = { ...plain, slackDays: false, slackLine: false, tile: false }
  const alone = { ...extras, sub: '' }
  const left = [() => fitting(plain), () => fitting(bare, alone)]
  for (const tried of left) {
    const boards = tried()
    if (boards.length > 0) return boards
  }
  return [boardOf(plank, '', bare, ask.ruler, alone)]
}

function lathsOf(planks: readonly Plank[], ruler: Ruler, rows: number): Lath[] {
  const ends = Array.from({ length: rows }, () => -Infinity)
  return [...planks].sort(byTime).map((plank): Lath => {
    const x0 = Math.min(xOf(ruler, plank.from), ruler.right - 4)
    const x1 = Math.max(x0 + 4, xOf(ruler, plank.to))
    const free = ends.findIndex((end) => end + 3 <= x0)
    const row = Math.max(0, free)
    ends[row] = Math.max(ends[row] ?? 0, x1)
    return { plank, x0, x1, row }
  })
}

/** What a drawing's boards are made of, worked out once for a style. */
interface Fitting {
  readonly ask: FitAsk
  readonly stage: Stage
  readonly byLevel: ReadonlyMap<string, readonly Plank[]>
  readonly forms: (plank: Plank) => readonly Board[]
}

function fittingOf(ask: FitAsk, stage: Stage, planks: readonly Plank[]): Fitting {
  const known = new Map<Plank, readonly Board[]>()
  return {
    ask,
    stage,
    byLevel: groupBy([...planks].sort(firstFirst), (plank): string => plank.level),
    forms(plank) {
      const own = known.get(plank) ?? formsOf(plank, stage.style, ask)
      known.set(plank, own)
      return own
    },
  }
}

/** A level with what is folded in it and the rest in lanes. */
interface Filled {
  readonly level: Level
  readonly lanes: Lanes
  readonly folded: readonly Plank[]
}

const filledLevel = (
  { byLevel, forms }: Fitting,
  level: Level,
  isFolded: (plank: Plank) => boolean,
): Filled => {
  const lanes = new Lanes()
  const folded: Plank[] = []
  for (const plank of byLevel.get(level) ?? []) {
    const own = isFolded(plank) ? [] : forms(plank)
    if (own.length === 0) folded.push(plank)
    else lanes.lay(own)
  }
  return { level, lanes, folded }
}

/** Lanes that the rope runs through. */
const ropedLanes = ({ lanes }: Filled, ask: FitAsk): ReadonlySet<number> =>
  new Set(
    lanes.laid
      .filter(({ board }) => ask.extrasOf(board.plank).ropeTo !== null)
      .map((one) => one.lane),
  )

function heightOfLevel(filled: Filled, { ask, stage }: Fitting): number {
  const { lanes, folded, level } = filled
  const roped = ropedLanes(filled, ask).size
  const flagged = folded.some((plank) => ask.flagOf(plank) !== null)
  const tracks = (lanes.count - roped) * ask.sizes.pitch + roped * ask.sizes.ropePitch
  const laths = folded.length > 0 ? lathPad + stage.lathRows * lathPitch : 0
  const words =
    lanes.count === 0 && !flagged && (level === 'rig' || folded.length === 0)
      ? emptyRow
      : nameLine + (folded.length > 0 ? countLine : 0) + (flagged ? flagLine : 0) + 4
  return Math.max(words, rowPad + tracks + laths)
}

/** True for planks that are never folded: the chain, and what is out of order before the gate asked about. */
const keeperOf =
  (ask: FitAsk) =>
  (plank: Plank): boolean =>
    plank.binding ||
    (ask.flagOf(plank) !== null && ask.flagsKept && (plank.ofGate || !ask.othersFolded))

/** Everything filled, with these folded besides what the stage folds. */
function filledAll(fitting: Fitting, folded: ReadonlySet<Plank>): Filled[] {
  const keeps = keeperOf(fitting.ask)
  const isFolded = (plank: Plank) =>
    folded.has(plank) || (fitting.stage.others && !plank.ofGate && !keeps(plank))
  return levels.map((level) => filledLevel(fitting, level, isFolded))
}

const heightOf = (filled: readonly Filled[], fitting: Fitting): number =>
  filled.reduce((sum, one) => sum + heightOfLevel(one, fitting), 0)

/** Lanes stand apart by so much more at most where there is height to spare. */
const mostAir = 10

/** A filled level as it is drawn: `share` is height to spare. */
function drawnLevel(filled: Filled, fitting: Fitting, top: number, share: number): LevelLayout {
  const { ask, stage } = fitting
  const roped = ropedLanes(filled, ask)
  const air = Math.min(mostAir, share / (filled.lanes.count + 1))
  let y = rowPad / 2 + air / 2
  const lanes = Array.from({ length: filled.lanes.count }, (_, lane) => {
    const rope = roped.has(lane)
    const height = rope ? ask.sizes.ropePitch : ask.sizes.pitch
    const track = { y, height, rope }
    y += height + air
    return track
  })
  return {
    level: filled.level,
    lanes,
    laid: filled.lanes.laid,
    laths: lathsOf(filled.folded, ask.ruler, stage.lathRows),
    lathRows: stage.lathRows,
    ofOthers: filled.folded.filter((plank) => !plank.ofGate),
    forRoom: filled.folded.filter((plank) => plank.ofGate),
    flagged: filled.folded.filter((plank) => ask.flagOf(plank) !== null).length,
    y: top,
    height: heightOfLevel(filled, fitting) + share,
  }
}

/** Rows one under the other, what height is left shared among those with boards. */
function drawn(filled: readonly Filled[], fitting: Fitting): Layout {
  const { ask, stage } = fitting
  const needed = heightOf(filled, fitting)
  const withBoards = filled.filter((one) => one.lanes.count > 0).length
  const share = Math.max(0, ask.height - needed) / (withBoards || filled.length)
  let y = ask.top
  const rows = filled.map((one) => {
    const own = one.lanes.count > 0 || withBoards === 0 ? share : 0
    const row = drawnLevel(one, fitting, y, own)
    y += row.height
    return row
  })
  return {
    levels: rows,
    style: stage.style,
    sizes: ask.sizes,
    tooHigh: needed > ask.height + 0.01,
  }
}

/** Takes back what was folded and yet has room between what is laid, or in a new lane while there is height for one. */
function unfolded(
  filled: readonly Filled[],
  loose: readonly Plank[],
  fitting: Fitting,
): readonly Filled[] {
  const { ask, forms } = fitting
  let spare = ask.height - heightOf(filled, fitting)
  const folded = new Map(filled.map((one) => [one.level, new Set(one.folded)]))
  const lanesOf = new Map(filled.map((one) => [one.level, one.lanes]))
  for (const plank of [...loose].reverse()) {
    const lanes = lanesOf.get(plank.level)
    const own = forms(plank)
    if (!lanes || own.length === 0) continue
    const inside = lanes.layInside(own)
    if (!inside && spare >= ask.sizes.pitch) {
      lanes.lay(own)
      spare -= ask.sizes.pitch
    } else if (!inside) continue
    folded.get(plank.level)?.delete(plank)
  }
  return filled.map((one) => ({ ...one, folded: [...(folded.get(one.level) ?? [])] }))
}

/** Planks that may be folded, in the order in which they are: work of other gates first, then what has most slack. */
const foldable = (planks: readonly Plank[], keeps: (plank: Plank) => boolean): Plank[] =>
  planks
    .filter((plank) => !keeps(plank))
    .sort(
      (a, b) =>
        Number(a.ofGate) - Number(b.ofGate) ||
        (b.slackDays ?? Infinity) - (a.slackDays ?? Infinity) ||
        byTime(a, b),
    )

/** The same folded, with more of what was dropped, where that has room too. */
function restored(
  filled: readonly Filled[],
  stages: readonly Stage[],
  { ask }: Fitting,
  planks: readonly Plank[],
): Layout | null {
  const folded = new Set(filled.flatMap((one) => one.folded))
  for (const stage of stages.slice(0, -1)) {
    const own = fittingOf(ask, stage, planks)
    const tried = filledAll(own, folded)
    if (heightOf(tried, own) <= ask.height) return drawn(tried, own)
  }
  return null
}

/** Least folding with which everything fits: more is folded only when less does not do. */
function foldedToFit(ask: FitAsk): Layout {
  const near = ask.planks(false).filter((plank) => isSeen(plank, ask.ruler))
  const nobody: ReadonlySet<Plank> = new Set()
  const stages = stagesOf(ask)
  const last = stages.at(-1) as Stage
  const fitting = fittingOf(ask, last, near)
  const fitsAt = (own: Fitting): readonly Filled[] | null => {
    const filled = filledAll(own, nobody)
    return heightOf(filled, own) <= ask.height ? filled : null
  }
  // What does not fit with everything dropped does not with less.
  if (fitsAt(fitting))
    for (const stage of stages) {
      const own = fittingOf(ask, stage, near)
      const filled = fitsAt(own)
      if (filled) return drawn(filled, own)
    }
  const keeps = keeperOf(ask)
  const loose = foldable(near, keeps).filter((plank) => plank.ofGate || !last.others)
  const at = (count: number) => filledAll(fitting, new Set(loose.slice(0, count)))
  let [low, high] = [0, loose.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if (heightOf(at(middle), fitting) <= ask.height) high = middle
    else low = middle + 1
  }
  const filled = at(low)
  if (heightOf(filled, fitting) <= ask.height) {
    const best = unfolded(filled, loose.slice(0, low), fitting)
    return restored(best, stages, fitting, near) ?? drawn(best, fitting)
  }
  const far = ask.planks(true).filter((plank) => isSeen(plank, ask.ruler))
  const wide = fittingOf(ask, { ...last, wideGaps: true }, far)
  return drawn(filledAll(wide, new Set(far.filter((plank) => !keeps(plank)))), wide)
}

/** Lays everything out: folded, then in closer lanes, then without what is out of order of other gates. */
export function fitted(ask: FitAsk): Layout {
  const closer = { ...ask, sizes: ask.closer ?? ask.sizes }
  let layout = foldedToFit(ask)
  for (const next of [closer, { ...closer, flagsKept: false }])
    if (layout.tooHigh) layout = foldedToFit(next)
  return layout
}

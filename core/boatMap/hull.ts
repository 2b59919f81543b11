/** Our own drawing of her, from her sizes and kind. All in shares of the length overall. */
import type { RefitRow } from '../model/entities'

/** x from the stern (0) to the bow (1); y above the waterline, or to starboard of the centreline. */
export type Spot = readonly [number, number]

export type BoatSizes = Pick<
  RefitRow,
  'loaM' | 'lwlM' | 'beamM' | 'draughtM' | 'boatType' | 'keel' | 'pilothouse'
>

/** Her lines as corners to be joined, and the heights the rest is laid out by. */
export interface HullLines {
  readonly draught: number
  readonly half: number
  /** Ends of the waterline. */
  readonly aft: number
  readonly fore: number
  readonly body: readonly Spot[]
  readonly keels: readonly (readonly Spot[])[]
  readonly rudders: readonly (readonly Spot[])[]
  readonly houses: readonly (readonly Spot[])[]
  readonly windows: readonly (readonly Spot[])[]
  /** Masts and stays as pairs of ends; they end where the drawing does. */
  readonly masts: readonly (readonly Spot[])[]
  readonly stays: readonly (readonly Spot[])[]
  /** Outlines of the deck seen from above: one, or two hulls. */
  readonly decks: readonly (readonly Spot[])[]
  readonly deckLines: readonly (readonly Spot[])[]
  /** Height of the deck edge above the water. */
  readonly sheer: (x: number) => number
  /** Depth of the body, 0 and less. */
  readonly bottom: (x: number) => number
  /** Half breadth of the deck. */
  readonly breadth: (x: number) => number
}

/** Shares of the length overall where a size is not known: those of a cruising boat of moderate form. Assumed. */
const usual = { lwl: 0.84, beam: 0.31, draught: 0.14 } as const
/** Height to which masts are drawn. */
export const aloft = 0.21

const steps = (from: number, to: number, many: number): number[] =>
  Array.from({ length: many + 1 }, (_, at) => from + ((to - from) * at) / many)

/** Works her lines out. Sizes in metres; null ones are drawn as usual. */
export function hullLines(sizes: BoatSizes): HullLines {
  const loa = sizes.loaM
  const kind = sizes.boatType
  const lwl = Math.min(0.98, (sizes.lwlM ?? loa * usual.lwl) / loa)
  const draught = Math.min(0.3, (sizes.draughtM ?? loa * usual.draught) / loa)
  const half = Math.min(0.3, (sizes.beamM ?? loa * usual.beam) / loa / 2)
  const aft = (1 - lwl) * 0.45
  const fore = aft + lwl
  const motor = kind === 'motor'
  const twinHull = kind === 'catamaran'
  const free = motor
    ? { aft: 0.085, low: 0.085, bow: 0.15 }
    : { aft: 0.095, low: 0.082, bow: 0.128 }
  const lowAt = motor ? 0.2 : 0.33
  const sheer = (x: number): number =>
    x < lowAt
      ? free.low + (free.aft - free.low) * ((lowAt - x) / lowAt) ** 2
      : free.low + (free.bow - free.low) * ((x - lowAt) / (1 - lowAt)) ** 2
  const bodyDepth = draught * (motor ? 0.75 : sizes.keel === 'long' ? 0.55 : 0.42)
  const bottom = (x: number): number => {
    if (x <= aft || x >= fore) return 0
    const share = (x - aft) / lwl
    return -bodyDepth * (1 - Math.abs(2 * share - 1) ** 2.3)
  }
  const sternShare = motor ? 0.92 : twinHull ? 0.8 : 0.62
  const widest = motor ? 0.35 : 0.45
  const breadth = (x: number): number =>
    x < widest
      ? half * (sternShare + (1 - sternShare) * (1 - ((widest - x) / widest) ** 2))
      : half * Math.max(0, 1 - ((x - widest) / (1 - widest)) ** 2.1)
  const sheerLine = steps(0, 1, 30).map((x): Spot => [x, sheer(x)])
  const body: Spot[] = [
    ...sheerLine,
    ...steps(fore, aft, 30).map((x): Spot => [x, bottom(x)]),
    [0.012, free.aft * 0.45],
  ]
  const house = houses(sizes, sheer)
  return {
    draught,
    half,
    aft,
    fore,
    body,
    keels: motor ? [] : keelsOf(sizes, draught, bottom),
    rudders: [rudderOf(sizes, draught, aft, bottom)],
    houses: house.outlines,
    windows: house.windows,
    ...rigOf(kind, sheer),
    decks: twinHull ? twinDecks(half) : [deckOutline(breadth)],
    deckLines: deckLinesOf(sizes, breadth, half),
    sheer,
    bottom,
    breadth,
  }
}

function keelsOf(sizes: BoatSizes, draught: number, bottom: (x: number) => number): Spot[][] {
  const at = (x: number): Spot => [x, bottom(x)]
  if (sizes.boatType === 'catamaran')
    return [[at(0.35), [0.38, -draught], [0.52, -draught], at(0.56)]]
  if (sizes.keel === 'long')
    return [
      [at(0.13), [0.15, -draught], [0.55, -draught * 0.97], [0.72, -draught * 0.72], at(0.84)],
    ]
  if (sizes.keel === 'twin')
    return [
      [at(0.4), [0.42, -draught], [0.56, -draught], at(0.6)],
      [at(0.36), [0.38, -draught * 0.96], [0.52, -draught * 0.96], at(0.56)],
    ]
  return [[at(0.33), [0.37, -draught], [0.57, -draught], at(0.66)]]
}

function rudderOf(
  sizes: BoatSizes,
  draught: number,
  aft: number,
  bottom: (x: number) => number,
): Spot[] {
  const long = sizes.keel === 'long' && sizes.boatType !== 'motor'
  const [from, to] = long ? [0.085, 0.135] : [aft + 0.02, aft + 0.075]
  const deep = -draught * (sizes.boatType === 'motor' ? 0.95 : 0.86)
  return [
    [from, Math.max(bottom(from), deep * 0.3)],
    [from - 0.012, deep],
    [to - 0.008, deep],
    [to, bottom(to)],
  ]
}

/** What stands on deck, and its windows. */
function houses(sizes: BoatSizes, sheer: (x: number) => number) {
  const outlines: Spot[][] = []
  const windows: Spot[][] = []
  const box = (from: number, to: number, high: number, lean: number): void => {
    outlines.push([
      [from, sheer(from)],
      [from + lean * 0.4, sheer(from) + high],
      [to - lean, sheer(to) + high * 0.96],
      [to, sheer(to)],
    ])
  }
  const light = (x: number, low: number, wide: number, high: number): void => {
    const y = sheer(x) + low
    windows.push([
      [x, y],
      [x + wide, y],
      [x + wide, y + high],
      [x, y + high],
    ])
  }
  if (sizes.boatType === 'motor') {
    box(0.2, 0.78, 0.06, 0.08)
    box(0.28, 0.58, 0.125, 0.06)
    for (const x of [0.31, 0.39, 0.47]) light(x, 0.072, 0.06, 0.035)
    return { outlines, windows }
  }
  if (sizes.boatType === 'catamaran') {
    box(0.26, 0.7, 0.085, 0.1)
    for (const x of [0.32, 0.42, 0.52]) light(x, 0.03, 0.08, 0.035)
    return { outlines, windows }
  }
  box(0.5, 0.76, 0.04, 0.03)
  for (const x of [0.56, 0.64]) light(x, 0.014, 0.03, 0.014)
  if (sizes.pilothouse) {
    box(0.32, 0.54, 0.1, 0.035)
    for (const x of [0.35, 0.41, 0.47]) light(x, 0.05, 0.042, 0.032)
  } else box(0.3, 0.52, 0.034, 0.02)
  return { outlines, windows }
}

function rigOf(kind: BoatSizes['boatType'], sheer: (x: number) => number) {
  if (kind === 'motor') return { masts: [], stays: [] }
  const main = kind === 'ketch' ? 0.61 : 0.57
  const mast = (x: number): Spot[] => [
    [x, sheer(x)],
    [x, aloft],
  ]
  // Stays run to a masthead far above the drawing.
  const towards = (from: Spot, head: Spot): Spot[] => {
    const share = (aloft - from[1]) / (head[1] - from[1])
    return [from, [from[0] + (head[0] - from[0]) * share, aloft]]
  }
  const head: Spot = [main, 1.15]
  const boom: Spot[] = [
    [main, 0.2],
    [main - 0.27, 0.215],
  ]
  return {
    masts: kind === 'ketch' ? [mast(main), mast(0.15), boom] : [mast(main), boom],
    stays: [
      towards([0.99, sheer(0.99)], head),
      ...(kind === 'cutter' ? [towards([0.86, sheer(0.86)], [main, 0.8])] : []),
      towards([main - 0.05, sheer(main)], head),
      towards([0.01, sheer(0)], kind === 'ketch' ? [0.15, 0.75] : head),
    ],
  }
}

const deckOutline = (breadth: (x: number) => number): Spot[] => [
  ...steps(0, 1, 40).map((x): Spot => [x, breadth(x)]),
  ...steps(1, 0, 40).map((x): Spot => [x, -breadth(x)]),
]

/** Two hulls, each a third as wide as she is, with the bridge deck between. */
function twinDecks(half: number): Spot[][] {
  const hull = (middle: number): Spot[] => {
    const wide = half * 0.3
    const curve = (x: number) => wide * (x < 0.4 ? 0.85 : Math.max(0, 1 - ((x - 0.4) / 0.6) ** 2.2))
    return [
      ...steps(0, 1, 24).map((x): Spot => [x, middle + curve(x)]),
      ...steps(1, 0, 24).map((x): Spot => [x, middle - curve(x)]),
    ]
  }
  const bridge: Spot[] = [
    [0.08, half * 0.5],
    [0.72, half * 0.5],
    [0.72, -half * 0.5],
    [0.08, -half * 0.5],
  ]
  return [bridge, hull(half * 0.7), hull(-half * 0.7)]
}

/** House and cockpit as seen from above. */
function deckLinesOf(sizes: BoatSizes, breadth: (x: number) => number, half: number): Spot[][] {
  const frame = (from: number, to: number, aftHalf: number, foreHalf: number): Spot[] => [
    [from, aftHalf],
    [to, foreHalf],
    [to, -foreHalf],
    [from, -aftHalf],
  ]
  if (sizes.boatType === 'catamaran') return [frame(0.26, 0.7, half * 0.62, half * 0.5)]
  if (sizes.boatType === 'motor')
    return [
      frame(0.2, 0.78, breadth(0.2) * 0.66, breadth(0.78) * 0.5),
      frame(0.28, 0.58, half * 0.6, half * 0.55),
    ]
  return [
    frame(0.5, 0.76, half * 0.58, breadth(0.76) * 0.5),
    frame(0.3, 0.53, half * 0.62, half * 0.62),
    frame(0.13, 0.27, half * 0.4, half * 0.42),
  ]
}

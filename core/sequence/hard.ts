/** What stands on the hard and in the water: the boat where there is room for her, and words about where she is. */
import { sayDate } from '../time/say'
import type { ZoneClock } from '../time/zone'
import type { LevelLayout } from './fit'
import { widthOf } from './measure'
import type { Stand } from './water'

export interface Profile {
  readonly afloat: boolean
  readonly x: number
  /** Her mast has room too. */
  readonly mast: boolean
}
export interface HardWords {
  readonly text: string
  readonly left: number
  readonly right: number
  readonly afloat: boolean
}

export const hardSize = 14.5
/** Room of the boat afloat and on her stands. */
export const boatRoom = { wide: 74, mast: 50, hull: 15, draught: 13, ashore: 104 } as const
const pad = 12
/** Words keep so far from a post. */
const postAir = 5

type Box = readonly [left: number, right: number, top: number, bottom: number]

/** Boxes of everything at a level. */
function boxesOf(level: LevelLayout): Box[] {
  const boards = level.laid.flatMap(({ board, lane }): Box[] => {
    const track = level.lanes[lane]
    if (!track) return []
    const top = level.y + track.y
    return [[board.left, board.right, top, top + track.height]]
  })
  const foot = level.y + level.height
  const laths = level.laths.map((lath): Box => [lath.x0 - 3, lath.x1 + 3, foot - 16, foot])
  return [...boards, ...laths]
}

/** Leftmost place on a stretch where a box of that size meets nothing; null: there is none. */
function freeX(
  boxes: readonly Box[],
  [x0, x1]: readonly [number, number],
  [top, bottom]: readonly [number, number],
  wide: number,
): number | null {
  const near = boxes.filter(([, , a, b]) => b > top && a < bottom)
  const tries = [x0, ...near.map(([, right]) => right)].sort((a, b) => a - b)
  const found = tries.find(
    (x) => x >= x0 && x + wide <= x1 && near.every(([a, b]) => x + wide <= a || x >= b),
  )
  return found ?? null
}

/** The boat on every stretch that has room for her. */
export function profilesOf(
  stands: readonly Stand[],
  levels: readonly LevelLayout[],
  waterTop: number,
  postXs: readonly number[],
): Profile[] {
  const boxes = levels.flatMap(boxesOf)
  const posts = postXs.map((x): Box => [x - 4, x + 4, -Infinity, Infinity])
  return stands.flatMap((stand): Profile[] => {
    const span = [stand.x0 + pad, stand.x1 - pad] as const
    if (!stand.afloat) {
      const x = freeX(posts, span, [0, 1], boatRoom.ashore)
      return x === null ? [] : [{ afloat: false, x, mast: false }]
    }
    for (const mast of [true, false]) {
      const top = waterTop - (mast ? boatRoom.mast : boatRoom.hull)
      const x = freeX([...boxes, ...posts], span, [top, waterTop + boatRoom.draught], boatRoom.wide)
      if (x !== null) return [{ afloat: true, x, mast }]
    }
    return []
  })
}

/** Sentences about a stretch, the fullest first. */
function sentences(stand: Stand, clock: ZoneClock, now: number): string[] {
  const year = clock.dateOf(now).slice(0, 4)
  const begins = Number.isFinite(stand.from)
  const ends = Number.isFinite(stand.to)
  const say = (at: number) => (Number.isFinite(at) ? sayDate(clock.dateOf(at), year) : '')
  const [from, to] = [say(stand.from), say(stand.to)]
  const word = stand.from <= now && stand.known ? 'since' : 'from'
  if (stand.afloat) {
    if (!stand.known)
      return [`Aimed to be afloat from ${from}, which is not planned`, 'Aimed afloat']
    const dates = begins ? ` ${word} ${from}` : ''
    const both = begins && ends ? ` ${from} to ${to}` : dates
    return [
      `Afloat${both}: under water is shut`,
      `Afloat${both}`,
      'Afloat: under water is shut',
      `Afloat${dates}`,
      'Afloat',
    ]
  }
  if (!begins) return ['Ashore']
  return [`Ashore ${from}${ends ? ` to ${to}` : ''}`, `Ashore ${word} ${from}`, 'Ashore']
}

/** Words on each stretch, as long as fits beside the boat and between the posts. */
export function hardWords(
  stands: readonly Stand[],
  profiles: readonly Profile[],
  postXs: readonly number[],
  clock: ZoneClock,
  now: number,
): HardWords[] {
  return stands.flatMap((stand): HardWords[] => {
    const boat = profiles.find((one) => !one.afloat && one.x >= stand.x0 && one.x < stand.x1)
    const left = (boat && !stand.afloat ? boat.x + boatRoom.ashore : stand.x0) + pad
    const posts = postXs.map((x): Box => [x - postAir, x + postAir, -Infinity, Infinity])
    for (const text of sentences(stand, clock, now)) {
      const wide = widthOf(text, hardSize, 600)
      const x = freeX(posts, [left, stand.x1 - 10], [0, 1], wide)
      if (x !== null) return [{ text, left: x, right: x + wide, afloat: stand.afloat }]
    }
    return []
  })
}

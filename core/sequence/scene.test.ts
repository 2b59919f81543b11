/** The drawing: nothing lies on anything else, nothing is lost, no name is cut. */
import { draws } from '../../tests/draws'
import { describe, expect, it } from 'vitest'
import { bigRefit } from '../../demo/bigRefit'
import { knownDemo } from '../../demo/known'
import { demoNow } from '../../demo/sableWren'
import { oddNow, oddRefit } from '../../tests/judge/oddRefit'
import type { RefitRows } from '../model/refit'
import { bindingChain } from '../plan/chain'
import { explained, lay } from '../plan/makePlan'
import { latestStartFirst, prepare } from '../plan/prepare'
import { Waits } from '../plan/waits'
import { derive } from '../progress/derive'
import { zoneClock } from '../time/zone'
import { sequenceFacts } from './facts'
import { outOfOrder } from '../order/outOfOrder'
import { boardTall, seamMiddle } from './lanes'
import { planksOf } from './planks'
import { sceneOf } from './scene'
import type { Scene, SceneView } from './scene'
import { spanRow } from './spans'

interface Box {
  readonly what: string
  readonly left: number
  readonly right: number
  readonly top: number
  readonly bottom: number
}
const meet = (a: Box, b: Box) =>
  a.left < b.right - 0.01 &&
  b.left < a.right - 0.01 &&
  a.top < b.bottom - 0.01 &&
  b.top < a.bottom - 0.01
const overlaps = (boxes: readonly Box[]): string[] =>
  boxes.flatMap((a, index) =>
    boxes.slice(index + 1).flatMap((b) => (meet(a, b) ? [`${a.what} on ${b.what}`] : [])),
  )

/** What every view of one refit is drawn from, worked out once. */
function factsOf(rows: RefitRows, now: number) {
  const clock = zoneClock(rows.refit[0]?.zone ?? 'UTC')
  // One pass: it is the drawing that is judged here, of whatever plan.
  const prepared = prepare(rows, now)
  const { plan } = explained(prepared, lay(prepared, latestStartFirst))
  const derived = derive(rows, plan, now)
  const gateId = (derived.launch ?? derived.gates[0])?.gate.id ?? null
  const links = gateId === null ? [] : bindingChain(plan, rows, gateId, clock)
  const facts = sequenceFacts(rows, plan, clock, new Waits(rows, clock), now)
  const flags = outOfOrder(rows, plan, clock, now)
    .filter((one) => one.severity !== 'note')
    .map((one) => ({
      key: one.evidence,
      stepIds: one.stepIds.slice(0, 1),
      mend: one.mend?.label ?? '',
    }))
  return { facts, links, gateId, gates: derived.gates, flags }
}
const known = new WeakMap<RefitRows, ReturnType<typeof factsOf>>()

function drawn(rows: RefitRows, now: number, view: SceneView, size: readonly [number, number]) {
  const { facts, links, gateId, gates, flags } = known.get(rows) ?? factsOf(rows, now)
  known.set(rows, { facts, links, gateId, gates, flags })
  const ask = { view, width: size[0], height: size[1], now, gates, gateId, links, flags }
  return { facts, links, scene: sceneOf(facts, ask), gateId }
}

/** Everything that has words or must be seen whole, as boxes; words of a board as its own box. */
function boxesOf(scene: Scene): Box[] {
  const { board: tall } = scene.layout.sizes
  const boards = scene.levels.flatMap((level) =>
    level.laid.map(({ board, lane }): Box => {
      const top = level.y + (level.lanes[lane]?.y ?? Number.NaN)
      return {
        what: `board ${board.plank.name}`,
        left: board.left + 2,
        right: board.right - 2,
        top,
        bottom: top + boardTall(tall, board.plank.binding),
      }
    }),
  )
  const flags = scene.posts.flatMap((post): Box[] => {
    if (post.row === null) return []
    const top = (scene.flagRows - 1 - post.row) * 24
    return [
      { what: `flag ${post.label}`, left: post.left, right: post.right, top, bottom: top + 22 },
    ]
  })
  const dates = [...scene.dates, ...scene.pleatWords].map((one): Box => ({
    what: `date ${one.text}`,
    left: one.left,
    right: one.right,
    top: scene.datesY - 12,
    bottom: scene.datesY + 2,
  }))
  const hands = scene.hands.map((one): Box => ({
    what: `hands ${one.date}`,
    left: one.x0,
    right: one.x1,
    top: scene.handsY,
    bottom: scene.handsY + 15,
  }))
  const hard = scene.hard.map((one): Box => ({
    what: one.text,
    left: one.left,
    right: one.right,
    top: scene.ground - 22,
    bottom: scene.ground - 5,
  }))
  const boats = scene.profiles.map((one): Box =>
    one.afloat
      ? {
          what: 'boat',
          left: one.x,
          right: one.x + 74,
          top: scene.waterTop - (one.mast ? 50 : 15),
          bottom: scene.waterTop + 12,
        }
      : {
          what: 'boat ashore',
          left: one.x,
          right: one.x + 100,
          top: scene.ground - 34,
          bottom: scene.ground,
        },
  )
  const spans = scene.spans.map((one): Box => ({
    what: `span ${one.title}`,
    left: one.x0,
    right: one.x1,
    top: scene.spansY + one.row * spanRow,
    bottom: scene.spansY + one.row * spanRow + scene.spanHeight,
  }))
  const water = scene.tide.map((one): Box => ({
    what: `water ${one.from}`,
    left: one.x0,
    right: one.x1,
    top: scene.tideY - 3,
    bottom: scene.tideY + 2,
  }))
  return [...boards, ...flags, ...dates, ...hands, ...water, ...hard, ...boats, ...spans]
}

/** Knots may lie on the boards they belong to, and on nothing else. */
function strayKnots(scene: Scene): string[] {
  const boards = scene.levels.flatMap((level) =>
    level.laid.map(({ board, lane }) => {
      const top = level.y + (level.lanes[lane]?.y ?? Number.NaN)
      const own = board.plank.pieces.map((piece) => piece.step.id)
      const box = {
        what: board.plank.name,
        left: board.left + 4,
        right: board.right - 4,
        top,
        bottom: top + boardTall(scene.layout.sizes.board, board.plank.binding),
      }
      return { own, box }
    }),
  )
  return scene.knots.flatMap((knot) => {
    const box = {
      what: knot.label,
      left: knot.x - knot.half,
      right: knot.x + knot.half,
      top: knot.y - 9,
      bottom: knot.y + 9,
    }
    return boards.flatMap(({ own, box: board }) =>
      meet(box, board) && !knot.stepIds.some((id) => own.includes(id)) && !knot.numbers.includes(1)
        ? [`knot ${knot.label} on ${board.what}`]
        : [],
    )
  })
}

function faults(
  rows: RefitRows,
  now: number,
  view: SceneView,
  size: readonly [number, number] = [960, 595],
) {
  const { facts, links, scene, gateId } = drawn(rows, now, view, size)
  const found = [...overlaps(boxesOf(scene)), ...strayKnots(scene)]
  const laid = scene.levels.flatMap((level) => level.laid.map((one) => one.board))
  for (const board of laid) {
    const { plank } = board
    if (![plank.name, plank.short, ''].includes(board.words)) found.push(`cut: ${board.words}`)
    if (board.words === '' && !plank.binding) found.push(`no name on ${plank.name}`)
    if (board.right - 5 > scene.ruler.right + 13)
      found.push(`${plank.name} runs out of the drawing`)
  }
  const shown = scene.levels.flatMap((level) => [
    ...level.laid.map((one) => one.board.plank.key),
    ...level.laths.map((one) => one.plank.key),
  ])
  const needed = gateId === null ? new Set<string>() : facts.neededBy(gateId)
  const chain = new Set(links.flatMap((link) => link.stepId ?? []))
  const wide = scene.layout.tooHigh
  const gap = (view === 'launch' ? [20, 40] : [60, 120])[wide ? 1 : 0] as number
  const seen = planksOf(
    facts.pieces,
    { chain, needed, arcs: facts.arcs, readyBy: facts.readyBy },
    gap,
  )
    .filter((one) => one.to > scene.ruler.from && one.from < scene.ruler.to)
    .map((one) => one.key)
  if ([...shown].sort().join() !== [...seen].sort().join())
    found.push(`${seen.length} planks, ${shown.length} shown`)
  if (scene.ground + 9 > scene.troughTop) found.push('the hard lies on the hours')
  if (!wide && scene.height > size[1]) found.push('higher than asked')
  for (const words of scene.hard)
    for (const post of scene.posts)
      if (post.x > words.left - 4 && post.x < words.right + 4)
        found.push(`post ${post.label} through ${words.text}`)
  return { found, tooHigh: wide, laid: laid.length }
}

describe('the drawing', () => {
  it('of the demo lets nothing lie on anything, and needs no more height than it has', () => {
    const rows = knownDemo('demo')
    for (const [view, width] of [
      ['launch', 960],
      ['seasons', 1280],
      ['launch', 1500],
      ['seasons', 1680],
    ] as const) {
      const { found, tooHigh, laid } = faults(rows, demoNow, view, [width, 595])
      expect(found, `${view} ${width}`).toEqual([])
      expect(tooHigh).toBe(false)
      expect(laid).toBeGreaterThan(12)
    }
  })

  it('of 2,000 steps and of odd refits lets nothing lie on anything either', () => {
    const big = bigRefit(3)
    const now = Date.UTC(2027, 3, 17, 7, 30)
    expect(faults(big, now, 'launch').found).toEqual([])
    expect(faults(big, now, 'seasons', [1280, 595]).found).toEqual([])
    const said = Array.from({ length: draws(20) }, (_, seed) => {
      const rows = oddRefit(seed, 24)
      return [
        ...faults(rows, oddNow, 'launch').found,
        ...faults(rows, oddNow, 'seasons', [1280, 595]).found,
      ].map((one) => `${seed}: ${one}`)
    }).flat()
    expect(said).toEqual([])
  })

  it('puts the knots of the chain on its seams, counted back from the gate', () => {
    const { scene, links } = drawn(knownDemo('demo'), demoNow, 'launch', [960, 595])
    const numbers = scene.knots.flatMap((knot) => knot.numbers).sort((a, b) => a - b)
    expect(numbers).toEqual(links.map((_, index) => index + 1))
    for (const knot of scene.knots) {
      const seams = scene.levels.flatMap((level) =>
        level.lanes
          .filter((lane) => lane.rope)
          .map((lane) => level.y + lane.y + seamMiddle(scene.layout.sizes.board, true)),
      )
      expect(seams.some((y) => Math.abs(y - knot.y) < 0.5)).toBe(true)
    }
  })
})

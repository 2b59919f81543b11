import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { createRandom } from '../random'
import { barPlan } from './bars'
import { leastSheets, rollPlan, sheetPlan } from './cutPlan'
import type { CutPiece } from './cutPlan'
import type { Board, Laid } from './guillotine'

const brief = (seed = 1) => {
  let asked = 0
  return { random: createRandom(seed), isOver: () => (asked += 1) > 40 }
}
const piece = (long: number, wide: number, mayTurn = false): CutPiece => ({ long, wide, mayTurn })

/** Whether two pieces share more than an edge, the cut between them counted. */
const meet = (a: Laid, b: Laid, kerf: number): boolean =>
  a.along < b.along + b.long + kerf - 1e-6 &&
  b.along < a.along + a.long + kerf - 1e-6 &&
  a.across < b.across + b.wide + kerf - 1e-6 &&
  b.across < a.across + a.wide + kerf - 1e-6

/** Everything wrong with pieces on a board of a size. */
function faults(
  laid: readonly Laid[],
  pieces: readonly CutPiece[],
  board: Board,
  kerf: number,
): string[] {
  const wrong: string[] = []
  laid.forEach((one, at) => {
    const asked = pieces[one.piece] as CutPiece
    const [long, wide] = one.isTurned ? [asked.wide, asked.long] : [asked.long, asked.wide]
    if (Math.abs(long - one.long) > 1e-6 || Math.abs(wide - one.wide) > 1e-6) wrong.push('size')
    if (one.isTurned && !asked.mayTurn) wrong.push('turned')
    if (one.along < -1e-6 || one.across < -1e-6) wrong.push('outside')
    if (one.along + one.long > board.long + 1e-6 || one.across + one.wide > board.wide + 1e-6)
      wrong.push('over')
    for (const other of laid.slice(at + 1)) if (meet(one, other, kerf)) wrong.push('overlap')
  })
  return wrong
}

/** True when edge-to-edge cuts alone part all of the pieces: some line crosses none, and both sides again. */
function isSawn(laid: readonly Laid[]): boolean {
  if (laid.length < 2) return true
  const splits = (from: (one: Laid) => number, to: (one: Laid) => number): boolean =>
    laid.some((at) => {
      const line = to(at)
      if (laid.some((one) => from(one) < line - 1e-6 && to(one) > line + 1e-6)) return false
      const [low, high] = [
        laid.filter((one) => to(one) <= line + 1e-6),
        laid.filter((one) => from(one) >= line - 1e-6),
      ]
      return low.length > 0 && high.length > 0 && isSawn(low) && isSawn(high)
    })
  return (
    splits(
      (one) => one.along,
      (one) => one.along + one.long,
    ) ||
    splits(
      (one) => one.across,
      (one) => one.across + one.wide,
    )
  )
}

const sides = fc.integer({ min: 20, max: 600 })
const pieces = fc.array(fc.tuple(sides, sides, fc.boolean()), { minLength: 1, maxLength: 14 })
const boards = fc.array(
  fc.tuple(fc.integer({ min: 100, max: 900 }), fc.integer({ min: 100, max: 700 })),
  { maxLength: 3 },
)

describe('a roll', () => {
  it('takes every piece once, none over another, none turned that must not be', () => {
    fc.assert(
      fc.property(pieces, boards, (list, there) => {
        const asked = list.map(([long, wide, turn]) => piece(long, wide, turn))
        const stock = there.map(([long, wide]) => ({ long, wide }))
        const plan = rollPlan(asked, stock, 700, brief())
        const all = [...plan.onRoll, ...plan.fromStock.flatMap((one) => one.laid)].map(
          (one) => one.piece,
        )
        expect([...all].sort((a, b) => a - b)).toEqual(asked.map((_, at) => at))
        expect(faults(plan.onRoll, asked, { long: plan.length, wide: 700 }, 0)).toEqual([])
        for (const from of plan.fromStock)
          expect(faults(from.laid, asked, stock[from.board as number] as Board, 0)).toEqual([])
        expect(plan.length).toBeGreaterThanOrEqual(plan.atLeast - 1e-6)
      }),
      { numRuns: 60 },
    )
  })
  it('buys nothing for what an offcut gives, and less where the nap may turn', () => {
    expect(rollPlan([piece(300, 200)], [{ long: 320, wide: 200 }], 700, brief()).length).toBe(0)
    // 600 across a roll of 700 and 200 along, or 600 along.
    expect(rollPlan([piece(600, 200)], [], 700, brief()).length).toBe(600)
    expect(rollPlan([piece(600, 200, true)], [], 700, brief()).length).toBe(200)
  })
  it('leaves what is pinned where it was laid, and lays the rest round it', () =>
    fc.assert(
      fc.property(
        pieces,
        boards,
        fc.integer({ min: 0, max: 900 }),
        fc.integer({ min: 0, max: 100 }),
        (list, there, along, across) => {
          const pin = { along, across }
          const asked = list.map(([long, wide, turn], at) => ({
            ...piece(long, Math.min(wide, 600), turn),
            ...(at === 0 ? { pin } : {}),
            ...(at === 1 ? { isBought: true } : {}),
          }))
          const stock = there.map(([long, wide]) => ({ long, wide }))
          const plan = rollPlan(asked, stock, 700, brief())
          const all = [...plan.onRoll, ...plan.fromStock.flatMap((one) => one.laid)]
          expect(all.map((one) => one.piece).sort((a, b) => a - b)).toEqual(
            asked.map((_, at) => at),
          )
          expect(faults(plan.onRoll, asked, { long: plan.length, wide: 700 }, 0)).toEqual([])
          expect(plan.onRoll.find((one) => one.piece === 0)).toMatchObject({
            ...pin,
            isTurned: false,
          })
          // What is bought alone is never cut out of what is there.
          expect(plan.fromStock.flatMap((one) => one.laid).some((one) => one.piece === 1)).toBe(
            false,
          )
          expect(plan.length).toBeGreaterThanOrEqual(plan.atLeast - 1e-6)
        },
      ),
      { numRuns: 60 },
    ))
  it('uses the room before a piece that is pinned further along', () => {
    // 300 long pinned at 400: two of 400 × 350 lie before it side by side.
    const pinned = { ...piece(300, 700), pin: { along: 400, across: 0 } }
    const plan = rollPlan([pinned, piece(400, 350), piece(400, 350)], [], 700, brief())
    expect(plan.length).toBe(700)
  })
  it('never grows by an offcut that is there', () => {
    const quick = { random: () => 0.5, isOver: () => true }
    fc.assert(
      fc.property(pieces, fc.tuple(sides, sides), (list, [long, wide]) => {
        const asked = list.map(([a, b]) => piece(a, b))
        const without = rollPlan(asked, [], 700, quick).length
        expect(rollPlan(asked, [{ long, wide }], 700, quick).length).toBeLessThanOrEqual(without)
      }),
      { numRuns: 60 },
    )
  })
})

describe('sheets', () => {
  it('are sawn from edge to edge, with the saw’s cut between', () => {
    fc.assert(
      fc.property(pieces, boards, fc.integer({ min: 0, max: 6 }), (list, there, kerf) => {
        const asked = list.map(([long, wide, turn]) => piece(long, wide, turn))
        const stock = there.map(([long, wide]) => ({ long, wide }))
        const sheet = { long: 1220, wide: 620 }
        const plan = sheetPlan(asked, stock, sheet, kerf, brief())
        const all = plan.from.flatMap((one) => one.laid.map((each) => each.piece))
        expect([...all].sort((a, b) => a - b)).toEqual(asked.map((_, at) => at))
        for (const from of plan.from) {
          const board = from.board === null ? sheet : (stock[from.board] as Board)
          expect(faults(from.laid, asked, board, kerf)).toEqual([])
          expect(isSawn(from.laid)).toBe(true)
        }
        expect(plan.from.filter((one) => one.board === null)).toHaveLength(plan.sheets)
      }),
      { numRuns: 60 },
    )
  })
  it('as few as can be where it is plain', () => {
    // Four quarters of a sheet, the saw taking nothing; with a cut of 4 they are no quarters any more.
    const quarters = Array.from({ length: 4 }, () => piece(600, 300))
    const sheet = { long: 1200, wide: 600 }
    expect(sheetPlan(quarters, [], sheet, 0, brief()).sheets).toBe(1)
    expect(sheetPlan(quarters, [], sheet, 4, brief()).sheets).toBe(4)
    expect(leastSheets(quarters, sheet)).toBe(1)
    expect(() => sheetPlan([piece(1300, 100)], [], sheet, 0, brief())).toThrow(
      'larger than the sheet',
    )
  })
})

describe('bars', () => {
  it('take every piece once, with the cut between, and are bought no longer than needed', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 50, max: 3000 }), { minLength: 1, maxLength: 16 }),
        fc.array(fc.integer({ min: 100, max: 3000 }), { maxLength: 3 }),
        fc.integer({ min: 0, max: 5 }),
        (list, stock, kerf) => {
          const plan = barPlan(list, stock, [3000, 6000], kerf, createRandom(2))
          expect(plan).not.toBeNull()
          const bars = plan?.bars ?? []
          expect(bars.flatMap((one) => one.pieces).sort((a, b) => a - b)).toEqual(
            list.map((_, at) => at),
          )
          for (const bar of bars) {
            const used =
              bar.pieces.reduce((sum, at) => sum + (list[at] as number), 0) +
              kerf * (bar.pieces.length - 1)
            expect(used).toBeLessThanOrEqual(bar.long + 1e-6)
            if (bar.stock !== null) expect(bar.long).toBe(stock[bar.stock])
            else if (bar.long === 6000) expect(used).toBeGreaterThan(3000)
          }
          expect(new Set(bars.flatMap((one) => one.stock ?? [])).size).toBe(
            bars.filter((one) => one.stock !== null).length,
          )
        },
      ),
      { numRuns: 80 },
    )
  })
  it('against every way of cutting', () => {
    // Six pieces out of bars of 1000 and 1600: the least that is bought, by trying every parting.
    const least = (list: readonly number[]): number => {
      let best = Infinity
      const put = (at: number, bars: number[]): void => {
        if (at === list.length) {
          const cost = bars.reduce((sum, used) => sum + (used <= 1000 ? 1000 : 1600), 0)
          best = Math.min(best, cost)
          return
        }
        const long = list[at] as number
        bars.forEach((used, index) => {
          if (used + long <= 1600)
            put(
              at + 1,
              bars.map((one, each) => (each === index ? one + long : one)),
            )
        })
        put(at + 1, [...bars, long])
      }
      put(0, [])
      return best
    }
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 200, max: 900 }), { minLength: 2, maxLength: 6 }),
        (list) => {
          const plan = barPlan(list, [], [1000, 1600], 0, createRandom(3))
          expect(plan?.boughtLong).toBe(least(list))
        },
      ),
      { numRuns: 60 },
    )
  })
  it('say when a piece is longer than any', () => {
    expect(barPlan([7000], [], [6000], 2, createRandom(1))).toBeNull()
    expect(() => barPlan([0], [], [6000], 2, createRandom(1))).toThrow('length')
  })
})

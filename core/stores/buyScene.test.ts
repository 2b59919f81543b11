/** The drawing of what to buy: nothing is lost, nothing stands outside, names are whole; trades by hand. */
import { describe, expect, it } from 'vitest'
import { bigRefit, withParts } from '../../demo/bigRefit'
import { knownDemo } from '../../demo/known'
import { demoNow } from '../../demo/sableWren'
import type { RefitRows } from '../model/refit'
import { handsOn } from '../plan/handsOn'
import { makePlan } from '../plan/makePlan'
import { Waits } from '../plan/waits'
import { derive } from '../progress/derive'
import { sequenceFacts } from '../sequence/facts'
import { widthOf } from '../sequence/measure'
import { xOf } from '../sequence/ruler'
import { add, emptyRefit, job, person, step } from '../testing/build'
import { dateOf, dayNumber } from '../time/civil'
import { zoneClock } from '../time/zone'
import { buyBoard } from './board'
import { buyScene, rowHigh } from './buyScene'
import { buyHeadline, presses } from './headline'
import { sayTrade } from './sayBuy'
import { storeFacts } from './storeFacts'

const keyOf = ({ key }: { key: string }) => key

function drawn(rows: RefitRows, width: number, height: number, unfolded: readonly string[] = []) {
  const clock = zoneClock(rows.refit[0]?.zone ?? 'UTC')
  const { plan } = makePlan(rows, demoNow)
  const facts = storeFacts(rows, plan, clock, handsOn(rows, plan, clock), demoNow)
  const board = buyBoard(facts)
  const { gates, launch } = derive(rows, plan, demoNow)
  const scene = buyScene(
    facts,
    sequenceFacts(rows, plan, clock, new Waits(rows, clock), demoNow),
    board,
    {
      ...{ width, height, now: demoNow, gates, gateId: launch?.gate.id ?? null, currency: 'EUR' },
      unfolded: new Set(unfolded),
    },
  )
  return { board, scene }
}

describe('the drawing of what to buy', () => {
  it.each([
    ['the demo', () => knownDemo(), 960, 590],
    ['the demo, small', () => knownDemo(), 620, 480],
    ['600 parts', () => withParts(bigRefit(3), 5, 600), 960, 590],
  ] as const)('of %s', (_, refit, width, height) => {
    const { board, scene } = drawn(refit(), width, height)
    const parts = scene.rows.filter((row) => !row.key.startsWith('trade '))
    const folded = scene.laths.reduce((sum, lath) => sum + Number.parseInt(lath.text, 10), 0)
    expect(parts.length + folded).toBe(board.rows.length)
    const stand = new Set(parts.map((row) => row.key))
    expect(parts.map((row) => row.key)).toEqual(
      board.rows.filter((row) => stand.has(row.key)).map((row) => row.key),
    )
    // What presses stands, however little room there is.
    expect(board.rows.filter((row) => presses(row, dayNumber('2027-04-17'))).map(keyOf)).toSatisfy(
      (keys: string[]) => keys.length > 0 && keys.every((key) => stand.has(key)),
    )
    if (height > 500 && board.rows.length < 100) expect(scene.height).toBe(height)
    const tops = [...scene.rows, ...scene.laths].map((row) => row.y).sort((a, b) => a - b)
    tops
      .slice(1)
      .forEach((top, at) => expect(top - (tops[at] ?? 0)).toBeGreaterThanOrEqual(rowHigh))
    for (const row of scene.rows) {
      const name = row.name.join(' ')
      expect(row.full.strong).not.toBe('')
      // Whole, and left of today's post where anything is drawn.
      expect(name.length).toBeGreaterThan(2)
      for (const line of row.name)
        expect(12 + widthOf(line, row.isSmall ? 12.5 : 15), name).toBeLessThan(
          row.name.length === 2 && line === row.name[1] ? width / 2 : scene.ruler.left + 60,
        )
      expect(row.wordsX, name).toBeGreaterThan(0)
      expect(row.wordsX + row.wordsWidth, name).toBeLessThanOrEqual(width)
      for (const mark of row.marks) {
        const xs = 'x' in mark ? [mark.x] : [mark.x0, mark.x1]
        for (const x of xs) {
          expect(x, `${name} ${mark.kind}`).toBeGreaterThanOrEqual(0)
          expect(x, `${name} ${mark.kind}`).toBeLessThanOrEqual(width)
        }
      }
    }
    for (const pile of scene.piles) expect(pile.sure + pile.open).toBeLessThanOrEqual(7)
  })
})

describe('what is folded', () => {
  it('stands under its lath when that is pressed, whole, and all below moves down', () => {
    const before = drawn(knownDemo(), 960, 590)
    const lath = before.scene.laths[0]
    const trades = before.scene.heads[0]
    const after = drawn(knownDemo(), 960, 590, [lath?.key ?? '', 'trades'])
    const shown = new Set(before.scene.rows.map(keyOf))
    const month = before.board.rows.filter((row) => !shown.has(row.key)).slice(0, 40)
    const count = Number.parseInt(lath?.text ?? '', 10)
    const fresh = after.scene.rows.filter((row) => !shown.has(row.key))
    expect(fresh.slice(0, count).map(keyOf)).toEqual(month.slice(0, count).map(keyOf))
    // One under the other from the lath on.
    expect(fresh.slice(0, count).map((row) => row.y)).toEqual(
      Array.from({ length: count }, (_, at) => (lath?.y ?? 0) + (at + 1) * rowHigh),
    )
    // Every trade there is.
    expect(fresh.slice(count)).toHaveLength(Number.parseInt(trades?.note ?? '', 10))
    expect(
      after.board.trades.every(({ step: { id } }) =>
        after.scene.rows.some((row) => row.key === `trade ${id}`),
      ),
    ).toBe(true)
    expect(after.scene.foot).toBeGreaterThan(before.scene.foot + count * rowHigh)
    expect(after.scene.height - after.scene.foot).toBeGreaterThanOrEqual(72)
  })
})

describe('a crate, and until when something is looked for', () => {
  it('stand at noon and in the evening of their days', () => {
    // Room for every row.
    const { board, scene } = drawn(knownDemo(), 960, 3000)
    const clock = zoneClock(knownDemo().refit[0]?.zone ?? 'UTC')
    const at = (date: string, hour: number) =>
      xOf(scene.ruler, clock.at(dayNumber(date), hour * 60))
    const crates = scene.rows.flatMap((row) => {
      const due = board.rows.find((one) => one.key === row.key)
      return row.crateX === null || !due ? [] : [[row.crateX, due] as const]
    })
    expect(crates.length).toBeGreaterThan(1)
    for (const [x, row] of crates)
      expect([row.kind, x]).toEqual(['onItsWay', at(dateOf(row.dueOn ?? 0), 12)])
    const looks = scene.rows.flatMap((row) => {
      const mark = row.marks.find((one) => one.kind === 'look')
      const until = board.rows
        .find((one) => one.key === row.key)
        ?.wants.flatMap(({ part }) => part.lookUntil ?? [])
        .sort()[0]
      return mark || until ? [[mark && 'x1' in mark ? mark.x1 : null, until] as const] : []
    })
    expect(looks.length).toBeGreaterThan(0)
    for (const [x, until] of looks) expect(x).toBe(at(until ?? '', 18))
  })
})

describe('trades', () => {
  const clock = zoneClock('UTC')
  /** Friday 30 April 2027. */
  const now = Date.UTC(2027, 3, 30, 12)
  function refit() {
    const rows = emptyRefit()
    add(rows, 'place', 'berth', {
      name: 'Berth',
      kind: 'berth',
      travelMin: 0,
      setUpMin: 0,
      packUpMin: 0,
    })
    add(rows, 'gate', 'aboard', { name: 'Move aboard', kind: 'asap' })
    person(rows, 'ida', [6, 7], '08:00', '18:00')
    job(rows, 'tank', { gateId: 'aboard' })
    return rows
  }
  const boardOf = (rows: ReturnType<typeof refit>) => {
    const { plan } = makePlan(rows, now)
    return buyBoard(storeFacts(rows, plan, clock, handsOn(rows, plan, clock), now))
  }
  const said = (one: Parameters<typeof sayTrade>[0] | undefined) => {
    const found = one && sayTrade(one, dayNumber('2027-04-30'), '2027')
    return found && `${found.strong}${found.rest}`
  }

  it('are called their notice and the spare days before they come, on a day on which they come', () => {
    const rows = refit()
    step(rows, 'tank', 'weld', { operation: 'contract', notBefore: '2027-06-01' })
    // Nobody asked them: 14 days are taken, and five to spare. 1 June less 19 days.
    expect(said(boardOf(rows).trades[0])).toBe(
      'call by 13 May, 13 d, wanted Tue 1 Jun, notice assumed',
    )
    const asked = { stepId: 'weld', trade: 'Welder', from: '2027-06-01', to: '2027-06-01' }
    add(rows, 'tradeBooking', 'b', { ...asked, noticeDays: 30, comesOn: [5] })
    // They come on Fridays: the 4th. Thirty days, and a fifth of them to spare: 29 April is gone.
    expect(said(boardOf(rows).trades[0])).toBe('call today: 29 Apr is gone, wanted Fri 4 Jun')
    const head = () => buyHeadline(boardOf(rows), dayNumber('2027-04-30'), '2027')
    expect(head()).toEqual({ lead: 'One thing to see to: ', worst: 'weld' })
    rows.tradeBooking = rows.tradeBooking.map((one) => ({ ...one, state: 'booked' as const }))
    expect(head().worst).toBe('')
    expect(said(boardOf(rows).trades[0])).toMatch(/^booked/)
  })

  it('have what is sent out back in time, with the days the plan leaves', () => {
    const rows = refit()
    step(rows, 'tank', 'out', { hoursLikely: 2 })
    step(rows, 'tank', 'weld', {
      operation: 'contract',
      hoursLikely: 0,
      placeNeed: 'away',
      waitKind: 'calendar',
      waitHours: 21 * 24,
    })
    step(rows, 'tank', 'in', { hoursLikely: 2, notBefore: '2027-06-05' })
    // Out on Saturday the 1st, 21 days away, wanted back on Saturday 5 June: sent by 15 May.
    const [tank] = boardOf(rows).sent
    expect(tank).toMatchObject({ kind: 'send' })
    expect(said(tank)).toBe('from 1 May, send by 15 May, needed 5 Jun')
    // Wanted as soon as it is back, there is nothing to spare.
    rows.step = rows.step.map((one) => ({ ...one, notBefore: null }))
    expect(said(boardOf(rows).sent[0])).toBe('send on 1 May, nothing to spare, needed 22 May')
  })
})

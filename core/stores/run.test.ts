/** The round of the shops: its order in time, what is on its list, and what is bought at the counter; by hand. */
import * as fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { add, step } from '../testing/build'
import { after, factsOf, newId, now, refit } from '../testing/storesRefit'
import type { Rows } from '../testing/storesRefit'
import { addDays, minuteMs } from '../time/civil'
import { buyBoard } from './board'
import type { BuyRow } from './board'
import { counterItems, refilledItems } from './counter'
import { shoppingRun } from './run'
import { inShopMin, routeOf, routeWithin } from './runRoute'
import type { RunStop, WayMin } from './runRoute'

const min = (minutes: number) => minutes * minuteMs
const stop = (shopId: string, opens: number, shuts: number): RunStop => ({
  shopId,
  open: [min(opens), min(shuts)],
})

describe('the way through the shops', () => {
  /** The yard at 0 km, A at 10, B at 30 along one road; a minute a kilometre. */
  const at: Readonly<Record<string, number>> = { a: 10, b: 30 }
  const road: WayMin = (from, to) => Math.abs((at[from ?? ''] ?? 0) - (at[to ?? ''] ?? 0))

  it('sees first what shuts first, and is back as soon as it can', () => {
    // Left at 9:00. B shuts at 9:50: there at 9:30, out at 9:45, at A from 10:05 to 10:20, back at 10:30.
    const found = routeOf([stop('a', 0, 700), stop('b', 0, 590)], min(540), road)
    expect(found).toEqual({
      leaveAt: min(540),
      visits: [
        { shopId: 'b', from: min(570), to: min(585) },
        { shopId: 'a', from: min(605), to: min(620) },
      ],
      backAt: min(630),
    })
    // A shuts at 9:30 and B not before noon: the other way about.
    const other = routeOf([stop('a', 0, 570), stop('b', 0, 720)], min(540), road)
    expect(other?.visits.map((one) => one.shopId)).toEqual(['a', 'b'])
    // Both at once cannot be: A is out at 9:25, and B, twenty minutes on, would have to be left by 9:59.
    expect(routeOf([stop('a', 0, 570), stop('b', 0, 599)], min(540), road)).toBeNull()
    expect(routeOf([stop('a', 0, 570), stop('b', 0, 600)], min(540), road)).not.toBeNull()
  })

  it('goes the shortest way round, whatever shuts first', () => {
    // A at 10, C at −20, B at 30: A, C, B is 10 + 30 + 50 + 30 minutes of road; the best are 100, and 45 in the shops.
    const spot: Readonly<Record<string, number>> = { a: 10, b: 30, c: -20 }
    const way: WayMin = (from, to) => Math.abs((spot[from ?? ''] ?? 0) - (spot[to ?? ''] ?? 0))
    const stops = [stop('a', 0, 1000), stop('c', 0, 1001), stop('b', 0, 1002)]
    expect(routeOf(stops, min(540), way)?.backAt).toBe(min(540 + 145))
  })

  it('does not stand before a shut door, and knows the last moment to leave', () => {
    // A opens at 9:00 and shuts at 9:30: leave at 8:50 to be there, at 9:05 to be out by 9:30. Back by noon.
    const found = routeWithin([stop('a', 540, 570)], [min(500), min(720)], road)
    expect(found).toMatchObject({
      route: { leaveAt: min(530), backAt: min(565) },
      leaveBy: min(545),
    })
    // Whoever must be back by 9:30 leaves at 8:55 at the latest, and nobody is back by 9:20.
    expect(routeWithin([stop('a', 540, 570)], [min(500), min(570)], road)?.leaveBy).toBe(min(535))
    expect(routeWithin([stop('a', 540, 570)], [min(500), min(560)], road)).toBeNull()
  })

  it('goes in by open doors only, one after the other', () => {
    const hours = fc.tuple(fc.nat(600), fc.integer({ min: 0, max: 600 }))
    fc.assert(
      fc.property(
        fc.array(hours, { minLength: 1, maxLength: 4 }),
        fc.array(fc.nat(60), { minLength: 5, maxLength: 5 }),
        fc.nat(600),
        (shops, spots, leave) => {
          const stops = shops.map(([opens, length], index) =>
            stop(String(index), opens, opens + length),
          )
          const spot = (id: string | null) => spots[id === null ? 4 : Number(id)] ?? 0
          const way: WayMin = (a, b) => Math.abs(spot(a) - spot(b))
          const found = routeOf(stops, min(leave), way)
          if (!found) return
          let [time, here] = [found.leaveAt, null as string | null]
          for (const visit of found.visits) {
            const open = stops.find((one) => one.shopId === visit.shopId)?.open ?? [0, 0]
            expect(visit.from).toBeGreaterThanOrEqual(time + min(way(here, visit.shopId)))
            expect(visit.from).toBeGreaterThanOrEqual(open[0])
            expect(visit.to).toBeLessThanOrEqual(open[1])
            expect(visit.to - visit.from).toBe(min(inShopMin))
            ;[time, here] = [visit.to, visit.shopId]
          }
          expect(found.backAt).toBe(time + min(way(here, null)))
          expect(new Set(found.visits.map((one) => one.shopId)).size).toBe(stops.length)
          // Leaving later nobody is back earlier.
          const later = routeOf(stops, min(leave + 7), way)
          if (later) expect(later.backAt).toBeGreaterThanOrEqual(found.backAt)
        },
      ),
    )
  })
})

/** The rubber comes from a shop round the corner, its step measured; a hose is wanted there too, later. */
function shops() {
  const rows = refit()
  add(rows, 'place', 'corner', { name: 'Corner', kind: 'shop', order: 'a' })
  add(rows, 'place', 'town', { name: 'Town', kind: 'shop', order: 'b' })
  add(rows, 'supplier', 'corner', { name: 'Corner', placeId: 'corner', leadDays: 0 })
  add(rows, 'supplier', 'town', { name: 'Town', placeId: 'town', leadDays: 3 })
  rows.step = rows.step.map((one) =>
    one.id === 'measure' ? { ...one, state: 'done' as const, doneAt: now - min(60) } : one,
  )
  rows.part = rows.part.map((one) => ({ ...one, supplierId: 'corner' }))
  return rows
}
const part = (rows: Rows, id: string, more: object) =>
  add(rows, 'part', id, {
    name: id,
    jobId: 'hatch',
    neededByStepId: 'bed',
    supplierId: 'corner',
    ...more,
  })
const runOf = (rows: Rows) => {
  const facts = factsOf(rows)
  return shoppingRun(facts, buyBoard(facts), '2027-04-30')
}
const names = (rows: Rows) =>
  runOf(rows).shops.map(({ place, things }) => [place.name, ...things.map((one) => one.name)])

describe('the list of a run', () => {
  it('goes by shop, leaves to the post what has none, and to another day what is not sure', () => {
    const rows = shops()
    part(rows, 'hose', { supplierId: 'town' })
    part(rows, 'letters', { supplierId: 'post' })
    step(rows, 'hatch', 'later', { operation: 'fit', hoursLikely: 1, notBefore: '2027-06-12' })
    part(rows, 'paint', { neededByStepId: 'later' })
    step(rows, 'hatch', 'gauge', { operation: 'survey', hoursLikely: 1, notBefore: '2027-05-08' })
    part(rows, 'shim', { fixedByStepId: 'gauge' })
    // Nothing of June; the rubber and the hose are wanted on 22 May, the shim is not measured before the 8th.
    expect(names(rows)).toEqual([
      ['Corner', 'Rubber'],
      ['Town', 'hose'],
    ])
    expect(runOf(rows).byPost.map((row) => row.pool.name)).toEqual(['letters'])
    expect(runOf(rows).notSure.map((row) => row.pool.name)).toEqual(['shim'])
  })

  it('puts what blocks before what is wanted sooner, and knows what is ordered there', () => {
    const rows = shops()
    // Forty days on the way: late by now. The rubber is over the counter for the same day.
    part(rows, 'transducer', { supplierId: 'town', leadDays: 40 })
    expect(names(rows)).toEqual([
      ['Town', 'transducer'],
      ['Corner', 'Rubber'],
    ])
    const things = runOf(rows).shops.flatMap((one) => one.things)
    expect(things.map((one) => [one.isPressing, one.isOverCounter])).toEqual([
      [true, false],
      [false, true],
    ])
    // What names no supplier is looked for at the usual shop, and is on the order of whoever keeps it.
    rows.part = rows.part.map((one) => ({ ...one, supplierId: null, leadDays: null }))
    const [shop] = runOf(rows).shops
    expect(shop?.place.name).toBe('Corner')
    expect(shop?.things.map((one) => one.kind === 'row' && one.supplierId)).toEqual([
      'corner',
      'corner',
    ])
  })

  it('leaves out what rests on a guess, what is far off, and what is not done any more', () => {
    const rows = shops()
    step(rows, 'hatch', 'later', { operation: 'fit', hoursLikely: 1, notBefore: '2027-06-12' })
    const bring = { at: 'toBuy' } as const
    add(rows, 'bringLine', 'b1', { ...bring, stepId: 'bed', what: 'Brushes', order: 'a' })
    add(rows, 'bringLine', 'b2', { ...bring, stepId: 'later', what: 'Thinner', order: 'b' })
    const facts = factsOf(rows)
    const board = buyBoard(facts)
    const guessed = { ...board, rows: board.rows.map((row) => ({ ...row, guessed: ['Width'] })) }
    const run = shoppingRun(facts, guessed, '2027-04-30')
    expect(run.notSure.map((row) => row.pool.name)).toEqual(['Rubber'])
    // Wanted on 12 June, Thinner is more than four weeks off.
    expect(run.shops.flatMap((one) => one.things.map((thing) => thing.name))).toEqual(['Brushes'])
    // The plan is older than what was decided since.
    const dropped = {
      ...rows,
      job: rows.job.map((one) => ({ ...one, decision: 'dropped' as const })),
    }
    expect(shoppingRun({ ...facts, rows: dropped }, guessed, '2027-04-30').shops).toEqual([])
    const done = { ...rows, step: rows.step.map((one) => ({ ...one, state: 'done' as const })) }
    expect(shoppingRun({ ...facts, rows: done }, guessed, '2027-04-30').shops).toEqual([])
  })

  it('names what is wanted also where nobody wrote a shop down', () => {
    const rows = shops()
    add(rows, 'bringLine', 'b1', { at: 'toBuy', stepId: 'bed', what: 'Brushes', order: 'a' })
    rows.place = rows.place.filter((one) => one.kind !== 'shop')
    rows.supplier = []
    rows.part = rows.part.map((one) => ({ ...one, supplierId: null, leadDays: null }))
    const run = runOf(rows)
    expect(run.shops).toEqual([])
    expect(run.byPost.map((row) => row.pool.name)).toEqual(['Rubber'])
    expect(run.nowhere.map((one) => one.name)).toEqual(['Brushes'])
    expect(runOf(shops()).nowhere).toEqual([])
  })

  it('has what is to be brought once, and what is low on the shelf', () => {
    const rows = shops()
    const bring = { stepId: 'bed', at: 'toBuy' } as const
    add(rows, 'bringLine', 'b1', { ...bring, what: 'Brushes', shopId: 'town', order: 'a' })
    add(rows, 'bringLine', 'b2', { ...bring, what: ' RUBBER', order: 'b' })
    add(rows, 'stock', 'gloves', { name: 'Gloves', quantity: 3, lowAt: 10, order: 'a' })
    expect(names(rows)).toEqual([
      ['Town', 'Brushes'],
      ['Corner', 'Rubber', 'Gloves'],
    ])
    rows.stock = rows.stock.map((one) => ({ ...one, quantity: 10 }))
    expect(names(rows)[1]).toEqual(['Corner', 'Rubber'])
  })
})

describe('at the counter', () => {
  const ask = (row: BuyRow | undefined, more: object = {}) => ({
    row: row as BuyRow,
    supplierId: 'corner',
    on: '2027-04-30',
    quantity: 3,
    priceMinor: 5400,
    instead: '',
    dueOn: null,
    at: 'boat' as const,
    byId: null,
    ...more,
  })
  const rowOf = (rows: Rows) => buyBoard(factsOf(rows)).rows.find((one) => one.kind === 'buy')

  it('is one order a shop and day, and what is in the bag is here', () => {
    const rows = shops()
    const one = after(rows, counterItems(rows, ask(rowOf(rows)), newId))
    expect(one.part).toMatchObject([{ state: 'arrived', at: 'boat', orderedOn: '2027-04-30' }])
    expect(one.delivery).toMatchObject([{ quantity: 3, checkedOn: '2027-04-30' }])
    part(one, 'hose', { size: '38 mm' })
    const row = buyBoard(factsOf(one)).rows.find((it) => it.pool.name === 'hose')
    const two = after(
      one,
      counterItems(one, ask(row, { quantity: 1, instead: 'Other hose', priceMinor: null }), newId),
    )
    expect(two.purchase).toHaveLength(1)
    expect(two.purchaseLine.map((it) => [it.name, it.priceMinor])).toEqual([
      ['Rubber', 5400],
      ['Other hose', null],
    ])
    // It has a size: somebody holds it to what it is for first.
    expect(two.delivery.map((it) => [it.checkedOn, it.instead])).toEqual([
      ['2027-04-30', ''],
      [null, 'Other hose'],
    ])
    // Another day is another order.
    const next = { ...ask(row, { quantity: 1 }), on: addDays('2027-04-30', 1) }
    expect(after(one, counterItems(one, next, newId)).purchase).toHaveLength(2)
  })

  it('is not put on an order that was sent by post that day', () => {
    const rows = shops()
    add(rows, 'purchase', 'posted', {
      number: '9',
      supplierId: 'corner',
      orderedOn: '2027-04-30',
      dueOn: '2027-05-10',
    })
    const bought = after(rows, counterItems(rows, ask(rowOf(rows)), newId))
    expect(bought.purchase.map((one) => one.number)).toEqual(['9', '10'])
    expect(bought.purchaseLine[0]?.purchaseId).not.toBe('posted')
  })

  it.each([{ hand: 'port' }, { specification: 'soft' }] as const)(
    'is held to what it is for first when it has %j',
    (more) => {
      const rows = shops()
      rows.part = rows.part.map((one) => ({ ...one, ...more }))
      const bought = after(rows, counterItems(rows, ask(rowOf(rows)), newId))
      expect(bought.delivery[0]?.checkedOn).toBeNull()
    },
  )

  it('leaves to the recipe one part of its own when half of it was there', () => {
    const rows = shops()
    rows.part = rows.part.map((one) => ({ ...one, recipePart: 'bed/0', recipeMade: { unit: 'm' } }))
    const half = after(rows, counterItems(rows, ask(rowOf(rows), { quantity: 1 }), newId))
    expect(half.part.map((one) => [one.quantity, one.state, one.recipePart])).toEqual([
      [1, 'arrived', 'bed/0'],
      [2, 'wanted', ''],
    ])
    expect(half.part[1]?.recipeMade).toEqual({})
  })

  it('is ordered for the day they say', () => {
    const rows = shops()
    const ordered = after(
      rows,
      counterItems(rows, ask(rowOf(rows), { dueOn: '2027-05-04' }), newId),
    )
    expect(ordered.part).toMatchObject([{ state: 'ordered', arrivesOn: '2027-05-04' }])
    expect(ordered.delivery).toEqual([])
    const [line] = factsOf(ordered).lines.values()
    expect(line).toMatchObject({ toCome: 3, dueOn: '2027-05-04' })
  })

  it('leaves on the list what there was not enough of, and loses nothing', () => {
    const amount = fc.integer({ min: 1, max: 60 })
    fc.assert(
      fc.property(fc.array(amount, { minLength: 1, maxLength: 4 }), amount, (wants, bought) => {
        const rows = shops()
        rows.part = []
        wants.forEach((quantity, index) =>
          part(rows, `p${index}`, { name: 'Wire', unit: 'm', quantity: quantity / 4 }),
        )
        const some = after(
          rows,
          counterItems(rows, ask(rowOf(rows), { quantity: bought / 4 }), newId),
        )
        const sum = (state: string) =>
          some.part
            .filter((one) => one.state === state)
            .reduce((total, one) => total + one.quantity, 0)
        const all = wants.reduce((total, one) => total + one, 0) / 4
        expect(sum('arrived')).toBeCloseTo(Math.min(all, bought / 4), 6)
        expect(sum('wanted')).toBeCloseTo(Math.max(0, all - bought / 4), 6)
        expect(some.stock.reduce((total, one) => total + one.quantity, 0)).toBeCloseTo(
          Math.max(0, bought / 4 - all),
          6,
        )
      }),
      { numRuns: 40 },
    )
  })

  it('fills up a lot, but mixes no batches', () => {
    const rows = shops()
    add(rows, 'stock', 'gloves', { name: 'Gloves', quantity: 3, lowAt: 10, order: 'a' })
    const [lot] = rows.stock
    if (!lot) throw new Error('no lot')
    expect(
      after(rows, refilledItems(rows, lot, 9, newId)).stock.map((one) => one.quantity),
    ).toEqual([12])
    const batched = { ...lot, batch: '26-1' }
    expect(
      after(rows, refilledItems(rows, batched, 9, newId)).stock.map((one) => [
        one.quantity,
        one.batch,
      ]),
    ).toEqual([
      [3, ''],
      [9, ''],
    ])
  })
})

/** Every order rule with a case that breaks it and the nearest one that does not; dates by hand. */
import { describe, expect, it } from 'vitest'
import { bigRefit } from '../../demo/bigRefit'
import { supposing } from '../model/applyChange'
import type { StoredPlan } from '../model/stored'
import { makePlan } from '../plan/makePlan'
import { add, job, step } from '../testing/build'
import type { Building } from '../testing/build'
import { boat, clock, hullJob, may, now, planOf } from '../testing/orderRefit'
import type { Times } from '../testing/orderRefit'
import { zoneClock } from '../time/zone'
import { orderRules, outOfOrder } from './outOfOrder'

const numbers = (rows: Building, plan: StoredPlan) =>
  outOfOrder(rows, plan, clock, now).map((one) => one.rule)

interface Case {
  readonly rows: Building
  readonly plan: StoredPlan
}
/** A case that breaks the rule, and what makes the same one good. */
const cases: Record<number, { bad: () => Case; good: () => Case }> = {}
function rule(
  number: number,
  write: (rows: Building) => void,
  bad: Times,
  good: Times | ((rows: Building) => void),
  more: Partial<StoredPlan> = {},
) {
  const made = () => {
    const rows = boat()
    write(rows)
    return rows
  }
  cases[number] = {
    bad: () => ({ rows: made(), plan: planOf(bad, more) }),
    good: () => {
      const rows = made()
      if (typeof good !== 'function') return { rows, plan: planOf(good, more) }
      good(rows)
      return { rows, plan: planOf(bad, more) }
    },
  }
}
rule(
  1,
  (rows) => {
    hullJob(rows, 'valve')
    step(rows, 'valve', 'bore', { operation: 'drill' })
    hullJob(rows, 'coats')
    step(rows, 'coats', 'coat', { operation: 'antifoul' })
  },
  { coat: [may(8), may(8, 12)], bore: [may(9), may(9, 12)] },
  { bore: [may(8), may(8, 12)], coat: [may(9), may(9, 12)] },
)
rule(
  2,
  (rows) => {
    hullJob(rows, 'valve')
    step(rows, 'valve', 'bore', { operation: 'drill', hullNeed: 'either' })
  },
  { bore: [may(22), may(22, 12)] },
  { bore: [may(15), may(15, 12)] },
)
rule(
  3,
  (rows) => {
    hullJob(rows, 'valve')
    step(rows, 'valve', 'bore', { operation: 'drill' })
    step(rows, 'valve', 'bedded', { operation: 'bed' })
  },
  { bore: [may(18), may(18, 12)], bedded: [may(19), may(19, 12), may(22)] },
  { bore: [may(15), may(15, 12)], bedded: [may(16), may(16, 12), may(19)] },
)
const painted = (rows: Building, immersionMaxH: number) => {
  add(rows, 'product', 'af', {
    name: 'Soft red',
    kind: 'antifoul',
    immersionMinH: 12,
    immersionMaxH,
  })
  hullJob(rows, 'coats')
  step(rows, 'coats', 'coat', { operation: 'antifoul', productId: 'af' })
}
// 12 May 12:00 to 20 May 9:00 are 189 hours.
rule(
  4,
  (rows) => painted(rows, 180),
  { coat: [may(12), may(12, 12)] },
  (rows) => {
    rows.product = rows.product.map((one) => ({ ...one, immersionMaxH: 190 }))
  },
)
rule(
  5,
  (rows) => {
    hullJob(rows, 'anodes')
    step(rows, 'anodes', 'fitted', { title: 'Fit the anode', operation: 'fit' })
    step(rows, 'anodes', 'bond', { title: 'Bond', operation: 'test' })
    painted(rows, 900)
  },
  { fitted: [may(8), may(8, 10)], bond: [may(8, 10), may(8, 11)], coat: [may(15), may(15, 12)] },
  { coat: [may(8), may(8, 12)], fitted: [may(15), may(15, 10)], bond: [may(15, 10), may(15, 11)] },
)
rule(
  6,
  (rows) => {
    painted(rows, 900)
    step(rows, 'coats', 'moved', { title: 'Move the stands', operation: 'move' })
  },
  { coat: [may(8), may(8, 12)], moved: [may(10), may(10, 11)] },
  { moved: [may(10), may(10, 11)], coat: [may(11), may(11, 12)] },
)
rule(
  7,
  (rows) => {
    job(rows, 'tang', { zoneId: 'saloon' })
    step(rows, 'tang', 'weld', { operation: 'weld' })
    job(rows, 'lining', { zoneId: 'saloon' })
    step(rows, 'lining', 'wires', { operation: 'wire' })
  },
  { wires: [may(8), may(8, 12)], weld: [may(9), may(9, 12)] },
  { weld: [may(8), may(8, 12)], wires: [may(9), may(9, 12)] },
)
rule(
  8,
  (rows) => {
    job(rows, 'sole', { zoneId: 'saloon' })
    step(rows, 'sole', 'sawn', { operation: 'cut' })
    job(rows, 'joinery', { zoneId: 'saloon' })
    step(rows, 'joinery', 'gloss', { operation: 'varnish' })
  },
  { gloss: [may(8), may(8, 12)], sawn: [may(9), may(9, 12)] },
  { sawn: [may(8), may(8, 12)], gloss: [may(9), may(9, 12)] },
)
rule(
  10,
  (rows) => {
    hullJob(rows, 'patch')
    step(rows, 'patch', 'plies', { operation: 'laminate', maxWaitHours: 72 })
    step(rows, 'patch', 'fairing', { operation: 'fill' })
  },
  { plies: [may(2), may(2, 12)], fairing: [may(9), may(9, 12)] },
  (rows) => {
    rows.step = rows.step.map((one) => ({ ...one, title: `${one.title}, no mend` }))
  },
)
rule(
  11,
  (rows) => {
    job(rows, 'cleats', { zoneId: 'deck' })
    step(rows, 'cleats', 'bedded', { operation: 'bed' })
    job(rows, 'deckpaint', { zoneId: 'deck' })
    step(rows, 'deckpaint', 'paint', { operation: 'paint' })
  },
  { bedded: [may(8), may(8, 12)], paint: [may(9), may(9, 12)] },
  { paint: [may(8), may(8, 12)], bedded: [may(9), may(9, 12)] },
)
rule(
  12,
  (rows) => {
    job(rows, 'cleats', { zoneId: 'deck' })
    step(rows, 'cleats', 'bores', { title: 'Bore', operation: 'drill' })
    step(rows, 'cleats', 'bedded', { title: 'Bed', operation: 'bed' })
  },
  { bores: [may(8), may(8, 10)], bedded: [may(9), may(9, 12)] },
  (rows) => {
    rows.zone = rows.zone.map((one) => ({ ...one, coreKind: 'solid' as const }))
  },
)
rule(
  13,
  (rows) => {
    job(rows, 'pipes', { zoneId: 'saloon' })
    step(rows, 'pipes', 'run', { operation: 'plumb' })
    step(rows, 'pipes', 'proof', { operation: 'test' })
    job(rows, 'sole', { zoneId: 'saloon' })
    step(rows, 'sole', 'shut', { operation: 'close' })
  },
  { run: [may(8), may(8, 12)], shut: [may(9), may(9, 10)], proof: [may(9, 10), may(9, 12)] },
  { run: [may(8), may(8, 12)], proof: [may(9), may(9, 10)], shut: [may(9, 10), may(9, 12)] },
)
rule(
  14,
  (rows) => {
    job(rows, 'stove', {})
    step(rows, 'stove', 'in', { operation: 'fit' })
    add(rows, 'part', 'hob', {
      name: 'Hob',
      jobId: 'stove',
      neededByStepId: 'in',
      state: 'ordered',
      arrivesOn: '2027-05-12',
    })
  },
  { in: [may(8), may(8, 12)] },
  { in: [may(15), may(15, 12)] },
)
rule(
  15,
  (rows) => {
    job(rows, 'gas', {})
    step(rows, 'gas', 'pipes', { operation: 'plumb' })
    step(rows, 'gas', 'proof', { operation: 'contract' })
    add(rows, 'tradeBooking', 'fitter', {
      stepId: 'proof',
      trade: 'Gas fitter',
      from: '2027-05-05',
      to: '2027-05-05',
      state: 'booked',
    })
  },
  { pipes: [may(8), may(8, 12)], proof: [may(10), may(10, 12)] },
  { pipes: [may(4), may(4, 12)], proof: [may(10), may(10, 12)] },
)
rule(
  16,
  (rows) => {
    job(rows, 'rig', { zoneId: 'deck' })
    step(rows, 'rig', 'up', { title: 'Step the mast', operation: 'lift' })
    job(rows, 'plates', { zoneId: 'deck' })
    step(rows, 'plates', 'looked', { title: 'Chainplates looked at', operation: 'test' })
  },
  { up: [may(8), may(8, 12)], looked: [may(9), may(9, 12)] },
  { looked: [may(8), may(8, 12)], up: [may(9), may(9, 12)] },
)
rule(
  17,
  (rows) => {
    hullJob(rows, 'sounder')
    step(rows, 'sounder', 'in', { title: 'Bed the transducer', operation: 'bed' })
  },
  { in: [may(8), may(8, 12)] },
  (rows) => step(rows, 'sounder', 'bucket', { title: 'In a bucket', operation: 'test' }),
)
// 1 March to 20 May are 80 days; 5 April is 45 before.
rule(
  18,
  (rows) => {
    rows.haulOut = rows.haulOut.map((one) => ({
      ...one,
      liftOutAimed: '2027-02-01',
      liftOutActual: '2027-02-01',
    }))
    hullJob(rows, 'shaft')
    step(rows, 'shaft', 'grease', { title: 'Grease the propeller', operation: 'fit' })
  },
  { grease: [Date.UTC(2027, 2, 1, 9), Date.UTC(2027, 2, 1, 11)] },
  { grease: [Date.UTC(2027, 3, 5, 9), Date.UTC(2027, 3, 5, 11)] },
  { launches: [{ haulOutId: 'haul', from: Date.UTC(2027, 1, 1, 12), at: may(20) }] },
)
rule(
  20,
  (rows) => {
    hullJob(rows, 'valve')
    step(rows, 'valve', 'bore', { operation: 'drill', access: 'blind' })
    job(rows, 'long', {})
    step(rows, 'long', 'sanding', { operation: 'grind' })
  },
  { sanding: [may(8, 7), may(8, 16)], bore: [may(8, 16), may(8, 17)] },
  { sanding: [may(8, 7), may(8, 14)], bore: [may(8, 16), may(8, 17)] },
)
rule(
  21,
  (rows) => {
    job(rows, 'cushions', { zoneId: 'saloon' })
    step(rows, 'cushions', 'aboard', { title: 'Cushions in', operation: 'fit' })
    job(rows, 'sole', { zoneId: 'saloon' })
    step(rows, 'sole', 'sawn', { operation: 'cut' })
  },
  { aboard: [may(8), may(8, 10)], sawn: [may(9), may(9, 12)] },
  { sawn: [may(8), may(8, 12)], aboard: [may(9), may(9, 10)] },
)
rule(
  23,
  (rows) => {
    hullJob(rows, 'dry')
    step(rows, 'dry', 'meter', {
      operation: 'test',
      readWhat: 'Moisture',
      readUnit: '%',
      readHigh: 15,
      state: 'done',
      doneAt: may(1, 8),
    })
    step(rows, 'dry', 'coat', { operation: 'barrier' })
    add(rows, 'reading', 'r1', { stepId: 'meter', at: may(1, 8), value: 22 })
  },
  { coat: [may(8), may(8, 12)] },
  (rows) => {
    rows.reading = rows.reading.map((one) => ({ ...one, value: 14 }))
  },
)
rule(
  24,
  (rows) => {
    rows.refit = rows.refit.map((one) => ({ ...one, hullMaterial: 'aluminium' as const }))
    painted(rows, 900)
    rows.product = rows.product.map((one) => ({ ...one, name: 'Red copper' }))
  },
  { coat: [may(15), may(15, 12)] },
  (rows) => {
    rows.refit = rows.refit.map((one) => ({ ...one, hullMaterial: 'steel' as const }))
  },
)
rule(
  27,
  (rows) => {
    job(rows, 'bank', { zoneId: 'saloon' })
    step(rows, 'bank', 'live', { title: 'Connect the batteries', operation: 'wire' })
    step(rows, 'bank', 'polarity', { title: 'Polarity and fuses', operation: 'test' })
  },
  { live: [may(8), may(8, 10)], polarity: [may(8, 10), may(8, 12)] },
  { polarity: [may(8), may(8, 10)], live: [may(8, 10), may(8, 12)] },
)
rule(
  28,
  (rows) => {
    job(rows, 'rig', { zoneId: 'deck' })
    step(rows, 'rig', 'up', { title: 'Step the mast', operation: 'lift' })
    job(rows, 'lamps', { zoneId: 'deck' })
    step(rows, 'lamps', 'tried', { title: 'Masthead light tried', operation: 'test' })
  },
  { up: [may(8), may(8, 12)], tried: [may(9), may(9, 12)] },
  { tried: [may(8), may(8, 12)], up: [may(9), may(9, 12)] },
)
rule(
  30,
  (rows) => {
    rows.zone = rows.zone.map((one) => ({ ...one, oldCoat: 'one-part enamel' }))
    add(rows, 'product', 'hard', { name: 'Hard white', kind: 'coating', potLifeH: 3 })
    job(rows, 'topsides', { zoneId: 'deck' })
    step(rows, 'topsides', 'coat', { operation: 'paint', productId: 'hard' })
  },
  { coat: [may(8), may(8, 12)] },
  (rows) => {
    rows.product = rows.product.map((one) => ({ ...one, potLifeH: null }))
  },
)
rule(
  31,
  (rows) => {
    job(rows, 'engine', { zoneId: 'saloon' })
    step(rows, 'engine', 'line', { title: 'Align the coupling', operation: 'fit' })
  },
  { line: [may(8), may(8, 12)] },
  (rows) =>
    step(rows, 'engine', 'again', { title: 'Align again', operation: 'test', hullNeed: 'afloat' }),
)
rule(
  33,
  (rows) => {
    job(rows, 'pulpit', { zoneId: 'deck' })
    step(rows, 'pulpit', 'gloss', { title: 'Polish', operation: 'finish', placeNeed: 'shed' })
    step(rows, 'pulpit', 'tried', { title: 'Dry fit aboard', operation: 'fit' })
  },
  { gloss: [may(8), may(8, 10)], tried: [may(9), may(9, 12)] },
  { tried: [may(8), may(8, 10)], gloss: [may(9), may(9, 12)] },
)
// Opened on Sunday the 2nd, shut on Saturday the 8th: five days with nobody there.
rule(
  34,
  (rows) => {
    job(rows, 'hatch', { zoneId: 'deck' })
    step(rows, 'hatch', 'off', { operation: 'cut' })
    step(rows, 'hatch', 'on', { operation: 'bed' })
  },
  { off: [may(2), may(2, 12)], on: [may(8), may(8, 12)] },
  (rows) =>
    add(rows, 'cover', 'tarp', {
      title: 'Tarp',
      kind: 'tarpaulin',
      zoneIds: ['deck'],
      upOn: '2027-05-02',
      downOn: '2027-05-08',
    }),
)
rule(
  36,
  (rows) => {
    job(rows, 'hatch', { zoneId: 'deck' })
    step(rows, 'hatch', 'hole', { operation: 'cut' })
    step(rows, 'hatch', 'in', { operation: 'bed' })
    add(rows, 'part', 'frame', {
      name: 'Hatch',
      jobId: 'hatch',
      neededByStepId: 'in',
      state: 'ordered',
      arrivesOn: '2027-05-09',
    })
  },
  { hole: [may(8), may(8, 10)], in: [may(10), may(10, 12)] },
  { hole: [may(9, 10), may(9, 12)], in: [may(10), may(10, 12)] },
)
rule(
  37,
  (rows) => {
    job(rows, 'valve', { zoneId: 'hull', purpose: 'float' })
    step(rows, 'valve', 'in', { title: 'Bed it', operation: 'bed' })
  },
  { in: [may(8), may(8, 12)] },
  (rows) => step(rows, 'valve', 'proof', { title: 'Work it', operation: 'test' }),
)
rule(
  38,
  (rows) => {
    job(rows, 'pump', {})
    step(rows, 'pump', 'hose', {
      operation: 'plumb',
      provisionalFor: 'a garden hose',
      rightBeforeGateId: 'launch',
      rightByJobId: 'right',
    })
    job(rows, 'right', {})
    step(rows, 'right', 'proper', { operation: 'plumb' })
  },
  { hose: [may(2), may(2, 10)], proper: [may(22), may(22, 12)] },
  { hose: [may(2), may(2, 10)], proper: [may(15), may(15, 12)] },
)
rule(
  40,
  (rows) => {
    job(rows, 'shaft', { zoneId: 'hull' })
    step(rows, 'shaft', 'bearers', { title: 'Bearers laminated in', operation: 'laminate' })
    step(rows, 'shaft', 'sighted', { title: 'Shaft line signed', operation: 'survey' })
  },
  { bearers: [may(8), may(8, 12)], sighted: [may(9), may(9, 12)] },
  { sighted: [may(8), may(8, 12)], bearers: [may(9), may(9, 12)] },
)

/** The plan's own word on a window, on the step after it. */
const withMend = ({ rows, plan }: Case): Case => ({
  rows,
  plan: {
    ...plan,
    placements: plan.placements.map((one) =>
      one.stepId === 'fairing' && !rows.step[0]?.title.endsWith('no mend')
        ? {
            ...one,
            mends: [
              { kind: 'peelPly' as const, fromStepId: 'plies', toStepId: 'fairing', hours: 0.25 },
            ],
          }
        : one,
    ),
  },
})

const saloonJob = (rows: Building, id: string) => job(rows, id, { zoneId: 'saloon' })
const epoxied = (rows: Building) => {
  add(rows, 'product', 'gel', { name: 'White gelcoat', kind: 'coating' })
  add(rows, 'product', 'epoxy', { name: 'Epoxy 100', kind: 'resin' })
  job(rows, 'patch', { zoneId: 'deck' })
  step(rows, 'patch', 'plies', { operation: 'laminate', productId: 'epoxy' })
  step(rows, 'patch', 'white', { operation: 'paint', productId: 'gel' })
}
rule(9, epoxied, { plies: [may(8), may(8, 12)], white: [may(9), may(9, 12)] }, (rows) => {
  rows.product = rows.product.map((one) =>
    one.id === 'gel' ? { ...one, name: 'Two-part white' } : one,
  )
})
const behind = (rows: Building) => {
  add(rows, 'wayIn', 'sole', { title: 'Saloon sole', hoursOut: 1, hoursBack: 1.5, order: 'n' })
  rows.zone = rows.zone.map((one) => (one.id === 'saloon' ? { ...one, wayInId: 'sole' } : one))
  add(rows, 'zone', 'bilge', { name: 'Bilge', strake: 'below', wayInId: 'sole' })
}
rule(
  19,
  (rows) => {
    behind(rows)
    saloonJob(rows, 'floor')
    step(rows, 'floor', 'sole down', { operation: 'close' })
    job(rows, 'water', { zoneId: 'bilge' })
    step(rows, 'water', 'Water tank in', { operation: 'fit' })
  },
  { 'sole down': [may(8), may(8, 12)], 'Water tank in': [may(9), may(9, 12)] },
  { 'Water tank in': [may(8), may(8, 12)], 'sole down': [may(9), may(9, 12)] },
)
rule(
  22,
  (rows) => {
    rows.refit = rows.refit.map((one) => ({ ...one, monthMeanC: one.monthMeanC.map(() => 12) }))
    add(rows, 'product', 'resin', { name: 'Slow', kind: 'resin', minC: 13 })
    job(rows, 'patch', { zoneId: 'deck' })
    step(rows, 'patch', 'plies', { operation: 'laminate', productId: 'resin' })
  },
  { plies: [may(8), may(8, 12)] },
  (rows) => {
    rows.product = rows.product.map((one) => ({ ...one, minC: 12 }))
  },
)
const nextHaul = (rows: Building) => {
  add(rows, 'haulOut', 'autumn', {
    name: 'Autumn',
    placeId: 'yard',
    liftOutAimed: '2027-06-01',
    launchAimed: '2027-06-20',
  })
  job(rows, 'rudder', { zoneId: 'hull', haulOutId: 'autumn' })
  step(rows, 'rudder', 'Drop the rudder', { operation: 'strip', hullNeed: 'ashore' })
}
const launches = [
  { haulOutId: 'haul', from: Date.UTC(2027, 3, 1, 12), at: may(20) },
  { haulOutId: 'autumn', from: Date.UTC(2027, 5, 1, 12), at: Date.UTC(2027, 5, 20, 9) },
]
rule(
  25,
  (rows) => {
    nextHaul(rows)
    step(rows, 'rudder', 'Agree the block height', { operation: 'label', hoursLikely: 0.25 })
  },
  { 'Drop the rudder': [Date.UTC(2027, 5, 5, 9), Date.UTC(2027, 5, 5, 12)] },
  {
    'Agree the block height': [may(22), may(22, 10)],
    'Drop the rudder': [Date.UTC(2027, 5, 5, 9), Date.UTC(2027, 5, 5, 12)],
  },
  { launches },
)
rule(
  26,
  (rows) => {
    job(rows, 'engine', { zoneId: 'saloon', gateId: 'launch' })
    step(rows, 'engine', 'Engine lifted out', { operation: 'lift' })
    step(rows, 'engine', 'Ask the crane about slings', { operation: 'label', hoursLikely: 0.25 })
  },
  { 'Engine lifted out': [may(8), may(8, 12)] },
  { 'Engine lifted out': [may(8), may(8, 12)], 'Ask the crane about slings': [may(9), may(9, 10)] },
)
rule(
  29,
  (rows) => {
    hullJob(rows, 'coats')
    step(rows, 'coats', 'Stands moved', { operation: 'move', hoursLikely: 0 })
    step(rows, 'coats', 'Antifoul under the stands', { operation: 'antifoul' })
  },
  { 'Antifoul under the stands': [may(8), may(8, 12)] },
  { 'Stands moved': [may(7), may(7)], 'Antifoul under the stands': [may(8), may(8, 12)] },
)
// May is followed by a June as cold as a January.
rule(
  32,
  (rows) => {
    rows.refit = rows.refit.map((one) => ({
      ...one,
      monthMeanC: one.monthMeanC.map((mean, month) => (month === 5 ? 3 : mean)),
    }))
    add(rows, 'system', 'engine', { name: 'Engine', kind: 'propulsion', order: 'n' })
    job(rows, 'lay up', { zoneId: 'saloon' })
    step(rows, 'lay up', 'Drain valves and engine', { operation: 'finish' })
  },
  { 'Drain valves and engine': [Date.UTC(2027, 5, 5, 9), Date.UTC(2027, 5, 5, 12)] },
  { 'Drain valves and engine': [may(29), may(29, 12)] },
)
rule(
  35,
  (rows) => {
    behind(rows)
    saloonJob(rows, 'floor')
    step(rows, 'floor', 'sole down', { operation: 'close' })
    job(rows, 'pump', { zoneId: 'bilge' })
    step(rows, 'pump', 'hose', { operation: 'plumb' })
  },
  { 'sole down': [may(8), may(8, 12)], hose: [may(9), may(9, 12)] },
  { hose: [may(8), may(8, 12)], 'sole down': [may(9), may(9, 12)] },
)
rule(
  41,
  (rows) => {
    hullJob(rows, 'coats')
    step(rows, 'coats', 'coat', { operation: 'antifoul' })
    add(rows, 'finding', 'soft', { title: 'Soft spot at the skeg', zoneId: 'hull', severity: 3 })
  },
  { coat: [may(8), may(8, 12)] },
  (rows) => {
    rows.finding = rows.finding.map((one) => ({ ...one, state: 'accepted' as const }))
  },
)

describe('order rules', () => {
  it('each find the case that breaks them, and let the nearest good one pass', () => {
    expect(Object.keys(cases).map(Number)).toEqual(orderRules.map((one) => one.number))
    for (const [number, { bad, good }] of Object.entries(cases)) {
      const [broken, whole] = [withMend(bad()), withMend(good())]
      expect(numbers(broken.rows, broken.plan), `rule ${number} broken`).toContain(Number(number))
      expect(numbers(whole.rows, whole.plan), `rule ${number} whole`).not.toContain(Number(number))
    }
  })

  it('are mended by their own changes: planned again, nothing of the kind is left', () => {
    let mended = 0
    for (const [number, { bad }] of Object.entries(cases)) {
      const { rows, plan } = withMend(bad())
      const [own] = outOfOrder(rows, plan, clock, now).filter((one) => one.rule === Number(number))
      if (!own?.mend) continue
      let ids = 0
      const after = supposing(
        rows,
        own.mend.items(() => `new${ids++}`),
      )
      const again = outOfOrder(after, makePlan(after, now).plan, clock, now)
      expect(
        again.filter((one) => one.evidence === own.evidence).map((one) => one.sentence),
        `rule ${number}: ${own.mend.label}`,
      ).toEqual([])
      mended++
    }
    expect(mended).toBeGreaterThan(16)
  })

  it('say names and dates', () => {
    const { rows, plan } = (cases[1] as (typeof cases)[number]).bad()
    const [own] = outOfOrder(rows, plan, clock, now).filter((one) => one.rule === 1)
    expect(own?.sentence).toBe(
      '“bore” (valve) on Sun 9 May goes through “coat” (coats) of Sat 8 May. The patch has to be coated again, or it comes first.',
    )
  })

  it('find nothing that is not so in 2,000 steps, each thing once', () => {
    const rows = bigRefit(3)
    const plan = makePlan(rows, Date.UTC(2027, 3, 17, 7, 30)).plan
    const all = outOfOrder(rows, plan, zoneClock('Europe/Dublin'), Date.UTC(2027, 3, 17, 7, 30))
    expect(new Set(all.map((one) => one.evidence)).size).toBe(all.length)
  })
})

describe('a blind cut at the end of a long day', () => {
  it('counts hours that were put right once, and those of that day and person', () => {
    const found = (hours: readonly object[]) => {
      const rows = boat()
      hullJob(rows, 'valve')
      step(rows, 'valve', 'bore', { operation: 'drill', access: 'blind' })
      hours.forEach((one, at) =>
        add(rows, 'hoursEntry', `h${at}`, {
          personId: rows.person[0]?.id as string,
          on: '2027-05-08',
          kind: 'work',
          ...one,
        }),
      )
      const plan = planOf({ bore: [may(8, 16), may(8, 17)] })
      return outOfOrder(rows, plan, clock, now).filter((one) => one.rule === 20).length
    }
    expect(found([{ hours: 8.5 }])).toBe(1)
    // Five written down, then put right to three and a half: not eight and a half.
    expect(found([{ hours: 5 }, { hours: 3.5, correctsId: 'h0' }])).toBe(0)
    expect(found([{ hours: 9, on: '2027-05-07' }])).toBe(0)
    expect(found([{ hours: 8 }])).toBe(0)
  })
})

describe('hot work near fuel', () => {
  /** A tang welded in the saloon, a fuel pipe in the same zone, and a check that there is no gas. */
  function near(checkAt: Times['check'], weldAt: Times['weld'], pipe: object) {
    const rows = boat()
    job(rows, 'tang', { zoneId: 'saloon' })
    step(rows, 'tang', 'check', { title: 'Gas-free check' })
    step(rows, 'tang', 'weld', { operation: 'weld' })
    job(rows, 'tank', { zoneId: 'saloon' })
    step(rows, 'tank', 'pipe', { operation: 'fit', ...pipe })
    const times = { check: checkAt, weld: weldAt, pipe: [may(1), may(1, 12)] } as Times
    return outOfOrder(rows, planOf(times), clock, now).filter((one) => one.rule === 7)
  }
  const fuel = { licensedKind: 'fuel' }

  it('is stopped until a gas-free check stands before it', () => {
    const [own, ...others] = near([may(9), may(9, 10)], [may(8), may(8, 12)], fuel)
    expect(others).toEqual([])
    expect(own?.severity).toBe('stop')
    expect(own?.sentence).toBe(
      '“weld” (tang) is hot work near “pipe” (tank), and no gas-free check comes before it.',
    )
    expect(near([may(8), may(8, 9)], [may(8, 9), may(8, 12)], fuel)).toEqual([])
  })

  it('is as dangerous near gas, and none of its business near water', () => {
    const late = [may(9), may(9, 10)] as const
    expect(near(late, [may(8), may(8, 12)], { licensedKind: 'gas' })).toHaveLength(1)
    expect(near(late, [may(8), may(8, 12)], {})).toEqual([])
  })
})

describe('frost', () => {
  /** Water aboard, a mild year, and one hour of the forecast. */
  function forecast(tempC: number, hoursAway: number, kind: 'propulsion' | 'deck' = 'propulsion') {
    const rows = boat()
    add(rows, 'system', 'engine', { name: 'Engine', kind, order: 'n' })
    add(rows, 'forecast', 'read', {
      readAt: now,
      hours: [{ at: now + hoursAway * 3_600_000, tempC }],
    } as never)
    return outOfOrder(rows, planOf({}), clock, now).filter((one) => one.rule === 32)
  }
  it('of the forecast counts from this very hour on, and only under nought', () => {
    expect(forecast(-0.5, 0)[0]?.sentence).toMatch(/^The forecast has frost on /)
    expect(forecast(-0.5, 30)).toHaveLength(1)
    expect(forecast(0, 30)).toEqual([])
    expect(forecast(-5, -1)).toEqual([])
  })
  it('bursts nothing in a boat that holds no water', () => {
    expect(forecast(-5, 30, 'deck')).toEqual([])
  })
})

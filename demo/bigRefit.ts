/** The big refit for tests and benchmarks: seeded, of any size, made up throughout. */
import { add, emptyRefit, person } from '#core/testing/build'
import type { Building } from '#core/testing/build'
import { accessKinds, operations, purposes } from '#core/model/words'
import { keysAfter } from '#core/model/order'
import { createRandom } from '#core/random'
import type { Random } from '#core/random'

const dry = operations.filter(
  (one) =>
    !['buy', 'contract', 'launch', 'lift', 'move', 'setUp', 'packUp', 'antifoul'].includes(one),
)
const pick = <Item>(random: Random, items: readonly Item[]): Item =>
  items[Math.floor(random() * items.length)] as Item

function frame(zone: string): Building {
  const rows = emptyRefit(zone)
  const trip = { travelMin: 55, setUpMin: 30, packUpMin: 30 }
  add(rows, 'place', 'yard', { name: 'Yard', kind: 'yard', ...trip, liftWeekdays: [2, 3, 4, 5, 6] })
  add(rows, 'place', 'berth', { name: 'Berth', kind: 'berth', ...trip })
  add(rows, 'place', 'shed', {
    name: 'Shed',
    kind: 'shed',
    travelMin: 10,
    setUpMin: 10,
    packUpMin: 10,
  })
  person(rows, 'lead', [5, 6, 7], '07:30', '18:00', {
    skills: ['laminating', 'woodwork'],
    order: 'b',
  })
  person(rows, 'mate', [6, 7], '07:30', '18:00', { skills: ['electrics'], order: 'c' })
  person(rows, 'help', [6], '08:30', '17:00', { order: 'd' })
  return rows
}

/** `seasons` yearly haul-outs from April 2027, each with a launch gate. */
function addSeasons(rows: Building, seasons: number): void {
  for (let season = 0; season < seasons; season++) {
    const year = 2027 + season
    add(rows, 'haulOut', `haul${season}`, {
      name: `Season ${season + 1}`,
      placeId: 'yard',
      liftOutAimed: season === 0 ? '2027-04-01' : `${year - 1}-10-05`,
      launchAimed: `${year}-06-15`,
    })
    add(rows, 'gate', `gate${season}`, {
      name: `Launch ${year}`,
      kind: 'launch',
      haulOutId: `haul${season}`,
    })
  }
}

/** A refit of `jobCount` jobs with `stepsEach` steps, over `seasons`, the same for the same seed. */
export function bigRefit(seed: number, jobCount = 500, stepsEach = 4, seasons = 4): Building {
  const random = createRandom(seed)
  const rows = frame('Europe/Dublin')
  addSeasons(rows, seasons)
  const order = keysAfter(null, jobCount * stepsEach)
  for (let j = 0; j < jobCount; j++) {
    const season = Math.floor((j * seasons) / jobCount)
    const launch = random() < 0.7
    add(rows, 'job', `job${j}`, {
      title: `Job ${j}`,
      order: order[j] as string,
      purpose: pick(random, purposes),
      severity: 1 + Math.floor(random() * 4),
      gateId: launch ? `gate${season}` : null,
      haulOutId: `haul${season}`,
    })
    for (let s = 0; s < stepsEach; s++) addStep(rows, random, j, s, launch, order)
    if (j > 0 && random() < 0.3) {
      const from = Math.max(0, j - 1 - Math.floor(random() * 12))
      add(rows, 'link', `link${j}`, { fromJobId: `job${from}`, toJobId: `job${j}` })
    }
  }
  return rows
}

function addStep(
  rows: Building,
  random: Random,
  j: number,
  s: number,
  launch: boolean,
  order: readonly string[],
): void {
  const cure = random() < 0.25
  const crewMin = random() < 0.15 ? 2 : 1
  add(rows, 'step', `step${j}-${s}`, {
    jobId: `job${j}`,
    title: `Step ${j}.${s}`,
    order: order[s] as string,
    operation: pick(random, dry),
    hoursLikely: Math.round((0.25 + random() * 2.5) * 4) / 4,
    access: pick(random, accessKinds),
    crewMin,
    crewMax: crewMin + (random() < 0.3 ? 1 : 0),
    skill: crewMin === 1 && random() < 0.1 ? 'electrics' : 'general',
    placeNeed: random() < 0.12 ? 'shed' : 'boat',
    hullNeed: launch && random() < 0.4 ? 'ashore' : 'either',
    waitKind: cure ? 'chem' : 'none',
    waitHours: cure ? 8 + Math.floor(random() * 40) : 0,
    // Bond windows of a day after the cure up to a week: many are shut by a free week.
    maxWaitHours: cure && random() < 0.5 ? 120 + Math.floor(random() * 160) : null,
    parallel: s > 0 && random() < 0.1,
  })
}

const goods = [
  'Gloves',
  'Epoxy',
  'Butyl tape',
  'Bolt M8',
  'Sealant',
  'Paper',
  'Wire',
  'Hose',
] as const
const units = ['pairs', 'kg', 'm', 'pieces', 'cartridges', 'sheets', 'm', 'm'] as const

/** The refit with `count` parts wanted by its steps, some measured by the step before, some ordered. */
export function withParts(rows: Building, seed: number, count: number): Building {
  const random = createRandom(seed)
  add(rows, 'supplier', 'shop', { name: 'The shop', leadDays: 2 })
  add(rows, 'supplier', 'post', { name: 'By post', leadDays: 12, leadLateDays: 21 })
  for (let at = 0; at < count; at++) {
    const kind = Math.floor(random() * goods.length)
    const step = pick(random, rows.step)
    const before = rows.step.find((one) => one.jobId === step.jobId && one.order < step.order)
    const isOrdered = random() < 0.2
    add(rows, 'part', `part${at}`, {
      name: `${goods[kind]} ${1 + Math.floor(random() * 12)}`,
      unit: units[kind] ?? '',
      jobId: step.jobId,
      neededByStepId: step.id,
      fixedByStepId: random() < 0.3 ? (before?.id ?? null) : null,
      quantity: 1 + Math.floor(random() * 40),
      packSize: random() < 0.4 ? 10 : null,
      sparePercent: random() < 0.5 ? 10 : 0,
      priceMinor: random() < 0.8 ? Math.floor(random() * 9000) : null,
      supplierId: pick(random, ['shop', 'post', null]),
      state: isOrdered ? 'ordered' : 'wanted',
      orderedOn: isOrdered ? '2027-04-01' : null,
      arrivesOn: isOrdered ? `2027-05-${10 + Math.floor(random() * 18)}` : null,
    })
  }
  return rows
}

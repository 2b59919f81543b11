/** What is planned for each system, what was paid, the bill of a trade, travel and work done again. All made up. */
import { keysAfter } from '#core/model/order'
import type { Account, SpendKind } from '#core/model/words'
import type { Writer } from '../write'

/** System or account, cents. The yard is reckoned from its prices. */
const planned: readonly (readonly [string, number])[] = [
  ['system-structure', 240_000],
  ['system-deck', 460_000],
  ['system-rig', 790_000],
  ['system-steering', 60_000],
  ['system-ground-tackle', 110_000],
  ['system-propulsion', 230_000],
  ['system-stern-gear', 150_000],
  ['system-plumbing', 190_000],
  ['system-electrical', 680_000],
  ['system-electronics', 120_000],
  ['system-interior', 480_000],
  ['system-finish', 340_000],
  ['system-safety', 310_000],
  ['tools', 110_000],
  ['travel', 120_000],
  ['other', 90_000],
]

type More = {
  readonly job?: string
  readonly system?: string
  readonly haul?: 'haul-one' | 'haul-two'
  readonly booking?: string
  readonly supplier?: string
  readonly back?: true
  readonly foreign?: readonly [string, number]
  /** Job or system and cents. */
  readonly shares?: readonly (readonly [string, number])[]
}
type Line = readonly [string, string, SpendKind, number, More?]

const yard: readonly Line[] = [
  ['2025-10-13', 'Lifted out, washed, blocked', 'yard', 48_000, { haul: 'haul-one' }],
  ['2025-11-30', 'Yard to the end of November', 'yard', 42_180, { haul: 'haul-one' }],
  ['2025-12-31', 'Yard, December', 'yard', 35_340, { haul: 'haul-one' }],
  ['2026-01-31', 'Yard, January', 'yard', 35_340, { haul: 'haul-one' }],
  ['2026-02-28', 'Yard, February', 'yard', 31_920, { haul: 'haul-one' }],
  ['2026-03-31', 'Yard, March', 'yard', 35_340, { haul: 'haul-one' }],
  ['2026-04-30', 'Yard, April', 'yard', 34_200, { haul: 'haul-one' }],
  ['2026-05-10', 'Yard to the launch, lift in', 'yard', 48_760, { haul: 'haul-one' }],
  ['2026-06-01', 'Berth at Skarholm, May', 'yard', 20_240],
  ['2026-07-01', 'Berth at Skarholm, June', 'yard', 27_600],
  ['2026-08-01', 'Berth at Skarholm, July', 'yard', 28_520],
  ['2026-09-01', 'Berth at Skarholm, August', 'yard', 28_520],
  ['2026-10-02', 'Berth at Skarholm, September', 'yard', 27_600],
  ['2026-10-05', 'Lifted out, washed, blocked', 'yard', 48_000, { haul: 'haul-two' }],
  ['2026-10-31', 'Yard, October', 'yard', 15_960, { haul: 'haul-two' }],
  ['2026-11-30', 'Yard, November', 'yard', 34_200, { haul: 'haul-two' }],
  ['2026-12-31', 'Yard, December', 'yard', 35_340, { haul: 'haul-two' }],
  ['2027-01-31', 'Yard, January', 'yard', 35_340, { haul: 'haul-two' }],
  ['2027-02-28', 'Yard, February', 'yard', 31_920, { haul: 'haul-two' }],
  ['2027-03-31', 'Yard, March', 'yard', 35_340, { haul: 'haul-two' }],
]

/** Diesel by the month she was ashore. */
const driven: readonly (readonly [string, number])[] = [
  ['2025-10-31', 5200],
  ['2025-11-30', 7450],
  ['2025-12-31', 4980],
  ['2026-01-31', 6610],
  ['2026-02-28', 6240],
  ['2026-03-31', 7980],
  ['2026-04-30', 8450],
  ['2026-05-31', 4120],
  ['2026-10-31', 5740],
  ['2026-11-30', 6120],
  ['2026-12-31', 4310],
  ['2027-01-31', 5560],
  ['2027-02-28', 5980],
  ['2027-03-31', 7240],
]

const others: readonly Line[] = [
  ['2025-11-15', 'Nights by the creek, two', 'lodging', 14_800],
  ['2026-03-21', 'Nights by the creek, two', 'lodging', 15_600],
  ['2027-02-20', 'A night by the creek', 'lodging', 7900],
  ['2025-10-18', 'Random-orbit sander', 'tool', 16_900],
  ['2025-10-25', 'Masks, filters, goggles', 'tool', 8640],
  ['2025-11-22', 'Dust extractor, used', 'tool', 11_000],
  ['2026-01-10', 'Hole saws, set', 'tool', 5450],
  ['2026-02-07', 'Clamps, twenty', 'tool', 7200],
  ['2026-10-24', 'Heat pad for the shed', 'tool', 6890],
  ['2026-11-21', 'Crimper, heavy', 'tool', 13_400],
  ['2027-03-06', 'Moisture meter, exchanged', 'tool', 9900],
  ['2027-03-13', 'The old meter sold', 'tool', 4500, { back: true }],
  ['2025-10-14', 'Survey before the refit', 'other', 42_000],
  ['2025-12-01', 'Insurance, lay-up', 'other', 18_600],
  ['2026-12-01', 'Insurance, lay-up', 'other', 19_400],
  ['2026-05-02', 'Launch lunch for the helpers', 'other', 6450],
  ['2025-12-22', 'Tank seam welded', 'trade', 18_000, { job: 'tank', supplier: 'brannock' }],
  [
    '2026-01-24',
    'Mast step plate, cut and drilled',
    'trade',
    24_500,
    { job: 'mast-step', supplier: 'brannock' },
  ],
  [
    '2026-04-11',
    'Insulation test of the old wiring',
    'trade',
    16_000,
    { system: 'system-electrical' },
  ],
  ['2026-10-17', 'Mast down, rig laid in the shed', 'trade', 31_000, { system: 'system-rig' }],
  ['2026-11-14', 'Rig looked at, in writing', 'trade', 9500, { system: 'system-rig' }],
  ['2027-01-16', 'Panel design gone through', 'trade', 22_000, { system: 'system-electrical' }],
  ['2027-04-02', 'Brannock, first part', 'trade', 60_000, { booking: 'brannock-posts' }],
  ['2025-11-03', 'Bulkhead plywood', 'part', 11_800, { job: 'bulkhead-foot' }],
  [
    '2026-02-14',
    'Sea valves, two, from abroad',
    'part',
    16_400,
    { job: 'valves-one', foreign: ['GBP', 1.17] },
  ],
  [
    '2026-03-07',
    'Epoxy and cloth, boat jumble',
    'part',
    13_500,
    {
      shares: [
        ['side-deck', 9000],
        ['knee', 4500],
      ],
    },
  ],
  [
    '2026-11-07',
    'Balsa and cloth, off a friend',
    'part',
    12_000,
    {
      shares: [
        ['foredeck', 8000],
        ['stringer', 4000],
      ],
    },
  ],
  ['2026-12-12', 'Beam timber, planed', 'part', 14_700, { job: 'beam' }],
  ['2027-01-09', 'Gauges, used, two', 'part', 9000, { system: 'system-electrical' }],
  ['2027-02-13', 'Cutless bearing, wrong size', 'part', 6400, { job: 'shaft' }],
  ['2027-02-27', 'Cutless bearing, back', 'part', 6400, { job: 'shaft', back: true }],
  ['2027-03-20', 'Varnish and brushes', 'part', 8750, { system: 'system-finish' }],
  ['2027-03-27', 'Bilge pump and switch', 'part', 11_200, { job: 'sole-wires' }],
  ['2027-04-03', 'Fittings sold on', 'part', 7000, { system: 'system-deck', back: true }],
  [
    '2027-04-10',
    'Hose and clips by the metre',
    'part',
    5680,
    {
      shares: [
        ['galley-valve', 3600],
        ['chain-drain', 2080],
      ],
    },
  ],
  ['2027-04-14', 'Gloves, rags, tape', 'other', 4280],
]

/** Season one's days on the way, hours of it a person; and what was done twice, and why. */
const wayHours = 1.75
const mostWayEntries = 48
const twice: readonly (readonly [string, string, string, number, string])[] = [
  ['side-deck-6', 'oona', '2026-02-15', 4.5, 'cured too cold'],
  ['side-deck-8', 'oona', '2026-03-22', 3, 'cured too cold'],
  ['valves-one-3', 'piet', '2026-03-08', 3.5, 'did not fit'],
  ['mast-step-3', 'piet', '2026-02-22', 2.5, 'wrong part came'],
  ['foredeck-5', 'oona', '2027-02-14', 2, 'done out of order'],
]

export function writeMoney(write: Writer): void {
  for (const [of, minor] of planned) {
    const isSystem = of.startsWith('system-')
    write.add('budget', `plan-${of}`, {
      account: isSystem ? 'system' : (of as Account),
      systemId: isSystem ? of : null,
      minor,
    })
  }
  brannock(write)
  const diesel = driven.map(([on, cents]): Line => [on, 'Diesel for the car', 'travel', cents])
  ;[...yard, ...diesel, ...others].forEach((line, index) =>
    writeSpend(write, line, `spend-${index + 1}`),
  )
  payOrders(write)
  moreHours(write)
}

function writeSpend(write: Writer, [on, what, kind, minor, more = {}]: Line, id: string): void {
  const { job, system, haul, booking, supplier, back, foreign, shares } = more
  write.add('spend', id, {
    on: write.date(on),
    what,
    kind,
    minor,
    isBack: back ?? false,
    supplierId: supplier ?? null,
    bookingId: booking ?? null,
    haulOutId: haul ?? null,
    ...(foreign ? { currency: foreign[0], rate: foreign[1], rateOn: write.date(on) } : {}),
  })
  const parts = shares ?? ((job ?? system) ? [[(job ?? system) as string, minor] as const] : [])
  const orders = keysAfter(null, parts.length)
  parts.forEach(([to, cents], index) =>
    write.add('spendShare', `${id}-${index + 1}`, {
      spendId: id,
      jobId: to.startsWith('system-') ? null : to,
      systemId: to.startsWith('system-') ? to : null,
      minor: cents,
      order: orders[index] as string,
    }),
  )
}

/** Brannock measured, bends the rail, and billed ahead: more than was agreed. */
function brannock(write: Writer): void {
  const bookingId = 'brannock-posts'
  write.add('tradeBooking', bookingId, {
    stepId: 'posts-3',
    trade: 'Brannock Stainless',
    from: write.date('2027-04-05'),
    to: write.date('2027-04-05'),
    state: 'came',
    priceMinor: 118_400,
    retainPercent: 10,
  })
  const lines = [
    { what: 'Rail bent to the deck, 22 m', quoteMinor: 118_400, invoiceMinor: 122_900 },
    {
      what: 'Gate between posts 4 and 5',
      proposal: 'Hinged gate in the rail',
      proposalMinor: 18_000,
      proposalDays: 5,
      answeredOn: '2027-03-02',
      answeredById: 'oona',
      invoiceMinor: 18_000,
    },
    {
      what: 'End posts',
      proposal: 'A brace at each end',
      proposalMinor: 9600,
      proposalDays: 0,
      answeredOn: '2027-03-20',
      answeredById: 'piet',
      invoiceMinor: 9600,
    },
    { what: 'A visit to measure', invoiceMinor: 16_700 },
  ] as const
  const orders = keysAfter(null, lines.length)
  lines.forEach((line, index) => {
    const { answeredOn, ...rest } = { answeredOn: null, ...line }
    write.add('tradeItem', `brannock-line-${index + 1}`, {
      bookingId,
      ...rest,
      answer: answeredOn === null ? 'none' : 'taken',
      answeredOn: answeredOn === null ? null : write.date(answeredOn),
      order: orders[index] as string,
    })
  })
  write.add('invoice', 'brannock-bill', {
    bookingId,
    number: '2231',
    on: write.date('2027-04-12'),
    minor: 167_200,
  })
}

/** What came long ago is paid; of this spring's orders the last three are still owed, and what has not come. */
function payOrders(write: Writer): void {
  const owed = new Set(['order-17', 'order-18'])
  write.rows.purchase = write.rows.purchase.map((one) => {
    const lines = new Set(
      write.rows.purchaseLine.filter((line) => line.purchaseId === one.id).map((line) => line.id),
    )
    const came = write.rows.delivery.find((delivery) => lines.has(delivery.lineId))
    return came && !owed.has(one.id) ? { ...one, paidOn: came.cameOn } : one
  })
}

function moreHours(write: Writer): void {
  const firstSummer = write.date('2026-05-09')
  const days = new Map<string, { readonly personId: string; readonly on: string }>()
  for (const { personId, on } of write.rows.hoursEntry)
    if (on < firstSummer) days.set(`${personId} ${on}`, { personId, on })
  ;[...days.values()].slice(0, mostWayEntries).forEach(({ personId, on }, index) =>
    write.add('hoursEntry', `way-${index + 1}`, {
      personId,
      on,
      hours: wayHours,
      kind: 'travel',
    }),
  )
  twice.forEach(([stepId, personId, on, hours, reworkCause], index) =>
    write.add('hoursEntry', `twice-${index + 1}`, {
      stepId,
      jobId: stepId.replace(/-\d+$/, ''),
      personId,
      on: write.date(on),
      hours,
      reworkCause,
    }),
  )
}

/** Suppliers, parts, orders with what came of them, the shelf, tools and what trades were asked. */
import { keysAfter } from '#core/model/order'
import { asNow } from '#core/stores/frozen'
import type { Writer } from '../write'
import { writeOnPaper } from './onPaper'
import { openOrders, pastOrders } from './orders'
import type { DemoLine, DemoOrder } from './orders'
import { demoParts } from './parts'

const suppliers: readonly (readonly [string, string, string | null, number, number | null])[] = [
  ['fenn', 'Fenn Chandlery', 'fenn', 0, 7],
  ['tarrow', 'Tarrow Resins', null, 6, 12],
  ['skarholm', 'Skarholm Stern Gear', null, 21, 30],
  ['oldbridge', 'Oldbridge Fasteners', 'oldbridge', 2, 6],
  ['brannock', 'Brannock Stainless', null, 20, 35],
]

function writeParts(write: Writer): void {
  for (const [
    slug,
    name,
    jobId,
    needs,
    quantity,
    unit,
    priceMinor,
    supplierId,
    more,
  ] of demoParts) {
    const { lookUntil, ...rest } = more ?? {}
    write.add('part', slug, {
      name,
      jobId,
      neededByStepId: needs === 0 ? null : `${jobId}-${needs}`,
      quantity,
      unit,
      priceMinor: priceMinor === null ? null : Math.round(priceMinor / quantity),
      supplierId,
      ...rest,
      ...(lookUntil ? { lookUntil: write.date(lookUntil) } : {}),
    })
  }
}

/** Parts of a line: the one it is for, or one that is used up already. */
function partOfLine(write: Writer, line: DemoLine, id: string): string {
  if (line.for !== undefined) return line.for === 'joint-seal' ? jointSeal(write) : line.for
  write.add('part', id, {
    name: line.what,
    jobId: line.job ?? null,
    quantity: line.many,
    unit: line.unit ?? '',
    priceMinor: Math.round(line.cents / line.many),
    packSize: line.pack ?? null,
    state: 'fitted',
  })
  return id
}
/** What the recipe of the hull-to-deck joint asks for. */
const jointSeal = (write: Writer): string =>
  write.rows.part.find((one) => one.neededByStepId === 'joint-starboard-4')?.id ?? ''

function writeOrder(write: Writer, order: DemoOrder): void {
  const id = `order-${order.number}`
  const day = (on: string | undefined) => (on === undefined ? null : write.date(on))
  write.add('purchase', id, {
    number: order.number,
    supplierId: order.supplier,
    orderedOn: write.date(order.on),
    dueOn: day(order.due),
    freightMinor: order.freight ?? 0,
    taxMinor: order.tax ?? 0,
  })
  const orders = keysAfter(null, order.lines.length)
  order.lines.forEach((line, index) => {
    const lineId = `${id}-${index + 1}`
    write.add('purchaseLine', lineId, {
      purchaseId: id,
      name: line.what,
      quantity: line.many,
      unit: line.unit ?? '',
      packSize: line.pack ?? null,
      priceMinor: line.cents,
      dueOn: day(line.dueOn),
      order: orders[index] as string,
    })
    const partId = partOfLine(write, line, `part-${lineId}`)
    const wanted = write.rows.part.find((one) => one.id === partId)
    write.add('lineWant', `want-${lineId}`, {
      lineId,
      partId,
      asOrdered: { ...(wanted ? asNow(wanted) : {}), ...line.asOrdered },
    })
    const came = order.came === undefined ? 0 : (line.came ?? line.many)
    const due = line.dueOn ?? order.due
    const at = write.rows.part.findIndex((one) => one.id === partId)
    const part = write.rows.part[at]
    if (part && came < line.many)
      write.rows.part[at] = { ...part, state: 'ordered', arrivesOn: day(due) }
    if (part)
      write.rows.part[at] = { ...(write.rows.part[at] ?? part), orderedOn: write.date(order.on) }
    if (came === 0 || order.came === undefined) return
    write.add('delivery', `came-${lineId}`, {
      lineId,
      cameOn: write.date(order.came),
      quantity: came,
      checkedOn: line.unchecked ? null : write.date(order.came),
      checkedById: line.unchecked ? null : 'oona',
      batch: line.batch ?? '',
      expiresOn: day(line.goodUntil),
      faulty: line.faulty ?? 0,
      fault: line.fault ?? '',
      returnBy: day(line.backBy),
    })
  })
}

const shelf: readonly (readonly [
  string,
  number,
  string,
  'boat' | 'shed' | 'home',
  string,
  object?,
])[] = [
  ['Gloves, pairs', 12, 'pairs', 'boat', 'Bin 4', { lowAt: 20 }],
  ['Slow hardener', 0.4, 'kg', 'shed', 'Bin 1', { batch: '26-118', expiresOn: '2027-05-03' }],
  ['Epoxy', 1.8, 'kg', 'shed', 'Bin 1', { batch: '26-102', expiresOn: '2028-10-31' }],
  ['Masking tape 50 m', 3, 'rolls', 'boat', 'Bin 2', { lowAt: 1 }],
  ['Peel ply, 80 g', 2, 'm', 'shed', 'Bin 3', { deliveryId: 'came-order-17-4' }],
  ['Bolt M8 × 70 mm, A4', 7, 'pieces', 'boat', 'Bin 5'],
  ['Washer M8, A4', 22, 'pieces', 'boat', 'Bin 5', { lowAt: 20 }],
  [
    'Balsa core 12 mm',
    1,
    'pieces',
    'shed',
    'Rack',
    { isOffcut: true, size: '400 × 310 mm', longMm: 400, wideMm: 310 },
  ],
  [
    'Marine ply 15 mm',
    1,
    'pieces',
    'shed',
    'Rack',
    { isOffcut: true, size: '520 × 180 mm', longMm: 520, wideMm: 180 },
  ],
  [
    'Lining vinyl, from the saloon',
    1,
    'pieces',
    'shed',
    'K3',
    { isOffcut: true, size: '1310 × 700 mm', longMm: 1310, wideMm: 700 },
  ],
  [
    'Lining vinyl, from the saloon',
    1,
    'pieces',
    'shed',
    'K5',
    { isOffcut: true, size: '900 × 450 mm', longMm: 900, wideMm: 450 },
  ],
  ['Tinned wire 2.5 mm²', 6, 'm', 'home', 'Drawer'],
  ['Polyurethane sealant', 1, 'cartridges', 'home', 'Drawer', { expiresOn: '2027-03-31' }],
]
const tools: readonly (readonly [string, object])[] = [
  [
    'Long drill 12 mm',
    {
      owned: 'hired',
      owner: 'Oldbridge Fasteners',
      at: 'boat',
      backBy: '2027-04-20',
      hireDayMinor: 900,
      reachMm: 380,
    },
  ],
  ['Torque wrench', { owned: 'lent', owner: 'Hartsel Rigging', at: 'shed', backBy: '2027-05-31' }],
  ['Moisture meter', { at: 'boat' }],
  ['Multimeter', { at: 'home' }],
  ['Crimper, heavy', { at: 'shed', size: '16 to 70 mm²' }],
]

/** Trades that were asked, with the notice they want. */
const asked: readonly (readonly [string, string, string, number, number, number[]?])[] = [
  ['raft-2', 'Fenn Chandlery', '2027-05-10', 14, 14_500],
  ['panel-rest-3', 'Ludd & Daughter', '2027-06-05', 21, 24_000, [6]],
  ['sails-4', 'Greave Sails', '2027-06-01', 10, 68_000],
  ['fuel-tank-2', 'Brannock Stainless', '2027-05-31', 7, 52_000],
  ['rig-1', 'Hartsel Rigging', '2027-10-12', 60, 92_000, [2, 4]],
]

export function writeStores(write: Writer): void {
  write.add('place', 'oldbridge', {
    name: 'Oldbridge Fasteners',
    kind: 'shop',
    order: 'b',
    travelMin: 15,
    setUpMin: 0,
    packUpMin: 0,
    opensAt: '08:00',
    shutsAt: '17:00',
    shutWeekdays: [6, 7],
  })
  for (const [from, to, minutes] of [
    ['oldbridge', 'fenn', 9],
    ['oldbridge', 'kelder', 12],
  ] as const)
    write.add('drive', `${from}-${to}`, { fromPlaceId: from, toPlaceId: to, minutes })
  for (const [id, name, placeId, leadDays, leadLateDays] of suppliers)
    write.add('supplier', id, { name, placeId, leadDays, leadLateDays })
  writeParts(write)
  for (const order of [...pastOrders, ...openOrders]) writeOrder(write, order)
  const shelfOrders = keysAfter(null, shelf.length)
  shelf.forEach(([name, quantity, unit, at, bin, more], index) => {
    const { expiresOn, ...rest } = (more ?? {}) as { expiresOn?: string }
    write.add('stock', `shelf-${index + 1}`, {
      name,
      quantity,
      unit,
      at,
      bin,
      order: shelfOrders[index] as string,
      ...rest,
      ...(expiresOn ? { expiresOn: write.date(expiresOn) } : {}),
    })
  })
  const toolOrders = keysAfter(null, tools.length)
  tools.forEach(([name, more], index) => {
    const { backBy, ...rest } = more as { backBy?: string }
    write.add('tool', `tool-${index + 1}`, {
      name,
      order: toolOrders[index] as string,
      ...rest,
      ...(backBy ? { backBy: write.date(backBy) } : {}),
    })
  })
  // The drill that is hired: two steps want it, and it is too short for one of them.
  for (const [stepId, needsMm] of [
    ['posts-on-1', 440],
    ['galley-valve-3', 120],
  ] as const)
    write.add('bringLine', `drill-${stepId}`, {
      stepId,
      what: 'Long drill 12 mm',
      kind: 'tool',
      at: 'boat',
      toolId: 'tool-1',
      needsMm,
      order: 'z',
    })
  for (const [stepId, trade, on, noticeDays, priceMinor, comesOn] of asked)
    write.add('tradeBooking', `asked-${stepId}`, {
      stepId,
      trade,
      from: write.date(on),
      to: write.date(on),
      noticeDays,
      priceMinor,
      comesOn: comesOn ?? [],
    })
  writeOnPaper(write)
}

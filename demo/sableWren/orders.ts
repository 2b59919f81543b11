/** Orders that came and are used up or on the shelf, and those on their way. All made up. */

/** What, how many, unit, price of the line in cents, job; `for`: a part that stands elsewhere. */
export interface DemoLine {
  readonly what: string
  readonly many: number
  readonly unit?: string
  readonly cents: number
  readonly job?: string
  readonly for?: string
  readonly pack?: number
  /** Absent: all came, with the order. */
  readonly came?: number
  readonly dueOn?: string
  readonly batch?: string
  readonly goodUntil?: string
  readonly faulty?: number
  readonly fault?: string
  readonly backBy?: string
  readonly unchecked?: true
  /** What the part was when it was ordered, where it has changed since. */
  readonly asOrdered?: Readonly<Record<string, unknown>>
}

export interface DemoOrder {
  readonly number: string
  readonly supplier: string
  readonly on: string
  readonly due?: string
  /** Absent: nothing came yet. */
  readonly came?: string
  readonly freight?: number
  readonly tax?: number
  readonly lines: readonly DemoLine[]
}

const line = (
  what: string,
  many: number,
  unit: string,
  cents: number,
  more: Omit<DemoLine, 'what' | 'many' | 'unit' | 'cents'> = {},
): DemoLine => ({ what, many, unit, cents, ...more })

export const pastOrders: readonly DemoOrder[] = [
  {
    number: '1',
    supplier: 'tarrow',
    on: '2025-10-20',
    came: '2025-10-28',
    freight: 1400,
    tax: 8103,
    lines: [
      line('Balsa core 12 mm', 2, 'm²', 16_200, { job: 'side-deck' }),
      line('Biaxial cloth 450 g/m²', 12, 'm', 13_800, { job: 'side-deck' }),
      line('Epoxy, slow hardener', 6, 'kg', 13_900, { job: 'side-deck' }),
      line('Thickening powder', 2, 'kg', 1900, { job: 'side-deck' }),
    ],
  },
  {
    number: '2',
    supplier: 'oldbridge',
    on: '2025-10-24',
    came: '2025-10-24',
    tax: 1380,
    lines: [
      line('Bolt M8 × 70 mm, A4', 40, 'pieces', 3600, { job: 'side-deck', pack: 10 }),
      line('Washer M8, A4', 80, 'pieces', 1200, { job: 'side-deck', pack: 100 }),
      line('Nut M8, A4', 40, 'pieces', 1200, { job: 'side-deck', pack: 50 }),
    ],
  },
  {
    number: '3',
    supplier: 'fenn',
    on: '2025-11-08',
    came: '2025-11-08',
    tax: 4209,
    lines: [
      line('Valve 38 mm, bronze', 2, 'pieces', 15_800, { job: 'valves-one' }),
      line('Hose clip, stainless', 12, 'pieces', 2100, { job: 'valves-one' }),
      line('Valve grease', 1, 'tube', 400, { job: 'valves-one' }),
    ],
  },
  {
    number: '4',
    supplier: 'oldbridge',
    on: '2025-11-21',
    came: '2025-11-21',
    tax: 2530,
    lines: [
      line('Bolt M12 × 180 mm, A4', 4, 'pieces', 5200, { job: 'mast-step' }),
      line('Plate washer M12', 8, 'pieces', 2800, { job: 'mast-step' }),
      line('Oak 90 × 140 mm', 0.6, 'm', 3000, { job: 'mast-step' }),
    ],
  },
  {
    number: '5',
    supplier: 'fenn',
    on: '2025-11-29',
    came: '2025-11-29',
    tax: 920,
    lines: [
      line('Hose 38 mm', 1.1, 'm', 2700, { job: 'galley-hose' }),
      line('Zip bag and label', 40, 'pieces', 1300, { job: 'strip-out' }),
    ],
  },
  {
    number: '6',
    supplier: 'tarrow',
    on: '2025-12-10',
    came: '2025-12-17',
    freight: 1200,
    tax: 5681,
    lines: [
      line('Biaxial cloth 600 g/m²', 6, 'm', 9600, { job: 'knee' }),
      line('Epoxy, slow hardener', 4, 'kg', 9400, { job: 'knee' }),
      line('Peel ply 80 g', 5, 'm', 2100, { job: 'knee' }),
      line('Gloves, box of 50', 2, 'boxes', 2400, { job: 'knee' }),
    ],
  },
  {
    number: '7',
    supplier: 'oldbridge',
    on: '2026-01-16',
    came: '2026-01-16',
    tax: 1012,
    lines: [
      line('Screw 5 × 60 mm, A4', 100, 'pieces', 2200, { job: 'bearers', pack: 100 }),
      line('Larch strip', 3.2, 'm', 2200, { job: 'bearers' }),
    ],
  },
  {
    number: '8',
    supplier: 'fenn',
    on: '2026-01-31',
    came: '2026-01-31',
    tax: 1541,
    lines: [
      line('Tinned wire 2.5 mm²', 30, 'm', 4200, { job: 'sole-wires' }),
      line('Fuse 10 A', 10, 'pieces', 900, { job: 'sole-wires' }),
      line('Vent hose 19 mm', 2.5, 'm', 1600, { job: 'tank-vent' }),
    ],
  },
  {
    number: '9',
    supplier: 'fenn',
    on: '2026-02-21',
    came: '2026-02-21',
    tax: 667,
    lines: [
      line('Stub 38 mm', 1, 'pieces', 1900, { job: 'scupper' }),
      line('Polyurethane sealant', 1, 'cartridges', 1000, { job: 'scupper' }),
    ],
  },
  {
    number: '10',
    supplier: 'tarrow',
    on: '2026-03-09',
    came: '2026-03-18',
    freight: 1100,
    tax: 3818,
    lines: [
      line('Marine ply 15 mm', 0.4, 'm²', 4200, { job: 'bulkhead-foot' }),
      line('Biaxial cloth 600 g/m²', 5, 'm', 8000, { job: 'stringer' }),
      line('Epoxy, fast hardener', 2, 'kg', 3300, { job: 'stringer' }),
    ],
  },
  {
    number: '11',
    supplier: 'fenn',
    on: '2026-04-18',
    came: '2026-04-18',
    tax: 4738,
    lines: [
      line('Antifouling, 2.5 L', 2, 'tins', 17_800, { job: 'bottom-one' }),
      line('Roller, 100 mm', 10, 'pieces', 1400, { job: 'bottom-one' }),
      line('Masking tape 50 m', 2, 'rolls', 1400, { job: 'bottom-one' }),
    ],
  },
  {
    number: '12',
    supplier: 'tarrow',
    on: '2026-10-12',
    came: '2026-10-21',
    freight: 1800,
    tax: 9706,
    lines: [
      line('Balsa core 12 mm, foredeck', 2, 'm²', 16_200, { job: 'foredeck' }),
      line('Epoxy barrier coat', 5, 'L', 21_400, { job: 'barrier' }),
      line('Low-density filler', 3, 'L', 4600, { job: 'barrier' }),
    ],
  },
  {
    number: '13',
    supplier: 'oldbridge',
    on: '2027-02-19',
    came: '2027-02-19',
    tax: 1334,
    lines: [
      line('Backing plate 6 mm, four', 4, 'pieces', 4200, { job: 'bitt' }),
      line('Clamp, 200 mm', 6, 'pieces', 1600, { job: 'beam' }),
    ],
  },
  {
    number: '14',
    supplier: 'skarholm',
    on: '2027-03-02',
    came: '2027-03-16',
    freight: 900,
    tax: 1863,
    lines: [
      line('Gland packing 8 mm', 1, 'm', 1900, { job: 'shaft' }),
      line('Shaft grease', 1, 'tin', 1700, { job: 'shaft' }),
      line('Anode, shaft 35', 2, 'pieces', 4500, { job: 'anodes' }),
    ],
  },
  // The winter sale: bought long before the panel was drawn. It fitted.
  {
    number: '15',
    supplier: 'oldbridge',
    on: '2027-01-22',
    came: '2027-01-22',
    tax: 5865,
    lines: [line('Breakers, twelve', 12, 'pieces', 25_500, { for: 'breakers' })],
  },
  // Bought by eye at a boat jumble, and a size too small.
  {
    number: '16',
    supplier: 'fenn',
    on: '2027-01-30',
    came: '2027-01-30',
    tax: 1380,
    lines: [line('Hatch rubber 12 × 15', 3, 'm', 6000, { for: 'hatch-rubber-early' })],
  },
  {
    number: '17',
    supplier: 'tarrow',
    on: '2027-04-05',
    due: '2027-04-14',
    came: '2027-04-14',
    freight: 1850,
    tax: 7535,
    lines: [
      line('Biaxial 450', 9, 'm', 11_430, { job: 'foredeck', for: 'biaxial-450', batch: '27-04' }),
      line('Epoxy', 6, 'kg', 9640, { for: 'epoxy-six', batch: '27-112', goodUntil: '2029-03-31' }),
      line('Slow hardener', 2, 'kg', 4120, { for: 'slow-hardener', came: 1, dueOn: '2027-04-23' }),
      line('Peel ply, 80 g', 10, 'm', 2850, { for: 'peel-ply', came: 12 }),
      line('Fairing powder', 3, 'L', 1980, { for: 'fairing-powder', came: 0, dueOn: '2027-04-23' }),
      line('Cups, 400 ml', 25, 'pieces', 890, {
        for: 'cups',
        faulty: 2,
        fault: 'split at the rim',
        backBy: '2027-04-29',
      }),
    ],
  },
  {
    number: '18',
    supplier: 'fenn',
    on: '2027-04-10',
    came: '2027-04-10',
    tax: 1610,
    lines: [
      line('Barrier epoxy, first tin', 1, 'L', 4400, { job: 'barrier' }),
      line('Foam roller', 10, 'pieces', 1200, { for: 'foam-rollers', unchecked: true }),
      line('Acetone', 2, 'L', 1400, { for: 'acetone', unchecked: true }),
    ],
  },
]

export const openOrders: readonly DemoOrder[] = [
  {
    number: '19',
    supplier: 'skarholm',
    on: '2027-03-30',
    due: '2027-04-22',
    freight: 900,
    tax: 1645,
    lines: [line('Bearing 35 × 48', 1, 'pieces', 7150, { for: 'bearing' })],
  },
  {
    number: '20',
    supplier: 'fenn',
    on: '2027-03-30',
    due: '2027-04-23',
    tax: 2162,
    lines: [line('Sea valve 1 1/2"', 1, 'pieces', 9400, { for: 'sea-valve' })],
  },
  // Promised for the first of May; they rang on the 12th of April.
  {
    number: '21',
    supplier: 'brannock',
    on: '2027-03-30',
    due: '2027-05-01',
    tax: 42_320,
    lines: [
      line('Posts and rail', 1, 'set', 184_000, { for: 'posts-and-rail', dueOn: '2027-05-15' }),
    ],
  },
  {
    number: '22',
    supplier: 'oldbridge',
    on: '2027-02-03',
    due: '2027-02-12',
    came: '2027-02-11',
    freight: 1200,
    tax: 9476,
    lines: [line('Busbars and cable', 1, 'set', 41_200, { for: 'busbars' })],
  },
  {
    number: '23',
    supplier: 'tarrow',
    on: '2027-04-12',
    due: '2027-04-30',
    freight: 700,
    tax: 529,
    lines: [
      line('Permanent polyurethane', 1, 'cartridges', 2300, {
        for: 'joint-seal',
        dueOn: '2027-05-12',
      }),
    ],
  },
  {
    number: '24',
    supplier: 'oldbridge',
    on: '2027-04-14',
    due: '2027-04-21',
    tax: 736,
    lines: [
      // Measured again when the switch was there.
      line('Float switch bracket', 1, 'pieces', 3200, {
        for: 'switch-bracket',
        asOrdered: { size: '40 mm' },
      }),
    ],
  },
  {
    number: '25',
    supplier: 'tarrow',
    on: '2027-04-15',
    due: '2027-04-27',
    freight: 800,
    tax: 1196,
    lines: [line('Lining board 4 mm', 6, 'sheets', 12_600, { for: 'lining-board' })],
  },
]

/** Steps of an opening through a cored hull below the waterline, used by three recipes. Names: bore, pad, core, way. */
import type { RecipeChoice, RecipeInput, RecipeStep, RecipeValue } from '../recipe'
import { afloat, ashore, chem, input, sealantSets, two } from './words'

export const openingInputs: readonly RecipeInput[] = [
  input('bore', 'Bore', 'mm', [6, 50, 160], 'The hole the fitting passes through.', {
    drawing: 'bore',
  }),
  input('pad', 'Pad', 'mm', [30, 130, 400], 'Width of the flange or pad inside.', {
    drawing: 'pad',
  }),
  input('core', 'Core', 'mm', [0, 15, 60], 'Thickness of the core there; 0 in a solid hull.', {
    drawing: 'skinAndCore',
  }),
  input('cloth', 'Cloth', 'g/m²', [100, 600, 1200], 'Dry weight of one ply; biaxial, half resin.', {
    drawing: 'cloth',
  }),
  input(
    'cureDays',
    'Sealant cures',
    'days',
    [1, 7, 21],
    'Full cure before water, from its data sheet.',
    {
      drawing: 'calendar',
    },
  ),
]

export const openingWay: RecipeChoice = {
  key: 'way',
  label: 'Round the hole',
  initial: 'laminate',
  options: [
    {
      value: 'laminate',
      label: 'Solid laminate',
      why: 'The core is taken out to the pad and 50 mm more and glass laid in its place: the hull is one piece again. A day more.',
    },
    {
      value: 'block',
      label: 'Solid block',
      why: 'A block of dense laminate bedded in: quicker, no heat from thick plies. Every face of it must be wetted out.',
    },
    {
      value: 'sleeve',
      label: 'Sleeve',
      why: 'Over-drilled and filled thick like a bolt hole: right for small holes, cables and studs, not for a valve that is leaned on.',
    },
  ],
}

export const openingValues: readonly RecipeValue[] = [
  { key: 'solidD', label: 'Solid round the hole', unit: 'mm', formula: 'pad + 100' },
  {
    key: 'plies',
    label: 'Plies to the core depth',
    unit: 'pieces',
    formula: 'pliesToLevel(core, plyMm(cloth, 0.5))',
  },
  {
    key: 'clothM2',
    label: 'Cloth with a tenth for cutting',
    unit: 'm²',
    formula: 'plies * circleM2(solidD) * 1.1',
  },
  {
    key: 'resinKg',
    label: 'Mixed resin',
    unit: 'kg',
    formula: 'clothM2 * resinKgPerM2(cloth, 0.5)',
  },
]

const behind =
  'Measure the skin and know what is behind, from both sides. Depth stop, plug and hammer within reach; stop when tired.'

export const readingStep: RecipeStep = {
  key: 'moisture',
  title: 'Moisture reading round the place',
  operation: 'test',
  hours: '0.1',
  ...ashore,
  caution: 'Do not close over a reading that fails.',
  tools: ['Moisture meter'],
}

export const openingSteps: readonly RecipeStep[] = [
  {
    key: 'pilot',
    title: 'Pilot hole',
    operation: 'drill',
    hours: '0.2',
    ...ashore,
    caution: behind,
    tools: ['Drill', 'Depth stop'],
  },
  {
    key: 'clear',
    title: 'From inside, take out inner skin and core to {solidD} mm',
    operation: 'cut',
    hours: '1.2',
    when: "way != 'sleeve' && core > 0",
    ...ashore,
    caution: 'P3 respirator, goggles. Set the blade to the inner skin: the outer one stays whole.',
  },
  {
    key: 'solid',
    title: 'Lay solid laminate, {plies} plies',
    operation: 'laminate',
    hours: '1.5',
    when: "way == 'laminate' && core > 0",
    ...ashore,
    minC: 12,
    wait: chem(24),
    materials: [
      { what: 'Biaxial {cloth} g/m²', unit: 'm²', quantity: 'clothM2' },
      { what: 'Epoxy, mixed', unit: 'kg', quantity: 'resinKg' },
    ],
  },
  {
    key: 'block',
    title: 'Bed the solid block',
    operation: 'laminate',
    hours: '1.5',
    when: "way == 'block' && core > 0",
    ...ashore,
    minC: 12,
    wait: chem(24),
    materials: [
      { what: 'Dense block {solidD} × {core} mm', unit: 'pieces', quantity: '1' },
      { what: 'Thick bedding mix', unit: 'mL', quantity: 'circleM2(solidD) * 3 * 1000 * 1.25' },
    ],
  },
  {
    key: 'overDrill',
    title: 'Over-drill and dig the core back',
    operation: 'drill',
    hours: '0.15',
    when: "way == 'sleeve'",
    ...ashore,
    caution: behind,
  },
  {
    key: 'fillSleeve',
    title: 'Wet out thin, fill thick',
    operation: 'fill',
    hours: '0.1',
    when: "way == 'sleeve'",
    ...ashore,
    minC: 10,
    wait: chem(16),
    materials: [
      {
        what: 'Epoxy thickened for filling',
        unit: 'mL',
        quantity: 'sleeveMl(bore + 16, core + 10, 10, core)',
      },
    ],
  },
  {
    key: 'bore',
    title: 'Bore to {bore} mm',
    operation: 'drill',
    hours: '0.5',
    ...ashore,
    caution: behind,
    tools: ['Hole saw', 'Depth stop'],
  },
]

/** From the pad to the patch of antifouling; the fitting is new. */
export const closingSteps: readonly RecipeStep[] = [
  { key: 'dryFit', title: 'Dry fit', operation: 'fit', hours: '0.4', ...ashore, ...two },
  {
    key: 'barrier',
    title: 'Barrier in the bore and round it, coat {n} of {times}',
    operation: 'barrier',
    times: '2',
    hours: '0.2',
    ...ashore,
    minC: 10,
    wait: chem(6),
    within: '48',
    materials: [{ what: 'Epoxy barrier coat', unit: 'mL', quantity: '50' }],
  },
  {
    key: 'bed',
    title: 'Key, wipe and bed',
    operation: 'bed',
    hours: '0.6',
    ...ashore,
    ...two,
    wait: sealantSets('24 * cureDays'),
    caution: 'The cure before water is the data sheet\u2019s, by humidity and depth.',
    materials: [
      {
        what: 'Sealant for below the waterline',
        unit: 'cartridges',
        quantity: 'cartridges(beadMl(8, 2 * circleM(pad)))',
        pack: 1,
      },
    ],
  },
  {
    key: 'patch',
    title: 'Antifoul the patch',
    operation: 'antifoul',
    hours: '0.2',
    ...ashore,
    minC: 8,
    materials: [{ what: 'Antifouling', unit: 'mL', quantity: '100' }],
  },
]

export const watchStep: RecipeStep = {
  key: 'watch',
  title: 'Watch it with a torch while she hangs and after',
  operation: 'test',
  hours: '0.2',
  ...afloat,
  caution: 'Slings slack but on, crane driver agreeing, plug and hammer in hand. Two aboard.',
}

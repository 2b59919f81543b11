/** Steps of an opening through a hull below the waterline, used by three recipes. Names: bore, pad, core, inner, way. */
import type { RecipeChoice, RecipeInput, RecipeStep, RecipeValue } from '../recipe'
import {
  afloat,
  afterGate,
  ashore,
  chem,
  input,
  inSlings,
  sealantSets,
  takesDays,
  two,
} from './words'

/** What closing an opening asks, cored or not: the fitting and what seals it. */
export const closingInputs: readonly RecipeInput[] = [
  input('bore', 'Bore', 'mm', [6, 50, 160], 'The hole the fitting passes through.', {
    drawing: 'bore',
  }),
  input('pad', 'Pad', 'mm', [30, 130, 400], 'Width of the flange or pad inside.', {
    drawing: 'pad',
  }),
  input(
    'cureDays',
    'Sealant cures',
    'days',
    [1, 7, 21],
    'Full cure before water, from its data sheet.',
    { drawing: 'calendar' },
  ),
  input(
    'dryH',
    'Antifouling dries before water',
    'h',
    [1, 24, 240],
    'Least time to immersion, from its data sheet.',
    { drawing: 'calendar' },
  ),
]

export const openingInputs: readonly RecipeInput[] = [
  ...closingInputs,
  input('core', 'Core', 'mm', [0, 15, 60], 'Thickness of the core there; 0 in a solid hull.', {
    drawing: 'skinAndCore',
  }),
  input('inner', 'Inner skin', 'mm', [1, 4, 30], 'Thickness inside the core; it is laid again.', {
    drawing: 'skinAndCore',
  }),
  input('cloth', 'Cloth', 'g/m²', [100, 600, 1200], 'Dry weight of one ply; biaxial, half resin.', {
    drawing: 'cloth',
  }),
  input(
    'perSession',
    'Plies in one session',
    'pieces',
    [1, 7, 12],
    'As many as stay cool: a thick stack laid at once cooks.',
    { whole: true, drawing: 'plies' },
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
      why: 'The core is taken out to the pad and 50 mm more and glass laid in its place: the hull is one piece again. Days more.',
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
  { key: 'ply', label: 'One ply', unit: 'mm', formula: 'plyMm(cloth, 0.5)' },
  {
    key: 'plies',
    label: 'Plies to the core depth',
    unit: 'pieces',
    formula: 'pliesToLevel(core, ply)',
  },
  {
    key: 'sessions',
    label: 'Sessions for them',
    unit: 'times',
    formula: 'ceil(plies / perSession)',
  },
  {
    key: 'skinPlies',
    label: 'Plies of the inner skin',
    unit: 'pieces',
    formula: 'pliesToLevel(inner, ply)',
  },
  { key: 'taper', label: 'Taper of the inner skin', unit: 'mm', formula: 'taperMm(inner, 12)' },
  {
    key: 'skinM2',
    label: 'Cloth of one ply of the skin, taper half counted, a tenth over',
    unit: 'm²',
    formula: 'circleM2(solidD + taper) * 1.1',
  },
]

const behind =
  'Measure the skin and know what is behind, from both sides. Depth stop, plug and hammer within reach; stop when tired.'
const opened = "way != 'sleeve' && core > 0"
const laid = "way == 'laminate' && core > 0"

export const measureStep: RecipeStep = {
  key: 'measure',
  title: 'Measure the thickness and what is behind, both sides',
  operation: 'survey',
  hours: '0.5',
  ...ashore,
}

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
    when: opened,
    ...ashore,
    caution: 'P3 respirator, goggles. Set the blade to the inner skin: the outer one stays whole.',
  },
  {
    key: 'taper',
    title: 'Grind the taper of the inner skin, {taper} mm wide',
    operation: 'grind',
    hours: '0.4 * circleM(solidD)',
    when: opened,
    ...ashore,
    tools: ['Grinder', '40 grit', 'Extraction'],
  },
  {
    key: 'solid',
    title: 'Lay solid laminate to the core depth, session {n} of {times}',
    operation: 'laminate',
    times: 'sessions',
    hours: '1 + 0.7 * circleM2(solidD) * min(perSession, plies - (n - 1) * perSession)',
    when: laid,
    ...ashore,
    minC: 12,
    wait: chem(24),
    within: '72',
    caution: 'A thick stack cooks: no more plies at once than stay hand-warm.',
    materials: [
      {
        what: 'Biaxial {cloth} g/m², stitched',
        unit: 'm²',
        quantity: 'circleM2(solidD) * 1.1 * min(perSession, plies - (n - 1) * perSession)',
      },
      {
        what: 'Epoxy, mixed',
        unit: 'kg',
        mix: 'wetOut',
        quantity:
          'circleM2(solidD) * 1.1 * resinKgPerM2(cloth, 0.5) * min(perSession, plies - (n - 1) * perSession)',
      },
      { what: 'Peel ply', unit: 'm²', quantity: 'circleM2(solidD) * 1.1' },
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
      {
        what: 'Thick bedding mix',
        unit: 'mL',
        mix: 'bed',
        quantity: 'circleM2(solidD) * 3 * 1000 * 1.25',
      },
    ],
  },
  {
    key: 'innerSkin',
    title: 'Lay the inner skin again over its taper, {skinPlies} plies',
    operation: 'laminate',
    hours: '1 + 0.7 * circleM2(solidD + taper) * skinPlies',
    when: opened,
    ...ashore,
    minC: 12,
    wait: chem(24),
    materials: [
      { what: 'Biaxial {cloth} g/m², stitched', unit: 'm²', quantity: 'skinM2 * skinPlies' },
      {
        what: 'Epoxy, mixed',
        unit: 'kg',
        mix: 'wetOut',
        quantity: 'skinM2 * skinPlies * resinKgPerM2(cloth, 0.5)',
      },
    ],
  },
  {
    key: 'overDrill',
    title: 'Over-drill and dig the core back',
    operation: 'drill',
    hours: '0.15',
    when: "way == 'sleeve' && core > 0",
    ...ashore,
    caution: behind,
  },
  {
    key: 'fillSleeve',
    title: 'Wet out thin, fill thick',
    operation: 'fill',
    hours: '0.1',
    when: "way == 'sleeve' && core > 0",
    ...ashore,
    minC: 10,
    wait: chem(16),
    materials: [
      {
        what: 'Epoxy thickened for filling',
        unit: 'mL',
        mix: 'fill',
        quantity: 'sleeveMl(bore + 16, core + inner + 6, 10, core)',
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

export const padStep: RecipeStep = {
  key: 'pad',
  title: 'Bond the backing pad, {pad} mm',
  operation: 'fit',
  hours: '0.8',
  ...ashore,
  minC: 12,
  wait: chem(24),
  materials: [
    { what: 'Backing pad {pad} mm', unit: 'pieces', quantity: '1' },
    {
      what: 'Thick bedding mix',
      unit: 'mL',
      mix: 'bed',
      quantity: 'circleM2(pad) * 3 * 1000 * 1.25',
    },
  ],
}

/** From the dry fit, which has the fitting in hand, to the patch of antifouling. */
export const closingSteps = (fitting: string): readonly RecipeStep[] => [
  {
    key: 'dryFit',
    title: 'Dry fit, with the fitting in hand',
    operation: 'fit',
    hours: '0.4',
    ...ashore,
    ...two,
    materials: [{ what: fitting, unit: 'pieces', quantity: '1' }],
  },
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
    title: 'Antifoul the patch, dry before water',
    operation: 'antifoul',
    hours: '0.2',
    ...ashore,
    minC: 8,
    wait: { kind: 'calendar', hours: 'dryH' },
    materials: [{ what: 'Antifouling', unit: 'mL', quantity: '100' }],
  },
]

/** The look in the slings by two, and the second look a day later that holds nothing. */
export const watchSteps: readonly RecipeStep[] = [
  {
    key: 'watch',
    title: 'In the slings: look at it with a torch before they let go',
    operation: 'test',
    hours: '0.2',
    ...inSlings,
    ...two,
    wait: takesDays('1'),
    caution:
      'Nobody aboard while she hangs. Once she floats with the slings slack but on and the crane driver agrees: one at the opening, one at the rail. Plug and hammer in hand.',
  },
  {
    key: 'second',
    title: 'Second look after a day afloat',
    operation: 'test',
    hours: '0.1',
    ...afloat,
    ...afterGate,
  },
]

/** Steps of a sleeved, bedded fitting, used by the recipes in which one is put on. Names: holes, bolt and the rest. */
import type { RecipeInput, RecipeMaterial, RecipeStep, RecipeValue } from '../recipe'
import { afterGate, chem, input, sealantSets, takesDays, two } from './words'

export const sleeveInputs: readonly RecipeInput[] = [
  input('bolt', 'Bolt size', 'mm', [4, 8, 20], 'The thread, not the hole.', {
    thread: true,
    drawing: 'bolt',
  }),
  input(
    'overDrill',
    'Over-drill',
    'mm',
    [2, 8, 40],
    'How much wider than the bolt the hole is drilled; what is left is solid all round. Not in a solid deck.',
    { drawing: 'overDrill' },
  ),
  input(
    'skin',
    'Both skins together',
    'mm',
    [1, 8, 60],
    'Top and bottom skin at the hole, added; in a solid deck all of it.',
    { drawing: 'skinAndCore' },
  ),
  input('core', 'Core', 'mm', [0, 12, 80], 'Thickness of the core; 0 in a solid laminate.', {
    drawing: 'skinAndCore',
  }),
  input('undercut', 'Dig back', 'mm', [0, 6, 40], 'How far the core is dug out beyond the hole.', {
    drawing: 'undercut',
  }),
]

export const sleeveValues: readonly RecipeValue[] = [
  { key: 'overHole', label: 'Hole to over-drill', unit: 'mm', formula: 'bolt + overDrill' },
  { key: 'clear', label: 'Clearance hole', unit: 'mm', formula: 'clearanceMm(bolt)' },
  {
    key: 'thickMix',
    label: 'Thick mix for all holes',
    unit: 'mL',
    formula: 'core > 0 ? holes * sleeveMl(overHole, skin + core, undercut, core) : 0',
  },
]

const depthStop = 'Measure the skins and look behind first. Depth stop on; stop when tired.'
const cored = { when: 'core > 0' } as const

/** From the probe to holes a bolt passes; in a solid deck nothing is dug out and nothing filled. */
export const sleeveSteps: readonly RecipeStep[] = [
  {
    key: 'probe',
    title: 'Probe the core in every hole',
    operation: 'survey',
    hours: '0.1 * holes',
    count: { unit: 'holes', of: 'holes' },
    ...cored,
    caution: 'Dark or soft core: stop and look again. It may want drying out or a new core.',
    tools: ['Hook or awl', 'Moisture meter', 'Torch'],
  },
  {
    key: 'overDrill',
    title: 'Over-drill to {overHole} mm and dig the core back',
    operation: 'drill',
    hours: '0.15 * holes',
    count: { unit: 'holes', of: 'holes', proveOnOne: true },
    ...cored,
    dry: true,
    caution: depthStop,
    tools: ['Drill', 'Depth stop', 'Bent key or hook for the core', 'Vacuum'],
  },
  {
    key: 'fill',
    title: 'Wet the holes out thin, fill them thick',
    operation: 'fill',
    hours: '0.1 * holes',
    count: { unit: 'holes', of: 'holes' },
    ...cored,
    dry: true,
    minC: 10,
    wait: chem(16),
    materials: [
      { what: 'Epoxy thickened for filling', unit: 'mL', mix: 'fill', quantity: 'thickMix' },
      { what: 'Tape under the holes', unit: 'pieces', quantity: 'holes' },
    ],
    tools: ['Syringe', 'Scale'],
  },
  {
    key: 'reDrill',
    title: 'Drill clearance holes, {clear} mm, countersink the edge',
    operation: 'drill',
    hours: '0.08 * holes',
    count: { unit: 'holes', of: 'holes' },
    caution: depthStop,
    tools: ['Drill', 'Countersink'],
  },
]

/** Bedding with either school; `holes`, `bedding` and `boltLong` must be known. */
export const bedSteps = (materials: readonly RecipeMaterial[]): readonly RecipeStep[] => [
  {
    key: 'bed',
    title: 'Bed it',
    operation: 'bed',
    hours: '0.2 * bases + 0.05 * holes',
    when: "bedding == 'butyl'",
    ...two,
    dry: true,
    caution: 'Turn the nut, not the bolt: the thread cuts the seal.',
    materials,
    tools: ['Two spanners'],
  },
  {
    key: 'bedSealant',
    title: 'Bed it, seat it, tool the edge',
    operation: 'bed',
    hours: '0.2 * bases + 0.05 * holes',
    when: "bedding == 'sealant'",
    ...two,
    dry: true,
    wait: sealantSets('72'),
    caution:
      'Pull the tape at once, low. Turn the nut, not the bolt. The data sheet gives the cure by humidity and depth.',
    materials,
    tools: ['Two spanners', 'Cartridge gun', 'Masking tape'],
  },
]

/** Taking butyl up waits for no gate: she may be launched and sailed meanwhile. */
const takeUp = {
  operation: 'fit',
  hours: '0.1 * bases + 0.02 * holes',
  when: "bedding == 'butyl'",
  ...afterGate,
  caution: 'Turn the nut, not the bolt.',
} as const

/** The hose test, then butyl taken up after a day and a week; `bases` and `holes` must be known. */
export const proveSteps: readonly RecipeStep[] = [
  {
    key: 'hose',
    title: 'Hose test, low to high',
    operation: 'test',
    hours: '0.3 * bases',
    ...two,
    helpers: true,
    tools: ['Hose', 'Torch'],
  },
  {
    key: 'settle',
    title: 'The butyl settles for a day',
    operation: 'setUp',
    hours: '0',
    when: "bedding == 'butyl'",
    ...afterGate,
    wait: takesDays('1'),
  },
  { key: 'takeUp1', title: 'Take up the nuts after a day', ...takeUp, wait: takesDays('6') },
  { key: 'takeUp7', title: 'Take up the nuts after a week', ...takeUp },
]

/** A backing plate for each base. */
export const plateStep: RecipeStep = {
  key: 'plate',
  title: 'Make the backing plates, {plateLong} × {plateWide} mm',
  operation: 'fit',
  hours: '0.6 * bases',
  place: 'shed',
  materials: [
    {
      what: 'Backing plate {plateLong} × {plateWide} × {plate} mm',
      unit: 'pieces',
      quantity: 'bases',
    },
  ],
}

export const plateInputs: readonly RecipeInput[] = [
  input('footLong', 'Footprint, long side', 'mm', [20, 120, 2000], 'The base of the fitting.', {
    drawing: 'footprint',
  }),
  input('footWide', 'Footprint, short side', 'mm', [20, 80, 2000], 'The base of the fitting.', {
    drawing: 'footprint',
  }),
  input('boltsLong', 'Bolts, long way', 'mm', [0, 90, 2000], 'Outermost bolt to outermost bolt.', {
    drawing: 'boltPattern',
  }),
  input('boltsWide', 'Bolts, short way', 'mm', [0, 50, 2000], 'Outermost bolt to outermost bolt.', {
    drawing: 'boltPattern',
  }),
  input('plate', 'Backing plate', 'mm', [2, 6, 30], 'Its thickness.', { drawing: 'plate' }),
  input('base', 'Base of the fitting', 'mm', [1, 6, 80], 'Thickness the bolt passes.', {
    drawing: 'bolt',
  }),
]

export const plateValues: readonly RecipeValue[] = [
  {
    key: 'boltLong',
    label: 'Bolt to buy',
    unit: 'mm',
    formula: 'boltToBuy(bolt, base + skin + core + plate + 2, washersMm(bolt, 2))',
  },
  {
    key: 'plateLong',
    label: 'Backing plate, long side',
    unit: 'mm',
    formula: 'plateLongMm(footLong, footWide, boltsLong, boltsWide)',
  },
  {
    key: 'plateWide',
    label: 'Backing plate, short side',
    unit: 'mm',
    formula: 'plateShortMm(footLong, footWide, boltsLong, boltsWide)',
  },
  {
    key: 'bead',
    label: 'Bead round all bases and bolts',
    unit: 'm',
    formula: '2 * bases * (footLong + footWide) / 1000 + holes * circleM(bolt + 10)',
  },
]

/** Bolts, nuts, washers and what seals, for bases that are alike; `bolts` and `bead` must be known. */
export const boltMaterials: readonly RecipeMaterial[] = [
  { what: 'Bolt M{bolt} × {boltLong} mm', unit: 'pieces', quantity: 'bolts', pack: 5 },
  { what: 'Nut M{bolt}', unit: 'pieces', quantity: 'bolts', pack: 5 },
  { what: 'Washer M{bolt}', unit: 'pieces', quantity: '2 * bolts', pack: 10 },
  { what: 'Butyl tape', unit: 'm', quantity: 'bead', pack: 5, when: "bedding == 'butyl'" },
  {
    what: 'Sealant, serviceable',
    unit: 'cartridges',
    quantity: 'cartridges(beadMl(6, bead))',
    pack: 1,
    when: "bedding == 'sealant'",
  },
]

/** Steps of a sleeved, bedded fitting, used by the recipes in which one is put on. Names: holes, bolt and the rest. */
import type { RecipeInput, RecipeMaterial, RecipeStep, RecipeValue } from '../recipe'
import { chem, input, sealantSets, takesDays, two } from './words'

export const sleeveInputs: readonly RecipeInput[] = [
  input('bolt', 'Bolt size', 'mm', [4, 8, 20], 'The thread, not the hole: M8 is 8 mm.', {
    thread: true,
    drawing: 'bolt',
  }),
  input(
    'overDrill',
    'Over-drill',
    'mm',
    [2, 8, 40],
    'How much wider than the bolt the hole is drilled; what is left is solid all round.',
    { drawing: 'overDrill' },
  ),
  input(
    'skin',
    'Both skins together',
    'mm',
    [1, 8, 60],
    'Top and bottom skin at the hole, added.',
    {
      drawing: 'skinAndCore',
    },
  ),
  input('core', 'Core', 'mm', [0, 12, 80], 'Thickness of the core; 0 in a solid laminate.', {
    drawing: 'skinAndCore',
  }),
  input('undercut', 'Dig back', 'mm', [0, 6, 40], 'How far the core is dug out beyond the hole.', {
    drawing: 'undercut',
  }),
]

export const sleeveValues: readonly RecipeValue[] = [
  { key: 'overHole', label: 'Hole to drill', unit: 'mm', formula: 'bolt + overDrill' },
  {
    key: 'thickMix',
    label: 'Thick mix for all holes',
    unit: 'mL',
    formula: 'holes * sleeveMl(overHole, skin + core, undercut, core)',
  },
]

const depthStop = 'Measure the skins and look behind first. Depth stop on; stop when tired.'

export const sleeveSteps: readonly RecipeStep[] = [
  {
    key: 'overDrill',
    title: 'Over-drill to {overHole} mm and dig the core back',
    operation: 'drill',
    hours: '0.15 * holes',
    dry: true,
    caution: depthStop,
    tools: ['Drill', 'Depth stop', 'Bent key or hook for the core', 'Vacuum'],
  },
  {
    key: 'fill',
    title: 'Wet the holes out thin, fill them thick',
    operation: 'fill',
    hours: '0.1 * holes',
    dry: true,
    minC: 10,
    wait: chem(16),
    materials: [
      { what: 'Epoxy thickened for filling', unit: 'mL', quantity: 'thickMix' },
      { what: 'Tape under the holes', unit: 'pieces', quantity: 'holes' },
    ],
    tools: ['Syringe', 'Scale'],
  },
  {
    key: 'reDrill',
    title: 'Re-drill to {bolt} mm, countersink the edge',
    operation: 'drill',
    hours: '0.08 * holes',
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
    hours: '0.2 + 0.05 * holes',
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
    hours: '0.2 + 0.05 * holes',
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

/** The hose test, then butyl taken up after a day and a week. */
export const proveSteps: readonly RecipeStep[] = [
  {
    key: 'hose',
    title: 'Hose test, low to high',
    operation: 'test',
    hours: '0.3',
    ...two,
    helpers: true,
    wait: takesDays("(bedding == 'butyl' ? 1 : 0)"),
    tools: ['Hose', 'Torch'],
  },
  {
    key: 'takeUp1',
    title: 'Take up the nuts after a day',
    operation: 'fit',
    hours: '0.1 + 0.02 * holes',
    when: "bedding == 'butyl'",
    wait: takesDays('6'),
    caution: 'Turn the nut, not the bolt.',
  },
  {
    key: 'takeUp7',
    title: 'Take up the nuts after a week',
    operation: 'fit',
    hours: '0.1 + 0.02 * holes',
    when: "bedding == 'butyl'",
    caution: 'Turn the nut, not the bolt.',
  },
]

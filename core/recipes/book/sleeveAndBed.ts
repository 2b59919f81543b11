import type { Recipe } from '../recipe'
import { bedSteps, proveSteps, sleeveInputs, sleeveSteps, sleeveValues } from './sleevedFitting'
import { beddingChoice, counted, input, ours, shed } from './words'

/** 1 */
export const sleeveAndBed: Recipe = {
  ...ours,
  key: 'sleeve-and-bed',
  title: 'Sleeve and bed a through-bolted deck fitting',
  about:
    'For a cleat, post base, winch or roller bolted through a cored or solid deck. Wet core found on the way is a job of its own.',
  purpose: 'float',
  system: 'deck',
  inputs: [
    input('holes', 'Holes', 'pieces', [1, 4, 60], 'Bolts through this fitting.', {
      ...counted,
      drawing: 'holes',
    }),
    ...sleeveInputs,
    input('footLong', 'Footprint, long side', 'mm', [20, 120, 2000], 'The base of the fitting.', {
      drawing: 'footprint',
    }),
    input('footWide', 'Footprint, short side', 'mm', [20, 80, 2000], 'The base of the fitting.', {
      drawing: 'footprint',
    }),
    input(
      'boltsLong',
      'Bolts, long way',
      'mm',
      [0, 90, 2000],
      'Outermost bolt to outermost bolt.',
      {
        drawing: 'boltPattern',
      },
    ),
    input(
      'boltsWide',
      'Bolts, short way',
      'mm',
      [0, 50, 2000],
      'Outermost bolt to outermost bolt.',
      {
        drawing: 'boltPattern',
      },
    ),
    input('plate', 'Backing plate', 'mm', [2, 6, 30], 'Its thickness.', { drawing: 'plate' }),
    input('base', 'Base of the fitting', 'mm', [1, 6, 80], 'Thickness the bolt passes.', {
      drawing: 'bolt',
    }),
  ],
  choices: [beddingChoice],
  values: [
    ...sleeveValues,
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
      label: 'Bead round base and bolts',
      unit: 'm',
      formula: '2 * (footLong + footWide) / 1000 + holes * circleM(bolt + 10)',
    },
    { key: 'bolts', label: 'Bolts with spares', unit: 'pieces', formula: 'withSpares(holes, 1)' },
  ],
  steps: [
    {
      key: 'strip',
      title: 'Take the old fitting off',
      operation: 'strip',
      hours: '0.3 + 0.15 * holes',
      tools: ['Spanners', 'Thin blade', 'Penetrating oil'],
    },
    {
      key: 'probe',
      title: 'Probe the core in every hole',
      operation: 'survey',
      hours: '0.1 * holes',
      caution: 'Dark or soft core: stop and look again. It may want drying out or a new core.',
      tools: ['Hook or awl', 'Moisture meter', 'Torch'],
    },
    ...sleeveSteps,
    {
      key: 'plate',
      title: 'Make the backing plate, {plateLong} × {plateWide} mm',
      operation: 'fit',
      hours: '0.6',
      ...shed,
      materials: [
        {
          what: 'Backing plate {plateLong} × {plateWide} × {plate} mm',
          unit: 'pieces',
          quantity: '1',
        },
      ],
    },
    { key: 'dryFit', title: 'Dry fit, check the bolt length', operation: 'fit', hours: '0.3' },
    ...bedSteps([
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
    ]),
    ...proveSteps,
  ],
}

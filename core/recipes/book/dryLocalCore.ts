import type { Recipe } from '../recipe'
import { bedSteps, proveSteps } from './sleevedFitting'
import { beddingChoice, chem, counted, driesFor, dryingDays, input, ours } from './words'

/** 3 */
export const dryLocalCore: Recipe = {
  ...ours,
  key: 'dry-local-core',
  title: 'Dry out and fill local core',
  about:
    'For wet core round one fitting, sound skins, up to 0.05 m². From 0.05 to 0.1 m² compare with re-coring; where it spreads, re-core.',
  purpose: 'float',
  system: 'deck',
  inputs: [
    input('areaM2', 'Wet area', 'm²', [0.001, 0.03, 0.1], 'By tap and meter round the holes.', {
      drawing: 'panel',
    }),
    input('holes', 'Holes', 'pieces', [1, 4, 30], 'Bolts of the fitting over it.', {
      ...counted,
      drawing: 'holes',
    }),
    input('core', 'Core', 'mm', [5, 12, 80], 'Thickness of the core.', { drawing: 'skinAndCore' }),
    dryingDays(10, 5, 20),
  ],
  choices: [beddingChoice],
  values: [
    {
      key: 'thickMix',
      label: 'Thick mix with a quarter waste',
      unit: 'mL',
      formula: 'areaM2 * core * 1000 * 1.25',
    },
  ],
  steps: [
    { key: 'open', title: 'Open the holes', operation: 'drill', hours: '0.5', dry: true },
    {
      key: 'pick',
      title: 'Pick the wet core out',
      operation: 'strip',
      hours: '2 * areaM2 / 0.05',
      dry: true,
      tools: ['Bent key or hook', 'Vacuum'],
    },
    {
      key: 'dry',
      title: 'Dry with warmth under cover',
      operation: 'setUp',
      hours: '0',
      wait: driesFor('dryDays'),
      caution:
        'A heater under cover: carbon monoxide alarm, nothing that burns near it, never left alone.',
    },
    {
      key: 'reading',
      title: 'Moisture reading passes',
      operation: 'test',
      hours: '0.2',
      caution: 'Do not close over a reading that fails.',
      tools: ['Moisture meter'],
    },
    {
      key: 'fill',
      title: 'Dam it, fill it',
      operation: 'fill',
      hours: '1',
      minC: 10,
      wait: chem(24),
      caution: 'A thick pour gets hot: fill in layers, cups small, a hot one outdoors on concrete.',
      materials: [
        { what: 'Epoxy thickened for filling', unit: 'mL', quantity: 'thickMix' },
        { what: 'Tape and dam', unit: 'pieces', quantity: 'holes' },
      ],
    },
    { key: 'reDrill', title: 'Re-drill, countersink', operation: 'drill', hours: '0.08 * holes' },
    ...bedSteps([
      {
        what: 'Butyl tape',
        unit: 'm',
        quantity: '0.6 + 0.06 * holes',
        pack: 5,
        when: "bedding == 'butyl'",
      },
      {
        what: 'Sealant, serviceable',
        unit: 'cartridges',
        quantity: 'cartridges(beadMl(6, 0.6 + 0.06 * holes))',
        pack: 1,
        when: "bedding == 'sealant'",
      },
    ]),
    ...proveSteps,
  ],
}

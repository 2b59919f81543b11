import type { Recipe } from '../recipe'
import { bedSteps, proveSteps } from './sleevedFitting'
import {
  beddingChoice,
  chem,
  counted,
  driesFor,
  dryingDays,
  input,
  ours,
  moistureRead,
} from './words'

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
    input('bolt', 'Bolt size', 'mm', [4, 8, 20], 'The thread, not the hole.', {
      thread: true,
      drawing: 'bolt',
    }),
    input('skin', 'Both skins together', 'mm', [1, 8, 60], 'Top and bottom skin, added.', {
      drawing: 'skinAndCore',
    }),
    input('core', 'Core', 'mm', [5, 12, 80], 'Thickness of the core.', { drawing: 'skinAndCore' }),
    input(
      'ring',
      'Solid ring',
      'mm',
      [10, 20, 60],
      'How wide the solid ring round each hole is, when a ring is the way.',
      { drawing: 'undercut' },
    ),
    input(
      'pourMm',
      'Depth of one pour',
      'mm',
      [3, 10, 60],
      'Deepest layer that stays cool, from the data sheet of the resin.',
      { drawing: 'void' },
    ),
    dryingDays(10, 5, 400),
  ],
  choices: [
    {
      key: 'way',
      label: 'How it is filled',
      initial: 'dam',
      options: [
        {
          value: 'dam',
          label: 'Dammed from below',
          why: 'The holes are taped below and the hollow is poured from above through them. The usual way where it can be reached from below.',
        },
        {
          value: 'ring',
          label: 'A solid ring round each hole',
          why: 'Sound core is left and only a ring is dug out and filled: least resin and least heat, for core that is wet at the holes alone.',
        },
        {
          value: 'void',
          label: 'Filled through extra holes',
          why: 'A hollow that runs away from the holes gets a filling hole at its low end and a vent at its high one, so that no air stays in.',
        },
      ],
    },
    beddingChoice,
  ],
  values: [
    { key: 'bases', label: 'Fittings', unit: 'pieces', formula: '1' },
    { key: 'clear', label: 'Clearance hole', unit: 'mm', formula: 'clearanceMm(bolt)' },
    {
      key: 'thickMix',
      label: 'Thick mix with a quarter waste',
      unit: 'mL',
      formula:
        "way == 'ring' ? holes * sleeveMl(bolt + 8, skin + core, ring, core) : areaM2 * core * 1000 * 1.25",
    },
    { key: 'pours', label: 'Pours', unit: 'times', formula: 'ceil(core / pourMm)' },
    { key: 'bead', label: 'Bead round base and bolts', unit: 'm', formula: '0.6 + 0.06 * holes' },
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
      key: 'vents',
      title: 'Drill a filling hole low and a vent high',
      operation: 'drill',
      hours: '0.2',
      when: "way == 'void'",
      dry: true,
    },
    {
      key: 'dry',
      title: 'Dry with warmth under cover',
      operation: 'setUp',
      hours: '0',
      wait: driesFor('dryDays'),
      ...moistureRead,
      caution:
        'A heater under cover: carbon monoxide alarm, nothing that burns near it, never left alone.',
    },
    {
      key: 'reading',
      title: 'Moisture reading passes',
      operation: 'test',
      ...moistureRead,
      hours: '0.2',
      caution: 'Do not close over a reading that fails.',
      tools: ['Moisture meter'],
    },
    {
      key: 'fill',
      title: 'Dam it, fill it, pour {n} of {times}',
      operation: 'fill',
      times: 'pours',
      hours: 'max(0.3, 1 / pours)',
      minC: 10,
      wait: chem('n < times ? 6 : 24'),
      caution:
        'A deep pour gets hot enough to smoke: one layer at a time, cooled before the next, cups small, a hot one outdoors on concrete.',
      materials: [
        {
          what: 'Epoxy thickened for filling',
          unit: 'mL',
          mix: 'fill',
          quantity: 'thickMix / pours',
        },
        { what: 'Tape and dam', unit: 'pieces', quantity: 'n == 1 ? holes : 0' },
      ],
    },
    {
      key: 'reDrill',
      title: 'Drill clearance holes, {clear} mm, countersink',
      operation: 'drill',
      hours: '0.08 * holes',
    },
    ...bedSteps([
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

import type { Recipe } from '../recipe'
import { chem, input, ours, moistureRead } from './words'

/** 5 */
export const injectPanel: Recipe = {
  ...ours,
  key: 'inject-panel',
  title: 'Inject foam or resin into a decayed, unloaded panel',
  about:
    'For core gone to powder between sound skins where nothing pulls. Some see it as a stop-gap: never under a fitting or a foot that matters.',
  purpose: 'live',
  system: 'deck',
  inputs: [
    input('areaM2', 'Panel', 'm²', [0.05, 0.6, 10], 'Where the tap is dull.', { drawing: 'panel' }),
    input('voidMm', 'Depth between the skins', 'mm', [3, 15, 100], 'Probe through a hole.', {
      drawing: 'void',
    }),
    input('empty', 'Empty share', '%', [5, 50, 100], 'How much of the depth has gone to powder.', {
      drawing: 'void',
    }),
    input('growth', 'Growth of the foam', 'times', [2, 15, 60], 'From its data sheet: free rise.'),
    input('pourMm', 'Depth of one pour of resin', 'mm', [3, 10, 60], 'From its data sheet.', {
      drawing: 'void',
    }),
  ],
  choices: [
    {
      key: 'filler',
      label: 'Filled with',
      initial: 'foam',
      options: [
        {
          value: 'foam',
          label: 'Closed-cell foam',
          why: 'Light, cheap, reaches far. Grips little and adds no strength; too much lifts a thin skin.',
        },
        {
          value: 'resin',
          label: 'Thin epoxy',
          why: 'Soaks in and stiffens what is left. Heavy, dear, warms in a thick pour, and shuts wet core in if it was not dry.',
        },
      ],
    },
  ],
  values: [
    { key: 'voidL', label: 'Void', unit: 'L', formula: 'areaM2 * voidMm * empty / 100' },
    {
      key: 'liquid',
      label: 'Liquid',
      unit: 'L',
      formula: "filler == 'foam' ? foamLiquidL(voidL, growth) : voidL * 1.15",
    },
    {
      key: 'pours',
      label: 'Pours',
      unit: 'times',
      formula: "filler == 'foam' ? 1 : ceil(voidMm * empty / 100 / pourMm)",
    },
    {
      key: 'holes',
      label: 'Holes of a 100 mm grid',
      unit: 'pieces',
      formula: 'ceil(areaM2 * 100)',
    },
  ],
  steps: [
    {
      key: 'reading',
      title: 'Moisture reading passes',
      operation: 'test',
      ...moistureRead,
      hours: '0.2',
      caution: 'Do not close over a reading that fails: what is shut in goes on rotting.',
      tools: ['Moisture meter'],
    },
    {
      key: 'grid',
      title: 'Drill a grid, vents at the far edge',
      operation: 'drill',
      hours: '0.02 * holes',
      count: { unit: 'holes', of: 'holes' },
      dry: true,
      caution: 'One skin only: depth stop on.',
      tools: ['Drill', 'Depth stop'],
    },
    { key: 'cup', title: 'Try a cup first: rise, heat, time', operation: 'test', hours: '0.2' },
    {
      key: 'inject',
      title: 'Inject until it shows at the vents, pour {n} of {times}',
      operation: 'fill',
      times: 'pours',
      hours: '0.8 * areaM2',
      dry: true,
      minC: 10,
      wait: chem('n < times ? 6 : 12'),
      caution:
        'Pressure and fumes: vents open, no pressure on a thin skin, goggles and gloves, fresh air.',
      materials: [
        {
          what: 'Two-part closed-cell foam',
          unit: 'L',
          quantity: 'liquid',
          pack: 1,
          when: "filler == 'foam'",
        },
        {
          what: 'Thin epoxy, mixed',
          unit: 'L',
          quantity: 'liquid / pours',
          when: "filler == 'resin'",
        },
      ],
    },
    {
      key: 'plug',
      title: 'Tap test, plug and fair',
      operation: 'fair',
      hours: '1 * areaM2',
      dry: true,
      materials: [{ what: 'Plugs or filler for the holes', unit: 'pieces', quantity: 'holes' }],
    },
  ],
}

import type { Recipe } from '../recipe'
import { chem, input, ours } from './words'

/** 33 */
export const tank: Recipe = {
  ...ours,
  key: 'tank',
  title: 'Tank out, tested, in',
  about:
    'Water, waste or fuel: out through its way, cleaned, looked at, put under pressure, and in again. Pressure comes before any foam closes round it.',
  purpose: 'safe',
  system: 'plumbing',
  inputs: [
    input('litres', 'Holds', 'L', [5, 150, 3000], 'By its plate, or length × width × height.', {
      drawing: 'void',
    }),
    input('hoses', 'Hoses on it', 'pieces', [1, 4, 20], 'Filler, vent, out, return, gauge.', {
      whole: true,
      drawing: 'count',
    }),
    input(
      'wayInH',
      'Way in, out and back',
      'h',
      [0, 3, 80],
      'Sole, berth, engine: what is in the way.',
      {
        drawing: 'panel',
      },
    ),
    input('voidL', 'Void to foam round it', 'L', [0, 0, 500], 'None where chocks hold it.', {
      drawing: 'void',
    }),
    input('growth', 'Foam grows, times', 'times', [5, 15, 40], 'From its data sheet.', {
      drawing: 'void',
    }),
  ],
  choices: [
    {
      key: 'holds',
      label: 'It holds',
      initial: 'water',
      options: [
        { value: 'water', label: 'Water', why: 'Cleaned, rinsed, tasted.' },
        {
          value: 'waste',
          label: 'Waste',
          why: 'Pumped out ashore, rinsed, aired: the air in it kills.',
        },
        {
          value: 'fuel',
          label: 'Fuel',
          why: 'Gas-free before any tool comes near; earthing and hoses by the code, by a licensed person where it says so.',
        },
      ],
    },
    {
      key: 'mend',
      label: 'Then',
      initial: 'keep',
      options: [
        { value: 'keep', label: 'The same goes back', why: 'If it holds pressure.' },
        {
          value: 'new',
          label: 'A new one',
          why: 'Made to the old one’s pattern, or to what goes through the hatch.',
        },
      ],
    },
  ],
  values: [
    {
      key: 'foamL',
      label: 'Foam to pour',
      unit: 'L',
      formula: 'voidL > 0 ? foamLiquidL(voidL, growth) : 0',
    },
  ],
  steps: [
    {
      key: 'empty',
      title: 'Pump out, flush, leave open to the air',
      operation: 'plumb',
      hours: '0.5 + litres / 300',
      wait: { kind: 'calendar', hours: '24' },
      caution:
        'Confined space: nobody’s head inside before it is aired and sniffed. Fuel: no spark, no phone, extinguisher by.',
    },
    {
      key: 'gasFree',
      title: 'Gas-free, proved with a meter',
      operation: 'test',
      when: "holds == 'fuel'",
      hours: '0.5',
      licensed: 'fuel',
      caution: 'Vapour lies low: bilge too. No electric tools until it is proved.',
    },
    {
      key: 'wayIn',
      title: 'Clear the way in, bag and label',
      operation: 'strip',
      opens: false,
      when: 'wayInH > 0',
      hours: 'wayInH * 0.6',
    },
    {
      key: 'mark',
      title: 'Mark and cap every hose, photograph',
      operation: 'label',
      hours: '0.1 * hoses',
    },
    {
      key: 'out',
      title: 'Tank out',
      operation: 'move',
      crew: [2, 3],
      hours: '1 + litres / 200',
      caution:
        'Heavy and awkward: a tackle, hands never under it. Does it go through at all? The bench says.',
    },
    {
      key: 'look',
      title: 'Clean, look at seams and bottom from inside',
      operation: 'survey',
      hours: '0.5 + litres / 300',
    },
    {
      key: 'pressure',
      title: 'Pressure test, soap on every seam, before it goes back',
      operation: 'test',
      when: "mend == 'keep'",
      hours: '0.8',
      read: {
        what: 'Pressure kept after half an hour',
        unit: '%',
        low: 98,
        failAt: 90,
        source: 'the code for that tank; little pressure, by a column of water',
      },
      caution: 'Air stores much: a fifth of a bar and no more, or it bursts.',
    },
    {
      key: 'make',
      title: 'New tank by pattern, tested by its maker',
      operation: 'contract',
      when: "mend == 'new'",
      hours: '0',
      place: 'away',
      wait: { kind: 'calendar', hours: '24 * 20' },
      materials: [{ what: 'Tank, {litres} L, to pattern', unit: 'pieces', quantity: '1' }],
    },
    {
      key: 'bedIn',
      title: 'Chocks and strips, tank in, strapped both ways',
      operation: 'fit',
      crew: [2, 3],
      hours: '1.5 + litres / 200',
      materials: [
        { what: 'Straps and chocks', unit: 'pieces', quantity: '4' },
        { what: 'Rubber strip', unit: 'm', quantity: '4' },
      ],
    },
    {
      key: 'hoses',
      title: 'New hose tails, double clips, vent led high',
      operation: 'plumb',
      hours: '0.2 * hoses',
      materials: [
        { what: 'Hose clip, stainless', unit: 'pieces', quantity: 'withSpares(4, hoses)' },
        { what: 'Hose for that stuff', unit: 'm', quantity: '0.6 * hoses' },
      ],
    },
    {
      key: 'fill',
      title: 'Fill, look again next day',
      operation: 'test',
      hours: '0.5',
      wait: { kind: 'calendar', hours: '24' },
    },
    {
      key: 'foam',
      title: 'Foam round it in small pours, vents open',
      operation: 'fill',
      when: 'voidL > 0',
      hours: '0.5 + voidL / 60',
      minC: 12,
      wait: chem(12),
      caution:
        'It closes the tank in: only after the test. Pressure, fumes: vents, air, small pours.',
      materials: [{ what: 'Two-part closed-cell foam', unit: 'L', quantity: 'foamL', pack: 1 }],
    },
    {
      key: 'back',
      title: 'Way in shut again',
      operation: 'close',
      when: 'wayInH > 0',
      hours: 'wayInH * 0.4',
    },
  ],
}

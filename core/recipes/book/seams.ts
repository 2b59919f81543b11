import type { Recipe } from '../recipe'
import { chem, input, ours, sealantSets } from './words'

/** 30 */
export const seams: Recipe = {
  ...ours,
  key: 'seams',
  title: 'Seams raked and paid',
  about:
    'Planked hull or teak deck: old stuff out, seams cleaned, filled again. Dry wood, dry days. Planks that are soft or fastenings that are gone come first.',
  purpose: 'float',
  system: 'structure',
  inputs: [
    input('lengthM', 'Seams', 'm', [0.5, 40, 2000], 'Run a wheel or a string along them.', {
      drawing: 'line',
    }),
    input('wideMm', 'Seam, wide', 'mm', [1, 5, 20], 'Mean of ten places.', { drawing: 'section' }),
    input('deepMm', 'Seam, deep, over cotton or tape', 'mm', [2, 6, 30], 'What is to be filled.', {
      drawing: 'section',
    }),
    input('plugs', 'Fastenings and plugs to renew', 'pieces', [0, 10, 1000], 'Loose or proud.', {
      whole: true,
      drawing: 'count',
    }),
  ],
  choices: [
    {
      key: 'where',
      label: 'Seams of',
      initial: 'deck',
      options: [
        { value: 'deck', label: 'A teak deck', why: 'Rubber over a bond breaker; sun and feet.' },
        {
          value: 'hull',
          label: 'A planked hull',
          why: 'Cotton carries the load, the filling keeps it in. She takes up once she floats.',
        },
      ],
    },
    {
      key: 'school',
      label: 'Filled with',
      initial: 'rubber',
      options: [
        {
          value: 'rubber',
          label: 'Rubber',
          why: 'Moves with the wood, for ten years and more. Priming and dry edges are everything; sanded flush.',
        },
        {
          value: 'paying',
          label: 'Putty or pitch over cotton',
          why: 'As she was built: soft, squeezed out as she takes up, raked out again with ease. Wants renewing sooner.',
        },
      ],
    },
  ],
  values: [
    {
      key: 'fillMl',
      label: 'Filling',
      unit: 'mL',
      formula: 'wideMm * deepMm * lengthM',
    },
  ],
  steps: [
    {
      key: 'walk',
      title: 'Mark open, hard and lifted seams; sound planks and fastenings',
      operation: 'survey',
      hours: '0.2 + 0.01 * lengthM',
    },
    {
      key: 'rake',
      title: 'Rake out, edges bright',
      operation: 'strip',
      hours: '0.1 * lengthM',
      count: { unit: 'm', of: 'ceil(lengthM)', proveOnOne: true },
      caution: 'A saw in a seam widens it for good: a hook, a steady hand. Dust mask.',
    },
    {
      key: 'fasten',
      title: 'Renew fastenings, bung them',
      operation: 'fit',
      when: 'plugs > 0',
      hours: '0.1 * plugs',
      materials: [
        { what: 'Fastenings and bungs', unit: 'pieces', quantity: 'withSpares(plugs, 1)' },
        { what: 'Bedding for bungs', unit: 'mL', quantity: '2 * plugs' },
      ],
    },
    {
      key: 'dry',
      title: 'Dry to the meter',
      operation: 'setUp',
      hours: '0',
      wait: { kind: 'dry', hours: '72' },
    },
    {
      key: 'reading',
      title: 'Reading of the edges',
      operation: 'test',
      hours: '0.2',
      read: {
        what: 'Moisture',
        unit: '%',
        high: 16,
        failAt: 20,
        source: 'the meter, on bare wood; the sheet of the filling decides',
      },
    },
    {
      key: 'cotton',
      title: 'Cotton in, driven alike',
      operation: 'fit',
      when: "where == 'hull'",
      hours: '0.15 * lengthM',
      caution: 'Too hard opens the planks, too soft falls out: with somebody who has done it.',
      materials: [{ what: 'Caulking cotton', unit: 'm', quantity: '1.2 * lengthM' }],
    },
    {
      key: 'tape',
      title: 'Bond breaker down, edges masked, primed',
      operation: 'prime',
      when: "school == 'rubber'",
      hours: '0.06 * lengthM',
      dry: true,
      minC: 8,
      wait: chem(1),
      within: '8',
      materials: [
        { what: 'Bond breaker tape', unit: 'm', quantity: '1.05 * lengthM' },
        { what: 'Primer for seam rubber', unit: 'mL', quantity: '4 * lengthM' },
      ],
    },
    {
      key: 'rubber',
      title: 'Fill with rubber from the bottom up, press in',
      operation: 'bed',
      when: "school == 'rubber'",
      crew: [1, 2],
      hours: '0.08 * lengthM',
      dry: true,
      minC: 8,
      wait: sealantSets('24 * 5'),
      materials: [
        {
          what: 'Seam rubber',
          unit: 'cartridges',
          quantity: 'cartridges(fillMl)',
          pack: 1,
        },
      ],
    },
    {
      key: 'pay',
      title: 'Prime, pay with putty or pitch',
      operation: 'bed',
      when: "school == 'paying'",
      hours: '0.08 * lengthM',
      dry: true,
      minC: 8,
      wait: chem(24),
      caution: 'Hot pitch burns: gloves, long sleeves, a lid for the pot, no flame on board.',
      materials: [{ what: 'Seam putty or pitch', unit: 'L', quantity: 'fillMl / 1000 * 1.2' }],
    },
    {
      key: 'sand',
      title: 'Cut and sand flush once it is cured',
      operation: 'finish',
      when: "school == 'rubber'",
      hours: '0.06 * lengthM',
      dry: true,
      caution: 'Dust: mask. Every sanding is a season off a thin deck.',
    },
    {
      key: 'hose',
      title: 'Hose test, somebody below',
      operation: 'test',
      when: "where == 'deck'",
      hours: '0.5',
      crew: [2, 2],
    },
    {
      key: 'watch',
      title: 'Watch her take up in the slings: pumps ready',
      operation: 'test',
      when: "where == 'hull'",
      hours: '0.5',
      crew: [2, 2],
      hull: 'slings',
      wait: { kind: 'calendar', hours: '24' },
    },
  ],
}

import type { Recipe } from '../recipe'
import { chem, input, ours } from './words'

/** 21 */
export const varnishWood: Recipe = {
  ...ours,
  key: 'varnish-wood',
  title: 'Varnish, oil, or epoxy then varnish',
  about: 'For bare or tired brightwork. Four schools, each with people who would do no other.',
  purpose: 'shine',
  system: 'finish',
  inputs: [input('areaM2', 'Wood', 'm²', [0.05, 3, 60], 'All faces.', { drawing: 'panel' })],
  choices: [
    {
      key: 'school',
      label: 'Finish',
      initial: 'varnish',
      options: [
        {
          value: 'oil',
          label: 'Oil',
          why: 'Soaks in, never flakes, renewed in an hour with a rag. Darkens, and wants it several times a season.',
        },
        {
          value: 'varnish',
          label: 'Varnish',
          why: 'Builds a clear film that is kept by two fresh coats a year. Let it crack once and water runs under it.',
        },
        {
          value: 'twoPart',
          label: 'Two-part clear',
          why: 'Hard, bright and slow to dull: half the coats. Will not go over one-part varnish, is harder to strip, and its hardener is not to be breathed.',
        },
        {
          value: 'epoxy',
          label: 'Epoxy, then varnish',
          why: 'Seals the wood so that it moves less and varnish lasts. Sun destroys bare epoxy: the varnish over it is its life, and stripping it is hard.',
        },
      ],
    },
    {
      key: 'where',
      label: 'Where it lives',
      initial: 'outdoors',
      options: [
        { value: 'below', label: 'Below', why: 'No sun: two coats.' },
        { value: 'outdoors', label: 'Outdoors', why: 'Sun and rain: six or more.' },
      ],
    },
  ],
  values: [
    {
      key: 'coats',
      label: 'Coats',
      unit: 'times',
      formula: "school == 'oil' ? 4 : (where == 'below' ? 2 : (school == 'twoPart' ? 4 : 6))",
    },
  ],
  steps: [
    {
      key: 'strip',
      title: 'Strip to sound wood',
      operation: 'strip',
      opens: false,
      hours: '0.6 * areaM2',
      caution: 'Heat gun or stripper: gloves, fresh air; old paint may hold lead.',
    },
    {
      key: 'sand',
      title: 'Sand to sound wood, vacuum, wipe',
      operation: 'grind',
      hours: '0.4 * areaM2',
      dry: true,
      materials: [{ what: 'Paper 120 and 180', unit: 'sheets', quantity: '2 * ceil(areaM2)' }],
    },
    {
      key: 'seal',
      title: 'Seal with epoxy, coat {n} of {times}',
      operation: 'prime',
      times: '3',
      when: "school == 'epoxy'",
      hours: '0.15 * areaM2',
      minC: 12,
      wait: chem(8),
      within: '48',
      dry: true,
      caution: 'On a falling temperature: bare wood breathes out bubbles while it warms.',
      materials: [{ what: 'Clear epoxy, mixed', unit: 'L', quantity: 'coatLitres(areaM2, 1, 9)' }],
    },
    {
      key: 'key',
      title: 'Wash the blush off, dry, sand',
      operation: 'grind',
      hours: '0.4 * areaM2',
      when: "school == 'epoxy'",
      dry: true,
    },
    {
      key: 'oil',
      title: 'Oil, coat {n} of {times}',
      operation: 'varnish',
      times: 'coats',
      when: "school == 'oil'",
      hours: '0.1 * areaM2',
      dry: true,
      wait: chem(24),
      caution: 'Oily rags catch fire by themselves: flat to dry, then out of the boat.',
      materials: [{ what: 'Wood oil', unit: 'L', quantity: 'coatLitres(areaM2, 1, 12)' }],
    },
    {
      key: 'varnish',
      title: 'Varnish, coat {n} of {times}, grit between',
      operation: 'varnish',
      times: 'coats',
      when: "school == 'varnish' || school == 'epoxy'",
      hours: '0.15 * areaM2',
      dry: true,
      minC: 10,
      wait: chem(24),
      materials: [
        { what: 'Varnish with sun filter', unit: 'L', quantity: 'coatLitres(areaM2, 1, 12)' },
        { what: 'Paper 320', unit: 'sheets', quantity: 'ceil(areaM2)' },
      ],
    },
    {
      key: 'twoPart',
      title: 'Two-part clear, coat {n} of {times}',
      operation: 'varnish',
      times: 'coats',
      when: "school == 'twoPart'",
      hours: '0.15 * areaM2',
      dry: true,
      minC: 10,
      wait: chem(16),
      within: '48',
      caution:
        'Brushed or rolled only: sprayed it takes an air-fed mask. Never over one-part varnish.',
      materials: [
        { what: 'Two-part clear, mixed', unit: 'L', quantity: 'coatLitres(areaM2, 1, 11)' },
        { what: 'Paper 320', unit: 'sheets', quantity: 'ceil(areaM2)' },
      ],
    },
  ],
}

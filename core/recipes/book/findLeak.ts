import type { Recipe } from '../recipe'
import { counted, driesFor, input, ours, two } from './words'

/** 2 */
export const findLeak: Recipe = {
  ...ours,
  key: 'find-leak',
  title: 'Find a leak',
  about:
    'For water below whose way in is not known. Water runs along the core and the lining: it seldom drips under its hole.',
  purpose: 'float',
  system: 'deck',
  inputs: [
    input(
      'fittings',
      'Fittings to try',
      'pieces',
      [1, 9, 60],
      'Everything above the wet place.',
      counted,
    ),
  ],
  choices: [],
  values: [],
  steps: [
    {
      key: 'dry',
      title: 'Dry the place, mark what is wet',
      operation: 'survey',
      hours: '0.5',
      wait: driesFor('1'),
      materials: [{ what: 'Paper strips to see a drop by', unit: 'pieces', quantity: 'fittings' }],
    },
    {
      key: 'hose',
      title: 'Hose low to high, ten minutes a fitting',
      operation: 'test',
      hours: 'fittings / 6',
      count: { unit: 'fittings', of: 'fittings' },
      ...two,
      helpers: true,
      tools: ['Hose', 'Torch', 'Two telephones or a shout'],
    },
    {
      key: 'finding',
      title: 'Write down what leaked as a finding',
      operation: 'survey',
      hours: '0.1',
    },
  ],
}

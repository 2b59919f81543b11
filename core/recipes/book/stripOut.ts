import type { Recipe } from '../recipe'
import { counted, input, ours } from './words'

/** 24 */
export const stripOut: Recipe = {
  ...ours,
  key: 'strip-out',
  title: 'Strip-out with bags',
  about:
    'For taking a place apart so that it goes together again in two years: a bag, a code, a picture, a wire list each.',
  purpose: 'live',
  system: 'interior',
  inputs: [
    input('bags', 'Bags', 'pieces', [1, 8, 200], 'One for each thing that comes out.', counted),
    input('wires', 'Wires', 'pieces', [0, 10, 500], 'Every end that is undone.', counted),
  ],
  choices: [],
  values: [],
  steps: [
    {
      key: 'photograph',
      title: 'Photograph it whole, then as it opens',
      operation: 'label',
      hours: '0.05 * bags',
      helpers: true,
    },
    {
      key: 'wires',
      title: 'List every wire: from, to, colour, label',
      operation: 'label',
      hours: '0.1 * wires',
      when: 'wires > 0',
      skill: 'electrics',
      caution: 'Isolate and prove dead first.',
      materials: [{ what: 'Wire label', unit: 'pieces', quantity: '2 * wires' }],
    },
    {
      key: 'bag',
      title: 'Take out, bag, label',
      operation: 'strip',
      opens: false,
      hours: '0.25 * bags',
      materials: [{ what: 'Zip bag and label', unit: 'pieces', quantity: 'withSpares(1, bags)' }],
    },
    { key: 'map', title: 'Map of what came from where', operation: 'survey', hours: '0.3' },
    {
      key: 'store',
      title: 'Store the bags, write down where',
      operation: 'label',
      hours: '0.05 * bags',
    },
  ],
}

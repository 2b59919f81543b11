import type { Recipe } from '../recipe'
import { away, counted, input, ours, takesDays } from './words'

/** 22 */
export const outToTrade: Recipe = {
  ...ours,
  key: 'out-to-trade',
  title: 'Sails, rig or upholstery out to a trade',
  about:
    'For work that leaves the boat: every piece labelled, every change agreed before it is made.',
  purpose: 'live',
  system: 'rig',
  inputs: [
    input(
      'pieces',
      'Pieces',
      'pieces',
      [1, 5, 60],
      'Each gets a label and a line on the list.',
      counted,
    ),
    input('leadDays', 'Lead', 'days', [1, 30, 365], 'What the trade says.', {
      drawing: 'calendar',
    }),
  ],
  choices: [],
  values: [],
  steps: [
    {
      key: 'bag',
      title: 'Bag and label every piece',
      operation: 'label',
      hours: '0.2 * pieces',
      helpers: true,
      materials: [{ what: 'Bag and label', unit: 'pieces', quantity: 'withSpares(1, pieces)' }],
    },
    { key: 'quote', title: 'Quote in writing', operation: 'survey', hours: '0.5' },
    {
      key: 'agree',
      title: 'Agree changes: what, price, days, who',
      operation: 'survey',
      hours: '0.3',
    },
    {
      key: 'lead',
      title: 'With the trade',
      operation: 'contract',
      hours: '0',
      ...away,
      wait: takesDays('leadDays'),
    },
    { key: 'collect', title: 'Collect', operation: 'fit', hours: '1', ...away },
    {
      key: 'check',
      title: 'Check every piece on return',
      operation: 'test',
      hours: '0.1 * pieces',
    },
  ],
}

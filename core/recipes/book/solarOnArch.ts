import type { Recipe } from '../recipe'
import { away, counted, input, ours, sealantSets, takesDays, two } from './words'

/** 19 */
export const solarOnArch: Recipe = {
  ...ours,
  key: 'solar-on-arch',
  title: 'Solar panels on an arch',
  about:
    'For an arch made by a fabricator. Dry fit aboard before the finish treatment: nothing fits after it.',
  purpose: 'live',
  system: 'electrical',
  inputs: [
    input('panels', 'Panels', 'pieces', [1, 2, 8], 'All on the arch.', counted),
    input('boltsEach', 'Fastenings a panel', 'pieces', [2, 6, 16], 'As its frame asks.', {
      ...counted,
      drawing: 'holes',
    }),
    input(
      'feet',
      'Feet of the arch',
      'pieces',
      [2, 4, 8],
      'Each bolted through the deck.',
      counted,
    ),
    input('runM', 'Cable run, one way', 'm', [1, 8, 30], 'From the panels to the controller.', {
      drawing: 'line',
    }),
  ],
  choices: [],
  values: [
    {
      key: 'fastenings',
      label: 'Panel fastenings with spares',
      unit: 'pieces',
      formula: 'withSpares(boltsEach, panels)',
    },
  ],
  steps: [
    {
      key: 'fabricate',
      title: 'Arch made by the fabricator',
      operation: 'contract',
      hours: '0',
      ...away,
      wait: takesDays('20'),
    },
    {
      key: 'dryFit',
      title: 'Dry fit on the boat, drill everything',
      operation: 'fit',
      hours: '3',
      ...two,
    },
    {
      key: 'finish',
      title: 'Finish treatment',
      operation: 'contract',
      hours: '0',
      ...away,
      wait: takesDays('12'),
    },
    {
      key: 'isolate',
      title: 'Isolate unlike metals: sheet, sleeves, washers',
      operation: 'fit',
      hours: '0.3 * panels',
      materials: [{ what: 'Isolating sleeve and washers', unit: 'pieces', quantity: 'fastenings' }],
    },
    {
      key: 'count',
      title: 'Count the fastenings before going',
      operation: 'survey',
      hours: '0.2',
      materials: [
        { what: 'Panel bolt, nut, washers', unit: 'pieces', quantity: 'fastenings', pack: 10 },
      ],
    },
    {
      key: 'hoist',
      title: 'Hoist with a halyard',
      operation: 'fit',
      hours: '2',
      crew: [3, 3],
      caution: 'Nobody under it. A tag line on each side, calm day.',
    },
    {
      key: 'bed',
      title: 'Bed the feet, then bolt',
      operation: 'bed',
      hours: '1.5',
      ...two,
      dry: true,
      wait: sealantSets('72'),
      materials: [
        {
          what: 'Sealant, serviceable',
          unit: 'cartridges',
          quantity: 'cartridges(beadMl(8, 0.5 * feet))',
          pack: 1,
        },
      ],
    },
    {
      key: 'battery',
      title: 'Battery on the controller first',
      operation: 'wire',
      hours: '0.3',
      skill: 'electrics',
      caution:
        'Battery before panel: a controller that meets the panel first may die. Cover the panels.',
    },
    {
      key: 'cable',
      title: 'Cable through its gland',
      operation: 'wire',
      hours: '0.8',
      skill: 'electrics',
      caution: 'Panels make voltage in any light: cover them.',
      materials: [
        { what: 'Solar cable, two cores', unit: 'm', quantity: 'runM * 1.1' },
        { what: 'Deck gland', unit: 'pieces', quantity: '1' },
      ],
    },
    {
      key: 'volts',
      title: 'Volts and amps, written down',
      operation: 'test',
      hours: '0.3',
      skill: 'electrics',
      tools: ['Meter'],
    },
  ],
}

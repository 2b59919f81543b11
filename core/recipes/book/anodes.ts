import type { Recipe } from '../recipe'
import { ashore, counted, input, ours } from './words'

/** 10 */
export const anodes: Recipe = {
  ...ours,
  key: 'anodes',
  title: 'Anodes',
  about:
    'For the yearly change. Two methods may be tried side by side on purpose and compared at the next lift.',
  purpose: 'float',
  system: 'stern gear',
  inputs: [
    input('count', 'Anodes', 'pieces', [1, 4, 40], 'Hull, shaft, rudder, propeller.', counted),
  ],
  choices: [
    {
      key: 'metal',
      label: 'Metal',
      initial: 'zinc',
      options: [
        {
          value: 'zinc',
          label: 'Zinc',
          why: 'The usual one in salt water; films over and stops working in brackish or fresh water.',
        },
        {
          value: 'aluminium',
          label: 'Aluminium',
          why: 'Lighter, goes on working in brackish rivers, lasts longer; never mixed with zinc on one bond.',
        },
      ],
    },
  ],
  values: [],
  steps: [
    {
      key: 'clean',
      title: 'Clean the seats to bright metal',
      operation: 'clean',
      hours: '0.2 * count',
      ...ashore,
      tools: ['Wire brush', 'Emery'],
    },
    {
      key: 'fit',
      title: 'Fit them, never paint them',
      operation: 'fit',
      caution: 'Bare metal to bare metal, last of all, after the antifouling.',
      hours: '0.2 * count',
      ...ashore,
      materials: [
        { what: 'Anode, {metal}', unit: 'pieces', quantity: 'count' },
        {
          what: 'Fastening and shake-proof washer',
          unit: 'pieces',
          quantity: 'withSpares(2, count)',
        },
      ],
    },
    {
      key: 'bond',
      title: 'Bond under 0.1 Ω, each one',
      operation: 'test',
      hours: '0.1 * count',
      ...ashore,
      tools: ['Meter that reads 0.1 Ω'],
    },
  ],
}

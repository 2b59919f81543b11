import type { Recipe } from '../recipe'
import {
  closingSteps,
  openingInputs,
  openingSteps,
  openingValues,
  openingWay,
  readingStep,
  watchStep,
} from './hullOpening'
import { ashore, chem, input, ours } from './words'

/** 6 */
export const throughHull: Recipe = {
  ...ours,
  key: 'through-hull',
  title: 'Through-hull or valve in a cored bottom',
  about:
    'For a new opening below the waterline with its valve. Do it before that area is antifouled.',
  purpose: 'float',
  system: 'plumbing',
  inputs: [
    ...openingInputs,
    input('hoseM', 'Hose', 'm', [0.2, 1.5, 10], 'From the valve to what it serves.', {
      drawing: 'line',
    }),
  ],
  choices: [openingWay],
  values: openingValues,
  steps: [
    {
      key: 'measure',
      title: 'Measure the thickness and what is behind, both sides',
      operation: 'survey',
      hours: '0.5',
      ...ashore,
    },
    readingStep,
    ...openingSteps,
    {
      key: 'pad',
      title: 'Backing pad, {pad} mm',
      operation: 'fit',
      hours: '0.8',
      ...ashore,
      wait: chem(24),
      materials: [{ what: 'Backing pad {pad} mm', unit: 'pieces', quantity: '1' }],
    },
    ...closingSteps,
    {
      key: 'connect',
      title: 'Connect, two clips on every end',
      operation: 'plumb',
      hours: '0.6',
      ...ashore,
      materials: [
        { what: 'Through-hull and valve, {bore} mm', unit: 'pieces', quantity: '1' },
        { what: 'Hose', unit: 'm', quantity: 'hoseM * 1.1' },
        { what: 'Hose clip, stainless', unit: 'pieces', quantity: 'withSpares(4, 1)' },
      ],
    },
    { key: 'work', title: 'Work the valve ten times', operation: 'test', hours: '0.1', ...ashore },
    watchStep,
  ],
}

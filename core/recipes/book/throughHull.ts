import type { Recipe } from '../recipe'
import {
  closingSteps,
  measureStep,
  openingInputs,
  openingSteps,
  openingValues,
  openingWay,
  padStep,
  readingStep,
  watchSteps,
} from './hullOpening'
import { ashore, input, ours, writeDown } from './words'

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
    measureStep,
    readingStep,
    ...openingSteps,
    padStep,
    ...closingSteps('Through-hull and valve, {bore} mm, bronze or dezincification-resistant'),
    {
      key: 'connect',
      title: 'Connect, two clips on every end',
      operation: 'plumb',
      hours: '0.6',
      ...ashore,
      materials: [
        { what: 'Hose', unit: 'm', quantity: 'hoseM * 1.1' },
        { what: 'Hose clip, stainless', unit: 'pieces', quantity: 'withSpares(4, 1)' },
      ],
    },
    { key: 'work', title: 'Work the valve ten times', operation: 'test', hours: '0.1', ...ashore },
    { ...writeDown('hole, sealant, valve and hose'), ...ashore },
    ...watchSteps,
  ],
}

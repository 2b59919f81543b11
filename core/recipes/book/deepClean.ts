import type { Recipe } from '../recipe'
import { counted, input, ours } from './words'

/** 25 */
export const deepClean: Recipe = {
  ...ours,
  key: 'deep-clean',
  title: 'Deep clean and move aboard',
  about: 'For after the last dusty step in a cabin. One place at a time, emptied, cleaned, filled.',
  purpose: 'live',
  system: 'interior',
  inputs: [
    input('places', 'Places', 'pieces', [1, 4, 30], 'Cabins, galley, heads.', counted),
    input('bunkM2', 'Cushions', 'm²', [0, 6, 40], 'Area that wants air under it.', {
      drawing: 'panel',
    }),
  ],
  choices: [],
  values: [],
  steps: [
    {
      key: 'empty',
      title: 'Empty, place {n} of {times}',
      operation: 'clean',
      times: 'places',
      hours: '0.5',
      helpers: true,
    },
    {
      key: 'vacuum',
      title: 'Vacuum every slot and corner',
      operation: 'clean',
      hours: '0.5 * places',
      helpers: true,
      caution: 'Old dust: P3 respirator.',
    },
    {
      key: 'wash',
      title: 'Wash down, dry',
      operation: 'clean',
      hours: '0.7 * places',
      helpers: true,
    },
    {
      key: 'mat',
      title: 'Ventilating mat and insulation under cushions',
      operation: 'fit',
      hours: '0.2 * bunkM2',
      when: 'bunkM2 > 0',
      materials: [{ what: 'Ventilating mat', unit: 'm²', quantity: 'bunkM2 * 1.1' }],
    },
    { key: 'stow', title: 'Stow', operation: 'finish', hours: '1 * places' },
  ],
}

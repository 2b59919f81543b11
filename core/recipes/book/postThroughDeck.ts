import type { Recipe } from '../recipe'
import { chem, counted, input, ours, sealantSets, shed, two } from './words'

/** 15 */
export const postThroughDeck: Recipe = {
  ...ours,
  key: 'post-through-deck',
  title: 'Post or bitt through the deck',
  about:
    'For a laminated post that passes the deck and stands on structure below, with a spar bolted through it.',
  purpose: 'go',
  system: 'ground tackle',
  inputs: [
    input('side', 'Side of the post', 'mm', [40, 100, 300], 'Square section.', {
      drawing: 'section',
    }),
    input(
      'faces',
      'Faces tabbed',
      'pieces',
      [2, 4, 4],
      'At deck and foot together they count once.',
      counted,
    ),
    input(
      'tabM',
      'Tab length a face',
      'm',
      [0.05, 0.3, 2],
      'Along the joint: face at the deck and at the foot.',
      { drawing: 'fillet' },
    ),
    input('plies', 'Tab plies', 'pieces', [1, 4, 10], 'Each wider than the one beneath.', {
      whole: true,
      drawing: 'plies',
    }),
    input('fillet', 'Fillet radius', 'mm', [6, 20, 60], 'Made first, under the tabs.', {
      drawing: 'fillet',
    }),
    input(
      'cloth',
      'Cloth',
      'g/m²',
      [100, 450, 1200],
      'Dry weight of one ply; biaxial, half resin.',
      { drawing: 'cloth' },
    ),
  ],
  choices: [],
  values: [
    { key: 'jointM', label: 'Joint', unit: 'm', formula: 'faces * tabM' },
    {
      key: 'filletMl',
      label: 'Fillet filler',
      unit: 'mL',
      formula: 'filletMlPerM(fillet) * jointM * 1.25',
    },
    {
      key: 'tabM2',
      label: 'Tab cloth with a tenth for cutting',
      unit: 'm²',
      formula: 'tabbingAreaM2(jointM, 50, fillet, plies) * 1.1',
    },
    {
      key: 'resinKg',
      label: 'Mixed resin for the tabs',
      unit: 'kg',
      formula: 'tabM2 * resinKgPerM2(cloth, 0.5)',
    },
  ],
  steps: [
    {
      key: 'blank',
      title: 'Laminate the blank',
      operation: 'laminate',
      hours: '3',
      ...shed,
      wait: chem(24),
      minC: 12,
      materials: [
        { what: 'Timber for a {side} mm post', unit: 'pieces', quantity: '1' },
        { what: 'Epoxy glue', unit: 'kg', quantity: '0.4' },
      ],
    },
    {
      key: 'cut',
      title: 'Cut the deck, dig the core back and seal it',
      operation: 'cut',
      hours: '1.5',
      dry: true,
      minC: 10,
      wait: chem(16),
      caution: 'The hole is open to the rain until the post stands: shut it every evening.',
      materials: [
        {
          what: 'Epoxy thickened for filling',
          unit: 'mL',
          mix: 'fill',
          quantity: '4 * side * 15 * 15 / 1000 * 1.25',
        },
        { what: 'Sheet and tape to shut the hole', unit: 'm', quantity: '1' },
      ],
    },
    {
      key: 'foot',
      title: 'Set it at its angle, bed the foot',
      operation: 'laminate',
      hours: '2',
      ...two,
      minC: 12,
      wait: chem(24),
      materials: [
        {
          what: 'Thick bedding mix',
          unit: 'mL',
          mix: 'bed',
          quantity: 'side * side * 5 / 1000 * 1.25',
        },
      ],
    },
    {
      key: 'tabs',
      title: 'Fillet and tabs, face {n} of {times}',
      operation: 'laminate',
      times: 'faces',
      hours: '1.5',
      minC: 12,
      wait: chem(24),
      within: '72',
      materials: [
        { what: 'Fillet mix', unit: 'mL', mix: 'fillet', quantity: 'filletMl / faces' },
        { what: 'Biaxial {cloth} g/m², stitched', unit: 'm²', quantity: 'tabM2 / faces' },
        { what: 'Epoxy, mixed', unit: 'kg', mix: 'wetOut', quantity: 'resinKg / faces' },
        { what: 'Peel ply', unit: 'm²', quantity: 'tabM2 / faces / plies' },
      ],
    },
    {
      key: 'spacers',
      title: 'Bond the spacers, screws out after the cure',
      operation: 'laminate',
      hours: '0.5',
      minC: 12,
      wait: chem(16),
      materials: [
        { what: 'Spacer', unit: 'pieces', quantity: 'faces' },
        { what: 'Epoxy glue', unit: 'kg', quantity: '0.05 * faces' },
      ],
    },
    {
      key: 'spar',
      title: 'Fit the spar dry, bore through both',
      operation: 'drill',
      hours: '0.8',
      ...two,
      materials: [
        {
          what: 'Through-bolt for the spar, with washers',
          unit: 'pieces',
          quantity: 'withSpares(2, 1)',
        },
      ],
    },
    {
      key: 'seal',
      title: 'Seal at the deck',
      operation: 'bed',
      hours: '0.4',
      dry: true,
      wait: sealantSets('72'),
      materials: [
        {
          what: 'Sealant',
          unit: 'cartridges',
          quantity: 'cartridges(beadMl(10, 4 * side / 1000))',
          pack: 1,
        },
      ],
    },
    { key: 'hose', title: 'Hose test', operation: 'test', hours: '0.3', ...two, helpers: true },
  ],
}

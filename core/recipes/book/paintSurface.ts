import type { Recipe } from '../recipe'
import { chem, input, ours } from './words'

/** 28 */
export const paintSurface: Recipe = {
  ...ours,
  key: 'paint-surface',
  title: 'Paint a surface',
  about:
    'Topsides, deck, cabin or bilge. What lies on it already decides what goes over it: rub it with solvent first. Not for under water.',
  purpose: 'shine',
  system: 'finish',
  inputs: [
    input('areaM2', 'Area', 'm²', [0.1, 12, 400], 'Without windows and fittings.', {
      drawing: 'panel',
    }),
    input('filmUm', 'Dry film a coat', 'µm', [15, 50, 200], 'From its data sheet.', {
      drawing: 'film',
    }),
    input('solids', 'Volume solids', '%', [20, 50, 100], 'From its data sheet.', {
      drawing: 'film',
    }),
    input('maskM', 'Edges to mask', 'm', [0, 20, 400], 'Windows, fittings, waterline, colours.', {
      drawing: 'line',
    }),
  ],
  choices: [
    {
      key: 'old',
      label: 'Old coat, rubbed with solvent',
      initial: 'hard',
      options: [
        {
          value: 'hard',
          label: 'Stays hard',
          why: 'A two-part coat, or gelcoat: either school may go over it once it is keyed.',
        },
        {
          value: 'soft',
          label: 'Goes soft or comes off on the rag',
          why: 'A one-part coat: two-part paint over it lifts it. One-part, or all of it off.',
        },
        {
          value: 'bare',
          label: 'Bare, or to be bare',
          why: 'Loose, cracked or unknown: off, and primed from the ground up.',
        },
      ],
    },
    {
      key: 'school',
      label: 'Paint',
      initial: 'onePart',
      options: [
        {
          value: 'onePart',
          label: 'One-part',
          why: 'Brushes out by itself, goes over most things, made good with a brush. Softer, dulls in some seasons.',
        },
        {
          value: 'twoPart',
          label: 'Two-part',
          why: 'Hard and bright for years. Fussy about warmth and damp, bonds by window, and its hardener is not to be breathed. Never over a one-part coat.',
        },
      ],
    },
    {
      key: 'tread',
      label: 'Trodden on',
      initial: 'no',
      options: [
        { value: 'no', label: 'No', why: 'Smooth.' },
        {
          value: 'yes',
          label: 'Yes, non-skid',
          why: 'Grit into the wet last coat but one, sealed by the last: falls are the commonest bad accident.',
        },
      ],
    },
  ],
  values: [
    {
      key: 'toBare',
      label: 'Old coat comes off',
      unit: 'times',
      formula: "old == 'bare' || (old == 'soft' && school == 'twoPart') ? 1 : 0",
    },
    {
      key: 'rate',
      label: 'A litre covers',
      unit: 'm²/L',
      formula: 'spreadingRate(solids, filmUm)',
    },
    {
      key: 'primerCoats',
      label: 'Coats of primer',
      unit: 'times',
      formula: 'toBare == 1 ? 2 : 1',
    },
  ],
  steps: [
    {
      key: 'rub',
      title: 'Rub a hidden place with solvent, wait, look at the rag',
      operation: 'test',
      hours: '0.2',
      caution: 'Solvent: gloves, fresh air, no flame.',
    },
    {
      key: 'wash',
      title: 'Wash, wipe off wax and grease, rinse',
      operation: 'clean',
      hours: '0.05 * areaM2',
      dry: true,
    },
    {
      key: 'strip',
      title: 'Old coat off to sound ground',
      operation: 'strip',
      opens: false,
      hours: '0.5 * areaM2',
      when: 'toBare == 1',
      caution:
        'Old paint may hold lead: wet or scraped, never dry-sanded; sheet beneath, mask, washed hands.',
    },
    {
      key: 'fair',
      title: 'Fill dents and scratches, sand flat',
      operation: 'fair',
      hours: '0.15 * areaM2',
      dry: true,
      minC: 10,
      wait: chem(12),
      rounds: { likely: 1, most: 3, until: 'a lamp along it throws no shadow' },
      materials: [{ what: 'Fairing filler', unit: 'L', quantity: '0.1 * areaM2' }],
    },
    {
      key: 'key',
      title: 'Key all over, vacuum, wipe with the paint’s own solvent',
      operation: 'grind',
      hours: '0.2 * areaM2',
      dry: true,
      materials: [{ what: 'Paper 220 and 320', unit: 'sheets', quantity: '2 * ceil(areaM2)' }],
    },
    {
      key: 'mask',
      title: 'Mask edges',
      operation: 'fit',
      hours: '0.02 * maskM',
      when: 'maskM > 0',
      materials: [{ what: 'Fine-line masking tape', unit: 'm', quantity: 'maskM * 1.1', pack: 50 }],
    },
    {
      key: 'primer',
      title: 'Prime, coat {n} of {times}',
      operation: 'prime',
      times: 'primerCoats',
      hours: '0.1 * areaM2',
      dry: true,
      minC: 10,
      wait: chem(12),
      within: '72',
      materials: [
        { what: 'Primer for that paint', unit: 'L', quantity: 'coatLitres(areaM2, 1, rate)' },
      ],
    },
    {
      key: 'onePart',
      title: 'Paint, coat {n} of {times}',
      operation: 'paint',
      times: '3',
      when: "school == 'onePart'",
      hours: '0.12 * areaM2',
      dry: true,
      minC: 8,
      wait: chem(24),
      materials: [
        { what: 'One-part paint', unit: 'L', quantity: 'coatLitres(areaM2, 1, rate)' },
        {
          what: 'Non-skid grit',
          unit: 'kg',
          quantity: '0.15 * areaM2',
          when: "tread == 'yes' && n == 2",
        },
      ],
    },
    {
      key: 'twoPart',
      title: 'Two-part paint, coat {n} of {times}',
      operation: 'paint',
      times: '3',
      when: "school == 'twoPart'",
      crew: [1, 2],
      hours: '0.15 * areaM2',
      dry: true,
      minC: 12,
      wait: chem(16),
      within: '48',
      caution:
        'Brushed and rolled: gloves, mask, air. Sprayed it takes an air-fed mask, or a trade.',
      materials: [
        { what: 'Two-part paint, mixed', unit: 'L', quantity: 'coatLitres(areaM2, 1, rate)' },
        {
          what: 'Non-skid grit',
          unit: 'kg',
          quantity: '0.15 * areaM2',
          when: "tread == 'yes' && n == 2",
        },
      ],
    },
    {
      key: 'pull',
      title: 'Pull the tape at a low angle before it is hard, look along it',
      operation: 'finish',
      hours: '0.3',
    },
  ],
}

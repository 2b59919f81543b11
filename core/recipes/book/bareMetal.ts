import type { Recipe } from '../recipe'
import { chem, input, ours } from './words'

/** Source: the trade's four hours for bare or etched metal, less when damp. */
const coatWithinH = '4'

/** 29 */
export const bareMetal: Recipe = {
  ...ours,
  key: 'bare-metal',
  title: 'Paint bare metal',
  about:
    'Aluminium, steel or a bright fitting from bare to painted. The first coat goes on within hours of the bare metal, or it is made bare again.',
  purpose: 'safe',
  system: 'finish',
  inputs: [
    input('areaM2', 'Area', 'm²', [0.02, 2, 200], 'All that is made bare.', { drawing: 'panel' }),
    input('primeCoats', 'Coats of primer', 'pieces', [1, 2, 6], 'By its data sheet.', {
      whole: true,
      drawing: 'count',
    }),
    input('topCoats', 'Top coats', 'pieces', [0, 2, 6], 'None where antifouling follows.', {
      whole: true,
      drawing: 'count',
    }),
  ],
  choices: [
    {
      key: 'metal',
      label: 'Metal',
      initial: 'aluminium',
      options: [
        {
          value: 'aluminium',
          label: 'Aluminium',
          why: 'Its skin grows back within hours: ground, etched, rinsed, coated the same day. No copper in any coat.',
        },
        {
          value: 'steel',
          label: 'Steel',
          why: 'Bright to the last pit, dry, coated before the first bloom of rust.',
        },
      ],
    },
    {
      key: 'etch',
      label: 'Made to hold paint by',
      initial: 'wash',
      options: [
        {
          value: 'wash',
          label: 'An acid wash, rinsed off',
          why: 'Bites all of it alike, also in corners. Wants much clean water, and drying.',
        },
        {
          value: 'primer',
          label: 'An etching primer',
          why: 'Acid and first coat in one. Thin as a stain: no more than its sheet says, and a barrier over it the same day.',
        },
      ],
    },
  ],
  values: [],
  steps: [
    {
      key: 'degrease',
      title: 'Degrease before anything is sanded',
      operation: 'clean',
      hours: '0.1 * areaM2 + 0.1',
      caution: 'Solvent: gloves, fresh air, no flame. Grease that is sanded in stays in.',
    },
    {
      key: 'bare',
      title: 'To bright metal',
      operation: 'grind',
      hours: '0.8 * areaM2',
      dry: true,
      caution: 'Sparks and dust: goggles, mask. Aluminium and steel dust are never swept together.',
      materials: [{ what: 'Discs and paper', unit: 'sheets', quantity: '4 * ceil(areaM2)' }],
      within: coatWithinH,
      window: 'bareMetal',
    },
    {
      key: 'wash',
      title: 'Etch, rinse with much fresh water, dry at once',
      operation: 'clean',
      when: "etch == 'wash'",
      hours: '0.2 * areaM2 + 0.2',
      dry: true,
      minC: 10,
      within: coatWithinH,
      window: 'bareMetal',
      caution: 'Acid: goggles, gloves, sleeves; into water, never water into it.',
      materials: [{ what: 'Etching wash for that metal', unit: 'L', quantity: '0.15 * areaM2' }],
    },
    {
      key: 'etchPrimer',
      title: 'Etching primer, thin',
      operation: 'prime',
      when: "etch == 'primer'",
      hours: '0.1 * areaM2 + 0.1',
      dry: true,
      minC: 10,
      wait: chem(2),
      within: '24',
      materials: [{ what: 'Etching primer', unit: 'L', quantity: 'coatLitres(areaM2, 1, 10)' }],
    },
    {
      key: 'primer',
      title: 'Prime, coat {n} of {times}',
      operation: 'prime',
      times: 'primeCoats',
      hours: '0.12 * areaM2',
      dry: true,
      minC: 10,
      wait: chem(8),
      within: '48',
      caution: 'Surface three degrees over the dew point, or it blooms under the paint.',
      materials: [
        { what: 'Epoxy primer for metal', unit: 'L', quantity: 'coatLitres(areaM2, 1, 7)' },
      ],
    },
    {
      key: 'top',
      title: 'Top coat {n} of {times}',
      operation: 'paint',
      times: 'topCoats',
      when: 'topCoats > 0',
      hours: '0.12 * areaM2',
      dry: true,
      minC: 10,
      wait: chem(16),
      within: '48',
      materials: [{ what: 'Top coat', unit: 'L', quantity: 'coatLitres(areaM2, 1, 10)' }],
    },
  ],
}

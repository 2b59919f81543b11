import type { Recipe } from '../recipe'
import { chem, counted, input, ours, shed } from './words'

/** 14 */
export const lockerLid: Recipe = {
  ...ours,
  key: 'locker-lid',
  title: 'Stiffen and re-gel a locker lid',
  about:
    'For a lid that bends underfoot with crazed gelcoat. Taken to the shed; the locker stays covered.',
  purpose: 'safe',
  system: 'deck',
  inputs: [
    input('areaM2', 'Lid', 'm²', [0.05, 0.5, 4], 'Length × width.', { drawing: 'panel' }),
    input('stringersM', 'Stringers', 'm', [0.2, 1.6, 20], 'All added, edge to edge.', {
      drawing: 'line',
    }),
    input('plies', 'Plies over them', 'pieces', [1, 2, 6], 'Two carry a foot.', {
      whole: true,
      drawing: 'plies',
    }),
    input('cloth', 'Cloth', 'g/m²', [100, 450, 1200], 'Dry weight of one ply.', {
      drawing: 'cloth',
    }),
    input('gelCoats', 'Gelcoats', 'pieces', [2, 4, 6], 'The last one waxed.', counted),
  ],
  choices: [
    {
      key: 'resin',
      label: 'Resin under the gelcoat',
      initial: 'polyester',
      options: [
        {
          value: 'polyester',
          label: 'Polyester',
          why: 'Gelcoat bonds to it as it is. Grips old laminate less well: grind deep, work clean.',
        },
        {
          value: 'epoxy',
          label: 'Epoxy, then a tie coat',
          why: 'Bonds best to what is there, and wants stitched cloth: the emulsion in mat keeps it dry. Gelcoat does not bond to it: a tie coat between is a must.',
        },
      ],
    },
  ],
  values: [
    {
      key: 'clothM2',
      label: 'Cloth with a tenth for cutting',
      unit: 'm²',
      formula: 'plies * areaM2 * 1.1',
    },
    {
      key: 'resinKg',
      label: 'Mixed resin for the plies',
      unit: 'kg',
      formula: 'clothM2 * resinKgPerM2(cloth, 0.42)',
    },
  ],
  steps: [
    {
      key: 'grind',
      title: 'Strip the inside to laminate',
      operation: 'grind',
      hours: '1',
      ...shed,
      tools: ['Grinder', 'Extraction'],
    },
    {
      key: 'stringers',
      title: 'Stringers: round the edges, wet out, bond, weight',
      operation: 'laminate',
      hours: '1.2',
      ...shed,
      minC: 12,
      wait: chem(16),
      caution: 'Edges rounded to 6 mm: glass does not turn sharp corners.',
      materials: [
        { what: 'Stringer', unit: 'm', quantity: 'stringersM * 1.1' },
        {
          what: 'Bonding mix, epoxy',
          unit: 'kg',
          quantity: '0.3 * stringersM',
          when: "resin == 'epoxy'",
        },
        {
          what: 'Bonding paste, polyester, with its catalyst',
          unit: 'kg',
          quantity: '0.3 * stringersM',
          when: "resin == 'polyester'",
        },
      ],
    },
    {
      key: 'plies',
      title: 'Plies over, {plies}',
      operation: 'laminate',
      hours: '0.8',
      ...shed,
      minC: 12,
      wait: chem(16),
      within: '72',
      materials: [
        {
          what: 'Stitched combination cloth {cloth} g/m², no emulsion binder',
          unit: 'm²',
          quantity: 'clothM2',
        },
        { what: 'Polyester resin', unit: 'kg', quantity: 'resinKg', when: "resin == 'polyester'" },
        {
          what: 'Peroxide catalyst, 2 %',
          unit: 'g',
          quantity: '20 * resinKg',
          when: "resin == 'polyester'",
        },
        {
          what: 'Epoxy, mixed',
          unit: 'kg',
          mix: 'wetOut',
          quantity: 'resinKg',
          when: "resin == 'epoxy'",
        },
        { what: 'Peel ply', unit: 'm²', quantity: 'areaM2 * 1.1' },
      ],
    },
    { key: 'trim', title: 'Trim, fit to the opening', operation: 'fit', hours: '1' },
    {
      key: 'tie',
      title: 'Tie coat over the epoxy',
      operation: 'prime',
      hours: '0.3',
      when: "resin == 'epoxy'",
      ...shed,
      wait: chem(12),
      materials: [{ what: 'Tie coat', unit: 'L', quantity: 'coatLitres(areaM2, 1, 8)' }],
    },
    {
      key: 'gel',
      title: 'Gelcoat, coat {n}, left tacky',
      operation: 'paint',
      times: 'gelCoats - 1',
      hours: '0.4',
      ...shed,
      minC: 15,
      wait: chem(3),
      caution: 'Peroxide catalyst burns eyes: goggles. Never mixed with accelerator.',
      materials: [
        { what: 'Gelcoat without wax', unit: 'kg', quantity: '0.6 * areaM2' },
        { what: 'Peroxide catalyst, 2 %', unit: 'g', quantity: '12 * areaM2' },
      ],
    },
    {
      key: 'gelLast',
      title: 'Last gelcoat, waxed or filmed',
      operation: 'paint',
      hours: '0.4',
      ...shed,
      minC: 15,
      wait: chem(24),
      caution: 'Peroxide catalyst burns eyes: goggles. Never mixed with accelerator.',
      materials: [
        { what: 'Gelcoat with wax', unit: 'kg', quantity: '0.6 * areaM2' },
        { what: 'Peroxide catalyst, 2 %', unit: 'g', quantity: '12 * areaM2' },
      ],
    },
    {
      key: 'polish',
      title: 'Wet sand 400, 800, 1200, compound, wax',
      operation: 'finish',
      hours: '1.5',
      ...shed,
      materials: [{ what: 'Wet paper, three grits', unit: 'sheets', quantity: '6' }],
    },
  ],
}

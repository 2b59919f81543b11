import type { Recipe } from '../recipe'
import { chem, counted, input, ours, shed } from './words'

/** 17 */
export const sisterFrame: Recipe = {
  ...ours,
  key: 'sister-frame',
  title: 'Sister a frame',
  about:
    'For cracked or soft frames beside which a new one can lie. Linings go back last, after the test.',
  purpose: 'float',
  system: 'structure',
  inputs: [
    input('members', 'Frames', 'pieces', [1, 2, 60], 'Each with its number and side.', counted),
    input(
      'lengthM',
      'Length of a sister',
      'm',
      [0.2, 1.2, 6],
      'Past the damage both ways by six times its depth.',
      { drawing: 'frame' },
    ),
    input('spacing', 'Fastening spacing', 'mm', [50, 150, 400], 'Along the frame, staggered.', {
      drawing: 'span',
    }),
    input(
      'butts',
      'Butt blocks',
      'pieces',
      [0, 1, 40],
      'Planking joints in the way that go back as scarfs.',
      counted,
    ),
  ],
  choices: [
    {
      key: 'stuff',
      label: 'Sisters of',
      initial: 'laminated',
      options: [
        {
          value: 'laminated',
          label: 'Laminated strips',
          why: 'Takes any curve cold, no grain to split. Glue, clamps and a day of cure each.',
        },
        {
          value: 'polymer',
          label: 'Polymer bar',
          why: 'Does not rot, is sawn to the pattern and needs no glue. Heavy, creeps under load, holds fastenings only when through-bolted.',
        },
        {
          value: 'steamed',
          label: 'Steamed timber',
          why: 'One piece, quick once the box is hot, nothing to delaminate. Needs green straight stock and many hands.',
        },
      ],
    },
  ],
  values: [
    {
      key: 'timberM',
      label: 'Timber with a fifth for waste',
      unit: 'm',
      formula: 'members * lengthM * 1.2',
    },
    {
      key: 'fastenings',
      label: 'Fastenings with spares',
      unit: 'pieces',
      formula: 'withSpares(ceil(lengthM * 1000 / spacing) + 1, members)',
    },
  ],
  steps: [
    {
      key: 'clear',
      title: 'Remove what is in the way',
      operation: 'strip',
      opens: false,
      hours: '0.5 * members',
    },
    {
      key: 'pattern',
      title: 'Patterns, numbered',
      operation: 'survey',
      hours: '0.5 * members',
      skill: 'woodwork',
    },
    {
      key: 'bend',
      title: 'Laminate the sisters',
      operation: 'laminate',
      hours: '1 * members',
      when: "stuff == 'laminated'",
      ...shed,
      skill: 'woodwork',
      minC: 12,
      wait: chem(24),
      materials: [
        { what: 'Timber strip for the sisters', unit: 'm', quantity: 'timberM' },
        { what: 'Epoxy glue', unit: 'kg', quantity: '0.25 * timberM' },
      ],
    },
    {
      key: 'steam',
      title: 'Steam and bend the sisters',
      operation: 'fit',
      hours: '1 * members',
      when: "stuff == 'steamed'",
      crew: [2, 4],
      skill: 'woodwork',
      caution: 'Scalding steam and hot wood: gloves, clear way from box to boat.',
      materials: [{ what: 'Green timber for the sisters', unit: 'm', quantity: 'timberM' }],
    },
    {
      key: 'saw',
      title: 'Saw the sisters to their patterns',
      operation: 'cut',
      hours: '0.8 * members',
      when: "stuff == 'polymer'",
      ...shed,
      skill: 'woodwork',
      materials: [{ what: 'Polymer bar for the sisters', unit: 'm', quantity: 'timberM' }],
    },
    {
      key: 'fasten',
      title: 'Drill from inside, clamp and fasten',
      operation: 'fit',
      caution:
        'Below the waterline: depth stop, plug and hammer within reach, never alone afloat. Every second frame first, never two neighbours open.',
      hours: '1.5 * members',
      count: { unit: 'members', of: 'members', noNeighbours: true },
      skill: 'woodwork',
      materials: [{ what: 'Fastening', unit: 'pieces', quantity: 'fastenings', pack: 25 }],
    },
    {
      key: 'scarf',
      title: 'Put butt blocks back as scarfs, 8:1 or longer',
      operation: 'fit',
      hours: '0.5 * butts',
      when: 'butts > 0',
      skill: 'woodwork',
      minC: 12,
      wait: chem(24),
      materials: [{ what: 'Epoxy glue', unit: 'kg', quantity: '0.15 * butts' }],
    },
    {
      key: 'test',
      title: 'Look again: nothing moves, nothing weeps',
      operation: 'test',
      hours: '0.2 * members',
    },
    { key: 'lining', title: 'Linings back, last', operation: 'close', hours: '0.5 * members' },
  ],
}

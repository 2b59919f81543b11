import type { Recipe } from '../recipe'
import { counted, input, ours, shed } from './words'

/** 20 */
export const recoverLining: Recipe = {
  ...ours,
  key: 'recover-lining',
  title: 'Re-cover floor or lining',
  about: 'For vinyl, carpet or foam-backed lining on boards that come out.',
  purpose: 'live',
  system: 'interior',
  inputs: [
    input(
      'count1',
      'Pieces of the first size',
      'pieces',
      [1, 4, 200],
      'Boards that come out.',
      counted,
    ),
    input('long1M', 'their length', 'm', [0.05, 1.1, 6], 'Along the pile, where it has one.', {
      drawing: 'panel',
    }),
    input('wide1M', 'their width', 'm', [0.05, 0.5, 4], 'Across it.', { drawing: 'panel' }),
    input('count2', 'Pieces of a second size', 'pieces', [0, 2, 200], '0 for none.', {
      whole: true,
    }),
    input('long2M', 'their length (second)', 'm', [0.05, 0.8, 6], 'Along the pile.', {
      drawing: 'panel',
    }),
    input('wide2M', 'their width (second)', 'm', [0.05, 0.4, 4], 'Across it.', {
      drawing: 'panel',
    }),
    input(
      'wrapMm',
      'Wrapped round each edge',
      'mm',
      [0, 50, 150],
      'Turned over and glued behind.',
      {
        drawing: 'edge',
      },
    ),
    input('rollM', 'Roll width', 'm', [0.5, 1.4, 4], 'Of the covering.', { drawing: 'roll' }),
  ],
  choices: [
    {
      key: 'pile',
      label: 'Pile or pattern',
      initial: 'oneWay',
      options: [
        {
          value: 'oneWay',
          label: 'Runs one way',
          why: 'Every piece lies along the roll, or it shades differently.',
        },
        { value: 'none', label: 'None', why: 'Pieces may be turned where that saves length.' },
      ],
    },
  ],
  values: [
    {
      key: 'areaM2',
      label: 'Area of all pieces',
      unit: 'm²',
      formula: 'count1 * long1M * wide1M + count2 * long2M * wide2M',
    },
    { key: 'pieces', label: 'Pieces', unit: 'pieces', formula: 'count1 + count2' },
    {
      key: 'coverM',
      label: 'Length off the roll, laid out row by row',
      unit: 'm',
      formula:
        "rollM(count1, long1M + wrapMm / 500, wide1M + wrapMm / 500, count2, long2M + wrapMm / 500, wide2M + wrapMm / 500, rollM, pile == 'none' ? 1 : 0)",
    },
  ],
  steps: [
    {
      key: 'lift',
      title: 'Lift and number the pieces, arrows forward',
      operation: 'strip',
      opens: false,
      hours: '0.4 * pieces',
      tools: ['Marker', 'Masking tape'],
    },
    {
      key: 'scrape',
      title: 'Scrape every edge: the long part',
      operation: 'strip',
      opens: false,
      hours: '0.8 * areaM2',
      ...shed,
      caution: 'Old glue and foam dust: P3 respirator, extraction.',
    },
    {
      key: 'plan',
      title: 'Cutting plan, direction arrows',
      operation: 'survey',
      hours: '0.5',
      ...shed,
    },
    {
      key: 'glue',
      title: 'Glue the middle, then wrap the edges',
      operation: 'fit',
      hours: '0.7 * areaM2',
      ...shed,
      caution: 'Contact glue: fresh air, no flames, no sparks.',
      materials: [
        { what: 'Covering, {rollM} m wide', unit: 'm', quantity: 'coverM * 1.03' },
        { what: 'Contact glue, both faces', unit: 'L', quantity: '2 * areaM2 / 4', pack: 1 },
      ],
    },
    {
      key: 'back',
      title: 'Pieces back by their numbers',
      operation: 'close',
      hours: '0.1 * pieces',
    },
  ],
}

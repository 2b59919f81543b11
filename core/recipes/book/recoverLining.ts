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
    input('areaM2', 'Area', 'm²', [0.2, 5, 80], 'All pieces.', { drawing: 'panel' }),
    input('pieces', 'Pieces', 'pieces', [1, 6, 80], 'Boards that come out.', counted),
    input('edgeM', 'Edges to wrap', 'm', [0, 20, 300], 'All round all pieces.', {
      drawing: 'edge',
    }),
    input('rollM', 'Roll width', 'm', [0.5, 1.4, 4], 'Of the covering.', { drawing: 'roll' }),
  ],
  choices: [],
  values: [
    {
      key: 'coverM2',
      label: 'Covering with 50 mm to wrap and 15 % waste',
      unit: 'm²',
      formula: '(areaM2 + 0.05 * edgeM) * 1.15',
    },
    { key: 'coverM', label: 'Length off the roll', unit: 'm', formula: 'coverM2 / rollM' },
  ],
  steps: [
    {
      key: 'lift',
      title: 'Lift and number the pieces, arrows forward',
      operation: 'strip',
      hours: '0.4 * pieces',
      tools: ['Marker', 'Masking tape'],
    },
    {
      key: 'scrape',
      title: 'Scrape every edge: the long part',
      operation: 'strip',
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
        { what: 'Covering, {rollM} m wide', unit: 'm', quantity: 'coverM' },
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

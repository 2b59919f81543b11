import type { Recipe } from '../recipe'
import { bedSteps, proveSteps, sleeveInputs, sleeveSteps, sleeveValues } from './sleevedFitting'
import { away, beddingChoice, counted, input, ours, shed, takesDays, two } from './words'

/** 12 */
export const postsAndRail: Recipe = {
  ...ours,
  key: 'posts-and-rail',
  title: 'Equal-spaced posts with rail and lines',
  about:
    'For a run of guardrail posts. Spans come out equal; where a post would meet a hatch, chainplate or drain, move it on the tape before anything is ordered.',
  purpose: 'safe',
  system: 'deck',
  inputs: [
    input(
      'lengthM',
      'Length of the run',
      'm',
      [0.5, 7.2, 40],
      'With a batten along the deck edge, without the gate.',
      { drawing: 'line' },
    ),
    input('gateM', 'Gate', 'm', [0, 0.7, 3], 'Left open in the run; 0 for none.', {
      drawing: 'span',
    }),
    input('longestM', 'Longest span', 'm', [0.5, 1.6, 2.2], 'What the lines may stand free.', {
      drawing: 'span',
    }),
    input('boltsEach', 'Bolts a base', 'pieces', [1, 4, 8], 'Holes in one post base.', {
      ...counted,
      drawing: 'holes',
    }),
    input('lines', 'Lines', 'pieces', [1, 2, 4], 'Guard lines above each other.', counted),
    ...sleeveInputs,
  ],
  choices: [beddingChoice],
  values: [
    { key: 'spanCount', label: 'Equal spans', unit: 'pieces', formula: 'spans(lengthM, longestM)' },
    { key: 'spanM', label: 'Each span', unit: 'm', formula: 'lengthM / spanCount' },
    {
      key: 'posts',
      label: 'Posts',
      unit: 'pieces',
      formula: 'spanCount + 1 + (gateM > 0 ? 1 : 0)',
    },
    { key: 'holes', label: 'Holes', unit: 'pieces', formula: 'posts * boltsEach' },
    ...sleeveValues,
    {
      key: 'bolts',
      label: 'Bolts with spares',
      unit: 'pieces',
      formula: 'withSpares(boltsEach, posts)',
    },
    {
      key: 'boltLong',
      label: 'Bolt to buy',
      unit: 'mm',
      formula: 'boltToBuy(bolt, 6 + skin + core + 6 + 2, washersMm(bolt, 2))',
    },
  ],
  steps: [
    {
      key: 'walk',
      title: 'Walk the line with a batten',
      operation: 'survey',
      hours: '1',
      ...two,
      caution:
        'Falls from the deck are the commonest bad accident ashore: harness or a rail while the posts are off.',
      tools: ['Batten', 'Tape', 'Chalk'],
    },
    {
      key: 'plan',
      title: 'Spacing on tape, one datum, keep-outs marked',
      operation: 'survey',
      hours: '0.5',
    },
    {
      key: 'wedges',
      title: 'Wedges to bring each post plumb',
      operation: 'fit',
      hours: '0.3 * posts',
      ...shed,
      materials: [{ what: 'Wedge blank', unit: 'pieces', quantity: 'posts' }],
    },
    {
      key: 'fabricate',
      title: 'Posts and rail made',
      operation: 'contract',
      hours: '0',
      ...away,
      wait: takesDays('15'),
    },
    ...sleeveSteps,
    {
      key: 'dryFit',
      title: 'Dry fit, sight along the run',
      operation: 'fit',
      hours: '0.3 * posts',
    },
    ...bedSteps([
      { what: 'Post', unit: 'pieces', quantity: 'posts' },
      { what: 'Bolt M{bolt} × {boltLong} mm', unit: 'pieces', quantity: 'bolts', pack: 5 },
      { what: 'Nut M{bolt}', unit: 'pieces', quantity: 'bolts', pack: 5 },
      { what: 'Washer M{bolt}', unit: 'pieces', quantity: '2 * bolts', pack: 10 },
      { what: 'Guard line', unit: 'm', quantity: 'lines * lengthM * 1.05' },
      {
        what: 'Butyl tape',
        unit: 'm',
        quantity: '0.4 * posts',
        pack: 5,
        when: "bedding == 'butyl'",
      },
      {
        what: 'Sealant, serviceable',
        unit: 'cartridges',
        quantity: 'cartridges(beadMl(6, 0.4 * posts))',
        pack: 1,
        when: "bedding == 'sealant'",
      },
    ]),
    ...proveSteps,
  ],
}

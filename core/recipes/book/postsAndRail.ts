import type { Recipe } from '../recipe'
import {
  bedSteps,
  boltMaterials,
  plateInputs,
  plateStep,
  plateValues,
  proveSteps,
  sleeveInputs,
  sleeveSteps,
  sleeveValues,
} from './sleevedFitting'
import {
  away,
  beddingChoice,
  counted,
  input,
  oldOrNew,
  ours,
  shed,
  takesDays,
  two,
  writeDown,
} from './words'

const run = 'lengthM, longestM, gateAtM, gateM, out1M, out1ToM, out2M, out2ToM'
const harness =
  'Falls from the deck are the commonest bad accident ashore: harness or a rail while the posts are off.'
const alongRun = { drawing: 'line' } as const

/** 12 */
export const postsAndRail: Recipe = {
  ...ours,
  key: 'posts-and-rail',
  title: 'Equal-spaced posts with rail and lines',
  about:
    'For a run of guardrail posts. Spans come out as equal as can be, with a post at each side of a gate and none where a hatch, chainplate or drain is in the way.',
  purpose: 'safe',
  system: 'deck',
  inputs: [
    input(
      'lengthM',
      'Length of the run',
      'm',
      [0.5, 7.2, 40],
      'With a batten along the deck edge, gate and all, from one datum.',
      alongRun,
    ),
    input('longestM', 'Longest span', 'm', [0.5, 1.6, 2.2], 'What the lines may stand free.', {
      drawing: 'span',
    }),
    input('gateAtM', 'Gate begins at', 'm', [0, 3, 40], 'From the datum.', alongRun),
    input('gateM', 'Gate', 'm', [0, 0.7, 3], 'Left open in the run; 0 for none.', {
      drawing: 'span',
    }),
    input(
      'out1M',
      'Keep-out begins at',
      'm',
      [0, 0, 40],
      'A hatch, chainplate, drain or track.',
      alongRun,
    ),
    input('out1ToM', 'and ends at', 'm', [0, 0, 40], 'The same as its beginning: none.', alongRun),
    input('out2M', 'Second keep-out begins at', 'm', [0, 0, 40], 'Another one.', alongRun),
    input(
      'out2ToM',
      'and ends at (second)',
      'm',
      [0, 0, 40],
      'The same as its beginning: none.',
      alongRun,
    ),
    input('boltsEach', 'Bolts a base', 'pieces', [1, 4, 8], 'Holes in one post base.', {
      ...counted,
      drawing: 'holes',
    }),
    input('lines', 'Lines', 'pieces', [1, 2, 4], 'Guard lines above each other.', counted),
    ...sleeveInputs,
    ...plateInputs,
  ],
  choices: [oldOrNew, beddingChoice],
  values: [
    { key: 'bases', label: 'Posts', unit: 'pieces', formula: `posts(${run})` },
    {
      key: 'marks',
      label: 'Tape marks from the datum, m',
      unit: 'pieces',
      formula: `postMarks(${run})`,
    },
    { key: 'largestM', label: 'Largest span', unit: 'm', formula: `largestSpanM(${run})` },
    { key: 'smallestM', label: 'Smallest span', unit: 'm', formula: `smallestSpanM(${run})` },
    { key: 'holes', label: 'Holes', unit: 'pieces', formula: 'bases * boltsEach' },
    ...sleeveValues,
    ...plateValues,
    {
      key: 'bolts',
      label: 'Bolts with spares',
      unit: 'pieces',
      formula: 'withSpares(boltsEach, bases)',
    },
  ],
  steps: [
    {
      key: 'walk',
      title: 'Walk the line with a batten',
      operation: 'survey',
      hours: '1',
      ...two,
      caution: harness,
      tools: ['Batten', 'Tape', 'Chalk'],
    },
    {
      key: 'plan',
      title: 'Mark the tape from one datum: {marks} m',
      operation: 'survey',
      hours: '0.5',
    },
    {
      key: 'wedges',
      title: 'Wedges to bring each post plumb',
      operation: 'fit',
      hours: '0.3 * bases',
      ...shed,
      materials: [{ what: 'Wedge blank', unit: 'pieces', quantity: 'bases' }],
    },
    {
      key: 'fabricate',
      title: 'Posts and rail made',
      operation: 'contract',
      hours: '0',
      ...away,
      wait: takesDays('15'),
    },
    {
      key: 'strip',
      title: 'Take the old bases off',
      operation: 'strip',
      hours: '0.3 * bases + 0.15 * holes',
      when: "place == 'old'",
      caution: harness,
      tools: ['Spanners', 'Thin blade', 'Penetrating oil'],
    },
    ...sleeveSteps,
    plateStep,
    {
      key: 'dryFit',
      title: 'Dry fit, sight along the run',
      operation: 'fit',
      hours: '0.3 * bases',
      caution: harness,
      materials: [{ what: 'Post', unit: 'pieces', quantity: 'bases' }],
    },
    ...bedSteps(boltMaterials),
    {
      key: 'lines',
      title: 'Lines rove and set up, gate hooked',
      operation: 'fit',
      hours: '0.2 * bases',
      materials: [
        { what: 'Guard line', unit: 'm', quantity: 'lines * lengthM * 1.05' },
        { what: 'End fitting for a line', unit: 'pieces', quantity: 'lines * (gateM > 0 ? 4 : 2)' },
      ],
    },
    ...proveSteps,
    writeDown('marks, sealant, bolts and plates'),
  ],
}

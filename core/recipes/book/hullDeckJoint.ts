import type { Recipe } from '../recipe'
import { input, ours, sealantSets, two } from './words'

/** 16 */
export const hullDeckJoint: Recipe = {
  ...ours,
  key: 'hull-deck-joint',
  title: 'Re-fasten a hull-to-deck joint',
  about:
    'For a joint that weeps or whose bolts have gone. Every third bolt at a time: never all at once.',
  purpose: 'float',
  system: 'structure',
  inputs: [
    input('lengthM', 'Length of joint', 'm', [0.5, 6, 60], 'Along the deck edge.', {
      drawing: 'line',
    }),
    input('spacing', 'Bolt spacing', 'mm', [50, 150, 400], 'Centre to centre.', {
      drawing: 'span',
    }),
    input('bolt', 'Bolt size', 'mm', [4, 6, 12], 'The thread: M6 is 6 mm.', {
      thread: true,
      drawing: 'bolt',
    }),
  ],
  choices: [
    {
      key: 'gaps',
      label: 'Gaps closed with',
      initial: 'permanent',
      options: [
        {
          value: 'permanent',
          label: 'Permanent polyurethane',
          why: 'The joint is meant never to part: it glues and seals for good.',
        },
        {
          value: 'butyl',
          label: 'Butyl',
          why: 'A stop-gap that can be opened again, for when the real repair waits for the strake to come off.',
        },
      ],
    },
  ],
  values: [
    { key: 'bolts', label: 'Bolts', unit: 'pieces', formula: 'ceil(lengthM * 1000 / spacing) + 1' },
    { key: 'third', label: 'Bolts in a pass', unit: 'pieces', formula: 'ceil(bolts / 3)' },
  ],
  steps: [
    {
      key: 'third',
      title: 'Every third bolt out and renewed, pass {n} of {times}',
      operation: 'fit',
      times: '3',
      hours: '0.2 * min(third, bolts - (n - 1) * third)',
      ...two,
      caution: 'Never all at once: the joint moves and does not come back.',
      materials: [
        {
          what: 'Bolt M{bolt} with nut and washers',
          unit: 'pieces',
          quantity: 'withSpares(min(third, bolts - (n - 1) * third), 1)',
          pack: 5,
        },
      ],
    },
    {
      key: 'gaps',
      title: 'Close the gaps',
      operation: 'bed',
      hours: '0.1 * lengthM',
      dry: true,
      wait: sealantSets("(gaps == 'permanent' ? 72 : 0)"),
      materials: [
        {
          what: 'Permanent polyurethane',
          unit: 'cartridges',
          quantity: 'cartridges(beadMl(6, lengthM))',
          pack: 1,
          when: "gaps == 'permanent'",
        },
        { what: 'Butyl tape', unit: 'm', quantity: 'lengthM', pack: 5, when: "gaps == 'butyl'" },
      ],
    },
    {
      key: 'hose',
      title: 'Hose test before the strake',
      operation: 'test',
      hours: '0.5',
      ...two,
      helpers: true,
    },
    {
      key: 'strake',
      title: 'Rub strake on, last',
      operation: 'close',
      hours: '0.3 * lengthM',
      ...two,
    },
  ],
}

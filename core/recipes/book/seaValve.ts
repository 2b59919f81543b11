import type { Recipe } from '../recipe'
import { closingSteps, watchStep } from './hullOpening'
import { ashore, input, ours } from './words'

const ifOld = { when: "outcome == 'overhaul'" } as const
const ifNew = { when: "outcome == 'replace'" } as const

/** 7 */
export const seaValve: Recipe = {
  ...ours,
  key: 'sea-valve',
  title: 'Sea valve, overhaul or replace',
  about:
    'For a valve in a sound hull. Pink or soft metal means the zinc has gone out of it: replace it, and never with plain brass.',
  purpose: 'float',
  system: 'plumbing',
  inputs: [
    input('bore', 'Bore', 'mm', [6, 38, 160], 'The pipe size of the valve.', { drawing: 'bore' }),
    input('pad', 'Pad', 'mm', [30, 110, 400], 'Width of the flange or pad inside.', {
      drawing: 'pad',
    }),
    input(
      'cureDays',
      'Sealant cures',
      'days',
      [1, 7, 21],
      'Full cure before water, from its data sheet.',
      {
        drawing: 'calendar',
      },
    ),
  ],
  choices: [
    {
      key: 'outcome',
      label: 'After a look at the metal',
      initial: 'overhaul',
      options: [
        {
          value: 'overhaul',
          label: 'Overhaul it',
          why: 'Yellow, hard metal and a whole plug: lapped and greased it lasts for years and no sealant is disturbed.',
        },
        {
          value: 'replace',
          label: 'Replace it',
          why: 'Pink, soft or pitted metal, a stuck plug, or nobody knows its age.',
        },
      ],
    },
  ],
  values: [],
  steps: [
    { key: 'strip', title: 'Take it apart', operation: 'strip', hours: '0.8', ...ashore },
    {
      key: 'check',
      title: 'Scratch it: look for pink, soft metal',
      operation: 'survey',
      hours: '0.2',
      ...ashore,
      caution: 'Pink or soft: replace. Plain brass is never right below the waterline.',
    },
    {
      key: 'lap',
      title: 'Lap and grease',
      operation: 'fit',
      hours: '1.2',
      ...ifOld,
      ...ashore,
      materials: [
        { what: 'Lapping paste', unit: 'pieces', quantity: '1' },
        { what: 'Waterproof grease', unit: 'pieces', quantity: '1' },
      ],
    },
    ...closingSteps.map((step) => ({ ...step, ...ifNew })),
    { key: 'work', title: 'Work it ten times', operation: 'test', hours: '0.1', ...ashore },
    {
      key: 'clip',
      title: 'Hose on, two clips on every end',
      operation: 'plumb',
      hours: '0.4',
      ...ashore,
      materials: [
        {
          what: 'Valve, {bore} mm, dezincification-resistant or bronze',
          unit: 'pieces',
          quantity: "outcome == 'replace' ? 1 : 0",
        },
        { what: 'Hose clip, stainless', unit: 'pieces', quantity: 'withSpares(4, 1)' },
      ],
    },
    watchStep,
  ],
}

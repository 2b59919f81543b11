import type { Recipe } from '../recipe'
import { closingInputs, closingSteps, watchSteps } from './hullOpening'
import { ashore, ours, writeDown } from './words'

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
  inputs: closingInputs,
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
    ...closingSteps('Valve, {bore} mm, bronze or dezincification-resistant').map((step) => ({
      ...step,
      ...ifNew,
    })),
    { key: 'work', title: 'Work it ten times', operation: 'test', hours: '0.1', ...ashore },
    {
      key: 'clip',
      title: 'Hose on, two clips on every end',
      operation: 'plumb',
      hours: '0.4',
      ...ashore,
      materials: [{ what: 'Hose clip, stainless', unit: 'pieces', quantity: 'withSpares(4, 1)' }],
    },
    { ...writeDown('what was found and what was done'), ...ashore },
    ...watchSteps,
  ],
}

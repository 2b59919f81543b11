import type { Recipe } from '../recipe'
import { counted, input, ours, takesDays, two } from './words'

/** 26 */
export const winterLayUp: Recipe = {
  ...ours,
  key: 'winter-lay-up',
  title: 'Winter cover and lay-up',
  about:
    'For leaving her through frost. What holds water is drained or pickled; somebody looks every month.',
  purpose: 'float',
  system: 'safety',
  inputs: [
    input('lengthM', 'Length to cover', 'm', [2, 12, 40], 'Stem to stern.', {
      drawing: 'line',
      ofBoat: 'loaM',
    }),
    input('beamM', 'Beam', 'm', [1, 3.7, 12], 'Widest.', {
      drawing: 'section',
      ofBoat: 'beamM',
    }),
    input('antifreezeL', 'Antifreeze', 'L', [0, 10, 200], 'Engine, heads, traps.'),
    input('visits', 'Visits', 'pieces', [1, 5, 12], 'One a month.', counted),
  ],
  choices: [],
  values: [
    {
      key: 'coverM2',
      label: 'Cover with a fall each side',
      unit: 'm²',
      formula: 'lengthM * (beamM + 2) * 1.1',
    },
  ],
  steps: [
    { key: 'drain', title: 'Drain water, valves, heads, pumps', operation: 'plumb', hours: '2' },
    {
      key: 'pickle',
      title: 'Pickle engine and heads',
      operation: 'plumb',
      hours: '1',
      skill: 'mechanics',
      materials: [{ what: 'Antifreeze', unit: 'L', quantity: 'antifreezeL', pack: 5 }],
    },
    {
      key: 'air',
      title: 'Open lockers, moisture traps, vents',
      operation: 'fit',
      hours: '0.5',
      materials: [{ what: 'Moisture trap', unit: 'pieces', quantity: 'ceil(lengthM / 4)' }],
    },
    {
      key: 'cover',
      title: 'Frame and cover',
      operation: 'fit',
      hours: '3',
      ...two,
      caution: 'Ladder tied, nobody leans out over the rail.',
      materials: [{ what: 'Cover', unit: 'm²', quantity: 'coverM2' }],
    },
    {
      key: 'battery',
      title: 'Batteries: full, isolated, volts written down',
      operation: 'test',
      hours: '0.5',
      skill: 'electrics',
      wait: takesDays('28'),
    },
    {
      key: 'visit',
      title: 'Visit {n} of {times}: bilge, cover, volts, lines',
      operation: 'survey',
      times: 'visits',
      hours: '0.5',
      wait: takesDays('28'),
    },
  ],
}

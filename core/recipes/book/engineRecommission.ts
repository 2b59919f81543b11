import type { Recipe } from '../recipe'
import { afloat, afterGate, ashore, counted, input, ours, two } from './words'

const mechanic = { skill: 'mechanics' } as const

/** 23 */
export const engineRecommission: Recipe = {
  ...ours,
  key: 'engine-recommission',
  title: 'Engine re-commission',
  about: 'For an engine that has stood. The maker\u2019s manual gives every quantity and torque.',
  purpose: 'go',
  system: 'propulsion',
  inputs: [
    input('oilL', 'Engine oil', 'L', [0.5, 6, 60], 'From its manual.'),
    input('filters', 'Fuel filters', 'pieces', [1, 2, 6], 'In line and on the engine.', counted),
    input('belts', 'Belts', 'pieces', [0, 2, 6], 'Alternator, pump.', counted),
    input('anodes', 'Engine anodes', 'pieces', [0, 1, 8], 'In cooler and block.', counted),
  ],
  choices: [
    {
      key: 'where',
      label: 'First started',
      initial: 'ashore',
      options: [
        {
          value: 'ashore',
          label: 'Ashore, on a bucket',
          why: 'Leaks show where nothing sinks. Sea cock shut, intake in a bucket that is kept full, a few minutes at a time.',
        },
        {
          value: 'afloat',
          label: 'Afloat, at the berth',
          why: 'Real cooling water and real load. Sea cock open before the starter, lines doubled, somebody at the cock.',
        },
      ],
    },
  ],
  values: [],
  steps: [
    {
      key: 'photograph',
      title: 'Photograph everything before',
      operation: 'label',
      hours: '0.5',
      helpers: true,
    },
    {
      key: 'cooling',
      title: 'Cooling: impeller, hoses, anodes',
      operation: 'fit',
      hours: '2',
      ...mechanic,
      materials: [
        { what: 'Impeller and gasket', unit: 'pieces', quantity: '1' },
        { what: 'Engine anode', unit: 'pieces', quantity: 'anodes' },
      ],
    },
    {
      key: 'fuel',
      title: 'Fuel: filters, drain the tank, bleed',
      operation: 'fit',
      hours: '2',
      ...mechanic,
      licensed: 'fuel',
      caution: 'Fumes: sniff, ventilate, no flames, extinguisher at hand.',
      materials: [{ what: 'Fuel filter', unit: 'pieces', quantity: 'filters' }],
    },
    {
      key: 'oil',
      title: 'Oil, filter, belts',
      operation: 'fit',
      hours: '1',
      ...mechanic,
      materials: [
        { what: 'Engine oil', unit: 'L', quantity: 'oilL', pack: 5 },
        { what: 'Oil filter', unit: 'pieces', quantity: '1' },
        { what: 'Belt', unit: 'pieces', quantity: 'belts' },
      ],
    },
    {
      key: 'seaCock',
      title: 'Sea cock shut, tried for tightness, a note on the key',
      operation: 'plumb',
      hours: '0.2',
      when: "where == 'ashore'",
      ...ashore,
      ...mechanic,
      caution:
        'The note comes off when the cock is open: an engine run on a shut cock cooks its impeller.',
    },
    {
      key: 'start',
      title: 'Start ashore on a bucket, out of gear',
      operation: 'test',
      hours: '1.5',
      when: "where == 'ashore'",
      ...ashore,
      ...two,
      ...mechanic,
      caution:
        'Hands and sleeves off belts. Drain the silencer if it cranks long: water backs up into the engine. Exhaust kills: hatches open.',
    },
    {
      key: 'look',
      title: 'Leaks, temperatures, charging volts',
      operation: 'test',
      hours: '0.5',
      when: "where == 'ashore'",
      ...ashore,
      ...mechanic,
    },
    {
      key: 'startAfloat',
      title: 'Sea cock open, water seen; start at the berth, out of gear',
      operation: 'test',
      hours: '1.5',
      when: "where == 'afloat'",
      ...afloat,
      ...two,
      ...mechanic,
      caution:
        'Hands and sleeves off belts. Lines doubled. Somebody stays at the sea cock. Drain the silencer if it cranks long.',
    },
    {
      key: 'lookAfloat',
      title: 'Leaks, temperatures, charging volts, afloat',
      operation: 'test',
      hours: '0.5',
      when: "where == 'afloat'",
      ...afloat,
      ...mechanic,
    },
    {
      key: 'trial',
      title: 'Sea trial',
      operation: 'test',
      hours: '3',
      ...afloat,
      ...two,
      ...afterGate,
    },
  ],
}

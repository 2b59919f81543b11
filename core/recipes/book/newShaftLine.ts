import type { Recipe } from '../recipe'
import { afterGate, afloat, ashore, chem, inSlings, input, ours, sealantSets, two } from './words'

/** 35 */
export const newShaftLine: Recipe = {
  ...ours,
  key: 'new-shaft-line',
  title: 'New shaft line',
  about:
    'Engine, bearers, tube and strut to a new line. The line is found, signed and then everything is fixed to it; nothing is fixed before.',
  purpose: 'go',
  system: 'stern gear',
  inputs: [
    input('runMm', 'Coupling to propeller, level', 'mm', [300, 2400, 12_000], 'On a level line.', {
      drawing: 'shaft',
    }),
    input('dropMm', 'and down', 'mm', [0, 320, 4000], 'Over that run.', { drawing: 'angle' }),
    input('shaft', 'Shaft', 'mm', [18, 30, 100], 'By the engine maker’s sheet.', {
      drawing: 'shaft',
    }),
    input('bearers', 'Bearers to fit', 'pieces', [0, 2, 6], 'None where the old ones stay.', {
      whole: true,
      drawing: 'count',
    }),
    input('cureDays', 'Sealant and bedding cure', 'days', [2, 7, 30], 'By its sheet.', {
      drawing: 'calendar',
    }),
    input('leadDays', 'Shaft, tube and strut made in', 'days', [3, 30, 200], 'As they say.', {
      drawing: 'calendar',
    }),
  ],
  choices: [
    {
      key: 'line',
      label: 'The line is found by',
      initial: 'wire',
      options: [
        {
          value: 'wire',
          label: 'A tight wire',
          why: 'A weight and two posts; anybody can see it. Sags half a millimetre over two metres: allowed for.',
        },
        {
          value: 'light',
          label: 'A light or laser',
          why: 'Does not sag. Has to be proved by turning it round.',
        },
      ],
    },
  ],
  values: [
    {
      key: 'longMm',
      label: 'Shaft between coupling and propeller',
      unit: 'mm',
      formula: 'diagonal(runMm, dropMm)',
    },
  ],
  steps: [
    {
      key: 'measure',
      title: 'Measure: engine, tube, strut, propeller and room at the tip',
      operation: 'survey',
      ...ashore,
      hours: '1.5',
      caution:
        'Fifteen hundredths of the propeller to the hull, fifty millimetres under the gearbox.',
    },
    {
      key: 'stretch',
      title: 'Stretch the line from the coupling to the last bearing',
      operation: 'survey',
      ...ashore,
      ...two,
      hours: '1.5',
    },
    {
      key: 'sign',
      title: 'Line measured at every station and signed by two',
      operation: 'test',
      ...ashore,
      ...two,
      hours: '0.8',
      read: {
        what: 'Off the line at the worst station',
        unit: 'mm',
        high: 1,
        failAt: 2,
        source: 'the trade; the engine maker’s sheet decides',
      },
      caution: 'Nothing is drilled, bedded or glassed before this is signed.',
    },
    {
      key: 'order',
      title: 'Shaft, tube, strut and bearings made',
      operation: 'contract',
      place: 'away',
      hours: '0',
      wait: { kind: 'calendar', hours: '24 * leadDays' },
      materials: [
        { what: 'Shaft {shaft} mm, to drawing', unit: 'pieces', quantity: '1' },
        { what: 'Stern tube and gland for {shaft} mm', unit: 'pieces', quantity: '1' },
        { what: 'Strut and bearing for {shaft} mm', unit: 'pieces', quantity: '1' },
      ],
    },
    {
      key: 'bearers',
      title: 'Bearers bedded and glassed to the line',
      operation: 'laminate',
      when: 'bearers > 0',
      ...ashore,
      ...two,
      hours: '3 * bearers',
      minC: 12,
      wait: chem(24),
      materials: [
        { what: 'Thick bedding mix', unit: 'mL', quantity: '400 * bearers', mix: 'bed' },
        { what: 'Biaxial 600 g/m², stitched', unit: 'm²', quantity: '1.2 * bearers' },
        { what: 'Epoxy, mixed', unit: 'kg', quantity: '0.8 * bearers', mix: 'wetOut' },
      ],
    },
    {
      key: 'tube',
      title: 'Tube bedded on the line, shaft in it as a jig',
      operation: 'laminate',
      ...ashore,
      ...two,
      hours: '3',
      minC: 12,
      wait: chem(24),
      caution:
        'The hole is an oval: drilled from a pilot on the line, depth and what is behind known.',
      materials: [
        { what: 'Thick bedding mix', unit: 'mL', quantity: '500', mix: 'bed' },
        { what: 'Biaxial 600 g/m², stitched', unit: 'm²', quantity: '0.5' },
        { what: 'Epoxy, mixed', unit: 'kg', quantity: '0.3', mix: 'wetOut' },
      ],
    },
    {
      key: 'strut',
      title: 'Strut bedded and bolted, bearing free by hand',
      operation: 'bed',
      ...ashore,
      ...two,
      hours: '2.5',
      wait: sealantSets('24 * cureDays'),
      materials: [
        {
          what: 'Sealant for below the waterline',
          unit: 'cartridges',
          quantity: '1',
          pack: 1,
        },
        { what: 'Strut bolts and plate', unit: 'pieces', quantity: '1' },
      ],
    },
    {
      key: 'engine',
      title: 'Engine on its mounts, brought to the shaft',
      operation: 'fit',
      ...ashore,
      ...two,
      skill: 'mechanics',
      hours: '4',
      noMaterial: 'Mounts and shims come with the engine.',
    },
    {
      key: 'gland',
      title: 'Gland or seal, propeller, nut locked, greased',
      operation: 'fit',
      ...ashore,
      skill: 'mechanics',
      hours: '2',
      materials: [{ what: 'Packing or seal kit', unit: 'pieces', quantity: '1' }],
    },
    {
      key: 'rough',
      title: 'Rough alignment ashore: gaps at four places, two turns',
      operation: 'test',
      ...ashore,
      hours: '1',
    },
    {
      key: 'watch',
      title: 'Gland and tube watched in the slings',
      operation: 'test',
      ...inSlings,
      ...two,
      hours: '0.2',
      wait: { kind: 'calendar', hours: '24' },
    },
    {
      key: 'final',
      title: 'Final alignment, a day and more afloat',
      operation: 'test',
      ...afloat,
      ...afterGate,
      skill: 'mechanics',
      hours: '2',
      caution: 'Engine off, key in your pocket: never a finger in a coupling.',
    },
  ],
}

import type { Recipe } from '../recipe'
import { away, counted, input, ours, shed, takesDays } from './words'

const wired = { skill: 'electrics' } as const
const deadFirst =
  'Isolate and prove dead. Mains, gas and lithium are for licensed people; the local code decides.'

/** 18 */
export const electricalSystem: Recipe = {
  ...ours,
  key: 'electrical-system',
  title: 'Electrical system in six stages',
  about:
    'Budget, schematic, mock-up, buying, panel, cable: each leaves something on paper or on the boat, and the standard hangs over every one.',
  purpose: 'safe',
  system: 'electrical',
  inputs: [
    input('circuits', 'Circuits', 'pieces', [1, 12, 80], 'Each with its own fuse.', counted),
    input('runM', 'Run, one way', 'm', [0.5, 6, 30], 'The usual length from panel to load.', {
      drawing: 'line',
    }),
    input('loadA', 'Load of a circuit', 'A', [0.1, 8, 100], 'Watts over volts, the usual one.'),
    input('bankA', 'All that may run at once', 'A', [1, 60, 300], 'For the fuse of the bank.'),
    input('volts', 'Nominal volts', 'V', [12, 12, 48], '12, 24 or 48.'),
  ],
  choices: [
    {
      key: 'drop',
      label: 'Volts that may be lost',
      initial: 'three',
      options: [
        {
          value: 'three',
          label: '3 %',
          why: 'Navigation, radio, pumps, charging: what stops working when the volts sag.',
        },
        {
          value: 'ten',
          label: '10 %',
          why: 'Lights and comfort: thinner cable, dimmer at the end.',
        },
      ],
    },
    {
      key: 'mains',
      label: 'Shore power or inverter in it',
      initial: 'no',
      options: [
        {
          value: 'no',
          label: 'Low voltage alone',
          why: 'Checked by somebody who did not wire it.',
        },
        {
          value: 'yes',
          label: 'With mains',
          why: 'Can kill: a licensed person inspects and signs; the local code says who.',
        },
      ],
    },
    {
      key: 'drawnBy',
      label: 'Schematic by',
      initial: 'self',
      options: [
        {
          value: 'self',
          label: 'Ourselves',
          why: 'Whoever drew it finds the fault at sea. Have it read by somebody who does this for a living.',
        },
        {
          value: 'hired',
          label: 'A hired electrician',
          why: 'If unsure: the cheapest hours of the job, and the insurer asks for a name.',
        },
      ],
    },
  ],
  values: [
    { key: 'cableM', label: 'Cable, both cores', unit: 'm', formula: '2 * circuits * runM * 1.1' },
    {
      key: 'ends',
      label: 'Crimped ends with spares',
      unit: 'pieces',
      formula: 'withSpares(4, circuits)',
    },
    {
      key: 'mm2',
      label: 'Cable of a circuit, by drop and by its fuse',
      unit: 'mm²',
      formula: "cableMm2(runM, loadA, volts, drop == 'three' ? 3 : 10)",
    },
    { key: 'fuse', label: 'Fuse of a circuit', unit: 'A', formula: 'fuseA(loadA)' },
    { key: 'bankFuse', label: 'Fuse of the bank', unit: 'A', formula: 'fuseA(bankA)' },
  ],
  steps: [
    {
      key: 'loads',
      title: 'Load list',
      operation: 'survey',
      hours: '0.5 + 0.1 * circuits',
      ...wired,
    },
    {
      key: 'schematic',
      title: 'Schematic',
      operation: 'survey',
      hours: '2 + 0.2 * circuits',
      when: "drawnBy == 'self'",
      ...wired,
    },
    {
      key: 'schematicHired',
      title: 'Schematic drawn by the electrician',
      operation: 'contract',
      hours: '0',
      when: "drawnBy == 'hired'",
      ...away,
      wait: takesDays('10'),
    },
    {
      key: 'mockUp',
      title: 'Mock-up of the panel, templates',
      operation: 'fit',
      hours: '2',
      ...shed,
      ...wired,
    },
    {
      key: 'buy',
      title: 'Buy against the frozen plan',
      operation: 'buy',
      hours: '0',
      ...away,
      wait: takesDays('7'),
      materials: [
        { what: 'Tinned cable, single core {mm2} mm²', unit: 'm', quantity: 'cableM', pack: 50 },
        { what: 'Crimped end', unit: 'pieces', quantity: 'ends', pack: 10 },
        { what: 'Fuse {fuse} A', unit: 'pieces', quantity: 'withSpares(1, circuits)' },
        {
          what: 'Bank fuse {bankFuse} A that breaks the bank\u2019s fault current, with holder',
          unit: 'pieces',
          quantity: '2',
        },
        { what: 'Sheathing', unit: 'm', quantity: 'circuits * runM' },
        { what: 'Label, two a circuit', unit: 'pieces', quantity: '2 * circuits' },
      ],
    },
    {
      key: 'panel',
      title: 'Cut the panel with the parts in hand',
      operation: 'cut',
      hours: '4',
      ...shed,
      ...wired,
    },
    {
      key: 'cable',
      title: 'Run the cables',
      operation: 'wire',
      hours: '0.8 * circuits',
      ...wired,
      caution: deadFirst,
    },
    {
      key: 'ends',
      title: 'Terminate',
      operation: 'wire',
      hours: '0.4 * circuits',
      ...wired,
      caution: deadFirst,
      tools: ['Ratchet crimper', 'Heat gun'],
    },
    {
      key: 'check',
      title: 'Polarity and fuse of each, then battery on',
      operation: 'test',
      hours: '0.25 * circuits',
      ...wired,
      caution: 'Battery last, after polarity and fuses. Rest and charging volts written down.',
      tools: ['Meter'],
    },
    {
      key: 'labels',
      title: 'Label both ends',
      operation: 'label',
      hours: '0.1 * circuits',
      helpers: true,
    },
    {
      key: 'signOff',
      title: 'Low voltage checked against the standard and signed',
      operation: 'test',
      hours: '1',
      ...wired,
      caution: 'Fuse within 200 mm of the bank, every size as drawn, nothing chafes.',
    },
    {
      key: 'signMains',
      title: 'Mains inspected and signed by a licensed person',
      operation: 'contract',
      hours: '0',
      when: "mains == 'yes'",
      licensed: 'mains',
    },
  ],
}

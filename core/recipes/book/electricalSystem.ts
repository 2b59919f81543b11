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
    input(
      'circuits',
      'Circuits that must keep their volts',
      'pieces',
      [0, 6, 80],
      'Navigation, radio, pumps, charging: 3 % may be lost. Each with its own fuse.',
      counted,
    ),
    input('runM', 'Their run, one way', 'm', [0.5, 6, 30], 'The usual length, panel to load.', {
      drawing: 'line',
    }),
    input('loadA', 'Load of one', 'A', [0.1, 8, 100], 'Watts over volts, the usual one.'),
    input(
      'lights',
      'Circuits for lights and comfort',
      'pieces',
      [0, 5, 80],
      '10 % may be lost: thinner cable, a little dimmer at the end.',
      counted,
    ),
    input('lightRunM', 'Their run, one way (lights)', 'm', [0.5, 6, 30], 'The usual length.', {
      drawing: 'line',
    }),
    input('lightA', 'Load of one (lights)', 'A', [0.1, 3, 100], 'All lamps of a circuit together.'),
    input(
      'heavy',
      'Heavy circuits',
      'pieces',
      [0, 1, 12],
      'A windlass, a thruster, an inverter: from the bank’s own bar, 10 % may be lost.',
      counted,
    ),
    input('heavyRunM', 'Their run, one way (heavy)', 'm', [0.5, 8, 30], 'As it will lie.', {
      drawing: 'line',
    }),
    input('heavyA', 'Load of one (heavy)', 'A', [0.1, 75, 150], 'At work, not at its stall.'),
    input('bankA', 'All that may run at once', 'A', [1, 100, 300], 'For the fuse of the bank.'),
    input('volts', 'Nominal volts', 'V', [12, 12, 48], '12, 24 or 48.'),
  ],
  choices: [
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
    { key: 'all', label: 'Circuits in all', unit: 'pieces', formula: 'circuits + lights + heavy' },
    {
      key: 'ways',
      label: 'Ways on the panel, a fifth to spare',
      unit: 'pieces',
      formula: 'ceil(1.2 * (circuits + lights))',
    },
    {
      key: 'mm2',
      label: 'Cable of a circuit that must keep its volts',
      unit: 'mm²',
      formula: 'cableMm2(runM, loadA, volts, 3)',
    },
    {
      key: 'mm2Light',
      label: 'Cable of a circuit of lights',
      unit: 'mm²',
      formula: 'cableMm2(lightRunM, lightA, volts, 10)',
    },
    {
      key: 'mm2Heavy',
      label: 'Cable of a circuit heavy',
      unit: 'mm²',
      formula: 'cableMm2(heavyRunM, heavyA, volts, 10)',
    },
    {
      key: 'fuse',
      label: 'Fuse of a circuit that must keep its volts',
      unit: 'A',
      formula: 'fuseA(loadA)',
    },
    { key: 'fuseLight', label: 'Fuse of a circuit of lights', unit: 'A', formula: 'fuseA(lightA)' },
    { key: 'fuseHeavy', label: 'Fuse of a circuit heavy', unit: 'A', formula: 'fuseA(heavyA)' },
    {
      key: 'cableM',
      label: 'Cable, both cores, circuits that must keep its volts',
      unit: 'm',
      formula: '2 * circuits * runM * 1.1',
    },
    {
      key: 'cableMLight',
      label: 'Cable, both cores, circuits of lights',
      unit: 'm',
      formula: '2 * lights * lightRunM * 1.1',
    },
    {
      key: 'cableMHeavy',
      label: 'Cable, both cores, circuits heavy',
      unit: 'm',
      formula: '2 * heavy * heavyRunM * 1.1',
    },
    {
      key: 'ends',
      label: 'Crimped ends with spares',
      unit: 'pieces',
      formula: 'all > 0 ? withSpares(4, all) : 0',
    },
    { key: 'bankFuse', label: 'Fuse of the bank', unit: 'A', formula: 'fuseA(bankA)' },
  ],
  steps: [
    {
      key: 'loads',
      title: 'Load list',
      operation: 'survey',
      hours: '0.5 + 0.1 * all',
      ...wired,
    },
    {
      key: 'schematic',
      title: 'Schematic',
      operation: 'survey',
      hours: '2 + 0.2 * all',
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
        ...(
          [
            ['', 'circuits'],
            ['Light', 'lights'],
            ['Heavy', 'heavy'],
          ] as const
        ).flatMap(([of, many]) => [
          {
            what: `Tinned cable, single core {mm2${of}} mm²`,
            unit: 'm' as const,
            quantity: `cableM${of}`,
            pack: 50,
          },
          {
            what: `Fuse {fuse${of}} A`,
            unit: 'pieces' as const,
            quantity: `${many} > 0 ? withSpares(1, ${many}) : 0`,
          },
        ]),
        { what: 'Panel with {ways} ways', unit: 'pieces', quantity: 'ways > 0 ? 1 : 0' },
        { what: 'Crimped end', unit: 'pieces', quantity: 'ends', pack: 10 },
        {
          what: 'Bank fuse {bankFuse} A that breaks the bank\u2019s fault current, with holder',
          unit: 'pieces',
          quantity: '2',
        },
        { what: 'Sheathing', unit: 'm', quantity: 'circuits * runM + lights * lightRunM' },
        { what: 'Label, two a circuit', unit: 'pieces', quantity: '2 * all' },
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
      hours: '0.8 * all',
      ...wired,
      caution: deadFirst,
    },
    {
      key: 'ends',
      title: 'Terminate',
      operation: 'wire',
      hours: '0.4 * all',
      ...wired,
      caution: deadFirst,
      tools: ['Ratchet crimper', 'Heat gun'],
    },
    {
      key: 'check',
      title: 'Polarity and fuse of each, then battery on',
      operation: 'test',
      hours: '0.25 * all',
      ...wired,
      caution: 'Battery last, after polarity and fuses. Rest and charging volts written down.',
      tools: ['Meter'],
    },
    {
      key: 'labels',
      title: 'Label both ends',
      operation: 'label',
      hours: '0.1 * all',
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

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
    input(
      'forwardM',
      'Forward stretch of it',
      'm',
      [0.5, 2, 60],
      'From the stem to where the joint gets thinner or thicker.',
      { drawing: 'line' },
    ),
    input(
      'middleM',
      'Middle stretch',
      'm',
      [0, 2, 60],
      'As long as the joint stays as thick; what is left of its length is the after stretch.',
      { drawing: 'line' },
    ),
    input('spacing', 'Bolt spacing', 'mm', [50, 150, 400], 'Centre to centre.', {
      drawing: 'span',
    }),
    input('bolt', 'Bolt size', 'mm', [4, 6, 12], 'The thread: M6 is 6 mm.', {
      thread: true,
      drawing: 'bolt',
    }),
    input(
      'stackA',
      'Stack, forward stretch',
      'mm',
      [4, 24, 120],
      'Hull, deck, toe-rail and washers there; measured at a drawn bolt.',
      { drawing: 'bolt' },
    ),
    input(
      'stackB',
      'Stack, middle stretch',
      'mm',
      [4, 20, 120],
      'The joint is seldom as thick all along.',
      { drawing: 'bolt' },
    ),
    input('stackC', 'Stack, after stretch', 'mm', [4, 22, 120], 'Measured again.', {
      drawing: 'bolt',
    }),
    input(
      'toCome',
      'Layers still to come',
      'mm',
      [0, 0, 60],
      'A pad, toe-rail or strake that these bolts will go through as well; 0 for none.',
      { drawing: 'bolt' },
    ),
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
    {
      key: 'boltsA',
      label: 'Bolts, forward',
      unit: 'pieces',
      formula: 'ceil(min(forwardM, lengthM) * 1000 / spacing) + 1',
    },
    {
      key: 'boltsB',
      label: 'Bolts, middle',
      unit: 'pieces',
      formula: 'ceil(max(0, min(middleM, lengthM - forwardM)) * 1000 / spacing)',
    },
    {
      key: 'aftM',
      label: 'After stretch: what is left',
      unit: 'm',
      formula: 'max(0, lengthM - forwardM - middleM)',
    },
    {
      key: 'boltsC',
      label: 'Bolts, aft',
      unit: 'pieces',
      formula: 'ceil(aftM * 1000 / spacing)',
    },
    { key: 'bolts', label: 'Bolts in all', unit: 'pieces', formula: 'boltsA + boltsB + boltsC' },
    {
      key: 'third',
      label: 'Bolts in a pass: every third',
      unit: 'pieces',
      formula: 'ceil(bolts / 3)',
    },
    {
      key: 'longA',
      label: 'Bolt, forward',
      unit: 'mm',
      formula: 'boltToBuy(bolt, stackA + toCome, washersMm(bolt, 2))',
    },
    {
      key: 'longB',
      label: 'Bolt, middle',
      unit: 'mm',
      formula: 'boltToBuy(bolt, stackB + toCome, washersMm(bolt, 2))',
    },
    {
      key: 'longC',
      label: 'Bolt, aft',
      unit: 'mm',
      formula: 'boltToBuy(bolt, stackC + toCome, washersMm(bolt, 2))',
    },
  ],
  steps: [
    {
      key: 'third',
      title: 'Every third bolt out and renewed, pass {n} of {times}',
      operation: 'fit',
      hull: 'either',
      times: '3',
      hours: '0.2 * min(third, bolts - (n - 1) * third)',
      count: { unit: 'bolts', of: 'min(third, bolts - (n - 1) * third)' },
      ...two,
      caution: 'Never all at once: the joint moves and does not come back.',
      materials: [
        {
          what: 'Bolt M{bolt} × {longA} mm',
          unit: 'pieces',
          quantity: 'n == 1 && boltsA > 0 ? withSpares(boltsA, 1) : 0',
          pack: 5,
        },
        {
          what: 'Bolt M{bolt} × {longB} mm',
          unit: 'pieces',
          quantity: 'n == 1 && boltsB > 0 ? withSpares(boltsB, 1) : 0',
          pack: 5,
        },
        {
          what: 'Bolt M{bolt} × {longC} mm',
          unit: 'pieces',
          quantity: 'n == 1 && boltsC > 0 ? withSpares(boltsC, 1) : 0',
          pack: 5,
        },
        {
          what: 'Nut M{bolt}, locking',
          unit: 'pieces',
          quantity: 'n == 1 ? withSpares(bolts, 1) : 0',
          pack: 5,
        },
        {
          what: 'Washer M{bolt}',
          unit: 'pieces',
          quantity: 'n == 1 ? withSpares(2, bolts) : 0',
          pack: 10,
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
      materials: [
        {
          what: 'Screw for the strake',
          unit: 'pieces',
          quantity: 'withSpares(ceil(lengthM / 0.3), 1)',
          pack: 25,
        },
      ],
    },
  ],
}

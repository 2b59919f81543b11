import { beddingFor } from '../../../fastening/bedding'
import { beadMl, cartridges } from '../../../fastening/bead'
import { throughCuredH } from '../../../cure/stages'
import { accepted } from '../../../result'
import { amount, maybeAmount, pick } from '../../ask'
import type { Shape } from '../../drawing'
import { box, length, round, text, yesNo } from '../../parts'
import { sum } from '../../sum'

export const beddingAndBead = sum({
  key: 'bedding-and-bead',
  title: 'Bedding, bead',
  pocket: 'holes',
  about:
    'Which bedding suits a joint and why not the others, how to lay it by either method, and how much.',
  words:
    'sealant bedding butyl polyurethane polysulphide silicone hybrid bead cartridge caulk seal window teak',
  source: 'the trade’s rules: bead π/4·d²·L and 15 %; moisture cures with the root of the days',
  asks: [
    pick('joint', 'Joint', 'deckFitting', [
      { value: 'deckFitting', label: 'a fitting on deck' },
      { value: 'trim', label: 'a hatch or long trim' },
      { value: 'teak', label: 'a teak seam' },
      { value: 'hullDeck', label: 'hull to deck' },
      { value: 'underwater', label: 'through the hull' },
      { value: 'glazing', label: 'a window' },
    ]),
    yesNo('bolted', 'Bolts or screws hold it', 'yes'),
    yesNo('under', 'Below the waterline'),
    pick('plastic', 'Plastic that it touches', 'none', [
      { value: 'none', label: 'none' },
      { value: 'window', label: 'a window' },
      { value: 'other', label: 'another' },
    ]),
    yesNo('off', 'Must come off again', 'yes'),
    yesNo('sun', 'In the sun', 'yes'),
    yesNo('moves', 'It moves'),
    pick('method', 'Laid', 'wet', [
      {
        value: 'wet',
        label: 'wet: bead, seat, tighten fully, tool',
        why: 'One go. The seal is thin where it is tight.',
      },
      {
        value: 'gasket',
        label: 'as a gasket: seat to 1–2 mm, cure, nip up',
        why: 'Two goes. A seal with body, pressed at last.',
      },
    ]),
    amount('bead', 'Bead', 'mm', 6, [1, 50]),
    amount('long', 'Joint, long', 'm', 1.2, [0.01, 1000], { doubt: 0.1 }),
    amount('bed', 'Deepest way in from the air', 'mm', 10, [0.5, 200]),
    maybeAmount('firstDay', 'Cured in its first day, of the sheet', 'mm', [0.5, 20], {
      initial: 2.5,
    }),
  ],
  wantedBy: [
    { recipe: 'small-fittings', steps: ['bed', 'bedSealant'], fill: { long: 'bead' } },
    {
      recipe: 'seams',
      steps: ['rubber'],
      fill: {
        joint: { is: 'teak' },
        bolted: { is: 'no' },
        off: { is: 'no' },
        long: 'lengthM',
        bead: 'wideMm',
      },
    },
    {
      recipe: 'new-shaft-line',
      steps: ['strut'],
      fill: { joint: { is: 'underwater' }, under: { is: 'yes' } },
    },
    ...['sleeve-and-bed', 'posts-and-rail', 'solar-on-arch'].map((recipe) => ({
      recipe,
      steps: ['bed', 'bedSealant'],
      fill: { long: 'bead' },
    })),
    {
      recipe: 'rebed-trim',
      steps: ['bed', 'mask'],
      fill: { joint: { is: 'trim' }, long: 'lengthM', bead: 'beadMm' },
    },
    {
      recipe: 'through-hull',
      steps: ['bed'],
      fill: { joint: { is: 'underwater' }, under: { is: 'yes' }, off: { is: 'no' } },
    },
    {
      recipe: 'transducer',
      steps: ['bed'],
      fill: { joint: { is: 'underwater' }, under: { is: 'yes' } },
    },
    {
      recipe: 'sea-valve',
      steps: ['bed'],
      fill: { joint: { is: 'underwater' }, under: { is: 'yes' } },
    },
  ],
  wantedAt: { operations: ['bed'] },
  work: (given, { say }) => {
    const { joint, bolted, under, plastic, off, sun, moves, method, bead, long, bed, firstDay } =
      given
    const list = beddingFor({
      joint,
      isUnderWater: under === 'yes',
      plastic,
      comesOff: off === 'yes',
      isInSun: sun === 'yes',
      moves: moves === 'yes',
      isBolted: bolted === 'yes',
    })
    const best = list[0] as (typeof list)[number]
    const none = best.notBecause !== null
    const ml = beadMl(bead, long)
    const isTape = best.key === 'butyl'
    const tubes = cartridges(ml)
    const cureH = isTape || firstDay === null ? null : throughCuredH(bed, firstDay)
    const days = cureH === null ? null : cureH / 24
    const mm = (value: number) => say(round(value), 'mm')
    const shapes: Shape[] = [
      box(-60, -12, 120, 12, { fill: 'metal' }),
      box(-60, 0, 120, method === 'gasket' ? 3 : 1.5, { fill: 'seal' }),
      box(-90, method === 'gasket' ? 3 : 1.5, 180, 18, { fill: 'glass' }),
      box(-5, -18, 10, 50, { fill: 'metal' }),
      { is: 'round', at: [63, 0], radius: 3, fill: 'seal' },
      { is: 'round', at: [-63, 0], radius: 3, fill: 'seal' },
      length([-60, -12], [60, -12], `bead ${mm(bead)}, ${say(round(long, 2), 'm')}`, {
        off: -0.6,
        field: 'long',
      }),
      text([66, 4], method === 'gasket' ? ' 1–2 mm until it is cured' : ' tight at once', {
        down: -0.4,
      }),
    ]
    const steps = isTape
      ? [
          'Warm it in the hand and knead it to a cone round each hole.',
          'Tighten until it oozes all round; leave it; take it up after a day and after a week.',
        ]
      : method === 'wet'
        ? [
            'Tape both sides, countersink the hole’s edge for an O-ring of it.',
            'Bead inside the holes’ ring, seat, tighten fully, tool with one stroke.',
            'Pull the tape at once, at a low angle.',
          ]
        : [
            'Tape both sides, spacers of 1–2 mm, bead, seat, do not tighten.',
            `Let it cure${days === null ? '' : `, about ${round(days)} days`}, then nip up; do not turn the bolts, turn the nuts.`,
          ]
    return accepted({
      says: none
        ? 'none of them'
        : isTape
          ? `butyl, ${say(round(long * 1.15, 1), 'm')}`
          : `${best.name.toLowerCase()}, ${tubes}`,
      takes: none ? 'none' : best.key,
      heading: none
        ? 'every bedding is kept out by something: change one of the answers'
        : isTape
          ? `butyl tape, ${say(round(long * 1.15, 1), 'm')} of it`
          : `${best.name.toLowerCase()}, ${tubes} ${tubes === 1 ? 'cartridge' : 'cartridges'}${days === null ? '' : `, cured through in ${round(days)} days`}`,
      verdict: none ? 'stop' : 'go',
      figures: list.map((one) => ({
        label: one.name,
        value: one.notBecause === null ? (one.isFirst ? 'take' : 'may do') : 'no',
        note: one.notBecause ?? one.is,
        tone: one.isFirst
          ? ('good' as const)
          : one.notBecause === null
            ? undefined
            : ('short' as const),
      })),
      working: [
        ...steps,
        ...(isTape
          ? []
          : [
              `π/4 × ${round(bead)}² × ${round(long, 2)} m = ${round(ml)} mL; and 15 %, cartridges of 290 mL: ${tubes}.`,
            ]),
        ...(days === null
          ? []
          : [
              `${round(bed)} mm from the air at ${round(firstDay ?? 0, 1)} mm the first day: (${round(bed)} ÷ ${round(firstDay ?? 1, 1)})² = ${round(days)} days.`,
            ]),
      ],
      distrust: [
        'The sheet of what you bought decides: families overlap.',
        'Old silicone: nothing sticks where it was. Scrape, solvent, scrape.',
      ],
      cautions: [
        'Two people: one holds the head, one turns the nut.',
        'Below the waterline: cured as its sheet says before she is wet.',
      ],
      drawing: {
        shapes,
        inMm: true,
        said: `A fitting bedded ${method === 'wet' ? 'wet' : 'as a gasket'} in ${best.name}.`,
      },
      puts: [
        ...(none
          ? []
          : isTape
            ? [
                {
                  is: 'part' as const,
                  key: 'butyl',
                  name: 'Butyl tape',
                  quantity: round(long * 1.15, 2),
                  unit: 'm',
                },
              ]
            : [
                {
                  is: 'part' as const,
                  key: 'sealant',
                  name: `Sealant, ${best.name.toLowerCase()}`,
                  quantity: tubes,
                  unit: 'cartridges',
                },
              ]),
        {
          is: 'bring',
          key: 'tape',
          what: 'Masking tape, spatula, solvent, rags',
          amount: '',
          kind: 'consumable',
        },
        {
          is: 'asBuilt',
          key: 'bed',
          kind: 'setting',
          what: 'Bedding',
          value: `${best.name}, ${method === 'wet' ? 'wet' : 'as a gasket'}`,
        },
      ],
    })
  },
})

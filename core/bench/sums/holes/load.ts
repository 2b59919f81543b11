import { backingPlateMm } from '../../../fastening/backingPlate'
import { boltGrades, fasteningLoad, stressAreaMm2 } from '../../../fastening/boltLoad'
import type { BoltGrade } from '../../../fastening/boltLoad'
import { accepted, refused } from '../../../result'
import { amount, count, pick } from '../../ask'
import type { Shape } from '../../drawing'
import { by, box, length, round, text, threadAt, threadPick } from '../../parts'
import { sum } from '../../sum'

/** Over this a bolt a surveyor or designer says how. Starting value. */
const surveyorKn = 10
/** What lies under the plate may be crushed by, MPa; careful starting values for stuff of the trade. */
const crush = { solid: 30, wood: 4, balsa: 3, foam: 0.5 } as const

export const loadAndPlate = sum({
  key: 'load-and-plate',
  title: 'Load and plate',
  pocket: 'holes',
  about:
    'What a line that pulls does to the bolts of a fitting, and how large a plate under it keeps skin and core from being crushed.',
  words: 'load pull cleat bitt chainplate winch backing plate crushing surveyor',
  source: 'the trade’s rules: ISO 3506-1, ISO 898-1; statics',
  asks: [
    amount('load', 'A line pulls', 'kN', 5, [0.1, 200], { doubt: 0.3 }),
    amount('lever', 'At this height over the deck', 'mm', 60, [0, 2000]),
    threadPick('bolt', 'Thread', 10),
    count('bolts', 'Bolts', 4, 40),
    count('row', 'Of them in the row away from the pull', 2, 20),
    amount('spread', 'From that row to the edge it tips over', 'mm', 90, [10, 2000]),
    pick('grade', 'Bolts of', 'stainless70', [
      { value: 'stainless70', label: 'stainless A2 or A4, 70' },
      { value: 'steel88', label: 'steel 8.8, galvanised' },
      { value: 'bronze', label: 'silicon bronze' },
    ]),
    amount('footLong', 'Foot of the fitting, long', 'mm', 140, [10, 1500]),
    amount('footWide', 'Foot of the fitting, wide', 'mm', 80, [10, 1500]),
    amount('boltsWide', 'Bolts apart, across', 'mm', 50, [0, 1500]),
    pick('under', 'Under the plate', 'balsa', [
      { value: 'solid', label: 'solid laminate or cast plugs' },
      { value: 'wood', label: 'wood or plywood' },
      { value: 'balsa', label: 'balsa core' },
      { value: 'foam', label: 'foam core' },
    ]),
  ],
  work: (given, { say }) => {
    const { load, lever, bolt, bolts, row, spread, grade, under } = given
    if (row > bolts)
      return refused('More bolts in a row than there are bolts.', [
        { field: 'row', message: `There are ${bolts} bolts in all.` },
      ])
    const thread = threadAt(bolt)
    const { pullKn, shearKn, togetherKn } = fasteningLoad(load, lever, spread, row, bolts)
    const bearsKn = (stressAreaMm2(thread) * boltGrades[grade as BoltGrade]) / 1000
    const share = togetherKn / bearsKn
    const [long, wide] = backingPlateMm(
      [given.footLong, given.footWide],
      [Math.min(spread, given.footLong), Math.min(given.boltsWide, given.footWide)],
    )
    const half = (long * wide) / 2
    const mpa = (pullKn * row * 1000) / half
    const grow = Math.sqrt(Math.max(1, mpa / (crush[under] / 2)))
    const plate = `${by(say(Math.ceil(long * grow), 'mm'), say(Math.ceil(wide * grow), 'mm'))}`
    const mpaThen = mpa / grow ** 2
    const isPast = togetherKn > surveyorKn || share > 0.5
    const kn = (value: number) => `${round(value)} kN`
    const w = Math.max(given.footLong, long * grow)
    const shapes: Shape[] = [
      box(-given.footLong / 2, -12, given.footLong, 12, { fill: 'metal' }),
      box(-15, -lever - 12, 30, lever, { fill: 'metal' }),
      box(-w * 0.75, 0, w * 1.5, 20, {
        fill: under === 'solid' ? 'glass' : under === 'wood' ? 'wood' : 'core',
      }),
      box((-long * grow) / 2, 20, long * grow, 8, { fill: 'glass', dashed: true }),
      box(spread / 2 - thread.sizeMm / 2, -18, thread.sizeMm, 58, { fill: 'metal' }),
      box(-spread / 2 - thread.sizeMm / 2, -18, thread.sizeMm, 58, { fill: 'metal' }),
      { is: 'arrow', from: [-15, -lever], to: [-w * 0.7, -lever], tone: 'red' },
      text([-w * 0.45, -lever], kn(load), {
        down: -0.9,
        tone: 'red',
        bold: true,
        anchor: 'middle',
        field: 'load',
      }),
      length([w * 0.6, -lever], [w * 0.6, 0], say(lever, 'mm'), { off: 0.4, field: 'lever' }),
      { is: 'arrow', from: [spread / 2, 44], to: [spread / 2, 74], tone: 'ink' },
      text([spread / 2 + thread.sizeMm, 52], ` ${kn(pullKn)}`, { bold: true }),
      length([(-long * grow) / 2, 28], [(long * grow) / 2, 28], plate, { off: 3.2 }),
    ]
    return accepted({
      says: isPast ? `${kn(togetherKn)} a bolt: ask` : `plate ${plate}`,
      takes: isPast ? 'ask' : plate,
      heading: isPast
        ? `${kn(togetherKn)} on one bolt: ask a surveyor or designer before you go on`
        : `${kn(togetherKn)} on the worst bolt of the ${kn(bearsKn)} it bears; plate ${plate}`,
      verdict: isPast ? 'stop' : 'go',
      figures: [
        { label: 'Pull on a bolt', value: kn(pullKn) },
        { label: 'Sideways on a bolt', value: kn(shearKn) },
        {
          label: 'Both, as pull',
          value: kn(togetherKn),
          note: `${Math.round(share * 100)} % of ${kn(bearsKn)}`,
          tone: isPast ? 'short' : 'good',
        },
        ...(isPast ? [] : [{ label: 'Plate', value: plate }]),
        {
          label: 'Crushing under it',
          value: `${round(isPast ? mpa : mpaThen, 2)} MPa`,
          note: `half of ${crush[under]} is used`,
        },
      ],
      working: [
        `Pull: ${round(load)} kN × ${round(lever)} ÷ ${round(spread)} mm ÷ ${row} bolts = ${round(pullKn, 2)} kN.`,
        `Sideways: ${round(load)} ÷ ${bolts} = ${round(shearKn, 2)} kN; together √(${round(pullKn, 2)}² + 3 × ${round(shearKn, 2)}²) = ${round(togetherKn, 2)} kN.`,
        `A bolt bears ${round(stressAreaMm2(thread), 1)} mm² × ${boltGrades[grade as BoltGrade]} MPa = ${round(bearsKn)} kN before it gives.`,
        `Plate: past every bolt by 25 mm and twice the foot: ${Math.ceil(long)} × ${Math.ceil(wide)} mm; half of it carries ${round(pullKn * row, 1)} kN, ${round(mpa, 2)} MPa${grow > 1 ? `, so it grows until that is ${round(mpaThen, 2)}` : ''}.`,
      ],
      distrust: [
        'The pull is a guess: a snatch is twice and more of a steady one.',
        'What the deck bears away from the plate is not in it.',
        'Crushing limits are careful starting values; the maker’s sheet of the core decides.',
      ],
      cautions: [
        'Anchoring, towing and rig loads are for a surveyor or designer: this says when to ask, not that it holds.',
      ],
      drawing: {
        shapes,
        inMm: true,
        said: `A pull of ${round(load)} kN at ${round(lever)} mm; ${round(pullKn)} kN on each bolt of the far row.`,
      },
      puts: [
        { is: 'part', key: 'plate', name: `Backing plate ${plate}`, quantity: 1, unit: 'pieces' },
        {
          is: 'asBuilt',
          key: 'plate',
          kind: 'size',
          what: 'Backing plate',
          value: `${plate}, for ${kn(load)} at ${say(lever, 'mm')}`,
        },
      ],
    })
  },
})

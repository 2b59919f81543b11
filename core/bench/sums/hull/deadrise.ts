import { lineAngleDeg } from '../../../geometry/shaftLine'
import { accepted } from '../../../result'
import { amount, maybeAmount, pick } from '../../ask'
import type { Shape } from '../../drawing'
import { length, path, round, shape, text } from '../../parts'
import { sum } from '../../sum'

/** A beam that stands so far off the plumb still sounds. Starting value. */
const leansAtMost = 3

export const deadrise = sum({
  key: 'deadrise',
  title: 'Deadrise',
  pocket: 'hull',
  about:
    'The slope of the bottom where a transducer goes, which built-in tilt suits it, and the fairing if none does.',
  words: 'deadrise transducer angle tilt fairing block bottom slope',
  source: 'the trade’s rules: atan(rise ÷ run)',
  asks: [
    pick('by', 'Known by', 'rise', [
      { value: 'rise', label: 'a level held to the hull: rise and run' },
      { value: 'angle', label: 'a protractor' },
    ]),
    amount('run', 'Run, level', 'mm', 300, [10, 5000], { onlyIf: ['by', 'rise'] }),
    amount('rise', 'Rise over it', 'mm', 95, [0, 5000], { doubt: 0.08, onlyIf: ['by', 'rise'] }),
    amount('angle', 'Angle read', '°', 18, [0, 60], { doubt: 0.1, onlyIf: ['by', 'angle'] }),
    amount('tiltA', 'Housings are made for', '°', 0, [0, 45]),
    amount('tiltB', 'or for', '°', 12, [0, 45]),
    maybeAmount('tiltC', 'or for, third', '°', [0, 45], { initial: 20 }),
    amount('body', 'Housing, across', 'mm', 80, [10, 500]),
  ],
  wantedBy: [
    {
      recipe: 'transducer',
      steps: ['measure', 'mark', 'bucket'],
      fill: { by: { is: 'angle' }, angle: 'deadrise', body: 'pad' },
    },
  ],
  wantedAt: { operations: ['survey', 'drill', 'fit'], words: /transducer|deadrise/i },
  work: ({ by, run, rise, angle, tiltA, tiltB, tiltC, body }, { say }) => {
    const slope = by === 'angle' ? angle : lineAngleDeg(rise, run)
    const tilts = [tiltA, tiltB, ...(tiltC === null ? [] : [tiltC])]
    const best = tilts.reduce((a, b) => (Math.abs(b - slope) < Math.abs(a - slope) ? b : a))
    const off = slope - best
    const fits = Math.abs(off) <= leansAtMost
    const block = body * Math.tan((slope * Math.PI) / 180)
    const tall = 300 * Math.tan((slope * Math.PI) / 180)
    const shapes: Shape[] = [
      shape(
        [
          [0, -tall],
          [0, -tall - 60],
          [300, -60],
          [300, 0],
        ],
        { fill: 'glass' },
      ),
      path(
        [
          [0, 0],
          [300, 0],
        ],
        { dashed: true },
      ),
      shape(
        [
          [130, -tall * 0.567],
          [130 + 70, -tall * 0.333],
          [130 + 70 - 20 * Math.sin((off * Math.PI) / 180), -tall * 0.333 + 40],
          [130 - 20 * Math.sin((off * Math.PI) / 180), -tall * 0.567 + 40],
        ],
        { fill: 'brass' },
      ),
      length([0, 0], [0, -tall], `${round(slope)}°`, {
        off: -0.6,
        field: by === 'angle' ? 'angle' : 'rise',
      }),
      text([300, 0], 'keel', { anchor: 'end', down: 0.8, tone: 'soft' }),
    ]
    return accepted({
      says: `${round(slope)}°, ${fits ? `tilt ${round(best)}°` : 'fairing'}`,
      takes: fits ? `tilt ${best}` : 'fairing',
      heading: fits
        ? `${round(slope)}°: the ${round(best)}° housing looks straight down within ${round(Math.abs(off))}°`
        : `${round(slope)}°: no housing suits, cut a fairing block`,
      verdict: fits ? 'go' : 'look',
      figures: [
        { label: 'Deadrise', value: `${round(slope)}°` },
        {
          label: 'Nearest housing',
          value: `${round(best)}°`,
          note: `leaves ${round(Math.abs(off))}°`,
          tone: fits ? 'good' : 'short',
        },
        {
          label: fits
            ? 'Uphill side of a level housing stands off'
            : 'Fairing block, thick side over thin',
          value: say(round(block, 0), 'mm'),
        },
      ],
      working: [
        by === 'angle'
          ? `Read: ${round(slope)}°.`
          : `atan(${round(rise)} ÷ ${round(run)}) = ${round(slope, 2)}°.`,
        `Within ${leansAtMost}° of the plumb a beam still sounds.`,
        ...(fits ? [] : [`${round(body)} mm × tan ${round(slope)}° = ${round(block)} mm.`]),
      ],
      distrust: [
        'She has to stand level athwart when it is read: check on her cabin sole with a level.',
        'Read both sides: stands lift one.',
      ],
      cautions: [
        'Below the waterline: thickness and what is behind, depth stop, plug and hammer within reach.',
      ],
      drawing: {
        shapes,
        said: `A bottom rising at ${round(slope)} degrees with a housing of ${round(best)} degrees.`,
      },
      puts: [
        {
          is: 'part',
          key: 'transducer',
          name: fits
            ? `Transducer for ${round(best)}° of tilt`
            : `Transducer with fairing block for ${round(slope)}°`,
          quantity: 1,
          unit: 'pieces',
        },
        {
          is: 'asBuilt',
          key: 'angle',
          kind: 'size',
          what: 'Deadrise at the transducer',
          value: `${round(slope)}°`,
        },
      ],
    })
  },
})

import { crossOvalMm, exitOvalMm, lineAngleDeg } from '../../../geometry/shaftLine'
import { accepted } from '../../../result'
import { amount, maybeAmount } from '../../ask'
import type { Shape } from '../../drawing'
import { by, box, length, path, round, text } from '../../parts'
import type { Check } from '../../sum'
import { sum } from '../../sum'

/** Source: handbook 14. */
const wantedTip = 0.15
const wantedClear = 50
/** A shaft between bearings whips over so many diameters; careful starting value. */
const spanTimes = 40

export const shaftLine = sum({
  key: 'shaft-line',
  title: 'Shaft line',
  pocket: 'hull',
  about:
    'The angle of a shaft, how long it is, its oval through the skin, where the strut comes, and room at the tip and the gearbox.',
  words: 'shaft propeller angle strut tube gearbox coupling tip clearance bearing span engine line',
  source: 'the trade’s rules: oval D ÷ sin, tip ≥ 0.15 D, gearbox ≥ 50 mm clear',
  isWide: true,
  asks: [
    amount('run', 'From coupling to propeller, level', 'mm', 2400, [100, 20_000], { doubt: 0.01 }),
    amount('drop', 'From coupling to propeller, down', 'mm', 320, [0, 10_000], { doubt: 0.03 }),
    amount('shaft', 'Shaft', 'mm', 30, [10, 200]),
    amount('propeller', 'Propeller', 'mm', 430, [50, 3000]),
    amount('hullAbove', 'From the middle of the propeller up to the hull', 'mm', 290, [10, 5000], {
      doubt: 0.05,
    }),
    amount('hullSlope', 'Hull there rises aft by', '°', 4, [-20, 45], { doubt: 0.15 }),
    amount('exitAt', 'Goes through the hull from the coupling, level', 'mm', 1000, [0, 20_000], {
      doubt: 0.03,
    }),
    amount('strutAt', 'Strut or last bearing from the coupling, level', 'mm', 2250, [0, 20_000], {
      doubt: 0.03,
    }),
    maybeAmount('tube', 'Tube round it, outside', 'mm', [10, 400]),
    maybeAmount('gearbox', 'Gearbox or pump to what is under it', 'mm', [0, 2000]),
  ],
  wantedBy: [
    {
      recipe: 'new-shaft-line',
      steps: ['measure', 'stretch', 'sign'],
      fill: { run: 'runMm', drop: 'dropMm', shaft: 'shaft' },
    },
    {
      recipe: 'shaft-and-gland',
      steps: ['draw', 'height', 'align', 'wear'],
      fill: { shaft: 'shaft' },
    },
  ],
  wantedAt: { operations: ['survey', 'fit'], words: /shaft/i },
  work: (given, { say }) => {
    const { run, drop, shaft, propeller, hullAbove, hullSlope, exitAt, strutAt, gearbox } = given
    const through = given.tube ?? shaft
    const angle = lineAngleDeg(drop, run)
    const long = Math.hypot(run, drop)
    const toHull = Math.max(0.5, angle + hullSlope)
    const oval = exitOvalMm(through, toHull)
    const ring = crossOvalMm(through, angle)
    const strutDrop = (drop * strutAt) / run
    const tip = hullAbove - propeller / 2
    const tipWant = wantedTip * propeller
    const between = Math.abs(strutAt - exitAt) / Math.cos((angle * Math.PI) / 180)
    const spanMost = spanTimes * shaft
    const mm = (value: number) => say(round(value, 0), 'mm')
    const fine = (value: number) => say(round(value, 1), 'mm')
    const checks: Check[] = [
      {
        text: `Tip ${mm(tip)} off the hull`,
        detail:
          tip >= tipWant
            ? `${mm(tipWant)} wanted`
            : `${mm(tipWant)} wanted: noise and shake. A smaller propeller, or lower the shaft`,
        state: tip >= tipWant ? 'fine' : tip <= 0 ? 'stop' : 'look',
      },
      gearbox === null
        ? { text: 'Room under the gearbox', detail: 'not measured', state: 'look' }
        : {
            text: `${mm(gearbox)} under the gearbox`,
            detail:
              gearbox >= wantedClear
                ? 'it may move on its mounts'
                : `${mm(wantedClear)} wanted: it moves on its mounts`,
            state: gearbox >= wantedClear ? 'fine' : 'stop',
          },
      {
        text: `${mm(between)} free between bearings`,
        detail:
          between <= spanMost
            ? `up to ${mm(spanMost)} at this thickness`
            : `over ${mm(spanMost)} it may whip: a bearing more, or thicker`,
        state: between <= spanMost ? 'fine' : 'look',
      },
      {
        text: `${round(angle)}° down`,
        detail: angle <= 12 ? 'usual' : 'steep: the engine maker’s limit, running, decides',
        state: angle <= 12 ? 'fine' : 'look',
      },
    ]
    const stop = checks.some((one) => one.state === 'stop')
    const look = checks.filter((one) => one.state === 'look').length
    const hullY = (x: number) =>
      drop - hullAbove - (run - x) * -Math.tan((hullSlope * Math.PI) / 180) * -1
    const shapes: Shape[] = [
      path(
        [
          [0, 0],
          [run, drop],
        ],
        { thick: true },
      ),
      path(
        [
          [0, 0],
          [run, 0],
        ],
        { dashed: true },
      ),
      path(
        [
          [exitAt * 0.4, hullY(exitAt * 0.4)],
          [run * 1.08, hullY(run * 1.08)],
        ],
        { thick: true, edge: 'soft' },
      ),
      box(-run * 0.06, -run * 0.05, run * 0.06, run * 0.07, { fill: 'metal' }),
      path(
        [
          [run, drop - propeller / 2],
          [run, drop + propeller / 2],
        ],
        { thick: true, edge: tip >= tipWant ? 'ink' : 'red' },
      ),
      path(
        [
          [strutAt, hullY(strutAt)],
          [strutAt, strutDrop],
        ],
        { thick: true },
      ),
      length([run, drop - hullAbove], [run, drop - propeller / 2], mm(tip), {
        off: 0.6,
        tone: tip >= tipWant ? 'ink' : 'red',
        field: 'hullAbove',
      }),
      length([0, 0], [strutAt, 0], mm(strutAt), { off: -1, field: 'strutAt' }),
      text([run * 0.45, drop * 0.45], `${round(angle)}°, ${say(round(long / 1000, 3), 'm')}`, {
        down: 1,
        bold: true,
      }),
    ]
    return accepted({
      says: `${round(angle)}°, ${say(round(long / 1000, 2), 'm')}`,
      heading: stop
        ? 'it does not go like this'
        : `${round(angle)}° down, ${say(round(long / 1000, 3), 'm')} from coupling to propeller${look > 0 ? `; ${look} to look at` : ''}`,
      verdict: stop ? 'stop' : look > 0 ? 'look' : 'go',
      figures: [
        { label: 'Angle', value: `${round(angle, 2)}°` },
        {
          label: 'Shaft, coupling to propeller',
          value: mm(long),
          note: 'taper and thread come on top',
        },
        {
          label: 'Oval through the skin',
          value: `${by(mm(oval), mm(through))}`,
          note: `at ${round(toHull)}° to it, for the ${given.tube === null ? 'bare shaft: a tube is larger' : 'tube'}`,
        },
        {
          label: 'Rings and upright frames',
          value: `${by(fine(ring), fine(through))}`,
          note: 'the hole that holds it on its line, high and wide',
        },
        { label: 'Strut: shaft under the coupling by', value: mm(strutDrop) },
        {
          label: 'Tip to hull',
          value: mm(tip),
          note: `${mm(tipWant)} wanted`,
          tone: tip >= tipWant ? 'good' : 'short',
        },
      ],
      checks,
      working: [
        `atan(${round(drop)} ÷ ${round(run)}) = ${round(angle, 2)}°; √(${round(run)}² + ${round(drop)}²) = ${round(long)} mm.`,
        `Oval: ${round(through)} ÷ sin(${round(angle)} + ${round(hullSlope)})° = ${round(oval)} mm; rings: ${round(through)} ÷ cos(${round(angle)})° = ${round(ring)} mm.`,
        `Tip: ${round(hullAbove)} − ${round(propeller)}/2 = ${round(tip)} mm; 0.15 × ${round(propeller)} = ${round(tipWant)}.`,
        `At the strut: ${round(drop)} × ${round(strutAt)} ÷ ${round(run)} = ${round(strutDrop)} mm.`,
      ],
      distrust: [
        'A string sags: a wire, or a light, over two metres.',
        'She bends when she is lifted: the line is proved again afloat, after a day.',
        'The engine maker’s sheet says how steep it may lie, running.',
      ],
      cautions: ['The line is signed before bearers, tube or strut are fixed.'],
      drawing: {
        shapes,
        inMm: true,
        said: `A shaft at ${round(angle)} degrees over ${round(long)} mm.`,
      },
      puts: [
        {
          is: 'part',
          key: 'shaft',
          name: `Shaft ${mm(shaft)}, ${mm(long)} from coupling to propeller`,
          quantity: 1,
          unit: 'pieces',
          specification: 'length with taper and thread by the maker’s sheet',
        },
        {
          is: 'asBuilt',
          key: 'line',
          kind: 'size',
          what: 'Shaft line',
          value: `${round(angle, 2)}°, ${mm(long)}; tip ${mm(tip)} off the hull`,
        },
      ],
    })
  },
})

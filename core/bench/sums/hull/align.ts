import { alignment } from '../../../geometry/shaftLine'
import { accepted } from '../../../result'
import { amount, lines } from '../../ask'
import type { Shape } from '../../drawing'
import { box, path, round, text } from '../../parts'
import { sum } from '../../sum'

export const lineUpToShims = sum({
  key: 'line-up-to-shims',
  title: 'Line up to shims',
  pocket: 'hull',
  about:
    'How far each engine mount is lifted and moved for the gaps that the feelers show at the coupling.',
  words: 'align engine coupling shaft feeler gauge shim mount gap offset',
  source: 'the trade’s rules: a tenth of a millimetre to 100 mm of flange',
  asks: [
    amount('flange', 'Coupling, across', 'mm', 100, [20, 1000]),
    lines(
      'turns',
      'Gaps, one line a turn; the second with the shaft turned half round',
      'turn',
      [
        amount('top', 'Top', 'mm', 0.2, [0, 20]),
        amount('bottom', 'Bottom', 'mm', 0.2, [0, 20]),
        amount('port', 'Port', 'mm', 0.2, [0, 20]),
        amount('starboard', 'Starboard', 'mm', 0.2, [0, 20]),
      ],
      [
        { top: 0.45, bottom: 0.2, port: 0.3, starboard: 0.35 },
        { top: 0.41, bottom: 0.2, port: 0.28, starboard: 0.33 },
      ],
      { most: 4 },
    ),
    amount('high', 'The engine’s flange stands higher by', 'mm', 0, [-20, 20], {
      help: 'Lower is negative. Read with a straight edge across both.',
    }),
    amount('side', 'The engine’s flange stands to starboard by', 'mm', 0, [-20, 20]),
    amount('back', 'Back mounts, forward of the coupling', 'mm', 150, [-2000, 5000]),
    amount('front', 'Front mounts, forward of it', 'mm', 750, [1, 8000]),
    amount('perTurn', 'One turn of a mount’s nut lifts', 'mm', 1.5, [0.2, 10]),
  ],
  wantedBy: [
    { recipe: 'new-shaft-line', steps: ['rough', 'final'], fill: {} },
    { recipe: 'shaft-and-gland', steps: ['align'], fill: {} },
  ],
  wantedAt: { operations: ['fit', 'test', 'survey'], words: /align/i },
  work: ({ flange, turns, high, side, back, front, perTurn }, { say }) => {
    const found = alignment(turns, flange, high, side, front, back)
    const mm2 = (value: number) => say(round(value, 2), 'mm')
    const how = (value: number, plus: string, minus: string) =>
      Math.abs(value) < 0.02 ? 'leave' : `${value > 0 ? plus : minus} ${mm2(Math.abs(value))}`
    const nut = (value: number) =>
      `${round(Math.abs(value) / perTurn, 2)} turns ${value >= 0 ? 'up' : 'down'}`
    const ownFault =
      turns.length > 1
        ? Math.max(
            ...(['top', 'bottom', 'port', 'starboard'] as const).map(
              (at) =>
                Math.max(...turns.map((one) => one[at])) - Math.min(...turns.map((one) => one[at])),
            ),
          )
        : null
    const long = front + 100
    const exaggerated = Math.max(-0.2, Math.min(0.2, found.tilt * 20))
    const shapes: Shape[] = [
      path(
        [
          [-400, 0],
          [0, 0],
        ],
        { thick: true },
      ),
      box(-12, -flange / 2, 12, flange, { fill: 'metal' }),
      path(
        [
          [6, -flange / 2 - exaggerated * 20],
          [6 + exaggerated * -flange * 0.2, flange / 2],
        ],
        { thick: true },
      ),
      path(
        [
          [6, 0],
          [long, exaggerated * long * 0.35],
        ],
        { thick: true },
      ),
      ...(
        [
          [back, found.backLiftMm],
          [front, found.frontLiftMm],
        ] as const
      ).flatMap(([x, lift]): Shape[] => [
        box(x - 40, 60, 80, 30, { fill: 'paint' }),
        text([x, 90], how(lift, 'lift', 'lower'), {
          anchor: 'middle',
          down: 0.9,
          bold: true,
          tone: Math.abs(lift) < 0.02 ? 'good' : 'red',
        }),
        ...(Math.abs(lift) < 0.02
          ? []
          : [
              {
                is: 'arrow' as const,
                from: [x, lift > 0 ? 58 : 20] as const,
                to: [x, lift > 0 ? 20 : 58] as const,
                tone: 'red' as const,
              },
            ]),
      ]),
      text(
        [6, -flange / 2],
        `top ${mm2(turns.reduce((a, one) => a + one.top, 0) / turns.length)}`,
        { down: -0.7, anchor: 'middle' },
      ),
    ]
    return accepted({
      says: found.isOut ? `front ${how(found.frontLiftMm, 'up', 'down')}` : 'in line',
      heading: found.isOut
        ? `front ${how(found.frontLiftMm, 'up', 'down')}, back ${how(found.backLiftMm, 'up', 'down')}`
        : 'in line within a tenth to 100 mm of flange',
      verdict: found.isOut ? 'look' : 'go',
      figures: [
        {
          label: 'Front mounts, lift',
          value: how(found.frontLiftMm, 'lift', 'lower'),
          note: Math.abs(found.frontLiftMm) < 0.02 ? undefined : nut(found.frontLiftMm),
        },
        {
          label: 'Back mounts, lift',
          value: how(found.backLiftMm, 'lift', 'lower'),
          note: Math.abs(found.backLiftMm) < 0.02 ? undefined : nut(found.backLiftMm),
        },
        { label: 'Front, athwart', value: how(found.frontStarboardMm, 'to starboard', 'to port') },
        { label: 'Back, athwart', value: how(found.backStarboardMm, 'to starboard', 'to port') },
        {
          label: 'Open on top by',
          value: mm2(found.tilt * flange),
          note: `${mm2(0.001 * flange)} allowed`,
          tone: found.isOut ? 'short' : 'good',
        },
        ...(ownFault === null
          ? []
          : [
              {
                label: 'The flange’s own fault',
                value: mm2(ownFault),
                note: ownFault > 0.1 ? 'over a tenth: have it trued' : 'taken out by the two turns',
                tone: ownFault > 0.1 ? ('short' as const) : undefined,
              },
            ]),
      ],
      working: [
        `Top less bottom, mean of ${turns.length}: ${round(found.tilt * flange, 3)} mm over ${round(flange)} mm = ${round(found.tilt * 1000, 2)} mm a metre.`,
        `Lift at a mount = that × its distance − how high the flange stands: front ${round(found.tilt * 1000, 2)} × ${round(front / 1000, 3)} − ${round(high, 2)} = ${round(found.frontLiftMm, 2)} mm.`,
      ],
      distrust: [
        'Final only afloat, a day and more after launch, tanks as usual, mast in.',
        'Shaft held in the middle of its log, not hanging.',
        ...(turns.length < 2 ? ['One turn alone: the flange’s own fault is in it.'] : []),
      ],
      cautions: ['Engine out of gear and off, key in your pocket. Never a finger in a coupling.'],
      drawing: {
        shapes,
        said: `The engine’s line against the shaft, much exaggerated: front ${round(found.frontLiftMm, 2)} mm, back ${round(found.backLiftMm, 2)} mm.`,
      },
      puts: [
        {
          is: 'bring',
          key: 'feelers',
          what: 'Feeler gauges, straight edge, shims',
          amount: '1',
          kind: 'tool',
        },
        {
          is: 'asBuilt',
          key: 'gaps',
          kind: 'setting',
          what: 'Coupling gaps',
          value: turns
            .map(
              (one) =>
                `${round(one.top, 2)}/${round(one.bottom, 2)}/${round(one.port, 2)}/${round(one.starboard, 2)}`,
            )
            .join(' · '),
        },
      ],
    })
  },
})

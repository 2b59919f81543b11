import { accepted, refused } from '../../../result'
import { amount, maybeAmount } from '../../ask'
import type { Shape } from '../../drawing'
import { box, length, path, round } from '../../parts'
import { sum } from '../../sum'

/** A person passes sideways, and walks. Starting values. */
const passes = { sideways: 300, walking: 450 } as const

export const holeAndPassing = sum({
  key: 'hole-edge-and-passing',
  title: 'Room to pass',
  pocket: 'layout',
  about:
    'Where the edge of a hole comes from the distance of its middle, what is left beside it, and whether a person still passes.',
  words:
    'hole edge centre distance radius side deck width pass walk panel cut out speaker instrument',
  source: 'the trade’s rules: widths of a person are starting values',
  asks: [
    amount('centre', 'Middle of the hole from the reference edge', 'mm', 400, [0, 20_000], {
      doubt: 0.01,
    }),
    amount('hole', 'Hole, across', 'mm', 120, [1, 10_000]),
    amount('flange', 'Rim or flange beyond it, each side', 'mm', 15, [0, 1000]),
    amount('width', 'Width of panel or deck', 'mm', 900, [1, 20_000], { doubt: 0.01 }),
    maybeAmount('least', 'Sound stuff wanted beside the hole', 'mm', [0, 5000], { initial: 40 }),
  ],
  work: ({ centre, hole, flange, width, least }, { say }) => {
    const near = centre - hole / 2
    const far = centre + hole / 2
    if (near < 0 || far > width)
      return refused('The hole reaches over an edge.', [
        {
          field: 'centre',
          message: `From ${say(hole / 2, 'mm')} to ${say(width - hole / 2, 'mm')} it lies inside.`,
        },
      ])
    const left = [near - flange, width - far - flange] as const
    const free = Math.max(...left)
    const sound = Math.min(near, width - far)
    const tooNear = least !== null && sound < least
    const how =
      free >= passes.walking
        ? 'walks past'
        : free >= passes.sideways
          ? 'passes sideways'
          : 'does not pass'
    const mm = (value: number) => say(round(value, 0), 'mm')
    const shapes: Shape[] = [
      box(0, 0, width, Math.max(hole * 1.6, width * 0.22), { fill: 'wood' }),
      {
        is: 'round',
        at: [centre, Math.max(hole * 1.6, width * 0.22) / 2],
        radius: hole / 2 + flange,
        fill: 'metal',
      },
      {
        is: 'round',
        at: [centre, Math.max(hole * 1.6, width * 0.22) / 2],
        radius: hole / 2,
        fill: 'paper',
      },
      path(
        [
          [centre, 0],
          [centre, Math.max(hole * 1.6, width * 0.22)],
        ],
        { dashed: true },
      ),
      length([0, 0], [near, 0], mm(near), { off: -0.7 }),
      length([far, 0], [width, 0], mm(width - far), { off: -0.7 }),
      length(
        [0, Math.max(hole * 1.6, width * 0.22)],
        [centre, Math.max(hole * 1.6, width * 0.22)],
        mm(centre),
        { off: 0.7, field: 'centre' },
      ),
    ]
    return accepted({
      says: `edge at ${mm(near)}, ${how}`,
      takes: how,
      heading: tooNear
        ? `only ${mm(sound)} of sound stuff beside it`
        : `edges at ${mm(near)} and ${mm(far)}; a person ${how}`,
      verdict: tooNear ? 'stop' : how === 'does not pass' ? 'look' : 'go',
      figures: [
        { label: 'Near edge', value: mm(near) },
        { label: 'Far edge', value: mm(far) },
        { label: 'Free beside the rim', value: mm(free), note: `a person ${how}` },
        {
          label: 'Sound stuff on the tighter side',
          value: mm(sound),
          tone: tooNear ? 'short' : undefined,
        },
      ],
      working: [
        `${round(centre)} − ${round(hole)}/2 = ${round(near)} mm; ${round(centre)} + ${round(hole)}/2 = ${round(far)} mm.`,
        `Beside the rim ${round(left[0])} and ${round(left[1])} mm are left; ${passes.walking} mm to walk, ${passes.sideways} sideways.`,
      ],
      distrust: ['In oilskins and with a harness a person is wider.'],
      cautions: ['Know what is behind before the hole saw starts.'],
      drawing: { shapes, inMm: true, said: `A hole of ${round(hole)} mm in ${round(width)} mm.` },
      puts: [
        {
          is: 'asBuilt',
          key: 'hole',
          kind: 'size',
          what: 'Hole',
          value: `${mm(hole)}, middle ${mm(centre)} from the edge`,
        },
      ],
    })
  },
})

import { bendMarks } from '../../../geometry/bendMarks'
import { accepted, refused } from '../../../result'
import { amount } from '../../ask'
import type { At, Shape } from '../../drawing'
import { by, length, path, round, shape } from '../../parts'
import { sum } from '../../sum'

export const bendMarksRound = sum({
  key: 'bend-marks',
  title: 'Bend marks',
  pocket: 'layout',
  about: 'Where to bend one bar round a closed frame, and how long it is cut.',
  words: 'bend marks frame hatch bar tube closed rectangle corner arch',
  source: 'the trade’s rules: the neutral line of a bar lies in its middle',
  asks: [
    amount('long', 'Frame outside, long', 'mm', 600, [20, 10_000], { doubt: 0.02 }),
    amount('wide', 'Frame outside, wide', 'mm', 400, [20, 10_000], { doubt: 0.02 }),
    amount('thick', 'Bar, in the plane of the frame', 'mm', 20, [1, 200]),
    amount('radius', 'Inside radius of the corners', 'mm', 40, [0, 2000]),
    amount('start', 'The joint lies from the middle of a long side by', 'mm', 0, [0, 5000]),
    amount('lap', 'Lap or weld at the joint', 'mm', 0, [-50, 500]),
  ],
  wantedBy: [
    {
      recipe: 'water-lip',
      steps: ['fold', 'bend', 'list'],
      fill: { long: 'outsideLong', wide: 'outsideWide', radius: 'radius', thick: 'sheet' },
    },
  ],
  work: ({ long, wide, thick, radius, start, lap }, { say }) => {
    const outer = radius + thick
    if (2 * outer > Math.min(long, wide))
      return refused('The corners are larger than the frame.', [
        {
          field: 'radius',
          message: `At most ${say(Math.min(long, wide) / 2 - thick, 'mm')} for this frame.`,
        },
      ])
    if (start > long / 2 - outer)
      return refused('The joint would lie in a corner.', [
        { field: 'start', message: `At most ${say(long / 2 - outer, 'mm')}.` },
      ])
    const frame = bendMarks({
      longMm: long,
      wideMm: wide,
      thickMm: thick,
      radiusMm: radius,
      startMm: start,
      lapMm: lap,
    })
    const { cutMm: total, arcMm: arc, straightLongMm: straightLong } = frame
    const straightWide = frame.straightWideMm
    const marks = frame.corners.map(({ fromMm, toMm }, index): [string, number, number] => [
      `corner ${index + 1}`,
      fromMm,
      toMm,
    ])
    const mm = (value: number) => say(round(value), 'mm')
    const corner = (cx: number, cy: number, from: number): At[] =>
      Array.from({ length: 7 }, (_, step) => {
        const angle = ((from + step * 15) * Math.PI) / 180
        return [cx + outer * Math.cos(angle), cy + outer * Math.sin(angle)]
      })
    const ring: At[] = [
      ...corner(long - outer, outer, -90),
      ...corner(long - outer, wide - outer, 0),
      ...corner(outer, wide - outer, 90),
      ...corner(outer, outer, 180),
    ]
    const bar = wide + Math.max(60, wide * 0.25)
    const scale = long / Math.max(total, 1)
    const shapes: Shape[] = [
      shape(ring, { thick: true }),
      shape(
        ring.map(([x, y]): At => [
          long / 2 + (x - long / 2) * (1 - (2 * thick) / long),
          wide / 2 + (y - wide / 2) * (1 - (2 * thick) / wide),
        ]),
        { edge: 'soft' },
      ),
      path(
        [
          [long / 2 + start, -8],
          [long / 2 + start, thick + 8],
        ],
        { edge: 'red', thick: true },
      ),
      length([0, wide], [long, wide], mm(long), { off: 0.6, field: 'long' }),
      length([long, 0], [long, wide], mm(wide), { off: 0.6, field: 'wide' }),
      shape(
        [
          [0, bar + 20],
          [total * scale, bar + 20],
          [total * scale, bar + 20 + thick],
          [0, bar + 20 + thick],
        ],
        { fill: 'metal' },
      ),
      ...marks.flatMap(([, from, to]): Shape[] =>
        [from, to].map((x) =>
          path([
            [x * scale, bar + 12],
            [x * scale, bar + 28 + thick],
          ]),
        ),
      ),
    ]
    return accepted({
      says: `cut ${mm(total)}`,
      heading: `cut ${mm(total)}; bends begin at ${marks.map(([, from]) => mm(from)).join(', ')}`,
      verdict: 'go',
      figures: [
        {
          label: 'Cut',
          value: mm(total),
          note: lap === 0 ? 'butt to butt' : `with ${mm(lap)} at the joint`,
        },
        { label: 'Each corner takes', value: mm(arc) },
        { label: 'Between corners', value: `${mm(straightLong)} and ${mm(straightWide)}` },
      ],
      table: {
        caption: 'Marks from the cut end',
        head: ['Where', 'bend begins', 'bend ends'],
        rows: marks.map(([what, from, to]) => [what, mm(from), mm(to)]),
      },
      working: [
        `Corner: π/2 × (${round(radius)} + ${round(thick)}/2) = ${round(arc, 1)} mm along the middle of the bar.`,
        `2 × ${round(straightLong)} + 2 × ${round(straightWide)} + 4 × ${round(arc, 1)}${lap === 0 ? '' : ` + ${round(lap)}`} = ${round(total, 1)} mm.`,
      ],
      distrust: [
        'Bend the first corner, hold it to the frame, and move the other marks by what it was out.',
      ],
      cautions: ['Hot bending: gloves, fire watch, nothing that burns beside it.'],
      drawing: {
        shapes,
        inMm: true,
        said: `A closed frame ${round(long)} by ${round(wide)} mm from a bar of ${round(total)} mm.`,
      },
      puts: [
        {
          is: 'part',
          key: 'bar',
          name: `Bar for the frame, ${mm(thick)}`,
          quantity: round(total / 1000, 3),
          unit: 'm',
        },
        {
          is: 'asBuilt',
          key: 'frame',
          kind: 'size',
          what: 'Frame',
          value: `${by(mm(long), mm(wide))}, bar ${mm(total)}`,
        },
      ],
    })
  },
})

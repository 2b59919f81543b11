import { accepted } from '../../../result'
import { amount, lines, pick, words } from '../../ask'
import type { Shape } from '../../drawing'
import { box, name, path, round, text } from '../../parts'
import { sum } from '../../sum'

const cells = [
  words('what', 'Layer', 'layer', 40),
  amount('mm', 'Thick', 'mm', 10, [0, 1000], { doubt: 0.05 }),
  pick('is', 'It is', 'toCome', [
    { value: 'there', label: 'there' },
    { value: 'toCome', label: 'to come' },
  ]),
] as const

export const levelsToMeet = sum({
  key: 'levels-to-meet',
  title: 'Levels to meet',
  pocket: 'layout',
  about:
    'Whether two surfaces that are still to be built come level, from one datum with every layer to come.',
  words: 'level height floor sole step datum layers flush packing meet',
  source: 'the trade’s rules',
  asks: [
    amount('rise', 'The second one’s ground stands over the first’s by', 'mm', 0, [-2000, 2000]),
    lines('here', 'The first, from the datum up', 'layer', cells, [
      { what: 'beam', mm: 60 },
      { what: 'sole board', mm: 15 },
    ]),
    lines('there', 'The second, from its ground up', 'layer', cells, [
      { what: 'bearer', mm: 50 },
      { what: 'plywood', mm: 12 },
      { what: 'covering', mm: 4 },
    ]),
    amount('within', 'Level means within', 'mm', 1, [0.1, 50]),
  ],
  work: ({ rise, here, there, within }, { say }) => {
    const total = (list: readonly { readonly mm: number }[]) =>
      list.reduce((all, one) => all + one.mm, 0)
    const [a, b] = [total(here), rise + total(there)]
    const apart = b - a
    const fine = Math.abs(apart) <= within
    const mm = (value: number) => say(round(value), 'mm')
    const shapes: Shape[] = []
    const column = (list: typeof here, x: number, from: number, side: 'left' | 'right') => {
      let y = -from
      for (const one of list) {
        shapes.push(box(x, y - one.mm, 60, one.mm, { fill: 'wood', dashed: one.is === 'toCome' }))
        shapes.push(
          name([side === 'left' ? x : x + 60, y - one.mm / 2], `${mm(one.mm)} ${one.what}`, side),
        )
        y -= one.mm
      }
    }
    column(here, 0, 0, 'left')
    column(there, 90, rise, 'right')
    shapes.push(
      path(
        [
          [-10, 0],
          [160, 0],
        ],
        { thick: true },
      ),
      path(
        [
          [0, -a],
          [150, -a],
        ],
        { dashed: true, edge: fine ? 'good' : 'red' },
      ),
      text(
        [75, -Math.max(a, b)],
        fine ? 'level' : `${mm(Math.abs(apart))} ${apart > 0 ? 'too high' : 'too low'}`,
        { anchor: 'middle', down: -0.7, tone: fine ? 'good' : 'red', bold: true },
      ),
    )
    return accepted({
      says: fine ? 'level' : `${mm(Math.abs(apart))} ${apart > 0 ? 'over' : 'under'}`,
      takes: fine ? 'level' : `${Math.round(apart)}`,
      heading: fine
        ? 'they come level'
        : apart > 0
          ? `the second stands ${mm(apart)} over: plane, or pack the first`
          : `the second lies ${mm(-apart)} under: pack it by that`,
      verdict: fine ? 'go' : 'look',
      figures: [
        { label: 'The first', value: mm(a) },
        { label: 'The second', value: mm(b) },
        { label: 'Apart', value: mm(Math.abs(apart)), tone: fine ? 'good' : 'short' },
      ],
      working: [
        `First: ${here.map((one) => round(one.mm)).join(' + ')} = ${round(a)} mm.`,
        `Second: ${round(rise)} + ${there.map((one) => round(one.mm)).join(' + ')} = ${round(b)} mm.`,
      ],
      distrust: [
        'Glue and bedding have a thickness too. A datum is one line, carried with a hose level, not two tapes.',
      ],
      cautions: [],
      drawing: {
        shapes,
        inMm: true,
        said: `Two stacks of layers, ${round(Math.abs(apart))} mm apart.`,
      },
      puts: [
        {
          is: 'asBuilt',
          key: 'levels',
          kind: 'size',
          what: 'Levels from the datum',
          value: `${mm(a)} and ${mm(b)}`,
        },
      ],
    })
  },
})

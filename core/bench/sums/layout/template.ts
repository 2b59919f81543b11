import { accepted, refused } from '../../../result'
import { amount } from '../../ask'
import type { At, Shape } from '../../drawing'
import { path, round, shape, text } from '../../parts'
import { sum } from '../../sum'

export const templateDiagonals = sum({
  key: 'template-diagonals',
  title: 'By diagonals',
  pocket: 'layout',
  about:
    'The shape of four sides and two diagonals: whether they agree, its corners from one line, and the same mirrored to the other side.',
  words: 'template diagonal pattern mirror port starboard panel square corner both sides',
  source: 'the trade’s rules: measure both diagonals; mirror from the centreline',
  asks: [
    amount('ab', 'Lower side', 'mm', 800, [5, 20_000], { doubt: 0.005 }),
    amount('bc', 'Right side', 'mm', 500, [5, 20_000], { doubt: 0.005 }),
    amount('cd', 'Upper side', 'mm', 769, [5, 20_000], { doubt: 0.005 }),
    amount('da', 'Left side', 'mm', 520, [5, 20_000], { doubt: 0.005 }),
    amount('ac', 'Diagonal, lower left to upper right', 'mm', 936, [5, 30_000], { doubt: 0.005 }),
    amount('bd', 'Diagonal, lower right to upper left', 'mm', 935, [5, 30_000], { doubt: 0.005 }),
    amount('within', 'Measured to', 'mm', 2, [0.1, 50]),
    amount('centre', 'Lower left corner from the centreline', 'mm', 300, [0, 20_000]),
  ],
  work: ({ ab, bc, cd, da, ac, bd, within, centre }, { say }) => {
    // Lower side along x; C from triangle ABC, D from triangle ABD; the upper side then tells on them.
    const cornerAt = (fromA: number, fromB: number): At | null => {
      const x = (ab ** 2 + fromA ** 2 - fromB ** 2) / (2 * ab)
      const y2 = fromA ** 2 - x ** 2
      return y2 < 0 ? null : [x, Math.sqrt(y2)]
    }
    const c = cornerAt(ac, bc)
    const d = cornerAt(da, bd)
    if (!c)
      return refused(
        'The lower and right side are too short for the first diagonal: one of the three is wrong.',
        [{ field: 'ac', message: 'Measure it again.' }],
      )
    if (!d)
      return refused(
        'The lower and left side are too short for the second diagonal: one of the three is wrong.',
        [{ field: 'bd', message: 'Measure it again.' }],
      )
    const upper = Math.hypot(c[0] - d[0], c[1] - d[1])
    const off = upper - cd
    // Each of the six may be off by so much; together they put the upper side off by about three of it.
    const allowed = 3 * within
    const fine = Math.abs(off) <= allowed
    const mm = (value: number) => say(round(value, 0), 'mm')
    const corners: At[] = [[0, 0], [ab, 0], c, d]
    const area =
      Math.abs(
        corners.reduce((sum_, [x, y], at) => {
          const [nx, ny] = corners[(at + 1) % 4] as At
          return sum_ + x * ny - nx * y
        }, 0),
      ) / 2e6
    const drawn = (list: readonly At[]): At[] => list.map(([x, y]): At => [x, -y])
    const shapes: Shape[] = [
      shape(drawn(corners), { fill: 'paper' }),
      path(drawn([[0, 0], c]), { dashed: true }),
      path(drawn([[ab, 0], d]), { dashed: true }),
      text([ab / 2, 0], mm(ab), { anchor: 'middle', down: 0.8, field: 'ab' }),
      text(drawn([c])[0] as At, `C ${mm(c[0])}, ${mm(c[1])}`, { down: -0.7, anchor: 'end' }),
      text(drawn([d])[0] as At, `D ${mm(d[0])}, ${mm(d[1])}`, { down: -0.7 }),
      text([0, 0], 'A', { down: 0.8, anchor: 'end' }),
      text([ab, 0], 'B', { down: 0.8 }),
    ]
    return accepted({
      says: fine ? `agrees, ${say(round(area, 2), 'm²')}` : `${mm(Math.abs(off))} out`,
      takes: fine ? 'agrees' : 'out',
      heading: fine
        ? `the six measures agree within ${mm(Math.abs(off))}`
        : `they do not close by ${mm(Math.abs(off))}: measure again before you cut`,
      verdict: fine ? 'go' : 'stop',
      figures: [
        {
          label: 'Upper side by the others',
          value: mm(upper),
          note: `measured ${mm(cd)}; up to ${mm(allowed)} is in the measuring`,
          tone: fine ? 'good' : 'short',
        },
        { label: 'Area', value: say(round(area, 3), 'm²') },
        {
          label: 'Out of square at A',
          value: `${round(90 - (Math.atan2(d[1], d[0]) * 180) / Math.PI)}°`,
        },
      ],
      table: {
        caption:
          'Corners: along the lower side and square up from it; the other side from the centreline',
        head: ['Corner', 'along', 'up', 'this side', 'other side'],
        rows: corners.map(([x, y], at) => [
          'ABCD'.charAt(at),
          mm(x),
          mm(y),
          `${mm(centre + x)} out`,
          `${mm(centre + x)} out, mirrored`,
        ]),
      },
      working: [
        `C: x = (AB² + AC² − BC²) ÷ 2·AB = ${round(c[0])}, y = √(AC² − x²) = ${round(c[1])}.`,
        `D: x = (AB² + AD² − BD²) ÷ 2·AB = ${round(d[0])}, y = ${round(d[1])}.`,
        `C to D then is ${round(upper)}; it was measured ${round(cd)}.`,
      ],
      distrust: [
        'Mirrored from the centreline, not from the deck edge: the two sides of a boat differ.',
        'Curved sides: spile them from these straight ones.',
      ],
      cautions: [],
      drawing: {
        shapes,
        inMm: true,
        said: `A panel of four corners, ${round(area, 2)} square metres.`,
      },
      puts: [
        {
          is: 'asBuilt',
          key: 'panel',
          kind: 'size',
          what: 'Template',
          value: `${[ab, bc, cd, da].map(mm).join(', ')}; diagonals ${mm(ac)}, ${mm(bd)}`,
        },
      ],
    })
  },
})

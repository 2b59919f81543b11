import { fasteningsWithSpares, packsFor } from '../../../fastening/count'
import { accepted } from '../../../result'
import { count, lines, words } from '../../ask'
import { box, text } from '../../parts'
import type { Put } from '../../sum'
import { sum } from '../../sum'

export const fasteningsForList = sum({
  key: 'fastenings-for-a-list',
  title: 'For a list',
  pocket: 'holes',
  about: 'Fastenings for a list of fittings, added up by size, with spares, in packs.',
  words: 'count fastenings screws bolts fittings shopping list packs spares',
  source: 'the trade’s rules: a tenth to spare',
  asks: [
    lines(
      'fittings',
      'Fittings',
      'fitting',
      [
        words('name', 'Fitting', 'fitting', 40),
        count('many', 'How many', 1, 500),
        count('each', 'Fastenings each', 4, 500),
        words('size', 'Size', 'M6 × 30', 30),
        count('pack', 'Packs of', 10, 1000),
      ],
      [
        { name: 'cleat', many: 4, each: 4, size: 'M8 × 50', pack: 4 },
        { name: 'fairlead', many: 4, each: 2, size: 'M6 × 40', pack: 10 },
        { name: 'hinge', many: 6, each: 6, size: 'M6 × 40', pack: 10 },
      ],
      { most: 60 },
    ),
  ],
  work: ({ fittings }) => {
    const bySize = new Map<string, { many: number; pack: number; of: string[] }>()
    for (const one of fittings) {
      const key = one.size.trim() || 'no size'
      const was = bySize.get(key) ?? { many: 0, pack: one.pack, of: [] }
      bySize.set(key, {
        many: was.many + one.many * one.each,
        pack: Math.max(was.pack, one.pack),
        of: [...was.of, one.name],
      })
    }
    const list = [...bySize].map(([size, { many, pack, of }]) => {
      const buy = fasteningsWithSpares(many, 1)
      return { size, many, buy, pack, of, ...packsFor(buy, pack) }
    })
    const most = Math.max(...list.map((one) => one.buy))
    const all = list.reduce((sum_, one) => sum_ + one.many, 0)
    return accepted({
      says: `${all} in ${list.length} sizes`,
      heading: list.map((one) => `${one.buy} of ${one.size}`).join(', '),
      verdict: 'go',
      figures: list.map((one) => ({
        label: one.size,
        value: `${one.packs} × ${one.pack}`,
        note: `${one.many} wanted, ${one.buy} with spares, ${one.over} over; for ${one.of.join(', ')}`,
      })),
      working: [
        'Fittings × fastenings, added up by size; a tenth to spare, rounded up; whole packs.',
      ],
      distrust: ['A size written two ways counts as two: write it alike.'],
      cautions: [],
      drawing: {
        shapes: list.flatMap((one, at) => [
          text([0, at * 24 + 8], `${one.size} `, { anchor: 'end' }),
          box(0, at * 24, (one.many / most) * 260, 15, { fill: 'metal' }),
          box((one.many / most) * 260, at * 24, ((one.buy - one.many) / most) * 260, 15, {
            fill: 'stock',
            dashed: true,
          }),
          text([(one.buy / most) * 260, at * 24 + 8], ` ${one.buy}`),
        ]),
        said: list.map((one) => `${one.buy} of ${one.size}.`).join(' '),
      },
      puts: [
        ...list.map((one): Put => ({
          is: 'part',
          key: `size ${one.size.replace(/[^A-Za-z0-9 .-]/g, '')}`.slice(0, 50),
          name: `Fastening ${one.size}`,
          quantity: one.buy,
          unit: 'pieces',
          pack: one.pack,
        })),
        {
          is: 'asBuilt',
          key: 'list',
          kind: 'size',
          what: 'Fastenings',
          value: list
            .map((one) => `${one.many} × ${one.size}`)
            .join(' · ')
            .slice(0, 300),
        },
      ],
    })
  },
})

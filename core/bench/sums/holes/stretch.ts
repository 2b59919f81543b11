import { boltLength } from '../../../fastening/boltLength'
import { fasteningsWithSpares, packsFor } from '../../../fastening/count'
import { accepted, refused } from '../../../result'
import { amount, count, lines, words } from '../../ask'
import type { Shape } from '../../drawing'
import { box, path, round, text, threadAt, threadPick } from '../../parts'
import type { Put } from '../../sum'
import { sum } from '../../sum'

export const boltsByStretch = sum({
  key: 'bolts-by-stretch',
  title: 'Bolts by stretch',
  pocket: 'holes',
  about:
    'Bolts along a joint whose thickness changes: length by length, counted, with the layers still to come, in packs.',
  words: 'bolts stretch hull deck joint toe rail track length count packs layers',
  source: 'the trade’s rules',
  isWide: true,
  asks: [
    threadPick('bolt', 'Thread', 6),
    amount('toCome', 'Layers to come on all of it', 'mm', 4, [0, 100], { doubt: 0.25 }),
    count('washers', 'Washers', 2, 6, { min: 0 }),
    count('pack', 'Sold in packs of', 10, 1000),
    lines(
      'stretches',
      'Stretches, from one datum',
      'stretch',
      [
        words('name', 'Stretch', 'stretch', 30),
        amount('long', 'Long', 'm', 3, [0.05, 100], { doubt: 0.02 }),
        amount('spacing', 'A bolt every', 'mm', 150, [20, 2000]),
        amount('thick', 'Thick now', 'mm', 20, [1, 200], { doubt: 0.06 }),
      ],
      [
        { name: 'bow', long: 2, spacing: 150, thick: 24 },
        { name: 'middle', long: 5, spacing: 150, thick: 20 },
        { name: 'quarter', long: 3, spacing: 150, thick: 22 },
      ],
      { most: 30 },
    ),
  ],
  wantedBy: [
    {
      recipe: 'hull-deck-joint',
      steps: ['third'],
      fill: {
        bolt: 'bolt',
        toCome: 'toCome',
        'stretches.0.name': { is: 'forward' },
        'stretches.0.long': 'forwardM',
        'stretches.0.spacing': 'spacing',
        'stretches.0.thick': 'stackA',
        'stretches.1.name': { is: 'middle' },
        'stretches.1.long': 'middleM',
        'stretches.1.spacing': 'spacing',
        'stretches.1.thick': 'stackB',
        'stretches.2.name': { is: 'aft' },
        'stretches.2.long': 'aftM',
        'stretches.2.spacing': 'spacing',
        'stretches.2.thick': 'stackC',
      },
    },
  ],
  work: ({ bolt, toCome, washers, pack, stretches }, { say }) => {
    const thread = threadAt(bolt)
    const totalM = stretches.reduce((all, one) => all + one.long, 0)
    const sized = stretches.map((one, index) => {
      // Where two stretches meet there is one bolt, not two.
      const many =
        Math.max(1, Math.ceil((one.long * 1000) / one.spacing - 1e-9)) + (index === 0 ? 1 : 0)
      const stack = one.thick + toCome
      const found =
        stack > 260
          ? null
          : boltLength(thread.sizeMm, { stackMm: stack, washersMm: washers * thread.washerMm })
      return { ...one, many, stack, buyMm: found?.buyMm ?? null, needMm: found?.needMm ?? stack }
    })
    const tooLong = sized.findIndex((one) => one.buyMm === null)
    if (tooLong >= 0)
      return refused('No bolt that long is stocked. Threaded rod, cut to measure, does it.', [
        {
          field: `stretches.${tooLong}.thick`,
          message: `${say(round(sized[tooLong]?.needMm ?? 0), 'mm')} would be wanted.`,
        },
      ])
    const byLength = new Map<number, number>()
    for (const one of sized)
      byLength.set(one.buyMm as number, (byLength.get(one.buyMm as number) ?? 0) + one.many)
    const list = [...byLength]
      .sort((a, b) => a[0] - b[0])
      .map(([mm, many]) => {
        const buy = fasteningsWithSpares(many, 1)
        return { mm, many, buy, ...packsFor(buy, pack) }
      })
    const named = (mm: number) => `${thread.name} × ${thread.inch ? say(mm, 'mm') : Math.round(mm)}`
    const all = list.reduce((sum_, one) => sum_ + one.many, 0)
    const scale = 900 / totalM
    let x = 0
    const shapes: Shape[] = []
    for (const [index, one] of sized.entries()) {
      const wide = one.long * scale
      shapes.push(box(x, -one.thick * 2, wide, one.thick * 2, { fill: 'glass' }))
      if (toCome > 0)
        shapes.push(
          box(x, -(one.thick + toCome) * 2, wide, toCome * 2, { fill: 'seal', dashed: true }),
        )
      for (let at = 0; at < Math.min(one.many, 60); at++) {
        const bx = x + (wide * (at + 0.5)) / Math.min(one.many, 60)
        shapes.push(
          path([
            [bx, -(one.stack * 2 + 8)],
            [bx, 14],
          ]),
        )
      }
      shapes.push(
        text([x + wide / 2, 14], `${one.name}: ${one.many} × ${named(one.buyMm as number)}`, {
          anchor: 'middle',
          // Names of neighbours stand on lines of their own, or they run into each other on a phone.
          down: 0.9 + (index % 3) * 1.1,
        }),
      )
      x += wide
    }
    const says = list.map((one) => `${one.buy} × ${named(one.mm)}`).join(', ')
    return accepted({
      says: list.length === 1 ? says : `${all} in ${list.length} lengths`,
      takes: says,
      heading: says,
      verdict: 'go',
      figures: list.map((one) => ({
        label: named(one.mm),
        value: `${one.packs} × ${pack}`,
        note: `${one.many} holes, ${one.buy} with spares, ${one.over} over`,
      })),
      table: {
        caption: 'Stretch by stretch',
        head: ['Stretch', 'bolts', 'stack', 'wanted', 'take'],
        rows: sized.map((one) => [
          one.name,
          String(one.many),
          say(round(one.stack), 'mm'),
          say(round(one.needMm), 'mm'),
          named(one.buyMm as number),
        ]),
      },
      working: [
        'Bolts of a stretch: its length by the spacing, rounded up; one more at the beginning of the first.',
        `Stack now and ${round(toCome)} mm to come, ${washers} washers, nut and two turns; the next stocked length.`,
        'A tenth to spare on each length, rounded up, in whole packs.',
      ],
      distrust: [
        'Drill and measure the first hole of every stretch before you order.',
        'Old holes seldom keep a spacing: count them.',
      ],
      cautions: ['Never all bolts out at once: every third, so that nothing moves.'],
      drawing: {
        shapes,
        said: `${all} bolts in ${list.length} lengths along ${round(totalM, 1)} metres.`,
      },
      puts: [
        ...list.map((one): Put => ({
          is: 'part',
          key: `bolt ${one.mm}`,
          name: `Bolt ${named(one.mm)}`,
          quantity: one.buy,
          unit: 'pieces',
          pack,
        })),
        {
          is: 'asBuilt',
          key: 'bolts',
          kind: 'size',
          what: 'Bolts by stretch',
          value: sized
            .map((one) => `${one.name} ${one.many} × ${named(one.buyMm as number)}`)
            .join(' · ')
            .slice(0, 300),
        },
      ],
    })
  },
})

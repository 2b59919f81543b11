import { boltLength } from '../../../fastening/boltLength'
import { fasteningsWithSpares } from '../../../fastening/count'
import { accepted, refused } from '../../../result'
import { capital, counted } from '../../../units/counted'
import { amount, count, lines, maybeAmount, pick, words } from '../../ask'
import type { Shape, Stuff } from '../../drawing'
import { box, name, path, round, threadAt, threadPick } from '../../parts'
import { sum } from '../../sum'
import { besideBolt } from './besideBolt'
import { stockedRule } from './stockedRule'

const stuffs = {
  metal: 'metal',
  wood: 'wood',
  glass: 'glass',
  core: 'core',
  plug: 'resin',
  bedding: 'seal',
  paint: 'paint',
} as const satisfies Record<string, Stuff>

/** Hexagon across the flats, as a share of the thread. */
const headWide = 1.6
const headHigh = 0.65

export const boltInStack = sum({
  key: 'bolt-in-a-stack',
  title: 'Bolt in a stack',
  pocket: 'holes',
  about:
    'How long a bolt has to be for everything it passes, with the layers that are still to come, and which length is stocked.',
  words: 'bolt length screw stack layers washer nut stick out cleat bitt stanchion',
  source: 'the trade’s rules: ISO 261, 4032, 7089; stocked lengths ISO 888 and ASME B18.2.1',
  asks: [
    threadPick('bolt', 'Thread', 8),
    count('bolts', 'Bolts', 4, 500),
    lines(
      'layers',
      'Layers, from the head down',
      'layer',
      [
        words('what', 'Layer', 'layer', 40),
        amount('mm', 'Thick', 'mm', 10, [0.05, 250], { doubt: 0.2 }),
        pick('of', 'Of', 'glass', [
          { value: 'metal', label: 'metal' },
          { value: 'wood', label: 'wood' },
          { value: 'glass', label: 'laminate' },
          { value: 'core', label: 'core' },
          { value: 'plug', label: 'cast plug' },
          { value: 'bedding', label: 'bedding' },
          { value: 'paint', label: 'paint, filler' },
        ]),
        pick('there', 'It is', 'there', [
          { value: 'there', label: 'there' },
          { value: 'toCome', label: 'to come' },
        ]),
      ],
      [
        { what: 'base of the fitting', mm: 6, of: 'metal' },
        { what: 'bedding', mm: 1.5, of: 'bedding', there: 'toCome' },
        { what: 'deck', mm: 20, of: 'glass' },
        { what: 'backing plate', mm: 6, of: 'glass', there: 'toCome' },
      ],
      { most: 16 },
    ),
    count('washers', 'Washers', 2, 6, { min: 0 }),
    pick('head', 'Head', 'on', [
      { value: 'on', label: 'stands on the stack', why: 'Hexagon, pan and dome heads.' },
      {
        value: 'sunk',
        label: 'countersunk',
        why: 'Its head lies in the first layer and counts in its length.',
      },
    ]),
    pick('nut', 'Nut', 'lock', [
      { value: 'lock', label: 'with a locking ring', why: 'About as high as the bolt is thick.' },
      { value: 'plain', label: 'plain' },
    ]),
    maybeAmount('socketMm', 'Depth of your socket', 'mm', [5, 200]),
  ],
  wantedBy: ['sleeve-and-bed', 'posts-and-rail', 'solar-on-arch'].map((recipe) => ({
    recipe,
    steps: ['bed', 'bedSealant', 'dryFit'],
    fill: {
      bolt: 'bolt',
      bolts: 'holes',
      'layers.0.mm': 'base',
      'layers.2.mm': 'deck',
      'layers.3.mm': 'plate',
    },
    adds: { deck: ['skin', 'core'] },
  })),
  wantedAt: { operations: ['bed', 'fit'], words: /bolt|bitt|cleat|stanchion|winch|windlass/i },
  beside: besideBolt,
  work: ({ bolt, bolts, layers, washers, head, nut, socketMm }, { say }) => {
    const thread = threadAt(bolt)
    const stackMm = layers.reduce((all, one) => all + one.mm, 0)
    if (stackMm > 260)
      return refused(
        `The layers come to ${say(stackMm, 'mm')}; bolts are stocked for up to ${say(260, 'mm')}. Threaded rod, cut to measure, does it.`,
      )
    const nutMm = nut === 'lock' ? thread.sizeMm : thread.nutMm
    const washersMm = washers * thread.washerMm
    const found = boltLength(thread.sizeMm, {
      stackMm,
      washersMm,
      nutMm,
      ...(socketMm === null ? {} : { socketDepthMm: socketMm }),
    })
    const { needMm, buyMm, stickOutMm } = found
    if (buyMm === null)
      return refused(
        `${say(needMm, 'mm')} is longer than any bolt that is stocked. Threaded rod, cut to measure, does it.`,
      )
    const buy = fasteningsWithSpares(bolts, 1)
    const named = `${thread.name} × ${thread.inch ? say(buyMm, 'mm') : Math.round(buyMm)}`
    const toCome = layers.filter((one) => one.there === 'toCome')
    const toComeMm = toCome.reduce((all, one) => all + one.mm, 0)
    const shapes: Shape[] = []
    const wide = Math.max(4 * thread.sizeMm, stackMm * 0.7)
    const hole = thread.clearanceMm / 2
    let y = 0
    layers.forEach((one, index) => {
      const field = `layers.${index}.mm`
      const look = { fill: stuffs[one.of], dashed: one.there === 'toCome', field }
      shapes.push(box(-wide / 2, y, wide / 2 - hole, one.mm, look))
      shapes.push(box(hole, y, wide / 2 - hole, one.mm, look))
      shapes.push(
        name([-wide / 2, y + one.mm / 2], `${say(one.mm, 'mm')} ${one.what}`, 'left', {
          field,
          tone: one.there === 'toCome' ? 'soft' : 'ink',
        }),
      )
      y += one.mm
    })
    const d = thread.sizeMm
    const under = head === 'sunk' ? 0 : washers > 1 ? thread.washerMm * Math.floor(washers / 2) : 0
    const below = washersMm - under
    if (under > 0) shapes.push(box(-1.1 * d, -under, 2.2 * d, under, { fill: 'metal' }))
    shapes.push(
      head === 'sunk'
        ? {
            is: 'shape',
            corners: [
              [-0.95 * d, 0],
              [0.95 * d, 0],
              [0.5 * d, 0.45 * d],
              [-0.5 * d, 0.45 * d],
            ],
            fill: 'metal',
          }
        : box((-headWide * d) / 2, -under - headHigh * d, headWide * d, headHigh * d, {
            fill: 'metal',
          }),
    )
    const from = head === 'sunk' ? 0 : -under
    const end = from + buyMm
    shapes.push(box(-d / 2, from, d, buyMm, { fill: 'metal' }))
    if (below > 0) shapes.push(box(-1.1 * d, stackMm, 2.2 * d, below, { fill: 'metal' }))
    shapes.push(box((-headWide * d) / 2, stackMm + below, headWide * d, nutMm, { fill: 'metal' }))
    for (let turn = end; turn > stackMm + below; turn -= thread.pitchMm * 2)
      shapes.push(
        path([
          [-d / 2, turn],
          [d / 2, turn - thread.pitchMm],
        ]),
      )
    shapes.push(
      name([-d / 2, end - stickOutMm / 2], `${say(round(stickOutMm), 'mm')} past nut`, 'left', {
        tone: found.tooLongForSocket ? 'red' : 'good',
      }),
    )
    shapes.push(...stockedRule(thread, { x: wide / 2 + d * 0.6, from, needMm, buyMm }, say))
    const tooLong = found.tooLongForSocket
    return accepted({
      says: `${named}, ${buy}`,
      takes: named,
      heading: tooLong
        ? `${named}, but ${say(round(stickOutMm), 'mm')} stick out and your socket is ${say(socketMm ?? 0, 'mm')} deep`
        : `take ${named}`,
      verdict: tooLong ? 'look' : 'go',
      figures: [
        { label: 'Take', value: named, note: `${buy} of them, a tenth to spare` },
        {
          label: 'Stack',
          value: say(round(stackMm), 'mm'),
          note: toCome.length > 0 ? `${say(round(toComeMm), 'mm')} of it still to come` : undefined,
        },
        { label: 'Wanted at least', value: say(round(needMm), 'mm') },
        {
          label: 'Sticks out',
          value: say(round(stickOutMm), 'mm'),
          note: `two turns want ${say(round(2 * thread.pitchMm), 'mm')}`,
          tone: tooLong ? 'short' : undefined,
        },
        { label: 'Clearance hole', value: say(thread.clearanceMm, 'mm') },
      ],
      working: [
        `Layers ${layers.map((one) => round(one.mm)).join(' + ')} make ${say(round(stackMm), 'mm')}.`,
        `${capital(counted(washers, 'washer'))} ${say(round(washersMm), 'mm')}, nut ${say(round(nutMm), 'mm')}, two turns of ${say(round(thread.pitchMm, 2), 'mm')}: ${say(round(needMm), 'mm')}.`,
        `The next stocked length is ${thread.inch ? say(buyMm, 'mm') : `${buyMm} mm`}.`,
        `${bolts} and a tenth to spare, rounded up: ${buy}.`,
      ],
      distrust: [
        ...(toCome.length > 0
          ? [
              'Layers to come are what you mean to lay, not what will be there: measure the first hole again before you buy for all.',
            ]
          : []),
        'Butyl goes on thick and creeps for days: nip it up again after a day and after a week.',
        'Heads, washers and nuts differ by maker: hold one against the drawing.',
      ],
      cautions: ['Never drill until you know what is behind, above and below.'],
      drawing: {
        shapes,
        inMm: true,
        said: `A bolt ${named} through ${counted(layers.length, 'layer')}, ${round(stickOutMm)} mm past the nut.`,
      },
      puts: [
        {
          is: 'part',
          key: 'bolts',
          name: `Bolt ${named}`,
          quantity: buy,
          unit: 'pieces',
          specification: head === 'sunk' ? 'countersunk' : undefined,
        },
        {
          is: 'part',
          key: 'nuts',
          name: `Nut ${thread.name}${nut === 'lock' ? ', locking' : ''}`,
          quantity: buy,
          unit: 'pieces',
        },
        ...(washers > 0
          ? [
              {
                is: 'part' as const,
                key: 'washers',
                name: `Washer ${thread.name}`,
                quantity: buy * washers,
                unit: 'pieces',
              },
            ]
          : []),
        {
          is: 'bring',
          key: 'bit',
          what: `Drill bit ${say(thread.clearanceMm, 'mm')}`,
          amount: '1',
          kind: 'tool',
        },
        {
          is: 'asBuilt',
          key: 'bolts',
          kind: 'size',
          what: 'Bolts',
          value: `${bolts} × ${named}, through ${say(round(stackMm), 'mm')}`,
        },
      ],
    })
  },
})

import { turnsThrough } from '../../../geometry/goesIn'
import { accepted } from '../../../result'
import { amount } from '../../ask'
import type { At, Shape } from '../../drawing'
import { by, box, length, round, shape } from '../../parts'
import type { Check } from '../../sum'
import { sum } from '../../sum'

export const doesItGoIn = sum({
  key: 'does-it-go-in',
  title: 'Does it go in',
  pocket: 'layout',
  about:
    'Whether a tank, an engine or a panel goes through a hatch or door at all, which way round, and whether there is room to turn it inside.',
  words: 'hatch companionway tank engine battery mattress opening fit turn through door',
  source: 'the trade’s rules: a rectangle turned in a rectangle',
  asks: [
    amount('a', 'The thing, long', 'mm', 900, [1, 20_000], { doubt: 0.02 }),
    amount('b', 'The thing, wide', 'mm', 500, [1, 20_000], { doubt: 0.02 }),
    amount('c', 'The thing, high', 'mm', 400, [1, 20_000], { doubt: 0.02 }),
    amount('openLong', 'The opening, long', 'mm', 700, [1, 20_000], { doubt: 0.02 }),
    amount('openWide', 'The opening, wide', 'mm', 600, [1, 20_000], { doubt: 0.02 }),
    amount('clear', 'Kept clear in all', 'mm', 20, [0, 500], {
      help: 'For hands, pads and hooks.',
    }),
    amount('inside', 'Straight in, free behind the opening', 'mm', 1500, [1, 50_000], {
      doubt: 0.05,
    }),
    amount('spaceA', 'The place it goes to, long', 'mm', 950, [1, 50_000], { doubt: 0.02 }),
    amount('spaceB', 'The place, wide', 'mm', 600, [1, 50_000], { doubt: 0.02 }),
    amount('spaceC', 'The place, high', 'mm', 450, [1, 50_000], { doubt: 0.02 }),
  ],
  wantedBy: [{ recipe: 'tank', steps: ['out', 'make', 'bedIn'], fill: {} }],
  work: (given, { say }) => {
    const item = [given.a, given.b, given.c] as const
    const turns = turnsThrough(item, [given.openLong, given.openWide], given.clear)
    const goes = turns.filter((one) => one.spare >= 0)
    const mm = (value: number) => say(round(value, 0), 'mm')
    const straight = goes.filter((one) => one.inward <= given.inside)
    const best = straight[0] ?? goes[0] ?? (turns[0] as (typeof turns)[number])
    const sorted = (list: readonly number[]) => [...list].sort((x, y) => y - x)
    const [want, room] = [sorted(item), sorted([given.spaceA, given.spaceB, given.spaceC])]
    const fits = want.every((one, at) => one + (at === 0 ? 0 : 0) <= (room[at] as number))
    const verdict = goes.length === 0 || !fits ? 'stop' : straight.length === 0 ? 'look' : 'go'
    const face = `${by(mm(best.across[0]), mm(best.across[1]))}`
    const how = best.turnedDeg === 0 ? 'square' : `turned ${round(best.turnedDeg)}°`
    const says =
      goes.length === 0
        ? `no, by ${mm(-best.spare)}`
        : !fits
          ? 'in, but it has no room there'
          : `yes, ${how}, ${mm(best.spare)} to spare`
    const checks: Check[] = [
      {
        text: goes.length === 0 ? 'It does not go through' : `Through the opening, ${how}`,
        detail:
          goes.length === 0
            ? `the best way is ${mm(-best.spare)} too much`
            : `${face} first, ${mm(best.spare)} to spare`,
        state: goes.length === 0 ? 'stop' : 'fine',
      },
      {
        text: `${mm(best.inward)} goes straight in`,
        detail:
          best.inward <= given.inside
            ? 'room behind the opening'
            : `only ${mm(given.inside)} there: it has to be tipped on its way in. Make a box of laths that size and try it`,
        state: goes.length === 0 ? 'stop' : best.inward <= given.inside ? 'fine' : 'look',
      },
      {
        text: 'Its place',
        detail: fits
          ? 'takes it one way or another'
          : `is ${want
              .map((one, at) => [one, room[at] as number] as const)
              .filter(([one, free]) => one > free)
              .map(([one, free]) => mm(one - free))
              .join(' and ')} too small`,
        state: fits ? 'fine' : 'stop',
      },
    ]
    const [p, q] = best.across
    const angle = (best.turnedDeg * Math.PI) / 180
    const turned =
      best.turnedDeg === 0 &&
      Math.min(given.openLong - p, given.openWide - q) <
        Math.min(given.openLong - q, given.openWide - p)
    const [w, h] = turned ? [q, p] : [p, q]
    const corners: At[] = [
      [-w / 2, -h / 2],
      [w / 2, -h / 2],
      [w / 2, h / 2],
      [-w / 2, h / 2],
    ].map(([x, y]): At => [
      (x as number) * Math.cos(angle) - (y as number) * Math.sin(angle),
      (x as number) * Math.sin(angle) + (y as number) * Math.cos(angle),
    ])
    const frame = Math.max(given.openLong, given.openWide) * 0.08
    const shapes: Shape[] = [
      box(
        -given.openLong / 2 - frame,
        -given.openWide / 2 - frame,
        given.openLong + 2 * frame,
        given.openWide + 2 * frame,
        { fill: 'wood' },
      ),
      box(-given.openLong / 2, -given.openWide / 2, given.openLong, given.openWide, {
        fill: 'paper',
        field: 'openLong',
      }),
      shape(corners, {
        fill: goes.length === 0 ? 'short' : 'metal',
        edge: goes.length === 0 ? 'red' : 'ink',
      }),
      length(
        [-given.openLong / 2, given.openWide / 2 + frame],
        [given.openLong / 2, given.openWide / 2 + frame],
        mm(given.openLong),
        { off: 0.6, field: 'openLong' },
      ),
      length(
        [given.openLong / 2 + frame, -given.openWide / 2],
        [given.openLong / 2 + frame, given.openWide / 2],
        mm(given.openWide),
        { off: 0.6, field: 'openWide' },
      ),
    ]
    return accepted({
      says,
      takes: verdict === 'stop' ? 'no' : 'yes',
      heading: says,
      verdict,
      figures: turns.map((one) => ({
        label: `${by(mm(one.across[0]), mm(one.across[1]))} first`,
        value: one.spare >= 0 ? `${mm(one.spare)} to spare` : `${mm(-one.spare)} too much`,
        note:
          one.turnedDeg === 0 ? 'square to the opening' : `turned ${round(one.turnedDeg)}° in it`,
        tone: one.spare >= 0 ? ('good' as const) : ('short' as const),
      })),
      checks,
      working: [
        `Each of its three faces is held to the opening, square and turned; ${mm(given.clear)} is kept clear.`,
        'A face p × q turned by θ needs p·cos θ + q·sin θ by p·sin θ + q·cos θ.',
      ],
      distrust: [
        'Handles, pipes and brackets are part of it: measure over them, or take them off.',
        'A box is judged, not a shape: a tank with a cut corner may go where a box does not.',
      ],
      cautions: ['Heavy: a tackle and a second person, hands never under it.'],
      drawing: {
        shapes,
        inMm: true,
        said: `${round(p)} by ${round(q)} mm in an opening of ${round(given.openLong)} by ${round(given.openWide)} mm.`,
      },
      puts: [{ is: 'asBuilt', key: 'in', kind: 'note', what: 'How it went in', value: says }],
    })
  },
})

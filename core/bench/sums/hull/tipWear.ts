import { accepted } from '../../../result'
import { amount } from '../../ask'
import type { Shape } from '../../drawing'
import { box, path, round, text } from '../../parts'
import { sum } from '../../sum'

export const wearAgainstWorst = sum({
  key: 'wear',
  title: 'Wear',
  pocket: 'hull',
  about:
    'How much of a bearing, a shaft, a pin or an anode is left between new and worn out, and when it will be.',
  words: 'wear bearing cutless shaft pin rudder play clearance measure worst new season',
  source: 'the trade’s rules: wear against new and worst',
  asks: [
    amount('fresh', 'When new', 'mm', 0.2, [0, 1000]),
    amount('worst', 'Worn out at', 'mm', 1.2, [0, 1000]),
    amount('now', 'Measured', 'mm', 0.7, [0, 1000], { doubt: 0.05 }),
    amount('seasons', 'Seasons it has run', '', 4, [0.1, 60], { doubt: 0.2 }),
  ],
  wantedBy: [{ recipe: 'shaft-and-gland', steps: ['wear'], fill: {} }],
  work: ({ fresh, worst, now, seasons }, { say }) => {
    const span = worst - fresh
    const gone = span === 0 ? 1 : (now - fresh) / span
    const pace = gone / seasons
    const left = pace > 0 ? (1 - gone) / pace : null
    const mm = (value: number) => say(round(value, 2), 'mm')
    const past = gone >= 1
    const odd = gone < -0.02
    const at = (value: number) => (span === 0 ? 0 : ((value - fresh) / span) * 300)
    const shapes: Shape[] = [
      box(0, 0, 300, 22, { fill: 'paper' }),
      box(0, 0, Math.max(0, Math.min(300, gone * 300)), 22, {
        fill: past ? 'short' : 'resin',
        edge: past ? 'red' : 'ink',
      }),
      path(
        [
          [at(now), -10],
          [at(now), 32],
        ],
        { thick: true },
      ),
      text([at(now), -10], mm(now), { anchor: 'middle', down: -0.6, bold: true, field: 'now' }),
      text([0, 22], `new ${mm(fresh)}`, { down: 1 }),
      text([300, 22], `worst ${mm(worst)}`, { down: 1, anchor: 'end' }),
    ]
    return accepted({
      says: past ? 'worn out' : `${Math.round(Math.max(0, gone) * 100)} % gone`,
      takes: past ? 'worn out' : left !== null && left < 1 ? 'this season' : 'later',
      heading: odd
        ? 'better than new: measure again'
        : past
          ? 'worn out: renew it now'
          : left === null
            ? 'nothing gone'
            : `${Math.round(gone * 100)} % gone; about ${round(left)} seasons left at this pace`,
      verdict: odd || past || (left !== null && left < 1) ? 'look' : 'go',
      figures: [
        { label: 'Gone', value: `${Math.round(gone * 100)} %`, tone: past ? 'short' : undefined },
        { label: 'A season', value: `${Math.round(pace * 100)} %` },
        ...(left === null
          ? []
          : [
              {
                label: 'Seasons left',
                value: String(round(Math.max(0, left))),
                tone: left < 1 ? ('short' as const) : undefined,
              },
            ]),
      ],
      working: [
        `(${round(now, 2)} − ${round(fresh, 2)}) ÷ (${round(worst, 2)} − ${round(fresh, 2)}) = ${Math.round(gone * 100)} %; ÷ ${round(seasons)} seasons.`,
      ],
      distrust: [
        'Measured where it is worst, all the way round, not where it is easy.',
        'The last tenth goes faster than the first.',
      ],
      cautions: ['Rudder and keel crush: chocked, never under.'],
      drawing: { shapes, said: `${Math.round(gone * 100)} per cent of the wear there is.` },
      puts: [
        {
          is: 'asBuilt',
          key: 'wear',
          kind: 'setting',
          what: 'Measured',
          value: `${mm(now)}; new ${mm(fresh)}, worst ${mm(worst)}`,
        },
      ],
    })
  },
})

import { chargingFromV, restCharge } from '../../../electrics/battery'
import { accepted } from '../../../result'
import { amount, maybeAmount, pick } from '../../ask'
import type { Shape } from '../../drawing'
import { box, path, round, text } from '../../parts'
import type { Check } from '../../sum'
import { sum } from '../../sum'

export const voltsRead = sum({
  key: 'volts-read',
  title: 'Volts read',
  pocket: 'electrics',
  about:
    'What a battery’s volts say at rest and with the charger on, written down before work and after it.',
  words: 'battery voltage multimeter charge rest charging test before after',
  source: 'the trade’s rules: rest volts are starting values',
  asks: [
    pick('kind', 'Battery', 'lead', [
      { value: 'lead', label: 'lead or AGM' },
      { value: 'lithium', label: 'lithium iron phosphate' },
    ]),
    amount('rest', 'At rest, volts', 'V', 12.5, [0, 16], {
      help: 'Two hours and more after charge or load.',
    }),
    maybeAmount('on', 'With the charger or engine on, volts', 'V', [0, 16]),
    maybeAmount('before', 'At rest before the work, volts', 'V', [0, 16]),
    maybeAmount('load', 'Under a known load, volts', 'V', [0, 16]),
  ],
  wantedBy: [
    { recipe: 'electrical-system', steps: ['check'], fill: {} },
    { recipe: 'winter-lay-up', steps: ['battery'], fill: {} },
  ],
  wantedAt: { operations: ['test'], words: /batter|volt/i },
  work: ({ kind, rest, on, before, load }, { say }) => {
    const percent = restCharge(rest, kind)
    const v = (value: number) => `${round(value, 2)} V`
    const charging = on === null ? null : on >= chargingFromV && on - rest > 0.3
    const checks: Check[] = [
      rest < 11
        ? {
            text: 'Far too low',
            detail:
              kind === 'lead'
                ? 'a cell is dead, or it is not a 12 V bank'
                : 'its protection has opened: its maker says how to wake it',
            state: 'stop',
          }
        : {
            text: `About ${Math.round(percent)} % full`,
            detail:
              kind === 'lithium'
                ? 'lithium’s volts are flat: within a third'
                : percent < 50
                  ? 'under half: charge it before it sulphates'
                  : 'fine',
            state: percent < 50 && kind === 'lead' ? 'look' : 'fine',
          },
      ...(on === null
        ? []
        : [
            charging
              ? ({ text: 'It is being charged', detail: v(on), state: 'fine' } as const)
              : ({
                  text: 'It is not being charged',
                  detail: `${v(on)} with the charger on: fuse, belt, or a lead`,
                  state: 'stop',
                } as const),
          ]),
      ...(before === null
        ? []
        : [
            Math.abs(rest - before) <= 0.1
              ? ({
                  text: 'As before the work',
                  detail: `${v(before)} before`,
                  state: 'fine',
                } as const)
              : ({
                  text:
                    rest < before ? 'Lower than before the work' : 'Higher than before the work',
                  detail: `${v(before)} before, ${v(rest)} now${rest < before ? ': something draws, or it was worked on charge' : ''}`,
                  state: rest < before ? 'look' : 'fine',
                } as const),
          ]),
      ...(load === null
        ? []
        : [
            rest - load > 1
              ? ({
                  text: 'Falls too far under load',
                  detail: `${v(rest - load)}: tired, or a bad joint`,
                  state: 'look',
                } as const)
              : ({ text: 'Stands under load', detail: `${v(load)}`, state: 'fine' } as const),
          ]),
    ]
    // A bad reading is a reading all the same: it may be written down.
    const verdict = checks.some((one) => one.state !== 'fine') ? 'look' : 'go'
    const shapes: Shape[] = [
      box(0, 0, 60, 90, { fill: 'paper' }),
      box(0, 90 - 0.9 * percent, 60, 0.9 * percent, { fill: 'resin' }),
      box(10, -8, 12, 8, { fill: 'ink' }),
      box(38, -8, 12, 8, { fill: 'ink' }),
      text([30, 45], `${Math.round(percent)} %`, { anchor: 'middle', size: 'large', bold: true }),
      path(
        [
          [44, -8],
          [110, -30],
        ],
        {},
      ),
      path(
        [
          [16, -8],
          [110, -10],
        ],
        {},
      ),
      box(110, -44, 86, 44, { fill: 'brass' }),
      box(118, -36, 70, 22, { fill: 'paper' }),
      text([153, -25], v(rest), { anchor: 'middle', bold: true }),
    ]
    const bad = checks.find((one) => one.state !== 'fine')
    return accepted({
      says: charging === false ? 'not being charged' : `${Math.round(percent)} %`,
      heading: bad
        ? bad.text.toLowerCase() + `: ${bad.detail}`
        : `about ${Math.round(percent)} % full`,
      verdict,
      figures: [
        { label: 'Charge', value: `${Math.round(percent)} %` },
        { label: 'At rest', value: v(rest) },
        ...(on === null
          ? []
          : [
              {
                label: 'Charging',
                value: v(on),
                tone: charging ? ('good' as const) : ('short' as const),
              },
            ]),
      ],
      checks,
      working: [
        `Rest volts are read off a line of points, in a straight line between them; a charger shows from ${chargingFromV} V on.`,
      ],
      distrust: [
        'Two hours of rest at the least, and no load at all: a clock draws too.',
        'In the cold the same volts are less charge.',
        `The sheet of your battery decides${kind === 'lithium' ? '; a shunt counts better than volts' : ''}.`,
      ],
      cautions: ['No spanner across the posts. Batteries on charge give off gas: no flame.'],
      drawing: { shapes, said: `A battery at ${v(rest)}, about ${Math.round(percent)} per cent.` },
      puts: [
        {
          is: 'asBuilt',
          key: 'rest',
          kind: 'setting',
          what: 'Battery at rest',
          value: `${v(rest)}${before === null ? '' : `, before the work ${v(before)}`}`,
        },
        ...(on === null
          ? []
          : [
              {
                is: 'asBuilt' as const,
                key: 'on',
                kind: 'setting' as const,
                what: 'Battery, charger on',
                value: say(on, 'V'),
              },
            ]),
      ],
    })
  },
})

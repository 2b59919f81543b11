import { potLifeForMass } from '../../../cure/dose'
import { accepted } from '../../../result'
import { amount, lines, words } from '../../ask'
import type { Shape } from '../../drawing'
import { box, path, round, text } from '../../parts'
import { sum } from '../../sum'

/** Share of the pot life used for work. Source: handbook 9. */
const used = 0.7

export const whichHardener = sum({
  key: 'which-hardener',
  title: 'Which hardener',
  pocket: 'resin',
  about:
    'Which of your hardeners leaves time to spread and clamp at today’s warmth, and when it is hard.',
  words: 'hardener slow fast pot life temperature clamp spread cure epoxy',
  source: 'the trade’s rules',
  asks: [
    amount('tempC', 'Where you work it is', '°C', 15, [-5, 50], { doubt: 0.1 }),
    amount('mass', 'In one cup', 'g', 250, [5, 5000]),
    amount('minutes', 'Minutes to spread and clamp', 'min', 20, [1, 600], { doubt: 0.25 }),
    lines(
      'hardeners',
      'Hardeners, as their sheets say',
      'hardener',
      [
        words('name', 'Hardener', 'hardener', 40),
        amount('lifeMin', 'Pot life', 'min', 30, [1, 1000]),
        amount('massG', 'for', 'g', 100, [5, 20_000]),
        amount('atC', 'at', '°C', 20, [0, 40]),
        amount('cureH', 'Hard after', 'h', 12, [0.5, 500]),
        amount('minC', 'Not under', '°C', 5, [-20, 30]),
      ],
      [
        { name: 'fast', lifeMin: 12, cureH: 6, minC: 5 },
        { name: 'slow', lifeMin: 30, cureH: 12, minC: 10 },
        { name: 'extra slow', lifeMin: 50, cureH: 20, minC: 15 },
      ],
      { most: 12 },
    ),
  ],
  now: ({ airC }) => ({ tempC: airC }),
  work: ({ tempC, mass, minutes, hardeners }, { say }) => {
    const list = hardeners.map((one) => {
      const life = one.lifeMin * 2 ** ((one.atC - tempC) / 10)
      const inCup = potLifeForMass(life / 60, one.massG, mass) * 60
      return {
        ...one,
        inCup,
        useMin: inCup * used,
        hardH: one.cureH * 2 ** ((one.atC - tempC) / 10),
        tooCold: tempC < one.minC,
      }
    })
    const fits = list
      .filter((one) => !one.tooCold && one.useMin >= minutes)
      .sort((a, b) => a.hardH - b.hardH)
    const best = fits[0] ?? null
    const longest = Math.max(minutes, ...list.map((one) => one.inCup))
    const shapes: Shape[] = list.flatMap((one, at): Shape[] => [
      box(0, at * 22, one.useMin, 13, { fill: one === best ? 'resin' : 'stock' }),
      box(one.useMin, at * 22, one.inCup - one.useMin, 13, { fill: 'short', edge: 'red' }),
      text([0, at * 22 + 6], `${one.name} `, { anchor: 'end', tone: one.tooCold ? 'red' : 'ink' }),
    ])
    shapes.push(
      path(
        [
          [minutes, -8],
          [minutes, list.length * 22],
        ],
        { thick: true },
      ),
      text([minutes, -8], `${round(minutes)} min wanted`, {
        anchor: 'middle',
        down: -0.6,
        field: 'minutes',
      }),
      text([longest, list.length * 22 - 4], '', {}),
    )
    const min = (value: number) => `${Math.round(value)} min`
    return accepted({
      says: best ? best.name : 'none of them',
      takes: best ? best.name : 'none',
      heading: best
        ? `${best.name}: ${min(best.useMin)} to work, hard after ${round(best.hardH)} h`
        : `none leaves ${min(minutes)} to work here: smaller cups, a cold bath, or an earlier start`,
      verdict: best ? 'go' : 'stop',
      figures: list.map((one) => ({
        label: one.name,
        value: min(one.useMin),
        note: one.tooCold
          ? `too cold: not under ${say(one.minC, '°C')}`
          : `goes off after ${min(one.inCup)}, hard after ${round(one.hardH)} h`,
        tone:
          one === best
            ? ('good' as const)
            : one.tooCold || one.useMin < minutes
              ? ('short' as const)
              : undefined,
      })),
      working: [
        `Pot life doubles for every 10° less and falls with (${round(mass)} g in the cup)^0.35; seven tenths are for work.`,
        'Of those that leave time the soonest hard is taken.',
      ],
      distrust: [
        'A sheet’s pot life is for its own cup and its own air.',
        'Under its lowest warmth it looks hard and is not.',
      ],
      cautions: [
        'Cups that warm go outdoors on concrete or metal. Gloves: resin sensitises for life.',
      ],
      drawing: {
        shapes,
        free: { ratio: 0.12 * list.length + 0.06 },
        said: `${list.length} hardeners against ${round(minutes)} minutes of work.`,
      },
      puts: best
        ? [
            {
              is: 'bring',
              key: 'hardener',
              what: `Hardener: ${best.name}`,
              amount: '',
              kind: 'consumable',
            },
            {
              is: 'asBuilt',
              key: 'hardener',
              kind: 'setting',
              what: 'Hardener',
              value: `${best.name}, at ${say(tempC, '°C')}`,
            },
          ]
        : [],
    })
  },
})

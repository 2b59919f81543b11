import { potLifeForMass } from '../../../cure/dose'
import { cupPlan } from '../../../laminate/cupPlan'
import { mixByWeight } from '../../../laminate/mix'
import { accepted } from '../../../result'
import { counted } from '../../../units/counted'
import { amount, maybeAmount } from '../../ask'
import type { Shape } from '../../drawing'
import { box, clockTime, path, round, text } from '../../parts'
import { sum } from '../../sum'

/** Spread thin it lasts about twice as long as in the cup. Source: handbook 9. */
const thinTimes = 2

interface Cup {
  readonly atMin: number
  readonly lifeMin: number
  readonly brushMin: number
  readonly deckC: number
}

export const potsAndCups = sum({
  key: 'pots-and-cups',
  title: 'Pots and cups',
  pocket: 'resin',
  about:
    'How much to stir at a time, when, and until when each cup can be worked, at the warmth there is as the day goes on.',
  words: 'pot life cup epoxy resin stir mix gel laying laminate time temperature',
  source:
    'the trade’s rules: pot life halves for 10 °C, falls with the mass in the cup to the power 0.35, seven tenths of it are used',
  asks: [
    amount('total', 'Mix in all', 'g', 1200, [10, 200_000], { doubt: 0.15 }),
    amount('rate', 'The crew lays in an hour', 'g', 1300, [20, 50_000], { doubt: 0.25 }),
    amount('cup', 'Most in one cup', 'g', 400, [20, 5000]),
    amount('lifeMin', 'Pot life by the sheet', 'min', 30, [1, 600]),
    amount('massG', 'Pot life is for this much', 'g', 100, [10, 20_000]),
    amount('refC', 'and at', '°C', 20, [0, 40]),
    amount('deckC', 'Where you work it is', '°C', 18, [-5, 50], { doubt: 0.1, nudge: 1 }),
    amount('warming', 'It gets warmer an hour by', '°', 0, [-5, 8]),
    amount('resin', 'Resin, parts by weight', '', 100, [1, 1000]),
    amount('hardener', 'Hardener, parts by weight', '', 33, [0.5, 1000]),
    amount('startH', 'Begin at', 'clock', 9, [0, 23.999]),
    maybeAmount('endH', 'Laid no later than', 'clock', [0, 23.999]),
  ],
  wantedBy: [
    {
      recipe: 'recore-above',
      steps: ['plies'],
      fill: { total: 'sessionG', rate: 'layRate' },
    },
  ],
  now: ({ deckC, warmingC, minute }) => ({
    deckC,
    warming: warmingC,
    startH: round(Math.ceil(minute / 15) / 4, 2),
  }),
  wantedAt: { operations: ['laminate'] },
  work: (given, { say }) => {
    const { total, rate, cup, lifeMin, massG, refC, deckC, warming, startH, endH } = given
    const lifeAt = (celsius: number) => (lifeMin / 60) * 2 ** ((refC - celsius) / 10)
    const startMin = startH * 60
    // Every cup alike, so that one mark on the scales does: small enough for the warmest of them.
    const hours = total / rate
    const warmestC = Math.max(deckC, deckC + warming * hours)
    const { cupG, cups, boundBy } = cupPlan(total, rate, cup, {
      lifeH: lifeAt(warmestC),
      refMassG: massG,
    })
    const brushMin = (cupG / rate) * 60
    const list: Cup[] = Array.from({ length: cups }, (_, at) => {
      const atMin = startMin + at * brushMin
      const celsius = deckC + (warming * (atMin - startMin)) / 60
      return {
        atMin,
        deckC: celsius,
        brushMin,
        lifeMin: potLifeForMass(lifeAt(celsius), massG, cupG) * 60,
      }
    })
    const first = list[0] as Cup
    const last = list.at(-1) as Cup
    const overMin = last.atMin + last.brushMin
    // An hour before the beginning is tomorrow's.
    const endMin = endH === null ? null : (endH < startH ? endH + 24 : endH) * 60
    const isLate = endMin !== null && overMin > endMin
    const { resinG, hardenerG } = mixByWeight(cupG, given.resin, given.hardener)
    const g = (value: number) => say(round(value, 0), 'g')
    const most = Math.min(cups, 12)
    const shapes: Shape[] = []
    list.slice(0, most).forEach((one, at) => {
      const y = at * 10
      shapes.push(
        box(one.atMin - startMin, y, one.brushMin, 7, { fill: 'resin' }),
        box(one.atMin - startMin + one.brushMin, y, Math.max(0.5, one.lifeMin - one.brushMin), 7, {
          fill: 'short',
          edge: 'red',
        }),
        text(
          [one.atMin - startMin + one.lifeMin, y + 3.5],
          `\u00a0${at + 1}: stir ${clockTime(one.atMin)}, off ${clockTime(one.atMin + one.lifeMin)}`,
        ),
      )
    })
    if (cups > most)
      shapes.push(
        text([0, most * 10 + 4], `and ${cups - most} more, one every ${Math.round(brushMin)} min`),
      )
    if (endMin !== null)
      shapes.push(
        path(
          [
            [endMin - startMin, -4],
            [endMin - startMin, most * 10],
          ],
          { edge: 'red', thick: true },
        ),
      )
    const says = `${cups} × ${g(cupG)}`
    const bound = {
      cup: 'the cup is as large as you said',
      potLife: 'the pot life sets the cup',
      job: 'one cup does it',
    }[boundBy]
    return accepted({
      says,
      takes: says,
      heading: isLate
        ? `begin ${clockTime(startMin)}, ${counted(cups, 'cup')}, and the last is brushed out ${clockTime(overMin)}: too late`
        : `begin ${clockTime(startMin)}, ${counted(cups, 'cup')} of ${g(cupG)}, the last stirred ${clockTime(last.atMin)}`,
      verdict: isLate ? 'look' : 'go',
      figures: [
        { label: 'A cup', value: g(cupG), note: bound },
        { label: 'Resin to', value: g(resinG) },
        { label: 'then to', value: g(cupG), note: `${g(hardenerG)} of hardener on top` },
        { label: 'One every', value: `${Math.round(brushMin)} min` },
        {
          label: 'The first goes off after',
          value: `${Math.round(first.lifeMin)} min`,
          note: `the last after ${Math.round(last.lifeMin)}`,
        },
        { label: 'All laid', value: clockTime(overMin), tone: isLate ? 'short' : undefined },
      ],
      table: {
        caption: 'Cup by cup',
        head: ['Cup', 'stir', 'brushed out', 'goes off', 'at'],
        rows: list
          .slice(0, 40)
          .map((one, at) => [
            String(at + 1),
            clockTime(one.atMin),
            clockTime(one.atMin + one.brushMin),
            clockTime(one.atMin + one.lifeMin),
            say(round(one.deckC), '°C'),
          ]),
      },
      working: [
        `Pot life ${round(lifeMin)} min at ${round(refC)} °C; at ${round(warmestC)} °C × 2^((${round(refC)} − ${round(warmestC)})/10) = ${round(lifeAt(warmestC) * 60)} min for ${round(massG)} g.`,
        `A cup of ${round(cupG, 0)} g: × (${round(massG)}/${round(cupG, 0)})^0.35 = ${round(potLifeForMass(lifeAt(warmestC), massG, cupG) * 60)} min, of which seven tenths are for laying.`,
        `${round(cupG, 0)} g at ${round(rate)} g an hour take ${round(brushMin)} min.`,
        `Spread thin it lasts about ${thinTimes} times as long as in the cup.`,
      ],
      distrust: [
        'The laying rate of the first hour is not that of the third.',
        'A cup in the sun is warmer than the deck.',
        'The sheet of your hardener decides; its pot life may be for another mass.',
      ],
      cautions: [
        'A cup that warms goes out on concrete or metal, not in the hand.',
        'Gloves and sleeves: resin sensitises for life.',
      ],
      drawing: {
        shapes,
        free: { ratio: Math.min(0.8, 0.08 * most + 0.05) },
        said: `${counted(cups, 'cup')}, one every ${Math.round(brushMin)} minutes from ${clockTime(startMin)}.`,
      },
      puts: [
        {
          is: 'bring',
          key: 'cups',
          what: `Cups for ${g(cupG)}`,
          amount: String(cups + Math.ceil(cups / 10)),
          kind: 'consumable',
        },
        {
          is: 'bring',
          key: 'scales',
          what: 'Scales, stir sticks, gloves',
          amount: '',
          kind: 'tool',
        },
        {
          is: 'asBuilt',
          key: 'cups',
          kind: 'setting',
          what: 'Cups',
          value: `${says} at ${say(round(deckC), '°C')}`,
        },
      ],
      starts: {
        what: 'Cup',
        many: cups,
        everyMin: brushMin,
        lastsMin: first.lifeMin,
        startField: 'startH',
        size: g(cupG),
        tempC: deckC,
        kind: 'pot',
        closesH: lifeMin / 60,
        refC,
        massG: round(cupG, 0),
        refMassG: massG,
      },
    })
  },
})

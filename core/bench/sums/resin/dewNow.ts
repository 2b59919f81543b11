import { aboveDew, dewPointC } from '../../../cure/dewPoint'
import { accepted } from '../../../result'
import { amount } from '../../ask'
import type { Shape } from '../../drawing'
import { box, path, round, text } from '../../parts'
import { sum } from '../../sum'

/** A surface has to stand this far over the dew point. Source: handbook 9. */
const marginC = 3

export const dewNow = sum({
  key: 'dew-now',
  title: 'Dew now',
  pocket: 'resin',
  about:
    'Whether a surface is far enough over the dew point to be coated, and how far it may cool.',
  words: 'dew point humidity condensation blush paint surface temperature',
  source: 'the trade’s rules: Magnus, a = 17.625, b = 243.04 °C; 3 °C of margin',
  asks: [
    amount('airC', 'Air', '°C', 15, [-20, 50], { doubt: 0.05 }),
    amount('humidity', 'Humidity', '%', 65, [1, 100], { doubt: 0.08 }),
    amount('surfaceC', 'The surface', '°C', 15, [-20, 80], { doubt: 0.08 }),
  ],
  wantedBy: [
    { recipe: 'bare-metal', steps: ['primer'], fill: {} },
    { recipe: 'paint-surface', steps: ['primer', 'onePart', 'twoPart'], fill: {} },
    { recipe: 'recore-above', steps: ['primer', 'paint'], fill: {} },
    { recipe: 'strip-barrier-antifoul', steps: ['barrier', 'barrierRest'], fill: {} },
  ],
  now: ({ airC, dewC, deckC }) => ({
    airC,
    surfaceC: deckC,
    ...(dewC === null
      ? {}
      : {
          humidity: Math.min(
            100,
            round(
              100 * Math.exp((17.625 * dewC) / (243.04 + dewC) - (17.625 * airC) / (243.04 + airC)),
              0,
            ),
          ),
        }),
  }),
  work: ({ airC, humidity, surfaceC }, { say }) => {
    const dew = dewPointC(airC, humidity)
    const over = surfaceC - dew
    const fine = aboveDew(surfaceC, dew)
    const t = (value: number) => say(round(value), '°C')
    const at = (celsius: number) => -(celsius - Math.min(dew, surfaceC) + 2) * 10
    const top = Math.max(surfaceC, airC, dew + marginC)
    const shapes: Shape[] = [
      box(0, at(dew), 60, -at(dew), { fill: 'water' }),
      box(0, at(dew + marginC), 60, at(dew) - at(dew + marginC), { fill: 'short', edge: 'red' }),
      box(0, at(top + 2), 60, at(dew + marginC) - at(top + 2), { fill: 'paper' }),
      path(
        [
          [-12, at(surfaceC)],
          [72, at(surfaceC)],
        ],
        { thick: true, edge: fine ? 'good' : 'red' },
      ),
      text([74, at(surfaceC)], ` surface ${t(surfaceC)}`, {
        bold: true,
        tone: fine ? 'good' : 'red',
        field: 'surfaceC',
      }),
      text([-4, at(dew)], `dew ${t(dew)} `, { anchor: 'end' }),
      text([-4, at(dew + marginC)], `dry from ${t(dew + marginC)} `, {
        anchor: 'end',
        tone: 'soft',
      }),
    ]
    return accepted({
      says: fine ? `${round(over)}° over` : `${round(over)}° over: wait`,
      takes: fine ? 'coat' : 'wait',
      heading: fine
        ? `the surface stands ${round(over)}° over the dew point: coat`
        : over <= 0
          ? 'it is wet, seen or not: wait'
          : `only ${round(over)}° over the dew point: wait or warm it`,
      verdict: fine ? 'go' : 'stop',
      figures: [
        { label: 'Dew point', value: t(dew) },
        {
          label: 'The surface is over it by',
          value: `${round(over)}°`,
          tone: fine ? 'good' : 'short',
        },
        {
          label: fine ? 'It may cool by' : 'It has to warm by',
          value: `${round(Math.abs(over - marginC))}°`,
          note: 'until it is touch-dry as well',
        },
      ],
      working: [
        `ln(${round(humidity)}/100) + 17.625 × ${round(airC)} ÷ (243.04 + ${round(airC)}), turned round: ${round(dew, 2)} °C.`,
        `${round(surfaceC)} − ${round(dew)} = ${round(over)}; three degrees are wanted.`,
      ],
      distrust: [
        'A deck under a clear night sky is three degrees and more under the air.',
        'Metal and a keel full of cold water lag the air by hours: read the surface, not the air.',
      ],
      cautions: ['Heaters in tents and cabins: carbon monoxide alarm.'],
      drawing: { shapes, said: `Dew point ${round(dew)}, surface ${round(surfaceC)} degrees.` },
      puts: [
        {
          is: 'bring',
          key: 'meter',
          what: 'Surface thermometer and hygrometer',
          amount: '1',
          kind: 'tool',
        },
        {
          is: 'asBuilt',
          key: 'dew',
          kind: 'setting',
          what: 'Over the dew point',
          value: `${round(over)}°: air ${t(airC)} at ${round(humidity)} %, surface ${t(surfaceC)}`,
        },
      ],
    })
  },
})

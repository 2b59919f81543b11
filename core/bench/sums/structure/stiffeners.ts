import { inertiaMm4, sagMm, stuffs } from '../../../structure/stiffness'
import type { StuffKey } from '../../../structure/stiffness'
import { accepted } from '../../../result'
import { amount, count, pick } from '../../ask'
import type { At, Shape } from '../../drawing'
import { by, length, path, round, text } from '../../parts'
import { sum } from '../../sum'

const options = (Object.entries(stuffs) as [StuffKey, { name: string }][]).map(
  ([value, { name }]) => ({ value, label: name.toLowerCase() }),
)

export const stiffenersSum = sum({
  key: 'stiffeners',
  title: 'Stiffeners',
  pocket: 'structure',
  about:
    'How far a panel or a lid sags under a person, and how many stiffeners keep it to a wanted sag.',
  words: 'stiffener sag deflection beam lid hatch panel shelf stringer support',
  source: 'the trade’s rules: F·L³ ÷ 48EI',
  asks: [
    amount('span', 'Span', 'mm', 800, [20, 20_000]),
    amount('load', 'Load in the middle', 'kg', 100, [1, 5000], { doubt: 0.2 }),
    amount('wanted', 'Sag allowed', 'mm', 4, [0.1, 200]),
    pick('of', 'Stiffener of', 'plywood', options),
    amount('wide', 'Stiffener, wide', 'mm', 18, [1, 1000]),
    amount('high', 'Stiffener, high', 'mm', 40, [1, 1000]),
    count('have', 'There are', 1, 50, { min: 0 }),
  ],
  wantedBy: [{ recipe: 'locker-lid', steps: ['stringers'], fill: {} }],
  work: ({ span, load, wanted, of, wide, high, have }, { say }) => {
    const { eGpa, name } = stuffs[of]
    const inertia = inertiaMm4(wide, high)
    const one = sagMm(load * 9.81, span, eGpa, inertia)
    const need = Math.max(1, Math.ceil(one / wanted - 1e-9))
    const now = have === 0 ? null : one / have
    const higher = high * Math.cbrt(one / Math.max(1, have) / wanted)
    const enough = now !== null && now <= wanted
    const mm = (value: number) => say(round(value), 'mm')
    const shown = Math.min(span * 0.22, ((now ?? one) / span) * span * 6)
    const curve: At[] = Array.from({ length: 21 }, (_, at) => {
      const t = at / 20
      return [t * span, shown * Math.sin(Math.PI * t)]
    })
    const shapes: Shape[] = [
      path(
        [
          [0, 0],
          [span, 0],
        ],
        { dashed: true },
      ),
      path(curve, { thick: true, edge: enough ? 'ink' : 'red' }),
      {
        is: 'arrow',
        from: [span / 2, -span * 0.15],
        to: [span / 2, shown - span * 0.01],
        tone: 'red',
      },
      text([span / 2, -span * 0.15], say(load, 'kg'), {
        anchor: 'middle',
        down: -0.6,
        field: 'load',
      }),
      length([0, shown], [span, shown], mm(span), { off: 1, field: 'span' }),
    ]
    return accepted({
      says: enough ? `${mm(now)} sag` : `${need} wanted`,
      takes: String(need),
      heading: enough
        ? `${mm(now)} of sag: enough`
        : now === null
          ? `${need} of them keep it to ${mm(wanted)}`
          : `${mm(now)} of sag: ${need} of them, or ${mm(higher)} high`,
      verdict: enough || have === 0 ? 'go' : 'look',
      figures: [
        { label: 'Sag with one', value: mm(one) },
        ...(now === null || have === 1
          ? []
          : [
              {
                label: `Sag with ${have}`,
                value: mm(now),
                tone: enough ? ('good' as const) : ('short' as const),
              },
            ]),
        { label: 'Wanted', value: String(need), note: `for ${mm(wanted)}` },
        { label: have > 1 ? 'Or each as high as' : 'Or one as high as', value: mm(higher) },
      ],
      working: [
        `I = ${round(wide)} × ${round(high)}³ ÷ 12 = ${Math.round(inertia)} mm⁴; E of ${name.toLowerCase()} ${eGpa} GPa.`,
        `${round(load * 9.81, 0)} N × ${round(span)}³ ÷ (48 × ${eGpa} 000 × ${Math.round(inertia)}) = ${round(one, 2)} mm.`,
      ],
      distrust: [
        'Ends that are held fast sag a quarter of it; ends that give, more.',
        'The skin glued to it helps and is not counted.',
        'Stiffness of wood differs by a third from piece to piece.',
      ],
      cautions: ['A deck that bears the rig, a keel’s floors: a designer, not this.'],
      drawing: {
        shapes,
        said: `A beam over ${round(span)} mm with ${round(load)} kg in the middle, its sag exaggerated.`,
      },
      puts: [
        {
          is: 'part',
          key: 'stuff',
          name: `${name} ${by(mm(wide), mm(high))}`,
          quantity: round((need * span * 1.1) / 1000, 2),
          unit: 'm',
        },
        {
          is: 'asBuilt',
          key: 'stiff',
          kind: 'size',
          what: 'Stiffeners',
          value: `${need} × ${by(mm(wide), mm(high))} over ${mm(span)}`,
        },
      ],
    })
  },
})

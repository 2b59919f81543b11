import { mixGrams, mixWeightG } from '../../../laminate/mixFor'
import { accepted } from '../../../result'
import { amount, count, maybeAmount } from '../../ask'
import { mixParts, box, length, round, text } from '../../parts'
import { sum } from '../../sum'

/** Wet on each face, and what is squeezed out. Source: handbook-2 I4. */
const wetKgM2 = 0.2
const squeezed = 0.15

export const glueForJoint = sum({
  key: 'glue-for-a-joint',
  title: 'Glue for a joint',
  pocket: 'structure',
  about:
    'Mix for a glued joint: what wets both faces, what fills the gap, and what is squeezed out.',
  words: 'glue epoxy joint laminate sister scarf beam bond gap clamp',
  source: 'the trade’s rules: area × faces × 0.2 kg/m² + gap, 15 % squeezed out',
  asks: [
    amount('long', 'Joint, long', 'm', 1.5, [0.01, 50], { doubt: 0.05 }),
    amount('wide', 'Joint, wide', 'mm', 80, [2, 2000], { doubt: 0.05 }),
    count('joints', 'Joints alike', 1, 200),
    count('faces', 'Faces wetted', 2, 2),
    amount('gap', 'Gap to fill', 'mm', 0.5, [0, 20], { doubt: 0.4 }),
    maybeAmount('clampEvery', 'A clamp every', 'mm', [20, 2000]),
  ],
  wantedBy: [
    {
      recipe: 'sister-frame',
      steps: ['bend', 'fasten'],
      fill: { long: 'lengthM', joints: 'members' },
    },
  ],
  wantedAt: { operations: ['laminate', 'fit'], words: /glue|beam|sister|scarf/i },
  work: ({ long, wide, joints, faces, gap, clampEvery }, { say }) => {
    const area = long * (wide / 1000) * joints
    const wetG = area * faces * wetKgM2 * 1000
    const gapMl = area * gap * 1000
    const gapG = mixWeightG(gapMl, 'fill')
    const total = (wetG + gapG) * (1 + squeezed)
    const mix = mixGrams(total, 'bed')
    const clamps = clampEvery === null ? null : Math.ceil((long * 1000) / clampEvery + 1) * joints
    const g = (value: number) => say(round(value, 0), 'g')
    return accepted({
      says: g(total),
      heading: `${g(total)} of mix for ${say(round(area, 2), 'm²')}`,
      verdict: 'go',
      figures: [
        { label: 'Mix in all', value: g(total), note: '15 % squeezed out' },
        { label: 'Wets the faces', value: g(wetG) },
        { label: 'Fills the gap', value: g(gapG), note: say(round(gapMl, 0), 'mL') },
        { label: 'Resin', value: g(mix.resinG) },
        { label: 'Hardener', value: g(mix.hardenerG) },
        ...(clamps === null ? [] : [{ label: 'Clamps', value: String(clamps) }]),
      ],
      working: [
        `${round(long, 2)} m × ${round(wide)} mm × ${joints} = ${round(area, 3)} m²; × ${faces} faces × 200 g = ${round(wetG)} g.`,
        `Gap ${round(gap, 2)} mm: ${round(gapMl)} mL of thick mix, ${round(gapG)} g.`,
        `Together and 15 %: ${round(total)} g.`,
      ],
      distrust: [
        'The gap is what the dry fit shows with clamps on, not what the plane hoped for.',
        'End grain drinks: wet it twice.',
      ],
      cautions: [
        'Too much pressure starves an epoxy joint: clamp until it oozes, no more.',
        'Resin: no bare skin.',
      ],
      drawing: {
        shapes: [
          box(0, 0, 200, 30, { fill: 'wood' }),
          box(0, 30, 200, Math.max(2, gap * 4), { fill: 'resin', field: 'gap' }),
          box(-10, 30 + Math.max(2, gap * 4), 220, 36, { fill: 'wood' }),
          length([0, 0], [200, 0], say(round(long, 2), 'm'), { off: -0.7, field: 'long' }),
          text([206, 32], ` gap ${say(gap, 'mm')}`, { field: 'gap' }),
        ],
        said: `Two pieces glued over ${round(long, 2)} metres with a gap of ${round(gap, 1)} mm.`,
      },
      puts: [
        ...mixParts(mix),
        ...(clamps === null
          ? []
          : [
              {
                is: 'bring' as const,
                key: 'clamps',
                what: 'Clamps',
                amount: String(clamps),
                kind: 'tool' as const,
              },
            ]),
        {
          is: 'asBuilt',
          key: 'glue',
          kind: 'size',
          what: 'Glue',
          value: `${g(total)} over ${say(round(area, 2), 'm²')}, gap ${say(gap, 'mm')}`,
        },
      ],
    })
  },
})

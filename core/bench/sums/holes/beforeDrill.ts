import { accepted } from '../../../result'
import { amount, maybeAmount } from '../../ask'
import type { Shape } from '../../drawing'
import { box, length, path, round, text } from '../../parts'
import type { Check } from '../../sum'
import { sum } from '../../sum'

interface Marks {
  readonly outAlong: number | null
  readonly outAcross: number | null
  readonly inAlong: number | null
  readonly inAcross: number | null
}
/** How far the mark inside lies from the one outside, along and across; null: one of them is not measured. */
function marksOf({
  outAlong,
  outAcross,
  inAlong,
  inAcross,
}: Marks): readonly [number, number] | null {
  if (outAlong === null || outAcross === null || inAlong === null || inAcross === null) return null
  return [outAlong - inAlong, outAcross - inAcross]
}

/** The cone of a bit reaches past its full width. Source: handbook-2 I2. */
const coneShare = 0.3

export const beforeDrill = sum({
  key: 'before-you-drill',
  title: 'Before you drill',
  pocket: 'holes',
  about:
    'Whether a hole may be drilled where it is marked: room for what goes on it, old holes, the same point inside and out, what lies behind, and where the depth stop goes.',
  words: 'drill hole safe depth stop behind loom wire pipe tank edge old hole',
  source: 'the trade’s rules',
  asks: [
    amount('hole', 'Hole', 'mm', 9, [1, 200]),
    amount('plate', 'Washer, plate or socket round it, across', 'mm', 30, [1, 1000]),
    maybeAmount(
      'room',
      'From the middle of the hole to the nearest wall, frame or edge',
      'mm',
      [0, 5000],
    ),
    maybeAmount('oldHole', 'To the middle of the nearest old hole', 'mm', [0, 5000]),
    maybeAmount(
      'outAlong',
      'Outside, along from a mark that shows on both sides',
      'mm',
      [0, 20_000],
    ),
    maybeAmount('outAcross', 'Outside, across from it', 'mm', [0, 10_000]),
    maybeAmount('inAlong', 'Inside, along from the same mark', 'mm', [0, 20_000]),
    maybeAmount('inAcross', 'Inside, across from it', 'mm', [0, 10_000]),
    amount('doubt', 'Each of these measured to', 'mm', 2, [0.5, 50]),
    amount('thick', 'Thickness to go through', 'mm', 20, [0.5, 300], { doubt: 0.15 }),
    maybeAmount('behind', 'From its far side to what lies behind', 'mm', [0, 5000]),
    maybeAmount(
      'beside',
      'From the middle of the hole, inside, to the nearest wire, pipe or tank',
      'mm',
      [0, 5000],
    ),
    amount('margin', 'Kept clear of it', 'mm', 5, [0, 100]),
  ],
  wantedBy: [
    {
      recipe: 'sleeve-and-bed',
      steps: ['overDrill', 'mark'],
      fill: { thick: 'thick' },
      adds: { thick: ['skin', 'core'] },
    },
    {
      recipe: 'solar-on-arch',
      steps: ['overDrill'],
      fill: { thick: 'thick' },
      adds: { thick: ['skin', 'core'] },
    },
    {
      recipe: 'through-hull',
      steps: ['pilot'],
      fill: { hole: { is: 6 }, plate: 'pad', thick: 'thick' },
      adds: { thick: ['core', 'inner'] },
    },
    {
      recipe: 'transducer',
      steps: ['pilot', 'mark'],
      fill: { hole: { is: 6 }, plate: 'pad', thick: 'thick' },
      adds: { thick: ['core', 'inner'] },
    },
  ],
  wantedAt: { operations: ['drill'] },
  work: (given, { say }) => {
    const { hole, plate, room, oldHole, doubt, thick, behind, beside, margin } = given
    const mm = (value: number) => say(round(value), 'mm')
    const marks = marksOf(given)
    const apart = marks && Math.hypot(...marks)
    // Four measures, each as far off as said: along and across, inside and out.
    const off = 2 * doubt
    const cone = coneShare * hole
    const stopAt = behind === null ? null : thick + Math.max(0, behind - margin)
    const checks: Check[] = [
      room === null
        ? {
            text: `Room for ${mm(plate)} round it`,
            detail: 'not measured: nobody knows that the plate lies flat',
            state: 'look',
          }
        : {
            text: `Room for ${mm(plate)} round it`,
            detail:
              room >= plate / 2
                ? `${mm(room - plate / 2)} to spare`
                : `${mm(plate / 2 - room)} too little: move it, or a smaller plate`,
            state: room >= plate / 2 ? 'fine' : 'stop',
          },
      oldHole === null
        ? {
            text: 'Old holes near it',
            detail: 'not looked for: strip the place bare and look',
            state: 'look',
          }
        : {
            text: `Old hole ${mm(oldHole)} off`,
            detail:
              oldHole >= hole
                ? 'over one diameter; fill it first all the same'
                : oldHole < 0.5
                  ? 'it is the same hole: fill it, or use it'
                  : 'under one diameter: fill it and let it cure, then drill',
            state: oldHole >= hole || oldHole < 0.5 ? 'fine' : 'look',
          },
      apart === null
        ? {
            text: 'Inside and out, the same point',
            detail: 'not measured from both sides: nobody knows where the bit comes out',
            state: 'look',
          }
        : {
            text: 'Inside and out, the same point',
            detail:
              apart <= off
                ? `${mm(apart)} apart, within the doubt of ±${mm(off)}`
                : `${mm(apart)} apart, and you measured to ±${mm(off)}: one of the marks is wrong, measure again`,
            state: apart <= off ? 'fine' : 'stop',
          },
      beside === null
        ? {
            text: 'What lies beside it, inside',
            detail: 'nobody looked: open it, or look with a camera',
            state: 'look',
          }
        : beside <= hole / 2 + off
          ? {
              text: `${mm(beside)} to what lies beside it`,
              detail: `the hole may be anywhere within ±${mm(off)}: it can be hit. Do not drill`,
              state: 'stop',
            }
          : beside <= plate / 2 + off
            ? {
                text: `${mm(beside)} to what lies beside it`,
                detail: 'clear of the bit, not of the plate: tie it off first',
                state: 'look',
              }
            : {
                text: `${mm(beside)} to what lies beside it`,
                detail: 'clear of hole and plate',
                state: 'fine',
              },
      behind === null
        ? {
            text: 'What lies behind it',
            detail: 'not measured: no depth stop can be set',
            state: 'look',
          }
        : behind < margin + cone
          ? {
              text: `${mm(behind)} behind it`,
              detail: `the cone of the bit alone reaches ${mm(cone)} further, and ${mm(margin)} stay clear. Do not drill from this side`,
              state: 'stop',
            }
          : {
              text: `${mm(behind)} behind it`,
              detail: `depth stop at ${mm(stopAt ?? thick)} from the point of the bit`,
              state: 'fine',
            },
    ]
    const stops = checks.filter((one) => one.state === 'stop').length
    const looks = checks.filter((one) => one.state === 'look').length
    const wide = Math.max(plate * 1.6, 80)
    const far = behind ?? thick
    const deep = stopAt ?? thick + cone
    const shapes: Shape[] = [
      box(-wide / 2, 0, wide / 2 - hole / 2, thick, { fill: 'glass', field: 'thick' }),
      box(hole / 2, 0, wide / 2 - hole / 2, thick, { fill: 'glass', field: 'thick' }),
      box(-hole / 2, -thick * 0.8, hole, thick * 0.8 + deep - cone, { fill: 'metal' }),
      {
        is: 'shape',
        fill: 'metal',
        corners: [
          [-hole / 2, deep - cone],
          [hole / 2, deep - cone],
          [0, deep],
        ],
      },
      box(-plate / 2, -2, plate / 2 - hole / 2, 2, { fill: 'metal', dashed: true }),
      box(hole / 2, -2, plate / 2 - hole / 2, 2, { fill: 'metal', dashed: true }),
      length([-wide / 2, 0], [-wide / 2, thick], mm(thick), { off: -0.6, field: 'thick' }),
    ]
    if (behind !== null)
      shapes.push(
        box(-wide / 2, thick + far, wide, Math.max(2, thick * 0.15), {
          fill: 'short',
          edge: 'red',
          field: 'behind',
        }),
        length([wide / 2, thick], [wide / 2, thick + far], mm(far), {
          off: 0.6,
          tone: 'red',
          field: 'behind',
        }),
      )
    if (stopAt !== null)
      shapes.push(
        path(
          [
            [-hole * 1.5, deep],
            [hole * 1.5, deep],
          ],
          { dashed: true },
        ),
        text([hole * 1.6, deep], `stop ${mm(deep)}`, { tone: 'good', bold: true }),
      )
    const verdict = stops > 0 ? 'stop' : looks > 0 ? 'look' : 'go'
    const says =
      stops > 0 ? 'do not drill' : looks > 0 ? `${looks} to look at` : `stop at ${mm(deep)}`
    return accepted({
      says,
      takes: verdict,
      heading:
        stops > 0
          ? 'do not drill here'
          : looks > 0
            ? looks === 1
              ? 'one thing to look at before you drill'
              : `${looks} things to look at before you drill`
            : `drill, with the depth stop at ${mm(deep)}`,
      verdict,
      figures: [
        {
          label: 'Depth stop',
          value: stopAt === null ? 'not known' : mm(stopAt),
          note: 'from the point of the bit',
        },
        {
          label: 'Inside against outside',
          value: apart === null ? 'not known' : mm(apart),
          note: `doubt ±${mm(off)}`,
        },
        { label: 'Cone of the bit', value: mm(cone) },
      ],
      checks,
      working: [
        marks === null || apart === null
          ? 'Inside and out: all four distances from the shared mark are wanted.'
          : `Inside and out: √(${round(Math.abs(marks[0]))}² + ${round(Math.abs(marks[1]))}²) = ${round(apart)} mm; four measures to ±${round(doubt)} mm may put it off by ${round(off)}.`,
        stopAt === null
          ? 'No depth stop without the distance behind.'
          : `Depth stop: ${round(thick)} + (${round(behind ?? 0)} − ${round(margin)}) = ${round(stopAt)} mm.`,
        `Cone: 0.3 × ${round(hole)} = ${round(cone)} mm.`,
      ],
      distrust: [
        'A skin is thicker over a stringer and thinner in a corner: drill the first with a hand on the other side, never a palm on the hole.',
        'Marks on a curved deck: measure along the surface on both sides.',
      ],
      cautions: [
        'Wires in there: isolate them and prove them dead.',
        'Below the waterline: depth stop, plug and hammer within reach, never alone afloat.',
        'Glass dust: P3 and extraction. Tired: stop drilling.',
      ],
      drawing: {
        shapes,
        inMm: true,
        said: `A ${round(hole)} mm bit through ${round(thick)} mm${behind === null ? '' : `, ${round(behind)} mm to what lies behind`}.`,
      },
      puts: [
        {
          is: 'bring',
          key: 'bit',
          what: `Drill bit ${mm(hole)}${stopAt === null ? '' : ` with a stop at ${mm(stopAt)}`}`,
          amount: '1',
          kind: 'tool',
        },
        {
          is: 'asBuilt',
          key: 'hole',
          kind: 'size',
          what: 'Hole',
          value: `${mm(hole)} through ${mm(thick)}${given.outAlong === null || given.outAcross === null ? '' : `, ${mm(given.outAlong)} along and ${mm(given.outAcross)} across from the mark`}`,
        },
      ],
    })
  },
})

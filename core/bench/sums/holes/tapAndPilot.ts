import { accepted } from '../../../result'
import { amount, pick } from '../../ask'
import type { Shape } from '../../drawing'
import { box, length, path, round, text, threadAt, threadPick } from '../../parts'
import { sum } from '../../sum'

/** Pilot for a wood screw, of its outside; bolt from an edge and an end, in diameters. Starting values. */
const stuff = {
  softwood: { name: 'softwood', pilot: 0.6, edge: 4, end: 7 },
  hardwood: { name: 'hardwood', pilot: 0.75, edge: 4, end: 7 },
  plywood: { name: 'plywood', pilot: 0.65, edge: 3, end: 4 },
  laminate: { name: 'laminate', pilot: 0.85, edge: 3, end: 3 },
  metal: { name: 'metal', pilot: 1, edge: 2, end: 2 },
} as const

export const holesToDrill = sum({
  key: 'tap-and-pilot',
  title: 'Tap, pilot, rivet',
  pocket: 'holes',
  about: 'The hole for a bolt, a tap, a screw or a rivet, and how near an edge it may stand.',
  words: 'hole size drill tap pilot screw rivet clearance edge distance thread',
  source: 'the trade’s rules: tap d − pitch; rivet stack + 1.5 d',
  asks: [
    threadPick('bolt', 'Thread, screw or rivet', 6),
    pick('into', 'Into', 'laminate', [
      { value: 'softwood', label: 'softwood' },
      { value: 'hardwood', label: 'hardwood' },
      { value: 'plywood', label: 'plywood' },
      { value: 'laminate', label: 'laminate' },
      { value: 'metal', label: 'metal' },
    ]),
    amount('fitting', 'Fitting, thick', 'mm', 5, [0, 200]),
    amount('base', 'Stuff it goes into, thick', 'mm', 20, [0.2, 500], { doubt: 0.1 }),
    amount('screw', 'Screw, long', 'mm', 30, [3, 300]),
  ],
  work: ({ bolt, into, fitting, base, screw }, { say }) => {
    const thread = threadAt(bolt)
    const d = thread.sizeMm
    const row = stuff[into]
    const tap = d - thread.pitchMm
    const pilot = row.pilot * d
    const rivet = fitting + base + 1.5 * d
    const goes = screw - fitting
    const through = goes > base
    const mm = (value: number) => say(round(value, 2), 'mm')
    const shapes: Shape[] = [
      box(-60, -fitting, 120, Math.max(fitting, 0.5), { fill: 'metal', field: 'fitting' }),
      box(-80, 0, 160, base, {
        fill: into === 'laminate' ? 'glass' : into === 'metal' ? 'metal' : 'wood',
        field: 'base',
      }),
      box(-pilot / 2, 0, pilot, Math.max(0.5, Math.min(base, goes)), {
        fill: 'paper',
        dashed: true,
      }),
      box(-d / 2, -fitting, d, Math.max(1, screw), { edge: through ? 'red' : 'ink' }),
      path(
        [
          [-d, -fitting - 4],
          [d, -fitting - 4],
        ],
        { thick: true },
      ),
      length([80, 0], [80, base], mm(base), { off: 0.5, field: 'base' }),
      text([0, base], `edge ${mm(row.edge * d)}, end ${mm(row.end * d)}`, {
        anchor: 'middle',
        down: 1,
        tone: 'soft',
      }),
    ]
    return accepted({
      says: `clear ${mm(thread.clearanceMm)}, tap ${mm(tap)}`,
      heading: `${thread.name}: clear ${mm(thread.clearanceMm)}, tap ${mm(tap)}, pilot in ${row.name} ${mm(pilot)}${through ? '; the screw comes out behind' : ''}`,
      verdict: through ? 'look' : 'go',
      figures: [
        { label: 'Clearance hole', value: mm(thread.clearanceMm) },
        { label: 'To be tapped', value: mm(tap), note: `pitch ${mm(thread.pitchMm)}` },
        { label: `Pilot in ${row.name}`, value: mm(pilot) },
        {
          label: 'Screw goes in',
          value: mm(goes),
          note: through
            ? 'comes out behind'
            : goes < 3 * d
              ? 'under three diameters: little hold'
              : undefined,
          tone: through || goes < 0 ? 'short' : undefined,
        },
        { label: 'Rivet, long', value: mm(rivet), note: 'both pieces and 1.5 diameters' },
        { label: 'From an edge', value: mm(row.edge * d) },
        { label: 'From an end', value: mm(row.end * d) },
      ],
      working: [
        `Tap: ${round(d)} − ${round(thread.pitchMm, 2)} = ${round(tap, 2)} mm.`,
        `Screw: ${round(screw)} − ${round(fitting)} = ${round(goes)} mm in the stuff.`,
        `Rivet: ${round(fitting)} + ${round(base)} + 1.5 × ${round(d)} = ${round(rivet)} mm.`,
      ],
      distrust: ['Pilots are starting values: try one in a scrap of the same stuff.'],
      cautions: ['Before you drill: know what is behind. Goggles.'],
      drawing: { shapes, inMm: true, said: `A hole for ${thread.name} in ${row.name}.` },
      puts: [
        {
          is: 'bring',
          key: 'bits',
          what: `Drill bits ${mm(thread.clearanceMm)}, ${mm(tap)}, ${mm(pilot)}`,
          amount: '',
          kind: 'tool',
        },
        {
          is: 'asBuilt',
          key: 'holes',
          kind: 'size',
          what: 'Holes',
          value: `${thread.name}: clear ${mm(thread.clearanceMm)}, tap ${mm(tap)}, pilot ${mm(pilot)}`,
        },
      ],
    })
  },
})

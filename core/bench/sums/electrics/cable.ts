import { cableFor } from '../../../electrics/cable'
import { accepted } from '../../../result'
import { counted } from '../../../units/counted'
import { amount, lines, pick, words } from '../../ask'
import type { Shape } from '../../drawing'
import { box, path, round, text } from '../../parts'
import type { Put } from '../../sum'
import { sum } from '../../sum'

export const cableAndFuse = sum({
  key: 'cable-and-fuse',
  title: 'Cable and fuse',
  pocket: 'electrics',
  about:
    'Size of cable and fuse for every run, by what it may lose and by what it has to bear, kept as the circuit list.',
  words: 'wire cable size mm2 awg fuse voltage drop circuit run ampacity breaker schedule',
  source: 'the trade’s rules: 2·L·I·0.0195 ÷ ΔV; the cable bears its fuse; fuse ≥ 1.25 × load',
  isWide: true,
  asks: [
    amount('volts', 'Volts', 'V', 12, [6, 60]),
    lines(
      'runs',
      'Runs',
      'run',
      [
        words('name', 'Run', 'run', 40),
        amount('long', 'One way', 'm', 5, [0.1, 100], { doubt: 0.1 }),
        amount('amps', 'Load', 'A', 5, [0.1, 150], { doubt: 0.1 }),
        pick('drop', 'May lose', 'ten', [
          { value: 'three', label: '3 %: navigation, pumps, charging' },
          { value: 'ten', label: '10 %: the rest' },
        ]),
        amount('derate', 'Bears, of the table', '%', 100, [30, 100]),
      ],
      [
        { name: 'windlass', long: 7.5, amps: 75, drop: 'ten' },
        { name: 'solar controller', long: 6, amps: 12, drop: 'three' },
        { name: 'bilge pump', long: 5.5, amps: 4, drop: 'three' },
        { name: 'masthead light', long: 19, amps: 0.5, drop: 'three' },
        { name: 'fridge', long: 3.5, amps: 4, drop: 'ten' },
      ],
      { most: 60 },
    ),
  ],
  wantedBy: [
    {
      recipe: 'electrical-system',
      steps: ['schematic', 'buy', 'cable'],
      fill: { volts: 'volts', 'runs.0.long': 'runM', 'runs.0.amps': 'loadA' },
      takes: { runs: 1 },
    },
    {
      recipe: 'solar-on-arch',
      steps: ['cable', 'fuse'],
      fill: { volts: 'volts', 'runs.0.long': 'runM', 'runs.0.amps': 'loadA' },
      takes: { runs: 1 },
    },
  ],
  wantedAt: { operations: ['wire'] },
  work: ({ volts, runs }, { say }) => {
    const sized = runs.map((one) => ({
      ...one,
      ...cableFor({
        runM: one.long,
        loadA: one.amps,
        volts,
        dropPercent: one.drop === 'three' ? 3 : 10,
        derating: one.derate / 100,
      }),
    }))
    const mm2 = (value: number) => `${value} mm²`
    const longest = Math.max(...runs.map((one) => one.long))
    const shapes: Shape[] = [
      box(-longest * 0.05, 0, longest * 0.05, longest * 0.12, { fill: 'brass' }),
    ]
    const deep = longest * 0.32
    sized.slice(0, 12).forEach((one, at) => {
      const hang = Math.min(1.05, one.dropV / one.allowedV) * deep
      const points = Array.from({ length: 9 }, (_, step): [number, number] => {
        const t = step / 8
        return [one.long * t, longest * 0.06 + hang * Math.sin((t * Math.PI) / 2)]
      })
      shapes.push(
        path(points, {
          thick: one.mm2 >= 16,
          edge: one.dropV > one.allowedV + 1e-6 ? 'red' : 'ink',
        }),
        text(points.at(-1) as [number, number], ` ${at + 1}`, { bold: true }),
      )
    })
    shapes.push(
      path(
        [
          [0, longest * 0.06 + deep],
          [longest, longest * 0.06 + deep],
        ],
        { edge: 'red', thick: true },
      ),
      text([longest, longest * 0.06 + deep], 'all it may lose', {
        anchor: 'end',
        down: 0.8,
        tone: 'red',
      }),
      text([longest, 0], say(round(longest, 1), 'm'), { anchor: 'end', down: -0.5, tone: 'soft' }),
    )
    const byFuse = sized.filter((one) => one.by === 'fuse')
    const [first] = sized
    const totals = new Map<number, number>()
    for (const one of sized) totals.set(one.mm2, (totals.get(one.mm2) ?? 0) + 2 * one.long * 1.1)
    const says =
      runs.length === 1 && first
        ? `${mm2(first.mm2)}, ${first.fuseA} A`
        : `${runs.length} runs sized`
    return accepted({
      says,
      takes: sized.map((one) => `${one.mm2}/${one.fuseA}`).join(' '),
      heading:
        runs.length === 1 && first
          ? `${mm2(first.mm2)}, fused at ${first.fuseA} A`
          : `${counted(runs.length, 'run')}${byFuse.length > 0 ? `; the fuse, not the drop, sizes ${byFuse.map((one) => one.name).join(', ')}` : ''}`,
      verdict: 'go',
      figures: [...totals]
        .sort((a, b) => a[0] - b[0])
        .map(([size, m]) => ({
          label: `Cable ${mm2(size)}`,
          value: say(round(m, 1), 'm'),
          note: 'both ways, a tenth over',
        })),
      table: {
        caption: 'Circuit list',
        head: ['Run', 'one way', 'load', 'cable', 'loses', 'may lose', 'fuse'],
        rows: sized.map((one, at) => [
          `${at + 1} ${one.name}`,
          say(round(one.long, 1), 'm'),
          `${round(one.amps, 2)} A`,
          `${mm2(one.mm2)}${one.by === 'fuse' ? ' ▲' : ''}`,
          `${round(one.dropV, 2)} V`,
          `${round(one.allowedV, 2)} V`,
          `${one.fuseA} A`,
        ]),
      },
      working: [
        ...(first
          ? [
              `${first.name}: 2 × ${round(first.long, 1)} m × ${round(first.amps, 2)} A × 0.0195 ÷ ${round(first.allowedV, 2)} V = ${round(first.byDropMm2, 2)} mm²; the next size is ${first.byDropSize}.`,
            ]
          : []),
        'Fuse: the smallest standard rating of 1.25 × the load and more; the cable bears it in a warm space, or is taken a size up (▲).',
      ],
      distrust: [
        'Rows of what a cable bears hold for warm spaces and single cores, not for an engine’s.',
        'Measure the run as it will lie, up and down, not on the plan.',
      ],
      cautions: [
        'The fuse stands within 200 mm of the source; the bank’s own fuse must break its fault current.',
        'Isolate, prove dead. Mains, gas and lithium: licensed people; local code.',
      ],
      drawing: {
        shapes,
        free: { ratio: 0.42 },
        said: `${runs.length} runs hanging from the bank by their share of the drop allowed.`,
      },
      puts: [
        ...[...totals].map(([size, m]): Put => ({
          is: 'part',
          key: `cable ${size}`,
          name: `Cable ${mm2(size)}, tinned`,
          quantity: round(m, 1),
          unit: 'm',
        })),
        ...[...new Set(sized.map((one) => one.fuseA))].map((fuse): Put => ({
          is: 'part',
          key: `fuse ${fuse}`,
          name: `Fuse ${fuse} A`,
          quantity: sized.filter((one) => one.fuseA === fuse).length + 1,
          unit: 'pieces',
        })),
        ...sized.map((one, at): Put => ({
          is: 'asBuilt',
          key: `run ${at + 1}`,
          kind: 'setting',
          what: `Circuit ${one.name}`,
          value: `${mm2(one.mm2)}, ${say(round(one.long, 1), 'm')} one way, fuse ${one.fuseA} A`,
        })),
      ],
    })
  },
})

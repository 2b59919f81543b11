import { cableFor } from '../../../electrics/cable'
import { cableTotals, circuitList } from '../../../electrics/circuits'
import { fasteningsWithSpares } from '../../../fastening/count'
import { accepted, refused } from '../../../result'
import { counted, listed } from '../../../units/counted'
import { amount, count, lines, maybeAmount, pick, rarely, words } from '../../ask'
import { round } from '../../parts'
import type { Answer, Beside, Check, Put } from '../../sum'
import { sum } from '../../sum'
import { ropes, waysOf } from './ropes'
import type { OnList } from './ropes'

export const cableAndFuse = sum({
  key: 'cable-and-fuse',
  title: 'Cable and fuse',
  pocket: 'electrics',
  about:
    'The circuit list: cable, fuse, ends and way of every run, by what it may lose and what it has to bear. It is kept, and grows with the next job.',
  words:
    'wire cable size mm2 awg fuse voltage drop circuit run ampacity breaker schedule list panel label crimp end',
  source: 'the trade’s rules: 2·L·I·0.0195 ÷ ΔV; the cable bears its fuse; fuse ≥ 1.25 × load',
  isWide: true,
  asks: [
    amount('volts', 'Volts', 'V', 12, [6, 60]),
    maybeAmount('ways', 'Ways on the panel', '', [1, 400], { whole: true }),
    lines(
      'runs',
      'Circuits',
      'circuit',
      [
        words('name', 'Circuit', 'circuit', 40),
        count('many', 'How many alike', 1, 200, { min: 0 }),
        amount('long', 'One way', 'm', 5, [0.1, 100], { doubt: 0.1 }),
        amount('amps', 'Load', 'A', 5, [0.1, 150], { doubt: 0.1 }),
        pick('drop', 'May lose', 'ten', [
          { value: 'three', label: '3 %: navigation, pumps, charging' },
          { value: 'ten', label: '10 %: the rest' },
        ]),
        rarely(amount('derate', 'Bears, of the table', '%', 100, [30, 100])),
        rarely(words('colour', 'Colours, plus and minus', '', 30)),
        rarely(maybeAmount('way', 'Way on the panel', '', [1, 400], { whole: true })),
        rarely(
          pick('stands', 'It is', 'new', [
            { value: 'new', label: 'laid by this job' },
            { value: 'there', label: 'there, or another job’s' },
          ]),
        ),
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
  grows: {
    list: 'runs',
    carried: (line, answer) => ({
      ...line,
      stands: 'there',
      way: line.way ?? wayIn(answer, String(line.name)),
    }),
    keeps: ['volts', 'ways'],
  },
  beside: ({ volts }): readonly Beside[] => [
    { sum: 'loads-to-bank', gives: { volts } },
    { sum: 'if-one-thing-fails', gives: {} },
  ],
  wantedBy: [
    {
      recipe: 'electrical-system',
      steps: ['schematic', 'buy', 'cable'],
      fill: {
        volts: 'volts',
        ways: 'ways',
        'runs.0.name': { is: 'must keep its volts' },
        'runs.0.many': 'circuits',
        'runs.0.long': 'runM',
        'runs.0.amps': 'loadA',
        'runs.0.drop': { is: 'three' },
        'runs.1.name': { is: 'lights and comfort' },
        'runs.1.many': 'lights',
        'runs.1.long': 'lightRunM',
        'runs.1.amps': 'lightA',
        'runs.1.drop': { is: 'ten' },
        'runs.2.name': { is: 'heavy' },
        'runs.2.many': 'heavy',
        'runs.2.long': 'heavyRunM',
        'runs.2.amps': 'heavyA',
        'runs.2.drop': { is: 'ten' },
      },
      takes: { runs: 3 },
    },
    {
      recipe: 'solar-on-arch',
      steps: ['cable', 'fuse'],
      fill: { volts: 'volts', 'runs.0.long': 'runM', 'runs.0.amps': 'loadA' },
      takes: { runs: 1 },
    },
  ],
  wantedAt: { operations: ['wire'] },
  work: ({ volts, ways, runs }, { say }) => {
    const unborne = runs.findIndex((one) => one.many > 0 && !isBorne(one, volts))
    if (unborne >= 0)
      return refused('No single cable that thick is sold.', [
        {
          field: `runs.${unborne}.long`,
          message: 'Shorten the run, lay two cables, or take a higher voltage.',
        },
      ])
    const list = circuitList(
      runs.flatMap((one, line): OnList[] =>
        one.many === 0
          ? []
          : [
              {
                line,
                name: one.name,
                many: one.many,
                runM: one.long,
                loadA: one.amps,
                dropPercent: one.drop === 'three' ? 3 : 10,
                derating: one.derate / 100,
                way: one.way,
                isThere: one.stands === 'there',
              },
            ],
      ),
      volts,
    )
    const sized = list.circuits
    if (sized.length === 0)
      return refused('No circuit is left.', [
        { field: 'runs.0.many', message: 'At least one, or take the line away.' },
      ])
    const mm2 = (value: number) => `${value} mm²`
    const totals = cableTotals(sized)
    const byFuse = sized.filter((one) => one.by === 'fuse')
    const fresh = sized.filter((one) => !one.isThere)
    const [first] = sized
    const spare = ways === null ? null : ways - list.taken
    const fuses = new Map<number, number>()
    for (const one of fresh) fuses.set(one.fuseA, (fuses.get(one.fuseA) ?? 0) + one.many)
    const checks: Check[] = [
      ...(spare !== null && spare < 0
        ? [
            {
              text: `The panel has ${ways} ways, ${list.taken} are wanted`,
              detail: 'two loads share no fuse: a larger panel, or a second one',
              state: 'stop' as const,
            },
          ]
        : []),
      ...list.clashes.map(([a, b]) => ({
        text: `${sized[a]?.name} and ${sized[b]?.name} stand on one way`,
        detail: 'give one of them another, or leave it empty: the next free one is taken',
        state: 'look' as const,
      })),
    ]
    return accepted({
      says:
        runs.length === 1 && first
          ? `${mm2(first.mm2)}, ${first.fuseA} A`
          : `${counted(
              sized.reduce((all, one) => all + one.many, 0),
              'circuit',
            )} sized`,
      takes: sized.map((one) => `${one.mm2}/${one.fuseA}`).join(' '),
      // What stands in the way is said first.
      heading: checks[0]
        ? checks[0].text.replace(/^The /, 'the ')
        : runs.length === 1 && first
          ? `${mm2(first.mm2)}, fused at ${first.fuseA} A`
          : `${counted(
              sized.reduce((all, one) => all + one.many, 0),
              'circuit',
            )}${byFuse.length > 0 ? `; the fuse, not the drop, sizes ${listed(byFuse.map((one) => one.name))}` : ''}`,
      verdict: checks.some((one) => one.state === 'stop')
        ? 'stop'
        : checks.length > 0
          ? 'look'
          : 'go',
      figures: [
        ...totals.map(({ mm2: size, coreM, ends }) => ({
          label: `Cable ${mm2(size)}`,
          value: say(round(coreM, 1), 'm'),
          note: `both ways, a tenth over; ${ends} ends`,
        })),
        ...(totals.length === 0
          ? [
              {
                label: 'To be bought',
                value: 'nothing',
                note: 'all of it is there, or another job’s',
              },
            ]
          : []),
        {
          label: 'Ways on the panel',
          value: spare === null ? `${list.taken} taken` : `${list.taken} of ${ways}`,
          note:
            spare === null
              ? 'how many it has is not said'
              : spare < 0
                ? `${-spare} too few`
                : `${counted(spare, 'way')} to spare`,
          tone: spare !== null && spare < 0 ? ('short' as const) : undefined,
        },
      ],
      checks,
      table: {
        caption: 'Circuit list and fuse sheet',
        head: [
          'Circuit',
          'way',
          'fuse',
          'cable',
          'one way',
          'load',
          'loses',
          'may lose',
          'colours',
        ],
        rows: [...sized]
          .map((one) => ({ one, colour: runs[one.line]?.colour ?? '' }))
          .sort((a, b) => a.one.firstWay - b.one.firstWay)
          .map(({ one, colour }) => [
            `${one.name}${one.many > 1 ? ` × ${one.many}` : ''}${one.isThere ? ' (not this job’s)' : ''}`,
            waysOf(one),
            `${one.fuseA} A`,
            `${mm2(one.mm2)}${one.by === 'fuse' ? ' ▲' : ''}`,
            say(round(one.runM, 1), 'm'),
            `${round(one.loadA, 2)} A`,
            `${round(one.dropV, 2)} V`,
            `${round(one.allowedV, 2)} V`,
            colour || '—',
          ]),
      },
      working: [
        ...(first
          ? [
              `${first.name}: 2 × ${round(first.runM, 1)} m × ${round(first.loadA, 2)} A × 0.0195 ÷ ${round(first.allowedV, 2)} V = ${round(first.byDropMm2, 2)} mm²; ${first.byDropSize === null ? 'no size sold is thick enough for it' : `the next size is ${first.byDropSize}`}.`,
            ]
          : []),
        'Fuse: the smallest standard rating of 1.25 × the load and more; the cable bears it in a warm space, or is taken a size up (▲).',
        'Ends: each circuit has two cores with an end at both; label both ends with way and name.',
      ],
      distrust: [
        'Rows of what a cable bears hold for warm spaces and single cores, not for an engine’s.',
        'Measure the run as it will lie, up and down, not on the plan.',
        'The local standard says which colour is what: write down what is there before you cut it.',
      ],
      cautions: [
        'The fuse stands within 200 mm of the source; the bank’s own fuse must break its fault current.',
        'Isolate, prove dead. Mains, gas and lithium: licensed people; local code.',
      ],
      drawing: {
        shapes: ropes(sized, say),
        free: { ratio: 0.3 },
        said: `${sized.length} runs hanging from the bank by their share of the drop allowed.`,
      },
      puts: [
        ...totals.flatMap(({ mm2: size, coreM, ends }): Put[] => [
          {
            is: 'part',
            key: `cable ${size}`,
            name: `Cable ${mm2(size)}, tinned`,
            quantity: round(coreM, 1),
            unit: 'm',
          },
          {
            is: 'part',
            key: `end ${size}`,
            name: `Crimped end for ${mm2(size)}`,
            quantity: fasteningsWithSpares(ends, 1),
            unit: 'pieces',
          },
        ]),
        ...[...fuses].map(([fuse, many]): Put => ({
          is: 'part',
          key: `fuse ${fuse}`,
          name: `Fuse ${fuse} A`,
          quantity: many + 1,
          unit: 'pieces',
        })),
        ...(fresh.length > 0
          ? [
              {
                is: 'part' as const,
                key: 'labels',
                name: 'Cable label with way and name',
                quantity: fresh.reduce((all, one) => all + 2 * one.many, 0),
                unit: 'pieces',
              },
            ]
          : []),
        ...fresh.map((one, at): Put => ({
          is: 'asBuilt',
          key: `run ${at + 1}`,
          kind: 'setting',
          what: `Circuit ${one.name}`,
          value: `way ${waysOf(one)}, ${mm2(one.mm2)}, ${say(round(one.runM, 1), 'm')} one way, fuse ${one.fuseA} A`,
        })),
      ],
    })
  },
})

/** The way that an answer gave a circuit by its name: it keeps it when the list grows. */
function wayIn(answer: Answer | null, name: string): number | null {
  const row = answer?.table?.rows.find(
    ([said = '']) => said.replace(/ × \d+| \(not this job’s\)/g, '') === name,
  )
  return row ? Number.parseInt(row[1] ?? '', 10) : null
}

/** Whether there is a cable for it at all. */
function isBorne(
  one: {
    readonly long: number
    readonly amps: number
    readonly drop: string
    readonly derate: number
  },
  volts: number,
): boolean {
  try {
    cableFor({
      runM: one.long,
      loadA: one.amps,
      volts,
      dropPercent: one.drop === 'three' ? 3 : 10,
      derating: one.derate / 100,
    })
    return true
  } catch (error) {
    if (error instanceof RangeError) return false
    throw error
  }
}

import { accepted } from '../../../result'
import { lines, pick, words } from '../../ask'
import type { Shape, Shape as DrawnShape } from '../../drawing'
import { path, text } from '../../parts'
import { sum } from '../../sum'

export const ifOneFails = sum({
  key: 'if-one-thing-fails',
  title: 'If one thing fails',
  pocket: 'electrics',
  about: 'What still works when one bank, fuse, panel or wire is gone, by what hangs on what.',
  words: 'failure redundancy what if fuse bank dead backup circuit single point',
  source: 'the trade’s rules',
  isWide: true,
  asks: [
    lines(
      'sources',
      'What things hang on',
      'source',
      [
        words('name', 'Name', 'bank', 30),
        words('on', 'It hangs on', '', 60),
        pick('way', 'Of these it wants', 'all', [
          { value: 'all', label: 'all' },
          { value: 'any', label: 'any one' },
        ]),
      ],
      [
        { name: 'house bank', on: '' },
        { name: 'start bank', on: '' },
        { name: 'link switch', on: 'house bank, start bank', way: 'any' },
        { name: 'main fuse', on: 'house bank' },
        { name: 'nav panel', on: 'main fuse' },
      ],
      { most: 30 },
    ),
    lines(
      'things',
      'What has to work',
      'thing',
      [
        words('name', 'Thing', 'thing', 30),
        words('on', 'It hangs on', '', 60),
        pick('way', 'Of these it wants', 'all', [
          { value: 'all', label: 'all' },
          { value: 'any', label: 'any one' },
        ]),
        pick('hand', 'By hand', 'no', [
          { value: 'no', label: 'no' },
          { value: 'yes', label: 'there is a way' },
        ]),
      ],
      [
        { name: 'bilge pump', on: 'main fuse', hand: 'yes' },
        { name: 'lights', on: 'main fuse', hand: 'yes' },
        { name: 'radio', on: 'nav panel', hand: 'yes' },
        { name: 'depth', on: 'nav panel', hand: 'no' },
        { name: 'start', on: 'link switch', hand: 'no' },
      ],
      { most: 30 },
    ),
  ],
  wantedBy: [{ recipe: 'electrical-system', steps: ['schematic', 'schematicHired'], fill: {} }],
  work: ({ sources, things }) => {
    const namesOf = (said: string): string[] =>
      said
        .split(',')
        .map((one) => one.trim().toLowerCase())
        .filter(Boolean)
    const byName = new Map(sources.map((one) => [one.name.trim().toLowerCase(), one]))
    const unknown = [...sources, ...things].flatMap((one) =>
      namesOf(one.on).filter((name) => !byName.has(name)),
    )
    const stands = (name: string, gone: string, seen: ReadonlySet<string>): boolean => {
      if (name === gone || seen.has(name)) return false
      const one = byName.get(name)
      if (!one) return true
      const on = namesOf(one.on)
      const next = new Set([...seen, name])
      return (
        on.length === 0 ||
        (one.way === 'any'
          ? on.some((each) => stands(each, gone, next))
          : on.every((each) => stands(each, gone, next)))
      )
    }
    const works = (thing: (typeof things)[number], gone: string): 'works' | 'hand' | 'dead' => {
      const on = namesOf(thing.on)
      const up =
        on.length === 0 ||
        (thing.way === 'any'
          ? on.some((each) => stands(each, gone, new Set()))
          : on.every((each) => stands(each, gone, new Set())))
      return up ? 'works' : thing.hand === 'yes' ? 'hand' : 'dead'
    }
    const grid = sources.map((one) => ({
      one,
      row: things.map((thing) => works(thing, one.name.trim().toLowerCase())),
    }))
    const worst = [...grid].sort(
      (a, b) => b.row.filter((x) => x === 'dead').length - a.row.filter((x) => x === 'dead').length,
    )[0] as (typeof grid)[number]
    const deadMost = worst.row.filter((x) => x === 'dead').length
    const stepX = 62
    const stepY = 30
    const shapes: Shape[] = things.map((thing, at): Shape =>
      text([at * stepX, 0], thing.name, {
        anchor: 'middle',
        down: at % 2 === 0 ? -1.4 : -0.5,
        size: 'small',
      }),
    )
    const lamp = (x: number, y: number, state: 'works' | 'hand' | 'dead'): DrawnShape[] => [
      {
        is: 'round',
        at: [x, y],
        radius: 9,
        fill: state === 'works' ? 'brass' : state === 'hand' ? 'stock' : 'paper',
        edge: state === 'dead' ? 'red' : 'ink',
      },
      ...(state === 'works'
        ? [
            path(
              [
                [x - 4, y],
                [x - 1, y + 4],
                [x + 5, y - 4],
              ],
              { thick: true },
            ),
          ]
        : []),
      ...(state === 'hand'
        ? [
            path(
              [
                [x - 9, y],
                [x + 9, y],
              ],
              {},
            ),
          ]
        : []),
      ...(state === 'dead'
        ? [
            path(
              [
                [x - 6, y + 6],
                [x + 6, y - 6],
              ],
              { edge: 'red', thick: true },
            ),
          ]
        : []),
    ]
    grid.forEach(({ one, row }, at) => {
      const y = (at + 1) * stepY
      shapes.push(text([-30, y], one.name, { anchor: 'end' }))
      row.forEach((state, column) => shapes.push(...lamp(column * stepX, y, state)))
    })
    const word = { works: 'works', hand: 'by hand', dead: 'dead' }
    return accepted({
      says: deadMost === 0 ? 'nothing is lost for good' : `${worst.one.name}: ${deadMost} dead`,
      heading:
        unknown.length > 0
          ? `nobody says what “${unknown[0]}” is`
          : deadMost === 0
            ? 'whatever fails, each thing works or can be done by hand'
            : `${worst.one.name} is the worst to lose: ${things
                .filter((_, at) => worst.row[at] === 'dead')
                .map((one) => one.name)
                .join(', ')} dead`,
      verdict: unknown.length > 0 || deadMost > 0 ? 'look' : 'go',
      figures: [],
      table: {
        caption: 'If it fails',
        head: ['Without', ...things.map((one) => one.name)],
        rows: grid.map(({ one, row }) => [one.name, ...row.map((state) => word[state])]),
      },
      checks:
        unknown.length > 0
          ? [...new Set(unknown)].map((name) => ({
              text: `“${name}” stands nowhere`,
              detail: 'it is taken as always there: write it among the sources',
              state: 'look' as const,
            }))
          : undefined,
      working: [
        'Each source is taken away by itself; what hangs on it falls, and what hangs on that.',
      ],
      distrust: ['Two things that fail together (water in a locker, one strike) are not in it.'],
      cautions: ['What people’s lives hang on has a second way that needs no current.'],
      drawing: {
        shapes,
        said: grid
          .map(
            ({ one, row }) =>
              `Without ${one.name}: ${row.filter((x) => x === 'works').length} of ${row.length} work.`,
          )
          .join(' '),
      },
      puts: [
        {
          is: 'asBuilt',
          key: 'fails',
          kind: 'note',
          what: 'If one thing fails',
          value: grid
            .map(
              ({ one, row }) =>
                `${one.name}: ${
                  things
                    .filter((_, at) => row[at] === 'dead')
                    .map((each) => each.name)
                    .join(', ') || 'none'
                } dead`,
            )
            .join('; ')
            .slice(0, 300),
        },
      ],
    })
  },
})

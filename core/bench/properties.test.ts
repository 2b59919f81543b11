/** What holds of sums whatever is typed: units come back, and more of one thing never gives less of another. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { editableQuantity, parseQuantity } from '../units/quantity'
import type { Ask, Cell, Scalar, Value, Values } from './ask'
import { initialValues, newLine } from './check'
import { plainTools } from './sum'
import { sumOf, sums } from './sums'
import { workSum } from './workSum'

const cells: Cell[] = sums.flatMap((sum) =>
  sum.asks.flatMap((ask): readonly Cell[] => (ask.is === 'lines' ? ask.of : [ask])),
)
type Numeric = Extract<Cell, { is: 'amount' | 'maybe' }>
/** Every unit that a sum asks in, with the widest range of it. */
const asked = [
  ...new Map(
    cells
      .filter((cell): cell is Numeric => cell.is === 'amount' || cell.is === 'maybe')
      .filter((cell) => cell.unit !== 'money' && cell.unit !== 'clock' && cell.unit !== '')
      .map((cell) => [`${cell.unit} ${cell.min}–${cell.max}`, cell] as const),
  ).values(),
]

describe('a figure shown in another unit', () => {
  it.each(['metric', 'us', 'mixed'] as const)('is the same when it is read back, %s', (units) =>
    fc.assert(
      fc.property(
        fc.constantFrom(...asked),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (cell, share) => {
          const value = Number((cell.min + (cell.max - cell.min) * share ** 3).toFixed(6))
          const text = editableQuantity(value, cell.unit, units)
          const read = parseQuantity(text, cell.unit, units, cell.min < 0)
          expect(read.ok, `${text} ${cell.unit}`).toBe(true)
          // Typed fields round: a hundredth of it, or the smallest step that is shown.
          if (read.ok)
            expect(Math.abs(read.value - value)).toBeLessThan(0.01 * Math.abs(value) + 0.6)
        },
      ),
      { numRuns: 300 },
    ),
  )
})

/** Sum, field, figure: more in the field is never less in the figure (−1: never more). */
const grows: readonly (readonly [sum: string, field: string, figure: string, way: 1 | -1])[] = [
  ['pots-and-cups', 'deckC', 'The first goes off after', -1],
  ['mix-by-weight', 'mass', 'Resin', 1],
  ['catalyst', 'mass', 'By weight', 1],
  ['plies-to-a-level', 'level', 'Plies', 1],
  ['plies-to-a-level', 'cloth', 'Plies', -1],
  ['patch-and-taper', 'thick', 'Taper all round', 1],
  ['patch-and-taper', 'long', 'Cloth', 1],
  ['tabbing-and-fillet', 'fillet', 'Filler', 1],
  ['tabbing-and-fillet', 'lengthM', 'Cloth', 1],
  ['coats-and-tins', 'areaM2', 'In all', 1],
  ['coats-and-tins', 'solids', 'Covers', 1],
  ['antifoul-area', 'lwl', 'Under water', 1],
  ['dew-now', 'humidity', 'Dew point', 1],
  ['foam-and-vents', 'growth', 'Liquid', -1],
  ['bolt-in-a-stack', 'washers', 'Wanted at least', 1],
  ['sleeved-holes', 'undercut', 'Thick mix', 1],
  ['load-and-plate', 'lever', 'Pull on a bolt', 1],
  ['load-and-plate', 'spread', 'Pull on a bolt', -1],
  ['spans-and-posts', 'long', 'Posts', 1],
  ['spans-and-posts', 'longest', 'Posts', -1],
  ['bend-and-bracket', 'one', 'Flat', 1],
  ['bend-marks', 'lap', 'Cut', 1],
  ['hole-edge-and-passing', 'hole', 'Near edge', -1],
  ['from-a-roll', 'trim', 'No plan is shorter than', 1],
  ['loads-to-bank', 'days', 'Bank for all of it', 1],
  ['loads-to-bank', 'sun', 'The sun gives', 1],
  ['inverter', 'run', 'Draws, as said', 1],
  ['volts-read', 'rest', 'Charge', 1],
  ['deadrise', 'rise', 'Deadrise', 1],
  ['shaft-line', 'drop', 'Angle', 1],
  ['wear', 'now', 'Gone', 1],
  ['lift-split', 'centre', 'Aft sling', 1],
  ['glue-for-a-joint', 'gap', 'Mix in all', 1],
  ['scarf-and-sister', 'thick', 'Scarf', 1],
  ['will-it-bend', 'height', 'Radius', -1],
  ['stiffeners', 'load', 'Sag with one', 1],
  ['as-stiff-as', 'thick', 'As stiff at', 1],
]

/** The first number of a figure, in small units; null: the sum refuses these figures, or does not say it. */
function figureOf(key: string, values: Values, label: string): number | null {
  const sum = sumOf(key)
  if (!sum) throw new Error(`no sum ${key}`)
  const worked = workSum(sum, values, plainTools('metric'))
  const said = worked.ok
    ? worked.value.figures.find((one) => one.label === label)?.value
    : undefined
  const [, number, unit = ''] = /(-?[\d.]+)\s*([a-z]*)/i.exec(said ?? '') ?? []
  if (number === undefined) return null
  const small = { m: 1000, kg: 1000, L: 1000, h: 60, t: 1000 }[unit] ?? 1
  return Number(number) * small
}

describe('more of one', () => {
  it.each(grows)('%s: %s against “%s”', (key, field, label, way) => {
    const sum = sumOf(key)
    const ask = sum?.asks.find((one) => one.key === field)
    if (!sum || (ask?.is !== 'amount' && ask?.is !== 'maybe')) throw new Error(`${key}: ${field}`)
    const first = initialValues(sum.asks)
    const from = Number(ask.initial ?? ask.min)
    let seen = 0
    fc.assert(
      fc.property(
        fc.double({ min: 0.4, max: 2.5, noNaN: true }),
        fc.double({ min: 0.4, max: 2.5, noNaN: true }),
        (a, b) => {
          const [low, high] = [Math.min(a, b), Math.max(a, b)].map((one) => {
            const value = Math.min(ask.max, Math.max(ask.min, (from || 1) * one))
            return figureOf(
              key,
              { ...first, [field]: ask.whole ? Math.round(value) : value },
              label,
            )
          })
          if (low == null || high == null) return
          seen += 1
          expect((high - low) * way).toBeGreaterThanOrEqual(-0.011 * Math.abs(low))
        },
      ),
      { numRuns: 40 },
    )
    expect(seen).toBeGreaterThan(5)
  })
})

/** A field at the ends of its range, as it begins, anywhere between, or at the figure of another field. */
function anyCell(cell: Cell): fc.Arbitrary<Scalar> {
  if (cell.is === 'pick') return fc.constantFrom(...cell.options.map((one) => one.value))
  if (cell.is !== 'amount' && cell.is !== 'maybe')
    return fc.constant(newLine([cell])[cell.key] ?? '')
  const shared = [1, 2, 10, 50, 100, 500, 1000].filter((one) => one >= cell.min && one <= cell.max)
  return fc
    .oneof(
      fc.constantFrom(cell.min, cell.max, cell.initial ?? cell.min, ...shared),
      fc.double({ min: cell.min, max: cell.max, noNaN: true }),
    )
    .map((value) => (cell.whole ? Math.round(value) : Number(value.toFixed(4))))
}
const anyOf = (cells: readonly Cell[]) =>
  fc.record(Object.fromEntries(cells.map((cell) => [cell.key, anyCell(cell)])))
/** Every field as it begins, some of them otherwise. */
const anyValues = (asks: readonly Ask[]): fc.Arbitrary<Values> =>
  fc
    .subarray([...asks])
    .chain((some) =>
      fc.record<Values>(
        Object.fromEntries(
          some.map((ask): [string, fc.Arbitrary<Value>] => [
            ask.key,
            ask.is === 'lines' ? fc.array(anyOf(ask.of), { maxLength: 3 }) : anyCell(ask),
          ]),
        ),
      ),
    )
    .map((some) => ({ ...initialValues(asks), ...some }))

/** Numbers that are none, and words with such in them. */
function brokenIn(value: unknown): unknown[] {
  if (typeof value === 'number') return Number.isFinite(value) ? [] : [value]
  if (typeof value === 'string') return /NaN|Infinity|undefined|\[object/.test(value) ? [value] : []
  return typeof value === 'object' && value !== null ? Object.values(value).flatMap(brokenIn) : []
}

describe('figures at the ends of what a field takes, or like one another', () => {
  it.each(sums.filter((sum) => !sum.isSearch).map((sum) => [sum.key, sum] as const))(
    'give %s an answer or a sentence',
    (_, sum) =>
      fc.assert(
        fc.property(anyValues(sum.asks), (values) => {
          expect(brokenIn(workSum(sum, values, plainTools('metric')))).toEqual([])
        }),
        { numRuns: 60 },
      ),
  )
})

/** Whether what is typed can be worked with; if not, a sentence at each field that cannot. */
import type { FieldProblem } from '../model/changes'
import { counted } from '../units/counted'
import type { UnitSystem } from '../units/length'
import { formatQuantity } from '../units/quantity'
import type { Ask, Cell, LineValues, Scalar, Values } from './ask'

/** What a sum begins with. */
export function initialValues(asks: readonly Ask[]): Record<string, Values[string]> {
  return Object.fromEntries(
    asks.map((ask) => [
      ask.key,
      ask.is === 'lines' ? ask.initial.map((line) => newLine(ask.of, line)) : ask.initial,
    ]),
  )
}

/** A line with all of its cells: what is given, the initial value for the rest. */
export const newLine = (of: readonly Cell[], given: LineValues = {}): Record<string, Scalar> =>
  Object.fromEntries(of.map((cell) => [cell.key, given[cell.key] ?? cell.initial]))

const isScalar = (value: unknown): value is Scalar =>
  value === null || typeof value === 'string' || typeof value === 'number'
const isObject = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/**
 * Of anything that came from outside (an address, a file) what has the shape of a sum's fields: lists where it asks for lists,
 * numbers and words where it asks for those, a choice as the word it is kept by. The rest is left out; ranges are another matter.
 */
export function fittingValues(
  asks: readonly Ask[],
  given: unknown,
): Record<string, Values[string]> {
  const fitting: Record<string, Values[string]> = {}
  if (!isObject(given)) return fitting
  const cellOf = (cell: Cell, value: unknown): Scalar | undefined => {
    if (!isScalar(value)) return undefined
    if (cell.is === 'pick' || cell.is === 'words')
      return typeof value === 'number' ? String(value) : value
    return typeof value === 'number' || value === null ? value : undefined
  }
  for (const ask of asks) {
    const value = given[ask.key]
    if (ask.is !== 'lines') {
      const fit = cellOf(ask, value)
      if (fit !== undefined) fitting[ask.key] = fit
    } else if (Array.isArray(value))
      fitting[ask.key] = value.filter(isObject).map((line) => {
        const cells = ask.of.map((cell) => [cell.key, cellOf(cell, line[cell.key])] as const)
        return newLine(
          ask.of,
          Object.fromEntries(cells.filter((one): one is [string, Scalar] => one[1] !== undefined)),
        )
      })
  }
  return fitting
}

function cellProblem(cell: Cell, value: Scalar | undefined, units: UnitSystem): string | null {
  const { label } = cell
  if (cell.is === 'words') {
    if (typeof value !== 'string') return `${label} is missing.`
    return value.length > cell.most ? `${label}: at most ${cell.most} characters.` : null
  }
  if (cell.is === 'pick')
    return cell.options.some((one) => one.value === value) ? null : `${label}: choose one.`
  if (value === null || value === undefined)
    return cell.is === 'maybe' ? null : `${label} is missing.`
  if (typeof value !== 'number' || !Number.isFinite(value)) return `${label} is not a number.`
  if ((cell.unit === 'money' || cell.unit === 'clock') && (value < cell.min || value > cell.max))
    return `${label} cannot be that.`
  const say = (one: number) => formatQuantity(one, cell.unit, units)
  if (value < cell.min || value > cell.max)
    return `${label} must be ${say(cell.min)} to ${say(cell.max)}; ${say(value)} is not.`
  if (cell.whole && !Number.isInteger(value)) return `${label} is counted: a whole number.`
  return null
}

/** Everything that keeps a sum from being worked, field by field: 'depth', 'layers.2.mm'. */
export function problemsIn(
  asks: readonly Ask[],
  values: Values,
  units: UnitSystem,
): FieldProblem[] {
  return asks.flatMap((ask): FieldProblem[] => {
    const value = values[ask.key]
    if (ask.is !== 'lines') {
      const message = cellProblem(ask, value as Scalar | undefined, units)
      return message === null ? [] : [{ field: ask.key, message }]
    }
    if (!Array.isArray(value)) return [{ field: ask.key, message: `${ask.label} is missing.` }]
    const list = value as readonly LineValues[]
    const least = ask.least ?? 1
    if (list.length < least || list.length > ask.most)
      return [
        {
          field: ask.key,
          message:
            list.length < least
              ? `${ask.label}: at least ${counted(least, ask.one)}.`
              : `${ask.label}: at most ${counted(ask.most, ask.one)}.`,
        },
      ]
    return list.flatMap((line, index) =>
      ask.of.flatMap((cell): FieldProblem[] => {
        const message = cellProblem(cell, line[cell.key], units)
        return message === null
          ? []
          : [{ field: `${ask.key}.${index}.${cell.key}`, message: `${message}` }]
      }),
    )
  })
}

/** Whether a field is asked for with these choices. */
export function isAsked(ask: Ask, values: Values): boolean {
  const only = 'onlyIf' in ask ? ask.onlyIf : undefined
  if (!only) return true
  const [key, ...wanted] = only
  return wanted.includes(String(values[key]))
}

/** The values as a sum is worked: what is not asked for stands at its beginning, whatever was typed there before. */
export function askedValues(asks: readonly Ask[], values: Values): Values {
  const first = initialValues(asks)
  return Object.fromEntries(
    asks.map((ask) => [ask.key, (isAsked(ask, values) ? values[ask.key] : first[ask.key]) ?? null]),
  )
}

/** What the answer hangs on: everything that is only guessed, taken thin and thick. */
import type { Ask, Cell, LineValues, Value, Values } from './ask'
import type { Answer, Sum, Tools } from './sum'
import { isAsked } from './check'
import { workSum } from './workSum'

/** Paths ('hole', 'layers.2.mm') whose value somebody measured. What is not named is a guess. */
export type Known = Readonly<Record<string, true>>

interface Guess {
  readonly path: string
  readonly label: string
  readonly cell: Extract<Cell, { readonly is: 'amount' | 'maybe' }>
  readonly value: number
}
const isNumber = (cell: Cell): cell is Guess['cell'] => cell.is === 'amount' || cell.is === 'maybe'

/** Guesses that may be off, with the name of their line where they stand in a list. */
export function guessesIn(asks: readonly Ask[], values: Values, known: Known): Guess[] {
  const of = (cell: Cell, value: unknown, path: string, label: string): Guess[] =>
    isNumber(cell) &&
    cell.doubt !== undefined &&
    typeof value === 'number' &&
    value > 0 &&
    !known[path]
      ? [{ path, label, cell, value }]
      : []
  return asks.flatMap((ask) => {
    if (!isAsked(ask, values)) return []
    if (ask.is !== 'lines') return of(ask, values[ask.key], ask.key, ask.label)
    const list = (values[ask.key] ?? []) as readonly LineValues[]
    return list.flatMap((line, index) => {
      const name = ask.of.find((cell) => cell.is === 'words')
      const said = name ? String(line[name.key] ?? '') : ''
      return ask.of.flatMap((cell) =>
        of(
          cell,
          line[cell.key],
          `${ask.key}.${index}.${cell.key}`,
          said || `${ask.one} ${index + 1}`,
        ),
      )
    })
  })
}

function withValue(values: Values, path: string, value: number): Values {
  const [key = '', index, cell] = path.split('.')
  if (index === undefined || cell === undefined) return { ...values, [key]: value }
  const list = [...((values[key] ?? []) as readonly LineValues[])]
  list[Number(index)] = { ...list[Number(index)], [cell]: value }
  return { ...values, [key]: list as Value }
}

const moved = ({ cell, value }: Guess, by: -1 | 1): number => {
  const to = value * (1 + by * (cell.doubt ?? 0))
  const inside = Math.min(cell.max, Math.max(cell.min, to))
  return cell.whole ? Math.round(inside) : inside
}

export interface Doubt {
  /** The same whatever the guesses are. */
  readonly holds: boolean
  /** With every guess thin, and thick; null: that cannot be worked at all. */
  readonly thin: string | null
  readonly thick: string | null
  /** Names of the guesses that change it by themselves; measure these. */
  readonly decides: readonly string[]
}

/** More than these are not tried one by one. */
const mostTried = 24

/** How far an answer hangs on what is guessed; null: nothing that may be off is guessed, or it is a search. */
export function doubtOf(
  sum: Sum,
  values: Values,
  known: Known,
  tools: Tools,
  answer: Answer,
): Doubt | null {
  const guesses = guessesIn(sum.asks, values, known)
  if (sum.isSearch || guesses.length === 0) return null
  const taken = (one: Answer): string => one.takes ?? one.says
  const work = (changed: Values): string | null => {
    const worked = workSum(sum, changed, tools)
    return worked.ok ? taken(worked.value) : null
  }
  const all = (by: -1 | 1): string | null =>
    work(guesses.reduce<Values>((to, one) => withValue(to, one.path, moved(one, by)), values))
  const base = taken(answer)
  const decides = guesses
    .slice(0, mostTried)
    .filter((one) =>
      ([-1, 1] as const).some((by) => work(withValue(values, one.path, moved(one, by))) !== base),
    )
    .map((one) => one.label)
  const [thin, thick] = [all(-1), all(1)]
  return {
    holds: thin === base && thick === base && decides.length === 0,
    thin,
    thick,
    decides: [...new Set(decides)],
  }
}

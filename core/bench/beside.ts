/** Sums about the same thing, beside one another: what they share is asked once. */
import type { RefitRows } from '../model/refit'
import type { Value, Values } from './ask'
import { fittingValues, initialValues } from './check'
import type { Known } from './doubt'
import type { Answer, Sum, Tools } from './sum'
import { sumOf } from './sums'
import { isSaid, keptFor } from './wanted'
import type { Want } from './wanted'
import { workSum } from './workSum'

/**
 * How another sum stands for the job:
 * - kept: kept with the figures that stand here; changed: kept with others, shown with these;
 * - fresh: not kept, but what is said here and by the job is enough for it;
 * - open: nobody has said what it needs.
 */
type BesideState = 'kept' | 'changed' | 'fresh' | 'open'

export interface BesideSum {
  readonly sum: Sum
  readonly state: BesideState
  /** Its figures with those of this page in them. */
  readonly values: Values
  /** Keys of the figures that this page gave. */
  readonly given: readonly string[]
  readonly known: Known
  /** Null while it is open, or cannot be worked: `wrong` says why. */
  readonly answer: Answer | null
  readonly wrong: string
}

const isSame = (one: Value | undefined, other: Value | undefined): boolean =>
  JSON.stringify(one ?? null) === JSON.stringify(other ?? null)

/**
 * The sums beside one, each worked with its figures. `wants`: what the job asks for. Precondition: `problemsIn` finds nothing wrong
 * with `values`.
 */
export function besideSums(
  sum: Sum,
  values: Values,
  rows: Pick<RefitRows, 'keptSum'>,
  { jobId, wants, tools }: { jobId: string; wants: readonly Want[]; tools: Tools },
): BesideSum[] {
  return (sum.beside?.(values) ?? []).flatMap((beside): BesideSum[] => {
    const other = sumOf(beside.sum)
    if (!other) return []
    const kept = jobId === '' ? null : keptFor(rows, other.key, jobId)
    const want = wants.find((one) => one.sum.key === other.key) ?? null
    const said = want && isSaid(want) ? want : null
    const own: Values = kept
      ? { ...initialValues(other.asks), ...fittingValues(other.asks, kept.inputs) }
      : { ...initialValues(other.asks), ...beside.begins, ...said?.values }
    const mine: Values = { ...own, ...beside.gives }
    const isChanged = Object.keys(beside.gives).some((key) => !isSame(own[key], mine[key]))
    const state: BesideState = kept
      ? isChanged
        ? 'changed'
        : 'kept'
      : said || beside.isEnough
        ? 'fresh'
        : 'open'
    const worked = state === 'open' ? null : workSum(other, mine, tools)
    return [
      {
        sum: other,
        state,
        values: mine,
        given: Object.keys({ ...(kept ? {} : beside.begins), ...beside.gives }),
        known: kept?.known ?? said?.known ?? {},
        answer: worked?.ok ? worked.value : null,
        wrong: worked && !worked.ok ? worked.message : '',
      },
    ]
  })
}

/** Sharing out what was paid. */
import { accepted, refused } from '../result'
import type { Result } from '../result'
import { formatMoney, splitMoney } from './money'

export interface ShareDraft {
  readonly jobId: string | null
  readonly systemId: string | null
  /** Null: what is left over. */
  readonly minor: number | null
}

/** Shares as they are kept: those without a sum take evenly what the others leave. Refused when they cannot add up. */
export function sharesOf(
  total: number,
  drafts: readonly ShareDraft[],
  currency: string,
): Result<(ShareDraft & { readonly minor: number })[]> {
  const typed = drafts.reduce((sum, one) => sum + (one.minor ?? 0), 0)
  const open = drafts.filter((one) => one.minor === null).length
  const left = total - typed
  if (open === 0 && left !== 0 && drafts.length > 0)
    return refused(
      left > 0
        ? `The shares leave ${formatMoney(left, currency)} over. Give it to one of them.`
        : `The shares come to ${formatMoney(-left, currency)} more than was paid.`,
    )
  if (open > 0 && left < open)
    return refused('The shares with a sum take all of it: nothing is left for the others.')
  const rest =
    open === 0
      ? []
      : splitMoney(
          left,
          Array.from({ length: open }, () => 1),
        )
  let at = 0
  return accepted(drafts.map((one) => ({ ...one, minor: one.minor ?? (rest[at++] as number) })))
}

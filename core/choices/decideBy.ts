/** By when a decision has to be taken: the latest moment of each option, as the critical path has it with that option in. */
import type { InParts } from '../inParts'
import { supposing } from '../model/applyChange'
import type { RefitRows } from '../model/refit'
import { prepare } from '../plan/prepare'
import { dateOf } from '../time/civil'
import { zoneClock } from '../time/zone'
import { chosen, optionsOf } from './choose'

/** Decide-by dates of one open decision. */
export interface DecideBy {
  readonly decisionId: string
  /** Civil date by which all its options are still open; null: no gate waits for any of them. */
  readonly by: string | null
  readonly options: readonly {
    readonly optionId: string
    /** Civil date after which this one makes a gate late; null: no gate waits for it. */
    readonly by: string | null
  }[]
}

/**
 * For every open decision that has options: latest start of what each option begins with, its lead and work reckoned,
 * less the days to spare. Source: handbook-2 E1. Can be left after each option. `now`: UTC ms.
 */
export function* decideByDates(rows: RefitRows, now: number): InParts<readonly DecideBy[]> {
  const clock = zoneClock(rows.refit[0]?.zone ?? 'UTC')
  const today = clock.dateOf(now)
  const open = rows.decision.filter((one) => one.decidedOn === null)
  const found: DecideBy[] = []
  for (const [index, decision] of open.entries()) {
    yield index / open.length
    const options: { optionId: string; by: string | null }[] = []
    for (const option of optionsOf(rows, decision.id)) {
      let ids = 0
      const draft = chosen(rows, decision, option, today, '', () => `draft ${ids++}`)
      const { bounds } = prepare(supposing(rows, draft.items), now)
      const due = draft.firstStepId === null ? undefined : bounds.get(draft.firstStepId)?.dueStart
      const by =
        due === undefined || !Number.isFinite(due)
          ? null
          : dateOf(clock.dayOf(due) - decision.safetyDays)
      options.push({ optionId: option.id, by })
      yield (index + 0.5) / open.length
    }
    const dates = options.flatMap((one) => one.by ?? [])
    found.push({
      decisionId: decision.id,
      by: dates.length > 0 ? dates.reduce((a, b) => (a < b ? a : b)) : null,
      options,
    })
  }
  return found
}

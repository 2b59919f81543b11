/** What a change would do: the refit as it is and as it would be, laid at the same time by the same method:
 * in the accepted sequence, or by a rule where that is enough better. */
import { asShare } from '../inParts'
import type { InParts } from '../inParts'
import { supposing } from '../model/applyChange'
import type { ChangeItem } from '../model/changes'
import type { Gate } from '../model/entities'
import type { StoredPlan } from '../model/stored'
import type { RefitRows } from '../model/refit'
import { zoneClock } from '../time/zone'
import type { ZoneClock } from '../time/zone'
import { effectSentence, gateEffects } from './effect'
import type { GatesOf } from './effect'
import { finishPlan } from './finishPlan'
import type { Planned } from './finishPlan'
import { explained, firstPass, quickPasses } from './makePlan'
import type { Laid } from './makePlan'
import { movedBetween } from './moved'
import type { Moved } from './moved'
import { isOpen } from './planned'
import { prepare } from './prepare'
import type { Prepared } from './prepare'

/** What of two plans is compared. */
export interface WhatIf {
  readonly before: GatesOf
  readonly after: GatesOf
  readonly moved: Moved
  /** Steps of today that would no longer be done today. */
  readonly pushed: readonly Pushed[]
  /** What would be worked on today. */
  readonly today: readonly DoneToday[]
}

/** A step worked on today. */
export interface DoneToday {
  readonly stepId: string
  /** When it is begun or gone on with today, UTC ms. */
  readonly from: number
  readonly personIds: readonly string[]
}

/** A step that is put off from today. */
export interface Pushed {
  readonly stepId: string
  /** When it would begin instead, UTC ms; null: it has no place any more. */
  readonly to: number | null
}

/** Open steps above which fewer rules are tried: a question is answered while it is still of interest. */
const mostRuled = 600

const gatesOf = ({ gates, reasons }: StoredPlan): GatesOf => ({ gates, reasons })

interface Side {
  readonly prepared: Prepared
  readonly laid: Laid
}

/** A refit about which questions are asked one after the other. It is laid as it is once, for the first of them. */
export class Asking {
  private known: StoredPlan | null = null
  private readonly clock: ZoneClock
  private readonly isLarge: boolean

  constructor(
    private readonly rows: RefitRows,
    private readonly now: number,
    private readonly accepted: StoredPlan | null,
  ) {
    this.clock = zoneClock(rows.refit[0]?.zone ?? 'UTC')
    this.isLarge = rows.step.filter(isOpen).length > mostRuled
  }

  /** What changes would do. */
  *whatIf(items: readonly ChangeItem[]): InParts<WhatIf> {
    const before = this.known ?? this.finished(yield* this.lay(this.rows, 0, 0.5))
    this.known = before
    const after = this.finished(yield* this.lay(supposing(this.rows, items), 0.5, 1))
    const moved = movedBetween(before, after, this.clock)
    return {
      before: gatesOf(before),
      after: gatesOf(after),
      moved,
      pushed: this.pushed(moved),
      today: this.today(after),
    }
  }

  /** The plan with changes, its reasons not asked for. */
  *laidWith(items: readonly ChangeItem[]): InParts<StoredPlan> {
    return this.finished(yield* this.lay(supposing(this.rows, items), 0, 1))
  }

  /** The very plan that `whatIf` speaks of, with its reasons, to be accepted together with the changes. */
  *planWith(items: readonly ChangeItem[]): InParts<Planned> {
    const { prepared, laid } = yield* this.lay(supposing(this.rows, items), 0, 0.6)
    yield 0.6
    return explained(prepared, laid)
  }

  private finished = ({ prepared, laid }: Side): StoredPlan => finishPlan(prepared, laid.pass).plan;

  private *lay(rows: RefitRows, from: number, to: number): InParts<Side> {
    const share = (part: number) => from + (to - from) * part
    yield share(0)
    const prepared = prepare(rows, this.now)
    yield share(0.3)
    if (!this.isLarge) return { prepared, laid: firstPass(prepared, this.accepted) }
    const passes = quickPasses(prepared, this.accepted)
    return { prepared, laid: yield* asShare(passes, share(0.3), to) }
  }

  private today({ placements }: StoredPlan): DoneToday[] {
    const today = this.clock.dayOf(this.now)
    return placements.flatMap(({ stepId, segments, personIds }) => {
      const own = segments.find(([from]) => this.clock.dayOf(from) === today)
      return own && personIds.length > 0 ? [{ stepId, from: own[0], personIds }] : []
    })
  }

  private pushed({ steps }: Moved): Pushed[] {
    const today = this.clock.dayOf(this.now)
    return steps.flatMap(({ stepId, from, to }) =>
      from !== null && this.clock.dayOf(from) === today ? [{ stepId, to }] : [],
    )
  }
}

/** What a change leaves without a place that had one, or was not there; '': nothing. */
export function sayLeftOut({ before, after }: Pick<WhatIf, 'before' | 'after'>): string {
  const known = new Set(before.reasons.map((reason) => reason.message))
  const fresh = after.reasons.filter((reason) => !known.has(reason.message))
  const [first] = fresh
  if (!first) return ''
  const more = fresh.length > 1 ? ` And ${fresh.length - 1} more.` : ''
  return `Not all of it can be planned: ${first.message}${more}`
}

/** What a change does to every gate, and what it makes impossible. */
export function sayWhatIf(
  what: Pick<WhatIf, 'before' | 'after'>,
  gates: readonly Gate[],
  clock: ZoneClock,
): string {
  const effects = effectSentence(gateEffects(gates, what.before, what.after, clock))
  return [sayLeftOut(what), effects].filter(Boolean).join(' ')
}

import { patchOf } from '#core/model/removal'
import type { BuyRow } from '#core/stores/board'
import type { StoreFacts } from '#core/stores/storeFacts'
import { dateOf } from '#core/time/civil'
import type { Proposal } from './useProposal'

/** What mends a window that shuts before it opens: the step that fixes the size, done on an earlier day. */
export function useMeasureEarlier() {
  const { sayDay } = useDates()
  /** On the day nearest to today on which somebody is there; null: nothing is to be mended so. */
  return ({ clock, today, tripBefore }: StoreFacts, row: BuyRow): Proposal | null => {
    if (row.window.state !== 'shutsFirst' || row.kind !== 'buy') return null
    const fixes = row.wants.find((one) => one.fixes && one.window.opensOn !== null)?.fixes
    if (!fixes || fixes.state !== 'open') return null
    // The last trip before the window shuts; today where it is shut already.
    const by = Math.max(today, row.window.closesOn ?? today)
    const on = dateOf(Math.max(today, tripBefore(clock.at(by, 18 * 60))))
    return {
      label: `“${fixes.title}” on ${sayDay(on)}`,
      does: `It is pinned to ${sayDay(on)}: then the size of ${row.pool.name} is sure, and it can be bought in time. What has to be done before it must be done by then as well.`,
      items: [patchOf('step', fixes, { pinnedOn: on })],
    }
  }
}

import { computed } from 'vue'
import type { Row } from '#core/model/entities'
import type { OutOfOrder } from '#core/order/rule'

/** What is out of order and somebody lets be, with the reason; it comes back when something it rests on changes. */
export function useOrderKept() {
  const store = useRefitStore()
  const time = useTimeStore()
  const kept = computed(() => new Map(store.rows.orderKept.map((one) => [one.evidence, one])))
  const letBe = (found: OutOfOrder, because: string): Promise<boolean> =>
    store.attempt('Left as it is', [
      {
        op: 'create',
        entity: 'orderKept',
        id: newId(),
        patch: {
          rule: found.rule,
          evidence: found.evidence,
          because,
          at: Math.round(time.now),
        },
      },
    ])
  async function lookAgain(row: Row<'orderKept'>): Promise<void> {
    await store.attempt('Looked at again', [
      { op: 'delete', entity: 'orderKept', id: row.id, baseVersion: row.version },
    ])
  }
  return { kept, letBe, lookAgain }
}

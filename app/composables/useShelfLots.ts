import { computed } from 'vue'
import type { ShelfLot } from '#core/bench/sum'

/** Pieces left over on the shelf whose size is known. */
export function useShelfLots() {
  const store = useRefitStore()
  return computed((): ShelfLot[] =>
    store.rows.stock.flatMap((one) =>
      one.isOffcut && one.quantity > 0 && one.longMm !== null
        ? [
            {
              id: one.id,
              name: one.name,
              longMm: one.longMm,
              wideMm: one.wideMm,
              where: one.bin,
            },
          ]
        : [],
    ),
  )
}

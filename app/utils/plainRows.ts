import { toRaw } from 'vue'
import type { RefitRows } from '#core/model/refit'

const none: readonly never[] = []

/** Rows as they cross to a worker: what was worked out from them is no input, and large. */
export const plainRows = (rows: RefitRows): RefitRows => ({
  ...toRaw(rows),
  plan: none,
  odds: none,
  weekSnapshot: none,
})

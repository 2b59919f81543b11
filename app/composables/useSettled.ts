import { onScopeDispose, watch } from 'vue'
import type { WatchSource } from 'vue'

export interface Settling {
  /** So long it has to stand still, ms. */
  readonly ms: number
  /** Also done for what stands there at first. */
  readonly immediate?: boolean
}

/** Does something once what is watched has stood still; never after the view that asked for it was left. */
export function watchSettled(
  watched: WatchSource | readonly WatchSource[],
  work: () => unknown,
  { ms, immediate = false }: Settling,
): void {
  let timer: ReturnType<typeof setTimeout> | undefined
  const soon = () => {
    clearTimeout(timer)
    timer = setTimeout(work, ms)
  }
  watch(watched as WatchSource[], soon, { immediate })
  onScopeDispose(() => clearTimeout(timer))
}

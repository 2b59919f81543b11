import { onMounted, onScopeDispose, readonly, ref } from 'vue'
import type { Ref } from 'vue'

/** Views that were opened since the page was loaded. */
const opened = new Set<string>()

/**
 * False until what a view shows first is on the screen, for what may come a moment later at its foot. A view opened
 * again is whole at once: what was drawn before is quick, and the place scrolled to must be there.
 */
export function usePainted(view: string): Readonly<Ref<boolean>> {
  const isPainted = ref(opened.has(view))
  let timer = 0
  let frame = 0
  onMounted(() => {
    opened.add(view)
    // A frame asked for here comes before the first painting, a timer set in it after.
    frame = requestAnimationFrame(() => {
      timer = window.setTimeout(() => (isPainted.value = true))
    })
  })
  onScopeDispose(() => {
    cancelAnimationFrame(frame)
    clearTimeout(timer)
  })
  return readonly(isPainted)
}

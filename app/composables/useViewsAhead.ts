import { onScopeDispose, watch } from 'vue'

/** Pages that are opened from the views, whichever row they are about. */
const pages = ['job/any', 'step/any', 'bench/any'] as const

/**
 * The code of every view, fetched one by one once the first plan stands and the page has nothing else to do: a view
 * that is pressed then waits for nothing, and opens though nobody answers.
 */
export function useViewsAhead(): void {
  const store = useRefitStore()
  const router = useRouter()
  const { views } = useViews()
  let idle = 0
  function next([first, ...others]: readonly string[]): void {
    if (first === undefined) return
    idle = requestIdleCallback(async () => {
      await preloadRouteComponents(first, router)
      next(others)
    })
  }
  watch(
    () => store.accepted !== null,
    (isPlanned, _, stopped) => {
      // Not every browser tells when it is idle; there, a view is fetched when its link is about to be pressed.
      if (!isPlanned || typeof requestIdleCallback !== 'function') return
      next([
        ...views.value.map((one) => one.to),
        ...pages.map((one) => `/r/${store.refitId}/${one}`),
      ])
      stopped(() => cancelIdleCallback(idle))
    },
    { immediate: true },
  )
  onScopeDispose(() => cancelIdleCallback(idle))
}

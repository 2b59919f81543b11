import { onScopeDispose, watch } from 'vue'

/** The view that was asked for comes first: the plan stands before it is drawn where it was kept. */
const quietMs = 3000
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
  // Not every browser tells when it is idle; there, a view is fetched when its link is about to be pressed.
  if (typeof requestIdleCallback !== 'function') return
  let idle = 0
  let timer = 0
  function next([first, ...others]: readonly string[]): void {
    if (first === undefined) return
    idle = requestIdleCallback(async () => {
      await preloadRouteComponents(first, router)
      next(others)
    })
  }
  function stop(): void {
    clearTimeout(timer)
    cancelIdleCallback(idle)
  }
  watch(
    () => store.accepted !== null,
    (isPlanned, _, stopped) => {
      if (!isPlanned) return
      timer = window.setTimeout(() => {
        next([
          ...views.value.map((one) => one.to),
          ...pages.map((one) => `/r/${store.refitId}/${one}`),
        ])
      }, quietMs)
      stopped(stop)
    },
    { immediate: true },
  )
  onScopeDispose(stop)
}

import { useEventListener } from '@vueuse/core'
import { onScopeDispose, watch } from 'vue'

/** The view that was asked for comes first: the plan stands before it is drawn where it was kept. */
const quietMs = 8000
/** Nothing is fetched ahead under somebody's hands, nor for so long afterwards. */
const restMs = 1000
/** Pages that are opened from the views, whichever row they are about. */
const pages = ['job/any', 'step/any', 'bench/any'] as const

/** What opens over the views, what charts are drawn with, and what checks what is typed. */
const parts = [
  () => import('~/components/frame/FoundPanel.vue'),
  () => import('~/components/frame/HoursPanel.vue'),
  () => import('~/components/frame/ClockPanel.vue'),
  () => import('~/components/frame/FindPanel.vue'),
  () => import('~/components/frame/KeysPanel.vue'),
  () => import('~/components/frame/MorePanel.vue'),
  () => import('~/components/frame/ClashDialog.vue'),
  () => import('~/components/charts/drawChart'),
  () => import('#shared/schemas/entitySchema'),
  () => import('#shared/schemas/recipeSchema'),
] as const

/**
 * The code of every view and panel, fetched one by one once the first plan stands and the page has nothing else to do: a view
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
  let touchedAt = -Infinity
  useEventListener(
    window,
    ['pointerdown', 'pointermove', 'pointerup', 'wheel', 'keydown'],
    (event: Event) => {
      const isHover = event.type === 'pointermove' && (event as PointerEvent).buttons === 0
      if (!isHover) touchedAt = performance.now()
    },
    { passive: true, capture: true },
  )
  function next(wanted: readonly (() => Promise<unknown>)[]): void {
    const [first, ...others] = wanted
    if (first === undefined) return
    idle = requestIdleCallback(() => {
      const rest = touchedAt + restMs - performance.now()
      if (rest > 0) {
        timer = window.setTimeout(() => next(wanted), rest)
        return
      }
      // What does not come now is fetched when it is opened, and complained of then.
      first().then(
        () => next(others),
        () => undefined,
      )
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
        const paths = [
          ...views.value.map((one) => one.to),
          ...pages.map((one) => `/r/${store.refitId}/${one}`),
        ]
        next([...paths.map((path) => () => preloadRouteComponents(path, router)), ...parts])
      }, quietMs)
      stopped(stop)
    },
    { immediate: true },
  )
  onScopeDispose(stop)
}

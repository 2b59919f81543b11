import { onScopeDispose } from 'vue'
import type { LocationQueryRaw } from 'vue-router'

/**
 * Writes into the address of the view it is used in, beside what stands there. A view that is being left, or was left
 * while an answer was on its way, writes nothing: its words would stand in the address of the next view, or call back
 * who is going there.
 */
export function useOwnAddress(): (query: LocationQueryRaw) => void {
  const router = useRouter()
  const here = router.currentRoute.value.path
  let isLeaving = false
  const isElsewhere = () => router.currentRoute.value.path !== here
  const ends = [
    router.beforeEach((to) => {
      isLeaving = to.path !== here
    }),
    // It came to nothing, or led elsewhere.
    router.afterEach(() => {
      isLeaving = isElsewhere()
    }),
    router.onError(() => {
      isLeaving = isElsewhere()
    }),
    () => {
      isLeaving = true
    },
  ]
  onScopeDispose(() => ends.forEach((end) => end()))
  return (query) => {
    if (isLeaving || isElsewhere()) return
    void goTo({ query: { ...router.currentRoute.value.query, ...query } }, { replace: true })
  }
}

/** True where the program answers. */
const isThere = (): Promise<boolean> =>
  fetch('/api/clock', { cache: 'no-store' }).then(
    (answer) => answer.ok,
    () => false,
  )

/**
 * A view whose code cannot be fetched. Where the program answers it was made anew meanwhile, and the page is read
 * again there; where nobody answers the view that is shown stays, with all that was typed, and it is said.
 */
export default defineNuxtPlugin((nuxtApp) => {
  const router = useRouter()
  const toasts = useToastStore()
  const notFetched = new WeakSet<object>()
  nuxtApp.hook('app:chunkError', ({ error }) => {
    if (typeof error === 'object' && error !== null) notFetched.add(error)
  })
  router.onError(async (error: unknown, to) => {
    if (typeof error !== 'object' || error === null || !notFetched.has(error)) return
    if (await isThere()) reloadNuxtApp({ path: to.fullPath, persistState: true })
    else
      toasts.say(
        'That view is not in this browser yet, and the program does not answer. What you typed stays here; press again once it runs.',
        true,
      )
  })
})

/** True where the program answers. */
const isThere = (): Promise<boolean> =>
  fetch('/api/clock', { cache: 'no-store' }).then(
    (answer) => answer.ok,
    () => false,
  )

const away =
  'is not in this browser yet, and the program does not answer. What you typed stays here'

/**
 * A view or a panel whose code cannot be fetched. Where the program answers it was made anew meanwhile, and the page
 * is read again at the view; where nobody answers what is shown stays, with all that was typed, and it is said.
 */
export default defineNuxtPlugin((nuxtApp) => {
  const router = useRouter()
  const toasts = useToastStore()
  const notFetched = new WeakSet<object>()
  const isOurs = (error: unknown): boolean =>
    typeof error === 'object' && error !== null && notFetched.has(error)
  nuxtApp.hook('app:chunkError', ({ error }) => {
    if (typeof error === 'object' && error !== null) notFetched.add(error)
  })
  router.onError(async (error: unknown, to) => {
    if (!isOurs(error)) return
    if (await isThere()) reloadNuxtApp({ path: to.fullPath, persistState: true })
    else toasts.say(`That view ${away}; press again once it runs.`, true)
  })
  nuxtApp.hook('vue:error', (error) => {
    if (isOurs(error)) toasts.say(`That panel ${away}; read the page again once it runs.`, true)
  })
})

/**
 * What the page was opened on is asked for at once, while the code that shows it is still on its way. Not the clock: an
 * answer that waited would set it back.
 */
export default defineNuxtPlugin({
  parallel: true,
  setup() {
    const [, refitId] = /^\/r\/([^/]+)/.exec(location.pathname) ?? []
    if (refitId === undefined) return
    askAhead(`/api/refits/${refitId}`)
  },
})

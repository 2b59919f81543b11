/** Addresses for codes on paper: a phone that reads one opens the page. */
export function usePageAddress() {
  const store = useRefitStore()
  /** Of the refit's pages, without a slash at the end. */
  const refitAddress = (): string => `${location.origin}/r/${store.refitId}`
  /** Of a page by its path within the refit. */
  const pageAddress = (path: string): string => `${refitAddress()}/${path}`
  /** The program was opened under a name that only this computer knows: a phone cannot follow it. */
  const isOnlyHere = /^(localhost|127\.|\[::1\])/.test(location.host)
  return { refitAddress, pageAddress, isOnlyHere }
}

import type { RouteLocationRaw } from 'vue-router'

/**
 * Goes to another page or address of a view. Nothing else goes anywhere: the framework's own way only hands its target
 * back while another way is being gone, and a second quick press would be lost.
 * @param how replace: the address as it is now is not one to go back to
 */
export function goTo(to: RouteLocationRaw, how: { replace?: boolean } = {}) {
  const router = useRouter()
  return how.replace ? router.replace(to) : router.push(to)
}

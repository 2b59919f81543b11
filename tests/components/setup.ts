/** A page without the framework: its own names for components, links, routes and heads. */
import { config, disableAutoUnmount, enableAutoUnmount } from '@vue/test-utils'
import { afterEach, beforeEach, vi } from 'vitest'
import { defineComponent, h, reactive } from 'vue'
import { newId } from '../../app/utils/newId'
import { components } from './components'
import { endStores } from './fakeServer'

config.global.components = {
  ...components,
  ...Object.fromEntries(Object.entries(components).map(([name, one]) => [`Lazy${name}`, one])),
  NuxtLink: defineComponent({
    props: { to: { type: [String, Object], default: '' } },
    setup:
      (props, { slots }) =>
      () =>
        h(
          'a',
          { href: typeof props.to === 'string' ? props.to : props.to.path },
          slots.default?.(),
        ),
  }),
}

/** Where the page is, and where it was sent. */
export const route = reactive({ path: '/r/r/jobs', query: {}, hash: '', params: { refit: 'r' } })
type Sent = string | { path?: string; query?: Record<string, string> }
export const sentTo: Sent[] = []
/** What is told when somebody is about to go to another page. */
export const goingTo = new Set<(to: { path: string }) => void>()
/** The framework's router, as far as pages use it. */
export const routerOf = (go: (to: Sent) => void) => ({
  push: go,
  replace: go,
  currentRoute: { value: route },
  beforeEach: (told: (to: { path: string }) => void) => {
    goingTo.add(told)
    return () => goingTo.delete(told)
  },
  afterEach: () => () => undefined,
  onError: () => () => undefined,
})

beforeEach(() => {
  sentTo.length = 0
  vi.stubGlobal('useRoute', () => route)
  const go = (to: Sent) => {
    sentTo.push(to)
    if (typeof to === 'object' && 'query' in to) route.query = to.query ?? {}
  }
  vi.stubGlobal('useRouter', () => routerOf(go))
  vi.stubGlobal('useHead', () => undefined)
  // Where it ends a list of arguments, what imports for the tests takes it for a name of the page's own.
  vi.stubGlobal('newId', newId)
  localStorage.clear()
})
afterEach(() => {
  endStores()
  vi.unstubAllGlobals()
})
// Each file begins with what is loaded already. What is said last is done first: pages go before their stores.
disableAutoUnmount()
enableAutoUnmount(afterEach)

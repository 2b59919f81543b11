/** A whole page by itself, as the framework would show it: with its address, its keys and its rows. */
import { flushPromises, mount } from '@vue/test-utils'
import { vi } from 'vitest'
import { defineComponent, h, Suspense } from 'vue'
import type { Component } from 'vue'
import type { EntityName } from '#core/model/entities'
import type { RefitRows } from '#core/model/refit'
import { useKeys } from '../../app/composables/useKeys'
import { openOn } from './fakeServer'

type Load = () => Promise<{ default: Component }>
const found = import.meta.glob<{ default: Component }>('../../app/pages/r/\\[refit\\]/**/*.vue')
/** Each page of a refit by its address within it. */
export const pages: readonly (readonly [string, Load])[] = Object.entries(found).map(
  ([path, load]) => [path.replace(/^.*\[refit\]\//, '').replace(/(\/index)?\.vue$/, ''), load],
)

/** What a page is about, where its address says it: the first of these rows. */
const about: Readonly<Record<string, EntityName>> = {
  step: 'step',
  job: 'job',
  decision: 'decision',
  booking: 'tradeBooking',
  panel: 'panel',
  id: 'recipe',
}
const aboutSheet: Readonly<Record<string, EntityName>> = {
  log: 'asBuiltSheet',
  maker: 'makerSheet',
  walk: 'countSheet',
}
const named: Readonly<Record<string, string>> = {
  key: 'rebed-trim',
  sum: 'bolt-in-a-stack',
}

function paramsOf(path: string, rows: RefitRows): Record<string, string> {
  const params: Record<string, string> = { refit: 'r' }
  for (const [, name = ''] of path.matchAll(/\[(\w+)\]/g)) {
    const entity = name === 'sheet' ? aboutSheet[path.split('/')[0] ?? ''] : about[name]
    params[name] = named[name] ?? (entity && rows[entity][0]?.id) ?? 'none'
  }
  return params
}

export interface PageAsk {
  readonly query?: Readonly<Record<string, string>>
  /** What its address names, where that is not the first row there is. */
  readonly params?: Readonly<Record<string, string>>
  /** What the frame has begun by then. */
  readonly begin?: () => unknown
  /** What the clock stands at, UTC ms. */
  readonly now?: number
}

/** Mounts the page of an address on a refit of its own; keys work as in the frame. */
export async function onPage(path: string, rows: RefitRows, ask: PageAsk = {}) {
  // What stands in a frame of its own comes after its frame.
  const [, load] = pages.findLast(([one]) => one === path) ?? []
  if (!load) throw new Error(`There is no page ${path}.`)
  vi.stubGlobal('definePageMeta', () => undefined)
  const { server, store } = await openOn(rows, ask.begin, ask.now)
  // Files share this module, and each has a route of its own.
  const { useRoute } = globalThis as unknown as { useRoute: () => object }
  Object.assign(useRoute(), {
    path: `/r/r/${path}`,
    params: { ...paramsOf(path, rows), ...ask.params },
    query: ask.query ?? {},
    hash: '#all',
  })
  const page = (await load()).default
  const framed = defineComponent({
    setup() {
      useKeys(() => undefined)
      return () => h(Suspense, null, { default: () => h(page) })
    },
  })
  const wrapper = mount(framed, {
    attachTo: document.body,
    global: { stubs: { NuxtPage: true } },
  })
  await flushPromises()
  return { server, store, wrapper }
}

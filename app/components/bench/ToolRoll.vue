<script setup lang="ts">
import { computed, ref } from 'vue'
import type { BoardItem } from '#core/bench/board'
import { pockets } from '#core/bench/pockets'
import type { PocketKey, Sum } from '#core/bench/sum'

/** Every sum in its pocket; a ring where an open job wants it, a bung where the answer is kept. */
const props = defineProps<{ items: readonly BoardItem[] }>()
const store = useRefitStore()
const isNarrow = useNarrow()
const { sayDate } = useDates()
const byKey = computed(() => {
  const map = new Map<string, BoardItem[]>()
  for (const one of props.items)
    map.set(one.want.sum.key, [...(map.get(one.want.sum.key) ?? []), one])
  return map
})
const keptKeys = computed(() => new Set(store.rows.keptSum.map((one) => one.sumKey)))
const stateOf = (sum: Sum) => {
  const list = byKey.value.get(sum.key) ?? []
  const open = list.filter((one) => !one.isKept)
  if (open.some((one) => one.holds !== null)) return 'redRing' as const
  if (open.length > 0) return 'ring' as const
  return list.length > 0 || keptKeys.value.has(sum.key) ? ('bung' as const) : ('none' as const)
}
const said = {
  redRing: 'wanted, and on the way to a gate',
  ring: 'wanted by an open job',
  bung: 'kept',
  none: '',
} as const
/** Opened with the figures of the job that wants it first. */
const to = (sum: Sum) => {
  const first = (byKey.value.get(sum.key) ?? []).find((one) => !one.isKept)
  return `/r/${store.refitId}/bench/${sum.key}${first ? `?job=${first.want.job.id}` : ''}`
}
/** The pockets as they are shown: what each sum's mark is, is looked up once. */
const filled = computed(() =>
  pockets.map((pocket) => ({
    pocket,
    sums: pocket.sums.map((sum) => ({ sum, to: to(sum), state: stateOf(sum) })),
  })),
)
/** One listener for all of them: a link of the router's for each would be most of what opening the view takes. */
function follow(event: MouseEvent) {
  const link = (event.target as Element).closest<HTMLAnchorElement>('a[data-sum]')
  const isOurs = event.button === 0 && !event.ctrlKey && !event.metaKey && !event.shiftKey
  if (!link || !isOurs || event.altKey) return
  event.preventDefault()
  void goTo(link.pathname + link.search)
}
const tagOf = (key: PocketKey): string => {
  const next = props.items.find((one) => !one.isKept && one.want.sum.pocket === key)
  if (!next || next.at === null) return ''
  return sayDate(store.zone.dateOf(next.at))
}
const openPocket = ref<PocketKey>('resin')
const root = ref<HTMLElement | null>(null)
/** Arrows: up and down in a pocket, left and right to the one beside it. */
function move(event: KeyboardEvent) {
  const links = [...(root.value?.querySelectorAll<HTMLElement>('[data-pocket] a') ?? [])]
  const at = links.indexOf(document.activeElement as HTMLElement)
  if (links.length === 0) return false
  if (at < 0) {
    links[0]?.focus()
    return
  }
  const column = (one: HTMLElement) => one.closest<HTMLElement>('[data-pocket]')
  const here = links[at] as HTMLElement
  if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
    links[Math.min(links.length - 1, Math.max(0, at + (event.key === 'ArrowUp' ? -1 : 1)))]?.focus()
    return
  }
  const columns = [...new Set(links.map(column))]
  const next = columns[columns.indexOf(column(here)) + (event.key === 'ArrowLeft' ? -1 : 1)]
  const inColumn = links.filter((one) => column(one) === column(here)).indexOf(here)
  const list = links.filter((one) => column(one) === next)
  list[Math.min(inColumn, list.length - 1)]?.focus()
}
useKeyScope({ benchMove: move })
/** The tools of a pocket, in a box of 120 by 66, standing on its edge. */
const tools: Readonly<Record<PocketKey, readonly { d: string; fill: string }[]>> = {
  resin: [
    { d: 'M22 14H56L51 66H27Z', fill: 'var(--sheet)' },
    { d: 'M24 36H54L51 66H27Z', fill: 'var(--brass)' },
    { d: 'M78 6H88V40H78Z', fill: 'var(--drawn-wood)' },
    { d: 'M70 40H96V66H70Z', fill: 'var(--sheet)' },
  ],
  holes: [
    { d: 'M30 16L36 8L42 16V66H30Z', fill: 'var(--water)' },
    { d: 'M76 66V34A15 15 0 1 1 94 34V66Z', fill: 'var(--water)' },
    { d: 'M79 4H91V18H79Z', fill: 'var(--paper)' },
  ],
  layout: [
    { d: 'M16 8H30V54H70V66H16Z', fill: 'var(--drawn-wood)' },
    { d: 'M74 22H112V56H74Z', fill: 'var(--brass)' },
    { d: 'M85 39A8 8 0 1 1 101 39A8 8 0 1 1 85 39Z', fill: 'var(--sheet)' },
  ],
  cutting: [
    { d: 'M34 6L66 50L60 54L30 8Z', fill: 'var(--water)' },
    { d: 'M86 6L54 50L60 54L90 8Z', fill: 'var(--water)' },
    { d: 'M36 58A10 10 0 1 1 56 58A10 10 0 1 1 36 58Z', fill: 'var(--sheet)' },
    { d: 'M64 58A10 10 0 1 1 84 58A10 10 0 1 1 64 58Z', fill: 'var(--sheet)' },
  ],
  electrics: [
    {
      d: 'M30 66C20 50 26 30 34 26V8H40V26C50 30 54 50 46 66H40L38 44L36 66Z',
      fill: 'var(--water)',
    },
    { d: 'M70 14H104V66H70Z', fill: 'var(--brass)' },
    { d: 'M76 20H98V36H76Z', fill: 'var(--sheet)' },
  ],
  hull: [
    { d: 'M50 66L24 14L34 10L58 66Z', fill: 'var(--water)' },
    { d: 'M55 66L42 8L53 6L62 66Z', fill: 'var(--water)' },
    { d: 'M60 66L62 6L73 7L67 66Z', fill: 'var(--water)' },
    { d: 'M64 66L84 10L94 14L72 66Z', fill: 'var(--water)' },
  ],
  structure: [
    { d: 'M20 12H66V40H20Z', fill: 'var(--drawn-wood)' },
    { d: 'M38 40H48V66H38Z', fill: 'var(--drawn-wood)' },
    { d: 'M88 4L98 66H80Z', fill: 'var(--water)' },
  ],
}
</script>

<template>
  <section id="tool-roll" ref="root" aria-label="The tools">
    <!-- What is pressed is a link; the press is only heard here. -->
    <div class="roll" @click="follow">
      <section
        v-for="{ pocket, sums } in filled"
        :key="pocket.key"
        class="pocket"
        :aria-labelledby="`pocket-${pocket.key}`"
        :data-pocket="pocket.key"
      >
        <svg class="tools" viewBox="0 0 120 68" aria-hidden="true">
          <path
            v-for="(one, at) in tools[pocket.key]"
            :key="at"
            :d="one.d"
            :fill="one.fill"
            stroke="var(--ink)"
            stroke-width="2"
            stroke-linejoin="round"
          />
        </svg>
        <div class="head">
          <h2 :id="`pocket-${pocket.key}`" class="text-lg">
            <button
              v-if="isNarrow"
              class="flex min-h-11 w-full items-center justify-between"
              :aria-expanded="openPocket === pocket.key"
              @click="openPocket = pocket.key"
            >
              {{ pocket.name }} <span class="text-ink2">{{ pocket.about }}</span>
            </button>
            <template v-else>{{ pocket.name }}</template>
          </h2>
          <p v-if="!isNarrow" class="cond-thin flex justify-between gap-1 text-ink2">
            {{ pocket.about }}
            <span
              v-if="tagOf(pocket.key)"
              class="cond whitespace-nowrap text-ink"
              :title="`Next wanted ${tagOf(pocket.key)}`"
              ><span class="sr-only">next wanted </span>{{ tagOf(pocket.key) }}</span
            >
          </p>
        </div>
        <ul v-if="!isNarrow || openPocket === pocket.key" class="py-1">
          <li v-for="{ sum, to: address, state } in sums" :key="sum.key">
            <a
              :href="address"
              data-sum
              class="flex min-h-8 items-center justify-between gap-1 px-1.5 hover:bg-brass-tint max-sm:min-h-11"
              :class="{ cond: state !== 'none', 'text-redlead': state === 'redRing' }"
            >
              <span
                class="cond-thin text-base leading-tight whitespace-nowrap"
                :class="{ 'font-semibold': state.endsWith('ing') }"
                >{{ sum.title }}</span
              >
              <SumMark v-if="state !== 'none'" :mark="state" :said="said[state]" />
            </a>
          </li>
        </ul>
      </section>
    </div>
    <p class="mt-1 flex flex-wrap gap-x-5 text-ink2" aria-hidden="true">
      <span class="flex gap-1"><SumMark mark="ring" /> a job wants it</span>
      <span class="flex gap-1"><SumMark mark="redRing" /> on the way to a gate</span>
      <span class="flex gap-1"><SumMark mark="bung" /> kept</span>
    </p>
  </section>
</template>

<style scoped>
.roll {
  display: grid;
  grid-template-columns: repeat(7, minmax(0, 1fr));
}
.pocket {
  border-right: 2px dashed var(--rule);
  background: linear-gradient(to bottom, transparent 0 4.25rem, var(--brass-tint) 4.25rem);
}
.pocket:last-child {
  border-right: 0;
}
.tools {
  display: block;
  height: 4.25rem;
  margin-inline: auto;
}
.head {
  border-top: 2px solid var(--ink);
  background: var(--drawn-wood);
  padding: 0.2rem 0.5rem 0.3rem;
}
@media (max-width: 1100px) {
  .roll {
    grid-template-columns: repeat(4, minmax(0, 1fr));
    row-gap: 0.75rem;
  }
}
@media (max-width: 640px) {
  .roll {
    grid-template-columns: minmax(0, 1fr);
    row-gap: 0;
  }
  .tools {
    display: none;
  }
  .pocket {
    border-right: 0;
    background: none;
  }
}
</style>

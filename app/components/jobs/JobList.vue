<script setup lang="ts">
import { useWindowVirtualizer } from '@tanstack/vue-virtual'
import { computed, nextTick, onMounted, ref } from 'vue'
import type { JobGroup, ListedJob } from '~/composables/useJobLists'

/** The list of jobs with its headings. Long ones draw only what is in sight. */
const props = defineProps<{
  groups: readonly JobGroup[]
  openId: string | null
  chosen: ReadonlySet<string>
  tree: boolean
}>()
const emit = defineEmits<{ open: [jobId: string]; toggle: [jobId: string]; bulk: [] }>()

type Line =
  | { readonly key: string; readonly title: string; readonly listed: null }
  | { readonly key: string; readonly title: ''; readonly listed: ListedJob }
const lines = computed<Line[]>(() =>
  props.groups.flatMap((group): Line[] => [
    ...(group.title ? [{ key: `head-${group.key}`, title: group.title, listed: null }] : []),
    ...group.jobs.map((listed) => ({
      key: `${group.key}-${listed.job.id}`,
      title: '' as const,
      listed,
    })),
  ]),
)
/** Up to here every row is drawn: find-in-page and print have them all. */
const allDrawn = 150
const usualRowPx = 62
const long = computed(() => lines.value.length > allDrawn)
const root = ref<HTMLElement | null>(null)
const fromTop = ref(0)
onMounted(() => (fromTop.value = root.value?.offsetTop ?? 0))
const virtual = useWindowVirtualizer(
  computed(() => ({
    count: long.value ? lines.value.length : 0,
    estimateSize: () => usualRowPx,
    overscan: 12,
    scrollMargin: fromTop.value,
    getItemKey: (index: number) => lines.value[index]?.key ?? index,
  })),
)
const drawn = computed(() =>
  long.value
    ? virtual.value.getVirtualItems().flatMap((item) => {
        const line = lines.value[item.index]
        return line ? [{ line, index: item.index }] : []
      })
    : lines.value.map((line, index) => ({ line, index })),
)
const before = computed(() => {
  const [first] = long.value ? virtual.value.getVirtualItems() : []
  return first ? first.start - fromTop.value : 0
})
const after = computed(() => {
  const last = long.value ? virtual.value.getVirtualItems().at(-1) : undefined
  return last ? virtual.value.getTotalSize() - (last.end - fromTop.value) : 0
})
const measure = (element: unknown) => {
  if (long.value && element instanceof HTMLElement) virtual.value.measureElement(element)
}

/** The line of the list that a key was pressed in; -1: none. */
const lineOf = (event: KeyboardEvent): number => {
  const row = (event.target as HTMLElement).closest<HTMLElement>('[data-line]')
  return row && root.value?.contains(row) ? Number(row.dataset.line) : -1
}
function go(event: KeyboardEvent): boolean {
  const at = lineOf(event)
  const by = event.key === 'ArrowDown' ? 1 : -1
  let to = at + by
  while (lines.value[to] && lines.value[to]?.listed === null) to += by
  if (at < 0 || !lines.value[to]) return false
  if (long.value) virtual.value.scrollToIndex(to)
  void nextTick(() => root.value?.querySelector<HTMLElement>(`[data-line="${to}"] button`)?.focus())
  return true
}
useFocusKept()
useKeyScope({
  jobsUpDown: go,
  jobsChoose: (event) => {
    const jobId = lines.value[lineOf(event)]?.listed?.job.id
    if (!jobId) return false
    emit('toggle', jobId)
  },
  jobsBulk: (event) => {
    if (lineOf(event) < 0 || props.chosen.size === 0) return false
    emit('bulk')
  },
})
</script>

<template>
  <ul ref="root" class="@container relative" aria-label="Jobs">
    <li v-if="before > 0" :style="{ height: `${before}px` }" aria-hidden="true" />
    <template v-for="{ line, index } in drawn" :key="line.key">
      <li
        v-if="line.listed === null"
        :ref="measure"
        :data-index="index"
        :data-line="index"
        class="pt-3"
      >
        <h2 class="border-b-2 border-ink">{{ line.title }}</h2>
      </li>
      <JobRow
        v-else
        :ref="(row) => measure((row as { $el?: unknown } | null)?.$el)"
        :data-index="index"
        :data-line="index"
        :listed="line.listed"
        :opened="line.listed.job.id === openId"
        :chosen="chosen.has(line.listed.job.id)"
        :tree="tree"
        @open="emit('open', line.listed.job.id)"
        @toggle="emit('toggle', line.listed.job.id)"
      />
    </template>
    <li v-if="after > 0" :style="{ height: `${after}px` }" aria-hidden="true" />
  </ul>
</template>

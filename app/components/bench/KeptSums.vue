<script setup lang="ts">
import { Trash2 } from '@lucide/vue'
import { computed, ref } from 'vue'
import type { BoardItem } from '#core/bench/board'
import { sumOf } from '#core/bench/sums'
import type { KeptSum } from '#core/model/entities'
import { deletion } from '#core/model/removal'

/** What was worked out and kept, newest first; what the job says otherwise by now stands at the foot. */
const props = defineProps<{ items: readonly BoardItem[] }>()
const store = useRefitStore()
const { shortDate } = useDates()
const mostShown = 5
const all = ref(false)
const changedOf = computed(
  () =>
    new Map(
      props.items.flatMap((one) =>
        one.kept && one.changed.length > 0 ? [[one.kept.id, one.changed] as const] : [],
      ),
    ),
)
const list = computed(() =>
  [...store.rows.keptSum].sort((a, b) => b.keptAt - a.keptAt || (a.id < b.id ? -1 : 1)),
)
const standing = computed(() => list.value.filter((one) => !changedOf.value.has(one.id)))
const stale = computed(() => list.value.filter((one) => changedOf.value.has(one.id)))
const shown = computed(() => (all.value ? standing.value : standing.value.slice(0, mostShown)))
const titleOf = (one: KeptSum) => sumOf(one.sumKey)?.title ?? one.sumKey
const aboutOf = (one: KeptSum) =>
  [
    store.rows.job.find((job) => job.id === one.jobId)?.title ?? 'no job',
    store.rows.person.find((person) => person.id === one.byId)?.name ?? '',
    shortDate(one.keptAt, store.zone),
  ]
    .filter(Boolean)
    .join(' · ')
const to = (one: KeptSum) => `/r/${store.refitId}/bench/${one.sumKey}?kept=${one.id}`
const forget = (one: KeptSum) =>
  store.attempt(`Let go of: ${titleOf(one)}`, [deletion('keptSum', one)])
</script>

<template>
  <section class="offcut" aria-labelledby="kept-answers">
    <h2 id="kept-answers" class="flex items-baseline justify-between">
      Kept answers
      <span v-if="standing.length > mostShown && !all" class="cond-thin text-base"
        >{{ mostShown }} of {{ standing.length }}</span
      >
    </h2>
    <p v-if="list.length === 0" class="mt-1 text-ink2">What you keep is pencilled here.</p>
    <ul>
      <li v-for="one in shown" :key="one.id" class="flex items-start border-b border-rule">
        <NuxtLink :to="to(one)" class="block min-w-0 grow py-1.5 hover:underline">
          <span class="flex flex-wrap items-baseline justify-between gap-x-2">
            <span class="cond">{{ titleOf(one) }}</span>
            <span class="cond text-lg">{{ one.says }}</span>
          </span>
          <span class="block truncate text-sm text-ink2">{{ aboutOf(one) }}</span>
        </NuxtLink>
        <button
          class="btn btn-quiet btn-small"
          :aria-label="`Let go of ${titleOf(one)}, ${one.says}`"
          @click="forget(one)"
        >
          <Trash2 :size="16" aria-hidden="true" />
        </button>
      </li>
    </ul>
    <button
      v-if="standing.length > mostShown"
      class="btn btn-small mt-2"
      :aria-expanded="all"
      @click="all = !all"
    >
      {{ all ? 'Only the newest' : `All ${standing.length}` }}
    </button>
    <ul v-if="stale.length > 0" class="mt-3 grid gap-2" aria-label="To be worked again">
      <li v-for="one in stale" :key="one.id" class="border-2 border-redlead bg-sheet p-2">
        <NuxtLink :to="to(one)" class="block text-redlead">
          <span class="cond block">{{ titleOf(one) }}: was {{ one.says }}</span>
          {{ changedOf.get(one.id)?.join(', ') }} changed: work it again
        </NuxtLink>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.offcut {
  padding: 0.75rem 0.9rem 1rem;
  border: 2px solid var(--ink);
  background: var(--brass-tint);
  clip-path: polygon(0 0, 94% 0, 100% 1.1rem, 100% 100%, 4% 100%, 0 97%);
}
</style>

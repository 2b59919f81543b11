<script setup lang="ts">
import { computed } from 'vue'
import { historyMark, historyOf } from '#core/log/history'
import type { CameAgain } from '#core/log/history'

/** All that was ever done in one place, by us or before us, and what is still to come. */
const props = defineProps<{
  zoneId: string
  /** What of it came again: drawn on a line of time too. */
  again?: CameAgain
}>()
const store = useRefitStore()
const { sayDate } = useDates()
const ends = computed(
  () =>
    new Map(
      (store.accepted?.placements ?? []).map((one) => [
        one.stepId,
        one.segments.at(-1)?.[1] ?? null,
      ]),
    ),
)
function plannedOn(jobId: string): string | null {
  const own = store.rows.step
    .filter((one) => one.jobId === jobId)
    .flatMap((one) => ends.value.get(one.id) ?? [])
  return own.length > 0 ? store.zone.dateOf(Math.max(...own)) : null
}
const entries = computed(() => historyOf(store.rows, props.zoneId, store.zone, plannedOn))
const name = computed(() => store.rows.zone.find((one) => one.id === props.zoneId)?.name ?? '')
</script>

<template>
  <div>
    <HistoryAxis v-if="again && entries.length > 0" :entries="entries" :again="again" />
    <ThenAndNow v-if="again" :again="again" />
    <ol :aria-label="`All that was done: ${name}`" class="mt-1">
      <li
        v-for="entry in entries"
        :key="entry.key"
        class="grid grid-cols-[24px_5.5rem_minmax(0,1fr)] items-center gap-x-2 leading-tight"
      >
        <svg viewBox="-13 -13 26 26" width="18" height="18" aria-hidden="true">
          <ReadyMark :state="historyMark[entry.kind]" />
        </svg>
        <span class="cond text-ink2">{{
          entry.isRough ? `about ${entry.on.slice(0, 4)}` : sayDate(entry.on)
        }}</span>
        <span class="truncate">
          <NuxtLink v-if="entry.to" class="underline" :to="`/r/${store.refitId}/${entry.to}`">{{
            entry.what
          }}</NuxtLink>
          <template v-else>{{ entry.what }}</template>
          <span v-if="entry.more" class="text-ink2">{{ `, ${entry.more}` }}</span>
        </span>
      </li>
      <li v-if="entries.length === 0" class="text-ink2">Nothing is known of this place yet.</li>
    </ol>
  </div>
</template>

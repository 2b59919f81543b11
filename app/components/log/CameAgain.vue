<script setup lang="ts">
import { computed } from 'vue'
import { cameAgain, historyOf } from '#core/log/history'
import { sayMonth } from '#core/time/say'

/** What came again after it was mended, with all that was ever done in that place. */
const store = useRefitStore()
const { sayDate } = useDates()
const again = computed(() => cameAgain(store.rows, store.zone).slice(0, 3))
const lastOf = computed(
  () =>
    new Map(
      (store.accepted?.placements ?? []).map((one) => [
        one.stepId,
        one.segments.at(-1)?.[1] ?? null,
      ]),
    ),
)
function plannedOn(jobId: string): string | null {
  const ends = store.rows.step
    .filter((one) => one.jobId === jobId)
    .flatMap((one) => lastOf.value.get(one.id) ?? [])
  return ends.length > 0 ? store.zone.dateOf(Math.max(...ends)) : null
}
const told = computed(() =>
  again.value.map((one) => ({
    ...one,
    entries: one.zoneId ? historyOf(store.rows, one.zoneId, store.zone, plannedOn) : [],
    zone: store.rows.zone.find((each) => each.id === one.zoneId)?.name ?? '',
  })),
)
const markOf = { before: 'onDay', done: 'proven', found: 'stops', toCome: 'onDay' } as const
</script>

<template>
  <section v-if="told.length > 0" aria-labelledby="came-again">
    <h2 id="came-again" class="border-b-2 border-ink">It came again</h2>
    <article v-for="one in told" :key="one.findingId" class="mt-1">
      <p class="leading-snug">
        <strong>{{ one.title }}</strong>: {{ one.repair }}, {{ sayMonth(one.doneOn) }}, held
        <strong>{{ one.months }} {{ one.months === 1 ? 'month' : 'months' }}</strong
        >.
      </p>
      <ol :aria-label="`All that was done: ${one.zone}`" class="mt-1">
        <li
          v-for="entry in one.entries"
          :key="entry.key"
          class="grid grid-cols-[24px_5.5rem_minmax(0,1fr)] items-center gap-x-2 leading-tight"
        >
          <svg viewBox="-13 -13 26 26" width="18" height="18" aria-hidden="true">
            <ReadyMark :state="markOf[entry.kind]" />
          </svg>
          <span class="cond text-ink2">{{
            entry.isRough ? `about ${entry.on.slice(0, 4)}` : sayDate(entry.on)
          }}</span>
          <span class="truncate">
            <NuxtLink v-if="entry.to" class="underline" :to="`/r/${store.refitId}/${entry.to}`">{{
              entry.what
            }}</NuxtLink>
            <template v-else>{{ entry.what }}</template>
            <span v-if="entry.more" class="text-ink2">, {{ entry.more }}</span>
          </span>
        </li>
      </ol>
    </article>
  </section>
</template>

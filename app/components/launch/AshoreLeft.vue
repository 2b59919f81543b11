<script setup lang="ts">
import { computed } from 'vue'
import { ashoreLeft, doAfloat, putOff } from '#core/launch/ashoreLeft'
import type { AshoreJob } from '#core/launch/ashoreLeft'
import { formatHours } from '#core/units/hours'
import type { Proposal } from '~/composables/useProposal'

/** What must still be done ashore against one lift, and what could be done about what is not ready by it. */
const props = defineProps<{ haulOutId: string; liftAt: number }>()
const emit = defineEmits<{ propose: [proposal: Proposal] }>()
const store = useRefitStore()
const { shortDate, sayDay } = useDates()
const left = computed(() =>
  store.accepted
    ? ashoreLeft(store.rows, store.accepted, props.haulOutId, store.zone, store.waits)
    : null,
)
const late = computed(() => (left.value?.jobs ?? []).filter((one) => one.readyAt > props.liftAt))
const fits = computed(() => (left.value?.jobs ?? []).filter((one) => one.readyAt <= props.liftAt))
const on = computed(() => sayDay(store.zone.dateOf(props.liftAt)))
const readyOn = (one: AshoreJob) =>
  one.readyAt === Infinity ? 'has no day' : `ready ${shortDate(one.readyAt, store.zone)}`
const off = (one: AshoreJob) => {
  const next = left.value?.nextGate
  if (next)
    emit('propose', {
      label: `Put off: ${one.job.title}`,
      does: `The job waits for ${next.name}. It does not hold this launch.`,
      items: putOff(one, next),
    })
}
const float = (one: AshoreJob) =>
  emit('propose', {
    label: `Afloat: ${one.job.title}`,
    does: 'Its work is done afloat, where everything is harder to get at: access is one step worse.',
    items: doAfloat(one),
  })
</script>

<template>
  <section v-if="left" aria-labelledby="ashore-left">
    <h2 id="ashore-left" class="border-b-2 border-ink text-lg">
      Still to do ashore, against {{ on }}
    </h2>
    <p v-if="left.jobs.length === 0" class="text-ink2">
      Nothing is left to do ashore for this launch.
    </p>
    <p v-else-if="late.length === 0">
      All {{ left.jobs.length }} jobs are ready by then as they are planned.
    </p>
    <ul>
      <li
        v-for="one in late"
        :key="one.job.id"
        class="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-3 border-b border-rule2 py-1"
      >
        <span class="min-w-0">
          <NuxtLink class="underline" :to="`/r/${store.refitId}/job/${one.job.id}`">{{
            one.job.title
          }}</NuxtLink>
          <span class="block text-ink2"
            >{{ formatHours(one.hours) }},
            <span class="text-redlead">{{ readyOn(one) }}</span></span
          >
        </span>
        <span class="flex flex-wrap justify-end gap-1">
          <button v-if="left.nextGate" class="btn btn-small" @click="off(one)">
            Next haul-out?<span class="sr-only">{{ ` ${one.job.title}` }}</span>
          </button>
          <button v-if="one.mayFloat" class="btn btn-small" @click="float(one)">
            Afloat?<span class="sr-only">{{ ` ${one.job.title}` }}</span>
          </button>
        </span>
      </li>
    </ul>
    <details v-if="late.length > 0 && fits.length > 0" class="mt-1">
      <summary class="max-sm:min-h-11">{{ fits.length }} ready by then</summary>
      <ul>
        <li
          v-for="one in fits"
          :key="one.job.id"
          class="flex justify-between gap-3 border-b border-rule2"
        >
          <NuxtLink class="underline" :to="`/r/${store.refitId}/job/${one.job.id}`">{{
            one.job.title
          }}</NuxtLink>
          <span class="cond whitespace-nowrap">{{ readyOn(one) }}</span>
        </li>
      </ul>
    </details>
  </section>
</template>

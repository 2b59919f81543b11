<script setup lang="ts">
import { Printer } from '@lucide/vue'
import { computed } from 'vue'
import { canDo, licensedName } from '#core/canDo/canDo'
import { inOrder } from '#core/model/refit'
import { cautionsOf } from '#core/plan/facts'
import { isOpen } from '#core/plan/planned'
import { sayFullDate } from '#core/time/say'
import { formatHours, formatWait } from '#core/units/hours'
import { formatQuantity } from '#core/units/quantity'

/** What a trade or a helper is handed: the job, its steps, what is there, what can hurt, where to sign. */
const store = useRefitStore()
const { shortDateTime } = useDates()
const route = useRoute()
const job = computed(() => store.rows.job.find((one) => one.id === route.params.job) ?? null)
const steps = computed(() =>
  inOrder(store.rows.step.filter((one) => one.jobId === job.value?.id && one.state !== 'dropped')),
)
const said = computed(() => (job.value ? canDo(store.rows, job.value) : null))
const zone = computed(() => store.rows.zone.find((one) => one.id === job.value?.zoneId)?.name)
const gate = computed(() => {
  const figures = store.derived.gates.find((one) => one.gate.id === job.value?.gateId)
  if (!figures) return ''
  const on = figures.aimedOn ?? figures.plannedOn
  return `${figures.gate.name}${on ? `, ${sayFullDate(on)}` : ''}`
})
const parts = computed(() => store.rows.part.filter((one) => one.jobId === job.value?.id))
const placedAt = (stepId: string): string => {
  const placed = store.accepted?.placements.find((one) => one.stepId === stepId)
  const at = placed?.segments[0]?.[0]
  return at === undefined ? '' : shortDateTime(at, store.derived.clock)
}
const units = computed(() => store.refit?.units ?? 'metric')
const print = () => window.print()
</script>

<template>
  <div v-if="!job" class="max-w-lg">
    <h1>There is no such job here</h1>
    <NuxtLink class="btn mt-3" :to="`/r/${store.refitId}/jobs`">All jobs</NuxtLink>
  </div>
  <article v-else class="max-w-3xl">
    <div class="flex items-start justify-between gap-3">
      <div>
        <p class="cond text-ink2">Work order · {{ store.refit?.boatName }}</p>
        <h1>{{ job.title }}</h1>
      </div>
      <button class="btn no-print" @click="print">
        <Printer :size="17" aria-hidden="true" /> Print
      </button>
    </div>
    <dl class="mt-2 grid grid-cols-[8rem_1fr] gap-x-3">
      <dt class="cond">Where</dt>
      <dd>{{ zone ?? 'Ask on board' }}</dd>
      <template v-if="gate">
        <dt class="cond">Finished before</dt>
        <dd>{{ gate }}</dd>
      </template>
      <dt class="cond">Written on</dt>
      <dd>{{ sayFullDate(store.derived.today) }}</dd>
    </dl>
    <p v-if="job.detail" class="mt-2 whitespace-pre-line">{{ job.detail }}</p>
    <section
      v-if="said && said.licences.some((one) => one.here)"
      class="mt-3 border-2 border-ink p-2"
    >
      <p v-for="one in said.licences.filter((each) => each.here)" :key="one.kind">
        <span class="cond">{{ licensedName(one.kind) }}:</span> licensed people only. The local code
        decides.
      </p>
    </section>
    <h2 class="mt-4 border-b-2 border-ink">Steps</h2>
    <ol>
      <li
        v-for="(step, index) in steps"
        :key="step.id"
        class="grid break-inside-avoid grid-cols-[1.5rem_1fr_7rem_1.5rem] gap-x-2 border-b border-rule py-1"
      >
        <span class="cond">{{ index + 1 }}</span>
        <span>
          {{ step.title }}
          <span v-if="step.waitKind !== 'none' && step.waitHours > 0" class="text-ink2"
            >, then wait {{ formatWait(step.waitHours) }}</span
          >
          <span v-if="cautionsOf(step) && isOpen(step)" class="block leading-snug">
            <span class="cond">Take care:</span> {{ cautionsOf(step) }}
          </span>
        </span>
        <span class="text-right">
          {{ step.hoursLikely > 0 ? formatHours(step.hoursLikely) : '' }}
          <span class="block text-ink2">{{
            step.state === 'done' ? 'done' : placedAt(step.id)
          }}</span>
        </span>
        <span class="size-4 border border-ink" :class="{ 'bg-ink': step.state === 'done' }" />
      </li>
    </ol>
    <section v-if="parts.length > 0" class="mt-4">
      <h2 class="border-b-2 border-ink">Parts and materials</h2>
      <ul class="grid gap-x-6 sm:grid-cols-2">
        <li v-for="part in parts" :key="part.id" class="border-b border-rule2 py-0.5">
          {{ part.name }}, {{ formatQuantity(part.quantity, part.unit, units) }}
          <span class="text-ink2">{{ part.state }}</span>
        </li>
      </ul>
    </section>
    <p v-if="said && said.tools.length > 0" class="mt-3">
      <span class="cond">Tools:</span> {{ said.tools.map((one) => one.what).join(', ') }}.
    </p>
    <p class="mt-3">
      The product’s data sheet and the local code go before this sheet. Found something else? Stop,
      write it here, ask before going on.
    </p>
    <div class="mt-3 h-20 border border-ink2 p-1 text-ink2">Found on the way</div>
    <div class="mt-6 grid grid-cols-3 gap-6">
      <p class="border-t border-ink pt-1">Done by</p>
      <p class="border-t border-ink pt-1">Hours</p>
      <p class="border-t border-ink pt-1">Date, signed</p>
    </div>
  </article>
</template>

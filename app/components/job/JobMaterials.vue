<script setup lang="ts">
import { computed } from 'vue'
import type { Job } from '#core/model/entities'
import { unlisted } from '#core/stair/materials'

/** What goes into the job: parts by where they are, and steps to come for which nobody listed any. */
const props = defineProps<{ job: Job }>()
const store = useRefitStore()
const stepIds = computed(
  () => new Set(store.rows.step.filter((one) => one.jobId === props.job.id).map((one) => one.id)),
)
const parts = computed(() =>
  store.rows.part.filter(
    (one) =>
      one.state !== 'returned' &&
      (one.jobId === props.job.id || stepIds.value.has(one.neededByStepId ?? '')),
  ),
)
const said = {
  wanted: 'not ordered',
  specified: 'not ordered',
  quoted: 'not ordered',
  ordered: 'ordered',
  arrived: 'here',
  fitted: 'fitted',
  returned: 'sent back',
} as const
/** What is listed as one piece says nothing more. */
const amount = (one: { quantity: number; unit: string }) =>
  one.quantity === 1 && one.unit === '' ? '' : `, ${one.quantity} ${one.unit}`
const isOpen = (state: keyof typeof said) => said[state] === 'not ordered'
const bring = computed(() => store.rows.bringLine.filter((one) => stepIds.value.has(one.stepId)))
const missing = computed(() => unlisted(store.rows, props.job.id))
</script>

<template>
  <section>
    <div class="flex items-baseline justify-between border-b-2 border-ink">
      <h2>Materials</h2>
      <p class="cond text-ink2">
        {{ parts.filter((one) => isOpen(one.state)).length || 'none' }} to order
      </p>
    </div>
    <ul>
      <li v-for="one in parts.slice(0, 8)" :key="one.id" class="flex items-baseline gap-2 py-0.5">
        <span class="min-w-0 grow truncate">{{ one.name }}{{ amount(one) }}</span>
        <span class="cond" :class="{ 'text-redlead': isOpen(one.state) }">{{
          said[one.state]
        }}</span>
      </li>
    </ul>
    <p v-if="parts.length > 8" class="text-ink2">And {{ parts.length - 8 }} more.</p>
    <p v-if="bring.length > 0" class="py-0.5 text-ink2">
      {{ bring.length }} {{ bring.length === 1 ? 'line' : 'lines' }} to bring for its steps.
    </p>
    <p v-for="step in missing.slice(0, 4)" :key="step.id" class="flex items-baseline gap-2 py-0.5">
      <span class="min-w-0 grow truncate">{{ step.title }}</span>
      <span class="cond text-redlead">nobody listed any</span>
    </p>
    <p v-if="missing.length > 4" class="text-ink2">And {{ missing.length - 4 }} more steps.</p>
    <p
      v-if="parts.length === 0 && bring.length === 0 && missing.length === 0"
      class="py-1 text-ink2"
    >
      Nothing is listed for it.
    </p>
  </section>
</template>

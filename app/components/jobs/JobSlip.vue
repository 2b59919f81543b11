<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Job } from '#core/model/entities'
import { howSlip } from '#core/how/plan'
import { gateWaitingFor } from '#core/plan/drag'

/** How far a job can be put off in the plan as it stands: measured by laying it again. */
const props = defineProps<{ job: Job }>()
const store = useRefitStore()
const planner = usePlannerStore()
const days = ref<number | null>(null)
const state = ref<'none' | 'measuring' | 'measured'>('none')
const gate = computed(() => {
  const plan = store.accepted
  const id = plan && !planner.stale ? gateWaitingFor(store.rows, plan, props.job.id) : null
  return store.rows.gate.find((one) => one.id === id) ?? null
})
let asked = 0
watch(
  [() => props.job.id, () => gate.value?.id, () => store.plan?.version, () => planner.busy],
  async () => {
    const mine = ++asked
    state.value = 'none'
    if (!gate.value || planner.busy) return
    state.value = 'measuring'
    const found = await planner.slip(gate.value.id, props.job.id)
    if (mine !== asked) return
    days.value = found
    state.value = found === null ? 'none' : 'measured'
  },
  { immediate: true },
)
const sentence = computed(() => {
  if (state.value === 'measuring') return 'Measuring how far it can slip in this plan…'
  if (state.value === 'none' || !gate.value) return ''
  const name = gate.value.name
  if (days.value === 0) return `In this plan it cannot slip: a day later moves ${name}.`
  return `In this plan it can slip ${days.value} ${days.value === 1 ? 'day' : 'days'} before ${name} moves.`
})
</script>

<template>
  <p v-if="sentence" class="text-ink2">
    {{ sentence }}
    <UiHow :how="() => howSlip(days, gate?.name ?? '')" :about="job.title"
      >How is that found?</UiHow
    >
  </p>
</template>

<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Job } from '#core/model/entities'
import { patchOf } from '#core/model/removal'

/** The gate a job is finished before, and what another gate would do to the dates. */
const props = defineProps<{ job: Job }>()
const emit = defineEmits<{ set: [gateId: string | null] }>()
const store = useRefitStore()
const { effectOf } = useGateEffect(ref([]))
const gates = computed(() => store.rows.gate.map((one) => ({ value: one.id, label: one.name })))
const effects = ref<readonly { readonly label: string; readonly said: string }[]>([])
const busy = ref(false)
watch(
  () => [props.job.id, props.job.gateId],
  () => (effects.value = []),
)
/** Every other gate tried, one after the other. */
async function tryAll() {
  busy.value = true
  const others = [
    ...store.derived.gates.map((one) => ({
      id: one.gate.id as string | null,
      label: one.gate.name,
    })),
    { id: null, label: 'No gate' },
  ].filter((one) => one.id !== props.job.gateId)
  const found: { label: string; said: string }[] = []
  for (const { id, label } of others) {
    found.push({ label, said: await effectOf([patchOf('job', props.job, { gateId: id })]) })
    effects.value = [...found]
  }
  busy.value = false
}
</script>

<template>
  <div>
    <UiSelect
      :model-value="job.gateId"
      label="Finished before"
      :options="gates"
      none="No gate"
      @update:model-value="emit('set', $event)"
    />
    <button
      type="button"
      class="btn btn-quiet btn-small px-0! underline"
      :disabled="busy"
      @click="tryAll"
    >
      {{ busy ? 'Trying…' : 'What would another gate do?' }}
    </button>
    <ul v-if="effects.length > 0" role="status">
      <li v-for="one in effects" :key="one.label" class="leading-snug">
        <span class="cond">{{ one.label }}:</span> {{ one.said }}
      </li>
    </ul>
  </div>
</template>

<script setup lang="ts">
import { computed } from 'vue'
import { inOrder } from '#core/model/refit'
import { purposes } from '#core/model/words'
import { purposeName, severityName } from '#core/plan/priority'

/** What can be done to all chosen jobs at once. */
defineProps<{ count: number }>()
const emit = defineEmits<{
  change: [fields: Readonly<Record<string, unknown>>]
  merge: []
  all: []
  clear: []
}>()
const store = useRefitStore()
/** The lists say nothing until one is used: the jobs differ. */
const untouched: string | null = null
const fields = computed(() => [
  {
    name: 'gateId',
    label: 'Gate',
    options: store.rows.gate.map((one) => ({ value: one.id, label: one.name })),
  },
  {
    name: 'purpose',
    label: 'Purpose',
    options: purposes.map((value) => ({ value, label: purposeName[value] })),
  },
  {
    name: 'severity',
    label: 'How bad',
    options: severityName.map((label, index) => ({ value: String(index + 1), label })),
  },
  {
    name: 'zoneId',
    label: 'Place',
    options: inOrder(store.rows.zone).map((one) => ({ value: one.id, label: one.name })),
  },
  {
    name: 'systemId',
    label: 'System',
    options: inOrder(store.rows.system).map((one) => ({ value: one.id, label: one.name })),
  },
  {
    name: 'decision',
    label: 'Decision',
    options: [
      { value: 'plan', label: 'In the plan' },
      { value: 'later', label: 'Later season' },
      { value: 'dropped', label: 'Dropped' },
    ],
  },
])
function set(name: string, value: string | null) {
  if (value === null) return
  emit('change', {
    [name]: name === 'severity' ? Number(value) : value,
    ...(name === 'gateId' ? { placed: true } : {}),
  })
}
</script>

<template>
  <section
    class="sticky top-0 z-10 mt-2 border-2 border-ink bg-brass-tint p-2"
    aria-label="Change the chosen jobs"
  >
    <div class="flex flex-wrap items-center gap-2">
      <p class="cond text-lg" role="status">
        {{ count }} {{ count === 1 ? 'job' : 'jobs' }} chosen
      </p>
      <button class="btn btn-small" @click="emit('all')">Choose all shown</button>
      <button class="btn btn-small" :disabled="count < 2" @click="emit('merge')">Merge</button>
      <button class="btn btn-small" @click="emit('clear')">Choose none</button>
    </div>
    <div class="mt-1 grid grid-cols-2 gap-2 sm:grid-cols-3">
      <UiSelect
        v-for="field in fields"
        :key="field.name"
        :model-value="untouched"
        :label="`${field.label} of all`"
        :options="field.options"
        none="Leave as it is"
        @update:model-value="set(field.name, $event)"
      />
    </div>
  </section>
</template>

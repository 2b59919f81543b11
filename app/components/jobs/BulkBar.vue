<script setup lang="ts">
import { computed, ref } from 'vue'
import { inOrder } from '#core/model/refit'
import { purposes } from '#core/model/words'
import { purposeName, severityName } from '#core/plan/priority'

/** What can be done to all chosen jobs at once. */
defineProps<{ count: number }>()
const emit = defineEmits<{
  change: [fields: Readonly<Record<string, unknown>>, ofSteps: Readonly<Record<string, unknown>>]
  remove: []
  merge: []
  all: []
  clear: []
}>()
const store = useRefitStore()
const { people } = usePeople()
interface Field {
  readonly name: string
  readonly label: string
  /** Written to the open steps of the jobs. */
  readonly ofSteps?: boolean
  readonly options: readonly { readonly value: string; readonly label: string }[]
}
/** Stands for nobody in a list where empty means: leave as it is. */
const nobody = 'nobody'
const fields = computed<Field[]>(() => [
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
  { name: 'hullNeed', label: 'Hull', ofSteps: true, options: optionsOf('step', 'hullNeed') },
  { name: 'skill', label: 'Skill', ofSteps: true, options: optionsOf('step', 'skill') },
  {
    name: 'wantedPersonId',
    label: 'Kept for',
    ofSteps: true,
    options: [{ value: nobody, label: 'Whoever can' }, ...people.value],
  },
])
/** What is to be set, by field; nothing is written before Apply, so arrows through a list change no job. */
const given = ref<Readonly<Record<string, string | null>>>({})
const ready = computed(() => Object.values(given.value).some((value) => value !== null))
function apply() {
  const set = Object.entries(given.value).filter(([, value]) => value !== null)
  const stepFields = new Set(fields.value.filter((one) => one.ofSteps).map((one) => one.name))
  const pick = (ofSteps: boolean): Record<string, unknown> =>
    Object.fromEntries(
      set
        .filter(([name]) => stepFields.has(name) === ofSteps)
        .map(([name, value]) => [
          name,
          name === 'severity' ? Number(value) : value === nobody ? null : value,
        ]),
    )
  const ofJobs = pick(false)
  given.value = {}
  emit('change', 'gateId' in ofJobs ? { ...ofJobs, placed: true } : ofJobs, pick(true))
}
const bar = ref<HTMLElement | null>(null)
defineExpose({ focus: () => bar.value?.querySelector('select')?.focus() })
</script>

<template>
  <section
    ref="bar"
    class="sticky top-0 z-10 mt-2 border-2 border-ink bg-brass-tint p-2"
    aria-label="Change the chosen jobs"
  >
    <div class="flex flex-wrap items-center gap-2">
      <p class="cond text-lg" role="status">
        {{ count }} {{ count === 1 ? 'job' : 'jobs' }} chosen
      </p>
      <button class="btn btn-small" @click="emit('all')">Choose all shown</button>
      <button class="btn btn-small" :disabled="count < 2" @click="emit('merge')">Merge</button>
      <button class="btn btn-small" @click="emit('remove')">Remove</button>
      <button class="btn btn-small" @click="emit('clear')">Choose none</button>
    </div>
    <div class="mt-1 grid grid-cols-2 gap-2 sm:grid-cols-3">
      <UiSelect
        v-for="field in fields"
        :key="field.name"
        :model-value="given[field.name] ?? null"
        :label="`${field.label} of all${field.ofSteps ? ' open steps' : ''}`"
        :options="field.options"
        none="Leave as it is"
        @update:model-value="given = { ...given, [field.name]: $event }"
      />
    </div>
    <button class="btn btn-main mt-2" :disabled="!ready" @click="apply">
      Apply to {{ count }} {{ count === 1 ? 'job' : 'jobs' }}
    </button>
  </section>
</template>

<script setup lang="ts">
import { computed } from 'vue'
import type { HoursEntry } from '#core/model/entities'
import { inOrder } from '#core/model/refit'

/** Puts an entry of hours right in any of its fields; the old one stays to be seen, struck through. */
const props = defineProps<{ entry: HoursEntry }>()
const emit = defineEmits<{ close: [] }>()
const store = useRefitStore()
const { options, nameOf } = useStepNames()
const people = computed(() =>
  inOrder(store.rows.person).map((person) => ({ value: person.id, label: person.name })),
)
const form = useRowForm('hoursEntry', () => {
  const { stepId, personId, on, kind, note, hours } = props.entry
  return { stepId, personId, on, kind, note, hours }
})
async function keep() {
  const done = await form.save('Correct hours', (values) => {
    const step = store.rows.step.find((one) => one.id === values.stepId)
    const jobId = values.stepId === props.entry.stepId ? props.entry.jobId : (step?.jobId ?? null)
    return [
      {
        op: 'create',
        entity: 'hoursEntry',
        id: newId(),
        patch: { ...values, jobId, correctsId: props.entry.id },
      },
    ]
  })
  if (done) emit('close')
}
</script>

<template>
  <UiDialog open title="Correct hours" @close="emit('close')">
    <form class="grid gap-4" @submit.prevent="keep">
      <p>The old entry stays to be seen, struck through.</p>
      <p v-if="form.values.stepId">
        <span class="cond text-ink2">On</span> {{ nameOf(String(form.values.stepId)) }}
      </p>
      <UiPick label="On another step" :options="options" @pick="form.set('stepId', $event)" />
      <div class="grid grid-cols-2 gap-3">
        <FieldInput v-bind="form.bind('hours', 'It was really')" />
        <FieldInput v-bind="form.bind('on', 'Day')" />
        <FieldInput v-bind="form.bind('personId')" :options="people" />
        <FieldInput v-bind="form.bind('kind')" />
      </div>
      <FieldInput v-bind="form.bind('note')" />
      <p v-if="form.wrong.value" class="text-redlead" role="alert">{{ form.wrong.value }}</p>
      <button class="btn btn-main" type="submit" :disabled="form.busy.value">Keep it</button>
    </form>
  </UiDialog>
</template>

<script setup lang="ts">
import type { Person } from '#core/model/entities'

/** A day on which somebody comes besides the usual week, with its hours from door to door. */
const props = defineProps<{ person: Person }>()
const emit = defineEmits<{ close: [] }>()
const store = useRefitStore()
/** As on the first of the usual days. */
const usual = store.rows.weekSlot.find((one) => one.personId === props.person.id)
const form = useRowForm('personDay', () => ({
  personId: props.person.id,
  on: store.derived.today,
  kind: 'extraDay',
  from: usual?.from ?? '08:30',
  to: usual?.to ?? '17:00',
}))
async function keep() {
  const done = await form.save(`Extra day of ${props.person.name}`, (values) => [
    { op: 'create', entity: 'personDay', id: newId(), patch: values },
  ])
  if (done) emit('close')
}
</script>

<template>
  <UiDialog open :title="`An extra day of ${person.name}`" @close="emit('close')">
    <form class="grid gap-4" @submit.prevent="keep">
      <div class="grid grid-cols-2 gap-3 sm:grid-cols-[2fr_1fr_1fr]">
        <UiDate v-bind="form.bind('on', 'On')" class="max-sm:col-span-2" />
        <UiTime v-bind="form.bind('from', 'From')" />
        <UiTime v-bind="form.bind('to', 'To')" />
      </div>
      <UiText v-bind="form.bind('reason', 'What for')" :most="200" />
      <p v-if="form.wrong.value" class="text-redlead" role="alert">{{ form.wrong.value }}</p>
      <button class="btn btn-main" type="submit" :disabled="form.busy.value">Keep it</button>
    </form>
  </UiDialog>
</template>

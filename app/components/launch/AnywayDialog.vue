<script setup lang="ts">
import { watch } from 'vue'

/** She goes in with something open: who says so, and why. It stays in the log. */
const props = defineProps<{ open: boolean; haulOutId: string; stops: readonly string[] }>()
const emit = defineEmits<{ close: [] }>()
const time = useTimeStore()
const { people, signer } = usePeople()
const form = useRowForm('readySign', () => ({
  because: '',
  personId: signer(),
}))
watch(
  () => props.open,
  (open) => open && form.reset(),
)
async function sign() {
  const kept = await form.save('She goes in all the same', ({ because, ...values }) => [
    {
      op: 'create',
      entity: 'readySign',
      id: newId(),
      patch: {
        ...values,
        because:
          because === ''
            ? ''
            : `${because as string} Open then: ${props.stops.join(', ')}.`.slice(0, 1000),
        as: 'anyway',
        item: 'launch',
        haulOutId: props.haulOutId,
        at: Math.round(time.now),
      },
    },
  ])
  if (kept) emit('close')
}
</script>

<template>
  <UiDialog :open="open" title="She goes in all the same" red @close="emit('close')">
    <form class="grid gap-3" @submit.prevent="sign">
      <p>
        {{ stops.length === 1 ? 'This stops' : `These ${stops.length} stop` }} her:
        {{ stops.join(', ') }}. With your name she goes in like that, and both stay in the log.
        Nothing here becomes tight by it.
      </p>
      <FieldInput v-bind="form.bind('because', 'Why')" />
      <FieldInput v-bind="form.bind('personId')" :options="people" none="Choose" />
      <p v-if="form.wrong.value" class="text-redlead" role="alert">{{ form.wrong.value }}</p>
      <div><button class="btn btn-red" :disabled="form.busy.value">Sign with my name</button></div>
    </form>
  </UiDialog>
</template>

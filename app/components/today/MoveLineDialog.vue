<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { DayLine } from '#core/today/dayLine'
import { besides } from '#core/today/dayOrder'
import type { PutBefore } from '#core/today/dayOrder'

/** Where a step goes in the day, and who does it: what is dragged with a mouse, in words. */
const props = defineProps<{
  line: DayLine | null
  lines: readonly DayLine[]
  personIds: readonly string[]
}>()
const emit = defineEmits<{
  close: []
  put: [stepId: string, where: PutBefore]
  give: [stepId: string, personId: string | null]
}>()
const store = useRefitStore()
const step = computed(() => props.line?.step ?? null)
const last = 'last'
const before = ref<string | null>(null)
const who = ref<string | null>(null)
watch(
  () => step.value?.id,
  () => {
    before.value = null
    who.value = step.value?.wantedPersonId ?? null
  },
  { immediate: true },
)
const places = computed(() => {
  if (!step.value) return []
  const others = besides(props.lines, step.value.id).map((id) => ({
    value: id,
    label: `Before “${store.rows.step.find((one) => one.id === id)?.title ?? ''}”`,
  }))
  return others.length === 0 ? [] : [...others, { value: last, label: 'After the others' }]
})
const isAlone = computed(() => props.line?.personIds.length === 1)
const people = computed(() =>
  store.rows.person
    .filter((one) => props.personIds.includes(one.id) || one.id === step.value?.wantedPersonId)
    .map((one) => ({ value: one.id, label: one.name })),
)
function move() {
  const one = step.value
  if (!one) return
  if (who.value !== one.wantedPersonId) emit('give', one.id, who.value)
  else if (before.value !== null)
    emit('put', one.id, { beforeId: before.value === last ? null : before.value })
  emit('close')
}
</script>

<template>
  <UiDialog :open="step !== null" :title="`Move “${step?.title ?? ''}”`" @close="emit('close')">
    <form class="grid gap-3" @submit.prevent="move">
      <UiSelect
        v-if="places.length > 0"
        v-model="before"
        label="Today it comes"
        :options="places"
        none="Where it is"
      />
      <p v-else class="text-ink2">Nothing else of today is for its people.</p>
      <UiSelect
        v-if="isAlone && people.length > 1"
        v-model="who"
        label="Kept for"
        :options="people"
        none="Whoever can"
      />
      <div><button class="btn btn-main">Move it</button></div>
    </form>
  </UiDialog>
</template>

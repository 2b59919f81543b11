<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Step } from '#core/model/entities'
import { backTo, didNotWork } from '#core/steps/didNotWork'
import { formatHours } from '#core/units/hours'

/** It did not work: how far back, what is undone and made good, and what that does to the gate. Nothing is kept before the press. */
const props = defineProps<{ open: boolean; step: Step }>()
const emit = defineEmits<{ close: [] }>()
const store = useRefitStore()
const planner = usePlannerStore()
const toasts = useToastStore()
const cause = ref('')
const backToId = ref('')
const undoHours = ref<number | null>(0.5)
const goodHours = ref<number | null>(0)
const cureHours = ref<number | null>(0)
const wrong = ref('')
const effect = ref('')
const choices = computed(() =>
  backTo(store.rows, props.step).map((one, at) => ({
    value: one.id,
    label: at === 0 ? `Only this step: ${one.title}` : `Back to: ${one.title}`,
  })),
)
watch(
  () => props.open,
  (open) => {
    if (!open) return
    cause.value = ''
    backToId.value = props.step.id
    undoHours.value = 0.5
    goodHours.value = 0
    cureHours.value = 0
    wrong.value = ''
    effect.value = ''
  },
  { immediate: true },
)
watch(cause, () => (wrong.value = ''))
const draft = computed(() =>
  didNotWork(
    store.rows,
    props.step,
    {
      cause: cause.value.trim() === '' ? 'not said yet' : cause.value,
      backToId: backToId.value,
      undoHours: undoHours.value ?? 0,
      makeGoodHours: goodHours.value ?? 0,
      makeGoodCureHours: cureHours.value ?? 0,
    },
    newId,
  ),
)
async function ask() {
  if (!draft.value.ok) return
  effect.value = 'Working out what that does…'
  try {
    const said = await planner.whatIf(draft.value.value.items)
    if (said !== null) effect.value = said
  } catch (error) {
    effect.value = `It could not be worked out: ${sentenceOf(error)}`
  }
}
async function keep() {
  const made = didNotWork(
    store.rows,
    props.step,
    {
      cause: cause.value,
      backToId: backToId.value,
      undoHours: undoHours.value ?? 0,
      makeGoodHours: goodHours.value ?? 0,
      makeGoodCureHours: cureHours.value ?? 0,
    },
    newId,
  )
  if (!made.ok) {
    wrong.value = made.message
    return
  }
  if (await store.attempt(`Did not work: ${props.step.title}`, made.value.items)) {
    toasts.say(`${formatHours(made.value.hours)} more are planned. z takes it back.`)
    emit('close')
  }
}
</script>

<template>
  <UiDialog :open="open" :title="`Did not work: ${step.title}`" red @close="emit('close')">
    <form class="grid gap-3" @submit.prevent="keep">
      <UiText
        v-model="cause"
        label="Why"
        :most="200"
        :error="wrong"
        hint="Kept with the step, for the next one who does it."
      />
      <UiSelect v-model="backToId" label="How far back" :options="choices" />
      <div class="grid grid-cols-3 gap-3">
        <UiHours v-model="undoHours" label="Hours to undo it" :most="200" />
        <UiHours v-model="goodHours" label="Hours to make good" :most="200" />
        <UiHours v-model="cureHours" label="It cures for" :most="1000" :day="24" />
      </div>
      <p v-if="draft.ok" class="text-ink2">
        {{ draft.value.again.map((one) => `“${one.title}”`).join(', ') }} again:
        {{ formatHours(draft.value.hours) }} of work more. This step is closed as it went, and its
        hours stay.
      </p>
      <p v-if="effect" role="status">{{ effect }}</p>
      <div class="flex flex-wrap gap-3">
        <button class="btn btn-red">Do it again</button>
        <button type="button" class="btn" @click="ask">What would that do?</button>
      </div>
    </form>
  </UiDialog>
</template>

<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { doneTwice } from '#core/progress/rework'

/** Hours written down: by step, person and day. */
const store = useRefitStore()
const frame = useFrameStore()
const toasts = useToastStore()
const personId = useMe()
const timer = useTimer()
const open = computed(() => frame.panel === 'hours')
const { people } = usePeople()
const { options, nameOf } = useStepNames()
const form = useRowForm('hoursEntry', () => ({
  stepId: frame.stepId,
  hours: frame.hours,
  personId: personId.value || people.value[0]?.value,
  on: store.derived.today,
  kind: 'work',
}))
/** Why work was done again before: the same words are counted together. */
const causes = computed(() => {
  const known = doneTwice(store.rows).causes.map((one) => one.cause)
  return known.length === 0 ? 'Say why.' : `Say why; so far: ${known.slice(0, 4).join(', ')}.`
})
/** Others who did the same, for as long. */
const alsoIds = ref<readonly string[]>([])
const others = computed(() => people.value.filter((one) => one.value !== form.values.personId))
watch(
  open,
  (isOpen) => {
    if (!isOpen) return
    form.reset()
    alsoIds.value = []
  },
  { immediate: true },
)
const toggleOther = (id: string, here: boolean) =>
  (alsoIds.value = here ? [...alsoIds.value, id] : alsoIds.value.filter((one) => one !== id))

function startTimer() {
  timer.start(String(form.values.stepId))
  frame.close()
  toasts.say('The timer runs. Stop it beside the clocks.')
}
async function keep() {
  const done = await form.save('Hours', (values) => {
    const step = store.rows.step.find((one) => one.id === values.stepId)
    const also = alsoIds.value.filter((id) => id !== values.personId)
    return [values.personId, ...also].map((id) => ({
      op: 'create',
      entity: 'hoursEntry',
      id: newId(),
      patch: { ...values, personId: id, jobId: step?.jobId ?? null },
    }))
  })
  if (!done) return
  frame.close()
  toasts.say('Hours kept.')
}
</script>

<template>
  <UiDialog :open="open" title="Log hours" @close="frame.close()">
    <form class="grid gap-4" @submit.prevent="keep">
      <p v-if="people.length === 0" class="text-redlead">Add a person in Settings first.</p>
      <div v-if="form.values.stepId" class="flex items-center justify-between gap-2">
        <p><span class="cond text-ink2">On</span> {{ nameOf(String(form.values.stepId)) }}</p>
        <button type="button" class="btn btn-small" @click="form.set('stepId', null)">
          Change
        </button>
      </div>
      <UiPick v-else label="On which step" :options="options" @pick="form.set('stepId', $event)" />
      <div class="grid grid-cols-2 gap-3">
        <FieldInput v-bind="form.bind('hours')" />
        <FieldInput v-bind="form.bind('on', 'Day')" />
        <FieldInput v-bind="form.bind('personId')" :options="people" />
        <FieldInput v-bind="form.bind('kind')" />
      </div>
      <fieldset v-if="others.length > 0">
        <legend class="cond text-ink2">The same hours for</legend>
        <div class="flex flex-wrap gap-x-5">
          <UiCheck
            v-for="one in others"
            :key="one.value"
            :model-value="alsoIds.includes(one.value)"
            :label="one.label"
            @update:model-value="toggleOther(one.value, $event)"
          />
        </div>
      </fieldset>
      <details v-if="form.values.kind === 'work'">
        <summary class="cond cursor-pointer">It had to be done again</summary>
        <FieldInput v-bind="form.bind('reworkCause')" class="mt-2" :hint="causes" />
      </details>
      <FieldInput v-bind="form.bind('note')" />
      <p v-if="form.wrong.value" class="text-redlead" role="alert">{{ form.wrong.value }}</p>
      <div class="flex flex-wrap gap-3">
        <button class="btn btn-main" type="submit" :disabled="form.busy.value">Keep hours</button>
        <button
          v-if="form.values.stepId && !timer.running.value && !form.values.hours"
          class="btn"
          type="button"
          @click="startTimer"
        >
          Start the timer
        </button>
        <NuxtLink :to="`/r/${store.refitId}/hours`" class="btn" @click="frame.close()"
          >All hours</NuxtLink
        >
      </div>
    </form>
  </UiDialog>
</template>

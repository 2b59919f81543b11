<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Step } from '#core/model/entities'
import { countOf } from '#core/steps/counted'
import { acceptShort, restLater } from '#core/steps/stopShort'
import { formatHours } from '#core/units/hours'

/** A counted step stops before its last unit: the rest later, or enough as it is. */
const props = defineProps<{ open: boolean; step: Step; hoursLogged: number }>()
const emit = defineEmits<{ close: [] }>()
const store = useRefitStore()
const toasts = useToastStore()
const personId = useMe()
const because = ref('')
const by = ref<string | null>(null)
const wrong = ref<Record<string, string>>({})
const count = computed(() => countOf(props.step, props.hoursLogged))
const { people } = usePeople()
watch(
  () => props.open,
  (open) => {
    if (!open) return
    because.value = ''
    by.value = personId.value || (props.step.byIds[0] ?? null)
    wrong.value = {}
  },
  { immediate: true },
)
// What is answered is no longer asked for: a line that went later would move the page under a press.
watch([because, by], () => (wrong.value = {}))
async function later() {
  const made = restLater(store.rows, props.step, props.hoursLogged, newId)
  if (!made.ok) return toasts.say(made.message, true)
  if (await store.attempt(`Stop here: ${props.step.title}`, made.value)) {
    toasts.say('What is done is finished; the rest is a step of its own.')
    emit('close')
  }
}
async function accept() {
  const made = acceptShort(props.step, { because: because.value, byId: by.value })
  if (!made.ok) {
    wrong.value = Object.fromEntries((made.problems ?? []).map((one) => [one.field, one.message]))
    return
  }
  if (await store.attempt(`Enough as it is: ${props.step.title}`, made.value)) emit('close')
}
</script>

<template>
  <UiDialog :open="open" :title="`Stop here: ${step.title}`" @close="emit('close')">
    <template v-if="count">
      <p>
        {{ count.done }} of {{ count.of }} {{ count.unit }} are done, {{ count.left }}
        {{ count.left === 1 ? 'is' : 'are' }} left, {{ formatHours(count.hoursLeft) }} at this pace.
      </p>
      <h3 class="mt-3">The rest later</h3>
      <p class="text-ink2">
        What is done is finished and cures by itself. The rest becomes the next step; a bond window
        that is shut by then is keyed for.
      </p>
      <button class="btn mt-1" @click="later">The rest later</button>
      <h3 class="mt-4">Enough as it is</h3>
      <form class="grid gap-2" @submit.prevent="accept">
        <UiText
          v-model="because"
          label="Why that is enough"
          :most="300"
          :error="wrong.because"
          placeholder="the last six are under the tank"
        />
        <UiSelect
          v-model="by"
          label="Who says so"
          :options="people"
          none="Choose"
          :error="wrong.by"
        />
        <p class="text-ink2">A new as-built sheet takes it up with their name.</p>
        <div><button class="btn btn-main">Enough as it is</button></div>
      </form>
    </template>
  </UiDialog>
</template>

<script setup lang="ts">
import { ref, watch } from 'vue'
import type { Step } from '#core/model/entities'
import { limitsOf, sayLimits, verdictOf } from '#core/steps/readings'

/** A reading typed in, judged as it is typed. */
const props = defineProps<{ open: boolean; step: Step; unitNo: number | null }>()
const emit = defineEmits<{ close: []; kept: [] }>()
const store = useRefitStore()
const edits = useStepEdits()
const value = ref<number | null>(null)
const no = ref<number | null>(null)
const note = ref('')
const wrong = ref('')
watch(
  () => props.open,
  (open) => {
    if (!open) return
    value.value = null
    no.value = props.unitNo
    note.value = ''
    wrong.value = ''
  },
  { immediate: true },
)
const words = {
  pass: 'It passes.',
  watch: 'To be watched.',
  fail: 'It fails: what follows is held.',
} as const
async function keep() {
  if (value.value === null) {
    wrong.value = `Type what the meter says, in ${props.step.readUnit || 'its unit'}.`
    return
  }
  if (await edits.read(props.step, value.value, no.value, note.value)) emit('kept')
}
</script>

<template>
  <UiDialog
    :open="open"
    :title="`${step.readWhat}${no ? `, ${step.unitName || 'unit'} ${no}` : ''}`"
    @close="emit('close')"
  >
    <form @submit.prevent="keep">
      <UiNumber
        v-model="value"
        :label="`Value${step.readUnit ? `, ${step.readUnit}` : ''}`"
        :error="wrong"
      />
      <UiNumber
        v-if="(step.unitCount ?? 0) > 0"
        v-model="no"
        class="mt-2"
        label="Which one (empty: all of it)"
        whole
        may-be-empty
        :min="1"
        :max="step.unitCount ?? 1"
      />
      <template v-if="limitsOf(step)">
        <ReadingScale :limits="limitsOf(step)!" :value="value" />
        <p class="text-ink2">
          Passes {{ sayLimits(limitsOf(step)!, store.refit?.units ?? 'metric')
          }}<template v-if="step.readSource">, by {{ step.readSource }}</template
          >.
        </p>
        <p
          v-if="value !== null"
          class="cond text-lg"
          :class="{ 'text-redlead': verdictOf(value, limitsOf(step)!) === 'fail' }"
          role="status"
        >
          {{ words[verdictOf(value, limitsOf(step)!)] }}
        </p>
      </template>
      <UiText v-model="note" class="mt-2" label="Note" :most="500" />
      <button class="btn btn-main mt-4">Keep the reading</button>
    </form>
  </UiDialog>
</template>

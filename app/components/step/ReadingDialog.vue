<script setup lang="ts">
import { computed, watch } from 'vue'
import type { Step } from '#core/model/entities'
import { limitsOf, sayLimits, verdictOf } from '#core/steps/readings'

/** A reading typed in, judged as it is typed. */
const props = defineProps<{ open: boolean; step: Step; unitNo: number | null }>()
const emit = defineEmits<{ close: []; kept: [] }>()
const store = useRefitStore()
const edits = useStepEdits()
const form = useRowForm('reading', () => ({
  stepId: props.step.id,
  what: props.step.readWhat,
  unitNo: props.unitNo,
  value: null,
  at: edits.now(),
  personId: edits.me(),
  note: '',
}))
watch(
  () => props.open,
  (open) => open && form.reset(),
  { immediate: true },
)
const limits = computed(() => limitsOf(props.step))
const value = computed(() => (typeof form.values.value === 'number' ? form.values.value : null))
const verdict = computed(() =>
  value.value === null || !limits.value ? null : verdictOf(value.value, limits.value),
)
const words = {
  pass: 'It passes.',
  watch: 'To be watched.',
  fail: 'It fails: what follows is held.',
} as const
async function keep() {
  if (
    await form.save(`Reading: ${props.step.readWhat}`, (values) =>
      edits.readingItems(props.step, values),
    )
  )
    emit('kept')
}
</script>

<template>
  <UiDialog
    :open="open"
    :title="`${step.readWhat}${unitNo ? `, ${step.unitName || 'unit'} ${unitNo}` : ''}`"
    @close="emit('close')"
  >
    <form @submit.prevent="keep">
      <FieldInput
        v-bind="form.bind('value', `Value${step.readUnit ? `, ${step.readUnit}` : ''}`)"
      />
      <FieldInput
        v-if="(step.unitCount ?? 0) > 0"
        class="mt-2"
        v-bind="form.bind('unitNo', 'Which one (empty: all of it)')"
      />
      <template v-if="limits">
        <ReadingScale :limits="limits" :value="value" />
        <p class="text-ink2">
          Passes {{ sayLimits(limits, store.refit?.units ?? 'metric')
          }}<template v-if="step.readSource">, by {{ step.readSource }}</template>.
        </p>
        <!-- Its line is always there: a press on the button must not miss because a word came. -->
        <p
          class="cond min-h-7 text-lg"
          :class="{ 'text-redlead': verdict === 'fail' }"
          role="status"
        >
          {{ verdict ? words[verdict] : '' }}
        </p>
      </template>
      <FieldInput class="mt-2" v-bind="form.bind('note')" />
      <p v-if="form.wrong.value" class="text-redlead" role="alert">{{ form.wrong.value }}</p>
      <button class="btn btn-main mt-4" :disabled="form.busy.value">Keep the reading</button>
    </form>
  </UiDialog>
</template>

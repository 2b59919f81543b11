<script setup lang="ts" generic="Value">
import { computed, ref, useId, watch } from 'vue'
import type { Parsed } from '#core/units/parsed'

/**
 * A value typed as text: read on leaving or Enter, given back by Escape. What cannot be read stays
 * as typed, with a sentence beneath. All typed values (lengths, hours, sums, names) go through here.
 */
const props = defineProps<{
  modelValue: Value | null
  parse: (text: string) => Parsed<Value | null>
  format: (value: Value | null) => string
  label: string
  hideLabel?: boolean
  hint?: string
  error?: string
  placeholder?: string
  type?: string
  multiline?: boolean
  quiet?: boolean
  inputmode?: 'text' | 'decimal' | 'numeric'
}>()
const emit = defineEmits<{
  'update:modelValue': [value: Value | null]
  /** What was typed cannot be read; '': it can again. */
  invalid: [message: string]
}>()
const id = useId()
const text = ref(props.format(props.modelValue))
const wrong = ref('')
let sent: string | null = null

watch(
  () => props.modelValue,
  (value) => {
    sent = null
    if (wrong.value === '') text.value = props.format(value)
  },
)

function commit() {
  if (text.value === props.format(props.modelValue)) {
    if (wrong.value !== '') emit('invalid', '')
    wrong.value = ''
    return
  }
  const read = props.parse(text.value)
  wrong.value = read.ok ? '' : read.message
  if (!read.ok) {
    emit('invalid', read.message)
    return
  }
  // Enter is followed by the browser's own change event: one edit, not two.
  if (sent === text.value) return
  sent = text.value
  emit('invalid', '')
  emit('update:modelValue', read.value)
}
/** A message goes as soon as what is typed reads, so that nothing moves under the next press. */
function typed(event: Event) {
  text.value = (event.target as HTMLInputElement).value
  sent = null
  if (wrong.value !== '' && props.parse(text.value).ok) wrong.value = ''
}
const untouched = computed(() => text.value === props.format(props.modelValue))
const shownError = computed(() => wrong.value || (untouched.value ? props.error : ''))
function giveBack() {
  if (wrong.value !== '') emit('invalid', '')
  wrong.value = ''
  text.value = props.format(props.modelValue)
}
function enter(event: KeyboardEvent) {
  if (!props.multiline) commit()
  else if (event.ctrlKey || event.metaKey) commit()
}
</script>

<template>
  <UiField
    :id="id"
    v-slot="{ described }"
    :label="label"
    :hide-label="hideLabel"
    :hint="hint"
    :error="shownError"
  >
    <component
      :is="multiline ? 'textarea' : 'input'"
      :id="id"
      class="field"
      :class="{ 'border-transparent! bg-transparent! hover:border-rule!': quiet && !shownError }"
      :value="text"
      :type="multiline ? undefined : (type ?? 'text')"
      :rows="multiline ? 3 : undefined"
      :placeholder="placeholder"
      :inputmode="inputmode"
      :aria-invalid="Boolean(shownError)"
      :aria-describedby="described"
      autocomplete="off"
      @input="typed"
      @change="commit"
      @keydown.enter="enter"
      @keydown.esc.stop="giveBack"
    />
  </UiField>
</template>

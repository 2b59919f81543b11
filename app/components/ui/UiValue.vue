<script setup lang="ts" generic="Value">
import type { Result } from '#core/result'
import { computed, onBeforeUnmount, ref, useId, watch } from 'vue'

/**
 * A value typed as text: read on leaving or Enter, given back by Escape. What cannot be read stays
 * as typed, with a sentence beneath; so does what the store refuses. What another window saves meanwhile
 * never takes the place of what is being typed. All typed values go through here.
 */
const props = defineProps<{
  modelValue: Value | null
  parse: (text: string) => Result<Value | null>
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
  /** What reads is sent as it is typed; nothing is stored by it. */
  live?: boolean
}>()
const emit = defineEmits<{
  'update:modelValue': [value: Value | null]
  /** What was typed cannot be read; '': it can again. */
  invalid: [message: string]
}>()
const id = useId()
const stored = computed(() => props.format(props.modelValue))
const text = ref(stored.value)
const wrong = ref('')
/** It was the store that did not take it: what stands there is said too. */
const refused = ref(false)
/** Another window saved a new value while this one was being typed in. */
const overtaken = ref(false)
const focused = ref(false)
let sent: string | null = null
let awaited: string | null = null
let onScreen = true
onBeforeUnmount(() => (onScreen = false))

watch(stored, (now, before) => {
  if (props.live && focused.value) return
  const typing = focused.value && text.value !== before && text.value !== sent
  sent = null
  if (typing) overtaken.value = now !== awaited && now !== text.value
  else if (wrong.value === '') text.value = now
})

/** Sent now; what the store refuses stays as typed, with why and what is stored beneath. */
function send(value: Value | null) {
  sent = text.value
  awaited = props.format(value)
  fromField(
    (message) => {
      if (!onScreen) return false
      sent = null
      wrong.value = message
      refused.value = true
      return true
    },
    () => emit('update:modelValue', value),
  )
}
/** The value that the field had when it was entered, for Escape. */
let entered: Value | null = null
function enterField() {
  focused.value = true
  entered = props.modelValue
}
function leaveField() {
  focused.value = false
  if (props.live && wrong.value === '') text.value = stored.value
}
function commitLive() {
  const read = props.parse(text.value)
  refused.value = false
  wrong.value = read.ok ? '' : read.message
  emit('invalid', wrong.value)
  if (read.ok) emit('update:modelValue', read.value)
}
function commit() {
  if (props.live) return commitLive()
  if (text.value === stored.value) {
    if (wrong.value !== '') emit('invalid', '')
    wrong.value = ''
    overtaken.value = false
    return
  }
  // Leaving the field is no answer to the question beneath it; Enter is.
  if (overtaken.value) return
  const read = props.parse(text.value)
  refused.value = false
  wrong.value = read.ok ? '' : read.message
  if (!read.ok) {
    emit('invalid', read.message)
    return
  }
  // Enter is followed by the browser's own change event: one edit, not two.
  if (sent === text.value) return
  emit('invalid', '')
  send(read.value)
}
/** A message goes as soon as what is typed reads, so that nothing moves under the next press. */
function typed(event: Event) {
  text.value = (event.target as HTMLInputElement).value
  sent = null
  if (props.live) {
    const read = props.parse(text.value)
    if (!read.ok) return
    if (wrong.value !== '') emit('invalid', '')
    wrong.value = ''
    emit('update:modelValue', read.value)
    return
  }
  if (wrong.value === '' || !props.parse(text.value).ok) return
  wrong.value = ''
  emit('invalid', '')
}
const untouched = computed(() => text.value === stored.value)
const shownError = computed(() => {
  if (overtaken.value)
    return `Another window saved ${stored.value === '' ? 'nothing' : `“${stored.value}”`} here meanwhile. Enter keeps yours, Escape takes theirs.`
  if (wrong.value !== '' && refused.value)
    return `${wrong.value} Still stored: ${stored.value === '' ? 'nothing' : stored.value}.`
  return wrong.value || (untouched.value ? props.error : '')
})
function giveBack() {
  if (wrong.value !== '') emit('invalid', '')
  wrong.value = ''
  overtaken.value = false
  if (props.live) {
    emit('update:modelValue', entered)
    text.value = props.format(entered)
    return
  }
  text.value = stored.value
}
/** Escape first gives back what was typed; only then does it close what the field stands in. */
function escape(event: KeyboardEvent) {
  const asEntered = props.live ? props.format(entered) : stored.value
  if (text.value === asEntered && wrong.value === '') return
  event.stopPropagation()
  giveBack()
}
function enter(event: KeyboardEvent) {
  if (props.multiline && !event.ctrlKey && !event.metaKey) return
  overtaken.value = false
  commit()
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
      @focus="enterField"
      @blur="leaveField"
      @change="commit"
      @keydown.enter="enter"
      @keydown.esc="escape"
    />
  </UiField>
</template>

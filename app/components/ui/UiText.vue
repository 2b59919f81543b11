<script setup lang="ts">
import { accepted, refused } from '#core/result'
/** A line or block of text. */
const model = defineModel<string | null>({ default: null })
const props = defineProps<{
  label: string
  hideLabel?: boolean
  hint?: string
  error?: string
  placeholder?: string
  multiline?: boolean
  quiet?: boolean
  /** An empty one is refused. */
  needed?: boolean
  most?: number
}>()
const parse = (text: string) => {
  const said = text.trim()
  const most = props.most ?? 300
  if (props.needed && said === '') return refused(`${props.label} is empty. Write something.`)
  return said.length > most ? refused(`At most ${most} characters.`) : accepted(said)
}
</script>

<template>
  <UiValue
    v-model="model"
    :parse="parse"
    :format="(value) => value ?? ''"
    v-bind="{ label, hideLabel, hint, error, placeholder, multiline, quiet }"
  />
</template>

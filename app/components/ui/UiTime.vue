<script setup lang="ts">
import { accepted, refused } from '#core/result'
import { timeOf } from '#core/time/civil'

/** A time of day, 24-hour, typed: 8:30, 0830, 17. */
const model = defineModel<string | null>({ default: null })
const props = defineProps<{
  label: string
  hideLabel?: boolean
  error?: string
  hint?: string
  mayBeEmpty?: boolean
}>()
function parse(text: string) {
  if (props.mayBeEmpty && text.trim() === '') return accepted(null)
  const match = /^(\d{1,2})(?:[:.h ]?([0-5]\d))?$/.exec(text.trim())
  const hours = Number(match?.[1])
  if (!match || hours > 23) return refused(`“${text.trim()}” is not a time. Try 08:30.`)
  return accepted(timeOf(hours * 60 + Number(match[2] ?? 0)))
}
</script>

<template>
  <UiValue
    v-model="model"
    :parse="parse"
    :format="(value) => value ?? ''"
    :placeholder="mayBeEmpty ? '–' : '08:30'"
    v-bind="{ label, hideLabel, hint, error }"
  />
</template>

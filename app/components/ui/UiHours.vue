<script setup lang="ts">
import { accepted } from '#core/result'
import { formatHours, parseHours } from '#core/units/hours'
import type { HoursOfDay } from '#core/units/hours'

/** Hours as people write them: 1h30, 90m, 1.5. */
const model = defineModel<number | null>({ default: null })
const props = defineProps<{
  label: string
  hideLabel?: boolean
  hint?: string
  error?: string
  quiet?: boolean
  most?: number
  /** Hours in a typed day: 8 of work unless told otherwise, 24 of waiting. */
  day?: HoursOfDay
  mayBeEmpty?: boolean
}>()
const parse = (text: string) =>
  props.mayBeEmpty && text.trim() === ''
    ? accepted(null)
    : parseHours(text, props.most ?? 24, props.day ?? 8)
</script>

<template>
  <UiValue
    v-model="model"
    :parse="parse"
    :format="(value) => (value === null ? '' : formatHours(value))"
    placeholder="1h30"
    v-bind="{ label, hideLabel, hint, error, quiet }"
  />
</template>

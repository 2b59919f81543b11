<script setup lang="ts">
import { read, readNumber, unread } from '#core/units/parsed'

/** A plain number inside a range, in the unit the label names. */
const model = defineModel<number | null>({ default: null })
const props = defineProps<{
  label: string
  hideLabel?: boolean
  hint?: string
  error?: string
  min?: number
  max?: number
  whole?: boolean
  mayBeEmpty?: boolean
  quiet?: boolean
}>()
const parse = (text: string) => {
  if (props.mayBeEmpty && text.trim() === '') return read(null)
  const number = readNumber(text)
  if (number === null) return unread(`"${text}" is not a number.`)
  if (props.whole && !Number.isInteger(number)) return unread('A whole number, please.')
  if (props.min !== undefined && number < props.min) return unread(`At least ${props.min}.`)
  if (props.max !== undefined && number > props.max) return unread(`At most ${props.max}.`)
  return read(number)
}
</script>

<template>
  <UiValue
    v-model="model"
    :parse="parse"
    :format="(value) => (value === null || value === undefined ? '' : String(value))"
    inputmode="decimal"
    v-bind="{ label, hideLabel, hint, error, quiet }"
  />
</template>

<script setup lang="ts">
import { accepted, refused } from '#core/result'
import { readNumber } from '#core/units/parsed'

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
  if (props.mayBeEmpty && text.trim() === '') return accepted(null)
  const number = readNumber(text)
  if (number === null) return refused(`“${text}” is not a number.`)
  if (props.whole && !Number.isInteger(number)) return refused('A whole number, please.')
  if (props.min !== undefined && number < props.min) return refused(`At least ${props.min}.`)
  if (props.max !== undefined && number > props.max) return refused(`At most ${props.max}.`)
  return accepted(number)
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

<script setup lang="ts">
import { accepted } from '#core/result'
import { editableMoney, parseMoney } from '#core/money/money'

/** A sum in minor units of the refit's currency. */
const model = defineModel<number | null>({ default: null })
const props = defineProps<{
  label: string
  currency: string
  error?: string
  hint?: string
  mayBeEmpty?: boolean
}>()
const parse = (text: string) =>
  props.mayBeEmpty && text.trim() === '' ? accepted(null) : parseMoney(text, props.currency)
</script>

<template>
  <UiValue
    v-model="model"
    :parse="parse"
    :format="(value) => (value === null ? '' : editableMoney(value, currency))"
    v-bind="{ label, error, hint }"
  />
</template>

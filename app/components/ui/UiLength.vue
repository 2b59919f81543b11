<script setup lang="ts">
import { accepted } from '#core/result'
import { boatUnit, formatLength, parseHeight, parseLength } from '#core/units/length'
import type { UnitSystem } from '#core/units/length'

/** A length of the boat in metres, typed in any unit; a bare number is metres or feet, as the refit measures. */
const model = defineModel<number | null>({ default: null })
const props = defineProps<{
  label: string
  units: UnitSystem
  hint?: string
  error?: string
  placeholder?: string
  mayBeEmpty?: boolean
  /** A height that may lie under what it is measured from. */
  signed?: boolean
}>()
const parse = (text: string) =>
  props.mayBeEmpty && text.trim() === ''
    ? accepted(null)
    : (props.signed ? parseHeight : parseLength)(text, props.units, boatUnit(props.units))
</script>

<template>
  <UiValue
    v-model="model"
    :parse="parse"
    :format="(value) => (value === null ? '' : formatLength(value, units))"
    v-bind="{ label, hint, error, placeholder }"
  />
</template>

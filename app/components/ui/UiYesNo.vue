<script setup lang="ts">
import { computed } from 'vue'

/** Yes, no, or not said; `none` is the words for what holds where nobody says. */
const model = defineModel<boolean | null>({ default: null })
defineProps<{
  label: string
  none?: string
  hideLabel?: boolean
  hint?: string
  error?: string
  quiet?: boolean
}>()
const options = [
  { value: 'yes', label: 'Yes' },
  { value: 'no', label: 'No' },
] as const
const said = computed({
  get: () => (model.value === null ? null : model.value ? 'yes' : 'no'),
  set: (value: 'yes' | 'no' | null) => (model.value = value === null ? null : value === 'yes'),
})
</script>

<template>
  <UiSelect
    v-model="said"
    v-bind="{ label, hideLabel, hint, error, quiet, options }"
    :none="none ?? 'Not said'"
  />
</template>

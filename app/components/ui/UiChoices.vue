<script setup lang="ts">
/** Any of a few, all in sight: ticks under one heading. */
const model = defineModel<readonly string[]>({ default: () => [] })
const props = defineProps<{
  label: string
  options: readonly { readonly value: string; readonly label: string }[]
  hint?: string
}>()
/** In the order of the choices, whatever was ticked first. */
const toggled = (value: string): string[] =>
  props.options
    .map((one) => one.value)
    .filter((one) => (one === value) !== model.value.includes(one))
</script>

<template>
  <fieldset>
    <legend class="cond text-ink2">{{ label }}</legend>
    <div class="flex flex-wrap gap-x-4">
      <UiCheck
        v-for="option in options"
        :key="option.value"
        :model-value="model.includes(option.value)"
        :label="option.label"
        @update:model-value="model = toggled(option.value)"
      />
    </div>
    <p v-if="hint" class="text-ink2">{{ hint }}</p>
  </fieldset>
</template>

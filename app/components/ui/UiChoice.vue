<script setup lang="ts" generic="Value extends string | number">
import { RadioGroup, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue'

/** One of a few, all in sight: big plates to press. */
const model = defineModel<Value | null>({ default: null })
defineProps<{
  label: string
  options: readonly { readonly value: Value; readonly label: string }[]
  error?: string
}>()
</script>

<template>
  <RadioGroup :model-value="model ?? undefined" @update:model-value="model = $event">
    <RadioGroupLabel as="span" class="cond text-ink2">{{ label }}</RadioGroupLabel>
    <!-- Four on a phone: two and two, not three and one as wide as all. -->
    <div
      class="mt-1 flex flex-wrap gap-2"
      :class="{ 'max-sm:grid max-sm:grid-cols-2': options.length === 4 }"
    >
      <RadioGroupOption
        v-for="option in options"
        :key="option.value"
        v-slot="{ checked }"
        :value="option.value"
        as="template"
      >
        <div class="btn min-h-11! min-w-20 grow cursor-pointer" :class="{ 'btn-on': checked }">
          {{ option.label }}
        </div>
      </RadioGroupOption>
    </div>
    <p v-if="error" class="mt-1 text-redlead" role="alert">{{ error }}</p>
  </RadioGroup>
</template>

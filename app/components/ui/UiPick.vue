<script setup lang="ts">
import {
  Combobox,
  ComboboxInput,
  ComboboxLabel,
  ComboboxOption,
  ComboboxOptions,
} from '@headlessui/vue'
import { computed, ref } from 'vue'

/** Picks one thing by typing part of its name. */
const props = defineProps<{
  label: string
  options: readonly { readonly id: string; readonly name: string }[]
  error?: string
  placeholder?: string
}>()
const emit = defineEmits<{ pick: [id: string] }>()
const asked = ref('')
const mostShown = 30
const found = computed(() => {
  const words = asked.value.toLowerCase().split(/\s+/).filter(Boolean)
  return props.options
    .filter((option) => words.every((word) => option.name.toLowerCase().includes(word)))
    .slice(0, mostShown)
})
function pick(id: string | null) {
  if (id === null) return
  emit('pick', id)
  asked.value = ''
}
</script>

<template>
  <Combobox
    v-slot="{ open, activeIndex }"
    as="div"
    class="relative"
    :model-value="null"
    nullable
    @update:model-value="pick"
  >
    <ComboboxLabel class="cond block text-ink2">{{ label }}</ComboboxLabel>
    <ComboboxInput
      class="field"
      :placeholder="placeholder ?? 'Type part of its name'"
      :display-value="() => asked"
      :aria-invalid="Boolean(error)"
      autocomplete="off"
      @change="asked = $event.target.value"
      @keydown.enter.capture="enterAfterArrow($event, !open || activeIndex !== null)"
    />
    <ComboboxOptions
      class="absolute z-20 max-h-64 w-full overflow-auto border-2 border-ink bg-sheet"
    >
      <li v-if="found.length === 0" class="px-3 py-2 text-ink2">Nothing by that name.</li>
      <ComboboxOption
        v-for="option in found"
        :key="option.id"
        v-slot="{ active }"
        :value="option.id"
        as="template"
      >
        <li class="px-3 py-1.5 max-sm:py-3" :class="active ? 'bg-ink text-sheet' : ''">
          {{ option.name }}
        </li>
      </ComboboxOption>
    </ComboboxOptions>
    <p v-if="error" class="mt-1 text-redlead" role="alert">{{ error }}</p>
  </Combobox>
</template>

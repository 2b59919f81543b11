<script setup lang="ts">
import { useId } from 'vue'

/** A time of day, 24-hour. */
const model = defineModel<string | null>({ default: null })
defineProps<{ label: string; hideLabel?: boolean; error?: string; hint?: string }>()
const id = useId()
function take(event: Event) {
  const { value } = event.target as HTMLInputElement
  if (value !== '') model.value = value
}
</script>

<template>
  <UiField :id="id" v-slot="{ described }" v-bind="{ label, hideLabel, hint, error }">
    <input
      :id="id"
      type="time"
      class="field"
      :value="model ?? ''"
      :aria-invalid="Boolean(error)"
      :aria-describedby="described"
      @change="take"
    />
  </UiField>
</template>

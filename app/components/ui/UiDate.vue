<script setup lang="ts">
import { useId } from 'vue'

/** A civil date; the browser's own picker, which reads aloud and works with gloves. */
const model = defineModel<string | null>({ default: null })
const props = defineProps<{
  label: string
  hideLabel?: boolean
  hint?: string
  error?: string
  mayBeEmpty?: boolean
}>()
const id = useId()
function take(event: Event) {
  const { value } = event.target as HTMLInputElement
  if (value !== '') model.value = value
  else if (props.mayBeEmpty) model.value = null
}
</script>

<template>
  <UiField :id="id" v-slot="{ described }" v-bind="{ label, hideLabel, hint, error }">
    <input
      :id="id"
      type="date"
      class="field"
      :value="model ?? ''"
      min="1970-01-01"
      max="2200-12-31"
      :aria-invalid="Boolean(error)"
      :aria-describedby="described"
      @change="take"
    />
  </UiField>
</template>

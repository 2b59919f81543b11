<script setup lang="ts" generic="Value extends string | number">
import { ref, useId } from 'vue'

/** One of a list. `none` is the words for nothing chosen; without it something always is. */
const model = defineModel<Value | null>({ default: null })
const props = defineProps<{
  label: string
  options: readonly { readonly value: Value; readonly label: string }[]
  none?: string
  hideLabel?: boolean
  hint?: string
  error?: string
  quiet?: boolean
}>()
const id = useId()
const box = ref<HTMLSelectElement | null>(null)
const { refusal, put } = useRefusal(() => {
  if (box.value) box.value.value = String(model.value ?? '')
})
function take(event: Event) {
  const { selectedIndex } = event.target as HTMLSelectElement
  const index = props.none === undefined ? selectedIndex : selectedIndex - 1
  put(() => (model.value = props.options[index]?.value ?? null))
}
</script>

<template>
  <UiField
    :id="id"
    v-slot="{ described }"
    v-bind="{ label, hideLabel, hint, error: refusal || error }"
  >
    <select
      :id="id"
      ref="box"
      class="field"
      :class="{ 'border-transparent! bg-transparent! hover:border-rule!': quiet }"
      :value="model ?? ''"
      :aria-invalid="Boolean(refusal || error)"
      :aria-describedby="described"
      @change="take"
    >
      <option v-if="none !== undefined" value="">{{ none }}</option>
      <option v-for="option in options" :key="option.value" :value="option.value">
        {{ option.label }}
      </option>
    </select>
  </UiField>
</template>

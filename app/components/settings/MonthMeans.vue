<script setup lang="ts">
/** Twelve means of air, January first. */
const props = defineProps<{ means: readonly number[]; of?: string }>()
const emit = defineEmits<{ set: [means: number[]] }>()
const months = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec']
function set(index: number, value: number | null) {
  if (value !== null)
    emit(
      'set',
      props.means.map((one, at) => (at === index ? value : one)),
    )
}
</script>

<template>
  <div
    class="grid grid-cols-4 gap-2 sm:grid-cols-6 lg:grid-cols-12"
    role="group"
    :aria-label="of ? `Mean air in ${of}` : 'Mean air'"
  >
    <UiQuantity
      v-for="(month, index) in months"
      :key="month"
      :model-value="means[index] ?? null"
      :label="month"
      unit="°C"
      :min="-40"
      :max="50"
      @update:model-value="set(index, $event)"
    />
  </div>
</template>

<script setup lang="ts" generic="Value extends string">
/** The pages of a view side by side; `e` goes on to the next. */
interface Page {
  readonly value: Value
  readonly label: string
  /** Where there is little room. */
  readonly short?: string
}
const props = defineProps<{ label: string; pages: readonly Page[] }>()
const model = defineModel<Value>({ required: true })
const narrow = useNarrow()
useKeyScope({
  pageNext: () => {
    const at = props.pages.findIndex((one) => one.value === model.value)
    const next = props.pages[(at + 1) % props.pages.length]
    if (next) model.value = next.value
  },
})
</script>

<template>
  <div
    class="no-print flex shrink-0 max-sm:w-full max-sm:flex-wrap"
    role="group"
    :aria-label="label"
  >
    <button
      v-for="one in pages"
      :key="one.value"
      class="btn btn-small not-first:-ml-0.5"
      :class="{ 'btn-on': model === one.value, 'max-sm:grow': pages.length < 4 }"
      :aria-pressed="model === one.value"
      @click="model = one.value"
    >
      {{ narrow ? (one.short ?? one.label) : one.label }}
    </button>
  </div>
</template>

<script setup lang="ts" generic="Value extends string">
import { watch } from 'vue'

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
/** The page asked for last: a press that comes before it stands goes on from there. */
let asked = model.value
watch(model, (now) => (asked = now))
function go(to: Value) {
  asked = to
  model.value = to
}
useKeyScope({
  pageNext: () => {
    const at = props.pages.findIndex((one) => one.value === asked)
    const next = props.pages[(at + 1) % props.pages.length]
    if (next) go(next.value)
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
      @click="go(one.value)"
    >
      {{ narrow ? (one.short ?? one.label) : one.label }}
    </button>
  </div>
</template>

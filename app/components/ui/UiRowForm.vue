<script setup lang="ts">
import { computed } from 'vue'

/** The frame of a form that adds a row: its fields, the button that keeps them, and what is wrong with them as a whole. */
const props = defineProps<{
  form: Pick<ReturnType<typeof useRowForm>, 'busy' | 'wrong' | 'errors'>
  /** Words of the button. */
  keep: string
}>()
defineEmits<{ keep: [] }>()
/** What stands at a field is not said twice. */
const wrong = computed(() => {
  const said = props.form.wrong.value
  return Object.values(props.form.errors.value).includes(said) ? '' : said
})
</script>

<template>
  <form class="no-print mt-2 items-end gap-2" @submit.prevent="$emit('keep')">
    <slot />
    <button class="btn justify-self-start" :disabled="form.busy.value">{{ keep }}</button>
    <p v-if="wrong" class="col-span-full basis-full text-redlead" role="alert">
      {{ wrong }}
    </p>
  </form>
</template>

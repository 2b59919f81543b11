<script setup lang="ts">
import { accepted } from '#core/result'
import { CalendarDays } from '@lucide/vue'
import { ref } from 'vue'
import { parseDate } from '#core/time/parseDate'
import { sayFullDate } from '#core/time/say'

/** A civil date, read and shown as "Sat 2 May 2026", typed or picked from the browser's own calendar. */
const emit = defineEmits<{ invalid: [message: string] }>()
const model = defineModel<string | null>({ default: null })
const props = defineProps<{
  label: string
  hideLabel?: boolean
  hint?: string
  error?: string
  mayBeEmpty?: boolean
}>()
const store = useRefitStore()
const time = useTimeStore()
const picker = ref<HTMLInputElement | null>(null)
const { refusal, put } = useRefusal(() => {
  if (picker.value) picker.value.value = model.value ?? ''
})
/** Before a refit is open, the day of this machine's clock will do. */
const today = () =>
  store.refit ? store.derived.today : new Date(time.now).toISOString().slice(0, 10)
const parse = (text: string) =>
  props.mayBeEmpty && text.trim() === '' ? accepted(null) : parseDate(text, today())
function take(event: Event) {
  const { value } = event.target as HTMLInputElement
  if (value !== '') put(() => (model.value = value))
  else if (props.mayBeEmpty) put(() => (model.value = null))
}
</script>

<template>
  <div class="relative">
    <UiValue
      v-model="model"
      class="date-text"
      :parse="parse"
      :format="(value) => (value ? sayFullDate(value) : '')"
      placeholder="2 May 2026"
      v-bind="{ label, hideLabel, hint, error: refusal || error }"
      @invalid="emit('invalid', $event)"
    />
    <button
      type="button"
      class="absolute right-0 flex size-9 items-center justify-center text-ink2 max-sm:size-11"
      :class="hideLabel ? 'top-0' : 'top-6'"
      :aria-label="`Pick: ${label}`"
      @click="picker?.showPicker()"
    >
      <CalendarDays :size="18" aria-hidden="true" />
    </button>
    <input
      ref="picker"
      type="date"
      class="pointer-events-none absolute right-0 bottom-0 h-9 w-9 opacity-0"
      tabindex="-1"
      aria-hidden="true"
      :value="model ?? ''"
      min="1970-01-01"
      max="2200-12-31"
      @change="take"
    />
  </div>
</template>

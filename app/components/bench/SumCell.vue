<script setup lang="ts">
import { computed } from 'vue'
import type { Cell, Scalar } from '#core/bench/ask'

/** One figure of a sum: typed, chosen, measured or guessed. */
const props = defineProps<{
  cell: Cell
  path: string
  value: Scalar
  error: string
  isKnown: boolean
  hideLabel?: boolean
  /** What is read before the label where that is not shown: which line it is of. */
  within?: string
}>()
const emit = defineEmits<{
  put: [value: Scalar]
  known: [is: boolean]
  unread: [message: string]
}>()
const store = useRefitStore()
const amount = computed(() => (typeof props.value === 'number' ? props.value : null))
const isAmount = computed(() => props.cell.is === 'amount' || props.cell.is === 'maybe')
const unit = computed(() => ('unit' in props.cell ? props.cell.unit : ''))
const nudge = computed(() => ('nudge' in props.cell ? (props.cell.nudge ?? 0) : 0))
function move(by: -1 | 1) {
  if (!('max' in props.cell) || typeof props.value !== 'number') return
  const to = Number((props.value + by * nudge.value).toFixed(3))
  emit('put', Math.min(props.cell.max, Math.max(props.cell.min, to)))
}
/** Hours of the day, as a clock shows them. */
const asClock = (hours: number | null): string | null => {
  if (hours === null) return null
  const minutes = Math.round(hours * 60)
  return `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`
}
const fromClock = (said: string | null): number | null =>
  said === null || said === '' ? null : Number(said.slice(0, 2)) + Number(said.slice(3, 5)) / 60
const isGuessable = computed(
  () =>
    (props.cell.is === 'amount' || props.cell.is === 'maybe') &&
    props.cell.doubt !== undefined &&
    props.value !== null,
)
const label = computed(() =>
  props.within && props.hideLabel
    ? `${props.within}: ${props.cell.label.toLowerCase()}`
    : props.cell.label,
)
const why = computed(() =>
  props.cell.is === 'pick'
    ? (props.cell.options.find((one) => one.value === props.value)?.why ?? props.cell.help)
    : props.cell.is === 'words'
      ? undefined
      : props.cell.help,
)
</script>

<template>
  <div class="flex items-end gap-1" :data-path="path">
    <UiMoney
      v-if="isAmount && unit === 'money'"
      class="min-w-0 grow"
      :model-value="amount"
      :label="label"
      :hide-label="hideLabel"
      :currency="store.refit?.currency ?? 'EUR'"
      :may-be-empty="cell.is === 'maybe'"
      :error="error"
      @update:model-value="emit('put', $event ?? null)"
      @invalid="emit('unread', $event)"
    />
    <UiTime
      v-else-if="isAmount && unit === 'clock'"
      class="min-w-0 grow"
      :model-value="asClock(amount)"
      :label="label"
      :hide-label="hideLabel"
      :may-be-empty="cell.is === 'maybe'"
      :error="error"
      @update:model-value="emit('put', fromClock($event ?? null))"
      @invalid="emit('unread', $event)"
    />
    <UiQuantity
      v-else-if="cell.is === 'amount' || cell.is === 'maybe'"
      class="min-w-0 grow"
      :model-value="amount"
      :label="label"
      :hide-label="hideLabel"
      :unit="cell.unit"
      :min="cell.min"
      :max="cell.max"
      :whole="cell.whole"
      :may-be-empty="cell.is === 'maybe'"
      :hint="hideLabel ? undefined : cell.help"
      :error="error"
      live
      @update:model-value="emit('put', $event ?? null)"
      @invalid="emit('unread', $event)"
    />
    <UiSelect
      v-else-if="cell.is === 'pick'"
      class="min-w-0 grow"
      :model-value="value as string"
      :label="label"
      :hide-label="hideLabel"
      :options="cell.options"
      :hint="hideLabel ? undefined : why"
      :error="error"
      @update:model-value="emit('put', $event)"
    />
    <UiText
      v-else
      class="min-w-0 grow"
      :model-value="value as string"
      :label="label"
      :hide-label="hideLabel"
      :most="cell.most"
      :error="error"
      @update:model-value="emit('put', $event ?? '')"
    />
    <template v-if="nudge > 0">
      <button type="button" class="btn nudge" :aria-label="`${label}: less`" @click="move(-1)">
        −
      </button>
      <button type="button" class="btn nudge" :aria-label="`${label}: more`" @click="move(1)">
        +
      </button>
    </template>
    <button
      v-if="isGuessable"
      type="button"
      class="mark cond"
      :class="isKnown ? 'is-known' : 'is-guess'"
      :aria-pressed="isKnown"
      :title="isKnown ? 'Measured. Press if it is a guess.' : 'A guess. Press once it is measured.'"
      @click="emit('known', !isKnown)"
    >
      <span aria-hidden="true">{{ isKnown ? '[ ]' : '~' }}</span>
      <span class="sr-only">{{ label }} is measured</span>
    </button>
  </div>
</template>

<style scoped>
.nudge {
  flex: none;
  min-width: 2.75rem;
  font-size: 1.3rem;
}
.mark {
  flex: none;
  min-width: 2.25rem;
  min-height: 2.25rem;
  font-size: 1.1rem;
  color: var(--ink2);
}
.mark.is-guess {
  border-bottom: 2px dotted var(--ink2);
}
.mark.is-known {
  color: var(--ink);
  border-bottom: 2px solid transparent;
}
@media (pointer: coarse), (max-width: 640px) {
  .mark {
    min-width: 2.75rem;
    min-height: 2.75rem;
  }
}
</style>

<script setup lang="ts">
import { computed } from 'vue'
import type { Component } from 'vue'
import { UiMoney, UiQuantity, UiSelect, UiText, UiTime } from '#components'
import type { Cell, Scalar } from '#core/bench/ask'

interface Input {
  readonly is: Component
  readonly with: Readonly<Record<string, unknown>>
  /** What comes out of it, as the sum keeps it. */
  readonly take: (given: unknown) => Scalar
}

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
/** What the figure is typed or chosen in. */
const input = computed((): Input => {
  const { cell, value } = props
  const hint = props.hideLabel ? undefined : why.value
  const asIs = (given: unknown) => (given ?? null) as Scalar
  if (cell.is === 'words')
    return {
      is: UiText,
      with: { modelValue: value, most: cell.most },
      take: (one) => asIs(one) ?? '',
    }
  if (cell.is === 'pick')
    return { is: UiSelect, with: { modelValue: value, options: cell.options, hint }, take: asIs }
  const { unit, min, max, whole } = cell
  const mayBeEmpty = cell.is === 'maybe'
  if (unit === 'money')
    return {
      is: UiMoney,
      with: { modelValue: amount.value, currency: store.refit?.currency ?? 'EUR', mayBeEmpty },
      take: asIs,
    }
  if (unit === 'clock')
    return {
      is: UiTime,
      with: { modelValue: asClock(amount.value), mayBeEmpty },
      take: (one) => fromClock(one as string | null),
    }
  return {
    is: UiQuantity,
    with: { modelValue: amount.value, unit, min, max, whole, mayBeEmpty, hint, live: true },
    take: asIs,
  }
})
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
    <component
      :is="input.is"
      class="min-w-0 grow"
      v-bind="{ ...input.with, label, hideLabel, error }"
      @update:model-value="emit('put', input.take($event))"
      @invalid="emit('unread', $event)"
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
  min-width: 1.75rem;
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

<script setup lang="ts">
import { accepted, refused } from '#core/result'
import { computed } from 'vue'
import { editableQuantity, formatQuantity, parseQuantity, shownUnit } from '#core/units/quantity'

/** An amount core counts in one metric unit, typed and shown in the units of the refit. */
const emit = defineEmits<{ invalid: [message: string] }>()
const model = defineModel<number | null>({ default: null })
const props = defineProps<{
  label: string
  /** The metric unit core counts in: mm, m, m², mL, L, g, kg, g/m², °C, µm, t … */
  unit: string
  hideLabel?: boolean
  hint?: string
  error?: string
  /** In that unit. */
  min?: number
  max?: number
  mayBeEmpty?: boolean
  whole?: boolean
  live?: boolean
}>()
const store = useRefitStore()
const units = computed(() => store.refit?.units ?? 'metric')
const shown = computed(() => shownUnit(props.unit, units.value))
const labelled = computed(() =>
  ['pieces', 'times', ''].includes(props.unit) ? props.label : `${props.label}, ${shown.value}`,
)
const parse = (text: string) => {
  if (props.mayBeEmpty && text.trim() === '') return accepted(null)
  const found = parseQuantity(text, props.unit, units.value, (props.min ?? 0) < 0)
  if (!found.ok) return found
  if (props.whole && !Number.isInteger(found.value)) return refused('A whole number, please.')
  const say = (value: number) => formatQuantity(value, props.unit, units.value)
  if (props.min !== undefined && found.value < props.min - 1e-9)
    return refused(`At least ${say(props.min)}.`)
  if (props.max !== undefined && found.value > props.max + 1e-9)
    return refused(`At most ${say(props.max)}.`)
  return found
}
</script>

<template>
  <UiValue
    v-model="model"
    :parse="parse"
    :format="
      (value) => (value === null || value === undefined ? '' : editableQuantity(value, unit, units))
    "
    v-bind="{ label: labelled, hideLabel, hint, error, live }"
    @invalid="emit('invalid', $event)"
  />
</template>

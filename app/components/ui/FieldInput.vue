<script setup lang="ts">
import {
  UiCheck,
  UiChoice,
  UiChoices,
  UiDate,
  UiHours,
  UiLength,
  UiMoney,
  UiNumber,
  UiQuantity,
  UiSelect,
  UiText,
  UiTime,
  UiYesNo,
} from '#components'
import { computed } from 'vue'
import type { EntityName } from '#core/model/entities'
import { fieldLabel } from '#core/model/changes'
import { fieldOf } from '#core/model/references'

/**
 * The one input of a field of a row: what kind it is, its range, unit, words and whether it may be empty
 * follow from the description. A label of its own may be given where the place says what is meant.
 */
const model = defineModel<unknown>()
const emit = defineEmits<{ invalid: [message: string] }>()
const props = defineProps<{
  entity: EntityName
  field: string
  label?: string
  hideLabel?: boolean
  hint?: string
  error?: string
  placeholder?: string
  quiet?: boolean
  /** Words for nothing chosen. */
  none?: string
  /** Instead of those of the description. */
  options?: readonly { readonly value: string | number; readonly label: string }[]
  /** All choices in sight, to press. */
  plates?: boolean
}>()
const store = useRefitStore()
const spec = computed(() => fieldOf(props.entity, props.field))
const shownLabel = computed(() => props.label ?? fieldLabel(props.entity, props.field))
const longText = 1000

/** Units that are typed and shown in those of the refit. */
const byQuantity: ReadonlySet<string> = new Set(['°C', 'g', 't', 'mm', 'L'])
const byUnit = computed(() => {
  const { unit, min, max, nullable: mayBeEmpty, kind } = spec.value
  const units = store.refit?.units ?? 'metric'
  if (unit === 'minor')
    return { is: UiMoney, with: { currency: store.refit?.currency ?? 'EUR', mayBeEmpty } }
  if (unit === 'm') return { is: UiLength, with: { units, mayBeEmpty, signed: (min ?? 0) < 0 } }
  if (unit === 'h') return { is: UiHours, with: { most: max, mayBeEmpty } }
  if (unit === 'hRound') return { is: UiHours, with: { most: max, day: 24, mayBeEmpty } }
  if (unit && byQuantity.has(unit)) return { is: UiQuantity, with: { unit, min, max, mayBeEmpty } }
  return { is: UiNumber, with: { min, max, whole: kind === 'integer', mayBeEmpty } }
})
const chosen = computed(() => {
  const { nullable, to } = spec.value
  const options =
    props.options ??
    (to ? rowOptions(store.rows, to as EntityName) : optionsOf(props.entity, props.field))
  return {
    is: props.plates ? UiChoice : UiSelect,
    with: { options, none: props.none ?? (nullable && !props.plates ? 'Not said' : undefined) },
  }
})
const input = computed(() => {
  const { kind, max, min, nullable } = spec.value
  if (kind === 'choice' || kind === 'ref' || props.options) return chosen.value
  if (kind === 'real' || kind === 'integer') return byUnit.value
  if (kind === 'choices')
    return { is: UiChoices, with: { options: optionsOf(props.entity, props.field) } }
  if (kind === 'flag')
    return nullable ? { is: UiYesNo, with: { none: props.none } } : { is: UiCheck, with: {} }
  if (kind === 'date') return { is: UiDate, with: { mayBeEmpty: nullable } }
  if (kind === 'clockTime') return { is: UiTime, with: { mayBeEmpty: nullable } }
  return {
    is: UiText,
    with: { most: max, needed: min === 1, multiline: (max ?? 0) > longText },
  }
})
</script>

<template>
  <component
    :is="input.is"
    v-bind="{ ...input.with, label: shownLabel, hideLabel, hint, error, placeholder, quiet }"
    :model-value="model as never"
    @update:model-value="model = $event"
    @invalid="emit('invalid', $event)"
  />
</template>

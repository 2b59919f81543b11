<script setup lang="ts">
import { computed } from 'vue'
import type { ChangeItem } from '#core/model/changes'
import { entities } from '#core/model/entities'
import type { EntityName } from '#core/model/entities'
import { keyBetween } from '#core/model/order'
import { entityWord } from '#core/model/references'

/** One line that adds a row: its first field, more where the slot has them, and the button. It comes after those that stand. */
const props = defineProps<{
  entity: EntityName
  /** The field that names it. */
  field: string
  /** Words of the button. */
  keep: string
  label?: string
  placeholder?: string
  hint?: string
  hideLabel?: boolean
  /** What the other fields of the form begin with. */
  initial?: Readonly<Record<string, unknown>>
  /** What the row is given beside what was typed. */
  rest?: (values: Readonly<Record<string, unknown>>) => Record<string, unknown>
  /** What changes with it. */
  along?: (id: string) => readonly ChangeItem[]
}>()
const emit = defineEmits<{ made: [id: string] }>()
const store = useRefitStore()
/** So much of it is said in the list of changes. */
const mostOfName = 80
const form = useRowForm(props.entity, () => ({ [props.field]: '', ...props.initial }))
/** What stands beneath the field is out of the line, so that the button stays beside the field. */
const hasBeneath = computed(() => Boolean(form.errors.value[props.field] || props.hint))

/** After the last, where its kind has an order. */
function place(): Record<string, unknown> {
  if (!('order' in entities[props.entity])) return {}
  const keys = (store.asked[props.entity] as readonly { readonly order: string }[])
    .map((one) => one.order)
    .sort()
  return { order: keyBetween(keys.at(-1) || null, null) }
}
async function add() {
  const id = newId()
  const { entity, rest, along } = props
  const label = `New ${entityWord[entity]}: ${String(form.values[props.field]).trim().slice(0, mostOfName)}`
  const kept = await form.save(label, (values) => [
    { op: 'create', entity, id, patch: { ...values, ...place(), ...rest?.(values) } },
    ...(along?.(id) ?? []),
  ])
  if (!kept) return
  form.reset()
  emit('made', id)
}
</script>

<template>
  <UiRowForm
    class="flex flex-wrap"
    :class="hasBeneath ? 'sm:pb-7' : ''"
    :form="form"
    :keep="keep"
    @keep="add"
  >
    <FieldInput
      class="relative grow sm:[&_p]:absolute"
      v-bind="{ ...form.bind(field, label), placeholder, hint, hideLabel }"
    />
    <slot :bind="form.bind" />
  </UiRowForm>
</template>

<script setup lang="ts">
import { computed } from 'vue'
import type { EntityName } from '#core/model/entities'
import { fieldOf } from '#core/model/references'

/** A field of a row, edited in place and saved as it is left. The row is given, or that of the frame about it. */
defineOptions({ inheritAttrs: false })
const props = defineProps<{
  field: string
  entity?: EntityName
  row?: { readonly id: string; readonly version: number }
}>()
const store = useRefitStore()
const around = useRowAround()
const about = computed(() => props.entity ?? around?.entity ?? 'refit')
const rows = computed(() => useRows(about.value))
const row = computed(() => (props.row ?? around?.row.value) as Readonly<Record<string, unknown>>)
/** Ticks in a list build on those before them, also on those that the server has not answered yet. */
const shown = computed(() =>
  fieldOf(about.value, props.field).kind === 'choices'
    ? (store.askedRow(about.value, row.value as never) as unknown as typeof row.value)[props.field]
    : row.value[props.field],
)
function save(value: unknown) {
  const patch = { [props.field]: value ?? emptyOf(props.entity ?? around?.entity, props.field) }
  if (!props.row && around?.edit) around.edit(patch)
  else void rows.value.edit(row.value as never, patch)
}
</script>

<template>
  <FieldInput
    v-bind="$attrs"
    :entity="about"
    :field="field"
    :model-value="shown"
    @update:model-value="save"
  />
</template>

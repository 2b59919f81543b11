<script setup lang="ts">
import { computed } from 'vue'
import type { Row } from '#core/model/entities'
import { sayLimits } from '#core/steps/readings'
import { sheetLimits, sheetVerdict } from '#core/steps/sheetReading'
import { formatQuantity } from '#core/units/quantity'

/** A reading of a line of an as-built sheet with its limits: said shut, typed open. */
const props = defineProps<{
  entity: 'asBuiltLine' | 'asBuiltTest'
  row: Row<'asBuiltLine'> | Row<'asBuiltTest'>
}>()
const emit = defineEmits<{ edit: [patch: Record<string, unknown>] }>()
provideRow({
  entity: props.entity,
  row: computed(() => props.row),
  edit: (patch) => emit('edit', patch),
})
const store = useRefitStore()
const units = computed(() => store.refit?.units ?? 'metric')
const limits = computed(() => sheetLimits(props.row))
const verdict = computed(() => sheetVerdict(props.row))
const words = { pass: 'passes', watch: 'to be watched', fail: 'fails' } as const
const said = computed(() => {
  const { reading, readUnit } = props.row
  const read = reading === null ? '' : `[${formatQuantity(reading, readUnit, units.value)}]`
  const by = limits.value ? `limit ${sayLimits(limits.value, units.value)}` : ''
  return [read, verdict.value ? words[verdict.value] : '', by].filter(Boolean).join(' · ')
})
const fields = ['reading', 'readUnit', 'readLow', 'readHigh', 'readFailAt'] as const
</script>

<template>
  <details class="col-span-full">
    <summary class="cond" :class="verdict === 'fail' ? 'text-redlead' : 'text-ink2'">
      {{ said || 'Read it in figures' }}<span class="sr-only"> of {{ row.what }}</span>
    </summary>
    <div class="my-1 grid grid-cols-2 gap-2 sm:grid-cols-5">
      <RowField v-for="field in fields" :key="field" :field="field" />
    </div>
  </details>
</template>

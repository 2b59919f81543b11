<script setup lang="ts">
import { computed, watch } from 'vue'
import type { Row } from '#core/model/entities'
import { patchOf } from '#core/model/removal'

/** One part: what it is, for what, when its size is sure, from whom, how long it takes. */
const props = defineProps<{ open: boolean; part: Row<'part'> | null }>()
const emit = defineEmits<{ close: [] }>()
const parts = useRows('part')
const { suppliers, jobs, stepsOf } = usePartChoices()
const shown = [
  'name',
  'jobId',
  'neededByStepId',
  'fixedByStepId',
  'quantity',
  'unit',
  'packSize',
  'sparePercent',
  'priceMinor',
  'supplierId',
  'leadDays',
  'leadLateDays',
  'specification',
  'size',
  'metal',
  'hand',
  'shelfMonths',
  'warrantyMonths',
  'boughtAs',
  'lookUntil',
  'planB',
  'gamble',
  'gambleMinor',
  'state',
  'at',
] as const
type Shown = Record<string, unknown>
const initial = (): Shown => {
  const row = props.part as Shown | null
  const empty: Shown = {
    name: '',
    jobId: null,
    quantity: 1,
    unit: '',
    sparePercent: 0,
    hand: 'none',
    specification: '',
    size: '',
    metal: '',
    boughtAs: '',
    planB: '',
  }
  return row ? Object.fromEntries(shown.map((name) => [name, row[name]])) : empty
}
const form = useRowForm('part', initial)
watch(
  () => [props.open, props.part?.id],
  () => props.open && form.reset(),
  { immediate: true },
)
const steps = computed(() => stepsOf((form.values.jobId as string | null) ?? null))
const wasBoughtEarly = computed(
  () => props.part?.orderedOn != null && props.part.fixedByStepId !== null,
)
async function save() {
  const { part } = props
  const done = await form.save(part ? `Change ${part.name}` : 'New part', (values) =>
    part
      ? [patchOf('part', part, values)]
      : [{ op: 'create', entity: 'part', id: newId(), patch: values }],
  )
  if (done) emit('close')
}
async function remove() {
  if (props.part && (await parts.remove(props.part))) emit('close')
}
</script>

<template>
  <UiDialog :open="open" :title="part?.name ?? 'New part'" wide @close="emit('close')">
    <form class="grid gap-4" novalidate @submit.prevent="save">
      <div class="grid gap-3 sm:grid-cols-2">
        <FieldInput v-bind="form.bind('name')" class="sm:col-span-2" />
        <FieldInput v-bind="form.bind('jobId')" :options="jobs" none="No job" />
        <FieldInput v-bind="form.bind('neededByStepId')" :options="steps" none="No step: no day" />
        <FieldInput
          v-bind="form.bind('fixedByStepId')"
          :options="steps"
          none="Its size is sure"
          hint="The step that measures, draws or tries it"
        />
        <FieldInput v-bind="form.bind('supplierId')" :options="suppliers" none="Not known yet" />
      </div>
      <div class="grid grid-cols-2 gap-3 sm:grid-cols-4">
        <FieldInput v-bind="form.bind('quantity')" />
        <FieldInput v-bind="form.bind('unit')" placeholder="pieces, m, L" />
        <FieldInput v-bind="form.bind('packSize')" />
        <FieldInput v-bind="form.bind('sparePercent')" label="Spare, %" />
        <FieldInput v-bind="form.bind('priceMinor')" />
        <FieldInput v-bind="form.bind('leadDays')" hint="Empty: as the supplier" />
        <FieldInput v-bind="form.bind('leadLateDays')" />
        <FieldInput v-if="part" v-bind="form.bind('state')" />
      </div>
      <details :open="part !== null && (part.specification !== '' || part.size !== '')">
        <summary class="cond cursor-pointer">What exactly</summary>
        <div class="mt-2 grid gap-3 sm:grid-cols-3">
          <FieldInput v-bind="form.bind('specification')" class="sm:col-span-3" />
          <FieldInput v-bind="form.bind('size')" />
          <FieldInput v-bind="form.bind('metal')" />
          <FieldInput v-bind="form.bind('hand')" />
          <FieldInput v-bind="form.bind('shelfMonths')" />
          <FieldInput v-bind="form.bind('warrantyMonths')" />
          <FieldInput v-bind="form.bind('boughtAs')" />
          <FieldInput v-if="part" v-bind="form.bind('at')" none="Not here" />
        </div>
      </details>
      <details :open="part !== null && part.lookUntil !== null">
        <summary class="cond cursor-pointer">Look for it second-hand</summary>
        <div class="mt-2 grid gap-3 sm:grid-cols-2">
          <FieldInput v-bind="form.bind('lookUntil')" />
          <FieldInput v-bind="form.bind('planB')" />
        </div>
      </details>
      <div v-if="wasBoughtEarly" class="grid gap-3 border-l-4 border-brass pl-3 sm:grid-cols-2">
        <FieldInput v-bind="form.bind('gamble')" />
        <FieldInput v-bind="form.bind('gambleMinor')" />
      </div>
      <p v-if="form.wrong.value" class="text-redlead" role="alert">{{ form.wrong.value }}</p>
      <div class="flex flex-wrap gap-2">
        <button class="btn btn-main" :disabled="form.busy.value">Keep</button>
        <button type="button" class="btn" @click="emit('close')">Leave</button>
        <button v-if="part" type="button" class="btn ml-auto" @click="remove">Remove it</button>
      </div>
    </form>
  </UiDialog>
</template>

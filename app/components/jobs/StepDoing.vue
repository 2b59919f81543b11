<script setup lang="ts">
import type { Step } from '#core/model/entities'

/** How a step goes when it is done: what is counted, what is read, how many rounds it may take. */
defineProps<{ step: Step }>()
</script>

<template>
  <details>
    <summary class="cond">
      Counted, read, in rounds<template v-if="step.unitCount || step.readWhat || step.untilGood">
        ·
        {{
          [
            step.unitCount ? `${step.unitCount} ${step.unitName || 'units'}` : '',
            step.readWhat,
            step.untilGood ? `until ${step.untilGood}` : '',
          ]
            .filter(Boolean)
            .join(' · ')
        }}</template
      >
    </summary>
    <div class="mt-2 grid grid-cols-2 gap-3 lg:grid-cols-3">
      <RowField field="unitName" placeholder="bolts, holes, plies" />
      <RowField field="unitCount" />
      <div class="flex flex-wrap items-end gap-x-4">
        <RowField field="proveOnOne" />
        <RowField field="noNeighbours" />
      </div>
      <RowField field="readWhat" placeholder="moisture, play, voltage" />
      <RowField field="readUnit" placeholder="%, mm, V" />
      <RowField field="readSource" placeholder="data sheet, surveyor" />
      <RowField field="readLow" />
      <RowField field="readHigh" />
      <RowField field="readFailAt" />
      <RowField v-if="step.waitKind === 'dry'" field="readDry" />
      <RowField
        field="untilGood"
        class="col-span-2 lg:col-span-1"
        placeholder="a 1 m batten shows under 1 mm"
      />
      <RowField field="roundsLikely" />
      <RowField field="roundsMost" />
    </div>
  </details>
</template>

<script setup lang="ts">
import { computed } from 'vue'
import { comparedRuns } from '#core/forecast/chances'
import type { ChangeItem } from '#core/model/changes'

/** The chance that a change buys, by the same runs with and without it; made when somebody asks. */
const props = defineProps<{ items: readonly ChangeItem[] }>()
const store = useRefitStore()
const planner = usePlannerStore()
const { progress, failed, found, start } = useAskedRuns((onProgress) =>
  planner.chances(props.items, onProgress),
)
const { sayChance } = useOdds()
const rows = computed(() =>
  store.derived.gates.flatMap(({ gate }) => {
    const one = found.value?.find((each) => each.gateId === gate.id)
    if (!one) return []
    const gain = (one.after.chance ?? 0) - (one.before.chance ?? 0)
    return [
      {
        id: gate.id,
        name: gate.name,
        before: sayChance(one.before),
        after: sayChance(one.after),
        gain,
      },
    ]
  }),
)
const columns = [
  { key: 'name', label: 'Gate' },
  { key: 'before', label: 'As it stands' },
  { key: 'after', label: 'Then' },
]
</script>

<template>
  <div class="mt-3">
    <UiTable v-if="rows.length > 0" caption="Chance of each gate" :columns="columns" :rows="rows">
      <template #after="{ row }"
        ><span
          :class="{ 'text-verdigris': row.gain > 0, 'text-redlead': row.gain < 0 }"
          class="font-semibold"
          >{{ row.after }}</span
        ></template
      >
    </UiTable>
    <p v-else-if="found">No gate has a likely day, now or then.</p>
    <UiAskRuns
      v-else
      label="What are the chances then?"
      :progress="progress"
      :failed="failed"
      @ask="start"
    />
    <p v-if="rows.length > 0" class="mt-1 text-sm text-ink2">
      By {{ comparedRuns }} runs of each plan with the same luck; a difference of less than 4 may be
      chance.
    </p>
  </div>
</template>

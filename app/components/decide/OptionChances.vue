<script setup lang="ts">
import { computed, watch } from 'vue'
import { comparedRuns } from '#core/forecast/chances'
import type { Option } from '#core/choices/choose'
import type { ChangeItem } from '#core/model/changes'

/** All options of a decision side by side by the chance that each leaves to the gates; made when somebody asks. */
const props = defineProps<{
  options: readonly Option[]
  draftOf: (option: Option) => readonly ChangeItem[]
}>()
const store = useRefitStore()
const planner = usePlannerStore()
const { sayDate } = useDates()
const { progress, failed, found, start, outdate } = useAskedRuns((onProgress) =>
  planner.chancesWithEach(props.options.map(props.draftOf), onProgress),
)
/** What was weighed is of the options and the plan as they were; other rows, as a forecast that comes in, change nothing. */
watch(
  () => [planner.hash, ...props.options.map((one) => `${one.id} ${one.version}`)].join(),
  outdate,
)
/** Gates that any option gives a day; the others say nothing about it. */
const gates = computed(() =>
  store.derived.gates
    .map((one) => one.gate)
    .filter(({ id }) =>
      found.value?.some((own) => own.some((one) => one.gateId === id && one.likelyOn !== null)),
    ),
)
const columns = computed(() => [
  { key: 'gate', label: 'Gate' },
  ...props.options.map((option) => ({ key: option.id, label: option.title })),
])
/** Two options further apart than this, in runs of 100, are told apart. */
const apart = 4
const rows = computed(() =>
  gates.value.map((gate) => {
    const each = props.options.map((option, at) => ({
      id: option.id,
      odds: found.value?.[at]?.find((one) => one.gateId === gate.id) ?? null,
    }))
    const chances = each.map((one) => one.odds?.chance ?? 0)
    const [least, most] = [Math.min(...chances), Math.max(...chances)]
    const aim = each[0]?.odds?.aimedOn
    return {
      id: gate.id,
      gate: aim ? `${gate.name} by ${sayDate(aim)}` : gate.name,
      best: most - least >= apart ? most : null,
      each: new Map(each.map((one) => [one.id, one.odds])),
    }
  }),
)
const likely = (on: string | null) => (on === null ? 'no likely day' : `likely ${sayDate(on)}`)
</script>

<template>
  <section class="mt-4" aria-labelledby="option-chances">
    <h2 id="option-chances" class="border-b-2 border-ink text-lg">By chance</h2>
    <template v-if="found">
      <p v-if="gates.length === 0" class="mt-2">
        No gate has a likely day with any of them, so chance says nothing here.
      </p>
      <UiTable
        v-else
        class="mt-2"
        caption="Chance of each gate with each option"
        :columns="columns"
        :rows="rows"
      >
        <template v-for="option in options" #[option.id]="{ row }" :key="option.id">
          <template v-if="row.each.get(option.id)">
            <span
              v-if="row.each.get(option.id)?.chance !== null"
              class="cond block whitespace-nowrap"
              :class="{ 'text-verdigris': row.each.get(option.id)?.chance === row.best }"
              >{{ row.each.get(option.id)?.chance }} in 100</span
            >
            <span class="block">{{ likely(row.each.get(option.id)?.likelyOn ?? null) }}</span>
          </template>
        </template>
      </UiTable>
      <p class="mt-1 text-sm text-ink2">
        By {{ comparedRuns }} runs of the plan with each, with the same luck; a difference of less
        than 4 may be chance.
      </p>
    </template>
    <UiAskRuns
      v-else
      class="mt-2"
      label="Weigh them by chance"
      :disabled="planner.busy"
      :progress="progress"
      :failed="failed"
      @ask="start"
    />
  </section>
</template>

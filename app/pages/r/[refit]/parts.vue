<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Part } from '#core/model/entities'
import { byId } from '#core/model/refit'
import { partState } from '#core/model/said'
import { formatMoney } from '#core/money/money'
import { sayDate } from '#core/time/say'
import { dateOf } from '#core/time/civil'
import { counted, unitFor } from '#core/units/counted'

/** Every part there is, whatever became of it: to be sorted, looked through and opened. */
const store = useRefitStore()
const { facts, currency, year } = useStores()
const asked = ref('')
const states = computed(() =>
  (Object.keys(partState) as Part['state'][])
    .map((value) => ({
      value,
      label: `${partState[value]} (${store.rows.part.filter((one) => one.state === value).length})`,
    }))
    .filter(({ value }) => store.rows.part.some((one) => one.state === value)),
)
const state = ref<Part['state'] | null>(null)
const needed = computed(
  () => new Map(facts.value.parts.map((one) => [one.part.id, one.window.neededOn])),
)
const rows = computed(() => {
  const [jobs, steps] = [byId(store.rows.job), byId(store.rows.step)]
  const suppliers = byId(store.rows.supplier)
  const words = asked.value.trim().toLowerCase()
  return store.rows.part
    .map((part) => ({
      id: part.id,
      part,
      job: jobs.get(part.jobId ?? steps.get(part.neededByStepId ?? '')?.jobId ?? '')?.title ?? '',
      supplier: suppliers.get(part.supplierId ?? '')?.name ?? '',
      neededOn: needed.value.get(part.id) ?? null,
    }))
    .filter(
      ({ part, job, supplier }) =>
        (state.value === null || part.state === state.value) &&
        `${part.name} ${part.specification} ${part.size} ${job} ${supplier}`
          .toLowerCase()
          .includes(words),
    )
})
type Line = (typeof rows.value)[number]
const columns = [
  { key: 'name', label: 'Part', sortBy: (one: Line) => one.part.name },
  { key: 'quantity', label: 'How many', number: true },
  { key: 'job', label: 'Job', sortBy: (one: Line) => one.job },
  { key: 'state', label: 'State', sortBy: (one: Line) => partState[one.part.state] },
  { key: 'needed', label: 'Needed', sortBy: (one: Line) => one.neededOn ?? 1e9 },
  { key: 'supplier', label: 'Supplier', sortBy: (one: Line) => one.supplier },
  {
    key: 'price',
    label: 'One costs',
    number: true,
    sortBy: (one: Line) => one.part.priceMinor ?? -1,
  },
]
const open = ref<string | null>(null)
const part = computed(() => store.rows.part.find((one) => one.id === open.value) ?? null)
</script>

<template>
  <div>
    <div class="flex flex-wrap items-center justify-between gap-3">
      <h1>{{ counted(store.rows.part.length, 'part') }}</h1>
      <NuxtLink class="btn btn-small no-print" :to="`/r/${store.refitId}/stores`"
        >When to buy them</NuxtLink
      >
    </div>
    <div class="no-print mt-3 grid max-w-2xl gap-3 sm:grid-cols-2">
      <UiText v-model="asked" label="Find a part" />
      <UiSelect v-model="state" label="State" :options="states" none="All of them" />
    </div>
    <p role="status" class="mt-2 text-ink2">
      {{
        rows.length === store.rows.part.length
          ? 'All of them are shown.'
          : `${counted(rows.length, 'part')} of ${store.rows.part.length} shown.`
      }}
    </p>
    <UiTable
      class="mt-2"
      caption="Parts"
      :columns="columns"
      :rows="rows"
      :empty="
        store.rows.part.length === 0
          ? 'No parts yet: a job made from a recipe brings its own along.'
          : 'None is like that.'
      "
    >
      <template #name="{ row }">
        <button class="text-left underline max-sm:min-h-11" @click="open = row.part.id">
          {{ row.part.name }}
        </button>
      </template>
      <template #quantity="{ row }"
        >{{ row.part.quantity }} {{ unitFor(row.part.quantity, row.part.unit) }}</template
      >
      <template #job="{ row }">{{ row.job }}</template>
      <template #state="{ row }">{{ partState[row.part.state] }}</template>
      <template #needed="{ row }">{{
        row.neededOn === null ? '' : sayDate(dateOf(row.neededOn), year)
      }}</template>
      <template #supplier="{ row }">{{ row.supplier }}</template>
      <template #price="{ row }">{{
        row.part.priceMinor === null ? '' : formatMoney(row.part.priceMinor, currency)
      }}</template>
    </UiTable>
    <PartDialog :open="part !== null" :part="part" @close="open = null" />
  </div>
</template>

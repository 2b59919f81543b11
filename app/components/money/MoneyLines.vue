<script setup lang="ts">
import { exactMoney } from '#core/money/money'
import { sumOf } from '#core/money/lines'
import type { MoneyLine } from '#core/money/lines'

/** Lines of money, each leading to where it is written down. */
const props = defineProps<{
  rows: readonly (MoneyLine & { readonly id: string })[]
  caption: string
  empty?: string
}>()
const emit = defineEmits<{ spend: [id: string] }>()
const store = useRefitStore()
const { currency } = useMoney()
const { sayDate } = useDates()
type Line = (typeof props.rows)[number]
const columns = [
  { key: 'on', label: 'Day', sortBy: (one: Line) => one.on ?? '9999' },
  { key: 'what', label: 'What', sortBy: (one: Line) => one.what },
  { key: 'for', label: 'For', sortBy: (one: Line) => forWhat(one) },
  { key: 'sum', label: 'Sum', number: true, sortBy: (one: Line) => one.minor },
]
const forWhat = ({ jobId, systemId }: MoneyLine): string =>
  store.rows.job.find((one) => one.id === jobId)?.title ??
  store.rows.system.find((one) => one.id === systemId)?.name ??
  ''
/** Where a line that is no spend is written down. */
const linkOf = ({ from, rowId }: MoneyLine): string | null =>
  from === 'order'
    ? `/r/${store.refitId}/stores?show=orders&order=${rowId}`
    : from === 'trade'
      ? `/r/${store.refitId}/money?show=hours&trade=${rowId}`
      : from === 'part'
        ? `/r/${store.refitId}/parts`
        : null
const total = () => exactMoney(sumOf(props.rows), currency.value)
</script>

<template>
  <div>
    <UiTable :caption="caption" :columns="columns" :rows="rows" :empty="empty ?? 'Nothing yet.'">
      <template #on="{ row }">
        <span class="whitespace-nowrap">{{ row.on ? sayDate(row.on) : 'no day' }}</span>
        <span v-if="!row.isSpent" class="block text-sm text-redlead">owed</span>
      </template>
      <template #what="{ row }">
        <button
          v-if="row.from === 'spend'"
          class="text-left underline max-sm:min-h-11"
          @click="emit('spend', row.rowId)"
        >
          {{ row.what }}
        </button>
        <NuxtLink v-else-if="linkOf(row)" class="underline" :to="linkOf(row)!">{{
          row.what
        }}</NuxtLink>
        <template v-else>{{ row.what }}</template>
      </template>
      <template #for="{ row }">{{ forWhat(row) }}</template>
      <template #sum="{ row }">
        {{ exactMoney(row.minor, currency) }}
      </template>
    </UiTable>
    <p v-if="rows.length > 0" class="cond mt-1 text-right text-lg">Together {{ total() }}</p>
  </div>
</template>

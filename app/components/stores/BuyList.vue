<script setup lang="ts">
import { computed } from 'vue'
import type { BuyRow } from '#core/stores/board'
import { pressesCall } from '#core/stores/headline'
import { sayRow, sayThing, sayTrade } from '#core/stores/sayBuy'
import type { TradeFacts } from '#core/stores/trades'

/** What to buy, call and send as a list, for a phone: what presses first first, a row as high as a thumb. */
const props = defineProps<{
  rows: readonly BuyRow[]
  /** Who is called, and what is sent out. */
  trades: readonly TradeFacts[]
  today: number
  year: string
  currency: string
}>()
defineEmits<{ open: [key: string] }>()
const lines = computed(() => {
  const called = props.trades.map((one) => ({
    key: `trade ${one.step.id}`,
    name: one.step.title,
    said: sayTrade(one, props.today, props.year),
    presses: pressesCall(one, props.today),
  }))
  const bought = props.rows.map((row) => ({
    key: row.key,
    name: sayThing(row.pool),
    said: sayRow(row, props.today, props.year, props.currency),
  }))
  return [
    ...called.filter((one) => one.presses),
    ...bought,
    ...called.filter((one) => !one.presses),
  ]
})
</script>

<template>
  <ul>
    <li v-for="one in lines" :key="one.key" class="border-b border-rule2">
      <button class="block min-h-12 w-full py-1.5 text-left" @click="$emit('open', one.key)">
        <BuyWords :name="one.name" :said="one.said" />
      </button>
    </li>
  </ul>
</template>

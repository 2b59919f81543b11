<script setup lang="ts">
import { computed } from 'vue'
import type { BuyRow } from '#core/stores/board'
import { sayTrade } from '#core/stores/sayBuy'
import type { TradeFacts } from '#core/stores/trades'

/** What to buy as a list, for a phone: what presses first first, a row as high as a thumb. */
const props = defineProps<{
  rows: readonly BuyRow[]
  /** Who is called, and what is sent out. */
  trades: readonly TradeFacts[]
  today: number
  year: string
  currency: string
}>()
const tones = { red: 'text-redlead', green: 'text-verdigris', ink: '' } as const
const called = computed(() =>
  props.trades.map((one) => ({ one, said: sayTrade(one, props.today, props.year) })),
)
defineEmits<{ open: [key: string] }>()
</script>

<template>
  <ul>
    <li v-for="row in rows" :key="row.key" class="border-b border-rule2">
      <button class="block min-h-12 w-full py-1.5 text-left" @click="$emit('open', row.key)">
        <BuyWords :row="row" :today="today" :year="year" :currency="currency" />
      </button>
    </li>
    <li v-for="{ one, said } in called" :key="one.step.id" class="border-b border-rule2">
      <button
        class="block min-h-12 w-full py-1.5 text-left"
        @click="$emit('open', `trade ${one.step.id}`)"
      >
        <span class="cond block text-lg leading-tight">{{ one.step.title }}</span>
        <span class="block leading-snug"
          ><span class="cond" :class="tones[said.tone]">{{ said.strong }}</span
          >{{ said.rest }}</span
        >
      </button>
    </li>
  </ul>
</template>

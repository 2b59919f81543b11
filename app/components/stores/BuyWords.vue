<script setup lang="ts">
import type { BuyRow } from '#core/stores/board'
import { sayAmount, sayRow } from '#core/stores/sayBuy'

/** A row of what to buy in two lines: what and how much, and what presses. */
defineProps<{ row: BuyRow; today: number; year: string; currency: string }>()
const colour = { red: 'text-redlead', green: 'text-verdigris', ink: '' } as const
</script>

<template>
  <span class="block min-w-0">
    <span class="cond block leading-tight">
      {{ row.pool.name }}<template v-if="sayAmount(row.pool)">, {{ sayAmount(row.pool) }}</template>
    </span>
    <span
      class="cond block text-[0.9375rem] leading-tight"
      :class="colour[sayRow(row, today, year, currency).tone]"
      >{{ sayRow(row, today, year, currency).strong
      }}<span class="font-normal text-ink2">{{
        sayRow(row, today, year, currency).rest
      }}</span></span
    >
  </span>
</template>

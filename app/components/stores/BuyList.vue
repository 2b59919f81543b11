<script setup lang="ts">
import type { BuyRow } from '#core/stores/board'
import { sayAmount, sayRow } from '#core/stores/sayBuy'

/** What to buy as a list, for a phone: what presses first first, a row as high as a thumb. */
defineProps<{ rows: readonly BuyRow[]; today: number; year: string; currency: string }>()
defineEmits<{ open: [key: string] }>()
const colour = { red: 'text-redlead', green: 'text-verdigris', ink: '' } as const
</script>

<template>
  <ul>
    <li v-for="row in rows" :key="row.key" class="border-b border-rule2">
      <button class="block min-h-12 w-full py-1.5 text-left" @click="$emit('open', row.key)">
        <span class="cond block leading-tight">
          {{ row.pool.name
          }}<template v-if="sayAmount(row.pool)">, {{ sayAmount(row.pool) }}</template>
        </span>
        <span
          class="cond block text-[0.9375rem] leading-tight"
          :class="colour[sayRow(row, today, year, currency).tone]"
          >{{ sayRow(row, today, year, currency).strong
          }}<span class="font-normal text-ink2">{{
            sayRow(row, today, year, currency).rest
          }}</span></span
        >
      </button>
    </li>
  </ul>
</template>

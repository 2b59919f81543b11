<script setup lang="ts">
import type { RunThing } from '#core/stores/run'
import { sayRow, sayThing } from '#core/stores/sayBuy'

/** What a thing of the run is, and what it is for. */
defineProps<{ thing: RunThing; today: number; year: string; currency: string }>()
const figure = (amount: number) => String(Math.round(amount * 1000) / 1000)
</script>

<template>
  <BuyWords
    v-if="thing.kind === 'row'"
    :name="sayThing(thing.row.pool)"
    :said="sayRow(thing.row, today, year, currency)"
  />
  <span v-else class="block min-w-0">
    <span class="cond block leading-tight">
      {{ thing.name
      }}<template v-if="thing.kind === 'bring' && thing.line.amount"
        >, {{ thing.line.amount }}</template
      >
    </span>
    <span class="block text-[0.9375rem] leading-tight text-ink2">
      <template v-if="thing.kind === 'bring'">to take along, {{ thing.stepTitle }}</template>
      <template v-else>
        low: {{ figure(thing.have) }} {{ thing.lot.unit }} left, under
        {{ figure(thing.lot.lowAt ?? 0) }}
      </template>
    </span>
  </span>
</template>

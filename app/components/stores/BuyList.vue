<script setup lang="ts">
import type { BuyRow } from '#core/stores/board'

/** What to buy as a list, for a phone: what presses first first, a row as high as a thumb. */
defineProps<{ rows: readonly BuyRow[]; today: number; year: string; currency: string }>()
defineEmits<{ open: [key: string] }>()
</script>

<template>
  <ul>
    <li v-for="row in rows" :key="row.key" class="border-b border-rule2">
      <button class="block min-h-12 w-full py-1.5 text-left" @click="$emit('open', row.key)">
        <BuyWords :row="row" :today="today" :year="year" :currency="currency" />
      </button>
    </li>
  </ul>
</template>

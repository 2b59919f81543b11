<script setup lang="ts">
import type { Check } from '#core/bench/sum'

/** What has to be looked at first, each with how it stands. */
defineProps<{ checks: readonly Check[] }>()
const marks: Readonly<Record<Check['state'], 'bung' | 'ring' | 'stop'>> = {
  fine: 'bung',
  look: 'ring',
  stop: 'stop',
}
</script>

<template>
  <ul>
    <li
      v-for="one in checks"
      :key="one.text"
      class="grid grid-cols-[1.75rem_1fr] gap-1 border-b border-rule2 py-1.5"
    >
      <SumMark :mark="marks[one.state]" />
      <span>
        <span class="cond block text-lg" :class="{ 'text-redlead': one.state !== 'fine' }">{{
          one.text
        }}</span>
        <span class="text-ink2">{{ one.detail }}</span>
      </span>
    </li>
  </ul>
</template>

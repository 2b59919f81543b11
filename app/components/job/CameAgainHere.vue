<script setup lang="ts">
import { computed } from 'vue'
import { cameAgain } from '#core/log/history'

/** A repair in the place of a job that did not hold: said where the next one is planned. */
const props = defineProps<{ zoneId: string | null }>()
const store = useRefitStore()
const here = computed(() =>
  props.zoneId === null
    ? []
    : cameAgain(store.rows, store.zone).filter((one) => one.zoneId === props.zoneId),
)
</script>

<template>
  <p v-for="one in here" :key="one.findingId" class="mt-2 border-l-4 border-redlead pl-2">
    <strong>It came again here.</strong> {{ one.repair }}, held {{ one.months }}
    {{ one.months === 1 ? 'month' : 'months' }}: {{ one.title.toLowerCase() }}. What is different
    this time?
  </p>
</template>

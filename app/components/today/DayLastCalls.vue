<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Step } from '#core/model/entities'
import { lastCallsOf } from '#core/order/lastCalls'
import type { OutOfOrder } from '#core/order/rule'
import { startOfDate } from '#core/time/zone'

/** What belongs where something is shut today, and is not seen to: done first, or left with a reason. */
const props = defineProps<{ steps: readonly Step[] }>()
const store = useRefitStore()
const calls = computed(() =>
  lastCallsOf(
    props.steps,
    store.rows,
    store.accepted,
    store.zone,
    startOfDate(store.zone, store.derived.today),
  ),
)
const asked = ref<OutOfOrder | null>(null)
</script>

<template>
  <section v-if="calls.length > 0" class="mb-3" aria-label="Last calls">
    <ul class="grid gap-2">
      <li
        v-for="one in calls"
        :key="one.evidence"
        class="border-l-4 py-1 pl-3"
        :class="one.severity === 'warn' ? 'border-redlead' : 'border-rule'"
      >
        <p class="leading-snug">{{ one.sentence }}</p>
        <button class="btn btn-small no-print mt-1.5" @click="asked = one">Leave it</button>
      </li>
    </ul>
    <LeaveOrder v-model="asked" />
  </section>
</template>

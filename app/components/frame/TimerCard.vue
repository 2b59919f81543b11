<script setup lang="ts">
import { Timer } from '@lucide/vue'

/** The running hours timer: on which step, for how long, and the way to stop it. */
const frame = useFrameStore()
const { running, said, stepId, stop } = useTimer()
const { nameOf } = useStepNames()
function write() {
  const { stepId: on, hours } = stop()
  frame.open('hours', on, hours || null)
}
</script>

<template>
  <section
    v-if="running"
    aria-label="Hours timer"
    class="flex items-center gap-2 border border-ink bg-brass-tint px-3 py-2"
  >
    <Timer :size="18" aria-hidden="true" class="shrink-0" />
    <p class="min-w-0 flex-1 leading-snug">
      <span class="cond block text-xl">{{ said }}</span>
      <span class="block truncate">{{ nameOf(stepId) }}</span>
    </p>
    <button class="btn btn-small" @click="write">Stop</button>
  </section>
</template>

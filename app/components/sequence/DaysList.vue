<script setup lang="ts">
import { computed } from 'vue'
import type { Scene } from '#core/sequence/scene'
import { sayDate } from '#core/time/say'

/** What stands on the time line of a drawing, for those who hear it: dates, wanted days, days without lifts, water at the slip. */
const props = defineProps<{ scene: Scene }>()
const days = computed(() => [
  ...[...props.scene.posts].sort((a, b) => a.x - b.x).map((one) => one.label),
  ...props.scene.spans.map((one) => one.title),
  ...props.scene.tide.map(({ from, to }) =>
    from === to
      ? `The slip has her depth on ${sayDate(from)}`
      : `The slip has her depth from ${sayDate(from)} to ${sayDate(to)}`,
  ),
])
</script>

<template>
  <ul class="sr-only print:hidden" aria-label="Days on the time line">
    <li v-for="(one, at) in days" :key="at">{{ one }}</li>
  </ul>
</template>

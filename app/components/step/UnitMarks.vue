<script setup lang="ts">
import { computed } from 'vue'

/** The units of a step as marks in a row: a bung is done, red is held by its reading, the next one is inked, the rest wait. */
const props = defineProps<{
  of: number
  done: number
  held: ReadonlySet<number>
  /** Numbers of those that are done. */
  doneNos: ReadonlySet<number>
  next: number | null
  unit: string
}>()
/** More than this are told by a bar. */
const mostMarks = 60
const marks = computed(() => {
  return Array.from({ length: Math.min(mostMarks, props.of) }, (_, index) => {
    const no = index + 1
    if (props.held.has(no)) return { no, is: 'held' as const }
    if (props.doneNos.has(no)) return { no, is: 'done' as const }
    return { no, is: no === props.next ? ('next' as const) : ('open' as const) }
  })
})
const said = computed(
  () =>
    `${props.done} of ${props.of} ${props.unit} done${props.held.size > 0 ? `, ${[...props.held].join(', ')} held` : ''}`,
)
</script>

<template>
  <div role="img" :aria-label="said" class="border-y-2 border-ink bg-sheet px-2 py-3">
    <div v-if="of <= mostMarks" class="flex flex-wrap gap-2">
      <span
        v-for="mark in marks"
        :key="mark.no"
        class="cond inline-flex size-8 items-center justify-center text-base leading-none"
        :class="{
          'bung border-2 border-ink bg-brass text-on-brass': mark.is === 'done',
          'rounded-full bg-redlead text-sheet': mark.is === 'held',
          'rounded-full bg-ink text-sheet': mark.is === 'next',
          'rounded-full border-2 border-dashed border-ink': mark.is === 'open',
        }"
        >{{ mark.no }}</span
      >
    </div>
    <div v-else class="h-8 border-2 border-ink">
      <div class="h-full bg-brass" :style="{ width: `${(100 * done) / of}%` }" />
    </div>
  </div>
</template>

<style scoped>
.bung {
  clip-path: polygon(4% 0, 96% 0, 82% 100%, 18% 100%);
}
</style>

<script setup lang="ts">
import type { ChainLink } from '#core/plan/chain'
import { holds, sayDrag } from '#core/plan/drag'
import type { Drag } from '#core/plan/drag'

/** What holds a gate, read link by link from the end, each with what it was measured to hold up. */
const props = defineProps<{
  links: readonly ChainLink[]
  /** Null: not measured yet. */
  drags: readonly Drag[] | null
}>()
defineEmits<{ step: [stepId: string] }>()
const dragOf = (link: ChainLink) => props.drags?.find((drag) => drag.stepId === link.stepId) ?? null
/** Measured, and of no account by itself. */
const isLoose = (link: ChainLink): boolean => {
  const drag = dragOf(link)
  return drag !== null && !holds(drag)
}
</script>

<template>
  <ol class="relative mt-3 border-l-[3px] border-redlead pl-5">
    <li v-for="(link, index) in links" :key="index" class="relative pb-4">
      <span
        class="absolute top-1.5 -left-[1.85rem] size-3.5 rounded-full border-[3px] border-sheet ring-1 ring-redlead"
        :class="isLoose(link) ? 'bg-sheet' : 'bg-redlead'"
        aria-hidden="true"
      />
      <button
        v-if="link.stepId"
        class="cond block text-left text-lg leading-snug underline decoration-rule underline-offset-4"
        @click="$emit('step', link.stepId)"
      >
        {{ link.title }}
      </button>
      <p v-else class="cond text-lg leading-snug">{{ link.title }}</p>
      <p class="text-ink2 leading-snug">{{ link.why }}</p>
      <!-- Its line is there before it is measured, so that nothing moves. -->
      <p v-if="link.stepId" class="min-h-6 leading-snug" :class="{ cond: !isLoose(link) }">
        {{ dragOf(link) ? sayDrag(dragOf(link)!) : drags ? '' : 'Measuring what it holds up…' }}
      </p>
    </li>
  </ol>
</template>

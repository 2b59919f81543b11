<script setup lang="ts">
import type { ChainLink } from '#core/plan/chain'

/** What holds a gate, read link by link from the end. */
defineProps<{ links: readonly ChainLink[] }>()
defineEmits<{ step: [stepId: string] }>()
</script>

<template>
  <ol class="relative mt-3 border-l-[3px] border-redlead pl-5">
    <li v-for="(link, index) in links" :key="index" class="relative pb-4">
      <span
        class="absolute top-1.5 -left-[1.85rem] size-3.5 rounded-full border-[3px] border-sheet bg-redlead ring-1 ring-redlead"
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
    </li>
  </ol>
</template>

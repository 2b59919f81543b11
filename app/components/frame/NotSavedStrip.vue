<script setup lang="ts">
import { computed } from 'vue'

/** At the foot of the frame: what is not on the server yet, and why. Nothing is there when all is. */
const store = useRefitStore()
const many = (count: number) => (count === 1 ? 'One change is' : `${count} changes are`)
/** What stands in the strip while nobody answers, a sentence after the other. */
const sentences = computed(() => {
  const waiting = store.waiting
  const why = store.trouble || 'The program on this machine does not answer.'
  if (waiting.length === 0) return `${why} What you see may be old.`
  const kept = store.kept
    ? 'Kept in this browser, and sent as soon as the program answers.'
    : 'This browser cannot keep them: leave this window open.'
  return `${why} ${many(waiting.length)} not saved there yet, the last “${waiting.at(-1)?.label}”. ${kept}`
})
</script>

<template>
  <!-- The foot of the view stays in reach above the strip. -->
  <div v-if="!store.connected || store.aside.length > 0" class="no-print h-28">
    <div
      class="fixed inset-x-0 bottom-0 z-40 border-t-2 border-redlead bg-sheet px-4 py-2 max-sm:bottom-14"
    >
      <p v-if="!store.connected" role="status">{{ sentences }}</p>
      <div
        v-if="store.aside.length > 0 && store.clash === null"
        class="flex flex-wrap items-center gap-3"
        role="status"
      >
        <p>
          Not saved yet: “{{ store.aside[0]?.change.label }}”{{
            store.aside.length > 1 ? ` and ${store.aside.length - 1} more` : ''
          }}. What stands there was changed meanwhile.
        </p>
        <button class="btn btn-small" @click="store.takeUpClash()">Decide now</button>
      </div>
    </div>
  </div>
</template>

<script setup lang="ts">
import { X } from '@lucide/vue'

const store = useToastStore()
</script>

<template>
  <div
    class="no-print fixed bottom-4 left-1/2 z-50 grid w-[min(34rem,92vw)] -translate-x-1/2 gap-2 max-sm:top-2 max-sm:bottom-auto"
    aria-live="polite"
  >
    <div
      v-for="toast in store.toasts"
      :key="toast.id"
      class="flex items-start gap-3 border-2 px-4 py-2"
      :class="
        toast.bad ? 'border-redlead bg-redlead-tint text-ink' : 'border-ink bg-sheet text-ink'
      "
      :role="toast.bad ? 'alert' : 'status'"
      @mouseenter="store.hold(toast.id)"
      @mouseleave="store.letGo(toast.id)"
      @focusin="store.hold(toast.id)"
      @focusout="store.letGo(toast.id)"
    >
      <p class="grow">{{ toast.text }}</p>
      <button
        v-if="toast.action"
        class="btn btn-small"
        @click="
          () => {
            toast.action?.run()
            store.close(toast.id)
          }
        "
      >
        {{ toast.action.label }}
      </button>
      <button
        class="btn btn-quiet btn-small"
        aria-label="Close message"
        @click="store.close(toast.id)"
      >
        <X :size="18" aria-hidden="true" />
      </button>
    </div>
  </div>
</template>

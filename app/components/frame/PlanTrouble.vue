<script setup lang="ts">
/** Says that no plan could be made, and why; nothing is there while plans are made as they should. */
const planner = usePlannerStore()
const store = useRefitStore()
</script>

<template>
  <div
    v-if="planner.failed"
    class="no-print mb-3 flex flex-wrap items-center gap-3 border-l-4 border-redlead bg-sheet px-3 py-2"
    role="alert"
  >
    <p class="min-w-60 flex-1">
      Planning stopped: {{ planner.failed }}
      {{
        store.accepted
          ? 'Dates and the order of the jobs are those of the last plan that was made.'
          : 'There is no plan yet, so no dates can be said.'
      }}
    </p>
    <button class="btn btn-small" :disabled="planner.busy" @click="planner.replan()">
      Try again
    </button>
  </div>
</template>

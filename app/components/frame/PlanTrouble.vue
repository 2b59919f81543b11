<script setup lang="ts">
/** Says that no plan could be made, and why; nothing is there while plans are made as they should. */
const planner = usePlannerStore()
const store = useRefitStore()
</script>

<template>
  <TroubleLine v-if="planner.failed">
    Planning stopped: {{ planner.failed }}
    {{
      store.accepted
        ? 'Dates and the order of the jobs are those of the last plan that was made.'
        : 'There is no plan yet, so no dates can be said.'
    }}
    <template #action>
      <button class="btn btn-small" :disabled="planner.busy" @click="planner.replan()">
        Try again
      </button>
    </template>
  </TroubleLine>
</template>

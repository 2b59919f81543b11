<script setup lang="ts">
/** Says that the machine's clock stands before the last change, so that one of the two was wrong; else nothing. */
const time = useTimeStore()
const store = useRefitStore()
const { shortDateTime } = useDates()
const said = (at: number) => shortDateTime(at, store.derived.clock)
</script>

<template>
  <div
    v-if="time.lastChangeAhead !== null"
    class="no-print mb-3 border-l-4 border-redlead bg-sheet px-3 py-2"
    role="alert"
  >
    <p>
      This machine’s clock says {{ said(time.now) }}, and the last change was kept at
      {{ said(time.lastChangeAhead) }}. Nothing is lost, but dates, timers and cures go by the
      clock. If it is wrong, set it and load this page again. If it is right, it ran ahead then, and
      cures started at that time show too late.
    </p>
  </div>
</template>

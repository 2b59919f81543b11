<script setup lang="ts">
/** Says that the machine's clock stands before the last change, so that one of the two was wrong; else nothing. */
const time = useTimeStore()
const store = useRefitStore()
const { shortDateTime } = useDates()
const said = (at: number) => shortDateTime(at, store.derived.clock)
</script>

<template>
  <TroubleLine v-if="time.lastChangeAhead !== null">
    This machine’s clock says {{ said(time.now) }}, and the last change was kept at
    {{ said(time.lastChangeAhead) }}. One of the two is wrong. Nothing is lost, but pots and cures
    may have less time left than they show, and dates go by the clock: if it is wrong, set it and
    load this page again.
  </TroubleLine>
</template>

<script setup lang="ts">
import { useIntervalFn, useTimeoutFn } from '@vueuse/core'

/** Says that no copy of the data was taken for more than a day, and why; else nothing. */
const copies = useCopiesStore()
const store = useRefitStore()
// It is no matter of minutes: what the view is opened for comes first.
useTimeoutFn(() => void copies.ask(), 10_000)
useIntervalFn(() => void copies.ask(), 3_600_000)
</script>

<template>
  <div
    v-if="copies.late"
    class="no-print mb-3 flex flex-wrap items-center gap-3 border-l-4 border-redlead bg-sheet px-3 py-2"
    role="alert"
  >
    <p class="min-w-60 flex-1">
      {{
        copies.late.last === null
          ? 'There is no copy of your data yet, and the one that was due could not be taken.'
          : `The newest copy of your data is of ${sayCopied(copies.late.last)}; the one due since could not be taken.`
      }}
      {{ copies.late.message }} It is tried again every hour.
    </p>
    <NuxtLink class="btn btn-small" :to="`/r/${store.refitId}/settings#set-files`">Copies</NuxtLink>
  </div>
</template>

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
  <TroubleLine v-if="copies.late">
    {{
      copies.late.last === null
        ? 'There is no copy of your data yet, and the one that was due could not be taken.'
        : `The newest copy of your data is of ${sayCopied(copies.late.last)}; the one due since could not be taken.`
    }}
    {{ copies.late.message }} It is tried again every hour.
    <template #action>
      <NuxtLink class="btn btn-small" :to="`/r/${store.refitId}/settings#set-files`"
        >Copies</NuxtLink
      >
    </template>
  </TroubleLine>
</template>

<script setup lang="ts">
/** Everything out: the refit file, the list of work, the calendar. */
const store = useRefitStore()
const at = (rest: string) => `/api/refits/${store.refitId}/${rest}`
</script>

<template>
  <section aria-labelledby="set-files">
    <h2 id="set-files" class="border-b-2 border-ink">Files</h2>
    <div class="mt-3 flex flex-wrap gap-3">
      <a class="btn" :href="at('export')" download>Refit file with pictures</a>
      <a class="btn" :href="at('jobs.csv')" download>List of work as CSV</a>
      <a class="btn" :href="at('calendar.ics')" download>Plan as a calendar</a>
      <NuxtLink class="btn" :to="`/bring?into=${store.refitId}`">Bring in a refit file</NuxtLink>
      <NuxtLink class="btn" :to="`/r/${store.refitId}/import`">Bring in a list of work</NuxtLink>
    </div>
  </section>
</template>

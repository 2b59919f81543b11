<script setup lang="ts">
const store = useRefitStore()
</script>

<template>
  <div class="max-w-xl">
    <h1>There is no such page</h1>
    <p class="mt-3">The address may have lost a part of it on its way. The refit is all here.</p>
    <NuxtLink :to="`/r/${store.refitId}/today`" class="btn mt-4">Today</NuxtLink>
  </div>
</template>

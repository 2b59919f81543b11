<script setup lang="ts">
/** Work this out for me. */
const store = useRefitStore()
</script>

<template>
  <BenchTop :key="store.refitId" />
</template>

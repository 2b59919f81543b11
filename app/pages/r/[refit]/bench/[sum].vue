<script setup lang="ts">
import { computed } from 'vue'
import { sumOf } from '#core/bench/sums'

/** One sum of the bench; another one is another page, with figures of its own. */
const route = useRoute()
const store = useRefitStore()
const sum = computed(() => sumOf(String(route.params.sum)))
const key = computed(
  () => `${String(route.params.sum)} ${String(route.query.job ?? '')} ${store.refitId}`,
)
definePageMeta({ key: (to) => to.path })
</script>

<template>
  <SumPage v-if="sum" :key="key" :sum="sum" />
  <div v-else>
    <h1>There is no such sum on the bench</h1>
    <p class="mt-2">
      <NuxtLink class="underline" :to="`/r/${store.refitId}/bench`">Back to the bench</NuxtLink>
    </p>
  </div>
</template>

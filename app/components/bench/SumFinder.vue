<script setup lang="ts">
import { computed, ref } from 'vue'
import { initialValues } from '#core/bench/check'
import { findSums } from '#core/bench/find'
import type { SumHit } from '#core/bench/find'
import { withPaths } from '#core/bench/wanted'

/** Words of the yard, sizes and stuff; Enter opens the first sum found, with what was said filled in. */
defineProps<{ many: number }>()
const store = useRefitStore()
const said = ref('')
const box = ref<HTMLInputElement | null>(null)
const hits = computed(() => findSums(said.value))
const to = ({ sum, filled }: SumHit) => {
  const values = withPaths(sum.asks, initialValues(sum.asks), filled)
  const changed = Object.fromEntries(Object.keys(filled).map((path) => [path, values[path]]))
  return {
    path: `/r/${store.refitId}/bench/${sum.key}`,
    query:
      Object.keys(filled).length > 0
        ? { v: JSON.stringify({ v: changed, k: Object.keys(filled) }) }
        : {},
  }
}
function openFirst() {
  const [first] = hits.value
  if (first) void goTo(to(first))
}
useKeyScope({
  find: () => {
    box.value?.focus()
  },
})
</script>

<template>
  <form class="no-print relative w-full sm:w-96" role="search" @submit.prevent="openFirst">
    <label class="sr-only" for="sum-find">Which sum</label>
    <input
      id="sum-find"
      ref="box"
      v-model="said"
      class="field border-2! border-ink!"
      type="search"
      autocomplete="off"
      :placeholder="`“M12 holes in balsa”, ${many} sums`"
      aria-describedby="sum-found"
    />
    <p id="sum-found" class="sr-only" aria-live="polite">
      {{ said === '' ? '' : `${hits.length} found` }}
    </p>
    <ul
      v-if="said !== ''"
      class="absolute inset-x-0 top-full z-20 border-2 border-t-0 border-ink bg-sheet"
    >
      <li v-for="hit in hits" :key="hit.sum.key">
        <NuxtLink :to="to(hit)" class="block px-3 py-2 hover:bg-brass-tint">
          <span class="cond text-lg">{{ hit.sum.title }}</span>
          <span class="block text-ink2">{{ hit.sum.about }}</span>
        </NuxtLink>
      </li>
      <li v-if="hits.length === 0" class="px-3 py-2">
        Nothing by those words. The tools below hold every sum.
      </li>
    </ul>
  </form>
</template>

<script setup lang="ts">
import { computed } from 'vue'

/** The bar at the foot of a phone. */
const { views } = useViews()
/** Two that are wanted everywhere, and where one is; Jobs when that is one of them. */
const shown = computed(() => {
  const here = views.value.find((one) => one.current)
  const third = here && !['today', 'walk'].includes(here.path) ? here.path : 'jobs'
  return views.value.filter((one) => ['today', 'walk', third].includes(one.path))
})
const frame = useFrameStore()
</script>

<template>
  <nav
    class="no-print fixed inset-x-0 bottom-0 z-30 grid grid-cols-6 border-t-2 border-ink bg-sheet sm:hidden"
    aria-label="Views"
  >
    <NuxtLink
      v-for="view in shown"
      :key="view.path"
      :to="view.to"
      class="cond flex h-14 items-center justify-center text-lg"
      :class="view.current ? 'bg-ink text-sheet' : 'text-ink'"
      :aria-current="view.current ? 'page' : undefined"
    >
      {{ view.name }}
    </NuxtLink>
    <button class="cond h-14 bg-redlead text-lg text-sheet" @click="frame.open('found')">
      Found
    </button>
    <button class="cond h-14 text-lg" @click="frame.open('hours')">Hours</button>
    <button class="cond h-14 text-lg" @click="frame.open('more')">More</button>
  </nav>
</template>

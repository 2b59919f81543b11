<script setup lang="ts">
/** The bar at the foot of a phone. */
const { views } = useViews()
const frame = useFrameStore()
</script>

<template>
  <nav
    class="no-print fixed inset-x-0 bottom-0 z-30 grid grid-cols-6 border-t-2 border-ink bg-sheet sm:hidden"
    aria-label="Views"
  >
    <NuxtLink
      v-for="view in views.filter((one) => ['today', 'walk', 'jobs'].includes(one.path))"
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

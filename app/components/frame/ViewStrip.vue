<script setup lang="ts">
import { Menu, Search, TriangleAlert } from '@lucide/vue'

/** Views on the left, finding things on the right. On phones it is the bar at the foot. */
const { views } = useViews()
const frame = useFrameStore()
</script>

<template>
  <div class="no-print flex items-end justify-between gap-3 max-sm:hidden">
    <nav aria-label="Views">
      <ul class="flex">
        <li v-for="view in views" :key="view.path">
          <NuxtLink
            :to="view.to"
            class="strip cond flex h-11 items-center px-4 text-xl"
            :class="view.current ? 'bg-ink text-sheet' : 'text-ink2 hover:text-ink'"
            :aria-current="view.current ? 'page' : undefined"
            :aria-keyshortcuts="view.key"
          >
            <span
              class="mr-2 text-base"
              :class="view.current ? 'text-brass' : ''"
              aria-hidden="true"
              >{{ view.key }}</span
            >
            {{ view.name }}
          </NuxtLink>
        </li>
      </ul>
    </nav>
    <div class="flex items-center gap-2 pb-1.5">
      <button class="btn" aria-keyshortcuts="/" @click="frame.open('find')">
        <Search :size="18" aria-hidden="true" /> Find
      </button>
      <button class="btn btn-red" aria-keyshortcuts="n" @click="frame.open('found')">
        <TriangleAlert :size="18" aria-hidden="true" /> Found something
      </button>
      <button class="btn" aria-label="More" @click="frame.open('more')">
        <Menu :size="20" aria-hidden="true" />
      </button>
    </div>
  </div>
</template>

<style scoped>
.strip {
  clip-path: polygon(0 0, calc(100% - 14px) 0, 100% 14px, 100% 100%, 0 100%);
}
</style>

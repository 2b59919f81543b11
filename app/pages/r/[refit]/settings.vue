<script setup lang="ts">
import {
  BoatSettings,
  CoverSettings,
  DayLevers,
  DeviceSettings,
  FileSettings,
  HaulOutSettings,
  LicenceSettings,
  LyingSettings,
  PeopleSettings,
  PlaceSettings,
  ProductSettings,
  ZoneSettings,
} from '#components'
import { onBeforeUnmount, onMounted, ref } from 'vue'

/** Those first in sight come with the page, the others one a frame: no long page makes its first lines wait. */
const sections = [
  DeviceSettings,
  PeopleSettings,
  HaulOutSettings,
  PlaceSettings,
  LyingSettings,
  CoverSettings,
  DayLevers,
  BoatSettings,
  LicenceSettings,
  ZoneSettings,
  ProductSettings,
  FileSettings,
]
const seenFirst = 3
/** Come to a section of it, or back to where it was left: then its whole height has to be there. */
const isDeep =
  useRoute().hash !== '' || Boolean((history.state as { scroll?: unknown } | null)?.scroll)
const shown = ref(isDeep ? sections.length : seenFirst)
let frame = 0
function more() {
  if (shown.value === sections.length) return
  frame = requestAnimationFrame(() => {
    shown.value++
    more()
  })
}
onMounted(more)
onBeforeUnmount(() => cancelAnimationFrame(frame))
</script>

<template>
  <div class="grid max-w-5xl gap-8">
    <h1>Settings</h1>
    <component :is="one" v-for="(one, index) in sections.slice(0, shown)" :key="index" />
  </div>
</template>

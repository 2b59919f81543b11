<script setup lang="ts">
import { onBeforeUnmount, onMounted, ref } from 'vue'

/** Those first in sight come with the page, the others one a frame: no long page makes its first lines wait. */
const seenFirst = 3
const all = 12
/** Come to a section of it, or back to where it was left: then its whole height has to be there. */
const isDeep =
  useRoute().hash !== '' || Boolean((history.state as { scroll?: unknown } | null)?.scroll)
const shown = ref(isDeep ? all : seenFirst)
let frame = 0
function more() {
  shown.value++
  if (shown.value < all) frame = requestAnimationFrame(more)
}
onMounted(() => {
  if (shown.value < all) frame = requestAnimationFrame(more)
})
onBeforeUnmount(() => cancelAnimationFrame(frame))
</script>

<template>
  <div class="grid max-w-5xl gap-8">
    <h1>Settings</h1>
    <DeviceSettings />
    <PeopleSettings />
    <HaulOutSettings />
    <PlaceSettings v-if="shown > 3" />
    <LyingSettings v-if="shown > 4" />
    <CoverSettings v-if="shown > 5" />
    <DayLevers v-if="shown > 6" />
    <BoatSettings v-if="shown > 7" />
    <LicenceSettings v-if="shown > 8" />
    <ZoneSettings v-if="shown > 9" />
    <ProductSettings v-if="shown > 10" />
    <FileSettings v-if="shown > 11" />
  </div>
</template>

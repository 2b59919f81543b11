<script setup lang="ts">
import { computed, onBeforeUnmount, watch } from 'vue'

/** The frame round every view of one refit: Tape, strip, clocks and the panels over them. */
const route = useRoute()
const store = useRefitStore()
const { lastRefitId, light } = useDevice()
usePlannerStore()
/** The waterline chart wants the whole width: its clocks lie in a strip. */
const wide = computed(() => route.path.endsWith('/sequence'))
/** Handed to somebody, or cut up: the Tape is not printed on these. */
const bare = computed(() => /\/(work-order|bags\/labels)/.test(route.path))
const { undo, asks, answer } = useUndo()
useKeys(undo)
useAlarms()

watch(
  () => String(route.params.refit),
  async (id) => {
    await store.open(id)
    if (store.status === 'ready') lastRefitId.value = id
  },
  { immediate: true },
)
onBeforeUnmount(() => store.close())
useHead({
  title: () => (store.refit ? `${store.refit.boatName} · Inch Ahead` : 'Inch Ahead'),
  htmlAttrs: { 'data-light': () => light.value },
})
</script>

<template>
  <div v-if="store.status === 'missing'" class="mx-auto max-w-xl p-8">
    <h1>There is no such refit here</h1>
    <p class="my-3">It may have been removed, or it lives in another data folder.</p>
    <NuxtLink to="/" class="btn">All refits</NuxtLink>
  </div>
  <div v-else class="mx-auto max-w-[1680px] max-sm:pb-16">
    <a href="#view" class="sr-only focus:not-sr-only">To the view</a>
    <header class="overflow-x-clip px-3 sm:px-5" :class="{ 'no-print': bare }">
      <TapeBar />
      <div class="sm:mt-2"><ViewStrip /></div>
    </header>
    <div class="border-t-[3px] border-ink" :class="{ 'lg:grid lg:grid-cols-[1fr_15rem]': !wide }">
      <div
        class="border-rule px-3 pt-2 sm:px-5"
        :class="{ 'order-2 lg:border-l lg:px-4 lg:pt-4': !wide }"
      >
        <ClocksRail :strip="wide" />
      </div>
      <main id="view" class="min-w-0 px-3 py-3 sm:px-5 lg:order-1" tabindex="-1">
        <div v-if="store.status === 'loading'" class="min-h-[60vh]" role="status">
          <p v-if="store.connected" class="text-ink2">Opening the refit…</p>
          <p v-else class="text-redlead">
            The program on this machine does not answer. Trying again every few seconds.
          </p>
        </div>
        <NuxtPage v-else />
      </main>
    </div>
    <PhoneBar />
    <FoundPanel />
    <HoursPanel />
    <ClockPanel />
    <FindPanel />
    <KeysPanel />
    <MorePanel :undo="undo" />
    <ClashDialog />
    <UiDialog :open="asks !== null" title="Undo" @close="answer(false)">
      <p>{{ asks }}</p>
      <div class="mt-4 flex gap-3">
        <button class="btn btn-main" @click="answer(true)">Undo it</button>
        <button class="btn" @click="answer(false)">Leave it</button>
      </div>
    </UiDialog>
  </div>
</template>

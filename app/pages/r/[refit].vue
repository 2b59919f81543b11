<script setup lang="ts">
import { computed, onBeforeUnmount, reactive, watch } from 'vue'
import { sayFullDate } from '#core/time/say'

import type { Panel } from '~/stores/frame'

/** The frame round every view of one refit: Tape, strip, clocks and the panels over them. */
const route = useRoute()
const store = useRefitStore()
const { lastRefitId, light } = useDevice()
usePlannerStore()
useWeatherStore()
/** Drawings want the whole width: their clocks lie in a strip. */
const wide = computed(() =>
  /\/(sequence|stores|money|launch|log|walk|today|step|job|bench)\b/.test(route.path),
)
const { undo, asks, answer } = useUndo()
useKeys(undo)
useAlarms()
useViewsAhead()
/** Panels are fetched when they are first opened, and stay. */
const frame = useFrameStore()
const opened = reactive(new Set<Panel>())
watch(
  () => frame.panel,
  (panel) => panel && opened.add(panel),
)

watch(
  () => String(route.params.refit),
  async (id) => {
    await store.open(id)
    if (store.status === 'ready') lastRefitId.value = id
  },
  { immediate: true },
)
onBeforeUnmount(() => store.close())
/** On paper every page says which boat, when, and which page of how many. */
const labels = computed(() => route.path.endsWith('/bags/labels'))
const quoted = (text: string) => text.replace(/[\\"<>\n]/g, ' ')
const foot = computed(
  () =>
    `@page { size: A4; margin: ${labels.value ? '8mm 10mm 12mm' : '14mm 14mm 18mm'}; @bottom-left { content: "${quoted(store.refit?.boatName ?? '')} · ${store.refit ? sayFullDate(store.derived.today) : ''}" } @bottom-right { content: "page " counter(page) " of " counter(pages) } }`,
)
useHead({
  style: [{ innerHTML: foot, key: 'page-foot' }],
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
    <header class="no-print overflow-x-clip px-3 sm:px-5">
      <TapeBar />
      <div class="sm:mt-2"><ViewStrip /></div>
    </header>
    <div
      class="border-ink not-print:border-t-[3px]"
      :class="{ 'lg:grid lg:grid-cols-[1fr_15rem]': !wide }"
    >
      <div
        class="border-rule px-3 pt-2 sm:px-5"
        :class="{ 'order-2 lg:border-l lg:px-4 lg:pt-4': !wide }"
      >
        <ClocksRail :strip="wide" />
      </div>
      <main id="view" class="min-w-0 px-3 py-3 sm:px-5 lg:order-1" tabindex="-1">
        <div v-if="store.status !== 'ready'" class="min-h-[60vh]">
          <p v-if="store.connected" class="text-ink2" role="status">Opening the refit…</p>
          <template v-else-if="store.trouble">
            <p class="text-redlead" role="alert">{{ store.trouble }}</p>
            <h2 class="mt-6">Copies</h2>
            <CopiesList @back="store.open(store.refitId)" />
          </template>
          <p v-else class="text-redlead" role="status">
            The program on this machine does not answer. Trying again every few seconds.
          </p>
        </div>
        <template v-else>
          <ClockTrouble />
          <CopyTrouble />
          <PlanTrouble />
          <NuxtPage />
        </template>
      </main>
    </div>
    <PhoneBar />
    <LazyFoundPanel v-if="opened.has('found')" />
    <LazyHoursPanel v-if="opened.has('hours')" />
    <LazyClockPanel v-if="opened.has('clock')" />
    <LazyFindPanel v-if="opened.has('find')" />
    <LazyKeysPanel v-if="opened.has('keys')" />
    <LazyMorePanel v-if="opened.has('more')" :undo="undo" />
    <LazyClashDialog v-if="store.clash" />
    <NotSavedStrip />
    <UiDialog :open="asks !== null" title="Undo" @close="answer(false)">
      <p>{{ asks }}</p>
      <div class="mt-4 flex gap-3">
        <button class="btn btn-main" @click="answer(true)">Undo it</button>
        <button class="btn" @click="answer(false)">Leave it</button>
      </div>
    </UiDialog>
  </div>
</template>

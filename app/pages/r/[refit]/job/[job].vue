<script setup lang="ts">
import { ChevronLeft } from '@lucide/vue'
import { computed, ref } from 'vue'
import { liveHours } from '#core/plan/liveHours'
import { folded, layersOf, waitingOn } from '#core/stair/layers'
import { sayStair } from '#core/stair/sayStair'
import { clockTimeOf } from '#core/time/say'
import { formatHours } from '#core/units/hours'
import { formatInches } from '#core/units/length'

/** One job, whole: how it grows over its dates, why it stands where it does, what it rests on. */
const route = useRoute()
const store = useRefitStore()
const { shortDate, sayDay } = useDates()
const job = computed(() => store.rows.job.find((one) => one.id === route.params.job) ?? null)
const figures = computed(() => (job.value ? store.derived.jobs.get(job.value.id) : undefined))
const all = computed(() =>
  job.value
    ? layersOf(store.rows, store.accepted, job.value, store.waits, (at) =>
        shortDate(at, store.zone),
      )
    : [],
)
const unfolded = ref(false)
const layers = computed(() => folded(all.value, unfolded.value))
const doneCount = computed(() => all.value.filter((one) => one.state === 'done').length)
const gate = computed(() => {
  const row = store.rows.gate.find((one) => one.id === job.value?.gateId)
  const at = store.accepted?.gates.find((one) => one.gateId === row?.id)?.at
  return row && at !== undefined ? { name: row.name, at } : null
})
const waiting = computed(() =>
  job.value ? waitingOn(store.rows, store.accepted, job.value.id) : [],
)
const heading = computed(
  () => `${job.value?.title}: ${sayStair(all.value, gate.value, store.zone)}`,
)
const next = computed(() => all.value.find((one) => one.state !== 'done') ?? null)
const nextSaid = computed(() => {
  const from = next.value?.from
  if (from === null || from === undefined) return 'Next step'
  const date = store.zone.dateOf(from)
  return date === store.derived.today
    ? `Next step, ${clockTimeOf(from, store.zone)}`
    : `Next step, ${sayDay(date)}`
})
const pins = usePin()
const chosenKey = ref<string | null>(null)
const chosen = computed(
  () =>
    layers.value.find((one) => one.key === chosenKey.value) ??
    layers.value.find((one) => one.steps.some((step) => step.id === next.value?.key)) ??
    null,
)
const ratio = computed(() => {
  const done = all.value.filter((one) => one.state === 'done')
  const planned = done.reduce((sum, one) => sum + one.hours, 0)
  const ids = new Set(done.flatMap((one) => one.steps.map((step) => step.id)))
  // What was logged on steps that are still open is none of theirs.
  const logged = liveHours(store.rows)
    .filter((one) => one.kind === 'work' && ids.has(one.stepId ?? ''))
    .reduce((sum, one) => sum + one.hours, 0)
  return planned > 0 && logged > 0 ? { planned, logged } : null
})
/** What the last finished job of the same recipe, else of the same system, said to do otherwise. */
const lastTime = computed(() => {
  const mine = job.value
  if (!mine) return null
  const said = store.rows.job.filter(
    (one) =>
      one.id !== mine.id &&
      one.nextTime.trim() !== '' &&
      store.derived.jobs.get(one.id)?.state === 'done',
  )
  return (
    said.findLast((one) => mine.recipeKey !== null && one.recipeKey === mine.recipeKey) ??
    said.findLast((one) => mine.systemId !== null && one.systemId === mine.systemId) ??
    null
  )
})
</script>

<template>
  <div v-if="!job" class="max-w-lg">
    <h1>There is no such job here</h1>
    <p class="mt-2">It may have been removed. Undo brings it back.</p>
    <NuxtLink class="btn mt-4" :to="`/r/${store.refitId}/jobs`">All jobs</NuxtLink>
  </div>
  <div v-else>
    <div class="flex flex-wrap items-start justify-between gap-x-4 gap-y-2">
      <div class="flex min-w-0 flex-1 items-start gap-3 max-sm:basis-full">
        <PurposeTile :purpose="job.purpose" class="mt-1.5" />
        <h1 class="text-[1.9rem]! leading-tight! max-sm:text-2xl!">{{ heading }}</h1>
      </div>
      <div class="flex gap-2">
        <NuxtLink class="btn" :to="{ path: `/r/${store.refitId}/jobs`, query: { job: job.id } }"
          ><ChevronLeft :size="18" aria-hidden="true" />In the list</NuxtLink
        >
        <NuxtLink v-if="next" class="btn btn-go" :to="`/r/${store.refitId}/step/${next.key}`">{{
          nextSaid
        }}</NuxtLink>
      </div>
    </div>
    <p v-if="job.detail" class="mt-1 line-clamp-2 max-w-4xl text-ink2">{{ job.detail }}</p>

    <div class="mt-3 grid gap-6 xl:grid-cols-[minmax(0,1fr)_20.5rem]">
      <div class="min-w-0">
        <div class="flex flex-wrap items-center gap-x-4 gap-y-1">
          <p v-if="doneCount > 0">
            <b class="font-semibold"
              >{{ doneCount }} {{ doneCount === 1 ? 'step' : 'steps' }} done</b
            ><template v-if="ratio"
              >: {{ formatHours(ratio.logged) }} logged, {{ formatHours(ratio.planned) }} planned
              for them</template
            >.
            <template v-if="figures"
              >{{ formatInches(figures.earnedIn) }} in earned, {{ formatInches(figures.openIn) }} to
              earn.</template
            >
          </p>
          <button
            v-if="layers.length < all.length || unfolded"
            class="btn btn-small"
            :aria-expanded="unfolded"
            @click="unfolded = !unfolded"
          >
            {{ unfolded ? 'Fold it' : `Unfold all ${all.length}` }}
          </button>
        </div>
        <JobStair
          v-if="layers.length > 0"
          class="mt-2"
          :layers="layers"
          :gate="gate"
          :waiting="waiting"
          :chosen="chosen?.key ?? null"
          :said="pins.said.value"
          @choose="chosenKey = $event"
          @drag="pins.drag"
          @drop="pins.drop"
          @cancel="pins.cancelDrag"
          @pin="pins.open($event)"
        />
        <UiAnother
          v-else
          class="max-w-xl"
          entity="step"
          field="title"
          label="Write the first step"
          keep="Add step"
          :rest="() => ({ jobId: job?.id })"
        />
        <PinDialog :pins="pins" />
        <div class="mt-5 grid items-start gap-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.05fr)]">
          <LayerForm
            v-if="chosen"
            class="lg:order-last"
            :layer="chosen"
            @close="chosenKey = null"
          />
          <div class="grid gap-4">
            <WhyFirst :job="job" />
            <WhoCan :layers="all" />
          </div>
        </div>
      </div>
      <aside
        aria-label="What it rests on"
        class="grid min-w-0 grid-cols-[minmax(0,1fr)] content-start gap-4"
      >
        <CameAgainHere :zone-id="job.zoneId" />
        <MeasuredInputs :job="job" />
        <JobSums :job="job" />
        <JobMaterials :job="job" />
        <JobPictures :job="job" />
        <BredTree :job="job" />
        <section v-if="lastTime">
          <div class="flex items-baseline justify-between gap-2 border-b-2 border-ink">
            <h2>Last time</h2>
            <NuxtLink
              class="cond truncate text-ink2 hover:underline"
              :to="`/r/${store.refitId}/job/${lastTime.id}`"
              >{{ lastTime.title }}</NuxtLink
            >
          </div>
          <p class="py-1">“{{ lastTime.nextTime }}”</p>
        </section>
      </aside>
    </div>
  </div>
</template>

<script setup lang="ts">
import { computed, nextTick, ref } from 'vue'
import type { Zone } from '#core/model/entities'
import { inOrder } from '#core/model/refit'
import { purposes } from '#core/model/words'
import { purposeName } from '#core/plan/priority'
import { triageQueue } from '#core/triage/triage'
import { formatHours } from '#core/units/hours'
import { figured } from '#core/units/counted'
import type { Grouping } from '~/composables/useJobLists'

/** What is all the work, and why in this order? */
const store = useRefitStore()
const planner = usePlannerStore()
const route = useRoute()
const grouping = ref<Grouping>('rank')
const zoneId = ref<string | null>(null)

const jobId = computed({
  get: () => (typeof route.query.job === 'string' ? route.query.job : null),
  set: (id: string | null) => void goTo({ query: { ...route.query, job: id ?? undefined } }),
})
const job = computed(() => store.rows.job.find((one) => one.id === jobId.value) ?? null)
const { groups, shown } = useJobLists(
  grouping,
  (one) => zoneId.value === null || one.zoneId === zoneId.value,
)
/** Back in the list where it was left. */
async function closeJob() {
  const id = jobId.value
  await goTo({ query: { ...route.query, job: undefined } })
  await nextTick()
  const row = document.querySelector<HTMLElement>(`[data-job="${CSS.escape(id ?? '')}"] button`)
  row?.focus({ preventScroll: true })
  row?.scrollIntoView({ block: 'nearest' })
}
const bulkBar = ref<{ focus: () => void } | null>(null)
const bulk = useBulk(() => shown.value)
const askRemove = ref(false)
const toPlace = computed(() => triageQueue(store.rows, store.derived.today).length)
const found = computed(() => store.derived.found)
const zones = computed(() => inOrder(store.rows.zone))
const counts = computed(() => {
  const map = new Map<string, { open: number; severe: boolean }>()
  for (const one of store.rows.job) {
    const state = store.derived.jobs.get(one.id)?.state
    if (one.zoneId === null || (state !== 'open' && state !== 'doing')) continue
    const was = map.get(one.zoneId) ?? { open: 0, severe: false }
    map.set(one.zoneId, { open: was.open + 1, severe: was.severe || one.severity === 4 })
  }
  return map
})
const standing = computed(
  () =>
    new Map(
      [...counts.value].map(([id, { open, severe }]) => [
        id,
        [{ is: 'count', many: open, severe }] as const,
      ]),
    ),
)
const sayOpen = ({ id }: Zone): string => {
  const { open = 0, severe = false } = counts.value.get(id) ?? {}
  return `${open} open${severe ? ', some a danger' : ''}`
}
const byPurpose = computed(() =>
  purposes.map((purpose) => ({
    purpose,
    count: store.rows.job.filter((one) => one.purpose === purpose && one.decision === 'plan')
      .length,
  })),
)
const meaning = {
  float: 'keeps water out',
  safe: 'keeps people whole',
  go: 'moves, steers, holds',
  live: 'home aboard',
  shine: 'pride',
} as const
</script>

<template>
  <div
    class="lg:grid lg:gap-6"
    :class="job ? 'lg:grid-cols-[minmax(20rem,2fr)_3fr]' : 'lg:grid-cols-[20rem_1fr]'"
  >
    <div v-if="!job" class="max-lg:hidden">
      <h1>All work, {{ figured(store.rows.job.length, 'job') }}</h1>
      <p class="text-ink2">Press a place to see only what is there.</p>
      <BoatMap
        :zones="zones"
        :items="standing"
        :say="sayOpen"
        nameless
        :chosen="zoneId"
        @choose="zoneId = $event"
      />
      <ul>
        <li
          v-for="{ purpose, count: many } in byPurpose"
          :key="purpose"
          class="flex items-center gap-3 py-1"
        >
          <PurposeTile :purpose="purpose" />
          <span class="grow">{{ purposeName[purpose] }} — {{ meaning[purpose] }}</span>
          <span class="cond text-lg">{{ many }}</span>
        </li>
      </ul>
    </div>
    <div :class="{ 'max-lg:hidden': job }" class="min-w-0">
      <GateNote :figures="store.derived.launch" />
      <div class="flex flex-wrap items-end justify-between gap-2">
        <h1 :class="{ 'lg:hidden print:block!': !job }">Jobs</h1>
        <UiSelect
          v-model="grouping"
          class="no-print w-44"
          label="In which order"
          hide-label
          :options="groupings"
        />
        <div class="no-print flex flex-wrap gap-2">
          <NuxtLink
            v-if="toPlace > 0"
            class="btn btn-small btn-red"
            :to="`/r/${store.refitId}/triage`"
            >{{ toPlace }} to place</NuxtLink
          >
          <NuxtLink class="btn btn-small" :to="`/r/${store.refitId}/recipes`">Recipes</NuxtLink>
          <NuxtLink class="btn btn-small max-sm:hidden" :to="`/r/${store.refitId}/import`"
            >Bring in a list</NuxtLink
          >
          <NuxtLink class="btn btn-small max-sm:hidden" :to="`/r/${store.refitId}/starter`"
            >Usual jobs</NuxtLink
          >
        </div>
      </div>
      <p v-if="zoneId" class="mt-2">
        Only {{ zones.find((one) => one.id === zoneId)?.name }}, {{ figured(shown.length, 'job') }}.
        <button class="underline" @click="zoneId = null">Show all</button>
      </p>
      <UiAnother
        entity="job"
        field="title"
        label="New job"
        hide-label
        placeholder="New job: re-bed the bow cleat"
        keep="Add job"
        @made="jobId = $event"
      />
      <ToMeasure v-if="!job" class="mt-2" />
      <div
        v-if="store.rows.job.length === 0"
        class="my-6 max-w-lg border-l-4 border-verdigris pl-4"
      >
        <h2>An empty list is where everybody starts</h2>
        <p class="mt-2">
          Write the first job above, or paste the list you have: a line a job, from a note, a board
          or a spreadsheet.
        </p>
        <div class="mt-3 flex flex-wrap gap-2">
          <NuxtLink class="btn btn-main" :to="`/r/${store.refitId}/import`">Paste a list</NuxtLink>
          <NuxtLink class="btn" :to="`/r/${store.refitId}/starter`"
            >Tick from the usual jobs</NuxtLink
          >
          <NuxtLink class="btn" :to="`/r/${store.refitId}/recipes`">Open the recipes</NuxtLink>
        </div>
      </div>
      <p
        v-else-if="planner.busy && planner.ranking.length === 0"
        class="text-ink2 py-2"
        role="status"
      >
        Ranking…
      </p>
      <p v-if="grouping === 'found'" class="mt-2 border-l-4 border-redlead pl-3">
        Found work is {{ formatHours(found.hoursPlanned) }}, {{ Math.round(found.share * 100) }} %
        of all planned hours. At this pace about {{ formatHours(found.growth.expectedHours) }} more
        will be found: {{ found.growth.perHour.toFixed(2) }} h for each of the
        {{ Math.round(found.growth.openHours) }} h open in jobs that were planned. That is ({{
          Math.round(found.growth.foundHours)
        }}
        h found + 10) ÷ ({{ Math.round(found.growth.finishedHours) }} h finished + 40): the 10 and
        40 stand for the experience of others until yours outweighs it. Open hours of found jobs,
        jobs set aside<template v-if="store.derived.jobsWithoutSteps > 0"
          >, and
          {{ store.derived.jobsWithoutSteps }}
          {{ store.derived.jobsWithoutSteps === 1 ? 'job' : 'jobs' }} without steps</template
        >
        are left out.
      </p>
      <BulkBar
        v-if="bulk.chosen.value.size > 0"
        ref="bulkBar"
        :count="bulk.jobs.value.length"
        @change="bulk.change"
        @remove="askRemove = true"
        @merge="bulk.merge"
        @all="bulk.all"
        @clear="bulk.clear"
      />
      <JobList
        class="mt-2"
        :groups="groups"
        :open-id="jobId"
        :chosen="bulk.chosen.value"
        :tree="grouping === 'found'"
        @open="jobId = $event"
        @toggle="bulk.toggle"
        @bulk="bulkBar?.focus()"
      />
    </div>
    <UiDialog
      :open="askRemove"
      :title="`Remove ${figured(bulk.jobs.value.length, 'job')}`"
      red
      @close="askRemove = false"
    >
      <p>
        They go with their steps, links and parts. Jobs with logged hours or an as-built sheet are
        dropped instead and keep their record. Undo brings them back.
      </p>
      <div class="mt-4 flex gap-3">
        <button class="btn btn-main" @click="((askRemove = false), bulk.remove())">Remove</button>
        <button class="btn" @click="askRemove = false">Keep them</button>
      </div>
    </UiDialog>
    <LazyJobPanel v-if="job" :key="job.id" :job="job" @close="closeJob" @open="jobId = $event" />
  </div>
</template>

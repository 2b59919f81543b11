<script setup lang="ts">
import { fieldOf } from '#core/model/references'
import { sayChoice } from '#core/model/sayValue'
import { computed, ref } from 'vue'
import type { HoursEntry } from '#core/model/entities'
import { hoursTotals } from '#core/progress/hoursTotals'
import type { HoursTotal } from '#core/progress/hoursTotals'
import { sayFullDate } from '#core/time/say'
import { formatHours } from '#core/units/hours'

/** All hours written down, newest first, with their sums; a correction keeps the entry it puts right. */
const store = useRefitStore()
const frame = useFrameStore()
const { nameOf } = useStepNames()
const columns = [
  { key: 'on', label: 'Day', sortBy: (row: HoursEntry) => row.on },
  { key: 'person', label: 'Who', sortBy: (row: HoursEntry) => nameOfPerson(row.personId) },
  {
    key: 'what',
    label: 'On what',
    sortBy: (row: HoursEntry) => (row.stepId ? nameOf(row.stepId) : kindWord(row.kind)),
  },
  { key: 'hours', label: 'Hours', number: true, sortBy: (row: HoursEntry) => row.hours },
  { key: 'act', label: 'Put right' },
]
const sumsBy = (name: string) => [
  { key: 'name', label: name, sortBy: (row: HoursTotal) => row.name },
  { key: 'work', label: 'Work', number: true, sortBy: (row: HoursTotal) => row.workHours },
  {
    key: 'other',
    label: 'Way and set-up',
    number: true,
    sortBy: (row: HoursTotal) => row.otherHours,
  },
  {
    key: 'all',
    label: 'Together',
    number: true,
    sortBy: (row: HoursTotal) => row.workHours + row.otherHours,
  },
]
const entries = computed(() =>
  [...store.rows.hoursEntry].sort((a, b) =>
    a.on < b.on ? 1 : a.on > b.on ? -1 : a.id < b.id ? 1 : -1,
  ),
)
const totals = computed(() => hoursTotals(store.rows))
const corrected = computed(
  () => new Set(store.rows.hoursEntry.flatMap((one) => one.correctsId ?? [])),
)
const nameOfPerson = (id: string) => store.rows.person.find((one) => one.id === id)?.name ?? ''
const kindWord = (kind: string) => sayChoice(fieldOf('hoursEntry', 'kind'), kind)
const correcting = ref<HoursEntry | null>(null)
</script>

<template>
  <div class="max-w-4xl">
    <div class="mb-3 flex flex-wrap items-center justify-between gap-3">
      <h1>{{ formatHours(store.derived.hoursLogged) }} written down</h1>
      <div class="no-print flex gap-2">
        <a class="btn" :href="`/api/refits/${store.refitId}/hours.csv`" download>Hours as CSV</a>
        <button class="btn btn-main" @click="frame.open('hours')">Log hours</button>
      </div>
    </div>
    <HoursChart />
    <div v-if="entries.length > 0" class="mb-6 grid gap-6 lg:grid-cols-2">
      <div
        v-for="[title, list] in [
          ['Person', totals.byPerson],
          ['Job', totals.byJob],
        ] as const"
        :key="title"
      >
        <h2>By {{ title.toLowerCase() }}</h2>
        <UiTable :caption="`Hours by ${title.toLowerCase()}`" :columns="sumsBy(title)" :rows="list">
          <template #name="{ row }">{{ row.name }}</template>
          <template #work="{ row }">{{ formatHours(row.workHours) }}</template>
          <template #other="{ row }">{{
            row.otherHours > 0 ? formatHours(row.otherHours) : ''
          }}</template>
          <template #all="{ row }">{{ formatHours(row.workHours + row.otherHours) }}</template>
        </UiTable>
      </div>
    </div>
    <h2 v-if="entries.length > 0">Every entry</h2>
    <UiTable
      caption="Hours"
      :columns="columns"
      :rows="entries"
      empty="No hours yet. Press h after a piece of work: it is what makes your next guess better."
    >
      <template #on="{ row }"
        ><span class="whitespace-nowrap">{{ sayFullDate(row.on) }}</span></template
      >
      <template #person="{ row }">{{ nameOfPerson(row.personId) }}</template>
      <template #what="{ row }">
        {{ row.stepId ? nameOf(row.stepId) : kindWord(row.kind)
        }}<template v-if="row.stepId && row.kind !== 'work'"
          >, {{ kindWord(row.kind).toLowerCase() }}</template
        >
        <span v-if="row.note" class="text-ink2">{{ row.note }}</span>
        <span v-if="row.correctsId" class="text-ink2"> corrected</span>
      </template>
      <template #hours="{ row }">
        <s v-if="corrected.has(row.id)">{{ formatHours(row.hours) }}</s>
        <template v-else>{{ formatHours(row.hours) }}</template>
      </template>
      <template #act="{ row }">
        <button
          v-if="!corrected.has(row.id)"
          class="btn btn-small no-print"
          :aria-label="`Correct ${formatHours(row.hours)} on ${sayFullDate(row.on)}`"
          @click="correcting = row"
        >
          Correct
        </button>
      </template>
    </UiTable>
    <LazyHoursCorrection v-if="correcting" :entry="correcting" @close="correcting = null" />
  </div>
</template>

<script setup lang="ts">
import { computed, ref } from 'vue'
import type { HoursEntry } from '#core/model/entities'
import { sayDay } from '#core/time/say'
import { formatHours } from '#core/units/hours'

/** All hours written down, newest first; a correction keeps the entry it puts right. */
const store = useRefitStore()
const frame = useFrameStore()
const { nameOf } = useStepNames()
const columns = [
  { key: 'on', label: 'Day' },
  { key: 'person', label: 'Who' },
  { key: 'what', label: 'On what' },
  { key: 'hours', label: 'Hours', number: true },
  { key: 'act', label: 'Put right' },
]
const entries = computed(() =>
  [...store.rows.hoursEntry].sort((a, b) =>
    a.on < b.on ? 1 : a.on > b.on ? -1 : a.id < b.id ? 1 : -1,
  ),
)
const corrected = computed(
  () => new Set(store.rows.hoursEntry.flatMap((one) => one.correctsId ?? [])),
)
const nameOfPerson = (id: string) => store.rows.person.find((one) => one.id === id)?.name ?? ''
const correcting = ref<HoursEntry | null>(null)
const right = ref<number | null>(null)

function correct(entry: HoursEntry) {
  correcting.value = entry
  right.value = entry.hours
}
async function keep() {
  const entry = correcting.value
  if (!entry || right.value === null) return
  const { stepId, jobId, personId, on, kind, note } = entry
  const patch = {
    stepId,
    jobId,
    personId,
    on,
    kind,
    note,
    hours: right.value,
    correctsId: entry.id,
  }
  const done = await store.attempt('Correct hours', [
    { op: 'create', entity: 'hoursEntry', id: newId(), patch },
  ])
  if (done) correcting.value = null
}
</script>

<template>
  <div class="max-w-4xl">
    <div class="mb-3 flex items-center justify-between gap-3">
      <h1>{{ formatHours(store.derived.hoursLogged) }} written down</h1>
      <button class="btn btn-main" @click="frame.open('hours')">Log hours</button>
    </div>
    <UiTable
      caption="Hours"
      :columns="columns"
      :rows="entries"
      empty="No hours yet. Press h after a piece of work: it is what makes your next guess better."
    >
      <template #on="{ row }">{{ sayDay(row.on) }} {{ row.on.slice(0, 4) }}</template>
      <template #person="{ row }">{{ nameOfPerson(row.personId) }}</template>
      <template #what="{ row }">
        {{ row.stepId ? nameOf(row.stepId) : row.kind }}
        <span v-if="row.note" class="text-ink2">{{ row.note }}</span>
        <span v-if="row.correctsId" class="text-ink2">corrected</span>
      </template>
      <template #hours="{ row }">
        <s v-if="corrected.has(row.id)">{{ formatHours(row.hours) }}</s>
        <template v-else>{{ formatHours(row.hours) }}</template>
      </template>
      <template #act="{ row }">
        <button
          v-if="!corrected.has(row.id)"
          class="btn btn-small"
          :aria-label="`Correct ${formatHours(row.hours)} on ${row.on}`"
          @click="correct(row)"
        >
          Correct
        </button>
      </template>
    </UiTable>
    <UiDialog :open="correcting !== null" title="Correct hours" @close="correcting = null">
      <form class="grid gap-4" @submit.prevent="keep">
        <p>The old entry stays to be seen, struck through.</p>
        <UiHours v-model="right" label="It was really" />
        <button class="btn btn-main" type="submit">Keep it</button>
      </form>
    </UiDialog>
  </div>
</template>

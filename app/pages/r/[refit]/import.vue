<script setup lang="ts">
import Papa from 'papaparse'
import { computed, ref, shallowRef } from 'vue'
import { draftChanges } from '#core/exchange/draftChanges'
import {
  columnName,
  guessColumns,
  jobColumns,
  linesToTable,
  looksLikeHeader,
  readJobs,
} from '#core/exchange/readJobs'
import type { JobColumn } from '#core/exchange/readJobs'
import { formatHours } from '#core/units/hours'

/** Bring in a list of work: pasted lines or a table. Nothing is written before you say so. */
const store = useRefitStore()
const toasts = useToastStore()
const text = ref('')
const header = ref<string[]>([])
const table = shallowRef<string[][]>([])
const columns = ref<JobColumn[]>([])
const wrong = ref('')
const busy = ref(false)
const mostBytes = 20e6
const mostRows = 50_000

const options = jobColumns.map((value) => ({ value, label: columnName[value] }))
const drafts = computed(() =>
  readJobs(table.value, columns.value, store.rows, header.value.length > 0 ? 2 : 1),
)
const good = computed(() => drafts.value.filter((one) => one.problems.length === 0))
const bad = computed(() => drafts.value.filter((one) => one.problems.length > 0))
const hours = computed(() => good.value.reduce((sum, one) => sum + (one.hours ?? 0), 0))
const shownRows = 200

async function fromFile(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  wrong.value = ''
  if (file.size > mostBytes) {
    wrong.value = 'This file is over 20 MB. Split it, or take out what is not needed.'
    return
  }
  text.value = await file.text()
  read()
}
function read() {
  wrong.value = ''
  table.value = []
  const said = text.value.trim()
  if (said === '') {
    wrong.value = 'Paste some lines, or pick a file.'
    return
  }
  if (said.includes('\u0000')) {
    wrong.value = 'This is not a text file. Save the sheet as CSV first.'
    return
  }
  const parsed = Papa.parse<string[]>(said, { skipEmptyLines: 'greedy' })
  const first = parsed.data[0] ?? []
  if (first.length > 1 && looksLikeHeader(first)) {
    header.value = first
    columns.value = guessColumns(first)
    table.value = parsed.data.slice(1)
  } else {
    header.value = []
    const lines = linesToTable(said, store.rows.zone)
    columns.value = lines.columns
    table.value = lines.table
  }
  if (table.value.length > mostRows) {
    wrong.value = `${table.value.length} rows are more than ${mostRows}. Split the list.`
    table.value = []
  }
}
function setCell(row: number, column: JobColumn, value: string | null) {
  const at = columns.value.indexOf(column)
  table.value = table.value.map((cells, index) => {
    if (index !== row - (header.value.length > 0 ? 2 : 1)) return cells
    const copy = [...cells]
    copy[at] = value ?? ''
    return copy
  })
}
const cellOf = (row: number, column: JobColumn): string =>
  table.value[row - (header.value.length > 0 ? 2 : 1)]?.[columns.value.indexOf(column)] ?? ''
async function bring() {
  busy.value = true
  try {
    const items = draftChanges(good.value, store.rows, newId)
    const done = await store.submit(`Bring in ${good.value.length} jobs`, items)
    if (!done) return
    toasts.say(`${good.value.length} jobs are in. z takes them out again.`)
    await navigateTo(`/r/${store.refitId}/jobs`)
  } catch (error) {
    wrong.value = sentenceOf(error)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <div class="max-w-5xl">
    <h1>Bring in a list of work</h1>
    <p class="mt-1 text-ink2">
      A line a job, like "Re-bed the bow cleat, 2h, Foredeck, port". Or a table with headings: Job,
      Hours, Place, System, Purpose, How bad, Gate, After, Notes. Decimal commas are read too.
    </p>
    <form class="mt-3 grid gap-3" @submit.prevent="read">
      <label for="pasted" class="cond text-ink2">Paste it here</label>
      <textarea id="pasted" v-model="text" rows="8" class="field" />
      <div class="flex flex-wrap gap-3">
        <button class="btn btn-main" type="submit">Read it</button>
        <label class="btn"
          >Pick a CSV file<input
            type="file"
            accept=".csv,.txt,.tsv,text/csv,text/plain"
            class="sr-only"
            @change="fromFile"
        /></label>
      </div>
    </form>
    <p v-if="wrong" class="mt-3 text-redlead" role="alert">{{ wrong }}</p>
    <template v-if="table.length > 0">
      <section v-if="header.length > 0" class="mt-6">
        <h2>What each column holds</h2>
        <div class="mt-2 grid grid-cols-2 gap-3 sm:grid-cols-4">
          <UiSelect
            v-for="(name, index) in header"
            :key="index"
            :model-value="columns[index] ?? 'skip'"
            :label="name || `Column ${index + 1}`"
            :options="options"
            @update:model-value="
              columns = columns.map((one, at) => (at === index ? ($event ?? 'skip') : one))
            "
          />
        </div>
      </section>
      <section v-if="bad.length > 0" class="mt-6 border-l-4 border-redlead pl-4">
        <h2>
          {{ bad.length }} {{ bad.length === 1 ? 'row needs' : 'rows need' }} mending, or will be
          left out
        </h2>
        <ul>
          <li
            v-for="one in bad.slice(0, shownRows)"
            :key="one.row"
            class="border-b border-rule2 py-2"
          >
            <p>
              <span class="cond">Row {{ one.row }}: {{ one.title || '(no name)' }}</span> —
              {{ one.problems.join(' ') }}
            </p>
            <div class="mt-1 grid grid-cols-2 gap-2 sm:grid-cols-4">
              <UiText
                v-for="column in columns.filter((c) => c !== 'skip')"
                :key="column"
                :model-value="cellOf(one.row, column)"
                :label="columnName[column]"
                @update:model-value="setCell(one.row, column, $event)"
              />
            </div>
          </li>
        </ul>
      </section>
      <section class="mt-6">
        <h2>
          {{ good.length }} {{ good.length === 1 ? 'job' : 'jobs' }} to bring in,
          {{ formatHours(hours) }}
        </h2>
        <ol class="mt-1 list-decimal pl-8">
          <li v-for="one in good.slice(0, shownRows)" :key="one.row">
            {{ one.title }}
            <span class="text-ink2">
              {{
                [
                  one.hours === null ? 'no hours given' : formatHours(one.hours),
                  store.rows.zone.find((z) => z.id === one.zoneId)?.name,
                  one.after ? `after ${one.after}` : '',
                ]
                  .filter(Boolean)
                  .join(' · ')
              }}
            </span>
          </li>
        </ol>
        <p v-if="good.length > shownRows" class="text-ink2">
          and {{ good.length - shownRows }} more.
        </p>
        <button class="btn btn-main mt-4" :disabled="good.length === 0 || busy" @click="bring">
          Bring in {{ good.length }} {{ good.length === 1 ? 'job' : 'jobs' }}
        </button>
      </section>
    </template>
  </div>
</template>

<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import { draftChanges } from '#core/exchange/draftChanges'
import { longestDayHours } from '#core/plan/longestDay'
import { columnName, jobColumns } from '#core/exchange/jobColumns'
import type { JobColumn } from '#core/exchange/jobColumns'
import { lostLinks, readJobs } from '#core/exchange/readJobs'
import type { ListRow } from '#core/exchange/readJobs'
import { dayNumber } from '#core/time/civil'
import { formatHours } from '#core/units/hours'
import { figured } from '#core/units/counted'

/** Bring in a list of work: pasted lines or a table. Nothing is written before you say so. */
const store = useRefitStore()
const toasts = useToastStore()
const time = useTimeStore()
const text = ref('')
const said = ref('')
const header = ref<readonly string[]>([])
const table = shallowRef<readonly ListRow[]>([])
const columns = ref<JobColumn[]>([])
/** Rows ticked or unticked by hand, by line. */
const ticked = ref<ReadonlyMap<number, boolean>>(new Map())
const hoursOtherwise = ref<number | null>(null)
const wrong = ref('')
const busy = ref(false)
const mostBytes = 20e6
const mostRows = 50_000

const options = jobColumns.map((value) => ({ value, label: columnName[value] }))
const drafts = computed(() => readJobs(table.value, columns.value, store.rows))
const isChosen = (one: (typeof drafts.value)[number]): boolean =>
  one.problems.length === 0 && (ticked.value.get(one.row) ?? one.leaveOut === null)
const chosen = computed(() => drafts.value.filter(isChosen))
const bad = computed(() => drafts.value.filter((one) => one.problems.length > 0))
const hours = computed(() =>
  chosen.value.reduce((sum, one) => sum + (one.hours ?? hoursOtherwise.value ?? 0), 0),
)
const bare = computed(() => chosen.value.filter((one) => one.hours === null).length)
const lost = computed(() => lostLinks(chosen.value, drafts.value, store.rows))
/** What wants a look first. */
const shown = computed(() => [
  ...bad.value,
  ...drafts.value.filter((one) => one.problems.length === 0),
])
const shownRows = ref(200)

async function fromFile(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  // The same file may be picked again after it was put right.
  input.value = ''
  if (!file) return
  wrong.value = ''
  if (file.size > mostBytes) {
    wrong.value = 'This file is over 20 MB. Split it, or take out what is not needed.'
    return
  }
  const decoded = await textOf(file)
  text.value = decoded.text
  read(decoded.encoding)
}
function read(encoding = '') {
  wrong.value = ''
  table.value = []
  ticked.value = new Map()
  if (text.value.trim() === '') {
    wrong.value = 'Paste some lines, or pick a file.'
    return
  }
  if (text.value.includes('\u0000')) {
    wrong.value = 'This is not a text file. Save the sheet as CSV first.'
    return
  }
  const list = readList(text.value, store.rows.zone, encoding)
  header.value = list.header
  said.value = list.said
  columns.value = [...list.columns]
  if (list.table.length > mostRows) {
    wrong.value = `${list.table.length} rows are more than ${mostRows}. Split the list.`
    return
  }
  table.value = list.table
  if (list.table.length === 0) wrong.value = 'There is no row under the headings.'
}
/** Puts a cell right; a kind of work that no column holds gets a column of its own. */
function setCell(line: number, column: JobColumn, value: string) {
  if (!columns.value.includes(column)) columns.value = [...columns.value, column]
  const at = columns.value.indexOf(column)
  table.value = table.value.map((row) =>
    row.line === line
      ? {
          ...row,
          cells: columns.value.map((_, index) => (index === at ? value : (row.cells[index] ?? ''))),
        }
      : row,
  )
}
const cellOf = (line: number, column: JobColumn): string =>
  table.value.find((row) => row.line === line)?.cells[columns.value.indexOf(column)] ?? ''
function choose(line: number, on: boolean) {
  ticked.value = new Map([...ticked.value, [line, on]])
}
/** Work the list calls done was done when the refit began, as far as anybody knows. */
function doneAt(): number {
  const began = store.refit
    ? store.derived.clock.at(dayNumber(store.refit.startedOn), 720)
    : time.now
  return Math.round(Math.min(began, time.now))
}
async function bring() {
  busy.value = true
  wrong.value = ''
  try {
    const bringing = {
      hoursOtherwise: hoursOtherwise.value,
      doneAt: doneAt(),
      longestDayHours: longestDayHours(store.rows, store.derived.today, store.zone),
    }
    const many = chosen.value.length
    const items = draftChanges(chosen.value, store.rows, bringing, newId)
    const long = items.filter((one) => one.op === 'create' && one.patch.splittable === true).length
    if (!(await store.submit(`Bring in ${figured(many, 'job')}`, items))) return
    const left =
      long === 0
        ? ''
        : ` ${long} usually done in one go ${long === 1 ? 'is' : 'are'} longer than any day of this fortnight and may be left and taken up again.`
    toasts.say(`${many} ${many === 1 ? 'job is' : 'jobs are'} in.${left} z takes them out again.`)
    await goTo(`/r/${store.refitId}/jobs`)
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
      A line a job, like “Re-bed the bow cleat, 2h, Foredeck, port”. Or a table with headings: Job,
      Hours, Place, System, Purpose, Priority, How bad, Gate, After, Done, Who, Cost, Notes. Files
      of any spreadsheet do, with commas or semicolons and decimal commas.
    </p>
    <form class="mt-3 grid gap-3" @submit.prevent="read()">
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
        <p v-if="said" class="text-ink2">Read as {{ said }}.</p>
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
      <section class="mt-6" aria-labelledby="rows">
        <h2 id="rows">
          {{ chosen.length }} of {{ drafts.length }} {{ drafts.length === 1 ? 'row' : 'rows' }} to
          bring in, {{ formatHours(hours) }}
        </h2>
        <p v-if="bad.length > 0" class="text-redlead">
          {{ bad.length }} {{ bad.length === 1 ? 'row needs' : 'rows need' }} mending before
          {{ bad.length === 1 ? 'it comes' : 'they come' }} in.
        </p>
        <p v-for="one in lost" :key="one" class="text-redlead">{{ one }}</p>
        <div v-if="bare > 0" class="mt-2 flex flex-wrap items-end gap-3">
          <UiHours
            v-model="hoursOtherwise"
            class="w-44"
            label="Hours where none are given"
            :most="2000"
            may-be-empty
          />
          <p class="text-ink2">
            {{ bare }} {{ bare === 1 ? 'row has' : 'rows have' }} no hours.
            {{
              hoursOtherwise === null
                ? 'Without them they come without a step, and no date counts them.'
                : 'They come with this guess, to be put right.'
            }}
          </p>
        </div>
        <ul class="mt-2">
          <ListRowCard
            v-for="one in shown.slice(0, shownRows)"
            :key="one.row"
            :draft="one"
            :chosen="isChosen(one)"
            :columns="columns"
            :cell-of="(column) => cellOf(one.row, column)"
            @choose="choose(one.row, $event)"
            @cell="(column, value) => setCell(one.row, column, value)"
          />
        </ul>
        <button
          v-if="shown.length > shownRows"
          type="button"
          class="btn mt-2"
          @click="shownRows += 200"
        >
          Show {{ Math.min(200, shown.length - shownRows) }} more of {{ shown.length }}
        </button>
        <div>
          <button class="btn btn-main mt-4" :disabled="chosen.length === 0 || busy" @click="bring">
            Bring in {{ chosen.length }} {{ chosen.length === 1 ? 'job' : 'jobs' }}
          </button>
        </div>
      </section>
    </template>
  </div>
</template>

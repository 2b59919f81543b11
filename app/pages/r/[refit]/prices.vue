<script setup lang="ts">
import Papa from 'papaparse'
import { computed, ref, shallowRef } from 'vue'
import {
  guessPriceColumns,
  isSame,
  matchPrices,
  priceChanges,
  priceColumnName,
  priceColumns,
  readPrices,
  standInFeed,
} from '#core/exchange/priceList'
import type { PriceColumn } from '#core/exchange/priceList'
import type { ListRow } from '#core/exchange/readJobs'
import { groupBy } from '#core/model/refit'
import { formatMoney } from '#core/money/money'
import { poolKey } from '#core/stores/pool'
import { figured, unitFor } from '#core/units/counted'

/** A supplier's price list: read, its columns named, laid beside the parts that are still to be bought. */
const store = useRefitStore()
const toasts = useToastStore()
const { undo } = useUndo()
const { suppliers } = usePartChoices()
const currency = computed(() => store.refit?.currency ?? 'EUR')
const text = ref('')
const wrong = ref('')
const header = ref<readonly string[]>([])
const table = shallowRef<readonly ListRow[]>([])
const columns = ref<PriceColumn[]>([])
const supplierId = ref<string | null>(null)
const ticked = ref<ReadonlyMap<string, boolean>>(new Map())
const mostBytes = 5e6
const mostRows = 20_000

const options = priceColumns.map((value) => ({ value, label: priceColumnName[value] }))
const lines = computed(() => readPrices(table.value, columns.value, currency.value))
const bad = computed(() => lines.value.filter((one) => one.problems.length > 0))
const matches = computed(() =>
  matchPrices(lines.value, store.rows.part).sort((a, b) => b.like - a.like),
)
/** Parts that are bought as one thing stand once. */
const groups = computed(() =>
  [...groupBy(matches.value, ({ part, line }) => `${poolKey(part)} ${line.line}`)].flatMap(
    ([id, all]) => (all[0] ? [{ id, first: all[0], all }] : []),
  ),
)
type Group = (typeof groups.value)[number]
const isOn = ({ id, first }: Group) => ticked.value.get(id) ?? isSame(first)
const chosen = computed(() => groups.value.filter(isOn).flatMap((one) => one.all))
const tick = (id: string, on: boolean) => {
  ticked.value = new Map([...ticked.value, [id, on]])
}
const nameOf = ({ first: { part }, all }: Group) =>
  [part.name, part.size, all.length > 1 ? `${all.length} times` : ''].filter(Boolean).join(', ')
function read() {
  wrong.value = ''
  table.value = []
  ticked.value = new Map()
  if (text.value.trim() === '') {
    wrong.value = 'Paste the list, or pick a file.'
    return
  }
  const found = readSheet(text.value)
  if ('wrong' in found) {
    wrong.value = found.wrong
    return
  }
  if (found.table.length > mostRows) {
    wrong.value = `${found.table.length} rows are more than ${mostRows}. Take out what is not wanted.`
    return
  }
  header.value = found.header
  columns.value = guessPriceColumns(found.header)
  table.value = found.table
}
async function fromFile(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  // The same file may be picked again after it was put right.
  input.value = ''
  if (!file) return
  if (file.size > mostBytes) {
    wrong.value = 'This file is over 5 MB. Take out what is not wanted.'
    return
  }
  text.value = (await textOf(file)).text
  read()
}
function standIn() {
  text.value = Papa.unparse(standInFeed.rows() as string[][])
  read()
}
async function take() {
  const many = chosen.value.length
  const label = `Prices of ${many} ${many === 1 ? 'part' : 'parts'} from a list`
  if (!(await store.attempt(label, priceChanges(chosen.value, supplierId.value)))) return
  toasts.say(`${label}.`, false, { label: 'Undo', run: undo })
  await goTo(`/r/${store.refitId}/stores`)
}
const money = (minor: number | null) =>
  minor === null ? 'no price' : formatMoney(minor, currency.value)
</script>

<template>
  <div class="max-w-5xl">
    <h1>Prices from a supplier’s list</h1>
    <p class="mt-1 text-ink2">
      A table with headings, from any spreadsheet: what, size, price of a pack, how much is in it,
      days. Only parts that are still to be bought take anything from it, and only those you tick.
    </p>
    <form class="mt-3 grid gap-3" @submit.prevent="read">
      <label for="pasted" class="cond text-ink2">Paste it here</label>
      <textarea id="pasted" v-model="text" rows="6" class="field" />
      <div class="flex flex-wrap gap-3">
        <button class="btn btn-main" type="submit">Read it</button>
        <label class="btn"
          >Pick a CSV file<input
            type="file"
            accept=".csv,.txt,.tsv,text/csv,text/plain"
            class="sr-only"
            @change="fromFile"
        /></label>
        <button class="btn" type="button" @click="standIn">Try a made-up list</button>
      </div>
    </form>
    <p v-if="wrong" class="mt-3 text-redlead" role="alert">{{ wrong }}</p>
    <template v-if="table.length > 0">
      <section class="mt-6">
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
          <UiSelect
            v-model="supplierId"
            label="Whose list it is"
            :options="suppliers"
            none="Suppliers stay as is"
          />
        </div>
      </section>
      <section class="mt-6" aria-labelledby="found">
        <h2 id="found">
          {{ matches.length }} of your parts may be in the list of
          {{ figured(lines.length, 'row') }}
        </h2>
        <p v-if="bad.length > 0" class="text-redlead">
          {{ figured(bad.length, 'row') }} {{ bad.length === 1 ? 'was' : 'were' }} left out:
          <template v-for="one in bad.slice(0, 3)" :key="one.line"
            >line {{ one.line }}, {{ one.problems.join(' ') }}
          </template>
          <template v-if="bad.length > 3">And {{ bad.length - 3 }} more.</template>
        </p>
        <UiTable
          class="mt-2"
          caption="Parts and the rows of the list that are like them"
          :columns="[
            { key: 'take', label: 'Part' },
            { key: 'line', label: 'In the list' },
            { key: 'was', label: 'Price of one', number: true },
            { key: 'becomes', label: 'Becomes', number: true },
            { key: 'pack', label: 'In a pack', number: true },
          ]"
          :rows="groups"
          empty="None of the rows is like a part that is still to be bought. Are the columns named right?"
        >
          <template #take="{ row }">
            <UiCheck
              :model-value="isOn(row)"
              :label="nameOf(row)"
              @update:model-value="tick(row.id, $event)"
            />
          </template>
          <template #line="{ row }">
            {{ row.first.line.name
            }}<template v-if="row.first.line.size">, {{ row.first.line.size }}</template>
          </template>
          <template #was="{ row }">{{ money(row.first.part.priceMinor) }}</template>
          <template #becomes="{ row }">
            <span class="cond">{{ money(row.first.oneMinor) }}</span>
          </template>
          <template #pack="{ row }">
            {{
              row.first.line.packSize === null
                ? ''
                : `${row.first.line.packSize} ${unitFor(row.first.line.packSize, row.first.line.unit)}`
            }}
          </template>
        </UiTable>
        <button class="btn btn-main mt-4" :disabled="chosen.length === 0" @click="take">
          Take {{ chosen.length }} {{ chosen.length === 1 ? 'price' : 'prices' }}
        </button>
      </section>
    </template>
  </div>
</template>

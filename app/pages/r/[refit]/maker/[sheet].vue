<script setup lang="ts">
import { Printer } from '@lucide/vue'
import { computed, ref } from 'vue'
import type { Row } from '#core/model/entities'
import { hands as handSaid } from '#core/model/said'
import { inOrder } from '#core/model/refit'
import { keysAfter } from '#core/model/order'
import { removal } from '#core/model/removal'
import { sayFullDate } from '#core/time/say'
import { asks, mirrored, sheetChecked } from '#core/stores/makerSheet'

/** A sheet for somebody who makes things to measure: numbered pieces, a drawing, checked when they come. */
const store = useRefitStore()
const route = useRoute()
const { suppliers, jobs } = usePartChoices()
const rows = useRows('makerSheet')
const pieces = useRows('makerItem')
type Item = Row<'makerItem'>
const sheet = computed(
  () => store.rows.makerSheet.find((one) => one.id === route.params.sheet) ?? null,
)
const items = computed(() =>
  inOrder(store.rows.makerItem.filter((one) => one.sheetId === sheet.value?.id)),
)
provideRow({
  entity: 'makerSheet',
  row: sheet,
  edit: (patch) => sheet.value && void rows.edit(sheet.value, patch),
})
const missing = computed(() => (sheet.value ? asks(sheet.value, items.value) : []))
const checked = computed(() => sheetChecked(items.value))
const maker = computed(
  () => store.rows.supplier.find((one) => one.id === sheet.value?.supplierId)?.name ?? '',
)
const openId = ref<string | null>(null)
const open = computed(() => items.value.find((one) => one.id === openId.value) ?? null)
const isPosts = computed(() => sheet.value?.shape === 'posts')
const hasSizes = computed(() => !isPosts.value || items.value.some((one) => one.size !== ''))
const figure = (value: number | null, unit: string) => (value === null ? '–' : `${value}${unit}`)
async function addPiece() {
  if (!sheet.value) return
  const last = items.value.at(-1)
  const number = Number(last?.mark)
  const mark = Number.isInteger(number) ? String(number + 1) : String(items.value.length + 1)
  const id = await pieces.add({
    sheetId: sheet.value.id,
    mark,
    // As the one before it, until somebody measures it.
    heightMm: last?.heightMm ?? null,
    foot: last?.foot ?? '',
    order: keysAfter(last?.order ?? null, 1)[0],
  })
  if (id) openId.value = id
}
const checks = [
  ['count', 'Count'],
  ['handed', 'Hand'],
  ['leans', 'Lean and size'],
] as const
const after = { open: 'right', right: 'wrong', wrong: 'open' } as const
const sign = { open: '○', right: '✓', wrong: '✗' } as const
const look = (item: Item, check: (typeof checks)[number][0]) =>
  void pieces.edit(item, { [check]: after[item[check]] })
/** The same pieces for the other side, to be checked by themselves. */
async function otherSide() {
  const from = sheet.value
  if (!from) return
  const sheetId = newId()
  const { id: _id, version: _version, ...fields } = from
  const numbers = store.rows.makerSheet.map((one) => Number(one.number)).filter(Number.isInteger)
  const done = await store.attempt(`${from.title}, the other side`, [
    {
      op: 'create',
      entity: 'makerSheet',
      id: sheetId,
      patch: {
        ...fields,
        hand: mirrored(from.hand),
        number: String(Math.max(0, ...numbers) + 1),
        sentOn: null,
      },
    },
    ...items.value.map((item) => {
      const { id: _item, version: _v, count: _c, handed: _h, leans: _l, fault: _f, ...rest } = item
      return {
        op: 'create' as const,
        entity: 'makerItem' as const,
        id: newId(),
        patch: { ...rest, sheetId },
      }
    }),
  ])
  if (done) await goTo(`/r/${store.refitId}/maker/${sheetId}`)
}
async function remove() {
  const gone = sheet.value
  if (!gone) return
  const label = `Take sheet ${gone.number} away`
  if (await store.attempt(label, removal(store.rows, 'makerSheet', [gone.id])))
    await goTo(`/r/${store.refitId}/stores?show=orders`)
}
const print = () => window.print()
</script>

<template>
  <div v-if="!sheet" class="max-w-lg">
    <h1>There is no such sheet here</h1>
    <NuxtLink class="btn mt-3" :to="`/r/${store.refitId}/stores?show=orders`"
      >To the orders</NuxtLink
    >
  </div>
  <article v-else class="max-w-5xl">
    <div class="flex flex-wrap items-start justify-between gap-3">
      <div class="min-w-0">
        <p class="cond text-ink2">Order sheet {{ sheet.number }} · {{ store.refit?.boatName }}</p>
        <h1>{{ sheet.title }}<template v-if="maker">, {{ maker }}</template></h1>
        <p class="leading-snug">
          <template v-if="sheet.hand !== 'none'">{{ handSaid[sheet.hand] }}, </template
          ><template v-if="sheet.seenFrom">seen from {{ sheet.seenFrom }}, </template
          ><template v-if="isPosts && sheet.datum">measured from {{ sheet.datum }}, </template
          ><template v-if="sheet.material">{{ sheet.material }}, </template>drawing not to scale
        </p>
        <p class="hidden print:block">
          {{
            sheet.sentOn
              ? `Sent ${sayFullDate(sheet.sentOn)}`
              : `Printed ${sayFullDate(store.derived.today)}`
          }}. Sizes in mm.
        </p>
      </div>
      <div class="no-print flex flex-wrap gap-2">
        <button class="btn" @click="otherSide">For the other side</button>
        <button class="btn" @click="print"><Printer :size="17" aria-hidden="true" /> Print</button>
      </div>
    </div>
    <p
      v-if="missing.length > 0"
      class="no-print mt-2 border-l-4 border-redlead pl-3 leading-snug text-redlead"
    >
      Before it goes out: {{ missing.join(' ') }}
    </p>
    <MakerDrawing v-if="isPosts && items.length > 0" class="mt-3" :items="items" />
    <div class="mt-2 overflow-x-auto">
      <table class="w-full border-t-2 border-ink text-left">
        <caption class="sr-only">
          Pieces of order sheet
          {{ sheet.number }}
        </caption>
        <thead class="cond text-ink2">
          <tr>
            <th scope="col" class="py-1 pr-3">Mark</th>
            <template v-if="isPosts">
              <th scope="col" class="pr-3">From {{ sheet.datum || 'the datum' }}</th>
              <th scope="col" class="pr-3">Height</th>
              <th scope="col" class="pr-3">Lean out</th>
            </template>
            <th v-if="hasSizes" scope="col" class="pr-3">Size</th>
            <th scope="col" class="pr-3">Foot and holes</th>
            <th v-for="[key, label] in checks" :key="key" scope="col" class="px-1 text-center">
              {{ label }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="item in items" :key="item.id" class="border-t border-rule2">
            <th scope="row" class="py-1 pr-3">
              <button
                class="cond text-lg underline decoration-rule underline-offset-4 max-sm:min-h-11 print:no-underline"
                @click="openId = item.id"
              >
                {{ item.mark }}
              </button>
            </th>
            <template v-if="isPosts">
              <td class="cond pr-3">{{ figure(item.atMm, ' mm') }}</td>
              <td class="cond pr-3">{{ figure(item.heightMm, ' mm') }}</td>
              <td class="cond pr-3">{{ figure(item.leanDeg, '°') }}</td>
            </template>
            <td v-if="hasSizes" class="pr-3">{{ item.size }}</td>
            <td class="pr-3">
              {{
                [item.foot, item.isGateNext ? 'gate to the next' : ''].filter(Boolean).join(', ')
              }}
              <span v-if="item.fault" class="block text-redlead">{{ item.fault }}</span>
            </td>
            <td v-for="[key, label] in checks" :key="key" class="text-center">
              <button
                class="min-h-9 min-w-11 text-2xl leading-none"
                :class="{
                  'text-redlead': item[key] === 'wrong',
                  'text-verdigris': item[key] === 'right',
                }"
                :aria-label="`${label} of ${item.mark}: ${item[key] === 'open' ? 'not looked at' : item[key]}`"
                @click="look(item, key)"
              >
                {{ sign[item[key]] }}
              </button>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="items.length > 0" class="no-print mt-1 text-ink2">
      Tick count, hand and lean when it comes: {{ checked.said }}.
    </p>
    <p v-if="sheet.note" class="mt-3 whitespace-pre-line">{{ sheet.note }}</p>
    <p class="mt-3 hidden border-t border-ink pt-2 print:block">
      Checked by <span class="mx-2 inline-block w-48 border-b border-ink" /> on
      <span class="mx-2 inline-block w-32 border-b border-ink" />
    </p>
    <div class="no-print mt-3 flex flex-wrap gap-2">
      <button class="btn btn-main" @click="addPiece">Another piece</button>
      <MakerFill v-if="isPosts" :sheet="sheet" :items="items" />
    </div>
    <section class="no-print mt-6 grid gap-3 sm:grid-cols-2 lg:grid-cols-4" aria-label="The sheet">
      <RowField field="number" />
      <RowField field="title" />
      <RowField field="supplierId" :options="suppliers" none="Not said" />
      <RowField field="jobId" :options="jobs" none="Not said" />
      <RowField field="shape" />
      <RowField field="hand" />
      <RowField field="seenFrom" placeholder="outboard" />
      <RowField field="datum" placeholder="the stem" />
      <RowField field="material" placeholder="316, polished" />
      <RowField field="sentOn" />
      <RowField field="note" class="sm:col-span-2" />
    </section>
    <button class="btn no-print mt-4" @click="remove">Take the sheet away</button>
    <UiDialog :open="open !== null" :title="`Piece ${open?.mark ?? ''}`" @close="openId = null">
      <div v-if="open" class="grid gap-3 sm:grid-cols-2">
        <RowField entity="makerItem" :row="open" field="mark" />
        <template v-if="isPosts">
          <RowField entity="makerItem" :row="open" field="atMm" />
          <RowField entity="makerItem" :row="open" field="heightMm" />
          <RowField entity="makerItem" :row="open" field="leanDeg" />
        </template>
        <RowField entity="makerItem" :row="open" field="size" />
        <RowField entity="makerItem" :row="open" field="foot" />
        <RowField v-if="isPosts" entity="makerItem" :row="open" field="isGateNext" />
        <RowField entity="makerItem" :row="open" field="fault" />
        <button
          class="btn justify-self-start"
          @click="pieces.remove(open).then((done) => done && (openId = null))"
        >
          Take it off the sheet
        </button>
      </div>
    </UiDialog>
  </article>
</template>

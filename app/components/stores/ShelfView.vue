<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Row } from '#core/model/entities'
import { keyBetween } from '#core/model/order'
import { inOrder } from '#core/model/refit'
import { keptAt } from '#core/model/words'
import type { KeptAt } from '#core/model/words'
import { keptAt as keptSaid } from '#core/model/said'
import { sayTool } from '#core/stores/sayBuy'
import { moveLot, takeFromLot } from '#core/stores/shelf'
import type { StoreFacts } from '#core/stores/storeFacts'
import { toolUses } from '#core/stores/tools'
import { problemsOf } from '#core/result'

/** What lies on the shelf, in which place and bin; moved, used up, counted again. And tools, with whose they are. */
const props = defineProps<{ facts: StoreFacts; year: string; currency: string }>()
const store = useRefitStore()
const { sayDate } = useDates()
type Lot = Row<'stock'>
const route = useRoute()
/** A label that was read with a phone leads to its bin. */
const bin = computed(() => {
  const { at, bin: name } = route.query
  return typeof at === 'string' && typeof name === 'string' && name !== '' ? { at, name } : null
})
const lots = computed(() =>
  inOrder(store.rows.stock).filter(
    (one) => !bin.value || (one.at === bin.value.at && one.bin.trim() === bin.value.name),
  ),
)
const tools = computed(() => inOrder(store.rows.tool))
const lotRows = useRows('stock')
const toolRows = useRows('tool')
/** A piece left over says its size instead. */
const amount = (lot: Lot) =>
  lot.isOffcut && lot.quantity === 1
    ? 'one piece'
    : `${Math.round(lot.quantity * 1000) / 1000} ${lot.unit}`.trim()
const isOff = (lot: Lot) => lot.expiresOn !== null && lot.expiresOn < store.derived.today
const places = keptAt.map((value) => ({ value, label: keptSaid[value] }))

/** The lot that is being taken from, and what happens to it. */
const taking = ref<{ lot: Lot; as: 'move' | 'use' } | null>(null)
const much = ref<number | null>(null)
const to = ref<KeptAt>('boat')
const wrong = ref('')
watch(taking, (now) => {
  much.value = now?.lot.quantity ?? null
  to.value = now?.lot.at === 'boat' ? 'shed' : 'boat'
  wrong.value = ''
})
async function take() {
  const now = taking.value
  if (!now) return
  const result =
    now.as === 'move'
      ? moveLot(store.rows, now.lot, much.value ?? 0, to.value, newId)
      : takeFromLot(now.lot, much.value ?? 0)
  if (!result.ok) {
    wrong.value = problemsOf(result)[0]?.message ?? ''
    return
  }
  const label =
    now.as === 'move' ? `${now.lot.name} is ${keptSaid[to.value]}` : `${now.lot.name} used`
  if (await store.attempt(label, result.value)) taking.value = null
}
const opened = ref<Lot | null>(null)
const openTool = ref<Row<'tool'> | null>(null)
const shownLot = computed(() => store.rows.stock.find((one) => one.id === opened.value?.id) ?? null)
const shownTool = computed(
  () => store.rows.tool.find((one) => one.id === openTool.value?.id) ?? null,
)
async function addLot() {
  const order = keyBetween(inOrder(store.rows.stock).at(-1)?.order ?? null, null)
  const id = await lotRows.add({ name: 'New lot', order })
  opened.value = store.rows.stock.find((one) => one.id === id) ?? null
}
async function addTool() {
  const order = keyBetween(tools.value.at(-1)?.order ?? null, null)
  const id = await toolRows.add({ name: 'New tool', order })
  openTool.value = store.rows.tool.find((one) => one.id === id) ?? null
}
const uses = computed(() => new Map(toolUses(props.facts).map((use) => [use.tool.id, use])))
const said = (toolId: string) => {
  const use = uses.value.get(toolId)
  return use ? sayTool(use, props.year, props.currency) : { text: '', wrong: '' }
}
const ownedSaid = { own: 'ours', lent: 'lent by', hired: 'hired from' } as const
</script>

<template>
  <div class="grid gap-6 xl:grid-cols-[1fr_26rem]">
    <section aria-labelledby="shelf-lots">
      <div class="flex items-baseline justify-between border-b-2 border-ink">
        <h2 id="shelf-lots">On the shelf</h2>
        <div class="mb-1 flex gap-2">
          <NuxtLink class="btn btn-small" :to="`/r/${store.refitId}/bins`"
            >Labels for bins</NuxtLink
          >
          <button class="btn btn-small" @click="addLot">Put something there</button>
        </div>
      </div>
      <p v-if="bin" class="my-1">
        Only {{ bin.name }}.
        <NuxtLink class="underline" :to="`/r/${store.refitId}/stores?show=shelf`"
          >All that is on the shelf</NuxtLink
        >
      </p>
      <UiTable
        caption="Lots on the shelf"
        :columns="[
          { key: 'name', label: 'What', sortBy: (one) => one.name },
          { key: 'amount', label: 'How much', number: true },
          { key: 'at', label: 'Where', sortBy: (one) => `${one.at} ${one.bin}` },
          { key: 'until', label: 'Good until', sortBy: (one) => one.expiresOn ?? '9' },
          { key: 'acts', label: 'Take from it' },
        ]"
        :rows="lots"
        empty="Nothing is on the shelf. What is over of an order goes there by itself."
      >
        <template #name="{ row }">
          <button
            class="text-left underline decoration-rule underline-offset-4 max-sm:min-h-11"
            @click="opened = row"
          >
            {{ row.name }}
          </button>
          <span v-if="row.isOffcut" class="text-ink2">, left over {{ row.size }}</span>
        </template>
        <template #amount="{ row }">
          <span :class="{ 'text-ink2': row.quantity === 0 }">{{ amount(row) }}</span>
        </template>
        <template #at="{ row }">
          <span class="inline-flex items-center gap-1.5">
            <PlaceMark :at="row.at" :title="keptSaid[row.at]" /> {{ row.bin }}
          </span>
        </template>
        <template #until="{ row }">
          <span :class="{ 'cond text-redlead': isOff(row) }">
            {{ row.expiresOn ? sayDate(row.expiresOn) : '' }}{{ isOff(row) ? ', off' : '' }}
          </span>
        </template>
        <template #acts="{ row }">
          <span v-if="row.quantity > 0" class="flex gap-1.5">
            <button
              class="btn btn-small"
              :aria-label="`Move ${row.name}`"
              @click="taking = { lot: row, as: 'move' }"
            >
              Move
            </button>
            <button
              class="btn btn-small"
              :aria-label="`Use ${row.name}`"
              @click="taking = { lot: row, as: 'use' }"
            >
              Use
            </button>
          </span>
        </template>
      </UiTable>
    </section>
    <div class="grid content-start gap-6">
      <SparesToCarry />
      <SupplierList />
      <section aria-labelledby="shelf-tools">
        <div class="flex items-baseline justify-between border-b-2 border-ink">
          <h2 id="shelf-tools">Tools</h2>
          <button class="btn btn-small" @click="addTool">Another tool</button>
        </div>
        <ul>
          <li
            v-for="one in tools"
            :key="one.id"
            class="grid grid-cols-[auto_1fr] items-center gap-x-2 border-b border-rule2 py-1.5"
          >
            <PlaceMark v-if="one.at !== 'away'" :at="one.at" :title="keptSaid[one.at]" />
            <span v-else class="text-ink2">away</span>
            <span>
              <button
                class="text-left underline decoration-rule underline-offset-4 max-sm:min-h-11"
                @click="openTool = one"
              >
                {{ one.name }}</button
              ><span class="text-ink2"
                ><template v-if="one.owned !== 'own'"
                  >, {{ ownedSaid[one.owned] }} {{ one.owner || 'nobody said' }}</template
                ><template v-if="one.size">, {{ one.size }}</template></span
              ><span
                v-if="one.backBy"
                class="cond"
                :class="one.backBy < store.derived.today ? 'text-redlead' : ''"
                >, back by {{ sayDate(one.backBy) }}</span
              >
              <span v-if="said(one.id).text" class="block text-[0.9375rem] leading-snug">
                {{ said(one.id).text }}
              </span>
              <span
                v-if="said(one.id).wrong"
                class="block text-[0.9375rem] leading-snug text-redlead"
              >
                {{ said(one.id).wrong }}
              </span>
            </span>
          </li>
          <li v-if="tools.length === 0" class="py-3 text-ink2">
            No tools are written down. Those that are hired or lent are worth it: they say when they
            have to go back.
          </li>
        </ul>
      </section>
    </div>
    <UiDialog
      :open="taking !== null"
      :title="`${taking?.as === 'use' ? 'Use' : 'Move'} ${taking?.lot.name ?? ''}`"
      @close="taking = null"
    >
      <form v-if="taking" class="grid gap-4" @submit.prevent="take">
        <p class="text-ink2">There are {{ amount(taking.lot) }}, {{ keptSaid[taking.lot.at] }}.</p>
        <UiNumber v-model="much" label="How much of it" :min="0" may-be-empty />
        <UiSelect v-if="taking.as === 'move'" v-model="to" label="To" :options="places" />
        <p v-if="wrong" class="text-redlead" role="alert">{{ wrong }}</p>
        <div class="flex gap-2">
          <button class="btn btn-main">{{ taking.as === 'use' ? 'It is used' : 'Move it' }}</button>
          <button type="button" class="btn" @click="taking = null">Leave</button>
        </div>
      </form>
    </UiDialog>
    <UiDialog :open="shownLot !== null" :title="shownLot?.name ?? ''" @close="opened = null">
      <div v-if="shownLot" class="grid gap-3 sm:grid-cols-2">
        <RowField
          v-for="field in [
            'name',
            'quantity',
            'unit',
            'at',
            'bin',
            'batch',
            'expiresOn',
            'lowAt',
            'isOffcut',
            'size',
          ]"
          :key="field"
          entity="stock"
          :row="shownLot"
          :field="field"
        />
        <button
          class="btn justify-self-start"
          @click="lotRows.remove(shownLot).then((done) => done && (opened = null))"
        >
          Take it off the list
        </button>
      </div>
    </UiDialog>
    <UiDialog :open="shownTool !== null" :title="shownTool?.name ?? ''" @close="openTool = null">
      <div v-if="shownTool" class="grid gap-3 sm:grid-cols-2">
        <RowField
          v-for="field in [
            'name',
            'owned',
            'owner',
            'at',
            'backBy',
            'hireDayMinor',
            'reachMm',
            'size',
          ]"
          :key="field"
          entity="tool"
          :row="shownTool"
          :field="field"
        />
        <button
          class="btn justify-self-start"
          @click="toolRows.remove(shownTool).then((done) => done && (openTool = null))"
        >
          Take it off the list
        </button>
      </div>
    </UiDialog>
  </div>
</template>

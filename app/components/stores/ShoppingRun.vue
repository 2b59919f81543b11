<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { ChangeItem } from '#core/model/changes'
import { listed } from '#core/units/counted'
import { keptAt } from '#core/model/words'
import type { KeptAt } from '#core/model/words'
import { keptAt as keptSaid } from '#core/model/said'
import { formatMoney } from '#core/money/money'
import type { BuyBoard, BuyRow } from '#core/stores/board'
import type { LineState } from '#core/stores/lineState'
import type { RunThing } from '#core/stores/run'
import { runDays } from '#core/stores/run'
import type { StoreFacts } from '#core/stores/storeFacts'
import { sayRow, sayThing } from '#core/stores/sayBuy'
import { dateOf } from '#core/time/civil'
import { clockTimeOf } from '#core/time/say'
import { sayRunPlan } from '#core/today/runToday'

/** The round of the shops with one hand: what each has, what blocks most first, and what is in the bag. */
const props = defineProps<{
  facts: StoreFacts
  board: BuyBoard
  currency: string
  year: string
}>()
const emit = defineEmits<{ order: [row: BuyRow] }>()
const store = useRefitStore()
const { undo } = useUndo()
const { sayDay } = useDates()
const { leftHand } = useDevice()
const { run, on, isToday, place, day, placeNeed } = useShoppingRun(
  computed(() => props.facts),
  computed(() => props.board),
)
/** Left for another day: known to this page only. */
const left = ref<ReadonlySet<string>>(new Set())
const shops = computed(() =>
  run.value.shops.map((shop) => ({
    place: shop.place,
    things: shop.things.filter((one) => !left.value.has(one.key)),
    done: doneAt(shop.place.id),
  })),
)
/** What was bought or ordered there today, by the orders of the day. */
const doneAt = (placeId: string) => {
  const from = new Set(
    store.rows.supplier.filter((one) => one.placeId === placeId).map((one) => one.id),
  )
  const orders = new Set(
    store.rows.purchase
      .filter((one) => from.has(one.supplierId ?? '') && one.orderedOn === store.derived.today)
      .map((one) => one.id),
  )
  return [...props.facts.lines.values()].filter((one) => orders.has(one.line.purchaseId))
}
const hasShop = computed(
  () => shops.value.length > 0 || store.rows.place.some((one) => one.kind === 'shop'),
)
const notSure = computed(() => run.value.notSure.map((row) => row.pool.name))
const isNothing = computed(
  () =>
    things.value.length === 0 &&
    run.value.byPost.length + run.value.notSure.length + run.value.nowhere.length === 0 &&
    shops.value.every((one) => one.done.length === 0),
)
const things = computed(() => shops.value.flatMap((one) => one.things))
const chosenKey = ref<string | null>(null)
const chosen = computed(
  () => things.value.find((one) => one.key === chosenKey.value) ?? things.value[0] ?? null,
)
const shopOfChosen = computed(
  () => shops.value.find((one) => one.things.some((thing) => thing === chosen.value)) ?? null,
)
const next = computed(() => {
  const at = things.value.findIndex((one) => one === chosen.value)
  return things.value[at + 1] ?? things.value[at - 1] ?? null
})
const homeFor = (): KeptAt =>
  place.value === null ? 'home' : placeNeed.value === 'shed' ? 'shed' : 'boat'
const bagTo = ref<KeptAt>(homeFor())
watch([place, placeNeed], () => (bagTo.value = homeFor()))
const places = keptAt.map((value) => ({ value, label: keptSaid[value] }))
/** Sums of the refit's own currency: what was ordered in another one says its sum at its order. */
const sumOf = (lines: readonly LineState[]) =>
  lines
    .filter(({ line }) => isOwn(line.purchaseId))
    .reduce((sum, one) => sum + (one.line.priceMinor ?? 0), 0)
const isOwn = (purchaseId: string) => {
  const currency = store.rows.purchase.find((one) => one.id === purchaseId)?.currency ?? ''
  return currency === '' || currency === props.currency
}
const done = computed(() => shops.value.flatMap((one) => one.done))
const inBag = computed(() => sumOf(done.value.filter((one) => one.came > 0)))
const ordered = computed(() => sumOf(done.value.filter((one) => one.came === 0)))
const stillToPay = computed(() => things.value.reduce((sum, one) => sum + (one.priceMinor ?? 0), 0))
const unpriced = computed(() => things.value.filter((one) => one.priceMinor === null).length)
const plan = computed(() =>
  sayRunPlan(day.value, place.value?.name ?? '', (at) => clockTimeOf(at, store.zone)),
)
const cannot = ref<RunThing | null>(null)
const last = ref('')
function takeBack(): void {
  last.value = ''
  undo()
}

async function take(label: string, items: readonly ChangeItem[]): Promise<void> {
  const after = next.value?.key ?? null
  if (!(await store.attempt(label, items))) return
  cannot.value = null
  chosenKey.value = after
  last.value = label
}
function leave(thing: RunThing): void {
  const after = next.value?.key ?? null
  left.value = new Set([...left.value, thing.key])
  cannot.value = null
  chosenKey.value = after
}
const needed = (thing: RunThing) =>
  thing.neededOn === null ? 'for the shelf' : `for ${sayDay(dateOf(thing.neededOn))}`
const dayWords = computed(() => (isToday.value ? 'today' : sayDay(on.value)))
</script>

<template>
  <section aria-label="Shopping run">
    <div v-if="isNothing" class="max-w-xl">
      <p class="border-l-4 border-verdigris pl-4">
        Nothing is wanted from a shop in the next {{ runDays }} days.
      </p>
    </div>
    <div v-else class="gap-6 xl:grid xl:grid-cols-[minmax(0,34rem)_minmax(0,1fr)]">
      <div class="min-w-0">
        <p v-if="!hasShop" class="max-w-xl border-l-4 border-brass pl-3">
          No shop is written down, so that no round can be laid.
          <NuxtLink class="underline" :to="`/r/${store.refitId}/settings#set-places`"
            >Write one down in Settings</NuxtLink
          >: where it is, when it is open.
        </p>
        <template v-if="shops.length > 0">
          <RunHours :day="day" :is-today="isToday" />
          <p class="mt-1 leading-snug">{{ isToday ? '' : `${dayWords}: ` }}{{ plan }}</p>
        </template>
        <section v-for="shop in shops" :key="shop.place.id" class="mt-3">
          <h2 class="border-b-2 border-ink">{{ shop.place.name }}</h2>
          <ul>
            <li v-for="thing in shop.things" :key="thing.key" class="border-b border-rule2">
              <button
                class="grid min-h-14 w-full grid-cols-[1fr_auto_2.75rem] items-center gap-x-2 px-2 py-1 text-left"
                :class="{ 'border-3 border-ink bg-sheet': thing === chosen }"
                :aria-pressed="thing === chosen"
                @click="chosenKey = thing.key"
              >
                <RunThingWords
                  :thing="thing"
                  :today="facts.today"
                  :year="year"
                  :currency="currency"
                />
                <span class="text-right">
                  <span v-if="thing.priceMinor !== null" class="cond block">{{
                    formatMoney(thing.priceMinor, currency)
                  }}</span>
                  <span class="cond block text-[0.9375rem]">{{ needed(thing) }}</span>
                </span>
                <svg width="40" height="40" viewBox="0 0 40 40" aria-hidden="true">
                  <circle
                    cx="20"
                    cy="20"
                    r="14"
                    fill="none"
                    stroke-width="3"
                    :class="thing.isPressing ? 'stroke-redlead' : 'stroke-ink'"
                  />
                </svg>
              </button>
            </li>
            <li
              v-for="one in shop.done"
              :key="one.line.id"
              class="grid min-h-12 grid-cols-[1fr_auto_2.75rem] items-center gap-x-2 border-b border-rule2 px-2 py-1 text-ink2"
            >
              <span>
                <span class="cond block">{{ one.line.name }}</span>
                <span class="block text-[0.9375rem]">{{
                  one.came > 0 ? 'in the bag' : 'ordered'
                }}</span>
              </span>
              <span class="cond">{{
                one.line.priceMinor === null
                  ? 'no price'
                  : isOwn(one.line.purchaseId)
                    ? formatMoney(one.line.priceMinor, currency)
                    : 'in another currency'
              }}</span>
              <BagMark :full="one.came > 0" />
            </li>
          </ul>
        </section>
        <section v-if="run.byPost.length > 0" class="mt-4">
          <h2 class="border-b-2 border-ink">
            {{ hasShop ? 'By post or telephone' : `To buy in the next ${runDays} days` }}
          </h2>
          <ul>
            <li
              v-for="row in run.byPost"
              :key="row.key"
              class="flex items-center justify-between gap-2 border-b border-rule2 py-1"
            >
              <BuyWords
                :name="sayThing(row.pool)"
                :said="sayRow(row, facts.today, year, currency)"
              />
              <button class="btn btn-small shrink-0" @click="emit('order', row)">
                Order<span class="sr-only">{{ ` ${row.pool.name}` }}</span>
              </button>
            </li>
          </ul>
        </section>
        <p v-if="run.nowhere.length > 0" class="mt-3 max-w-xl border-l-4 border-brass pl-3">
          To bring or to fill up, and no shop is known for it:
          {{ run.nowhere.map((one) => one.name).join(', ') }}.
        </p>
        <details
          v-if="notSure.length > 3"
          class="mt-3 max-w-xl border-l-4 border-brass pl-3 [&[open]_.brief]:hidden"
        >
          <summary class="max-sm:min-h-11">
            Not on the list, because their size is not sure yet<span class="brief"
              >: {{ listed(notSure) }}</span
            >
          </summary>
          <p>{{ notSure.join(', ') }}.</p>
        </details>
        <p v-else-if="notSure.length > 0" class="mt-3 max-w-xl border-l-4 border-brass pl-3">
          Not on the list, because their size is not sure yet: {{ listed(notSure) }}.
        </p>
      </div>
      <div
        v-if="chosen && shopOfChosen"
        class="mt-4 max-sm:pb-40 xl:sticky xl:top-2 xl:mt-0 xl:self-start xl:border-l xl:border-rule xl:pl-6"
      >
        <RunCounter
          :key="chosen.key"
          :thing="chosen"
          :next="next?.name ?? ''"
          :shop="shopOfChosen.place.name"
          :bag-to="bagTo"
          :currency="currency"
          :sum="`${formatMoney(inBag, currency)} of ${formatMoney(inBag + ordered + stillToPay, currency)}${unpriced > 0 ? `, ${unpriced} without a price` : ''}`"
          :left-hand="leftHand"
          :last="last"
          @undo="takeBack"
          @take="take"
          @cannot="cannot = chosen"
        />
        <UiChoice v-model="bagTo" class="mt-4" label="The bag goes to" :options="places" />
      </div>
      <p v-else-if="last" class="mt-4 text-lg" role="status">
        {{ last }}; nothing else is wanted from a shop.
        <button class="btn btn-small ml-2" @click="takeBack">Undo</button>
      </p>
    </div>
    <RunCannot
      :thing="cannot"
      :shop="shopOfChosen?.place ?? null"
      @close="cannot = null"
      @leave="cannot && leave(cannot)"
      @take="take"
    />
  </section>
</template>

<script setup lang="ts">
import { useElementBounding, useElementSize, useWindowSize } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { buyScene } from '#core/stores/buyScene'
import { buyHeadline } from '#core/stores/headline'
import { kitDays, kitHeadline } from '#core/stores/kits'
import type { BuyRow } from '#core/stores/board'
import { dateOf } from '#core/time/civil'
import { figured } from '#core/units/counted'

/** What do I buy and when, where is it, and is the job kitted? */
const store = useRefitStore()
const time = useTimeStore()
const route = useRoute()
const { facts, board, currency, year } = useStores()
const { gate, facts: drawn } = useSequence(ref(null))
const { sayDay } = useDates()
const narrow = useNarrow()
const views = [
  { value: 'buy', label: 'When to buy' },
  { value: 'run', label: 'Shopping run' },
  { value: 'kits', label: 'Kits and places', short: 'Kits' },
  { value: 'orders', label: 'Orders' },
  { value: 'shelf', label: 'Shelf' },
] as const
type View = (typeof views)[number]['value']
const view = computed<View>(
  () => views.find((one) => one.value === route.query.show)?.value ?? 'buy',
)
const show = (value: View, more: Record<string, string> = {}) =>
  void goTo({ path: route.path, query: { show: value, ...more } }, { replace: true })

const box = ref<HTMLElement>()
const { width } = useElementSize(box, { width: 940, height: 600 })
const { top, update } = useElementBounding(box)
const head = ref<HTMLElement>()
const { height: headHeight } = useElementSize(head)
watch(headHeight, update, { flush: 'post' })
const { height: windowHeight } = useWindowSize()
const [leastWidth, leastHeight, startTop] = [560, 480, 205]
const height = computed(() =>
  Math.max(leastHeight, Math.floor(windowHeight.value - (top.value || startTop) - 2)),
)
const { unfolded, turn: fold } = useUnfolded()
const scene = computed(() =>
  view.value === 'buy' && !narrow.value
    ? buyScene(facts.value, drawn.value, board.value, {
        width: Math.max(leastWidth, width.value),
        height: height.value,
        now: time.minute,
        gates: store.derived.gates,
        gateId: gate.value?.gate.id ?? null,
        currency: currency.value,
        unfolded: unfolded.value,
      })
    : null,
)
const openKey = ref<string | null>(null)
const openRow = computed(() => board.value.rows.find((row) => row.key === openKey.value) ?? null)
const ordering = ref<readonly BuyRow[]>([])
const toBuy = computed(() => board.value.rows.filter((row) => row.kind === 'buy'))
const cameLine = ref<string | null>(null)
const line = computed(() =>
  cameLine.value === null ? null : (facts.value.lines.get(cameLine.value) ?? null),
)
/** Parts by the day they are needed: what comes goes to the first of them. */
const firstNeeded = computed(() =>
  [...facts.value.parts]
    .sort((a, b) => (a.window.neededOn ?? Infinity) - (b.window.neededOn ?? Infinity))
    .map((one) => one.part.id),
)
const partId = ref<string | null>(null)
const isNewPart = ref(false)
const part = computed(() => store.rows.part.find((one) => one.id === partId.value) ?? null)
const proposals = useProposal()
const newDay = useNewDay(board)
const headline = computed(() => {
  if (view.value === 'kits')
    return kitHeadline(kitDays(facts.value, 4), (day) => sayDay(dateOf(day)))
  if (view.value === 'orders') {
    const open = [...facts.value.lines.values()].filter((one) => one.toCome > 0)
    const late = open.filter((one) => one.dueOn !== null && one.dueOn < store.derived.today)
    return {
      lead:
        open.length === 0
          ? 'Everything that was ordered is here'
          : `${figured(open.length, 'line')} to come`,
      worst: late.length > 0 ? `, ${late.length} past their day` : '',
    }
  }
  if (view.value === 'run') return { lead: 'Shopping run', worst: '' }
  if (view.value === 'shelf') return { lead: 'What is there, and where', worst: '' }
  return buyHeadline(board.value, facts.value.today, year.value)
})
function ordered() {
  ordering.value = []
  openKey.value = null
}
function closePart() {
  isNewPart.value = false
  partId.value = null
}
/** What rows are said with. */
const inWords = computed(() => ({
  today: facts.value.today,
  year: year.value,
  currency: currency.value,
}))
const openTrade = computed(
  () =>
    [...board.value.trades, ...board.value.sent].find(
      (one) => openKey.value === `trade ${one.step.id}`,
    ) ?? null,
)
function openAny(key: string) {
  openKey.value = openKey.value === key ? null : key
}
/** The row that keys are about: the one in focus, else the one that is open. */
const atKey = ref<string | null>(null)
const inHand = computed(
  () => board.value.rows.find((row) => row.key === (atKey.value ?? openKey.value)) ?? null,
)
const measureEarlier = useMeasureEarlier()
useKeyScope({
  storesOrder: () => {
    if (view.value !== 'buy' || inHand.value?.kind !== 'buy') return false
    ordering.value = [inHand.value]
  },
  storesCame: () => {
    const line = inHand.value?.wants.find((one) => one.line)?.line
    if (view.value !== 'buy' || inHand.value?.kind !== 'onItsWay' || !line) return false
    cameLine.value = line.line.id
  },
  storesDue: () => {
    if (view.value !== 'buy' || inHand.value?.kind !== 'onItsWay') return false
    newDay.open(inHand.value.key)
  },
  storesMend: () => {
    const mend = view.value === 'buy' && inHand.value && measureEarlier(facts.value, inHand.value)
    if (!mend) return false
    void proposals.propose(mend)
  },
  pagePrint: () => window.print(),
})
useHead({ style: [{ innerHTML: '@page { size: landscape }', key: 'page-side' }] })
</script>

<template>
  <div class="xl:-mr-5 xl:-mb-3">
    <div
      ref="head"
      class="flex items-center justify-between gap-2 max-lg:flex-wrap xl:pr-5"
      :class="{ 'mb-3': view !== 'buy' }"
    >
      <h1 class="min-w-0">
        {{ headline.lead }}<span class="text-redlead">{{ headline.worst }}</span>
      </h1>
      <button
        v-if="view !== 'run' || !narrow"
        class="btn btn-small no-print ml-auto shrink-0"
        @click="isNewPart = true"
      >
        New part
      </button>
      <UiPages
        label="Page of the stores"
        :pages="views"
        :model-value="view"
        @update:model-value="show($event)"
      />
    </div>
    <template v-if="view === 'buy'">
      <div
        v-if="store.rows.part.length === 0"
        class="my-6 max-w-lg border-l-4 border-verdigris pl-4"
      >
        <h2>They come with the work</h2>
        <p class="mt-2">
          A job made from a recipe brings its parts along, with how many and for which step. Others
          are written down here.
        </p>
        <NuxtLink class="btn btn-main mt-3" :to="`/r/${store.refitId}/recipes`">
          To the recipes
        </NuxtLink>
      </div>
      <div v-else class="xl:grid xl:grid-cols-[1fr_20rem] print:block">
        <div ref="box" class="-ml-3 min-w-0 overflow-x-auto overflow-y-hidden sm:-ml-5">
          <BuyChart v-if="scene" :scene="scene" :open="openKey">
            <BuyHits
              :scene="scene"
              :open="openKey"
              :said="newDay.said.value"
              @row="openAny"
              @fold="fold"
              @at="atKey = $event"
              @drag="newDay.drag"
              @drop="newDay.drop"
              @cancel="newDay.cancelDrag"
              @due="newDay.open($event)"
            />
          </BuyChart>
          <BuyList
            v-else
            class="px-3"
            :rows="board.rows"
            :trades="[...board.trades, ...board.sent]"
            v-bind="inWords"
            @open="openAny"
          />
        </div>
        <aside
          class="border-rule max-xl:mt-6 xl:overflow-y-auto xl:border-l xl:bg-sheet xl:px-4 xl:py-3"
          :style="{ maxHeight: narrow ? undefined : `${height}px` }"
          aria-label="What to do about it"
        >
          <BuyPanel
            v-if="openRow && !narrow"
            :row="openRow"
            v-bind="inWords"
            @close="openKey = null"
            @order="ordering = [$event]"
            @part="partId = $event"
            @came="cameLine = $event"
            @due="newDay.open"
          />
          <TradePanel
            v-else-if="openTrade && !narrow"
            :trade="openTrade"
            v-bind="inWords"
            @close="openKey = null"
          />
          <BuySide
            v-else
            :rows="board.rows"
            :trades="[...board.trades, ...board.sent]"
            :facts="facts"
            :currency="currency"
            :year="year"
            @open="openKey = $event"
            @order="ordering = [$event]"
            @propose="proposals.propose($event)"
            @part="partId = $event"
          />
        </aside>
      </div>
      <UiDialog
        :open="narrow && (openRow ?? openTrade) !== null"
        :title="openRow?.pool.name ?? openTrade?.step.title ?? ''"
        @close="openKey = null"
      >
        <BuyPanel
          v-if="openRow"
          titled
          :row="openRow"
          v-bind="inWords"
          @close="openKey = null"
          @order="ordering = [$event]"
          @part="partId = $event"
          @came="cameLine = $event"
          @due="newDay.open"
        />
        <TradePanel v-else-if="openTrade" titled :trade="openTrade" v-bind="inWords" />
      </UiDialog>
    </template>
    <ShoppingRun
      v-else-if="view === 'run'"
      class="xl:pr-5"
      :facts="facts"
      :board="board"
      :year="year"
      :currency="currency"
      @order="ordering = [$event]"
    />
    <KitsView
      v-else-if="view === 'kits'"
      class="xl:pr-5"
      :facts="facts"
      :year="year"
      @part="partId = $event"
    />
    <div v-else-if="view === 'orders'" class="xl:pr-5">
      <OrdersView
        :facts="facts"
        :currency="currency"
        :chosen="(route.query.order as string | undefined) ?? null"
        @came="cameLine = $event"
        @choose="show('orders', { order: $event })"
      />
      <div class="mt-6 grid gap-6 lg:grid-cols-2">
        <MakerSheets />
        <TradeSheets />
      </div>
    </div>
    <ShelfView v-else class="xl:pr-5" :facts="facts" :year="year" :currency="currency" />
    <OrderDialog
      :open="ordering.length > 0"
      :rows="ordering"
      :others="toBuy"
      @close="ordering = []"
      @done="ordered"
    />
    <CameDialog :line="line" :first-needed="firstNeeded" @close="cameLine = null" />
    <PartDialog :open="isNewPart || part !== null" :part="part" @close="closePart" />
    <ProposalDialog
      :of="newDay"
      take="It comes that day"
      @close="newDay.close"
      @take="newDay.accept"
    >
      <UiDate v-model="newDay.on.value" label="It comes on" class="mt-3 w-56" />
    </ProposalDialog>
    <ProposalDialog :of="proposals" @close="proposals.leave" @take="proposals.accept" />
  </div>
</template>

<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Row } from '#core/model/entities'
import { partWays as waySaid } from '#core/model/said'
import { partWays } from '#core/model/words'
import type { PartWay } from '#core/model/words'
import { keysAfter } from '#core/model/order'
import { inOrder } from '#core/model/refit'
import { formatMoney } from '#core/money/money'
import { buyWindow } from '#core/stores/buyWindow'
import type { PartFacts } from '#core/stores/storeFacts'
import { waysCompared } from '#core/stores/ways'
import { dateOf } from '#core/time/civil'

/** Ways to come by a part: what each is likely to cost in the end, until when there is time for it. */
const props = defineProps<{ want: PartFacts; today: number; currency: string }>()
const store = useRefitStore()
const rows = useRows('partWay')
const { sayDate } = useDates()
const ways = computed(() =>
  inOrder(store.rows.partWay.filter((one) => one.partId === props.want.part.id)),
)
const hourMinor = computed(() => store.refit?.ownHourMinor ?? 0)
const compared = computed(() => waysCompared(ways.value, hourMinor.value))
const money = (minor: number) => formatMoney(minor, props.currency)
const isSure = computed(() => ways.value.some((one) => one.chancePercent === 100))
/** By when this way has to be gone, with the lead it has. */
function until(way: Row<'partWay'>): { text: string; isRed: boolean } {
  const { window } = props.want
  const own = buyWindow({
    today: props.today,
    opensOn: window.opensOn,
    neededOn: window.neededOn,
    leadDays: way.leadDays,
  })
  if (own.closesOn === null) return { text: 'no day needs it', isRed: false }
  if (own.state === 'late') return { text: `${own.lateDays} d late by now`, isRed: true }
  if (own.closesOn <= props.today) return { text: 'today', isRed: true }
  return { text: `by ${sayDate(dateOf(own.closesOn))}`, isRed: false }
}
const openId = ref<string | null>(null)
const open = computed(() => ways.value.find((one) => one.id === openId.value) ?? null)
const left = computed(() => partWays.filter((way) => !ways.value.some((one) => one.way === way)))
async function add(way: PartWay) {
  const id = await rows.add({
    partId: props.want.part.id,
    way,
    // A new one fits; what is found may not.
    chancePercent: way === 'new' ? 100 : way === 'used' || way === 'free' ? 60 : 80,
    priceMinor:
      way === 'new' ? Math.round((props.want.part.priceMinor ?? 0) * props.want.part.quantity) : 0,
    leadDays: way === 'new' ? props.want.lead.days : 0,
    order: keysAfter(ways.value.at(-1)?.order ?? null, 1)[0],
  })
  if (id) openId.value = id
}
</script>

<template>
  <section class="mt-3" aria-label="Ways to come by it">
    <h3 class="border-b border-rule">Ways to come by it</h3>
    <ul>
      <li v-for="one in compared" :key="one.way.id" class="border-b border-rule2 py-1">
        <button
          class="flex w-full items-baseline justify-between gap-2 text-left max-sm:min-h-11"
          @click="openId = one.way.id"
        >
          <span class="min-w-0 underline decoration-rule underline-offset-4">
            {{ waySaid[one.way.way] }}<template v-if="one.way.what">, {{ one.way.what }}</template>
          </span>
          <span class="cond shrink-0">{{ money(one.expectedMinor) }}</span>
        </button>
        <p class="text-[0.9375rem] leading-snug text-ink2">
          {{ money(one.outlayMinor)
          }}<template v-if="one.way.chancePercent < 100"
            >, fits {{ one.way.chancePercent }} in 100<template v-if="one.breakEvenPercent !== null"
              >, pays over {{ Math.round(one.breakEvenPercent) }}</template
            ></template
          >,
          <span :class="{ 'cond text-redlead': until(one.way).isRed }">{{
            until(one.way).text
          }}</span>
        </p>
      </li>
    </ul>
    <p v-if="ways.length > 0" class="text-[0.9375rem] leading-snug text-ink2">
      <template v-if="isSure">What does not fit is paid for, and the sure way after it.</template>
      <template v-else
        >None is sure: what it costs when they all fail is not in these sums.</template
      >
      {{
        hourMinor > 0
          ? ` An own hour counts ${money(hourMinor)}.`
          : ' Own hours count nothing: Settings says what one is worth.'
      }}
    </p>
    <div v-if="left.length > 0" class="no-print mt-1 flex flex-wrap gap-1.5">
      <button v-for="way in left" :key="way" class="btn btn-small" @click="add(way)">
        {{ waySaid[way] }}
      </button>
    </div>
    <UiDialog
      :open="open !== null"
      :title="open ? `${want.part.name}, ${waySaid[open.way]}` : ''"
      @close="openId = null"
    >
      <div v-if="open" class="grid gap-3 sm:grid-cols-2">
        <RowField entity="partWay" :row="open" field="what" class="sm:col-span-2" />
        <RowField entity="partWay" :row="open" field="priceMinor" />
        <RowField entity="partWay" :row="open" field="ownHours" />
        <RowField entity="partWay" :row="open" field="leadDays" />
        <RowField entity="partWay" :row="open" field="chancePercent" />
        <button
          class="btn justify-self-start"
          @click="rows.remove(open).then((done) => done && (openId = null))"
        >
          Not that way
        </button>
      </div>
    </UiDialog>
  </section>
</template>

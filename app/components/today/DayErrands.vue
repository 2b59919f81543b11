<script setup lang="ts">
import { computed } from 'vue'
import type { ChangeItem } from '#core/model/changes'
import { patchOf } from '#core/model/removal'
import { errandsOf, sayErrand } from '#core/today/errands'
import type { Errand } from '#core/today/errands'
import type { DaySheet } from '#core/today/daySheet'
import { placeOn } from '#core/today/placeOn'
import { clockTimeOf } from '#core/time/say'
import { timeOf } from '#core/time/civil'

/** What is still to be bought for the day: which shop, its hours, who has time for it and until when. */
const props = defineProps<{
  sheet: DaySheet
  on: string
  personIds: readonly string[]
  dayStart: number
  dayEnd: number
}>()
const store = useRefitStore()
const time = useTimeStore()
const errands = computed(() =>
  errandsOf(
    store.rows,
    props.sheet.take,
    props.sheet.lines,
    {
      on: props.on,
      personIds: props.personIds,
      from: props.dayStart,
      to: props.dayEnd,
      place: placeOn(store.rows, store.accepted, props.on, props.sheet.placeNeed, store.zone),
    },
    store.zone,
    props.on === store.derived.today ? time.minute : 0,
  ),
)
const nameOf = (id: string) => store.rows.person.find((one) => one.id === id)?.name ?? ''
const say = (errand: Errand) => sayErrand(errand, nameOf, (at) => clockTimeOf(at, store.zone))
const hours = ({ open, wayMin }: Errand) =>
  open ? `open ${timeOf(open[0])}–${timeOf(open[1])}, ${wayMin} min one way` : 'shut that day'
function bought(errand: Errand): Promise<boolean> {
  const here = props.sheet.placeNeed === 'shed' ? 'shed' : 'boat'
  const items = errand.things.flatMap((one): ChangeItem[] => {
    if (one.entity === 'part') {
      const part = store.rows.part.find((row) => row.id === one.id)
      return part ? [patchOf('part', part, { state: 'arrived', at: here, seenOn: props.on })] : []
    }
    const line = store.rows.bringLine.find((row) => row.id === one.id)
    return line ? [patchOf('bringLine', line, { at: here, seenOn: props.on })] : []
  })
  return store.attempt(`Bought at ${errand.shop.name}`, items)
}
</script>

<template>
  <section v-if="errands.length > 0" class="mt-3" aria-label="To buy">
    <div v-for="errand in errands" :key="errand.shop.id" class="mb-1">
      <div class="flex items-baseline justify-between gap-2 border-b-2 border-ink">
        <h2 class="min-w-0 truncate">To {{ errand.shop.name }}</h2>
        <p class="cond whitespace-nowrap text-ink2">{{ hours(errand) }}</p>
      </div>
      <p class="leading-tight">
        <b class="font-semibold">{{
          errand.things
            .map((one) => (one.amount ? `${one.what}, ${one.amount}` : one.what))
            .join('; ')
        }}</b>
      </p>
      <p class="leading-tight" :class="{ 'text-redlead': !errand.trip && !errand.instead }">
        {{ say(errand) }}
      </p>
      <p v-if="errand.measureFirst.length > 0" class="leading-tight">
        Measure before you go: {{ errand.measureFirst.join(', ') }}.
      </p>
      <div class="mt-1 flex flex-wrap gap-2 no-print">
        <button class="btn btn-small" @click="bought(errand)">
          Bought<span class="sr-only"> at {{ errand.shop.name }}</span>
        </button>
        <NuxtLink class="btn btn-small" :to="`/r/${store.refitId}/stores?show=run`">
          All that is wanted<span class="sr-only"> from {{ errand.shop.name }}</span>
        </NuxtLink>
      </div>
    </div>
  </section>
</template>

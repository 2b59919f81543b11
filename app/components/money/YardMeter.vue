<script setup lang="ts">
import { computed } from 'vue'
import { howYard } from '#core/how/money'
import { yardMeter } from '#core/money/yardMeter'
import { daysBetween } from '#core/time/civil'
import { exactMoney } from '#core/money/money'
import { figured } from '#core/units/counted'

/** The yard meter: a block a week; free ones hatched, gone brass, to come white. */
const store = useRefitStore()
const { currency } = useMoney()
const { sayDay, sayDate } = useDates()
const { idOf, urlOf } = provideChartIds()
const meter = computed(() => yardMeter(store.rows, store.accepted, store.zone, store.derived.today))
/** What a week more in the yard costs, all told, and the berth in it that she does not need. */
const weekLater = computed(() => {
  const later = meter.value?.weekLater
  return later && { minor: later.yardMinor - later.berthMinor, berthMinor: later.berthMinor }
})
const isToCome = computed(() =>
  store.rows.haulOut.some(
    ({ launchActual }) => launchActual === null || launchActual > store.derived.today,
  ),
)
const exact = (minor: number) => exactMoney(minor, currency.value)
const [perRow, blockWide, blockHigh, apart] = [10, 26, 12, 2]
const mostBlocks = 60
const { datesOf, odds } = useOdds()
/** The launch as likely as not, by the runs; null: none of this plan, or no later than planned. */
const likelyOn = computed(() => {
  const gate = store.rows.gate.find((one) => one.haulOutId === meter.value?.haulOut.id)
  const on = gate && odds.isFresh ? (datesOf(gate.id)?.likelyOn ?? null) : null
  return on !== null && meter.value?.launchOn && on > meter.value.launchOn ? on : null
})
const blocks = computed(() => {
  const one = meter.value
  if (!one) return []
  const planned = one.daysSoFar + one.daysToCome
  const later = likelyOn.value && one.launchOn ? daysBetween(one.launchOn, likelyOn.value) : 0
  const weeks = Math.min(mostBlocks, Math.ceil((planned + later) / 7))
  return Array.from({ length: weeks }, (_, at) => {
    const begins = at * 7
    return {
      x: (at % perRow) * (blockWide + apart) + 1,
      y: Math.floor(at / perRow) * (blockHigh + apart) + 1,
      isFree: begins < one.freeDays,
      isGone: begins < one.daysSoFar,
      isLater: begins >= planned,
    }
  })
})
const high = computed(() => Math.ceil(blocks.value.length / perRow) * (blockHigh + apart) + 2)
</script>

<template>
  <section aria-labelledby="yard-meter">
    <h2 id="yard-meter" class="border-b-2 border-ink text-lg">
      Yard meter<template v-if="meter?.hasDayPrice"
        >: {{ exact(meter.dayMinor) }} a day ashore</template
      >
    </h2>
    <template v-if="meter">
      <svg
        :width="perRow * (blockWide + apart)"
        :height="high"
        class="mt-2 block"
        role="img"
        :aria-label="`${figured(meter.daysSoFar, 'day')} ashore so far, ${meter.daysToCome} to the planned launch`"
      >
        <pattern :id="idOf('free')" width="6" height="6" patternUnits="userSpaceOnUse">
          <path d="M-1 7L7 -1M-1 1L1 -1M5 7L7 5" stroke="var(--ink2)" />
        </pattern>
        <rect
          v-for="(one, at) in blocks"
          :key="at"
          :x="one.x"
          :y="one.y"
          :width="blockWide"
          :height="blockHigh"
          :fill="one.isFree ? urlOf('free') : one.isGone ? 'var(--brass)' : 'var(--sheet)'"
          :stroke="one.isLater ? 'var(--redlead)' : 'var(--ink)'"
          :stroke-dasharray="one.isLater ? '3 2' : undefined"
        />
      </svg>
      <p class="text-sm text-ink2">
        a week each: hatched free, white to come<template v-if="likelyOn"
          >, dashed to the likely launch, {{ sayDate(likelyOn) }}</template
        >
      </p>
      <dl class="mt-1 grid grid-cols-[1fr_auto] gap-x-3 leading-snug">
        <dt>
          {{
            meter.isAshore ? `Ashore so far, ${figured(meter.daysSoFar, 'day')}` : 'Not ashore yet'
          }}<template v-if="meter.isAshore && meter.freeDays > 0"
            >, {{ Math.min(meter.freeDays, meter.daysSoFar) }} free</template
          >
        </dt>
        <dd class="cond text-right">
          {{ meter.hasDayPrice ? exact(meter.daysSoFarMinor) : '–' }}
        </dd>
        <dt>Lifted out, blocked, washed</dt>
        <dd class="cond text-right">{{ exact(meter.outMinor) }}</dd>
        <dt v-if="meter.launchOn">
          To {{ sayDay(meter.launchOn) }}, {{ figured(meter.daysToCome, 'day') }}
        </dt>
        <dt v-else>To the launch: it has no day in the plan</dt>
        <dd class="cond text-right">
          {{ meter.launchOn && meter.hasDayPrice ? exact(meter.daysToComeMinor) : '–' }}
        </dd>
        <dt>Lift in</dt>
        <dd class="cond text-right">{{ exact(meter.inMinor) }}</dd>
        <dt class="cond text-lg">
          This haul-out{{ meter.hasDayPrice ? '' : ', the days not in it' }}
        </dt>
        <dd class="cond border-t border-ink text-right text-lg">
          <UiHow about="this haul-out" :how="() => howYard(meter!, currency)">{{
            exact(meter.totalMinor)
          }}</UiHow>
        </dd>
      </dl>
      <p v-if="!meter.hasDayPrice" class="mt-1 leading-snug">
        A day ashore has no price yet.
        <NuxtLink class="underline" :to="`/r/${store.refitId}/settings#set-places`"
          >Write it down</NuxtLink
        >
      </p>
      <p
        v-else-if="weekLater"
        class="mt-1 leading-snug"
        :class="weekLater.minor > 0 ? 'text-redlead' : ''"
      >
        Launched a week later<template v-if="meter.launchOn"
          >, after {{ sayDate(meter.launchOn) }}</template
        >: {{ exact(Math.abs(weekLater.minor)) }} {{ weekLater.minor < 0 ? 'less' : 'more'
        }}<template v-if="weekLater.berthMinor > 0"
          >, {{ exact(weekLater.berthMinor) }} of berth taken off</template
        >
      </p>
    </template>
    <p v-else-if="!isToCome" class="mt-2 text-ink2">
      {{
        store.rows.haulOut.length > 0
          ? 'She is launched from every haul-out there is.'
          : 'No haul-out is written down.'
      }}
    </p>
    <p v-else class="mt-2 text-ink2">
      No yard has prices yet.
      <NuxtLink class="underline" :to="`/r/${store.refitId}/settings#set-places`"
        >Write them down in Settings</NuxtLink
      >: a day ashore, the lift, what is free.
    </p>
    <BerthTimes />
  </section>
</template>

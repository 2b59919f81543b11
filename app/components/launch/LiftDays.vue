<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { minutesOfSpan } from '#core/launch/liftDays'
import type { LiftDay } from '#core/launch/liftDays'
import { clockTimeOf } from '#core/time/say'
import { minutesOf } from '#core/time/civil'
import type { Interval } from '#core/time/intervals'
import type { Place } from '#core/model/entities'
import { inWords } from '#core/units/counted'

/** A row a day, time across: the water at the slip marching through the yard's lift hours, and who is there. */
const props = defineProps<{
  days: readonly LiftDay[]
  yard: Place | null
  chosen: number | null
  /** Where the tide is reckoned with. */
  hasTide: boolean
}>()
const emit = defineEmits<{ choose: [day: number] }>()
const store = useRefitStore()
const { sayWhole } = useMoney()
const { sayDay } = useDates()
const [firstHour, lastHour] = [5, 22]
const holder = ref<HTMLElement | null>(null)
const { width: measured } = useElementSize(holder, { width: 300, height: 20 })
const band = computed(() => Math.max(120, Math.round(measured.value)))
const isManned = (day: LiftDay) => day.isLiftDay && day.personIds.length > 0
const isNarrow = useNarrow()
/** Height of a row that is read, px; with a finger it is pressed. What is drawn in it stands in its middle. */
const tallPx = computed(() => (isNarrow.value ? 43 : 27))
const downPx = computed(() => (tallPx.value - 27) / 2)
const isTall = (day: LiftDay) => isManned(day) || day.isBooked || day.isBest || day.isPlanned
const x = (day: LiftDay, at: number) => {
  const minutes = (at - store.zone.at(day.day, 0)) / 60_000
  const share = (minutes / 60 - firstHour) / (lastHour - firstHour)
  return Math.max(0, Math.min(1, share)) * band.value
}
const box = (day: LiftDay, [a, b]: Interval) => ({ x: x(day, a), width: x(day, b) - x(day, a) })
const dark = (day: LiftDay): { x: number; width: number }[] => {
  if (!day.light) return []
  const [rise, set] = [x(day, day.light[0]), x(day, day.light[1])]
  return [
    { x: 0, width: rise },
    { x: set, width: band.value - set },
  ].filter((one) => one.width > 0.5)
}
const hourX = (hour: number) => ((hour - firstHour) / (lastHour - firstHour)) * band.value
const yardX = computed(() =>
  props.yard
    ? [props.yard.liftFrom, props.yard.liftUntil].map((time) => hourX(minutesOf(time) / 60))
    : [],
)
const hours = computed(() => (band.value > 260 ? [6, 8, 10, 12, 14, 16, 18, 20] : [6, 10, 14, 18]))
const time = (at: number) => clockTimeOf(at, store.zone)
const long = (span: Interval) => {
  const minutes = minutesOfSpan(span)
  return minutes < 60
    ? `${minutes} min`
    : `${Math.floor(minutes / 60)} h ${minutes % 60 ? String(minutes % 60).padStart(2, '0') : ''}`.trim()
}
const people = (day: LiftDay) => {
  const all = store.rows.person.filter((one) => !one.gone).length
  const here = day.personIds.length
  if (here === 0) return 'nobody'
  return here === all && here > 1 ? `all ${inWords(here)}` : inWords(here)
}
const water = (day: LiftDay) =>
  day.closedFor
    ? day.closedFor
    : !day.isLiftDay
      ? 'no lifts'
      : day.window
        ? `${time(day.window[0])}–${time(day.window[1])}`
        : day.water === null && props.hasTide
          ? 'tide not known'
          : day.isShort
            ? 'too short'
            : 'no water'
const said = (day: LiftDay) =>
  [
    sayDay(day.on),
    water(day),
    people(day),
    day.ready === null ? '' : `ready in ${day.ready} of 100 runs`,
    day.isTooFew ? 'too few for a lift' : '',
    day.isBooked ? 'booked' : '',
    day.isPlanned ? 'planned' : '',
    day.isBest ? 'cheapest all told' : '',
  ]
    .filter(Boolean)
    .join(', ')
const label = (day: LiftDay) => sayDay(day.on)
</script>

<template>
  <div>
    <div
      class="grid grid-cols-[5.6rem_minmax(0,1fr)_6.2rem_4.4rem] items-end text-ink2 sm:grid-cols-[5.6rem_minmax(0,1fr)_6.2rem_4.4rem_3rem_4rem]"
    >
      <span />
      <div ref="holder" class="relative h-5">
        <span
          v-for="hour in hours"
          :key="hour"
          class="cond absolute -translate-x-1/2"
          :style="{ left: `${hourX(hour)}px` }"
          >{{ hour }}</span
        >
      </div>
      <span class="cond pl-2">{{ hasTide ? 'water' : 'lift hours' }}</span>
      <span class="cond">people</span>
      <span class="cond text-right max-sm:hidden">ready?</span>
      <span class="cond text-right max-sm:hidden">costs</span>
    </div>
    <ul role="listbox" aria-label="Days she could go in">
      <li
        v-for="day in days"
        :key="day.day"
        role="option"
        :aria-selected="chosen === day.day"
        :aria-label="said(day)"
        :tabindex="chosen === day.day || (chosen === null && day === days[0]) ? 0 : -1"
        class="grid cursor-pointer grid-cols-[5.6rem_minmax(0,1fr)_6.2rem_4.4rem] items-center border-b border-rule2 sm:grid-cols-[5.6rem_minmax(0,1fr)_6.2rem_4.4rem_3rem_4rem]"
        :class="[
          isTall(day) ? 'h-[27px] max-sm:h-11' : 'h-[9px] max-sm:hidden',
          chosen === day.day ? 'relative z-10 outline-3 outline-verdigris' : '',
        ]"
        :data-day="day.on"
        @click="emit('choose', day.day)"
        @keydown.enter.prevent="emit('choose', day.day)"
        @keydown.space.prevent="emit('choose', day.day)"
      >
        <span v-if="isTall(day)" class="cond truncate font-semibold leading-none">{{
          label(day)
        }}</span>
        <span v-else />
        <svg
          :width="band"
          :height="isTall(day) ? tallPx : 9"
          class="block h-full w-full"
          preserveAspectRatio="none"
          :viewBox="`0 0 ${band} ${isTall(day) ? tallPx : 9}`"
          aria-hidden="true"
        >
          <rect
            v-for="(one, index) in (day.water ?? []).map((each) => box(day, each))"
            :key="`w${index}`"
            :x="one.x"
            y="0"
            :width="one.width"
            :height="tallPx"
            fill="var(--water)"
          />
          <rect
            v-for="(one, index) in dark(day)"
            :key="`d${index}`"
            :x="one.x"
            y="0"
            :width="one.width"
            :height="tallPx"
            fill="url(#slip-dark)"
          />
          <path
            v-for="(at, index) in yardX"
            :key="`y${index}`"
            :d="`M${at} 0V${tallPx}`"
            stroke="var(--ink)"
            stroke-width="1.6"
          />
          <rect
            v-if="day.window"
            :x="box(day, day.window).x"
            :y="isTall(day) ? 3 + downPx : 1"
            :width="box(day, day.window).width"
            :height="isTall(day) ? 18 : 7"
            :fill="isManned(day) ? 'var(--verdigris)' : 'var(--sheet)'"
            stroke="var(--ink)"
            stroke-width="1.2"
          />
          <text
            v-if="day.window && isTall(day)"
            :x="
              box(day, day.window).width > 52
                ? box(day, day.window).x + box(day, day.window).width / 2
                : box(day, day.window).x + box(day, day.window).width + 5
            "
            :y="17 + downPx"
            :text-anchor="box(day, day.window).width > 52 ? 'middle' : 'start'"
            font-size="15"
            font-weight="600"
            class="cond"
            :fill="box(day, day.window).width > 52 && isManned(day) ? 'var(--sheet)' : 'var(--ink)'"
          >
            {{ long(day.window) }}
          </text>
          <path
            v-for="(one, index) in day.presence.map((each) => box(day, each))"
            v-show="isTall(day)"
            :key="`p${index}`"
            :d="`M${one.x} ${tallPx - 2}H${one.x + one.width}`"
            stroke="var(--ink)"
            stroke-width="2.6"
          />
        </svg>
        <template v-if="isTall(day)">
          <span class="cond truncate pl-2 leading-none" :title="water(day)">{{ water(day) }}</span>
          <span
            class="cond truncate leading-none"
            :class="day.personIds.length === 0 || day.isTooFew ? 'text-redlead' : ''"
            >{{ people(day) }}</span
          >
          <span class="cond text-right leading-none max-sm:hidden">{{
            day.ready === null ? (day.isTooFew ? 'too few' : '') : `${day.ready} %`
          }}</span>
          <span class="cond truncate text-right font-semibold leading-none max-sm:hidden">{{
            day.isBest && day.extraMinor !== null
              ? 'least'
              : day.extraMinor === null
                ? ''
                : `+${sayWhole(day.extraMinor)}`
          }}</span>
        </template>
      </li>
    </ul>
    <p class="cond mt-1 flex flex-wrap gap-x-4 text-sm text-ink2" aria-hidden="true">
      <span v-if="hasTide"><i class="inline-block h-3 w-5 bg-water align-middle" /> her depth</span>
      <span
        ><i class="inline-block h-3 w-5 border border-ink bg-verdigris align-middle" /> lift{{
          hasTide ? ', water' : ''
        }}, people</span
      >
      <span
        ><i class="inline-block h-3 w-5 border border-ink bg-sheet align-middle" /> lift{{
          hasTide ? ' and water' : ''
        }}, nobody</span
      >
      <span><i class="inline-block h-1 w-5 bg-ink align-middle" /> your hours</span>
    </p>
    <svg width="0" height="0" class="absolute" aria-hidden="true">
      <pattern id="slip-dark" width="5" height="5" patternUnits="userSpaceOnUse">
        <rect width="5" height="5" fill="var(--rule2)" fill-opacity="0.75" />
        <circle cx="1.5" cy="1.5" r="0.9" fill="var(--ink2)" />
      </pattern>
    </svg>
  </div>
</template>

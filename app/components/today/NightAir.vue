<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { Curing } from '#core/today/curing'
import { hourMs } from '#core/time/civil'
import { clockTimeOf, shortDateTime } from '#core/time/say'
import { formatTemp } from '#core/units/quantity'

/** The air until the next visit, dew and rain in it, and each cure: hatched where it earns, bare where it is too cold. */
const props = defineProps<{
  from: number
  to: number
  curing: readonly Curing[]
  nextSaid: string
}>()
const store = useRefitStore()
const holder = ref<HTMLElement | null>(null)
const { width } = useElementSize(holder, { width: 600, height: 140 })
/** Longer nights than this are cut: the forecast says less and less. */
const mostMs = 48 * hourMs
const end = computed(() => Math.min(props.to, props.from + mostMs))
const left = 96
const x = (at: number) =>
  left + ((at - props.from) / Math.max(1, end.value - props.from)) * Math.max(1, width.value - left)
const hours = computed(() =>
  store.waits.weather.hours.filter((hour) => hour.at + hourMs > props.from && hour.at < end.value),
)
const range = computed(() => {
  const temps = hours.value.map((hour) => hour.tempC)
  return [Math.min(...temps, 99), Math.max(...temps, -99)] as const
})
const y = (tempC: number) => {
  const [low, high] = range.value
  return 44 - ((tempC - low) / Math.max(1, high - low)) * 26
}
const line = computed(() =>
  hours.value
    .map(
      (hour, at) =>
        `${at === 0 ? 'M' : 'L'}${x(Math.max(props.from, hour.at)).toFixed(1)} ${y(hour.tempC).toFixed(1)}`,
    )
    .join(''),
)
const runs = (suits: (index: number) => boolean) => {
  const found: { from: number; to: number }[] = []
  hours.value.forEach((hour, index) => {
    if (!suits(index)) return
    const [from, to] = [Math.max(props.from, hour.at), Math.min(end.value, hour.at + hourMs)]
    const last = found.at(-1)
    if (last && last.to === from) last.to = to
    else found.push({ from, to })
  })
  return found
}
const rain = computed(() => runs((index) => hours.value[index]?.rain === true))
const dew = computed(() =>
  runs((index) => {
    const hour = hours.value[index]
    return hour !== undefined && hour.tempC - hour.dewC < 3
  }),
)
const temp = (tempC: number) => formatTemp(Math.round(tempC), store.refit?.units ?? 'metric')
const lowest = computed(() =>
  hours.value.reduce<(typeof hours.value)[number] | null>(
    (least, one) => (least === null || one.tempC < least.tempC ? one : least),
    null,
  ),
)
/** Where a cure stands still for the cold. */
const coldOf = (one: Curing) => {
  const minC = one.step?.waitMinC ?? null
  return minC === null ? [] : runs((index) => (hours.value[index]?.tempC ?? 99) < minC)
}
const ticks = computed(() => {
  const found: number[] = []
  const every = end.value - props.from > 20 * hourMs ? 6 : 4
  for (let at = Math.ceil(props.from / hourMs) * hourMs; at < end.value; at += hourMs)
    if (store.zone.minutesOf(at) % (every * 60) === 0) found.push(at)
  return found
})
const rows = computed(() => props.curing.slice(0, 4))
const height = computed(() => 58 + rows.value.length * 25 + 18)
/** As far as the forecast reaches without a gap, or the first two days. */
const knownTo = computed(() => {
  let to = props.from
  for (const hour of hours.value) {
    if (hour.at > to) break
    to = Math.max(to, hour.at + hourMs)
  }
  return Math.min(to, end.value)
})
const said = computed(() => {
  if (hours.value.length === 0 || knownTo.value <= props.from)
    return 'No forecast reaches this night.'
  const [low, high] = range.value
  const wet = rain.value[0]
  // Of what is after that nothing is said.
  const until = knownTo.value < props.to ? ` until ${shortDateTime(knownTo.value, store.zone)}` : ''
  return `Air ${temp(high)} down to ${temp(low)}${wet ? `, rain from ${clockTimeOf(wet.from, store.zone)}` : `, no rain${until}`}.`
})
</script>

<template>
  <section>
    <div class="flex items-baseline justify-between border-b-2 border-ink">
      <h2>Until {{ nextSaid }}</h2>
      <p class="cond text-ink2">{{ said }}</p>
    </div>
    <div ref="holder">
      <svg
        v-if="hours.length > 1"
        :width="width"
        :height="height"
        class="block"
        role="img"
        :aria-label="said"
      >
        <rect
          v-for="one in dew"
          :key="`d${one.from}`"
          :x="x(one.from)"
          y="0"
          :width="x(one.to) - x(one.from)"
          :height="height - 18"
          fill="var(--rule2)"
        />
        <rect
          v-for="one in rain"
          :key="`r${one.from}`"
          :x="x(one.from)"
          y="2"
          :width="x(one.to) - x(one.from)"
          height="48"
          fill="var(--water)"
        />
        <text
          v-for="one in rain"
          :key="`rt${one.from}`"
          :x="(x(one.from) + x(one.to)) / 2"
          y="16"
          text-anchor="middle"
          class="cond fill-ink text-sm"
        >
          rain
        </text>
        <text
          v-if="dew[0] && x(dew[0].from) < width - 80"
          :x="x(dew[0].from) + 4"
          y="12"
          class="cond fill-ink2 text-sm"
        >
          dew {{ clockTimeOf(dew[0].from, store.zone) }}
        </text>
        <path :d="line" fill="none" stroke="var(--ink)" stroke-width="2.500" />
        <text
          v-if="lowest"
          :x="Math.min(width - 30, x(Math.max(from, lowest.at)))"
          :y="y(lowest.tempC) + 14"
          text-anchor="middle"
          class="cond fill-ink text-sm"
        >
          {{ temp(lowest.tempC) }}
        </text>
        <g v-for="(one, at) in rows" :key="one.key">
          <text x="0" :y="76 + at * 25" class="cond fill-ink">
            {{ one.title.length > 14 ? `${one.title.slice(0, 13)}…` : one.title }}
          </text>
          <foreignObject
            :x="x(Math.max(from, one.from))"
            :y="60 + at * 25"
            :width="Math.max(4, x(Math.min(end, one.until)) - x(Math.max(from, one.from)))"
            height="20"
          >
            <div class="hatch h-full border-2 border-ink" />
          </foreignObject>
          <rect
            v-for="cold in coldOf(one)"
            :key="cold.from"
            :x="x(Math.max(cold.from, one.from))"
            :y="62 + at * 25"
            :width="
              Math.max(0, x(Math.min(cold.to, one.until, end)) - x(Math.max(cold.from, one.from)))
            "
            height="16"
            fill="var(--sheet)"
          />
          <text
            v-if="one.until < end"
            :x="Math.min(width - 4, x(one.until) + 5)"
            :y="76 + at * 25"
            :text-anchor="x(one.until) > width - 90 ? 'end' : 'start'"
            class="cond fill-ink text-sm"
          >
            {{ clockTimeOf(one.until, store.zone) }}
          </text>
          <g v-else>
            <rect
              :x="x(Math.max(from, one.from)) + 6"
              :y="62 + at * 25"
              :width="Math.min(178, width - left - 12)"
              height="16"
              fill="var(--paper)"
            />
            <text
              :x="x(Math.max(from, one.from)) + 10"
              :y="75 + at * 25"
              class="cond fill-ink text-sm"
            >
              {{
                one.until === Infinity
                  ? 'too cold: it does not cure'
                  : `hard ${shortDateTime(one.until, store.zone)}`
              }}
            </text>
          </g>
        </g>
        <text
          v-for="at in ticks"
          :key="at"
          :x="x(at)"
          :y="height - 3"
          text-anchor="middle"
          class="cond fill-ink2 text-sm"
        >
          {{ clockTimeOf(at, store.zone).slice(0, 2) }}
        </text>
      </svg>
      <p v-else class="py-2 text-ink2">{{ said }} Cures go by the mean of the month.</p>
    </div>
  </section>
</template>

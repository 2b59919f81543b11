<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { hourMs } from '#core/time/civil'
import { clockTimeOf } from '#core/time/say'
import type { RunDay } from '#core/today/runToday'

/** The hours of a run: what cures meanwhile, when each shop is open, when it is seen, what o'clock it is. */
const props = defineProps<{ day: RunDay; isToday: boolean }>()
const store = useRefitStore()
const time = useTimeStore()
const box = ref<HTMLElement>()
const { width } = useElementSize(box, { width: 366, height: 100 })
const [names, row, top] = [128, 26, 20]
const curing = computed(() => props.day.plan?.whileIt ?? null)
const span = computed((): [number, number] => {
  const open = props.day.hours.flatMap((one) => one.open ?? [])
  const route = props.day.plan?.route
  const all = [...open, ...(route ? [route.leaveAt, route.backAt] : [])]
  if (all.length === 0) return [0, hourMs]
  return [
    Math.floor(Math.min(...all) / hourMs) * hourMs,
    Math.ceil(Math.max(...all) / hourMs) * hourMs,
  ]
})
const x = (at: number) => {
  const [from, to] = span.value
  const within = Math.min(to, Math.max(from, at))
  return names + ((within - from) / (to - from)) * (Math.max(240, width.value) - names - 14)
}
const ticks = computed(() => {
  const [from, to] = span.value
  const hours = Array.from(
    { length: (to - from) / hourMs + 1 },
    (_, index) => from + index * hourMs,
  )
  return hours.filter((at) => clockTimeOf(at, store.zone).endsWith('00') && hourOf(at) % 2 === 0)
})
const hourOf = (at: number) => Number(clockTimeOf(at, store.zone).slice(0, 2))
const rows = computed(() => [
  ...(curing.value
    ? [
        {
          key: 'curing',
          name: curing.value.title,
          bar: [curing.value.from, curing.value.until],
          visit: null,
        },
      ]
    : []),
  ...props.day.hours.map(({ shop, open }) => ({
    key: shop.place.id,
    name: shop.place.name,
    bar: open,
    visit: props.day.plan?.route.visits.find((one) => one.shopId === shop.place.id) ?? null,
  })),
])
const height = computed(() => top + rows.value.length * row + 2)
const said = computed(() =>
  props.day.hours
    .map(({ shop, open }) =>
      open
        ? `${shop.place.name} open ${clockTimeOf(open[0], store.zone)} to ${clockTimeOf(open[1], store.zone)}`
        : `${shop.place.name} shut`,
    )
    .join('; '),
)
const isNowShown = computed(
  () => props.isToday && time.minute >= span.value[0] && time.minute <= span.value[1],
)
const { idOf, urlOf } = provideChartIds()
</script>

<template>
  <div ref="box" class="min-w-0 overflow-hidden">
    <svg :width="Math.max(240, width)" :height="height" role="img" :aria-label="said">
      <defs>
        <pattern
          :id="idOf('cures')"
          width="7"
          height="7"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <path d="M0 0V7" class="stroke-ink2" stroke-width="2" />
        </pattern>
      </defs>
      <g v-for="at in ticks" :key="at">
        <path :d="`M${x(at)} ${top - 3}V${height}`" class="stroke-rule" />
        <text :x="x(at)" :y="top - 6" text-anchor="middle" class="cond fill-ink text-[0.875rem]">
          {{ hourOf(at) }}
        </text>
      </g>
      <g
        v-for="(one, index) in rows"
        :key="one.key"
        :transform="`translate(0 ${top + index * row})`"
      >
        <text y="17" class="cond fill-ink text-[0.9375rem]">
          {{ one.name.length > 19 ? `${one.name.slice(0, 18)}…` : one.name }}
        </text>
        <rect
          v-if="one.bar"
          :x="x(one.bar[0] ?? 0)"
          y="4"
          :width="Math.max(2, x(one.bar[1] ?? 0) - x(one.bar[0] ?? 0))"
          height="17"
          class="stroke-ink"
          :fill="one.key === 'curing' ? urlOf('cures') : 'none'"
          stroke-width="1.5"
        />
        <text
          v-else
          :x="x(span[1])"
          y="17"
          text-anchor="end"
          class="cond fill-redlead text-[0.9375rem]"
        >
          shut
        </text>
        <rect
          v-if="one.visit"
          :x="x(one.visit.from)"
          y="8"
          :width="Math.max(5, x(one.visit.to) - x(one.visit.from))"
          height="9"
          class="fill-verdigris"
        />
      </g>
      <path
        v-if="isNowShown"
        :d="`M${x(time.minute)} ${top - 4}V${height}`"
        class="stroke-ink"
        stroke-width="3"
      />
    </svg>
  </div>
</template>

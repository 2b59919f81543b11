<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { figured } from '#core/units/counted'
import { computed, ref } from 'vue'
import { hullLines } from '#core/boatMap/hull'
import type { Spot } from '#core/boatMap/hull'
import type { ReadyItem } from '#core/launch/readyItem'
import type { SlingSplit } from '#core/launch/lift'
import { alongOf } from '#core/launch/readiness'
import { sharedMarks } from '#core/launch/sharedMarks'

/** Her in the slings, bow to the left: where she is open, and what each sling and leg carries. */
const props = defineProps<{
  items: readonly ReadyItem[]
  split: SlingSplit | null
  centreM: number | null
  foreM: number | null
  aftM: number | null
  hookT: number | null
  pointed: string | null
}>()
const emit = defineEmits<{
  open: [key: string]
  point: [key: string | null]
  /** A sling was moved to so many metres from the stem; `isDone`: and let go there. */
  sling: [which: 'fore' | 'aft', metres: number, isDone: boolean]
  /** What was being moved was let go of without a place. */
  slingLeft: []
}>()
const store = useRefitStore()
const holder = ref<HTMLElement | null>(null)
const { width: measured } = useElementSize(holder, { width: 560, height: 200 })
const width = computed(() => Math.max(280, Math.round(measured.value)))
const refit = computed(() => store.refit)
const lines = computed(() => (refit.value ? hullLines(refit.value) : null))
const length = computed(() => width.value * 0.8)
const left = computed(() => width.value * 0.1)
const top = 46
const water = computed(() => top + 0.135 * length.value)
const height = computed(() => water.value + (lines.value?.draught ?? 0.14) * length.value + 34)
const at = ([x, y]: Spot): Spot => [
  left.value + (1 - x) * length.value,
  water.value - y * length.value,
]
const path = (spots: readonly Spot[], closed = true) =>
  spots
    .map((spot, index) => {
      const [x, y] = at(spot)
      return `${index === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`
    })
    .join('') + (closed ? 'Z' : '')
const loa = computed(() => refit.value?.loaM ?? 12)
/** Metres from the stem to x of the drawing. */
const fromStem = (metres: number) => left.value + (metres / loa.value) * length.value
const slings = computed(() => {
  const { foreM, aftM, split } = props
  if (foreM === null || aftM === null || !lines.value) return []
  return [
    { m: foreM, t: split?.foreT ?? null, leg: split?.foreLegT ?? null },
    { m: aftM, t: split?.aftT ?? null, leg: split?.aftLegT ?? null },
  ].map((one, index) => ({
    ...one,
    x: fromStem(one.m),
    /** Down to the deck it can be taken hold of; below it lie the openings. */
    grip: at([1 - one.m / loa.value, lines.value?.sheer(1 - one.m / loa.value) ?? 0])[1],
    low: at([1 - one.m / loa.value, lines.value?.bottom(1 - one.m / loa.value) ?? 0])[1],
    anchor: index === 0 ? 'end' : 'start',
    textX: fromStem(one.m) + (index === 0 ? -10 : 10),
  }))
})
/** A sling stays this side of her centre of gravity, and on her. Metres. */
const clear = 0.1
const slingStep = 0.05
function slingTo(which: 'fore' | 'aft', metres: number, isDone: boolean) {
  const { centreM } = props
  if (centreM === null) return
  const [low, high] = which === 'fore' ? [0, centreM - clear] : [centreM + clear, loa.value]
  const stepped = Math.round(metres / slingStep) * slingStep
  emit('sling', which, Number(Math.min(high, Math.max(low, stepped)).toFixed(2)), isDone)
}
function slingDrag(which: 'fore' | 'aft', event: PointerEvent) {
  const handle = event.currentTarget as HTMLElement
  const from = holder.value?.getBoundingClientRect().left ?? 0
  const metresAt = ({ clientX }: PointerEvent) =>
    ((clientX - from - left.value) / length.value) * loa.value
  handle.setPointerCapture(event.pointerId)
  const move = (to: PointerEvent) => slingTo(which, metresAt(to), false)
  const over = new AbortController()
  const { signal } = over
  handle.addEventListener('pointermove', move, { signal })
  handle.addEventListener(
    'pointerup',
    (to) => {
      over.abort()
      slingTo(which, metresAt(to), true)
    },
    { signal },
  )
  // Taken over by a scroll or a second finger: it stays where it was written down.
  handle.addEventListener(
    'pointercancel',
    () => {
      over.abort()
      emit('slingLeft')
    },
    { signal },
  )
}
const slingKeys: Readonly<Record<string, number>> = {
  ArrowLeft: -slingStep,
  ArrowRight: slingStep,
  PageUp: 10 * slingStep,
  PageDown: -10 * slingStep,
}
function slingKey(which: 'fore' | 'aft', metres: number, event: KeyboardEvent) {
  const by = slingKeys[event.key]
  if (by === undefined) return
  event.preventDefault()
  event.stopPropagation()
  slingTo(which, metres + by, true)
}
/** With more openings than this, marks that would lie over one another share one; with fewer they are moved apart. */
const many = 20
const leastPx = 22
const placed = computed(() => {
  const line = lines.value
  if (!line) return []
  return props.items.flatMap((item, index) => {
    if (!item.opening) return []
    const along = alongOf(item.opening, store.rows.zone) ?? 0.5
    const y = Math.max(item.opening.heightM / loa.value, -line.draught)
    const [x, py] = at([along, y])
    return [{ item, state: item.state, number: index + 1, x, y: py }]
  })
})
interface Mark {
  readonly item: ReadyItem
  readonly number: number
  /** So many stand in one, this the worst of them. */
  readonly count: number
  readonly keys: readonly string[]
  readonly x: number
  readonly y: number
}
const marks = computed((): Mark[] => {
  if (placed.value.length > many)
    return sharedMarks(placed.value, leastPx).flatMap(({ x, y, marks: [first, ...rest] }) =>
      first
        ? [
            {
              ...first,
              x,
              y,
              count: rest.length + 1,
              keys: [first, ...rest].map(({ item }) => item.key),
            },
          ]
        : [],
    )
  const apart: Mark[] = []
  for (const one of [...placed.value].sort((a, b) => a.x - b.x)) {
    let x = one.x
    for (const other of apart)
      if (Math.abs(other.y - one.y) < 24 && x - other.x < 25) x = other.x + 25
    apart.push({ ...one, x, count: 1, keys: [one.item.key] })
  }
  return apart
})
const said = computed(() =>
  props.split
    ? `Fore sling ${props.split.foreT.toFixed(2)} t, aft sling ${props.split.aftT.toFixed(2)} t. ${figured(props.items.length, 'opening')}, listed below.`
    : `${figured(props.items.length, 'opening')}, listed below.`,
)
/** The opening nearest to a strap, and how far from it. */
const nearest = computed(() => {
  const all = placed.value.flatMap(({ item, number }) =>
    slings.value.map((sling, index) => {
      const along = item.opening ? (alongOf(item.opening, store.rows.zone) ?? null) : null
      return along === null
        ? null
        : { number, sling: index + 1, m: Math.abs((1 - along) * loa.value - sling.m) }
    }),
  )
  return all
    .flatMap((one) => one ?? [])
    .sort((a, b) => a.m - b.m)
    .at(0)
})
</script>

<template>
  <div ref="holder" class="relative overflow-hidden">
    <template v-if="centreM !== null">
      <div
        v-for="(sling, index) in slings"
        :key="index"
        class="no-print absolute top-[26px] w-6 max-sm:w-11 -translate-x-1/2 cursor-ew-resize touch-none"
        :style="{ left: `${sling.x}px`, height: `${Math.max(44, sling.grip - 26)}px` }"
        role="slider"
        tabindex="0"
        :aria-label="index === 0 ? 'Fore sling from the stem' : 'Aft sling from the stem'"
        aria-valuemin="0"
        :aria-valuemax="loa"
        :aria-valuenow="sling.m"
        :aria-valuetext="`${sling.m.toFixed(2)} m from the stem, ${sling.t === null ? 'weight not known' : `${sling.t.toFixed(2)} t`}`"
        @pointerdown="slingDrag(index === 0 ? 'fore' : 'aft', $event)"
        @keydown="slingKey(index === 0 ? 'fore' : 'aft', sling.m, $event)"
      />
    </template>
    <svg v-if="lines" :width="width" :height="height" role="img" :aria-label="said" class="block">
      <text
        v-if="hookT !== null"
        :x="slings.length ? ((slings[0]?.x ?? 0) + (slings[1]?.x ?? 0)) / 2 : width / 2"
        y="12"
        text-anchor="middle"
        class="cond"
        font-size="15"
        font-weight="600"
        fill="var(--ink)"
      >
        hook {{ hookT.toFixed(2) }} t with gear
      </text>
      <rect
        v-if="slings.length === 2"
        :x="(slings[0]?.x ?? 0) - 14"
        y="18"
        :width="(slings[1]?.x ?? 0) - (slings[0]?.x ?? 0) + 28"
        height="8"
        fill="var(--ink)"
      />
      <path
        v-for="(stay, index) in lines.houses"
        :key="`h${index}`"
        :d="path(stay)"
        fill="var(--sheet)"
        stroke="var(--ink)"
        stroke-width="1.6"
      />
      <path
        v-for="(spots, index) in lines.windows"
        :key="`w${index}`"
        :d="path(spots)"
        fill="var(--water)"
        stroke="var(--ink)"
        stroke-width="1"
      />
      <g fill="var(--sheet)" stroke="var(--ink)" stroke-width="2" stroke-linejoin="round">
        <path v-for="(spots, index) in lines.keels" :key="`k${index}`" :d="path(spots)" />
        <path v-for="(spots, index) in lines.rudders" :key="`r${index}`" :d="path(spots)" />
        <path :d="path(lines.body)" />
      </g>
      <clipPath id="under-water">
        <rect x="0" :y="water" :width="width" :height="height" />
      </clipPath>
      <g clip-path="url(#under-water)" fill="var(--rule)" fill-opacity="0.75" stroke="none">
        <path v-for="(spots, index) in lines.keels" :key="`k${index}`" :d="path(spots)" />
        <path :d="path(lines.body)" />
      </g>
      <path
        v-for="(spots, index) in lines.rudders"
        :key="`q${index}`"
        :d="path(spots)"
        fill="var(--rule)"
        fill-opacity="0.75"
        stroke="var(--ink)"
        stroke-width="1.6"
      />
      <path
        :d="`M0 ${water}H${width}`"
        stroke="var(--water-deep)"
        stroke-width="1.4"
        stroke-dasharray="8 5"
      />
      <text
        :x="width"
        :y="water + 15"
        text-anchor="end"
        font-size="14"
        class="cond"
        fill="var(--water-deep)"
      >
        waterline
      </text>
      <g v-for="sling in slings" :key="sling.m">
        <rect
          :x="sling.x - 4"
          y="26"
          width="8"
          :height="sling.low - 26"
          fill="var(--brass)"
          stroke="var(--ink)"
          stroke-width="1.4"
        />
        <text
          v-if="sling.t !== null"
          :x="sling.textX"
          y="42"
          :text-anchor="sling.anchor"
          font-size="18"
          font-weight="600"
          class="cond"
          fill="var(--ink)"
          stroke="var(--paper)"
          stroke-width="3"
          paint-order="stroke"
        >
          {{ sling.t.toFixed(2) }} t
        </text>
        <text
          v-if="sling.leg !== null"
          :x="sling.textX"
          y="58"
          :text-anchor="sling.anchor"
          font-size="14"
          class="cond"
          fill="var(--ink2)"
          stroke="var(--paper)"
          stroke-width="3"
          paint-order="stroke"
        >
          {{ sling.leg.toFixed(2) }} t a leg
        </text>
      </g>
      <g v-if="centreM !== null" :transform="`translate(${fromStem(centreM)} ${water - 14})`">
        <circle r="8" fill="var(--sheet)" stroke="var(--ink)" stroke-width="2" />
        <path d="M0 0V-8A8 8 0 0 1 8 0Z M0 0V8A8 8 0 0 1 -8 0Z" fill="var(--ink)" />
      </g>
      <g v-if="slings.length === 2 && centreM !== null" stroke="var(--ink)" stroke-width="1.4">
        <path
          :d="`M${slings[0]?.x} ${height - 12}H${slings[1]?.x}M${slings[0]?.x} ${height - 18}v12M${slings[1]?.x} ${height - 18}v12M${fromStem(centreM)} ${height - 18}v12`"
          fill="none"
        />
        <g
          stroke="none"
          font-size="15"
          font-weight="600"
          text-anchor="middle"
          class="cond"
          fill="var(--ink)"
        >
          <g
            v-for="(one, index) in [
              [slings[0]?.m ?? 0, centreM],
              [centreM, slings[1]?.m ?? 0],
            ] as const"
            :key="index"
          >
            <rect
              :x="(fromStem(one[0]) + fromStem(one[1])) / 2 - 24"
              :y="height - 21"
              width="48"
              height="18"
              fill="var(--paper)"
            />
            <text :x="(fromStem(one[0]) + fromStem(one[1])) / 2" :y="height - 7">
              {{ (one[1] - one[0]).toFixed(2) }} m
            </text>
          </g>
        </g>
      </g>
      <text
        v-if="nearest"
        x="0"
        :y="height - 6"
        font-size="14"
        class="cond"
        :fill="nearest.m < 0.3 ? 'var(--redlead)' : 'var(--ink2)'"
      >
        sling {{ nearest.sling }} clears {{ nearest.number }} by {{ nearest.m.toFixed(2) }} m
      </text>
      <g
        v-for="mark in marks"
        :key="mark.item.key"
        :transform="`translate(${mark.x} ${mark.y}) scale(${pointed !== null && mark.keys.includes(pointed) ? 1.3 : 1})`"
        class="cursor-pointer"
        @click="emit('open', mark.item.key)"
        @mouseenter="emit('point', mark.item.key)"
        @mouseleave="emit('point', null)"
      >
        <ReadyMark :state="mark.item.state" :number="mark.count > 1 ? null : mark.number" />
        <text
          v-if="mark.count > 1"
          x="12"
          y="-6"
          class="cond"
          font-size="14"
          font-weight="600"
          fill="var(--ink)"
          stroke="var(--paper)"
          stroke-width="3"
          paint-order="stroke"
        >
          ×{{ mark.count }}
        </text>
      </g>
    </svg>
  </div>
</template>

<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { formatHours } from '#core/units/hours'
import { dayNumber, weekdayOf } from '#core/time/civil'
import { sayDate } from '#core/time/say'
import { sayMend } from '#core/plan/mends'
import type { Layer } from '#core/stair/layers'
import { stairScale, stairUntil } from '#core/stair/stairScale'

/** The job as it grows: a layer begins on its day and stays. Bottom first; what waits on it stands on top. */
const props = defineProps<{
  layers: readonly Layer[]
  /** The gate as planned. */
  gate: { readonly name: string; readonly at: number } | null
  waiting: readonly {
    readonly job: { readonly id: string; readonly title: string }
    readonly at: number | null
  }[]
  chosen: string | null
  /** Of a layer on its way to another day: what that would do. */
  said: string
}>()
const emit = defineEmits<{
  choose: [key: string]
  drag: [stepId: string, day: number]
  drop: []
  cancel: []
  pin: [stepId: string]
}>()
const store = useRefitStore()
const time = useTimeStore()
const { shortDate } = useDates()
const board = ref<HTMLElement | null>(null)
const { width } = useElementSize(board)
const narrow = useNarrow()
/** A finger wants more than a pointer. */
const rowPx = computed(() => (narrow.value ? 44 : 31))
const headPx = 64

const done = computed(() => props.layers.filter((one) => one.state === 'done'))
const lastAt = computed(() =>
  Math.max(
    time.minute,
    ...props.layers.map((one) => (one.state === 'done' ? 0 : (one.readyAt ?? one.to ?? 0))),
  ),
)
/** A gate far behind the last layer stands past the end of the scale: it would press the days together. */
const until = computed(() => stairUntil(time.minute, lastAt.value, props.gate?.at ?? null))
const mondays = computed(() => {
  const first = dayNumber(store.derived.today)
  const monday = first + 8 - weekdayOf(first)
  return Array.from({ length: 160 }, (_, week) => store.zone.at(monday + week * 7, 0))
})
const scale = computed(() =>
  stairScale(
    Math.max(width.value, 300),
    done.value.length,
    time.minute,
    until.value,
    mondays.value,
  ),
)
const height = computed(() => headPx + props.layers.length * rowPx.value)
const placed = computed(() =>
  props.layers.map((layer, index) => {
    const { xOf, doneX } = scale.value
    const wide = Math.max(width.value, 300)
    const isDone = layer.state === 'done'
    const left = isDone
      ? doneX(done.value.indexOf(layer))
      : layer.from === null
        ? wide * 0.9
        : xOf(layer.from)
    const said = sayLayer(layer)
    // A letter of the narrow face is about so wide.
    const needs = (layer.title.length + said.length) * 7.2 + 60
    const cured = layer.readyAt !== null && layer.to !== null ? xOf(layer.readyAt) : left
    const from = isDone ? Math.max(left, scale.value.todayX) : left
    // While it is worked on it needs somebody.
    const cures = layer.to === null ? from : Math.max(from, xOf(layer.to))
    const shut = layer.shutsAt
    return {
      layer,
      said,
      left,
      top: headPx + (props.layers.length - 1 - index) * rowPx.value,
      /** Where its words begin: in it, or left of it where it is too short. */
      inside: wide - left >= needs || wide - Math.max(cured, from) > left,
      /** Left of it there is room for why nobody works before it, besides its name. */
      roomLeft: left > needs + 260,
      hatch: layer.readyAt !== null && layer.readyAt > time.minute ? Math.max(0, cured - cures) : 0,
      hatchFrom: cures - left,
      notch: shut !== null && shut > time.minute ? xOf(shut) - left : null,
      bondFrom: Math.max(0, cured - left),
    }
  }),
)
/** A layer that is one open step is dragged to the day on which it is to begin. */
const movable = (layer: Layer) =>
  layer.steps.length === 1 && layer.state === 'open' && layer.from !== null
    ? (layer.steps[0] ?? null)
    : null
const slide = useTimeDrag<Layer>({
  drawing: () => board.value,
  atX: (x) => scale.value.atX(x),
  drag: (layer, day) => {
    const step = movable(layer)
    if (step) emit('drag', step.id, day)
  },
  drop: () => emit('drop'),
  cancel: () => emit('cancel'),
  longPress: (layer) => {
    const step = movable(layer)
    if (step) emit('pin', step.id)
  },
})
const ghost = computed(() => {
  const moving = slide.moving.value
  if (!moving) return null
  const one = placed.value.find(({ layer }) => layer.key === moving.what.key)
  const at = store.zone.at(moving.day, 8 * 60)
  return {
    left: scale.value.xOf(at),
    top: one?.top ?? 0,
    words: `${shortDate(at, store.zone)}: ${props.said}`,
  }
})
function pinByKey(event: KeyboardEvent, layer: Layer) {
  const step = movable(layer)
  if (!step) return
  event.preventDefault()
  event.stopPropagation()
  emit('pin', step.id)
}
function press(layer: Layer) {
  if (!slide.hasJustEnded()) emit('choose', layer.key)
}
const names = (ids: readonly string[]): string => {
  const list = ids.map((id) => store.rows.person.find((one) => one.id === id)?.name ?? '')
  return list.length === 2 && store.rows.person.filter((one) => !one.gone).length === 2
    ? 'both'
    : list.join(', ')
}
function sayLayer(layer: Layer): string {
  const when =
    layer.from === null
      ? layer.state === 'done'
        ? ''
        : 'no place in the plan'
      : shortDate(layer.from, store.zone)
  if (narrow.value) return when
  return [when, names(layer.personIds), layer.hours > 0 ? formatHours(layer.hours) : '']
    .filter(Boolean)
    .join(', ')
}
const stateName = { done: 'done', doing: 'under way', open: 'to come' }
/** All of a layer for who does not see it. */
const spoken = (layer: Layer): string =>
  [
    `${layer.title}: ${stateName[layer.state]}`,
    sayLayer(layer),
    layer.state !== 'done' &&
    layer.readyAt !== null &&
    layer.to !== null &&
    layer.readyAt > layer.to
      ? `cured ${shortDate(layer.readyAt, store.zone)}`
      : '',
    layer.shutsAt !== null && layer.shutsAt > time.minute
      ? `bond shuts ${shortDate(layer.shutsAt, store.zone)}`
      : '',
    layer.gap,
    ...(layer.mends ?? []).map(sayMend),
  ]
    .filter(Boolean)
    .join('. ')
/** What stands before a layer: the mend of a window that shuts, else why nobody works. */
const note = (layer: Layer): { text: string; red: boolean } => {
  const [mend] = layer.mends ?? []
  if (mend?.kind === 'peelPly') return { text: 'bond shuts, so peel ply', red: true }
  if (mend?.kind === 'etching')
    return { text: `metal goes off, so etched again, ${formatHours(mend.hours)}`, red: true }
  if (mend) return { text: `bond shuts, so keying, ${formatHours(mend.hours)}`, red: true }
  return { text: layer.gap, red: false }
}
const isGateFar = computed(() => props.gate !== null && props.gate.at > until.value)
const gateX = computed(() => {
  if (!props.gate) return null
  return isGateFar.value ? Math.max(width.value, 300) * 0.96 : scale.value.xOf(props.gate.at)
})
/** Marks that neither today nor the gate covers. */
const marks = computed(() =>
  scale.value.mondays.filter((one) => gateX.value === null || Math.abs(one.x - gateX.value) > 30),
)
</script>

<template>
  <div>
    <div ref="board" class="relative" :style="{ height: `${height + 30}px` }">
      <p
        v-if="waiting.length > 0"
        class="cond absolute top-0 truncate text-base"
        :style="{
          left: gateX !== null && gateX > width * 0.6 ? '0' : 'auto',
          right:
            gateX !== null && gateX > width * 0.6 ? `${Math.max(0, width - gateX + 10)}px` : '0',
          textAlign: 'right',
          maxWidth: '100%',
        }"
      >
        <span class="text-ink2"
          >{{ waiting.length === 1 ? '1 job waits' : `${waiting.length} jobs wait` }} on it:
        </span>
        <template v-for="(one, at) in waiting.slice(0, 3)" :key="one.job.id"
          ><NuxtLink class="underline" :to="`/r/${store.refitId}/job/${one.job.id}`">{{
            one.job.title
          }}</NuxtLink
          >{{ one.at === null ? '' : ` ${shortDate(one.at, store.zone)}`
          }}{{ at < Math.min(waiting.length, 3) - 1 ? ', ' : '' }}</template
        >
        <template v-if="waiting.length > 3"> and {{ waiting.length - 3 }} more</template>
      </p>
      <ol aria-label="Steps, from the first">
        <li v-for="one in placed" :key="one.layer.key">
          <button
            class="layer absolute overflow-hidden border-2 text-left"
            :class="[
              one.layer.state === 'done'
                ? 'border-ink bg-brass'
                : one.layer.state === 'doing'
                  ? 'border-ink bg-brass-tint'
                  : 'border-dashed border-ink2 bg-sheet',
              chosen === one.layer.key ? 'border-[3px]! border-solid! border-ink! z-10' : '',
            ]"
            :style="{
              left: `${one.left}px`,
              right: '0',
              top: `${one.top}px`,
              height: `${rowPx + 2}px`,
            }"
            :aria-pressed="chosen === one.layer.key"
            :aria-label="spoken(one.layer)"
            @click="press(one.layer)"
            @pointerdown="slide.take($event, one.layer, movable(one.layer) && one.left)"
            @pointermove="slide.move"
            @pointerup="slide.letGo"
            @pointercancel="slide.giveUp"
            @keydown.p.exact="pinByKey($event, one.layer)"
          >
            <span
              v-if="one.hatch > 2"
              class="hatch absolute inset-y-0"
              :style="{ left: `${one.hatchFrom}px`, width: `${one.hatch}px` }"
            />
            <template v-if="one.notch !== null">
              <span
                class="absolute top-0 h-1 bg-verdigris"
                :style="{
                  left: `${one.bondFrom}px`,
                  width: `${Math.max(0, one.notch - one.bondFrom)}px`,
                }"
              />
              <svg
                class="absolute top-0"
                :style="{ left: `${one.notch - 7}px` }"
                width="14"
                height="9"
                aria-hidden="true"
              >
                <path d="M0 0 H14 L7 9 Z" fill="var(--redlead)" />
              </svg>
            </template>
            <span
              v-if="one.layer.hasPeelPly"
              class="absolute top-0.5 right-0 left-0 border-t-2 border-dotted border-ink"
            />
            <span
              v-if="one.inside"
              class="cond absolute truncate text-base leading-6"
              :style="{
                left: `${Math.max(8, one.hatchFrom + one.hatch + 8)}px`,
                right: '6px',
                top: `${(rowPx - 26) / 2}px`,
              }"
              ><b class="font-semibold">{{ one.layer.title }}</b
              >{{ one.said ? ` · ${one.said}` : '' }}</span
            >
          </button>
          <span
            v-if="!one.inside"
            aria-hidden="true"
            class="words cond"
            :style="{
              width: `${Math.max(0, one.left - 8)}px`,
              top: `${one.top + (rowPx - 24) / 2}px`,
            }"
            ><span class="over"
              ><span
                v-if="one.roomLeft && note(one.layer).text"
                class="mr-2"
                :class="note(one.layer).red ? 'text-redlead' : 'text-ink2'"
                >{{ note(one.layer).text }} ·</span
              ><b class="font-semibold">{{ one.layer.title }}</b
              >{{ one.said ? ` · ${one.said}` : '' }}</span
            ></span
          >
          <span
            v-else-if="note(one.layer).text && one.left > 150"
            aria-hidden="true"
            class="words cond"
            :class="note(one.layer).red ? 'text-redlead' : 'text-ink2'"
            :style="{
              width: `${Math.max(0, one.left - 8)}px`,
              top: `${one.top + (rowPx - 24) / 2}px`,
            }"
            ><span class="over">{{ note(one.layer).text }}</span></span
          >
        </li>
      </ol>
      <div
        v-if="ghost"
        class="pointer-events-none absolute z-20 border-2 border-dashed border-ink bg-brass-tint opacity-90"
        :style="{
          left: `${ghost.left}px`,
          right: '0',
          top: `${ghost.top}px`,
          height: `${rowPx + 2}px`,
        }"
        aria-hidden="true"
      >
        <span
          class="cond absolute bottom-full bg-ink px-2 text-base leading-6 whitespace-nowrap text-sheet"
          :class="ghost.left > width * 0.6 ? 'right-0' : 'left-0'"
          >{{ ghost.words }}</span
        >
      </div>
      <span
        class="absolute w-0.5 bg-ink"
        :style="{ left: `${scale.todayX}px`, top: `${headPx - 8}px`, bottom: '26px' }"
        aria-hidden="true"
      />
      <template v-if="gate && gateX !== null">
        <span
          class="absolute w-1"
          :class="isGateFar ? 'far' : 'bg-redlead'"
          :style="{ left: `${gateX}px`, top: '26px', bottom: '26px' }"
          aria-hidden="true"
        />
        <span
          class="cond absolute z-10 bg-redlead px-2 text-base leading-6 whitespace-nowrap text-sheet"
          :style="
            gateX > width - 150
              ? { right: `${width - gateX}px`, top: '26px' }
              : { left: `${gateX}px`, top: '26px' }
          "
          >{{ gate.name }} {{ shortDate(gate.at, store.zone) }}</span
        >
      </template>
      <div
        class="cond absolute right-0 bottom-0 left-0 h-6 border-t-2 border-ink text-base leading-6"
        aria-hidden="true"
      >
        <span
          v-if="done.length > 0 && done[0]?.from && !narrow"
          class="absolute left-0 text-ink2"
          >{{ shortDate(done[0].from, store.zone) }}</span
        >
        <span
          class="absolute -translate-x-1/2 bg-ink px-2 text-sheet"
          :style="{ left: `${Math.max(scale.todayX, 26)}px` }"
          >Today</span
        >
        <span
          v-for="mark in marks"
          :key="mark.at"
          class="absolute -translate-x-1/2 whitespace-nowrap"
          :style="{ left: `${mark.x}px` }"
          >{{ sayDate(store.zone.dateOf(mark.at), store.zone.dateOf(mark.at).slice(0, 4)) }}</span
        >
      </div>
    </div>
    <p class="cond mt-1 flex flex-wrap gap-x-5 text-ink2" aria-hidden="true">
      <span v-if="done.length > 0"
        ><span class="mr-1.5 inline-block h-3 w-5 border-2 border-ink bg-brass" />done, not to
        scale</span
      >
      <span
        ><span class="mr-1.5 inline-block h-3 w-5 border-2 border-dashed border-ink2 bg-sheet" />to
        come</span
      >
      <span><span class="hatch mr-1.5 inline-block h-3 w-5 border border-ink" />cures</span>
      <span v-if="placed.some((one) => one.notch !== null)"
        ><span class="mr-1.5 inline-block h-1 w-5 bg-verdigris align-middle" />bonds as it is, then
        shuts</span
      >
    </p>
  </div>
</template>

<style scoped>
/* Before a layer. Where a post runs behind them, they stand on paper. */
.words {
  position: absolute;
  left: 0;
  z-index: 1;
  overflow: hidden;
  font-size: 1rem;
  line-height: 1.5rem;
  text-align: right;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.over {
  padding-left: 3px;
  background: var(--paper);
}
/* Past the end of the scale. */
.far {
  background: repeating-linear-gradient(var(--redlead) 0 6px, transparent 6px 11px);
}
.layer:focus-visible {
  outline: 3px solid var(--water-deep);
  outline-offset: 1px;
  z-index: 20;
}
</style>

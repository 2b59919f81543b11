<script setup lang="ts">
import { computed, nextTick, ref } from 'vue'
import { memberBeside, nextUnseen, sheetColumns, stretchBetween } from '#core/members/sheetLaid'
import type { CountSheet, Member } from '#core/model/entities'

/**
 * Members by station from the bow, starboard above; a long row of sound ones lies in a pleat. Press one to go through its
 * marks, drag along the chosen one for the stretch that is bad.
 */
const props = defineProps<{
  sheet: CountSheet
  members: readonly Member[]
  chosen: string | null
}>()
const emit = defineEmits<{
  choose: [memberId: string]
  stretch: [memberId: string, stretch: { readonly from: number; readonly to: number }]
}>()
const [left, wide, high] = [86, 58, 270]
/** Drawn narrower than this a station cannot be read; then the sheet is moved sideways. */
const [leastWide, leastSheet] = [44, 620]
const stations = computed(() => Math.max(1, ...props.members.map((one) => one.station)))
/** First stations of pleats that were opened. */
const opened = ref<ReadonlySet<number>>(new Set())
const columns = computed(() => sheetColumns(props.members, opened.value))
const pleats = computed(() =>
  columns.value.flatMap((one, at) => (one.to > one.from ? [{ ...one, x: left + at * wide }] : [])),
)
const singles = computed(() =>
  columns.value.flatMap((one, at) =>
    one.to === one.from ? [{ station: one.from, x: left + at * wide }] : [],
  ),
)
const placeOf = computed(() => new Map(singles.value.map((one) => [one.station, one.x])))
/** Where the column that holds a station begins. */
const columnAt = (station: number): number => {
  const at = columns.value.findIndex((one) => one.from <= station && station <= one.to)
  return left + (at < 0 ? columns.value.length - 1 : at) * wide
}
const width = computed(() => left + columns.value.length * wide + 20)
const lanes = {
  starboard: [44, 128],
  centre: [138, 166],
  both: [138, 166],
  port: [176, 258],
} as const
/** She narrows towards the bow: members there are shorter. */
const shorter = (station: number) => (1 - station / (stations.value + 1)) * 26
const drawn = computed(() =>
  props.members.flatMap((member) => {
    const place = placeOf.value.get(member.station)
    if (place === undefined) return []
    const [top, bottom] = lanes[member.side]
    const cut =
      member.side === 'starboard'
        ? [shorter(member.station), 0]
        : member.side === 'port'
          ? [0, shorter(member.station)]
          : [0, 0]
    const y = top + (cut[0] ?? 0)
    const h = bottom - (cut[1] ?? 0) - y
    const x = place + wide / 2 - 12
    const bad = member.seen && member.marks.length > 0
    // From the centreline outwards.
    const share = (at: number) => (member.side === 'starboard' ? y + h * (1 - at) : y + h * at)
    const { from, to } = pulled.value?.id === member.id ? pulled.value : member
    const [a, b] = [share(from), share(to)]
    return [{ member, x, y, h, bad, badTop: Math.min(a, b), badHigh: Math.abs(b - a) }]
  }),
)
const has = (member: Member, mark: Member['marks'][number]) =>
  member.seen && member.marks.includes(mark)
const say = (member: Member): string => {
  const where = `${member.kind} ${member.station}, ${member.side}`
  if (!member.seen) return `${where}: not seen`
  if (member.marks.length === 0) return `${where}: sound`
  const stretch =
    member.from === 0 && member.to === 1
      ? ''
      : `, from ${Math.round(member.from * 100)} to ${Math.round(member.to * 100)} % of its length`
  return `${where}: ${member.marks.join(' and ')}${stretch}`
}
const bays = computed(() =>
  props.sheet.bays.map((bay) => ({
    bay,
    from: columnAt(bay.from) + 6,
    to: columnAt(bay.to) + wide - 6,
  })),
)

const board = ref<SVGSVGElement | null>(null)
/** Where the keys are; the first is come to from outside. */
const focused = ref<string | null>(null)
const tabbed = computed(
  () => drawn.value.find((one) => one.member.id === focused.value) ?? drawn.value[0],
)
function focusOn(member: Member | null): boolean {
  if (!member) return false
  focused.value = member.id
  void nextTick(() =>
    board.value?.querySelector<SVGElement>(`[data-member="${member.id}"]`)?.focus(),
  )
  return true
}
const ways = { ArrowLeft: 'bow', ArrowRight: 'stern', ArrowUp: 'up', ArrowDown: 'down' } as const
function key(event: KeyboardEvent, member: Member) {
  if (!(event.key in ways)) return
  event.preventDefault()
  event.stopPropagation()
  focusOn(
    memberBeside(
      drawn.value.map((one) => one.member),
      member,
      ways[event.key as keyof typeof ways],
    ),
  )
}
useKeyScope({
  walkUnseen: () =>
    focusOn(
      nextUnseen(
        drawn.value.map((one) => one.member),
        drawn.value.find((one) => one.member.id === focused.value)?.member ?? null,
      ),
    ),
})

/** A stretch that is being drawn along the chosen member. */
const pulled = ref<{ id: string; from: number; to: number } | null>(null)
let begun: { readonly id: string; readonly share: number; readonly y: number } | null = null
/** Moved less than this it was a press, px. */
const pressed = 5
function shareAt(event: PointerEvent, one: (typeof drawn.value)[number]): number | null {
  const point = svgPoint(board.value, event)
  if (!point) return null
  const down = (point.y - one.y) / one.h
  return one.member.side === 'starboard' ? 1 - down : down
}
function begin(event: PointerEvent, one: (typeof drawn.value)[number]) {
  const share = one.member.id === props.chosen ? shareAt(event, one) : null
  if (share === null) return
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
  begun = { id: one.member.id, share, y: event.clientY }
}
function pull(event: PointerEvent, one: (typeof drawn.value)[number]) {
  if (begun?.id !== one.member.id) return
  if (!pulled.value && Math.abs(event.clientY - begun.y) < pressed) return
  const share = shareAt(event, one)
  if (share !== null) pulled.value = { id: one.member.id, ...stretchBetween(begun.share, share) }
}
/** The press that ends a pull marks nothing. */
let wasPulled = false
function end() {
  if (pulled.value) {
    const { id, ...stretch } = pulled.value
    emit('stretch', id, stretch)
    wasPulled = true
    setTimeout(() => (wasPulled = false))
  }
  pulled.value = null
  begun = null
}
function press(memberId: string) {
  if (!wasPulled) emit('choose', memberId)
  wasPulled = false
}
</script>

<template>
  <div class="overflow-x-auto">
    <svg
      ref="board"
      :viewBox="`0 0 ${width} ${high + 34}`"
      :style="{
        minWidth: `${Math.min(width, Math.max(leastSheet, left + columns.length * leastWide))}px`,
      }"
      class="block w-full select-none"
      role="group"
      :aria-label="`${sheet.title}, by station`"
    >
      <defs>
        <pattern id="member-grain" width="14" height="9" patternUnits="userSpaceOnUse">
          <rect width="14" height="9" fill="var(--rule2)" />
          <path
            d="M0 2Q4 0 8 2T14 2M0 6.5Q5 5 14 7"
            stroke="var(--brass-deep)"
            stroke-width=".8"
            fill="none"
          />
        </pattern>
        <pattern id="member-unseen" width="7" height="7" patternUnits="userSpaceOnUse">
          <circle cx="1.8" cy="1.8" r="1" fill="var(--ink)" />
          <circle cx="5.3" cy="5.3" r="1" fill="var(--ink)" />
        </pattern>
      </defs>
      <g class="cond" font-size="16" fill="var(--ink)" aria-hidden="true">
        <text x="0" y="20">station</text>
        <text
          v-for="{ station, x } in singles"
          :key="station"
          :x="x + wide / 2"
          y="20"
          text-anchor="middle"
        >
          {{ station }}
        </text>
        <text x="0" y="92">starboard</text>
        <text x="0" y="157">centre</text>
        <text x="0" y="224">port</text>
      </g>
      <path
        :d="`M${left - 8} 152H${width - 8}`"
        stroke="var(--ink)"
        stroke-dasharray="12 4 3 4"
        aria-hidden="true"
      />
      <path
        :d="`M${left - 8} ${44 + 20}L${width - 12} 32M${left - 8} ${258 - 20}L${width - 12} 268`"
        stroke="var(--ink)"
        stroke-width="4"
        aria-hidden="true"
      />
      <g
        v-for="pleat in pleats"
        :key="`pleat ${pleat.from}`"
        class="sheet-member cursor-pointer"
        role="button"
        tabindex="0"
        :aria-label="`Stations ${pleat.from} to ${pleat.to}, all sound: unfold them`"
        @click="opened = new Set([...opened, pleat.from])"
        @keydown.enter.prevent="opened = new Set([...opened, pleat.from])"
        @keydown.space.prevent="opened = new Set([...opened, pleat.from])"
      >
        <path
          class="member-body"
          :d="`M${pleat.x + 8} 36l14 6l14 -6l14 6V262l-14 -6l-14 6l-14 -6z`"
          fill="url(#member-grain)"
          stroke="var(--ink)"
          stroke-width="1.5"
        />
        <path
          :d="`M${pleat.x + 22} 42v220M${pleat.x + 36} 36v220`"
          stroke="var(--ink)"
          stroke-width="1"
        />
        <text
          :x="pleat.x + wide / 2"
          y="20"
          text-anchor="middle"
          font-size="16"
          class="cond"
          fill="var(--ink)"
        >
          {{ pleat.from }}–{{ pleat.to }}
        </text>
      </g>
      <g
        v-for="one in drawn"
        :key="one.member.id"
        class="sheet-member cursor-pointer"
        role="button"
        :tabindex="one === tabbed ? 0 : -1"
        :data-member="one.member.id"
        :style="{ touchAction: chosen === one.member.id ? 'none' : undefined }"
        :aria-label="say(one.member)"
        :aria-pressed="chosen === one.member.id"
        @click="press(one.member.id)"
        @focus="focused = one.member.id"
        @pointerdown="begin($event, one)"
        @pointermove="pull($event, one)"
        @pointerup="end"
        @pointercancel="((pulled = null), end())"
        @keydown="key($event, one.member)"
        @keydown.enter.prevent="emit('choose', one.member.id)"
        @keydown.space.prevent="emit('choose', one.member.id)"
      >
        <rect
          :x="one.x - 10"
          :y="one.y - 4"
          width="44"
          :height="Math.max(44, one.h + 8)"
          fill="transparent"
        />
        <rect
          class="member-body"
          :x="one.x"
          :y="one.y"
          width="24"
          :height="one.h"
          :fill="
            !one.member.seen
              ? 'url(#member-unseen)'
              : has(one.member, 'missing')
                ? 'var(--paper)'
                : one.bad
                  ? 'var(--redlead-tint)'
                  : 'url(#member-grain)'
          "
          :stroke="one.bad ? 'var(--redlead)' : 'var(--ink)'"
          :stroke-width="chosen === one.member.id ? 4 : one.bad ? 2.5 : 1.5"
          :stroke-dasharray="!one.member.seen || has(one.member, 'missing') ? '5 3' : undefined"
        />
        <g v-if="has(one.member, 'soft')">
          <rect :x="one.x" :y="one.badTop" width="24" :height="one.badHigh" fill="var(--redlead)" />
          <circle
            v-for="n in Math.max(1, Math.floor(one.badHigh / 13))"
            :key="n"
            :cx="one.x + (n % 2 ? 7 : 17)"
            :cy="one.badTop + n * 12 - 5"
            r="2.6"
            fill="var(--sheet)"
          />
        </g>
        <path
          v-if="has(one.member, 'cracked')"
          :d="`M${one.x - 2} ${one.y + one.h / 2}l7 -5l7 8l7 -6l7 4`"
          fill="none"
          stroke="var(--ink)"
          stroke-width="3.4"
        />
        <path
          v-if="has(one.member, 'broken')"
          :d="`M${one.x - 3} ${one.badTop + one.badHigh / 2 - 8}l8 6l7 -8l7 8l11 -6v14l-8 6l-7 -8l-7 8l-11 -6z`"
          fill="var(--sheet)"
          stroke="var(--redlead)"
          stroke-width="1.5"
        />
      </g>
      <g v-for="{ bay, from, to } in bays" :key="bay.title" aria-hidden="true">
        <path
          :d="`M${from} ${high - 4}v8H${to}v-8`"
          fill="none"
          :stroke="bay.open ? 'var(--ink)' : 'var(--redlead)'"
          stroke-width="2"
        />
        <text
          :x="(from + to) / 2"
          :y="high + 22"
          text-anchor="middle"
          font-size="16"
          class="cond"
          :fill="bay.open ? 'var(--ink)' : 'var(--redlead)'"
        >
          {{ bay.title }}: {{ bay.open ? 'open' : 'shut' }}, {{ bay.hours }} h
        </text>
      </g>
    </svg>
    <button v-if="opened.size > 0" class="btn btn-small no-print mt-1" @click="opened = new Set()">
      Fold the sound ones
    </button>
  </div>
</template>

<style scoped>
.sheet-member:focus-visible {
  outline: none;
}
.sheet-member:focus-visible .member-body {
  stroke: var(--ink);
  stroke-width: 4;
}
</style>

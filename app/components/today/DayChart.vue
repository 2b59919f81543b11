<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, nextTick, ref } from 'vue'
import { curesAt } from '#core/today/curing'
import type { Curing } from '#core/today/curing'
import type { Board } from '#core/today/boards'
import type { Arrow } from '#core/today/alongStrands'
import { lineKey } from '#core/today/dayLine'
import type { DayLine } from '#core/today/dayLine'
import type { PutBefore } from '#core/today/dayOrder'
import { sayOtherPlace } from '#core/today/otherPlace'
import type { OtherPlace } from '#core/today/otherPlace'
import { tiedDay } from '#core/today/tied'
import type { PlacedLine } from '~/composables/useDayChart'
import { clockTimeOf } from '#core/time/say'
import { formatTemp } from '#core/units/quantity'

/** The day: clock, boards, strands and the lines of work, by time from top to bottom. */
const props = defineProps<{
  lines: readonly DayLine[]
  people: readonly string[]
  boards: readonly Board[]
  nextKey: string
  holding: ReadonlySet<string>
  /** Height there is for it, px. */
  room: number
  /** Air by the forecast at an instant, °C; null: not known. */
  airAt: (at: number) => number | null
  isToday: boolean
  curing: readonly Curing[]
  /** Every step by itself: on paper each has its box. */
  whole: boolean
  /** Where else something short could be done while it cures. */
  elsewhere: OtherPlace | null
}>()
const emit = defineEmits<{
  start: [line: DayLine]
  done: [line: DayLine]
  failed: [line: DayLine]
  /** By hand: before another step, or after the others. */
  put: [stepId: string, where: PutBefore]
  shift: [stepId: string, way: 'earlier' | 'later']
  give: [stepId: string, personId: string]
  move: [line: DayLine]
}>()
const store = useRefitStore()
const time = useTimeStore()
const narrow = useNarrow()
const holder = ref<HTMLElement | null>(null)
const { width } = useElementSize(holder, { width: 860, height: 500 })
/** Short steps that were asked to be seen one by one. */
const untied = ref<ReadonlySet<string>>(new Set())
const placeOf = ({ job }: DayLine) =>
  store.rows.zone.find((one) => one.id === job?.zoneId)?.name ?? ''
const tied = computed(() =>
  tiedDay(
    props.lines,
    props.people.length,
    (line) =>
      line.step === null ||
      props.whole ||
      lineKey(line) === props.nextKey ||
      props.holding.has(line.step.id) ||
      untied.value.has(line.step.id),
    placeOf,
  ),
)
async function untie(lines: readonly DayLine[]) {
  const ids = lines.flatMap((line) => line.step?.id ?? [])
  untied.value = new Set([...untied.value, ...ids])
  await nextTick()
  holder.value
    ?.querySelector<HTMLElement>(`[data-line^="work ${CSS.escape(ids[0] ?? '')} "] a`)
    ?.focus()
}
const { columns, scale, placed, strands, pauses, times } = useDayChart(
  computed(() => tied.value.lines),
  computed(() => props.people),
  computed(() => props.nextKey),
  computed(() => props.room),
  narrow,
)
useDayKeys(holder, placed, {
  start: (line) => emit('start', line),
  done: (line) => emit('done', line),
  failed: (line) => emit('failed', line),
  shift: shiftLine,
})
const boardsWide = computed(() => (narrow.value ? 0 : props.boards.length * 42))
/** Hours and air, the boards, then the main strand. */
const hourWide = computed(() => (narrow.value ? 46 : 92))
const ropeX = computed(() => hourWide.value + boardsWide.value + (narrow.value ? 22 : 30))
const textLeft = computed(() => ropeX.value + (narrow.value ? 20 : 34))
const columnWide = computed(() => Math.max(90, (width.value - textLeft.value) / columns.value))
/** The column at a place across; the last one is nobody's own where several share it. */
function columnAt(x: number) {
  const column = Math.max(
    0,
    Math.min(columns.value - 1, Math.floor((x - textLeft.value) / columnWide.value)),
  )
  const isShared = column === columns.value - 1 && props.people.length > columns.value
  return { column, personId: isShared ? null : (props.people[column] ?? null) }
}
const { take, move, letGo, giveUp, notItsOwn, moving, target } = useLineDrag({
  holder,
  placed,
  lines: computed(() => (props.isToday ? props.lines : [])),
  columnAt,
  put: (stepId, where) => emit('put', stepId, where),
  give: (stepId, personId) => emit('give', stepId, personId),
  longPress: (line) => props.isToday && emit('move', line),
})
const ghostLeft = computed(() => {
  const now = moving.value
  return textLeft.value + (!now || now.one.joint ? 0 : columnAt(now.x).column * columnWide.value)
})
/** By keys: up and down are earlier and later, left and right whose strand it is. */
function shiftLine(line: DayLine, way: Arrow) {
  const { step } = line
  if (!props.isToday || step?.state !== 'open') return
  if (way === 'up' || way === 'down')
    return emit('shift', step.id, way === 'up' ? 'earlier' : 'later')
  const [own, ...others] = line.personIds
  const to = props.people[props.people.indexOf(own ?? '') + (way === 'left' ? -1 : 1)]
  if (own !== undefined && others.length === 0 && to !== undefined) emit('give', step.id, to)
}
const columnX = (column: number) =>
  column === 0 ? ropeX.value : textLeft.value + column * columnWide.value
/** Where a line stands across: its pin, and its words. */
const across = ({ joint, column }: PlacedLine) => ({
  pinX: joint ? ropeX.value : columnX(column),
  left: textLeft.value + (joint ? 0 : column * columnWide.value + (column > 0 ? 20 : 0)),
  width: joint
    ? width.value - textLeft.value
    : columnWide.value - (column > 0 || narrow.value ? 22 : 34),
})
const drawn = computed(() =>
  strands.value.map(({ personId, parts }) => ({
    personId,
    parts: parts.map((part) => ({
      y0: scale.value.yOf(part.from),
      y1: scale.value.yOf(part.to),
      x: columnX(part.column),
      together: part.together,
      idle: part.idle,
    })),
  })),
)
const nowY = computed(() => (props.isToday ? scale.value.yOf(time.now) : null))
/** True for an hour that the tag with the time would lie on. */
const isUnderNow = (y: number): boolean =>
  nowY.value !== null && y > nowY.value - 30 && y < nowY.value + 9
const nameOf = (id: string) => store.rows.person.find((one) => one.id === id)?.name ?? ''
const temp = (at: number): string => {
  const air = props.airAt(at)
  return air === null
    ? ''
    : formatTemp(Math.round(air), store.refit?.units ?? 'metric').replace(' ', '')
}
const bound = (at: number) =>
  props.lines.some(
    (line) => line.from === at && (line.limit || props.holding.has(line.step?.id ?? '')),
  )
</script>

<template>
  <div>
    <div class="relative mb-1 flex h-7 items-end" :style="{ paddingLeft: `${hourWide}px` }">
      <span class="cond absolute left-0 text-sm max-sm:hidden">Hour</span>
      <span class="cond absolute left-15 text-sm max-sm:hidden">Air</span>
      <div class="flex gap-1.5 max-sm:hidden">
        <span
          v-for="board in boards"
          :key="board.title"
          class="cond w-9 text-center text-sm leading-none whitespace-nowrap"
          :class="{ 'text-xs': board.title.length > 6 }"
          >{{ board.title }}</span
        >
      </div>
      <span
        v-for="(id, index) in people.slice(0, columns)"
        :key="id"
        class="cond absolute bottom-0 flex items-center gap-1.5 text-lg leading-none whitespace-nowrap"
        :style="{ left: `${columnX(index) - 12}px` }"
        ><PersonMark :index="index" :name="nameOf(id)" /> {{ nameOf(id)
        }}<template v-if="index === columns - 1 && people.length > columns"
          >&nbsp;+{{ people.length - columns }}</template
        ></span
      >
    </div>
    <div ref="holder" class="relative" :style="{ height: `${scale.height}px` }">
      <template v-for="one in times" :key="one.at">
        <span
          v-if="!isUnderNow(one.y)"
          class="cond absolute left-0 -translate-y-px text-lg leading-none"
          :class="bound(one.at) ? 'text-redlead' : ''"
          :style="{ top: `${one.y + 2}px` }"
          aria-hidden="true"
          >{{ clockTimeOf(one.at, store.zone) }}</span
        >
        <span
          v-if="temp(one.at) !== ''"
          class="cond absolute left-15 leading-none text-ink2 max-sm:hidden"
          :style="{ top: `${one.y + 4}px` }"
          aria-hidden="true"
          >~{{ temp(one.at).replace(/°.*/, '°') }}</span
        >
        <span
          class="absolute right-0 border-t border-rule2"
          :style="{ top: `${one.y}px`, left: '0' }"
          aria-hidden="true"
        />
      </template>
      <DayBoards
        v-if="boards.length > 0"
        class="absolute! max-sm:hidden!"
        :style="{ left: `${hourWide}px` }"
        :boards="boards"
        :scale="scale"
      />
      <div
        v-for="pause in pauses"
        :key="pause.from"
        class="hatch absolute right-0 flex items-center border-y border-rule2"
        :style="{ top: `${pause.top}px`, height: `${pause.height}px`, left: `${textLeft}px` }"
      >
        <span class="cond bg-paper px-1 text-lg leading-none"
          >{{ curesAt(curing, pause.from) ? 'Free while it cures' : 'Free' }} until
          {{ clockTimeOf(pause.to, store.zone) }}</span
        >
        <span
          v-if="elsewhere && curesAt(curing, pause.from)"
          class="ml-3 truncate bg-paper px-1 text-[0.9375rem] leading-none text-ink2 max-sm:hidden"
          >{{ sayOtherPlace(elsewhere, pause.from, pause.to) }}</span
        >
      </div>
      <DayRope :strands="drawn" :width="width" :height="scale.height" :done-to="nowY ?? 0" />
      <div
        v-if="nowY !== null"
        class="cond absolute z-20 bg-ink px-1.5 text-lg leading-tight text-sheet"
        :style="{ top: `${Math.max(-4, nowY - 12)}px`, left: '-3px' }"
      >
        <span class="sr-only">It is </span>{{ clockTimeOf(time.now, store.zone) }}
      </div>
      <ol
        aria-label="The day"
        @pointerdown="take"
        @pointermove="move"
        @pointerup="letGo"
        @pointercancel="giveUp"
        @click.capture="notItsOwn"
        @contextmenu="notItsOwn"
        @dragstart.prevent
      >
        <template v-for="one in placed" :key="one.key">
          <DayTie
            v-if="tied.ties.has(one.line)"
            :data-line="one.key"
            :line="one.line"
            :tied="tied.ties.get(one.line) ?? []"
            :room="one.height"
            :narrow="narrow"
            v-bind="across(one)"
            :top="one.top"
            @open="untie"
          />
          <DayLineRow
            v-else
            :data-line="one.key"
            :line="one.line"
            :is-next="one.isNext"
            :holds="holding.has(one.line.step?.id ?? '')"
            :joint="one.joint"
            :room="one.height"
            :narrow="narrow"
            v-bind="across(one)"
            :top="one.top"
            :height="one.height"
            @start="emit('start', one.line)"
            @done="emit('done', one.line)"
          />
        </template>
      </ol>
      <LineGhost
        v-if="moving"
        :title="moving.one.line.step?.title ?? ''"
        :y="moving.y"
        :left="ghostLeft"
        :width="Math.min(width - ghostLeft, Math.max(columnWide - 22, 440))"
        :target="target"
      />
    </div>
  </div>
</template>

<script setup lang="ts">
import { computed, ref } from 'vue'
import { rowHigh, wordsSize } from '#core/stores/buyScene'
import type { BuyScene, DrawnRow } from '#core/stores/buyScene'
import { widthOf } from '#core/sequence/measure'
import { atX, xOf } from '#core/sequence/ruler'
import { dateOf } from '#core/time/civil'

/** What is pressed of the rows, and crates that are dragged to another day. */
const props = defineProps<{ scene: BuyScene; open: string | null; said: string }>()
const emit = defineEmits<{
  row: [key: string]
  at: [key: string | null]
  drag: [key: string, day: number]
  drop: []
  cancel: []
  due: [key: string]
}>()
const store = useRefitStore()
const { sayDay } = useDates()
const group = ref<SVGGElement>()
const spoken = (row: DrawnRow) => `${row.name.join(' ')}: ${row.full.strong}${row.full.rest}`
const keys = computed(() => props.scene.rows.map((row) => row.key))
const current = computed(() =>
  props.open !== null && keys.value.includes(props.open) ? props.open : keys.value[0],
)
const crates = computed(() => props.scene.rows.filter((row) => row.crateX !== null))
const slide = useTimeDrag<DrawnRow>({
  drawing: () => group.value?.ownerSVGElement,
  atX: (x) => atX(props.scene.ruler, x),
  drag: (row, day) => emit('drag', row.key, day),
  drop: () => emit('drop'),
  cancel: () => emit('cancel'),
  longPress: (row) => emit('due', row.key),
})
const { move, letGo, giveUp } = slide
const noon = 12 * 60
const grip = 22
/** Where the crate would stand, with the words beside it. */
const ghost = computed(() => {
  const moving = slide.moving.value
  if (!moving) return null
  const { ruler } = props.scene
  const x = xOf(ruler, store.zone.at(moving.day, noon))
  const words = `${sayDay(dateOf(moving.day))}: ${props.said}`
  const wide = widthOf(words, wordsSize) + 14
  const right = x + 14
  const wordsX = right + wide <= ruler.right ? right : x - 14 - wide
  return { x, y: moving.what.y + rowHigh / 2, words, wide, wordsX }
})
function press(row: DrawnRow) {
  if (!slide.hasJustEnded()) emit('row', row.key)
}
function keyed(event: KeyboardEvent) {
  const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0
  if (step === 0 || event.ctrlKey || event.metaKey || event.altKey) return
  event.preventDefault()
  event.stopPropagation()
  const list = [...(event.currentTarget as Element).querySelectorAll<SVGElement>('.hit')]
  const at = list.indexOf(event.target as SVGElement)
  list[at + step]?.focus()
}
</script>

<template>
  <g ref="group" @keydown="keyed">
    <rect
      v-for="row in scene.rows"
      :key="row.key"
      class="hit"
      x="2"
      :y="row.y + 1"
      :width="scene.width - 6"
      :height="rowHigh - 2"
      fill="transparent"
      role="button"
      :tabindex="row.key === current ? 0 : -1"
      :aria-label="spoken(row)"
      :aria-pressed="open === row.key"
      @focus="emit('at', row.key)"
      @blur="emit('at', null)"
      @click="press(row)"
      @keydown.enter.prevent="press(row)"
      @keydown.space.prevent="press(row)"
    >
      <title>{{ spoken(row) }}</title>
    </rect>
    <!-- Keys and readers say another day in the panel of the row. -->
    <rect
      v-for="row in crates"
      :key="`crate ${row.key}`"
      class="crate no-print"
      :x="(row.crateX ?? 0) - grip / 2"
      :y="row.y + 1"
      :width="grip"
      :height="rowHigh - 2"
      fill="transparent"
      aria-hidden="true"
      @click="press(row)"
      @pointerdown="slide.take($event, row, row.crateX)"
      @pointermove="move"
      @pointerup="letGo"
      @pointercancel="giveUp"
    >
      <title>{{ spoken(row) }}. Drag it to another day.</title>
    </rect>
  </g>
  <g v-if="ghost" class="pointer-events-none" aria-hidden="true">
    <rect
      :x="ghost.x - 8"
      :y="ghost.y - 8"
      width="16"
      height="16"
      fill="var(--brass-tint)"
      stroke="var(--ink)"
      stroke-width="1.6"
      stroke-dasharray="4 2.5"
    />
    <rect :x="ghost.wordsX" :y="ghost.y - 11" :width="ghost.wide" height="22" fill="var(--ink)" />
    <text
      :x="ghost.wordsX + 7"
      :y="ghost.y + 5"
      class="cond"
      :font-size="wordsSize"
      fill="var(--sheet)"
    >
      {{ ghost.words }}
    </text>
  </g>
</template>

<style scoped>
.hit,
.crate {
  cursor: pointer;
  touch-action: manipulation;
}
.crate {
  cursor: ew-resize;
}
.hit:focus-visible {
  outline: 3px solid var(--ink);
  outline-offset: -2px;
}
.hit:hover {
  fill: color-mix(in srgb, var(--brass) 16%, transparent);
}
.crate:hover {
  stroke: var(--ink);
  stroke-width: 2;
}
</style>

<script setup lang="ts">
import { computed, ref } from 'vue'
import { headHigh, rowHigh, wordsSize } from '#core/stores/buyScene'
import type { BuyHead, BuyScene, DrawnRow, Lath } from '#core/stores/buyScene'
import { widthOf } from '#core/sequence/measure'
import { atX, xOf } from '#core/sequence/ruler'
import { dateOf } from '#core/time/civil'

/** What is pressed of the rows, and crates that are dragged to another day. */
const props = defineProps<{ scene: BuyScene; open: string | null; said: string }>()
const emit = defineEmits<{
  row: [key: string]
  fold: [key: string]
  at: [key: string | null]
  drag: [key: string, day: number]
  drop: []
  cancel: []
  due: [key: string]
}>()
const store = useRefitStore()
const { sayDay } = useDates()
const group = ref<SVGGElement>()
useFocusKept()
const spoken = (row: DrawnRow) => `${row.name.join(' ')}: ${row.full.strong}${row.full.rest}`
interface Hit {
  readonly key: string
  readonly y: number
  readonly high: number
  readonly said: string
  readonly row: DrawnRow | null
  readonly isUnfolded: boolean
}
/** What is folded, and heads of which more are folded. */
const foldHit = (one: Lath | BuyHead, said: string, high: number): Hit => ({
  ...{ key: one.key, y: one.y, high, row: null, isUnfolded: one.isUnfolded },
  said: `${said}: ${one.isUnfolded ? 'fold' : 'show'} them`,
})
/** From above to below: arrows go along them. */
const hits = computed(() =>
  [
    ...props.scene.rows.map((row): Hit => {
      return { key: row.key, y: row.y, high: rowHigh, said: spoken(row), row, isUnfolded: false }
    }),
    ...props.scene.laths.map((lath) => foldHit(lath, lath.text, rowHigh)),
    ...props.scene.heads
      .filter((head) => head.note !== '')
      .map((head) => foldHit(head, `${head.text}, ${head.note}`, headHigh)),
  ].sort((a, b) => a.y - b.y),
)
const current = computed(() =>
  props.open !== null && hits.value.some((one) => one.key === props.open)
    ? props.open
    : hits.value[0]?.key,
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
function pressHit({ row, key }: Hit) {
  if (row) press(row)
  else emit('fold', key)
}
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
      v-for="one in hits"
      :key="one.key"
      class="hit"
      x="2"
      :y="one.y + 1"
      :width="scene.width - 6"
      :height="one.high - 2"
      fill="transparent"
      role="button"
      :tabindex="one.key === current ? 0 : -1"
      :aria-label="one.said"
      :aria-pressed="one.row ? open === one.key : undefined"
      :aria-expanded="one.row ? undefined : one.isUnfolded"
      @focus="emit('at', one.key)"
      @blur="emit('at', null)"
      @click="pressHit(one)"
      @keydown.enter.prevent="pressHit(one)"
      @keydown.space.prevent="pressHit(one)"
    >
      <title>{{ one.said }}</title>
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

<script setup lang="ts">
import { computed, nextTick, ref } from 'vue'
import { boardTall } from '#core/sequence/lanes'
import type { Board } from '#core/sequence/board'
import type { LaneSizes } from '#core/sequence/fit'
import { widthOf } from '#core/sequence/measure'
import type { PlacedBoard } from '#core/sequence/plates'
import { atX, xOf } from '#core/sequence/ruler'
import type { Ruler } from '#core/sequence/ruler'
import { dateOf } from '#core/time/civil'

/**
 * What is pressed of the boards. One of them is in the tab order; arrows go along a lane and from lane to lane, and the
 * square brackets along the rope.
 */
const props = defineProps<{
  boards: readonly PlacedBoard[]
  sizes: LaneSizes
  open: string | null
  /** Steps of the chain from the gate back. */
  chain: readonly string[]
  ruler: Ruler
  /** Of a board on its way: what pinning it there would do. */
  said: string
}>()
const emit = defineEmits<{
  plank: [key: string]
  mend: [flag: string]
  drag: [stepId: string, day: number]
  drop: []
  cancel: []
  pin: [stepId: string]
  release: [stepId: string]
}>()
const { shortDate, sayDay } = useDates()
const store = useRefitStore()
const group = ref<SVGGElement>()
const at = ref<string | null>(null)
const inOrder = computed(() =>
  [...props.boards].sort((a, b) => a.top - b.top || a.board.x0 - b.board.x0),
)
const mendable = computed(() =>
  props.boards.filter((one) => one.board.mendEnd > one.board.mendX && one.board.words !== ''),
)
const current = computed(
  () => inOrder.value.find((one) => one.board.plank.key === at.value) ?? inOrder.value[0],
)

/** The first step of a plank that is still to be done: it is what a drag pins. */
const firstOpen = (plank: Board['plank']) => plank.pieces.find((piece) => !piece.done) ?? null
const pinnedStep = (plank: Board['plank']) =>
  plank.pieces.find((piece) => !piece.done && piece.step.pinnedOn !== null)?.step ?? null

function spoken({ plank, flag }: Board): string {
  const { clock } = store.derived
  const [from, to] = [shortDate(plank.from, clock), shortDate(plank.to, clock)]
  const name = plank.name === plank.job.title ? plank.name : `${plank.job.title}: ${plank.name}`
  const slack =
    plank.binding || plank.slackDays === null
      ? ''
      : `, ${plank.slackDays} ${plank.slackDays === 1 ? 'day' : 'days'} slack`
  const pinned = pinnedStep(plank)?.pinnedOn
  const pin = pinned ? `, pinned to ${sayDay(pinned)}` : ''
  return `${name}, ${from === to ? from : `${from} to ${to}`}${pin}${slack}${plank.binding ? ', holds the gate' : ''}${flag ? ', out of order' : ''}`
}
async function focusOn(one: PlacedBoard | undefined) {
  if (!one) return
  at.value = one.board.plank.key
  await nextTick()
  group.value?.querySelector<SVGElement>('[tabindex="0"]')?.focus()
}
const middle = ({ board }: PlacedBoard) => (board.x0 + board.x1) / 2
function besides(step: 1 | -1): PlacedBoard | undefined {
  const here = current.value
  const lane = inOrder.value.filter((one) => one.top === here?.top)
  return here && lane[lane.indexOf(here) + step]
}
function above(step: 1 | -1): PlacedBoard | undefined {
  const here = current.value
  if (!here) return undefined
  const tops = [...new Set(inOrder.value.map((one) => one.top))]
  const top = tops[tops.indexOf(here.top) + step]
  return inOrder.value
    .filter((one) => one.top === top)
    .sort((a, b) => Math.abs(middle(a) - middle(here)) - Math.abs(middle(b) - middle(here)))[0]
}
/** The next board on the rope: forward in time, or back from the gate. */
function onRope(step: 1 | -1): PlacedBoard | undefined {
  const stops = props.chain.flatMap((stepId) => {
    const found = inOrder.value.find((one) =>
      one.board.plank.pieces.some((piece) => piece.step.id === stepId),
    )
    return found ? [found] : []
  })
  const own = stops.filter((one, index) => one !== stops[index - 1])
  const here = own.findIndex((one) => one === current.value)
  return here < 0 ? own[0] : own[here + step]
}
const moves: Readonly<Record<string, () => PlacedBoard | undefined>> = {
  ArrowRight: () => besides(1),
  ArrowLeft: () => besides(-1),
  ArrowDown: () => above(1),
  ArrowUp: () => above(-1),
  '[': () => onRope(1),
  ']': () => onRope(-1),
}
function pin(board: Board) {
  const first = firstOpen(board.plank)
  if (first) emit('pin', first.step.id)
}
/** `p` pins, Delete lets go, `m` mends what its flag says. */
function pinnedByKey(event: KeyboardEvent): boolean {
  const here = current.value
  if (!here) return false
  const held = pinnedStep(here.board.plank)
  if (event.key === 'p') pin(here.board)
  else if (event.key === 'Delete' && held) emit('release', held.id)
  else if (event.key === 'm' && here.board.flag?.mend) emit('mend', here.board.flag.key)
  else return false
  return true
}
const slide = useTimeDrag<PlacedBoard>({
  drawing: () => group.value?.ownerSVGElement,
  atX: (x) => atX(props.ruler, x),
  drag: ({ board }, day) => {
    const first = firstOpen(board.plank)
    if (first) emit('drag', first.step.id, day)
  },
  drop: () => emit('drop'),
  cancel: () => emit('cancel'),
  longPress: ({ board }) => pin(board),
})
const { move, letGo, giveUp } = slide
function take(event: PointerEvent, one: PlacedBoard) {
  at.value = one.board.plank.key
  const first = firstOpen(one.board.plank)
  slide.take(event, one, first && xOf(props.ruler, first.from))
}
/** Where it would begin, with the words over it. */
const ghost = computed(() => {
  const moving = slide.moving.value
  if (!moving) return null
  const { what, day } = moving
  const x = xOf(props.ruler, store.zone.at(day, 8 * 60))
  const words = `${sayDay(dateOf(day))}: ${props.said}`
  const wide = widthOf(words, 14) + 14
  return {
    x,
    y: what.top,
    width: Math.max(12, what.board.x1 - what.board.x0),
    words,
    wide,
    wordsX: Math.min(x, props.ruler.right - wide),
  }
})
function pressed(event: KeyboardEvent) {
  const bare = !event.ctrlKey && !event.metaKey && !event.altKey
  if (bare && pinnedByKey(event)) {
    event.preventDefault()
    event.stopPropagation()
    return
  }
  const move = moves[event.key]
  if (!move || event.ctrlKey || event.metaKey || event.altKey) return
  event.preventDefault()
  event.stopPropagation()
  void focusOn(move())
}
function press(board: Board) {
  if (slide.hasJustEnded()) return
  at.value = board.plank.key
  emit('plank', board.plank.key)
}
</script>

<template>
  <g ref="group" @keydown="pressed">
    <rect
      v-for="one in inOrder"
      :key="one.board.plank.key"
      class="hit"
      :x="one.board.left + 4"
      :y="one.top - 2"
      :width="Math.max(8, one.board.right - one.board.left - 8)"
      :height="boardTall(sizes.board, one.board.plank.binding) + 4"
      fill="transparent"
      role="button"
      :tabindex="one === current ? 0 : -1"
      :aria-label="spoken(one.board)"
      :aria-pressed="open === one.board.plank.key"
      @click="press(one.board)"
      @pointerdown="take($event, one)"
      @pointermove="move"
      @pointerup="letGo"
      @pointercancel="giveUp"
      @keydown.enter.prevent="press(one.board)"
      @keydown.space.prevent="press(one.board)"
    >
      <title>{{ spoken(one.board) }}</title>
    </rect>
  </g>
  <g v-if="ghost" class="pointer-events-none" aria-hidden="true">
    <rect
      :x="ghost.x"
      :y="ghost.y"
      :width="ghost.width"
      :height="sizes.board"
      fill="var(--brass-tint)"
      fill-opacity="0.8"
      stroke="var(--ink)"
      stroke-width="1.6"
      stroke-dasharray="6 4"
    />
    <rect :x="ghost.wordsX" :y="ghost.y - 27" :width="ghost.wide" height="22" fill="var(--ink)" />
    <text :x="ghost.wordsX + 7" :y="ghost.y - 11" class="cond" font-size="14" fill="var(--sheet)">
      {{ ghost.words }}
    </text>
  </g>
  <g v-for="one in mendable" :key="`mend ${one.board.plank.key}`">
    <rect
      class="plate"
      :x="one.board.mendX"
      :y="one.top"
      :width="one.board.mendEnd - one.board.mendX"
      :height="16"
      fill="var(--verdigris-tint)"
      stroke="var(--verdigris)"
      role="button"
      tabindex="0"
      :aria-label="`${one.board.flag?.mend}, for ${one.board.plank.name}`"
      @click="emit('mend', one.board.flag?.key ?? '')"
      @keydown.enter.prevent="emit('mend', one.board.flag?.key ?? '')"
      @keydown.space.prevent="emit('mend', one.board.flag?.key ?? '')"
    />
    <text
      :x="one.board.mendX + 6"
      :y="one.top + 12.5"
      class="cond pointer-events-none"
      font-size="13"
      fill="var(--verdigris)"
      aria-hidden="true"
    >
      {{ one.board.flag?.mend }}
    </text>
  </g>
</template>

<style scoped>
.plate {
  cursor: pointer;
}
.plate:focus-visible {
  outline: 3px solid var(--ink);
}
.hit {
  cursor: pointer;
  touch-action: manipulation;
}
.hit:focus-visible {
  outline: 3px solid var(--ink);
  outline-offset: 1px;
}
.hit:hover {
  fill: color-mix(in srgb, var(--brass) 22%, transparent);
}
</style>

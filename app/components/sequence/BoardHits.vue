<script setup lang="ts">
import { computed, nextTick, ref } from 'vue'
import { boardTall } from '#core/sequence/lanes'
import type { Board } from '#core/sequence/board'
import type { LaneSizes } from '#core/sequence/fit'
import type { PlacedBoard } from '#core/sequence/plates'

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
}>()
const emit = defineEmits<{ plank: [key: string]; mend: [flag: string] }>()
const { shortDate } = useDates()
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

function spoken({ plank, flag }: Board): string {
  const { clock } = store.derived
  const [from, to] = [shortDate(plank.from, clock), shortDate(plank.to, clock)]
  const name = plank.name === plank.job.title ? plank.name : `${plank.job.title}: ${plank.name}`
  const slack =
    plank.binding || plank.slackDays === null
      ? ''
      : `, ${plank.slackDays} ${plank.slackDays === 1 ? 'day' : 'days'} slack`
  return `${name}, ${from === to ? from : `${from} to ${to}`}${slack}${plank.binding ? ', holds the gate' : ''}${flag ? ', out of order' : ''}`
}
async function goTo(one: PlacedBoard | undefined) {
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
function pressed(event: KeyboardEvent) {
  const move = moves[event.key]
  if (!move || event.ctrlKey || event.metaKey || event.altKey) return
  event.preventDefault()
  event.stopPropagation()
  void goTo(move())
}
function press(board: Board) {
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
      @keydown.enter.prevent="press(one.board)"
      @keydown.space.prevent="press(one.board)"
    >
      <title>{{ spoken(one.board) }}</title>
    </rect>
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
}
.hit:focus-visible {
  outline: 3px solid var(--ink);
  outline-offset: 1px;
}
.hit:hover {
  fill: color-mix(in srgb, var(--brass) 22%, transparent);
}
</style>

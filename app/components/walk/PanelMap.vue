<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Panel } from '#core/model/entities'
import type { CoreCells } from '#core/model/entities/walk'
import { paintCell, sayCell } from '#core/panel/paint'
import type { PaintTool } from '#core/panel/paint'
import type { PanelGrid } from '#core/panel/grid'
import { cellState, edgesOf } from '#core/panel/reading'
import type { LikelySource } from '#core/panel/reading'

/**
 * The grid over a panel, drawn to scale: drag paints the chosen reading. By keyboard: arrows from cell to cell, digits
 * type a reading, t taps, p probes, s samples, Delete takes all off. Small: only what is wet.
 */
const props = defineProps<{
  panel: Panel
  grid: PanelGrid
  cells: CoreCells
  /** Wet on the map before: dashed. */
  wetBefore?: ReadonlySet<string>
  source?: LikelySource | null
  tool?: PaintTool | null
  small?: boolean
}>()
const emit = defineEmits<{ painted: [cells: CoreCells]; typed: [value: number]; done: [] }>()
/** A cell is no smaller than a finger can aim at; a wide panel is then scrolled with "Look". */
const leastPx = 30
const unit = computed(() => (props.small ? 6 : 36))
const scale = computed(() => unit.value / props.grid.cellM)
const size = computed(() => ({
  width: props.grid.columns * unit.value,
  height: props.grid.rows * unit.value,
}))
const at = ([x, y]: readonly [number, number]): [number, number] => [
  (x - props.grid.from[0]) * scale.value,
  (y - props.grid.from[1]) * scale.value,
]
const outline = computed(
  () =>
    props.panel.outline
      .map((corner, index) => `${index === 0 ? 'M' : 'L'}${at(corner).join(' ')}`)
      .join('') + 'Z',
)
const clipId = computed(() => `panel-${props.panel.id}${props.small ? '-small' : ''}`)
const fills = {
  wet: 'var(--water)',
  damp: 'var(--verdigris-tint)',
  dull: 'var(--rule2)',
  dry: 'var(--sheet)',
  unread: 'var(--paper)',
}
const wet = computed(
  () =>
    new Set(
      props.grid.cells
        .filter((one) => cellState(props.cells[one.key], props.panel) === 'wet')
        .map((one) => one.key),
    ),
)
const edge = (keys: ReadonlySet<string>) =>
  edgesOf(keys)
    .map((side) => {
      const [a, b, c, d] = side.map((one) => one * unit.value)
      return `M${a} ${b}L${c} ${d}`
    })
    .join('')
/** Over so many columns a number stands in wet cells only. */
const crowded = computed(() => props.grid.columns > 30)
const drawn = computed(() =>
  props.grid.cells.map((one) => {
    const cell = props.cells[one.key]
    const state = cellState(cell, props.panel)
    const showNumber = !props.small && one.share > 0.3 && (!crowded.value || state === 'wet')
    return {
      ...one,
      cell,
      state,
      x: one.column * unit.value,
      y: one.row * unit.value,
      number: showNumber && !cell?.sample ? cell?.meter : undefined,
    }
  }),
)
const rowsOf = computed(() => {
  const rows = new Map<number, (typeof drawn.value)[number][]>()
  for (const one of drawn.value) rows.set(one.row, [...(rows.get(one.row) ?? []), one])
  return [...rows].sort(([a], [b]) => a - b)
})
const focused = ref<string | null>(null)
const first = computed(() => focused.value ?? props.grid.cells[0]?.key ?? '')
const board = ref<SVGSVGElement | null>(null)
const painting = ref(false)

function paint(key: string, tool: PaintTool | null | undefined) {
  if (tool) emit('painted', paintCell(props.cells, key, tool))
}
function begin(event: PointerEvent, key: string) {
  if (props.small || !props.tool) return
  painting.value = true
  ;(event.target as Element).releasePointerCapture?.(event.pointerId)
  paint(key, event.altKey ? { is: 'off' } : props.tool)
}
function drag(event: PointerEvent) {
  if (!painting.value) return
  const hit = document.elementFromPoint(event.clientX, event.clientY)?.closest('[data-cell]')
  const key = hit?.getAttribute('data-cell')
  if (key) paint(key, event.altKey ? { is: 'off' } : props.tool)
}
function end() {
  if (painting.value) emit('done')
  painting.value = false
}
let typed = ''
let typedAt = 0
const typingMs = 1200
const samples = ['wet', 'powder', 'parted', 'sound'] as const
function key(event: KeyboardEvent, cellKey: string) {
  const [column, row] = cellKey.split(':').map(Number) as [number, number]
  const move = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[
    event.key
  ] as [number, number] | undefined
  const cell = props.cells[cellKey]
  if (move) focusCell(`${column + move[0]}:${row + move[1]}`)
  else if (/^\d$/.test(event.key)) {
    typed = event.timeStamp - typedAt < typingMs ? typed + event.key : event.key
    typedAt = event.timeStamp
    emit('typed', Number(typed))
    paint(cellKey, { is: 'meter', value: Number(typed) })
    emit('done')
  } else if (event.key === 't') {
    paint(cellKey, { is: 'tap', value: cell?.tap === 'dull' ? 'sharp' : 'dull' })
    emit('done')
  } else if (event.key === 'p' && props.tool) {
    paint(cellKey, { is: 'probe', mm: props.panel.coreMm ?? 0 })
    emit('done')
  } else if (event.key === 's') {
    const next = samples[(samples.indexOf(cell?.sample ?? 'sound') + 1) % samples.length] ?? 'wet'
    paint(cellKey, { is: 'sample', value: next })
    emit('done')
  } else if (event.key === 'Delete' || event.key === 'Backspace') {
    paint(cellKey, { is: 'off' })
    emit('done')
  } else return
  event.preventDefault()
  event.stopPropagation()
}
function focusCell(to: string) {
  if (!props.grid.cells.some((one) => one.key === to)) return
  focused.value = to
  board.value?.querySelector<SVGElement>(`[data-cell="${to}"]`)?.focus()
}
const sampleLetter = { wet: 'W', powder: 'P', parted: 'A', sound: 'S' }
</script>

<template>
  <div class="overflow-x-auto">
    <svg
      ref="board"
      :viewBox="
        small
          ? `-2 -2 ${size.width + 4} ${size.height + 4}`
          : `-6 -14 ${size.width + 12} ${size.height + 22}`
      "
      class="block max-w-full select-none"
      :class="small ? 'h-16 w-full' : 'w-full'"
      :style="
        small
          ? {}
          : {
              touchAction: tool ? 'none' : 'auto',
              minWidth: `${Math.min(grid.columns, 40) * leastPx}px`,
            }
      "
      :role="small ? 'img' : 'grid'"
      :aria-label="
        small
          ? 'The wet area, small'
          : `Readings of ${panel.title}: arrows move, digits type a reading`
      "
      @pointermove="drag"
      @pointerup="end"
      @pointerleave="end"
    >
      <defs>
        <clipPath :id="clipId"><path :d="outline" /></clipPath>
      </defs>
      <g :clip-path="`url(#${clipId})`">
        <g v-for="[row, own] in rowsOf" :key="row" :role="small ? undefined : 'row'">
          <g
            v-for="one in own"
            :key="one.key"
            class="panel-cell"
            :data-cell="one.key"
            :role="small ? undefined : 'gridcell'"
            :tabindex="small ? undefined : one.key === first ? 0 : -1"
            :aria-label="
              small
                ? undefined
                : `column ${one.column + 1}, row ${one.row + 1}: ${sayCell(one.cell)}`
            "
            @pointerdown="begin($event, one.key)"
            @focus="focused = one.key"
            @keydown="key($event, one.key)"
          >
            <rect
              :x="one.x"
              :y="one.y"
              :width="unit"
              :height="unit"
              :fill="small && one.state === 'wet' ? 'var(--water-deep)' : fills[one.state]"
              :stroke="small ? 'none' : 'var(--rule)'"
            />
            <template v-if="!small">
              <rect
                v-if="one.cell?.tap === 'dull'"
                :x="one.x + 3"
                :y="one.y + unit - 7"
                :width="unit - 6"
                height="4.5"
                fill="var(--ink)"
              />
              <template v-if="one.cell?.probeMm !== undefined">
                <rect
                  :x="one.x + 3"
                  :y="one.y + 4"
                  width="6"
                  height="22"
                  fill="var(--sheet)"
                  stroke="var(--redlead)"
                />
                <rect
                  :x="one.x + 3"
                  :y="one.y + 4"
                  width="6"
                  :height="22 * Math.min(1, one.cell.probeMm / (panel.coreMm ?? 16))"
                  fill="var(--redlead)"
                />
              </template>
              <g v-if="one.cell?.sample">
                <circle
                  :cx="one.x + unit / 2"
                  :cy="one.y + unit / 2"
                  r="14"
                  fill="var(--sheet)"
                  stroke="var(--redlead)"
                  stroke-width="3"
                />
                <text
                  :x="one.x + unit / 2"
                  :y="one.y + unit / 2 + 5"
                  text-anchor="middle"
                  font-size="15"
                  class="cond"
                  fill="var(--ink)"
                >
                  {{ sampleLetter[one.cell.sample] }}
                </text>
              </g>
              <text
                v-if="one.number !== undefined"
                :x="one.x + unit / 2 + (one.cell?.probeMm === undefined ? 0 : 4)"
                :y="one.y + unit / 2 + 4"
                text-anchor="middle"
                font-size="15"
                class="cond"
                fill="var(--ink)"
              >
                {{ one.number }}
              </text>
            </template>
          </g>
        </g>
      </g>
      <g fill="none" pointer-events="none">
        <path
          v-if="wetBefore && !small"
          :d="edge(wetBefore)"
          stroke="var(--ink)"
          stroke-width="2.2"
          stroke-dasharray="4 4"
          :clip-path="`url(#${clipId})`"
        />
        <path
          v-if="!small"
          :d="edge(wet)"
          stroke="var(--water-deep)"
          stroke-width="3.5"
          :clip-path="`url(#${clipId})`"
        />
        <path
          :d="outline"
          stroke="var(--ink)"
          :stroke-width="small ? 1.5 : 3.5"
          stroke-linejoin="round"
        />
      </g>
      <g v-if="!small" pointer-events="none">
        <g
          v-for="fitting in panel.fittings"
          :key="fitting.title"
          :transform="`translate(${at(fitting.at)[0]} ${at(fitting.at)[1]})`"
        >
          <path
            d="M-9 0H9M0 -9V9"
            :stroke="source?.fitting.title === fitting.title ? 'var(--redlead)' : 'var(--ink)'"
            stroke-width="3.4"
          />
          <text
            x="11"
            y="-6"
            font-size="15"
            class="cond"
            :fill="source?.fitting.title === fitting.title ? 'var(--redlead)' : 'var(--ink)'"
            stroke="var(--sheet)"
            stroke-width="4"
            paint-order="stroke"
          >
            {{ fitting.title }}
          </text>
        </g>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.panel-cell:focus-visible {
  outline: none;
}
.panel-cell:focus-visible rect:first-child {
  stroke: var(--ink);
  stroke-width: 3;
}
</style>

<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref, shallowRef, useId } from 'vue'
import type { Drawing, Look, Stuff, Tone } from '#core/bench/drawing'
import { fitDrawing } from '#core/bench/fit'

/** A drawing true to scale; pressed, a part of it opens the field it shows. */
const props = defineProps<{
  drawing: Drawing
  most?: number
  /** Small, as a picture: without words. */
  bare?: boolean
  /** Fields that begin so are in hand: what shows them stands out. */
  lit?: string
}>()
const emit = defineEmits<{
  field: [path: string]
  light: [path: string]
  /** Laid elsewhere by hand: where it lies now, in units of the drawing, not below 0. */
  laid: [fields: { along: string; across: string }, at: { along: number; across: number }]
}>()
const isLit = (field: string | undefined): boolean =>
  props.lit !== undefined && props.lit !== '' && field !== undefined && field.startsWith(props.lit)
interface Held {
  readonly drag: NonNullable<Look['drag']>
  readonly index: number
  readonly fromX: number
  readonly fromY: number
  dx: number
  dy: number
}
/** What is being moved, and by how many pixels so far. With a finger a page is scrolled: there the fields do it. */
const held = shallowRef<Held | null>(null)
/** Set at the end of a drag, so that the press that ends it opens no field. */
let wasMoved = false
function take(event: PointerEvent, drag: Look['drag'], index: number) {
  wasMoved = false
  if (!drag || event.pointerType === 'touch' || event.button !== 0) return
  ;(event.target as Element).setPointerCapture(event.pointerId)
  held.value = { drag, index, fromX: event.clientX, fromY: event.clientY, dx: 0, dy: 0 }
}
function move(event: PointerEvent) {
  const { value } = held
  if (!value) return
  held.value = { ...value, dx: event.clientX - value.fromX, dy: event.clientY - value.fromY }
}
function letGo() {
  const { value } = held
  held.value = null
  if (!value || Math.hypot(value.dx, value.dy) < 5) return
  wasMoved = true
  const [along, across] = fitted.value.scale
  const { drag } = value
  emit('laid', drag, {
    along: Math.max(0, Math.round(drag.from[0] + value.dx / along)),
    across: Math.min(drag.mostAcross, Math.max(0, Math.round(drag.from[1] + value.dy / across))),
  })
}
function press(field: string | undefined) {
  if (wasMoved) wasMoved = false
  else if (field) emit('field', field)
}
/** The line of the list that a field stands in. */
const lineOf = (field: string | undefined): string => {
  const [key = '', index] = (field ?? '').split('.')
  return index === undefined ? '' : `${key}.${index}.`
}
const holder = ref<HTMLElement | null>(null)
const { width: measured } = useElementSize(holder, { width: 560, height: 300 })
const shown = computed(() =>
  props.bare
    ? {
        ...props.drawing,
        shapes: props.drawing.shapes.filter(
          (one) =>
            one.is !== 'text' && one.is !== 'label' && one.is !== 'name' && one.is !== 'length',
        ),
      }
    : props.drawing,
)
const fitted = computed(() =>
  fitDrawing(
    shown.value,
    Math.max(props.bare ? 120 : 260, Math.round(measured.value)),
    props.most ?? 420,
  ),
)
/** Wider than its place: by keys too it has to be moved to be seen whole. */
const scrolls = computed(() => fitted.value.width > Math.ceil(measured.value))
const id = useId()
const fills: Readonly<Record<Stuff, string>> = {
  metal: 'var(--water)',
  wood: 'var(--drawn-wood)',
  glass: `url(#${id}-glass)`,
  core: `url(#${id}-core)`,
  resin: 'var(--brass)',
  seal: 'var(--ink2)',
  paint: 'var(--rule)',
  water: 'var(--water)',
  paper: 'var(--sheet)',
  stock: 'var(--brass-tint)',
  brass: 'var(--brass)',
  waste: `url(#${id}-waste)`,
  short: `url(#${id}-short)`,
  ink: 'var(--ink)',
  none: 'none',
}
const mayDrag = computed(() => fitted.value.bodies.some((one) => one.drag !== undefined))
const tones: Readonly<Record<Tone | 'none', string>> = {
  ink: 'var(--ink)',
  soft: 'var(--ink2)',
  red: 'var(--redlead)',
  good: 'var(--verdigris)',
  none: 'none',
}
</script>

<template>
  <figure class="m-0 w-full min-w-0">
    <div
      ref="holder"
      class="w-full overflow-x-auto"
      :tabindex="scrolls ? 0 : undefined"
      :role="scrolls ? 'group' : undefined"
      :aria-label="scrolls ? 'Drawing' : undefined"
    >
      <svg
        role="img"
        :aria-label="drawing.said"
        :width="fitted.width"
        :height="fitted.height"
        :viewBox="`0 0 ${fitted.width} ${fitted.height}`"
        class="block"
      >
        <defs>
          <pattern :id="`${id}-glass`" width="8" height="5" patternUnits="userSpaceOnUse">
            <rect width="8" height="5" fill="var(--drawn-wood)" />
            <path d="M0 2.5H8" stroke="var(--ink2)" stroke-width="0.7" opacity="0.55" />
          </pattern>
          <pattern :id="`${id}-core`" width="9" height="9" patternUnits="userSpaceOnUse">
            <rect width="9" height="9" fill="var(--sheet)" />
            <path d="M4.5 0V9" stroke="var(--ink2)" stroke-width="0.9" opacity="0.6" />
          </pattern>
          <pattern
            :id="`${id}-waste`"
            width="7"
            height="7"
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <rect width="7" height="7" fill="var(--paper)" />
            <path d="M0 0V7" stroke="var(--ink2)" stroke-width="1.2" opacity="0.7" />
          </pattern>
          <pattern
            :id="`${id}-short`"
            width="6"
            height="6"
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <rect width="6" height="6" fill="var(--sheet)" />
            <path d="M0 0V6" stroke="var(--redlead)" stroke-width="2.4" />
          </pattern>
        </defs>
        <path
          v-for="(one, index) in fitted.bodies"
          :key="`b${index}`"
          :d="one.d"
          :fill="one.closed ? fills[one.fill ?? 'none'] : 'none'"
          :stroke="tones[one.edge ?? 'ink']"
          :stroke-width="isLit(one.field) ? 5 : one.thick ? 3 : 1.6"
          :stroke-dasharray="one.dashed ? '5 4' : undefined"
          :class="one.drag ? 'cursor-grab' : { 'cursor-pointer': one.field }"
          :transform="held && held.index === index ? `translate(${held.dx} ${held.dy})` : undefined"
          :opacity="held && held.index === index ? 0.7 : undefined"
          @click="press(one.field)"
          @pointerdown="take($event, one.drag, index)"
          @pointermove="move"
          @pointerup="letGo"
          @pointercancel="held = null"
          @mouseenter="one.field && emit('light', lineOf(one.field))"
          @mouseleave="emit('light', '')"
        />
        <template v-for="(one, index) in fitted.strokes" :key="`s${index}`">
          <path :d="one.d" fill="none" :stroke="tones[one.tone]" stroke-width="1.3" />
          <path v-if="one.head" :d="one.head" :fill="tones[one.tone]" />
        </template>
        <text
          v-for="(one, index) in fitted.words"
          :key="`w${index}`"
          :x="one.x"
          :y="one.y"
          :text-anchor="one.anchor"
          :fill="tones[one.tone]"
          :font-size="one.px"
          :font-weight="isLit(one.field) ? 700 : undefined"
          class="cond word"
          :class="one.field ? 'cursor-pointer' : 'pointer-events-none'"
          @click="press(one.field)"
        >
          {{ one.text }}
        </text>
      </svg>
    </div>
    <figcaption v-if="drawing.inMm && !bare" class="text-sm text-ink2">
      To scale. Take sizes from the figures, not from the drawing.<span
        v-if="mayDrag"
        class="by-mouse no-print"
      >
        Drag a piece to pin it; the others lie round it. Emptied, its two fields let go of it.</span
      >
    </figcaption>
  </figure>
</template>

<style scoped>
.word {
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 3px;
}
/* With a finger the page is scrolled, not the piece. */
@media (pointer: coarse) {
  .by-mouse {
    display: none;
  }
}
</style>

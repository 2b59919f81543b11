<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Row } from '#core/model/entities'
import type { PictureMark } from '#core/model/entities/papers'
import { besideOf, momentSaid, spotsOf } from '#core/pictures/spots'

/** One picture with its arrows and rings, which are kept beside it; and a slider over another of the same spot. */
type Picture = Row<'picture'>
const props = defineProps<{ picture: Picture; others: readonly Picture[]; of: string }>()
const emit = defineEmits<{ edit: [patch: Record<string, unknown>]; remove: [] }>()
const { sayDay } = useDates()
const store = useRefitStore()
const tool = ref<PictureMark['kind'] | null>(null)
const text = ref('')
const drawn = ref<PictureMark | null>(null)
const board = ref<SVGSVGElement | null>(null)
const otherId = ref<string | null>(besideOf(props.picture, props.others)?.id ?? null)
watch(
  () => props.picture.spot,
  () => (otherId.value ??= besideOf(props.picture, props.others)?.id ?? null),
)
const share = ref(50)
/** Names that other pictures of the thing have: one press gives this one the same. */
const known = computed(() =>
  spotsOf(props.others)
    .map((one) => one.name)
    .filter((one) => one.toLowerCase() !== props.picture.spot.trim().toLowerCase()),
)
const other = computed(() => props.others.find((one) => one.id === otherId.value) ?? null)
const day = (one: Picture) => sayDay(store.derived.clock.dateOf(one.takenAt))
/** The earlier one lies on the left. */
const isLater = computed(() => other.value !== null && other.value.takenAt < props.picture.takenAt)
const left = computed(() => (isLater.value && other.value ? other.value : props.picture))
const right = computed(() => (isLater.value ? props.picture : other.value))
const cut = computed(() =>
  isLater.value ? `inset(0 ${100 - share.value}% 0 0)` : `inset(0 0 0 ${share.value}%)`,
)
const choices = computed(() =>
  props.others.map((one) => ({ value: one.id, label: `${momentSaid[one.moment]}, ${day(one)}` })),
)
const marks = computed(() => [...props.picture.marks, ...(drawn.value ? [drawn.value] : [])])

function at(event: PointerEvent): [number, number] {
  const box = board.value?.getBoundingClientRect()
  const within = (value: number) => Math.min(1, Math.max(0, value))
  return box
    ? [
        within((event.clientX - box.left) / box.width),
        within((event.clientY - box.top) / box.height),
      ]
    : [0, 0]
}
function begin(event: PointerEvent) {
  if (!tool.value) return
  board.value?.setPointerCapture(event.pointerId)
  drawn.value = { kind: tool.value, from: at(event), to: at(event), text: text.value }
}
function pull(event: PointerEvent) {
  if (drawn.value) drawn.value = { ...drawn.value, to: at(event) }
}
const shortest = 0.02
function end() {
  const mark = drawn.value
  drawn.value = null
  if (!mark || Math.hypot(mark.to[0] - mark.from[0], mark.to[1] - mark.from[1]) < shortest) return
  emit('edit', { marks: [...props.picture.marks, mark] })
  text.value = ''
}
const [wide, high] = [props.picture.widthPx, props.picture.heightPx]
const unit = Math.max(wide, high) / 320
function head({ from, to }: PictureMark): string {
  const [x, y] = [to[0] * wide, to[1] * high]
  const angle = Math.atan2(y - from[1] * high, x - from[0] * wide)
  const wing = (turn: number) =>
    `${x - 9 * unit * Math.cos(angle + turn)} ${y - 9 * unit * Math.sin(angle + turn)}`
  return `M${wing(0.5)}L${x} ${y}L${wing(-0.5)}`
}
</script>

<template>
  <div class="grid gap-3">
    <div class="relative select-none">
      <img
        :src="`/api/pictures/${picture.hash}`"
        :alt="picture.caption || of"
        class="block w-full"
      />
      <img
        v-if="other"
        :src="`/api/pictures/${other.hash}`"
        :alt="`${of}, ${momentSaid[other.moment]}`"
        class="absolute inset-0 h-full w-full object-cover"
        :style="{ clipPath: cut }"
      />
      <svg
        ref="board"
        class="absolute inset-0 h-full w-full"
        :class="tool ? 'cursor-crosshair touch-none' : 'pointer-events-none'"
        :viewBox="`0 0 ${wide} ${high}`"
        @pointerdown="begin"
        @pointermove="pull"
        @pointerup="end"
      >
        <g
          v-for="(mark, index) in marks"
          :key="index"
          fill="none"
          stroke="var(--redlead)"
          :stroke-width="2.5 * unit"
        >
          <ellipse
            v-if="mark.kind === 'ring'"
            :cx="((mark.from[0] + mark.to[0]) / 2) * wide"
            :cy="((mark.from[1] + mark.to[1]) / 2) * high"
            :rx="(Math.abs(mark.to[0] - mark.from[0]) / 2) * wide"
            :ry="(Math.abs(mark.to[1] - mark.from[1]) / 2) * high"
          />
          <path
            v-else
            :d="`M${mark.from[0] * wide} ${mark.from[1] * high}L${mark.to[0] * wide} ${mark.to[1] * high}${head(mark)}`"
          />
          <text
            v-if="mark.text"
            :x="mark.from[0] * wide"
            :y="mark.from[1] * high - 4 * unit"
            :font-size="14 * unit"
            fill="var(--ink)"
            stroke="var(--sheet)"
            :stroke-width="3 * unit"
            paint-order="stroke"
          >
            {{ mark.text }}
          </text>
        </g>
      </svg>
    </div>
    <label v-if="right" class="cond grid gap-1">
      {{ day(left) }} on the left, {{ day(right) }} on the right
      <input v-model.number="share" type="range" min="0" max="100" class="w-full" />
    </label>
    <div class="flex flex-wrap items-end gap-2">
      <UiText v-model="text" class="grow" label="Words beside the next mark" :most="200" />
      <button
        v-for="kind in ['arrow', 'ring'] as const"
        :key="kind"
        class="btn"
        :class="{ 'btn-on': tool === kind }"
        :aria-pressed="tool === kind"
        @click="tool = tool === kind ? null : kind"
      >
        {{ kind === 'arrow' ? 'Arrow' : 'Ring' }}
      </button>
      <button
        class="btn"
        :disabled="picture.marks.length === 0"
        @click="emit('edit', { marks: picture.marks.slice(0, -1) })"
      >
        Last mark off
      </button>
    </div>
    <div class="grid grid-cols-2 gap-3">
      <RowField entity="picture" :row="picture" field="moment" />
      <UiSelect v-model="otherId" label="Lay over it" :options="choices" none="Nothing" />
      <div>
        <RowField entity="picture" :row="picture" field="spot" />
        <p v-if="known.length > 0" class="mt-1 flex flex-wrap gap-1">
          <button
            v-for="name in known"
            :key="name"
            class="btn btn-small"
            @click="emit('edit', { spot: name })"
          >
            {{ name }}
          </button>
        </p>
      </div>
      <RowField entity="picture" :row="picture" field="caption" />
    </div>
    <p class="flex justify-end">
      <button class="btn btn-quiet btn-small" @click="emit('remove')">Remove the picture</button>
    </p>
  </div>
</template>

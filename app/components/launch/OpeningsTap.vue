<script setup lang="ts">
import { computed, ref } from 'vue'
import { openingAt, sayHeight } from '#core/launch/openingAt'
import type { OpeningPlace } from '#core/launch/openingAt'
import { alongOf, bowToStern } from '#core/launch/readiness'

/** Her side view: pressed where water could get in, an opening is written down there. By keys it is named in the list. */
const emit = defineEmits<{ made: [id: string] }>()
const store = useRefitStore()
/** What stands above her house is left out. */
const { holder, drawing } = useHerDrawing(280, 0.19)
const loaM = computed(() => store.refit?.loaM ?? 12)
const marks = computed(() =>
  bowToStern(store.rows).map((one, index) => {
    const spot = [alongOf(one, store.rows.zone) ?? 0.5, one.heightM / loaM.value] as const
    const [x, y] = drawing.value?.frame.at('side', spot) ?? [0, 0]
    return { id: one.id, number: index + 1, x, y }
  }),
)
const here = ref<OpeningPlace | null>(null)
function press(event: MouseEvent) {
  if (!drawing.value) return
  const { lines, frame, top } = drawing.value
  const { left, top: above } = (event.currentTarget as SVGElement).getBoundingClientRect()
  const { spot } = frame.back(event.clientX - left, event.clientY - above + top)
  here.value = openingAt(lines, store.rows.zone, loaM.value, spot)
}
const title = computed(() => {
  if (!here.value) return ''
  const { heightM, zoneId } = here.value
  const where = store.rows.zone.find((one) => one.id === zoneId)?.name
  return `${where ?? 'Here'}, ${sayHeight(heightM)}`
})
function made(id: string) {
  here.value = null
  emit('made', id)
}
</script>

<template>
  <div ref="holder">
    <svg
      v-if="drawing"
      class="block cursor-crosshair touch-manipulation"
      :width="drawing.frame.width"
      :height="drawing.frame.ground - drawing.top"
      :viewBox="`0 ${drawing.top} ${drawing.frame.width} ${drawing.frame.ground - drawing.top}`"
      aria-hidden="true"
      @click="press"
    >
      <HerSide :lines="drawing.lines" :frame="drawing.frame" />
      <path
        :d="`M0 ${drawing.frame.water}H${drawing.frame.width}`"
        stroke="var(--water-deep)"
        stroke-width="1.4"
        stroke-dasharray="8 5"
      />
      <g v-for="one in marks" :key="one.id" :transform="`translate(${one.x} ${one.y})`">
        <circle r="11" fill="var(--sheet)" stroke="var(--ink)" stroke-width="2" />
        <text
          y="5"
          text-anchor="middle"
          class="cond"
          font-size="15"
          font-weight="600"
          fill="var(--ink)"
        >
          {{ one.number }}
        </text>
      </g>
    </svg>
    <UiDialog :open="here !== null" :title="title" @close="here = null">
      <UiAnother
        v-if="here"
        entity="hullOpening"
        field="title"
        label="What is there"
        placeholder="Galley drain valve"
        keep="Write it down"
        :initial="{ kind: 'valve', boreMm: null }"
        :rest="() => ({ ...here })"
        @made="made"
      >
        <template #default="{ bind }">
          <FieldInput v-bind="bind('kind')" />
          <FieldInput v-bind="bind('boreMm')" />
        </template>
      </UiAnother>
    </UiDialog>
  </div>
</template>

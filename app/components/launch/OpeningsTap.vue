<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { mapFrame } from '#core/boatMap/frame'
import { hullLines } from '#core/boatMap/hull'
import { openingAt, sayHeight } from '#core/launch/openingAt'
import type { OpeningPlace } from '#core/launch/openingAt'
import { alongOf, bowToStern } from '#core/launch/readiness'

/** Her side view: pressed where water could get in, an opening is written down there. By keys it is named in the list. */
const emit = defineEmits<{ made: [id: string] }>()
const store = useRefitStore()
const holder = ref<HTMLElement | null>(null)
const { width } = useElementSize(holder, { width: 560, height: 200 })
const loaM = computed(() => store.refit?.loaM ?? 12)
const lines = computed(() => (store.refit ? hullLines(store.refit) : null))
const frame = computed(
  () => lines.value && mapFrame(lines.value, Math.max(280, Math.round(width.value))),
)
/** What stands above her house is left out. */
const top = computed(() => (frame.value ? frame.value.water - 0.19 * frame.value.length : 0))
const marks = computed(() =>
  bowToStern(store.rows).map((one, index) => {
    const spot = [alongOf(one, store.rows.zone) ?? 0.5, one.heightM / loaM.value] as const
    const [x, y] = frame.value?.at('side', spot) ?? [0, 0]
    return { id: one.id, number: index + 1, x, y }
  }),
)
const here = ref<OpeningPlace | null>(null)
function press(event: MouseEvent) {
  if (!lines.value || !frame.value) return
  const { left, top: above } = (event.currentTarget as SVGElement).getBoundingClientRect()
  const { spot } = frame.value.back(event.clientX - left, event.clientY - above + top.value)
  here.value = openingAt(lines.value, store.rows.zone, loaM.value, spot)
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
      v-if="lines && frame"
      class="block cursor-crosshair touch-manipulation"
      :width="frame.width"
      :height="frame.ground - top"
      :viewBox="`0 ${top} ${frame.width} ${frame.ground - top}`"
      aria-hidden="true"
      @click="press"
    >
      <HerSide :lines="lines" :frame="frame" />
      <path
        :d="`M0 ${frame.water}H${frame.width}`"
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

<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { Minus, Plus } from '@lucide/vue'
import { computed, ref, watch } from 'vue'
import { pathOf } from '#core/boatMap/frame'
import type { Spot } from '#core/boatMap/hull'
import type { Support, Zone } from '#core/model/entities'
import type { ZoneShape } from '#core/model/entities/boat'
import type { MapItem, MapPlace } from '~/composables/useBoatMap'

/**
 * Her own side elevation and deck plan, bow to the left. Places can be pressed; what stands at each is drawn as
 * marks. The list beside it says the same to those who do not see it.
 */
const props = defineProps<{
  zones: readonly Zone[]
  items: ReadonlyMap<string, readonly MapItem[]>
  chosen: string | null
  /** Places that carry their name though nothing stands there. */
  named?: ReadonlySet<string>
  /** Places nobody looked at: dotted. */
  notLooked?: ReadonlySet<string>
  /** What a place reads as, besides its name. */
  say: (zone: Zone) => string
  supports?: readonly Support[]
  /** Skins are filled with what they are made of. */
  makeUp?: boolean
  /** Points of a place to be shown as crosses. */
  points?: readonly { readonly id: string; readonly zoneId: string; readonly at: Spot }[]
  /** The place whose corners are being dragged. */
  editing?: { readonly zone: Zone; readonly shape: ZoneShape } | null
  /** Small drawings go without names: the list has them. */
  nameless?: boolean
}>()
const emit = defineEmits<{
  choose: [zoneId: string | null]
  found: [place: { zoneId: string | null; at: Spot }]
  shape: [shape: ZoneShape]
  zoom: [zoom: number]
}>()
const holder = ref<HTMLElement | null>(null)
const svg = ref<SVGSVGElement | null>(null)
const { width: measured } = useElementSize(holder, { width: 768, height: 500 })
const base = computed(() => Math.max(240, Math.round(measured.value)))
const size = computed(() => ({
  width: base.value,
  height: Math.round(frame.value.height / zoom.value),
}))
const zoom = ref(1)
const laidWidth = computed(() => base.value * zoom.value)
const none: ReadonlySet<string> = new Set()
const { lines, frame, places } = useBoatMap(
  computed(() => props.zones),
  computed(() => props.items),
  laidWidth,
  computed(() => props.named ?? none),
  computed(() => props.nameless),
)
const layer = ref<HTMLElement | null>(null)
const view = useMapView(svg, layer, holder, size)
watch(view.zoom, (to) => {
  zoom.value = to
  emit('zoom', to)
})

const draw = (at: ZoneShape['view'], spots: readonly Spot[], closed = true) =>
  pathOf(frame.value, at, spots, closed)
const crosses = computed(() =>
  (props.points ?? []).flatMap(({ id, zoneId, at }) => {
    const shape = places.value.find((one) => one.zone.id === zoneId)?.shape
    return shape ? [{ id, at: frame.value.at(shape.view, at) }] : []
  }),
)
const label = ({ zone }: MapPlace) => `${zone.name}: ${props.say(zone)}`
function press(zoneId: string | null) {
  if (!view.pulled.value) emit('choose', props.chosen === zoneId ? null : zoneId)
}
/** The point of the boat under the pointer. */
function spotAt(event: MouseEvent): { view: ZoneShape['view']; spot: Spot } | null {
  const point = svgPoint(svg.value, event)
  return point && frame.value.back(point.x, point.y)
}
function foundHere(event: MouseEvent, zoneId: string | null) {
  const spot = spotAt(event)
  if (spot) emit('found', { zoneId, at: spot.spot })
}
const stays = useLongPress()
function pressLong(event: PointerEvent, zoneId: string | null) {
  if (event.pointerType === 'touch')
    stays.begin(() => !view.pulled.value && foundHere(event, zoneId))
}
</script>

<template>
  <div class="relative min-w-0">
    <div ref="holder" class="overflow-clip" :style="{ height: `${size.height}px` }">
      <div ref="layer" :class="{ 'will-change-transform': zoom > 1 }">
        <svg
          ref="svg"
          class="block select-none"
          :width="frame.width"
          :height="frame.height"
          :viewBox="`0 0 ${frame.width} ${frame.height}`"
          :style="{ touchAction: zoom > 1 ? 'none' : 'pan-y' }"
          role="group"
          aria-label="The boat, by place"
          @click.self="press(null)"
          @dblclick.self="foundHere($event, null)"
        >
          <HerLines
            :lines="lines"
            :frame="frame"
            :places="places"
            :supports="supports ?? []"
            :make-up="makeUp ?? false"
            :not-looked="notLooked ?? none"
          />
          <g
            v-for="place in places"
            :key="place.zone.id"
            class="map-place cursor-pointer"
            role="button"
            tabindex="0"
            :data-zone="place.zone.id"
            :aria-pressed="chosen === place.zone.id"
            :aria-label="label(place)"
            @click.stop="press(place.zone.id)"
            @dblclick.stop="foundHere($event, place.zone.id)"
            @pointerdown="pressLong($event, place.zone.id)"
            @pointerup="stays.forget"
            @pointercancel="stays.forget"
            @keydown.enter.prevent="emit('choose', place.zone.id)"
            @keydown.space.prevent="emit('choose', place.zone.id)"
          >
            <title>{{ place.zone.name }}</title>
            <path
              class="map-region"
              :class="{
                'map-own': place.zone.shape !== null,
                'map-chosen': chosen === place.zone.id,
              }"
              :d="draw(place.shape.view, place.shape.corners)"
            />
            <template v-if="place.box">
              <path
                v-if="place.box.leads"
                :d="`M${place.box.x + place.box.width / 2} ${place.box.y + place.box.height / 2}L${place.box.leads[0]} ${place.box.leads[1]}`"
                stroke="var(--ink)"
                stroke-width="1"
              />
              <rect
                class="map-label"
                :class="{ 'map-chosen': chosen === place.zone.id }"
                :x="place.box.x"
                :y="place.box.y"
                :width="place.box.width"
                :height="place.box.height"
              />
              <text
                v-if="!nameless"
                :x="place.box.x + place.box.width / 2"
                :y="place.box.y + 14"
                text-anchor="middle"
                font-size="15"
                class="cond"
                fill="var(--ink)"
              >
                {{ mapName(place.zone) }}
              </text>
              <MapItems
                :items="place.items"
                :x="place.box.x"
                :y="place.box.y + (nameless ? 5 : 20)"
                :wide="place.box.width"
              />
            </template>
          </g>
          <path
            v-for="cross in crosses"
            :key="cross.id"
            :d="`M${cross.at[0] - 8} ${cross.at[1]}h16M${cross.at[0]} ${cross.at[1] - 8}v16`"
            stroke="var(--redlead)"
            stroke-width="4"
            pointer-events="none"
          />
          <MapCorners
            v-if="editing"
            :frame="frame"
            :editing="editing"
            :spot-at="spotAt"
            @shape="emit('shape', $event)"
          />
        </svg>
      </div>
    </div>
    <div class="no-print absolute top-0 right-0 flex gap-1">
      <button class="btn btn-small" aria-label="Nearer" @click="view.zoomTo(zoom * 1.5)">
        <Plus :size="16" aria-hidden="true" />
      </button>
      <button
        class="btn btn-small"
        aria-label="Farther"
        :disabled="zoom <= 1"
        @click="view.zoomTo(zoom / 1.5)"
      >
        <Minus :size="16" aria-hidden="true" />
      </button>
    </div>
  </div>
</template>

<style scoped>
.map-region {
  fill: transparent;
  stroke: transparent;
  stroke-width: 2;
}
.map-own {
  stroke: var(--ink2);
  stroke-dasharray: 3 3;
}
.map-place:hover .map-region {
  fill: var(--brass-tint);
  fill-opacity: 0.5;
}
.map-region.map-chosen {
  fill: var(--verdigris-tint);
  fill-opacity: 0.7;
  stroke: var(--verdigris);
}
.map-label {
  fill: var(--sheet);
  fill-opacity: 0.86;
}
.map-label.map-chosen {
  fill: var(--verdigris-tint);
  fill-opacity: 1;
}
.map-place:focus-visible {
  outline: none;
}
.map-place:focus-visible .map-label,
.map-place:focus-visible .map-region {
  stroke: var(--ink);
  stroke-width: 3;
}
</style>

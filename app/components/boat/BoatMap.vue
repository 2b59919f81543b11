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
const fillOf = ({ coreKind }: Zone): string =>
  coreKind === 'balsa' || coreKind === 'foam' || coreKind === 'honeycomb'
    ? 'url(#core-brick)'
    : coreKind === 'wood' || coreKind === 'plywood'
      ? 'url(#wood-grain)'
      : coreKind === null
        ? 'none'
        : 'var(--rule)'
const skins = computed(() =>
  props.makeUp
    ? places.value.filter(({ zone, shape }) => shape.view === 'plan' && zone.coreKind !== null)
    : [],
)
const dotted = computed(() =>
  places.value.filter(({ zone }) => props.notLooked?.has(zone.id) ?? false),
)
const stands = computed(() =>
  (props.supports ?? []).map((support) => {
    const deep =
      support.side === 'centre' ? -lines.value.draught : lines.value.bottom(support.along)
    const [x, y] = frame.value.at('side', [support.along, deep])
    return { support, x, y, ground: frame.value.ground }
  }),
)
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
  const matrix = svg.value?.getScreenCTM()
  if (!matrix) return null
  const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse())
  return frame.value.back(point.x, point.y)
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

const dragging = ref<number | null>(null)
const dragged = ref<readonly Spot[] | null>(null)
const corners = computed(() => dragged.value ?? props.editing?.shape.corners ?? [])
function startCorner(event: PointerEvent, at: number) {
  event.stopPropagation()
  ;(event.target as Element).setPointerCapture(event.pointerId)
  dragging.value = at
  dragged.value = [...corners.value]
}
function moveCorner(event: PointerEvent) {
  const at = dragging.value
  const spot = spotAt(event)
  if (at === null || !spot || spot.view !== props.editing?.shape.view) return
  dragged.value = corners.value.map((one, index) => (index === at ? spot.spot : one))
}
function endCorner() {
  const shape = props.editing?.shape
  if (dragging.value !== null && dragged.value && shape)
    emit('shape', { view: shape.view, corners: dragged.value })
  dragging.value = null
  dragged.value = null
}
const nudge = 0.01
function nudgeCorner(event: KeyboardEvent, at: number) {
  const by: Readonly<Record<string, Spot>> = {
    ArrowLeft: [nudge, 0],
    ArrowRight: [-nudge, 0],
    ArrowUp: [0, nudge],
    ArrowDown: [0, -nudge],
  }
  const step = by[event.key]
  const shape = props.editing?.shape
  if (!step || !shape) return
  event.preventDefault()
  event.stopPropagation()
  emit('shape', {
    view: shape.view,
    corners: shape.corners.map(([x, y], index) =>
      index === at ? [x + step[0], y + step[1]] : [x, y],
    ),
  })
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
          <defs>
            <pattern id="core-brick" width="15" height="8" patternUnits="userSpaceOnUse">
              <rect width="15" height="8" fill="var(--brass-tint)" />
              <path d="M0 .5H15M0 4.5H15M3.5 .5V4.5M11 4.5V8" stroke="var(--rule)" fill="none" />
            </pattern>
            <pattern id="wood-grain" width="14" height="7" patternUnits="userSpaceOnUse">
              <rect width="14" height="7" fill="var(--rule2)" />
              <path
                d="M0 2Q4 0 8 2T14 2M0 5.5H14"
                stroke="var(--brass-deep)"
                stroke-width=".7"
                fill="none"
              />
            </pattern>
            <clipPath id="her-side">
              <path :d="draw('side', lines.body)" />
              <path v-for="(keel, at) in lines.keels" :key="`k${at}`" :d="draw('side', keel)" />
              <path
                v-for="(rudder, at) in lines.rudders"
                :key="`r${at}`"
                :d="draw('side', rudder)"
              />
            </clipPath>
            <clipPath id="her-plan">
              <path v-for="(deck, at) in lines.decks" :key="at" :d="draw('plan', deck)" />
            </clipPath>
            <pattern id="not-looked" width="7" height="7" patternUnits="userSpaceOnUse">
              <rect width="7" height="7" fill="var(--paper)" />
              <circle cx="1.8" cy="1.8" r="1" fill="var(--ink)" />
              <circle cx="5.3" cy="5.3" r="1" fill="var(--ink)" />
            </pattern>
          </defs>
          <g pointer-events="none" stroke-linejoin="round" aria-hidden="true">
            <g fill="none" stroke="var(--ink)" stroke-width="1.2">
              <path v-for="(stay, at) in lines.stays" :key="at" :d="draw('side', stay, false)" />
            </g>
            <path
              :d="`M${frame.margin} ${frame.ground}H${frame.width - frame.margin}`"
              stroke="var(--ink)"
              stroke-width="2"
            />
            <g v-for="{ support, x, y, ground } in stands" :key="support.id" stroke="var(--ink)">
              <rect
                v-if="support.side === 'centre'"
                :x="x - 34"
                :y="y + 1"
                width="68"
                :height="Math.max(4, ground - y - 1)"
                fill="url(#wood-grain)"
              />
              <template v-else>
                <path
                  :d="`M${x} ${y + 8}L${x - 13} ${ground}M${x} ${y + 8}L${x + 13} ${ground}`"
                  stroke-width="2"
                />
                <rect :x="x - 11" :y="y + 1" width="22" height="7" fill="url(#wood-grain)" />
              </template>
            </g>
            <g fill="var(--sheet)" stroke="var(--ink)" stroke-width="2">
              <path v-for="(rudder, at) in lines.rudders" :key="at" :d="draw('side', rudder)" />
              <path v-for="(keel, at) in lines.keels" :key="at" :d="draw('side', keel)" />
              <path
                :d="draw('side', lines.body)"
                :stroke="makeUp ? 'var(--rule)' : undefined"
                :stroke-width="makeUp ? 7 : 2"
              />
              <path v-if="makeUp" :d="draw('side', lines.body)" fill="none" />
              <path v-for="(house, at) in lines.houses" :key="at" :d="draw('side', house)" />
            </g>
            <g fill="var(--water)" stroke="var(--ink)" stroke-width="1.2">
              <path v-for="(light, at) in lines.windows" :key="at" :d="draw('side', light)" />
            </g>
            <g fill="var(--sheet)" stroke="var(--ink)" stroke-width="2">
              <path v-for="(deck, at) in lines.decks" :key="at" :d="draw('plan', deck)" />
            </g>
            <path
              v-for="{ zone, shape } in skins"
              :key="zone.id"
              :d="draw(shape.view, shape.corners)"
              :fill="fillOf(zone)"
            />
            <path
              v-for="{ zone, shape } in dotted"
              :key="zone.id"
              :d="draw(shape.view, shape.corners)"
              :clip-path="zone.strake === 'rig' ? undefined : `url(#her-${shape.view})`"
              fill="url(#not-looked)"
            />
            <g fill="none" stroke="var(--ink)" stroke-width="4">
              <path v-for="(mast, at) in lines.masts" :key="at" :d="draw('side', mast, false)" />
            </g>
            <g fill="none" stroke="var(--ink)" stroke-width="1.4">
              <path
                v-for="(deck, at) in lines.decks"
                :key="at"
                :d="draw('plan', deck)"
                stroke-width="2.5"
              />
              <path v-for="(line, at) in lines.deckLines" :key="at" :d="draw('plan', line)" />
            </g>
            <path
              :d="`M0 ${frame.water}H${frame.width}`"
              stroke="var(--water-deep)"
              stroke-width="1.6"
              stroke-dasharray="7 4"
            />
          </g>
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
          <g v-if="editing">
            <path
              :d="draw(editing.shape.view, corners)"
              fill="var(--verdigris-tint)"
              fill-opacity=".6"
              stroke="var(--verdigris)"
              stroke-width="2.5"
              stroke-dasharray="6 4"
              pointer-events="none"
            />
            <circle
              v-for="(corner, at) in corners"
              :key="at"
              :cx="frame.at(editing.shape.view, corner)[0]"
              :cy="frame.at(editing.shape.view, corner)[1]"
              r="11"
              class="cursor-move"
              fill="var(--sheet)"
              stroke="var(--verdigris)"
              stroke-width="3"
              role="button"
              tabindex="0"
              :aria-label="`Corner ${at + 1} of ${editing.zone.name}: arrows move it`"
              @pointerdown="startCorner($event, at)"
              @pointermove="moveCorner"
              @pointerup="endCorner"
              @keydown="nudgeCorner($event, at)"
            />
          </g>
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

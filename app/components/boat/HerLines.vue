<script setup lang="ts">
import { computed } from 'vue'
import { pathOf } from '#core/boatMap/frame'
import type { MapFrame } from '#core/boatMap/frame'
import type { HullLines, Spot } from '#core/boatMap/hull'
import type { Support, Zone } from '#core/model/entities'
import type { ZoneShape } from '#core/model/entities/boat'
import type { MapPlace } from '~/composables/useBoatMap'

/** Her side and her deck as lines, what she stands on, what her skins are made of, and where nobody looked. */
const props = defineProps<{
  lines: HullLines
  frame: MapFrame
  places: readonly MapPlace[]
  supports: readonly Support[]
  makeUp: boolean
  notLooked: ReadonlySet<string>
}>()
const draw = (at: ZoneShape['view'], spots: readonly Spot[], closed = true) =>
  pathOf(props.frame, at, spots, closed)
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
    ? props.places.filter(({ zone, shape }) => shape.view === 'plan' && zone.coreKind !== null)
    : [],
)
const dotted = computed(() => props.places.filter(({ zone }) => props.notLooked.has(zone.id)))
const stands = computed(() =>
  props.supports.map((support) => {
    const deep =
      support.side === 'centre' ? -props.lines.draught : props.lines.bottom(support.along)
    const [x, y] = props.frame.at('side', [support.along, deep])
    return { support, x, y, ground: props.frame.ground }
  }),
)
</script>

<template>
  <g>
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
        <path v-for="(rudder, at) in lines.rudders" :key="`r${at}`" :d="draw('side', rudder)" />
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
  </g>
</template>

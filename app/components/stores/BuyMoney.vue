<script setup lang="ts">
import type { BuyScene } from '#core/stores/buyScene'

/** Where the money leaves: a pile of washers a week, and the months. */
defineProps<{ scene: BuyScene }>()
const thick = 6
</script>

<template>
  <g>
    <text x="12" :y="scene.moneyY - 36" class="cond" font-size="14" fill="var(--ink)">
      Money leaves
    </text>
    <text x="12" :y="scene.moneyY - 20" class="cond-thin" font-size="12.5" fill="var(--ink2)">
      a washer is {{ scene.washer }}
    </text>
    <text x="12" :y="scene.moneyY - 5" class="cond-thin" font-size="12.5" fill="var(--ink2)">
      brass: ordered
    </text>
    <line
      :x1="scene.ruler.left"
      :x2="scene.ruler.right"
      :y1="scene.moneyY"
      :y2="scene.moneyY"
      stroke="var(--ink)"
      stroke-width="2"
    />
    <g v-for="pile in scene.piles" :key="pile.x">
      <rect
        v-for="nth in pile.sure + pile.open"
        :key="nth"
        :x="pile.x - 9"
        :y="scene.moneyY - nth * thick"
        width="18"
        :height="thick - 1"
        rx="2.5"
        :fill="nth <= pile.sure ? 'var(--brass)' : 'var(--sheet)'"
        stroke="var(--ink)"
        stroke-width="1.3"
      />
      <text
        v-if="pile.isSaid"
        :x="pile.x + 12"
        :y="scene.moneyY - 3"
        class="cond"
        font-size="14"
        fill="var(--ink)"
      >
        {{ pile.text }}
      </text>
    </g>
    <g v-for="(month, at) in scene.months" :key="month.x">
      <line
        v-if="at > 0"
        :x1="month.x"
        :x2="month.x"
        :y1="scene.moneyY"
        :y2="scene.moneyY + 20"
        stroke="var(--ink)"
        stroke-width="1.4"
      />
      <text
        :x="month.middle"
        :y="scene.moneyY + 16"
        text-anchor="middle"
        class="cond"
        font-size="14"
        fill="var(--ink)"
      >
        {{ month.text }}
      </text>
    </g>
  </g>
</template>

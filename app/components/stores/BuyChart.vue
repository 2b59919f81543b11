<script setup lang="ts">
import { computed } from 'vue'
import { nameSize, nameSmall, rowHigh, wordsSize } from '#core/stores/buyScene'
import type { BuyScene } from '#core/stores/buyScene'

/** What to buy and when, on the scale of the Sequence: one row a thing, its window, its need, and the words. */
const props = defineProps<{ scene: BuyScene; open: string | null }>()
provideChartIds()
const chartTop = computed(() => ({
  ...props.scene,
  pleatWords: [],
  spans: [],
  spansY: 0,
  spanHeight: 0,
  tide: [],
  tideY: 0,
  hard: [],
  ground: 0,
}))
const colour = { red: 'var(--redlead)', green: 'var(--verdigris)', ink: 'var(--ink)' } as const
const flagRow = 24
</script>

<template>
  <svg
    :width="scene.width"
    :height="scene.height"
    :viewBox="`0 0 ${scene.width} ${scene.height}`"
    class="block max-w-none select-none print:h-auto print:w-full"
    role="group"
    aria-label="What to buy, and when"
  >
    <BuyPatterns />
    <g aria-hidden="true">
      <rect
        v-for="[x0, x1] in scene.bays"
        :key="x0"
        :x="x0"
        :y="scene.top"
        :width="x1 - x0"
        :height="scene.foot - scene.top"
        fill="var(--sheet)"
      />
      <line
        v-for="row in [...scene.rows, ...scene.laths]"
        :key="row.key"
        :x1="0"
        :x2="scene.width"
        :y1="row.y + rowHigh"
        :y2="row.y + rowHigh"
        stroke="var(--rule2)"
      />
      <line
        v-for="post in scene.posts"
        :key="post.key"
        :x1="post.x"
        :x2="post.x"
        :y1="(scene.flagRows - 1 - (post.row ?? 0)) * flagRow + 1"
        :y2="scene.foot"
        :stroke="post.kind === 'asked' ? 'var(--redlead)' : 'var(--ink)'"
        :stroke-width="post.kind === 'asked' ? 4 : 2"
        :stroke-dasharray="post.kind === 'aimed' ? '2 4' : undefined"
      />
      <g v-for="head in scene.heads" :key="head.text">
        <line
          x1="0"
          :x2="scene.width"
          :y1="head.y"
          :y2="head.y"
          stroke="var(--ink)"
          stroke-width="2"
        />
        <text x="12" :y="head.y + 14" class="cond" font-size="14" fill="var(--ink)">
          {{ head.text }}
        </text>
        <text
          v-if="head.note"
          :x="scene.ruler.left + 60"
          :y="head.y + 14"
          class="cond-thin halo"
          font-size="14"
          fill="var(--ink2)"
          text-decoration="underline"
        >
          {{ head.note }}
        </text>
      </g>
      <g v-for="row in scene.rows" :key="row.key">
        <rect
          v-if="open === row.key"
          x="0"
          :y="row.y + 1"
          :width="scene.width"
          :height="rowHigh - 2"
          fill="var(--brass-tint)"
        />
        <BuyMarks :marks="row.marks" :middle="row.y + rowHigh / 2" />
        <text
          v-for="(line, at) in row.name"
          :key="at"
          x="12"
          :y="row.name.length > 1 ? row.y + 10.5 + at * 11 : row.y + 16.5"
          class="cond"
          :font-size="row.isSmall ? nameSmall : nameSize"
          fill="var(--ink)"
        >
          {{ line }}
        </text>
        <rect
          :x="row.wordsX - 4"
          :y="row.y + 2"
          :width="row.wordsWidth + 8"
          :height="rowHigh - 4"
          :fill="open === row.key ? 'var(--brass-tint)' : 'var(--paper)'"
        />
        <text :x="row.wordsX" :y="row.y + 16.5" :font-size="wordsSize">
          <tspan class="cond" :fill="colour[row.said.tone]">{{ row.said.strong }}</tspan>
          <tspan class="cond-thin" fill="var(--ink2)">{{ row.said.rest }}</tspan>
        </text>
      </g>
      <g v-for="lath in scene.laths" :key="lath.key">
        <line
          v-for="x in lath.xs"
          :key="x"
          :x1="x"
          :x2="x"
          :y1="lath.y + 6"
          :y2="lath.y + rowHigh - 6"
          stroke="var(--ink2)"
          stroke-width="2"
        />
        <rect
          :x="lath.wordsX - 4"
          :y="lath.y + 2"
          :width="9 + lath.text.length * 6.6"
          :height="rowHigh - 4"
          fill="var(--paper)"
        />
        <text
          :x="lath.wordsX"
          :y="lath.y + 16.5"
          class="cond-thin"
          :font-size="wordsSize"
          fill="var(--ink2)"
          text-decoration="underline"
        >
          {{ lath.text }}
        </text>
      </g>
      <BuyMoney :scene="scene" />
      <ChartTop :scene="chartTop" />
    </g>
    <!-- What is pressed lies over it. -->
    <slot />
  </svg>
</template>

<style scoped>
.halo {
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4;
}
</style>

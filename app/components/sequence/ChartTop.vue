<script setup lang="ts">
import { handSize } from '#core/sequence/handCells'
import { hardSize } from '#core/sequence/hard'
import { flagSize } from '#core/sequence/posts'
import type { FlaggedPost } from '#core/sequence/posts'
import { spanRow, spanSize } from '#core/sequence/spans'
import { wave } from '#core/sequence/water'
import type { Scene } from '#core/sequence/scene'

/** Flags of the posts, dates, and the hands of each day: drawn last, over everything. */
const props = defineProps<{
  scene: Pick<
    Scene,
    | 'view'
    | 'posts'
    | 'flagRows'
    | 'datesY'
    | 'dates'
    | 'pleatWords'
    | 'handsY'
    | 'hands'
    | 'spans'
    | 'spansY'
    | 'spanHeight'
    | 'tide'
    | 'tideY'
    | 'hard'
    | 'ground'
  >
}>()
const { sayDay } = useDates()
const rowHeight = 24
const flagTop = (post: FlaggedPost): number =>
  (props.scene.flagRows - 1 - (post.row ?? 0)) * rowHeight + 1
function shape(post: FlaggedPost): string {
  const [y, tall] = [flagTop(post), 20]
  const [from, to, notch] = post.toLeft ? [post.right, post.left, 7] : [post.left, post.right, -7]
  return `M${from} ${y}H${to}L${to + notch} ${y + tall / 2}L${to} ${y + tall}H${from}Z`
}
const colour = {
  asked: 'var(--redlead)',
  gate: 'var(--ink)',
  today: 'var(--ink)',
  aimed: 'var(--paper)',
  likely: 'var(--paper)',
} as const
/** Flags of dates that are not planned: an outline in this colour, dashed. */
const pale: Partial<Record<FlaggedPost['kind'], string>> = {
  aimed: 'var(--ink)',
  likely: 'var(--redlead)',
}
</script>

<template>
  <g>
    <g v-for="post in scene.posts.filter((one) => one.row !== null)" :key="post.key">
      <path
        :d="shape(post)"
        :fill="colour[post.kind]"
        :stroke="pale[post.kind] ?? 'none'"
        :stroke-dasharray="pale[post.kind] ? '3 3' : undefined"
        stroke-width="1.4"
      />
      <text
        :x="post.toLeft ? post.right - 7 : post.left + 7"
        :text-anchor="post.toLeft ? 'end' : 'start'"
        :y="flagTop(post) + 15.5"
        class="cond"
        :font-size="flagSize"
        :fill="pale[post.kind] ?? 'var(--sheet)'"
      >
        {{ post.label }}
      </text>
    </g>
    <text x="12" :y="scene.datesY" class="cond" font-size="14" fill="var(--ink)">
      {{ scene.view === 'launch' ? 'Weekends' : 'Month' }}
    </text>
    <text
      v-for="one in scene.dates"
      :key="one.left"
      :x="one.left"
      :y="scene.datesY"
      class="cond halo"
      font-size="15"
      fill="var(--ink)"
    >
      {{ one.text }}
    </text>
    <text
      v-for="one in scene.pleatWords"
      :key="one.left"
      :x="one.left"
      :y="scene.datesY"
      class="cond-thin halo"
      font-size="13"
      fill="var(--ink2)"
    >
      {{ one.text }}
    </text>
    <template v-if="scene.view === 'launch'">
      <text x="12" :y="scene.handsY + 12" class="cond" font-size="14" fill="var(--ink)">
        Hands there
      </text>
      <template v-for="cell in scene.hands" :key="cell.date">
        <rect
          v-if="!cell.away"
          :x="cell.x0 + 0.5"
          :y="scene.handsY"
          :width="Math.max(1, cell.x1 - cell.x0 - 1)"
          height="15"
          fill="var(--brass)"
        />
        <text
          v-if="cell.text"
          :x="(cell.x0 + cell.x1) / 2"
          :y="scene.handsY + 12"
          text-anchor="middle"
          class="cond"
          :font-size="handSize"
          :fill="cell.away ? 'var(--redlead)' : 'var(--on-brass)'"
        >
          {{ cell.text }}
        </text>
      </template>
    </template>
    <text
      v-if="scene.tide.length > 0"
      x="12"
      :y="scene.tideY + 5"
      class="cond-thin"
      font-size="12"
      fill="var(--ink)"
    >
      Water at the slip
    </text>
    <path
      v-for="one in scene.tide"
      :key="one.key"
      :d="wave(one.x0, one.x1, scene.tideY)"
      fill="none"
      stroke="var(--water-deep)"
      stroke-width="2"
    >
      <title>
        Her depth at the slip in lift hours, {{ sayDay(one.from) }} to {{ sayDay(one.to) }}
      </title>
    </path>
    <g v-for="one in scene.spans" :key="one.key">
      <rect
        :x="one.x0"
        :y="scene.spansY + one.row * spanRow"
        :width="one.x1 - one.x0"
        :height="scene.spanHeight"
        :fill="one.kind === 'wanted' ? 'var(--water)' : 'var(--sheet)'"
        :stroke="one.kind === 'noLifts' ? 'var(--redlead)' : 'var(--ink)'"
        :stroke-dasharray="one.kind === 'lies' ? '3 3' : undefined"
        stroke-width="1.2"
      >
        <title>{{ one.title }}</title>
      </rect>
      <text
        :x="one.x0 + 4"
        :y="scene.spansY + one.row * spanRow + 11.5"
        class="cond"
        :font-size="spanSize"
        fill="var(--ink)"
      >
        {{ one.text }}
      </text>
    </g>
    <text
      v-for="one in scene.hard"
      :key="one.left"
      :x="one.left"
      :y="scene.ground - 9"
      class="cond halo"
      :font-size="hardSize"
      :class="one.afloat ? 'wet' : 'dry'"
      fill="var(--ink)"
    >
      {{ one.text }}
    </text>
  </g>
</template>

<style scoped>
.halo {
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4;
}
.wet {
  stroke: var(--water);
}
.dry {
  stroke: var(--sheet);
}
</style>

<script setup lang="ts">
import { computed } from 'vue'
import type { HelpDrawing } from '#core/recipes/recipe'

/** A small drawing of what to measure: the dimension asked for in red-lead, the rest in ink. */
const props = defineProps<{ drawing: HelpDrawing; label: string }>()
type Base = 'section' | 'plan' | 'panel' | 'plies' | 'run' | 'corner' | 'shaft' | 'hull' | 'days'
const baseOf: Readonly<Record<HelpDrawing, Base>> = {
  holes: 'plan',
  footprint: 'plan',
  boltPattern: 'plan',
  count: 'plan',
  bolt: 'section',
  skinAndCore: 'section',
  overDrill: 'section',
  undercut: 'section',
  plate: 'section',
  void: 'section',
  bore: 'section',
  pad: 'section',
  panel: 'panel',
  edge: 'panel',
  roll: 'panel',
  plies: 'plies',
  cloth: 'plies',
  film: 'plies',
  line: 'run',
  span: 'run',
  frame: 'run',
  bead: 'corner',
  fillet: 'corner',
  section: 'corner',
  angle: 'corner',
  shaft: 'shaft',
  underwater: 'hull',
  calendar: 'days',
}
const base = computed(() => baseOf[props.drawing])
const on = (...names: readonly HelpDrawing[]) => (names.includes(props.drawing) ? 'hot' : 'dim')
</script>

<template>
  <svg
    viewBox="0 0 160 90"
    class="block h-auto w-full border border-rule bg-sheet"
    role="img"
    :aria-label="`Drawing: ${label}`"
  >
    <template v-if="base === 'section'">
      <rect x="8" y="30" width="144" height="7" class="solid" />
      <rect x="8" y="37" width="144" height="20" class="core" />
      <rect x="8" y="57" width="144" height="5" class="solid" />
      <rect x="52" y="64" width="56" height="6" :class="['plate', on('plate', 'pad')]" />
      <rect x="68" y="30" width="24" height="32" class="fill" />
      <rect x="60" y="37" width="40" height="20" class="fill" />
      <rect x="75" y="14" width="10" height="64" class="bolt" />
      <path d="M8 26 v44" :class="on('skinAndCore', 'void')" />
      <path d="M4 30 h8 M4 37 h8 M4 57 h8 M4 62 h8" :class="on('skinAndCore', 'void')" />
      <path d="M68 24 h24 M68 20 v8 M92 20 v8" :class="on('overDrill', 'bore')" />
      <path d="M60 47 h8 M60 43 v8 M68 43 v8" :class="on('undercut')" />
      <path d="M75 8 h10 M75 4 v8 M85 4 v8" :class="on('bolt')" />
      <path d="M52 78 h56 M52 74 v8 M108 74 v8" :class="on('pad', 'plate')" />
    </template>
    <template v-else-if="base === 'plan'">
      <rect x="30" y="18" width="100" height="52" rx="6" class="solid" />
      <circle
        v-for="[x, y] in [
          [46, 30],
          [114, 30],
          [46, 58],
          [114, 58],
        ]"
        :key="`${x}-${y}`"
        :cx="x"
        :cy="y"
        r="5"
        :class="['hole', on('holes', 'count')]"
      />
      <path
        d="M30 80 h100 M30 76 v8 M130 76 v8 M20 18 v52 M16 18 h8 M16 70 h8"
        :class="on('footprint')"
      />
      <path d="M46 44 h68 M46 40 v8 M114 40 v8" :class="on('boltPattern')" />
    </template>
    <template v-else-if="base === 'panel'">
      <path d="M30 70 L38 20 H122 L132 70 Z" :class="['area', on('panel')]" />
      <path d="M30 70 L38 20 H122 L132 70 Z" :class="on('edge')" fill="none" />
      <path d="M38 12 h84 M38 8 v8 M122 8 v8" :class="on('roll', 'panel')" />
    </template>
    <template v-else-if="base === 'plies'">
      <path d="M6 36 H40 L62 74 H98 L120 36 H154" class="ground" />
      <path
        v-for="row in 4"
        :key="row"
        :d="`M${66 - row * 5} ${77 - row * 8} H${94 + row * 5}`"
        :class="on('plies', 'cloth', 'film')"
      />
    </template>
    <template v-else-if="base === 'run'">
      <path d="M10 64 Q80 44 150 64" class="ground" />
      <path
        v-for="x in [14, 48, 82, 116, 146]"
        :key="x"
        :d="`M${x} ${60 - Math.sin(x / 48) * 8} v-30`"
        class="post"
      />
      <path d="M14 82 h132 M14 78 v8 M146 78 v8" :class="on('line', 'frame')" />
      <path d="M48 20 h34 M48 16 v8 M82 16 v8" :class="on('span')" />
    </template>
    <template v-else-if="base === 'corner'">
      <path d="M40 10 V74 H140" class="ground" />
      <path d="M40 44 Q42 72 70 74" :class="on('fillet', 'bead')" />
      <path d="M40 74 L110 30" :class="on('angle')" />
      <path d="M74 74 A34 34 0 0 0 68 56" :class="on('angle')" />
      <rect x="84" y="22" width="34" height="34" :class="['open', on('section')]" />
    </template>
    <template v-else-if="base === 'shaft'">
      <rect x="6" y="38" width="148" height="14" class="solid" />
      <rect x="60" y="26" width="44" height="38" :class="['open', on('shaft')]" />
      <path d="M30 38 v14 M24 38 h12 M24 52 h12" :class="on('shaft')" />
    </template>
    <template v-else-if="base === 'hull'">
      <path
        d="M8 30 H152 L140 34 Q124 62 96 64 L90 82 H66 L62 64 Q30 60 16 34 Z"
        class="area hot"
      />
      <path d="M2 32 h156" class="dim" />
    </template>
    <template v-else>
      <rect
        v-for="day in 21"
        :key="day"
        :x="20 + ((day - 1) % 7) * 17"
        :y="18 + Math.floor((day - 1) / 7) * 18"
        width="14"
        height="14"
        :class="day < 11 ? 'area hot' : 'open dim'"
      />
    </template>
  </svg>
</template>

<style scoped>
.solid {
  fill: var(--rule2);
  stroke: var(--ink2);
}
.core {
  fill: var(--brass-tint);
  stroke: var(--ink2);
}
.fill {
  fill: var(--verdigris-tint);
}
.bolt,
.plate {
  fill: var(--rule);
  stroke: var(--ink2);
}
.ground,
.post {
  fill: none;
  stroke: var(--ink);
  stroke-width: 3;
}
.area {
  fill: var(--brass-tint);
}
.open {
  fill: none;
}
.hole {
  fill: var(--sheet);
}
.dim {
  stroke: var(--ink2);
  stroke-width: 1;
}
.hot {
  stroke: var(--redlead);
  stroke-width: 3;
}
path.dim,
path.hot {
  fill: none;
}
path.area {
  fill: var(--brass-tint);
}
</style>

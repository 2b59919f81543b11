<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { CameAgain, HistoryEntry } from '#core/log/history'
import { historyMark } from '#core/log/history'
import { historyAxis } from '#core/log/historyAxis'
import { widthOf } from '#core/sequence/measure'
import { figured } from '#core/units/counted'

/** What was done in a place as marks on a line of time, and how long the repair held. The list beside it is its text. */
const props = defineProps<{ entries: readonly HistoryEntry[]; again: CameAgain }>()
const store = useRefitStore()
const isAfloat = useAfloat()
const holder = ref<HTMLElement>()
const { width: wide } = useElementSize(holder, { width: 620, height: 80 })
const least = 260
const width = computed(() => Math.max(least, Math.round(wide.value)))
const axis = computed(() =>
  historyAxis(props.entries, props.again, store.derived.today, isAfloat, width.value),
)
const line = 34
const size = 14
const said = computed(() => `held ${figured(props.again.months, 'month')}`)
const roomFor = (text: string, x0: number, x1: number) => x1 - x0 >= widthOf(text, size) + 8
/** Before the bracket where it is too narrow for its words. */
const saidX = computed(() => {
  const [x0, x1] = axis.value.held
  if (roomFor(said.value, x0, x1)) return { x: (x0 + x1) / 2, anchor: 'middle' }
  return x0 > width.value / 2 ? { x: x0 - 6, anchor: 'end' } : { x: x1 + 6, anchor: 'start' }
})
</script>

<template>
  <div ref="holder" class="mt-1" aria-hidden="true">
    <svg :width="width" height="84" :viewBox="`0 0 ${width} 84`" class="block max-w-full">
      <rect
        v-for="[x0, x1] in axis.afloat"
        :key="x0"
        :x="x0"
        :y="line - 5"
        :width="x1 - x0"
        height="10"
        fill="var(--water)"
      />
      <template v-for="[x0, x1] in axis.afloat" :key="`word ${x0}`">
        <text
          v-if="roomFor('afloat', x0, x1) && Math.abs((x0 + x1) / 2 - axis.todayX) > 45"
          :x="(x0 + x1) / 2"
          :y="line - 10"
          text-anchor="middle"
          class="cond-thin"
          :font-size="size"
          fill="var(--ink2)"
        >
          afloat
        </text>
      </template>
      <path :d="`M4 ${line}H${width - 4}`" stroke="var(--ink)" stroke-width="2" fill="none" />
      <g v-if="axis.breakX !== null">
        <rect :x="axis.breakX - 5" :y="line - 3" width="10" height="6" fill="var(--paper)" />
        <path
          :d="`M${axis.breakX - 9} ${line + 8}l8 -16M${axis.breakX + 1} ${line + 8}l8 -16`"
          stroke="var(--ink)"
          stroke-width="2"
        />
        <text x="4" y="14" class="cond-thin" :font-size="size" fill="var(--ink2)">before us</text>
      </g>
      <g v-for="year in axis.years" :key="year.text">
        <path :d="`M${year.x} ${line - 6}v12`" stroke="var(--ink2)" stroke-width="1.4" />
        <text
          :x="year.x"
          :y="line + 21"
          text-anchor="middle"
          class="cond-thin"
          :font-size="size"
          fill="var(--ink)"
        >
          {{ year.text }}
        </text>
      </g>
      <path :d="`M${axis.todayX} ${line - 16}v32`" stroke="var(--ink)" stroke-width="2" />
      <text
        :x="axis.todayX + (axis.todayX > width - 50 ? 4 : 0)"
        y="14"
        :text-anchor="axis.todayX > width - 50 ? 'end' : 'middle'"
        class="cond"
        :font-size="size"
        fill="var(--ink)"
      >
        today
      </text>
      <path
        :d="`M${axis.held[0]} ${line + 27}v8H${axis.held[1]}v-8`"
        fill="none"
        stroke="var(--redlead)"
        stroke-width="2"
      />
      <text
        :x="saidX.x"
        :y="saidX.anchor === 'middle' ? line + 50 : line + 40"
        :text-anchor="saidX.anchor"
        class="cond"
        :font-size="size"
        fill="var(--redlead)"
      >
        {{ said }}
      </text>
      <g
        v-for="mark in axis.marks"
        :key="mark.key"
        :transform="`translate(${mark.x} ${line}) scale(0.78)`"
      >
        <ReadyMark :state="historyMark[mark.kind]" :number="mark.count > 1 ? mark.count : null" />
      </g>
    </svg>
  </div>
</template>

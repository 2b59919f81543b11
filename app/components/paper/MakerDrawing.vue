<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { Row } from '#core/model/entities'
import { makerDrawing } from '#core/stores/makerSheet'
import { figured } from '#core/units/counted'

/** Posts along a line with their numbers, spans and the gate, not to scale; in one colour, for paper. */
const props = defineProps<{ items: readonly Row<'makerItem'>[] }>()
const box = ref<HTMLElement>()
const { width } = useElementSize(box, { width: 700, height: 190 })
const height = 190
const span = computed(() => Math.max(320, 46 * props.items.length, width.value))
const drawn = computed(() => makerDrawing(props.items, span.value, height))
const said = computed(
  () =>
    `${figured(props.items.length, 'piece')}: ${drawn.value.spans.map((one) => one.mm ?? 'not measured').join(', ')} mm apart`,
)
</script>

<template>
  <div ref="box" class="overflow-x-auto" tabindex="0" role="region" aria-label="Drawing">
    <svg
      :width="span"
      :height="height"
      :viewBox="`0 0 ${span} ${height}`"
      class="print:h-auto print:w-full"
      role="img"
      :aria-label="said"
    >
      <path :d="`M6 ${drawn.deckY}H${span - 6}`" class="stroke-ink" stroke-width="3" />
      <template v-for="(one, index) in drawn.pieces" :key="one.item.id">
        <path
          v-if="drawn.pieces[index + 1]"
          :d="`M${one.topX} ${one.top}L${drawn.pieces[index + 1]!.topX} ${drawn.pieces[index + 1]!.top}`"
          class="stroke-ink"
          :stroke-width="one.item.isGateNext ? 2 : 4"
          :stroke-dasharray="one.item.isGateNext ? '5 4' : undefined"
        />
        <path
          :d="`M${one.x} ${drawn.deckY}L${one.topX} ${one.top}`"
          class="stroke-ink"
          stroke-width="4"
        />
        <path :d="`M${one.x - 7} ${drawn.deckY}h14`" class="stroke-ink" stroke-width="6" />
        <circle
          :cx="one.x"
          :cy="drawn.deckY + 18"
          r="12"
          class="fill-sheet stroke-ink"
          stroke-width="2"
        />
        <text
          :x="one.x"
          :y="drawn.deckY + 23"
          text-anchor="middle"
          class="cond fill-ink text-[0.9375rem]"
        >
          {{ one.item.mark }}
        </text>
      </template>
      <g v-for="(one, index) in drawn.spans" :key="index">
        <text :x="one.x" y="16" text-anchor="middle" class="cond fill-ink text-[0.9375rem]">
          {{ one.mm ?? '?' }}
        </text>
        <text
          v-if="one.isGate"
          :x="one.x"
          :y="drawn.deckY - 40"
          text-anchor="middle"
          class="cond fill-ink text-[0.875rem]"
        >
          gate
        </text>
      </g>
    </svg>
  </div>
</template>

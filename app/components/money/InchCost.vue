<script setup lang="ts">
import { computed } from 'vue'
import { inchCosts } from '#core/money/inchCost'

/** What an inch costs: as wide as the inches, as high as the price of one; the area is the money. */
const store = useRefitStore()
const { money, say } = useMoney()
const { idOf, urlOf } = provideChartIds()
const list = computed(() =>
  inchCosts(store.rows, money.value, store.derived).filter(
    // Nothing written down is no price of an inch.
    (one) => one.perInchMinor !== null && (!one.isToCome || one.perInchMinor > 0),
  ),
)
const [wide, high] = [270, 190]
const bars = computed(() => {
  const inches = list.value.reduce((sum, one) => sum + one.inches, 0)
  const top = Math.max(1, ...list.value.map((one) => one.perInchMinor ?? 0))
  let x = 1
  return list.value.map((one) => {
    const width = (one.inches / Math.max(1, inches)) * (wide - 2)
    const height = Math.max(0, ((one.perInchMinor ?? 0) / top) * (high - 30))
    const bar = { ...one, x, width, height, y: high - height }
    x += width
    return bar
  })
})
const said = computed(() =>
  list.value
    .map((one) => `${one.name}: ${Math.round(one.inches)} in at ${say(one.perInchMinor ?? 0)}`)
    .join('; '),
)
</script>

<template>
  <section aria-labelledby="inch-costs">
    <h2 id="inch-costs" class="border-b-2 border-ink text-lg">What an inch costs</h2>
    <p v-if="bars.length === 0" class="mt-1 text-ink2">
      No inch is earned and no sum planned yet: there is nothing to divide.
    </p>
    <template v-else>
      <p class="text-sm text-ink2">the area is the money, wide = inches</p>
      <svg :width="wide" :height="high + 24" class="mt-1 block" role="img" :aria-label="said">
        <pattern :id="idOf('come')" width="8" height="8" patternUnits="userSpaceOnUse">
          <rect width="8" height="8" fill="var(--sheet)" />
          <path d="M-1 9L9 -1M-1 1L1 -1M7 9L9 7" stroke="var(--brass-deep)" stroke-width="2" />
        </pattern>
        <g v-for="one in bars" :key="one.name">
          <rect
            :x="one.x"
            :y="one.y"
            :width="one.width"
            :height="one.height"
            :fill="one.isToCome ? urlOf('come') : 'var(--brass)'"
            stroke="var(--ink)"
            stroke-width="1.5"
          />
          <text
            :x="one.x + one.width / 2"
            :y="one.y - 6"
            text-anchor="middle"
            class="cond"
            font-size="18"
            fill="var(--ink)"
          >
            {{ say(one.perInchMinor ?? 0) }}
          </text>
          <text
            v-if="one.width > 44 && one.height > 26"
            :x="one.x + one.width / 2"
            :y="high - 8"
            text-anchor="middle"
            class="cond halo"
            font-size="15"
            fill="var(--ink)"
          >
            {{ Math.round(one.inches) }} in
          </text>
          <text
            v-if="one.width > one.name.length * 6"
            :x="one.x + one.width / 2"
            :y="high + 17"
            text-anchor="middle"
            class="cond"
            font-size="15"
            fill="var(--ink)"
          >
            {{ one.name }}
          </text>
        </g>
      </svg>
    </template>
  </section>
</template>

<style scoped>
.halo {
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 4px;
}
</style>

<script setup lang="ts">
import { computed } from 'vue'
import type { BoardItem } from '#core/bench/board'
import { sums } from '#core/bench/sums'
import { counted, capital } from '#core/units/counted'

/** The way in: what open jobs want, the tools, what is kept. */
const { items, open } = useBench()
const isPainted = usePainted('bench')
const mostOut = 6
const out = computed(() => open.value.slice(0, mostOut))
const holding = computed(() => open.value.find((one) => one.holds !== null) ?? null)
const heading = computed(() => {
  const many = open.value.length
  if (many === 0)
    return items.value.length === 0
      ? 'No open job asks for a sum'
      : 'Every sum that open jobs ask for is kept'
  const laid = many > mostOut ? `, the next ${mostOut} laid out` : ''
  return `${capital(counted(many, 'sum'))} wanted${laid}`
})
const sayHolding = ({ want, holds }: BoardItem) =>
  `${want.sum.title.toLowerCase()} is on the way to ${holds}`
</script>

<template>
  <div>
    <div class="flex flex-wrap items-start justify-between gap-x-6 gap-y-2">
      <h1>
        {{ heading
        }}<template v-if="holding"
          >: <span class="text-redlead">{{ sayHolding(holding) }}</span></template
        >
      </h1>
      <SumFinder :many="sums.length" />
    </div>
    <BenchBoard
      v-if="out.length > 0"
      :items="out"
      :more="open.length - out.length"
      :is-painted="isPainted"
    />
    <p v-else class="my-3 border-y-2 border-ink bg-(--drawn-wood) px-3 py-4">
      The bench is bare: sums of jobs made from recipes lie here once they are wanted. The tools
      work without a job too.
    </p>
    <div
      class="mt-4 grid grid-cols-[minmax(0,1fr)] items-start gap-x-5 gap-y-5 xl:grid-cols-[minmax(0,1fr)_15.5rem]"
    >
      <template v-if="isPainted">
        <ToolRoll :items="items" />
        <KeptSums :items="items" />
      </template>
    </div>
  </div>
</template>

<script setup lang="ts">
import { computed } from 'vue'
import { likelyDates, oddsOfGate, sayLikely } from '#core/forecast/oddsWords'
import { pilesOf } from '#core/forecast/piles'
import { sayDate, sayShortMonth } from '#core/time/say'

/** Runs of the next launch and of the last gate as piles of boards: brass up to the safe day, white beyond it. */
const store = useRefitStore()
const { odds } = useOdds()
const [pileWide, apart, most] = [17, 2, 92]
const year = computed(() => store.derived.today.slice(0, 4))
const shown = computed(() => {
  if (!odds.isFresh) return []
  const dated = store.derived.gates.filter((one) => one.plannedOn !== null)
  const ids = new Set([store.derived.launch?.gate.id, dated.at(-1)?.gate.id])
  return dated.flatMap(({ gate }) => {
    const own = oddsOfGate(odds.stored, gate.id)
    if (!ids.has(gate.id) || !own) return []
    const { by, piles, later } = pilesOf(own, gate.id === store.derived.launch?.gate.id ? 16 : 10)
    if (piles.length === 0) return []
    const high = Math.max(...piles.map((one) => one.runs))
    return [
      {
        id: gate.id,
        name: `${gate.name}: ${sayLikely(likelyDates(own), year.value)}`,
        by,
        later,
        high,
        piles: piles.map((one, at) => ({
          ...one,
          x: at * (pileWide + apart),
          named: at % (by === 'month' ? 2 : 3) === 0,
        })),
        wide: piles.length * (pileWide + apart) + 12,
      },
    ]
  })
})
/** Runs that one board stands for, so that the highest pile has some twenty. */
const board = (high: number) => [1, 2, 5, 10, 25, 50].find((one) => high / one <= 20) ?? 100
const boardsOf = (runs: number, high: number) => {
  const each = board(high)
  const whole = Math.ceil(high / each)
  const tall = most / whole
  return Array.from({ length: Math.max(1, Math.round(runs / each)) }, (_, at) => ({
    y: most - (at + 1) * tall,
    tall,
  }))
}
const label = (on: string, by: string) => (by === 'month' ? sayShortMonth(on) : sayDate(on))
const words = { day: 'day', week: 'week', month: 'month' } as const
</script>

<template>
  <div v-if="shown.length > 0" class="flex flex-wrap gap-x-10 gap-y-3">
    <figure v-for="one in shown" :key="one.id" class="m-0">
      <figcaption class="cond text-[0.9375rem] leading-tight">
        {{ one.name }}
        <span class="sr-only">
          Runs by {{ words[one.by] }}:
          {{ one.piles.map((pile) => `${label(pile.on, one.by)} ${pile.runs}`).join(', ')
          }}{{ one.later > 0 ? `, later ${one.later}` : '' }}.
        </span>
        <span class="block text-[0.8125rem] text-ink2" aria-hidden="true">
          by the {{ words[one.by] }}, a board {{ board(one.high) }}
          {{ board(one.high) === 1 ? 'run' : 'runs'
          }}{{ one.later > 0 ? `, ${one.later} later still` : '' }}
        </span>
      </figcaption>
      <svg
        :width="Math.max(one.wide, 60)"
        :height="most + 18"
        class="block overflow-visible"
        aria-hidden="true"
      >
        <g v-for="pile in one.piles" :key="pile.on">
          <rect
            v-for="each in boardsOf(pile.runs, one.high)"
            :key="each.y"
            :x="pile.x + 1"
            :y="each.y"
            :width="pileWide"
            :height="each.tall"
            :fill="pile.isBeyond ? 'var(--sheet)' : 'var(--brass)'"
            stroke="var(--ink)"
            stroke-width="0.75"
          />
          <text
            v-if="pile.named"
            :x="pile.x + pileWide / 2 + 1"
            :y="most + 14"
            text-anchor="middle"
            class="cond"
            font-size="12"
            fill="var(--ink)"
          >
            {{ label(pile.on, one.by) }}
          </text>
        </g>
      </svg>
    </figure>
  </div>
</template>

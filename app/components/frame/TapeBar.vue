<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { tapeMarks } from '#core/progress/tapeMarks'

/** The boat's length as a tape measure: what is printed is earned, flags stand at the inch each gate needs. */
const store = useRefitStore()
const { sayDate } = useDates()
const box = ref<HTMLElement>()
const { width } = useElementSize(box, { width: 1240, height: 40 })
const { tape } = useSaid()
const { odds } = useOdds()

/** Narrow screens show a stretch of the Tape round what is earned. */
const narrowPx = 640
const stretchIn = 120
const height = 34

const range = computed(() => {
  const { loaIn, earnedIn } = store.derived
  if (width.value >= narrowPx || loaIn <= stretchIn) return { from: 0, to: Math.max(loaIn, 1) }
  const from = Math.min(Math.max(0, earnedIn - stretchIn / 2), loaIn - stretchIn)
  return { from, to: from + stretchIn }
})
const marks = computed(() => tapeMarks(range.value.from, range.value.to, width.value))
const x = (inch: number) => marks.value.x(inch)
const numbers = computed(() => {
  const clear = (inch: number) =>
    flags.value.every((flag) => flag.at < x(inch) - 30 || flag.at > x(inch) + 4)
  return marks.value.numbers.filter(clear)
})
/** Names stay beside their flag where there is room, and give way to the one before where there is none. */
const flags = computed(() => {
  let free = -Infinity
  return store.derived.gates
    .filter(({ markIn }) => markIn >= range.value.from && markIn <= range.value.to + 0.01)
    .map(({ gate, markIn, aimedOn, daysLate }, index) => {
      const at = Math.min(x(markIn), width.value - 2)
      const label = index === 0 && aimedOn ? `${gate.name} ${sayDate(aimedOn)}` : gate.name
      const wide = label.length * 7.2 + 10
      const left = Math.min(at - 4, width.value - wide)
      const shown = left >= free
      if (shown) free = left + wide
      return { id: gate.id, at, label, left, shown, late: (daysLate ?? 0) > 0 }
    })
})
/** Where even odds put us on the day a gate is aimed at: drawn where that is short of its flag. */
const ghosts = computed(() => {
  if (!odds.isFresh) return []
  return store.derived.gates.flatMap(({ gate, markIn }) => {
    const ghostIn = odds.stored?.gates.find((one) => one.gateId === gate.id)?.ghostIn ?? null
    const { from, to } = range.value
    if (ghostIn === null || markIn - ghostIn < 1 || ghostIn > to || markIn < from) return []
    return [{ id: gate.id, from: x(Math.max(ghostIn, from)), to: x(Math.min(markIn, to)) }]
  })
})
/** The sentence stands beside the names of the flags where they leave it its half, else beneath them. */
const sentenceShare = 0.57
const beside = computed(
  () =>
    width.value >= narrowPx &&
    flags.value.every((flag) => !flag.shown || flag.left > width.value * sentenceShare),
)
</script>

<template>
  <NuxtLink
    :to="`/r/${store.refitId}/week`"
    class="block pt-1"
    :aria-label="`The Tape: ${tape.earned}, ${tape.week}, ${tape.launch}${tape.odds}. Open the week.`"
  >
    <div ref="box">
      <svg
        :width="width"
        :height="
          height + (range.to - range.from < store.derived.loaIn && flags.length === 0 ? 4 : 24)
        "
        class="block overflow-visible"
        aria-hidden="true"
      >
        <rect
          x="1"
          y="6"
          :width="Math.max(0, width - 2)"
          :height="height - 6"
          fill="var(--sheet)"
        />
        <rect
          x="1"
          y="6"
          :width="Math.max(0, Math.min(width - 2, x(store.derived.earnedIn) - 1))"
          :height="height - 6"
          fill="var(--brass)"
        />
        <rect
          v-if="store.derived.earnedThisWeekIn > 0"
          :x="Math.max(1, x(store.derived.earnedIn - store.derived.earnedThisWeekIn))"
          y="6"
          :width="
            Math.max(
              0,
              x(store.derived.earnedIn) -
                Math.max(1, x(store.derived.earnedIn - store.derived.earnedThisWeekIn)),
            )
          "
          :height="height - 6"
          fill="var(--brass-deep)"
          opacity="0.35"
        />
        <line
          v-for="tick in marks.ticks"
          :key="tick.x"
          :x1="tick.x"
          :x2="tick.x"
          y1="6"
          :y2="6 + tick.length"
          stroke="var(--ink)"
          stroke-width="1"
        />
        <rect
          x="1"
          y="6"
          :width="Math.max(0, width - 2)"
          :height="height - 6"
          fill="none"
          stroke="var(--ink)"
          stroke-width="2"
        />
        <text
          v-for="inch in numbers"
          :key="inch"
          :x="x(inch) - 3"
          :y="height - 3"
          text-anchor="end"
          class="cond"
          font-size="14"
          :fill="inch <= store.derived.earnedIn ? 'var(--on-brass)' : 'var(--ink)'"
        >
          {{ inch }}
        </text>
        <g v-for="ghost in ghosts" :key="ghost.id">
          <path
            :d="`M${ghost.from} 6v${height - 6}`"
            stroke="var(--redlead)"
            stroke-width="2"
            stroke-dasharray="3 2"
          />
          <path
            :d="`M${ghost.from} ${height - 1}H${ghost.to}`"
            stroke="var(--redlead)"
            stroke-width="2"
            stroke-dasharray="1 3"
          />
          <circle
            :cx="ghost.from"
            cy="6"
            r="3.5"
            fill="var(--paper)"
            stroke="var(--redlead)"
            stroke-width="2"
          />
        </g>
        <path d="M-6 2 h9 v36 h-4 v-30 h-5z" fill="var(--ink)" />
        <g v-for="flag in flags" :key="flag.id">
          <line
            :x1="flag.at"
            :x2="flag.at"
            y1="0"
            :y2="height + 6"
            stroke="var(--ink)"
            stroke-width="2"
          />
          <path :d="`M${flag.at} 0 l9 4 l-9 4z`" fill="var(--redlead)" />
          <text
            v-if="flag.shown"
            :x="flag.left"
            :y="height + 19"
            class="cond"
            font-size="14.5"
            :fill="flag.late ? 'var(--redlead)' : 'var(--ink)'"
          >
            {{ flag.label }}
          </text>
        </g>
      </svg>
      <p
        class="cond max-w-full text-lg leading-tight max-sm:pt-0.5"
        :class="beside ? 'sm:-mt-5 sm:w-[55%]' : ''"
      >
        <b class="font-semibold">{{ tape.earned }}</b>
        <span class="text-ink2 font-medium">
          <span> · {{ tape.week }}</span> ·
          <span :class="{ 'text-redlead': tape.bad }">{{ tape.launch }}</span
          ><span v-if="tape.late" class="text-redlead">, {{ tape.late }}</span>{{ tape.odds }}
        </span>
      </p>
    </div>
  </NuxtLink>
</template>

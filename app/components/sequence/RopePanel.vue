<script setup lang="ts">
import { holds, sayDrag } from '#core/plan/drag'
import type { Drag } from '#core/plan/drag'
import type { KnotReading } from '#core/sequence/reading'
import type { TriedLever } from '~/composables/useLevers'

/** What holds a gate, read back along the rope: the same numbers and groups as its knots. */
const props = defineProps<{
  reading: readonly KnotReading[]
  /** Null: not measured yet. */
  drags: readonly Drag[] | null
  /** Levers that bring the gate forward. */
  levers: readonly TriedLever[]
  /** What a day less costs less, said; '': nothing is known. */
  saved: (days: number) => string
}>()
defineEmits<{
  step: [stepId: string]
  press: [lever: TriedLever]
  /** One is pointed at, or none any more. */
  point: [lever: TriedLever | null]
}>()
/** Those about days as a whole stand at the gate. */
const leversOf = (one: KnotReading) =>
  props.levers.filter(({ lever }) =>
    lever.stepId === null ? one.stepIds.length === 0 : one.stepIds.includes(lever.stepId),
  )
/** The most that a link of the group holds up. */
const dragOf = (one: KnotReading): Drag | null =>
  (props.drags ?? [])
    .filter((drag) => one.stepIds.includes(drag.stepId))
    .sort((a, b) => b.days - a.days || b.readyHours - a.readyHours)[0] ?? null
const { odds } = useOdds()
/** In how many runs of the plan the group held a gate up; '': not run, or in next to none. */
const heldIn = (one: KnotReading): string => {
  const shares = odds.isFresh ? odds.stored?.onChain : undefined
  const most = Math.max(0, ...one.stepIds.map((id) => shares?.[id] ?? 0))
  return most > 0 ? ` It held a gate in ${Math.round(most * 100)} runs of 100.` : ''
}
/** Measured, and of no account by itself. */
const isLoose = (one: KnotReading): boolean => {
  const drag = dragOf(one)
  return drag !== null && !holds(drag)
}
</script>

<template>
  <ol class="rope relative mt-2">
    <li v-for="one in reading" :key="one.label" class="relative pb-2 pl-11">
      <span
        class="cond absolute top-0.5 left-4 inline-flex h-[1.35rem] min-w-[1.35rem] -translate-x-1/2 items-center justify-center rounded-full border-[1.5px] px-1 text-[0.8125rem]"
        :class="
          isLoose(one)
            ? 'border-redlead bg-sheet text-redlead'
            : 'border-sheet bg-redlead text-sheet'
        "
        >{{ one.label }}</span
      >
      <button
        v-if="one.stepIds.length > 0"
        class="cond block text-left text-[1.0625rem] leading-tight underline decoration-rule underline-offset-4"
        @click="$emit('step', one.stepIds.at(-1)!)"
      >
        {{ one.title }}<template v-if="one.dates">, {{ one.dates }}</template>
      </button>
      <p v-else class="cond text-[1.0625rem] leading-tight">{{ one.title }}</p>
      <p class="text-[0.9375rem] leading-snug text-ink2">{{ one.why }}</p>
      <!-- Its line is there before it is measured, so that nothing moves. -->
      <p
        v-if="one.stepIds.length > 0"
        class="min-h-5 text-[0.9375rem] leading-snug"
        :class="{ cond: !isLoose(one) }"
      >
        {{ dragOf(one) ? sayDrag(dragOf(one)!) : drags ? '' : 'Measuring what it holds up…'
        }}{{ heldIn(one) }}
      </p>
      <button
        v-for="tried in leversOf(one)"
        :key="tried.lever.key"
        class="mt-1 flex min-h-8 w-fit max-w-full items-stretch border-2 border-verdigris bg-verdigris-tint text-left text-verdigris hover:bg-sheet max-sm:min-h-11"
        @click="$emit('press', tried)"
        @pointerenter="$emit('point', tried)"
        @pointerleave="$emit('point', null)"
        @focus="$emit('point', tried)"
        @blur="$emit('point', null)"
      >
        <span class="cond px-2 py-1 leading-tight">{{ tried.lever.label }}</span>
        <span class="cond shrink-0 border-l-2 border-verdigris px-2 py-1 leading-tight"
          >−{{ tried.days }} d{{ saved(tried.days) }}</span
        >
      </button>
    </li>
  </ol>
</template>

<style scoped>
.rope::before {
  content: '';
  position: absolute;
  top: 0.8rem;
  bottom: 1.2rem;
  left: calc(1rem - 2.5px);
  width: 5px;
  background: repeating-linear-gradient(
    180deg,
    var(--redlead) 0 4px,
    color-mix(in srgb, var(--redlead) 55%, var(--sheet)) 4px 6px
  );
}
</style>

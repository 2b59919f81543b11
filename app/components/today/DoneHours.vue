<script setup lang="ts">
import { computed, reactive, watch } from 'vue'
import type { ChangeItem } from '#core/model/changes'
import type { DoneHours } from '#core/today/doneHours'
import { clockTimeOf } from '#core/time/say'
import { formatHours } from '#core/units/hours'

/** Hours that the ticks of the day say, to be taken, corrected or left. Nothing is booked unasked. */
const props = defineProps<{ hours: readonly DoneHours[]; on: string }>()
const store = useRefitStore()
const toasts = useToastStore()
/** Corrections by step, in hours by the clock. */
const changed = reactive(new Map<string, number>())
watch(
  () => props.on,
  () => changed.clear(),
)
const five = 5 / 60
const of = (one: DoneHours) => changed.get(one.step.id) ?? one.hours
const change = (one: DoneHours, by: number) =>
  changed.set(one.step.id, Math.max(five, Math.round((of(one) + by) / five) * five))
const nameOf = (id: string) => store.rows.person.find((row) => row.id === id)?.name ?? ''
const who = (one: DoneHours) =>
  one.personIds.length === 2 ? 'both' : one.personIds.map(nameOf).join(', ') || 'nobody said who'
const jobOf = (one: DoneHours) => store.rows.job.find((row) => row.id === one.step.jobId) ?? null
const odd = (one: DoneHours) => one.ratio !== null && (one.ratio > 1.25 || one.ratio < 0.8)
const takeable = computed(() => props.hours.filter((one) => one.personIds.length > 0))
const itemsOf = (list: readonly DoneHours[]): ChangeItem[] =>
  list.flatMap((one) =>
    one.personIds.map((personId) => ({
      op: 'create' as const,
      entity: 'hoursEntry' as const,
      id: newId(),
      patch: {
        stepId: one.step.id,
        jobId: one.step.jobId,
        personId,
        on: props.on,
        hours: Math.round(of(one) * 10_000) / 10_000,
        kind: 'work',
      },
    })),
  )
async function take(list: readonly DoneHours[]) {
  if (await store.attempt('Hours', itemsOf(list)))
    toasts.say(list.length === 1 ? 'Hours kept.' : `Hours of ${list.length} steps kept.`)
}
</script>

<template>
  <section>
    <div class="flex items-baseline justify-between border-b-2 border-ink">
      <h2>Hours for what is done</h2>
      <p class="cond text-ink2">from when you began and ticked</p>
    </div>
    <p v-if="hours.length === 0" class="py-2 text-ink2">
      Nothing waits for its hours. Press Start when you begin a step and its pin when it is done,
      and the hours stand here in the evening.
    </p>
    <ul>
      <li
        v-for="one in hours"
        :key="one.step.id"
        class="flex flex-wrap items-center gap-2 border-b border-rule2 py-1"
      >
        <PurposeTile v-if="jobOf(one)" :purpose="jobOf(one)!.purpose" />
        <span class="min-w-0 grow basis-40 leading-tight"
          ><b class="font-semibold">{{ one.step.title }}</b>
          <span class="cond block text-ink2"
            >{{ clockTimeOf(one.from, store.zone) }}–{{ clockTimeOf(one.to, store.zone) }},
            {{ who(one)
            }}<template v-if="odd(one)"> · {{ one.ratio?.toFixed(1) }} × the plan</template></span
          ></span
        >
        <span class="flex">
          <button
            class="btn w-10 px-0!"
            :aria-label="`Five minutes less: ${one.step.title}`"
            @click="change(one, -five)"
          >
            −
          </button>
          <span class="cond flex w-20 items-center justify-center border-y-2 border-ink bg-sheet">{{
            formatHours(of(one))
          }}</span>
          <button
            class="btn w-10 px-0!"
            :aria-label="`Five minutes more: ${one.step.title}`"
            @click="change(one, five)"
          >
            +
          </button>
        </span>
        <button
          class="btn"
          :disabled="one.personIds.length === 0"
          :aria-label="`Right: ${one.step.title}`"
          @click="take([one])"
        >
          Right
        </button>
      </li>
    </ul>
    <div v-if="takeable.length > 1" class="mt-2 flex items-center justify-between gap-3">
      <p class="text-ink2">Hours are each person’s by the clock.</p>
      <button class="btn btn-go" @click="take(takeable)">
        All {{ takeable.length }} are right
      </button>
    </div>
  </section>
</template>

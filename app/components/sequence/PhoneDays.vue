<script setup lang="ts">
import { computed } from 'vue'
import type { SequenceFacts } from '#core/sequence/facts'
import { clockTimeOf } from '#core/time/say'
import { dateOf } from '#core/time/civil'
import { inOrder } from '#core/model/refit'

/** Two days on a phone: every step in the order of time, who does it, and what it waits for then. */
const props = defineProps<{
  facts: SequenceFacts
  day: number
  needed: ReadonlySet<string>
  gateName: string
}>()
defineEmits<{ step: [stepId: string] }>()
const { sayDay, shortDateTime } = useDates()
const store = useRefitStore()
const days = computed(() =>
  [0, 1].map((index) => {
    const { clock, plan } = props.facts
    const day = props.day + index
    const lines = (plan?.placements ?? [])
      .flatMap((one) =>
        one.segments
          .filter(([from]) => clock.dayOf(from) === day && one.personIds.length > 0)
          .map(([from, to]) => ({ one, from, to })),
      )
      .sort((a, b) => a.from - b.from)
      .map(({ one, from, to }) => {
        const step = store.rows.step.find((row) => row.id === one.stepId)
        const last = one.segments.at(-1)?.[1] ?? to
        return {
          key: `${one.stepId} ${from}`,
          stepId: one.stepId,
          title: step?.title ?? '',
          when: `${clockTimeOf(from, clock)}–${clockTimeOf(to, clock)}`,
          people: one.personIds,
          cures:
            to === last && one.readyAt > last
              ? `waits to ${shortDateTime(one.readyAt, clock)}`
              : '',
          other: !props.needed.has(one.stepId),
        }
      })
    return { day, name: sayDay(dateOf(day)), lines }
  }),
)
const people = computed(() => inOrder(store.rows.person.filter((one) => !one.gone)))
const marks = (ids: readonly string[]) =>
  people.value.flatMap((one, index) => (ids.includes(one.id) ? [{ index, name: one.name }] : []))
</script>

<template>
  <section v-for="own in days" :key="own.day" class="mt-4">
    <h2>{{ own.name }}</h2>
    <p v-if="own.lines.length === 0" class="text-ink2">Nothing is planned.</p>
    <ol v-else class="mt-1 border-l-4 border-rule">
      <li v-for="line in own.lines" :key="line.key" class="border-b border-rule2">
        <button
          class="flex min-h-11 w-full gap-3 py-1.5 pl-3 text-left"
          @click="$emit('step', line.stepId)"
        >
          <span class="cond-thin w-24 shrink-0">{{ line.when }}</span>
          <span class="min-w-0 grow">
            <span class="cond block leading-tight">{{ line.title }}</span>
            <span v-if="line.cures || line.other" class="block text-sm text-ink2">
              {{ [line.cures, line.other ? `not for ${gateName}` : ''].filter(Boolean).join(', ') }}
            </span>
          </span>
          <span class="flex shrink-0 gap-1">
            <PersonMark v-for="one in marks(line.people)" :key="one.name" v-bind="one" />
            <span class="sr-only">{{
              marks(line.people)
                .map((one) => one.name)
                .join(' and ')
            }}</span>
          </span>
        </button>
      </li>
    </ol>
  </section>
</template>

<script setup lang="ts">
import { computed } from 'vue'
import { byId } from '#core/model/refit'
import { figured } from '#core/units/counted'
import type { Consequence } from '~/workers/plannerQuestions'

/** Two plans side by side: every gate in both, what moves and how far; taken or left. */
const props = defineProps<{
  open: boolean
  title: string
  does: string
  consequence: Consequence | null
  progress: number
  failed: string
  taking?: boolean
  /** A question of its own in place of the plan that stands. */
  take?: string
  /** It is worth taking though nothing moves. */
  mayBeSame?: boolean
}>()
defineEmits<{ close: []; take: [] }>()
const store = useRefitStore()
const { sayDay } = useDates()
/** So many of what moves are named. */
const mostNamed = 10
const day = (at: number) => sayDay(store.zone.dateOf(at))
const gates = computed(() =>
  (props.consequence?.effects ?? []).map(({ gate, before, after, days }) => ({
    id: gate.id,
    name: gate.name,
    before: before ? sayDay(before) : 'no date',
    after: after ? sayDay(after) : 'no date',
    moves:
      days === null
        ? before === null
          ? 'gets a date'
          : 'loses its date'
        : days === 0
          ? 'stays'
          : `${Math.abs(days)} ${Math.abs(days) === 1 ? 'day' : 'days'} ${days < 0 ? 'earlier' : 'later'}`,
    isBetter: days !== null && days < 0,
    isWorse: after === null || (days !== null && days > 0),
  })),
)
/** The day has gone on since the plan was made: laid from now, the first column is another than the one people see. */
const hasAged = computed(() =>
  (props.consequence?.effects ?? []).some(
    ({ gate, before }) =>
      before !== (store.derived.gates.find((one) => one.gate.id === gate.id)?.plannedOn ?? null),
  ),
)
const moved = computed(() => {
  const { steps = [], of = 0 } = props.consequence?.moved ?? {}
  const jobs = byId(store.rows.job)
  const known = byId(store.rows.step)
  const named = steps.flatMap(({ stepId, from, to }) => {
    const step = known.get(stepId)
    if (!step) return []
    return [
      {
        id: stepId,
        what: step.title,
        job: jobs.get(step.jobId)?.title ?? '',
        from: from === null ? 'no place' : day(from),
        to: to === null ? 'no place' : day(to),
      },
    ]
  })
  return { count: steps.length, of, named: named.slice(0, mostNamed), total: named.length }
})
/** A plan made afresh that comes out the same leaves nothing to take. */
const isSame = computed(
  () =>
    props.mayBeSame !== true &&
    props.consequence !== null &&
    moved.value.count === 0 &&
    gates.value.every((one) => one.before === one.after),
)
const columns = [
  { key: 'name', label: 'Gate' },
  { key: 'before', label: 'As it stands' },
  { key: 'after', label: 'Then' },
  { key: 'moves', label: '' },
]
</script>

<template>
  <UiDialog :open="open" :title="title" wide @close="$emit('close')">
    <p>{{ does }}</p>
    <slot />
    <p v-if="failed" class="mt-3 text-redlead" role="alert">{{ failed }}</p>
    <p v-else-if="!consequence" class="mt-3 min-h-40 text-ink2" role="status">
      Laying the plan with it… {{ Math.round(progress * 100) }} %
    </p>
    <template v-else>
      <UiTable class="mt-3" caption="Gates in both plans" :columns="columns" :rows="gates">
        <template #name="{ row }"><b class="font-semibold">{{ row.name }}</b></template>
        <template #before="{ row }">{{ row.before }}</template>
        <template #after="{ row }">{{ row.after }}</template>
        <template #moves="{ row }"
          ><span
            :class="{ 'text-verdigris': row.isBetter, 'text-redlead': row.isWorse }"
            class="font-semibold"
            >{{ row.moves }}</span
          ></template
        >
      </UiTable>
      <p v-if="hasAged" class="mt-2 text-ink2">
        Both are laid from now on. The plan that stands was made earlier, so its dates differ from
        the first column.
      </p>
      <p v-if="consequence.leftOut" class="mt-3 text-redlead">
        {{ consequence.leftOut }}
      </p>
      <h3 class="mt-4">
        {{
          moved.count === 0
            ? isSame
              ? 'It comes out the same: keeping it costs nothing.'
              : 'No step changes its day.'
            : `${moved.count} of ${figured(moved.of, 'step')} on another day`
        }}
      </h3>
      <ul v-if="moved.named.length > 0" class="mt-1">
        <li
          v-for="one in moved.named"
          :key="one.id"
          class="grid gap-x-4 border-b border-rule py-1 sm:grid-cols-[1fr_auto]"
        >
          <span class="leading-tight"
            >{{ one.what }} <span class="text-ink2">{{ one.job }}</span></span
          >
          <span class="cond whitespace-nowrap">{{ one.from }} → {{ one.to }}</span>
        </li>
      </ul>
      <p v-if="moved.total > moved.named.length" class="mt-1 text-ink2">
        And {{ moved.total - moved.named.length }} more, less far.
      </p>
    </template>
    <div class="mt-5 flex flex-wrap gap-3">
      <button
        v-if="!isSame"
        class="btn btn-main"
        :disabled="consequence === null || taking"
        @click="$emit('take')"
      >
        {{ take ?? 'Do it' }}
      </button>
      <button class="btn" @click="$emit('close')">Leave it</button>
    </div>
  </UiDialog>
</template>

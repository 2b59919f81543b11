<script setup lang="ts">
import { onScopeDispose, shallowRef, watch } from 'vue'
import type { BuyRow } from '#core/stores/board'
import { hurriesOf } from '#core/stores/hurry'
import type { Hurry } from '#core/stores/hurry'

/** A row that is late: what it does to the gates as it takes, and asked to hurry. */
const props = defineProps<{ row: BuyRow; today: number }>()
const emit = defineEmits<{ due: [key: string, day: string] }>()
const store = useRefitStore()
const planner = usePlannerStore()
const { sayDay } = useDates()
interface Line {
  readonly hurry: Hurry
  /** null: not worked out yet. */
  readonly said: string | null
}
const lines = shallowRef<readonly Line[]>([])
let run = 0
/** Answers hold for the plan and the row they were asked about. */
watch(
  [() => props.row, () => store.accepted],
  async () => {
    const mine = ++run
    const hurries = hurriesOf(store.rows, props.row, props.today)
    lines.value = hurries.map((hurry) => ({ hurry, said: null }))
    for (const hurry of hurries) {
      const answer = await planner
        .quietConsequence(hurry.items, () => mine === run)
        .then((one) => one && sayMoved(one, props.row.kind === 'buy' ? 'later' : 'all'), sentenceOf)
      if (mine !== run) return
      lines.value = lines.value.map((line) =>
        line.hurry === hurry ? { hurry, said: answer ?? '' } : line,
      )
    }
  },
  { immediate: true },
)
onScopeDispose(() => run++)
</script>

<template>
  <section v-if="lines.length > 0" class="mt-3" aria-label="If it hurries">
    <h3 class="border-b border-rule">
      {{ row.kind === 'buy' ? 'Ordered today' : 'Asked to hurry' }}
    </h3>
    <ul>
      <li
        v-for="{ hurry, said } in lines"
        :key="hurry.how"
        class="flex items-baseline justify-between gap-2 border-b border-rule2 py-1"
      >
        <span class="min-w-0"
          >{{ hurry.how === 'rule' ? 'As it takes' : 'Express' }}, here {{ sayDay(hurry.on) }}</span
        >
        <span class="cond shrink-0">{{ said ?? '…' }}</span>
      </li>
    </ul>
    <p class="text-[0.9375rem] leading-snug text-ink2">
      Express is reckoned as half the time that is left: ask whether they can, and at what price.
    </p>
    <button
      v-if="row.kind === 'onItsWay'"
      class="btn btn-small mt-1"
      @click="emit('due', row.key, lines[0]?.hurry.on ?? '')"
    >
      They can: due {{ sayDay(lines[0]?.hurry.on ?? '') }}
    </button>
  </section>
</template>

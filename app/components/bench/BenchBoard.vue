<script setup lang="ts">
import { computed } from 'vue'
import type { BoardItem } from '#core/bench/board'
import { initialValues } from '#core/bench/check'
import type { Drawing } from '#core/bench/drawing'
import { plainTools } from '#core/bench/sum'
import { workSum } from '#core/bench/workSum'

/** The next sums, each drawn from its own figures, on the bench. */
const props = defineProps<{
  items: readonly BoardItem[]
  more: number
  /** The words stand on the screen: the drawings may follow in the room that is kept for them. */
  isPainted: boolean
}>()
const store = useRefitStore()
const { sayDate } = useDates()
/** What the sum looks like, faint, until there are figures: worked once. */
const examples = new Map<string, Drawing | null>()
function exampleOf({ want: { sum } }: BoardItem): Drawing | null {
  const known = examples.get(sum.key)
  if (known !== undefined) return known
  const worked = workSum(sum, initialValues(sum.asks), plainTools('metric'))
  const drawing = worked.ok ? worked.value.drawing : null
  examples.set(sum.key, drawing)
  return drawing
}
const when = ({ at }: BoardItem): string => {
  if (at === null) return store.accepted ? 'no day yet' : 'planning'
  const day = store.zone.dateOf(at)
  const minutes = store.zone.minutesOf(at)
  return day === store.derived.today
    ? `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`
    : sayDate(day)
}
const laid = computed(() =>
  props.items.map((one) => ({
    one,
    drawing: one.answer?.drawing ?? exampleOf(one),
    isExample: !one.answer?.drawing,
  })),
)
const doubtful = ({ guesses }: BoardItem): string => {
  const [first, ...others] = guesses
  if (first === undefined) return ''
  return others.length === 0
    ? `${first.toLowerCase()} is a guess`
    : `${guesses.length} figures are guesses`
}
const to = ({ want }: BoardItem) => `/r/${store.refitId}/bench/${want.sum.key}?job=${want.job.id}`
</script>

<template>
  <ul class="bench mt-3" :class="{ alone: items.length === 1 }" aria-label="Wanted next">
    <li
      v-for="{ one, drawing, isExample } in laid"
      :key="`${one.want.sum.key} ${one.want.job.id}`"
      class="one min-w-0"
    >
      <NuxtLink :to="to(one)" class="piece">
        <span class="drawn" aria-hidden="true">
          <SumDrawing
            v-if="drawing && isPainted"
            :class="{ 'opacity-35': isExample }"
            :drawing="drawing"
            :most="items.length === 1 ? 220 : 104"
            bare
          />
        </span>
        <span class="plank" aria-hidden="true" />
        <span class="block px-2 pt-1.5 pb-2">
          <span class="flex items-baseline gap-2">
            <span class="cond px-1.5 text-sheet" :class="one.holds ? 'bg-redlead' : 'bg-ink'">{{
              when(one)
            }}</span>
            <span class="cond truncate text-lg">{{ one.want.sum.title }}</span>
          </span>
          <span class="cond block truncate text-xl" :class="{ 'text-ink2': !one.answer }">{{
            one.kept?.says ?? one.answer?.says ?? 'to be measured'
          }}</span>
          <span v-if="one.changed.length > 0" class="flex gap-1 text-redlead">
            <SumMark mark="redRing" /> {{ one.changed[0] }} changed
          </span>
          <span v-else-if="doubtful(one)" class="flex gap-1">
            <SumMark mark="ring" /> {{ doubtful(one) }}
          </span>
          <span class="block truncate text-ink2">{{ one.want.job.title }}</span>
        </span>
      </NuxtLink>
    </li>
    <li v-if="more > 0" class="self-end px-2 pb-2">
      <a class="cond text-lg underline" href="#tool-roll">{{ more }} more</a>
    </li>
  </ul>
</template>

<style scoped>
.bench {
  display: flex;
  overflow-x: auto;
  background: linear-gradient(to bottom, transparent 0 7rem, var(--brass-tint) 7rem);
  border-bottom: 2px solid var(--ink);
}
.bench.alone {
  background: linear-gradient(to bottom, transparent 0 14rem, var(--brass-tint) 14rem);
}
.one {
  flex: 1 1 11.5rem;
}
.piece {
  display: block;
}
.piece:hover {
  background: color-mix(in srgb, var(--brass) 18%, transparent);
}
.drawn {
  display: flex;
  align-items: end;
  height: 7rem;
  overflow: hidden;
  padding-inline: 0.4rem;
}
.alone .drawn {
  height: 14rem;
}
.plank {
  display: block;
  height: 0.7rem;
  border-block: 2px solid var(--ink);
  background: var(--drawn-wood);
}
@media (max-width: 640px) {
  .bench {
    flex-direction: column;
    background: none;
  }
  .one {
    flex: none;
  }
  .drawn {
    display: none;
  }
  .plank {
    display: none;
  }
  .bench li {
    border-top: 1px solid var(--rule);
  }
}
</style>

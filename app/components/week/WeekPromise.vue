<script setup lang="ts">
import { computed, onScopeDispose, shallowRef, watch } from 'vue'
import { titleBeside } from '#core/model/namedStep'
import type { Step } from '#core/model/entities'
import type { KeepChance } from '#core/forecast/keeps'
import { mondayOf } from '#core/time/civil'
import { promisable, promiseOf, promisesKept, weekEnd } from '#core/week/promise'

/** The promise of a week: steps picked for it, what keeping them is worth, and whether they were kept. */
const props = defineProps<{ monday: string }>()
const store = useRefitStore()
const planner = usePlannerStore()
const time = useTimeStore()
const promises = useRows('weekPromise')
const today = computed(() => store.derived.today)
const clock = store.zone
const lines = computed(() => promiseOf(store.rows, clock, props.monday, today.value))
const kept = computed(() => promisesKept(store.rows, clock, today.value))
const isOver = computed(() => props.monday < mondayOf(today.value))
const most = 6
const toPick = computed(() =>
  isOver.value ? [] : promisable(store.rows, store.accepted, clock, props.monday).slice(0, most),
)
const jobOf = (step: Step) =>
  titleBeside(
    step,
    store.rows.job.find((one) => one.id === step.jobId),
  )
const words = {
  kept: 'kept',
  late: 'done, after the week',
  open: 'open',
  broken: 'not kept',
} as const
const open = computed(() =>
  lines.value.filter((one) => one.state === 'open').map((one) => one.step.id),
)
const chance = shallowRef<KeepChance | null>(null)
let mine = 0
onScopeDispose(() => (mine = -1))
watch(
  [open, () => store.accepted, () => planner.busy],
  async ([ids, plan, busy]) => {
    const asked = ++mine
    chance.value = null
    if (ids.length === 0 || !plan || busy) return
    const found = await planner.keeps(ids, weekEnd(clock, props.monday), () => asked === mine)
    if (asked === mine) chance.value = found
  },
  { immediate: true },
)
const pick = (stepId: string) =>
  promises.add({ week: props.monday, stepId, at: Math.round(time.now) })
</script>

<template>
  <section aria-labelledby="promise">
    <h2 id="promise" class="border-b-2 border-ink">
      The promise<template v-if="chance && open.length > 0">
        : {{ chance.all }} in 100 to keep it</template
      >
    </h2>
    <p v-if="lines.length === 0" class="mt-2 text-ink2">
      {{
        isOver
          ? 'Nothing was promised for this week.'
          : 'Nothing is promised yet. Pick what is to be finished by Sunday night.'
      }}
    </p>
    <ul>
      <li
        v-for="{ row, step, state } in lines"
        :key="row.id"
        class="grid grid-cols-[1fr_auto_auto] items-center gap-x-3 border-b border-rule2 py-1.5"
      >
        <span class="leading-tight"
          >{{ step.title }}<span class="block text-ink2">{{ jobOf(step) }}</span></span
        >
        <span
          class="cond whitespace-nowrap"
          :class="{ 'text-verdigris': state === 'kept', 'text-redlead': state === 'broken' }"
          >{{ words[state]
          }}<template v-if="state === 'open' && chance?.each[step.id] !== undefined"
            >, {{ chance.each[step.id] }} in 100</template
          ></span
        >
        <button
          v-if="state === 'open'"
          class="btn btn-quiet btn-small no-print"
          @click="promises.remove(row)"
        >
          Take back<span class="sr-only">{{ ` ${step.title}` }}</span>
        </button>
      </li>
    </ul>
    <details v-if="toPick.length > 0" class="no-print mt-2" :open="lines.length === 0 || undefined">
      <summary class="cond cursor-pointer py-1">What the plan finishes this week</summary>
      <ul>
        <li
          v-for="step in toPick"
          :key="step.id"
          class="grid grid-cols-[1fr_auto] items-center gap-x-3 border-b border-rule2 py-1"
        >
          <span class="leading-tight"
            >{{ step.title }}<span class="block text-ink2">{{ jobOf(step) }}</span></span
          >
          <button class="btn btn-small" @click="pick(step.id)">
            Promise<span class="sr-only">{{ ` ${step.title}` }}</span>
          </button>
        </li>
      </ul>
    </details>
    <p v-if="kept.all > 0" class="mt-1 text-ink2">
      Kept so far: {{ kept.kept }} of {{ kept.all }} in the weeks that are over.
    </p>
  </section>
</template>

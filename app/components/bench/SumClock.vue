<script setup lang="ts">
import { computed, ref } from 'vue'
import { clockTime } from '#core/bench/parts'
import type { StartClock } from '#core/bench/sum'

/** Says what was just done, and starts its clock; a late one moves the rest. */
const props = defineProps<{ starts: StartClock; page: ReturnType<typeof useSum> }>()
const store = useRefitStore()
const time = useTimeStore()
const sameDayMs = 12 * 3_600_000
const stepId = computed(() => props.page.want.value?.step.id ?? null)
/** A new batch counts from here. */
const since = ref(0)
/** Clocks of this sum that were started within the last hours. */
const begun = computed(
  () =>
    store.rows.clock.filter(
      (one) =>
        one.kind === props.starts.kind &&
        one.stepId === stepId.value &&
        one.title.startsWith(`${props.starts.what} `) &&
        one.startedAt > Math.max(since.value, time.now - sameDayMs),
    ).length,
)
const next = computed(() => begun.value + 1)
const isOver = computed(() => next.value > props.starts.many)
const startH = computed(() => Number(props.page.values[props.starts.startField] ?? 0))
const dueAt = (cup: number) => clockTime(startH.value * 60 + (cup - 1) * props.starts.everyMin)
const busy = ref(false)
async function stirred() {
  if (busy.value || isOver.value) return
  const { what, kind, closesH, opensH, refC, massG, refMassG, everyMin, tempC, size, startField } =
    props.starts
  const cup = next.value
  const at = Math.round(time.now)
  const id = newId()
  busy.value = true
  const done = await store.attempt(`${what} ${cup} stirred`, [
    {
      op: 'create',
      entity: 'clock',
      id,
      patch: {
        title: `${what} ${cup}, ${size}`,
        kind,
        stepId: stepId.value,
        startedAt: at,
        refC,
        closesH: closesH ?? null,
        opensH: opensH ?? null,
        massG: massG ?? null,
        refMassG: refMassG ?? null,
        assumedC: tempC,
      },
    },
    { op: 'create', entity: 'clockReading', id: newId(), patch: { clockId: id, at, tempC } },
  ])
  busy.value = false
  // Stirred now, whatever the plan said: the others follow from here.
  if (done) {
    const begin = store.zone.minutesOf(at) - (cup - 1) * everyMin
    if (begin >= 0) props.page.put(startField, begin / 60)
  }
}
useKeyScope({ clock: () => void stirred() })
</script>

<template>
  <section class="no-print" aria-label="As it goes">
    <button
      class="btn btn-go w-full flex-col! py-3! text-2xl!"
      :disabled="busy || isOver"
      aria-keyshortcuts="k"
      @click="stirred"
    >
      {{ isOver ? `All ${starts.many} stirred` : `${starts.what} ${next} stirred` }}
      <span class="text-base font-medium">
        <template v-if="isOver">their clocks run above</template>
        <template v-else
          >starts its clock, {{ Math.round(starts.lastsMin) }} min<template
            v-if="next < starts.many"
            >; the next at {{ dueAt(next + 1) }}</template
          ></template
        >
      </span>
    </button>
    <button v-if="isOver" class="btn mt-2" @click="since = Math.round(time.now)">
      Another batch
    </button>
  </section>
</template>

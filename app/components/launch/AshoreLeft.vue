<script setup lang="ts">
import { computed } from 'vue'
import { ashoreLeft, doAfloat, putOff } from '#core/launch/ashoreLeft'
import type { AshoreJob } from '#core/launch/ashoreLeft'
import { formatHours } from '#core/units/hours'
import { counted } from '#core/units/counted'
import type { LiftLever } from '~/composables/useLiftLevers'
import type { Proposal } from '~/composables/useProposal'

/** What must still be done ashore against one lift, and what could be done about what is not ready by it. */
const props = defineProps<{ haulOutId: string; liftAt: number }>()
const emit = defineEmits<{ propose: [proposal: Proposal]; ways: [] }>()
const store = useRefitStore()
const { shortDate, sayDay } = useDates()
const left = computed(() =>
  store.accepted
    ? ashoreLeft(store.rows, store.accepted, props.haulOutId, store.zone, store.waits)
    : null,
)
const late = computed(() => (left.value?.jobs ?? []).filter((one) => one.readyAt > props.liftAt))
const fits = computed(() => (left.value?.jobs ?? []).filter((one) => one.readyAt <= props.liftAt))
const levers = useLiftLevers(
  () => props.haulOutId,
  () => props.liftAt,
  () => late.value,
)
const withLever = (one: AshoreJob) =>
  levers.found.value.filter((each) => each.jobIds.has(one.job.id))
/** What was found so far: every one is counted once it has been tried. */
const outcome = computed(() => {
  if (levers.left.value !== 0) return ''
  if (levers.tried.value === 0) return 'There is no lever at this work.'
  const many = late.value.filter((one) => withLever(one).length > 0).length
  if (many === 0) return 'No one lever that was tried makes any of them ready by then.'
  return many === late.value.length
    ? 'Each of them is ready by then with one lever or another.'
    : `${counted(many, 'job')} of ${late.value.length} can be ready by then with one lever or another.`
})
const pull = ({ lever, items }: LiftLever) =>
  emit('propose', { label: lever.label, does: lever.does, items })
const on = computed(() => sayDay(store.zone.dateOf(props.liftAt)))
const readyOn = (one: AshoreJob) =>
  one.readyAt === Infinity ? 'has no day' : `ready ${shortDate(one.readyAt, store.zone)}`
const off = (one: AshoreJob) => {
  const next = left.value?.nextGate
  if (next)
    emit('propose', {
      label: `Put off: ${one.job.title}`,
      does: `The job waits for ${next.name}. It does not hold this launch.`,
      items: putOff(one, next),
    })
}
const float = (one: AshoreJob) =>
  emit('propose', {
    label: `Afloat: ${one.job.title}`,
    does: 'Its work is done afloat, where everything is harder to get at: access is one step worse.',
    items: doAfloat(one),
  })
</script>

<template>
  <section v-if="left" aria-labelledby="ashore-left">
    <h2 id="ashore-left" class="border-b-2 border-ink text-lg">
      Still to do ashore, against {{ on }}
    </h2>
    <div class="flex items-start justify-between gap-3 py-1">
      <p v-if="left.jobs.length === 0" class="text-ink2">
        Nothing is left to do ashore for this launch.
      </p>
      <p v-else-if="late.length === 0">
        {{ left.jobs.length === 1 ? 'The one job is' : `All ${left.jobs.length} jobs are` }}
        ready by then as planned.
      </p>
      <button v-else-if="levers.left.value === null" class="btn btn-small" @click="levers.ask()">
        What would make them ready?
      </button>
      <p v-else-if="levers.left.value > 0" role="status" class="text-ink2">
        Planning with {{ counted(levers.left.value, 'lever') }} more…
      </p>
      <p v-else role="status">{{ outcome }}</p>
      <button class="btn btn-small" @click="$emit('ways')">Ways to launch</button>
    </div>
    <p v-if="levers.failed.value" role="alert" class="text-redlead">{{ levers.failed.value }}</p>
    <ul>
      <li
        v-for="one in late"
        :key="one.job.id"
        class="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-3 border-b border-rule2 py-1"
      >
        <span class="min-w-0">
          <NuxtLink class="underline" :to="`/r/${store.refitId}/job/${one.job.id}`">{{
            one.job.title
          }}</NuxtLink>
          <span class="block text-ink2"
            >{{ formatHours(one.hours) }},
            <span class="text-redlead">{{ readyOn(one) }}</span></span
          >
          <span v-if="withLever(one).length > 0" class="flex flex-wrap gap-1 py-1">
            <button
              v-for="each in withLever(one).slice(0, 3)"
              :key="each.lever.key"
              class="btn btn-small"
              @click="pull(each)"
            >
              {{ each.lever.label }}<span class="sr-only">: {{ one.job.title }} is ready</span>
            </button>
          </span>
        </span>
        <span class="flex flex-wrap justify-end gap-1">
          <button v-if="left.nextGate" class="btn btn-small" @click="off(one)">
            Next haul-out?<span class="sr-only">{{ ` ${one.job.title}` }}</span>
          </button>
          <button v-if="one.mayFloat" class="btn btn-small" @click="float(one)">
            Afloat?<span class="sr-only">{{ ` ${one.job.title}` }}</span>
          </button>
        </span>
      </li>
    </ul>
    <details v-if="late.length > 0 && fits.length > 0" class="mt-1">
      <summary class="max-sm:min-h-11">{{ fits.length }} ready by then</summary>
      <ul>
        <li
          v-for="one in fits"
          :key="one.job.id"
          class="flex justify-between gap-3 border-b border-rule2"
        >
          <NuxtLink class="underline" :to="`/r/${store.refitId}/job/${one.job.id}`">{{
            one.job.title
          }}</NuxtLink>
          <span class="cond whitespace-nowrap">{{ readyOn(one) }}</span>
        </li>
      </ul>
    </details>
  </section>
</template>

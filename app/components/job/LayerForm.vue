<script setup lang="ts">
import { computed, ref } from 'vue'
import { fieldOf } from '#core/model/references'
import { sayChoice } from '#core/model/sayValue'
import { cautionsOf } from '#core/plan/facts'
import { sayMend } from '#core/plan/mends'
import { hasRounds } from '#core/steps/rounds'
import { formatWait } from '#core/units/hours'
import { formatTemp } from '#core/units/quantity'
import type { Layer } from '#core/stair/layers'

/** The layer that was pressed: its hours, what it asks for, and the ways on. Folded ones list their steps. */
const props = defineProps<{ layer: Layer }>()
const emit = defineEmits<{ close: [] }>()
const store = useRefitStore()
const { shortDateTime } = useDates()
const step = computed(() =>
  props.layer.steps.length === 1 ? (props.layer.steps[0] ?? null) : null,
)
const when = computed(() => {
  const { from, state } = props.layer
  if (from === null) return state === 'done' ? 'done' : 'no place in the plan'
  return `${state === 'done' ? 'done ' : ''}${shortDateTime(from, store.zone)}`
})
const units = computed(() => store.refit?.units ?? 'metric')
const asks = computed(() => {
  const one = step.value
  if (!one) return []
  const temp = (value: number) => formatTemp(value, units.value)
  return [
    one.skill === 'general' ? '' : sayChoice(fieldOf('step', 'skill'), one.skill).toLowerCase(),
    one.crewMin > 1 ? `${one.crewMin} people at once` : '',
    one.placeNeed === 'boat' ? '' : one.placeNeed === 'shed' ? 'in the shed' : 'away',
    one.minTempC === null ? '' : `over ${temp(one.minTempC)}`,
    one.maxTempC === null ? '' : `under ${temp(one.maxTempC)}`,
    one.needsDry ? 'dry' : '',
    one.waitKind === 'none'
      ? ''
      : `then ${formatWait(one.waitHours)}${one.waitKind === 'chem' ? ` at ${temp(one.waitRefC)}` : ''}`,
    one.maxWaitHours === null ? '' : `covered within ${formatWait(one.maxWaitHours)}`,
    one.unitCount === null ? '' : `${one.unitCount} ${one.unitName}`,
    hasRounds(one) ? `${one.roundsLikely} rounds, ${one.roundsMost} at most` : '',
    one.untilGood ? `until ${one.untilGood}` : '',
  ].filter(Boolean)
})
const caution = computed(() => (step.value ? cautionsOf(step.value) : ''))
const failing = ref(false)
</script>

<template>
  <section
    class="border-3 border-ink bg-sheet p-3"
    :aria-label="layer.title"
    @keydown.esc.stop="emit('close')"
  >
    <div class="flex items-baseline justify-between gap-3">
      <h2 class="min-w-0 truncate">{{ layer.title }}</h2>
      <p class="cond whitespace-nowrap">{{ when }}</p>
    </div>
    <template v-if="step">
      <div class="mt-1 flex flex-wrap items-end gap-3">
        <RowField
          v-if="step.state !== 'done'"
          entity="step"
          :row="step"
          field="hoursLikely"
          class="w-32"
          label="Hours"
        />
        <p class="min-w-0 flex-1 pb-1.5">{{ asks.join(' · ') }}</p>
      </div>
      <p v-if="layer.gap" class="mt-1 text-ink2">Before it: {{ layer.gap }}.</p>
      <p v-for="mend in layer.mends ?? []" :key="mend.fromStepId" class="mt-1 text-redlead">
        {{ sayMend(mend) }}
      </p>
      <p v-if="caution && step.state !== 'done'" class="mt-1">{{ caution }}</p>
      <div class="mt-2 flex flex-wrap gap-2">
        <NuxtLink class="btn" :to="`/r/${store.refitId}/step/${step.id}`">Its own page</NuxtLink>
        <NuxtLink class="btn" :to="{ path: `/r/${store.refitId}/jobs`, query: { job: step.jobId } }"
          >All its fields</NuxtLink
        >
        <button v-if="step.state !== 'open'" class="btn" @click="failing = true">
          Did not work
        </button>
        <button class="btn" @click="emit('close')">Shut</button>
      </div>
      <DidNotWorkDialog :open="failing" :step="step" @close="failing = false" />
    </template>
    <template v-else>
      <ol class="mt-1 list-decimal pl-6">
        <li v-for="one in layer.steps" :key="one.id">
          <NuxtLink class="hover:underline" :to="`/r/${store.refitId}/step/${one.id}`">{{
            one.title
          }}</NuxtLink>
        </li>
      </ol>
      <button class="btn mt-2" @click="emit('close')">Shut</button>
    </template>
  </section>
</template>

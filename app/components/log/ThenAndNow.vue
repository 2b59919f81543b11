<script setup lang="ts">
import { computed } from 'vue'
import type { CameAgain } from '#core/log/history'
import { thenAndNow } from '#core/log/thenAndNow'
import type { Step } from '#core/model/entities'
import type { FittingMake } from '#core/section/fittingMake'
import { fittingSection, halfShownMm, sayMake } from '#core/section/fittingSection'

/** A repair that did not hold and what is made now: sections at one scale, and what is different this time. */
const props = defineProps<{ again: CameAgain }>()
const store = useRefitStore()
const { sayDate } = useDates()
const pair = computed(() => thenAndNow(store.rows, props.again))
const core = ({ solid }: FittingMake): string =>
  solid
    ? `solid to ${Math.round(solid.toMm)} mm from the middle`
    : 'by its steps the core bare up to the hole'
const sections = computed(() => {
  const makes = pair.value?.makes
  if (!makes) return []
  const half = halfShownMm(makes.then, makes.now)
  const drawn = (key: string, title: string, make: FittingMake, isWet: boolean) => ({
    key,
    title: `${title}: ${core(make)}`,
    drawing: fittingSection(make, half, isWet),
    said: sayMake(make),
  })
  return [
    drawn('then', props.again.doneOn.slice(0, 4), makes.then, makes.then.solid === null),
    drawn('now', 'Now', makes.now, false),
  ]
})
const ends = computed(
  () => new Map((store.accepted?.placements ?? []).map((one) => [one.stepId, one.segments.at(-1)])),
)
/** When a step was or is planned to be done. */
function when(step: Step): string {
  const at = step.state === 'done' ? step.doneAt : ends.value.get(step.id)?.[1]
  return at === undefined || at === null ? '' : `, ${sayDate(store.zone.dateOf(at))}`
}
const list = (steps: readonly Step[]): string =>
  steps.map((one) => `${one.title}${when(one)}`).join('; ')
</script>

<template>
  <div v-if="pair" class="mt-2 grid gap-x-4 gap-y-2 sm:grid-cols-2">
    <figure v-for="one in sections" :key="one.key" class="m-0 min-w-0">
      <figcaption class="cond leading-tight font-semibold">{{ one.title }}</figcaption>
      <SumDrawing :drawing="one.drawing" :most="130" bare class="mt-1" />
    </figure>
    <div class="leading-snug sm:col-span-2">
      <p v-if="pair.makes && pair.makes.then.solid === null" class="text-sm text-ink2">
        Hatched: where water gets into a core that is bare.
      </p>
      <p v-if="pair.isNew.length > 0">
        <strong>Its steps had none of this the last time:</strong> {{ list(pair.isNew) }}.
      </p>
      <p v-else-if="!pair.hasSteps" class="text-ink2">What is done now has no steps yet.</p>
      <p v-else class="text-redlead">
        Its steps are of the same kinds as the last time: say in them what is different now.
      </p>
      <p v-if="pair.toCome.length > 0">To come: {{ list(pair.toCome) }}.</p>
      <NuxtLink class="underline" :to="`/r/${store.refitId}/job/${pair.jobId}`"
        >The job that mends it now</NuxtLink
      >
    </div>
  </div>
</template>

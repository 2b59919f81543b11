<script setup lang="ts">
import { ChevronRight } from '@lucide/vue'
import type { BesideSum } from '#core/bench/beside'
import { capital } from '#core/units/counted'

/** Sums about the same thing: how each stands with the figures of this page, and the way to its own. */
const props = defineProps<{ beside: readonly BesideSum[]; jobId: string }>()
const store = useRefitStore()
const standing: Readonly<Record<BesideSum['state'], string>> = {
  kept: 'kept',
  changed: 'kept with other figures',
  fresh: 'not kept yet',
  open: 'not worked out yet',
}
/** Its page, with what it takes from this one typed in. */
const address = (one: BesideSum) => ({
  path: `/r/${store.refitId}/bench/${one.sum.key}`,
  query: {
    ...(props.jobId === '' ? {} : { job: props.jobId }),
    v: JSON.stringify({
      v: Object.fromEntries(one.given.map((key) => [key, one.values[key]])),
      k: Object.keys(one.known),
    }),
  },
})
const looked = ({ answer }: BesideSum): string => {
  const checks = answer?.checks ?? []
  return checks.length === 0
    ? ''
    : `${checks.filter((check) => check.state === 'fine').length} of ${checks.length} fine, `
}
</script>

<template>
  <section
    v-for="one in beside"
    :key="one.sum.key"
    :aria-labelledby="`beside-${one.sum.key}`"
    class="break-inside-avoid"
  >
    <div class="flex flex-wrap items-baseline justify-between gap-x-3 border-b-2 border-ink">
      <h2 :id="`beside-${one.sum.key}`">
        <NuxtLink class="inline-flex min-h-9 items-center gap-1 hover:underline" :to="address(one)">
          {{ one.sum.title }}
          <ChevronRight class="no-print" :size="18" aria-hidden="true" />
        </NuxtLink>
      </h2>
      <span class="text-right text-ink2">{{ looked(one) }}{{ standing[one.state] }}</span>
    </div>
    <template v-if="one.answer">
      <SumChecks
        v-if="one.answer.checks && one.answer.checks.length > 0"
        :checks="one.answer.checks"
      />
      <template v-else>
        <p
          class="cond mt-1 text-lg"
          :class="one.answer.verdict === 'go' ? 'text-verdigris' : 'text-redlead'"
        >
          {{ capital(one.answer.heading) }}
        </p>
        <SumDrawing
          v-if="one.answer.drawing"
          class="mt-1"
          bare
          :drawing="one.answer.drawing"
          :most="110"
        />
      </template>
    </template>
    <p v-else-if="one.wrong" class="mt-1 text-redlead">{{ one.wrong }}</p>
    <p v-else class="mt-1 grid grid-cols-[1.75rem_1fr] gap-1">
      <SumMark mark="ring" />
      <span class="text-ink2">{{ one.sum.about }}</span>
    </p>
  </section>
</template>

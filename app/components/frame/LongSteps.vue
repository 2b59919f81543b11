<script setup lang="ts">
import { computed } from 'vue'
import { patchOf } from '#core/model/removal'
import type { Remark } from '#core/model/stored'
import { maySplit } from '#core/plan/facts'

/** Steps that no day is long enough for: one press lets them be left and taken up again. */
const props = defineProps<{ reasons: readonly Remark[] }>()
const store = useRefitStore()
const steps = computed(() => {
  const ids = new Set(
    props.reasons.filter((one) => one.kind === 'tooLong').flatMap((one) => one.stepIds),
  )
  return store.rows.step.filter((step) => ids.has(step.id) && !maySplit(step))
})
const split = (step: (typeof steps.value)[number]) =>
  store.attempt(`May be left: ${step.title}`, [patchOf('step', step, { splittable: true })])
</script>

<template>
  <ul v-if="steps.length > 0" class="no-print my-1 grid gap-1">
    <li v-for="step in steps" :key="step.id" class="flex flex-wrap items-center gap-2">
      <NuxtLink class="underline" :to="`/r/${store.refitId}/jobs?job=${step.jobId}`">{{
        step.title
      }}</NuxtLink>
      <button class="btn btn-small" @click="split(step)">May be left and taken up again</button>
    </li>
  </ul>
</template>

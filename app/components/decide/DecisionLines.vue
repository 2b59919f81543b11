<script setup lang="ts">
import { computed } from 'vue'
import { decisionLines } from '#core/choices/say'
import { keyBetween } from '#core/model/order'
import { inOrder } from '#core/model/refit'

/** What is still to be decided, the nearest first; nothing at all where there is nothing. */
const props = defineProps<{
  /** Only those of a job; absent: all. */
  jobId?: string
  /** Only those that are to be taken within a fortnight. */
  near?: boolean
  /** A button that begins another one stands below. */
  mayAdd?: boolean
}>()
const store = useRefitStore()
const decideBy = useDecideBy()
const rows = useRows('decision')
const lines = computed(() =>
  decisionLines(store.rows, decideBy.value, store.derived.today).filter(
    (one) =>
      (props.jobId === undefined || one.decision.jobId === props.jobId) &&
      (!props.near || one.isNear),
  ),
)
async function add() {
  if (props.jobId === undefined) return
  const last = inOrder(store.rows.decision).at(-1)?.order ?? null
  const id = await rows.add({
    title: 'Which way?',
    jobId: props.jobId,
    order: keyBetween(last, null),
  })
  if (id) await goTo(`/r/${store.refitId}/decide/${id}`)
}
</script>

<template>
  <section v-if="lines.length > 0 || mayAdd" aria-label="To decide" class="mt-3">
    <h2 v-if="lines.length > 0" class="border-b-2 border-ink">To decide</h2>
    <ul>
      <li
        v-for="line in lines"
        :key="line.decision.id"
        class="border-b border-rule py-1 leading-tight"
      >
        <NuxtLink
          class="font-semibold underline decoration-rule underline-offset-4"
          :to="`/r/${store.refitId}/decide/${line.decision.id}`"
          >{{ line.decision.title }}</NuxtLink
        >
        <span v-if="line.said" class="ml-1" :class="line.isLate ? 'text-redlead' : ''">
          {{ line.said }}<template v-if="line.who">, {{ line.who }}</template></span
        >
        <span v-if="jobId === undefined" class="block text-ink2">{{ line.jobTitle }}</span>
      </li>
    </ul>
    <button v-if="mayAdd" class="btn btn-small mt-2" @click="add">Something to decide</button>
  </section>
</template>

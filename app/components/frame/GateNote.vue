<script setup lang="ts">
import { computed } from 'vue'
import { sayGate } from '#core/progress/gateWords'
import type { GateFigures } from '#core/progress/derive'

/** What keeps a gate from a date, and what its date leaves out, with the way to mend it. Nothing when nothing does. */
const props = defineProps<{
  figures: GateFigures | null
  /** Without its heading, where that stands already. */
  quiet?: boolean
}>()
const store = useRefitStore()
const said = computed(() => (props.figures ? sayGate(props.figures, store.derived) : null))
const mostShown = 3
const because = computed(() => said.value?.because.slice(0, mostShown) ?? [])
const more = computed(() => (said.value?.because.length ?? 0) - because.value.length)
const bare = computed(() => props.figures?.gap?.withoutSteps[0] ?? null)
const shown = computed(
  () =>
    said.value !== null &&
    said.value.standing !== 'unplanned' &&
    (because.value.length > 0 || said.value.leavesOut.length > 0),
)
</script>

<template>
  <div
    v-if="shown && said"
    class="my-2 border-l-4 px-3 py-1.5"
    :class="
      said.standing === 'undated' ? 'border-redlead bg-redlead-tint' : 'border-brass bg-brass-tint'
    "
  >
    <p v-if="said.standing !== 'dated' && !quiet" class="cond text-lg leading-snug">
      {{ said.title }}
    </p>
    <ul v-if="because.length > 0" class="list-disc pl-5">
      <li v-for="reason in because" :key="reason">{{ reason }}</li>
      <li v-if="more > 0">And {{ more }} more, listed in Sequence.</li>
    </ul>
    <TroubleMends v-if="!quiet && figures?.gap" :reasons="figures.gap.reasons" />
    <p>
      <span v-for="left in said.leavesOut" :key="left">{{ left }}{{ ' ' }}</span>
      <NuxtLink
        v-if="store.derived.jobsToPlace > 0"
        class="no-print mr-4 underline"
        :to="`/r/${store.refitId}/triage`"
        >Place them</NuxtLink
      >
      <NuxtLink
        v-if="bare"
        class="no-print underline"
        :to="`/r/${store.refitId}/jobs?job=${bare.id}`"
        >Write steps for “{{ bare.title }}”</NuxtLink
      >
    </p>
  </div>
</template>

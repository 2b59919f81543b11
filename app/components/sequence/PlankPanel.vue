<script setup lang="ts">
import { ArrowLeft, Pin } from '@lucide/vue'
import { computed } from 'vue'
import { stepChain } from '#core/plan/chain'
import type { Plank } from '#core/sequence/planks'
import { formatHours } from '#core/units/hours'

/** One plank opened: its steps, when and with whom, and why each is not earlier. */
const props = defineProps<{ plank: Plank; gateName: string }>()
defineEmits<{ close: []; pin: [stepId: string]; release: [stepId: string] }>()
const store = useRefitStore()
const { sayDay, shortDateTime } = useDates()
const steps = computed(() => {
  const { clock } = store.derived
  const plan = store.accepted
  return props.plank.pieces.map((piece) => {
    const placed = plan?.placements.find((one) => one.stepId === piece.step.id)
    const people = (placed?.personIds ?? []).flatMap(
      (id) => store.rows.person.find((one) => one.id === id)?.name ?? [],
    )
    const why = plan && placed ? stepChain(plan, store.rows, piece.step.id, clock).slice(0, 1) : []
    const worked = placed?.segments.at(-1)?.[1] ?? piece.to
    return {
      id: piece.step.id,
      title: piece.step.title,
      when: piece.done
        ? `Done ${shortDateTime(piece.step.doneAt ?? piece.to, clock)}`
        : `${shortDateTime(piece.from, clock)} to ${shortDateTime(worked, clock)}`,
      who: piece.done
        ? ''
        : people.length > 0
          ? `${people.join(' and ')}, ${formatHours(piece.hours)}`
          : 'others do it',
      ready: !piece.done && piece.to > worked ? `ready ${shortDateTime(piece.to, clock)}` : '',
      why: why[0]?.why ?? '',
      done: piece.done,
      pinnedOn: piece.step.pinnedOn,
    }
  })
})
const slack = computed(() => {
  const { slackDays, binding } = props.plank
  if (binding) return `Part of what holds ${props.gateName}.`
  if (slackDays === null) return ''
  if (slackDays === 0) return 'No whole day of slack before what follows it.'
  return `${slackDays} ${slackDays === 1 ? 'day' : 'days'} of slack before what follows it.`
})
</script>

<template>
  <section :aria-label="plank.name" @keydown.esc.stop="$emit('close')">
    <button class="btn btn-small" @click="$emit('close')">
      <ArrowLeft :size="16" aria-hidden="true" /> Back to the rope
    </button>
    <h2 class="mt-2 flex gap-2">
      <PurposeTile :purpose="plank.job.purpose" class="mt-0.5" />
      <NuxtLink
        class="underline decoration-rule underline-offset-4"
        :to="`/r/${store.refitId}/jobs?job=${plank.job.id}`"
        >{{ plank.job.title }}</NuxtLink
      >
    </h2>
    <p v-if="slack" class="mt-1">{{ slack }}</p>
    <ol class="mt-2 grid gap-3">
      <li v-for="step in steps" :key="step.id" class="border-l-[3px] border-rule pl-3">
        <NuxtLink
          class="cond text-[1.0625rem] leading-tight underline decoration-rule underline-offset-4"
          :to="`/r/${store.refitId}/step/${step.id}`"
          >{{ step.title }}</NuxtLink
        >
        <p class="leading-snug">
          {{ step.when }}<template v-if="step.who">; {{ step.who }}</template
          ><template v-if="step.ready">; {{ step.ready }}</template>
        </p>
        <p v-if="step.why" class="text-[0.9375rem] leading-snug text-ink2">
          Not earlier: {{ step.why }}
        </p>
        <p v-if="!step.done" class="no-print mt-1 flex flex-wrap gap-2">
          <button
            class="btn btn-small"
            :aria-label="`Pin to a day: ${step.title}`"
            @click="$emit('pin', step.id)"
          >
            <Pin :size="15" aria-hidden="true" />
            {{ step.pinnedOn ? `Pinned to ${sayDay(step.pinnedOn)}` : 'Pin to a day' }}
          </button>
          <button
            v-if="step.pinnedOn"
            class="btn btn-small"
            :aria-label="`Release: ${step.title}`"
            @click="$emit('release', step.id)"
          >
            Release
          </button>
        </p>
      </li>
    </ol>
  </section>
</template>

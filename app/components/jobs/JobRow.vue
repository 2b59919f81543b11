<script setup lang="ts">
import { computed } from 'vue'
import { Pin } from '@lucide/vue'
import { formatMoney } from '#core/money/money'
import { formatHours } from '#core/units/hours'
import { formatInches } from '#core/units/length'
import { jobStateName } from '#core/progress/jobState'
import type { ListedJob } from '~/composables/useJobLists'

/** One job in the list: rank, purpose, why it stands there, how much of it is done. */
const props = defineProps<{
  listed: ListedJob
  opened: boolean
  chosen: boolean
  /** In the tree of found work: what grew under it. */
  tree: boolean
}>()
defineEmits<{ open: []; toggle: [] }>()
const store = useRefitStore()
const figures = computed(() => store.derived.jobs.get(props.listed.job.id))
const share = computed(() => {
  const { hoursPlanned = 0, hoursOpen = 0 } = figures.value ?? {}
  return hoursPlanned > 0 ? 1 - hoursOpen / hoursPlanned : 0
})
const inches = computed(() => (figures.value?.earnedIn ?? 0) + (figures.value?.openIn ?? 0))
/** "bred 3 jobs, 24 h, €310: 9 % of all" */
const bredSaid = computed(() => {
  const bred = store.derived.bred.get(props.listed.job.id)
  if (!props.tree || !bred || bred.jobs === 0) return ''
  const all = store.derived.found.allHours
  const money =
    bred.costMinor > 0 ? `, ${formatMoney(bred.costMinor, store.refit?.currency ?? 'EUR')}` : ''
  const part = all > 0 ? `: ${Math.round((bred.hoursPlanned / all) * 100)} % of all hours` : ''
  return `bred ${bred.jobs} ${bred.jobs === 1 ? 'job' : 'jobs'}, ${formatHours(bred.hoursPlanned)}${money}${part}`
})
</script>

<template>
  <li
    :data-job="listed.job.id"
    :style="{ paddingLeft: `${listed.depth * 1.75}rem` }"
    class="flex border-b border-rule2"
    :class="{ 'bg-verdigris-tint': opened, 'bg-brass-tint': chosen }"
  >
    <button
      type="button"
      class="grid min-w-0 grow grid-cols-[2rem_1.75rem_1fr] gap-x-2 px-1 py-2 text-left hover:bg-brass-tint @lg:grid-cols-[2rem_1.75rem_1fr_6rem_4rem]"
      :aria-current="opened ? 'true' : undefined"
      @click="$emit('open')"
    >
      <span class="cond text-right text-xl" :class="{ 'text-ink2': listed.rank === null }">
        <Pin v-if="listed.job.pinnedRank !== null" :size="14" class="inline" aria-label="Pinned" />
        {{ listed.rank ?? '·' }}
      </span>
      <PurposeTile :purpose="listed.job.purpose" />
      <span>
        <span class="cond block text-lg leading-snug">{{ listed.job.title }}</span>
        <span class="block text-ink2 leading-snug">
          {{ listed.sentence }}
          <template v-if="figures?.stepCount === 0 && listed.job.decision === 'plan'">
            <span class="text-redlead">No steps yet: the plan cannot see it.</span>
          </template>
        </span>
        <span v-if="(figures?.hoursPlanned ?? 0) > 0" class="cond block text-ink2 @lg:hidden"
          >{{ formatHours(figures?.hoursPlanned ?? 0) }} · {{ formatInches(inches) }} in</span
        >
        <span v-if="bredSaid" class="cond block text-redlead">{{ bredSaid }}</span>
        <span v-if="listed.foundDuring && !tree" class="cond block text-verdigris"
          >↳ Found during: {{ listed.foundDuring }}</span
        >
      </span>
      <span class="mt-1.5 @max-lg:hidden" :title="figures ? jobStateName[figures.state] : ''">
        <span class="block h-3.5 border border-ink bg-sheet" aria-hidden="true">
          <span class="block h-full bg-brass" :style="{ width: `${share * 100}%` }" />
        </span>
        <span class="sr-only">{{ Math.round(share * 100) }} % done</span>
      </span>
      <span class="cond text-right text-lg @max-lg:hidden">
        <span class="block">{{
          (figures?.hoursPlanned ?? 0) > 0 ? formatHours(figures?.hoursPlanned ?? 0) : ''
        }}</span>
        <span v-if="!tree && inches > 0" class="block text-base text-ink2"
          >{{ formatInches(inches) }} in</span
        >
      </span>
    </button>
    <label
      class="no-print flex w-9 shrink-0 cursor-pointer items-start justify-center pt-2.5 max-sm:w-11"
    >
      <span class="sr-only">Choose {{ listed.job.title }}</span>
      <input
        type="checkbox"
        class="size-5 accent-(--verdigris)"
        :checked="chosen"
        @change="$emit('toggle')"
      />
    </label>
  </li>
</template>

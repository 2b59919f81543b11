<script setup lang="ts">
import { computed } from 'vue'
import { Pin } from '@lucide/vue'
import { formatInches } from '#core/units/length'
import { jobStateName } from '#core/progress/jobState'
import type { ListedJob } from '~/composables/useJobLists'

/** One job in the list: rank, purpose, why it stands there, how much of it is done. */
const props = defineProps<{ listed: ListedJob; chosen: boolean }>()
defineEmits<{ choose: [] }>()
const store = useRefitStore()
const figures = computed(() => store.derived.jobs.get(props.listed.job.id))
const parent = computed(() => store.rows.job.find((job) => job.id === props.listed.job.parentJobId))
const share = computed(() => {
  const { hoursPlanned = 0, hoursOpen = 0 } = figures.value ?? {}
  return hoursPlanned > 0 ? 1 - hoursOpen / hoursPlanned : 0
})
const inches = computed(() => (figures.value?.earnedIn ?? 0) + (figures.value?.openIn ?? 0))
</script>

<template>
  <li :style="{ paddingLeft: `${listed.depth * 1.75}rem` }" class="border-b border-rule2">
    <button
      type="button"
      class="grid w-full grid-cols-[2rem_1.75rem_1fr] gap-x-2 px-1 py-2 text-left hover:bg-brass-tint @lg:grid-cols-[2rem_1.75rem_1fr_6rem_4rem]"
      :class="{ 'bg-verdigris-tint': chosen }"
      :aria-current="chosen ? 'true' : undefined"
      @click="$emit('choose')"
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
        <span v-if="parent" class="cond block text-verdigris"
          >↳ Found during: {{ parent.title }}</span
        >
      </span>
      <span class="mt-1.5 @max-lg:hidden" :title="figures ? jobStateName[figures.state] : ''">
        <span class="block h-3.5 border border-ink bg-sheet" aria-hidden="true">
          <span class="block h-full bg-brass" :style="{ width: `${share * 100}%` }" />
        </span>
        <span class="sr-only">{{ Math.round(share * 100) }} % done</span>
      </span>
      <span class="cond text-right text-lg @max-lg:hidden">
        {{ inches > 0 ? `${formatInches(inches)} in` : '' }}
      </span>
    </button>
  </li>
</template>

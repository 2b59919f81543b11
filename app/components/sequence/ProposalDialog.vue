<script setup lang="ts">
import type { useProposal } from '~/composables/useProposal'

/** A proposal beside the plan that stands, as its composable holds it. */
defineProps<{
  of: Pick<
    ReturnType<typeof useProposal>,
    'proposal' | 'consequence' | 'progress' | 'failed' | 'taking' | 'isAnew'
  >
  take?: string
}>()
defineEmits<{ close: []; take: [] }>()
</script>

<template>
  <SideBySide
    :open="of.proposal.value !== null"
    :title="of.proposal.value?.label ?? ''"
    :does="of.proposal.value?.does ?? ''"
    :consequence="of.consequence.value"
    :progress="of.progress.value"
    :failed="of.failed.value"
    :taking="of.taking.value"
    :take="take"
    may-be-same
    @close="$emit('close')"
    @take="$emit('take')"
  >
    <p v-if="of.isAnew.value" class="mt-2 border-l-4 border-brass pl-3" role="status">
      Something else was changed meanwhile. What this would do is worked out for the refit as it is
      now.
    </p>
    <slot />
    <ChanceBought
      v-if="of.proposal.value && of.consequence.value"
      :key="of.proposal.value.label"
      :items="of.proposal.value.items"
    />
  </SideBySide>
</template>

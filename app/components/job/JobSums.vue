<script setup lang="ts">
import { computed } from 'vue'
import type { Job } from '#core/model/entities'

/** Sums of the bench that the job rests on: what is kept of them, and what still wants working out. */
const props = defineProps<{ job: Job; /** Those of this step alone. */ stepId?: string }>()
const store = useRefitStore()
const { items } = useBench(() => props.job.id)
const mine = computed(() =>
  items.value.filter((one) => props.stepId === undefined || one.want.step.id === props.stepId),
)
</script>

<template>
  <section
    v-if="mine.length > 0"
    class="no-print"
    :class="{ 'mt-3': stepId !== undefined }"
    aria-label="On the bench"
  >
    <component :is="stepId === undefined ? 'h3' : 'h2'">On the bench</component>
    <ul>
      <li v-for="one in mine" :key="one.want.sum.key">
        <NuxtLink
          :to="`/r/${store.refitId}/bench/${one.want.sum.key}?job=${job.id}`"
          class="flex min-h-9 items-center gap-2 hover:underline max-sm:min-h-11"
        >
          <SumMark
            :mark="one.isKept ? 'bung' : one.changed.length > 0 ? 'redRing' : 'ring'"
            :said="one.isKept ? 'kept' : 'to be worked out'"
          />
          <span class="cond">{{ one.want.sum.title }}</span>
          <span class="text-ink2">{{
            one.changed.length > 0
              ? `${one.changed.join(', ')} changed: work it again`
              : (one.kept?.says ?? '')
          }}</span>
        </NuxtLink>
      </li>
    </ul>
  </section>
</template>

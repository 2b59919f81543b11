<script setup lang="ts">
import { computed } from 'vue'
import type { Job } from '#core/model/entities'
import { recipeFor } from '#core/recipes/shelf'
import { formatQuantity } from '#core/units/quantity'

/** The recipe a job was made by, with its dimensions, and the way to work it again. */
const props = defineProps<{ job: Job }>()
const store = useRefitStore()
const recipe = computed(() =>
  props.job.recipeKey === null ? undefined : recipeFor(store.rows, props.job.recipeKey),
)
const said = computed(() => {
  const { recipeInputs } = props.job
  if (!recipe.value) return ''
  return recipe.value.inputs
    .map(({ key, label, unit }) => {
      const value = recipeInputs[key]
      return typeof value === 'number'
        ? `${label.toLowerCase()} ${formatQuantity(value, unit, store.refit?.units ?? 'metric')}`
        : ''
    })
    .filter(Boolean)
    .slice(0, 5)
    .join(', ')
})
</script>

<template>
  <div
    v-if="job.recipeKey"
    class="flex flex-wrap items-center justify-between gap-2 bg-sheet px-3 py-2"
  >
    <p v-if="recipe">
      <span class="cond">By recipe:</span> {{ recipe.title }}.
      <span class="text-ink2">{{ said }}.</span>
    </p>
    <p v-else class="text-ink2">Its recipe was removed; the steps stay.</p>
    <NuxtLink
      v-if="recipe"
      class="btn btn-small"
      :to="{ path: `/r/${store.refitId}/recipes/${job.recipeKey}`, query: { job: job.id } }"
      >Change a dimension</NuxtLink
    >
  </div>
</template>

<script setup lang="ts">
import { computed } from 'vue'
import { groupBy } from '#core/model/refit'
import { toMeasure } from '#core/recipes/known'
import { formatQuantity } from '#core/units/quantity'

/** Dimensions that work to come rests on and that nobody measured, by place and with where to measure: for the next visit. */
const store = useRefitStore()
const lines = computed(() => toMeasure(store.rows))
const places = computed(() =>
  [...groupBy(lines.value, (one) => one.job.zoneId ?? '')].map(([zoneId, list]) => ({
    zoneId,
    name: store.rows.zone.find((one) => one.id === zoneId)?.name ?? 'Place not said',
    list,
  })),
)
const units = computed(() => store.refit?.units ?? 'metric')
</script>

<template>
  <details v-if="lines.length > 0" class="border-b border-rule py-1">
    <summary class="cond text-lg">
      To measure: {{ lines.length }} {{ lines.length === 1 ? 'dimension' : 'dimensions' }} in
      {{ new Set(lines.map((one) => one.job.id)).size }}
      {{ new Set(lines.map((one) => one.job.id)).size === 1 ? 'job' : 'jobs' }}
    </summary>
    <div class="grid gap-x-8 md:grid-cols-2">
      <section v-for="place in places" :key="place.zoneId" class="py-1">
        <h3>{{ place.name }}</h3>
        <ul>
          <li
            v-for="one in place.list"
            :key="`${one.job.id} ${one.input.key}`"
            class="flex items-center gap-2 py-0.5"
          >
            <span class="w-16 shrink-0">
              <HelpDrawing
                v-if="one.input.drawing"
                :drawing="one.input.drawing"
                :label="one.input.label"
              />
            </span>
            <span class="min-w-0 grow leading-tight"
              >{{ one.input.label
              }}<NuxtLink
                class="block truncate text-[0.9375rem] underline"
                :to="`/r/${store.refitId}/job/${one.job.id}`"
                >{{ one.job.title }}</NuxtLink
              ></span
            >
            <span class="cond whitespace-nowrap text-ink2"
              >~{{ formatQuantity(one.value, one.input.unit, units) }}</span
            >
          </li>
        </ul>
      </section>
    </div>
  </details>
</template>

<script setup lang="ts">
import { computed, ref } from 'vue'
import { nextTimeAshore } from '#core/launch/nextTime'

/** The list for the next time ashore: it grows by itself. */
const props = defineProps<{ haulOutId: string }>()
const store = useRefitStore()
const { sayDate } = useDates()
const isAfloat = useAfloat()
const lines = computed(() =>
  nextTimeAshore(store.rows, props.haulOutId, {
    plan: store.accepted,
    date: sayDate,
    today: store.derived.today,
    isAfloat,
  }),
)
const [few, whole] = [8, ref(false)]
const shown = computed(() => (whole.value ? lines.value : lines.value.slice(0, few)))
</script>

<template>
  <section aria-labelledby="next-time">
    <h2 id="next-time" class="border-b-2 border-ink text-lg">
      The next time ashore: {{ lines.length }} {{ lines.length === 1 ? 'line' : 'lines' }} so far
    </h2>
    <p v-if="lines.length === 0" class="text-ink2">
      What is put off, watched under water, skipped or due by then comes here by itself.
    </p>
    <ul>
      <li
        v-for="one in shown"
        :key="one.key"
        class="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-x-3 border-b border-rule2 py-0.5"
      >
        <NuxtLink
          class="truncate underline max-sm:min-h-11"
          :to="`/r/${store.refitId}/${one.to}`"
          >{{ one.what }}</NuxtLink
        >
        <span class="truncate text-right text-ink2" :title="one.why">{{ one.why }}</span>
      </li>
    </ul>
    <button v-if="lines.length > few" class="btn btn-small mt-1" @click="whole = !whole">
      {{ whole ? 'Fewer' : `All ${lines.length}` }}
    </button>
  </section>
</template>

<script setup lang="ts">
import { computed } from 'vue'
import { doneTwice } from '#core/progress/rework'
import { formatHours } from '#core/units/hours'
import { capital } from '#core/units/counted'

/** What was done twice, and why: in ink as done, in red again. */
const store = useRefitStore()
const { idOf, urlOf } = provideChartIds()
const twice = computed(() => doneTwice(store.rows))
const share = computed(() =>
  twice.value.workHours > 0
    ? Math.round((twice.value.againHours / twice.value.workHours) * 100)
    : 0,
)
const largest = computed(() => Math.max(1e-6, ...twice.value.causes.map((one) => one.hours)))
const nextTime = computed(() =>
  [...store.rows.job]
    .map((one) => one.nextTime.trim())
    .filter((text) => text !== '')
    .slice(-3),
)
</script>

<template>
  <section aria-labelledby="done-twice">
    <h2 id="done-twice" class="border-b-2 border-ink text-lg">
      Done twice<template v-if="twice.againHours > 0"
        >: {{ formatHours(twice.againHours) }} of {{ formatHours(twice.workHours) }}, {{ share }} in
        100</template
      >
    </h2>
    <p v-if="twice.causes.length === 0" class="mt-1 text-ink2">
      Nothing is written down as done again. Hours say so when they are logged with why.
    </p>
    <svg width="0" height="0" class="absolute" aria-hidden="true">
      <pattern :id="idOf('again')" width="6" height="6" patternUnits="userSpaceOnUse">
        <path d="M-1 7L7 -1M-1 1L1 -1M5 7L7 5" stroke="var(--redlead)" stroke-width="2" />
      </pattern>
    </svg>
    <ul>
      <li v-for="one in twice.causes" :key="one.cause" class="py-1">
        <span class="flex justify-between gap-3">
          <span class="cond">{{ capital(one.cause) }}</span>
          <span class="cond text-ink2">{{ formatHours(one.hours) }}</span>
        </span>
        <svg width="100%" height="15" class="block" aria-hidden="true">
          <rect :width="`${(one.hours / largest) * 100}%`" height="5" fill="var(--ink)" />
          <rect
            y="7"
            :width="`${(one.hours / largest) * 100}%`"
            height="7"
            :fill="urlOf('again')"
            stroke="var(--redlead)"
          />
        </svg>
      </li>
    </ul>
    <div v-if="nextTime.length > 0" class="mt-2">
      <p
        v-for="text in nextTime"
        :key="text"
        class="mt-1 border border-verdigris bg-verdigris-tint px-2 py-1 leading-snug text-verdigris"
      >
        Next time: {{ text }}
      </p>
    </div>
  </section>
</template>

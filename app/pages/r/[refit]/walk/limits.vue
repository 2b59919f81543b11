<script setup lang="ts">
import { computed } from 'vue'
import { inOrder } from '#core/model/refit'
import { deletion } from '#core/model/removal'
import { binding, limitFigures, sayMargin, sayUnknown, sizesOf } from '#core/limits/limits'

/** Where she has to fit, now and when the jobs are done, and what binds. */
const store = useRefitStore()
const units = computed(() => store.refit?.units ?? 'metric')
const limits = computed(() => inOrder(store.rows.limit))
const adding = computed(() =>
  store.rows.job.filter(
    (job) =>
      (job.addsKg !== null || job.addsHeightM !== null) &&
      ['open', 'doing'].includes(store.derived.jobs.get(job.id)?.state ?? ''),
  ),
)
const now = computed(() =>
  store.refit ? limitFigures(limits.value, sizesOf(store.refit, [])) : [],
)
const then = computed(() =>
  store.refit ? limitFigures(limits.value, sizesOf(store.refit, adding.value)) : [],
)
const binds = computed(() => binding(then.value))
const heading = computed(() => {
  if (limits.value.length === 0) return 'Where does she have to fit?'
  const one = binds.value
  if (!one) return 'Nothing to hold the limits against yet'
  const said = `${one.limitOf.title}, ${sayMargin(one, units.value)}`
  if (one.left < 0) return `She will not fit: ${said}`
  const whole = then.value.every(
    ({ margins, unknown: asked }) => margins.length > 0 && asked.length === 0,
  )
  return whole
    ? `She fits everywhere; tightest is ${said}`
    : `She fits as far as is known; tightest is ${said}`
})
const unknown = computed(() => [...new Set(then.value.flatMap((one) => one.unknown))])
</script>

<template>
  <div class="max-w-4xl">
    <div class="flex items-start justify-between gap-3">
      <h1>{{ heading }}</h1>
      <NuxtLink class="btn no-print" :to="`/r/${store.refitId}/walk`">To the boat</NuxtLink>
    </div>
    <p v-if="adding.length > 0">
      With what {{ adding.length === 1 ? 'one job adds' : `${adding.length} jobs add` }}:
      {{
        adding
          .map(
            (job) =>
              `${job.title.toLowerCase()} ${[job.addsKg === null ? '' : `${job.addsKg} kg`, job.addsHeightM === null ? '' : `${Math.round(job.addsHeightM * 1000)} mm`].filter(Boolean).join(' and ')}`,
          )
          .join('; ')
      }}.
    </p>
    <p v-else class="text-ink2">
      No open job says that it adds weight or height: that is a field of each job.
    </p>
    <p v-if="unknown.length > 0" class="border-l-4 border-brass pl-3">
      Not known: {{ unknown.map(sayUnknown).join(', ') }}. Say it in Settings, with the boat.
    </p>
    <ul class="mt-3">
      <li v-for="(one, index) in then" :key="one.limit.id" class="border-b border-rule py-2">
        <p class="flex flex-wrap justify-between gap-3">
          <span class="cond text-lg">{{ one.limit.title }}</span>
          <span
            v-if="one.margins[0]"
            class="cond"
            :class="{ 'text-redlead': one.margins[0].left < 0 }"
            >{{ sayMargin(one.margins[0], units) }}</span
          >
          <span v-else class="text-ink2">no figure yet</span>
        </p>
        <p
          v-if="
            now[index]?.margins[0] &&
            one.margins[0] &&
            now[index].margins[0].left !== one.margins[0].left
          "
          class="text-ink2"
        >
          As she is: {{ sayMargin(now[index].margins[0], units) }}.
        </p>
        <details>
          <summary class="cond text-ink2">Change</summary>
          <div class="mt-1 grid grid-cols-2 items-end gap-2 sm:grid-cols-4">
            <RowField entity="limit" :row="one.limit" field="title" />
            <RowField entity="limit" :row="one.limit" field="kind" />
            <RowField entity="limit" :row="one.limit" field="beamM" />
            <RowField entity="limit" :row="one.limit" field="heightM" />
            <RowField entity="limit" :row="one.limit" field="draughtM" />
            <RowField entity="limit" :row="one.limit" field="weightT" />
            <button
              class="btn btn-small"
              :aria-label="`Remove ${one.limit.title}`"
              @click="store.attempt(`Remove ${one.limit.title}`, [deletion('limit', one.limit)])"
            >
              Remove
            </button>
          </div>
        </details>
      </li>
    </ul>
    <UiAnother
      class="max-w-md"
      entity="limit"
      field="title"
      label="Another limit"
      placeholder="Slings of the yard"
      keep="Add"
    />
    <p class="mt-3 text-sm text-ink2">
      Ask the yard, the lock and the bridge for theirs, and leave a margin for gear, trim and tide.
      Whether she is lifted, the crane firm decides.
    </p>
  </div>
</template>

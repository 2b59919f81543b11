<script setup lang="ts">
import { computed, onScopeDispose } from 'vue'
import { wholeRuns } from '~/stores/odds'

/** When she is done: even odds, and safe, for each gate, by runs of the plan with all that is not known drawn. */
const store = useRefitStore()
const planner = usePlannerStore()
const { odds, datesOf, chanceBy } = useOdds()
const { sayDay, sayDate } = useDates()
/** What it lacks; '': it can be run. */
const lacks = computed(() =>
  !store.accepted
    ? 'There is no plan yet.'
    : store.derived.hoursOpen <= 0
      ? 'No hours are open: there is nothing whose length is not known.'
      : store.accepted.gates.length === 0
        ? 'No gate has a day in the plan.'
        : '',
)
const rows = computed(() =>
  store.derived.gates.flatMap(({ gate, aimedOn }) => {
    const dates = datesOf(gate.id)
    return dates
      ? [{ id: gate.id, name: gate.name, aimedOn, chance: chanceBy(gate.id, aimedOn), ...dates }]
      : []
  }),
)
const sayOn = (on: string | null) => (on === null ? 'no day' : sayDate(on))
const many = wholeRuns.toLocaleString('en-IE')
onScopeDispose(odds.lookCloser())
</script>

<template>
  <section aria-labelledby="gate-forecasts">
    <h2 id="gate-forecasts" class="border-b-2 border-ink text-lg">When she is done</h2>
    <p v-if="lacks" class="mt-1 text-ink2">{{ lacks }}</p>
    <template v-else>
      <table v-if="rows.length > 0" class="w-full border-collapse leading-snug">
        <caption class="sr-only">
          Gates by
          {{ odds.stored?.runs }}
          runs
        </caption>
        <thead>
          <tr class="border-b border-rule text-left text-ink2">
            <th scope="col" class="cond font-normal">Gate</th>
            <th scope="col" class="cond pl-2 font-normal">even odds</th>
            <th scope="col" class="cond pl-2 font-normal">safe, 8 in 10</th>
            <th scope="col" class="cond pl-2 text-right font-normal">by its aim</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in rows" :key="one.id" class="border-b border-rule2 align-top">
            <th scope="row" class="cond text-left font-normal">{{ one.name }}</th>
            <td class="cond pl-2">{{ sayOn(one.likelyOn) }}</td>
            <td class="cond pl-2">{{ sayOn(one.safeOn) }}</td>
            <td class="pl-2 text-right">
              <template v-if="one.chance !== null && one.aimedOn">
                <span class="cond" :class="one.chance < 50 ? 'text-redlead' : ''"
                  >{{ one.chance }} in 100</span
                >
                <span class="block text-sm text-ink2">{{ sayDay(one.aimedOn) }}</span>
              </template>
              <template v-else>–</template>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="rows.length > 0 && !odds.isFresh" class="mt-1 text-redlead" role="status">
        Something changed since: these are of the plan before.
      </p>
      <div class="no-print mt-2 flex flex-wrap items-center gap-3">
        <button
          class="btn btn-small"
          :class="{ 'btn-main': rows.length === 0 }"
          :disabled="odds.progress !== null || planner.busy || odds.wanted === ''"
          @click="odds.runWhole"
        >
          Run the plan {{ many }} times
        </button>
        <template v-if="odds.progress !== null">
          <progress :value="odds.progress" max="1" class="w-32" aria-label="Runs done" />
          <button class="btn btn-small" @click="odds.cancel">Stop</button>
        </template>
        <span v-else-if="odds.stored" class="text-ink2"
          >These are {{ odds.stored.runs.toLocaleString('en-IE') }} runs.</span
        >
      </div>
      <p v-if="odds.failed" class="mt-1 text-redlead" role="alert">{{ odds.failed }}</p>
      <p class="mt-1 text-sm text-ink2">
        Drawn in each run: hours by what such work really takes you and how sure that is, found
        work, work done again, rounds, deliveries, trades that come late, days on which somebody
        does not come, days that do not suit work in the open, a good or a bad season, prices that
        nobody has in writing. Not drawn: a change of what is wanted.
      </p>
    </template>
  </section>
</template>

<script setup lang="ts">
import { computed, onScopeDispose, ref, shallowRef } from 'vue'
import { chanceBy } from '#core/forecast/runs'
import type { Forecast } from '#core/forecast/runs'
import { startOfDate } from '#core/time/zone'
import { addDays } from '#core/time/civil'

/** When she is done: the plan run many times with all that is not known drawn. Even odds, and safe, for each gate. */
const store = useRefitStore()
const planner = usePlannerStore()
const { sayDay, sayDate } = useDates()
const [runs, seed] = [400, 1]
const found = shallowRef<{ readonly forecast: Forecast; readonly of: string } | null>(null)
const progress = ref<number | null>(null)
const failed = ref('')
let mine = 0
onScopeDispose(() => (mine = -1))
const isOld = computed(() => found.value !== null && found.value.of !== planner.hash)

async function run() {
  const asked = ++mine
  const of = planner.hash
  failed.value = ''
  progress.value = 0
  try {
    const forecast = await planner.forecast(runs, seed, (share) => {
      if (asked === mine) progress.value = share
    })
    if (asked !== mine) return
    if (forecast) found.value = { forecast, of }
    else failed.value = 'It was left: something else was asked. Run it again.'
  } catch (error) {
    if (asked === mine) failed.value = sentenceOf(error)
  } finally {
    if (asked === mine) progress.value = null
  }
}
function cancel() {
  mine++
  progress.value = null
}
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
const rows = computed(() => {
  const of = found.value
  if (!of) return []
  const day = (at: number) => (Number.isFinite(at) ? store.zone.dateOf(at) : null)
  return store.derived.gates.flatMap((gate) => {
    const one = of.forecast.gates.find((each) => each.gateId === gate.gate.id)
    if (!one) return []
    // By the end of the aimed day.
    const by = gate.aimedOn && startOfDate(store.zone, addDays(gate.aimedOn, 1)) - 1
    return [
      {
        id: gate.gate.id,
        name: gate.gate.name,
        likelyOn: day(one.likelyAt),
        safeOn: day(one.safeAt),
        aimedOn: gate.aimedOn,
        chance: by ? Math.round(chanceBy(one, by) * 100) : null,
      },
    ]
  })
})
const sayOn = (on: string | null) => (on === null ? 'no day' : sayDate(on))
</script>

<template>
  <section aria-labelledby="gate-forecasts">
    <h2 id="gate-forecasts" class="border-b-2 border-ink text-lg">When she is done</h2>
    <p v-if="lacks" class="mt-1 text-ink2">{{ lacks }}</p>
    <template v-else>
      <table v-if="rows.length > 0" class="w-full border-collapse leading-snug">
        <caption class="sr-only">
          Gates by
          {{
            found?.forecast.runs
          }}
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
      <p v-if="isOld" class="mt-1 text-redlead" role="status">
        Something changed since: these are of the plan before.
      </p>
      <div class="no-print mt-2 flex flex-wrap items-center gap-3">
        <button
          class="btn btn-small"
          :class="{ 'btn-main': rows.length === 0 }"
          :disabled="progress !== null || planner.busy"
          @click="run"
        >
          {{ rows.length === 0 ? `Run the plan ${runs} times` : 'Run it again' }}
        </button>
        <template v-if="progress !== null">
          <progress :value="progress" max="1" class="w-32" aria-label="Runs done" />
          <button class="btn btn-small" @click="cancel">Stop</button>
        </template>
      </div>
      <p v-if="failed" class="mt-1 text-redlead" role="alert">{{ failed }}</p>
      <p class="mt-1 text-sm text-ink2">
        Drawn in each run: hours by what such work really takes you and how sure that is, found
        work, work done again, rounds, deliveries, days on which somebody does not come, a good or a
        bad season. Not drawn: weather hour by hour, trades that stay away.
      </p>
    </template>
  </section>
</template>

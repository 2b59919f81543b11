<script setup lang="ts">
import { computed, ref } from 'vue'
import { howWaterIn } from '#core/how/walk'
import { inOrder } from '#core/model/refit'
import { deletion, patchOf } from '#core/model/removal'
import type { Row } from '#core/model/entities'
import { formatCountdown } from '#core/units/hours'
import { inflowLMin, minutesToSole } from '#core/water/inflow'
import { sayWater, waterFigures } from '#core/water/waterIn'
import { figured } from '#core/units/counted'

/** Water coming in: how fast and from where, fitting by fitting with the hose, and what a hole would let in. */
const store = useRefitStore()
const time = useTimeStore()
const { sayDay } = useDates()
const tests = computed(() => inOrder(store.rows.hoseTest))
const running = computed(() =>
  tests.value.find((one) => one.startedAt !== null && one.outcome === 'waits'),
)
const next = computed(() => tests.value.find((one) => one.outcome === 'waits') ?? null)
const leaking = computed(() => tests.value.filter((one) => one.outcome === 'leaks'))
const edit = (test: Row<'hoseTest'>, patch: Record<string, unknown>) =>
  store.attempt(`Hose: ${test.title}`, [patchOf('hoseTest', test, patch)])
const leftMs = (test: Row<'hoseTest'>) =>
  Math.max(0, (test.startedAt ?? 0) + test.minutes * 60_000 - time.now)
const now = () => Math.round(time.now)
/** Shorter, water that has to creep along a bolt is not seen below. */
const usualMinutes = 10
/** Ended before its time, a test was as long as the hose was on. */
function callDry(test: Row<'hoseTest'>) {
  const on = test.startedAt === null ? null : Math.floor((now() - test.startedAt) / 60_000)
  const minutes = on === null ? test.minutes : Math.min(test.minutes, Math.max(1, on))
  void edit(test, { outcome: 'dry', minutes })
}
const sayDry = (test: Row<'hoseTest'>): string =>
  test.startedAt === null
    ? 'called dry, the hose was not timed'
    : `stayed dry for ${figured(test.minutes, 'minute')}`
/** Hosed again it gets the usual time again, if it had less. */
const afresh = (test: Row<'hoseTest'>) => ({
  outcome: 'waits' as const,
  startedAt: null,
  minutes: Math.max(test.minutes, usualMinutes),
})
async function again() {
  await store.attempt(
    'Begin the hunt again',
    tests.value.map((one) => patchOf('hoseTest', one, afresh(one))),
  )
}
/** What a test looks for was found before its hose was on; what it was kept as, afterwards. Undefined: not kept, or gone. */
const keptAs = (test: Row<'hoseTest'>) =>
  store.rows.finding.find(
    (one) => one.id === test.findingId && one.foundAt >= (test.startedAt ?? 0),
  )
/** What leaks becomes a finding, with the hose as its evidence. */
async function keepFinding(test: Row<'hoseTest'>) {
  const id = newId()
  const zone = store.rows.finding.find((one) => one.id === test.findingId)?.zoneId ?? test.zoneId
  const made = await store.attempt(`Found: ${test.title} lets water in`, [
    {
      op: 'create',
      entity: 'finding',
      id,
      patch: {
        title: `${test.title} lets water in`,
        zoneId: zone,
        severity: 3,
        spreading: true,
        foundAt: now(),
      },
    },
    {
      op: 'create',
      entity: 'evidence',
      id: newId(),
      patch: {
        findingId: id,
        kind: 'leak',
        words: `With the hose on ${test.title.toLowerCase()}`,
        at: now(),
      },
    },
    patchOf('hoseTest', test, { findingId: id }),
  ])
  if (made) await goTo(`/r/${store.refitId}/walk?finding=${id}`)
}
const readings = computed(() =>
  [...store.rows.waterIn]
    .sort((a, b) => (a.on < b.on ? 1 : -1))
    .map((one) => ({ one, figures: waterFigures(one, store.refit?.litresToSole ?? null) })),
)
const form = useRowForm('waterIn', () => ({
  on: store.derived.today,
  litres: null,
  days: 7,
  taste: 'notTried',
  afterRain: false,
}))
async function addReading() {
  const done = await form.save('A water reading', (values) => [
    { op: 'create', entity: 'waterIn', id: newId(), patch: values },
  ])
  if (done) form.reset()
}
const boreMm = ref<number | null>(38)
const depthM = ref<number | null>(0.5)
const hole = computed(() => {
  if (!boreMm.value || depthM.value === null) return null
  const inL = inflowLMin(boreMm.value, depthM.value)
  const pump = store.refit?.pumpLMin ?? 0
  const sole = store.refit?.litresToSole ?? null
  return { inL, pump, minutes: sole === null ? undefined : minutesToSole(inL, pump, sole), sole }
})
const sayMinutes = (minutes: number): string =>
  minutes < 1 ? 'less than a minute' : figured(Math.round(minutes), 'minute')
const heading = computed(() =>
  leaking.value.length > 0
    ? `It comes in at ${leaking.value.map((one) => one.title.toLowerCase()).join(' and ')}`
    : next.value
      ? `Hose next: ${next.value.title.toLowerCase()}`
      : tests.value.length > 0
        ? tests.value.every((one) => one.startedAt !== null)
          ? 'Everything hosed, nothing let water in'
          : 'Everything called dry, nothing let water in'
        : 'Where does the water come in?',
)
</script>

<template>
  <div class="gap-10 lg:grid lg:grid-cols-2">
    <section aria-label="Hose, fitting by fitting">
      <h1>{{ heading }}</h1>
      <p class="text-ink2">
        Dry it out, mark the edge of the wet in chalk, then hose from the lowest fitting up, one at
        a time, with somebody below. A fitting above one that leaks says nothing until that one is
        taped off.
      </p>
      <ol class="mt-3">
        <li
          v-for="(test, index) in tests"
          :key="test.id"
          class="flex flex-wrap items-center gap-2 border-b border-rule2 py-1.5"
        >
          <span class="cond w-6 text-lg">{{ index + 1 }}</span>
          <span class="grow">
            {{ test.title }}
            <span class="text-ink2">
              {{
                test.outcome === 'dry'
                  ? sayDry(test)
                  : test.outcome === 'leaks'
                    ? ''
                    : test.startedAt === null
                      ? `${test.minutes} minutes`
                      : leftMs(test) > 0
                        ? `hose on, ${formatCountdown(leftMs(test))} left`
                        : 'time is up: look below'
              }}</span
            ><b v-if="test.outcome === 'leaks'" class="text-redlead">lets water in</b>
          </span>
          <template v-if="test.outcome === 'waits'">
            <button
              v-if="test.startedAt === null"
              class="btn btn-small"
              :disabled="running !== undefined"
              @click="edit(test, { startedAt: now() })"
            >
              Hose on
            </button>
            <button class="btn btn-small" @click="callDry(test)">Dry</button>
            <button
              class="btn btn-small btn-red"
              @click="edit(test, { outcome: 'leaks', startedAt: test.startedAt ?? now() })"
            >
              Leaks
            </button>
          </template>
          <template v-if="test.outcome === 'leaks'">
            <NuxtLink
              v-if="keptAs(test)"
              class="btn btn-small"
              :to="`/r/${store.refitId}/walk?finding=${test.findingId}`"
              >Its finding<span class="sr-only">: {{ keptAs(test)?.title }}</span></NuxtLink
            >
            <button v-else class="btn btn-small" @click="keepFinding(test)">
              Keep as a finding
            </button>
          </template>
          <button
            v-if="test.outcome !== 'waits'"
            class="btn btn-small"
            @click="edit(test, afresh(test))"
          >
            Again
          </button>
          <button
            class="btn btn-small"
            :aria-label="`Remove ${test.title}`"
            @click="store.attempt(`Remove ${test.title}`, [deletion('hoseTest', test)])"
          >
            Remove
          </button>
        </li>
      </ol>
      <UiAnother
        entity="hoseTest"
        field="title"
        label="Next higher fitting"
        placeholder="Stanchion base 3"
        keep="Add"
      />
      <button v-if="tests.length > 0" class="btn btn-small mt-3" @click="again">
        Begin the hunt again
      </button>
    </section>
    <div class="max-lg:mt-6">
      <div class="no-print mb-2 flex justify-end">
        <NuxtLink class="btn" :to="`/r/${store.refitId}/walk`">To the boat</NuxtLink>
      </div>
      <section aria-label="How fast">
        <h2 class="border-b-2 border-ink text-lg">How fast does it come in?</h2>
        <ul>
          <li
            v-for="{ one, figures } in readings"
            :key="one.id"
            class="border-b border-rule2 py-1.5"
          >
            <p class="flex justify-between gap-3">
              <span class="cond text-lg"
                ><UiHow :how="() => howWaterIn(one, figures, store.refit?.litresToSole ?? null)"
                  >{{ figures.perDayL.toFixed(1) }} L a day</UiHow
                ></span
              >
              <span class="text-ink2"
                >{{ sayDay(one.on) }}: {{ one.litres }} L in {{ figured(one.days, 'day') }}</span
              >
            </p>
            <p>
              {{ sayWater(figures) }}
            </p>
            <button
              class="btn btn-small"
              :aria-label="`Remove the reading of ${sayDay(one.on)}`"
              @click="store.attempt('Remove a reading', [deletion('waterIn', one)])"
            >
              Remove
            </button>
          </li>
        </ul>
        <p v-if="readings.length === 0" class="text-ink2">
          Pump it dry, note the day; when you pump again, note the litres. Taste it: salt comes from
          outside.
        </p>
        <UiRowForm class="grid grid-cols-2" :form="form" keep="Keep the reading" @keep="addReading">
          <FieldInput v-bind="form.bind('on')" />
          <FieldInput v-bind="form.bind('litres')" />
          <FieldInput v-bind="form.bind('days')" />
          <FieldInput v-bind="form.bind('taste')" />
          <FieldInput v-bind="form.bind('afterRain')" />
        </UiRowForm>
        <p class="mt-1 text-sm text-ink2">
          In fresh water the taste rules nothing out. Litres to the sole are in Settings, with the
          boat.
        </p>
      </section>
      <section aria-label="A hole" class="mt-6">
        <h2 class="border-b-2 border-ink text-lg">If a hose lets go</h2>
        <div class="mt-2 grid grid-cols-2 gap-2">
          <UiQuantity v-model="boreMm" label="Bore" unit="mm" :min="1" :max="500" />
          <UiLength
            v-model="depthM"
            label="Under the waterline"
            :units="store.refit?.units ?? 'metric'"
          />
        </div>
        <p v-if="hole" class="mt-1" role="status">
          <span class="cond text-lg text-redlead">{{ Math.round(hole.inL) }} L a minute.</span>
          <template v-if="hole.sole === null">
            Say in Settings how many litres reach the sole.</template
          >
          <template v-else-if="hole.minutes === null">
            The pumps, {{ Math.round(hole.pump) }} L a minute, hold it while the battery
            lasts.</template
          >
          <template v-else>
            The sole is wet in {{ sayMinutes(hole.minutes ?? 0) }}, pumps
            {{ Math.round(hole.pump) }} L a minute taken off.</template
          >
        </p>
        <p class="text-sm text-ink2">
          Q = 0.62·A·√(2gh), a sharp-edged hole. Pumps lift about half of what their plate says.
          Shout, pumps on, shut the valve, plug it; two aboard do these at once.
        </p>
      </section>
    </div>
  </div>
</template>

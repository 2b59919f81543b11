<script setup lang="ts">
import { computed, ref } from 'vue'
import { inOrder } from '#core/model/refit'
import { sayHeight } from '#core/launch/openingAt'
import { bowToStern } from '#core/launch/readiness'

/** What the launch rests on: her openings, the tide at the slip, the lift. */
const store = useRefitStore()
const { next, sheet } = useLaunch()
const openings = useRows('hullOpening')
const sheets = useRows('liftSheet')
const list = computed(() => bowToStern(store.rows))
const openId = ref<string | null>(null)
const open = computed(() => store.rows.hullOpening.find((one) => one.id === openId.value) ?? null)
const jobs = computed(() => {
  const under = new Set(store.rows.zone.filter((one) => one.belowWaterline).map((one) => one.id))
  return [...store.rows.job]
    .sort((a, b) => Number(under.has(b.zoneId ?? '')) - Number(under.has(a.zoneId ?? '')))
    .map((one) => ({ id: one.id, name: one.title }))
})
const zones = computed(() =>
  inOrder(store.rows.zone).map((one) => ({ value: one.id, label: one.name })),
)
const jobTitle = (id: string) => store.rows.job.find((one) => one.id === id)?.title ?? ''
const tie = (id: string) => {
  const one = open.value
  if (one && !one.jobIds.includes(id)) void openings.tick(one, 'jobIds', id)
}
const untie = (id: string) => {
  const one = open.value
  if (one) void openings.tick(one, 'jobIds', id)
}
const lift = () =>
  next.value &&
  sheets.add({
    haulOutId: next.value.haulOut.id,
    weightT: store.refit?.weightT ?? null,
    weighedOn: next.value.haulOut.liftOutActual,
  })
</script>

<template>
  <div class="max-w-4xl">
    <div class="flex items-start justify-between gap-3">
      <h1>What the launch rests on</h1>
      <NuxtLink class="btn" :to="`/r/${store.refitId}/launch`">Readiness</NuxtLink>
    </div>
    <section class="mt-3" aria-labelledby="in-openings">
      <h2 id="in-openings" class="border-b-2 border-ink">Openings</h2>
      <p v-if="list.length === 0" class="text-ink2">
        Valves, intakes, drains, transducers, the shaft, the rudder stock: every place where water
        could get in. Each is asked after at every launch.
      </p>
      <p class="mt-1">Press her where water could get in, or name it under the list.</p>
      <OpeningsTap class="max-w-2xl" @made="openId = $event" />
      <ul>
        <li v-for="(one, index) in list" :key="one.id" class="border-b border-rule2 py-1">
          <button class="underline max-sm:min-h-11" @click="openId = one.id">
            {{ index + 1 }} {{ one.title }}</button
          ><span class="text-ink2"
            >, {{ sayHeight(one.heightM)
            }}{{ one.boreMm ? `, ${one.boreMm} mm` : ', bore not measured'
            }}{{ one.jobIds.length > 0 ? `, ${one.jobIds.map(jobTitle).join(', ')}` : '' }}</span
          >
        </li>
      </ul>
      <UiAnother
        entity="hullOpening"
        field="title"
        label="Another opening"
        keep="Add"
        @made="openId = $event"
      />
    </section>
    <SlipSettings v-if="next?.yard" class="mt-6" :yard="next.yard" />
    <p v-else class="mt-6 text-ink2">
      The haul-out names no yard: give it one in Settings, and its slip can have a tide.
    </p>
    <section class="mt-6" aria-labelledby="in-lift">
      <h2 id="in-lift" class="border-b-2 border-ink">The lift</h2>
      <LiftSettings v-if="sheet" :sheet="sheet" />
      <template v-else-if="next">
        <p class="text-ink2">
          Weight, slings and the crane’s chart, from the crane firm or its last lift plan. What is
          reckoned from them is for asking the firm, not for lifting by.
        </p>
        <button class="btn mt-2" @click="lift">Write the lift down</button>
      </template>
    </section>
    <UiDialog :open="open !== null" :title="open?.title ?? ''" @close="openId = null">
      <div v-if="open" class="grid gap-3 sm:grid-cols-2">
        <RowField entity="hullOpening" :row="open" field="title" />
        <RowField entity="hullOpening" :row="open" field="kind" />
        <RowField
          entity="hullOpening"
          :row="open"
          field="zoneId"
          :options="zones"
          none="Not said"
        />
        <RowField entity="hullOpening" :row="open" field="side" />
        <RowField
          entity="hullOpening"
          :row="open"
          field="along"
          label="How far forward, 0 stern to 1 bow"
        />
        <RowField entity="hullOpening" :row="open" field="heightM" />
        <RowField entity="hullOpening" :row="open" field="boreMm" />
        <RowField entity="hullOpening" :row="open" field="plug" />
        <RowField entity="hullOpening" :row="open" field="plugMm" />
        <RowField entity="hullOpening" :row="open" field="shutBy" />
        <RowField entity="hullOpening" :row="open" field="reach" class="sm:col-span-2" />
        <div class="sm:col-span-2">
          <h3>Work on it</h3>
          <ul>
            <li v-for="id in open.jobIds" :key="id" class="flex items-center justify-between gap-2">
              {{ jobTitle(id)
              }}<button
                class="btn btn-quiet btn-small"
                :aria-label="`Not its work: ${jobTitle(id)}`"
                @click="untie(id)"
              >
                Take off
              </button>
            </li>
          </ul>
          <UiPick class="mt-1" label="A job on it" :options="jobs" @pick="tie" />
        </div>
        <button
          class="btn justify-self-start"
          @click="openings.remove(open).then((done) => done && (openId = null))"
        >
          Take it off the list
        </button>
      </div>
    </UiDialog>
  </div>
</template>

<script setup lang="ts">
import { Printer } from '@lucide/vue'
import { computed } from 'vue'
import { bowToStern } from '#core/launch/readiness'
import { inflowLMin, minutesToSole } from '#core/water/inflow'
import { figured } from '#core/units/counted'

/** The damage card: every opening, how to get at it, shut it, plug it, and how fast water comes in. To hang by the hatch. */
const store = useRefitStore()
const rows = computed(() =>
  bowToStern(store.rows).map((one, index) => {
    const refit = store.refit
    const litres =
      one.boreMm === null || one.heightM >= 0 ? null : inflowLMin(one.boreMm, -one.heightM)
    const minutes =
      litres === null || !refit || refit.litresToSole === null
        ? undefined
        : minutesToSole(litres, (refit.pumpLMin ?? 0) / 2, refit.litresToSole)
    return {
      id: one.id,
      one,
      number: index + 1,
      litres,
      minutes,
      plug: optionsOf('hullOpening', 'plug').find((each) => each.value === one.plug)?.label ?? '',
    }
  }),
)
const worst = computed(() =>
  rows.value.reduce<(typeof rows.value)[number] | null>(
    (most, one) => ((one.litres ?? 0) > (most?.litres ?? 0) ? one : most),
    null,
  ),
)
const sayMinutes = (minutes: number | null | undefined) =>
  minutes === undefined ? '' : minutes === null ? 'the pump holds it' : `${Math.ceil(minutes)} min`
const print = () => window.print()
useKeyScope({ pagePrint: print })
</script>

<template>
  <div class="max-w-5xl">
    <div class="flex items-start justify-between gap-3">
      <div>
        <h1>{{ store.refit?.boatName }}: damage card</h1>
        <p v-if="worst && worst.litres !== null">
          The largest that is measured is {{ worst.number }}, {{ worst.one.title.toLowerCase() }}:
          {{ Math.round(worst.litres) }} litres a minute<template v-if="worst.minutes !== undefined"
            >;
            {{
              worst.minutes === null
                ? 'the pump holds it'
                : `the sole is wet in ${figured(Math.ceil(worst.minutes), 'minute')}`
            }}</template
          >.
        </p>
      </div>
      <div class="no-print flex gap-2">
        <NuxtLink class="btn" :to="`/r/${store.refitId}/launch`">Readiness</NuxtLink>
        <button class="btn" @click="print"><Printer :size="17" aria-hidden="true" /> Print</button>
      </div>
    </div>
    <p class="my-2 border-l-4 border-redlead bg-redlead-tint p-2 text-lg">
      <strong>Water coming in:</strong> shout. Pumps on. Find it, shut it, plug it. Call before the
      sole is wet. Two aboard do these at once.
    </p>
    <UiTable
      caption="Openings, bow to stern"
      :columns="[
        { key: 'number', label: 'No' },
        { key: 'title', label: 'Opening and way to it' },
        { key: 'bore', label: 'Bore', number: true },
        { key: 'plug', label: 'Plug' },
        { key: 'shut', label: 'Shut by' },
        { key: 'litres', label: 'L a minute', number: true },
        { key: 'minutes', label: 'To the sole', number: true },
      ]"
      :rows="rows"
      empty="No opening is written down yet."
    >
      <template #number="{ row }">{{ row.number }}</template>
      <template #title="{ row }">
        <strong>{{ row.one.title }}</strong>
        <span class="block text-ink2">{{ row.one.reach }}</span>
      </template>
      <template #bore="{ row }">{{ row.one.boreMm ? `${row.one.boreMm} mm` : '' }}</template>
      <template #plug="{ row }"
        ><span :class="row.one.plug === 'none' ? 'text-redlead' : ''">{{
          row.plug
        }}</span></template
      >
      <template #shut="{ row }">{{ row.one.shutBy || 'no way written down' }}</template>
      <template #litres="{ row }">{{
        row.litres === null ? 'dry as she floats' : Math.round(row.litres)
      }}</template>
      <template #minutes="{ row }">{{ sayMinutes(row.minutes) }}</template>
    </UiTable>
    <p class="mt-2 text-ink2">
      Litres by the hole alone, Q = 0.62·A·√(2gh), at the depth she floats at; a hose behind it lets
      in less. The pump is taken at half of what its plate says.
    </p>
  </div>
</template>

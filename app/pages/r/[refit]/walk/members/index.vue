<script setup lang="ts">
import { computed, ref } from 'vue'
import { keyBetween } from '#core/model/order'
import { inOrder } from '#core/model/refit'
import { memberKinds } from '#core/model/words'
import { sheetFigures } from '#core/members/sheetFigures'
import { capital } from '#core/units/counted'

/** Count sheets: members by station and side. And a new one. */
const store = useRefitStore()
const sheets = computed(() =>
  inOrder(store.rows.countSheet).map((sheet) => ({
    sheet,
    figures: sheetFigures(sheet, store.rows.member),
  })),
)
const form = useRowForm('countSheet', () => ({
  title: '',
  zoneId: null,
  mendHours: 2,
  renewHours: 40,
}))
const kind = ref<(typeof memberKinds)[number]>('frame')
const stations = ref<number | null>(10)
const sides = ref<'both' | 'centre'>('both')
const wrong = ref('')
const kinds = memberKinds.map((value) => ({
  value,
  label: capital(value),
}))
async function make() {
  wrong.value = ''
  if (stations.value === null || stations.value < 1) {
    wrong.value = 'How many stations? One at least.'
    return
  }
  const id = newId()
  const order = keyBetween(inOrder(store.rows.countSheet).at(-1)?.order ?? null, null)
  const all = Array.from({ length: stations.value }, (_, at) => at + 1)
  const lanes = sides.value === 'both' ? (['starboard', 'port'] as const) : (['centre'] as const)
  const done = await form.save(`Count sheet: ${String(form.values.title)}`, (values) => [
    { op: 'create', entity: 'countSheet', id, patch: { ...values, order } },
    ...all.flatMap((station) =>
      lanes.map((side) => ({
        op: 'create' as const,
        entity: 'member' as const,
        id: newId(),
        patch: { sheetId: id, kind: kind.value, station, side },
      })),
    ),
  ])
  if (done) await goTo(`/r/${store.refitId}/walk/members/${id}`)
}
</script>

<template>
  <div class="gap-10 lg:grid lg:grid-cols-2">
    <div>
      <h1>Count sheets</h1>
      <p v-if="sheets.length === 0" class="text-ink2">
        None yet. Name what is counted, its stations and sides, and the sheet stands.
      </p>
      <ul class="mt-2">
        <li v-for="{ sheet, figures } in sheets" :key="sheet.id" class="border-b border-rule2 py-2">
          <NuxtLink
            class="cond text-xl underline"
            :to="`/r/${store.refitId}/walk/members/${sheet.id}`"
            >{{ sheet.title }}</NuxtLink
          >
          <p v-if="figures" class="text-ink2">
            {{ figures.main.seen }} of {{ figures.main.all }} {{ figures.main.kind }}s seen,
            {{ figures.main.bad }} bad
          </p>
        </li>
      </ul>
      <NuxtLink class="btn mt-4" :to="`/r/${store.refitId}/walk`">To the boat</NuxtLink>
    </div>
    <form class="grid content-start gap-3 max-lg:mt-6" @submit.prevent="make">
      <h2>A new one</h2>
      <div class="grid grid-cols-2 gap-3">
        <FieldInput v-bind="form.bind('title')" />
        <FieldInput v-bind="form.bind('zoneId')" none="Place not said" />
        <UiSelect v-model="kind" label="What is counted" :options="kinds" />
        <UiNumber v-model="stations" label="Stations, from the bow" :min="1" :max="400" whole />
        <UiSelect
          v-model="sides"
          label="Sides"
          :options="[
            { value: 'both', label: 'Starboard and port' },
            { value: 'centre', label: 'On the centreline' },
          ]"
        />
        <FieldInput v-bind="form.bind('mendHours')" />
        <FieldInput v-bind="form.bind('renewHours')" />
      </div>
      <p v-if="wrong || form.wrong.value" class="text-redlead" role="alert">
        {{ wrong || form.wrong.value }}
      </p>
      <button class="btn btn-main" type="submit">Make the sheet</button>
    </form>
  </div>
</template>

<script setup lang="ts">
import { computed, ref } from 'vue'
import { polygonArea } from '#core/geometry/polygon'
import { keyBetween } from '#core/model/order'
import { inOrder } from '#core/model/refit'
import { outlineByWidths } from '#core/panel/paint'
import { sayArea } from '#core/panel/sayPanel'
import { boatUnit, parseLength } from '#core/units/length'

/** A panel as it is measured: its length along a datum, and its width at equal distances. */
const store = useRefitStore()
const { lastZoneId } = useDevice()
const units = computed(() => store.refit?.units ?? 'metric')
const form = useRowForm('panel', () => {
  const zone = store.rows.zone.find((one) => one.id === lastZoneId.value)
  return {
    title: zone?.name ?? '',
    zoneId: zone?.id ?? null,
    datum: 'Centreline',
    cellM: 0.12,
    wetFrom: 18,
    dampFrom: 14,
    carriesLoad: true,
    coreMm: zone?.coreMm ?? null,
  }
})
const lengthM = ref<number | null>(null)
const widths = ref('')
const wrong = ref('')
const read = computed(() =>
  widths.value
    .split(/[;\s]+/)
    .filter(Boolean)
    .map((word) => parseLength(word, units.value, boatUnit(units.value))),
)
const bad = computed(() => read.value.find((one) => !one.ok))
const outline = computed(() => {
  const list = read.value.flatMap((one) => (one.ok ? [one.value] : []))
  if (lengthM.value === null || bad.value || list.length === 0) return []
  return outlineByWidths(lengthM.value, list.length === 1 ? [list[0] ?? 0, list[0] ?? 0] : list)
})
const area = computed(() => (outline.value.length > 2 ? polygonArea(outline.value) : 0))
async function make() {
  wrong.value = ''
  if (bad.value && !bad.value.ok) {
    wrong.value = bad.value.message
    return
  }
  if (area.value === 0) {
    wrong.value = 'A panel needs a size: give its length and at least one width.'
    return
  }
  const id = newId()
  const mapId = newId()
  const order = keyBetween(inOrder(store.rows.panel).at(-1)?.order ?? null, null)
  const done = await form.save(`Panel: ${String(form.values.title)}`, (values) => [
    { op: 'create', entity: 'panel', id, patch: { ...values, outline: outline.value, order } },
    {
      op: 'create',
      entity: 'coreMap',
      id: mapId,
      patch: { panelId: id, takenOn: store.derived.today },
    },
  ])
  if (done) await goTo(`/r/${store.refitId}/walk/core/${id}`)
}
</script>

<template>
  <form class="grid max-w-2xl gap-4" @submit.prevent="make">
    <h1>Map a panel</h1>
    <p>
      Measure it as you would for a template: its length along a straight datum, then its width from
      there at equal distances, the two ends among them.
    </p>
    <div class="grid grid-cols-2 gap-3">
      <FieldInput v-bind="form.bind('title')" />
      <FieldInput v-bind="form.bind('zoneId')" none="Place not said" />
      <FieldInput v-bind="form.bind('datum')" class="col-span-2" />
      <UiLength v-model="lengthM" label="Length along the datum" :units="units" may-be-empty />
      <UiText
        v-model="widths"
        label="Widths, one after the other"
        placeholder="0.22 0.6 0.88 1.3"
      />
      <FieldInput v-bind="form.bind('cellM')" />
      <FieldInput v-bind="form.bind('coreMm')" />
      <FieldInput v-bind="form.bind('wetFrom')" />
      <FieldInput v-bind="form.bind('dampFrom')" />
      <FieldInput v-bind="form.bind('carriesLoad')" class="col-span-2" />
    </div>
    <p role="status">{{ area > 0 ? `${sayArea(area)} in all.` : 'No size yet.' }}</p>
    <p v-if="wrong || form.wrong.value" class="text-redlead" role="alert">
      {{ wrong || form.wrong.value }}
    </p>
    <div class="flex gap-2">
      <button class="btn btn-main" type="submit">Begin its map</button>
      <NuxtLink class="btn" :to="`/r/${store.refitId}/walk`">Leave it</NuxtLink>
    </div>
  </form>
</template>

<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Finding, Row } from '#core/model/entities'
import { evidenceUnit, soundsOf } from '#core/walk/sayEvidence'
import { capital } from '#core/units/counted'

/** A reading of a finding: by tap, meter, probe, rule or eye. */
const props = defineProps<{ finding: Finding }>()
const store = useRefitStore()
const time = useTimeStore()
const personId = useMe()
/** The meter that was used last is likely in the hand now. */
const lastMeter = () => store.rows.evidence.filter((one) => one.kind === 'moisture').at(-1)
const form = useRowForm('evidence', () => {
  const meter = lastMeter()
  return {
    kind: 'tap',
    value: null,
    sounds: null,
    meter: meter?.meter ?? '',
    scaleLow: meter?.scaleLow ?? 0,
    scaleHigh: meter?.scaleHigh ?? 35,
    words: '',
  }
})
/** The weight of a deflection test and where it stood: the same again, so that before and after can be compared. */
const under = ref(
  store.rows.evidence
    .filter((one) => one.kind === 'sag' && one.findingId === props.finding.id)
    .at(-1)?.meter ?? '',
)
const kind = computed(() => form.values.kind as Row<'evidence'>['kind'])
const unit = computed(() => evidenceUnit[kind.value])
const sounds = computed(() =>
  (soundsOf[kind.value] ?? []).map((value) => ({
    value,
    label: capital(value),
  })),
)
async function add() {
  const isMoisture = kind.value === 'moisture'
  const isSag = kind.value === 'sag'
  const empty =
    kind.value !== 'leak' &&
    (unit.value === null ? !form.values.sounds : form.values.value === null)
  if (empty && String(form.values.words ?? '') === '') {
    form.wrong.value = unit.value === null ? 'Say how it sounded.' : 'Give the reading.'
    return
  }
  const done = await form.save(`Reading: ${props.finding.title}`, (values) => [
    {
      op: 'create',
      entity: 'evidence',
      id: newId(),
      patch: {
        kind: values.kind,
        value: unit.value === null ? null : values.value,
        sounds: unit.value === null ? values.sounds : null,
        meter: isMoisture ? values.meter : isSag ? under.value.trim() : '',
        scaleLow: isMoisture ? values.scaleLow : null,
        scaleHigh: isMoisture ? values.scaleHigh : null,
        words: values.words,
        findingId: props.finding.id,
        at: Math.round(time.now),
        by: personId.value === '' ? null : personId.value,
      },
    },
  ])
  if (done) form.reset()
}
</script>

<template>
  <form class="mt-2 grid grid-cols-2 items-end gap-2" @submit.prevent="add">
    <FieldInput v-bind="form.bind('kind')" />
    <UiSelect
      v-if="unit === null"
      :model-value="(form.values.sounds as string | null) ?? null"
      label="It was"
      :options="sounds"
      none="Not said"
      @update:model-value="form.set('sounds', $event)"
    />
    <FieldInput v-else v-bind="form.bind('value', unit === '' ? 'Reading' : `Reading, ${unit}`)" />
    <template v-if="kind === 'moisture'">
      <FieldInput v-bind="form.bind('meter')" class="col-span-2" />
      <FieldInput v-bind="form.bind('scaleLow')" />
      <FieldInput v-bind="form.bind('scaleHigh')" />
    </template>
    <UiText
      v-if="kind === 'sag'"
      v-model="under"
      class="col-span-2"
      label="Under which weight, at which point"
      placeholder="80 kg, mid-panel"
      :most="100"
    />
    <FieldInput v-bind="form.bind('words')" class="col-span-2" />
    <p v-if="form.wrong.value" class="col-span-2 text-redlead" role="alert">
      {{ form.wrong.value }}
    </p>
    <button class="btn col-span-2" type="submit" :disabled="form.busy.value">
      Keep the reading
    </button>
  </form>
</template>

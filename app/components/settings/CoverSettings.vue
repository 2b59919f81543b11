<script setup lang="ts">
import { computed } from 'vue'
import { inOrder } from '#core/model/refit'

/** What stands over her and warms her: from a day to a day, over which places, and what it adds. */
const store = useRefitStore()
const covers = useRows('cover')
const { sayDay } = useDates()
const list = computed(() =>
  [...store.rows.cover].sort((a, b) => (a.upOn < b.upOn ? -1 : a.upOn > b.upOn ? 1 : 0)),
)
const zones = computed(() =>
  inOrder(store.rows.zone).map((zone) => ({ value: zone.id, label: zone.name })),
)
const strikes = computed(() =>
  store.rows.step
    .filter(
      (step) =>
        step.state !== 'dropped' && ['strip', 'packUp', 'finish', 'fit'].includes(step.operation),
    )
    .map((step) => ({ value: step.id, label: step.title })),
)
/** Over the first place and up today, until more is said. */
const begun = () => {
  const { today } = store.derived
  return { zoneIds: zones.value.slice(0, 1).map((one) => one.value), upOn: today, downOn: today }
}
</script>

<template>
  <section aria-labelledby="set-covers">
    <h2 id="set-covers" class="border-b-2 border-ink">Cover and heat</h2>
    <p class="text-ink2">
      While a tent, tarpaulin or shed stands over a place it is not rained on and work there waits
      for no weather; heat makes cures shorter and cold days fit. The plan follows.
    </p>
    <div v-for="one in list" :key="one.id" class="border-b border-rule py-3">
      <div class="grid grid-cols-2 items-end gap-3 md:grid-cols-4">
        <RowField entity="cover" :row="one" field="title" />
        <RowField entity="cover" :row="one" field="kind" />
        <RowField entity="cover" :row="one" field="upOn" />
        <RowField entity="cover" :row="one" field="downOn" />
        <RowField entity="cover" :row="one" field="addsC" label="Warmer by, °C" />
        <RowField entity="cover" :row="one" field="perDayMinor" />
        <RowField
          entity="cover"
          :row="one"
          field="strikeStepId"
          class="col-span-2"
          :options="strikes"
          none="No step: its last day says"
        />
      </div>
      <details class="mt-2">
        <summary class="cond">
          Over {{ one.zoneIds.length }} {{ one.zoneIds.length === 1 ? 'place' : 'places' }}
        </summary>
        <UiChoices
          :model-value="covers.asked(one).zoneIds"
          :label="`Places under ${one.title}`"
          :options="zones"
          @update:model-value="covers.edit(one, { zoneIds: [...$event] })"
        />
      </details>
      <button
        class="btn btn-small mt-2"
        :aria-label="`Remove ${one.title}`"
        @click="covers.remove(one)"
      >
        Remove
      </button>
    </div>
    <UiAnother
      entity="cover"
      field="title"
      label="Another cover or heater"
      :hint="`Up on ${sayDay(store.derived.today)} until you say otherwise.`"
      keep="Add it"
      :rest="begun"
    />
  </section>
</template>

<script setup lang="ts">
import { ref } from 'vue'
import type { CoreMap, Panel } from '#core/model/entities'
import { patchOf } from '#core/model/removal'

/** What is set of a panel: its limits, its fittings, its size. */
const props = defineProps<{ panel: Panel; map: CoreMap | null }>()
const emit = defineEmits<{ remove: [] }>()
const store = useRefitStore()
const fitting = ref({ title: '', x: null as number | null, y: null as number | null })
async function addFitting() {
  const { title, x, y } = fitting.value
  if (title.trim() === '' || x === null || y === null) return
  const fittings = [...props.panel.fittings, { title: title.trim(), at: [x, y] }]
  if (await store.attempt('A fitting', [patchOf('panel', props.panel, { fittings })]))
    fitting.value = { title: '', x: null, y: null }
}
</script>

<template>
  <section aria-label="The panel">
    <details>
      <summary class="cond text-lg">The panel: limits, fittings, size</summary>
      <div class="mt-2 grid grid-cols-2 items-end gap-2">
        <RowField entity="panel" :row="panel" field="title" class="col-span-2" />
        <RowField entity="panel" :row="panel" field="wetFrom" />
        <RowField entity="panel" :row="panel" field="dampFrom" />
        <RowField entity="panel" :row="panel" field="dryReading" />
        <RowField entity="panel" :row="panel" field="dryReadingAt" />
        <RowField entity="panel" :row="panel" field="coreMm" />
        <RowField entity="panel" :row="panel" field="cellM" />
        <RowField entity="panel" :row="panel" field="zoneId" />
        <RowField entity="panel" :row="panel" field="carriesLoad" />
        <RowField
          v-if="map"
          entity="coreMap"
          :row="map"
          field="scaleHigh"
          label="Meter’s scale to"
        />
      </div>
      <ul class="mt-2">
        <li
          v-for="one in panel.fittings"
          :key="one.title"
          class="flex items-center justify-between border-b border-rule2"
        >
          {{ one.title }}, {{ Math.round(one.at[0] * 1000) }} mm along,
          {{ Math.round(one.at[1] * 1000) }} mm out
          <button
            class="btn btn-small"
            :aria-label="`Remove ${one.title}`"
            @click="
              store.attempt(`Remove ${one.title}`, [
                patchOf('panel', panel, {
                  fittings: panel.fittings.filter((other) => other !== one),
                }),
              ])
            "
          >
            Remove
          </button>
        </li>
      </ul>
      <form
        class="mt-2 grid grid-cols-[1fr_6rem_6rem_auto] items-end gap-2"
        @submit.prevent="addFitting"
      >
        <UiText v-model="fitting.title" label="Another fitting" />
        <UiLength
          v-model="fitting.x"
          label="Along"
          :units="store.refit?.units ?? 'metric'"
          may-be-empty
        />
        <UiLength
          v-model="fitting.y"
          label="Out"
          :units="store.refit?.units ?? 'metric'"
          may-be-empty
        />
        <button class="btn" type="submit">Add</button>
      </form>
      <button class="btn btn-small mt-3" @click="emit('remove')">Remove the panel</button>
    </details>
  </section>
</template>

<script setup lang="ts">
import { computed } from 'vue'
import { inOrder } from '#core/model/refit'

/** Places on the boat. */
const store = useRefitStore()
const zones = useRows('zone')
const list = computed(() => inOrder(store.rows.zone))
</script>

<template>
  <details>
    <summary class="cond border-b-2 border-ink text-xl">
      Places on the boat, {{ list.length }}
    </summary>
    <ul>
      <li
        v-for="zone in list"
        :key="zone.id"
        class="grid grid-cols-2 items-end gap-2 border-b border-rule2 py-1.5 md:grid-cols-[2fr_8rem_9rem_9rem_auto_auto]"
      >
        <RowField entity="zone" :row="zone" field="name" hide-label label="Name" />
        <RowField
          entity="zone"
          :row="zone"
          field="side"
          hide-label
          :label="`Side of ${zone.name}`"
        />
        <RowField
          entity="zone"
          :row="zone"
          field="strake"
          hide-label
          :label="`Strake of ${zone.name}`"
        />
        <RowField
          entity="zone"
          :row="zone"
          field="colour"
          hide-label
          :label="`Surface of ${zone.name}`"
          none="Surface not said"
        />
        <RowField entity="zone" :row="zone" field="belowWaterline" />
        <button
          class="btn btn-small"
          :aria-label="`Remove ${zone.name}`"
          @click="zones.remove(zone)"
        >
          Remove
        </button>
      </li>
    </ul>
    <UiAnother entity="zone" field="name" label="Another place on the boat" keep="Add place" />
  </details>
</template>

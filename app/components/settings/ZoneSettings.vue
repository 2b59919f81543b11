<script setup lang="ts">
import { computed, ref } from 'vue'
import { keyBetween } from '#core/model/order'
import { inOrder } from '#core/model/refit'

/** Places on the boat. */
const store = useRefitStore()
const zones = useRows('zone')
const list = computed(() => inOrder(store.rows.zone))
const newName = ref('')
const strakes = [
  { value: 'underwater', label: 'Underwater' },
  { value: 'deck', label: 'On deck' },
  { value: 'rig', label: 'Rig' },
  { value: 'below', label: 'Below' },
] as const
async function add() {
  if (newName.value.trim() === '') return
  if (
    await zones.add({
      name: newName.value,
      order: keyBetween(list.value.at(-1)?.order ?? null, null),
    })
  )
    newName.value = ''
}
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
        <UiSelect
          :model-value="zone.strake"
          :label="`Strake of ${zone.name}`"
          hide-label
          :options="strakes"
          @update:model-value="zones.edit(zone, { strake: $event })"
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
    <form class="mt-2 flex items-end gap-2" @submit.prevent="add">
      <UiText v-model="newName" label="Another place on the boat" />
      <button class="btn" type="submit">Add place</button>
    </form>
  </details>
</template>

<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Step } from '#core/model/entities'
import { keyBetween } from '#core/model/order'
import { inOrder } from '#core/model/refit'

/** What to bring for a step: the start of its kit. */
const props = defineProps<{ step: Step }>()
const store = useRefitStore()
const lines = computed(() =>
  inOrder(store.rows.bringLine.filter((one) => one.stepId === props.step.id)),
)
const what = ref('')
const amount = ref('')
const at = ref<'boat' | 'shed' | 'home' | 'toBuy' | null>('shed')
const kind = ref<'part' | 'tool' | 'consumable' | null>('consumable')
const kinds = [
  { value: 'consumable', label: 'Used up' },
  { value: 'tool', label: 'Tool' },
  { value: 'part', label: 'Part' },
] as const
const places = [
  { value: 'boat', label: 'At the boat' },
  { value: 'shed', label: 'In the shed' },
  { value: 'home', label: 'At home' },
  { value: 'toBuy', label: 'To buy' },
] as const

async function add() {
  if (what.value.trim() === '') return
  const order = keyBetween(lines.value.at(-1)?.order ?? null, null)
  const patch = {
    stepId: props.step.id,
    what: what.value,
    amount: amount.value,
    at: at.value,
    kind: kind.value,
    order,
  }
  if (
    await store.attempt(`Bring ${what.value}`, [
      { op: 'create', entity: 'bringLine', id: newId(), patch },
    ])
  ) {
    what.value = ''
    amount.value = ''
  }
}
const shops = computed(() =>
  store.rows.place
    .filter((one) => one.kind === 'shop')
    .map((one) => ({ value: one.id, label: one.name })),
)
const tools = computed(() =>
  inOrder(store.rows.tool).map((one) => ({ value: one.id, label: one.name })),
)
const remove = (line: (typeof lines.value)[number]) =>
  store.attempt(`Do not bring ${line.what}`, [
    { op: 'delete', entity: 'bringLine', id: line.id, baseVersion: line.version },
  ])
</script>

<template>
  <div>
    <h4 class="text-base">Bring</h4>
    <ul>
      <li v-for="line in lines" :key="line.id" class="flex items-center gap-2">
        <span class="grow">
          {{ line.what }}<template v-if="line.amount">, {{ line.amount }}</template>
          <span class="text-ink2"> · {{ places.find((one) => one.value === line.at)?.label }}</span>
        </span>
        <template v-if="line.kind === 'tool' && tools.length > 0">
          <RowField
            entity="bringLine"
            :row="line"
            field="toolId"
            hide-label
            quiet
            :options="tools"
            none="By its name"
            :label="`Which tool: ${line.what}`"
          />
          <RowField
            entity="bringLine"
            :row="line"
            field="needsMm"
            hide-label
            quiet
            placeholder="must reach"
            :label="`${line.what} must reach`"
          />
        </template>
        <RowField
          v-if="line.at === 'toBuy' && shops.length > 1"
          entity="bringLine"
          :row="line"
          field="shopId"
          hide-label
          quiet
          :options="shops"
          none="Any shop"
          :label="`Shop for ${line.what}`"
        />
        <button
          class="btn btn-quiet btn-small"
          :aria-label="`Do not bring ${line.what}`"
          @click="remove(line)"
        >
          Remove
        </button>
      </li>
    </ul>
    <form
      class="mt-1 grid grid-cols-2 items-end gap-2 sm:grid-cols-[2fr_1fr_1fr_1fr_auto]"
      @submit.prevent="add"
    >
      <UiText v-model="what" label="What" :most="200" />
      <UiText v-model="amount" label="How much" :most="60" />
      <UiSelect v-model="kind" label="Kind" :options="kinds" />
      <UiSelect v-model="at" label="Where it is" :options="places" />
      <button class="btn" type="submit">Add</button>
    </form>
  </div>
</template>

<script setup lang="ts">
import { computed, ref } from 'vue'

/** Who sells: where their shop is, or how long it takes by post. Windows to buy rest on it. */
const store = useRefitStore()
const rows = useRows('supplier')
const list = computed(() =>
  [...store.rows.supplier].sort((a, b) => a.name.localeCompare(b.name, 'en', { numeric: true })),
)
const openId = ref<string | null>(null)
const open = computed(() => store.rows.supplier.find((one) => one.id === openId.value) ?? null)
const shops = computed(() =>
  store.rows.place
    .filter((one) => one.kind === 'shop')
    .map((one) => ({ value: one.id, label: one.name })),
)
const lead = (days: number, late: number | null) =>
  `${days === 0 ? 'over the counter' : `${days} ${days === 1 ? 'day' : 'days'}`}${late === null ? '' : `, ${late} when it goes badly`}`
</script>

<template>
  <section aria-labelledby="stores-suppliers">
    <h2 id="stores-suppliers" class="border-b-2 border-ink">Suppliers</h2>
    <ul>
      <li v-for="one in list" :key="one.id" class="border-b border-rule2 py-1.5">
        <button
          class="text-left underline decoration-rule underline-offset-4 max-sm:min-h-11"
          @click="openId = one.id"
        >
          {{ one.name }}</button
        ><span class="text-ink2">, {{ lead(one.leadDays, one.leadLateDays) }}</span>
      </li>
      <li v-if="list.length === 0" class="py-3 text-ink2">
        Nobody is written down: seven days are assumed for every part until somebody is.
      </li>
    </ul>
    <div class="mt-2 flex flex-wrap gap-2">
      <NuxtLink class="btn btn-small" :to="`/r/${store.refitId}/parts`">All parts</NuxtLink>
      <NuxtLink class="btn btn-small" :to="`/r/${store.refitId}/prices`"
        >Prices from a list</NuxtLink
      >
      <a class="btn btn-small" :href="`/api/refits/${store.refitId}/parts.csv`" download
        >Parts as CSV</a
      >
      <a class="btn btn-small" :href="`/api/refits/${store.refitId}/parts.xlsx`" download
        >Parts as XLSX</a
      >
    </div>
    <UiAnother
      entity="supplier"
      field="name"
      label="Another supplier"
      keep="Add"
      @made="openId = $event"
    />
    <UiDialog :open="open !== null" :title="open?.name ?? ''" @close="openId = null">
      <div v-if="open" class="grid gap-3 sm:grid-cols-2">
        <RowField entity="supplier" :row="open" field="name" />
        <RowField
          entity="supplier"
          :row="open"
          field="placeId"
          :options="shops"
          none="It comes by post"
        />
        <RowField entity="supplier" :row="open" field="leadDays" />
        <RowField entity="supplier" :row="open" field="leadLateDays" />
        <RowField entity="supplier" :row="open" field="note" class="sm:col-span-2" />
        <button
          class="btn justify-self-start"
          @click="rows.remove(open).then((done) => done && (openId = null))"
        >
          Take them off the list
        </button>
      </div>
    </UiDialog>
  </section>
</template>

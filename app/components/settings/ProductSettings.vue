<script setup lang="ts">
import type { Product } from '#core/model/entities'

/** Products with their data-sheet times, for clocks and for what waits on them. */
const store = useRefitStore()
const products = useRows('product')
const numbers = [
  ['refC', 'Times are for', '°C'],
  ['minC', 'No cure below', '°C'],
  ['maxC', 'Capped at', '°C'],
  ['potLifeH', 'Pot life', 'h'],
  ['potMassG', 'in a cup of', 'g'],
  ['cureH', 'Cure', 'h'],
  ['skinH', 'Has a skin', 'h'],
  ['lightH', 'Takes light parts', 'h'],
  ['loadH', 'Takes load', 'h'],
  ['waterH', 'Takes water', 'h'],
  ['firstDayMm', 'Cured through in a day', 'mm'],
  ['overcoatOpensH', 'Overcoat opens', 'h'],
  ['overcoatClosesH', 'Bond window shuts', 'h'],
  ['immersionMinH', 'Immersion from', 'h'],
  ['immersionMaxH', 'Immersion until', 'h'],
] as const
/** Of a sealant pot and overcoat are nothing; of all else there is no skin. */
const forSealant = ['skinH', 'lightH', 'loadH', 'waterH', 'firstDayMm']
const forResin = ['potLifeH', 'potMassG', 'overcoatOpensH', 'overcoatClosesH']
const numbersOf = (product: Product) =>
  numbers.filter(
    ([field]) =>
      product[field] !== null ||
      !(
        product.kind === 'sealant' ? forResin : product.kind === 'other' ? [] : forSealant
      ).includes(field),
  )
</script>

<template>
  <details>
    <summary class="cond border-b-2 border-ink text-xl">
      Products and their data sheets, {{ store.rows.product.length }}
    </summary>
    <div
      v-for="product in store.rows.product"
      :key="product.id"
      class="grid grid-cols-2 items-end gap-2 border-b border-rule2 py-2 md:grid-cols-4"
    >
      <RowField entity="product" :row="product" field="name" />
      <RowField entity="product" :row="product" field="kind" label="Kind" />
      <template v-for="[field, label, unit] in numbersOf(product)" :key="field">
        <UiHours
          v-if="unit === 'h'"
          :model-value="product[field]"
          :label="label"
          :day="24"
          :most="20000"
          may-be-empty
          @update:model-value="products.edit(product, { [field]: $event })"
        />
        <UiQuantity
          v-else
          :model-value="product[field]"
          :label="label"
          :unit="unit"
          :may-be-empty="field !== 'refC'"
          @update:model-value="products.edit(product, { [field]: $event })"
        />
      </template>
      <button class="btn btn-small" @click="products.remove(product)">Remove</button>
      <details class="col-span-full">
        <summary class="cond">Documents and links of {{ product.name }}</summary>
        <UiDocuments class="mt-1" :owner="{ productId: product.id }" />
      </details>
    </div>
    <UiAnother entity="product" field="name" label="Another product" keep="Add product" />
  </details>
</template>

<script setup lang="ts">
import { computed } from 'vue'
import { inOrder } from '#core/model/refit'
import { partOfSpare, sparesToCarry } from '#core/stores/alsoToBuy'
import type { SpareToCarry } from '#core/stores/alsoToBuy'
import { plainName } from '#core/stores/pool'

/** What wears and is named on the sheets of finished work, and tools of ours that are not on the boat. */
const store = useRefitStore()
const spares = computed(() => sparesToCarry(store.rows))
const tools = computed(() =>
  inOrder(store.rows.tool).filter((one) => one.owned === 'own' && one.at !== 'boat'),
)
const isWritten = (spare: SpareToCarry) =>
  store.rows.part.some(
    (part) =>
      part.neededByStepId === null &&
      plainName(part.name) === plainName(spare.what) &&
      plainName(part.specification) === plainName(spare.value),
  )
const write = (spare: SpareToCarry) =>
  void store.attempt(`Spare: ${spare.what}`, [partOfSpare(spare, newId)])
</script>

<template>
  <section aria-labelledby="to-carry">
    <h2 id="to-carry" class="border-b-2 border-ink">To carry before she sails</h2>
    <ul>
      <li
        v-for="one in spares"
        :key="`${one.what} ${one.value}`"
        class="flex items-center justify-between gap-2 border-b border-rule2 py-1"
      >
        <span class="min-w-0">
          {{ one.what }}<template v-if="one.value">, {{ one.value }}</template>
          <span class="block text-[0.9375rem] leading-tight text-ink2">{{
            one.sheets.join(', ')
          }}</span>
        </span>
        <span v-if="one.isAboard" class="cond shrink-0 text-verdigris">one like it is aboard</span>
        <span v-else-if="isWritten(one)" class="cond shrink-0">on the list to buy</span>
        <button v-else class="btn btn-small shrink-0" @click="write(one)">
          Buy one<span class="sr-only">: {{ one.what }}</span>
        </button>
      </li>
      <li v-if="spares.length === 0" class="py-2 text-ink2">
        No sheet of finished work names a thing that wears yet: belts, impellers, filters, seals.
      </li>
    </ul>
    <p v-if="tools.length > 0" class="mt-1 leading-snug">
      Tools of ours that are not on the boat: {{ tools.map((one) => one.name).join(', ') }}.
    </p>
  </section>
</template>

<script setup lang="ts">
import { Printer } from '@lucide/vue'
import { computed, ref } from 'vue'
import type { Bag } from '#core/model/entities'
import { inOrder } from '#core/model/refit'
import { counted } from '#core/units/counted'

/** Labels for bags: code, what, where from, where back to, and the code as a QR for a phone. */
const store = useRefitStore()
const { nameOf } = useStepNames()
const { pageAddress, isOnlyHere } = usePageAddress()
const onlyStored = ref(true)
const bags = computed(() =>
  inOrder(store.rows.bag).filter((bag) => !onlyStored.value || bag.state !== 'fitted'),
)
const zoneName = (id: string | null) => store.rows.zone.find((one) => one.id === id)?.name ?? ''
const wires = (bagId: string) => store.rows.bagWire.filter((one) => one.bagId === bagId).length
const from = (bag: Bag) => {
  const zone = zoneName(bag.fromZoneId)
  const many = wires(bag.id)
  return zone === '' ? '' : `From ${zone}${many > 0 ? `, ${counted(many, 'wire')}` : ''}`
}
const labels = computed(() =>
  bags.value.map((bag) => ({
    id: bag.id,
    code: pageAddress(`bags?bag=${bag.id}`),
    codeOf: `bag ${bag.code}`,
    large: bag.code,
    small: store.refit?.boatName ?? '',
    lines: [
      bag.what,
      from(bag),
      bag.wantedByStepId ? `Back for: ${nameOf(bag.wantedByStepId)}` : '',
    ].filter((line) => line !== ''),
  })),
)
const print = () => window.print()
</script>

<template>
  <div>
    <div class="no-print mb-4 flex flex-wrap items-center justify-between gap-3">
      <h1>Labels for {{ bags.length }} bags</h1>
      <div class="flex items-center gap-4">
        <UiCheck v-model="onlyStored" label="Only what is not back in place" />
        <button class="btn btn-main" :disabled="bags.length === 0" @click="print">
          <Printer :size="17" aria-hidden="true" /> Print
        </button>
      </div>
    </div>
    <p v-if="isOnlyHere" class="no-print mb-3 text-ink2">
      The codes open the page of their bag in this program, on this computer: a phone that is not it
      finds nothing there. What is printed beside them says the same.
    </p>
    <p v-if="bags.length === 0" class="text-ink2">There are no bags to label.</p>
    <CutLabels :labels="labels" />
  </div>
</template>

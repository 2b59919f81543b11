<script setup lang="ts">
import { Printer } from '@lucide/vue'
import { computed } from 'vue'
import { keptAt as keptSaid } from '#core/model/said'
import { inOrder, groupBy } from '#core/model/refit'
import { counted } from '#core/units/counted'

/** Labels for bins of the shelf: what lies in each; the code leads a phone to that bin. */
const store = useRefitStore()
const most = 4
const bins = computed(() => {
  const lots = inOrder(store.rows.stock).filter((one) => one.bin.trim() !== '' && one.quantity > 0)
  return [...groupBy(lots, (one) => `${one.at} ${one.bin.trim()}`)].map(([key, list]) => ({
    key,
    at: list[0]?.at ?? 'shed',
    bin: list[0]?.bin.trim() ?? '',
    names: list.map((one) => one.name),
  }))
})
const { pageAddress } = usePageAddress()
const address = (at: string, bin: string) =>
  pageAddress(`stores?show=shelf&at=${at}&bin=${encodeURIComponent(bin)}`)
const labels = computed(() =>
  bins.value.map(({ key, at, bin, names }) => ({
    id: key,
    code: address(at, bin),
    codeOf: `${bin}, ${keptSaid[at]}`,
    large: bin,
    small: keptSaid[at],
    lines: [
      ...names.slice(0, most),
      ...(names.length > most ? [`and ${counted(names.length - most, 'more', 'more')}`] : []),
    ],
  })),
)
const print = () => window.print()
</script>

<template>
  <div>
    <div class="no-print mb-4 flex flex-wrap items-center justify-between gap-3">
      <h1>Labels for {{ counted(bins.length, 'bin') }}</h1>
      <button class="btn btn-main" :disabled="bins.length === 0" @click="print">
        <Printer :size="17" aria-hidden="true" /> Print
      </button>
    </div>
    <p v-if="bins.length === 0" class="max-w-lg border-l-4 border-verdigris pl-4">
      Nothing on the shelf says in which bin it lies. Write the bin beside the thing, and it gets a
      label here.
    </p>
    <CutLabels :labels="labels" />
  </div>
</template>

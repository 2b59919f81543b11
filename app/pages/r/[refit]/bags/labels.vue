<script setup lang="ts">
import { Printer } from '@lucide/vue'
import { toString as qrSvg } from 'qrcode'
import { computed, ref, watch } from 'vue'
import { inOrder } from '#core/model/refit'

/** Labels to print and cut: code, what, where from, where back to, and the code as a QR for a phone. */
const store = useRefitStore()
const { nameOf } = useStepNames()
const onlyStored = ref(true)
const bags = computed(() =>
  inOrder(store.rows.bag).filter((bag) => !onlyStored.value || bag.state !== 'fitted'),
)
const zoneName = (id: string | null) => store.rows.zone.find((one) => one.id === id)?.name ?? ''
const wires = (bagId: string) => store.rows.bagWire.filter((one) => one.bagId === bagId).length
const codes = ref<Readonly<Record<string, string>>>({})
watch(
  bags,
  async (list) => {
    const made = await Promise.all(
      list.map(async (bag) => {
        const text = `${store.refit?.boatName ?? ''} bag ${bag.code}: ${bag.what}`
        const svg = await qrSvg(text, { type: 'svg', margin: 0, errorCorrectionLevel: 'M' })
        return [bag.id, `data:image/svg+xml;utf8,${encodeURIComponent(svg)}`] as const
      }),
    )
    codes.value = Object.fromEntries(made)
  },
  { immediate: true },
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
    <p v-if="bags.length === 0" class="text-ink2">There are no bags to label.</p>
    <ul class="labels">
      <li v-for="bag in bags" :key="bag.id" class="label">
        <img :src="codes[bag.id]" :alt="`QR of bag ${bag.code}`" class="qr" />
        <div class="min-w-0">
          <p class="cond flex justify-between gap-2 text-2xl leading-none">
            {{ bag.code }} <span class="text-base">{{ store.refit?.boatName }}</span>
          </p>
          <p class="cond leading-tight">{{ bag.what }}</p>
          <p v-if="zoneName(bag.fromZoneId)" class="leading-tight">
            From {{ zoneName(bag.fromZoneId)
            }}<template v-if="wires(bag.id) > 0">, {{ wires(bag.id) }} wires</template>
          </p>
          <p v-if="bag.wantedByStepId" class="leading-tight">
            Back for: {{ nameOf(bag.wantedByStepId) }}
          </p>
        </div>
      </li>
    </ul>
  </div>
</template>

<style scoped>
/* Two to a row on A4, eight rows, lines to cut along. */
.labels {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(88mm, 1fr));
}
.label {
  display: grid;
  grid-template-columns: 25mm 1fr;
  gap: 3mm;
  height: 34mm;
  padding: 3mm;
  overflow: hidden;
  border: 1px dashed var(--ink2);
  break-inside: avoid;
}
.qr {
  width: 25mm;
  height: 25mm;
  background: #fff;
}
</style>

<script setup lang="ts">
import { computed, reactive } from 'vue'
import { anodesWanted } from '#core/launch/anodes'
import type { AnodeMetal } from '#core/launch/anodes'
import { counted } from '#core/units/counted'
import { formatQuantity } from '#core/units/quantity'

/** How much anode she wants between two lifts: a sum to try, kept nowhere. */
const store = useRefitStore()
const say = (value: number, unit: string) =>
  formatQuantity(value, unit, store.refit?.units ?? 'metric')
const want = reactive<{
  areaM2: number | null
  barePct: number | null
  currentMaM2: number | null
  months: number | null
  metal: AnodeMetal
  pieceKg: number | null
}>({ areaM2: null, barePct: 20, currentMaM2: 100, months: 12, metal: 'zinc', pieceKg: 1 })
const metals = optionsOf('anode', 'metal') as readonly { value: AnodeMetal; label: string }[]
const wanted = computed(() => {
  const { areaM2, barePct, currentMaM2, months, metal, pieceKg } = want
  if (areaM2 === null || barePct === null || currentMaM2 === null) return null
  if (months === null || pieceKg === null) return null
  return anodesWanted({ areaM2, bareShare: barePct / 100, currentMaM2, months, metal, pieceKg })
})
</script>

<template>
  <details class="no-print mt-2">
    <summary class="cond min-h-11 py-2 underline sm:min-h-0 sm:py-0">How much she wants</summary>
    <div class="mt-1 grid grid-cols-2 items-end gap-2 sm:grid-cols-3">
      <UiNumber v-model="want.areaM2" label="Wetted metal, m²" :min="0" :max="1000" may-be-empty />
      <UiNumber v-model="want.barePct" label="Of it bare, %" :min="0" :max="100" />
      <UiNumber v-model="want.currentMaM2" label="Current, mA/m²" :min="0" :max="1000" />
      <UiNumber v-model="want.months" label="Months between lifts" :min="0" :max="240" />
      <UiSelect v-model="want.metal" label="Metal" :options="metals" />
      <UiNumber v-model="want.pieceKg" label="A piece weighs, kg" :min="0.01" :max="500" />
    </div>
    <p v-if="wanted" class="mt-2" aria-live="polite">
      <strong class="cond">{{ say(wanted.kg, 'kg') }}, {{ counted(wanted.pieces, 'piece') }}</strong
      >, half of them a side: {{ say(wanted.ampere * 1000, 'mA') }} for {{ want.months }} months, 80
      % of each piece used.
    </p>
    <p v-else class="mt-2 text-ink2">Say how much metal is wet.</p>
    <p class="text-ink2">
      Bare metal takes 60 to 150 mA/m², more in moving and warm water. Aluminium suits brackish
      water, magnesium only fresh; never two metals on one bond. The maker’s sheet decides.
    </p>
  </details>
</template>

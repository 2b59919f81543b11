<script setup lang="ts">
import { pathOf } from '#core/boatMap/frame'
import type { MapFrame } from '#core/boatMap/frame'
import type { HullLines, Spot } from '#core/boatMap/hull'

/** Her side elevation and nothing on it: for drawings that put something beside her. Stands in an `svg`. */
const props = defineProps<{
  lines: HullLines
  frame: Pick<MapFrame, 'at'>
  /** Her stays too. */
  rigged?: boolean
}>()
const d = (spots: readonly Spot[], closed = true) => pathOf(props.frame, 'side', spots, closed)
</script>

<template>
  <g stroke="var(--ink)" stroke-linejoin="round">
    <g v-if="rigged" fill="none" stroke-width="1.2">
      <path v-for="(stay, at) in lines.stays" :key="at" :d="d(stay, false)" />
    </g>
    <g fill="none" stroke-width="4" stroke-linejoin="miter">
      <path v-for="(mast, at) in lines.masts" :key="at" :d="d(mast, false)" />
    </g>
    <g fill="var(--sheet)" stroke-width="2">
      <path v-for="(rudder, at) in lines.rudders" :key="`r${at}`" :d="d(rudder)" />
      <path v-for="(keel, at) in lines.keels" :key="`k${at}`" :d="d(keel)" />
      <path v-for="(house, at) in lines.houses" :key="`h${at}`" :d="d(house)" />
      <path :d="d(lines.body)" />
    </g>
    <g fill="var(--water)" stroke-linejoin="miter">
      <path v-for="(light, at) in lines.windows" :key="at" :d="d(light)" />
    </g>
  </g>
</template>

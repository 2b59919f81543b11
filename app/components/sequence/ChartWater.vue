<script setup lang="ts">
import { computed } from 'vue'
import { wave } from '#core/sequence/water'
import { boatRoom } from '#core/sequence/hard'
import type { Scene } from '#core/sequence/scene'

/** The line of the water, the hard she stands on, and the boat on either. */
const props = defineProps<{ scene: Scene }>()
const afloat = computed(() => props.scene.stands.filter((one) => one.afloat))
const hull = 'M0 -13C16 -8 52 -8 76 -17C74 -8 70 4 58 9H20C10 7 4 -2 0 -13Z'
const boot = 'M3 -3H71C68 4 64 7 58 9H20C12 8 7 3 3 -3Z'
</script>

<template>
  <g>
    <rect
      :x="0"
      :y="scene.ground"
      :width="scene.width"
      height="9"
      fill="var(--rule)"
      stroke="var(--ink)"
      stroke-width="0.8"
    />
    <g v-for="stand in afloat" :key="stand.from">
      <rect
        :x="stand.x0"
        :y="scene.ground - 1"
        :width="stand.x1 - stand.x0"
        height="11"
        fill="var(--water)"
      />
      <path
        :d="wave(stand.x0, stand.x1, scene.waterTop)"
        fill="none"
        stroke="var(--water-deep)"
        stroke-width="2.4"
      />
    </g>
    <g v-for="boat in scene.profiles" :key="boat.x">
      <g v-if="boat.afloat" :transform="`translate(${boat.x} ${scene.waterTop})`">
        <g v-if="boat.mast" stroke="var(--ink)" stroke-width="1.4" fill="none">
          <path
            :d="`M34 -12V${-boatRoom.mast + 2}M34 -20H58M34 ${-boatRoom.mast + 4}L3 -13M34 ${-boatRoom.mast + 4}L73 -14`"
          />
        </g>
        <path :d="hull" fill="var(--sheet)" stroke="var(--ink)" stroke-width="1.6" />
        <path :d="boot" fill="var(--ink)" />
      </g>
      <g v-else :transform="`translate(${boat.x} ${scene.ground - 18})`">
        <path
          d="M6 18L14 -2M30 18L28 2M66 18L68 2M92 18L82 -2M2 18H98"
          stroke="var(--ink)"
          stroke-width="2"
          fill="none"
        />
        <g transform="translate(6 -4) scale(1.18 1)">
          <path :d="hull" fill="var(--sheet)" stroke="var(--ink)" stroke-width="1.6" />
          <path :d="boot" fill="var(--ink2)" />
          <path d="M22 8H60L54 19H28Z" fill="var(--ink2)" />
          <path
            d="M20 -9L26 -14H46L52 -11"
            fill="var(--sheet)"
            stroke="var(--ink)"
            stroke-width="1.4"
          />
        </g>
      </g>
    </g>
  </g>
</template>

<script setup lang="ts">
import { computed } from 'vue'
import type { LevelLayout } from '#core/sequence/fit'

/** What the drawing has folded, level by level, for those who hear it. */
const props = defineProps<{ levels: readonly LevelLayout[] }>()
const store = useRefitStore()
const { shortDate } = useDates()
const names = {
  shed: 'Shed and trades',
  rig: 'Rig',
  deck: 'Deck',
  below: 'Below',
  underwater: 'Under water',
} as const
const folded = computed(() =>
  props.levels
    .filter((level) => level.laths.length > 0)
    .map((level) => ({
      name: names[level.level],
      planks: [...level.laths]
        .sort((a, b) => a.plank.from - b.plank.from)
        .map(({ plank }) => ({
          key: plank.key,
          said: `${plank.name}, ${shortDate(plank.from, store.zone)} to ${shortDate(plank.to, store.zone)}`,
        })),
    })),
)
</script>

<template>
  <section class="sr-only print:hidden" aria-label="Folded in the drawing">
    <template v-for="level in folded" :key="level.name">
      <h2>{{ level.name }}, folded</h2>
      <ul>
        <li v-for="one in level.planks" :key="one.key">{{ one.said }}</li>
      </ul>
    </template>
  </section>
</template>

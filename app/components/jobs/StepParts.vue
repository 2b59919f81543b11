<script setup lang="ts">
import { computed } from 'vue'
import type { Step } from '#core/model/entities'
import { formatQuantity } from '#core/units/quantity'

/** Parts and materials a step needs, with the packs they come in and how far they are. */
const props = defineProps<{ step: Step }>()
const store = useRefitStore()
const units = computed(() => store.refit?.units ?? 'metric')
const parts = computed(() => store.rows.part.filter((one) => one.neededByStepId === props.step.id))
</script>

<template>
  <div v-if="parts.length > 0">
    <h4 class="text-base">Parts and materials</h4>
    <ul>
      <li v-for="part in parts" :key="part.id" class="border-b border-rule2 py-0.5">
        {{ part.name }}, {{ formatQuantity(part.quantity, part.unit, units) }}
        <span class="text-ink2">
          {{
            [sayPacks(part.quantity, part.packSize, part.unit, units), part.state]
              .filter(Boolean)
              .join(' · ')
          }}
        </span>
      </li>
    </ul>
  </div>
</template>

<script setup lang="ts">
import { computed } from 'vue'
import type { BuyRow } from '#core/stores/board'
import { hurriesOf } from '#core/stores/hurry'

/** A row that is late: what it does to the gates as it takes, and asked to hurry. */
const props = defineProps<{ row: BuyRow; today: number }>()
const emit = defineEmits<{ due: [key: string, day: string] }>()
const store = useRefitStore()
const { sayDay } = useDates()
const lines = computed(() => hurriesOf(store.rows, props.row, props.today))
const express = computed(() => lines.value.find((one) => one.how === 'express') ?? null)
const said = useQuietEffects(() =>
  lines.value.map(({ how, items }) => ({
    key: how,
    items,
    laterCosts: props.row.kind === 'buy',
  })),
)
</script>

<template>
  <section v-if="lines.length > 0" class="mt-3" aria-label="If it hurries">
    <h3 class="border-b border-rule">
      {{ row.kind === 'buy' ? 'Ordered today' : 'Asked to hurry' }}
    </h3>
    <ul>
      <li
        v-for="one in lines"
        :key="one.how"
        class="flex items-baseline justify-between gap-2 border-b border-rule2 py-1"
      >
        <span class="min-w-0"
          >{{ one.how === 'rule' ? 'As it takes' : 'Express' }}, here {{ sayDay(one.on) }}</span
        >
        <span class="cond shrink-0">{{ said.get(one.how) ?? '…' }}</span>
      </li>
    </ul>
    <p v-if="express" class="text-[0.9375rem] leading-snug text-ink2">
      Express is reckoned as half the time that is left: ask whether they can, and at what price.
    </p>
    <button
      v-if="row.kind === 'onItsWay' && express"
      class="btn btn-small mt-1"
      @click="emit('due', row.key, express.on)"
    >
      They can: due {{ sayDay(express.on) }}
    </button>
  </section>
</template>

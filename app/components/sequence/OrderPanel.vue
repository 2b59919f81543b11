<script setup lang="ts">
import { ArrowLeft } from '@lucide/vue'
import { computed, ref } from 'vue'
import type { OutOfOrder } from '#core/order/rule'
import type { Row } from '#core/model/entities'

/** Everything out of order, the worst first, each with its mend, or left with a reason. */
const props = defineProps<{
  open: readonly OutOfOrder[]
  left: readonly { readonly found: OutOfOrder; readonly row: Row<'orderKept'> }[]
}>()
defineEmits<{
  close: []
  mend: [found: OutOfOrder]
  again: [row: Row<'orderKept'>]
  step: [stepId: string]
}>()
const words = { stop: 'Stop', warn: 'Out of order', note: 'Worth a look' } as const
const looks = {
  stop: 'border-redlead bg-redlead-tint',
  warn: 'border-redlead',
  note: 'border-rule',
} as const
const asked = ref<OutOfOrder | null>(null)
const groups = computed(() =>
  (['stop', 'warn', 'note'] as const)
    .map((severity) => ({
      severity,
      list: props.open.filter((one) => one.severity === severity),
    }))
    .filter((one) => one.list.length > 0),
)
</script>

<template>
  <section aria-label="Out of order" @keydown.esc.stop="$emit('close')">
    <button class="btn btn-small" @click="$emit('close')">
      <ArrowLeft :size="16" aria-hidden="true" /> Back to the rope
    </button>
    <p v-if="open.length === 0" class="mt-3">
      No rule of order finds anything. Rules know what steps say of themselves, not what nobody has
      written down.
    </p>
    <template v-for="group in groups" :key="group.severity">
      <h2 class="mt-3">{{ words[group.severity] }}: {{ group.list.length }}</h2>
      <ul class="mt-1 grid gap-3">
        <li
          v-for="one in group.list"
          :key="one.evidence"
          class="border-l-4 py-1 pl-3"
          :class="looks[one.severity]"
        >
          <p class="leading-snug">{{ one.sentence }}</p>
          <div class="mt-1.5 flex flex-wrap gap-2">
            <button v-if="one.mend" class="btn btn-small btn-main" @click="$emit('mend', one)">
              {{ one.mend.label }}
            </button>
            <button
              v-if="one.stepIds[0]"
              class="btn btn-small"
              @click="$emit('step', one.stepIds[0]!)"
            >
              Show
            </button>
            <button class="btn btn-small btn-quiet" @click="asked = one">Leave it</button>
          </div>
        </li>
      </ul>
    </template>
    <details v-if="left.length > 0" class="mt-4 border-t border-rule pt-2">
      <summary class="cond">Left as it is: {{ left.length }}</summary>
      <ul class="mt-2 grid gap-3">
        <li v-for="{ found, row } in left" :key="row.id" class="border-l-4 border-rule pl-3">
          <p class="leading-snug">{{ found.sentence }}</p>
          <p class="text-ink2">{{ row.because }}</p>
          <button class="btn btn-small mt-1" @click="$emit('again', row)">Look at it again</button>
        </li>
      </ul>
    </details>
    <LeaveOrder v-model="asked" />
  </section>
</template>

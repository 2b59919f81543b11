<script setup lang="ts">
import { computed, ref } from 'vue'
import type { ReadyItem } from '#core/launch/readyItem'
import { counted } from '#core/units/counted'

/** Lines of readiness: what it is, what shows it, where it stands. A press opens what it rests on. */
const props = defineProps<{
  title: string
  items: readonly ReadyItem[]
  numbered?: boolean
  standing: (item: ReadyItem) => string
  isLate: (item: ReadyItem) => boolean
  chosen: string | null
}>()
/** From here on what is proven folds into one row; what stops her never does. */
const many = 20
const whole = ref(false)
const isFolded = computed(() => props.items.length > many && !whole.value)
const proven = computed(() => props.items.filter((one) => one.state === 'proven').length)
const shown = computed(() =>
  props.items
    .map((item, index) => ({ item, number: index + 1 }))
    .filter(({ item }) => !isFolded.value || item.state !== 'proven'),
)
const emit = defineEmits<{ open: [key: string]; point: [key: string | null] }>()
</script>

<template>
  <section>
    <h2
      class="flex items-baseline justify-between border-b-2 border-ink text-lg leading-tight"
      data-ready-head
    >
      {{ title }}
      <span class="text-sm font-normal text-ink2 max-sm:hidden"
        >what shows it, where it stands</span
      >
    </h2>
    <ul>
      <li v-for="{ item, number } in shown" :key="item.key" class="border-b border-rule2">
        <button
          class="grid min-h-[26px] w-full grid-cols-[26px_minmax(0,1fr)_auto] items-center gap-x-2 text-left max-sm:min-h-12 sm:grid-cols-[26px_10.5rem_minmax(0,1fr)_auto]"
          :class="[
            isLate(item) ? 'bg-redlead-tint' : '',
            chosen === item.key ? 'outline-2 outline-ink' : '',
          ]"
          :data-ready="item.key"
          @click="emit('open', item.key)"
          @mouseenter="emit('point', item.key)"
          @mouseleave="emit('point', null)"
          @focus="emit('point', item.key)"
          @blur="emit('point', null)"
        >
          <svg viewBox="-13 -13 26 26" width="24" height="24" aria-hidden="true">
            <ReadyMark :state="item.state" :number="numbered ? number : null" />
          </svg>
          <span class="cond text-[1.05rem] leading-tight sm:truncate" :title="item.title">{{
            item.title
          }}</span>
          <span
            class="cond truncate leading-tight text-ink2 max-sm:order-last max-sm:col-span-2 max-sm:col-start-2 max-sm:whitespace-normal max-sm:pb-1"
            :title="item.evidence"
            >{{ item.evidence }}</span
          >
          <span
            class="cond whitespace-nowrap text-right font-semibold leading-tight"
            :class="item.state === 'stops' && !isLate(item) ? 'text-redlead' : 'text-ink'"
            >{{ standing(item) }}</span
          >
        </button>
      </li>
    </ul>
    <button
      v-if="items.length > many && proven > 0"
      class="btn btn-small no-print mt-1"
      :aria-expanded="whole"
      @click="whole = !whole"
    >
      {{ whole ? 'Fold what is proven' : `${counted(proven, 'line')} proven` }}
    </button>
  </section>
</template>

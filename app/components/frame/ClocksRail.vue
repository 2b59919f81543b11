<script setup lang="ts">
import { Plus } from '@lucide/vue'
import { computed, ref } from 'vue'
import { formatMoney } from '#core/money/money'
import { clockTimeOf, sayFullDate } from '#core/time/say'

/** Clocks always in sight: a rail on wide screens, a strip on phones and where a view wants the width. */
const props = defineProps<{ strip?: boolean }>()
const store = useRefitStore()
const time = useTimeStore()
const frame = useFrameStore()
const { clocks } = useClocks()
const opened = ref<string | null>(null)
const shown = computed(() => clocks.value.find((one) => one.clock.id === opened.value) ?? null)
</script>

<template>
  <aside class="no-print relative" aria-label="Clocks">
    <div
      class="flex items-center justify-between max-lg:sr-only"
      :class="{ 'sr-only': props.strip }"
    >
      <h2>Clocks</h2>
      <button class="btn btn-quiet btn-small" aria-keyshortcuts="k" @click="frame.open('clock')">
        <Plus :size="18" aria-hidden="true" /> Start
      </button>
    </div>
    <TimerCard class="mt-2" :class="{ 'mb-1 lg:max-w-xl': props.strip }" />
    <p
      v-if="clocks.length === 0"
      class="text-ink2 mt-2 max-lg:hidden"
      :class="{ hidden: props.strip }"
    >
      Nothing is curing. Press k when you mix a pot or lay a coat.
    </p>
    <div v-if="!props.strip" class="mt-2 grid gap-3 max-lg:hidden">
      <ClockCard
        v-for="one in clocks"
        :key="one.clock.id"
        :shown="one"
        @open="opened = one.clock.id"
      />
    </div>
    <div
      v-if="clocks.length > 0"
      class="relative flex gap-x-5 overflow-x-auto max-sm:gap-x-2"
      :class="{ 'lg:hidden': !props.strip }"
    >
      <ClockCard
        v-for="one in clocks"
        :key="one.clock.id"
        :shown="one"
        brief
        @open="opened = one.clock.id"
      />
    </div>
    <div v-if="!props.strip" class="mt-8 max-lg:hidden">
      <p class="cond text-lg">{{ store.refit?.boatName }}</p>
      <p class="text-ink2">
        {{ sayFullDate(store.derived.today) }}, {{ clockTimeOf(time.now, store.derived.clock) }}
      </p>
      <p v-if="store.derived.ashore" class="text-ink2">
        ashore day {{ store.derived.ashore.day
        }}<template v-if="store.derived.ashore.costPerDayMinor > 0">
          ·
          {{ formatMoney(store.derived.ashore.costPerDayMinor, store.refit?.currency ?? 'EUR') }} a
          day</template
        >
      </p>
    </div>
    <p
      v-if="props.strip"
      class="cond bg-paper pl-3 text-lg leading-9 max-lg:hidden"
      :class="clocks.length > 0 ? 'absolute top-0 right-0' : '-mb-2 text-right leading-7!'"
    >
      {{ sayFullDate(store.derived.today) }}, {{ clockTimeOf(time.now, store.derived.clock) }}
    </p>
    <ClockDialog v-if="shown" :shown="shown" @close="opened = null" />
  </aside>
</template>

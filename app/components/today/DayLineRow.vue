<script setup lang="ts">
import { ArrowDown, ArrowUp, Clock as ClockIcon, Timer } from '@lucide/vue'
import { computed } from 'vue'
import type { DayLine } from '#core/today/dayLine'
import { clockTimeOf } from '#core/time/say'
import { formatHours } from '#core/units/hours'
import { hourMs } from '#core/time/civil'

/** One line of the day sheet: when, what, who, until when at the latest, and its caution. */
const props = defineProps<{
  line: DayLine
  holds: boolean
  first: boolean
  last: boolean
  peel: string
}>()
const emit = defineEmits<{ done: []; up: []; down: [] }>()
const store = useRefitStore()
const { shortDateTime } = useDates()
const frame = useFrameStore()
const zone = computed(() => store.derived.clock)
const where = computed(() => store.rows.zone.find((one) => one.id === props.line.job?.zoneId)?.name)
const who = computed(() =>
  props.line.personIds.map((id) => store.rows.person.find((one) => one.id === id)?.name).join(', '),
)
const title = computed(() =>
  props.line.kind === 'setUp'
    ? 'Unpack, set up'
    : props.line.kind === 'packUp'
      ? 'Pack up, cover, set clocks, take pictures'
      : (props.line.step?.title ?? ''),
)
</script>

<template>
  <li class="grid grid-cols-[4rem_1fr] border-b border-rule2 sm:grid-cols-[4.5rem_1fr]">
    <span class="cond pt-2 text-xl" :class="{ 'text-ink2': line.kind !== 'work' }">{{
      clockTimeOf(line.from, zone)
    }}</span>
    <div
      class="grid grid-cols-[1fr_auto] gap-x-3 border-l-[3px] py-2 pl-3"
      :class="[holds ? 'border-redlead' : 'border-ink', line.limit ? 'bg-brass-tint' : '']"
    >
      <div class="flex gap-2.5">
        <PurposeTile v-if="line.job" :purpose="line.job.purpose" />
        <div class="min-w-0">
          <p class="cond text-lg leading-snug">{{ title }}</p>
          <p v-if="line.step" class="text-ink2 leading-snug">
            {{ [line.job?.title, where, who].filter(Boolean).join(' · ') }}
            <span v-if="holds" class="cond text-redlead"> · holds the launch</span>
            <template v-if="line.continues"> · goes on another day</template>
            <template v-if="line.moved"> · moved in the day for the weather</template>
          </p>
          <p
            v-if="line.limit"
            class="cond leading-snug"
            :class="line.limit.missed ? 'text-redlead' : 'text-ink'"
          >
            {{ line.limit.why.replace(/^./, (c) => c.toUpperCase()) }}
          </p>
          <p v-if="line.waitUntil" class="text-ink2 leading-snug">
            Then waits until {{ shortDateTime(line.waitUntil, zone) }}.
          </p>
          <p v-if="peel" class="cond bg-verdigris-tint px-2 py-0.5 leading-snug">{{ peel }}</p>
          <p v-if="line.caution" class="cond text-redlead leading-snug">{{ line.caution }}</p>
          <div v-if="line.step" class="no-print mt-1 -ml-2 flex gap-2 sm:hidden">
            <button
              class="btn btn-quiet btn-small"
              :aria-label="`Log hours: ${title}`"
              @click="frame.open('hours', line.step.id)"
            >
              <Timer :size="18" aria-hidden="true" /> Hours
            </button>
            <button
              class="btn btn-quiet btn-small"
              :aria-label="`Start a clock: ${title}`"
              @click="frame.open('clock', line.step.id)"
            >
              <ClockIcon :size="18" aria-hidden="true" /> Clock
            </button>
          </div>
        </div>
      </div>
      <div class="flex flex-col items-end gap-1">
        <div class="flex items-start gap-2 max-sm:flex-col-reverse max-sm:items-end max-sm:gap-0">
          <span class="cond text-lg whitespace-nowrap text-ink2">{{
            formatHours((line.to - line.from) / hourMs)
          }}</span>
          <label v-if="line.step" class="flex size-9 items-center justify-center max-sm:size-11">
            <input
              type="checkbox"
              class="size-6 accent-(--verdigris)"
              :aria-label="`Done: ${title}`"
              @change="emit('done')"
            />
          </label>
        </div>
        <div v-if="line.step" class="no-print flex max-sm:hidden">
          <button
            class="btn btn-quiet btn-small"
            :aria-label="`Log hours: ${title}`"
            title="Log hours"
            @click="frame.open('hours', line.step.id)"
          >
            <Timer :size="18" aria-hidden="true" />
          </button>
          <button
            class="btn btn-quiet btn-small"
            :aria-label="`Start a clock: ${title}`"
            title="Start a clock"
            @click="frame.open('clock', line.step.id)"
          >
            <ClockIcon :size="18" aria-hidden="true" />
          </button>
          <button
            class="btn btn-quiet btn-small"
            :disabled="first"
            :aria-label="`Earlier: ${title}`"
            title="Earlier"
            @click="emit('up')"
          >
            <ArrowUp :size="18" aria-hidden="true" />
          </button>
          <button
            class="btn btn-quiet btn-small"
            :disabled="last"
            :aria-label="`Later: ${title}`"
            title="Later"
            @click="emit('down')"
          >
            <ArrowDown :size="18" aria-hidden="true" />
          </button>
        </div>
      </div>
    </div>
  </li>
</template>

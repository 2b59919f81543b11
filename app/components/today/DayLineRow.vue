<script setup lang="ts">
import { computed } from 'vue'
import { titleBeside } from '#core/model/namedStep'
import { howLine } from '#core/how/day'
import { liveHours } from '#core/plan/liveHours'
import type { DayLine } from '#core/today/dayLine'
import { sayMend } from '#core/plan/mends'
import { wearMark } from '#core/today/wear'
import { clockTimeOf } from '#core/time/say'
import { formatHours } from '#core/units/hours'
import { hourMs } from '#core/time/civil'
import { countOf, isCounted } from '#core/steps/counted'
import { failedReadings } from '#core/steps/readings'
import { isProvisional } from '#core/steps/provisional'
import { capital } from '#core/units/counted'

/** One line of the day: its pin ticks it off, its words open it. The next one says more and has the button. */
const props = defineProps<{
  line: DayLine
  isNext: boolean
  holds: boolean
  joint: boolean
  /** Height there is for its words, px. */
  room: number
  narrow: boolean
  pinX: number
  left: number
  width: number
  top: number
  height: number
}>()
const emit = defineEmits<{ start: []; done: [] }>()
const store = useRefitStore()
const { shortDateTime } = useDates()
const step = computed(() => props.line.step)
const where = computed(() => store.rows.zone.find((one) => one.id === props.line.job?.zoneId)?.name)
const names = computed(() =>
  props.line.personIds.map((id) => store.rows.person.find((one) => one.id === id)?.name ?? ''),
)
const title = computed(() => step.value?.title ?? props.line.what)
const spent = computed(() =>
  liveHours(store.rows)
    .filter((one) => one.stepId === step.value?.id && one.kind === 'work')
    .reduce((sum, one) => sum + one.hours, 0),
)
const how = () => howLine(props.line, spent.value)
const length = computed(() => formatHours((props.line.to - props.line.from) / hourMs))
/** What binds it now, before anything else is said of it. */
const binds = computed(
  () => props.line.against !== '' || fails.value.length > 0 || props.line.limit !== null,
)
/** The second line stands only where there is room for it and for what binds. */
const hasSecond = computed(() => props.room >= (binds.value || mends.value ? 62 : 42))
const doing = computed(() => step.value?.state === 'doing')
const count = computed(() => (step.value && isCounted(step.value) ? countOf(step.value, 0) : null))
const fails = computed(() => (step.value ? failedReadings(step.value, store.rows.reading) : []))
const wear = computed(() => (step.value ? wearMark(step.value) : null))
/** Said first, and beside the hours where there is no second line: what is done after it hangs on it. */
const waits = computed(() =>
  props.line.waitUntil ? `waits until ${shortDateTime(props.line.waitUntil, store.zone)}` : '',
)
const beside = computed(() => (step.value ? titleBeside(step.value, props.line.job) : ''))
const second = computed(() =>
  [
    waits.value ? `then ${waits.value}` : '',
    beside.value,
    where.value,
    count.value ? `${count.value.done} of ${count.value.of} ${count.value.unit}` : '',
    props.line.continues ? 'goes on another day' : '',
  ]
    .filter(Boolean)
    .join(' · '),
)
const mends = computed(() => props.line.mends.map(sayMend).join(' '))
const who = computed(() => {
  const [first, ...others] = names.value
  if (!first) return ''
  return others.length === 0 ? first : others.length === 1 ? 'both' : `${names.value.length} of us`
})
</script>

<template>
  <li
    class="absolute"
    :class="isNext && !narrow ? 'z-10 border-3 border-ink bg-sheet px-2.5 py-1.5' : 'py-1'"
    :style="{
      top: `${top + (isNext ? 1 : 0)}px`,
      left: `${left - (isNext && !narrow ? 10 : 0)}px`,
      width: `${width + (isNext && !narrow ? 10 : 0)}px`,
      height: `${height - (isNext ? 3 : 0)}px`,
    }"
  >
    <label
      v-if="step"
      class="absolute z-10 flex h-9 w-11 cursor-pointer items-center justify-center"
      :style="{
        left: `${pinX - left - 22 + (isNext && !narrow ? 7 : 0)}px`,
        top: isNext && !narrow ? '20px' : '-3px',
      }"
    >
      <input
        type="checkbox"
        class="peer sr-only"
        :checked="false"
        :aria-label="`Done: ${title}`"
        @change="emit('done')"
      />
      <DayPin :holds="holds" :doing="doing" :big="isNext" />
    </label>
    <template v-if="isNext && step && !narrow">
      <div class="flex items-baseline justify-between gap-3 leading-none">
        <p class="cond text-base leading-none text-redlead">
          {{ doing ? 'Under way since' : 'Next,' }}
          {{ clockTimeOf(doing ? (step.startedAt ?? line.from) : line.from, store.zone)
          }}<template v-if="holds"> · holds the launch</template>
        </p>
        <p class="cond leading-none">
          <UiHow :how="how" :about="title">{{ length }}</UiHow>{{ who ? `, ${who}` : '' }}
        </p>
      </div>
      <div class="mt-1 flex items-center gap-2">
        <PurposeTile v-if="line.job" :purpose="line.job.purpose" />
        <h2 class="min-w-0 truncate text-[1.75rem]! leading-tight!">
          <NuxtLink class="hover:underline" :to="`/r/${store.refitId}/step/${step.id}`">{{
            title
          }}</NuxtLink>
        </h2>
      </div>
      <div class="flex items-start justify-between gap-3">
        <div class="cond min-w-0 text-base leading-tight">
          <p class="truncate">{{ second }}</p>
          <p v-if="line.against" class="truncate text-redlead">{{ line.against }}</p>
          <p v-else-if="fails.length > 0" class="truncate text-redlead">
            Reading fails: what follows is held
          </p>
          <p v-else-if="line.limit" class="truncate text-redlead">
            <span aria-hidden="true">■ </span>{{ capital(line.limit.why) }}
          </p>
          <p v-else-if="mends" class="truncate">{{ mends }}</p>
          <p v-else-if="step.caution" class="truncate">{{ step.caution }}</p>
        </div>
        <button
          class="btn btn-go no-print min-w-24 text-xl"
          :aria-label="`${doing ? 'Done' : 'Start'}: ${title}`"
          @click="doing ? emit('done') : emit('start')"
        >
          {{ doing ? 'Done' : 'Start' }}
        </button>
      </div>
    </template>
    <template v-else>
      <div class="flex items-baseline justify-between gap-2">
        <div class="flex min-w-0 items-center gap-2 leading-none">
          <PurposeTile
            v-if="line.job && !(narrow && !joint)"
            :purpose="line.job.purpose"
            class="size-5.5!"
          />
          <NuxtLink
            v-if="step"
            class="cond text-lg leading-tight hover:underline max-sm:text-base"
            :class="[narrow && !joint ? 'line-clamp-2' : 'truncate', { 'text-redlead': isNext }]"
            :to="`/r/${store.refitId}/step/${step.id}`"
            >{{ title
            }}<span v-if="narrow && !joint" class="ml-1 text-ink2">{{ length }}</span></NuxtLink
          >
          <span v-else class="cond truncate text-lg leading-tight text-ink2 max-sm:text-base">{{
            title
          }}</span>
          <span
            v-if="isProvisional(step ?? { provisionalFor: '', state: 'open' })"
            class="cond text-redlead"
            >for now</span
          >
        </div>
        <span class="flex shrink-0 items-center gap-1.5 leading-none">
          <WearMarkIcon v-if="wear && (!hasSecond || !joint) && !narrow" :mark="wear" />
          <span v-if="!narrow || joint" class="cond leading-none whitespace-nowrap max-sm:text-sm"
            ><UiHow v-if="step" :how="how" :about="title">{{ length }}</UiHow
            ><template v-else>{{ length }}</template
            >{{ joint && who && line.personIds.length > 1 && !narrow ? `, ${who}` : ''
            }}<span v-if="waits && !hasSecond" :class="{ 'sr-only': !joint || narrow }"
              >, {{ waits }}</span
            ></span
          >
        </span>
      </div>
      <div v-if="(hasSecond || binds) && step" class="flex items-start justify-between gap-2">
        <div class="cond min-w-0 leading-tight text-ink2">
          <p v-if="hasSecond" class="truncate max-sm:hidden">
            {{ joint ? second : [waits, where ?? beside].filter(Boolean).join(' · ') }}
          </p>
          <p v-if="line.against" class="truncate text-redlead">{{ line.against }}</p>
          <p v-else-if="fails.length > 0" class="truncate text-redlead">Held by a reading</p>
          <p v-else-if="line.limit" class="truncate text-redlead">
            <span aria-hidden="true">■ </span
            >{{ joint ? line.limit.why : line.limit.why.replace(/, touch-dry.*/, '') }}
          </p>
          <p v-else-if="mends" class="truncate text-ink">{{ mends }}</p>
        </div>
        <WearMarkIcon v-if="wear && joint && hasSecond" :mark="wear" />
      </div>
    </template>
  </li>
</template>

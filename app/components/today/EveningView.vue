<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { readyTonight, takeHome } from '#core/today/tonight'
import type { EveningLine } from '#core/today/tonight'
import { clockTimeOf, shortDateTime } from '#core/time/say'

/** The end of the day: can we leave her like this, what runs and cures meanwhile, whose hours were whose. */
const props = defineProps<{
  frame: { readonly on: string; readonly personIds: readonly string[]; readonly to: string }
}>()
const store = useRefitStore()
const personId = useMe()
const {
  leaving,
  said,
  leaveAt,
  next,
  nightEnd,
  curing,
  hours,
  left,
  isAshore,
  ticked,
  tickLine,
  tick,
  leave,
} = useLeaving(computed(() => props.frame))
const year = computed(() => props.frame.on.slice(0, 4))
const nextSaid = computed(() =>
  next.value ? shortDateTime(next.value.at, store.zone, year.value) : 'somebody comes',
)
const rainSaid = computed(() => {
  const { rain, forecastEnds } = leaving.value
  const ids = next.value?.personIds ?? []
  const who = ids
    .map((id) => store.rows.person.find((one) => one.id === id)?.name ?? '')
    .join(' and ')
  const back = next.value
    ? `${who} ${ids.length > 1 ? 'are' : 'is'} back ${nextSaid.value}.`
    : 'Nobody has said when they come next.'
  const wet = rain
    ? `Rain from ${shortDateTime(rain.from, store.zone, year.value)} to ${clockTimeOf(rain.to, store.zone)}.`
    : forecastEnds
      ? 'The forecast does not reach that far.'
      : 'No rain is forecast until then.'
  return `${back} ${wet}`
})
const stops = computed(() =>
  leaving.value.lines.filter((line) => line.kind === 'stop' && line.doneAt === null),
)
const home = computed(() =>
  store.accepted ? takeHome(store.rows, store.accepted, leaveAt.value, next.value?.at ?? null) : [],
)
const tonight = computed(() =>
  store.accepted && next.value
    ? readyTonight(
        store.rows,
        store.accepted,
        store.zone.dayOf(next.value.at),
        store.waits.weather,
        store.zone,
      )
    : [],
)
/** Ticks of the evening's lists are kept with the day, like those of the leaving list. */
type List = 'home' | 'tonight'
const keyIn = (list: List, line: EveningLine) => `${list} ${line.key}`
const isTicked = (list: List, line: EveningLine) => ticked.value.has(keyIn(list, line))
const tickEvening = (list: List, line: EveningLine) => tickLine(keyIn(list, line), line.what)
const asks = ref(false)
const by = ref<string | null>(null)
const wrong = ref('')
watch(by, () => (wrong.value = ''))
const { people, signer } = usePeople()
function ask() {
  by.value = signer()
  wrong.value = ''
  if (stops.value.length > 0) asks.value = true
  // Who it was is said only where this device knows it.
  else void leave([], personId.value || null)
}
async function leaveAnyway() {
  if (by.value === null && people.value.length > 0) {
    wrong.value = 'Choose who says so.'
    return
  }
  if (await leave(stops.value, by.value)) asks.value = false
}
const leftSaid = computed(() => {
  const one = left.value
  if (!one) return ''
  const name = store.rows.person.find((row) => row.id === one.personId)?.name
  const who = name ? `, ${name} says so` : ''
  return `Left at ${clockTimeOf(one.at, store.zone)}${who}${one.stops ? `, with this open: ${one.stops}` : ''}.`
})
defineExpose({ ask, stops })
</script>

<template>
  <div class="xl:grid xl:grid-cols-[1fr_1fr] xl:gap-6">
    <div class="min-w-0">
      <p class="text-ink2">{{ rainSaid }}</p>
      <p v-if="left" class="cond my-1 bg-brass-tint px-2 py-1">
        {{ leftSaid }}
      </p>
      <LeaveBoat class="max-sm:hidden" :lines="leaving.lines" :is-ashore="isAshore" />
      <LeaveList :lines="leaving.lines" @tick="tick" />
      <NightAir
        class="mt-2"
        :from="leaveAt"
        :to="nightEnd"
        :curing="curing"
        :next-said="nextSaid"
      />
    </div>
    <div class="min-w-0 max-xl:mt-5">
      <DoneHours :hours="hours" :on="frame.on" />
      <div class="mt-4 grid gap-x-6 gap-y-4 sm:grid-cols-2">
        <section>
          <div class="flex items-baseline justify-between border-b-2 border-ink">
            <h2>Take home</h2>
            <p class="cond text-ink2">for the shed and away</p>
          </div>
          <p v-if="home.length === 0" class="py-1 text-ink2">
            Nothing here is wanted elsewhere before the next visit.
          </p>
          <ul>
            <li
              v-for="line in home"
              :key="line.key"
              class="flex items-baseline justify-between gap-2 py-0.5"
            >
              <UiCheck
                :model-value="isTicked('home', line)"
                :label="line.what"
                @update:model-value="tickEvening('home', line)"
              /><span class="cond truncate text-ink2">{{ line.forStep }}</span>
            </li>
          </ul>
        </section>
        <section>
          <div class="flex items-baseline justify-between border-b-2 border-ink">
            <h2>Ready tonight</h2>
            <p class="cond text-ink2">{{ next ? `for ${nextSaid}` : '' }}</p>
          </div>
          <p v-if="tonight.length === 0" class="py-1 text-ink2">
            The next day wants nothing prepared that is written down.
          </p>
          <ul>
            <li
              v-for="line in tonight"
              :key="line.key"
              class="flex items-baseline justify-between gap-2 py-0.5"
            >
              <UiCheck
                :model-value="isTicked('tonight', line)"
                :label="line.what"
                @update:model-value="tickEvening('tonight', line)"
              /><span class="cond truncate text-ink2">{{ line.forStep }}</span>
            </li>
          </ul>
        </section>
      </div>
    </div>
    <UiDialog :open="asks" title="Leave her with this open?" red @close="asks = false">
      <ul class="list-disc pl-5">
        <li v-for="line in stops" :key="line.key"><b>{{ line.what }}</b>: {{ line.why }}</li>
      </ul>
      <p class="my-3">Nothing is refused. Who says so is kept with the day.</p>
      <UiSelect v-model="by" label="Who says so" :options="people" none="Choose" :error="wrong" />
      <button class="btn btn-red mt-4" @click="leaveAnyway">She is left all the same</button>
    </UiDialog>
    <p class="sr-only" role="status">{{ said.said }}</p>
  </div>
</template>

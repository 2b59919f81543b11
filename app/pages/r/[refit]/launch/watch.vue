<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { bowToStern, riskOf } from '#core/launch/readiness'
import { stillWet, watchOf } from '#core/launch/watch'
import type { WatchThing } from '#core/launch/watch'
import type { WatchMoment } from '#core/model/words'
import { patchOf } from '#core/model/removal'
import { clockTimeOf } from '#core/time/say'
import { dayNumber } from '#core/time/civil'

/** The watch, one thing at a time, in the hand: with the slings slack, at once, after an hour, a day, a week. */
const store = useRefitStore()
const time = useTimeStore()
const toasts = useToastStore()
const { undo } = useUndo()
const { next, watched } = useLaunch()
const me = useMe()
const { leftHand } = useDevice()
const { sayDay } = useDates()
/** Launched and still watched, else the one to come. */
const of = computed(() => watched.value ?? next.value)
const knots = computed(() =>
  of.value
    ? watchOf(
        store.rows,
        of.value.haulOut.id,
        of.value.haulOut.launchActual !== null
          ? of.value.lifts.at(dayNumber(of.value.haulOut.launchActual))
          : null,
      )
    : [],
)
const titles = new Map(optionsOf('watchLook', 'moment').map((one) => [one.value, one.label]))
const moment = ref<WatchMoment>('slack')
/** The first that is not done and due, when the page is opened. */
watch(
  () => knots.value.length > 0,
  (known) => {
    if (!known) return
    const open = knots.value.find((one) => one.done < one.things.length)
    if (open) moment.value = open.moment
  },
  { immediate: true },
)
const knot = computed(() => knots.value.find((one) => one.moment === moment.value) ?? null)
const picked = ref<string | null>(null)
const thing = computed(
  () =>
    knot.value?.things.find((one) => one.what === picked.value) ??
    knot.value?.things.find((one) => one.look === null) ??
    null,
)
const number = computed(() =>
  thing.value && knot.value ? knot.value.things.indexOf(thing.value) + 1 : 0,
)
watch(moment, () => (picked.value = null))
const openings = computed(() => bowToStern(store.rows))
const openingNo = (one: WatchThing) =>
  one.opening ? openings.value.findIndex((each) => each.id === one.opening?.id) + 1 : 0
const risk = computed(() =>
  thing.value?.opening ? riskOf(thing.value.opening, store.refit ?? undefined) : '',
)
const letsIn = computed(() => {
  const opening = thing.value?.opening
  if (!opening) return ''
  if (opening.heightM >= 0) return 'dry as she floats'
  return risk.value === '' ? 'bore not measured' : `lets in ${risk.value.split(',')[0]}`
})
const drops = ref<number | null>(null)
const asksDrops = ref(false)
const reading = ref<number | null>(null)
const wrong = ref('')
// By its name: the thing itself is made anew with every change from anywhere, and what is typed stays.
watch([moment, () => thing.value?.what], () => {
  drops.value = null
  reading.value = null
  asksDrops.value = false
  wrong.value = ''
})
// The sentence goes with the value it asked for: one that came back would move the button under the press.
watch(reading, () => (wrong.value = ''), { flush: 'sync' })
async function look(
  outcome: 'dry' | 'weeps' | 'runs' | 'read',
  value: number | null = null,
  unit = '',
) {
  const one = thing.value
  const haulOut = of.value?.haulOut
  if (!one || !haulOut) return
  const kept = await store.attempt(`${one.title}: ${outcome}`, [
    {
      op: 'create',
      entity: 'watchLook',
      id: newId(),
      patch: {
        haulOutId: haulOut.id,
        moment: moment.value,
        what: one.what,
        outcome,
        value,
        unit,
        at: Math.round(time.now),
        personId: me.value || null,
      },
    },
  ])
  if (!kept) return
  picked.value = null
  if (outcome === 'runs')
    toasts.say(
      // Once she is let go of there is nobody to lift her.
      haulOut.launchActual === null
        ? `${one.title} runs: up again. Tell the driver now, plug it, pumps on.`
        : `${one.title} runs: plug it, pumps on, then the damage card.`,
      true,
      { label: 'Undo', run: undo },
    )
}
function keepReading() {
  const one = thing.value
  if (!one) return
  if (one.unit === '') {
    void look('dry')
    return
  }
  if (reading.value === null) {
    wrong.value = `Say what you read, in ${one.unit}.`
    return
  }
  void look('read', reading.value, one.unit)
}
const wet = computed(() => (of.value ? stillWet(store.rows, of.value.haulOut.id) : []))
const titleOf = (what: string) =>
  store.rows.hullOpening.find((one) => what === `opening ${one.id}`)?.title ?? what
const said = (one: WatchThing) =>
  !one.look
    ? 'not looked at yet'
    : one.look.outcome === 'read'
      ? `${one.look.value} ${one.look.unit}`
      : one.look.outcome === 'weeps'
        ? `weeps${one.look.value === null ? '' : `, ${one.look.value} drops/min`}`
        : one.look.outcome === 'runs'
          ? 'runs in'
          : one.opening
            ? 'dry'
            : 'done'
const stateOf = (one: WatchThing) =>
  !one.look
    ? 'onDay'
    : one.look.outcome === 'runs'
      ? 'stops'
      : one.look.outcome === 'weeps'
        ? 'look'
        : 'proven'
const due = (at: number | null) =>
  at === null
    ? 'from the first look on'
    : `${sayDay(store.zone.dateOf(at))} ${clockTimeOf(at, store.zone)}`
const slackDone = computed(() => {
  const slack = knots.value.find((one) => one.moment === 'slack')
  return (
    !!slack &&
    slack.things.length > 0 &&
    slack.done === slack.things.length &&
    wet.value.length === 0
  )
})
async function letGo() {
  const one = of.value
  if (!one) return
  if (
    await store.attempt('She is in', [
      patchOf('haulOut', one.haulOut, { launchActual: store.derived.today }),
    ])
  )
    toasts.say('Written down: launched today. The watch goes on.', false, {
      label: 'Undo',
      run: undo,
    })
}
</script>

<template>
  <div class="mx-auto max-w-3xl">
    <div v-if="!of" class="border-l-4 border-verdigris pl-4">
      <h1>No launch to watch</h1>
      <p>Once a launch is near, its looks stand here, one at a time.</p>
    </div>
    <template v-else>
      <div class="flex items-baseline justify-between gap-3">
        <h1>
          {{ titles.get(moment)
          }}<template v-if="knot && knot.things.length > 0 && thing"
            >: {{ number }} of {{ knot.things.length }}</template
          >
        </h1>
        <span class="cond text-xl">{{ clockTimeOf(time.now, store.zone) }}</span>
      </div>
      <div class="mt-1 flex flex-wrap gap-1" role="group" aria-label="Which look">
        <button
          v-for="one in knots"
          :key="one.moment"
          class="btn btn-small"
          :class="one.moment === moment ? 'bg-ink! text-sheet!' : ''"
          :aria-pressed="one.moment === moment"
          @click="moment = one.moment"
        >
          {{ titles.get(one.moment) }} {{ one.done }}/{{ one.things.length }}
        </button>
      </div>
      <p v-if="knot" class="mt-1 text-ink2">{{ due(knot.dueAt) }}</p>
      <p v-if="wet.length > 0" class="mt-1 border-l-4 border-redlead pl-2">
        Not dry yet: {{ wet.map((one) => titleOf(one.what)).join(', ') }}.
      </p>
      <section v-if="thing" class="mt-3" :aria-label="thing.title">
        <h2 class="text-2xl">
          {{ thing.opening ? `${openingNo(thing)} ${thing.title}` : thing.title }}
        </h2>
        <p v-if="thing.opening?.reach">{{ thing.opening.reach }}</p>
        <div v-if="thing.opening" class="mt-2 border-[3px] border-redlead">
          <p class="cond flex justify-between bg-redlead px-2 py-1 text-lg text-paper">
            <span>Damage card, {{ openingNo(thing) }}</span>
            <span>{{ letsIn }}</span>
          </p>
          <dl class="grid grid-cols-[5rem_1fr] gap-x-2 p-2 text-lg leading-snug">
            <dt class="cond font-semibold">Bore</dt>
            <dd>{{ thing.opening.boreMm ? `${thing.opening.boreMm} mm` : 'not measured' }}</dd>
            <dt class="cond font-semibold">Plug</dt>
            <dd :class="thing.opening.plug === 'none' ? 'text-redlead' : ''">
              {{
                optionsOf('hullOpening', 'plug').find((one) => one.value === thing?.opening?.plug)
                  ?.label
              }}
            </dd>
            <dt class="cond font-semibold">Shut</dt>
            <dd>{{ thing.opening.shutBy || 'no way written down' }}</dd>
            <template v-if="risk">
              <dt class="cond font-semibold">Open</dt>
              <dd>{{ risk }}</dd>
            </template>
          </dl>
        </div>
        <p v-if="thing.look" class="mt-2 text-ink2">Last time: {{ said(thing) }}.</p>
        <div
          v-if="thing.opening"
          class="mt-3 grid gap-2 max-sm:sticky max-sm:bottom-16"
          :class="leftHand ? 'grid-cols-[1.4fr_1fr_1fr]' : 'grid-cols-[1fr_1fr_1.4fr]'"
        >
          <button
            class="order-1 min-h-27 border-2 border-redlead bg-redlead-tint p-2"
            @click="look('runs')"
          >
            <span class="cond block text-2xl font-semibold">Runs</span
            >{{ of.haulOut.launchActual === null ? 'lift again' : 'plug it' }}
          </button>
          <button
            class="order-1 min-h-27 border-2 border-ink bg-sheet p-2"
            :aria-expanded="asksDrops"
            @click="asksDrops = true"
          >
            <span class="cond block text-2xl font-semibold">Weeps</span>count drops
          </button>
          <button
            class="min-h-27 bg-verdigris p-2 text-sheet"
            :class="leftHand ? 'order-0' : 'order-2'"
            @click="look('dry')"
          >
            <span class="cond block text-4xl font-semibold">Dry</span>then the next
          </button>
        </div>
        <form
          v-if="thing.opening && asksDrops"
          class="mt-2 flex items-end gap-2"
          @submit.prevent="look('weeps', drops, 'drops/min')"
        >
          <UiNumber v-model="drops" label="Drops a minute" :min="0" :max="1000" may-be-empty />
          <button class="btn btn-main">Weeps</button>
        </form>
        <form v-if="!thing.opening" class="mt-3 flex items-end gap-2" @submit.prevent="keepReading">
          <UiNumber
            v-if="thing.unit"
            v-model="reading"
            :label="`${thing.title}, ${thing.unit}`"
            :min="-1000"
            :max="100000"
            :error="wrong"
            may-be-empty
          />
          <button class="btn btn-main">{{ thing.unit ? 'Keep the reading' : 'Done' }}</button>
        </form>
      </section>
      <p v-else-if="knot" class="mt-3 text-lg">
        All looked at{{ wet.length > 0 ? ', and not all dry' : '' }}.
      </p>
      <div v-if="slackDone && of.haulOut.launchActual === null" class="mt-3">
        <button class="btn btn-main" @click="letGo">All dry: let go, she is in</button>
      </div>
      <p class="mt-3 border-l-4 border-redlead bg-redlead-tint p-2">
        <strong>Water coming in:</strong> shout, pumps on, shut it, plug it, call before the sole is
        wet.
        <NuxtLink class="underline" :to="`/r/${store.refitId}/launch/card`">All openings</NuxtLink>
      </p>
      <section v-if="knot" class="mt-4" aria-label="All of this look">
        <h2 class="border-b-2 border-ink text-lg">All of it</h2>
        <ul>
          <li v-for="one in knot.things" :key="one.what" class="border-b border-rule2">
            <button
              class="grid min-h-11 w-full grid-cols-[28px_1fr_auto] items-center gap-2 text-left"
              @click="picked = one.what"
            >
              <svg viewBox="-13 -13 26 26" width="24" height="24" aria-hidden="true">
                <ReadyMark :state="stateOf(one)" :number="openingNo(one) || null" />
              </svg>
              {{ one.title }}
              <span class="cond" :class="one.look?.outcome === 'runs' ? 'text-redlead' : ''">{{
                said(one)
              }}</span>
            </button>
          </li>
        </ul>
      </section>
    </template>
  </div>
</template>

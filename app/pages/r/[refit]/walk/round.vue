<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Zone } from '#core/model/entities'
import { counted } from '#core/units/counted'
import { guideOf } from '#core/walk/guide'
import { nextStop, routeOf, whyThisOrder } from '#core/walk/route'
import type { MapItem } from '~/composables/useBoatMap'

/** The walk round her: one place at a time, what to look at and how, and what nobody looked at. */
const store = useRefitStore()
const frame = useFrameStore()
const time = useTimeStore()
const personId = useMe()
const { lastZoneId } = useDevice()
const { walk, figures, byZone } = useWalk()
const { sayDay } = useDates()
const chosen = ref<string | null>(null)
const hull = computed(() => store.refit?.hullMaterial ?? null)
const route = computed(() => routeOf(store.rows.zone, hull.value))
const running = computed(() => (walk.value?.endedOn === null ? walk.value : null))
const stop = computed<Zone | null>(
  () =>
    route.value.find((zone) => zone.id === chosen.value) ??
    nextStop(store.rows, walk.value) ??
    null,
)
const guide = computed(() =>
  stop.value && store.refit
    ? guideOf(stop.value, store.refit, Number(store.derived.today.slice(0, 4)))
    : null,
)
const lookOf = (zoneId: string) =>
  store.rows.look.find((one) => one.walkId === walk.value?.id && one.zoneId === zoneId)
const lookBefore = computed(() => {
  const looks = store.rows.look.filter(
    (one) => one.zoneId === stop.value?.id && one.walkId !== walk.value?.id,
  )
  return looks.sort((a, b) => b.at - a.at)[0] ?? null
})
const here = computed(() => byZone.value.find((one) => one.zone?.id === stop.value?.id))
const note = ref('')
const items = computed(
  () =>
    new Map(
      byZone.value.flatMap(({ zone, groups }) =>
        zone
          ? [
              [
                zone.id,
                groups
                  .filter((one) => one.open)
                  .map(({ severity, fill, many }): MapItem => ({
                    is: 'mark',
                    severity,
                    fill,
                    many,
                  })),
              ] as const,
            ]
          : [],
      ),
    ),
)
const notLooked = computed(() => new Set(figures.value.notLooked.map((zone) => zone.id)))
const title = ref('')
async function begin() {
  const patch = { title: title.value.trim() || 'A walk', startedOn: store.derived.today }
  if (await store.attempt('A new walk', [{ op: 'create', entity: 'walk', id: newId(), patch }])) {
    title.value = ''
    chosen.value = null
  }
}
async function looked(outcome: 'fine' | 'found' | 'couldNot') {
  if (!stop.value || !running.value) return
  const zone = stop.value
  const was = lookOf(zone.id)
  const patch = {
    walkId: running.value.id,
    zoneId: zone.id,
    outcome,
    note: note.value,
    at: Math.round(time.now),
    by: personId.value === '' ? null : personId.value,
  }
  const done = await store.attempt(`Looked at ${zone.name}`, [
    was
      ? { op: 'patch', entity: 'look', id: was.id, baseVersion: was.version, patch }
      : { op: 'create', entity: 'look', id: newId(), patch },
  ])
  if (!done) return
  note.value = ''
  chosen.value = null
}
async function found() {
  if (stop.value) lastZoneId.value = stop.value.id
  await looked('found')
  frame.open('found')
}
async function finish() {
  if (!running.value) return
  await store.attempt('End the walk', [
    {
      op: 'patch',
      entity: 'walk',
      id: running.value.id,
      baseVersion: running.value.version,
      patch: { endedOn: store.derived.today },
    },
  ])
}
const left = computed(() => figures.value.notLooked.length)
const couldNot = computed(() =>
  store.rows.look.filter((one) => one.walkId === walk.value?.id && one.outcome === 'couldNot'),
)
</script>

<template>
  <div class="lg:grid lg:grid-cols-[minmax(0,1fr)_28rem] lg:gap-7">
    <div class="min-w-0">
      <h1>
        {{
          running
            ? left === 0
              ? 'All round her: every place was looked at'
              : `${running.title}: ${counted(left, 'place')} to go`
            : 'Walk round her'
        }}
      </h1>
      <p class="text-ink2">{{ whyThisOrder[hull ?? 'unknown'] }}</p>
      <BoatMap
        class="mx-auto mt-1 max-w-[46rem] max-sm:hidden"
        :zones="store.rows.zone"
        :items="items"
        :chosen="stop?.id ?? null"
        :not-looked="notLooked"
        :say="(zone) => (notLooked.has(zone.id) ? 'not looked at' : 'looked at')"
        @choose="chosen = $event"
      />
    </div>
    <div class="min-w-0">
      <div class="no-print mb-2 flex flex-wrap justify-end gap-2">
        <button v-if="running" class="btn" @click="finish">End this walk</button>
        <NuxtLink class="btn" :to="`/r/${store.refitId}/walk`">To the boat</NuxtLink>
      </div>
      <form v-if="!running" class="grid gap-3" @submit.prevent="begin">
        <p v-if="walk">
          The last walk, “{{ walk.title }}”, began on {{ sayDay(walk.startedOn) }}
          {{ walk.startedOn.slice(0, 4) }}.
        </p>
        <p v-else>
          {{ counted(route.length, 'place') }} round the boat, one after the other, each with what
          goes first there and how to test it. Stop when you like: it goes on where you stopped.
        </p>
        <UiText v-model="title" label="What to call it" placeholder="Season three" />
        <button class="btn bg-verdigris! text-sheet!" type="submit">Begin a walk</button>
      </form>
      <section v-else-if="stop && guide" :aria-label="stop.name">
        <h2 class="border-b-2 border-ink">{{ stop.name }}</h2>
        <p class="mt-2 border-l-4 border-redlead pl-3">{{ guide.caution }}</p>
        <h3 class="mt-3">Look at</h3>
        <ul class="list-disc pl-5">
          <li v-for="line in guide.lookAt" :key="line">{{ line }}</li>
        </ul>
        <h3 class="mt-3">How</h3>
        <ul class="list-disc pl-5">
          <li v-for="line in guide.how" :key="line">{{ line }}</li>
        </ul>
        <p v-if="guide.bring.length > 0" class="mt-2">
          <span class="cond">Bring</span> {{ guide.bring.join(', ').toLowerCase() }}.
        </p>
        <p v-if="here && here.open > 0" class="mt-2">
          <span class="cond">Known here:</span>
          {{
            here.groups
              .filter((one) => one.open)
              .flatMap((one) => one.findings.map((finding) => finding.title))
              .join('; ')
          }}.
        </p>
        <p v-if="lookBefore" class="mt-2 text-ink2">
          Last looked at {{ sayDay(store.derived.clock.dateOf(lookBefore.at))
          }}<template v-if="lookBefore.note">: {{ lookBefore.note }}</template>.
        </p>
        <UiText v-model="note" class="mt-3" label="Note" :most="500" />
        <div class="mt-3 grid gap-2">
          <button class="btn min-h-12! bg-verdigris! text-sheet!" @click="looked('fine')">
            Looked at, nothing new
          </button>
          <button class="btn btn-red min-h-12!" @click="found">Found something</button>
          <button class="btn min-h-12!" @click="looked('couldNot')">Could not get at it</button>
        </div>
      </section>
      <p v-else class="border-l-4 border-verdigris pl-4">
        Every place was looked at or tried.
        <template v-if="couldNot.length > 0">
          {{ counted(couldNot.length, 'place') }} could not be got at and
          {{ couldNot.length === 1 ? 'counts' : 'count' }} as not looked at.</template
        >
      </p>
      <h3 class="mt-5 border-b-2 border-ink">The way round</h3>
      <ol class="columns-2 gap-6">
        <li v-for="zone in route" :key="zone.id">
          <button
            class="min-h-8 w-full text-left max-sm:min-h-11"
            :class="{ 'cond bg-verdigris-tint': zone.id === stop?.id }"
            @click="chosen = zone.id"
          >
            <span aria-hidden="true">{{
              lookOf(zone.id) ? (lookOf(zone.id)?.outcome === 'couldNot' ? '◌' : '●') : '○'
            }}</span>
            {{ zone.name
            }}<span class="sr-only"
              >, {{ notLooked.has(zone.id) ? 'not looked at' : 'looked at' }}</span
            >
          </button>
        </li>
      </ol>
    </div>
  </div>
</template>

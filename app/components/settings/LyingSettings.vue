<script setup lang="ts">
import { computed } from 'vue'
import { addDays } from '#core/time/civil'

/** Where she lies when, the ways between places, and the days on which she is wanted whole. */
const store = useRefitStore()
const lying = useRows('lying')
const drives = useRows('drive')
const wanted = useRows('wantedDays')
const byFrom = <R extends { readonly from: string }>(rows: readonly R[]): R[] =>
  [...rows].sort((a, b) => (a.from < b.from ? -1 : 1))
const times = computed(() => byFrom(store.rows.lying))
const cruises = computed(() => byFrom(store.rows.wantedDays))
const berths = computed(() =>
  store.rows.place
    .filter((place) => place.kind === 'berth')
    .map((place) => ({ value: place.id, label: place.name })),
)
/** Two places that have no way between them yet; null: every pair has. */
const unlinked = computed(() => {
  const known = new Set(
    store.rows.drive.flatMap(({ fromPlaceId: a, toPlaceId: b }) => [`${a} ${b}`, `${b} ${a}`]),
  )
  for (const a of store.rows.place.filter((one) => one.kind === 'shed'))
    for (const b of store.rows.place)
      if (a.id !== b.id && !known.has(`${a.id} ${b.id}`)) return [a, b] as const
  return null
})
/** The day after the last of a list, or today. */
const after = (rows: readonly { readonly to: string }[]): string => {
  const last = rows
    .map((one) => one.to)
    .sort()
    .at(-1)
  return last && last >= store.derived.today ? addDays(last, 1) : store.derived.today
}
const addLying = () =>
  lying.add({
    placeId: berths.value.at(-1)?.value ?? '',
    from: after(times.value),
    to: addDays(after(times.value), 30),
  })
const addWanted = () =>
  wanted.add({ from: after(cruises.value), to: addDays(after(cruises.value), 13) })
const addDrive = () =>
  unlinked.value &&
  drives.add({ fromPlaceId: unlinked.value[0].id, toPlaceId: unlinked.value[1].id })
const nameOf = (id: string) => store.rows.place.find((one) => one.id === id)?.name ?? ''
</script>

<template>
  <section aria-labelledby="set-lying">
    <h2 id="set-lying" class="border-b-2 border-ink">Where she lies, and when she is wanted</h2>
    <p class="mt-1 text-ink2">
      On days on which she sails or is let nobody works on her, and nothing is opened that cannot be
      shut and cured by then.
    </p>
    <div
      v-for="one in cruises"
      :key="one.id"
      class="grid grid-cols-2 items-end gap-3 border-b border-rule py-2 md:grid-cols-[1fr_1fr_11rem_1fr_auto]"
    >
      <RowField entity="wantedDays" :row="one" field="from" />
      <RowField entity="wantedDays" :row="one" field="to" />
      <RowField entity="wantedDays" :row="one" field="why" />
      <RowField entity="wantedDays" :row="one" field="note" />
      <button
        class="btn btn-small"
        :aria-label="`Remove the days from ${one.from}`"
        @click="wanted.remove(one)"
      >
        Remove
      </button>
    </div>
    <button class="btn btn-small mt-2" @click="addWanted">Add days on which she is wanted</button>
    <template v-if="berths.length > 1">
      <p class="mt-4 text-ink2">
        Afloat she lies at {{ berths[0]?.label }}, but for these times. Ashore the haul-out says.
      </p>
      <div
        v-for="one in times"
        :key="one.id"
        class="grid grid-cols-2 items-end gap-3 border-b border-rule py-2 md:grid-cols-[1fr_1fr_1fr_auto]"
      >
        <RowField entity="lying" :row="one" field="placeId" :options="berths" />
        <RowField entity="lying" :row="one" field="from" />
        <RowField entity="lying" :row="one" field="to" />
        <button
          class="btn btn-small"
          :aria-label="`Remove the time from ${one.from}`"
          @click="lying.remove(one)"
        >
          Remove
        </button>
      </div>
      <button class="btn btn-small mt-2" @click="addLying">Another berth for a time</button>
    </template>
    <p class="mt-4 text-ink2">
      Ways between the shed and the other places. Without one, it is reckoned by home.
    </p>
    <div
      v-for="one in store.rows.drive"
      :key="one.id"
      class="flex flex-wrap items-end gap-3 border-b border-rule py-2"
    >
      <RowField
        entity="drive"
        :row="one"
        field="minutes"
        class="w-72 max-w-full"
        :label="`${nameOf(one.fromPlaceId)} to ${nameOf(one.toPlaceId)}, minutes`"
      />
      <button
        class="btn btn-small"
        :aria-label="`Remove the way from ${nameOf(one.fromPlaceId)} to ${nameOf(one.toPlaceId)}`"
        @click="drives.remove(one)"
      >
        Remove
      </button>
    </div>
    <button v-if="unlinked" class="btn btn-small mt-2" @click="addDrive">
      The way from {{ unlinked[0].name }} to {{ unlinked[1].name }}
    </button>
  </section>
</template>

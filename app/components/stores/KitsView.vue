<script setup lang="ts">
import { computed } from 'vue'
import { patchOf } from '#core/model/removal'
import { kitDays, sayKit } from '#core/stores/kits'
import type { Kit, KitDay, KitThing } from '#core/stores/kits'
import { isMissing, partAt } from '#core/stores/thingAt'
import type { ThingAt } from '#core/stores/thingAt'
import { shelfWarnings } from '#core/stores/shelf'
import type { StoreFacts } from '#core/stores/storeFacts'
import { dateOf } from '#core/time/civil'
import { placeOn } from '#core/today/placeOn'

/** Is the job kitted, and where are the things: the road between the places, and the kits of the next days. */
const props = defineProps<{ facts: StoreFacts; year: string }>()
const emit = defineEmits<{ part: [id: string] }>()
const store = useRefitStore()
const { sayDay, sayDate } = useDates()
const mostDays = 4
const mostCells = 14
const days = computed(() => kitDays(props.facts, mostDays))
const placeWords: Readonly<Record<ThingAt, string>> = {
  boat: 'on the boat',
  shed: 'in the shed',
  home: 'at home',
  unsaid: 'here, nobody said where',
  order: 'on order',
  nowhere: 'nowhere yet',
}
const legend = Object.entries(placeWords) as [ThingAt, string][]
/** Things that are somewhere: parts that are here, and lots on the shelf. */
const countAt = (at: ThingAt) =>
  store.rows.part.filter((one) => one.state === 'arrived' && partAt(one) === at).length +
  store.rows.stock.filter((one) => one.at === at && one.quantity > 0).length
/** What goes along the road for the next day: from a place to where the work is. */
const first = computed(() => days.value[0] ?? null)
const take = computed(() => {
  const roads = new Map<string, { from: ThingAt; to: ThingAt; names: string[] }>()
  for (const { things, place } of first.value?.kits ?? [])
    for (const { at, name } of things) {
      if (at === place || isMissing(at)) continue
      const key = `${at} ${place}`
      const road = roads.get(key) ?? { from: at, to: place, names: [] }
      if (!road.names.includes(name)) road.names.push(name)
      roads.set(key, road)
    }
  return [...roads.values()]
})
/** From home to where she lies today, and to the shed. */
const ways = computed(() => {
  const of = (need: 'shed' | 'boat') =>
    placeOn(store.rows, store.accepted, store.derived.today, need, store.zone)?.travelMin ?? null
  return { shed: of('shed'), boat: of('boat') }
})
const tidy = (amount: number) => String(Math.round(amount * 1000) / 1000)
/** The first of a list, and how many more there are. */
const some = (list: readonly string[]): string =>
  list.length > mostNamed
    ? `${list.slice(0, mostNamed).join('; ')} and ${list.length - mostNamed} more`
    : list.join('; ')
const mostNamed = 3
const warnings = computed(() => shelfWarnings(store.rows, store.derived.today))
const hired = computed(() =>
  store.rows.tool
    .filter((one) => one.owned !== 'own' && one.backBy !== null)
    .sort((a, b) => ((a.backBy ?? '') < (b.backBy ?? '') ? -1 : 1)),
)
const mark = (kit: Kit): string =>
  ({ whole: '✓', unchecked: '?', bring: '→', short: '', nothing: '·' })[kit.state]
const shortMark = (kit: Kit): ThingAt =>
  kit.things.some((one) => one.at === 'nowhere') ? 'nowhere' : 'order'
const shownThings = (kit: Kit): readonly KitThing[] =>
  kit.things.length <= mostCells
    ? kit.things
    : kit.things.filter((one) => one.at !== kit.place).slice(0, mostCells)
/** Steps for which something is listed; the others are only named. */
const listed = (day: KitDay) => day.kits.filter((kit) => kit.state !== 'nothing')
const bare = (day: KitDay) => day.kits.filter((kit) => kit.state === 'nothing')
const hidden = (kit: Kit): number => kit.things.length - shownThings(kit).length
/** A part that is here is put where the work is, and back. */
function press(kit: Kit, thing: KitThing) {
  const part = store.rows.part.find((one) => one.id === thing.partId)
  if (part && part.state !== 'arrived') return emit('part', part.id)
  // Back from the shed it goes home.
  const back = kit.place === 'shed' ? 'home' : 'shed'
  const to = thing.at === kit.place ? back : kit.place
  const said = `${thing.name} is ${placeWords[to]}`
  if (part) return void store.attempt(said, [patchOf('part', part, { at: to })])
  const line = store.rows.bringLine.find((one) => one.id === thing.key)
  if (line) void store.attempt(said, [patchOf('bringLine', line, { at: to })])
}
useKeyScope({
  kitsTick: () => {
    const cell = document.activeElement
    if (!(cell instanceof HTMLElement && cell.matches('[data-cell]'))) return false
    cell.click()
  },
})
</script>

<template>
  <div>
    <section aria-label="Places" class="grid max-w-3xl grid-cols-3 gap-2">
      <p
        v-for="[at, name, way] in [
          ['home', 'Home', ''],
          ['shed', 'Shed', ways.shed === null ? '' : `${ways.shed} min from home`],
          ['boat', 'Boat', ways.boat === null ? '' : `${ways.boat} min from home`],
        ] as const"
        :key="at"
        class="flex items-center gap-2"
      >
        <PlaceMark :at="at" large />
        <span>
          <span class="cond block text-lg leading-tight">{{ name }}</span>
          <span class="text-[0.9375rem] text-ink2">
            {{ countAt(at) }} {{ countAt(at) === 1 ? 'thing' : 'things'
            }}<template v-if="way">, {{ way }}</template>
          </span>
        </span>
      </p>
    </section>
    <ul v-if="first && take.length > 0" class="mt-2 max-w-3xl border-t border-rule">
      <li
        v-for="road in take"
        :key="`${road.from} ${road.to}`"
        class="grid grid-cols-[auto_auto_1fr] items-start gap-2 border-b border-rule2 py-1"
      >
        <span class="cond text-verdigris">take for {{ sayDay(dateOf(first.day)) }}</span>
        <span class="flex items-center gap-1 pt-0.5">
          <PlaceMark :at="road.from" :title="placeWords[road.from]" />→<PlaceMark
            :at="road.to"
            :title="placeWords[road.to]"
          />
        </span>
        <span class="min-w-0">{{ road.names.join(', ') }}</span>
      </li>
    </ul>
    <p class="mt-2 text-[0.9375rem]">
      <template v-if="warnings.goingOff.length > 0">
        <strong class="text-redlead">Off or going off:</strong>
        {{
          some(
            warnings.goingOff.map(
              (lot) =>
                `${lot.name}${lot.batch ? `, batch ${lot.batch}` : ''}, ${sayDate(lot.expiresOn ?? '')}`,
            ),
          )
        }}.
      </template>
      <template v-if="warnings.low.length > 0">
        <strong class="text-redlead">Low:</strong>
        {{
          some(
            warnings.low.map(
              ({ lot, have }) =>
                `${lot.name}, ${`${tidy(have)} ${lot.unit}`.trim()}, low under ${lot.lowAt}`,
            ),
          )
        }}.
      </template>
      <template v-if="hired.length > 0">
        <strong>To give back:</strong>
        {{ some(hired.map((one) => `${one.name} to ${one.owner}, ${sayDay(one.backBy ?? '')}`)) }}.
      </template>
    </p>
    <h2 class="mt-3 border-b-2 border-ink">
      Kits for the next {{ days.length }} {{ days.length === 1 ? 'day' : 'days' }} with work
    </h2>
    <p v-if="days.length === 0" class="py-3 text-ink2">
      The plan has nobody at work. Kits appear when steps have people and days.
    </p>
    <section v-for="day in days" :key="day.day" :aria-label="sayDay(dateOf(day.day))">
      <div
        v-for="(kit, at) in listed(day)"
        :key="kit.step.id"
        class="grid items-center gap-x-3 border-b border-rule2 py-1 sm:grid-cols-[5rem_minmax(10rem,18rem)_minmax(8rem,1fr)_minmax(12rem,1.2fr)]"
        :class="{ 'border-t border-rule': at === 0 }"
      >
        <p class="cond">{{ at === 0 ? sayDay(dateOf(day.day)) : '' }}</p>
        <NuxtLink
          class="underline decoration-rule underline-offset-4 max-sm:min-h-11"
          :to="`/r/${store.refitId}/step/${kit.step.id}`"
          >{{ kit.step.title }}</NuxtLink
        >
        <div class="flex flex-wrap items-center gap-0.5">
          <button
            v-for="thing in shownThings(kit)"
            :key="thing.key"
            data-cell
            class="inline-flex items-center justify-center hover:bg-brass-tint max-sm:min-h-11 max-sm:min-w-9"
            :aria-label="`${thing.name}: ${placeWords[thing.at]}`"
            :title="`${thing.name}: ${placeWords[thing.at]}`"
            @click="press(kit, thing)"
          >
            <PlaceMark :at="thing.at" />
          </button>
          <span v-if="hidden(kit) > 0" class="cond text-ink2">and {{ hidden(kit) }} here</span>
        </div>
        <p
          class="cond flex items-baseline gap-2"
          :class="{ 'text-redlead': kit.state === 'short', 'text-ink2': kit.state === 'nothing' }"
        >
          <PlaceMark v-if="kit.state === 'short'" :at="shortMark(kit)" class="self-center" />
          <span v-else aria-hidden="true" class="w-5 text-center">{{ mark(kit) }}</span>
          {{ sayKit(kit, year) }}
        </p>
      </div>
      <p
        v-if="bare(day).length > 0"
        class="grid gap-x-3 border-b border-rule2 py-1 text-[0.9375rem] text-ink2 sm:grid-cols-[5rem_1fr]"
      >
        <span class="cond text-ink">{{
          listed(day).length === 0 ? sayDay(dateOf(day.day)) : ''
        }}</span>
        <span
          >Nothing is listed for
          {{
            bare(day)
              .map((kit) => kit.step.title)
              .join(', ')
          }}.</span
        >
      </p>
    </section>
    <ul class="mt-2 flex flex-wrap gap-x-4 gap-y-1 text-[0.9375rem]">
      <li v-for="[at, words] in legend" :key="at" class="flex items-center gap-1.5">
        <PlaceMark :at="at" /> {{ words }}
      </li>
    </ul>
  </div>
</template>

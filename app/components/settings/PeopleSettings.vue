<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Person, Row } from '#core/model/entities'
import { inOrder } from '#core/model/refit'
import { fieldOf } from '#core/model/references'
import { sayChoice } from '#core/model/sayValue'
import { skills } from '#core/model/words'
import { mondayOf } from '#core/time/civil'
import { weekdayNames } from '#core/time/say'

/** People, their week, their skills and their exceptions. */
const store = useRefitStore()
const { sayDay } = useDates()
const people = useRows('person')
const slots = useRows('weekSlot')
const days = useRows('personDay')
const list = computed(() => inOrder(store.rows.person))
const slotsOf = (id: string) =>
  store.rows.weekSlot.filter((one) => one.personId === id).sort((a, b) => a.weekday - b.weekday)
const exceptionsOf = (id: string) =>
  store.rows.personDay
    .filter((one) => one.personId === id && one.on >= store.derived.today)
    .sort((a, b) => (a.on < b.on ? -1 : 1))
const nightsSomewhere = computed(() => store.rows.place.some((one) => one.nights !== 'none'))
/** Everybody can what anybody can. */
const trades = skills.filter((one) => one !== 'general')
const away = ref<Person | null>(null)
const extra = ref<Person | null>(null)
const weekdays = weekdayNames.map((label, index) => ({ value: index + 1, label }))
const every = ['every week', 'every other week', 'every third week', 'every fourth week'].map(
  (label, index) => ({ value: index + 1, label }),
)
const addSlot = (personId: string) =>
  slots.add({ personId, weekday: 6, anchor: mondayOf(store.derived.today) })
const sayException = (one: Row<'personDay'>) =>
  `${sayDay(one.on)}: ${one.kind === 'cannotCome' ? `can’t come${one.wholeDay ? '' : ` ${one.from}–${one.to}`}` : `extra day ${one.from}–${one.to}`}${one.reason ? `, ${one.reason}` : ''}`
</script>

<template>
  <section aria-labelledby="set-people">
    <h2 id="set-people" class="border-b-2 border-ink">People</h2>
    <p class="mt-1 text-ink2">
      Hours run from leaving home to being back; travel and set-up are taken off.
    </p>
    <div v-for="person in list" :key="person.id" class="border-b border-rule py-3">
      <div class="grid grid-cols-2 items-end gap-3 md:grid-cols-[1fr_10rem_auto]">
        <RowField entity="person" :row="person" field="name" />
        <RowField entity="person" :row="person" field="role" />
        <RowField entity="person" :row="person" field="gone" />
      </div>
      <template v-if="!person.gone">
        <ul class="mt-2 grid gap-2">
          <li
            v-for="slot in slotsOf(person.id)"
            :key="slot.id"
            class="flex flex-wrap items-end gap-2"
          >
            <RowField
              entity="weekSlot"
              :row="slot"
              field="weekday"
              class="w-36"
              label="Day"
              :options="weekdays"
            />
            <RowField entity="weekSlot" :row="slot" field="from" class="w-24" />
            <RowField entity="weekSlot" :row="slot" field="to" class="w-24" />
            <RowField
              entity="weekSlot"
              :row="slot"
              field="everyWeeks"
              class="w-40"
              label="How often"
              :options="every"
            />
            <RowField
              v-if="slot.everyWeeks > 1"
              entity="weekSlot"
              :row="slot"
              field="anchor"
              class="w-44"
            />
            <button
              class="btn btn-small"
              :aria-label="`Remove a day of ${person.name}`"
              @click="slots.remove(slot)"
            >
              Remove
            </button>
          </li>
        </ul>
        <div class="mt-2 flex flex-wrap items-end gap-x-3 gap-y-1">
          <RowField
            entity="person"
            :row="person"
            field="breakFrom"
            class="w-28"
            :label="`${person.name} pauses at`"
          />
          <RowField
            v-if="person.breakFrom !== null"
            entity="person"
            :row="person"
            field="breakMin"
            class="w-28"
            label="For, minutes"
          />
          <p v-if="person.breakFrom !== null" class="pb-1 text-ink2">
            Work that cannot be left runs through it.
          </p>
          <RowField v-if="nightsSomewhere" entity="person" :row="person" field="staysNights" />
        </div>
        <div class="mt-2 flex flex-wrap items-end gap-2">
          <button class="btn btn-small" @click="addSlot(person.id)">Add a weekday</button>
          <button
            class="btn btn-small"
            :aria-label="`Days ${person.name} can’t come`"
            @click="away = person"
          >
            Can’t come…
          </button>
          <button
            class="btn btn-small"
            :aria-label="`An extra day of ${person.name}`"
            @click="extra = person"
          >
            Extra day…
          </button>
        </div>
        <ul class="mt-1">
          <li v-for="one in exceptionsOf(person.id)" :key="one.id">
            {{ sayException(one) }}
            <button
              class="underline"
              :aria-label="`Remove ${sayException(one)}`"
              @click="days.remove(one)"
            >
              Remove
            </button>
          </li>
        </ul>
        <div
          class="mt-1 flex flex-wrap gap-x-4"
          role="group"
          :aria-label="`Skills of ${person.name}`"
        >
          <UiCheck
            v-for="skill in trades"
            :key="skill"
            :model-value="person.skills.includes(skill)"
            :label="sayChoice(fieldOf('step', 'skill'), skill)"
            @update:model-value="people.tick(person, 'skills', skill)"
          />
        </div>
      </template>
    </div>
    <LazyAbsenceDialog v-if="away" :person="away" @close="away = null" />
    <LazyExtraDayDialog v-if="extra" :person="extra" @close="extra = null" />
    <UiAnother entity="person" field="name" label="Another person" keep="Add person" />
    <LazySharedPeople />
  </section>
</template>

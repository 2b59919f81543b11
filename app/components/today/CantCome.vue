<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import type { ChangeItem } from '#core/model/changes'
import { inOrder } from '#core/model/refit'
import { attendanceOf } from '#core/time/attendance'
import { addDays, dayNumber } from '#core/time/civil'

/** "Can't come Saturday" in two presses: the day, then yes, with what it does to the launch in between. */
const store = useRefitStore()
const { sayDay } = useDates()
const planner = usePlannerStore()
const personId = useMe()
const open = ref(false)
const effect = ref('')
const picked = shallowRef<{
  readonly personId: string
  readonly on: string
  readonly name: string
} | null>(null)
const daysAhead = 23
const parts = [
  { value: 'day', label: 'All day' },
  { value: 'morning', label: 'Until 13:00' },
  { value: 'afternoon', label: 'From 13:00' },
] as const
type Part = (typeof parts)[number]['value']
const hoursAway = {
  day: { wholeDay: true },
  morning: { wholeDay: false, from: '00:00', to: '13:00' },
  afternoon: { wholeDay: false, from: '13:00', to: '23:59' },
} as const
const part = ref<Part>('day')
const partWords: Record<Part, string> = {
  day: '',
  morning: ' before 13:00',
  afternoon: ' after 13:00',
}
function choosePart(chosen: Part) {
  part.value = chosen
  if (picked.value) void pick({ ...picked.value })
}

const choices = computed(() => {
  const { today } = store.derived
  return inOrder(store.rows.person)
    .filter((person) => !person.gone)
    .sort((a, b) => Number(b.id === personId.value) - Number(a.id === personId.value))
    .map((person) => {
      const attendance = attendanceOf(
        store.rows.weekSlot.filter((one) => one.personId === person.id),
        store.rows.personDay.filter((one) => one.personId === person.id),
      )
      const days = Array.from({ length: daysAhead }, (_, index) => addDays(today, index)).filter(
        (on) => attendance.on(dayNumber(on)).length > 0,
      )
      return { person, days: days.slice(0, 8) }
    })
})
const itemOf = (one: { readonly personId: string; readonly on: string }): ChangeItem => ({
  op: 'create',
  entity: 'personDay',
  id: newId(),
  patch: { personId: one.personId, on: one.on, kind: 'cannotCome', ...hoursAway[part.value] },
})
async function pick(one: {
  readonly personId: string
  readonly on: string
  readonly name: string
}) {
  picked.value = one
  effect.value = 'Working out what that does…'
  try {
    const said = store.plan
      ? await planner.whatIf([itemOf(one)])
      : 'Nothing is planned yet, so nothing can be said.'
    if (picked.value === one && said !== null) effect.value = said
  } catch (error) {
    if (picked.value === one) effect.value = `It could not be worked out: ${sentenceOf(error)}`
  }
}
async function confirm() {
  const one = picked.value
  if (!one) return
  if (
    await store.attempt(`${one.name} cannot come on ${sayDay(one.on)}${partWords[part.value]}`, [
      itemOf(one),
    ])
  )
    close()
}
function close() {
  open.value = false
  picked.value = null
  part.value = 'day'
}
</script>

<template>
  <button class="btn" @click="open = true">Can’t come</button>
  <UiDialog :open="open" title="Who cannot come, and when?" @close="close">
    <div v-for="{ person, days } in choices" :key="person.id" class="mb-4">
      <h3>{{ person.name }}</h3>
      <div class="mt-1 flex flex-wrap gap-2">
        <button
          v-for="on in days"
          :key="on"
          class="btn btn-small"
          :class="{ 'btn-on': picked?.personId === person.id && picked.on === on }"
          @click="pick({ personId: person.id, on, name: person.name })"
        >
          {{ sayDay(on) }}
        </button>
        <p v-if="days.length === 0" class="text-ink2">Does not come in the next weeks anyhow.</p>
      </div>
    </div>
    <div v-if="picked" class="border-l-4 border-redlead bg-redlead-tint p-3">
      <div class="mb-2 flex flex-wrap gap-2" role="group" aria-label="For how long">
        <button
          v-for="one in parts"
          :key="one.value"
          class="btn btn-small"
          :class="{ 'btn-on': part === one.value }"
          :aria-pressed="part === one.value"
          @click="choosePart(one.value)"
        >
          {{ one.label }}
        </button>
      </div>
      <p role="status">{{ effect }}</p>
      <button class="btn btn-main mt-2" @click="confirm">
        {{ picked.name }} can’t come {{ sayDay(picked.on) }}{{ partWords[part] }}
      </button>
    </div>
  </UiDialog>
</template>

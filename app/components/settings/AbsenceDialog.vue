<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Person } from '#core/model/entities'
import { daysBetween } from '#core/time/civil'
import { datesFromTo, longestSpanDays } from '#core/time/span'

/** Days on which somebody cannot come, a whole stretch in one go. */
const props = defineProps<{ person: Person }>()
const emit = defineEmits<{ close: [] }>()
const store = useRefitStore()
const { sayDay } = useDates()
const from = ref<string | null>(store.derived.today)
const to = ref<string | null>(null)
const reason = ref('')
const wholeDay = ref(true)
const fromTime = ref('13:00')
const toTime = ref('18:00')
const wrong = ref('')
const unread = useUnread()
const last = computed(() => to.value ?? from.value)
const span = computed(() => (from.value && last.value ? datesFromTo(from.value, last.value) : []))
const known = computed(
  () =>
    new Set(
      store.rows.personDay
        .filter((one) => one.personId === props.person.id && one.kind === 'cannotCome')
        .map((one) => one.on),
    ),
)
const days = computed(() => span.value.filter((on) => !known.value.has(on)))

function missing(): string {
  if (unread.first() !== '') return unread.first()
  if (!from.value || !last.value) return 'From which day?'
  if (last.value < from.value)
    return `${sayDay(last.value)} is before ${sayDay(from.value)}. Change one of them.`
  if (!wholeDay.value && toTime.value <= fromTime.value)
    return `${toTime.value} is not after ${fromTime.value}. Change one of them.`
  if (daysBetween(from.value, last.value) >= longestSpanDays)
    return 'A year at most in one go. Somebody who stays away is “no longer with us”.'
  if (days.value.length === 0) return 'All these days are down already.'
  return ''
}
async function keep() {
  wrong.value = missing()
  if (wrong.value !== '') return
  const label = `${props.person.name} cannot come, ${days.value.length} ${days.value.length === 1 ? 'day' : 'days'}`
  try {
    const done = await store.submit(
      label,
      days.value.map((on) => ({
        op: 'create',
        entity: 'personDay',
        id: newId(),
        patch: {
          personId: props.person.id,
          on,
          kind: 'cannotCome',
          reason: reason.value,
          wholeDay: wholeDay.value,
          ...(wholeDay.value ? {} : { from: fromTime.value, to: toTime.value }),
        },
      })),
    )
    if (done) emit('close')
  } catch (error) {
    wrong.value = sentenceOf(error)
  }
}
</script>

<template>
  <UiDialog open :title="`${person.name} can’t come`" @close="emit('close')">
    <form class="grid gap-4" @submit.prevent="keep">
      <div class="grid gap-3 sm:grid-cols-2">
        <UiDate v-model="from" label="From" @invalid="unread.mark('from')($event)" />
        <UiDate
          v-model="to"
          label="To, that day too"
          hint="Empty: one day."
          may-be-empty
          @invalid="unread.mark('to')($event)"
        />
      </div>
      <div class="flex flex-wrap items-end gap-3">
        <UiCheck v-model="wholeDay" label="All day" />
        <template v-if="!wholeDay">
          <UiTime
            v-model="fromTime"
            class="w-24"
            label="From"
            @invalid="unread.mark('fromTime')($event)"
          />
          <UiTime
            v-model="toTime"
            class="w-24"
            label="Until"
            @invalid="unread.mark('toTime')($event)"
          />
        </template>
      </div>
      <UiText v-model="reason" label="Why" :most="200" />
      <p v-if="days.length > 0" class="text-ink2" role="status">
        {{ days.length }} {{ days.length === 1 ? 'day' : 'days'
        }}{{ span.length > days.length ? `; ${span.length - days.length} down already` : '' }}.
      </p>
      <p v-if="wrong" class="text-redlead" role="alert">{{ wrong }}</p>
      <button class="btn btn-main" type="submit">Keep it</button>
    </form>
  </UiDialog>
</template>

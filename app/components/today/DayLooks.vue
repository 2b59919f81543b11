<script setup lang="ts">
import { computed } from 'vue'
import { checksDue } from '#core/log/checks'

/** What is to be looked at again by this day, and the launch when it is today. */
const props = defineProps<{ on: string }>()
const store = useRefitStore()
const isAfloat = useAfloat()
const { sayDay } = useDates()
const most = 3
const due = computed(() =>
  checksDue(store.rows, store.derived.today, isAfloat).filter(
    (one) => one.on !== null && one.on <= props.on && !one.isLikely,
  ),
)
const isLaunchDay = computed(
  () =>
    store.derived.launch?.plannedOn === props.on ||
    store.rows.haulOut.some((one) => one.launchActual === null && one.launchBooked === props.on),
)
</script>

<template>
  <section v-if="isLaunchDay" class="mt-3 border-l-4 border-verdigris pl-2">
    <h2 class="text-lg">She goes in</h2>
    <p>
      <NuxtLink class="underline" :to="`/r/${store.refitId}/launch/day?day=${on}`"
        >The day hour by hour</NuxtLink
      >, <NuxtLink class="underline" :to="`/r/${store.refitId}/launch/watch`">the watch</NuxtLink>
    </p>
  </section>
  <section v-if="due.length > 0" class="mt-3" aria-labelledby="day-looks">
    <h2 id="day-looks" class="border-b-2 border-ink">Look again</h2>
    <ul>
      <li v-for="one in due.slice(0, most)" :key="one.key" class="flex justify-between gap-2">
        <span class="truncate">{{ one.title }}</span>
        <span class="cond whitespace-nowrap text-redlead">{{
          one.on === on ? 'today' : `since ${sayDay(one.on ?? on)}`
        }}</span>
      </li>
    </ul>
    <NuxtLink class="cond underline" :to="`/r/${store.refitId}/log`">{{
      due.length > most ? `All ${due.length} in the log` : 'In the log'
    }}</NuxtLink>
  </section>
</template>

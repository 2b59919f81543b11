<script setup lang="ts">
import { computed } from 'vue'
import { howLift } from '#core/how/launch'
import type { LiftOdds } from '#core/model/odds'
import { exactMoney } from '#core/money/money'
import { dateOf } from '#core/time/civil'

/** What booking the chosen lift comes to, opened to what it is made of. */
const props = defineProps<{ odds: LiftOdds; day: number }>()
const { currency } = useMoney()
const { sayDay } = useDates()
const how = computed(() =>
  howLift(props.odds, props.day, {
    // To the coin: the sums stand under one another.
    money: (minor) => exactMoney(minor, currency.value),
    day: (day) => sayDay(dateOf(day)),
  }),
)
</script>

<template>
  <span v-if="how" class="min-w-0 text-right">
    {{ sayDay(dateOf(day)) }}:
    <UiHow :how="() => how" about="booked then">{{ how.result }}</UiHow>
  </span>
</template>

<script setup lang="ts">
import { computed } from 'vue'
import type { Ledger } from '#core/launch/ledger'

/** What came off her and went on since she was weighed. */
const props = defineProps<{ ledger: Ledger }>()
const store = useRefitStore()
const { sayDate } = useDates()
const rows = useRows('weightLine')
const form = useRowForm('weightLine', () => ({
  what: '',
  kg: undefined,
  alongM: null,
  acrossM: 0,
  knownAs: 'guessed',
  on: store.derived.today,
}))
async function add() {
  const id = newId()
  const kept = await form.save('Weight', (values) => [
    { op: 'create', entity: 'weightLine', id, patch: values },
  ])
  if (kept) form.reset()
}
const kg = (amount: number) => `${amount > 0 ? '+' : '−'}${Math.abs(Math.round(amount))} kg`
const heel = computed(() => {
  const moment = props.ledger.heelKgM
  if (Math.abs(moment) < 5) return 'no heel to speak of'
  return `${Math.round(Math.abs(moment))} kg·m to ${moment > 0 ? 'starboard' : 'port'}`
})
const byHand = (key: string) => store.rows.weightLine.find((one) => one.id === key)
</script>

<template>
  <section aria-labelledby="weight-ledger">
    <h2 id="weight-ledger" class="border-b-2 border-ink text-lg">
      What she weighs<template v-if="ledger.weightT !== null"
        >: {{ ledger.weightT.toFixed(2) }} t</template
      >
    </h2>
    <p v-if="ledger.startT === null" class="text-ink2">
      Say what she weighs, in Settings, or at the lift: the rest is added up from there.
    </p>
    <p v-else class="text-ink2">
      {{ ledger.startT.toFixed(2) }} t to begin with, {{ kg(ledger.movedKg || 0) }} since<template
        v-if="ledger.sinkCm !== null && Math.abs(ledger.sinkCm) >= 0.1"
        >; she floats {{ Math.abs(ledger.sinkCm).toFixed(1) }} cm
        {{ ledger.sinkCm > 0 ? 'deeper' : 'higher' }}</template
      >, {{ heel
      }}<template v-if="ledger.centreM !== null"
        >; centre {{ ledger.centreM.toFixed(2) }} m from the stem</template
      >.
      <template v-if="ledger.withoutPlace > 0">
        {{ ledger.withoutPlace }} without a place: the centre leaves
        {{ ledger.withoutPlace === 1 ? 'it' : 'them' }} out.
      </template>
    </p>
    <ul>
      <li
        v-for="one in ledger.moves"
        :key="one.key"
        class="grid grid-cols-[minmax(0,1fr)_auto_auto] items-center gap-x-3 border-b border-rule2 py-0.5"
      >
        <span class="min-w-0 truncate">
          {{ one.what }}
          <span class="text-ink2"
            >{{ sayDate(one.on) }}, {{ one.isWeighed ? 'weighed' : 'guessed'
            }}{{
              one.alongM === null ? ', nobody knows where' : `, ${one.alongM.toFixed(1)} m aft`
            }}</span
          >
        </span>
        <span class="cond font-semibold">{{ kg(one.kg) }}</span>
        <button
          v-if="byHand(one.key)"
          class="btn btn-quiet btn-small"
          :aria-label="`Remove ${one.what}`"
          @click="rows.remove(byHand(one.key)!)"
        >
          Remove
        </button>
        <NuxtLink
          v-else
          class="btn btn-quiet btn-small"
          :to="`/r/${store.refitId}/job/${one.jobId}`"
          >Job</NuxtLink
        >
      </li>
    </ul>
    <UiRowForm
      class="grid grid-cols-2 sm:grid-cols-[minmax(0,1.4fr)_6rem_6rem_7rem_auto]"
      :form="form"
      keep="Add"
      @keep="add"
    >
      <FieldInput v-bind="form.bind('what', 'Came on or off')" />
      <FieldInput v-bind="form.bind('kg', 'kg, − is off')" />
      <FieldInput v-bind="form.bind('alongM')" />
      <FieldInput v-bind="form.bind('knownAs', 'It is')" />
    </UiRowForm>
  </section>
</template>

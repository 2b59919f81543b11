<script setup lang="ts">
import { computed } from 'vue'
import { whoMightCome } from '#core/launch/whoComes'
import { extraDay, usualHours } from '#core/model/extraDay'
import type { Person } from '#core/model/entities'

/** Nobody of the boat is there on the day she goes in: who comes? One press each. */
const props = defineProps<{ on: string }>()
const store = useRefitStore()
const toasts = useToastStore()
const { sayDay } = useDates()
const { undo } = useUndo()
const people = computed(() => whoMightCome(store.rows, props.on))
async function come(person: Person) {
  const { from, to } = usualHours(store.rows, person.id)
  const said = `${person.name} comes on ${sayDay(props.on)}`
  if (await store.attempt(said, [extraDay(person.id, props.on, { from, to }, newId)]))
    toasts.say(`${said}, ${from} to ${to}.`, false, { label: 'Undo', run: undo })
}
</script>

<template>
  <div class="my-2 max-w-xl border-l-4 border-redlead pl-3">
    <p>
      Nobody of the boat is there on {{ sayDay(on) }}, and somebody has to look at every opening
      before the slings go.
      <template v-if="people.length === 0"
        >Nobody is left to ask: take another day, or write down in Settings who works on
        her.</template
      >
    </p>
    <p v-if="people.length > 0" class="mt-2 flex flex-wrap gap-2">
      <button v-for="one in people" :key="one.id" type="button" class="btn" @click="come(one)">
        {{ one.name }} comes that day
      </button>
    </p>
  </div>
</template>

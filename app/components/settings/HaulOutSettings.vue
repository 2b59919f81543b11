<script setup lang="ts">
import { placeOfKind } from '#core/model/refit'
import { computed, ref } from 'vue'
import type { Row } from '#core/model/entities'
import { removal } from '#core/model/removal'
import { addDays } from '#core/time/civil'

/** Haul-outs and gates. A launch gate takes its date from its haul-out. */
const store = useRefitStore()
const gates = useRows('gate')
const list = computed(() =>
  [...store.rows.haulOut].sort((a, b) => (a.liftOutAimed < b.liftOutAimed ? -1 : 1)),
)
const others = computed(() => store.rows.gate.filter((one) => one.kind !== 'launch'))
type HaulOut = Row<'haulOut'>
const toasts = useToastStore()
async function addHaul() {
  const last = list.value.at(-1)
  const from = last ? addDays(last.launchAimed, 150) : store.derived.today
  const name = `Haul-out ${list.value.length + 1}`
  const yard = placeOfKind(store.rows, 'yard')
  const haulOutId = newId()
  await store.attempt(`New ${name}`, [
    {
      op: 'create',
      entity: 'haulOut',
      id: haulOutId,
      patch: {
        name,
        placeId: yard?.id ?? null,
        liftOutAimed: from,
        launchAimed: addDays(from, 180),
      },
    },
    {
      op: 'create',
      entity: 'gate',
      id: newId(),
      patch: { name: `Launch ${list.value.length + 1}`, kind: 'launch', haulOutId },
    },
  ])
}
const leaving = ref<HaulOut | null>(null)
const launchOf = (haul: HaulOut | null) =>
  store.rows.gate.find((one) => one.kind === 'launch' && one.haulOutId === haul?.id)
const jobsOf = (haul: HaulOut | null) =>
  store.rows.job.filter((one) => one.gateId !== null && one.gateId === launchOf(haul)?.id).length
const waiting = (jobs: number): string =>
  jobs === 0
    ? 'No job waits for that launch.'
    : jobs === 1
      ? 'One job waits for that launch: it stays, without a gate, and wants placing again.'
      : `${jobs} jobs wait for that launch: they stay, without a gate, and want placing again.`
async function removeHaul() {
  const haul = leaving.value
  leaving.value = null
  if (!haul) return
  const launch = launchOf(haul)
  // Jobs of that launch were placed; they are to be placed again.
  const items = removal(store.rows, 'haulOut', [haul.id]).map((item) =>
    item.entity === 'job' && item.op === 'patch' && launch && 'gateId' in item.patch
      ? { ...item, patch: { ...item.patch, placed: false } }
      : item,
  )
  if (await store.attempt(`Remove ${haul.name}`, items))
    toasts.say(`${haul.name} removed. z takes it back.`)
}
</script>

<template>
  <section aria-labelledby="set-hauls">
    <h2 id="set-hauls" class="border-b-2 border-ink">Haul-outs and gates</h2>
    <div v-for="haul in list" :key="haul.id" class="border-b border-rule py-3">
      <div class="grid grid-cols-2 gap-3 md:grid-cols-4">
        <RowField entity="haulOut" :row="haul" field="name" />
        <RowField entity="haulOut" :row="haul" field="liftOutAimed" />
        <RowField entity="haulOut" :row="haul" field="liftOutBooked" />
        <RowField entity="haulOut" :row="haul" field="liftOutActual" />
        <RowField entity="haulOut" :row="haul" field="launchWhen" />
        <RowField entity="haulOut" :row="haul" field="launchAimed" />
        <RowField entity="haulOut" :row="haul" field="launchBooked" />
        <RowField entity="haulOut" :row="haul" field="launchTime" />
        <RowField entity="haulOut" :row="haul" field="launchActual" />
      </div>
      <button
        class="btn btn-small mt-2"
        :aria-label="`Remove haul-out ${haul.name}`"
        @click="leaving = haul"
      >
        Remove
      </button>
    </div>
    <button class="btn mt-3" @click="addHaul">Add a haul-out</button>
    <UiDialog
      :open="leaving !== null"
      :title="`Remove ${leaving?.name ?? ''}`"
      red
      @close="leaving = null"
    >
      <p>
        Its launch goes with it. {{ waiting(jobsOf(leaving)) }} Save the refit file first; undo
        brings it back too.
      </p>
      <div class="mt-4 flex flex-wrap gap-3">
        <a class="btn" :href="`/api/refits/${store.refitId}/export`" download
          >Save the refit file</a
        >
        <button class="btn btn-main" @click="removeHaul">Remove the haul-out</button>
        <button class="btn" @click="leaving = null">Keep it</button>
      </div>
    </UiDialog>
    <h3 class="mt-4">Other gates</h3>
    <ul>
      <li v-for="gate in others" :key="gate.id" class="flex flex-wrap items-end gap-3 py-1.5">
        <RowField entity="gate" :row="gate" field="name" />
        <RowField v-if="gate.kind === 'dated'" entity="gate" :row="gate" field="on" />
        <p v-else class="pb-1.5 text-ink2">as soon as possible</p>
        <button
          class="btn btn-small"
          :aria-label="`Remove gate ${gate.name}`"
          @click="gates.remove(gate)"
        >
          Remove
        </button>
      </li>
    </ul>
    <UiAnother
      v-slot="{ bind }"
      entity="gate"
      field="name"
      label="Another gate"
      placeholder="Rigger comes"
      keep="Add gate"
      :initial="{ on: null }"
      :rest="({ on }) => ({ kind: on === null ? 'asap' : 'dated' })"
    >
      <FieldInput v-bind="bind('on', 'On (empty: as soon as possible)')" />
    </UiAnother>
  </section>
</template>

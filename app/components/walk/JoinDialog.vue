<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Finding } from '#core/model/entities'
import { usualHours } from '#core/triage/triage'
import { countOf, joinChanges } from '#core/walk/causes'
import { patchOf } from '#core/model/removal'
import { formatHours } from '#core/units/hours'

/** Several findings with one cause: one job for all of them, with one test that closes it. */
const props = defineProps<{
  open: boolean
  findings: readonly Finding[]
  /** Words to begin with. */
  title: string
  test: string
  /** A cause that is there already and has no job yet. */
  causeId: string | null
}>()
const emit = defineEmits<{ close: []; job: [jobId: string] }>()
const store = useRefitStore()
const name = ref('')
const closes = ref('')
const hoursEach = ref<number | null>(null)
const gateId = ref<string | null>(null)
const wrong = ref('')
const busy = ref(false)
const unread = useUnread()
const many = computed(() => countOf(props.findings))
const gates = computed(() =>
  store.derived.gates.map((one) => ({ value: one.gate.id, label: one.gate.name })),
)
/** The middle of what was guessed for them; else what found work usually comes to. */
function middleGuess(): number {
  const guesses = props.findings
    .flatMap((one) => (one.hoursGuess === null ? [] : [one.hoursGuess / one.howMany]))
    .sort((a, b) => a - b)
  return guesses[Math.floor(guesses.length / 2)] ?? usualHours(store.rows)
}
watch(
  () => props.open,
  (open) => {
    if (!open) return
    name.value = props.title
    closes.value = props.test || 'Test: all of them hold'
    hoursEach.value = middleGuess()
    gateId.value = store.derived.launch?.gate.id ?? null
    wrong.value = ''
    unread.clear()
  },
  { immediate: true },
)
const made = computed(() => {
  const list = joinChanges(
    store.rows,
    props.findings,
    {
      title: name.value.trim(),
      test: closes.value.trim(),
      hoursEach: hoursEach.value ?? 1,
      gateId: gateId.value,
    },
    newId,
  )
  const { causeId } = props
  const cause = store.rows.cause.find((one) => one.id === causeId)
  if (!cause) return list
  // The cause is there: it gets the job, and no second one is made.
  const items = list.items.flatMap((item) => {
    if (item.entity === 'cause')
      return [patchOf('cause', cause, { title: name.value, test: closes.value, jobId: list.jobId })]
    return item.entity === 'finding' && item.op === 'patch'
      ? [{ ...item, patch: { ...item.patch, causeId: cause.id } }]
      : [item]
  })
  return { ...list, items }
})
const { sentence, busy: working } = useGateEffect(
  computed(() => (props.open ? made.value.items : [])),
)
async function keep() {
  wrong.value = unread.first()
  if (wrong.value !== '') return
  if (name.value.trim() === '' || closes.value.trim() === '') {
    wrong.value = 'Say what the cause is, and the test by which it closes.'
    return
  }
  busy.value = true
  try {
    const { items, jobId } = made.value
    if (await store.submit(`One job: ${name.value}`, items)) emit('job', jobId)
  } catch (error) {
    wrong.value = sentenceOf(error)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <UiDialog :open="open" title="One cause, one job" @close="emit('close')">
    <form class="grid gap-4" @submit.prevent="keep">
      <ul class="list-disc pl-6">
        <li v-for="one in findings" :key="one.id">
          {{ one.title }}<template v-if="one.howMany > 1">, {{ one.howMany }} of them</template>
        </li>
      </ul>
      <UiText v-model="name" label="What they have in common" :most="300" needed />
      <UiText v-model="closes" label="It closes by" :most="300" needed />
      <div class="grid grid-cols-2 gap-3">
        <UiHours
          v-model="hoursEach"
          label="Hours for one"
          @invalid="unread.mark('hours')($event)"
        />
        <UiSelect v-model="gateId" label="Finished before" :options="gates" none="No gate" />
      </div>
      <p>
        {{ many }} × {{ formatHours(hoursEach ?? 0) }} = {{ formatHours(many * (hoursEach ?? 0)) }},
        and half an hour for the test.
      </p>
      <p class="min-h-12" role="status">
        <span class="cond">Effect on the gates</span>
        {{ working ? ' working it out…' : sentence }}
      </p>
      <p v-if="wrong" class="text-redlead" role="alert">{{ wrong }}</p>
      <button class="btn btn-main min-h-12!" type="submit" :disabled="busy">
        Make them one job, {{ many }}
      </button>
    </form>
  </UiDialog>
</template>

<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { changedInputs, filledWith } from '#core/bench/wanted'
import { puttingItems } from '#core/bench/put'
import type { Answer, Put } from '#core/bench/sum'
import type { ChangeItem } from '#core/model/changes'
import { inOrder } from '#core/model/refit'
import { expand } from '#core/recipes/expand'
import { withInputs } from '#core/recipes/known'
import { formatQuantity } from '#core/units/quantity'

/** The answer put on a job, line by line: each with its own tick, each saying where it lands. */
const props = defineProps<{ page: ReturnType<typeof useSum>; answer: Answer | null }>()
const store = useRefitStore()
const writeOwn = useOwnAddress()
const time = useTimeStore()
const toasts = useToastStore()
const personId = useMe()
const units = computed(() => store.refit?.units ?? 'metric')

const jobs = computed(() =>
  store.rows.job
    .filter((one) => {
      const state = store.derived.jobs.get(one.id)?.state
      return one.decision === 'plan' && state !== 'done' && state !== 'dropped'
    })
    .map((one) => ({ value: one.id, label: one.title }))
    .sort((a, b) => a.label.localeCompare(b.label)),
)
const job = computed(() => store.rows.job.find((one) => one.id === props.page.jobId.value) ?? null)
const step = computed(
  () =>
    props.page.want.value?.step ??
    (job.value
      ? (inOrder(store.rows.step.filter((one) => one.jobId === job.value?.id)).find(
          (one) => one.state === 'open' || one.state === 'doing',
        ) ?? null)
      : null),
)
const before = computed(() => props.page.kept.value)
const changed = computed(() =>
  props.page.want.value
    ? changedInputs(props.page.want.value, props.page.values, props.page.known)
    : [],
)
const keyOf = (put: Put) => `${put.is} ${put.key}`
/** A job made by a recipe buys and plans what the recipe says: there its dimensions are put right instead. */
const isStanding = (put: Put): boolean =>
  before.value?.made[keyOf(put)] !== undefined ||
  !(props.page.want.value?.recipe && (put.is === 'part' || put.is === 'step' || put.is === 'bring'))
const chosen = ref<Record<string, boolean>>({})
const isOn = (key: string, standing: boolean) => chosen.value[key] ?? standing
watch(
  () => props.page.jobId.value,
  () => (chosen.value = {}),
)
const wordOf: Readonly<Record<Put['is'], string>> = {
  part: 'Part',
  step: 'Step',
  bring: 'Bring',
  asBuilt: 'As built',
  offcut: 'To the shelf',
  useStock: 'Off the shelf',
}
const where = (put: Put): string => {
  if (put.is === 'step') return 'at the end of the job'
  if (put.is === 'asBuilt')
    return store.rows.asBuiltSheet.some((one) => one.jobId === job.value?.id)
      ? 'on its sheet'
      : 'when the sheet is written'
  if (put.is === 'part' || put.is === 'bring') return step.value ? `for “${step.value.title}”` : ''
  return ''
}
const what = (put: Put): string => {
  switch (put.is) {
    case 'part':
      return `${put.name}, ${formatQuantity(put.quantity, put.unit, units.value)}`
    case 'step':
      return put.title
    case 'bring':
      return put.what
    case 'asBuilt':
      return `${put.what}: ${put.value}`
    case 'offcut':
      return `${put.name}, ${put.size}`
    case 'useStock':
      return put.name
  }
}
const isStepPut = computed(() =>
  (props.answer?.puts ?? []).some((put) => put.is === 'step' && isOn(keyOf(put), isStanding(put))),
)
/** Without a job only what belongs to none. */
const lines = computed(() =>
  (props.answer?.puts ?? []).filter((put) => {
    if (job.value === null) return put.is === 'offcut' || put.is === 'useStock' || put.is === 'part'
    // What is brought is brought to a step: one that is there, or the one that is put with it.
    return put.is !== 'bring' || step.value !== null || isStepPut.value
  }),
)
const ticked = computed(() => lines.value.filter((put) => isOn(keyOf(put), isStanding(put))))
const isStop = computed(() => props.answer?.verdict === 'stop')
/** Sums beside it that say no: bought is nothing yet, but nobody should miss it at the button. */
const stops = computed(() =>
  props.page.beside.value.filter((one) => one.answer?.verdict === 'stop'),
)
const dimensionsOn = computed(() => changed.value.length > 0 && isOn('dimensions', true))
const busy = ref(false)

function reworked(): readonly ChangeItem[] | null {
  const want = props.page.want.value
  if (!want?.recipe || !dimensionsOn.value) return []
  const inputs = Object.fromEntries(changed.value.map((one) => [one.key, one.value]))
  const sources = Object.fromEntries(
    changed.value
      .filter((one) => one.isMeasured)
      .map((one) => [
        one.key,
        {
          how: 'measured' as const,
          value: one.value,
          by: personId.value || null,
          on: store.derived.today,
        },
      ]),
  )
  const worked = expand(want.recipe, { ...want.job.recipeInputs, ...inputs }, units.value)
  if (!worked.ok) {
    toasts.say(worked.message, true)
    return null
  }
  const { items } = withInputs(want.job, store.rows, inputs, sources, () => worked.value, newId)
  return items
}

async function keep(puts: readonly Put[], withDimensions: boolean) {
  const { answer, page } = props
  if (!answer || busy.value) return
  const dimensions = withDimensions ? reworked() : []
  if (dimensions === null) return
  const { items, keptId } = puttingItems(
    {
      sum: page.sum,
      answer,
      values: JSON.parse(JSON.stringify(page.values)) as typeof page.values,
      known: { ...page.known },
      filled: page.want.value
        ? filledWith(page.want.value, withDimensions && dimensionsOn.value ? changed.value : [])
        : {},
      job: job.value,
      step: step.value,
      before: before.value,
      puts,
      note: '',
      at: Math.round(time.now),
      personId: personId.value || null,
    },
    store.rows,
    newId,
  )
  busy.value = true
  const label = job.value ? `${page.sum.title}: ${job.value.title}` : `${page.sum.title} kept`
  const done = await store.attempt(label, [...dimensions, ...items])
  busy.value = false
  if (!done) return
  toasts.say(
    job.value && (puts.length > 0 || (withDimensions && dimensionsOn.value))
      ? `On “${job.value.title}”: ${answer.says}.`
      : `Kept: ${answer.says}.`,
  )
  // Kept for itself: its address finds it again.
  if (!job.value) writeOwn({ kept: keptId })
}
const many = computed(() => ticked.value.length + (dimensionsOn.value ? 1 : 0))
useKeyScope({
  benchPut: () => {
    if (!job.value || isStop.value || many.value === 0) return false
    void keep(ticked.value, true)
  },
})
</script>

<template>
  <section class="border-[3px] border-ink bg-sheet p-3" aria-labelledby="put-on">
    <h2 id="put-on">Put on<template v-if="job">: {{ job.title }}</template></h2>
    <UiSelect
      class="no-print"
      :model-value="page.jobId.value || null"
      label="Job"
      :options="jobs"
      none="No job: keep the answer only"
      @update:model-value="page.setJob($event ?? '')"
    />
    <p v-if="!answer" class="mt-2 text-ink2">
      Nothing can be put on a job until every figure reads.
    </p>
    <template v-else-if="isStop">
      <p class="mt-2 text-redlead">
        Nothing is put on a job from this answer: {{ answer.heading }}.
      </p>
      <button class="btn no-print mt-2" :disabled="busy" @click="keep([], false)">Keep</button>
    </template>
    <template v-else>
      <p
        v-for="one in stops"
        :key="one.sum.key"
        class="mt-2 border-l-4 border-redlead pl-3 text-redlead"
      >
        {{ one.sum.title }}: {{ one.answer?.heading }}.
      </p>
      <ul class="mt-1">
        <li v-if="changed.length > 0" class="border-b border-rule2 py-1.5">
          <UiCheck
            :model-value="dimensionsOn"
            label="The job’s dimensions"
            @update:model-value="chosen.dimensions = $event"
          />
          <p class="pl-7 text-ink2">
            <template v-for="(one, index) in changed" :key="one.key"
              >{{ index > 0 ? '; ' : '' }}{{ one.label.toLowerCase() }}
              {{ formatQuantity(one.value, one.unit, units)
              }}{{ one.value !== one.was ? `, was ${formatQuantity(one.was, one.unit, units)}` : ''
              }}{{ one.isMeasured ? ', measured' : '' }}</template
            >. Its hours and parts are worked again from them.
          </p>
        </li>
        <li v-for="put in lines" :key="keyOf(put)" class="border-b border-rule2 py-1.5">
          <UiCheck
            :model-value="isOn(keyOf(put), isStanding(put))"
            :label="`${wordOf[put.is]}: ${what(put)}`"
            @update:model-value="chosen[keyOf(put)] = $event"
          />
          <p v-if="where(put)" class="pl-7 text-ink2">{{ where(put) }}</p>
        </li>
      </ul>
      <p v-if="page.want.value?.recipe" class="mt-1 text-ink2">
        The job’s recipe buys and plans already; lines not ticked would come on top.
      </p>
      <div class="no-print mt-2 flex flex-wrap gap-2">
        <button
          v-if="job"
          class="btn btn-go grow"
          :disabled="busy || many === 0"
          @click="keep(ticked, true)"
        >
          {{ many <= 1 ? 'Put it on the job' : `Put ${many} on the job` }}
        </button>
        <button
          v-else-if="ticked.length > 0"
          class="btn grow"
          :disabled="busy"
          @click="keep(ticked, false)"
        >
          Keep, with what is ticked
        </button>
        <button class="btn" :disabled="busy" @click="keep([], false)">Keep</button>
      </div>
    </template>
  </section>
</template>

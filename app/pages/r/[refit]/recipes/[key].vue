<script setup lang="ts">
import { Copy, Download, Pencil } from '@lucide/vue'
import { computed, ref, watch } from 'vue'
import type { ChangeItem } from '#core/model/changes'
import { keyBetween } from '#core/model/order'
import { inOrder } from '#core/model/refit'
import { patchOf } from '#core/model/removal'
import { verdictName } from '#core/log/trials'
import { sayFullDate } from '#core/time/say'
import { fromMakeUp } from '#core/recipes/fromMakeUp'
import { jobFromRecipe } from '#core/recipes/make'
import type { RecipeInputs } from '#core/recipes/recipe'
import { rework } from '#core/recipes/rework'
import { shelf } from '#core/recipes/shelf'

/** One recipe at work: dimensions on the left, what comes of them on the right. Makes a job, or works one again. */
const store = useRefitStore()
const route = useRoute()
const key = computed(() => String(route.params.key))
const shelved = computed(() => shelf(store.rows).find((one) => one.key === key.value))
const recipe = computed(() => shelved.value?.recipe)
/** The job that is worked again; null: a new one is made. */
const job = computed(() => store.rows.job.find((one) => one.id === route.query.job) ?? null)
const finding = computed(
  () => store.rows.finding.find((one) => one.id === route.query.finding) ?? null,
)
/** How many the walk counted: the recipe's first number of pieces. */
const counted = computed((): RecipeInputs => {
  const many = Number(route.query.count)
  const input = recipe.value?.inputs.find((one) => one.unit === 'pieces')
  return input && many >= input.min && many <= input.max ? { [input.key]: Math.round(many) } : {}
})
const first = computed(() => job.value?.recipeInputs ?? counted.value)
const { inputs, draft, problems, problemOf, set, setUnread } = useRecipe(recipe, first)
const title = ref('')
const zoneId = ref<string | null>(
  finding.value?.zoneId ?? (typeof route.query.zone === 'string' ? route.query.zone : null),
)
/** Trials of jobs of this recipe that are settled: what did better is offered first. */
const tried = computed(() =>
  store.rows.trial.filter(
    (one) =>
      verdictName(one) !== '' &&
      store.rows.job.find((each) => each.id === one.jobId)?.recipeKey === key.value,
  ),
)
/** What somebody measured of the place; null: no place is chosen. */
const makeUp = computed(() => {
  const zone = store.rows.zone.find((one) => one.id === zoneId.value)
  const nameOf = (id: string) => store.rows.person.find((one) => one.id === id)?.name ?? 'somebody'
  return zone && recipe.value && !job.value
    ? fromMakeUp(recipe.value, zone, nameOf, sayFullDate)
    : null
})
watch(
  makeUp,
  (now) => {
    for (const [input, value] of Object.entries(now?.values ?? {})) set(input, value)
  },
  { immediate: true },
)
const gateId = ref<string | null>(null)
const wrong = ref('')
const finished = ref<'keep' | 'drop'>('keep')
const asking = ref(false)
const zones = computed(() =>
  inOrder(store.rows.zone).map((one) => ({ value: one.id, label: one.name })),
)
const gates = computed(() =>
  store.derived.gates.map((one) => ({ value: one.gate.id, label: one.gate.name })),
)
const outOfPlace = computed(() => problems.value.filter((one) => one.field === ''))

const making = computed(() => {
  if (!draft.value || !recipe.value || job.value) return null
  const system = store.rows.system.find((one) => one.kind === recipe.value?.system)
  const order = keyBetween(inOrder(store.rows.job).at(-1)?.order ?? null, null)
  const named = title.value.trim() || finding.value?.title.slice(0, 300) || recipe.value.title
  const made = jobFromRecipe(
    key.value,
    inputs.value,
    draft.value,
    {
      title: named,
      order,
      purpose: recipe.value.purpose,
      severity: finding.value?.severity ?? 2,
      systemId: system?.id ?? null,
      zoneId: zoneId.value,
      gateId: gateId.value,
      placed: gateId.value !== null,
      parentJobId: finding.value?.duringJobId ?? null,
    },
    newId,
  )
  const items: ChangeItem[] = finding.value
    ? [...made.items, patchOf('finding', finding.value, { state: 'jobMade', jobId: made.jobId })]
    : made.items
  return { ...made, items, named }
})
const reworking = computed(() =>
  draft.value && job.value
    ? rework(job.value, store.rows, inputs.value, draft.value, finished.value, newId)
    : null,
)
const items = computed<readonly ChangeItem[]>(
  () => making.value?.items ?? reworking.value?.items ?? [],
)
const { sentence, busy } = useGateEffect(items)

async function send(label: string, jobId: string) {
  wrong.value = ''
  try {
    if (await store.submit(label, items.value))
      await goTo({ path: `/r/${store.refitId}/jobs`, query: { job: jobId } })
  } catch (error) {
    wrong.value = sentenceOf(error)
  }
}
function press() {
  if (making.value) void send(`Job by recipe: ${making.value.named}`, making.value.jobId)
  else if (job.value && reworking.value) {
    if (reworking.value.asks.length > 0) asking.value = true
    else void send(`Work again: ${job.value.title}`, job.value.id)
  }
}
function answer(what: 'keep' | 'drop') {
  finished.value = what
  asking.value = false
  if (job.value) void send(`Work again: ${job.value.title}`, job.value.id)
}
async function copy() {
  if (!recipe.value) return
  const id = newId()
  const name = `${recipe.value.title}, our way`
  const order = keyBetween(inOrder(store.rows.recipe).at(-1)?.order ?? null, null)
  const patch = { name, body: { ...recipe.value, title: name }, order }
  if (await store.attempt(`Recipe: ${name}`, [{ op: 'create', entity: 'recipe', id, patch }]))
    await goTo(`/r/${store.refitId}/recipes/edit/${id}`)
}
function save() {
  if (!recipe.value) return
  const name = `${recipe.value.title.toLowerCase().replace(/[^a-z0-9]+/g, '-')}.recipe.json`
  saveFile(name, JSON.stringify(recipe.value, null, 1), 'application/json')
}
</script>

<template>
  <div v-if="!recipe" class="max-w-lg">
    <h1>There is no such recipe here</h1>
    <p class="my-3">It may have been removed. The jobs it made keep their steps.</p>
    <NuxtLink class="btn" :to="`/r/${store.refitId}/recipes`">All recipes</NuxtLink>
  </div>
  <div v-else>
    <div class="flex flex-wrap items-start justify-between gap-3">
      <div class="max-w-2xl">
        <h1>{{ job ? `Work again: ${job.title}` : recipe.title }}</h1>
        <p class="text-ink2">{{ recipe.about }}</p>
        <p v-for="one in tried" :key="one.id" class="mt-1 border-l-4 border-verdigris pl-2">
          <strong>{{ verdictName(one) }} first:</strong> {{ one.title
          }}{{ one.because ? `. ${one.because}` : '' }}
        </p>
        <CameAgainHere :zone-id="zoneId" />
      </div>
      <div class="flex flex-wrap gap-2">
        <button class="btn btn-small" @click="copy">
          <Copy :size="16" aria-hidden="true" /> Copy and edit
        </button>
        <NuxtLink
          v-if="shelved?.own"
          class="btn btn-small"
          :to="`/r/${store.refitId}/recipes/edit/${key}`"
          ><Pencil :size="16" aria-hidden="true" /> Edit</NuxtLink
        >
        <button class="btn btn-small" @click="save">
          <Download :size="16" aria-hidden="true" /> Save as file
        </button>
      </div>
    </div>
    <div class="mt-4 gap-8 lg:grid lg:grid-cols-[minmax(20rem,2fr)_3fr]">
      <div class="grid content-start gap-4">
        <p v-if="finding" class="border-l-4 border-redlead pl-3">Found: {{ finding.title }}</p>
        <RecipeInputs
          :recipe="recipe"
          :inputs="inputs"
          :problem-of="problemOf"
          @set="set"
          @unread="setUnread"
        />
        <template v-if="!job">
          <UiText
            v-model="title"
            label="Name of the job"
            :placeholder="finding?.title ?? recipe.title"
          />
          <div class="grid grid-cols-2 gap-3">
            <UiSelect v-model="zoneId" label="Where" :options="zones" none="Not said" />
            <UiSelect v-model="gateId" label="Finished before" :options="gates" none="No gate" />
          </div>
          <p v-if="makeUp && makeUp.said" role="status">
            Thicknesses of that place: {{ makeUp.said }}.
          </p>
          <p v-if="makeUp && makeUp.unknown.length > 0" class="border-l-4 border-brass pl-3">
            Nobody has measured there: {{ makeUp.unknown.join(', ') }}. What stands above is only
            usual: look into a hole first.
          </p>
        </template>
        <div v-if="reworking" class="border-l-4 border-verdigris pl-3" role="status">
          <p>
            {{ reworking.changed }} {{ reworking.changed === 1 ? 'step changes' : 'steps change' }},
            {{ reworking.added }} come, {{ reworking.removed }} go.
          </p>
          <ul v-if="reworking.kept.length > 0" class="text-ink2">
            <li v-for="one in reworking.kept" :key="one">{{ one }}</li>
          </ul>
        </div>
        <p v-for="one in outOfPlace" :key="one.message" class="text-redlead" role="alert">
          {{ one.message }}
        </p>
        <p class="min-h-12" role="status">
          <span class="cond">Effect on the gates</span>
          {{ busy ? ' working it out…' : sentence || ' shown when the dimensions are whole.' }}
        </p>
        <p v-if="wrong" class="text-redlead" role="alert">{{ wrong }}</p>
        <button class="btn btn-main min-h-11!" type="button" :disabled="!draft" @click="press">
          {{ job ? 'Work it again' : 'Make the job' }}
        </button>
      </div>
      <div class="min-w-0 max-lg:mt-6">
        <DraftPreview v-if="draft && recipe" :draft="draft" :recipe="recipe" :inputs="inputs" />
        <div v-else class="border-l-4 border-redlead pl-4">
          <h2>These dimensions make no job</h2>
          <p>{{ problems[0]?.message }}</p>
        </div>
      </div>
    </div>
    <UiDialog :open="asking" title="A finished step would go" red @close="asking = false">
      <p>With these dimensions the recipe no longer has:</p>
      <ul class="my-2 list-disc pl-6">
        <li v-for="step in reworking?.asks" :key="step.id">{{ step.title }}</li>
      </ul>
      <p>
        Work was done on it. Keep it as a step of your own, or drop it? What it earned stays on the
        Tape.
      </p>
      <div class="mt-4 flex flex-wrap gap-3">
        <button class="btn btn-main" @click="answer('keep')">Keep it</button>
        <button class="btn" @click="answer('drop')">Drop it</button>
      </div>
    </UiDialog>
  </div>
</template>

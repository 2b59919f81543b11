<script setup lang="ts">
import { computed, ref } from 'vue'
import { copyJob } from '#core/breakdown/copyJob'
import { jobAsRecipe } from '#core/breakdown/jobAsRecipe'
import { mergeJobs } from '#core/breakdown/mergeJobs'
import { splitJob } from '#core/breakdown/split'
import type { Outcome } from '#core/breakdown/outcome'
import type { Job } from '#core/model/entities'
import { keyBetween } from '#core/model/order'
import { inOrder } from '#core/model/refit'

/** Split, merge, copy, keep as a recipe. */
const props = defineProps<{ job: Job }>()
const emit = defineEmits<{ open: [jobId: string] }>()
const store = useRefitStore()
const toasts = useToastStore()
const edits = useJobEdits()
const splitting = ref(false)
const chosen = ref<readonly string[]>([])
const newTitle = ref('')
const wrong = ref('')
const steps = computed(() => edits.stepsOf(props.job.id))
const others = computed(() =>
  inOrder(store.rows.job)
    .filter((one) => one.id !== props.job.id)
    .map((one) => ({ id: one.id, name: one.title })),
)

async function carryOut(label: string, outcome: Outcome): Promise<boolean> {
  wrong.value = ''
  if (!outcome.ok) {
    wrong.value = outcome.message
    return false
  }
  try {
    const done = await store.submit(label, outcome.value.items)
    if (done) toasts.say(outcome.value.said)
    return done
  } catch (error) {
    wrong.value = sentenceOf(error)
    return false
  }
}
function beginSplit() {
  splitting.value = true
  chosen.value = []
  newTitle.value = ''
  wrong.value = ''
}
const tick = (id: string, on: boolean) =>
  (chosen.value = on ? [...chosen.value, id] : chosen.value.filter((one) => one !== id))
async function split() {
  const outcome = splitJob(store.rows, props.job, chosen.value, newTitle.value, newId)
  if (await carryOut(`Split ${props.job.title}`, outcome)) splitting.value = false
}
async function merge(otherId: string) {
  const other = store.rows.job.find((one) => one.id === otherId)
  if (!other) return
  await carryOut(
    `Merge ${other.title} into ${props.job.title}`,
    mergeJobs(store.rows, props.job, [other]),
  )
}
async function copy() {
  const title = `${props.job.title}, again`.slice(0, 300)
  const { jobId, items } = copyJob(store.rows, props.job, title, newId)
  if (await store.attempt(`Copy ${props.job.title}`, items)) emit('open', jobId)
}
async function keepAsRecipe() {
  if (steps.value.every((step) => step.state === 'dropped')) {
    wrong.value = 'There are no steps to make a recipe of.'
    return
  }
  const id = newId()
  const body = jobAsRecipe(store.rows, props.job)
  const order = keyBetween(inOrder(store.rows.recipe).at(-1)?.order ?? null, null)
  const patch = { name: body.title, body, order }
  if (await store.attempt(`Recipe: ${body.title}`, [{ op: 'create', entity: 'recipe', id, patch }]))
    await goTo(`/r/${store.refitId}/recipes/edit/${id}`)
}
</script>

<template>
  <details class="border-b border-rule py-1">
    <summary class="cond text-xl">Split, merge, copy</summary>
    <div class="mt-2 grid gap-3">
      <div class="flex flex-wrap gap-2">
        <button class="btn btn-small" @click="beginSplit">Split the job</button>
        <button class="btn btn-small" @click="copy">Copy the job</button>
        <button class="btn btn-small" @click="keepAsRecipe">Keep as a recipe</button>
      </div>
      <UiPick
        class="max-w-md"
        label="Take another job into this one"
        :options="others"
        @pick="merge"
      />
      <p v-if="wrong && !splitting" class="text-redlead" role="alert">{{ wrong }}</p>
    </div>
    <UiDialog :open="splitting" title="Split the job" @close="((splitting = false), (wrong = ''))">
      <form class="grid gap-3" @submit.prevent="split">
        <p>Which steps go into the new job?</p>
        <div class="grid">
          <UiCheck
            v-for="step in steps"
            :key="step.id"
            :model-value="chosen.includes(step.id)"
            :label="step.title"
            @update:model-value="tick(step.id, $event)"
          />
        </div>
        <UiText v-model="newTitle" label="Name of the new job" />
        <p v-if="wrong" class="text-redlead" role="alert">{{ wrong }}</p>
        <button class="btn btn-main" type="submit">Split it</button>
      </form>
    </UiDialog>
  </details>
</template>

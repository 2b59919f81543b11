<script setup lang="ts">
import { mostFileBytes } from '#core/exchange/refitFile'
import { computed, ref, shallowRef } from 'vue'
import { entityWord } from '#core/model/references'
import type { EntityName } from '#core/model/entities'

/** A refit file brought in: what is in it first, then as a new refit or in place of one. */
interface Preview {
  readonly name: string
  readonly boatName: string
  readonly counts: Readonly<Record<EntityName, number>>
  readonly pictures: number
}
interface Brought {
  readonly refitId: string
  /** What stood in the file and wants mending, a sentence each. */
  readonly toMend: readonly string[]
}
const done = ref<Brought | null>(null)
const route = useRoute()
const { light } = useDevice()
const into = computed(() => (typeof route.query.into === 'string' ? route.query.into : null))
const file = shallowRef<File | null>(null)
const preview = ref<Preview | null>(null)
const wrong = ref('')
const busy = ref(false)
const shown: readonly EntityName[] = [
  'job',
  'step',
  'finding',
  'part',
  'hoursEntry',
  'asBuiltSheet',
  'person',
  'haulOut',
]
useHead({ title: 'Bring in a refit · Inch Ahead', htmlAttrs: { 'data-light': () => light.value } })

async function picked(event: Event) {
  file.value = (event.target as HTMLInputElement).files?.[0] ?? null
  preview.value = null
  done.value = null
  wrong.value = ''
  if (!file.value) return
  if (file.value.size > mostFileBytes) {
    wrong.value = 'This refit file is over 4 GB: none of ours is that large.'
    return
  }
  await run(async () => {
    preview.value = await api<Preview>('/api/import?preview', { bytes: file.value ?? undefined })
  })
}
const bring = (replace: boolean) =>
  run(async () => {
    const query = replace && into.value ? `?replace=${into.value}` : ''
    const brought = await api<Brought>(`/api/import${query}`, { bytes: file.value ?? undefined })
    if (brought.toMend.length === 0) await goTo(`/r/${brought.refitId}/today`)
    else done.value = brought
  })
async function run(work: () => Promise<void>) {
  busy.value = true
  try {
    await work()
  } catch (error) {
    wrong.value = sentenceOf(error)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <main class="mx-auto max-w-xl p-6">
    <h1>Bring in a refit file</h1>
    <p class="mt-2 text-ink2">
      The .zip that Inch Ahead wrote, or the refit.json from inside it. You see what is in it before
      anything is written.
    </p>
    <label class="btn btn-main mt-4"
      >Pick the file<input
        type="file"
        accept=".zip,.json,application/zip,application/json"
        class="sr-only"
        @change="picked"
    /></label>
    <p v-if="wrong" class="mt-3 text-redlead" role="alert">{{ wrong }}</p>
    <section v-if="preview && !done" class="mt-6">
      <h2>{{ preview.name }}</h2>
      <ul class="mt-1">
        <li v-for="entity in shown" :key="entity">
          {{ preview.counts[entity] }} × {{ entityWord[entity] }}
        </li>
        <li>{{ preview.pictures }} × picture</li>
      </ul>
      <div class="mt-4 flex flex-wrap gap-3">
        <button class="btn btn-main" :disabled="busy" @click="bring(false)">
          Bring it in as a new refit
        </button>
        <button v-if="into" class="btn btn-red" :disabled="busy" @click="bring(true)">
          Put it in place of the open one
        </button>
      </div>
      <p v-if="into" class="mt-2 text-ink2">
        The open refit is copied to the data folder's copies first.
      </p>
    </section>
    <section v-if="done" class="mt-6" aria-labelledby="mend">
      <h2 id="mend">It is in. Some of it wants mending</h2>
      <ul class="mt-2 list-disc pl-5">
        <li v-for="line in done.toMend" :key="line">{{ line }}</li>
      </ul>
      <NuxtLink :to="`/r/${done.refitId}/today`" class="btn btn-main mt-4">Open it</NuxtLink>
    </section>
    <NuxtLink to="/?all" class="mt-6 inline-block underline">All refits</NuxtLink>
  </main>
</template>

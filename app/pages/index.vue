<script setup lang="ts">
import { onMounted, ref } from 'vue'

/** All refits of this data folder; straight on to the last one, or to the first questions. */
interface RefitSummary {
  readonly id: string
  readonly name: string
  readonly boatName: string
}
const route = useRoute()
const { lastRefitId, light } = useDevice()
const refits = ref<RefitSummary[] | null>(null)
const wrong = ref('')
useHead({ title: 'Inch Ahead', htmlAttrs: { 'data-light': () => light.value } })

/** True when the data folder is what is wrong: its copies can be put back from here. */
const folderWrong = ref(false)
onMounted(look)
async function look() {
  wrong.value = ''
  folderWrong.value = false
  try {
    const found = await api<RefitSummary[]>('/api/refits')
    const last =
      found.find((one) => one.id === lastRefitId.value) ??
      (found.length === 1 ? found[0] : undefined)
    if (found.length === 0) await goTo('/start', { replace: true })
    else if (last && !('all' in route.query)) await goTo(`/r/${last.id}/today`, { replace: true })
    else refits.value = found
  } catch (error) {
    wrong.value = sentenceOf(error)
    folderWrong.value = error instanceof ProblemError && error.status === 503
  }
}
</script>

<template>
  <main class="mx-auto max-w-xl p-6">
    <h1>Inch Ahead</h1>
    <template v-if="wrong">
      <p class="mt-4 text-redlead" role="alert">{{ wrong }}</p>
      <button class="btn mt-4" @click="look">Try again</button>
      <template v-if="folderWrong">
        <h2 class="mt-6">Copies</h2>
        <CopiesList @back="look" />
      </template>
    </template>
    <p v-else-if="!refits" class="mt-4 text-ink2" role="status">Looking for your refits…</p>
    <template v-else>
      <h2 class="mt-6">Refits here</h2>
      <ul class="mt-3 grid gap-2">
        <li v-for="refit in refits" :key="refit.id">
          <NuxtLink :to="`/r/${refit.id}/today`" class="btn w-full justify-start!">{{
            refit.name
          }}</NuxtLink>
        </li>
      </ul>
      <div class="mt-6 flex flex-wrap gap-3">
        <NuxtLink to="/start" class="btn btn-main">New refit</NuxtLink>
        <NuxtLink to="/bring" class="btn">Bring in a refit file</NuxtLink>
      </div>
    </template>
  </main>
</template>

<script setup lang="ts">
import { figured } from '#core/units/counted'
import { onMounted, ref } from 'vue'

/** Everything out: the refit file, the list of work, the calendar. */
const store = useRefitStore()
const { lastRefitId } = useDevice()
const at = (rest: string) => `/api/refits/${store.refitId}/${rest}`
const leaving = ref(false)
const saved = ref(false)
const wrong = ref('')
/** Files that rows name and the data folder does not hold. */
const missing = ref<readonly { readonly name: string }[]>([])
const unseen = ref('')
onMounted(async () => {
  try {
    missing.value = await api<typeof missing.value>(at('missing'))
  } catch (error) {
    unseen.value = `Whether all pictures and documents are here could not be seen: ${sentenceOf(error)}`
  }
})
async function removeRefit() {
  try {
    await api(`/api/refits/${store.refitId}`, { method: 'DELETE' })
    lastRefitId.value = ''
    await goTo('/?all')
  } catch (error) {
    wrong.value = sentenceOf(error)
  }
}
</script>

<template>
  <section aria-labelledby="set-files">
    <h2 id="set-files" class="border-b-2 border-ink">Files</h2>
    <div class="mt-3 flex flex-wrap gap-3">
      <a class="btn" :href="at('export')" download>Refit file with pictures</a>
      <a class="btn" :href="at('jobs.csv')" download>List of work as CSV</a>
      <a class="btn" :href="at('hours.csv')" download>Hours as CSV</a>
      <a class="btn" :href="at('calendar.ics')" download>Plan as a calendar</a>
      <NuxtLink class="btn" :to="`/bring?into=${store.refitId}`">Bring in a refit file</NuxtLink>
      <NuxtLink class="btn" :to="`/r/${store.refitId}/import`">Bring in a list of work</NuxtLink>
    </div>
    <p v-if="missing.length > 0" class="mt-3 text-redlead" role="alert">
      Not in the data folder any more, and so not in the refit file:
      {{ missing.map((file) => file.name).join(', ') }}. Bring them in again where they are shown.
    </p>
    <p v-if="unseen" class="mt-3 text-redlead" role="alert">{{ unseen }}</p>
    <h3 class="mt-6">Copies of the database</h3>
    <p class="text-ink2">
      One is taken at each start and each day. To undo more than z can, put one back.
    </p>
    <CopiesList class="mt-2" />
    <button class="btn mt-6" @click="((leaving = true), (saved = false), (wrong = ''))">
      Remove this refit…
    </button>
    <UiDialog
      :open="leaving"
      :title="`Remove ${store.refit?.name ?? ''}`"
      red
      @close="leaving = false"
    >
      <p>
        {{ figured(store.rows.job.length, 'job') }},
        {{ figured(store.rows.step.length, 'step') }} and
        {{ figured(store.rows.hoursEntry.length, 'entry', 'entries') }} of hours go, and undo does
        not bring them back. Save the refit file first: brought in again, it has them all. A copy of
        the database from before stays in the data folder.
      </p>
      <p v-if="wrong" class="mt-2 text-redlead" role="alert">{{ wrong }}</p>
      <div class="mt-4 flex flex-wrap gap-3">
        <a class="btn btn-main" :href="at('export')" download @click="saved = true"
          >Save the refit file</a
        >
        <button class="btn" :disabled="!saved" @click="removeRefit">Remove for good</button>
        <button class="btn" @click="leaving = false">Keep it</button>
      </div>
    </UiDialog>
  </section>
</template>

<script setup lang="ts">
import { computed, ref } from 'vue'
import { systemKinds } from '#core/model/words'
import { recipeBook } from '#core/recipes/book'
import { isBeforeLaunch, starterJobs } from '#core/recipes/starterJobs'
import type { OthersGo } from '#core/recipes/starterJobs'
import { starterList } from '#core/recipes/starterList'
import { capital, figured } from '#core/units/counted'

/** Usual jobs by system, ticked by a new owner. */
const store = useRefitStore()
const ticked = ref<readonly string[]>([])
const wrong = ref('')
const groups = systemKinds.map((system) => ({
  system,
  name: capital(system),
  list: starterList.filter((one) => one.system === system),
}))
const there = computed(() => new Set(store.rows.job.map((job) => job.title)))
/** Where those go that may be done at any time. */
const placing = ref('whenTime')
const places = computed(() => [
  { value: 'whenTime', label: 'when there is time' },
  ...store.derived.gates.map(({ gate }) => ({ value: gate.id, label: `before ${gate.name}` })),
  { value: 'oneByOne', label: 'where you place them, one by one' },
])
const othersGo = computed((): OthersGo =>
  placing.value === 'whenTime' || placing.value === 'oneByOne'
    ? { to: placing.value }
    : { to: 'gate', gateId: placing.value },
)
const items = computed(() => starterJobs(store.rows, ticked.value, othersGo.value, newId))
const { sentence, busy } = useGateEffect(items)
const steps = computed(() => items.value.filter((one) => one.entity === 'step').length)
const tick = (key: string, on: boolean) =>
  (ticked.value = on ? [...ticked.value, key] : ticked.value.filter((one) => one !== key))
const recipeTitle = (key: string | undefined) =>
  recipeBook.find((recipe) => recipe.key === key)?.title ?? ''

async function make() {
  wrong.value = ''
  try {
    if (await store.submit(figured(ticked.value.length, 'usual job'), items.value))
      await goTo(`/r/${store.refitId}/jobs`)
  } catch (error) {
    wrong.value = sentenceOf(error)
  }
}
</script>

<template>
  <form class="max-w-5xl pb-24" @submit.prevent="make">
    <h1>Usual jobs, by system</h1>
    <p class="text-ink2">
      Tick what she needs. Those with a recipe begin with common dimensions: put them right on the
      boat and the job is worked again.
    </p>
    <UiSelect
      class="mt-3 max-w-sm"
      :model-value="placing"
      label="What need not be done before launch goes"
      :options="places"
      @update:model-value="placing = $event ?? placing"
    />
    <div class="mt-4 grid gap-x-8 gap-y-5 md:grid-cols-2">
      <fieldset v-for="group in groups" :key="group.system">
        <legend class="cond w-full border-b-2 border-ink text-xl">{{ group.name }}</legend>
        <div v-for="one in group.list" :key="one.key" class="border-b border-rule2 py-0.5">
          <UiCheck
            :model-value="ticked.includes(one.key)"
            :label="one.title"
            @update:model-value="tick(one.key, $event)"
          />
          <p class="pl-7 text-ink2">
            {{
              one.recipe
                ? `By recipe: ${recipeTitle(one.recipe)}`
                : figured(one.steps?.length ?? 0, 'step')
            }}<template v-if="isBeforeLaunch(store.rows, one)">, before launch</template
            ><template v-if="there.has(one.title)"> · there already</template>
          </p>
        </div>
      </fieldset>
    </div>
    <div
      class="sticky bottom-0 mt-6 flex flex-wrap items-center gap-4 border-t-2 border-ink bg-paper py-3 max-sm:bottom-16"
    >
      <button class="btn btn-main" type="submit" :disabled="ticked.length === 0">
        Add {{ figured(ticked.length, 'job') }}, {{ figured(steps, 'step') }}
      </button>
      <p role="status">{{ busy ? 'Working out the effect…' : sentence }}</p>
      <p v-if="wrong" class="text-redlead" role="alert">{{ wrong }}</p>
    </div>
  </form>
</template>

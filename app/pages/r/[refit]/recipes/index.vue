<script setup lang="ts">
import { Upload } from '@lucide/vue'
import { computed, ref } from 'vue'
import { keyBetween } from '#core/model/order'
import { inOrder } from '#core/model/refit'
import type { Recipe } from '#core/recipes/recipe'
import { shelf } from '#core/recipes/shelf'
import { capital } from '#core/units/counted'

/** The book of recipes: pick one, copy one, bring one in. */
const store = useRefitStore()
const route = useRoute()
const asked = ref('')
const wrong = ref('')
const list = computed(() => {
  const words = asked.value.toLowerCase().split(/\s+/).filter(Boolean)
  return shelf(store.rows).filter(({ recipe }) =>
    words.every((word) =>
      `${recipe.title} ${recipe.about} ${recipe.system}`.toLowerCase().includes(word),
    ),
  )
})
const groups = computed(() => {
  const own = list.value.filter((one) => one.own)
  const systems = [...new Set(list.value.filter((one) => !one.own).map((one) => one.recipe.system))]
  return [
    ...(own.length > 0 ? [{ title: 'Our own', list: own }] : []),
    ...systems.map((system) => ({
      title: capital(system),
      list: list.value.filter((one) => !one.own && one.recipe.system === system),
    })),
  ]
})
const used = computed(() => {
  const counts = new Map<string, number>()
  for (const { recipeKey } of store.rows.job)
    if (recipeKey) counts.set(recipeKey, (counts.get(recipeKey) ?? 0) + 1)
  return counts
})
const finding = computed(() => store.rows.finding.find((one) => one.id === route.query.finding))

async function bringIn(event: Event) {
  const field = event.target as HTMLInputElement
  const file = field.files?.[0]
  field.value = ''
  wrong.value = ''
  if (!file) return
  if (file.size > 1e6) {
    wrong.value = 'This file is over 1 MB: it is not a recipe.'
    return
  }
  const { readRecipeFile } = await import('#shared/schemas/recipeSchema')
  const outcome = readRecipeFile(await file.text())
  if (!outcome.ok) wrong.value = outcome.message
  else await keep(outcome.value)
}
async function keep(recipe: Recipe) {
  const id = newId()
  const order = keyBetween(inOrder(store.rows.recipe).at(-1)?.order ?? null, null)
  const patch = { name: recipe.title, body: recipe, order }
  try {
    await store.submit(`Recipe: ${recipe.title}`, [{ op: 'create', entity: 'recipe', id, patch }])
    await goTo(`/r/${store.refitId}/recipes/${id}`)
  } catch (error) {
    wrong.value = sentenceOf(error)
  }
}
</script>

<template>
  <div class="max-w-5xl">
    <div class="flex flex-wrap items-end justify-between gap-3">
      <h1>{{ list.length }} recipes: a few dimensions in, a job out</h1>
      <label class="btn"
        ><Upload :size="17" aria-hidden="true" /> Bring in a recipe file
        <input type="file" accept=".json,application/json" class="sr-only" @change="bringIn" />
      </label>
    </div>
    <p v-if="wrong" class="mt-2 text-redlead" role="alert">{{ wrong }}</p>
    <p v-if="finding" class="mt-2 border-l-4 border-redlead pl-3">
      For what was found: {{ finding.title }}
    </p>
    <UiText
      v-model="asked"
      class="mt-3 max-w-md"
      label="Find a recipe"
      placeholder="hatch, core, valve"
    />
    <p v-if="list.length === 0" class="my-6 text-ink2">
      No recipe by those words. Write the job by hand, then keep it as a recipe from its page.
    </p>
    <section v-for="group in groups" :key="group.title" class="mt-5" :aria-label="group.title">
      <h2 class="border-b-2 border-ink">{{ group.title }}</h2>
      <ul class="grid gap-x-8 md:grid-cols-2">
        <li v-for="one in group.list" :key="one.key" class="border-b border-rule2">
          <NuxtLink
            class="block py-2 hover:bg-brass-tint"
            :to="{ path: `/r/${store.refitId}/recipes/${one.key}`, query: route.query }"
          >
            <span class="cond block text-lg leading-snug">{{ one.recipe.title }}</span>
            <span class="block text-ink2 leading-snug">{{ one.recipe.about }}</span>
            <span v-if="used.get(one.key)" class="cond block text-verdigris"
              >{{ used.get(one.key) }} {{ used.get(one.key) === 1 ? 'job' : 'jobs' }} made by
              it</span
            >
          </NuxtLink>
        </li>
      </ul>
    </section>
  </div>
</template>

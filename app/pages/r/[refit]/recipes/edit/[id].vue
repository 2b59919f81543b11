<script setup lang="ts">
import { Plus, Trash2 } from '@lucide/vue'
import { computed, ref, watch } from 'vue'
import { recipeSchema } from '#shared/schemas/recipeSchema'
import { deletion, patchOf } from '#core/model/removal'
import { knownFormulas } from '#core/recipes/knownFormulas'
import type { Recipe } from '#core/recipes/recipe'
import { recipeUnits } from '#core/recipes/recipe'

/** An own recipe edited: its words, dimensions, values and steps, checked as it is saved. */
type Draft = { -readonly [K in keyof Recipe]: Recipe[K] }
const store = useRefitStore()
const route = useRoute()
const row = computed(() => store.rows.recipe.find((one) => one.id === route.params.id) ?? null)
const body = ref<Draft | null>(null)
const wrong = ref('')
const saved = ref(false)
watch(row, (now) => (body.value ??= now ? structuredClone(plain(now.body)) : null), {
  immediate: true,
})
function plain<Value>(value: Value): Value {
  return JSON.parse(JSON.stringify(value)) as Value
}
const unitOptions = recipeUnits.map((value) => ({ value, label: value }))
const usedBy = computed(
  () => store.rows.job.filter((job) => job.recipeKey === row.value?.id).length,
)

type List = 'inputs' | 'values' | 'steps'
/** Changes one field of one line; an emptied optional formula is taken out. */
function change(list: List, index: number, fields: object) {
  if (!body.value) return
  const lines = body.value[list] as readonly object[]
  const next = lines.map((line, at) =>
    at === index
      ? Object.fromEntries(
          Object.entries({ ...line, ...fields }).filter(([, value]) => value !== undefined),
        )
      : line,
  )
  body.value = { ...body.value, [list]: next } as Draft
  saved.value = false
}
function remove(list: List, index: number) {
  if (!body.value) return
  const lines = body.value[list] as readonly object[]
  body.value = { ...body.value, [list]: lines.filter((_, at) => at !== index) } as Draft
}
const fresh: Readonly<Record<List, (n: number) => object>> = {
  inputs: (n) => ({
    key: `size${n}`,
    label: 'Size',
    unit: 'm',
    initial: 1,
    min: 0,
    max: 100,
    help: '',
  }),
  values: (n) => ({ key: `value${n}`, label: 'Value', unit: 'm', formula: '1' }),
  steps: (n) => ({ key: `step${n}`, title: 'Next step', operation: 'fit', hours: '1' }),
}
function add(list: List) {
  if (!body.value) return
  const lines = body.value[list] as readonly object[]
  body.value = { ...body.value, [list]: [...lines, fresh[list](lines.length + 1)] } as Draft
}
async function save() {
  wrong.value = ''
  if (!body.value || !row.value) return
  const { error, value } = recipeSchema.validate(plain(body.value))
  if (error) {
    wrong.value = error.message
    return
  }
  const patch = { name: value.title, body: value }
  try {
    saved.value = await store.submit(`Recipe: ${value.title}`, [
      patchOf('recipe', row.value, patch),
    ])
  } catch (problem) {
    wrong.value = sentenceOf(problem)
  }
}
async function removeRecipe() {
  if (row.value && (await store.attempt('Remove recipe', [deletion('recipe', row.value)])))
    await goTo(`/r/${store.refitId}/recipes`)
}
</script>

<template>
  <div v-if="!row || !body" class="max-w-lg">
    <h1>There is no such recipe of your own here</h1>
    <NuxtLink class="btn mt-3" :to="`/r/${store.refitId}/recipes`">All recipes</NuxtLink>
  </div>
  <form v-else class="grid max-w-5xl gap-6" @submit.prevent="save">
    <h1>Edit {{ row.name }}</h1>
    <p v-if="usedBy > 0" class="text-ink2">
      {{ usedBy }} {{ usedBy === 1 ? 'job was' : 'jobs were' }} made by it. They stay as they are
      until their dimensions are worked again.
    </p>
    <div class="grid gap-3 sm:grid-cols-2">
      <UiText v-model="body.title" label="Name" needed :most="200" />
      <UiText v-model="body.about" label="When to use it" :most="2000" />
    </div>
    <section>
      <h2 class="border-b-2 border-ink">Dimensions</h2>
      <div
        v-for="(input, at) in body.inputs"
        :key="at"
        class="grid grid-cols-2 items-end gap-2 border-b border-rule2 py-2 md:grid-cols-[6rem_2fr_7rem_6rem_6rem_6rem_auto]"
      >
        <UiText
          :model-value="input.key"
          label="In formulas"
          needed
          @update:model-value="change('inputs', at, { key: $event })"
        />
        <UiText
          :model-value="input.label"
          label="Label"
          needed
          @update:model-value="change('inputs', at, { label: $event })"
        />
        <UiSelect
          :model-value="input.unit"
          label="Unit"
          :options="unitOptions"
          @update:model-value="change('inputs', at, { unit: $event })"
        />
        <UiNumber
          :model-value="input.min"
          label="From"
          @update:model-value="change('inputs', at, { min: $event })"
        />
        <UiNumber
          :model-value="input.initial"
          label="Begins at"
          @update:model-value="change('inputs', at, { initial: $event })"
        />
        <UiNumber
          :model-value="input.max"
          label="To"
          @update:model-value="change('inputs', at, { max: $event })"
        />
        <button
          type="button"
          class="btn btn-small"
          :aria-label="`Remove ${input.label}`"
          @click="remove('inputs', at)"
        >
          <Trash2 :size="16" aria-hidden="true" />
        </button>
      </div>
      <button type="button" class="btn btn-small mt-2" @click="add('inputs')">
        <Plus :size="16" aria-hidden="true" /> Dimension
      </button>
    </section>
    <section>
      <h2 class="border-b-2 border-ink">Worked out on the way</h2>
      <div
        v-for="(one, at) in body.values"
        :key="at"
        class="grid grid-cols-2 items-end gap-2 border-b border-rule2 py-2 md:grid-cols-[6rem_2fr_7rem_3fr_auto]"
      >
        <UiText
          :model-value="one.key"
          label="In formulas"
          needed
          @update:model-value="change('values', at, { key: $event })"
        />
        <UiText
          :model-value="one.label"
          label="Label"
          needed
          @update:model-value="change('values', at, { label: $event })"
        />
        <UiSelect
          :model-value="one.unit"
          label="Unit"
          :options="unitOptions"
          @update:model-value="change('values', at, { unit: $event })"
        />
        <UiText
          :model-value="one.formula"
          label="Formula"
          needed
          :most="400"
          @update:model-value="change('values', at, { formula: $event })"
        />
        <button
          type="button"
          class="btn btn-small"
          :aria-label="`Remove ${one.label}`"
          @click="remove('values', at)"
        >
          <Trash2 :size="16" aria-hidden="true" />
        </button>
      </div>
      <button type="button" class="btn btn-small mt-2" @click="add('values')">
        <Plus :size="16" aria-hidden="true" /> Value
      </button>
    </section>
    <section>
      <h2 class="border-b-2 border-ink">Steps</h2>
      <RecipeStepEditor
        v-for="(step, at) in body.steps"
        :key="step.key"
        :step="step"
        @change="change('steps', at, $event)"
        @remove="remove('steps', at)"
      />
      <button type="button" class="btn btn-small mt-2" @click="add('steps')">
        <Plus :size="16" aria-hidden="true" /> Step
      </button>
    </section>
    <details>
      <summary class="cond text-lg">Formulas you can use</summary>
      <ul class="mt-1 grid gap-x-6 sm:grid-cols-2">
        <li v-for="(known, name) in knownFormulas" :key="name">
          <code>{{ name }}({{ known.takes.join(', ') }})</code>
          <span class="text-ink2"> → {{ known.gives }}</span>
        </li>
      </ul>
    </details>
    <p v-if="wrong" class="text-redlead" role="alert">{{ wrong }}</p>
    <p v-else-if="saved" role="status">
      Saved.
      <NuxtLink class="underline" :to="`/r/${store.refitId}/recipes/${row.id}`">Use it</NuxtLink>
    </p>
    <div class="flex flex-wrap gap-3">
      <button class="btn btn-main" type="submit">Save the recipe</button>
      <button class="btn" type="button" @click="removeRecipe">Remove it</button>
    </div>
  </form>
</template>

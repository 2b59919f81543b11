import { computed, shallowRef, watch } from 'vue'
import type { Ref } from 'vue'
import { expand } from '#core/recipes/expand'
import { initialInputs } from '#core/recipes/recipe'
import type { Recipe, RecipeInputs } from '#core/recipes/recipe'

/** A recipe being filled in: its inputs, and what comes of them as they change. */
export function useRecipe(recipe: Ref<Recipe | undefined>, first: Ref<RecipeInputs>) {
  const inputs = shallowRef<Record<string, number | string>>({})
  watch(
    [recipe, first],
    ([now, given]) => {
      inputs.value = now ? { ...initialInputs(now), ...known(now, given) } : {}
    },
    { immediate: true },
  )
  const worked = computed(() => (recipe.value ? expand(recipe.value, inputs.value) : null))
  const draft = computed(() => (worked.value?.ok ? worked.value.draft : null))
  const problems = computed(() => (worked.value && !worked.value.ok ? worked.value.problems : []))
  const problemOf = (key: string): string =>
    problems.value.find((one) => one.field === key)?.message ?? ''
  const set = (key: string, value: number | string | null) => {
    if (value !== null) inputs.value = { ...inputs.value, [key]: value }
  }
  return { inputs, draft, problems, problemOf, set }
}

/** Inputs the recipe still has: one that lost a dimension lets go of its value. */
function known(recipe: Recipe, given: RecipeInputs): RecipeInputs {
  const keys = new Set([...recipe.inputs, ...recipe.choices].map((one) => one.key))
  return Object.fromEntries(Object.entries(given).filter(([key]) => keys.has(key)))
}

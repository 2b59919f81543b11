import { computed, shallowRef, watch } from 'vue'
import type { Ref } from 'vue'
import { expand } from '#core/recipes/expand'
import { initialInputs } from '#core/recipes/ofBoat'
import { problemsOf } from '#core/result'
import type { Recipe, RecipeInputs } from '#core/recipes/recipe'

/** A recipe being filled in: its inputs, and what comes of them as they change. */
export function useRecipe(recipe: Ref<Recipe | undefined>, first: Ref<RecipeInputs>) {
  const store = useRefitStore()
  const inputs = shallowRef<Record<string, number | string>>({})
  const unread = useUnread()
  watch(
    [recipe, first],
    ([now, given]) => {
      inputs.value = now ? { ...initialInputs(now, store.refit), ...known(now, given) } : {}
      unread.clear()
    },
    { immediate: true },
  )
  const units = computed(() => store.refit?.units ?? 'metric')
  const worked = computed(() =>
    recipe.value ? expand(recipe.value, inputs.value, units.value) : null,
  )
  const draft = computed(() =>
    unread.messages.value.size === 0 && worked.value?.ok ? worked.value.value : null,
  )
  const refusals = computed(() =>
    worked.value && !worked.value.ok ? problemsOf(worked.value) : [],
  )
  const problems = computed(() => [
    ...[...unread.messages.value].map(([field, message]) => ({ field, message })),
    ...refusals.value,
  ])
  const problemOf = (key: string): string =>
    refusals.value.find((one) => one.field === key)?.message ?? ''
  const set = (key: string, value: number | string | null) => {
    if (value !== null) inputs.value = { ...inputs.value, [key]: value }
  }
  const setUnread = (key: string, message: string) => unread.mark(key)(message)
  return { inputs, draft, problems, problemOf, set, setUnread }
}

/** Inputs the recipe still has: one that lost a dimension lets go of its value. */
function known(recipe: Recipe, given: RecipeInputs): RecipeInputs {
  const keys = new Set([...recipe.inputs, ...recipe.choices].map((one) => one.key))
  return Object.fromEntries(Object.entries(given).filter(([key]) => keys.has(key)))
}

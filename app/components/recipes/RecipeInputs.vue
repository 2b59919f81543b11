<script setup lang="ts">
import { ref } from 'vue'
import { threadOf, threadsFor } from '#core/fastening/threads'
import type { Recipe, RecipeInput } from '#core/recipes/recipe'

/** The dimensions and choices of a recipe, with how to measure each. */
const props = defineProps<{
  recipe: Recipe
  inputs: Readonly<Record<string, number | string>>
  problemOf: (key: string) => string
}>()
const emit = defineEmits<{
  set: [key: string, value: number | string | null]
  /** What stands in a field cannot be read; '': it can again. */
  unread: [key: string, message: string]
}>()
const store = useRefitStore()
const units = store.refit?.units ?? 'metric'
const shown = ref<string | null>(null)

const numberOf = (key: string): number | null => {
  const value = props.inputs[key]
  return typeof value === 'number' ? value : null
}
/** Sizes of bolts that the dimension admits, with the one chosen even where the units would not offer it. */
const sizesOf = (input: RecipeInput) => {
  const own = threadOf(numberOf(input.key) ?? 0)
  const offered = threadsFor(units).filter(
    (one) => one.sizeMm >= input.min - 0.01 && one.sizeMm <= input.max + 0.01,
  )
  return [...(own && !offered.includes(own) ? [own] : []), ...offered].map((one) => ({
    value: String(one.sizeMm),
    label: one.name,
  }))
}
</script>

<template>
  <div class="grid gap-4">
    <div class="grid grid-cols-1 gap-3 sm:grid-cols-2">
      <div v-for="input in recipe.inputs" :key="input.key" class="min-w-0">
        <UiSelect
          v-if="input.thread"
          :model-value="String(numberOf(input.key) ?? '')"
          :label="input.label"
          :options="sizesOf(input)"
          :hint="input.help"
          :error="problemOf(input.key)"
          @update:model-value="emit('set', input.key, Number($event))"
        />
        <UiQuantity
          v-else
          :model-value="numberOf(input.key)"
          :label="input.label"
          :unit="input.unit"
          :hint="input.help"
          :error="problemOf(input.key)"
          @update:model-value="emit('set', input.key, $event)"
          @invalid="emit('unread', input.key, $event)"
        />
        <template v-if="input.drawing">
          <button
            type="button"
            class="btn btn-quiet btn-small px-0! underline"
            :aria-expanded="shown === input.key"
            @click="shown = shown === input.key ? null : input.key"
          >
            {{ shown === input.key ? 'Hide the drawing' : 'Show where'
            }}<span class="sr-only"> for {{ input.label }}</span>
          </button>
          <HelpDrawing
            v-if="shown === input.key"
            class="mt-1 max-w-72"
            :drawing="input.drawing"
            :label="input.label"
          />
        </template>
      </div>
    </div>
    <fieldset v-for="choice in recipe.choices" :key="choice.key">
      <legend class="cond text-lg">{{ choice.label }}</legend>
      <div class="mt-1 grid gap-2">
        <label
          v-for="option in choice.options"
          :key="option.value"
          class="grid cursor-pointer grid-cols-[auto_1fr] gap-x-3 border p-2.5"
          :class="
            inputs[choice.key] === option.value
              ? 'border-2 border-ink bg-verdigris-tint'
              : 'border-rule bg-sheet'
          "
        >
          <input
            type="radio"
            class="mt-1 size-5 accent-(--verdigris)"
            :name="`${recipe.key}-${choice.key}`"
            :checked="inputs[choice.key] === option.value"
            @change="emit('set', choice.key, option.value)"
          />
          <span>
            <span class="cond block text-lg leading-tight">{{ option.label }}</span>
            <span class="text-ink2">{{ option.why }}</span>
          </span>
        </label>
      </div>
    </fieldset>
  </div>
</template>

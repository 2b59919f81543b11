<script setup lang="ts">
import { computed } from 'vue'
import { factsSaid } from '#core/plan/factsSaid'
import { cautionsOf } from '#core/plan/facts'
import { howRecipeValue } from '#core/how/recipe'
import type { Recipe, RecipeInputs } from '#core/recipes/recipe'
import type { Draft, DraftStep } from '#core/recipes/expand'
import { toBuy } from '#core/recipes/toBuy'
import { draftHours, draftStepHours } from '#core/recipes/draftHours'
import { formatHours, formatWait } from '#core/units/hours'
import { formatQuantity, formatTemp } from '#core/units/quantity'

/** What a recipe makes: steps with hours and waits, materials with packs, cautions, working. */
const props = defineProps<{
  draft: Draft
  recipe: Recipe
  inputs: RecipeInputs
}>()
const store = useRefitStore()
const units = computed(() => store.refit?.units ?? 'metric')
const hours = computed(() => draftHours(props.draft))
const waits = computed(() =>
  props.draft.steps.reduce((sum, step) => sum + Number(step.fields.waitHours ?? 0), 0),
)
/** The same material of several steps, added up before it is rounded to packs. */
const materials = computed(() => {
  const found = new Map<
    string,
    { what: string; unit: string; quantity: number; pack: number | null }
  >()
  for (const one of props.draft.steps.flatMap((step) => step.materials).flatMap(toBuy)) {
    const key = `${one.what} ${one.unit}`
    const was = found.get(key)
    found.set(key, { ...one, quantity: one.quantity + (was?.quantity ?? 0) })
  }
  return [...found.values()].map((one, id) => ({ ...one, id }))
})
const tools = computed(() => [...new Set(props.draft.steps.flatMap((step) => step.tools))])
const needs = ({ fields }: DraftStep): string =>
  [
    fields.crewMin && fields.crewMin > 1 ? `${fields.crewMin} people` : '',
    fields.hullNeed === 'ashore'
      ? 'ashore'
      : fields.hullNeed === 'afloat'
        ? 'afloat'
        : fields.hullNeed === 'slings'
          ? 'in the slings'
          : '',
    fields.afterGate ? 'after the gate' : '',
    fields.placeNeed === 'shed' ? 'in the shed' : fields.placeNeed === 'away' ? 'away' : '',
    ...factsSaid({ operation: 'fit', ...fields }),
    fields.needsDry ? 'dry weather' : '',
    fields.minTempC ? `from ${formatTemp(fields.minTempC, units.value)}` : '',
    fields.maxWaitHours ? `next within ${formatWait(fields.maxWaitHours)}` : '',
  ]
    .filter(Boolean)
    .join(', ')
const cautions = computed(() => {
  const found = new Map<string, string>()
  for (const { fields } of props.draft.steps) {
    const said = cautionsOf({
      ...fields,
      caution: fields.caution ?? '',
      operation: fields.operation ?? 'fit',
    })
    if (said && !found.has(said)) found.set(said, fields.title)
  }
  return [...found].map(([caution, title]) => ({ caution, title }))
})
const waitWord = { chem: 'cures', moisture: 'sets', dry: 'dries', calendar: 'waits' } as const
const waitSaid = ({ fields }: DraftStep): string =>
  fields.waitKind && fields.waitKind !== 'none' && fields.waitHours
    ? `${waitWord[fields.waitKind]} ${formatWait(fields.waitHours)}`
    : ''
/** The dimensions and choices as they were given. */
const given = computed(() => [
  ...props.recipe.inputs.map(({ key, label, unit }) => {
    const value = props.inputs[key]
    const said =
      typeof value === 'number' ? formatQuantity(value, unit, units.value) : String(value)
    return { key, label, said }
  }),
  ...props.recipe.choices.map(({ key, label }) => ({
    key,
    label,
    said: String(props.inputs[key]),
  })),
])
const howOf = (index: number) => {
  const value = props.draft.values[index]
  return value ? howRecipeValue(value, props.draft, given.value, units.value) : null
}
const columns = [
  { key: 'what', label: 'Material' },
  { key: 'need', label: 'Needed', number: true },
  { key: 'buy', label: 'Buy', number: true },
]
</script>

<template>
  <div>
    <h2>
      {{ draft.steps.length }} {{ draft.steps.length === 1 ? 'step' : 'steps' }},
      {{ formatHours(hours) }} of work<template v-if="waits > 0"
        >, {{ formatWait(waits) }} of waits</template
      >
    </h2>
    <ol class="mt-2 border-t-2 border-ink" aria-label="Steps it makes">
      <li
        v-for="(step, index) in draft.steps"
        :key="step.key"
        class="grid grid-cols-[1.75rem_1fr_4.5rem] gap-x-2 border-b border-rule2 py-1"
      >
        <span class="cond text-right text-ink2">{{ index + 1 }}</span>
        <span>
          {{ step.fields.title }}
          <span v-if="needs(step)" class="text-ink2">· {{ needs(step) }}</span>
          <span v-if="waitSaid(step)" class="hatch ml-1 inline-block border border-rule px-1.5">{{
            waitSaid(step)
          }}</span>
        </span>
        <span class="cond text-right">{{
          draftStepHours(step) > 0 ? formatHours(draftStepHours(step)) : ''
        }}</span>
      </li>
    </ol>
    <section v-if="materials.length > 0" class="mt-5">
      <h3>Materials</h3>
      <UiTable caption="Materials it needs" :columns="columns" :rows="materials">
        <template #what="{ row }">{{ row.what }}</template>
        <template #need="{ row }">{{ formatQuantity(row.quantity, row.unit, units) }}</template>
        <template #buy="{ row }">{{
          sayPacks(row.quantity, row.pack, row.unit, units) ||
          (row.unit === 'pieces' || row.pack === 1 ? 'singly' : 'to measure')
        }}</template>
      </UiTable>
    </section>
    <p v-if="tools.length > 0" class="mt-4">
      <span class="cond">Tools</span> {{ tools.join(', ') }}.
    </p>
    <section v-if="cautions.length > 0" class="mt-4 border-l-4 border-redlead pl-3">
      <h3>What can hurt</h3>
      <ul>
        <li v-for="one in cautions" :key="one.caution" class="py-0.5">
          <span class="cond">{{ one.title }}:</span> {{ one.caution }}
        </li>
      </ul>
    </section>
    <details v-if="draft.values.length > 0" class="mt-4">
      <summary class="cond text-lg">How it was worked out</summary>
      <dl class="mt-1 grid gap-x-4 gap-y-1 sm:grid-cols-[1fr_auto]">
        <template v-for="(one, index) in draft.values" :key="one.key">
          <dt>{{ one.label }}</dt>
          <dd class="cond text-lg">
            <UiHow :how="() => howOf(index)" :about="one.label">{{
              typeof one.value === 'string' ? one.value : formatQuantity(one.value, one.unit, units)
            }}</UiHow>
          </dd>
        </template>
      </dl>
    </details>
    <p class="mt-4 text-ink2">
      Hours are for one skilled amateur with open access; set the access on each step. Cures are for
      {{ formatTemp(20, units) }}. The product’s data sheet, the local code and the licensed trade
      go before all of it.
    </p>
  </div>
</template>

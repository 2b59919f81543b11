<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Job } from '#core/model/entities'
import { expand } from '#core/recipes/expand'
import { knownInputs, withKnownInput } from '#core/recipes/known'
import type { KnownInput } from '#core/recipes/known'
import { recipeFor } from '#core/recipes/shelf'
import { problemsOf } from '#core/result'
import { dayNumber } from '#core/time/civil'
import { formatQuantity } from '#core/units/quantity'

/** Dimensions of the job: measured ones in jaws with who and when, guesses with the press that ends them. */
const props = defineProps<{ job: Job }>()
const store = useRefitStore()
const toasts = useToastStore()
const personId = useMe()
const { shortDate } = useDates()
const recipe = computed(() =>
  props.job.recipeKey === null ? undefined : recipeFor(store.rows, props.job.recipeKey),
)
const inputs = computed(() => (recipe.value ? knownInputs(recipe.value, props.job) : []))
const guesses = computed(() => inputs.value.filter((one) => one.source === null).length)
const units = computed(() => store.refit?.units ?? 'metric')
const say = (one: KnownInput) => formatQuantity(one.value, one.input.unit, units.value)
const nameOf = (id: string | null) => store.rows.person.find((one) => one.id === id)?.name ?? ''
const sourceSaid = (one: KnownInput) =>
  one.source
    ? `${one.source.how === 'wanted' ? 'wanted' : nameOf(one.source.by)}${one.source.how === 'wanted' || !one.source.by ? '' : ','} ${shortDate(store.zone.at(dayNumber(one.source.on), 720), store.zone)}`.trim()
    : ''
const asking = ref<KnownInput | null>(null)
const value = ref<number | null>(null)
const wrong = ref('')
const unread = useUnread()
function ask(one: KnownInput) {
  asking.value = one
  value.value = one.value
  wrong.value = ''
  unread.clear()
}
async function know(how: 'measured' | 'wanted') {
  const one = asking.value
  // What could not be read is not the value that stands there.
  if (!one || !recipe.value || value.value === null || unread.first() !== '') return
  const found = recipe.value
  const source = {
    how,
    value: value.value,
    by: personId.value || null,
    on: store.derived.today,
  }
  const made = expand(
    found,
    { ...props.job.recipeInputs, [one.input.key]: value.value },
    units.value,
  )
  if (!made.ok) {
    wrong.value = problemsOf(made)[0]?.message ?? made.message
    return
  }
  const { items, asks } = withKnownInput(
    props.job,
    store.rows,
    one.input.key,
    source,
    () => made.value,
    newId,
  )
  if (await store.attempt(`${one.input.label}: ${how}`, items)) {
    asking.value = null
    toasts.say(
      asks.length > 0
        ? `${one.input.label} kept. ${asks.length} finished ${asks.length === 1 ? 'step stays' : 'steps stay'} that the recipe no longer has.`
        : `${one.input.label} kept, and the steps follow it.`,
    )
  }
}
</script>

<template>
  <section v-if="inputs.length > 0">
    <div class="flex items-baseline justify-between border-b-2 border-ink">
      <h2>Measured, guessed</h2>
      <p class="cond text-ink2">
        {{
          guesses === 0 ? 'all known' : `${guesses} ${guesses === 1 ? 'wants' : 'want'} measuring`
        }}
      </p>
    </div>
    <ul>
      <li v-for="one in inputs" :key="one.input.key" class="flex items-center gap-2 py-0.5">
        <span
          class="w-20 shrink-0"
          :class="
            one.source
              ? 'jaws px-1.5 text-center font-semibold'
              : 'border-b-2 border-dotted border-ink'
          "
          >{{ one.source ? '' : '~' }}{{ say(one) }}</span
        >
        <span class="min-w-0 grow leading-tight">{{ one.input.label }}</span>
        <span v-if="one.source" class="cond text-right text-ink2">{{ sourceSaid(one) }}</span>
        <button
          v-else
          class="cond text-verdigris underline max-sm:min-h-11"
          :aria-label="`Measure: ${one.input.label}`"
          @click="ask(one)"
        >
          Measure
        </button>
      </li>
    </ul>
    <p v-if="guesses > 0" class="text-ink2">
      Amounts and hours rest on the guesses: measure before you order or cut.
    </p>
    <UiDialog :open="asking !== null" :title="asking?.input.label ?? ''" @close="asking = null">
      <p>{{ asking?.input.help }}</p>
      <UiQuantity
        v-if="asking"
        v-model="value"
        class="mt-2 max-w-48"
        :label="asking.input.label"
        :unit="asking.input.unit"
        :error="wrong"
        @invalid="unread.mark('value')($event)"
      />
      <div class="mt-4 flex flex-wrap gap-3">
        <button class="btn btn-go" @click="know('measured')">Measured</button>
        <button class="btn" @click="know('wanted')">As we want it</button>
        <button class="btn" @click="asking = null">Not now</button>
      </div>
    </UiDialog>
  </section>
</template>

<style scoped>
.jaws {
  border-left: 2px solid var(--ink);
  border-right: 2px solid var(--ink);
  background:
    linear-gradient(var(--ink) 0 0) left top / 6px 2px no-repeat,
    linear-gradient(var(--ink) 0 0) left bottom / 6px 2px no-repeat,
    linear-gradient(var(--ink) 0 0) right top / 6px 2px no-repeat,
    linear-gradient(var(--ink) 0 0) right bottom / 6px 2px no-repeat;
}
</style>

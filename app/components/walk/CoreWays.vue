<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import type { ChangeItem } from '#core/model/changes'
import { howWay } from '#core/how/walk'
import type { Panel } from '#core/model/entities'
import { keyBetween } from '#core/model/order'
import { inOrder } from '#core/model/refit'
import { patchOf } from '#core/model/removal'
import { formatMoney } from '#core/money/money'
import { laterLaunchMinor } from '#core/money/yardAhead'
import { wayPrice } from '#core/panel/wayPrice'
import type { PanelFigures } from '#core/panel/panelCase'
import { sayArea } from '#core/panel/sayPanel'
import { coreWays, rankedWays, whyLower } from '#core/panel/ways'
import type { CoreWay, WayKey } from '#core/panel/ways'
import { freeHours } from '#core/plan/freeHours'
import { handsOn } from '#core/plan/handsOn'
import { jobFromRecipe } from '#core/recipes/make'
import { dayNumber } from '#core/time/civil'
import { figured } from '#core/units/counted'
import { formatGuess } from '#core/units/hours'
import { formatQuantity } from '#core/units/quantity'
import { findingMark } from '#core/walk/marks'

/** The ways to put a panel right, best first: when each fits, what it asks, and what it does to the launch. */
const props = defineProps<{ panel: Panel; figures: PanelFigures }>()
const store = useRefitStore()
const planner = usePlannerStore()
const ways = computed(() => coreWays(props.figures.about))
/** Days later by way; null: not worked out or cannot be planned. */
const delays = shallowRef<ReadonlyMap<WayKey, number | null>>(new Map())
const said = shallowRef<ReadonlyMap<WayKey, { before: string; after: string }>>(new Map())
const busy = ref(false)
const wrong = ref('')
const launch = computed(() => store.derived.launch?.gate ?? null)
const ranked = computed(() => rankedWays(ways.value, delays.value))
const longest = computed(() => Math.max(1, ...ways.value.map((way) => way.hours + way.waitDays)))
const { sayDate } = useDates()
/** When she goes in by the plan, or is meant to. */
const launchOn = computed(
  () => store.derived.launch?.plannedOn ?? store.derived.launch?.aimedOn ?? null,
)
/** Hours that people have and the plan leaves free before the launch; null: no launch is to come. */
const free = computed(() => {
  const { rows, accepted, derived, zone } = store
  return launchOn.value === null || accepted === null
    ? null
    : freeHours(
        accepted,
        zone,
        handsOn(rows, accepted, zone),
        dayNumber(derived.today),
        dayNumber(launchOn.value),
      )
})
/** Hours of a way that fit before the launch, and those it would have to wait for. */
const split = (way: CoreWay) => {
  const within = free.value === null ? way.hours : Math.min(way.hours, free.value)
  return { within, over: way.hours - within }
}
const share = (amount: number) => ({ width: `${(amount / longest.value) * 100}%` })
function price(way: CoreWay): string {
  const found = wayPrice(way.materials, store.rows.part)
  if (!found) return ''
  const money = formatMoney(found.minor, store.refit?.currency ?? 'EUR')
  return found.unknown > 0 ? ` · from ${money}` : ` · ${money}`
}
const unpriced = (way: CoreWay): string => {
  const found = wayPrice(way.materials, store.rows.part)
  return found && found.unknown > 0
    ? ` ${figured(found.unknown, 'material')} of them without a price.`
    : ''
}
const findings = computed(() =>
  store.rows.finding.filter(
    (one) =>
      one.zoneId === props.panel.zoneId &&
      findingMark(one, (id) => store.derived.jobs.get(id)?.state).toSettle,
  ),
)
const answers = ref<string | null>(null)
const answered = computed(
  () => findings.value.find((one) => one.id === answers.value) ?? findings.value[0] ?? null,
)

function itemsOf(way: CoreWay, gateId: string | null) {
  if (!way.draft) return null
  const system = store.rows.system.find((one) => one.kind === way.recipe.system)
  const made = jobFromRecipe(
    way.key,
    way.inputs,
    way.draft,
    {
      title: `${way.recipe.title}: ${props.panel.title}`,
      order: keyBetween(inOrder(store.rows.job).at(-1)?.order ?? null, null),
      purpose: way.recipe.purpose,
      severity: answered.value?.severity ?? 3,
      spreading: props.figures.about.spreading,
      systemId: system?.id ?? null,
      zoneId: props.panel.zoneId,
      gateId,
      placed: true,
      parentJobId: answered.value?.duringJobId ?? null,
    },
    newId,
  )
  const closing: ChangeItem[] = answered.value
    ? [patchOf('finding', answered.value, { state: 'jobMade', jobId: made.jobId })]
    : []
  return { ...made, items: [...made.items, ...closing] }
}

let run = 0
const question = computed(() => ({
  ways: ways.value,
  ready: store.plan !== null && !planner.busy,
}))
watchSettled(question, work, { immediate: true, ms: 400 })
/** Each way asked of the planner, before the launch and after it. */
async function work() {
  const mine = ++run
  if (!question.value.ready) return
  busy.value = true
  wrong.value = ''
  try {
    for (const way of ways.value) {
      const before = itemsOf(way, launch.value?.id ?? null)
      const after = itemsOf(way, null)
      if (!before || !after) continue
      const asked = await planner.consequence(before.items)
      const later = asked && (await planner.consequence(after.items))
      if (mine !== run || !asked || !later) return
      const effect = asked.effects.find((one) => one.gate.id === launch.value?.id)
      // A launch that loses its date is held longer than any that keeps one.
      const lost = effect !== undefined && effect.before !== null && effect.after === null
      const days = lost ? Infinity : (effect?.days ?? null)
      delays.value = new Map(delays.value).set(way.key, days)
      said.value = new Map(said.value).set(way.key, {
        before: asked.said + costOf(days),
        after: later.said,
      })
    }
  } catch (error) {
    wrong.value = sentenceOf(error)
  } finally {
    if (mine === run) busy.value = false
  }
}
function costOf(days: number | null): string {
  if (days === null || !Number.isFinite(days) || days <= 0) return ''
  const minor = laterLaunchMinor(
    store.rows,
    store.accepted,
    launch.value?.haulOutId ?? null,
    days,
    store.derived,
  )
  return minor === null || minor <= 0
    ? ''
    : ` ${formatMoney(minor, store.refit?.currency ?? 'EUR')} more for those days in the yard, the berth taken off.`
}
async function make(way: CoreWay, gateId: string | null) {
  const made = itemsOf(way, gateId)
  if (!made) return
  wrong.value = ''
  try {
    if (await store.submit(`Job: ${way.recipe.title}`, made.items))
      await goTo({ path: `/r/${store.refitId}/jobs`, query: { job: made.jobId } })
  } catch (error) {
    wrong.value = sentenceOf(error)
  }
}
const fitWords = { fits: 'Fits.', offered: 'Also done.', not: 'Not here.' }
</script>

<template>
  <section aria-label="Ways to put it right">
    <h2 class="flex items-baseline justify-between border-b-2 border-ink">
      Ways, best first
      <span class="text-base font-medium"
        ><span class="mr-1 inline-block h-2.5 w-4 bg-ink" aria-hidden="true" />hands
        <span
          class="hatch mr-1 ml-2 inline-block h-2.5 w-4 border border-ink"
          aria-hidden="true"
        />waits</span
      >
    </h2>
    <p v-if="free !== null && launchOn !== null" class="cond flex items-center gap-2">
      <span class="inline-block h-4 w-[3px] bg-verdigris" aria-hidden="true" />{{
        formatGuess(free)
      }}
      free before {{ sayDate(launchOn) }}
    </p>
    <p v-if="busy" class="text-ink2" role="status">Asking the plan about each…</p>
    <ol>
      <li
        v-for="(way, index) in ranked"
        :key="way.key"
        class="py-2"
        :class="
          index === 0 && way.fit !== 'not'
            ? 'my-1 border-[3px] border-ink bg-sheet px-3'
            : 'border-b border-rule px-1'
        "
      >
        <h3 class="flex justify-between gap-3">
          <span>{{ index + 1 }} {{ way.recipe.title }}</span>
          <span class="whitespace-nowrap"
            ><UiHow v-if="way.draft" :how="() => howWay(way)" :about="way.recipe.title">{{
              formatGuess(way.hours)
            }}</UiHow
            ><template v-else>{{ formatGuess(way.hours) }}</template> ·
            {{ Math.round(way.waitDays) }} d{{ price(way) }}</span
          >
        </h3>
        <div class="relative my-1 flex h-3" aria-hidden="true">
          <span class="bg-ink" :style="share(split(way).within)" />
          <span class="bg-redlead" :style="share(split(way).over)" />
          <span class="hatch border border-ink" :style="share(way.waitDays)" />
          <span
            v-if="free !== null && free <= longest"
            class="absolute -top-1 h-5 w-[3px] -translate-x-1/2 bg-verdigris"
            :style="{ left: `${(free / longest) * 100}%` }"
          />
        </div>
        <p v-if="free !== null && split(way).over > 0" class="cond leading-snug text-redlead">
          {{ formatGuess(split(way).over) }} more than is free before
          {{ launch ? launch.name.toLowerCase() : 'the launch' }}.
        </p>
        <p class="leading-snug">
          <span class="cond">{{ fitWords[way.fit] }}</span> {{ way.because }}
          <span v-if="index > 0" class="text-ink2">{{
            whyLower(way, ranked[index - 1] as CoreWay, delays)
          }}</span>
        </p>
        <p v-if="said.get(way.key)" class="leading-snug">
          <template v-if="launch"
            ><span class="cond">Before {{ launch.name.toLowerCase() }}:</span>
            {{ said.get(way.key)?.before }} <span class="cond">Afloat:</span></template
          >
          {{ said.get(way.key)?.after }}
        </p>
        <p v-if="way.materials.length > 0" class="text-sm text-ink2">
          {{
            way.materials
              .slice(0, 6)
              .map(
                (one) =>
                  `${one.what.toLowerCase()} ${formatQuantity(one.quantity, one.unit, store.refit?.units ?? 'metric')}`,
              )
              .join(', ')
          }}{{ way.materials.length > 6 ? ` and ${way.materials.length - 6} more` : ''
          }}{{ unpriced(way) ? `.${unpriced(way)}` : '' }}
        </p>
        <div v-if="way.draft" class="mt-1 flex flex-wrap gap-2">
          <button
            v-if="launch"
            class="btn btn-small"
            :class="{ 'bg-verdigris! text-sheet!': index === 0 && way.fit !== 'not' }"
            @click="make(way, launch.id)"
          >
            Make the job: {{ sayArea(figures.figures.openM2) }}, before
            {{ launch.name.toLowerCase() }}
          </button>
          <button class="btn btn-small" @click="make(way, null)">
            {{ launch ? 'Afloat' : 'Make the job'
            }}<span class="sr-only">: {{ way.recipe.title }}</span>
          </button>
        </div>
      </li>
    </ol>
    <UiSelect
      v-if="findings.length > 1"
      v-model="answers"
      class="mt-2"
      label="The finding it puts right"
      :options="findings.map((one) => ({ value: one.id, label: one.title }))"
    />
    <p v-if="wrong" class="text-redlead" role="alert">{{ wrong }}</p>
    <p class="mt-2 text-sm text-ink2">
      Hours by the recipes, waits at 20 °C one after the other. Fit by rule of thumb of the trade:
      filled from the hole to 0.05 m², re-cored from 0.1 m² or where it spreads. A surveyor decides
      where it carries the rig.
    </p>
  </section>
</template>

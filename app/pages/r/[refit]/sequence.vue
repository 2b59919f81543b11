<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { howGateDate } from '#core/how/plan'
import { bindingChain } from '#core/plan/chain'
import type { Drag } from '#core/plan/drag'
import { gateNeeds } from '#core/plan/gateNeeds'
import { sayGate } from '#core/progress/gateWords'
import { addDays, mondayOf } from '#core/time/civil'

/** In what order, and what holds the launch? */
const store = useRefitStore()
const planner = usePlannerStore()
const scale = ref<'launch' | 'weeks' | 'all'>('launch')
const chosenGate = ref<string | null>(null)
const allWork = ref(false)

const plan = computed(() => store.accepted)
const gate = computed(
  () =>
    store.derived.gates.find((one) => one.gate.id === chosenGate.value) ??
    store.derived.launch ??
    store.derived.gates[0] ??
    null,
)
const said = computed(() => (gate.value ? sayGate(gate.value, store.derived) : null))
const links = computed(() =>
  plan.value && gate.value
    ? bindingChain(
        plan.value,
        store.rows,
        gate.value.gate.id,
        store.derived.clock,
        said.value?.standing === 'notBefore',
      )
    : [],
)
/** Measured after the chain is read: each link left out, and the plan laid again. */
const drags = shallowRef<readonly Drag[] | null>(null)
watch(
  [links, () => planner.busy],
  async ([chain, busy]) => {
    drags.value = null
    const chosen = gate.value
    if (busy || !chosen || chain.length < 2) return
    const ids = chain.flatMap((link) => link.stepId ?? [])
    const found = await planner.drags(chosen.gate.id, ids)
    if (links.value === chain) drags.value = found
  },
  { immediate: true },
)
const chainSteps = computed(() => new Set(links.value.flatMap((link) => link.stepId ?? [])))
const needed = computed(() =>
  allWork.value || !gate.value ? null : gateNeeds(store.rows).steps(gate.value.gate.id),
)
const range = computed(() => {
  const from = addDays(mondayOf(store.derived.today), -14)
  const lastGate = store.derived.gates
    .map((one) => one.plannedOn ?? one.aimedOn ?? '')
    .sort()
    .at(-1)
  if (scale.value === 'weeks')
    return {
      from: addDays(mondayOf(store.derived.today), -7),
      to: addDays(store.derived.today, 35),
    }
  if (scale.value === 'all')
    return { from: addDays(from, -14), to: addDays(lastGate || store.derived.today, 30) }
  const launch =
    store.derived.launch?.plannedOn ??
    store.derived.launch?.aimedOn ??
    addDays(store.derived.today, 60)
  const to = addDays(launch, 12)
  return { from, to: to < addDays(store.derived.today, 28) ? addDays(store.derived.today, 28) : to }
})
/** What cannot be done and does not stand in this gate's own note. */
const elsewhere = computed(() =>
  (plan.value?.reasons ?? [])
    .map((reason) => reason.message)
    .filter((message) => !said.value?.because.includes(message)),
)
const title = computed(() => said.value?.title ?? 'No gate is set yet')
const dateHow = () =>
  gate.value && howGateDate(gate.value, links.value, said.value?.leavesOut ?? [])
const gates = computed(() =>
  store.derived.gates.map((one) => ({ value: one.gate.id, label: one.gate.name })),
)
const scales = [
  { value: 'weeks', label: 'Six weeks' },
  { value: 'launch', label: 'To the launch' },
  { value: 'all', label: 'All seasons' },
] as const
const openJob = (jobId: string) => navigateTo(`/r/${store.refitId}/jobs?job=${jobId}`)
function openStep(stepId: string) {
  const step = store.rows.step.find((one) => one.id === stepId)
  if (step) void openJob(step.jobId)
}
</script>

<template>
  <div class="xl:grid xl:grid-cols-[1fr_20rem] xl:gap-5">
    <div class="min-w-0">
      <div class="flex flex-wrap items-center justify-between gap-2">
        <h1>What holds the {{ gate?.gate.name.toLowerCase() ?? 'launch' }}</h1>
        <UiCheck v-model="allWork" class="no-print" label="All work" />
        <div class="no-print flex gap-2" role="group" aria-label="How much time">
          <button
            v-for="one in scales"
            :key="one.value"
            class="btn btn-small"
            :class="{ 'btn-on': scale === one.value }"
            :aria-pressed="scale === one.value"
            @click="scale = one.value"
          >
            {{ one.label }}
          </button>
        </div>
      </div>
      <p v-if="planner.busy" class="text-ink2" role="status">
        Planning…{{ planner.progress === null ? '' : ` ${Math.round(planner.progress * 100)} %` }}
      </p>
      <p v-else-if="planner.stale" class="text-redlead" role="status">
        This plan is older than the last change;
        {{
          store.connected
            ? 'a new one is on its way.'
            : 'a new one is kept when the program answers again.'
        }}
      </p>
      <div
        v-if="store.rows.step.length === 0"
        class="my-6 max-w-lg border-l-4 border-verdigris pl-4"
      >
        <h2>Nothing to put in order yet</h2>
        <p class="mt-2">
          A plan needs steps with hours. Open a job and write what has to be done, one step after
          the other.
        </p>
        <NuxtLink class="btn btn-main mt-3" :to="`/r/${store.refitId}/jobs`">To the jobs</NuxtLink>
      </div>
      <WaterlineChart
        v-else
        class="mt-2"
        :from="range.from"
        :to="range.to"
        :chain-steps="chainSteps"
        :only="needed"
        @job="openJob"
      />
    </div>
    <aside
      class="border-rule max-xl:mt-6 xl:border-l xl:bg-sheet xl:px-4 xl:py-1"
      aria-label="What holds it"
    >
      <h2>
        <UiHow v-if="gate?.plannedOn" :how="dateHow">{{ title }}</UiHow>
        <template v-else>{{ title }}</template>
      </h2>
      <UiSelect
        v-if="gates.length > 1"
        :model-value="gate?.gate.id ?? null"
        label="Which gate"
        hide-label
        class="my-2"
        :options="gates"
        @update:model-value="chosenGate = $event"
      />
      <section
        v-if="elsewhere.length > 0"
        class="my-3 border-l-4 border-redlead bg-redlead-tint px-3 py-2"
      >
        <h3>
          {{ elsewhere.length }} {{ elsewhere.length === 1 ? 'thing' : 'things' }} cannot be done as
          it stands
        </h3>
        <ul class="mt-1 list-disc pl-4">
          <li v-for="reason in elsewhere" :key="reason">{{ reason }}</li>
        </ul>
      </section>
      <GateNote :figures="gate" quiet />
      <p v-if="links.length > 1" class="text-ink2">{{ links.length }} links, read from the end.</p>
      <BindingChain :links="links" :drags="drags" @step="openStep" />
      <section v-if="plan && plan.warnings.length > 0" class="mt-2 border-t border-rule pt-3">
        <h3>Look at these</h3>
        <ul class="mt-1 grid gap-2">
          <li
            v-for="warning in plan.warnings"
            :key="warning.message"
            class="border-l-4 border-brass pl-3"
          >
            {{ warning.message }}
          </li>
        </ul>
      </section>
      <details class="mt-4 border-t border-rule pt-2">
        <summary class="cond">How this was planned</summary>
        <p class="mt-1">
          Steps are placed one by one at the earliest time their people are there, what comes before
          is done and cured, and the hull is ashore or afloat as needed: first today’s order and
          what you pinned, then what is under way, what would be late, and the rest by priority.
          Work that may be left gives way to other work for some days. Then other orders are tried;
          the one you know is kept unless another is worth it: less days late, then less cost
          ashore, then what matters most done earlier by one part in fifty. Cures are planned with
          the mean air of the month and the product's minimum as a floor. More than a week ahead,
          work that needs weather is given time by the month's share of days that suit it; nearer,
          Today goes by the forecast.
        </p>
      </details>
    </aside>
  </div>
</template>

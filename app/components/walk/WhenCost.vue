<script setup lang="ts">
import { computed, ref } from 'vue'
import type { ChangeItem } from '#core/model/changes'
import type { Finding } from '#core/model/entities'
import { sayFullDate } from '#core/time/say'
import { formatHours } from '#core/units/hours'
import { usualHours } from '#core/triage/triage'
import { costOfWhen, laterRisk } from '#core/walk/whenCost'

/** When to put it right, each with what it costs in hours and days: worked out on the plan as it stands. */
type When = Finding['when']
const model = defineModel<When>({ required: true })
const props = defineProps<{
  /** As it is, or as it is being typed. */
  finding: Pick<
    Finding,
    'title' | 'zoneId' | 'severity' | 'hoursGuess' | 'duringJobId' | 'spreading'
  >
}>()
const store = useRefitStore()
const planner = usePlannerStore()
const { sayDay } = useDates()
const said = ref<Readonly<Partial<Record<When, string>>>>({})
const busy = ref(false)
const hours = computed(() => props.finding.hoursGuess)
let run = 0

const askedOf = computed(() => ({
  zoneId: props.finding.zoneId,
  severity: props.finding.severity,
  hours: hours.value,
  ready: store.plan !== null && !planner.busy,
}))
watchSettled(askedOf, work, { immediate: true, ms: 300 })

async function work() {
  const mine = ++run
  if (!askedOf.value.ready) return
  busy.value = true
  try {
    for (const when of ['now', 'gate'] as const) {
      const items: ChangeItem[] = costOfWhen(store.rows, props.finding, when, store.derived, newId)
      const answer = await planner.consequence(items)
      if (mine !== run || !answer) return
      said.value = { ...said.value, [when]: sentence(when, answer) }
    }
    said.value = {
      ...said.value,
      later: laterRisk(store.rows, props.finding, nextAshore()),
    }
  } catch (error) {
    const why = sentenceOf(error)
    said.value = { now: why, gate: why, later: why }
  } finally {
    if (mine === run) busy.value = false
  }
}
function sentence(
  when: 'now' | 'gate',
  {
    said: gates,
    pushed,
  }: { said: string; pushed: readonly { stepId: string; to: number | null }[] },
): string {
  if (when === 'gate') return gates
  const [first] = pushed
  const step = store.rows.step.find((one) => one.id === first?.stepId)
  if (!first || !step) return `Nothing of today has to wait. ${gates}`
  const many = pushed.length > 1
  const more = many ? ` and ${pushed.length - 1} more` : ''
  const day =
    first.to === null
      ? `${many ? 'have' : 'has'} no place any more`
      : `${many ? 'go' : 'goes'} to ${sayDay(store.derived.clock.dateOf(first.to))}${many ? ' or later' : ''}`
  return `“${step.title}”${more} ${day}. ${gates}`
}
/** The next time she comes out after the launch to come, in words; ''. */
function nextAshore(): string {
  const on = store.rows.haulOut
    .filter(
      (one) =>
        one.launchActual === null &&
        one.liftOutActual === null &&
        one.liftOutAimed > store.derived.today,
    )
    .map((one) => one.liftOutAimed)
    .sort()[0]
  return on ? sayFullDate(on) : ''
}
const choices = computed(() => [
  { value: 'now' as const, label: 'Now', text: said.value.now ?? '' },
  {
    value: 'gate' as const,
    label: `Before ${store.derived.launch?.gate.name.toLowerCase() ?? 'the gate'}`,
    text: said.value.gate ?? '',
  },
  { value: 'later' as const, label: 'Later', text: said.value.later ?? '' },
])
</script>

<template>
  <fieldset>
    <legend class="cond text-ink2">
      When: what it costs<template v-if="hours !== null"
        >, with {{ formatHours(hours) }} of work</template
      ><template v-else
        >, with {{ formatHours(usualHours(store.rows)) }}: what found work came to</template
      >
    </legend>
    <div class="mt-1 grid gap-1.5" :aria-busy="busy">
      <label
        v-for="one in choices"
        :key="one.value"
        class="when-plate grid min-h-16 cursor-pointer max-sm:min-h-24 grid-cols-[6.5rem_1fr] items-center gap-2 border-2 px-3 py-1"
        :class="model === one.value ? 'border-verdigris bg-verdigris-tint' : 'border-ink bg-sheet'"
      >
        <span class="cond text-lg leading-tight">
          <input v-model="model" type="radio" name="when" class="sr-only" :value="one.value" />{{
            one.label
          }}
        </span>
        <span class="text-sm leading-snug">{{ one.text || 'Working it out…' }}</span>
      </label>
    </div>
  </fieldset>
</template>

<style scoped>
.when-plate:focus-within {
  outline: 3px solid var(--water-deep);
  outline-offset: 2px;
}
</style>

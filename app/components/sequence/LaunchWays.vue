<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import type { WayFigures } from '#core/launchWays/compare'
import { isNeeded, scopeOf } from '#core/launchWays/ways'
import type { WayKey } from '#core/launchWays/ways'
import { formatMoney } from '#core/money/money'
import { byId } from '#core/model/refit'
import { addDays } from '#core/time/civil'
import { formatHours } from '#core/units/hours'
import { figured } from '#core/units/counted'
import type { Proposal } from '~/composables/useProposal'
import type { WaysAnswer } from '~/workers/plannerWork'

/** Finish ashore, float early, float and lift again: each laid and costed, side by side with what must be true. */
const props = defineProps<{ open: boolean; haulOutId: string }>()
const emit = defineEmits<{ close: []; choose: [proposal: Proposal] }>()
const store = useRefitStore()
const planner = usePlannerStore()
const time = useTimeStore()
const { sayDay } = useDates()
const answer = shallowRef<WaysAnswer | null>(null)
const progress = ref(0)
const failed = ref('')
const needed = ref<ReadonlySet<string> | null>(null)
/** She is lifted again so many weeks after the launch as planned, unless somebody says otherwise. */
const againAfterDays = 28
const againOn = ref<string | null>(null)
const names: Record<WayKey, string> = {
  now: 'As it is planned',
  ashore: 'Finish ashore',
  early: 'Float early',
  again: 'Float, and lift again',
}
const mustBeTrue: Record<WayKey, string> = {
  now: '',
  ashore:
    'The yard keeps her place until then, and the season may wait. What is left is what can only be done afloat.',
  early:
    'Every opening below the water is closed and cured, valves worked, pump and float switch proved. What turns up below the water later costs another lift.',
  again:
    'As for floating early; and the yard has a place and a lift on that day. The masts stay up, or come down again.',
}
const scope = computed(() =>
  store.accepted ? scopeOf(store.rows, store.accepted, props.haulOutId, store.zone) : null,
)
/** Jobs that a person may put before the launch or not. */
const choices = computed(() =>
  (scope.value?.jobs ?? [])
    .filter((one) => one.holds)
    .map((one) => ({
      id: one.job.id,
      title: one.job.title,
      isNeeded: needed.value?.has(one.job.id) ?? isNeeded(one.job, one.steps, one.begun),
    })),
)
function setNeeded(id: string, yes: boolean) {
  const next = new Set(choices.value.filter((one) => one.isNeeded).map((one) => one.id))
  if (yes) next.add(id)
  else next.delete(id)
  needed.value = next
}
const defaultAgain = () => {
  const launch = store.accepted?.launches.find((one) => one.haulOutId === props.haulOutId)
  return addDays(store.zone.dateOf(launch?.at ?? time.now), againAfterDays)
}
const ids = shallowRef({ againId: '', againGateId: '' })
watch(
  () => props.open,
  (open) => {
    if (!open) return
    needed.value = null
    answer.value = null
    againOn.value = defaultAgain()
    ids.value = { againId: newId(), againGateId: newId() }
  },
  { immediate: true },
)
/** Why she cannot be lifted again on that day; '': she can. */
const againWrong = computed(() => {
  const on = againOn.value
  const launch = store.accepted?.launches.find((one) => one.haulOutId === props.haulOutId)
  const next = scope.value?.next?.haulOut.liftOutAimed
  if (!on || !launch) return ''
  if (on <= store.zone.dateOf(launch.at))
    return `She is launched on ${sayDay(store.zone.dateOf(launch.at))}, as planned now: it has to be after that.`
  return next && on >= next ? `She is lifted out on ${sayDay(next)} anyway.` : ''
})
const asksFor = [() => props.open, needed, againOn, () => planner.hash] as const
const canAsk = () => props.open && againOn.value !== null && againWrong.value === ''
/** From the moment something is changed: what stands there is of before, and is not to be chosen. */
const busy = ref(false)
watch(asksFor, () => (busy.value = canAsk()), { flush: 'sync' })
let run = 0
const settleMs = 300
watchSettled(
  asksFor,
  async () => {
    const mine = ++run
    busy.value = canAsk()
    if (!canAsk() || againOn.value === null) return
    failed.value = ''
    progress.value = 0
    try {
      const found = await planner.ways(
        {
          haulOutId: props.haulOutId,
          needed: needed.value,
          againOn: againOn.value,
          ...ids.value,
        },
        (share) => {
          if (mine === run) progress.value = share
        },
      )
      if (mine === run && found) answer.value = found
      else if (mine === run) failed.value = 'They could not be compared now. Close and try again.'
    } catch (error) {
      if (mine === run) failed.value = sentenceOf(error)
    } finally {
      if (mine === run) busy.value = false
    }
  },
  { ms: settleMs, immediate: true },
)
const money = (minor: number) => formatMoney(minor, store.refit?.currency ?? 'EUR')
const dateOf = (at: number | null) => (at === null ? '' : sayDay(store.zone.dateOf(at)))
const jobs = computed(() => byId(store.rows.job))
const titles = (list: readonly string[]) => list.map((id) => jobs.value.get(id)?.title ?? '')
const cards = computed(() =>
  (answer.value?.ways ?? []).flatMap((way, index) => {
    // With a day on which it cannot be, nothing is said of it.
    if (way.key === 'again' && againWrong.value) return []
    const change = answer.value?.changes[index]
    return [
      {
        way,
        name: names[way.key],
        afloat: titles(change?.afloat ?? []),
        carried: titles(change?.carried ?? []),
        items: change?.items ?? [],
      },
    ]
  }),
)
/** The one that costs the least; where two do, neither is told apart by it. */
const cheapest = computed(() => {
  const totals = cards.value.flatMap(({ way }) => way.money?.totalMinor ?? [])
  const least = Math.min(...totals)
  return totals.filter((one) => one === least).length === 1 ? least : null
})
const before = (way: WayFigures) =>
  way.before.slice(0, 4).map((one) => ({
    id: one.jobId,
    title: jobs.value.get(one.jobId)?.title ?? '',
    on: dateOf(one.readyAt),
  }))
function choose(card: (typeof cards.value)[number]) {
  const { way, afloat, carried } = card
  const parts = [
    `${way.before.length} ${way.before.length === 1 ? 'job comes' : 'jobs come'} before the launch`,
    ...(afloat.length > 0 ? [`${afloat.length} afloat`] : []),
    ...(carried.length > 0 ? [`${carried.length} in a later haul-out`] : []),
  ]
  const goes = way.key === 'ashore' ? '' : ' She goes in when she is ready.'
  emit('choose', {
    label: card.name,
    does: `${parts.join(', ')}.${goes}`,
    items: card.items,
  })
}
</script>

<template>
  <UiDialog :open="open" title="Ways to launch" wide @close="$emit('close')">
    <p v-if="!scope">There is no launch to come for which ways could be compared.</p>
    <template v-else>
      <p class="text-ink2">
        Each is planned whole, then costed over the same days<template v-if="answer"
          >, up to {{ dateOf(answer.until) }}</template
        >.
      </p>
      <p v-if="failed" class="mt-2 text-redlead" role="alert">{{ failed }}</p>
      <p v-if="!answer && !failed" class="mt-2 min-h-64 text-ink2" role="status">
        Planning each way… {{ Math.round(progress * 100) }} %
      </p>
      <ul v-if="answer" class="mt-3 grid gap-4 sm:grid-cols-2">
        <li
          v-for="card in cards"
          :key="card.way.key"
          class="flex flex-col border-2 border-ink bg-sheet p-3"
        >
          <h3>{{ card.name }}</h3>
          <p v-if="card.way.launchAt === null" class="mt-1 text-redlead">
            No date: {{ card.way.reasons[0] ?? 'something before it has no place in the plan.' }}
          </p>
          <dl v-else class="mt-1 grid grid-cols-[auto_1fr] gap-x-3">
            <dt class="text-ink2">Launch</dt>
            <dd class="font-semibold">{{ dateOf(card.way.launchAt) }}</dd>
            <dt class="text-ink2">All done</dt>
            <dd>{{ dateOf(card.way.finishAt) }}</dd>
            <template v-if="card.way.money">
              <dt class="text-ink2">Costs</dt>
              <dd>
                <b class="font-semibold">{{ money(card.way.money.totalMinor) }}</b
                ><span v-if="card.way.money.totalMinor === cheapest" class="text-verdigris">
                  the least</span
                >
              </dd>
              <dt class="sr-only">Made up of</dt>
              <dd class="col-span-2 text-[0.9375rem] text-ink2">
                yard {{ card.way.money.daysAshore }} d {{ money(card.way.money.yardMinor) }}, berth
                {{ card.way.money.daysAfloat }} d {{ money(card.way.money.berthMinor) }},
                {{ card.way.money.lifts }} {{ card.way.money.lifts === 1 ? 'lift' : 'lifts' }}
                {{ money(card.way.money.liftsMinor) }}
              </dd>
            </template>
            <dt class="text-ink2">On the way</dt>
            <dd>{{ formatHours(card.way.accessHours) }}, unpacking with it</dd>
          </dl>
          <p v-if="!card.way.money && card.way.launchAt !== null" class="text-ink2">
            No yard price is put down in Settings, so nothing is costed.
          </p>
          <template v-if="before(card.way).length > 0">
            <p class="mt-2 text-ink2">Last before she floats</p>
            <ul>
              <li v-for="one in before(card.way)" :key="one.id" class="leading-snug">
                {{ one.title }}, <span class="whitespace-nowrap">{{ one.on }}</span>
              </li>
            </ul>
          </template>
          <p v-if="card.carried.length > 0" class="mt-2 leading-snug">
            <span class="text-ink2">Later, out of the water:</span>
            {{ card.carried.slice(0, 3).join(', ')
            }}{{ card.carried.length > 3 ? ` and ${card.carried.length - 3} more` : '' }}
          </p>
          <p v-if="mustBeTrue[card.way.key]" class="mt-2 text-[0.9375rem] leading-snug">
            {{ mustBeTrue[card.way.key] }}
          </p>
          <div class="mt-auto pt-3">
            <button
              v-if="card.way.key !== 'now' && card.items.length > 0"
              class="btn btn-small btn-main"
              :disabled="card.way.launchAt === null || busy"
              :aria-label="`Plan so: ${card.name}`"
              @click="choose(card)"
            >
              Plan so
            </button>
            <p v-else-if="card.way.key !== 'now'" class="text-ink2">It is planned so already.</p>
          </div>
        </li>
      </ul>
      <UiDate
        v-model="againOn"
        :error="againWrong"
        class="mt-4 max-w-60"
        label="If she is lifted again, out on"
      />
      <details v-if="choices.length > 0" class="mt-4 border-t border-rule pt-2">
        <summary class="cond min-h-8 max-sm:min-h-11">
          Before she floats: {{ choices.filter((one) => one.isNeeded).length }} of
          {{ figured(choices.length, 'job') }}
        </summary>
        <p class="mt-1 text-ink2">
          What keeps water out, what keeps people safe and what was begun on her bottom stays before
          the launch. Say it where she is another case; the yard and the insurer may ask for more.
        </p>
        <ul class="mt-1 grid gap-x-4 sm:grid-cols-2">
          <li v-for="one in choices" :key="one.id">
            <UiCheck
              :model-value="one.isNeeded"
              :label="one.title"
              @update:model-value="setNeeded(one.id, $event)"
            />
          </li>
        </ul>
      </details>
    </template>
  </UiDialog>
</template>

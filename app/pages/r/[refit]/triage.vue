<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { computed, nextTick, ref, watch } from 'vue'
import { purposes } from '#core/model/words'
import { purposeName, severityName } from '#core/plan/priority'
import { addDays } from '#core/time/civil'
import { likelyPurpose, placingChanges, triageQueue, usualHours } from '#core/triage/triage'
import type { Judged, Placing, TriageItem } from '#core/triage/triage'
import { capital } from '#core/units/counted'

/** One thing at a time: what it is for, how bad, and where it goes, with what each place does to the gates. */
const store = useRefitStore()
const { sayDay } = useDates()
/** A phone has no keys to be told of. */
const narrow = useNarrow()
const byKey = (label: string, key: string) => (narrow.value ? label : `${label} ${key}`)
const { effectOf } = useGateEffect(ref([]))
const queue = computed(() => triageQueue(store.rows, store.derived.today))
const skipped = ref<readonly string[]>([])
const placedCount = ref(0)
const item = computed<TriageItem | null>(
  () => queue.value.find((one) => !skipped.value.includes(one.id)) ?? null,
)
const judged = ref<Judged>({ purpose: 'go', severity: 2, hours: 1 })
const giving = ref<'accept' | 'watch' | null>(null)
const reason = ref('')
const lookOn = ref<string | null>(null)
const wrong = ref('')
const unread = useUnread()
const effects = ref<Readonly<Record<string, string>>>({})
const card = ref<HTMLElement | null>(null)

const title = computed(() =>
  item.value?.kind === 'finding' ? item.value.finding.title : (item.value?.job.title ?? ''),
)
const where = computed(() => {
  const zoneId =
    item.value?.kind === 'finding' ? item.value.finding.zoneId : (item.value?.job.zoneId ?? null)
  return store.rows.zone.find((one) => one.id === zoneId)?.name ?? 'place not said'
})
const during = computed(() => {
  const id =
    item.value?.kind === 'finding' ? item.value.finding.duringJobId : item.value?.job.parentJobId
  return store.rows.job.find((one) => one.id === id)?.title ?? ''
})
const picture = computed(() =>
  item.value?.kind === 'finding'
    ? store.rows.picture.find((one) => one.findingId === item.value?.id)
    : undefined,
)

interface Choice {
  readonly key: string
  readonly label: string
  readonly placing: Placing
}
const gateKeys = 'abcdefg'
const choices = computed<Choice[]>(() => [
  ...store.derived.gates.slice(0, gateKeys.length).map(({ gate, aimedOn }, index) => ({
    key: gateKeys[index] as string,
    label: `Before ${gate.name}${aimedOn ? `, ${sayDay(aimedOn)}` : ''}`,
    placing: { to: 'gate' as const, gateId: gate.id },
  })),
  { key: 't', label: 'No gate, when there is time', placing: { to: 'whenTime' } },
  { key: 'l', label: 'A later season', placing: { to: 'later' } },
])

watch(
  () => item.value?.id,
  async () => {
    giving.value = null
    wrong.value = ''
    unread.clear()
    reason.value = ''
    lookOn.value = null
    const now = item.value
    if (!now) return
    judged.value =
      now.kind === 'finding'
        ? {
            purpose: likelyPurpose(store.rows, now.finding.zoneId),
            severity: now.finding.severity,
            hours: usualHours(store.rows),
          }
        : { purpose: now.job.purpose, severity: now.job.severity, hours: 1 }
    await nextTick()
    card.value?.focus({ preventScroll: true })
  },
  { immediate: true },
)

/** Each place tried in the planner, one after the other; a newer question stops the older. */
let asked = 0
watch(
  [() => item.value?.id, judged, () => store.plan?.version],
  async () => {
    const mine = ++asked
    effects.value = {}
    const now = item.value
    if (!now || !store.plan) return
    await new Promise((wait) => setTimeout(wait, 250))
    for (const { key, placing } of choices.value) {
      if (mine !== asked) return
      const { items } = placingChanges(store.rows, now, judged.value, placing, newId)
      const said = await effectOf(items)
      if (mine === asked) effects.value = { ...effects.value, [key]: said }
    }
  },
  { immediate: true },
)

async function place(placing: Placing) {
  const now = item.value
  if (!now) return
  wrong.value = unread.first()
  if (wrong.value !== '') return
  const { items } = placingChanges(store.rows, now, judged.value, placing, newId)
  try {
    if (await store.submit(`Place: ${title.value}`, items)) placedCount.value++
  } catch (error) {
    wrong.value = sentenceOf(error)
  }
}
/** What was written before, here or the last time it was looked at, is there again. */
async function give(what: 'accept' | 'watch') {
  giving.value = what
  const now = item.value
  if (reason.value === '')
    reason.value = (now?.kind === 'finding' ? now.finding.reason : now?.job.reason) ?? ''
  lookOn.value ??= addDays(store.derived.today, 180)
  await nextTick()
  document.querySelector<HTMLElement>('#triage-reason input')?.focus()
}
async function keep() {
  await nextTick()
  if (unread.first() !== '') {
    wrong.value = unread.first()
    return
  }
  if (reason.value.trim() === '' || !lookOn.value) {
    wrong.value = 'Say why, and when to look again.'
    return
  }
  await place({ to: giving.value ?? 'watch', reason: reason.value, lookAgainOn: lookOn.value })
}
function skip() {
  if (item.value) skipped.value = [...skipped.value, item.value.id]
}
function step<Value>(list: readonly Value[], now: Value, by: number): Value {
  const at = Math.min(list.length - 1, Math.max(0, list.indexOf(now) + by))
  return list[at] as Value
}
const severities = [1, 2, 3, 4]
const judge = (change: Partial<typeof judged.value>) =>
  (judged.value = { ...judged.value, ...change })
function arrow({ key, target }: KeyboardEvent) {
  // Arrows on a row of plates move among them.
  if (!item.value || (target as HTMLElement | null)?.closest('[role=radio]')) return false
  const by = key === 'ArrowRight' || key === 'ArrowUp' ? 1 : -1
  if (key === 'ArrowLeft' || key === 'ArrowRight')
    judge({ purpose: step(purposes, judged.value.purpose, by) })
  else judge({ severity: step(severities, judged.value.severity, by) })
}
useKeyScope(
  {
    placeJudge: arrow,
    placeWatch: () => (item.value && item.value.kind !== 'job' ? void give('watch') : false),
    placeAccept: () => (item.value ? void give('accept') : false),
    placeSkip: () => (item.value ? skip() : false),
  },
  ({ key }) => {
    const choice = item.value && choices.value.find((one) => one.key === key)
    return choice ? () => void place(choice.placing) : undefined
  },
)
/** Escape is heard while typing too: it takes the question back. */
useEventListener(document, 'keydown', ({ key }: KeyboardEvent) => {
  if (key === 'Escape') giving.value = null
})
const purposeOptions = purposes.map((value) => ({ value, label: purposeName[value] }))
const severityOptions = severityName.map((label, index) => ({
  value: index + 1,
  label: capital(label),
}))
const setHours = (hours: number | null) =>
  (judged.value = { ...judged.value, hours: hours ?? judged.value.hours })
</script>

<template>
  <div class="max-w-3xl">
    <h1>{{ queue.length }} to place</h1>
    <div v-if="!item" class="my-6 border-l-4 border-verdigris pl-4">
      <h2>{{ queue.length === 0 ? 'Nothing waits to be placed' : 'You went through them all' }}</h2>
      <p class="mt-1">
        {{ placedCount > 0 ? `${placedCount} placed just now.` : '' }}
        <template v-if="queue.length > 0">{{ queue.length }} put by for another time.</template>
        {{ narrow ? 'Press Found' : 'Press n' }} when you see something: it waits here.
      </p>
      <div class="mt-3 flex gap-2">
        <NuxtLink class="btn" :to="`/r/${store.refitId}/jobs`">To the jobs</NuxtLink>
        <button v-if="queue.length > 0" class="btn" @click="skipped = []">Go through them</button>
      </div>
    </div>
    <section
      v-else
      ref="card"
      tabindex="-1"
      class="mt-3 border-2 border-ink bg-sheet p-4 outline-none"
      :aria-label="title"
    >
      <div class="flex gap-4">
        <img
          v-if="picture"
          :src="`/api/pictures/${picture.hash}?small`"
          :alt="`Picture of ${title}`"
          width="160"
          height="120"
          class="h-28 w-40 border border-ink object-cover"
        />
        <div class="min-w-0">
          <h2 class="text-2xl">{{ title }}</h2>
          <p class="text-ink2">
            {{ item.kind === 'finding' ? 'Found' : 'A job without a gate' }} · {{ where
            }}<template v-if="during"> · during {{ during }}</template>
          </p>
        </div>
      </div>
      <div class="mt-3 grid gap-3">
        <UiChoice
          :model-value="judged.purpose"
          :label="byKey('What for?', '← →')"
          :options="purposeOptions"
          @update:model-value="judged = { ...judged, purpose: $event ?? judged.purpose }"
        />
        <UiChoice
          :model-value="judged.severity"
          :label="byKey('How bad?', '↑ ↓')"
          :options="severityOptions"
          @update:model-value="judged = { ...judged, severity: $event ?? judged.severity }"
        />
        <UiHours
          v-if="item.kind === 'finding'"
          class="max-w-48"
          :model-value="judged.hours"
          label="Hours, at a guess"
          :most="2000"
          hint="What found jobs came to here so far."
          @invalid="unread.mark('hours')($event)"
          @update:model-value="setHours"
        />
      </div>
      <form v-if="giving" class="mt-4 grid gap-3 border-t-2 border-ink pt-3" @submit.prevent="keep">
        <h3>{{ giving === 'watch' ? 'Watch it' : 'Accept it as it is' }}</h3>
        <div id="triage-reason"><UiText v-model="reason" label="Why" :most="1000" /></div>
        <UiDate v-model="lookOn" label="Look again on" @invalid="unread.mark('lookOn')($event)" />
        <div class="flex gap-2">
          <button class="btn btn-main" type="submit">Keep it so</button>
          <button class="btn" type="button" @click="giving = null">Back</button>
        </div>
      </form>
      <template v-else>
        <h3 class="mt-4">Where does it go?</h3>
        <ul class="mt-1 border-t-2 border-ink">
          <li v-for="choice in choices" :key="choice.key" class="border-b border-rule2">
            <button
              type="button"
              class="grid min-h-11 w-full items-center gap-2 py-1 text-left hover:bg-brass-tint sm:grid-cols-[2rem_1fr_1fr]"
              :aria-keyshortcuts="choice.key"
              @click="place(choice.placing)"
            >
              <kbd class="cond border border-ink px-2 text-center max-sm:hidden">{{
                choice.key
              }}</kbd>
              <span class="cond text-lg">{{ choice.label }}</span>
              <span class="text-ink2">{{ effects[choice.key] ?? 'working it out…' }}</span>
            </button>
          </li>
        </ul>
        <div class="mt-3 flex flex-wrap gap-2">
          <button
            v-if="item.kind === 'finding'"
            class="btn"
            aria-keyshortcuts="w"
            @click="give('watch')"
          >
            {{ byKey('Watch', '(w)') }}
          </button>
          <button class="btn" aria-keyshortcuts="x" @click="give('accept')">
            {{ byKey('Accept', '(x)') }}
          </button>
          <button class="btn" aria-keyshortcuts="s" @click="skip">
            {{ byKey('Another time', '(s)') }}
          </button>
          <NuxtLink
            v-if="item.kind === 'finding'"
            class="btn"
            :to="{ path: `/r/${store.refitId}/recipes`, query: { finding: item.id } }"
            >Make it by a recipe</NuxtLink
          >
        </div>
      </template>
      <p v-if="wrong" class="mt-2 text-redlead" role="alert">{{ wrong }}</p>
    </section>
  </div>
</template>

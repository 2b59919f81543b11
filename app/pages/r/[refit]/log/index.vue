<script setup lang="ts">
import { computed, ref } from 'vue'
import { isLocated } from '#core/bags/bags'
import { completeness } from '#core/asbuilt/draft'
import type { Zone } from '#core/model/entities'
import { inOrder } from '#core/model/refit'
import { keyBetween } from '#core/model/order'
import { bookRecord } from '#core/log/systems'
import { checksDue } from '#core/log/checks'
import { cameAgain } from '#core/log/history'
import { trialStates } from '#core/log/trials'
import { counted, figured } from '#core/units/counted'
import { sayFullDate } from '#core/time/say'

/** What was done, with what, when do I look again? */
const store = useRefitStore()
const isAfloat = useAfloat()
const sheets = computed(() =>
  [...store.rows.asBuiltSheet]
    .sort((a, b) => ((a.doneOn ?? '') < (b.doneOn ?? '') ? 1 : -1))
    .map((sheet) => ({ sheet, ...completeness(sheet, store.rows) })),
)
/** Only what was done at one place. */
const zoneId = ref<string | null>(null)
const zoneOf = (jobId: string | null) =>
  store.rows.job.find((one) => one.id === jobId)?.zoneId ?? null
const shown = computed(() =>
  sheets.value.filter((one) => zoneId.value === null || zoneOf(one.sheet.jobId) === zoneId.value),
)
const done = computed(() => {
  const counts = new Map<string, number>()
  for (const { sheet } of sheets.value) {
    const id = zoneOf(sheet.jobId)
    if (id) counts.set(id, (counts.get(id) ?? 0) + 1)
  }
  return counts
})
const standing = computed(
  () =>
    new Map(
      [...done.value].map(([id, many]) => [id, [{ is: 'count', many, severe: false }] as const]),
    ),
)
const sayDone = ({ id }: Zone): string => {
  const many = done.value.get(id) ?? 0
  return `${many} ${many === 1 ? 'sheet' : 'sheets'}`
}
const systems = computed(() =>
  inOrder(store.rows.system)
    .map((system) => ({
      system,
      sheets: shown.value.filter((one) => one.sheet.systemId === system.id),
    }))
    .concat({
      system: { id: '', name: 'No system' } as never,
      sheets: shown.value.filter((one) => one.sheet.systemId === null),
    })
    .filter((group) => group.sheets.length > 0),
)
/** From so many sheets on those whose record is whole fold to their number; what is missing something never does. */
const many = 60
const { unfolded, turn } = useUnfolded()
const isWhole = ({ have, want }: { have: number; want: number }) => have === want
const wholeIn = (list: readonly { have: number; want: number }[]) =>
  shown.value.length > many ? list.filter(isWhole).length : 0
const inSight = <One extends { have: number; want: number }>(
  system: string,
  list: readonly One[],
) =>
  shown.value.length > many && !unfolded.value.has(system)
    ? list.filter((one) => !isWhole(one))
    : list
const unwritten = computed(() =>
  store.rows.job.filter(
    (job) =>
      store.derived.jobs.get(job.id)?.state === 'done' &&
      !store.rows.asBuiltSheet.some((sheet) => sheet.jobId === job.id),
  ),
)
const record = computed(() => bookRecord(store.rows, store.derived.jobs))
const trials = computed(() => trialStates(store.rows))
const again = computed(() => cameAgain(store.rows, store.zone)[0] ?? null)
const late = computed(() =>
  checksDue(store.rows, store.derived.today, isAfloat).filter((one) => (one.inDays ?? 0) < 0),
)
const summary = computed(() =>
  [
    again.value
      ? `${again.value.title}: came again after ${again.value.months} ${again.value.months === 1 ? 'month' : 'months'}.`
      : '',
    late.value[0]
      ? late.value.length === 1
        ? `One check is ${figured(-(late.value[0].inDays ?? 0), 'day')} late.`
        : `${late.value.length} checks are late, the first by ${figured(-(late.value[0].inDays ?? 0), 'day')}.`
      : '',
  ]
    .filter(Boolean)
    .join(' '),
)
const isBookOpen = ref(false)
const addingTrial = ref(false)
const trialForm = useRowForm('trial', () => ({
  title: '',
  wayA: '',
  wayB: '',
  counted: '',
  outOf: 40,
}))
async function addTrial() {
  const order = keyBetween(inOrder(store.rows.trial).at(-1)?.order ?? null, null)
  const id = newId()
  const kept = await trialForm.save('A trial', (values) => [
    { op: 'create', entity: 'trial', id, patch: { ...values, order } },
  ])
  if (kept) {
    trialForm.reset()
    addingTrial.value = false
  }
}
const writeSheet = useWriteSheet()
async function write(jobId: string) {
  const job = store.rows.job.find((one) => one.id === jobId)
  if (job) await writeSheet(job)
}
</script>

<template>
  <div>
    <div class="flex flex-wrap items-center justify-between gap-x-4 gap-y-1">
      <h1>
        <template v-if="record.share !== null"
          >The record is {{ Math.floor(record.share * 100) }} % whole: {{ record.sheets }}
          {{ record.sheets === 1 ? 'sheet' : 'sheets' }},
          {{ counted(record.missing, 'line') }} missing<template v-if="record.unwritten > 0"
            >,
            <span class="text-redlead"
              >{{ record.unwritten }} finished {{ record.unwritten === 1 ? 'job' : 'jobs' }} with no
              sheet</span
            ></template
          ></template
        >
        <template v-else>Nothing is written up yet</template>
      </h1>
      <template v-if="record.sheets > 0">
        <button class="btn btn-small no-print" @click="isBookOpen = true">The boat’s book</button>
        <BookDialog :open="isBookOpen" @close="isBookOpen = false" />
      </template>
    </div>
    <p v-if="summary">{{ summary }}</p>
    <div
      class="mt-3 grid grid-cols-[minmax(0,1fr)] gap-x-8 gap-y-5 lg:grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)]"
    >
      <div class="grid grid-cols-[minmax(0,1fr)] content-start gap-5">
        <section v-if="record.systems.length > 0" aria-labelledby="log-systems">
          <h2 id="log-systems">Systems</h2>
          <SystemsTable :record="record" @write="write" />
        </section>
        <CameAgain />
      </div>
      <div class="grid grid-cols-[minmax(0,1fr)] content-start gap-5">
        <section aria-labelledby="log-trials">
          <h2 id="log-trials" class="border-b-2 border-ink">Trials</h2>
          <p v-if="trials.length === 0" class="text-ink2">
            One job done two ways on purpose, read now and then: the next one starts with what did
            better.
          </p>
          <TrialCard v-for="one in trials" :key="one.trial.id" class="mt-2" :state="one" />
          <button
            class="btn btn-small no-print mt-2"
            :aria-expanded="addingTrial"
            @click="addingTrial = !addingTrial"
          >
            Another trial
          </button>
          <UiRowForm
            v-if="addingTrial"
            class="grid sm:grid-cols-2"
            :form="trialForm"
            keep="Keep the trial"
            @keep="addTrial"
          >
            <FieldInput v-bind="trialForm.bind('title')" class="sm:col-span-2" />
            <FieldInput v-bind="trialForm.bind('wayA')" />
            <FieldInput v-bind="trialForm.bind('wayB')" />
            <FieldInput v-bind="trialForm.bind('counted')" />
            <FieldInput v-bind="trialForm.bind('outOf')" />
          </UiRowForm>
        </section>
        <LookAgain />
      </div>
    </div>
    <div class="mt-8 gap-8 lg:grid lg:grid-cols-[1fr_18rem]">
      <div>
        <h2 class="text-2xl">
          {{ sheets.length }} as-built {{ sheets.length === 1 ? 'sheet' : 'sheets' }}
        </h2>
        <p v-if="zoneId" class="mt-1">
          Only {{ store.rows.zone.find((one) => one.id === zoneId)?.name }}, {{ shown.length }}.
          <button class="underline" @click="zoneId = null">Show all</button>
        </p>
        <PlaceHistory v-if="zoneId" :zone-id="zoneId" />
        <div v-if="sheets.length === 0" class="my-6 max-w-lg border-l-4 border-verdigris pl-4">
          <h3>A year on nobody remembers which sealant</h3>
          <p class="mt-2">
            When a job is finished, its sheet is filled with what is known already: where, when,
            who, hours and materials. You add sizes, readings and how to take it apart again.
          </p>
        </div>
        <section
          v-for="{ system, sheets: list } in systems"
          :key="system.id"
          class="mt-4"
          :aria-label="system.name"
        >
          <h3 class="flex items-baseline justify-between gap-3 border-b-2 border-ink">
            {{ system.name }}
            <button
              v-if="wholeIn(list) > 0"
              class="no-print text-base font-normal underline max-sm:min-h-11"
              :aria-expanded="unfolded.has(system.id)"
              @click="turn(system.id)"
            >
              {{
                unfolded.has(system.id)
                  ? 'Fold what is whole'
                  : `${counted(wholeIn(list), 'whole sheet')}`
              }}
            </button>
          </h3>
          <ul>
            <li
              v-for="{ sheet, have, want, missing } in inSight(system.id, list)"
              :key="sheet.id"
              class="border-b border-rule2"
            >
              <NuxtLink
                :to="`/r/${store.refitId}/log/${sheet.id}`"
                class="grid grid-cols-[1fr_7rem] gap-3 py-2 hover:bg-brass-tint"
              >
                <span>
                  <span class="cond block text-lg">{{ sheet.title }}</span>
                  <span class="text-ink2">
                    {{
                      [sheet.where, sheet.doneOn ? sayFullDate(sheet.doneOn) : '']
                        .filter(Boolean)
                        .join(' · ')
                    }}
                    <template v-if="missing.length > 0">
                      · missing: {{ missing.join(', ') }}</template
                    >
                  </span>
                </span>
                <span>
                  <span class="cond block text-right">{{ have }} of {{ want }}</span>
                  <span class="block h-3 border border-ink bg-sheet" aria-hidden="true"
                    ><span
                      class="block h-full bg-brass"
                      :style="{ width: `${(have / want) * 100}%` }"
                  /></span>
                </span>
              </NuxtLink>
            </li>
          </ul>
        </section>
      </div>
      <aside aria-label="To write and to check">
        <BoatMap
          class="mb-4 max-lg:hidden"
          :zones="store.rows.zone"
          :items="standing"
          :say="sayDone"
          nameless
          :chosen="zoneId"
          @choose="zoneId = $event"
        />
        <section class="mb-6">
          <h3>Strip-out bags</h3>
          <p>
            <NuxtLink class="underline" :to="`/r/${store.refitId}/bags`"
              >{{ store.rows.bag.length }} bags</NuxtLink
            >, {{ store.rows.bag.filter(isLocated).length }} with a place.
          </p>
        </section>
        <section>
          <h3>Done, not written up</h3>
          <p v-if="unwritten.length === 0" class="text-ink2">Every finished job has its sheet.</p>
          <ul class="mt-2 grid gap-2">
            <li v-for="job in unwritten" :key="job.id">
              <button
                class="btn w-full justify-start! whitespace-normal! text-left"
                @click="write(job.id)"
              >
                {{ job.title }}
              </button>
            </li>
          </ul>
        </section>
      </aside>
    </div>
  </div>
</template>

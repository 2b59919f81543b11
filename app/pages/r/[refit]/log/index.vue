<script setup lang="ts">
import { computed, ref } from 'vue'
import { isLocated } from '#core/bags/bags'
import { completeness, draftSheet } from '#core/asbuilt/draft'
import type { Zone } from '#core/model/entities'
import { inOrder } from '#core/model/refit'
import { sayFullDate } from '#core/time/say'

/** What was done, with what, when do I look again? */
const store = useRefitStore()
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
const unwritten = computed(() =>
  store.rows.job.filter(
    (job) =>
      store.derived.jobs.get(job.id)?.state === 'done' &&
      !store.rows.asBuiltSheet.some((sheet) => sheet.jobId === job.id),
  ),
)
const checks = computed(() =>
  store.rows.asBuiltSheet
    .filter((sheet) => sheet.nextCheckOn !== null)
    .sort((a, b) => ((a.nextCheckOn ?? '') < (b.nextCheckOn ?? '') ? -1 : 1)),
)
async function write(jobId: string) {
  const job = store.rows.job.find((one) => one.id === jobId)
  if (!job) return
  const { sheetId, items } = draftSheet(job, store.rows, store.derived.clock, newId)
  if (await store.attempt(`As-built: ${job.title}`, items))
    await navigateTo(`/r/${store.refitId}/log/${sheetId}`)
}
</script>

<template>
  <div class="gap-8 lg:grid lg:grid-cols-[1fr_18rem]">
    <div>
      <h1>{{ sheets.length }} as-built {{ sheets.length === 1 ? 'sheet' : 'sheets' }}</h1>
      <p v-if="zoneId" class="mt-1">
        Only {{ store.rows.zone.find((one) => one.id === zoneId)?.name }}, {{ shown.length }}.
        <button class="underline" @click="zoneId = null">Show all</button>
      </p>
      <div v-if="sheets.length === 0" class="my-6 max-w-lg border-l-4 border-verdigris pl-4">
        <h2>A year on nobody remembers which sealant</h2>
        <p class="mt-2">
          When a job is finished, its sheet is filled with what is known already: where, when, who,
          hours and materials. You add sizes, readings and how to take it apart again.
        </p>
      </div>
      <section
        v-for="{ system, sheets: list } in systems"
        :key="system.id"
        class="mt-4"
        :aria-label="system.name"
      >
        <h2 class="border-b-2 border-ink">{{ system.name }}</h2>
        <ul>
          <li
            v-for="{ sheet, have, want, missing } in list"
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
        <h2>Strip-out bags</h2>
        <p>
          <NuxtLink class="underline" :to="`/r/${store.refitId}/bags`"
            >{{ store.rows.bag.length }} bags</NuxtLink
          >, {{ store.rows.bag.filter(isLocated).length }} with a place.
        </p>
      </section>
      <section>
        <h2>Done, not written up</h2>
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
      <section class="mt-6">
        <h2>Next checks</h2>
        <p v-if="checks.length === 0" class="text-ink2">No check is set on any sheet.</p>
        <ul>
          <li v-for="sheet in checks" :key="sheet.id" class="border-b border-rule2 py-1.5">
            <span
              class="cond"
              :class="{ 'text-redlead': (sheet.nextCheckOn ?? '') <= store.derived.today }"
              >{{ sayFullDate(sheet.nextCheckOn ?? store.derived.today) }}</span
            >
            <NuxtLink :to="`/r/${store.refitId}/log/${sheet.id}`" class="block underline">{{
              sheet.nextCheckWhat || sheet.title
            }}</NuxtLink>
          </li>
        </ul>
      </section>
    </aside>
  </div>
</template>

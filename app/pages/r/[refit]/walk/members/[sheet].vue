<script setup lang="ts">
import { computed, ref } from 'vue'
import { howExpected, howMend } from '#core/how/walk'
import type { Member } from '#core/model/entities'
import { patchOf, removal } from '#core/model/removal'
import { memberMarks } from '#core/model/words'
import { formatMoney } from '#core/money/money'
import { sayBand, sheetHeading, sheetSentence } from '#core/members/saySheet'
import { sheetFigures } from '#core/members/sheetFigures'
import { formatGuess } from '#core/units/hours'
import { capital, figured } from '#core/units/counted'

/** A count sheet: what was seen, how many more are likely bad, and whether to mend or renew. */
const store = useRefitStore()
const route = useRoute()
const sheet = computed(
  () => store.rows.countSheet.find((one) => one.id === route.params.sheet) ?? null,
)
const members = computed(() =>
  store.rows.member
    .filter((one) => one.sheetId === sheet.value?.id)
    .sort((a, b) => a.station - b.station || (a.side < b.side ? 1 : -1)),
)
const figures = computed(() => (sheet.value ? sheetFigures(sheet.value, members.value) : null))
const heading = computed(() => (figures.value ? sheetHeading(figures.value) : null))
const sentence = computed(() => (figures.value ? sheetSentence(figures.value) : null))
const money = (minor: number) => formatMoney(minor, store.refit?.currency ?? 'EUR')
const chosenId = ref<string | null>(null)
const chosen = computed(() => members.value.find((one) => one.id === chosenId.value) ?? null)
const edit = (member: Member, patch: Record<string, unknown>) =>
  store.attempt(`${member.kind} ${member.station}`, [patchOf('member', member, patch)])

/** Press again to go on: not seen, sound, then each mark. */
async function press(memberId: string) {
  const now = members.value.find((one) => one.id === memberId)
  if (!now) return
  // Pressed faster than the server answers, each press goes on from the one before.
  const member = store.askedRow('member', now)
  if (chosenId.value !== memberId) {
    chosenId.value = memberId
    return
  }
  const round: readonly Pick<Member, 'seen' | 'marks'>[] = [
    { seen: false, marks: [] },
    { seen: true, marks: [] },
    ...memberMarks.map((mark) => ({ seen: true, marks: [mark] })),
  ]
  const at = round.findIndex(
    (one) => one.seen === member.seen && String(one.marks) === String(member.marks),
  )
  await edit(member, round[(at + 1) % round.length] ?? {})
}
/** Drawn along a member that nothing is said of, the stretch is soft. */
function stretch(memberId: string, drawn: { readonly from: number; readonly to: number }) {
  const now = members.value.find((one) => one.id === memberId)
  if (!now) return
  const { marks } = store.askedRow('member', now)
  void edit(now, { ...drawn, seen: true, marks: marks.length > 0 ? marks : ['soft'] })
}
function toggle(mark: Member['marks'][number], on: boolean) {
  if (!chosen.value) return
  const { marks: now } = store.askedRow('member', chosen.value)
  const marks = on ? [...now, mark] : now.filter((one) => one !== mark)
  void edit(chosen.value, { seen: true, marks })
}
const bars = computed(() => {
  const one = figures.value?.main
  if (!one || one.unseen === 0 || one.seen === 0) return []
  const most = Math.max(...one.expected.chances)
  return one.expected.chances.map((chance, more) => ({
    many: one.bad + more,
    high: (chance / most) * 70,
    chance,
  }))
})
const bay = ref({
  title: '',
  from: 1 as number | null,
  to: 2 as number | null,
  hours: 1 as number | null,
  open: false,
})
async function addBay() {
  const { title, from, to, hours, open } = bay.value
  if (!sheet.value || title.trim() === '' || from === null || to === null || hours === null) return
  await store.attempt('A bay', [
    patchOf('countSheet', sheet.value, {
      bays: [
        ...store.askedRow('countSheet', sheet.value).bays,
        { title: title.trim(), from, to, hours, open },
      ],
    }),
  ])
}
const guard = ref(false)
async function remove() {
  guard.value = false
  if (
    sheet.value &&
    (await store.attempt(
      `Remove ${sheet.value.title}`,
      removal(store.rows, 'countSheet', [sheet.value.id]),
    ))
  )
    await goTo(`/r/${store.refitId}/walk/members`)
}
const recipe = computed(() => ({
  path: `/r/${store.refitId}/recipes/sister-frame`,
  query: { count: String(figures.value?.likelyBad ?? 1), zone: sheet.value?.zoneId ?? undefined },
}))
</script>

<template>
  <div v-if="!sheet" class="max-w-lg">
    <h1>There is no such sheet here</h1>
    <NuxtLink class="btn mt-3" :to="`/r/${store.refitId}/walk/members`">All count sheets</NuxtLink>
  </div>
  <div v-else class="lg:grid lg:grid-cols-[minmax(0,1fr)_27rem] lg:gap-8">
    <div class="min-w-0">
      <h1 v-if="heading">
        {{ heading.plain
        }}<template v-if="heading.expect"
          >: <span class="text-redlead">{{ heading.expect }}</span></template
        ><template v-if="heading.way">. {{ heading.way }}</template>
      </h1>
      <h1 v-else>{{ sheet.title }}: no members yet</h1>
      <p v-if="sentence">
        {{ sentence.plain }}
        <template v-if="sentence.distrust"><b>Distrust:</b> {{ sentence.distrust }}</template>
      </p>
      <MemberSheet
        class="mt-2"
        :sheet="sheet"
        :members="members"
        :chosen="chosenId"
        @choose="press"
        @stretch="stretch"
      />
      <p class="text-sm text-ink2">
        Press one to choose it, press again to go through its marks: not seen, sound, cracked, soft,
        broken, missing. Drag along the chosen one for the stretch that is bad. Several marks at
        once are ticked in its box.
      </p>
      <UiTable
        v-if="figures"
        class="mt-4"
        caption="Counted"
        :columns="[
          { key: 'kind', label: 'Counted' },
          { key: 'all', label: 'of', number: true },
          { key: 'seen', label: 'seen', number: true },
          { key: 'bad', label: 'bad', number: true },
          { key: 'unseen', label: 'not seen', number: true },
          { key: 'more', label: 'more to expect', number: true },
          { key: 'band', label: '4 chances in 5', number: true },
        ]"
        :rows="figures.kinds.map((one) => ({ ...one, id: one.kind }))"
      >
        <template #kind="{ row }"
          ><span class="cond text-lg capitalize">{{ row.kind }}s</span></template
        >
        <template #all="{ row }">{{ row.all }}</template>
        <template #seen="{ row }">{{ row.seen }}</template>
        <template #bad="{ row }"
          ><span :class="{ 'cond text-redlead': row.bad > 0 }">{{ row.bad }}</span></template
        >
        <template #unseen="{ row }">{{ row.unseen }}</template>
        <template #more="{ row }"
          ><template v-if="row.seen === 0">nothing seen</template
          ><UiHow v-else :how="() => howExpected(row)" :about="`${row.kind}s more to expect`">{{
            row.expected.more.toFixed(1)
          }}</UiHow></template
        >
        <template #band="{ row }">{{
          row.seen === 0 ? '' : sayBand(row.expected.from, row.expected.to)
        }}</template>
      </UiTable>
      <section v-if="bars.length > 0 && figures" class="mt-4">
        <h2 class="text-lg">How many {{ figures.main.kind }}s will be bad in all?</h2>
        <svg
          :viewBox="`0 0 ${bars.length * 46 + 20} 110`"
          class="block max-h-32 w-full max-w-xl"
          role="img"
          :aria-label="`From ${figures.renewFrom} on, renewing all takes fewer hours.`"
        >
          <g v-for="(bar, at) in bars" :key="bar.many">
            <rect
              :x="10 + at * 46"
              :y="84 - bar.high"
              width="38"
              :height="bar.high"
              :fill="bar.many >= figures.renewFrom ? 'var(--redlead)' : 'var(--rule)'"
              stroke="var(--ink)"
            />
            <text
              :x="29 + at * 46"
              y="104"
              text-anchor="middle"
              font-size="16"
              class="cond"
              fill="var(--ink)"
            >
              {{ bar.many }}
            </text>
          </g>
          <path :d="`M4 84H${bars.length * 46 + 16}`" stroke="var(--ink)" stroke-width="2" />
        </svg>
        <p class="text-sm text-ink2">
          Chances by the beta-binomial, with Jeffreys’ prior: ({{ figures.main.bad }} + ½) ÷ ({{
            figures.main.seen
          }}
          + 1) = {{ Math.round(figures.main.expected.rate * 100) }} % bad. Red: from
          {{ figures.renewFrom }} on ({{ formatGuess(sheet.renewHours) }} ÷
          {{ formatGuess(sheet.mendHours) }}), renewing all takes fewer hours. Opening the bays is
          in both.
        </p>
      </section>
    </div>
    <div class="min-w-0 max-lg:mt-6">
      <div class="no-print mb-3 flex justify-end gap-2">
        <NuxtLink class="btn" :to="`/r/${store.refitId}/walk/members`">Count sheets</NuxtLink>
        <NuxtLink class="btn" :to="`/r/${store.refitId}/walk`">To the boat</NuxtLink>
      </div>
      <section
        v-if="chosen"
        class="mb-5 border-2 border-ink bg-sheet p-3"
        :aria-label="`${chosen.kind} ${chosen.station}`"
      >
        <h2 class="text-lg capitalize">
          {{ chosen.kind }} {{ chosen.station }}, {{ chosen.side }}
        </h2>
        <UiCheck
          :model-value="chosen.seen"
          label="Seen"
          @update:model-value="edit(chosen, $event ? { seen: true } : { seen: false, marks: [] })"
        />
        <div class="mt-1 grid grid-cols-2 gap-1">
          <UiCheck
            v-for="mark in memberMarks"
            :key="mark"
            :label="capital(mark)"
            :model-value="chosen.marks.includes(mark)"
            @update:model-value="toggle(mark, Boolean($event))"
          />
        </div>
        <div v-if="chosen.marks.length > 0" class="mt-2 grid grid-cols-2 gap-2">
          <RowField entity="member" :row="chosen" field="from" label="From, share of its length" />
          <RowField entity="member" :row="chosen" field="to" label="To" />
        </div>
        <RowField entity="member" :row="chosen" field="note" class="mt-2" />
      </section>
      <section v-if="figures">
        <h2 class="border-b-2 border-ink text-lg">Mend one by one, or renew all</h2>
        <dl class="grid grid-cols-[1fr_auto_auto] gap-x-4">
          <dt class="border-b border-rule2 py-1">Mend {{ figures.likelyBad }}</dt>
          <dd class="cond border-b border-rule2 py-1 text-right text-lg">
            <UiHow
              :how="() => sheet && figures && howMend(sheet, figures, 'mend')"
              about="mend one by one"
              >{{ formatGuess(figures.mendHours) }}</UiHow
            >
          </dd>
          <dd class="cond border-b border-rule2 py-1 text-right text-lg">
            {{ money(figures.mendMinor) }}
          </dd>
          <dt class="border-b border-rule2 py-1">Renew all {{ figures.main.all }}</dt>
          <dd class="cond border-b border-rule2 py-1 text-right text-lg">
            <UiHow
              :how="() => sheet && figures && howMend(sheet, figures, 'renew')"
              about="renew all"
              >{{ formatGuess(figures.renewHours) }}</UiHow
            >
          </dd>
          <dd class="cond border-b border-rule2 py-1 text-right text-lg">
            {{ money(figures.renewMinor) }}
          </dd>
        </dl>
        <p
          v-if="store.refit?.worthNowMinor && store.refit.ownHourMinor && figures.likelyBad > 0"
          class="text-ink2"
        >
          With your hours at {{ money(store.refit.ownHourMinor) }} that is
          {{
            Math.round(
              ((figures.mendMinor + figures.mendHours * store.refit.ownHourMinor) /
                store.refit.worthNowMinor) *
                1000,
            ) / 10
          }}
          % of what she is worth as she lies.
        </p>
        <NuxtLink
          v-if="figures.likelyBad > 0"
          class="btn mt-2 bg-verdigris! text-sheet!"
          :to="recipe"
          >Make the job: {{ figured(figures.likelyBad, figures.main.kind) }}</NuxtLink
        >
      </section>
      <details class="mt-4">
        <summary class="cond text-lg">The sheet: hours, bays</summary>
        <div class="mt-2 grid grid-cols-2 gap-2">
          <RowField entity="countSheet" :row="sheet" field="title" class="col-span-2" />
          <RowField entity="countSheet" :row="sheet" field="mendHours" />
          <RowField entity="countSheet" :row="sheet" field="mendMinor" />
          <RowField entity="countSheet" :row="sheet" field="renewHours" />
          <RowField entity="countSheet" :row="sheet" field="renewMinor" />
        </div>
        <ul class="mt-2">
          <li
            v-for="one in sheet.bays"
            :key="one.title"
            class="flex flex-wrap items-center justify-between gap-2 border-b border-rule2 py-1"
          >
            <span
              >{{ one.title }}, stations {{ one.from }} to {{ one.to }}, {{ one.hours }} h,
              {{ one.open ? 'open' : 'shut' }}</span
            >
            <button
              class="btn btn-small"
              :aria-label="`Remove the bay ${one.title}`"
              @click="
                store.attempt('Remove a bay', [
                  patchOf('countSheet', sheet, {
                    bays: sheet.bays.filter((other) => other !== one),
                  }),
                ])
              "
            >
              Remove
            </button>
          </li>
        </ul>
        <form
          class="mt-2 grid grid-cols-[1fr_4rem_4rem_4.5rem_auto] items-end gap-2"
          @submit.prevent="addBay"
        >
          <UiText v-model="bay.title" label="Another bay" />
          <UiNumber v-model="bay.from" label="From" :min="1" whole />
          <UiNumber v-model="bay.to" label="To" :min="1" whole />
          <UiNumber v-model="bay.hours" label="Hours" :min="0" />
          <button class="btn" type="submit">Add</button>
        </form>
        <button class="btn btn-small mt-3" @click="guard = true">Remove the sheet</button>
      </details>
      <StandingCard class="mt-6" />
    </div>
    <UiDialog :open="guard" title="Remove the sheet" red @close="guard = false">
      <p>It goes with its {{ members.length }} members. Undo brings it back.</p>
      <div class="mt-4 flex gap-3">
        <button class="btn btn-main" @click="remove">Remove</button>
        <button class="btn" @click="guard = false">Keep it</button>
      </div>
    </UiDialog>
  </div>
</template>

<script setup lang="ts">
import { computed } from 'vue'
import type { ChangeItem } from '#core/model/changes'
import { bagNoticeDays, bagsToFind } from '#core/bags/bags'
import { patchOf } from '#core/model/removal'
import { plannedHours } from '#core/plan/planned'
import type { DaySheet } from '#core/today/daySheet'
import { withoutToday } from '#core/today/lacks'
import { wearOf } from '#core/today/wear'
import type { TakeLine } from '#core/today/takeWith'
import { provisionals } from '#core/steps/provisional'
import { clockTimeOf } from '#core/time/say'
import { formatHours } from '#core/units/hours'
import { capital } from '#core/units/counted'

/** Beside the day: what is not seen yet, what is worn, what else could be done, what cures, what is not for today. */
const props = defineProps<{
  sheet: DaySheet
  on: string
  personIds: readonly string[]
  dayStart: number
  dayEnd: number
}>()
const store = useRefitStore()
const time = useTimeStore()
const edits = useJobEdits()
const frame = useFrameStore()
const { sayDay, shortDateTime } = useDates()
const most = 6
const seen = (line: TakeLine) => line.seenOn === props.on
const unseen = computed(() => props.sheet.take.filter((line) => !seen(line)))
const lackKey = (stepId: string) => `${stepId} ${props.on}`
/** What it does to a gate when it is not here: of what cannot be had where the work is, asked in the quiet. */
const lacks = useLacks(
  computed(() =>
    [...new Set(unseen.value.slice(0, most).map((line) => line.stepId))].flatMap((id) => {
      const step = store.rows.step.find((one) => one.id === id)
      return step ? [{ key: lackKey(id), items: [withoutToday(step, props.on)] }] : []
    }),
  ),
)
/** Said once for a step, at the first thing it wants. */
const lackAt = (line: TakeLine, at: number) =>
  unseen.value.findIndex((one) => one.stepId === line.stepId) === at
    ? (lacks.value.get(lackKey(line.stepId)) ?? '').replace(/^./, (c) => c.toLowerCase())
    : ''
const tick = (line: TakeLine): Promise<boolean> => {
  const row =
    line.entity === 'part'
      ? store.rows.part.find((one) => one.id === line.id)
      : store.rows.bringLine.find((one) => one.id === line.id)
  if (!row) return Promise.resolve(false)
  const item: ChangeItem = patchOf(line.entity === 'part' ? 'part' : 'bringLine', row, {
    seenOn: seen(line) ? null : props.on,
  })
  return store.attempt(`${seen(line) ? 'Not seen' : 'Seen'}: ${line.what}`, [item])
}
const wear = computed(() => wearOf(props.sheet.lines))
const whoWhen = (one: { personIds: readonly string[]; from: number; to: number }) => {
  const names = one.personIds.map(
    (id) => store.rows.person.find((row) => row.id === id)?.name ?? '',
  )
  const who = names.length === 1 ? `${names[0]}, ` : ''
  return `${who}${clockTimeOf(one.from, store.zone)}–${clockTimeOf(one.to, store.zone)}`
}
const daySteps = computed(() =>
  props.sheet.lines.flatMap((line) => (line.step && line.step.state !== 'done' ? [line.step] : [])),
)
const bagsMissing = computed(() => bagsToFind(store.rows, store.accepted, time.minute))
const forNow = computed(() => provisionals(store.rows))
/** Cures on one scale, from the morning of the day to the last of them. */
const cureEnd = computed(() =>
  Math.max(
    props.dayEnd,
    ...props.sheet.overnight.map((one) => (one.until === Infinity ? props.dayEnd : one.until)),
  ),
)
const share = (at: number) =>
  Math.min(1, Math.max(0, (at - props.dayStart) / Math.max(1, cureEnd.value - props.dayStart))) *
  100
const cures = computed(() => props.sheet.overnight.slice(0, 4))
</script>

<template>
  <aside aria-label="For the day">
    <DecisionLines near class="mb-3" />
    <DayLastCalls :steps="daySteps" />
    <section v-if="sheet.take.length > 0">
      <div class="flex items-baseline justify-between border-b-2 border-ink">
        <h2>Is it here?</h2>
        <p class="cond text-ink2">{{ unseen.length }} of {{ sheet.take.length }} not seen</p>
      </div>
      <ul>
        <li
          v-for="(line, at) in unseen.slice(0, most)"
          :key="line.id"
          class="flex items-center gap-2 py-0.5"
        >
          <button
            v-if="line.entity !== 'bag'"
            class="seen size-5.5 shrink-0 rounded-full border-3 border-ink bg-sheet max-sm:size-8"
            :class="{ 'border-redlead!': line.stops }"
            :aria-label="`Seen: ${line.what}`"
            @click="tick(line)"
          />
          <span v-else class="size-5.5 shrink-0" />
          <span class="min-w-0 grow leading-tight"
            ><b class="font-semibold">{{ line.what }}{{ line.amount ? `, ${line.amount}` : '' }}</b
            ><span class="text-ink2"> — {{ line.at }}</span></span
          >
          <span
            v-if="lackAt(line, at)"
            class="cond w-38 shrink-0 truncate text-right text-redlead"
            :title="lackAt(line, at)"
            >else {{ lackAt(line, at) }}</span
          >
          <span v-else class="cond w-38 shrink-0 truncate text-right text-ink2">{{
            line.stepTitle
          }}</span>
        </li>
      </ul>
      <details v-if="unseen.length > most || unseen.length < sheet.take.length">
        <summary class="cond text-ink2">All {{ sheet.take.length }}</summary>
        <ul>
          <li v-for="line in sheet.take" :key="line.id" class="flex items-center gap-2 py-0.5">
            <UiCheck
              v-if="line.entity !== 'bag'"
              :model-value="seen(line)"
              :label="`${line.what}${line.amount ? `, ${line.amount}` : ''} — ${line.at}`"
              @update:model-value="tick(line)"
            />
            <span v-else>{{ line.what }} — {{ line.at }}</span>
          </li>
        </ul>
      </details>
    </section>
    <DayErrands
      :sheet="sheet"
      :on="on"
      :person-ids="personIds"
      :day-start="dayStart"
      :day-end="dayEnd"
    />
    <DaySums :steps="daySteps" />
    <DayLooks :on="on" />
    <section v-if="bagsMissing.length > 0" class="mt-3">
      <h2 class="border-b-2 border-ink text-redlead">Bags to find</h2>
      <p class="text-ink2">
        Wanted within {{ bagNoticeDays }} days, and nobody wrote down where they are.
      </p>
      <ul>
        <li v-for="{ bag, step, at } in bagsMissing" :key="bag.id" class="py-0.5">
          <NuxtLink class="underline" :to="`/r/${store.refitId}/bags?bag=${bag.id}`"
            >{{ bag.code }} {{ bag.what }}</NuxtLink
          >
          <span class="text-ink2"
            >, for {{ step.title
            }}<template v-if="at !== null">, {{ sayDay(store.zone.dateOf(at)) }}</template></span
          >
        </li>
      </ul>
    </section>
    <section v-if="forNow.length > 0" class="mt-3">
      <h2 class="border-b-2 border-ink text-redlead">Only for the time being</h2>
      <ul>
        <li v-for="one in forNow" :key="one.step.id" class="py-0.5 leading-tight">
          <b class="font-semibold">{{ one.step.title }}</b>: {{ one.step.provisionalFor }}
          <span class="block text-ink2"
            ><template v-if="one.step.provisionalNot"
              >Not for {{ one.step.provisionalNot }}. </template
            ><template v-if="one.gate">Right before {{ one.gate.name }}.</template></span
          >
        </li>
      </ul>
    </section>
    <section v-if="wear.length > 0" class="mt-3">
      <h2 class="border-b-2 border-ink">Wear, said once</h2>
      <ul>
        <li v-for="one in wear" :key="one.text" class="flex gap-2 py-0.5 leading-tight">
          <WearMarkIcon :mark="one.mark" class="mt-0.5" />
          <span class="min-w-0 grow"
            >{{ one.text }}
            <span class="cond whitespace-nowrap text-ink2">{{ whoWhen(one) }}</span></span
          >
        </li>
      </ul>
    </section>
    <section v-if="sheet.whileItCures.length > 0" class="mt-3">
      <div class="flex items-baseline justify-between border-b-2 border-ink">
        <h2>While it cures</h2>
        <p class="cond text-ink2">same place</p>
      </div>
      <ul>
        <li
          v-for="{ step, job } in sheet.whileItCures"
          :key="step.id"
          class="flex items-center gap-2 py-0.5"
        >
          <PurposeTile v-if="job" :purpose="job.purpose" class="size-5.5!" />
          <NuxtLink
            class="min-w-0 grow truncate hover:underline"
            :to="`/r/${store.refitId}/step/${step.id}`"
            >{{ step.title }}</NuxtLink
          >
          <span class="cond">{{ formatHours(plannedHours(step)) }}</span>
        </li>
      </ul>
    </section>
    <section v-if="cures.length > 0" class="mt-3">
      <h2 class="border-b-2 border-ink">Left to cure</h2>
      <ul class="pt-1">
        <li
          v-for="one in cures"
          :key="one.key"
          class="grid grid-cols-[7.5rem_1fr_auto] items-center gap-2"
        >
          <span class="cond truncate" :title="one.title">{{ one.title }}</span>
          <span class="relative h-6">
            <span
              class="hatch absolute top-1.5 h-3 border-2 border-ink"
              :style="{
                left: `${share(one.from)}%`,
                width: `${Math.max(3, share(Math.min(one.until, cureEnd)) - share(one.from))}%`,
              }"
              aria-hidden="true"
            />
          </span>
          <span class="cond text-right leading-6">{{
            one.until === Infinity ? 'too cold to cure' : shortDateTime(one.until, store.zone)
          }}</span>
        </li>
      </ul>
    </section>
    <section v-if="sheet.notToday.length > 0" class="mt-3 border-t-2 border-ink pt-1">
      <h2 class="sr-only">Not today</h2>
      <p v-for="one in sheet.notToday.slice(0, 4)" :key="one.step.id" class="leading-tight">
        <b class="font-semibold">Not today:</b> {{ one.step.title }},
        {{ shortDateTime(one.at, store.zone) }}.
        <span class="text-ink2">{{ capital(one.why) }}.</span>
      </p>
    </section>
    <section v-if="sheet.forHelpers.length > 0" class="mt-2">
      <h2 class="sr-only">Kept for more hands</h2>
      <p class="leading-tight">
        <b class="font-semibold">Kept for more hands:</b>
        {{ sheet.forHelpers.map((one) => `${one.step.title} (${one.why})`).join(', ') }}.
      </p>
    </section>
    <details
      v-if="sheet.done.length > 0"
      class="mt-3 border-t border-rule pt-1"
      :open="sheet.lines.length === 0"
    >
      <summary class="cond text-lg">Done that day: {{ sheet.done.length }}</summary>
      <ul>
        <li
          v-for="one in sheet.done"
          :key="one.step.id"
          class="flex items-center gap-2 border-b border-rule2 py-1"
        >
          <label class="flex min-w-0 grow items-center gap-2">
            <input
              type="checkbox"
              checked
              class="size-6 shrink-0 accent-(--verdigris)"
              :aria-label="`Done: ${one.step.title}`"
              @change="edits.setState(one.step, 'open')"
            />
            <span class="min-w-0 truncate">{{ one.step.title }}</span>
          </label>
          <span v-if="one.hoursLogged > 0" class="cond whitespace-nowrap"
            >{{ formatHours(one.hoursLogged) }} logged</span
          >
          <button class="btn btn-small no-print" @click="frame.open('hours', one.step.id)">
            {{ one.hoursLogged === 0 ? 'How long?' : 'Log more' }}
          </button>
        </li>
      </ul>
    </details>
  </aside>
</template>

<script setup lang="ts">
import { computed, nextTick, ref } from 'vue'
import type { ZoneShape } from '#core/model/entities/boat'
import type { Zone } from '#core/model/entities'
import { patchOf } from '#core/model/removal'
import { counted } from '#core/units/counted'
import { formatGuess } from '#core/units/hours'
import { listLevels, mergedGroups } from '#core/walk/marks'
import type { ZoneMarks } from '#core/walk/marks'
import { routeOf } from '#core/walk/route'
import { walkHeading, walkSentences } from '#core/walk/sayWalk'
import type { MapItem } from '~/composables/useBoatMap'

/** What is wrong, where, how bad, and what it will take? */
const store = useRefitStore()
const frame = useFrameStore()
const route = useRoute()
const { lastZoneId } = useDevice()
const { byZone, figures, markOf, lettersAt, hoursOf, ways, offers, next } = useWalk()
const asked = (name: string) =>
  typeof route.query[name] === 'string' ? String(route.query[name]) : null
const put = (query: Record<string, string | undefined>) =>
  void goTo({ query: { ...route.query, ...query } }, { replace: true })
const chosenId = computed(() => asked('place'))
const finding = computed(
  () => store.rows.finding.find((one) => one.id === asked('finding')) ?? null,
)
const about = computed(() => store.rows.zone.find((one) => one.id === asked('about')) ?? null)
const deciding = ref<'watch' | 'accepted' | null>(null)
const joining = ref<{
  ids: readonly string[]
  title: string
  test: string
  causeId: string | null
} | null>(null)
const zoom = ref(1)

const heading = computed(() => walkHeading(figures.value))
const said = computed(() => walkSentences(figures.value))
const narrow = useNarrow()
/** So many kinds of marks stand at one place; more when zoomed in. */
const mostGroups = computed(() => (narrow.value ? 1 : 4) * Math.max(1, Math.round(zoom.value)))
const items = computed(() => {
  const map = new Map<string, MapItem[]>()
  for (const { zone, groups } of byZone.value)
    if (zone)
      map.set(zone.id, [
        ...mergedGroups(groups, mostGroups.value).map(({ severity, fill, many }): MapItem => ({
          is: 'mark',
          severity,
          fill,
          many,
        })),
        ...lettersAt(groups).map((letter): MapItem => ({ is: 'drop', letter })),
      ])
  for (const { way, jobs, findings } of ways.value) {
    const zone = store.rows.zone.find((one) => one.wayInId === way.id)
    if (zone && jobs.length + findings.length > 0)
      map.set(zone.id, [...(map.get(zone.id) ?? []), { is: 'lid' }])
  }
  return map
})
const notLooked = computed(() => new Set(figures.value.notLooked.map((zone) => zone.id)))
const names = computed(() => (narrow.value ? new Set<string>() : notLooked.value))
const marksOf = (zoneId: string) => byZone.value.find((one) => one.zone?.id === zoneId)
const sayPlace = (zone: Zone): string => {
  const marks = marksOf(zone.id)
  const looked = notLooked.value.has(zone.id) ? 'not looked at' : ''
  if (!marks) return looked || 'nothing found'
  return [...marks.groups.map(({ severity, fill, many }) => sayMark(severity, fill, many)), looked]
    .filter(Boolean)
    .join('; ')
}
const levels = computed(() =>
  listLevels.map((level) => {
    const own = byZone.value.filter(
      ({ zone }) => zone && (level.strakes as readonly string[]).includes(zone.strake),
    )
    const all = own.flatMap((one) => one.groups.flatMap((group) => group.findings))
    return {
      ...level,
      open: own.filter((one) => one.open > 0),
      closed: own.filter((one) => one.open === 0),
      count: own.reduce((sum, one) => sum + one.open, 0),
      hours: hoursOf(all).hours,
    }
  }),
)
/** The list: each level with what stands open, what has no place, and what has nothing open. */
const sections = computed(() =>
  [
    ...levels.value.map((level) => ({
      title: level.title as string,
      said: `${level.count} open${level.hours > 0 ? `, ${formatGuess(level.hours)}` : ''}`,
      rows: level.open,
    })),
    { title: 'Place not said', said: '', rows: byZone.value.filter(({ zone }) => zone === null) },
    { title: 'Nothing open', said: '', rows: levels.value.flatMap((level) => level.closed) },
  ].filter((one) => one.rows.length > 0),
)
/** Over so many findings the list folds to its levels; what wants a word, and dangers, never do. */
const many = 400
const isCrowded = computed(() => figures.value.all > many)
const { unfolded, turn } = useUnfolded()
const staysInSight = ({ zone, toSettle, dangers }: ZoneMarks): boolean =>
  zone === null || zone.id === chosenId.value || toSettle > 0 || dangers > 0
const inSight = (title: string, rows: readonly ZoneMarks[]) =>
  isCrowded.value && !unfolded.value.has(title) ? rows.filter(staysInSight) : rows
const canFold = (rows: readonly ZoneMarks[]): number =>
  isCrowded.value ? rows.filter((one) => !staysInSight(one)).length : 0
const nameOf = (marks: ZoneMarks) => marks.zone?.name ?? 'Place not said'

function choose(zoneId: string | null) {
  put({ place: zoneId ?? undefined, finding: undefined, about: undefined })
}
const openFinding = (id: string) => put({ finding: id, about: undefined })
function foundAt(place: { zoneId: string | null; at: readonly [number, number] }) {
  if (place.zoneId) lastZoneId.value = place.zoneId
  frame.openFoundAt(place.at)
}
/** Points of what was found at the chosen place, or of the opened finding. */
const points = computed(() =>
  store.rows.finding.flatMap(({ id, zoneId, pointX, pointY }) => {
    const shown = id === finding.value?.id || (finding.value === null && zoneId === chosenId.value)
    return shown && zoneId !== null && pointX !== null && pointY !== null
      ? [{ id, zoneId, at: [pointX, pointY] as const }]
      : []
  }),
)
async function closeFinding() {
  const id = finding.value?.zoneId
  put({ finding: undefined })
  await nextTick()
  document.querySelector<HTMLElement>(`[data-place="${CSS.escape(id ?? '')}"] button`)?.focus()
}
const join = (causeId: string) => {
  const cause = store.rows.cause.find((one) => one.id === causeId)
  const free = store.rows.finding.filter((one) => one.causeId === causeId && markOf(one).toSettle)
  if (cause)
    joining.value = {
      ids: free.map((one) => one.id),
      title: cause.title,
      test: cause.test,
      causeId,
    }
}
const joinFindings = computed(() =>
  store.rows.finding.filter((one) => joining.value?.ids.includes(one.id)),
)
async function toJob(jobId: string) {
  joining.value = null
  await goTo({ path: `/r/${store.refitId}/jobs`, query: { job: jobId } })
}
const editing = ref<{ zone: Zone; shape: ZoneShape } | null>(null)
async function keepShape(shape: ZoneShape) {
  const zone = store.rows.zone.find((one) => one.id === editing.value?.zone.id)
  if (!zone || !editing.value) return
  editing.value = { zone, shape }
  await store.attempt(`Outline of ${zone.name}`, [patchOf('zone', zone, { shape })])
}

/** By keyboard from place to place in the order of the walk. */
const order = computed(() =>
  routeOf(store.rows.zone, store.refit?.hullMaterial ?? null).map((zone) => zone.id),
)
function step(by: number) {
  const at = order.value.indexOf(chosenId.value ?? '')
  const to = order.value[at < 0 ? (by > 0 ? 0 : order.value.length - 1) : at + by]
  if (to) choose(to)
}
useKeyScope({
  walkUpDown: (event) => {
    if (finding.value || about.value) return false
    step(event.key === 'ArrowDown' ? 1 : -1)
    return true
  },
  walkJob: () => (finding.value ? panel.value?.makeJob() : false),
  walkJoin: () => {
    const id = finding.value?.causeId
    if (!id) return false
    join(id)
    return true
  },
  walkWatch: () => (finding.value ? (deciding.value = 'watch') : false),
  walkAccept: () => (finding.value ? (deciding.value = 'accepted') : false),
  walkUnseen: () => (next.value ? (choose(next.value.id), true) : false),
})
const panel = ref<{ makeJob: () => Promise<void> } | null>(null)
const supports = computed(() =>
  store.rows.support.filter((one) => {
    const haul = store.rows.haulOut.find((own) => own.id === one.haulOutId)
    return haul === undefined || (haul.liftOutActual !== null && haul.launchActual === null)
  }),
)
const busyWays = computed(() =>
  ways.value.filter((one) => one.jobs.length + one.findings.length > 0),
)
</script>

<template>
  <div class="lg:grid lg:grid-cols-[minmax(0,1fr)_28rem] lg:gap-7">
    <div class="min-w-0">
      <h1>
        {{ heading.before }}<span class="text-redlead">{{ heading.danger }}</span
        >{{ heading.after }}
      </h1>
      <p><b>{{ said.hours }}</b> {{ said.rest }}</p>
      <BoatMap
        class="mt-1 max-w-[45rem]"
        :zones="store.rows.zone"
        :items="items"
        :chosen="chosenId"
        :named="names"
        :not-looked="notLooked"
        :say="sayPlace"
        :supports="supports"
        :points="points"
        :make-up="!narrow"
        :nameless="narrow"
        :editing="editing"
        @choose="choose"
        @found="foundAt"
        @shape="keepShape"
        @zoom="zoom = $event"
      />
      <WalkKey class="max-sm:hidden" />
    </div>
    <div class="min-w-0">
      <FindingPanel
        v-if="finding"
        ref="panel"
        :key="finding.id"
        :finding="finding"
        @close="closeFinding"
        @decide="deciding = $event"
      />
      <ZonePanel
        v-else-if="about"
        :key="about.id"
        :zone="about"
        @close="((editing = null), put({ about: undefined }))"
        @outline="editing = $event"
      />
      <template v-else>
        <div class="no-print mb-2 flex flex-wrap items-center justify-end gap-2 max-lg:mt-3">
          <NuxtLink class="btn bg-verdigris! text-sheet!" :to="`/r/${store.refitId}/walk/round`">{{
            next ? `Walk on: ${next.name.toLowerCase()}, next` : 'Walk round her'
          }}</NuxtLink>
          <NuxtLink class="btn" :to="`/r/${store.refitId}/walk/summary`">Print</NuxtLink>
        </div>
        <p v-if="figures.all === 0" class="my-4 max-w-lg border-l-4 border-verdigris pl-4">
          Walk on, place by place. {{ narrow ? 'Press Found' : 'Press n' }} when you see something:
          what, how bad and when are six taps.
        </p>
        <section v-for="one in sections" :key="one.title">
          <h2 class="flex items-baseline justify-between border-b-2 border-ink text-lg">
            {{ one.title }} <span class="text-base font-medium text-ink2">{{ one.said }}</span>
          </h2>
          <ul>
            <WalkRow
              v-for="marks in inSight(one.title, one.rows)"
              :key="marks.zone?.id ?? ''"
              :data-place="marks.zone?.id"
              :marks="marks"
              :name="nameOf(marks)"
              :open="marks.zone === null || chosenId === marks.zone.id"
              @choose="choose(chosenId === marks.zone?.id ? null : (marks.zone?.id ?? null))"
              @finding="openFinding"
              @join="join"
              @place="put({ about: marks.zone?.id })"
            />
          </ul>
          <button
            v-if="canFold(one.rows) > 0"
            class="btn btn-small no-print mt-1"
            :aria-expanded="unfolded.has(one.title)"
            @click="turn(one.title)"
          >
            {{
              unfolded.has(one.title)
                ? `${one.title}: fold the settled`
                : `${one.title}: ${counted(canFold(one.rows), 'place')} more, all settled`
            }}
          </button>
        </section>
        <section v-if="offers.length > 0" class="mt-3">
          <h2 class="border-b-2 border-ink text-lg">One cause?</h2>
          <ul>
            <li
              v-for="offer in offers"
              :key="offer.key"
              class="flex flex-wrap items-center justify-between gap-2 border-b border-rule2 py-1"
            >
              <span>{{ offer.because }}</span>
              <button
                class="btn btn-small"
                @click="
                  joining = {
                    ids: offer.findings.filter((one) => markOf(one).toSettle).map((one) => one.id),
                    title: offer.title,
                    test: '',
                    causeId: null,
                  }
                "
              >
                Make them one job
              </button>
            </li>
          </ul>
        </section>
        <section v-if="busyWays.length > 0" class="mt-3">
          <h2 class="border-b-2 border-ink text-lg">Ways in</h2>
          <ul>
            <li v-for="one in busyWays" :key="one.way.id" class="border-b border-rule2 py-1">
              <span class="cond text-lg">{{ one.way.title }}</span>:
              {{ formatGuess(one.hours) }} out and back,
              {{ counted(one.jobs.length + one.findings.length, 'wait', 'wait') }} behind
              it.<template v-if="one.savedHours > 0">
                Open once and save {{ formatGuess(one.savedHours) }}.</template
              ><template v-if="one.keptOpenFor">
                Kept open for “{{ one.keptOpenFor.title }}”.</template
              >
            </li>
          </ul>
        </section>
        <details class="no-print mt-3">
          <summary class="cond">Another place on her</summary>
          <UiAnother
            entity="zone"
            field="name"
            label="What the place is called"
            placeholder="Lazarette"
            keep="Add place"
            @made="put({ about: $event })"
          />
        </details>
        <nav class="no-print mt-4 flex flex-wrap gap-2" aria-label="Closer looks">
          <NuxtLink
            v-for="panelRow in store.rows.panel"
            :key="panelRow.id"
            class="btn btn-small"
            :to="`/r/${store.refitId}/walk/core/${panelRow.id}`"
            >Core: {{ panelRow.title.toLowerCase() }}</NuxtLink
          >
          <NuxtLink class="btn btn-small" :to="`/r/${store.refitId}/walk/core/new`"
            >Map a panel</NuxtLink
          >
          <NuxtLink class="btn btn-small" :to="`/r/${store.refitId}/walk/members`"
            >Count sheets</NuxtLink
          >
          <NuxtLink class="btn btn-small" :to="`/r/${store.refitId}/walk/leaks`"
            >Water coming in</NuxtLink
          >
          <NuxtLink class="btn btn-small" :to="`/r/${store.refitId}/walk/limits`">Limits</NuxtLink>
        </nav>
      </template>
    </div>
    <FindingDecide
      :finding="deciding ? finding : null"
      :what="deciding ?? 'watch'"
      @close="deciding = null"
    />
    <JoinDialog
      :open="joining !== null && joinFindings.length > 0"
      :findings="joinFindings"
      :title="joining?.title ?? ''"
      :test="joining?.test ?? ''"
      :cause-id="joining?.causeId ?? null"
      @close="joining = null"
      @job="toJob"
    />
  </div>
</template>

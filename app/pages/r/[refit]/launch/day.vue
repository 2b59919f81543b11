<script setup lang="ts">
import { computed, ref } from 'vue'
import { Printer } from '@lucide/vue'
import { hullLines } from '#core/boatMap/hull'
import type { Spot } from '#core/boatMap/hull'
import { highHPa } from '#core/launch/launchDay'
import type { DayPart, Lane } from '#core/launch/launchDay'
import { alongOf, bowToStern } from '#core/launch/readiness'
import { watchOf } from '#core/launch/watch'
import { dayNumber, isDate, minuteMs } from '#core/time/civil'
import { clockTimeOf, sayFullDate } from '#core/time/say'

/** The day she goes in, hour by hour, counted from the water. Time runs down, drawn longer where minutes count. */
const store = useRefitStore()
const route = useRoute()
const { next, daysOf, aimDay, crane, split, ready } = useLaunch()
const { sayDay } = useDates()
const day = computed(() => {
  const on = route.query.day
  return typeof on === 'string' && isDate(on) ? dayNumber(on) : aimDay.value
})
const facts = computed(() =>
  day.value === null ? null : (daysOf(day.value, day.value)[0] ?? null),
)
const { slip, worked, isUnmanned } = useLaunchDay(next, facts, ref(null))
const time = (at: number) => clockTimeOf(at, store.zone)
const sheet = computed(() => (worked.value?.ok ? worked.value.value : null))
interface LaneHead {
  readonly lane: Lane
  readonly name: string
  readonly letter: string
}
const lanes = computed(() =>
  (['lead', 'second', 'quay', 'driver'] as const).flatMap((lane): LaneHead[] => {
    const one = sheet.value
    if (!one) return []
    if (lane === 'driver') return [{ lane, name: 'Crane driver', letter: 'K' }]
    const person = one.people[lane]
    return person ? [{ lane, name: person.name, letter: person.name.slice(0, 1) }] : []
  }),
)
const laneAt = (lane: Lane) => lanes.value.findIndex((one) => one.lane === lane)
/** Heights by time: what takes minutes is drawn as tall as what takes hours. */
const bounds = computed(() => {
  const one = sheet.value
  if (!one) return []
  const times = new Set(one.parts.flatMap((part) => [part.from, part.to]))
  times.add(one.tooLateAt)
  return [...times].sort((a, b) => a - b)
})
const tops = computed(() => {
  let top = 0
  const lift = sheet.value?.parts.find((part) => part.what === 'Slings on')?.from ?? 0
  return bounds.value.map((at, index) => {
    const before = bounds.value[index - 1]
    if (before !== undefined) {
      const minutes = (at - before) / minuteMs
      top +=
        at > lift
          ? Math.max(minutes > 5 ? 66 : 46, minutes * 2.6)
          : Math.min(62, Math.max(34, minutes))
    }
    return top
  })
})
function yOf(at: number): number {
  const list = bounds.value
  const next_ = list.findIndex((one) => one >= at)
  if (next_ <= 0) return next_ === 0 ? 0 : (tops.value.at(-1) ?? 0)
  const [a, b] = [list[next_ - 1] ?? at, list[next_] ?? at]
  const [ya, yb] = [tops.value[next_ - 1] ?? 0, tops.value[next_] ?? 0]
  return ya + ((at - a) / (b - a)) * (yb - ya)
}
const height = computed(() => (tops.value.at(-1) ?? 0) + 6)
const waterWidth = 110
const waterX = (metres: number) => 8 + (Math.max(0, metres) / 6) * (waterWidth - 16)
const waterPath = computed(() => {
  const [from, to] = [bounds.value[0], bounds.value.at(-1)]
  if (!slip.value || from === undefined || to === undefined) return ''
  const points: string[] = []
  for (let at = from; at <= to; at += 5 * minuteMs) {
    const metres = slip.value.tide.heightAt(at)
    if (metres !== null) points.push(`L${waterX(metres).toFixed(1)} ${yOf(at).toFixed(1)}`)
  }
  return `M8 0${points.join('')}L8 ${yOf(to)}Z`
})
const style = (part: DayPart) => {
  const at = part.lanes.map(laneAt).filter((one) => one >= 0)
  const [first, last] = [Math.min(...at), Math.max(...at)]
  const wide = 100 / Math.max(1, lanes.value.length)
  return {
    top: `${yOf(part.from) + 1}px`,
    height: `${yOf(part.to) - yOf(part.from) - 3}px`,
    left: `${first * wide}%`,
    width: `calc(${(last - first + 1) * wide}% - 6px)`,
  }
}
const openings = computed(() => bowToStern(store.rows))
const plan = computed(() => {
  const refit = store.refit
  if (!refit) return null
  const lines = hullLines(refit)
  const [wide, mid] = [400, 70]
  const at = ([x, y]: Spot): Spot => [30 + (1 - x) * wide, mid - y * wide]
  const path = (spots: readonly Spot[]) =>
    spots
      .map((spot, index) => {
        const [x, y] = at(spot)
        return `${index === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`
      })
      .join('') + 'Z'
  const loa = refit.loaM
  const slings = split.value.ok
    ? [store.rows.liftSheet.find((one) => one.haulOutId === next.value?.haulOut.id)].flatMap(
        (one) =>
          one?.slingForeM != null && one.slingAftM != null ? [one.slingForeM, one.slingAftM] : [],
      )
    : []
  return {
    decks: lines.decks.map(path),
    inside: lines.deckLines.map(path),
    slings: slings.map((metres) => 30 + (metres / loa) * wide),
    marks: openings.value.map((one, index) => {
      const side =
        one.side === 'port' ? -0.4 : one.side === 'starboard' ? 0.4 : index % 2 ? 0.35 : -0.35
      const along = alongOf(one, store.rows.zone) ?? 0.5
      const [x, y] = at([along, -side * lines.breadth(along)])
      return { id: one.id, number: index + 1, x, y }
    }),
  }
})
const watch_ = computed(() =>
  next.value ? watchOf(store.rows, next.value.haulOut.id, sheet.value?.inAt ?? null) : [],
)
const knots = computed(() =>
  watch_.value
    .filter((one) => one.moment !== 'slack')
    .map((one) => ({
      moment: one.moment,
      title:
        optionsOf('watchLook', 'moment').find((each) => each.value === one.moment)?.label ?? '',
      on: one.dueAt === null ? '' : `${sayDay(store.zone.dateOf(one.dueAt))} ${time(one.dueAt)}`,
      lines: [
        ...(one.things.some((each) => each.opening) ? ['every opening again'] : []),
        ...one.things
          .filter((each) => !each.opening)
          .map((each) => `${each.title}${each.unit ? `, ${each.unit}` : ''}`),
      ],
    })),
)
const noPlug = computed(() =>
  openings.value
    .filter((one) => one.plug === 'none' && one.kind !== 'rudder')
    .map((one) => Math.round(one.plugMm ?? one.boreMm ?? 0))
    .filter((mm) => mm > 0),
)
const hasShaft = computed(() => openings.value.some((one) => one.kind === 'shaft'))
const take = computed(() => [
  noPlug.value.length > 0
    ? `Plugs: none for ${noPlug.value.join(', ')} mm`
    : 'Plugs, one to each opening',
  'Hammer, by the hatch',
  'Torch, and a second one',
  'Pump, two buckets',
  'Bow and stern line',
  'Fenders, the quay side',
  ...(hasShaft.value ? ['Gland spanner, grease', 'Feeler gauge for the shaft'] : []),
])
const sheetLine = computed(() =>
  split.value.ok
    ? `Sling legs ${split.value.value.foreLegT.toFixed(2)} t fore, ${split.value.value.aftLegT.toFixed(2)} t aft${crane.value.ok ? `; crane at ${Math.round(crane.value.value.share * 100)} % of its chart` : ''}. The firm’s lift plan decides.`
    : 'The crane firm’s lift plan decides.',
)
const print = () => window.print()
useKeyScope({ pagePrint: print })
const stops = computed(
  () =>
    [...(ready.value?.openings ?? []), ...(ready.value?.before ?? [])].filter(
      (one) => one.state === 'stops',
    ).length,
)
</script>

<template>
  <div>
    <div class="flex items-start justify-between gap-3 max-sm:flex-wrap">
      <div>
        <h1 v-if="sheet && facts">
          {{ sayDay(facts.on) }}: leave home at {{ time(sheet.leaveAt) }}, in at
          {{ time(sheet.inAt) }}, away by {{ time(sheet.awayAt) }}.
          <span :class="sheet.spareMin < 20 ? 'text-redlead' : ''"
            >{{ sheet.spareMin }} min in hand.</span
          >
        </h1>
        <h1 v-else>Launch day</h1>
        <p v-if="sheet">
          Counted from the water. Nobody aboard while she hangs; the crane driver says when. Drawn
          longer where minutes count.
        </p>
        <p v-if="stops > 0 && sheet" class="text-redlead">
          As she stands {{ stops }} {{ stops === 1 ? 'line stops' : 'lines stop' }} her: this is the
          day as it would be.
        </p>
      </div>
      <div class="no-print flex gap-2">
        <NuxtLink class="btn" :to="`/r/${store.refitId}/launch`">Readiness</NuxtLink>
        <button v-if="sheet" class="btn" @click="print">
          <Printer :size="17" aria-hidden="true" /> Print
        </button>
      </div>
    </div>
    <LaunchHands v-if="facts && isUnmanned" :on="facts.on" />
    <p v-else-if="worked && !worked.ok" class="my-4 max-w-xl border-l-4 border-redlead pl-3">
      {{ worked.message }}
    </p>
    <p v-else-if="!worked" class="my-4">No launch is written down.</p>
    <div
      v-if="sheet && facts"
      class="mt-3 grid grid-cols-[minmax(0,1fr)] gap-6 lg:grid-cols-[minmax(0,1.75fr)_minmax(0,1fr)] print:block"
    >
      <div>
        <div
          class="grid grid-cols-[3.4rem_minmax(0,1fr)] sm:grid-cols-[3.4rem_110px_minmax(0,1fr)]"
        >
          <span /><span class="cond max-sm:hidden">{{ slip ? 'Water, m' : '' }}</span>
          <div class="flex gap-0">
            <span
              v-for="lane in lanes"
              :key="lane.lane"
              class="cond flex flex-1 items-center gap-1.5 truncate border-b-2 border-ink text-lg"
            >
              <span
                class="inline-flex size-6 items-center justify-center border border-ink"
                :class="
                  lane.lane === 'driver'
                    ? 'bg-brass text-on-brass'
                    : 'rounded-full bg-ink text-sheet'
                "
                >{{ lane.letter }}</span
              >{{ lane.name }}
            </span>
          </div>
        </div>
        <div
          class="relative mt-2 grid grid-cols-[3.4rem_minmax(0,1fr)] sm:grid-cols-[3.4rem_110px_minmax(0,1fr)]"
          :style="{ height: `${height + 46}px` }"
        >
          <div class="relative">
            <span
              v-for="at in bounds"
              :key="at"
              class="cond absolute -translate-y-1/2 font-semibold"
              :class="at === sheet.tooLateAt ? 'text-redlead' : ''"
              :style="{ top: `${yOf(at)}px` }"
              >{{ time(at) }}</span
            >
          </div>
          <svg
            class="max-sm:hidden"
            :width="waterWidth"
            :height="height"
            role="img"
            :aria-label="
              slip
                ? `The water falls or rises beside the hours; she needs ${slip.needM.toFixed(2)} m`
                : ''
            "
          >
            <template v-if="slip">
              <path
                :d="waterPath"
                fill="var(--water)"
                stroke="var(--water-deep)"
                stroke-width="2"
              />
              <path
                :d="`M${waterX(slip.needM)} 0V${height}`"
                stroke="var(--redlead)"
                stroke-width="2"
                stroke-dasharray="6 5"
              />
              <path
                v-for="at in bounds"
                :key="at"
                :d="`M0 ${yOf(at)}H${waterWidth}`"
                stroke="var(--rule)"
              />
              <text
                :x="waterX(slip.needM) + 4"
                y="14"
                font-size="14"
                class="cond"
                fill="var(--redlead)"
              >
                {{ slip.needM.toFixed(2) }}
              </text>
            </template>
          </svg>
          <ul class="relative">
            <li
              v-for="(part, index) in sheet.parts"
              :key="index"
              class="absolute overflow-hidden border-[1.5px] border-ink px-1.5 leading-tight"
              :class="[
                part.looks ? 'bg-verdigris-tint' : 'bg-sheet',
                part.hangs ? 'hangs pl-4' : '',
              ]"
              :style="style(part)"
            >
              <span class="sr-only">{{
                `${time(part.from)} to ${time(part.to)}, ${part.lanes.map((one) => lanes.find((each) => each.lane === one)?.name).join(' and ')}: `
              }}</span>
              <span class="cond block font-semibold leading-tight">{{ part.what }}</span>
              <span v-if="part.how" class="cond block text-[0.95rem] leading-tight text-ink2">{{
                part.how
              }}</span>
            </li>
            <li class="absolute" :style="{ top: `${yOf(sheet.awayAt) + 4}px` }">
              <span class="cond text-verdigris"
                >Spare: {{ sheet.spareMin }} min<template v-if="sheet.spareHighMin !== null"
                  >; at {{ highHPa }} hPa {{ sheet.spareHighMin }} min</template
                ></span
              >
            </li>
            <li class="absolute" :style="{ top: `${yOf(sheet.tooLateAt) + 4}px` }">
              <span class="cond font-semibold text-redlead"
                >Too late at {{ time(sheet.tooLateAt) }}: leave her ashore, and take the next
                lift.</span
              >
            </li>
          </ul>
        </div>
        <p class="text-ink2">{{ sheetLine }}</p>
      </div>
      <div class="grid content-start gap-4">
        <section v-if="plan" aria-labelledby="who-stands">
          <h2 id="who-stands" class="text-lg">Where each stands, slings slack</h2>
          <svg
            viewBox="0 0 460 175"
            class="w-full"
            role="img"
            :aria-label="`Her deck plan with ${openings.length} openings by number; the look goes from bow to stern.`"
          >
            <rect x="0" y="135" width="460" height="40" fill="var(--rule)" />
            <rect x="0" y="0" width="460" height="135" fill="var(--water)" />
            <path d="M0 135H460" stroke="var(--ink)" stroke-width="2" />
            <path
              v-for="one in plan.decks"
              :key="one"
              :d="one"
              fill="var(--sheet)"
              stroke="var(--ink)"
              stroke-width="2"
            />
            <path v-for="one in plan.inside" :key="one" :d="one" fill="none" stroke="var(--ink)" />
            <rect
              v-for="x in plan.slings"
              :key="x"
              :x="x - 4"
              y="4"
              width="8"
              height="132"
              fill="var(--brass)"
              stroke="var(--ink)"
            />
            <g v-for="one in plan.marks" :key="one.id" :transform="`translate(${one.x} ${one.y})`">
              <circle r="9" fill="var(--sheet)" stroke="var(--redlead)" stroke-width="2.4" />
              <text
                y="5"
                text-anchor="middle"
                font-size="14"
                font-weight="600"
                class="cond"
                fill="var(--redlead)"
              >
                {{ one.number }}
              </text>
            </g>
            <g
              v-for="(one, index) in lanes"
              :key="one.lane"
              :transform="`translate(${[210, 250, 330, 200][index] ?? 200} ${one.lane === 'driver' || one.lane === 'quay' ? 156 : 70})`"
            >
              <rect
                v-if="one.lane === 'driver'"
                x="-11"
                y="-11"
                width="22"
                height="22"
                fill="var(--brass)"
                stroke="var(--ink)"
              />
              <circle v-else r="11" fill="var(--ink)" />
              <text
                y="5"
                text-anchor="middle"
                font-size="15"
                font-weight="600"
                class="cond"
                :fill="one.lane === 'driver' ? 'var(--on-brass)' : 'var(--sheet)'"
              >
                {{ one.letter }}
              </text>
            </g>
          </svg>
          <ol class="cond columns-2 text-[0.95rem] leading-snug">
            <li v-for="(one, index) in openings" :key="one.id">{{ index + 1 }} {{ one.title }}</li>
          </ol>
        </section>
        <section aria-labelledby="then-watch">
          <h2 id="then-watch" class="border-b-2 border-ink text-lg">Then the watch</h2>
          <div class="grid grid-cols-2 gap-x-4 gap-y-2">
            <div v-for="knot in knots" :key="knot.moment">
              <p class="cond font-semibold">{{ knot.title }}</p>
              <p class="cond text-ink2">{{ knot.on }}</p>
              <ul>
                <li v-for="line in knot.lines" :key="line" class="cond flex gap-1.5 leading-snug">
                  <span
                    class="mt-1 inline-block size-3 shrink-0 border border-ink"
                    aria-hidden="true"
                  />{{ line }}
                </li>
              </ul>
            </div>
          </div>
          <NuxtLink class="btn btn-small no-print mt-2" :to="`/r/${store.refitId}/launch/watch`"
            >On the phone</NuxtLink
          >
        </section>
        <section aria-labelledby="take-with">
          <h2 id="take-with" class="border-b-2 border-ink text-lg">Take with you</h2>
          <ul class="grid grid-cols-2 gap-x-4">
            <li
              v-for="(line, index) in take"
              :key="line"
              class="cond flex items-center gap-1.5"
              :class="index === 0 && noPlug.length > 0 ? 'font-semibold text-redlead' : ''"
            >
              <span class="inline-block size-4 shrink-0 border border-ink" aria-hidden="true" />{{
                line
              }}
            </li>
          </ul>
        </section>
        <p class="border-l-4 border-redlead bg-redlead-tint p-2">
          <strong>Water coming in:</strong> shout, pumps on, shut it, plug it, call before the sole
          is wet. The damage card hangs by the hatch.
        </p>
        <p class="text-ink2 print:block">
          {{ sayFullDate(facts.on) }}. Times of each part are usual ones; the driver’s say goes
          before them.
        </p>
      </div>
    </div>
  </div>
</template>

<style scoped>
.hangs {
  background-image: repeating-linear-gradient(135deg, var(--ink) 0 1.5px, transparent 1.5px 5px);
  background-size: 10px 100%;
  background-repeat: no-repeat;
}
</style>

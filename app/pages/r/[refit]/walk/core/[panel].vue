<script setup lang="ts">
import { computed, ref } from 'vue'
import { howWet } from '#core/how/walk'
import type { CoreCells } from '#core/model/entities/walk'
import { removal } from '#core/model/removal'
import type { PaintTool } from '#core/panel/paint'
import { panelFigures } from '#core/panel/panelCase'
import { mapFigures, readingAt } from '#core/panel/reading'
import { gridOf } from '#core/panel/grid'
import { readingTrouble } from '#core/panel/scale'
import { panelHeading, panelSentence, sayArea } from '#core/panel/sayPanel'

/** One panel of a cored skin: its maps, what is wet and by what, when it dries, and the ways to put it right. */
const store = useRefitStore()
const route = useRoute()
const personId = useMe()
const { sayDate } = useDates()
const panel = computed(() => store.rows.panel.find((one) => one.id === route.params.panel) ?? null)
const maps = computed(() =>
  store.rows.coreMap
    .filter((one) => one.panelId === panel.value?.id)
    .sort((a, b) => (a.takenOn < b.takenOn ? -1 : 1)),
)
const chosenId = ref<string | null>(null)
const map = computed(
  () => maps.value.find((one) => one.id === chosenId.value) ?? maps.value.at(-1) ?? null,
)
const painting = usePainting(map, () => `Map of ${panel.value?.title ?? 'a panel'}`)
const shownMap = computed(() => (map.value ? { ...map.value, cells: painting.cells.value } : null))
const figures = computed(() =>
  panel.value && shownMap.value
    ? panelFigures(store.rows, panel.value, shownMap.value, store.derived.today)
    : null,
)
const launchOn = computed(
  () => store.derived.launch?.plannedOn ?? store.derived.launch?.aimedOn ?? null,
)
const heading = computed(() =>
  panel.value && figures.value
    ? panelHeading(panel.value, figures.value, launchOn.value)
    : { plain: panel.value?.title ?? '', bad: '' },
)
const grid = computed(() => (panel.value ? gridOf(panel.value) : null))
const smallMaps = computed(() =>
  maps.value.map((one, at) => {
    const own = panel.value && grid.value ? mapFigures(grid.value, one.cells, panel.value) : null
    const before = maps.value[at - 1]
    const was =
      before && panel.value && grid.value ? mapFigures(grid.value, before.cells, panel.value) : null
    const by = own && was ? own.wetM2 - was.wetM2 : null
    return {
      map: one,
      figures: own,
      change:
        by === null
          ? 'the first'
          : Math.abs(by) < 0.005
            ? 'as before'
            : `${by > 0 ? 'grew' : 'fell'} ${Math.abs(by).toFixed(2)}`,
    }
  }),
)
const wetBefore = computed(() => {
  const before = figures.value?.before
  return before && panel.value && grid.value
    ? mapFigures(grid.value, before.cells, panel.value).wetKeys
    : undefined
})
const dried = computed(() =>
  store.rows.dryingReading.filter((one) => one.panelId === panel.value?.id),
)

const toolName = ref<PaintTool['is'] | 'none'>('none')
const meter = ref<number | null>(20)
const probeMm = ref<number | null>(panel.value?.coreMm ?? 10)
const tapped = ref<'dull' | 'sharp'>('dull')
const sample = ref<'wet' | 'powder' | 'parted' | 'sound'>('wet')
const meterTrouble = computed(() =>
  map.value ? (readingTrouble(meter.value, map.value.scaleLow, map.value.scaleHigh)[0] ?? '') : '',
)
const tool = computed<PaintTool | null>(() => {
  const made: Readonly<Record<PaintTool['is'] | 'none', PaintTool | null>> = {
    meter:
      meter.value === null || meterTrouble.value !== ''
        ? null
        : { is: 'meter', value: meter.value },
    tap: { is: 'tap', value: tapped.value },
    probe: probeMm.value === null ? null : { is: 'probe', mm: probeMm.value },
    sample: { is: 'sample', value: sample.value },
    off: { is: 'off' },
    none: null,
  }
  return made[toolName.value]
})
const typedTrouble = ref('')
function typed(value: number) {
  if (!map.value) return
  typedTrouble.value = readingTrouble(value, map.value.scaleLow, map.value.scaleHigh)[0] ?? ''
}
function paint(cells: CoreCells) {
  const over = Object.values(cells).some(
    (cell) =>
      map.value &&
      readingTrouble(cell.meter ?? null, map.value.scaleLow, map.value.scaleHigh).length > 0,
  )
  if (!over) painting.paint(cells)
}
async function newMap() {
  if (!panel.value) return
  const id = newId()
  const last = maps.value.at(-1)
  const patch = {
    panelId: panel.value.id,
    takenOn: store.derived.today,
    by: personId.value === '' ? null : personId.value,
    ...(last ? { scaleLow: last.scaleLow, scaleHigh: last.scaleHigh } : {}),
  }
  if (await store.attempt('A new map', [{ op: 'create', entity: 'coreMap', id, patch }])) {
    chosenId.value = id
    toolName.value = 'meter'
  }
}
const elsewhere = computed((): string => {
  const over = grid.value
  if (!panel.value || !over || !shownMap.value || !figures.value?.source) return ''
  const { fittings } = panel.value
  const said = fittings
    .filter((one) => one.title !== figures.value?.source?.fitting.title)
    .map((one) => {
      const reading = readingAt(one, over, shownMap.value?.cells ?? {})
      return `${one.title.toLowerCase()}, ${reading === null ? 'not read' : `${reading} there`}`
    })
  return said.join('; ')
})
const tools = [
  { value: 'none', label: 'Look' },
  { value: 'meter', label: 'Meter' },
  { value: 'tap', label: 'Tap' },
  { value: 'probe', label: 'Probe' },
  { value: 'sample', label: 'Sample' },
  { value: 'off', label: 'Off' },
] as const
const guard = ref(false)
async function remove() {
  guard.value = false
  if (
    panel.value &&
    (await store.attempt(
      `Remove ${panel.value.title}`,
      removal(store.rows, 'panel', [panel.value.id]),
    ))
  )
    await goTo(`/r/${store.refitId}/walk`)
}
</script>

<template>
  <div v-if="!panel || !grid" class="max-w-lg">
    <h1>There is no such panel here</h1>
    <p class="my-3">It may have been removed.</p>
    <NuxtLink class="btn" :to="`/r/${store.refitId}/walk`">To the boat</NuxtLink>
  </div>
  <div v-else class="lg:grid lg:grid-cols-[minmax(0,1fr)_29rem] lg:gap-7">
    <div class="min-w-0">
      <!-- What is said of the map grows as it is painted: the map stays under the finger. -->
      <h1 class="min-h-[2lh] sm:min-h-[1lh]">
        {{ heading.plain }}<span v-if="heading.bad" class="text-redlead">, {{ heading.bad }}</span>
      </h1>
      <p class="min-h-[3lh] lg:min-h-[1lh]">
        <template v-if="figures">{{ `${panelSentence(figures, sayDate)} ` }}</template>
        <template v-if="figures?.source"
          >Likely source: {{ figures.source.fitting.title.toLowerCase() }}, the highest reading,
          {{ figures.source.reading }}, is {{ Math.round(figures.source.distanceM * 1000) }} mm from
          it.</template
        >
      </p>
      <ul class="mt-2 flex gap-2 overflow-x-auto pb-1" aria-label="Maps by date">
        <li v-for="one in smallMaps" :key="one.map.id" class="w-56 shrink-0">
          <button
            class="grid w-full grid-cols-[5.5rem_1fr] gap-2 border-2 p-1 text-left"
            :class="
              one.map.id === map?.id
                ? 'border-ink bg-sheet'
                : 'border-transparent hover:border-rule'
            "
            :aria-pressed="one.map.id === map?.id"
            @click="chosenId = one.map.id"
          >
            <PanelMap :panel="panel" :grid="grid" :cells="one.map.cells" small />
            <span class="cond min-h-[5rem] text-sm leading-snug">
              <span class="block text-base">{{ sayDate(one.map.takenOn) }}</span>
              <template v-if="one.figures"
                >{{ sayArea(one.figures.wetM2) }} wet,
                {{ Math.round(one.figures.wetShare * 100) }} %<br /><template
                  v-if="one.figures.highest !== null"
                  >highest {{ one.figures.highest }}<br /></template
                >{{ one.change }}</template
              >
            </span>
          </button>
        </li>
      </ul>
      <template v-if="map && shownMap">
        <div class="no-print my-2 flex flex-wrap items-end gap-2">
          <button class="btn btn-small" @click="newMap">New map today</button>
          <div role="group" aria-label="Paint with" class="flex flex-wrap">
            <button
              v-for="one in tools"
              :key="one.value"
              class="btn btn-small -mr-px"
              :class="{ 'btn-on': toolName === one.value }"
              :aria-pressed="toolName === one.value"
              @click="toolName = one.value"
            >
              {{ one.label }}
            </button>
          </div>
          <UiNumber v-if="toolName === 'meter'" v-model="meter" class="w-28" label="Meter reads" />
          <UiSelect
            v-if="toolName === 'tap'"
            v-model="tapped"
            class="w-28"
            label="Sounds"
            :options="[
              { value: 'dull', label: 'Dull' },
              { value: 'sharp', label: 'Sharp' },
            ]"
          />
          <UiQuantity
            v-if="toolName === 'probe'"
            v-model="probeMm"
            class="w-32"
            unit="mm"
            label="Goes in"
            :min="0"
            :max="500"
          />
          <UiSelect
            v-if="toolName === 'sample'"
            v-model="sample"
            class="w-32"
            label="Sample is"
            :options="[
              { value: 'wet', label: 'Wet' },
              { value: 'powder', label: 'Powder' },
              { value: 'parted', label: 'Parted' },
              { value: 'sound', label: 'Sound' },
            ]"
          />
        </div>
        <p
          v-if="(toolName === 'meter' && meterTrouble) || typedTrouble"
          class="text-redlead"
          role="alert"
        >
          {{ toolName === 'meter' && meterTrouble ? meterTrouble : typedTrouble }}
        </p>
        <p v-if="painting.wrong.value" class="text-redlead" role="alert">
          {{ painting.wrong.value }} What you painted is still here.
        </p>
        <PanelMap
          :panel="panel"
          :grid="grid"
          :cells="shownMap.cells"
          :wet-before="wetBefore"
          :source="figures?.source"
          :tool="tool"
          @painted="paint"
          @typed="typed"
          @done="painting.done"
        />
        <ul class="cond flex flex-wrap gap-x-4 text-base" aria-label="What the map shows">
          <li>
            {{ panel.datum || 'datum not said' }}, cells of {{ Math.round(panel.cellM * 1000) }} mm
          </li>
          <li>under {{ panel.dampFrom }} dry</li>
          <li>
            <span
              class="mr-1 inline-block h-3 w-4 border border-ink bg-verdigris-tint"
              aria-hidden="true"
            />{{ panel.dampFrom }} and up damp, {{ sayArea(figures?.figures.dampM2 ?? 0) }}
          </li>
          <li>
            <span
              class="mr-1 inline-block h-3 w-4 border-2 border-water-deep"
              style="background: var(--water)"
              aria-hidden="true"
            />{{ panel.wetFrom }} and up wet<template v-if="figures"
              >,
              <UiHow :how="() => panel && figures && howWet(panel, figures)" about="wet"
                >{{ sayArea(figures.figures.wetM2) }},
                {{ Math.round(figures.figures.wetShare * 100) }} %</UiHow
              ></template
            >
          </li>
          <li>
            <span class="mr-1 inline-block h-1.5 w-5 bg-ink" aria-hidden="true" />tap dull,
            {{ sayArea(figures?.figures.dullM2 ?? 0) }}
          </li>
          <li v-if="figures && figures.figures.deepestMm !== null">
            probe deepest {{ figures.figures.deepestMm }} mm
          </li>
          <li>ring: sample W wet, P powder, A parted, S sound</li>
          <li v-if="wetBefore">dashed: wet on the map before</li>
        </ul>
      </template>
      <p v-else class="my-4 max-w-lg border-l-4 border-verdigris pl-4">
        No map yet. Tap a dry corner first: its sound, and its reading, are what the rest is held
        against. <button class="btn btn-small" @click="newMap">New map today</button>
      </p>
      <div class="mt-4 gap-6 md:grid md:grid-cols-2">
        <PanelDrying
          :panel="panel"
          :readings="dried"
          :drying="figures?.drying ?? null"
          :launch-on="launchOn"
        />
        <PanelSettings :panel="panel" :map="map" @remove="guard = true" />
      </div>
    </div>
    <div class="min-w-0 max-lg:mt-6">
      <div class="no-print mb-2 flex justify-end gap-2">
        <NuxtLink class="btn" :to="`/r/${store.refitId}/walk`">To the boat</NuxtLink>
      </div>
      <CoreWays v-if="figures && figures.figures.openM2 > 0" :panel="panel" :figures="figures" />
      <p v-else class="border-l-4 border-verdigris pl-4">
        {{
          figures && figures.figures.unreadM2 < figures.grid.areaM2 * 0.999
            ? 'Nothing is wet, damp or dull where it was read, so there is nothing to open.'
            : 'Nothing is read yet: paint the readings, and the ways stand here.'
        }}
      </p>
      <p v-if="elsewhere" class="mt-3"><b>Likely elsewhere:</b> {{ elsewhere }}. Tap there next.</p>
    </div>
    <UiDialog :open="guard" title="Remove the panel" red @close="guard = false">
      <p>
        It goes with its {{ maps.length }} maps and {{ dried.length }} readings. Undo brings it
        back.
      </p>
      <div class="mt-4 flex gap-3">
        <button class="btn btn-main" @click="remove">Remove</button>
        <button class="btn" @click="guard = false">Keep it</button>
      </div>
    </UiDialog>
  </div>
</template>

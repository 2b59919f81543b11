<script setup lang="ts">
import { X } from '@lucide/vue'
import { computed, onMounted, ref } from 'vue'
import { hullLines } from '#core/boatMap/hull'
import { zoneRegions } from '#core/boatMap/regions'
import type { Zone } from '#core/model/entities'
import type { ZoneShape } from '#core/model/entities/boat'
import { inOrder } from '#core/model/refit'
import { patchOf, removal } from '#core/model/removal'
import { formatHours } from '#core/units/hours'
import { backAndForth, wayThrough } from '#core/walk/waysIn'

/** A place of the boat: where it is, what its skin is made of and who measured it, how one gets at it, its outline. */
const props = defineProps<{ zone: Zone }>()
const emit = defineEmits<{ close: []; outline: [edit: { zone: Zone; shape: ZoneShape } | null] }>()
const store = useRefitStore()
const edit = (patch: Record<string, unknown>) =>
  store.attempt(`Change ${props.zone.name}`, [patchOf('zone', props.zone, patch)])
provideRow({ entity: 'zone', row: computed(() => props.zone), edit: (patch) => void edit(patch) })
const head = ref<HTMLElement | null>(null)
onMounted(() => head.value?.focus({ preventScroll: true }))
const drawing = ref(false)

const way = computed(() => store.rows.wayIn.find((one) => one.id === props.zone.wayInId) ?? null)
const before = computed(() => (way.value ? wayThrough(way.value, store.rows.wayIn).slice(1) : []))
const others = computed(() =>
  inOrder(store.rows.wayIn)
    .filter((one) => one.id !== way.value?.id)
    .map((one) => ({ value: one.id, label: one.title })),
)
/** Where a place of which nobody has said how far forward it is begins to be drawn. */
function amidships({ strake }: Zone): ZoneShape {
  const [low, high] = strake === 'underwater' ? ([-0.06, -0.01] as const) : ([0.01, 0.06] as const)
  const corners = [
    [0.45, low],
    [0.55, low],
    [0.55, high],
    [0.45, high],
  ] as const
  return { view: strake === 'deck' ? 'plan' : 'side', corners: [...corners] }
}
function outline() {
  drawing.value = !drawing.value
  const lines = store.refit ? hullLines(store.refit) : null
  const drawn = lines && zoneRegions(store.rows.zone, lines).get(props.zone)
  const shape = props.zone.shape ?? drawn ?? amidships(props.zone)
  emit('outline', drawing.value ? { zone: props.zone, shape } : null)
}
async function byItself() {
  drawing.value = false
  emit('outline', null)
  await edit({ shape: null })
}
const measured = computed(() => props.zone.coreKind !== null)
const guard = ref(false)
const hanging = computed(() => ({
  jobs: store.rows.job.filter((one) => one.zoneId === props.zone.id).length,
  findings: store.rows.finding.filter((one) => one.zoneId === props.zone.id).length,
}))
async function remove() {
  guard.value = false
  if (
    await store.attempt(`Remove ${props.zone.name}`, removal(store.rows, 'zone', [props.zone.id]))
  )
    emit('close')
}
</script>

<template>
  <section
    :aria-label="zone.name"
    class="min-w-0 lg:max-h-dvh lg:overflow-y-auto lg:pb-4"
    @keydown.esc="emit('close')"
  >
    <div ref="head" tabindex="-1" class="flex items-start gap-3 outline-none">
      <RowField field="name" class="grow text-xl" hide-label quiet />
      <button class="btn btn-quiet" aria-label="Close the place" @click="emit('close')">
        <X :size="20" aria-hidden="true" />
      </button>
    </div>
    <div class="mt-2 grid grid-cols-2 items-end gap-3">
      <RowField field="side" />
      <RowField field="strake" />
      <RowField field="along" label="How far forward, 0 stern to 1 bow" />
      <RowField field="belowWaterline" />
    </div>
    <div class="mt-3 flex flex-wrap gap-2">
      <button class="btn" :class="{ 'btn-on': drawing }" :aria-pressed="drawing" @click="outline">
        {{ drawing ? 'Done drawing' : 'Draw its outline' }}
      </button>
      <button v-if="zone.shape" class="btn" @click="byItself">Let it be drawn by itself</button>
    </div>
    <p v-if="drawing" class="mt-1 text-ink2" role="status">
      Drag the corners on the boat. By keyboard: Tab to a corner, arrows move it.
    </p>

    <h2 class="mt-5 border-b-2 border-ink text-lg">What it is made of</h2>
    <p v-if="!measured" class="text-ink2">
      Nobody has measured it. Recipes and bolt stacks ask until somebody does: a hole shows it best.
    </p>
    <div class="mt-2 grid grid-cols-2 gap-3">
      <RowField field="coreKind" class="col-span-2" none="Not measured" />
      <RowField field="outerMm" />
      <RowField field="coreMm" />
      <RowField field="innerMm" />
      <RowField field="oldCoat" />
      <RowField field="solidIslands" class="col-span-2" />
      <RowField field="measuredBy" />
      <RowField field="measuredOn" />
      <RowField field="measuredAt" class="col-span-2" />
    </div>

    <h2 class="mt-5 border-b-2 border-ink text-lg">Way in</h2>
    <div class="mt-2 grid grid-cols-2 items-end gap-3">
      <RowField
        field="wayInId"
        class="col-span-2"
        label="What must come out first"
        none="Nothing"
      />
      <template v-if="way">
        <RowField entity="wayIn" :row="way" field="title" class="col-span-2" label="Its name" />
        <RowField entity="wayIn" :row="way" field="comesOut" class="col-span-2" />
        <RowField entity="wayIn" :row="way" field="hoursOut" />
        <RowField entity="wayIn" :row="way" field="hoursBack" />
        <RowField entity="wayIn" :row="way" field="liesAt" class="col-span-2" />
        <RowField
          entity="wayIn"
          :row="way"
          field="throughId"
          :options="others"
          none="Nothing else"
        />
        <RowField entity="wayIn" :row="way" field="keepOpenForJobId" none="Nothing" />
        <p class="col-span-2">
          {{ formatHours(backAndForth(way, store.rows.wayIn)) }} out and back<template
            v-if="before.length > 0"
            >, with {{ before.map((one) => one.title.toLowerCase()).join(', then ') }} before
            it</template
          >.
        </p>
      </template>
    </div>
    <UiAnother
      v-if="!way"
      entity="wayIn"
      field="title"
      label="A new way in"
      placeholder="Sole up, 14 screws"
      keep="Add"
      :along="(id) => [patchOf('zone', zone, { wayInId: id })]"
    />

    <h2 class="mt-5 border-b-2 border-ink text-lg">Lived in</h2>
    <RowField
      field="livedInFromGateId"
      class="mt-2"
      label="From this gate on"
      none="Nobody lives there"
    />

    <button class="btn mt-5" @click="guard = true">Remove the place</button>
    <UiDialog :open="guard" title="Remove the place" red @close="guard = false">
      <p>
        {{ hanging.jobs }} {{ hanging.jobs === 1 ? 'job' : 'jobs' }} and {{ hanging.findings }}
        {{ hanging.findings === 1 ? 'finding' : 'findings' }} stay, and have no place then.
      </p>
      <div class="mt-4 flex gap-3">
        <button class="btn btn-main" @click="remove">Remove</button>
        <button class="btn" @click="guard = false">Keep it</button>
      </div>
    </UiDialog>
  </section>
</template>

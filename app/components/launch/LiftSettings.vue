<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { LiftSheet } from '#core/model/entities'
import type { CraneRow } from '#core/model/entities/launch'
import { readNumber } from '#core/units/parsed'

/** How she is lifted: weight and where it lies, slings, the crane and its chart. */
const props = defineProps<{ sheet: LiftSheet }>()
const rows = useRows('liftSheet')
const fields = [
  'weightT',
  'weighedOn',
  'knownAs',
  'centreM',
  'slingForeM',
  'slingAftM',
  'legDeg',
  'gearT',
  'craneName',
  'cranes',
  'setBackM',
  'fenderM',
  'askedOn',
  'askedT',
  'blockHeightM',
] as const
const said = computed(() =>
  props.sheet.chart.map(([radius, load]) => `${radius} ${load}`).join('\n'),
)
const text = ref(said.value)
const wrong = ref('')
watch(said, (now) => (text.value = now))
async function keep() {
  const chart: CraneRow[] = []
  for (const [index, line] of text.value.split('\n').entries()) {
    const words = line
      .trim()
      .split(/[\s;]+/)
      .filter(Boolean)
    if (words.length === 0) continue
    const [radius, load] = [readNumber(words[0] ?? ''), readNumber(words[1] ?? '')]
    if (radius === null || load === null || radius <= 0 || load <= 0) {
      wrong.value = `Line ${index + 1}, “${line.trim()}”, is no row. Write radius and load: 5 12.4`
      return
    }
    chart.push([radius, load])
  }
  wrong.value = ''
  await rows.edit(props.sheet, { chart })
}
</script>

<template>
  <div>
    <div class="grid grid-cols-2 gap-3 md:grid-cols-3">
      <RowField
        v-for="field in fields"
        :key="field"
        entity="liftSheet"
        :row="sheet"
        :field="field"
      />
    </div>
    <form class="mt-3 grid max-w-sm gap-2" @submit.prevent="keep">
      <label class="cond" for="crane-chart"
        >Chart of the crane: metres and tonnes, a row each</label
      >
      <textarea
        id="crane-chart"
        v-model="text"
        rows="6"
        class="w-full border-2 border-ink bg-sheet p-2"
        :aria-invalid="wrong !== ''"
        aria-describedby="crane-chart-wrong"
      />
      <p id="crane-chart-wrong" class="text-redlead" role="alert">{{ wrong }}</p>
      <div><button class="btn">Keep the chart</button></div>
    </form>
  </div>
</template>

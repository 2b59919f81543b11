<script setup lang="ts">
import { computed } from 'vue'
import { formatMoney } from '#core/money/money'
import { sayFullDate } from '#core/time/say'
import { sayLimits } from '#core/steps/readings'
import { sheetLimits } from '#core/steps/sheetReading'
import { formatHours } from '#core/units/hours'
import { formatQuantity } from '#core/units/quantity'

/** The as-built sheet as a document: what is known stands as text, what is not is left out or open to write in. */
const props = defineProps<{ sheetId: string }>()
const store = useRefitStore()
const { sheet, lines, tests, pictures } = useSheet(computed(() => props.sheetId))
const { pageAddress } = usePageAddress()
const facts = computed(() => {
  const one = sheet.value
  if (!one) return []
  const said: readonly (readonly [string, string])[] = [
    ['Boat', store.refit?.boatName ?? ''],
    ['Where', one.where],
    ['When', one.doneOn ? sayFullDate(one.doneOn) : ''],
    ['Who', one.who],
    ['Hours', one.hours === null ? '' : formatHours(one.hours)],
    [
      'Cost',
      one.costMinor === null ? '' : formatMoney(one.costMinor, store.refit?.currency ?? 'EUR'),
    ],
  ]
  return said.filter(([, value]) => value !== '')
})
const units = computed(() => store.refit?.units ?? 'metric')
type Read = (typeof tests.value)[number] | (typeof lines.value)[number]
const readOf = (one: Read) =>
  one.reading === null ? '' : formatQuantity(one.reading, one.readUnit, units.value)
function limitOf(one: Read) {
  const limits = sheetLimits(one)
  return limits ? sayLimits(limits, units.value) : ''
}
const kindWord = {
  material: 'Material',
  size: 'Size',
  setting: 'Setting',
  clock: 'Cure',
  drawing: 'Drawing',
  note: 'Note',
} as const
const outcomeWord = { notYet: 'not yet', passed: 'passed', failed: 'FAILED' } as const
</script>

<template>
  <article v-if="sheet" class="text-black">
    <div class="flex justify-between gap-4">
      <div>
        <p class="cond">As-built sheet</p>
        <p class="cond text-2xl">{{ sheet.title }}</p>
      </div>
      <PaperCode :code="pageAddress(`log/${sheet.id}`)" of="this sheet as it is now" />
    </div>
    <dl class="mt-2 grid grid-cols-[6rem_1fr_6rem_1fr] gap-x-3">
      <template v-for="[name, value] in facts" :key="name">
        <dt class="cond">{{ name }}</dt>
        <dd>{{ value }}</dd>
      </template>
    </dl>
    <template v-if="lines.length > 0">
      <p class="cond mt-4 border-b-2 border-black text-lg">Materials, sizes, settings</p>
      <table class="w-full border-collapse text-left">
        <tbody>
          <tr v-for="one in lines" :key="one.id" class="border-b border-black/40 align-top">
            <td class="w-24 py-0.5">{{ kindWord[one.kind] }}</td>
            <td class="py-0.5">{{ one.what }}</td>
            <td class="py-0.5">{{ [one.value, readOf(one)].filter(Boolean).join(', ') }}</td>
            <td class="py-0.5">{{ one.batch }}</td>
          </tr>
        </tbody>
      </table>
    </template>
    <template v-if="tests.length > 0">
      <p class="cond mt-4 border-b-2 border-black text-lg">Tests</p>
      <table class="w-full border-collapse text-left">
        <thead>
          <tr class="border-b border-black">
            <th class="cond py-0.5">Test</th>
            <th class="cond py-0.5">Expected</th>
            <th class="cond py-0.5">Measured</th>
            <th class="cond py-0.5">Outcome</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in tests" :key="one.id" class="border-b border-black/40 align-top">
            <td class="py-0.5">{{ one.what }}</td>
            <td class="py-0.5">
              {{ [limitOf(one), one.expected].filter(Boolean).join(', ') }}
            </td>
            <td class="py-0.5">{{ [readOf(one), one.measured].filter(Boolean).join(', ') }}</td>
            <td class="w-24 py-0.5">{{ outcomeWord[one.outcome] }}</td>
          </tr>
        </tbody>
      </table>
    </template>
    <template v-if="sheet.takeApart !== ''">
      <p class="cond mt-4 border-b-2 border-black text-lg">How to take it apart again</p>
      <p class="whitespace-pre-line">{{ sheet.takeApart }}</p>
    </template>
    <template v-if="sheet.nextTime !== ''">
      <p class="cond mt-4 border-b-2 border-black text-lg">Next time</p>
      <p class="whitespace-pre-line">{{ sheet.nextTime }}</p>
    </template>
    <p v-if="sheet.nextCheckOn" class="mt-4">
      <span class="cond">Next check:</span> {{ sayFullDate(sheet.nextCheckOn)
      }}{{ sheet.nextCheckWhat ? `, ${sheet.nextCheckWhat}` : '' }}
    </p>
    <div v-if="pictures.length > 0" class="mt-4 grid grid-cols-3 gap-3">
      <figure v-for="one in pictures" :key="one.id" class="break-inside-avoid">
        <img
          :src="`/api/pictures/${one.hash}?small`"
          :alt="one.caption || `${sheet.title}, ${one.moment}`"
          :width="one.widthPx"
          :height="one.heightPx"
          class="h-auto w-full border border-black"
        />
        <figcaption>{{ one.moment }} {{ one.caption }}</figcaption>
      </figure>
    </div>
  </article>
</template>

<script setup lang="ts">
import { sheetColumns } from '#core/log/systems'
import type { BookRecord, SheetColumn, SheetMark } from '#core/log/systems'

/** How whole the record is, system by system: a fastening driven is written, an open hole is missing. */
defineProps<{ record: BookRecord }>()
const emit = defineEmits<{ write: [jobId: string] }>()
const store = useRefitStore()
const heads: Readonly<Record<SheetColumn, string>> = {
  materials: 'Materials',
  sizes: 'Sizes',
  tests: 'Tests',
  pictures: 'Pictures',
  takeApart: 'Take apart',
  nextCheck: 'Next check',
}
/** So many marks side by side; beyond it a number. */
const most = 6
const count = (marks: readonly SheetMark[], mark: SheetMark) =>
  marks.filter((one) => one === mark).length
const said = (marks: readonly SheetMark[]) =>
  [
    count(marks, 'written') > 0 ? `${count(marks, 'written')} written` : '',
    count(marks, 'missing') > 0 ? `${count(marks, 'missing')} missing` : '',
    count(marks, 'written') + count(marks, 'missing') === 0 ? 'not wanted' : '',
  ]
    .filter(Boolean)
    .join(', ')
const times = (many: number) => (many === 1 ? 'once' : many === 2 ? 'twice' : `${many} times`)
/** Of those that want it: what one sheet need not have is none of its holes. */
function short(marks: readonly SheetMark[]): string {
  const wanted = count(marks, 'written') + count(marks, 'missing')
  return wanted === 0 ? '–' : `${count(marks, 'written')} of ${wanted}`
}
</script>

<template>
  <div class="overflow-x-auto">
    <table class="w-full border-collapse text-left">
      <caption class="sr-only">
        How whole the record of each system is
      </caption>
      <thead>
        <tr class="border-b-2 border-ink align-bottom">
          <th scope="col" class="cond font-normal">System</th>
          <th
            v-for="column in sheetColumns"
            :key="column"
            scope="col"
            class="cond px-1 font-normal"
          >
            {{ heads[column] }}
          </th>
          <th scope="col" class="cond text-right font-normal">mend</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="one in record.systems"
          :key="one.system?.id ?? 'none'"
          class="h-9 border-b border-rule2"
        >
          <th scope="row" class="cond whitespace-nowrap pr-2 text-lg font-semibold">
            {{ one.system?.name ?? 'No system' }}
          </th>
          <template v-if="one.sheets.length > 0">
            <td v-for="column in sheetColumns" :key="column" class="px-1">
              <span class="sr-only">{{ said(one.sheets.map((each) => each.marks[column])) }}</span>
              <span v-if="one.sheets.length > most" class="cond" aria-hidden="true">{{
                short(one.sheets.map((each) => each.marks[column]))
              }}</span>
              <span v-else class="flex gap-px" aria-hidden="true">
                <svg
                  v-for="each in one.sheets"
                  :key="each.sheet.id"
                  width="14"
                  height="14"
                  viewBox="-7.5 -7.5 15 15"
                >
                  <circle
                    v-if="each.marks[column] === 'written'"
                    r="5.6"
                    fill="var(--brass)"
                    stroke="var(--ink)"
                    stroke-width="1.5"
                  />
                  <circle
                    v-else-if="each.marks[column] === 'missing'"
                    r="4.8"
                    fill="var(--sheet)"
                    stroke="var(--redlead)"
                    stroke-width="2.4"
                  />
                  <path v-else d="M-5 0H5" stroke="var(--ink2)" stroke-width="2" />
                </svg>
              </span>
            </td>
          </template>
          <td v-else :colspan="sheetColumns.length" class="cond px-1 text-redlead">
            done {{ times(one.unwritten.length) }}, nothing written
          </td>
          <td class="cond whitespace-nowrap text-right">
            <button
              v-if="one.mend?.kind === 'write'"
              class="underline max-sm:min-h-11"
              :title="one.mend.job.title"
              @click="emit('write', one.mend.job.id)"
            >
              {{ one.unwritten.length }} to write up<span class="sr-only">{{
                `: ${one.mend.job.title}`
              }}</span>
            </button>
            <NuxtLink
              v-else-if="one.mend?.kind === 'fill'"
              class="underline max-sm:inline-flex max-sm:min-h-11 max-sm:items-center"
              :to="`/r/${store.refitId}/log/${one.mend.sheet.id}`"
              :title="one.mend.sheet.title"
              >{{ one.mend.holes }} {{ one.mend.holes === 1 ? 'line' : 'lines' }}</NuxtLink
            >
            <span v-else class="text-ink2">whole</span>
          </td>
        </tr>
      </tbody>
    </table>
    <p class="cond mt-1 flex gap-4 text-sm text-ink2" aria-hidden="true">
      <span
        ><i class="mr-1 inline-block size-3 rounded-full border border-ink bg-brass" />written</span
      >
      <span
        ><i
          class="mr-1 inline-block size-3 rounded-full border-2 border-redlead bg-sheet"
        />missing</span
      >
      <span>– not wanted here</span>
    </p>
  </div>
</template>

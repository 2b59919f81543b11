<script setup lang="ts">
import { ArrowUp, Plus, Trash2 } from '@lucide/vue'
import { computed } from 'vue'
import type { Lines, LineValues } from '#core/bench/ask'
import { newLine } from '#core/bench/check'
import { valueAt } from '#core/bench/wanted'

/** A list of a sum, line by line; lines are added, taken away and moved up. */
const props = defineProps<{ lines: Lines; page: ReturnType<typeof useSum> }>()
const isNarrow = useNarrow()
/** Too many figures for one row: each has its label, as on a phone. */
const isStacked = computed(() => isNarrow.value || cells.value.length > 5)
const list = computed(() => (props.page.values[props.lines.key] ?? []) as readonly LineValues[])
const pathOf = (index: number, key: string) => `${props.lines.key}.${index}.${key}`
/** Words that only go along are not shown. */
const cells = computed(() =>
  props.lines.of.filter((cell) => !(cell.is === 'words' && cell.isHidden)),
)
const columns = computed(
  () =>
    cells.value
      .map((cell) =>
        cell.is === 'words'
          ? 'minmax(6rem,1.5fr)'
          : cell.is === 'pick'
            ? 'minmax(5.5rem,1fr)'
            : 'minmax(5rem,1fr)',
      )
      .join(' ') + ' 4.75rem',
)
const nameOf = (line: LineValues, index: number) => {
  const words = props.lines.of.find((cell) => cell.is === 'words')
  return (words && String(line[words.key] ?? '')) || `${props.lines.one} ${index + 1}`
}
function add() {
  props.page.setLines(props.lines.key, [...list.value, newLine(props.lines.of)])
}
function takeAway(index: number) {
  props.page.setLines(
    props.lines.key,
    list.value.filter((_, at) => at !== index),
  )
}
function moveUp(index: number) {
  const next = [...list.value]
  next.splice(index - 1, 0, ...next.splice(index, 1))
  props.page.setLines(props.lines.key, next)
}
const least = computed(() => props.lines.least ?? 1)
</script>

<template>
  <fieldset class="min-w-0">
    <legend class="cond text-lg">{{ lines.label }}</legend>
    <p v-if="page.problemAt(lines.key)" class="text-redlead" role="alert">
      {{ page.problemAt(lines.key) }}
    </p>
    <p v-if="lines.help" class="text-ink2">{{ lines.help }}</p>
    <div
      v-if="!isStacked && list.length > 0"
      class="cond grid gap-x-1 text-ink2"
      :style="{ gridTemplateColumns: columns }"
      aria-hidden="true"
    >
      <span v-for="cell in cells" :key="cell.key" class="truncate">{{ cell.label }}</span>
    </div>
    <ul>
      <li
        v-for="(line, index) in list"
        :key="index"
        class="line border-b border-rule2 py-1"
        :class="{ stacked: isStacked }"
        :style="{ '--columns': columns }"
      >
        <SumCell
          v-for="cell in cells"
          :key="cell.key"
          :cell="cell"
          :path="pathOf(index, cell.key)"
          :value="valueAt(page.values, pathOf(index, cell.key)) ?? null"
          :error="page.problemAt(pathOf(index, cell.key))"
          :is-known="page.known[pathOf(index, cell.key)] === true"
          :hide-label="!isStacked"
          :within="nameOf(line, index)"
          @put="page.put(pathOf(index, cell.key), $event)"
          @known="page.setKnown(pathOf(index, cell.key), $event)"
          @unread="page.setUnread(pathOf(index, cell.key), $event)"
        />
        <span class="flex items-center justify-end">
          <button
            v-if="index > 0"
            type="button"
            class="btn btn-quiet btn-small"
            :aria-label="`Move ${nameOf(line, index)} up`"
            @click="moveUp(index)"
          >
            <ArrowUp :size="18" aria-hidden="true" />
          </button>
          <button
            v-if="list.length > least"
            type="button"
            class="btn btn-quiet btn-small"
            :aria-label="`Take ${nameOf(line, index)} away`"
            @click="takeAway(index)"
          >
            <Trash2 :size="18" aria-hidden="true" />
          </button>
        </span>
      </li>
    </ul>
    <button
      v-if="list.length < lines.most"
      type="button"
      class="btn btn-small no-print mt-1"
      @click="add"
    >
      <Plus :size="16" aria-hidden="true" /> Another {{ lines.one }}
    </button>
  </fieldset>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: var(--columns);
  column-gap: 0.25rem;
  align-items: end;
}
.line.stacked {
  grid-template-columns: repeat(auto-fill, minmax(8rem, 1fr));
  row-gap: 0.25rem;
}
</style>

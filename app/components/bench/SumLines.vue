<script setup lang="ts">
import { ArrowUp, Plus, Trash2 } from '@lucide/vue'
import { useElementSize } from '@vueuse/core'
import { computed, reactive, ref, watch } from 'vue'
import type { Cell, Lines, LineValues, Scalar } from '#core/bench/ask'
import { newLine } from '#core/bench/check'
import { formatMoney } from '#core/money/money'
import { formatQuantity } from '#core/units/quantity'
import { valueAt } from '#core/bench/wanted'

/** A list of a sum, line by line; lines are added, taken away and moved up. */
const props = defineProps<{ lines: Lines; page: ReturnType<typeof useSum> }>()
const isNarrow = useNarrow()
const store = useRefitStore()
const units = computed(() => store.refit?.units ?? 'metric')
const currency = computed(() => store.refit?.currency ?? 'EUR')
const holder = ref<HTMLElement | null>(null)
const { width } = useElementSize(holder, { width: 600, height: 0 })
/** Least width of a figure in a row, rem: a guess has its mark beside it. */
const leastOf = (cell: Cell): number =>
  cell.is === 'words' ? 6 : cell.is === 'pick' ? 6 : cell.doubt === undefined ? 3.75 : 5.75
const buttonsRem = 4.75
const rem = 16
/** Too many figures for one row: each has its label, as on a phone. */
const isStacked = computed(
  () =>
    isNarrow.value ||
    usual.value.reduce((all, cell) => all + leastOf(cell) + 0.25, buttonsRem) * rem > width.value,
)
const list = computed(() => (props.page.values[props.lines.key] ?? []) as readonly LineValues[])
const pathOf = (index: number, key: string) => `${props.lines.key}.${index}.${key}`
/** Words that only go along are not shown. */
const cells = computed(() =>
  props.lines.of.filter((cell) => !(cell.is === 'words' && cell.isHidden)),
)
/** On a narrow screen long lines fold to their name and figures; one stands open at a time. */
const isFolding = computed(() => isNarrow.value && cells.value.length > 4 && list.value.length > 1)
const isOpen = (index: number): boolean =>
  !isFolding.value ||
  props.page.unfolded[props.lines.key] === index ||
  cells.value.some((cell) => {
    // What cannot be read stays in sight: folded away, the typed text would be gone.
    const path = pathOf(index, cell.key)
    return props.page.problemAt(path) !== '' || props.page.unreadAt(path) !== ''
  })
function unfold(index: number) {
  const isOut = props.page.unfolded[props.lines.key] === index
  props.page.unfold(props.lines.key, isOut ? -1 : index)
}
/** The figures of a line in one: what is chosen in its words, what is left empty not at all. */
const figuresOf = (line: LineValues): string =>
  cells.value
    .flatMap((cell): string[] => {
      const value = line[cell.key]
      if (cell.is === 'words' || value === null || value === undefined || value === '') return []
      if (cell.isRare && value === cell.initial) return []
      if (cell.is === 'pick')
        return [cell.options.find((one) => one.value === value)?.label ?? String(value)]
      if (cell.unit === 'money') return [formatMoney(Number(value), currency.value)]
      return [formatQuantity(Number(value), cell.unit, units.value)]
    })
    .join(' · ')
const usual = computed(() => cells.value.filter((cell) => !cell.isRare))
const rare = computed(() => cells.value.filter((cell) => cell.isRare))
/** A line keeps its fields, and what is half typed in them, wherever it goes. */
let lastId = 0
const ids = ref(list.value.map(() => lastId++))
watch(
  () => list.value.length,
  (many) => {
    if (ids.value.length !== many) ids.value = list.value.map(() => lastId++)
  },
)
const idOf = (index: number): number => ids.value[index] ?? -1
/** Lines whose seldom wanted figures are asked for. */
const more = reactive<Record<number, boolean>>({})
/** Figures that were typed stay in sight while they are emptied to be typed anew. */
const touched = reactive<Record<string, boolean>>({})
/** What is seldom wanted and says something stays in sight, asked for or not. */
const rareOf = (line: LineValues, index: number) =>
  rare.value.filter(
    (cell) =>
      more[idOf(index)] === true ||
      touched[`${idOf(index)} ${cell.key}`] === true ||
      (line[cell.key] ?? null) !== cell.initial ||
      props.page.problemAt(pathOf(index, cell.key)) !== '' ||
      props.page.unreadAt(pathOf(index, cell.key)) !== '',
  )
const columns = computed(
  () =>
    usual.value
      .map((cell) => `minmax(${leastOf(cell)}rem,${cell.is === 'words' ? 1.5 : 1}fr)`)
      .join(' ') + ` ${buttonsRem}rem`,
)
const nameOf = (line: LineValues, index: number) => {
  const words = props.lines.of.find((cell) => cell.is === 'words')
  return (words && String(line[words.key] ?? '')) || `${props.lines.one} ${index + 1}`
}
const cellOf = (cell: Cell, line: LineValues, index: number) => {
  const path = pathOf(index, cell.key)
  return {
    cell,
    path,
    value: valueAt(props.page.values, path) ?? null,
    error: props.page.problemAt(path),
    isKnown: props.page.known[path] === true,
    within: nameOf(line, index),
  }
}
const heard = (cell: Cell, index: number) => {
  const path = pathOf(index, cell.key)
  return {
    put: (value: Scalar) => {
      touched[`${idOf(index)} ${cell.key}`] = true
      props.page.put(path, value)
    },
    known: (is: boolean) => props.page.setKnown(path, is),
    unread: (said: string) => props.page.setUnread(path, said),
  }
}
/** The list in another order; `from`: where each line stood, null: it is new. */
function arrange(from: readonly (number | null)[]) {
  const before = list.value
  ids.value = from.map((old) => (old === null ? lastId++ : (ids.value[old] ?? lastId++)))
  props.page.setLines(
    props.lines.key,
    from.map((old) => (old === null ? newLine(props.lines.of) : (before[old] as LineValues))),
    from,
  )
}
const places = () => list.value.map((_, at) => at)
function add() {
  arrange([...places(), null])
  props.page.unfold(props.lines.key, list.value.length - 1)
}
function takeAway(index: number) {
  arrange(places().filter((at) => at !== index))
}
function moveUp(index: number) {
  const next = places()
  next.splice(index - 1, 0, ...next.splice(index, 1))
  arrange(next)
}
const least = computed(() => props.lines.least ?? 1)
</script>

<template>
  <fieldset ref="holder" class="min-w-0">
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
      <span v-for="cell in usual" :key="cell.key" class="truncate">{{ cell.label }}</span>
    </div>
    <ul>
      <li
        v-for="(line, index) in list"
        :key="idOf(index)"
        class="line border-b border-rule2 py-1"
        :class="{ stacked: isStacked }"
        :aria-label="nameOf(line, index)"
        :style="{ '--columns': columns }"
        @mouseenter="page.light(pathOf(index, ''))"
        @mouseleave="page.light('')"
        @focusin="page.light(pathOf(index, ''))"
        @focusout="page.light('')"
      >
        <button
          v-if="isFolding"
          type="button"
          class="fold"
          :aria-expanded="isOpen(index)"
          @click="unfold(index)"
        >
          <span class="cond text-lg">{{ nameOf(line, index) }}</span>
          <span class="block text-ink2">{{ figuresOf(line) }}</span>
        </button>
        <SumCell
          v-for="cell in isOpen(index) ? usual : []"
          :key="cell.key"
          v-bind="cellOf(cell, line, index)"
          :hide-label="!isStacked"
          v-on="heard(cell, index)"
        />
        <span v-if="isOpen(index)" class="flex items-center justify-end">
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
        <div v-if="isOpen(index) && rare.length > 0" class="rare">
          <SumCell
            v-for="cell in rareOf(line, index)"
            :key="cell.key"
            v-bind="cellOf(cell, line, index)"
            v-on="heard(cell, index)"
          />
          <button
            v-if="rareOf(line, index).length < rare.length || more[idOf(index)]"
            type="button"
            class="more no-print"
            :aria-expanded="more[idOf(index)] === true"
            @click="more[idOf(index)] = !more[idOf(index)]"
          >
            {{ more[idOf(index)] ? 'Less' : 'More' }} of {{ nameOf(line, index) }}
          </button>
        </div>
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
.fold {
  grid-column: 1 / -1;
  min-height: 2.75rem;
  text-align: left;
}
.fold[aria-expanded='true'] {
  border-bottom: 2px solid var(--ink);
}
.line.stacked {
  grid-template-columns: repeat(auto-fill, minmax(8rem, 1fr));
  row-gap: 0.25rem;
}
.rare {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(9rem, 1fr));
  align-items: end;
  gap: 0.25rem 0.5rem;
}
.more {
  justify-self: start;
  min-height: 1.75rem;
  color: var(--ink2);
  text-decoration: underline;
}
@media (pointer: coarse), (max-width: 640px) {
  .more {
    min-height: 2.75rem;
  }
}
</style>

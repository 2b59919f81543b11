<script setup lang="ts" generic="Row extends { readonly id: string | number }">
import { ArrowDown, ArrowUp, ArrowUpDown } from '@lucide/vue'
import { getCoreRowModel, getSortedRowModel, useVueTable } from '@tanstack/vue-table'
import type { ColumnDef, SortingState } from '@tanstack/vue-table'
import { computed, ref } from 'vue'

/**
 * The one table: named columns, a cell slot each or the row's own word, an empty state. A column that says what it is sorted by can
 * be pressed: as given, rising, falling. Scrolls sideways inside itself on phones.
 */
interface Column {
  readonly key: string
  readonly label: string
  readonly number?: boolean
  readonly sortBy?: (row: Row) => string | number
}
const props = defineProps<{
  caption: string
  columns: readonly Column[]
  rows: readonly Row[]
  empty?: string
}>()
const sorting = ref<SortingState>([])
const definitions = computed(() =>
  props.columns.map(({ key, sortBy }): ColumnDef<Row> => ({
    id: key,
    accessorFn: (row) => sortBy?.(row) ?? '',
    enableSorting: sortBy !== undefined,
    sortDescFirst: false,
    // Names as people sort them, numbers by size.
    sortingFn: (a, b, id) => {
      const [left, right] = [a.getValue<string | number>(id), b.getValue<string | number>(id)]
      return typeof left === 'number' && typeof right === 'number'
        ? left - right
        : String(left).localeCompare(String(right), 'en', { numeric: true })
    },
  })),
)
const table = useVueTable({
  get data() {
    return [...props.rows]
  },
  get columns() {
    return definitions.value
  },
  state: {
    get sorting() {
      return sorting.value
    },
  },
  getRowId: (row) => String(row.id),
  onSortingChange: (next) => {
    sorting.value = typeof next === 'function' ? next(sorting.value) : next
  },
  getCoreRowModel: getCoreRowModel(),
  getSortedRowModel: getSortedRowModel(),
})
const shown = computed(() => table.getRowModel().rows.map((one) => one.original))
const orderOf = (key: string) => table.getColumn(key)?.getIsSorted() ?? false
/** What a row says under the name of a column that nobody drew otherwise. */
const plainly = (row: Row, key: string): string => {
  const value = (row as Readonly<Record<string, unknown>>)[key]
  return typeof value === 'string' || typeof value === 'number' ? String(value) : ''
}
const ariaSort = (column: Column) => {
  if (!column.sortBy) return undefined
  const order = orderOf(column.key)
  return order === 'asc' ? 'ascending' : order === 'desc' ? 'descending' : 'none'
}
const icon = (key: string) =>
  orderOf(key) === 'asc' ? ArrowUp : orderOf(key) === 'desc' ? ArrowDown : ArrowUpDown
</script>

<template>
  <div class="overflow-x-auto" tabindex="0" role="region" :aria-label="caption">
    <table class="w-full border-collapse">
      <caption class="sr-only">
        {{ caption }}
      </caption>
      <thead>
        <tr class="border-b-2 border-ink text-left">
          <th
            v-for="column in columns"
            :key="column.key"
            scope="col"
            class="cond px-2 py-1"
            :class="{ 'text-right': column.number }"
            :aria-sort="ariaSort(column)"
          >
            <button
              v-if="column.sortBy"
              type="button"
              class="inline-flex items-center gap-1 whitespace-nowrap hover:bg-brass-tint max-sm:min-h-11"
              @click="table.getColumn(column.key)?.toggleSorting()"
            >
              {{ column.label }}
              <component :is="icon(column.key)" :size="14" aria-hidden="true" class="no-print" />
            </button>
            <template v-else>{{ column.label }}</template>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in shown" :key="row.id" class="border-b border-rule2 align-top">
          <td
            v-for="column in columns"
            :key="column.key"
            class="px-2 py-1.5"
            :class="{ 'text-right whitespace-nowrap': column.number }"
          >
            <slot :name="column.key" :row="row">{{ plainly(row, column.key) }}</slot>
          </td>
        </tr>
        <tr v-if="rows.length === 0">
          <td :colspan="columns.length" class="px-2 py-3 text-ink2">{{ empty }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

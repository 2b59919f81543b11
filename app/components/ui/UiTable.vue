<script setup lang="ts" generic="Row extends { readonly id: string | number }">
/** The one table: named columns, a cell slot each, an empty state. Scrolls sideways inside itself on phones. */
defineProps<{
  caption: string
  columns: readonly { readonly key: string; readonly label: string; readonly number?: boolean }[]
  rows: readonly Row[]
  empty?: string
}>()
</script>

<template>
  <div class="overflow-x-auto" tabindex="0" role="region" :aria-label="caption">
    <table class="w-full border-collapse">
      <caption class="sr-only">
        {{
          caption
        }}
      </caption>
      <thead>
        <tr class="border-b-2 border-ink text-left">
          <th
            v-for="column in columns"
            :key="column.key"
            scope="col"
            class="cond px-2 py-1"
            :class="{ 'text-right': column.number }"
          >
            {{ column.label }}
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.id" class="border-b border-rule2 align-top">
          <td
            v-for="column in columns"
            :key="column.key"
            class="px-2 py-1.5"
            :class="{ 'text-right whitespace-nowrap': column.number }"
          >
            <slot :name="column.key" :row="row" />
          </td>
        </tr>
        <tr v-if="rows.length === 0">
          <td :colspan="columns.length" class="px-2 py-3 text-ink2">{{ empty }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

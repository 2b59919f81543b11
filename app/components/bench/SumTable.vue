<script setup lang="ts">
import type { Table } from '#core/bench/sum'

/** What an answer lists, line by line. */
defineProps<{ table: Table }>()
</script>

<template>
  <section :aria-label="table.caption" class="overflow-x-auto">
    <table class="w-full">
      <caption class="cond border-b-2 border-ink text-left text-xl">
        {{ table.caption }}
      </caption>
      <thead>
        <tr class="cond text-left text-ink2">
          <!-- Over names of lines that say what they are there is no head. -->
          <component
            :is="head === '' ? 'td' : 'th'"
            v-for="(head, at) in table.head"
            :key="head"
            :scope="head === '' ? undefined : 'col'"
            :class="{ 'text-right': at > 0 }"
          >
            {{ head }}
          </component>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(row, at) in table.rows" :key="at" class="border-b border-rule2">
          <td
            v-for="(cell, column) in row"
            :key="column"
            class="py-1 pr-2"
            :class="{ 'text-right': column > 0, 'cond whitespace-nowrap': column > 0 }"
          >
            {{ cell }}
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

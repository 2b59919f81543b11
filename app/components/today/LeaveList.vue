<script setup lang="ts">
import { computed } from 'vue'
import type { LeaveLine } from '#core/today/leaving'
import { clockTimeOf } from '#core/time/say'

/** What is done before she is left, numbered as on the drawing: stops, things to do, what runs by itself, last things. */
const props = defineProps<{ lines: readonly LeaveLine[] }>()
const emit = defineEmits<{ tick: [line: LeaveLine] }>()
const store = useRefitStore()
const counts = computed(() => {
  const open = props.lines.filter((line) => line.doneAt === null)
  return [
    `${open.filter((line) => line.kind !== 'runs').length} to do`,
    `${props.lines.length - open.length} done`,
    ...(open.some((line) => line.kind === 'runs')
      ? [`${open.filter((line) => line.kind === 'runs').length} runs by itself`]
      : []),
  ].join(', ')
})
const word = (line: LeaveLine): string =>
  line.doneAt !== null
    ? clockTimeOf(line.doneAt, store.zone)
    : line.kind === 'stop'
      ? 'stop'
      : line.kind === 'last'
        ? 'last'
        : ''
</script>

<template>
  <section>
    <div class="flex items-baseline justify-between border-b-2 border-ink">
      <h2>Leave her like this</h2>
      <p class="cond text-ink2">{{ counts }}</p>
    </div>
    <ol class="grid gap-x-6 sm:grid-cols-2">
      <li v-for="(line, at) in lines" :key="line.key">
        <button
          class="flex min-h-11 w-full items-center gap-2.5 border-l-6 px-1.5 py-0.5 text-left hover:bg-brass-tint"
          :class="
            line.kind === 'stop' && line.doneAt === null
              ? 'border-redlead bg-redlead-tint'
              : 'border-transparent'
          "
          :aria-pressed="line.doneAt !== null"
          @click="emit('tick', line)"
        >
          <LeaveMark :line="line" :no="at + 1" />
          <span class="min-w-0 grow leading-tight">
            <span
              class="cond text-lg leading-tight"
              :class="{ 'text-ink2': line.doneAt !== null }"
              >{{ line.what }}</span
            >
            <span
              v-if="line.why && line.doneAt === null && line.kind !== 'todo'"
              class="block text-ink2"
              >{{ line.why }}</span
            >
          </span>
          <span
            class="cond"
            :class="line.kind === 'stop' && line.doneAt === null ? 'text-redlead' : 'text-ink2'"
            >{{ word(line) }}</span
          >
        </button>
      </li>
    </ol>
  </section>
</template>

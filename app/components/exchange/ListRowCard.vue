<script setup lang="ts">
import { fieldOf } from '#core/model/references'
import { sayChoice } from '#core/model/sayValue'
import { computed, ref } from 'vue'
import { columnName } from '#core/exchange/jobColumns'
import type { JobColumn } from '#core/exchange/jobColumns'
import type { JobDraft } from '#core/exchange/readJobs'
import { formatMoney } from '#core/money/money'
import { purposeName, severityName } from '#core/plan/priority'
import { formatHours } from '#core/units/hours'

/** One row of a list: what was made of it, what is wrong, and its cells to put right. */
const props = defineProps<{
  draft: JobDraft
  chosen: boolean
  columns: readonly JobColumn[]
  cellOf: (column: JobColumn) => string
}>()
const emit = defineEmits<{ choose: [chosen: boolean]; cell: [column: JobColumn, value: string] }>()
const store = useRefitStore()
const bad = computed(() => props.draft.problems.length > 0)
/** What wants mending lies open. */
const open = ref(bad.value)
/** Columns a person may put right: those of the list, and the kind of work, which was guessed. */
const editable = computed(() => [
  ...new Set([...props.columns.filter((one) => one !== 'skip'), 'operation' as const]),
])
const name = (list: readonly { id: string; name: string }[], id: string | null) =>
  list.find((one) => one.id === id)?.name ?? ''
const said = computed(() => {
  const { draft } = props
  return [
    draft.hours === null ? 'no hours given' : formatHours(draft.hours),
    sayChoice(fieldOf('step', 'operation'), draft.operation),
    name(store.rows.zone, draft.zoneId),
    `${purposeName[draft.purpose]}, ${severityName[draft.severity - 1]}`,
    name(store.rows.gate, draft.gateId),
    draft.after ? `after ${draft.after}` : '',
    draft.state === 'done' ? 'done' : draft.state === 'doing' ? 'under way' : '',
    draft.decision === 'later' ? 'later season' : draft.decision === 'dropped' ? 'dropped' : '',
    name(store.rows.person, draft.wantedPersonId),
    draft.costMinor === null ? '' : formatMoney(draft.costMinor, store.refit?.currency ?? 'EUR'),
  ]
    .filter(Boolean)
    .join(' · ')
})
</script>

<template>
  <li class="border-b border-rule2 py-1.5" :class="{ 'border-l-4 border-l-redlead pl-3': bad }">
    <div class="flex items-start gap-2">
      <label class="flex size-9 shrink-0 items-center justify-center max-sm:size-11">
        <input
          type="checkbox"
          class="size-5.5 accent-(--verdigris)"
          :checked="chosen && !bad"
          :disabled="bad"
          :aria-label="`Bring in row ${draft.row}: ${draft.title || 'no name'}`"
          @change="emit('choose', ($event.target as HTMLInputElement).checked)"
        />
      </label>
      <div class="min-w-0 grow">
        <p :class="{ 'text-ink2': !chosen }">
          <span class="cond text-ink2">Row {{ draft.row }}</span> {{ draft.title || '(no name)' }}
        </p>
        <p class="text-ink2">{{ said }}</p>
        <p v-for="problem in draft.problems" :key="problem" class="text-redlead">{{ problem }}</p>
        <p v-if="draft.leaveOut" class="text-redlead">
          {{ draft.leaveOut }} {{ chosen ? 'You bring it in all the same.' : 'Left out.' }}
        </p>
        <p v-for="remark in draft.remarks" :key="remark" class="text-ink2">{{ remark }}</p>
        <div
          v-for="(names, column) in draft.picks"
          :key="column"
          class="mt-1 flex flex-wrap items-center gap-2"
        >
          <span>{{ names && names.length > 0 ? 'Is it' : 'Nothing here is like it.' }}</span>
          <button
            v-for="one in names"
            :key="one"
            type="button"
            class="btn btn-small"
            @click="emit('cell', column, one)"
          >
            {{ one }}
          </button>
          <button type="button" class="btn btn-small btn-quiet" @click="emit('cell', column, '')">
            Leave {{ columnName[column].toLowerCase() }} empty
          </button>
        </div>
        <div v-if="open" class="mt-2 grid grid-cols-2 gap-2 sm:grid-cols-4">
          <template v-for="column in editable" :key="column">
            <UiSelect
              v-if="column === 'operation'"
              :model-value="draft.operation"
              :label="columnName.operation"
              :options="optionsOf('step', 'operation')"
              @update:model-value="emit('cell', 'operation', $event ?? '')"
            />
            <UiText
              v-else
              :model-value="cellOf(column)"
              :label="columnName[column]"
              :most="20000"
              @update:model-value="emit('cell', column, $event ?? '')"
            />
          </template>
        </div>
      </div>
      <button
        type="button"
        class="btn btn-small btn-quiet"
        :aria-expanded="open"
        :aria-label="`Change row ${draft.row}: ${draft.title || 'no name'}`"
        @click="open = !open"
      >
        {{ open ? 'Close' : 'Change' }}
      </button>
    </div>
  </li>
</template>

<script setup lang="ts">
import { ref, watch } from 'vue'
import { fieldLabel } from '#core/model/changes'
import type { EntityName } from '#core/model/entities'
import { entityWord } from '#core/model/references'
import { sayRow, sayValue } from '#core/model/sayValue'

/** Who changed what, from what to what, newest first. */
type Fields = Readonly<Record<string, unknown>>
interface HistoryRow {
  readonly entity: EntityName
  readonly rowId: string
  readonly op: 'create' | 'patch' | 'delete'
  readonly before: Fields | null
  readonly after: Fields | null
}
interface HistoryLine {
  readonly seq: number
  readonly label: string
  readonly at: number
  readonly personId: string | null
  readonly undone: boolean
  readonly rows: readonly HistoryRow[]
  readonly rowCount: number
}
const store = useRefitStore()
const { shortDateTime } = useDates()
const lines = ref<(HistoryLine & { id: number })[]>([])
const loading = ref(true)
const wrong = ref('')
watch(
  () => store.seq,
  async () => {
    // The refit is being left.
    if (store.refitId === '') return
    try {
      const found = await api<HistoryLine[]>(`/api/refits/${store.refitId}/history`)
      lines.value = found.map((line) => ({ ...line, id: line.seq }))
      wrong.value = ''
    } catch (error) {
      wrong.value = sentenceOf(error)
    }
    loading.value = false
  },
  { immediate: true },
)
/** As many as the server lists. */
const mostListed = 200
const { edit } = useRows('refit')
function keep(historyKept: number | null) {
  if (store.refit && historyKept !== null) void edit(store.refit, { historyKept })
}
const columns = [
  { key: 'at', label: 'When' },
  { key: 'who', label: 'Who' },
  { key: 'label', label: 'What' },
  { key: 'fields', label: 'From what to what' },
]
const nameOf = (id: string | null) =>
  store.rows.person.find((one) => one.id === id)?.name ?? 'not said'
/** Fields that order or count rows and say nothing to a person. */
const silent = ['order', 'version', 'id', 'recipeMade', 'recipeStep', 'recipeInputs', 'earnedIn']
/** "Likely hours of Grind the rim: 2h to 3h" */
function sayChange({ entity, rowId, op, before, after }: HistoryRow): string[] {
  const named = { ...before, ...after }
  const known = named.title ?? named.name ?? named.what
  const name = typeof known === 'string' ? known : sayRow(entity, rowId, store.rows)
  const what = `${entityWord[entity]} “${name}”`
  if (op === 'create') return [`New ${what}`]
  if (op === 'delete') return [`Removed ${what}`]
  return Object.keys(after ?? {})
    .filter((field) => !silent.includes(field))
    .map(
      (field) =>
        `${fieldLabel(entity, field)} of ${what}: ${sayValue(entity, field, before?.[field], store.rows)} → ${sayValue(entity, field, after?.[field], store.rows)}`,
    )
}
</script>

<template>
  <div class="max-w-5xl">
    <h1 class="mb-3">History of changes</h1>
    <div v-if="store.refit" class="mb-3 flex flex-wrap items-end gap-4">
      <UiNumber
        class="w-44"
        :model-value="store.refit.historyKept"
        label="Changes kept"
        whole
        :min="50"
        :max="100000"
        @update:model-value="keep"
      />
      <p class="max-w-2xl text-ink2">
        Of the last {{ store.refit.historyKept.toLocaleString('en') }} changes that people made,
        what was before and after is kept: as far back z can reach, on each device for its own. The
        newest {{ mostListed }} are listed. To go back further, put a copy of the database back in
        Settings.
      </p>
    </div>
    <p v-if="wrong" class="text-redlead" role="alert">{{ wrong }}</p>
    <p v-else-if="loading" class="text-ink2" role="status">Reading the history…</p>
    <UiTable
      v-else
      caption="History"
      :columns="columns"
      :rows="lines"
      empty="Nothing was changed yet."
    >
      <template #at="{ row }"
        ><span class="whitespace-nowrap">{{
          shortDateTime(row.at, store.derived.clock)
        }}</span></template
      >
      <template #who="{ row }">{{ nameOf(row.personId) }}</template>
      <template #label="{ row }"
        ><s v-if="row.undone">{{ row.label }}</s
        ><template v-else>{{ row.label }}</template></template
      >
      <template #fields="{ row }">
        <ul class="text-ink2">
          <li v-for="said in row.rows.flatMap(sayChange)" :key="said">{{ said }}</li>
          <li v-if="row.rowCount > row.rows.length">
            and {{ row.rowCount - row.rows.length }} more rows
          </li>
        </ul>
      </template>
    </UiTable>
  </div>
</template>

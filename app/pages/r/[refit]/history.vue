<script setup lang="ts">
import { ref, watch } from 'vue'
import { shortDateTime } from '#core/time/say'

/** Who changed what, newest first. */
interface HistoryLine {
  readonly seq: number
  readonly label: string
  readonly at: number
  readonly personId: string | null
  readonly undone: boolean
}
const store = useRefitStore()
const lines = ref<(HistoryLine & { id: number })[]>([])
const wrong = ref('')
watch(
  () => store.seq,
  async () => {
    try {
      const found = await api<HistoryLine[]>(`/api/refits/${store.refitId}/history`)
      lines.value = found.map((line) => ({ ...line, id: line.seq }))
    } catch (error) {
      wrong.value = sentenceOf(error)
    }
  },
  { immediate: true },
)
const columns = [
  { key: 'at', label: 'When' },
  { key: 'who', label: 'Who' },
  { key: 'label', label: 'What' },
]
const nameOf = (id: string | null) =>
  store.rows.person.find((one) => one.id === id)?.name ?? 'not said'
</script>

<template>
  <div class="max-w-4xl">
    <h1 class="mb-3">History of changes</h1>
    <p v-if="wrong" class="text-redlead" role="alert">{{ wrong }}</p>
    <UiTable
      v-else
      caption="History"
      :columns="columns"
      :rows="lines"
      empty="Nothing was changed yet."
    >
      <template #at="{ row }">{{ shortDateTime(row.at, store.derived.clock) }}</template>
      <template #who="{ row }">{{ nameOf(row.personId) }}</template>
      <template #label="{ row }"
        ><s v-if="row.undone">{{ row.label }}</s
        ><template v-else>{{ row.label }}</template></template
      >
    </UiTable>
  </div>
</template>

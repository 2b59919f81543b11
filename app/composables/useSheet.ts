import { computed } from 'vue'
import type { Ref } from 'vue'
import type { Row } from '#core/model/entities'
import { inOrder } from '#core/model/refit'
import { outcomeBy } from '#core/steps/sheetReading'

/** One as-built sheet with its lines, tests and pictures, and how to change them. */
export function useSheet(sheetId: Ref<string>) {
  const store = useRefitStore()
  const sheet = computed(
    () => store.rows.asBuiltSheet.find((one) => one.id === sheetId.value) ?? null,
  )
  const lines = computed(() =>
    inOrder(store.rows.asBuiltLine.filter((one) => one.sheetId === sheetId.value)),
  )
  const tests = computed(() =>
    inOrder(store.rows.asBuiltTest.filter((one) => one.sheetId === sheetId.value)),
  )
  const pictures = computed(() => store.rows.picture.filter((one) => one.sheetId === sheetId.value))

  type Kind = 'asBuiltSheet' | 'asBuiltLine' | 'asBuiltTest'
  const edit = (
    entity: Kind,
    row: { id: string; version: number },
    patch: Record<string, unknown>,
  ) =>
    store.attempt(`As-built: ${sheet.value?.title ?? ''}`, [
      { op: 'patch', entity, id: row.id, baseVersion: row.version, patch },
    ])
  /** A test whose reading or limits change is judged by them. */
  const judge = (test: Row<'asBuiltTest'>, patch: Record<string, unknown>) => {
    const outcome = outcomeBy({ ...test, ...patch })
    const judged = 'outcome' in patch || outcome === null ? patch : { ...patch, outcome }
    return edit('asBuiltTest', test, judged)
  }
  let underWay: Promise<boolean> | null = null
  /** The same, after an edit that is still under way: typed fast, a reading is judged by the limit typed before it. */
  const editTest = (given: Row<'asBuiltTest'>, patch: Record<string, unknown>) => {
    const now = () => store.rows.asBuiltTest.find((one) => one.id === given.id) ?? given
    const turn = underWay ? underWay.then(() => judge(now(), patch)) : judge(given, patch)
    underWay = turn
    void turn.finally(() => {
      if (underWay === turn) underWay = null
    })
    return turn
  }
  const remove = (entity: Kind, row: { id: string; version: number }) =>
    store.attempt('Remove from the sheet', [
      { op: 'delete', entity, id: row.id, baseVersion: row.version },
    ])
  return { sheet, lines, tests, pictures, edit, editTest, remove }
}

import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import type { Ref } from 'vue'
import type { CoreMap } from '#core/model/entities'
import type { CoreCell, CoreCells } from '#core/model/entities/walk'
import { patchOf } from '#core/model/removal'

/** Cells as they were painted, by their key; null: taken off. */
type Strokes = Readonly<Record<string, CoreCell | null>>

const over = (cells: CoreCells, strokes: Strokes): CoreCells =>
  Object.fromEntries(
    Object.entries({ ...cells, ...strokes }).flatMap(([key, cell]) => (cell ? [[key, cell]] : [])),
  )

/** So long after a stroke it is sent, readings typed one after the other together. */
const restMs = 500

/**
 * Painting on a map of a panel. What is painted lies over what is kept until that has it: neither an answer to a stroke
 * before nor somebody else's cells take it away. It is sent when the hand rests, and before another map or page comes.
 */
export function usePainting(map: Ref<CoreMap | null>, label: () => string) {
  const store = useRefitStore()
  const strokes = shallowRef<Readonly<Record<string, Strokes>>>({})
  const wrong = ref('')
  const cells = computed(() =>
    map.value ? over(map.value.cells, strokes.value[map.value.id] ?? {}) : {},
  )
  let timer: ReturnType<typeof setTimeout> | null = null

  /** `next`: all cells as they shall be. */
  function paint(next: CoreCells): void {
    const id = map.value?.id
    if (id === undefined) return
    const now = cells.value
    const keys = new Set([...Object.keys(now), ...Object.keys(next)])
    const changed = [...keys].filter((key) => now[key] !== next[key])
    strokes.value = {
      ...strokes.value,
      [id]: {
        ...strokes.value[id],
        ...Object.fromEntries(changed.map((key) => [key, next[key] ?? null])),
      },
    }
  }
  function done(): void {
    if (timer) clearTimeout(timer)
    timer = setTimeout(() => void send(), restMs)
  }
  async function send(): Promise<void> {
    if (timer) clearTimeout(timer)
    timer = null
    await Promise.all(Object.keys(strokes.value).map(sendMap))
  }
  async function sendMap(id: string): Promise<void> {
    const row = store.rows.coreMap.find((one) => one.id === id)
    const sent = strokes.value[id] ?? {}
    if (!row || Object.keys(sent).length === 0) return
    wrong.value = ''
    try {
      await store.submit(label(), [
        patchOf('coreMap', row, { cells: over(store.askedRow('coreMap', row).cells, sent) }),
      ])
      // What was painted meanwhile is still to be sent.
      const left = Object.entries(strokes.value[id] ?? {}).filter(
        ([key, cell]) => !(key in sent) || sent[key] !== cell,
      )
      strokes.value = { ...strokes.value, [id]: Object.fromEntries(left) }
    } catch (error) {
      wrong.value = sentenceOf(error)
    }
  }
  watch(
    () => map.value?.id,
    () => void send(),
  )
  onScopeDispose(() => void send())
  return { cells, paint, done, wrong }
}

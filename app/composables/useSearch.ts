import { onScopeDispose, ref, watch } from 'vue'
import type { Ref } from 'vue'
import { Search } from '#core/search/search'
import type { Hit } from '#core/search/search'

/** So many rows are read at once: a few milliseconds of work. */
const atOnce = 120

/** Search over all that is written, read while `wanted`, a part at a time. */
export function useSearch(wanted: Ref<boolean>) {
  const store = useRefitStore()
  let search = new Search()
  let of = ''
  let timer: ReturnType<typeof setTimeout> | undefined
  /** Counts what was read, so that answers follow. */
  const read = ref(0)
  const isWhole = ref(false)

  function readOn(): void {
    clearTimeout(timer)
    if (!wanted.value) return
    if (of !== store.refitId) {
      search = new Search()
      of = store.refitId
    }
    const isMore = search.take(store.rows, atOnce)
    isWhole.value = !isMore
    read.value += 1
    if (isMore) timer = setTimeout(readOn)
  }
  watch([wanted, () => store.rows], readOn, { immediate: true })
  onScopeDispose(() => clearTimeout(timer))

  /** What has all of the words, the best first; nothing for no words. */
  function find(said: string, most: number): Hit[] {
    return read.value === 0 ? [] : search.find(store.rows, said, most)
  }
  return { find, isWhole }
}

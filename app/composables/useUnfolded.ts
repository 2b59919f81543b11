import { ref } from 'vue'

/** Parts of a list that were unfolded by hand, by key. */
export function useUnfolded() {
  const unfolded = ref<ReadonlySet<string>>(new Set())
  function turn(key: string): void {
    const next = new Set(unfolded.value)
    if (!next.delete(key)) next.add(key)
    unfolded.value = next
  }
  return { unfolded, turn }
}

import { onScopeDispose, ref, shallowRef } from 'vue'

/** Runs that are made when somebody asks, and what they come to. `ask` gives null where something else was asked meanwhile. */
export function useAskedRuns<Found>(
  ask: (onProgress: (share: number) => void) => Promise<Found | null>,
) {
  /** Share of the runs made; null: none are being made. */
  const progress = ref<number | null>(null)
  const failed = ref('')
  const found = shallowRef<Found | null>(null)
  let mine = 0
  function forget(): void {
    mine++
    progress.value = null
    failed.value = ''
    found.value = null
  }
  /** What was asked is of something that changed since: it is said, where anything was asked at all. */
  function outdate(): void {
    const wasAsked = progress.value !== null || found.value !== null
    forget()
    if (wasAsked) failed.value = 'Something changed since it was asked. Ask again.'
  }
  onScopeDispose(forget)

  async function start(): Promise<void> {
    forget()
    const asked = mine
    progress.value = 0
    try {
      const answer = await ask((share) => {
        if (asked === mine) progress.value = share
      })
      if (asked !== mine) return
      found.value = answer
      if (!answer) failed.value = 'Something else was asked meanwhile. Ask again.'
    } catch (error) {
      if (asked === mine) failed.value = sentenceOf(error)
    } finally {
      if (asked === mine) progress.value = null
    }
  }
  return { progress, failed, found, start, outdate }
}

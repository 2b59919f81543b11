import { defineStore } from 'pinia'
import { computed, onScopeDispose, ref } from 'vue'

/** A clock that is set right by the network moves by seconds. */
const mostApartMs = 10 * 60_000

/** The server's clock, kept here: the demo and the tests have a time of their own. */
export const useTimeStore = defineStore('time', () => {
  const now = ref(Date.now())
  const minute = computed(() => Math.floor(now.value / 60_000) * 60_000)
  /** When the last change was kept, by the clock as it was then; null: none was. */
  const lastChangeAt = ref<number | null>(null)
  /** The same where the clock now stands well before it: it was set back. */
  const lastChangeAhead = computed(() =>
    lastChangeAt.value !== null && lastChangeAt.value - now.value > mostApartMs
      ? lastChangeAt.value
      : null,
  )
  let offset = 0
  let fixed = false
  let timer: ReturnType<typeof setInterval> | null = null

  async function start(): Promise<void> {
    const asked = await api<{ now: number; fixed: boolean; lastChangeAt: number | null }>(
      '/api/clock',
    )
    offset = asked.now - Date.now()
    fixed = asked.fixed
    now.value = asked.now
    lastChangeAt.value = asked.lastChangeAt
    timer ??= setInterval(() => {
      if (!fixed) now.value = Date.now() + offset
    }, 1000)
  }
  onScopeDispose(() => timer && clearInterval(timer))
  return { now, minute, lastChangeAhead, start }
})

import { defineStore } from 'pinia'
import { computed, ref } from 'vue'

/** The server's clock, kept here: the demo and the tests have a time of their own. */
export const useTimeStore = defineStore('time', () => {
  const now = ref(Date.now())
  const minute = computed(() => Math.floor(now.value / 60_000) * 60_000)
  let offset = 0
  let fixed = false
  let timer: ReturnType<typeof setInterval> | null = null

  async function start(): Promise<void> {
    const asked = await api<{ now: number; fixed: boolean }>('/api/clock')
    offset = asked.now - Date.now()
    fixed = asked.fixed
    now.value = asked.now
    timer ??= setInterval(() => {
      if (!fixed) now.value = Date.now() + offset
    }, 1000)
  }
  return { now, minute, start }
})

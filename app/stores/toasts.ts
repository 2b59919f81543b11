import { defineStore } from 'pinia'
import { onScopeDispose, ref } from 'vue'

export interface Toast {
  readonly id: number
  readonly text: string
  readonly bad: boolean
  /** Something that can still be done about it. */
  readonly action?: { readonly label: string; readonly run: () => void }
}

const shownMs = 6000
/** What can still be taken back is read, thought about and reached with cold hands. */
const shownWithActionMs = 15000

/**
 * Short messages that come and go; bad ones stay until they are closed, and one that is held
 * (pointer or focus on it) stays until it is let go.
 */
export const useToastStore = defineStore('toasts', () => {
  const toasts = ref<Toast[]>([])
  const timers = new Map<number, ReturnType<typeof setTimeout>>()
  let last = 0
  function hold(id: number) {
    clearTimeout(timers.get(id))
    timers.delete(id)
  }
  function letGo(id: number) {
    const toast = toasts.value.find((one) => one.id === id)
    if (!toast || toast.bad) return
    hold(id)
    timers.set(
      id,
      setTimeout(() => close(id), toast.action ? shownWithActionMs : shownMs),
    )
  }
  function close(id: number) {
    hold(id)
    toasts.value = toasts.value.filter((toast) => toast.id !== id)
  }
  function say(text: string, bad = false, action?: Toast['action']) {
    const id = ++last
    toasts.value = [...toasts.value.slice(-2), { id, text, bad, ...(action ? { action } : {}) }]
    letGo(id)
  }
  const complain = (error: unknown) => say(sentenceOf(error), true)
  onScopeDispose(() => timers.forEach((timer) => clearTimeout(timer)))
  return { toasts, say, complain, close, hold, letGo }
})

import { defineStore } from 'pinia'
import { ref } from 'vue'

export interface Toast {
  readonly id: number
  readonly text: string
  readonly bad: boolean
  /** Something that can still be done about it. */
  readonly action?: { readonly label: string; readonly run: () => void }
}

const shownMs = 6000

/** Short messages that come and go; bad ones stay until they are closed. */
export const useToastStore = defineStore('toasts', () => {
  const toasts = ref<Toast[]>([])
  let last = 0
  function close(id: number) {
    toasts.value = toasts.value.filter((toast) => toast.id !== id)
  }
  function say(text: string, bad = false, action?: Toast['action']) {
    const id = ++last
    toasts.value = [...toasts.value.slice(-2), { id, text, bad, ...(action ? { action } : {}) }]
    if (!bad) setTimeout(() => close(id), shownMs)
  }
  return { toasts, say, complain: (error: unknown) => say(sentenceOf(error), true), close }
})

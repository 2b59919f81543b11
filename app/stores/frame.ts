import { defineStore } from 'pinia'
import { ref } from 'vue'

export type Panel = 'found' | 'hours' | 'clock' | 'find' | 'keys' | 'more' | null

/** Which panel is open over the view, and what it was opened for. */
export const useFrameStore = defineStore('frame', () => {
  const panel = ref<Panel>(null)
  const stepId = ref<string | null>(null)
  function open(which: Panel, forStep: string | null = null) {
    stepId.value = forStep
    panel.value = which
  }
  return { panel, stepId, open, close: () => open(null) }
})

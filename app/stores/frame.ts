import { defineStore } from 'pinia'
import { ref } from 'vue'

export type Panel = 'found' | 'hours' | 'clock' | 'find' | 'keys' | 'more' | null

/** Which panel is open over the view, and what it was opened for. */
export const useFrameStore = defineStore('frame', () => {
  const panel = ref<Panel>(null)
  const stepId = ref<string | null>(null)
  /** Hours the timer measured, for the hours panel to start from. */
  const hours = ref<number | null>(null)
  /** Job during which something was found; null: the one under way. */
  const duringJobId = ref<string | null>(null)
  function open(which: Panel, forStep: string | null = null, measured: number | null = null) {
    stepId.value = forStep
    hours.value = measured
    duringJobId.value = null
    panel.value = which
  }
  function openFound(jobId: string) {
    open('found')
    duringJobId.value = jobId
  }
  return { panel, stepId, hours, duringJobId, open, openFound, close: () => open(null) }
})

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
  /** Where on the boat it was found, shares of the length; null: somewhere in the place. */
  const foundAt = ref<readonly [number, number] | null>(null)
  function open(which: Panel, forStep: string | null = null, measured: number | null = null) {
    stepId.value = forStep
    hours.value = measured
    duringJobId.value = null
    foundAt.value = null
    panel.value = which
  }
  function openFound(jobId: string) {
    open('found')
    duringJobId.value = jobId
  }
  /** As open('found'), with the point that was pressed on the boat. */
  function openFoundAt(spot: readonly [number, number]) {
    open('found')
    foundAt.value = spot
  }
  return {
    panel,
    stepId,
    hours,
    duringJobId,
    foundAt,
    open,
    openFound,
    openFoundAt,
    close: () => open(null),
  }
})

import { computed } from 'vue'
import { formatHours } from '#core/units/hours'
import { hourMs, minuteMs } from '#core/time/civil'

/** Longest stretch the timer fills in: past it somebody forgot to stop it. */
const mostHours = 14

/** The hours timer: started on a step, stopped into the hours panel, where it can be put right. */
export function useTimer() {
  const store = useRefitStore()
  const time = useTimeStore()
  const { timer } = useDevice()
  const running = computed(() => timer.value.since > 0 && timer.value.refitId === store.refitId)
  const elapsedHours = computed(() => {
    const minutes = Math.max(0, Math.round((time.now - timer.value.since) / minuteMs))
    return Math.min(mostHours, (minutes * minuteMs) / hourMs)
  })
  const said = computed(() => formatHours(elapsedHours.value))
  function start(stepId: string) {
    timer.value = { since: time.now, stepId, refitId: store.refitId }
  }
  /** Ends it and hands out what it measured. */
  function stop(): { stepId: string; hours: number } {
    const measured = { stepId: timer.value.stepId, hours: elapsedHours.value }
    timer.value = { since: 0, stepId: '', refitId: '' }
    return measured
  }
  return { running, elapsedHours, said, stepId: computed(() => timer.value.stepId), start, stop }
}

import { useLocalStorage } from '@vueuse/core'

/** This device: what it keeps for itself. Sign-in comes later. */
export function useDevice() {
  const deviceId = useLocalStorage('inch-ahead.device', () => newId())
  /** Who said they are at it, by refit: each has people of its own. */
  const whoAt = useLocalStorage<Readonly<Record<string, string>>>('inch-ahead.whoAt', {})
  const lastZoneId = useLocalStorage<string>('inch-ahead.lastZone', '')
  const light = useLocalStorage<'day' | 'low'>('inch-ahead.light', 'day')
  const alarms = useLocalStorage<boolean>('inch-ahead.alarms', false)
  /** The hours timer that runs on this device: since when, on which step; 0 when none runs. */
  const timer = useLocalStorage('inch-ahead.timer', { since: 0, stepId: '', refitId: '' })
  /** Buttons for one hand stand for the left one. */
  const leftHand = useLocalStorage<boolean>('inch-ahead.leftHand', false)
  /** Runs of the plan are made by themselves after a change; off, only when somebody asks: on a battery. */
  const runsByItself = useLocalStorage<boolean>('inch-ahead.runsByItself', true)
  const lastRefitId = useLocalStorage<string>('inch-ahead.lastRefit', '')
  return {
    deviceId,
    whoAt,
    lastZoneId,
    light,
    alarms,
    timer,
    leftHand,
    runsByItself,
    lastRefitId,
  }
}

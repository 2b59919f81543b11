import { watch } from 'vue'

/** A short two-tone beep, made here so that nothing is fetched. */
function beep(): void {
  const audio = new AudioContext()
  ;[880, 660].forEach((pitch, index) => {
    const tone = audio.createOscillator()
    const volume = audio.createGain()
    volume.gain.value = 0.15
    tone.frequency.value = pitch
    tone.connect(volume).connect(audio.destination)
    tone.start(audio.currentTime + index * 0.25)
    tone.stop(audio.currentTime + index * 0.25 + 0.22)
  })
}

/** Sounds and a notification when a clock changes phase, where the person switched them on. */
export function useAlarms(): void {
  const { alarms } = useDevice()
  const toasts = useToastStore()
  const { clocks } = useClocks()
  watch(
    () => clocks.value.map((one) => ({ id: one.clock.id, phase: one.state.phase, one })),
    (now, before) => {
      for (const { id, phase, one } of now) {
        const was = before.find((other) => other.id === id)
        if (!was || was.phase === phase) continue
        toasts.say(`${one.clock.title}: ${one.said}`)
        if (!alarms.value) continue
        beep()
        if ('Notification' in window && Notification.permission === 'granted')
          new Notification(one.clock.title, { body: one.said })
      }
    },
  )
}

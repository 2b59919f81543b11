import { onScopeDispose } from 'vue'

/** A finger stays for so long, ms. */
const longMs = 550

/** A press that stays: done while it lasts, never after the finger left or the view was left. */
export function useLongPress() {
  let timer: ReturnType<typeof setTimeout> | undefined
  let fired = false
  function forget(): void {
    clearTimeout(timer)
    timer = undefined
  }
  function begin(work: () => void): void {
    forget()
    fired = false
    timer = setTimeout(() => {
      fired = true
      work()
    }, longMs)
  }
  onScopeDispose(forget)
  return {
    begin,
    forget,
    /** The last press stayed: what else a press does is not meant. */
    hasFired: () => fired,
  }
}

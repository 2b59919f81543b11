import { onBeforeUnmount, ref } from 'vue'

/** For fields whose choice is complete at once: a refused one shows again what is stored, and says why. */
export function useRefusal(showStored: () => void) {
  const refusal = ref('')
  let onScreen = true
  onBeforeUnmount(() => (onScreen = false))
  function put(run: () => void): void {
    refusal.value = ''
    fromField((message) => {
      if (!onScreen) return false
      refusal.value = message
      showStored()
      return true
    }, run)
  }
  return { refusal, put }
}

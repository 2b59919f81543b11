import { ref } from 'vue'

/** The question stands once, whoever asked for the undo. */
const asks = ref<string | null>(null)

/** Undo with its question when somebody else touched the same thing since. */
export function useUndo() {
  const store = useRefitStore()
  const toasts = useToastStore()

  async function run(force: boolean) {
    try {
      const outcome = await store.undo(force)
      if ('asks' in outcome) asks.value = outcome.asks
      else toasts.say(outcome.done)
    } catch (error) {
      toasts.complain(error)
    }
  }
  function answer(yes: boolean) {
    asks.value = null
    if (yes) void run(true)
  }
  return { asks, answer, undo: () => void run(false) }
}

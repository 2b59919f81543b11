import { shallowRef } from 'vue'

/** Fields of a form whose text cannot be read: nothing is made of the values they had before. */
export function useUnread() {
  const messages = shallowRef<ReadonlyMap<string, string>>(new Map())
  /** For a field's `invalid` event; '' takes it off the list. */
  const mark = (name: string) => (message: string) => {
    const next = new Map(messages.value)
    if (message === '') next.delete(name)
    else next.set(name, message)
    messages.value = next
  }
  const first = (): string => [...messages.value.values()][0] ?? ''
  const clear = () => (messages.value = new Map())
  return { messages, mark, first, clear }
}

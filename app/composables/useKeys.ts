import { useEventListener } from '@vueuse/core'

/** Inputs that take no letters: keys of the frame work on them too. */
const letterless = ['checkbox', 'radio', 'button', 'file']
const typing = (target: EventTarget | null): boolean =>
  target instanceof HTMLInputElement
    ? !letterless.includes(target.type)
    : target instanceof HTMLElement &&
      (target.isContentEditable || ['TEXTAREA', 'SELECT'].includes(target.tagName))

/** The keys of the frame; none of them work while a person types. */
export function useKeys(undo: () => void): void {
  const frame = useFrameStore()
  const { views } = useViews()
  const keys: Readonly<Record<string, () => void>> = {
    n: () => frame.open('found'),
    h: () => frame.open('hours'),
    k: () => frame.open('clock'),
    '/': () => frame.open('find'),
    '?': () => frame.open('keys'),
    z: undo,
  }
  useEventListener(document, 'keydown', (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey || typing(event.target) || frame.panel)
      return
    const view = views.value.find((one) => one.key === event.key)
    const act = view ? () => void navigateTo(view.to) : keys[event.key]
    if (!act) return
    event.preventDefault()
    act()
  })
}

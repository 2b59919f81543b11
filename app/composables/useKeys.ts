import { useEventListener } from '@vueuse/core'

/** Inputs that take no letters: keys work on them too. */
const letterless = ['checkbox', 'radio', 'button', 'file']
const typing = (target: EventTarget | null): boolean =>
  target instanceof HTMLInputElement
    ? !letterless.includes(target.type)
    : target instanceof HTMLElement &&
      (target.isContentEditable || ['TEXTAREA', 'SELECT'].includes(target.tagName))

/** The one listener, and the keys of the frame; none of them work while a person types or a panel is open. */
export function useKeys(undo: () => void): void {
  const frame = useFrameStore()
  const { views } = useViews()
  useKeyScope(
    {
      found: () => frame.open('found'),
      hours: () => frame.open('hours'),
      clock: () => frame.open('clock'),
      find: () => frame.open('find'),
      keys: () => frame.open('keys'),
      undo,
    },
    ({ key }) => {
      const view = views.value.find((one) => one.key === key)
      return view && (() => void goTo(view.to))
    },
  )
  useEventListener(document, 'keydown', (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey || typing(event.target) || frame.panel)
      return
    takeKey(event)
  })
}

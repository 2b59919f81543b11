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
  const router = useRouter()
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
      // Not by navigateTo: while another way is being gone it only hands its target back, and the key would be lost.
      return view && (() => void router.push(view.to))
    },
  )
  useEventListener(document, 'keydown', (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey || typing(event.target) || frame.panel)
      return
    takeKey(event)
  })
}

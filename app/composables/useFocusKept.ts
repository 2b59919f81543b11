import { onBeforeUpdate, onUpdated } from 'vue'

/** What has the focus keeps it when the list it stands in comes in another order: a browser lets go of what is moved. */
export function useFocusKept(): void {
  let held: Element | null = null
  onBeforeUpdate(() => (held = document.activeElement))
  onUpdated(() => {
    const isLost = held?.isConnected && document.activeElement === document.body
    if (isLost && (held instanceof HTMLElement || held instanceof SVGElement))
      held.focus({ preventScroll: true })
    held = null
  })
}

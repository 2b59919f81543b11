/**
 * Enter in a list to choose from, pressed in the same frame as an arrow: the list marks what the arrow reached only in
 * the next frame, and until then nothing would be chosen. It is given again once that frame has come.
 */
export function enterAfterArrow(event: KeyboardEvent, open: boolean, active: number | null): void {
  if (!open || active !== null || !event.isTrusted || event.isComposing) return
  event.preventDefault()
  event.stopPropagation()
  const { target } = event
  requestAnimationFrame(() =>
    target?.dispatchEvent(
      new KeyboardEvent('keydown', { key: 'Enter', bubbles: true, cancelable: true }),
    ),
  )
}

/**
 * Enter in a list to choose from, pressed in the same frame as an arrow: the list marks what the arrow reached only in
 * the next frame, and until then another or nothing would be chosen. It is given again once that frame has come; true
 * where it is held back so.
 */
export function enterAfterArrow(event: KeyboardEvent, isMarked: boolean): boolean {
  if (isMarked || !event.isTrusted || event.isComposing) return false
  event.preventDefault()
  event.stopPropagation()
  const { target } = event
  requestAnimationFrame(() =>
    target?.dispatchEvent(
      new KeyboardEvent('keydown', { key: 'Enter', bubbles: true, cancelable: true }),
    ),
  )
  return true
}

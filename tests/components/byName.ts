/** A page as a person goes through it: what is pressed, ticked and typed has a name. */
import { flushPromises } from '@vue/test-utils'

const named = (name: string) => (one: Element) =>
  (one.getAttribute('aria-label') ?? one.textContent ?? '').replace(/\s+/g, ' ').trim() === name

/** Presses the newest button of a name. */
export async function press(name: string): Promise<void> {
  const found = [...document.querySelectorAll('button')].findLast(named(name))
  if (!found) throw new Error(`There is no button “${name}”.`)
  found.click()
  await flushPromises()
}

/** What a label is about. */
export function fieldOf(label: string): HTMLInputElement {
  const found = [...document.querySelectorAll('label')].findLast(named(label))
  const field = found?.htmlFor
    ? document.getElementById(found.htmlFor)
    : (found?.querySelector('input') ?? null)
  if (!field) throw new Error(`There is no field “${label}”.`)
  return field as HTMLInputElement
}

/** Types into a field and leaves it, or chooses in a list. */
export async function typeIn(label: string, value: string): Promise<void> {
  const field = fieldOf(label)
  field.value = value
  field.dispatchEvent(new Event('input'))
  field.dispatchEvent(new Event('change'))
  field.dispatchEvent(new Event('blur'))
  await flushPromises()
}

/** Presses a tick. */
export async function tick(label: string): Promise<void> {
  fieldOf(label).click()
  await flushPromises()
}

/** All that stands on the page, in one line. */
export const words = (): string => (document.body.textContent ?? '').replace(/\s+/g, ' ')

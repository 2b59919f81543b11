/** What reading a person's input gives: the value, or a sentence that says what to type instead. */
export type Parsed<Value> =
  { readonly ok: true; readonly value: Value } | { readonly ok: false; readonly message: string }

export const read = <Value>(value: Value): Parsed<Value> => ({ ok: true, value })
export const unread = (message: string): Parsed<never> => ({ ok: false, message })

/** A plain number as people write it: '1.5', '1,5', ' 12 '. Null when it is not one. */
export function readNumber(text: string): number | null {
  const trimmed = text.trim()
  return /^[+-]?(\d+([.,]\d*)?|[.,]\d+)$/.test(trimmed) ? Number(trimmed.replace(',', '.')) : null
}

/** Reading what people type: one kind of marks, numbers as they are written. */
const fractions: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
}

/**
 * Input as one kind of text: small letters, straight marks, plain minus and fractions written out. Phones
 * type curly marks and long dashes by themselves.
 */
export const plainInput = (text: string): string =>
  text
    .replace(/[½¼¾⅓⅔⅛⅜⅝⅞]/g, (mark) => ` ${fractions[mark]}`)
    .replace(/[‘’ʼ′´]/g, "'")
    .replace(/[“”″]|''/g, '"')
    .replace(/[−–—‐‑]/g, '-')
    .replace(/[\u00a0\u2007\u202f]/g, ' ')
    .replace(/\s+/g, ' ')
    .trim()
    .toLowerCase()

/** '1,500' may be fifteen hundred or one and a half: nobody but the person can say. */
const isAmbiguous = (text: string): boolean => /^[1-9]\d{0,2}(,\d{3})+$/.test(text)

/** The question to put when a number can be read in two ways; null when it cannot. */
export function ambiguity(text: string): string | null {
  const said = /\d[\d.,]*/.exec(text)?.[0] ?? ''
  if (!isAmbiguous(said)) return null
  const plain = said.replace(/,/g, '')
  const decimal = said
    .replace(',', '.')
    .replace(/,/g, '')
    .replace(/\.?0+$/, '')
  return `Is ${said} ${plain} or ${decimal}? Write one of these.`
}

/** A plain number as people write it: '1.5', '1,5', ' 12 '. Null when it is not one, or reads in two ways. */
export function readNumber(text: string): number | null {
  const trimmed = text.trim().replace(/^[−–]/, '-')
  if (isAmbiguous(trimmed)) return null
  return /^[+-]?(\d+([.,]\d+)?|[.,]\d+)$/.test(trimmed) ? Number(trimmed.replace(',', '.')) : null
}

/** '3 1/2', '3-1/2', '1/2', '3½' or a plain number, not negative; of `plainInput`. Null when it is none. */
export function readAmount(text: string): number | null {
  const mixed = /^(?:(\d+)[ -])?(\d+) ?\/ ?(\d+)$/.exec(text.trim())
  if (!mixed) {
    const plain = readNumber(text)
    return plain === null || plain < 0 ? null : plain
  }
  const below = Number(mixed[3])
  return below === 0 ? null : Number(mixed[1] ?? 0) + Number(mixed[2]) / below
}

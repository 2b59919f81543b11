const words = [
  'no',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
] as const

/** A small number as a word, a larger one in figures. Whole, 0 and over. */
export const inWords = (many: number): string => words[many] ?? String(many)

/** "one job", "three jobs", "no jobs", "14 jobs". */
export const counted = (many: number, one: string, more = `${one}s`): string =>
  `${inWords(many)} ${many === 1 ? one : more}`

/** The same at the beginning of a sentence. */
export const capital = (text: string): string =>
  text.replace(/^./, (letter) => letter.toUpperCase())

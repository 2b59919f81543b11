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

/** "1 job", "3 jobs": in figures, beside others or where it may be large. */
export const figured = (many: number, one: string, more = `${one}s`): string =>
  `${many} ${many === 1 ? one : more}`

const ofOne: Readonly<Record<string, string>> = {
  pieces: 'piece',
  rolls: 'roll',
  cartridges: 'cartridge',
  sheets: 'sheet',
  tubes: 'tube',
  sets: 'set',
}

/** A unit as it is said after a number: 1 cartridge, 2 cartridges. */
export const unitFor = (amount: number, unit: string): string =>
  amount === 1 ? (ofOne[unit] ?? unit) : unit

/** The same at the beginning of a sentence. */
export const capital = (text: string): string =>
  text.replace(/^./, (letter) => letter.toUpperCase())

/** Names in one: the first two and how many more, where they are over three. */
export const listed = (names: readonly string[]): string =>
  names.length <= 3
    ? names.join(', ')
    : `${names.slice(0, 2).join(', ')} and ${names.length - 2} more`

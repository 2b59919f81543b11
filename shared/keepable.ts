/** Text without marks that no table can keep and nobody can see: NULs and halves of characters. */
export const keepable = (text: string): string => text.replaceAll('\0', '').toWellFormed()

/** Escapes by which JSON can bring such marks in. */
const suspect = /\\u(0000|d[89a-f])/i

/** JSON read with every text in it made keepable. Throws SyntaxError. */
export const readJson = (text: string): unknown =>
  suspect.test(text)
    ? JSON.parse(text, (_, value: unknown) => (typeof value === 'string' ? keepable(value) : value))
    : JSON.parse(text)
